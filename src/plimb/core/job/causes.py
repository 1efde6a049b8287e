"""What can be behind a proof that did not come out: one row a cause with all that differs.

How often each happens before anything is measured is judgement.
"""

from collections.abc import Callable, Iterable, Iterator, Sequence
from dataclasses import dataclass
from enum import StrEnum
from itertools import combinations, permutations
from typing import assert_never

import numpy as np
from numpy.typing import NDArray

from plimb.core.job.residuals import Proved
from plimb.core.lengths import mm
from plimb.core.words import figure

TOLD_APART_NM = mm("0.015")
"""Pieces nearer to each other than this are not told apart by a proof."""

SHOWN = 6
"""How many valves a sentence names."""


class Cause(StrEnum):
    """What can be behind a residual."""

    DOUBT = "doubt"
    SWAPPED = "swapped"
    CYCLE = "cycle"
    HELD_OPEN = "held-open"
    DIRT = "dirt"
    CAM = "cam"
    MARKING = "marking"
    WRONG_TDC = "wrong-tdc"
    ALIKE = "alike"
    MISREAD = "misread"
    IMPOSSIBLE = "impossible"
    UNKNOWN = "unknown"


Shifts = NDArray[np.float64]

BLADE: Shifts = np.linspace(mm("0.035"), mm("0.06"), 6)
"""How far a blade of a common set is from the next."""

ALIKE: Shifts = np.linspace(mm("0.012"), mm("0.08"), 18)
"""Sizes that a shift of all valves may have, 0.012 to 0.08 mm."""

ALIKE_SPREAD = float(mm("0.004"))
LIFTED = (-mm("0.30"), -mm("0.15"), -mm("0.05"), mm("0.01"))
"""What is left of a gap at overlap: the valve is open a little, or all but."""

MOST_FOR_FOUR = 8
"""With more pieces changed than these, rings of four are not looked through."""

SIZES: Shifts = np.linspace(mm("0.02"), mm("0.30"), 29)
"""Sizes that an unknown shift may have, 0.02 to 0.30 mm."""

NO_SHIFT: Shifts = np.zeros((1, 0))
"""Nothing is off."""

WIDER: Shifts = np.linspace(mm("0.02"), mm("0.80"), 40)
"""Sizes that anything else may have, 0.02 to 0.80 mm."""

Way = tuple[tuple[str, ...], Shifts, float]
"""Valves, by how much each way shifts them (all alike, or a column each), their own spread."""

Ways = Callable[[Sequence[Proved]], Iterable[Way]]
Words = Callable[[Sequence[Proved]], str]


@dataclass(frozen=True, slots=True, kw_only=True)
class CauseKind:
    """Everything that differs between causes.

    `ways` are the ways it may have gone on this engine; a cause that is not weighed against
    the others has none. `evidence` and `check` are sentences about the valves it is blamed on;
    `put_right` says that it is not left as it is even where every valve is in range.
    """

    name: str
    how_often: float = 0.0
    ways: Ways = lambda _proved: ()
    evidence: Words = lambda _on: ""
    check: Words = lambda _on: ""
    put_right: bool = False


def _off(one: Proved) -> str:
    residual_nm = one.residual_nm
    if residual_nm is None:
        return f"{one.valve} has no gap that can be felt"
    way = "too large" if residual_nm > 0 else "too small"
    return f"{one.valve} is {figure(abs(residual_nm), one.units.gap)} {way}"


def _said(on: Sequence[Proved]) -> str:
    return ", ".join(_off(proof) for proof in on[:SHOWN])


def _changed(proved: Sequence[Proved]) -> list[Proved]:
    return [proof for proof in proved if proof.changed]


def _swaps(proved: Sequence[Proved]) -> Iterator[Way]:
    """Two pieces changed places: each gap is off by the pieces' difference, both ways."""
    for a, b in combinations(_changed(proved), 2):
        if abs(a.new_nm - b.new_nm) >= TOLD_APART_NM:
            by = float(a.new_nm - b.new_nm)
            yield (a.valve, b.valve), np.array([[by, -by]]), 0.0


def _cycles(proved: Sequence[Proved]) -> Iterator[Way]:
    """Three pieces or four in each other's places: each gap is off by what it got instead."""
    changed = _changed(proved)
    rings = [3, 4] if len(changed) <= MOST_FOR_FOUR else [3]
    for many in rings:
        for first, *others in combinations(changed, many):
            for rest in permutations(others):
                ring = (first, *rest)
                got = (*rest, first)
                by = [
                    float(lobe.new_nm - other.new_nm) for lobe, other in zip(ring, got, strict=True)
                ]
                if min(abs(nm) for nm in by) >= TOLD_APART_NM:
                    yield tuple(lobe.valve for lobe in ring), np.array([by]), 0.0


def _alike(proved: Sequence[Proved]) -> Iterator[Way]:
    """Another hand, another set, a warm engine: every valve is off by about the same."""
    if len(proved) >= 3:
        yield tuple(proof.valve for proof in proved), np.concatenate([ALIKE, -ALIKE]), ALIKE_SPREAD


def _misread(proved: Sequence[Proved]) -> Iterator[Way]:
    """Off by about a blade, touched or not; where a piece went in, smaller is dirt's story."""
    either = np.concatenate([BLADE, -BLADE])
    return (((proof.valve,), BLADE if proof.changed else either, 0.0) for proof in proved)


def _cams(proved: Sequence[Proved]) -> Iterator[Way]:
    """A cam not at its mark: all its valves are off the same way, if not by the same."""
    for shaft in dict.fromkeys(proof.camshaft for proof in proved):
        on = tuple(proof.valve for proof in proved if proof.camshaft == shaft)
        if len(on) >= 2:
            yield on, -SIZES[1:], float(mm("0.012"))


def _wrong_tdcs(proved: Sequence[Proved]) -> Iterator[Way]:
    """Measured at overlap: both sides of one cylinder have next to no gap, each of them."""
    for cylinder in dict.fromkeys(proof.cylinder for proof in proved):
        on = [proof for proof in proved if proof.cylinder == cylinder]
        if len({proof.side for proof in on}) == 2:
            left = [float(proof.predicted.best_nm) for proof in on]
            lifted = np.array([[gap - nm for nm in left] for gap in LIFTED])
            yield tuple(proof.valve for proof in on), lifted, float(mm("0.06"))


def _dirt(proved: Sequence[Proved]) -> Iterator[Way]:
    """Something under a shim that was changed: its gap is smaller."""
    return (((proof.valve,), -SIZES, 0.0) for proof in _changed(proved))


def _markings(proved: Sequence[Proved]) -> Iterator[Way]:
    """A piece nobody measured: off either way."""
    either = np.concatenate([SIZES[:14], -SIZES[:14]])
    return (((proof.valve,), either, 0.0) for proof in _changed(proved) if proof.by_marking)


def _anything(proved: Sequence[Proved]) -> Iterator[Way]:
    anything = np.concatenate([WIDER, -WIDER])
    return (((proof.valve,), anything, 0.0) for proof in proved)


def _swapped(on: Sequence[Proved]) -> str:
    a, b = on
    return (
        f"{_said(on)}; the shims differ by {a.units.in_sum(abs(a.new_nm - b.new_nm))} "
        f"({a.units.shim_figure(a.new_nm)} and {a.units.shim_figure(b.new_nm)})."
    )


def _marking(on: Sequence[Proved]) -> str:
    true_nm = on[0].new_nm - (on[0].residual_nm or 0)
    would_be = on[0].units.shim_figure(true_nm)
    return f"{_said(on)}; the shim was never measured and would be {would_be}."


def _held_open(on: Sequence[Proved]) -> str:
    one = on[0]
    before_nm, gap, shim = one.before_nm or 0, one.units.in_sum, one.units.shim_figure
    low, high = one.before_range
    return (
        f"{one.valve}: no gap was felt before. Worked back, {gap(one.proof.best_nm)} − "
        f"({shim(one.old_nm)} − {shim(one.new_nm)}) = {gap(before_nm)}: it "
        f"was held open by {gap(-before_nm)} ({gap(max(0, -high))} to {gap(-low)})."
    )


def _impossible(on: Sequence[Proved]) -> str:
    one = on[0]
    gap, shim = one.units.in_sum, one.units.shim_figure
    return (
        f"Worked back, {gap(one.proof.best_nm)} − ({shim(one.old_nm)} − {shim(one.new_nm)}) = "
        f"{gap(one.before_nm or 0)}, but {gap(one.found.high_nm)} was refused: one of the readings "
        "or shims is not what stands here."
    )


def _in_ring(on: Sequence[Proved]) -> str:
    pieces = ", ".join(proof.units.shim_figure(proof.new_nm) for proof in on)
    return f"{_said(on)}; that is what the shims ({pieces}) give in one another’s places."


DOUBT = CauseKind(name="Within doubt", how_often=0.87, ways=lambda _proved: [((), NO_SHIFT, 0.0)])
SWAPPED = CauseKind(
    name="Two shims changed places",
    how_often=0.02,
    ways=_swaps,
    evidence=_swapped,
    check=lambda on: f"Take the shims of {on[0].valve} and {on[1].valve} out and read both.",
)
CYCLE = CauseKind(
    name="Shims in each other’s places",
    how_often=0.01,
    ways=_cycles,
    evidence=_in_ring,
    check=lambda on: (
        f"Take the shims of {', '.join(proof.valve for proof in on)} out and read them."
    ),
)
ALIKE_ALL = CauseKind(
    name="All off alike",
    how_often=0.02,
    ways=_alike,
    evidence=lambda on: (
        f"All are off the same way: {_said(on)}. That is no valve: it is the measuring."
    ),
    check=lambda _on: (
        "Another hand, another feeler set, or a warm engine? Measure one of them "
        "again with the first set, cold."
    ),
)
MISREAD = CauseKind(
    name="One reading off by about a blade",
    how_often=0.04,
    ways=_misread,
    evidence=lambda on: f"{_said(on)}, about what one blade is from the next.",
    check=lambda _on: "Measure it again before anything is lifted.",
)
IMPOSSIBLE = CauseKind(
    name="A gap that cannot have been",
    evidence=_impossible,
    check=lambda _on: "Measure it again, and read the shim that came out once more.",
)
HELD_OPEN = CauseKind(
    name="Held open before",
    evidence=_held_open,
    check=lambda _on: (
        "Order by this figure now. A valve held open may be burnt: test its "
        "compression before the engine runs."
    ),
)
DIRT = CauseKind(
    name="Dirt, or a shim not seated",
    how_often=0.025,
    ways=_dirt,
    evidence=lambda on: f"{_said(on)}: something lies under the shim, or it does not sit flat.",
    check=lambda _on: "Lift the bucket, wipe seat and shim, turn the crank twice, measure again.",
    put_right=True,
)
CAM = CauseKind(
    name="A cam not at its mark, or a tooth out",
    how_often=0.015,
    ways=_cams,
    evidence=lambda on: f"All of {on[0].camshaft} are off the same way: {_said(on)}.",
    check=lambda _on: "Crank at its mark: are the cam marks level, and is the count of pins right?",
    put_right=True,
)
MARKING = CauseKind(
    name="A shim not what its marking says",
    how_often=0.05,
    ways=_markings,
    evidence=_marking,
    check=lambda _on: "Take the shim out and measure it.",
)
WRONG_TDC = CauseKind(
    name="Measured at the wrong top dead centre",
    how_often=0.015,
    ways=_wrong_tdcs,
    evidence=lambda on: f"Both sides of cylinder {on[0].cylinder} are off: {_said(on)}.",
    check=lambda _on: "Turn the crank once round to the other top dead centre, measure again.",
)
UNKNOWN = CauseKind(
    name="Nothing known explains it",
    how_often=0.005,
    ways=_anything,
    evidence=lambda on: f"{_said(on)}, by more than the instruments' doubt.",
    check=lambda _on: "Measure it again before anything is opened.",
)


def kind_of(cause: Cause) -> CauseKind:  # noqa: C901 - one row a cause
    """Return the row of a cause."""
    match cause:
        case Cause.DOUBT:
            return DOUBT
        case Cause.SWAPPED:
            return SWAPPED
        case Cause.CYCLE:
            return CYCLE
        case Cause.ALIKE:
            return ALIKE_ALL
        case Cause.MISREAD:
            return MISREAD
        case Cause.IMPOSSIBLE:
            return IMPOSSIBLE
        case Cause.HELD_OPEN:
            return HELD_OPEN
        case Cause.DIRT:
            return DIRT
        case Cause.CAM:
            return CAM
        case Cause.MARKING:
            return MARKING
        case Cause.WRONG_TDC:
            return WRONG_TDC
        case Cause.UNKNOWN:
            return UNKNOWN
        case _:
            assert_never(cause)
