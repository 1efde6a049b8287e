"""Decide the whole engine at once: which piece goes where, and what to buy.

The levels, strictly in this order:

1. valves left out of spec (fewest), then, for a shop that sets valves near the edge, those
   left in the tightest fifth;
2. camshafts taken out (fewest; a follower that needs none counts none);
3. changed valves that end outside the set range where the spec has one;
4. for *touch least*, pieces changed; then money spent at the counter;
5. valves in spec whose piece is changed without need;
6. changes against the shop's rounding, then total distance from the aim, or, with *best
   chance*, the sum of −ln P(in spec);
7. how far valves that cannot be brought in end from spec; then pieces changed.

For every set of camshafts that may come out the rest is one assignment of pieces to valves,
solved exactly; the least over the sets is the plan.
"""

from __future__ import annotations

from collections.abc import Iterator, Mapping, Sequence
from dataclasses import dataclass, field, replace
from itertools import combinations

from plimb.core.chance import USUAL_DOUBT, Doubt, chance_in_spec, filmed
from plimb.core.engine import Clearance
from plimb.core.errors import BadValue
from plimb.core.gap import Gap
from plimb.core.limits import Limits, Verdict, judge
from plimb.core.piece import Condition, Piece, Source
from plimb.core.shim import School, aimed_gap, window
from plimb.core.survey import Act, near_tight_edge


@dataclass(frozen=True, slots=True, kw_only=True)
class Seat:
    """One valve as the plan sees it: its gap as found and the piece that is in, if known.

    `joints` counts where two blades lay on one another when the gap was felt.
    """

    clearance: Clearance
    gap: Gap | None
    piece_nm: int | None
    condition: Condition = Condition.SOUND
    doubt_nm: int | None = None
    joints: int = 0

    @property
    def known(self) -> bool:
        """Whether a sum can be made: the gap is measured and the piece read."""
        return self.gap is not None and self.piece_nm is not None

    @property
    def verdict(self) -> Verdict | None:
        """What the gap as found says against the check range."""
        return judge(self.gap, self.clearance.spec.check) if self.gap else None

    @property
    def steady(self) -> bool:
        """Whether some thickness is in spec for every gap the reading allows."""
        return self.gap is not None and window(self.gap, 0, self.clearance.spec.check) is not None


def seat_of(clearance: Clearance, gap: Gap | None, piece: Piece | None, joints: int = 0) -> Seat:
    """Return one valve as the plan sees it."""
    if piece is None:
        return Seat(clearance=clearance, gap=gap, piece_nm=None, joints=joints)
    doubt_nm = USUAL_DOUBT.marked_nm if piece.from_marking else piece.doubt_nm
    return Seat(
        clearance=clearance,
        gap=gap,
        piece_nm=piece.thickness_nm(),
        condition=piece.condition,
        doubt_nm=doubt_nm,
        joints=joints,
    )


def joints_of(goes: Sequence[object] | None, refuses: Sequence[object] | None) -> int:
    """Return how often two blades lay on one another when the gap was felt."""
    return max(len(goes or ()), len(refuses or ()), 1) - 1


@dataclass(frozen=True, slots=True, kw_only=True)
class Stock:
    """Pieces of one thickness lying in the drawer, of one kind of family."""

    thickness_nm: int
    kind: object
    count: int = 1
    doubt_nm: int | None = None


@dataclass(frozen=True, slots=True, kw_only=True)
class Pin:
    """A piece that a person has decided on for a valve."""

    source: Source
    thickness_nm: int
    from_valve: str | None = None


@dataclass(frozen=True, slots=True, kw_only=True)
class Policy:
    """How a shop decides, and what it may use.

    `reuse` allows pieces from other valves and the drawer, `buy` the counter.
    """

    school: School = field(default_factory=School)
    act: Act = Act.OUT
    reuse: bool = True
    buy: bool = True
    touch_least: bool = False
    doubt: Doubt = USUAL_DOUBT


@dataclass(frozen=True, slots=True, kw_only=True)
class Asked:
    """Everything the plan is made from. A forbidden pair is a valve and a thickness."""

    seats: tuple[Seat, ...]
    drawer: tuple[Stock, ...] = ()
    policy: Policy = field(default_factory=Policy)
    pins: Mapping[str, Pin] | None = None
    forbidden: frozenset[tuple[str, int]] = frozenset()


@dataclass(frozen=True, slots=True, kw_only=True)
class Move:
    """What one valve gets. `gap` is what follows; for a provisional piece, the most it can be."""

    valve: str
    source: Source
    thickness_nm: int | None
    from_valve: str | None
    gap: Gap | None
    in_spec: bool
    chance: float | None
    provisional: bool
    pinned: bool


@dataclass(frozen=True, slots=True, kw_only=True)
class Cannot:
    """A valve left out of spec, and the thicknesses it would need.

    `thick_nm` alone is known where no gap was found; neither where nothing was read.
    """

    valve: str
    thin_nm: int | None
    thick_nm: int | None


@dataclass(frozen=True, slots=True, kw_only=True)
class OrderLine:
    """Pieces of one size to buy; `price` is for one, None where it is not known."""

    thickness_nm: int
    diameter_nm: int | None
    count: int
    price: str | None


@dataclass(frozen=True, slots=True, kw_only=True)
class Plan:
    """The whole engine decided. `optimal` says that the search was carried through.

    `levels` are the sums the plan is the least at, in the order above; the camshafts that
    come out stand in their place among them.
    """

    optimal: bool
    moves: tuple[Move, ...]
    camshafts_out: tuple[str, ...]
    order: tuple[OrderLine, ...]
    cannot: tuple[Cannot, ...]
    levels: tuple[int, ...]

    @property
    def cost(self) -> str:
        """What the counter asks for all of it, as a decimal; unknown prices count nothing."""
        from decimal import Decimal

        total = sum(
            (Decimal(line.price) * line.count for line in self.order if line.price), Decimal(0)
        )
        return f"{total:f}"

    @property
    def chance(self) -> float:
        """The chance that every valve whose piece changes passes the proof, independently.

        A valve that keeps its piece is not proved; one fitted for now is left out.
        """
        product = 1.0
        for move in self.moves:
            if move.chance is not None and move.source is not Source.SAME:
                product *= move.chance
        return product

    def move(self, valve: str) -> Move:
        """Return what that valve gets."""
        return next(move for move in self.moves if move.valve == valve)


def plan_engine(asked: Asked) -> Plan:
    """Return the best plan at every level, proven by trying every set of camshafts.

    Raises:
        BadValue: Two pins want one piece, or a pinned piece is not there.
    """
    from plimb.core.table import Table

    table = Table(asked)
    shafts = tuple(
        dict.fromkeys(
            seat.clearance.camshaft
            for seat in asked.seats
            if seat.clearance.camshaft_out and seat.known
        )
    )
    forced = table.forced_out()
    all_out = table.solve(frozenset(shafts))
    if all_out is None:
        raise BadValue(
            "The pieces decided on cannot all be had: two valves want one piece, or a piece is "
            "not there. Take one of them back.",
            field="pins",
        )
    least = all_out.levels[:2]  # with every camshaft out the most can be brought into spec
    for number in range(len(forced), len(shafts) + 1):
        found = [
            solved
            for out in _sets(shafts, forced, number)
            if table.left_at_least(out) <= least
            and (solved := table.solve(out)) is not None
            and solved.levels[:2] == least
        ]
        if found:
            best = min(found, key=lambda solved: (solved.levels, sorted(solved.out)))
            return table.plan(best)
    return table.plan(all_out)


def _sets(shafts: Sequence[str], forced: frozenset[str], number: int) -> Iterator[frozenset[str]]:
    """Return every set of that many camshafts that holds the forced ones."""
    others = [shaft for shaft in shafts if shaft not in forced]
    for more in combinations(others, number - len(forced)):
        yield forced.union(more)


def alternatives(asked: Asked, best: Plan | None = None) -> dict[str, Plan]:
    """Return the plans of a shop that buys nothing, takes only new pieces, or touches least.

    A `best` plan that buys nothing is the best without buying, too.
    """
    policy = asked.policy
    frugal = best if best is not None and not best.order else None
    return {
        "buy-nothing": frugal or plan_engine(replace(asked, policy=replace(policy, buy=False))),
        "only-new": plan_engine(replace(asked, policy=replace(policy, reuse=False))),
        "touch-least": plan_engine(replace(asked, policy=replace(policy, touch_least=True))),
    }


def needs_setting(seat: Seat, act: Act) -> bool:
    """Return whether a valve asks for another piece for its own sake."""
    if seat.gap is None:
        return False
    check = seat.clearance.spec.check
    if seat.verdict is Verdict.IN:
        near = act is Act.NEAR and near_tight_edge(seat.gap, check)
        return near or seat.condition is Condition.SCRAP
    if seat.verdict is Verdict.UNSETTLED:
        # a blade in between is cheaper than a camshaft: by its best number until then
        return not check.holds(seat.gap.best_nm)
    return True


def aim_of(seat: Seat, school: School, limits: Limits) -> int:
    """Return the gap a changed piece should leave, in nanometres."""
    kept_nm = seat.gap.best_nm if seat.gap else 0
    return aimed_gap(school.aim, seat.clearance.spec, limits, kept_nm)


def chance_of(
    seat: Seat, thickness_nm: int, new_doubt_nm: int | None, policy: Policy, *, kept: bool
) -> float | None:
    """Return the chance that the valve is in spec with that piece, None where no gap was found."""
    if seat.gap is None or seat.gap.none_found:
        return None
    if kept:
        shim_nm = thickness_nm
    elif seat.piece_nm is None:
        return None
    else:
        shim_nm = seat.piece_nm
    return chance_in_spec(
        filmed(seat.gap, seat.joints, policy.doubt),
        shim_nm - thickness_nm,
        seat.clearance.spec.check,
        doubt=policy.doubt,
        kept=kept,
        old_nm=seat.doubt_nm,
        new_nm=new_doubt_nm,
    )
