"""The rungs of a valve's ladder: every piece that can be had near its ideal, with its gap."""

from __future__ import annotations

from dataclasses import dataclass
from heapq import nsmallest

from plimb.core.piece import Condition, Source
from plimb.core.plan import Asked, Move, Plan, Seat, aim_of, chance_of
from plimb.core.shim import Aim, window

AROUND = 2
"""How many sizes from the counter are shown either side of the ideal."""

MOST_AT_HAND = 5
"""How many pieces out of the engine and the drawer are shown, the nearest ones."""


@dataclass(frozen=True, slots=True, kw_only=True)
class Rung:
    """One piece that can be had for a valve. Lengths in nanometres.

    `gap_nm` is the best number of the gap it gives, at most that where no gap was found.
    `goes_to` is the valve that the plan gives it to, this one or another.
    """

    thickness_nm: int
    source: Source
    from_valve: str | None
    count: int
    gap_nm: int
    in_spec: bool
    chance: float | None
    goes_to: str | None
    forbidden: bool


@dataclass(frozen=True, slots=True, kw_only=True)
class _Offer:
    """Something that can be had, before it is weighed for a valve."""

    thickness_nm: int
    source: Source
    from_valve: str | None = None
    count: int = 1
    doubt_nm: int | None = None


def rungs_of(asked: Asked, plan: Plan, seat: Seat) -> tuple[Rung, ...]:
    """Return the pieces for one valve, thinnest first: its own, those at hand, those to buy."""
    if seat.gap is None or seat.piece_nm is None:
        return ()
    target = seat.clearance.spec.target
    school = asked.policy.school
    ideal_nm = seat.gap.best_nm + seat.piece_nm - aim_of(seat, school, target)
    if school.aim is Aim.LEAST:
        ideal_nm = seat.piece_nm
    move = plan.move(seat.clearance.id)
    offers = [
        _Offer(thickness_nm=seat.piece_nm, source=Source.SAME, doubt_nm=seat.doubt_nm),
        *_at_hand(asked, seat, ideal_nm, move),
        *_to_buy(seat, ideal_nm, move),
    ]
    return tuple(
        _rung(asked, plan, seat, offer)
        for offer in sorted(
            offers, key=lambda one: (one.thickness_nm, list(Source).index(one.source))
        )
    )


def _at_hand(asked: Asked, seat: Seat, ideal_nm: int, move: Move) -> list[_Offer]:
    kind = seat.clearance.family.kind
    offers = [
        _Offer(
            thickness_nm=other.piece_nm,
            source=Source.ENGINE,
            from_valve=other.clearance.id,
            doubt_nm=other.doubt_nm,
        )
        for other in asked.seats
        if other is not seat
        and other.piece_nm is not None
        and other.gap is not None
        and other.condition is Condition.SOUND
        and other.clearance.family.kind == kind
    ]
    offers += [
        _Offer(
            thickness_nm=stock.thickness_nm,
            source=Source.DRAWER,
            count=stock.count,
            doubt_nm=stock.doubt_nm,
        )
        for stock in asked.drawer
        if stock.kind == kind
    ]
    near = nsmallest(MOST_AT_HAND, offers, key=lambda one: abs(one.thickness_nm - ideal_nm))
    planned = [one for one in offers if _is(one, move) and one not in near]
    return near + planned


def _to_buy(seat: Seat, ideal_nm: int, move: Move) -> list[_Offer]:
    sizes = seat.clearance.family.sizes()
    thinner = [size for size in sizes if size < ideal_nm][-AROUND:]
    thicker = [size for size in sizes if size > ideal_nm][:AROUND]
    shown = {*thinner, *thicker, *(size for size in sizes if size == ideal_nm)}
    if move.source is Source.COUNTER and move.thickness_nm is not None:
        shown.add(move.thickness_nm)
    return [_Offer(thickness_nm=size, source=Source.COUNTER) for size in shown]


def _is(offer: _Offer, move: Move) -> bool:
    return (offer.source, offer.thickness_nm, offer.from_valve) == (
        move.source,
        move.thickness_nm,
        move.from_valve,
    )


def _rung(asked: Asked, plan: Plan, seat: Seat, offer: _Offer) -> Rung:
    assert seat.gap is not None
    assert seat.piece_nm is not None
    valve = seat.clearance.id
    safe = window(seat.gap, seat.piece_nm, seat.clearance.spec.check)
    takers = [m.valve for m in plan.moves if m.source is not Source.COUNTER and _is(offer, m)]
    mine = _is(offer, plan.move(valve))
    kept = offer.source is Source.SAME
    return Rung(
        thickness_nm=offer.thickness_nm,
        source=offer.source,
        from_valve=offer.from_valve,
        count=offer.count,
        gap_nm=seat.gap.best_nm + seat.piece_nm - offer.thickness_nm,
        in_spec=safe is not None and safe.holds(offer.thickness_nm),
        chance=chance_of(seat, offer.thickness_nm, offer.doubt_nm, asked.policy, kept=kept),
        goes_to=valve if mine else next(iter(takers), None) if not kept else None,
        forbidden=(valve, offer.thickness_nm) in asked.forbidden,
    )
