"""What can be had for a valve: every piece near its ideal, with the gap it gives."""

from bisect import bisect_left
from dataclasses import dataclass, replace
from heapq import nsmallest

from plimb.core.measure.uncertainty import USUAL_DOUBT
from plimb.core.plan.request import PlanRequest
from plimb.core.plan.result import Move, Plan
from plimb.core.plan.rows import PlanRow, chance_of
from plimb.core.shim.shim import Condition, Source
from plimb.core.shim.sum import Window, sizes_around, sought_thickness, window
from plimb.core.words import percent

AROUND = 2
"""How many sizes from the counter are shown either side of the ideal."""

NO_CHANCE = 0.005
"""A chance no larger than this is none worth naming."""

MOST_AT_HAND = 5
"""How many pieces out of the engine and the drawer are shown, the nearest ones."""


@dataclass(frozen=True, slots=True, kw_only=True)
class Option:
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

    @property
    def stands(self) -> str:
        """In a word or two, what the valve would be with this piece in."""
        if self.forbidden:
            return "not this one"
        if self.gap_nm <= 0 and not (self.in_spec or (self.chance or 0) > NO_CHANCE):
            return "holds open"
        if self.chance is None:
            return "at most"
        if self.in_spec:
            return "in range"
        return percent(self.chance) if self.chance > NO_CHANCE else "out"


@dataclass(frozen=True, slots=True, kw_only=True)
class _Offer:
    """Something that can be had, before it is weighed for a valve."""

    thickness_nm: int
    source: Source
    from_valve: str | None = None
    count: int = 1
    doubt_nm: int = USUAL_DOUBT.piece_nm


def all_options(request: PlanRequest, plan: Plan) -> dict[str, tuple[Option, ...]]:
    """Return for each valve the pieces that can be had, thinnest first.

    Its own, those at hand nearest to its ideal, those that can be bought around it, and what
    the plan gives it.
    """
    shelf = _Shelf(request, plan)
    return {row.valve: shelf.options(row) for row in request.rows}


def options_of(request: PlanRequest, plan: Plan, row: PlanRow) -> tuple[Option, ...]:
    """Return the pieces that can be had for one valve, thinnest first; see `all_options`."""
    return _Shelf(request, plan).options(row)


class _Shelf:
    """Everything at hand, laid out once by family and thickness."""

    def __init__(self, request: PlanRequest, plan: Plan) -> None:
        self.request, self.plan = request, plan
        self.by_kind: dict[object, list[_Offer]] = {}
        for row in request.rows:
            whole = row.piece_nm is not None and row.gap is not None
            if whole and row.condition is Condition.SOUND:
                self._lay(
                    row.clearance.family.kind,
                    _Offer(
                        thickness_nm=row.piece_nm or 0,
                        source=Source.ENGINE,
                        from_valve=row.valve,
                        doubt_nm=row.doubt_nm,
                    ),
                )
        for stock in request.drawer:
            self._lay(
                stock.kind,
                _Offer(
                    thickness_nm=stock.thickness_nm,
                    source=Source.DRAWER,
                    count=stock.count,
                    doubt_nm=stock.doubt_nm,
                ),
            )
        self.first: dict[tuple[object, _Key], _Offer] = {}
        for kind, offers in self.by_kind.items():
            offers.sort(key=_thickness)
            for offer in offers:
                self.first.setdefault((kind, _key(offer)), offer)
        self.takers: dict[_Key, str] = {}
        for move in plan.moves:
            if move.source is not Source.COUNTER:
                self.takers.setdefault(_key(move), move.valve)

    def _lay(self, kind: object, offer: _Offer) -> None:
        self.by_kind.setdefault(kind, []).append(offer)

    def options(self, row: PlanRow) -> tuple[Option, ...]:
        """Return the pieces for one valve, thinnest first."""
        if row.gap is None or row.piece_nm is None:
            return ()
        spec, aim = row.spec, self.request.policy.sizing.aim
        ideal_nm = sought_thickness(row.gap, row.piece_nm, spec, spec.target, aim)
        move = self.plan.move(row.valve)
        offers = [
            _Offer(thickness_nm=row.piece_nm, source=Source.SAME, doubt_nm=row.doubt_nm),
            *self._at_hand(row, ideal_nm, move),
            *_to_buy(row, ideal_nm, move),
        ]
        offers = _each_once(offers, move)
        order = list(Source)
        offers.sort(key=lambda one: (one.thickness_nm, order.index(one.source)))
        safe = window(row.gap, row.piece_nm, spec.check)
        return tuple(self._option(row, offer, move, safe) for offer in offers)

    def _at_hand(self, row: PlanRow, ideal_nm: int, move: Move) -> list[_Offer]:
        """Return the nearest pieces at hand, and the one that the plan takes."""
        kind = row.clearance.family.kind
        lying = self.by_kind.get(kind, [])
        place = bisect_left(lying, ideal_nm, key=_thickness)
        # one more than wanted on each side, the valve's own piece being among them
        about = lying[max(0, place - MOST_AT_HAND - 1) : place + MOST_AT_HAND + 1]
        about = [option for option in about if option.from_valve != row.valve]
        near = nsmallest(MOST_AT_HAND, about, key=lambda one: abs(one.thickness_nm - ideal_nm))
        at_hand = move.source in (Source.ENGINE, Source.DRAWER)
        taken = self.first.get((kind, _key(move))) if at_hand else None
        if taken and _key(move) not in map(_key, near):
            near.append(taken)
        return near

    def _option(self, row: PlanRow, offer: _Offer, move: Move, safe: Window | None) -> Option:
        assert row.gap is not None
        assert row.piece_nm is not None
        valve = row.valve
        kept = offer.source is Source.SAME
        doubt = self.request.policy.doubt
        goes_to = None if kept else self.takers.get(_key(offer))
        return Option(
            thickness_nm=offer.thickness_nm,
            source=offer.source,
            from_valve=offer.from_valve,
            count=offer.count,
            gap_nm=row.gap.best_nm + row.piece_nm - offer.thickness_nm,
            in_spec=safe is not None and safe.holds(offer.thickness_nm),
            chance=chance_of(row, offer.thickness_nm, offer.doubt_nm, doubt, kept=kept),
            goes_to=valve if _key(offer) == _key(move) else goes_to,
            forbidden=(valve, offer.thickness_nm) in self.request.forbidden,
        )


_Key = tuple[Source, int | None, str | None]


def _key(one: _Offer | Move) -> _Key:
    return (one.source, one.thickness_nm, one.from_valve)


def _each_once(offers: list[_Offer], move: Move) -> list[_Offer]:
    """Return the pieces with those of one size and place together, however well each is known.

    What the plan takes stands for its size, else the one that is known best.
    """
    found: dict[_Key, _Offer] = {}
    for offer in sorted(offers, key=lambda one: (one.doubt_nm != move.doubt_nm, one.doubt_nm)):
        key = _key(offer)
        there = found.get(key)
        found[key] = offer if there is None else replace(there, count=there.count + offer.count)
    return list(found.values())


def _thickness(one: _Offer) -> int:
    return one.thickness_nm


def _to_buy(row: PlanRow, ideal_nm: int, move: Move) -> list[_Offer]:
    sizes = row.clearance.family.sizes()
    thinner, thicker = sizes_around(sizes, ideal_nm, AROUND)
    shown = {*thinner, *thicker, *(size for size in sizes if size == ideal_nm)}
    if move.source is Source.COUNTER and move.thickness_nm is not None:
        shown.add(move.thickness_nm)
    new_nm = USUAL_DOUBT.bought_nm
    return [
        _Offer(thickness_nm=size, source=Source.COUNTER, doubt_nm=new_nm) for size in sorted(shown)
    ]
