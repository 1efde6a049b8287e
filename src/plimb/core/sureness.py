"""Sure enough to order? What would help where the proof may not pass, and what it buys."""

from __future__ import annotations

from collections.abc import Iterable
from dataclasses import dataclass
from decimal import Decimal
from enum import StrEnum

from plimb.core.blades import BladeSet, known_from, next_finer
from plimb.core.chance import chance_in_spec, share_below, spread_of
from plimb.core.gap import Gap
from plimb.core.lengths import show_mm
from plimb.core.piece import Source
from plimb.core.plan import Asked, Move, Plan, Seat

SURE = 0.95
"""A proof likelier than this to pass is not talked about (judgement)."""


class Kind(StrEnum):
    """What helps: a finer reading, or the sizes either side on the same order."""

    FINER = "finer"
    EITHER_SIDE = "either-side"


@dataclass(frozen=True, slots=True, kw_only=True)
class Help:
    """One thing that makes a valve's proof likelier to pass.

    `chance` is what it is now, `then` with the help: for a finer reading what is to be
    expected of it. `sizes` are to be ordered besides, `price` for all of them.
    """

    kind: Kind
    valve: str
    chance: float
    then: float
    blade_nm: int | None = None
    sizes: tuple[int, ...] = ()
    price: Decimal | None = None

    def words(self) -> str:
        """Return the advice as a sentence."""
        gain = f"{percent(self.chance)} sure now, {percent(self.then)} with it"
        if self.kind is Kind.FINER:
            return f"Try {show_mm(self.blade_nm or 0)} on {self.valve} before ordering: {gain}."
        sizes = " and ".join(show_mm(size) for size in self.sizes)
        cost = f" for {self.price:f} more" if self.price else ""
        return f"Order {sizes} for {self.valve} too{cost}: {gain}."


def helps(asked: Asked, plan: Plan, blades: BladeSet | None = None) -> tuple[Help, ...]:
    """Return what would help, valve by valve, for every change that is not near certain."""
    found: list[Help] = []
    for seat, move in zip(asked.seats, plan.moves, strict=True):
        if move.chance is None or move.chance >= SURE or not seat.known:
            continue
        offers = (_finer(asked, seat, move, blades), _either_side(asked, seat, move))
        found += [one for one in offers if one is not None and one.then > move.chance + 0.005]
    return tuple(found)


def _finer(asked: Asked, seat: Seat, move: Move, blades: BladeSet | None) -> Help | None:
    """Return what the next blade in between would buy, each answer as likely as its share."""
    gap = seat.gap
    if gap is None or gap.low_nm is None or gap.is_point:
        return None
    tried = next_finer(known_from(gap), seat.clearance.spec.check, blades) if blades else None
    split_nm = tried.thickness_nm if tried else (gap.low_nm + gap.high_nm) // 2
    if not gap.low_nm < split_nm < gap.high_nm:
        return None
    halves = (
        Gap(low_nm=gap.low_nm, high_nm=split_nm, open_above=True),
        Gap(low_nm=split_nm, high_nm=gap.high_nm, open_above=gap.open_above),
    )
    width = gap.high_nm - gap.low_nm
    then = sum(
        (half.high_nm - (half.low_nm or 0)) / width * _best(asked, seat, half) for half in halves
    )
    return Help(
        kind=Kind.FINER,
        valve=move.valve,
        chance=move.chance or 0.0,
        then=then,
        blade_nm=split_nm,
    )


def _best(asked: Asked, seat: Seat, gap: Gap) -> float:
    """Return the best chance that any size to be had, or keeping the piece, would have."""
    assert seat.piece_nm is not None
    check = seat.clearance.spec.check
    thick_nm = seat.piece_nm + gap.high_nm - check.low_nm
    thin_nm = seat.piece_nm + (gap.low_nm or 0) - check.high_nm
    sizes = [size for size in seat.clearance.family.sizes() if thin_nm <= size <= thick_nm]
    return max(_chance(asked, seat, gap, size) for size in (*sizes, seat.piece_nm))


def _chance(asked: Asked, seat: Seat, gap: Gap, size_nm: int) -> float:
    shim_nm = seat.piece_nm or 0
    return chance_in_spec(
        gap,
        shim_nm - size_nm,
        seat.clearance.spec.check,
        doubt=asked.policy.doubt,
        kept=size_nm == shim_nm,
        old_nm=seat.doubt_nm,
    )


def _either_side(asked: Asked, seat: Seat, move: Move) -> Help | None:
    """Return what having the neighbours of a bought size at hand would buy."""
    if move.source is not Source.COUNTER or move.thickness_nm is None:
        return None
    family = seat.clearance.family
    sizes = family.sizes()
    place = sizes.index(move.thickness_nm)
    beside = sizes[max(0, place - 1) : place] + sizes[place + 1 : place + 2]
    alone = any_passes(asked, seat, (move.thickness_nm,))
    # a neighbour that adds nothing is not worth its money
    useful = tuple(
        size
        for size in beside
        if any_passes(asked, seat, (move.thickness_nm, size)) > alone + 0.005
    )
    if not useful:
        return None
    return Help(
        kind=Kind.EITHER_SIDE,
        valve=move.valve,
        chance=move.chance or 0.0,
        then=any_passes(asked, seat, (move.thickness_nm, *useful)),
        sizes=useful,
        price=None if family.price is None else family.price * len(useful),
    )


def any_passes(asked: Asked, seat: Seat, sizes: Iterable[int]) -> float:
    """Return the chance that at least one of the sizes passes the proof.

    Each size is in spec for a range of gaps; the ranges are merged and the gap's share of
    them taken, with one piece's doubt, as if the pieces were off the same way.
    """
    assert seat.gap is not None
    assert seat.piece_nm is not None
    doubt, check = asked.policy.doubt, seat.clearance.spec.check
    middle, width = spread_of(seat.gap, seat.joints, doubt)
    old = doubt.piece_nm if seat.doubt_nm is None else seat.doubt_nm
    widths = (width, 2.0 * old, 2.0 * doubt.piece_nm)
    ranges = sorted(
        (check.low_nm - seat.piece_nm + size, check.high_nm - seat.piece_nm + size)
        for size in sizes
    )
    merged: list[list[int]] = []
    for low, high in ranges:
        if merged and low <= merged[-1][1]:
            merged[-1][1] = max(high, merged[-1][1])
        else:
            merged.append([low, high])
    chance = sum(
        float(share_below(high - middle, widths) - share_below(low - middle - 0.5, widths))
        for low, high in merged
    )
    return min(1.0, max(0.0, chance))


def percent(chance: float) -> str:
    """Return a chance in whole per cent, never rounded up to certainty."""
    return f"{min(99, int(chance * 100)) if chance < 1 else 100} %"
