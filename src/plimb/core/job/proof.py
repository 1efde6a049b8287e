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
from itertools import combinations
from math import erf, exp, log, sqrt

import numpy as np

from plimb.core.job.causes import Cause, Shifts, kind_of
from plimb.core.job.residuals import Proved, beyond_doubt
from plimb.core.lengths import mm
from plimb.core.measure.uncertainty import USUAL_DOUBT, Doubt, gap_ends
from plimb.core.words import percent

STRAY = 1e-9
"""The share of readings that are just wrong: written down, but not what was felt (judgement)."""

IMPOSSIBLE_FROM = 0.95
"""How sure it must be that a worked-back gap is above the blade that was refused."""

FAR_NM = float(mm("5"))
"""Further than any valve is held open."""

FEEL_NM = mm("0.006")
"""How far the same hand's feel of the same gap differs from time to time (judgement)."""

CLAIM = 0.65
"""How likely it must be that not all is doubt before a cause is named (judgement)."""

HELD_FROM = 0.5
"""How sure it must be that a worked-back gap is below zero (judgement)."""

FEELS = {mm("0.003"): 0.5, mm("0.010"): 0.2, mm("0.016"): 0.3}
"""How differently a hand feels the same gap from time to time, and how often that is so.

A fine hand and a coarse one far apart: which of them it was, the valves that nobody touched say.
"""

AT_ONCE = 14
"""Of so many likeliest causes any two are looked at together."""

LEAST_OFF_NM = mm("0.005")
"""A valve that is off by less is not blamed."""

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

    `beyond` are valves off by more than the instruments' doubt, and those that a cause is
    blamed on.
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
    """Return what explains the proof, the likeliest first; honest where nothing does.

    How well this hand feels is not known: each story is told for a fine, a usual and a coarse
    one. Two causes at once, on valves of their own, are a story as well; each is then named.
    """
    usable = [proof for proof in proved if proof.found.both_ends]
    worked_back = tuple(_worked_back(proved, doubt))
    beyond = beyond_doubt(proved)
    if not usable:
        return Explained(fine=not worked_back, ranked=worked_back, beyond=beyond)
    models = list(_models(usable))
    names = [frozenset(model.valves) for model in models]
    shares = np.zeros(len(models))
    total = 0.0
    stories = [_stories(usable, models, names, feel_nm, doubt) for feel_nm in FEELS]
    top = max(story.top for story in stories)
    for story, often in zip(stories, FEELS.values(), strict=True):
        scale = often * exp(story.top - top)
        shares += scale * story.shares
        total += scale * story.total
    shares /= total
    right = next(place for place, model in enumerate(models) if model.cause is Cause.DOUBT)
    wrong = 1 - float(shares[right])
    by_valve = {blade.valve: blade for blade in usable}
    if wrong < CLAIM:
        return Explained(fine=not worked_back, ranked=worked_back, beyond=beyond)
    named = [
        _explanation(model.cause, on, float(share) / wrong)
        for model, share in zip(models, shares, strict=True)
        if model.cause is not Cause.DOUBT and share / wrong >= LIKELY
        for on in (_off(model, [by_valve[valve] for valve in model.valves]),)
        if on
    ]
    named.sort(key=lambda one: -one.chance)
    if not named:
        return Explained(fine=not worked_back, ranked=worked_back, beyond=beyond)
    blamed = {valve for cause in named for valve in cause.valves if by_valve[valve].residual_nm}
    marked = tuple(proof.valve for proof in proved if proof.valve in blamed.union(beyond))
    return Explained(fine=False, ranked=(*named, *worked_back), beyond=marked)


def _off(model: _Model, on: list[Proved]) -> list[Proved]:
    """Return the valves a cause is blamed on that are off themselves; none where too few are."""
    blamed_on = [
        proof for proof in on if proof.residual_nm is None or abs(proof.residual_nm) >= LEAST_OFF_NM
    ]
    if model.cause in (Cause.ALIKE, Cause.CAM):
        return blamed_on if 3 * len(blamed_on) >= 2 * len(on) else []
    return blamed_on if len(blamed_on) == len(on) else []


@dataclass(frozen=True, slots=True)
class _Stories:
    """Each model's share, alone or with another, among all stories for one feel."""

    shares: Shifts
    total: float
    top: float


def _stories(
    usable: Sequence[Proved],
    models: Sequence[_Model],
    names: Sequence[frozenset[str]],
    feel_nm: int,
    doubt: Doubt,
) -> _Stories:
    curves = {proof.valve: _Curve(proof, doubt, feel_nm) for proof in usable}
    quiet = sum(curve.still for curve in curves.values())
    gains = np.array([_fit(model, curves, quiet) - quiet for model in models])
    weights = np.log(np.array([model.weight for model in models]))
    alone = weights + gains
    doubtless = [place for place, model in enumerate(models) if model.cause is Cause.DOUBT]
    likeliest = [place for place in np.argsort(-alone) if place not in doubtless][:AT_ONCE]
    pairs = [
        (int(first), int(second))
        for first, second in combinations(likeliest, 2)
        if not names[first] & names[second]
    ]
    both = np.array([alone[first] + alone[second] for first, second in pairs])
    top = float(max(alone.max(), both.max(initial=-np.inf)))
    shares = np.exp(alone - top)
    total = float(shares.sum())
    for (first, second), score in zip(pairs, both, strict=True):
        share = exp(score - top)
        total += share
        shares[first] += share
        shares[second] += share
    return _Stories(shares, total, top + quiet)


class _Curve:
    """How likely a valve's reading is for each shift of its gap."""

    def __init__(self, one: Proved, doubt: Doubt, feel_nm: int) -> None:
        low, high = gap_ends(one.found, doubt)
        self.middle = (low + high) / 2 + one.old_nm - one.new_nm
        self.slack = max(high - low, 1.0)
        pieces = one.old_doubt_nm**2 / 3 + one.new_doubt_nm**2 / 3 if one.changed else 0.0
        self.spread = sqrt(pieces + 2 * feel_nm**2)
        if one.proof.low_nm is None:
            self.low, self.high = -FAR_NM, float(one.proof.high_nm)
        elif one.proof.open_ended:
            self.low, self.high = float(one.proof.low_nm), FAR_NM
        else:
            self.low, self.high = gap_ends(one.proof, doubt)
        self._gains: dict[tuple[bytes, float], Shifts] = {}
        self.still = float(self.likely(np.zeros(1), 0.0)[0])

    def gain(self, shift: Shifts, more: float) -> Shifts:
        """Return how much better than no shift each one tells the reading; each worked out once."""
        key = (shift.tobytes(), more)
        if key not in self._gains:
            self._gains[key] = self.likely(shift, more) - self.still
        return self._gains[key]

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
    gains = [
        curves[valve].gain(model.shifts[:, place], model.spread_nm)
        for place, valve in enumerate(model.valves)
    ]
    if len(model.shifts) == 1:
        return quiet + sum(float(gain[0]) for gain in gains)
    logs = quiet + sum(gains)
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
        valves=tuple(proof.valve for proof in on),
        chance=chance,
        evidence=kind.evidence(on),
        check=kind.check(on),
    )


def _worked_back(proved: Sequence[Proved], doubt: Doubt) -> Iterator[Explanation]:
    """Give the valves that had no gap before: held open, worked back, or not as was read."""
    for proof in proved:
        before_nm = proof.before_nm
        if not proof.found.none_found or before_nm is None:
            continue
        low, high = gap_ends(proof.proof, doubt)
        pieces = proof.old_doubt_nm**2 / 3 + proof.new_doubt_nm**2 / 3
        spread = sqrt((high - low) ** 2 / 12 + pieces + FEEL_NM**2)
        # a coarse hand refuses what goes, and lets go what is refused
        coarse = sqrt(spread**2 - FEEL_NM**2 + 2 * max(FEELS) ** 2)
        above = 1 - _below((proof.found.high_nm - before_nm) / coarse)
        sure = 1 - _below(before_nm / spread)
        if sure >= HELD_FROM:
            yield _explanation(Cause.HELD_OPEN, [proof], sure)
        elif above >= IMPOSSIBLE_FROM:
            yield _explanation(Cause.IMPOSSIBLE, [proof], above)
