"""The rungs of a valve's ladder: every piece that can be had near its ideal, with its gap."""

from __future__ import annotations

from bisect import bisect_left
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


def all_rungs(asked: Asked, plan: Plan) -> dict[str, tuple[Rung, ...]]:
    """Return for each valve the pieces that can be had, thinnest first.

    Its own, those at hand nearest to its ideal, those that can be bought around it, and what
    the plan gives it.
    """
    shelf = _Shelf(asked, plan)
    return {seat.clearance.id: shelf.rungs(seat) for seat in asked.seats}


class _Shelf:
    """Everything at hand, laid out once by family and thickness."""

    def __init__(self, asked: Asked, plan: Plan) -> None:
        self.asked, self.plan = asked, plan
        self.by_kind: dict[object, list[_Offer]] = {}
        for seat in asked.seats:
            whole = seat.piece_nm is not None and seat.gap is not None
            if whole and seat.condition is Condition.SOUND:
                self._lay(
                    seat.clearance.family.kind,
                    _Offer(
                        thickness_nm=seat.piece_nm or 0,
                        source=Source.ENGINE,
                        from_valve=seat.clearance.id,
                        doubt_nm=seat.doubt_nm,
                    ),
                )
        for stock in asked.drawer:
            self._lay(
                stock.kind,
                _Offer(
                    thickness_nm=stock.thickness_nm,
                    source=Source.DRAWER,
                    count=stock.count,
                    doubt_nm=stock.doubt_nm,
                ),
            )
        for offers in self.by_kind.values():
            offers.sort(key=_thickness)
        self.takers: dict[_Key, str] = {}
        for move in plan.moves:
            if move.source is not Source.COUNTER:
                self.takers.setdefault(_key(move), move.valve)

    def _lay(self, kind: object, offer: _Offer) -> None:
        self.by_kind.setdefault(kind, []).append(offer)

    def rungs(self, seat: Seat) -> tuple[Rung, ...]:
        """Return the pieces for one valve, thinnest first."""
        if seat.gap is None or seat.piece_nm is None:
            return ()
        school = self.asked.policy.school
        ideal_nm = seat.gap.best_nm + seat.piece_nm
        ideal_nm -= aim_of(seat, school, seat.clearance.spec.target)
        if school.aim is Aim.LEAST:
            ideal_nm = seat.piece_nm
        move = self.plan.move(seat.clearance.id)
        offers = [
            _Offer(thickness_nm=seat.piece_nm, source=Source.SAME, doubt_nm=seat.doubt_nm),
            *self._at_hand(seat, ideal_nm, move),
            *_to_buy(seat, ideal_nm, move),
        ]
        order = list(Source)
        offers.sort(key=lambda one: (one.thickness_nm, order.index(one.source)))
        return tuple(self._rung(seat, offer, move) for offer in offers)

    def _at_hand(self, seat: Seat, ideal_nm: int, move: Move) -> list[_Offer]:
        """Return the nearest pieces at hand, and the one that the plan takes."""
        lying = self.by_kind.get(seat.clearance.family.kind, [])
        place = bisect_left(lying, ideal_nm, key=_thickness)
        # one more than wanted on each side, the valve's own piece being among them
        about = lying[max(0, place - MOST_AT_HAND - 1) : place + MOST_AT_HAND + 1]
        about = [one for one in about if one.from_valve != seat.clearance.id]
        near = nsmallest(MOST_AT_HAND, about, key=lambda one: abs(one.thickness_nm - ideal_nm))
        if move.source in (Source.ENGINE, Source.DRAWER) and _key(move) not in map(_key, near):
            near += [one for one in lying if _key(one) == _key(move)][:1]
        return near

    def _rung(self, seat: Seat, offer: _Offer, move: Move) -> Rung:
        assert seat.gap is not None
        assert seat.piece_nm is not None
        valve = seat.clearance.id
        safe = window(seat.gap, seat.piece_nm, seat.clearance.spec.check)
        kept = offer.source is Source.SAME
        policy = self.asked.policy
        goes_to = None if kept else self.takers.get(_key(offer))
        return Rung(
            thickness_nm=offer.thickness_nm,
            source=offer.source,
            from_valve=offer.from_valve,
            count=offer.count,
            gap_nm=seat.gap.best_nm + seat.piece_nm - offer.thickness_nm,
            in_spec=safe is not None and safe.holds(offer.thickness_nm),
            chance=chance_of(seat, offer.thickness_nm, offer.doubt_nm, policy, kept=kept),
            goes_to=valve if _key(offer) == _key(move) else goes_to,
            forbidden=(valve, offer.thickness_nm) in self.asked.forbidden,
        )


_Key = tuple[Source, int | None, str | None]


def _key(one: _Offer | Move) -> _Key:
    return (one.source, one.thickness_nm, one.from_valve)


def _thickness(one: _Offer) -> int:
    return one.thickness_nm


def _to_buy(seat: Seat, ideal_nm: int, move: Move) -> list[_Offer]:
    sizes = seat.clearance.family.sizes()
    thinner = [size for size in sizes if size < ideal_nm][-AROUND:]
    thicker = [size for size in sizes if size > ideal_nm][:AROUND]
    shown = {*thinner, *thicker, *(size for size in sizes if size == ideal_nm)}
    if move.source is Source.COUNTER and move.thickness_nm is not None:
        shown.add(move.thickness_nm)
    return [_Offer(thickness_nm=size, source=Source.COUNTER) for size in shown]
