"""The candidates of the whole-engine plan: which piece may go into which valve.

Rows are valves. Columns are the valves' own pieces, the drawer's, and one counter column a
valve with its best size that can be bought.
"""

from dataclasses import dataclass

import numpy as np

from plimb.core.errors import BadValue
from plimb.core.plan.assignment import Mask, Whole, assign, pack
from plimb.core.plan.by_hand import decided
from plimb.core.plan.for_now import apart_anyway, near_enough
from plimb.core.plan.levels import LEVELS, WEIGHTY, Levels
from plimb.core.plan.request import Pin, PlanRequest
from plimb.core.plan.rows import PlanRow
from plimb.core.shim.family import Family
from plimb.core.shim.shim import Condition, Source
from plimb.core.shim.sum import Aim


@dataclass(frozen=True, slots=True, kw_only=True)
class Solved:
    """The best assignment with these camshafts out: for each row its column."""

    out: frozenset[str]
    levels: tuple[int, ...]
    columns: dict[int, int]


class Candidates:
    """Everything that does not depend on which camshafts come out, worked out once.

    `among` is how many valves choose from the drawer: those of other engines, too, where several
    share it. With `empties` a valve may be left without a shim: where what was decided by hand
    leaves nothing for it.
    """

    def __init__(self, request: PlanRequest, among: int = 0, *, empties: bool = False) -> None:
        self.request, self.rows = request, request.rows
        self._among = max(among, len(request.rows))
        self.policy = request.policy
        kept = {
            row.valve: Pin(source=Source.SAME, thickness_nm=row.piece_nm or 0)
            for row in self.rows
            if row.valve in request.shut and row.known
        }
        self.pins = {**kept, **(request.pins or {})}
        self.empties = empties
        by_hand = {*self.pins, *(pin.from_valve for pin in self.pins.values())}
        self.known = [
            at
            for at, row in enumerate(self.rows)
            if row.known or (row.piece_nm is not None and row.valve in by_hand)
        ]
        self.levels = Levels(self.rows, self.policy, request.left)
        self._kept = self.levels.kept(request.forbidden)
        self._stock()
        own = [row.piece_nm or 0 for row in self.rows]
        thick = np.array([*own, *(column.thickness_nm for column in self.columns)], dtype=np.int64)
        doubt = np.array(
            [row.doubt_nm for row in self.rows] + [column.doubt_nm for column in self.columns],
            np.int64,
        )
        row, column = np.nonzero(
            self._may_take(thick) | decided(self.rows, self.pins, self.columns)
        )
        costs = self.levels.of(row, thick[column], doubt[column])
        self._lay_out(row, column, costs, *self._counter())
        self._blank()
        self._pin()
        self._leave_empty()
        self.packs = pack([self._sum[name] for name in LEVELS], self.allowed)
        most = np.iinfo(np.int64).max
        self._least = {
            name: np.where(self.allowed, self._sum[name], most).min(axis=1) for name in WEIGHTY
        }

    def _lay_out(
        self,
        row: Whole,
        column: Whole,
        costs: dict[str, Whole],
        counter: dict[str, Whole],
        from_counter: Mask,
    ) -> None:
        """Lay the pairs out as matrices: own pieces, those of the drawer that matter, the counter.

        What a valve is left with where its own piece stays stands on the diagonal. `row`, `column`
        and each level of `costs` are of shape (pairs,), `counter` and `from_counter` (valves,).
        """
        n = len(self.rows)
        picked = np.array(self._prune(row, column, costs), dtype=np.int64)
        width = len(picked) + n * (1 + self.empties)
        self.allowed: Mask = np.zeros((n, width), dtype=bool)
        own = np.arange(n)
        places = np.full(n + len(self.columns), -1, dtype=np.int64)
        places[picked[::-1]] = np.arange(len(picked))[::-1]  # the first copy of each
        wanted = places[column] >= 0
        at, place = row[wanted], places[column[wanted]]
        self.allowed[at, place] = True
        self.allowed[own, own] = True
        self.allowed[own, len(picked) + own] = from_counter
        self.counter_at = len(picked)
        copies = places[picked]
        several = len(set(picked.tolist())) < len(picked)
        nothing = np.zeros((n, width), dtype=np.int64)
        self._sum = {}
        for name in LEVELS:
            there = costs[name][wanted]
            if not (there.any() or self._kept[name].any() or counter[name].any()):
                self._sum[name] = nothing
                continue
            self._sum[name] = level = nothing.copy()
            level[at, place] = there
            level[own, own] = self._kept[name]
            if several:
                level[:, : len(picked)] = level[:, copies]
            level[own, len(picked) + own] = counter[name]
        if several:
            self.allowed[:, : len(picked)] = self.allowed[:, copies]

    def _blank(self) -> None:
        """Nothing is known of what a piece gives where there is no full reading."""
        for at in self.known:
            if not self.rows[at].known:
                for name in LEVELS:
                    self._sum[name][at] = self._kept[name][at] = 0

    def _leave_empty(self) -> None:
        """Allow a valve to be left without a shim, last of all where one was decided on."""
        self.empty_at = self.allowed.shape[1]
        if self.empties:
            self.empty_at -= len(self.rows)
            for at in self.known:
                column = self.empty_at + at
                self.allowed[at, column] = True
                self._sum["bad"][at, column] = 10 if self.rows[at].valve in self.pins else 2

    def _stock(self) -> None:
        """Lay out the drawer, pieces of one thickness and family as one column for now."""
        self.columns = list(self.request.drawer) if self.policy.reuse else []
        if not self.policy.reuse:
            wanted = {pin.thickness_nm for pin in self.pins.values() if pin.source is Source.DRAWER}
            self.columns = [s for s in self.request.drawer if s.thickness_nm in wanted]

    def _may_take(self, thick: Whole) -> Mask:
        """Return which valves may take which pieces at hand: same family, sound, of some use.

        `thick` is of shape (valves + drawer,), in nanometres, the mask (valves, valves + drawer).
        """
        n = len(self.rows)
        kinds = [row.clearance.family.kind for row in self.rows]
        names = {kind: place for place, kind in enumerate(dict.fromkeys(kinds))}
        of_row = [names[kind] for kind in kinds]
        of_column = np.array(
            [*of_row, *(names.get(column.kind, -1) for column in self.columns)]  # type: ignore[call-overload]
        )
        there = np.array(
            [row.known and row.condition is Condition.SOUND for row in self.rows]
            + [True] * len(self.columns),
            dtype=bool,
        )
        wrong_by = self.levels.off_by(thick)
        kept_off = np.where(self.levels.lost, 1, self._kept["off"])[:, None]
        known = np.array([row.known for row in self.rows], dtype=bool)[:, None]
        allowed: Mask = (wrong_by <= 0) | (np.maximum(wrong_by, 1) < kept_off)
        allowed &= (np.array(of_row)[:, None] == of_column) & there & known
        if self.levels.lost.any():
            allowed &= near_enough(self.rows, self.levels.enough, thick, buy=self.policy.buy)
        allowed &= self.policy.reuse
        allowed[:, :n] &= (
            ~self.levels.lost[:, None] | apart_anyway(self.rows, self.policy.act)[None, :]
        )
        for at, row in enumerate(self.rows):
            barred = [nm for valve, nm in self.request.forbidden if valve == row.clearance.id]
            if barred:
                allowed[at] &= ~np.isin(thick, barred)
        np.fill_diagonal(allowed[:, :n], False)
        # where enough pieces of the drawer bring a valve in, none that just come closer matter
        brought_in = allowed & (wrong_by <= 0)
        plenty = brought_in[:, n:].sum(axis=1) >= self._among
        allowed[:, n:] = np.where(plenty[:, None], brought_in[:, n:], allowed[:, n:])
        return allowed

    def _with_sizes(self) -> list[int]:
        """Return the known valves of which somebody has said what is made."""
        return [at for at in self.known if self.rows[at].clearance.family.runs]

    def _counter(self) -> tuple[dict[str, Whole], Mask]:
        """Return each valve's best size to be bought, by level, and who has one: (valves,)."""
        n = len(self.rows)
        levels = {name: np.zeros(n, dtype=np.int64) for name in LEVELS}
        allowed: Mask = np.zeros(n, dtype=bool)
        self.bought = [0] * n
        by_family: dict[Family, list[int]] = {}
        for at in self._with_sizes():
            by_family.setdefault(self.rows[at].clearance.family, []).append(at)
        for family, among in by_family.items():
            sizes = np.array(family.sizes(), dtype=np.int64)
            useful = self._useful(among, sizes)
            pair, size = np.nonzero(useful)
            row = np.array(among, dtype=np.int64)[pair]
            new = np.full(len(row), self.policy.doubt.bought_nm, dtype=np.int64)
            of = self.levels.of(row, sizes[size], new)
            rank: Whole = np.full(useful.shape, np.iinfo(np.int64).max, dtype=np.int64)
            rank[pair, size] = self.levels.rank(row, of)
            cells: Whole = np.zeros(useful.shape, dtype=np.int64)
            cells[pair, size] = np.arange(len(row))
            if self.policy.sizing.aim is Aim.TIGHT:  # of two equally good the thicker
                best = rank.shape[1] - 1 - rank[:, ::-1].argmin(axis=1)
            else:
                best = rank.argmin(axis=1)
            price = self.levels.money.of(family.price)
            for nth, at in enumerate(among):
                take = int(best[nth])
                if not useful[nth, take]:
                    continue
                allowed[at] = True
                self.bought[at] = int(sizes[take])
                for name in LEVELS:
                    levels[name][at] = of[name][cells[nth, take]]
                levels["cost"][at] += price
        return levels, allowed

    def _useful(self, among: list[int], sizes: Whole) -> Mask:
        """Return which sizes bring these valves in and may be bought, of shape (among, sizes)."""
        useful: Mask = self.levels.off_by(sizes)[among] <= 0
        for place, at in enumerate(among):
            valve = self.rows[at].clearance.id
            barred = [nm for name, nm in self.request.forbidden if name == valve]
            if barred:
                useful[place] &= ~np.isin(sizes, barred)
            pin = self.pins.get(valve)
            if pin is not None and pin.source is Source.COUNTER:
                useful[place] = False
                useful[place, _place_of(pin, sizes, self.rows[at])] = True
            elif not self.policy.buy:
                useful[place] = False
        return useful

    def _prune(self, row: Whole, column: Whole, levels: dict[str, Whole]) -> list[int]:
        """Keep of the drawer what can matter: each valve's best, as many as valves, by exchange.

        `row`, `column` and each level are of shape (pairs,); pairs come valve by valve.
        """
        n = len(self.rows)
        picked = list(range(n))
        self.thick = [row.piece_nm or 0 for row in self.rows]
        self.stock_of: list[int | None] = [None] * n
        if not self.columns:
            return picked
        rank = self.levels.rank(row, levels)
        drawer = np.flatnonzero(column >= n)
        ends = np.searchsorted(row[drawer], np.arange(n + 1))  # pairs come valve by valve
        wanted: set[int] = set()
        for begin, end in zip(ends[:-1].tolist(), ends[1:].tolist(), strict=True):
            mine = drawer[begin:end]
            best = mine[rank[mine].argsort(kind="stable")[: self._among]]
            wanted.update((column[best] - n).tolist())
        pinned = {
            (pin.thickness_nm, self.rows[at].clearance.family.kind)
            for at in self.known
            if (pin := self.pins.get(self.rows[at].clearance.id)) and pin.source is Source.DRAWER
        }
        if pinned:
            wanted |= {
                place
                for place, stock in enumerate(self.columns)
                if (stock.thickness_nm, stock.kind) in pinned
            }
        for place in sorted(wanted):
            stock = self.columns[place]
            copies = min(stock.count, self._among)
            picked += [n + place] * copies
            self.thick += [stock.thickness_nm] * copies
            self.stock_of += [place] * copies
        return picked

    def _pin(self) -> None:
        """Leave each pinned valve just the piece that was decided on."""
        wide, among = self.allowed.shape[1], {row.valve: at for at, row in enumerate(self.rows)}
        picked = [self.columns[place] for place in self.stock_of if place is not None]
        costs = decided(self.rows, self.pins, picked)
        for valve, pin in self.pins.items():
            at = among.get(valve)
            if at is None or at not in self.known:
                raise BadValue(f"valve “{valve}” has no reading to plan with.", field="pins")
            may: Mask = np.zeros(wide, dtype=bool)
            may[: self.counter_at] = costs[at]
            may[at] = pin.source is Source.SAME
            may[self.counter_at + at] = pin.source is Source.COUNTER
            self.allowed[at] = may

    def _changeable(self, out: frozenset[str]) -> list[int]:
        """Return the valves whose pieces can be changed with these camshafts out."""
        return [
            at
            for at in self.known
            if not self.rows[at].clearance.camshaft_out or self.rows[at].clearance.camshaft in out
        ]

    def forced_out(self) -> frozenset[str]:
        """Return the camshafts that the pinned changes, and what is opened too, need out."""
        moving = {valve for valve, pin in self.pins.items() if pin.source is not Source.SAME}
        moving |= {pin.from_valve for pin in self.pins.values() if pin.from_valve}
        return frozenset(
            row.clearance.camshaft
            for row in self.rows
            if row.clearance.camshaft_out
            and (row.valve in moving or (row.known and row.valve in self.request.opened_too))
        )

    def at_least(self, out: frozenset[str]) -> tuple[int, ...]:
        """Return what the weighty levels add up to at least, whatever is done with these out.

        Each valve by itself does its best at each level, so no assignment is below it.
        """
        among = self._changeable(out)
        others = sorted({*range(len(self.rows))}.difference(among))
        alone = {name: int(self._least[name][among].sum()) for name in WEIGHTY}
        sums = self._with_kept(alone, others, out)
        return tuple(sums[name] for name in WEIGHTY)

    def _with_kept(
        self, sums: dict[str, int], others: list[int], out: frozenset[str]
    ) -> dict[str, int]:
        """Return sums with what valves that cannot be changed mean, and what the work costs."""
        more = {
            name: int(self._kept[name][others].sum())
            for name in sums.keys() & {"bad", "near", "cost", "off"}
        }
        more["cost"] += self.levels.money.shaft_cost * len(out)
        return {name: value + more.get(name, 0) for name, value in sums.items()}

    def cells(self, out: frozenset[str]) -> tuple[list[int], list[int]] | None:
        """Return the rows that choose with just these camshafts out, and the columns they may take.

        None where a piece is decided on for a valve under a camshaft that stays.
        """
        among = self._changeable(out)
        mine = set(among)
        for at, row in enumerate(self.rows):
            if at not in mine and self.pins.get(row.valve, _SAME).source is not Source.SAME:
                return None
        return among, [
            *among,
            *range(len(self.rows), self.counter_at),
            *(self.counter_at + at for at in among),
            *(self.empty_at + at for at in among if self.empties),
        ]

    def at_level(self, name: str) -> Whole:
        """Return what every pair means at a level, of shape (valves, columns)."""
        return self._sum[name]

    def solve(self, out: frozenset[str]) -> Solved | None:
        """Return the best assignment with just these camshafts out, or None for none."""
        chosen = self.cells(out)
        if chosen is None:
            return None
        among, columns = chosen
        cells = np.ix_(among, columns)
        found = assign([packed[cells] for packed in self.packs], self.allowed[cells])
        if found is None:
            return None
        return self.solved(out, dict(zip(among, (columns[place] for place in found), strict=True)))

    def solved(self, out: frozenset[str], taken: dict[int, int]) -> Solved:
        """Return an assignment, of the rows that choose their columns, with what it adds up to."""
        others = [at for at in range(len(self.rows)) if at not in taken]
        at, column = [*taken], [*taken.values()]
        sums = {name: int(self._sum[name][at, column].sum()) for name in LEVELS}
        sums = self._with_kept(sums, others, out)
        ordered = [sums[name] for name in LEVELS]
        after = len(WEIGHTY)
        return Solved(out=out, columns=taken, levels=(*ordered[:after], len(out), *ordered[after:]))

    def is_bad(self, at: int, column: int) -> bool:
        if at == column:
            return bool(self._kept["bad"][at])
        return bool(self._sum["bad"][at, column])


_SAME = Pin(source=Source.SAME, thickness_nm=0)


def _place_of(pin: Pin, sizes: Whole, row: PlanRow) -> int:
    """Return where the pinned size stands among those of the counter, of shape (sizes,)."""
    places = np.flatnonzero(sizes == pin.thickness_nm)
    if not len(places):
        raise BadValue(
            f"The size decided on for {row.clearance.id} is not made in its family.",
            field="pins",
        )
    return int(places[0])
