"""Sure enough to order? What would help where the proof may not pass, and what it buys."""

from collections.abc import Collection, Iterable
from dataclasses import dataclass, replace
from decimal import Decimal
from enum import StrEnum

from plimb.core.measure.blades import BladeSet, between_blades, known_from
from plimb.core.measure.gap import Gap
from plimb.core.measure.limits import Verdict
from plimb.core.measure.uncertainty import chance_in_band
from plimb.core.plan.request import PlanRequest
from plimb.core.plan.result import Move, Plan
from plimb.core.plan.rows import PlanRow, chance_of
from plimb.core.shim.shim import Source
from plimb.core.shim.sum import sizes_around
from plimb.core.words import MILLIMETRES, Units, figure, percent

NEAR_SURE = 0.95
"""A proof likelier than this to pass is not talked about (judgement)."""

OF_THREE = 3
"""A counter that is asked nicely lays so many of a size on the table."""

OFFSETS = 15
"""So many thicknesses that a piece of one marking may really have are averaged over."""


class AdviceKind(StrEnum):
    """What helps, cheapest first.

    A finer reading, measuring pieces and taking the right one of several, the sizes either side on
    the same order, or opening a valve that reads in range on its limit.
    """

    FINER = "finer"
    MEASURE = "measure"
    EITHER_SIDE = "either-side"
    OPEN_TOO = "open-too"


@dataclass(frozen=True, slots=True, kw_only=True)
class Advice:
    """One thing that makes a valve's proof likelier to pass.

    `chance` is what it is now, `then` with the help: for a finer reading what is to be
    expected of it. `sizes` are to be ordered besides, `price` for all of them; `shaft` is the
    camshaft that comes out for a valve that is opened too.
    """

    kind: AdviceKind
    valve: str
    chance: float
    then: float
    blade_nm: int | None = None
    sizes: tuple[int, ...] = ()
    price: Decimal | None = None
    shaft: str | None = None
    units: Units = MILLIMETRES

    @property
    def sentence(self) -> str:
        """The advice as a technician would say it."""
        gain = f"{percent(self.chance)} sure now, {percent(self.then)} with it"
        if self.kind is AdviceKind.FINER:
            blade = f"{figure(self.blade_nm or 0, self.units.gap)} {self.units.gap.of_gaps}"
            return f"Try {blade} on {self.valve} before anything is opened: {gain}."
        if self.kind is AdviceKind.MEASURE:
            of = f"{self.units.shim_figure(self.sizes[0])} for {self.valve}"
            return f"Measure three of {of} and take the right one: {gain}."
        if self.kind is AdviceKind.OPEN_TOO:
            out = f", the {self.shaft} camshaft comes out for it" if self.shaft else ""
            return f"Open {self.valve} too{out}: in range by its reading, but {gain}."
        sizes = " and ".join(self.units.shim_figure(size) for size in self.sizes)
        cost = f" for {self.price:f} more" if self.price else ""
        return f"Order {sizes} for {self.valve} too{cost}: {gain}."


def advise(
    request: PlanRequest,
    plan: Plan,
    blades: BladeSet | None = None,
    units: Units = MILLIMETRES,
) -> tuple[Advice, ...]:
    """Return what would help, valve by valve, for every change that is not near certain.

    Of the valves that stay shut those that are likelier out than the shop takes for sure.
    """
    pairs = list(zip(request.rows, plan.moves, strict=True))
    asking = {row.valve for row in request.rows if row.needs_setting(request.policy.act)}
    # also of valves whose shims nobody has read yet
    out = set(plan.camshafts_out) | {
        row.clearance.camshaft
        for row in request.rows
        if row.valve in asking and row.clearance.camshaft_out
    }
    found: list[Advice | None] = []
    for row, move in pairs:
        is_open = move.changes or row.verdict is not Verdict.IN
        if is_open and row.known and move.chance is not None and move.chance < NEAR_SURE:
            offers = (
                _finer(request, row, move, blades),
                _measure(request, row, move),
                _either_side(request, row, move),
            )
            found += [
                offer for offer in offers if offer and offer.then > move.chance + WORTH_SAYING
            ]
    found += [_open_too(request, out, row, move) for row, move in pairs if row.valve not in asking]
    return tuple(replace(advice, units=units) for advice in found if advice)


WORTH_SAYING = 0.005
"""What makes a proof likelier by no more than this is not spoken of (judgement)."""

WORTH_OPENING = 0.1
"""A valve that reads in range is opened for no less than this in its chance (judgement)."""

PLACES = 8
"""So many places between two sizes that a piece nobody has read may lie at are averaged over."""


def _open_too(
    request: PlanRequest, out: Collection[str], row: PlanRow, move: Move
) -> Advice | None:
    """Return what another piece would buy for a valve that reads in range, and is not sure to be.

    Those under a camshaft that is `out` are looked at anyway.
    """
    shaft = row.clearance.camshaft if row.clearance.camshaft_out else None
    shut = row.valve not in request.opened_too and row.clearance.camshaft not in out
    chance = row.kept_chance(request.policy.doubt)
    if move.changes or not shut or not row.reads_in or chance is None:
        return None
    sizes = row.clearance.family.sizes()
    if chance >= request.policy.sure or len(sizes) < 2:
        return None
    piece_nm = row.piece_nm
    if piece_nm is None:
        middle = len(sizes) // 2
        step_nm = sizes[middle] - sizes[middle - 1]
        pieces = [sizes[middle] + step_nm * n // PLACES for n in range(PLACES)]
    else:
        pieces = [piece_nm]
    assert row.gap is not None
    then = sum(_best(request, replace(row, piece_nm=nm), row.gap) for nm in pieces) / len(pieces)
    if then < chance + WORTH_OPENING:
        return None
    return Advice(kind=AdviceKind.OPEN_TOO, valve=move.valve, chance=chance, then=then, shaft=shaft)


def _finer(
    request: PlanRequest, row: PlanRow, move: Move, blades: BladeSet | None
) -> Advice | None:
    """Return what the next blade in between would buy, each answer as likely as its share."""
    gap = row.gap
    if gap is None or gap.low_nm is None or gap.is_point or blades is None:
        return None
    tried = between_blades(known_from(gap), blades)
    if tried is None or not gap.low_nm < tried.thickness_nm < gap.high_nm:
        return None
    split_nm = tried.thickness_nm
    halves = (
        replace(gap, high_nm=split_nm, open_above=True, called_nm=None),
        replace(gap, low_nm=split_nm, called_nm=None),
    )
    width = gap.high_nm - gap.low_nm
    then = sum(
        (half.high_nm - (half.low_nm or 0)) / width * _best(request, row, half) for half in halves
    )
    return Advice(
        kind=AdviceKind.FINER,
        valve=move.valve,
        chance=move.chance or 0.0,
        then=then,
        blade_nm=split_nm,
    )


def _measure(request: PlanRequest, row: PlanRow, move: Move) -> Advice | None:
    """Return what measuring the piece buys, or of three of a bought size taking the right one.

    The size is what it is marked, more or less; each thickness it may have is as likely.
    """
    doubt, size_nm = request.policy.doubt, move.thickness_nm
    if size_nm is None or move.source is not Source.COUNTER:
        return None
    offsets = [round(move.doubt_nm * (2 * n / (OFFSETS - 1) - 1)) for n in range(OFFSETS)]
    chances = sorted(chance_of(row, size_nm + by, doubt.piece_nm, doubt) or 0.0 for by in offsets)
    best = sum(
        chance * ((n + 1) ** OF_THREE - n**OF_THREE) / OFFSETS**OF_THREE
        for n, chance in enumerate(chances)
    )
    return Advice(
        kind=AdviceKind.MEASURE, valve=move.valve, chance=move.chance or 0.0, then=best,
        sizes=(size_nm,),
    )  # fmt: skip


def _best(request: PlanRequest, row: PlanRow, gap: Gap) -> float:
    """Return the best chance that any size to be had, or keeping the piece, would have."""
    assert row.piece_nm is not None
    check = row.spec.check
    thick_nm = row.piece_nm + gap.high_nm - check.low_nm
    thin_nm = row.piece_nm + (gap.low_nm or 0) - check.high_nm
    sizes = [size for size in row.clearance.family.sizes() if thin_nm <= size <= thick_nm]
    return max(_chance(request, row, gap, size) for size in (*sizes, row.piece_nm))


def _chance(request: PlanRequest, row: PlanRow, gap: Gap, size_nm: int) -> float:
    kept = size_nm == row.piece_nm
    return chance_of(replace(row, gap=gap), size_nm, doubt=request.policy.doubt, kept=kept) or 0.0


def _either_side(request: PlanRequest, row: PlanRow, move: Move) -> Advice | None:
    """Return what having the neighbours of a bought size at hand would buy."""
    if move.source is not Source.COUNTER or move.thickness_nm is None:
        return None
    family = row.clearance.family
    sizes = family.sizes()
    thinner, thicker = sizes_around(sizes, move.thickness_nm)
    alone = any_passes(request, row, (move.thickness_nm,))
    # a neighbour that adds nothing is not worth its money
    useful = tuple(
        size
        for size in (*thinner, *thicker)
        if any_passes(request, row, (move.thickness_nm, size)) > alone + WORTH_SAYING
    )
    if not useful:
        return None
    return Advice(
        kind=AdviceKind.EITHER_SIDE,
        valve=move.valve,
        chance=move.chance or 0.0,
        then=any_passes(request, row, (move.thickness_nm, *useful)),
        sizes=useful,
        price=None if family.price is None else family.price * len(useful),
    )


def any_passes(request: PlanRequest, row: PlanRow, sizes: Iterable[int]) -> float:
    """Return the chance that at least one of the sizes passes the proof.

    Each size is in range for a range of gaps; the ranges are merged and the gap's share of
    them taken, with one piece's doubt, as if the pieces were off the same way.
    """
    assert row.gap is not None
    assert row.piece_nm is not None
    doubt, check = request.policy.doubt, row.spec.check
    middle, widths = row.band(doubt.bought_nm, doubt)
    middle -= row.piece_nm
    ranges = sorted(
        (check.low_nm - row.piece_nm + size, check.high_nm - row.piece_nm + size) for size in sizes
    )
    merged: list[list[int]] = []
    for low, high in ranges:
        if merged and low <= merged[-1][1]:
            merged[-1][1] = max(high, merged[-1][1])
        else:
            merged.append([low, high])
    return min(1.0, sum(float(chance_in_band(middle, widths, low, high)) for low, high in merged))
