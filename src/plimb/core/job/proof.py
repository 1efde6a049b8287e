"""What explains a proof that did not come out as predicted.

Every cause is a model of where each gap would lie; the readings say how likely each model is,
and with how often each happens the causes are weighed against one another and against plain
doubt (Bayes). A cause whose size is not known is weighed over every size it may have.

Shares are worked out with normal curves whose widths are the standard uncertainties of blades
and micrometers (JCGM 100:2008, 4.3.7) and a feel that differs a little from time to time.
"""

from collections.abc import Iterator, Sequence
from dataclasses import dataclass
from functools import lru_cache
from math import erf, exp, log, sqrt

import numpy as np

from plimb.core.job.causes import Cause, Shifts, kind_of
from plimb.core.job.residuals import FEEL_NM, Proved, within_doubt
from plimb.core.lengths import mm
from plimb.core.measure.uncertainty import USUAL_DOUBT, Doubt, gap_ends
from plimb.core.words import percent

STRAY = 1e-9
"""The share of readings that are just wrong: written down, but not what was felt (judgement)."""

FAR_NM = float(mm("5"))
"""Further than any valve is held open."""

CLAIM = 0.5
"""How likely it must be that not all is doubt before a cause is named (judgement)."""

LIKELY = 0.02
"""Causes less likely than this are not listed."""


@dataclass(frozen=True, slots=True, kw_only=True)
class Explanation:
    """One cause, how it fits against the others, what speaks for it, what to check first."""

    cause: Cause
    valves: tuple[str, ...]
    chance: float
    evidence: str
    check: str

    @property
    def sure(self) -> str:
        """How it fits against the others, in per cent."""
        return percent(self.chance)

    @property
    def name(self) -> str:
        """The cause in a few words."""
        return kind_of(self.cause).name


@dataclass(frozen=True, slots=True, kw_only=True)
class Explained:
    """What the proof says. `fine` where doubt alone explains it.

    `beyond` are valves off by more than the instruments' doubt.
    """

    fine: bool
    ranked: tuple[Explanation, ...]
    beyond: tuple[str, ...] = ()


@dataclass(frozen=True, slots=True, kw_only=True)
class _Model:
    """A cause and the ways it may have gone, each equally likely: valves off by their shifts.

    `shifts` holds a row a way and a column a valve, in nanometres; `spread_nm` is how much
    valves that are off together differ among themselves.
    """

    cause: Cause
    valves: tuple[str, ...]
    weight: float
    shifts: Shifts
    spread_nm: float = 0.0


@lru_cache(maxsize=256)
def explain(proved: tuple[Proved, ...], doubt: Doubt = USUAL_DOUBT) -> Explained:
    """Return what explains the proof, the likeliest first; honest where nothing does."""
    usable = [one for one in proved if one.found.both_ends]
    held = tuple(_held_open(proved, doubt))
    beyond = tuple(one.valve for one in proved if within_doubt(one) is False)
    if not usable:
        return Explained(fine=not held, ranked=held, beyond=beyond)
    models = list(_models(usable))
    curves = {one.valve: _Curve(one, doubt) for one in usable}
    quiet = sum(curve.still for curve in curves.values())
    scores = [(model, log(model.weight) + _fit(model, curves, quiet)) for model in models]
    top = max(score for _model, score in scores)
    total = sum(exp(score - top) for _model, score in scores)
    shares = [(model, exp(score - top) / total) for model, score in scores]
    wrong = sum(share for model, share in shares if model.cause is not Cause.DOUBT)
    by_valve = {one.valve: one for one in usable}
    if wrong < CLAIM:
        return Explained(fine=not held, ranked=held, beyond=beyond)
    named = [
        _explanation(model.cause, [by_valve[valve] for valve in model.valves], share / wrong)
        for model, share in shares
        if model.cause is not Cause.DOUBT and share / wrong >= LIKELY
    ]
    named.sort(key=lambda one: -one.chance)
    return Explained(fine=False, ranked=(*named, *held), beyond=beyond)


class _Curve:
    """How likely a valve's reading is for each shift of its gap."""

    def __init__(self, one: Proved, doubt: Doubt) -> None:
        low, high = gap_ends(one.found, doubt)
        self.middle = (low + high) / 2 + one.old_nm - one.new_nm
        self.slack = max(high - low, 1.0)
        pieces = one.old_doubt_nm**2 / 3 + one.new_doubt_nm**2 / 3 if one.changed else 0.0
        self.spread = sqrt(pieces + 2 * FEEL_NM**2)
        if one.proof.low_nm is None:
            self.low, self.high = -FAR_NM, float(one.proof.high_nm)
        elif one.proof.open_ended:
            self.low, self.high = float(one.proof.low_nm), FAR_NM
        else:
            self.low, self.high = gap_ends(one.proof, doubt)
        self.still = float(self.likely(np.zeros(1), 0.0)[0])

    def likely(self, shift: Shifts, more: float) -> Shifts:
        """Return ln of the chance of the reading, the gap being off by `shift` (± `more`)."""
        spread = sqrt(self.spread**2 + more**2)
        centre = self.middle + shift
        inside = _smeared(self.high - centre, self.slack, spread) - _smeared(
            self.low - centre, self.slack, spread
        )
        found: Shifts = np.log(STRAY + (1 - STRAY) * np.maximum(0.0, inside))
        return found


def _smeared(z: Shifts, width: float, spread: float) -> Shifts:
    """Return P(U + N ≤ z) for U even on a width about 0 and N normal with that spread."""
    upper, lower = (z + width / 2) / spread, (z - width / 2) / spread
    return (_area(upper) - _area(lower)) * spread / width


def _below(z: float) -> float:
    return (1 + erf(z / sqrt(2))) / 2


def _area(z: Shifts) -> Shifts:
    """Return the integral of the normal distribution function up to z."""
    from scipy.special import ndtr

    area: Shifts = z * ndtr(z) + np.exp(-z * z / 2) / sqrt(2 * np.pi)
    return area


def _fit(model: _Model, curves: dict[str, _Curve], quiet: float) -> float:
    """Return ln of the chance of all readings, averaged over the ways it may have gone."""
    if not model.valves:
        return quiet
    logs = quiet + sum(
        curves[valve].likely(model.shifts[:, place], model.spread_nm) - curves[valve].still
        for place, valve in enumerate(model.valves)
    )
    top = float(np.max(logs))
    return top + log(float(np.mean(np.exp(logs - top))))


def _models(proved: Sequence[Proved]) -> Iterator[_Model]:
    """Give a model for each way each cause may have gone, its weight shared evenly among them."""
    for cause in Cause:
        kind = kind_of(cause)
        found = list(kind.ways(proved))
        for valves, shifts, spread in found:
            if shifts.ndim == 1:
                shifts = np.repeat(shifts[:, None], len(valves), axis=1)
            yield _Model(
                cause=cause,
                valves=valves,
                weight=kind.how_often / len(found),
                shifts=shifts,
                spread_nm=spread,
            )


def _explanation(cause: Cause, on: Sequence[Proved], chance: float) -> Explanation:
    kind = kind_of(cause)
    return Explanation(
        cause=cause,
        valves=tuple(one.valve for one in on),
        chance=chance,
        evidence=kind.evidence(on),
        check=kind.check(on),
    )


def _held_open(proved: Sequence[Proved], doubt: Doubt) -> Iterator[Explanation]:
    """Give the valves that had no gap before and, worked back, were held open."""
    for one in proved:
        before_nm = one.before_nm
        if not one.found.none_found or before_nm is None:
            continue
        low, high = gap_ends(one.proof, doubt)
        spread = sqrt(
            (high - low) ** 2 / 12 + one.old_doubt_nm**2 / 3 + one.new_doubt_nm**2 / 3 + FEEL_NM**2
        )
        sure = 1 - _below(before_nm / spread)
        if sure >= CLAIM:
            yield _explanation(Cause.HELD_OPEN, [one], sure)
