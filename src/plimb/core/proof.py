"""What explains a proof that did not come out as predicted.

Every cause is a model of where each gap would lie; the readings say how likely each model is,
and with how often each happens the causes are weighed against one another and against plain
doubt (Bayes). A cause whose size is not known is weighed over every size it may have.

Shares are worked out with normal curves whose widths are the standard uncertainties of blades
and micrometers (JCGM 100:2008, 4.3.7) and a feel that differs a little from time to time.
"""

from __future__ import annotations

from collections.abc import Iterable, Iterator, Sequence
from dataclasses import dataclass
from enum import StrEnum
from functools import lru_cache
from itertools import combinations
from math import erf, exp, log, sqrt

import numpy as np
from numpy.typing import NDArray

from plimb.core.chance import USUAL_DOUBT, Doubt, gap_ends
from plimb.core.engine import Side
from plimb.core.gap import Gap
from plimb.core.lengths import mm, show_mm

FEEL_NM = mm("0.005")
"""How far the same hand's feel of the same gap differs from time to time (judgement)."""

STRAY = 1e-9
"""The share of readings that are just wrong: written down, but not what was felt (judgement)."""

FAR_NM = float(mm("5"))
"""Further than any valve is held open."""

TOLD_APART_NM = mm("0.015")
"""Pieces nearer to each other than this are not told apart by a proof."""

CLAIM = 0.5
"""How likely it must be that not all is doubt before a cause is named (judgement)."""

LIKELY = 0.02
"""Causes less likely than this are not listed."""


class Cause(StrEnum):
    """What can be behind a residual."""

    DOUBT = "doubt"
    SWAPPED = "swapped"
    HELD_OPEN = "held-open"
    DIRT = "dirt"
    CAM = "cam"
    MARKING = "marking"
    WRONG_TDC = "wrong-tdc"
    UNKNOWN = "unknown"


HOW_OFTEN: dict[Cause, float] = {
    Cause.DOUBT: 0.87,
    Cause.SWAPPED: 0.02,
    Cause.DIRT: 0.025,
    Cause.CAM: 0.015,
    Cause.MARKING: 0.05,
    Cause.WRONG_TDC: 0.015,
    Cause.UNKNOWN: 0.005,
}
"""How often each is behind a proof, before anything is measured (judgement)."""


@dataclass(frozen=True, slots=True, kw_only=True)
class Proved:
    """One valve that was measured again. Lengths in nanometres.

    `found` is the gap before with `old_nm` in, `proof` the one after with `new_nm`; equal where
    the piece stayed. The doubts are half-widths of each piece's thickness; `by_marking` says
    that the new piece was never measured.
    """

    valve: str
    cylinder: int
    side: Side
    camshaft: str
    found: Gap
    proof: Gap
    old_nm: int
    new_nm: int
    old_doubt_nm: int
    new_doubt_nm: int
    changed: bool
    by_marking: bool = False

    @property
    def predicted(self) -> Gap:
        """The gap that should follow from the change of piece."""
        return self.found.shifted(self.old_nm - self.new_nm)

    @property
    def residual_nm(self) -> int | None:
        """Proof minus prediction, or None where one of them is not known."""
        if self.found.none_found or self.proof.none_found:
            return None
        return self.proof.best_nm - self.predicted.best_nm

    @property
    def before_nm(self) -> int | None:
        """The gap before, worked back from the proof; below zero it was held open."""
        return None if self.proof.none_found else self.proof.best_nm - (self.old_nm - self.new_nm)


@dataclass(frozen=True, slots=True, kw_only=True)
class Explanation:
    """One cause, how it fits against the others, what speaks for it, what to check first."""

    cause: Cause
    valves: tuple[str, ...]
    chance: float
    evidence: str
    check: str


@dataclass(frozen=True, slots=True, kw_only=True)
class Explained:
    """What the proof says. `fine` where doubt alone explains it."""

    fine: bool
    ranked: tuple[Explanation, ...]
    held_open: tuple[Explanation, ...] = ()


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


Shifts = NDArray[np.float64]

SIZES: Shifts = np.linspace(mm("0.02"), mm("0.30"), 29)
"""Sizes that an unknown shift may have, 0.02 to 0.30 mm."""

WIDER: Shifts = np.linspace(mm("0.02"), mm("0.80"), 40)
"""Sizes that anything else may have, 0.02 to 0.80 mm."""


@lru_cache(maxsize=256)
def explain(proved: tuple[Proved, ...], doubt: Doubt = USUAL_DOUBT) -> Explained:
    """Return what explains the proof, the likeliest first; honest where nothing does."""
    usable = [one for one in proved if not one.found.none_found]
    held = tuple(_held_open(proved, doubt))
    if not usable:
        return Explained(fine=not held, ranked=held, held_open=held)
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
        return Explained(fine=not held, ranked=held, held_open=held)
    named = [
        Explanation(
            cause=model.cause,
            valves=model.valves,
            chance=share / wrong,
            evidence=_evidence(model, by_valve),
            check=_first_check(model),
        )
        for model, share in shares
        if model.cause is not Cause.DOUBT and share / wrong >= LIKELY
    ]
    named.sort(key=lambda one: -one.chance)
    return Explained(fine=False, ranked=(*named, *held), held_open=held)


class _Curve:
    """How likely a valve's reading is for each shift of its gap."""

    def __init__(self, one: Proved, doubt: Doubt) -> None:
        low, high = gap_ends(one.found, doubt)
        self.middle = (low + high) / 2 + one.old_nm - one.new_nm
        self.slack = max(high - low, 1.0)
        pieces = one.old_doubt_nm**2 / 3 + one.new_doubt_nm**2 / 3 if one.changed else 0.0
        self.spread = sqrt(pieces + 2 * FEEL_NM**2)
        if one.proof.none_found:
            self.low, self.high = -FAR_NM, float(one.proof.high_nm)
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
    yield _Model(
        cause=Cause.DOUBT, valves=(), weight=HOW_OFTEN[Cause.DOUBT], shifts=np.zeros((1, 0))
    )
    changed = [one for one in proved if one.changed]
    yield from _shared(Cause.SWAPPED, _swaps(changed))
    yield from _shared(Cause.DIRT, (((one.valve,), -SIZES, 0.0) for one in changed))
    either = np.concatenate([SIZES[:14], -SIZES[:14]])
    marked = (one for one in changed if one.by_marking)
    yield from _shared(Cause.MARKING, (((one.valve,), either, 0.0) for one in marked))
    yield from _shared(Cause.CAM, _cams(proved))
    yield from _shared(Cause.WRONG_TDC, _wrong_tdcs(proved))
    anything = np.concatenate([WIDER, -WIDER])
    yield from _shared(Cause.UNKNOWN, (((one.valve,), anything, 0.0) for one in proved))


_Way = tuple[tuple[str, ...], Shifts, float]
"""Valves, by how much each way shifts them (all alike, or a column each), their own spread."""


def _shared(cause: Cause, ways: Iterable[_Way]) -> Iterator[_Model]:
    """Give a model for each, the cause's weight shared evenly among them."""
    found = list(ways)
    for valves, shifts, spread in found:
        if shifts.ndim == 1:
            shifts = np.repeat(shifts[:, None], len(valves), axis=1)
        yield _Model(
            cause=cause,
            valves=valves,
            weight=HOW_OFTEN[cause] / len(found),
            shifts=shifts,
            spread_nm=spread,
        )


def _swaps(changed: Sequence[Proved]) -> Iterator[_Way]:
    """Two pieces changed places: each gap is off by the pieces' difference, both ways."""
    for a, b in combinations(changed, 2):
        if abs(a.new_nm - b.new_nm) >= TOLD_APART_NM:
            by = float(a.new_nm - b.new_nm)
            yield (a.valve, b.valve), np.array([[by, -by]]), 0.0


def _cams(proved: Sequence[Proved]) -> Iterator[_Way]:
    """A cam not at its mark: all its valves are off the same way, if not by the same."""
    for shaft in dict.fromkeys(one.camshaft for one in proved):
        on = tuple(one.valve for one in proved if one.camshaft == shaft)
        if len(on) >= 2:
            yield on, -SIZES, float(mm("0.015"))


def _wrong_tdcs(proved: Sequence[Proved]) -> Iterator[_Way]:
    """Measured at overlap: both sides of one cylinder have next to no gap."""
    for cylinder in dict.fromkeys(one.cylinder for one in proved):
        on = [one for one in proved if one.cylinder == cylinder]
        if len({one.side for one in on}) == 2:
            yield tuple(one.valve for one in on), -WIDER[7:], float(mm("0.06"))


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
            yield Explanation(
                cause=Cause.HELD_OPEN,
                valves=(one.valve,),
                chance=sure,
                evidence=(
                    f"No gap was felt before. Worked back, {show_mm(one.proof.best_nm)} − "
                    f"({show_mm(one.old_nm)} − {show_mm(one.new_nm)}) = {show_mm(before_nm)}: it "
                    f"was held open by {show_mm(-before_nm)}."
                ),
                check="Order by this figure now. A valve held open may be burnt: test its "
                "compression before the engine runs.",
            )


def _off(one: Proved) -> str:
    residual_nm = one.residual_nm
    if residual_nm is None:
        return f"{one.valve} has no gap that can be felt"
    way = "too large" if residual_nm > 0 else "too small"
    return f"{one.valve} is {show_mm(abs(residual_nm))} {way}"


def _evidence(model: _Model, by_valve: dict[str, Proved]) -> str:
    on = [by_valve[valve] for valve in model.valves]
    said = ", ".join(_off(one) for one in on[:6])
    if model.cause is Cause.SWAPPED:
        a, b = on
        return (
            f"{said}; the pieces differ by {show_mm(abs(a.new_nm - b.new_nm))} "
            f"({show_mm(a.new_nm)} and {show_mm(b.new_nm)})."
        )
    if model.cause is Cause.DIRT:
        return f"{said}, and it alone: something lies under the shim, or it does not sit flat."
    if model.cause is Cause.MARKING:
        residual_nm = on[0].residual_nm or 0
        true_nm = on[0].new_nm - residual_nm
        return f"{said}; the piece was never measured and would be {show_mm(true_nm)}."
    if model.cause is Cause.CAM:
        return f"All of {on[0].camshaft} are off the same way: {said}."
    if model.cause is Cause.WRONG_TDC:
        return f"Both sides of cylinder {on[0].cylinder} are off: {said}."
    return f"{said}, by more than the instruments' doubt."


def _first_check(model: _Model) -> str:
    if model.cause is Cause.SWAPPED:
        a, b = model.valves
        return f"Take the pieces of {a} and {b} out and read both."
    return {
        Cause.DIRT: "Lift the bucket, wipe seat and shim, turn the crank twice, measure again.",
        Cause.MARKING: "Take the piece out and measure it.",
        Cause.CAM: "Crank at its mark: are the cam marks level, and is the count of pins right?",
        Cause.WRONG_TDC: "Turn the crank once round to the other top dead centre, measure again.",
        Cause.UNKNOWN: "Measure it again before anything is opened.",
    }[model.cause]
