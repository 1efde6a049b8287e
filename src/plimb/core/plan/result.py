"""The plan: what each valve gets, what comes out, what is bought, what cannot be brought in."""

from collections.abc import Iterable
from dataclasses import dataclass, replace
from decimal import Decimal

from plimb.core.measure.gap import Gap
from plimb.core.measure.limits import Verdict, judge
from plimb.core.measure.uncertainty import SURE
from plimb.core.plan.candidates import Candidates, Solved
from plimb.core.plan.chance import engine_chance
from plimb.core.plan.rows import PlanRow, chance_of
from plimb.core.shim.shim import Source
from plimb.core.shim.sum import window


@dataclass(frozen=True, slots=True, kw_only=True)
class Move:
    """What one valve gets. `gap` is what follows; for a provisional piece, the most it can be.

    `in_spec` says that every gap the reading allows is in the check range; `chance` is the chance
    to pass the proof; `doubt_nm` how far the piece may be off. An `empty` valve has given its
    shim away and gets none.
    """

    valve: str
    source: Source
    thickness_nm: int | None
    from_valve: str | None
    gap: Gap | None
    in_spec: bool
    chance: float | None
    provisional: bool
    pinned: bool
    doubt_nm: int = 0
    empty: bool = False

    @property
    def changes(self) -> bool:
        """Whether another piece goes in."""
        return self.source is not Source.SAME


@dataclass(frozen=True, slots=True, kw_only=True)
class Cannot:
    """A valve left out of range, and the thicknesses it would need.

    `thick_nm` alone is known where no gap was found, `thin_nm` alone where nothing refused;
    neither where nothing was read.
    """

    valve: str
    thin_nm: int | None
    thick_nm: int | None


@dataclass(frozen=True, slots=True, kw_only=True)
class OrderLine:
    """Pieces of one size of a family to buy, and for which valves.

    `price` is for one, None where it is not known; `kind` is the family's.
    """

    thickness_nm: int
    diameter_nm: int | None
    count: int
    price: str | None
    valves: tuple[str, ...] = ()
    kind: object = None


@dataclass(frozen=True, slots=True, kw_only=True)
class Plan:
    """The whole engine decided. `optimal` says that the search was carried through.

    `chance` is that of every valve whose piece changes passing the proof, one hand's doubt being
    shared; a valve that keeps its piece is not proved, one fitted for now is left out.
    `levels` are the sums the plan is the least at, in the order above; the camshafts that
    come out stand in their place among them.
    """

    optimal: bool
    moves: tuple[Move, ...]
    camshafts_out: tuple[str, ...]
    order: tuple[OrderLine, ...]
    cannot: tuple[Cannot, ...]
    levels: tuple[int, ...]
    chance: float = 1.0
    sure_at: float = SURE

    @property
    def cost(self) -> str:
        """What the counter asks for all of it, as a decimal; unknown prices count nothing."""
        total = sum(
            (Decimal(line.price) * line.count for line in self.order if line.price), Decimal(0)
        )
        return f"{total:f}"

    @property
    def priced(self) -> bool:
        """Whether the price of all that is bought is known."""
        return all(line.price is not None for line in self.order)

    @property
    def doubtful(self) -> tuple[str, ...]:
        """The valves whose new piece is not sure enough to pass, the least sure first."""
        unsure = [
            (move.chance, move.valve)
            for move in self.moves
            if move.changes and move.chance is not None and move.chance < self.sure_at
        ]
        return tuple(valve for _chance, valve in sorted(unsure))

    @property
    def provisional(self) -> tuple[str, ...]:
        """The valves that get a piece just for now, to be measured with."""
        return tuple(move.valve for move in self.moves if move.provisional)

    @property
    def unknown(self) -> tuple[str, ...]:
        """The valves whose new piece gives nobody knows what: there is no full reading."""
        return tuple(
            move.valve
            for move in self.moves
            if move.changes and move.chance is None and not move.provisional
        )

    @property
    def empty(self) -> tuple[str, ...]:
        """The valves that are left without a shim."""
        return tuple(move.valve for move in self.moves if move.empty)

    @property
    def to_buy(self) -> int:
        """How many pieces are bought."""
        return sum(line.count for line in self.order)

    @property
    def changed(self) -> int:
        """How many valves get another piece."""
        return sum(move.changes for move in self.moves)

    @property
    def out_of_spec(self) -> tuple[str, ...]:
        """The valves that are left out of range."""
        return tuple(impossible.valve for impossible in self.cannot)

    def move(self, valve: str) -> Move:
        """Return what that valve gets."""
        return next(move for move in self.moves if move.valve == valve)


def assemble(of: Candidates, solved: Solved) -> Plan:
    """Return the assignment as what each valve gets."""
    moves = [_move(of, at, solved.columns.get(at, at)) for at in range(len(of.rows))]
    changed = {
        row.clearance.camshaft
        for row, move in zip(of.rows, moves, strict=True)
        if move.source is not Source.SAME and row.clearance.camshaft_out
    }
    return Plan(
        optimal=True,
        moves=tuple(moves),
        camshafts_out=tuple(
            shaft
            for shaft in dict.fromkeys(row.clearance.camshaft for row in of.rows)
            if shaft in solved.out and (shaft in changed or shaft in of.forced_out())
        ),
        order=tuple(_order(of, moves)),
        cannot=tuple(
            _cannot(row)
            for at, row in enumerate(of.rows)
            if of.is_bad(at, solved.columns.get(at, at))
        ),
        levels=solved.levels,
        chance=engine_chance(
            [
                (row, move.thickness_nm or 0, move.doubt_nm, move.chance)
                for row, move in zip(of.rows, moves, strict=True)
                if move.changes and move.chance is not None
            ],
            of.policy.doubt,
        ),
        sure_at=of.policy.sure,
    )


def _move(of: Candidates, at: int, column: int) -> Move:
    row, n = of.rows[at], len(of.rows)
    thickness_nm: int | None
    from_valve, doubt_nm = None, of.policy.doubt.bought_nm
    if column == at:
        source, thickness_nm, doubt_nm = Source.SAME, row.piece_nm, row.doubt_nm
    elif column >= of.empty_at:
        return Move(
            valve=row.valve, source=Source.SAME, thickness_nm=None, from_valve=None, gap=None,
            in_spec=False, chance=None, provisional=False,
            pinned=row.valve in (of.request.pins or {}), empty=True,
        )  # fmt: skip
    elif column < n:
        giver = of.rows[column]
        source, thickness_nm = Source.ENGINE, giver.piece_nm
        from_valve, doubt_nm = giver.valve, giver.doubt_nm
    elif column < of.counter_at:
        source, thickness_nm = Source.DRAWER, of.thick[column]
        stock = of.stock_of[column]
        doubt_nm = doubt_nm if stock is None else of.columns[stock].doubt_nm
    else:
        source, thickness_nm = Source.COUNTER, of.bought[at]
    kept = source is Source.SAME
    gap = row.gap if kept or thickness_nm is None else row.gives(thickness_nm)
    return Move(
        valve=row.valve,
        source=source,
        thickness_nm=thickness_nm,
        from_valve=from_valve,
        gap=gap,
        in_spec=bool(gap and judge(gap, row.spec.check) is Verdict.IN),
        chance=chance_of(row, thickness_nm or 0, doubt_nm, of.policy.doubt, kept=kept),
        provisional=row.lost and not kept,
        pinned=row.valve in (of.request.pins or {}),
        doubt_nm=doubt_nm,
    )


def _order(of: Candidates, moves: Iterable[Move]) -> list[OrderLine]:
    """Return what is to be bought, by family and size, thinnest first."""
    lines: dict[tuple[int, object], OrderLine] = {}
    for row, move in zip(of.rows, moves, strict=True):
        if move.source is not Source.COUNTER or move.thickness_nm is None:
            continue
        family = row.clearance.family
        key = (move.thickness_nm, family.kind)
        line = lines.get(key) or OrderLine(
            thickness_nm=move.thickness_nm,
            diameter_nm=family.diameter_nm,
            count=0,
            price=None if family.price is None else f"{family.price:f}",
            kind=family.kind,
        )
        lines[key] = replace(line, count=line.count + 1, valves=(*line.valves, move.valve))
    return sorted(lines.values(), key=lambda line: (line.diameter_nm or 0, line.thickness_nm))


def _cannot(row: PlanRow) -> Cannot:
    """Return the thicknesses the valve would need, as far as they are known."""
    gap, piece_nm, check = row.gap, row.piece_nm, row.spec.check
    thin_nm = thick_nm = None
    if gap is None or piece_nm is None:
        return Cannot(valve=row.valve, thin_nm=None, thick_nm=None)
    safe = window(gap, piece_nm, check)
    if safe is not None:
        thin_nm, thick_nm = safe.thin_nm, safe.thick_nm
    elif gap.low_nm is None:
        thick_nm = piece_nm + gap.high_nm - check.low_nm
    elif gap.open_ended:
        thin_nm = piece_nm + gap.low_nm - check.high_nm
    else:
        stack_nm = piece_nm + gap.best_nm
        thin_nm, thick_nm = stack_nm - check.high_nm, stack_nm - check.low_nm
    return Cannot(valve=row.valve, thin_nm=thin_nm, thick_nm=thick_nm)
