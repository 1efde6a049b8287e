"""The candidates of the whole-engine plan: which piece may go into which valve.

Rows are valves. Columns are the valves' own pieces, the drawer's, and one counter column a
valve with its best size that can be bought.
"""

from dataclasses import dataclass

import numpy as np

from plimb.core.errors import BadValue
from plimb.core.plan.assignment import Mask, Whole, assign, pack
from plimb.core.plan.levels import LEVELS, Levels
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
    """Everything that does not depend on which camshafts come out, worked out once."""

    def __init__(self, request: PlanRequest) -> None:
        self.request, self.rows = request, request.rows
        self.policy = request.policy
        self.pins = dict(request.pins or {})
        self.known = [at for at, row in enumerate(self.rows) if row.known]
        self.levels = Levels(self.rows, self.policy)
        own = np.array([row.piece_nm or 0 for row in self.rows], dtype=np.int64)
        self._kept = self.levels.kept(request.forbidden)
        self._stock()
        n, m = len(self.rows), len(self.columns)
        thick = np.concatenate([own, np.array([s.thickness_nm for s in self.columns], np.int64)])
        doubt = [row.doubt_nm for row in self.rows] + [one.doubt_nm for one in self.columns]
        every = (n, n + m)
        levels = self.levels.of(
            np.broadcast_to(thick, every), np.broadcast_to(np.array(doubt, np.int64), every)
        )
        allowed = self._may_take(levels, thick)
        counter, counter_allowed = self._counter()
        at_hand = {name: levels[name] for name in LEVELS}
        for name in LEVELS:
            np.fill_diagonal(at_hand[name][:, :n], self._kept[name])
        np.fill_diagonal(allowed[:, :n], True)
        self._prune(at_hand, allowed)
        self._sum = {
            name: np.hstack([at_hand[name][:, self._picked], np.diag(counter[name])])
            for name in LEVELS
        }
        self.allowed: Mask = np.hstack([allowed[:, self._picked], np.diag(counter_allowed)])
        self._pin()
        self.packs = pack([self._sum[name] for name in LEVELS], self.allowed)

    def _stock(self) -> None:
        """Lay out the drawer, pieces of one thickness and family as one column for now."""
        self.columns = list(self.request.drawer) if self.policy.reuse else []
        if not self.policy.reuse:
            wanted = {pin.thickness_nm for pin in self.pins.values() if pin.source is Source.DRAWER}
            self.columns = [s for s in self.request.drawer if s.thickness_nm in wanted]

    def _may_take(self, levels: dict[str, Whole], thick: Whole) -> Mask:
        """Return which valves may take which pieces at hand: same family, sound, of some use."""
        n = len(self.rows)
        kinds = [row.clearance.family.kind for row in self.rows]
        names = {kind: place for place, kind in enumerate(dict.fromkeys(kinds))}
        of_row = np.array([names[kind] for kind in kinds])
        of_column = np.array(
            [*of_row, *(names.get(stock.kind, -1) for stock in self.columns)]  # type: ignore[call-overload]
        )
        there = np.array(
            [s.known and s.condition is Condition.SOUND for s in self.rows]
            + [True] * len(self.columns),
            dtype=bool,
        )
        useful = (levels["bad"] == 0) | (levels["off"] < self._kept["off"][:, None])
        useful &= ~(self.levels.lost & (levels["bad"] == 1))
        known = np.array([row.known for row in self.rows], dtype=bool)[:, None]
        allowed: Mask = (of_row[:, None] == of_column) & there & known & useful
        allowed &= self.policy.reuse
        allowed[:, :n] &= ~self.levels.lost | self._apart_anyway()[None, :]
        for at, row in enumerate(self.rows):
            barred = [nm for valve, nm in self.request.forbidden if valve == row.clearance.id]
            if barred:
                allowed[at] &= ~np.isin(thick, barred)
        assert allowed.shape[0] == n
        return allowed

    def _apart_anyway(self) -> Mask:
        """Return whose pieces are at hand whatever is done for valves without a gap.

        A piece that goes in for now robs no valve that is in spec under a shaft that stays.
        """
        act = self.policy.act
        asking = {row.clearance.camshaft for row in self.rows if row.needs_setting(act)}
        return np.array(
            [
                row.needs_setting(act)
                or (row.clearance.camshaft_out and row.clearance.camshaft in asking)
                for row in self.rows
            ],
            dtype=bool,
        )

    def _with_sizes(self) -> list[int]:
        """Return the known valves of which somebody has said what is made."""
        return [at for at in self.known if self.rows[at].clearance.family.runs]

    def _counter(self) -> tuple[dict[str, Whole], Mask]:
        """Return each valve's best size that can be bought, and for which there is one."""
        n = len(self.rows)
        levels = {name: np.zeros(n, dtype=np.int64) for name in LEVELS}
        allowed: Mask = np.zeros(n, dtype=bool)
        self.bought = [0] * n
        by_family: dict[Family, list[int]] = {}
        for at in self._with_sizes():
            by_family.setdefault(self.rows[at].clearance.family, []).append(at)
        for family, among in by_family.items():
            sizes = np.array(family.sizes(), dtype=np.int64)
            every = (len(among), len(sizes))
            new = np.full(every, self.policy.doubt.bought_nm, dtype=np.int64)
            of = self.levels.of(np.broadcast_to(sizes, every), new, among)
            useful = of["bad"] == 0
            for place, at in enumerate(among):
                valve = self.rows[at].clearance.id
                barred = [nm for name, nm in self.request.forbidden if name == valve]
                if barred:
                    useful[place] &= ~np.isin(sizes, barred)
            rank = np.where(useful, self.levels.rank(of, among), np.iinfo(np.int64).max)
            if self.policy.school.aim is Aim.TIGHT:  # of two equally good the thicker
                best = rank.shape[1] - 1 - rank[:, ::-1].argmin(axis=1)
            else:
                best = rank.argmin(axis=1)
            price = self.levels.money.of(family.price)
            for place, at in enumerate(among):
                take = int(best[place])
                pin = self.pins.get(self.rows[at].clearance.id)
                pinned = pin is not None and pin.source is Source.COUNTER
                if pin is not None and pinned:
                    take = _place_of(pin, sizes, self.rows[at])
                elif not (self.policy.buy and useful[place, take]):
                    continue
                allowed[at] = True
                self.bought[at] = int(sizes[take])
                for name in LEVELS:
                    levels[name][at] = of[name][place, take]
                levels["cost"][at] += price
        return levels, allowed

    def _prune(self, levels: dict[str, Whole], allowed: Mask) -> None:
        """Keep of the drawer what can matter: each valve's n best pieces, by exchange."""
        n, m = len(self.rows), len(self.columns)
        picked = list(range(n))
        self.thick = [row.piece_nm or 0 for row in self.rows]
        self.stock_of: list[int | None] = [None] * n
        if m:
            rank = np.where(allowed[:, n:], self.levels.rank(levels)[:, n:], np.iinfo(np.int64).max)
            if m > n:
                nearest = np.argpartition(rank, n - 1, axis=1)[:, :n]
                wanted = {int(c) for c in np.unique(nearest[np.take_along_axis(
                    allowed[:, n:], nearest, axis=1)])}  # fmt: skip
            else:
                wanted = {int(c) for c in np.flatnonzero(allowed[:, n:].any(axis=0))}
            pinned = {
                (pin.thickness_nm, self.rows[at].clearance.family.kind)
                for at in self.known
                if (pin := self.pins.get(self.rows[at].clearance.id))
                and pin.source is Source.DRAWER
            }
            for column, stock in enumerate(self.columns):
                if column in wanted or (stock.thickness_nm, stock.kind) in pinned:
                    copies = min(stock.count, n)
                    picked += [n + column] * copies
                    self.thick += [stock.thickness_nm] * copies
                    self.stock_of += [column] * copies
        self._picked = picked

    def _pin(self) -> None:
        """Leave each pinned valve just the piece that was decided on."""
        n = len(self.rows)
        self.counter_at = self.allowed.shape[1] - n
        among = {row.clearance.id: at for at, row in enumerate(self.rows)}
        for valve, pin in self.pins.items():
            at = among.get(valve)
            if at is None or not self.rows[at].known:
                raise BadValue(f"valve “{valve}” has no reading to plan with.", field="pins")
            row = self.rows[at]
            kind = row.clearance.family.kind
            may: Mask = np.zeros(self.allowed.shape[1], dtype=bool)
            if pin.source is Source.SAME:
                may[at] = True
            elif pin.source is Source.ENGINE:
                giver = among.get(pin.from_valve or "")
                if giver is not None and self.rows[giver].clearance.family.kind == kind:
                    may[giver] = self.rows[giver].known
            elif pin.source is Source.COUNTER:
                may[self.counter_at + at] = True
            else:
                for place, stock in enumerate(self.stock_of):
                    if stock is not None and self.thick[place] == pin.thickness_nm:
                        may[place] = self.columns[stock].kind == kind
            self.allowed[at] = may

    def _changeable(self, out: frozenset[str]) -> list[int]:
        """Return the valves whose pieces can be changed with these camshafts out."""
        return [
            at
            for at in self.known
            if not self.rows[at].clearance.camshaft_out or self.rows[at].clearance.camshaft in out
        ]

    def forced_out(self) -> frozenset[str]:
        """Return the camshafts that the pinned changes need out."""
        moving = {valve for valve, pin in self.pins.items() if pin.source is not Source.SAME}
        moving |= {pin.from_valve for pin in self.pins.values() if pin.from_valve}
        return frozenset(
            row.clearance.camshaft
            for row in self.rows
            if row.clearance.id in moving and row.clearance.camshaft_out
        )

    def left_at_least(self, out: frozenset[str]) -> tuple[int, ...]:
        """Return how many valves stay bad, or near the edge, whatever is done: a lower bound."""
        among = set(self._changeable(out))
        others = [at for at in range(len(self.rows)) if at not in among]
        return tuple(int(sum(self._kept[name][at] for at in others)) for name in LEVELS[:2])

    def solve(self, out: frozenset[str]) -> Solved | None:
        """Return the best assignment with just these camshafts out, or None for none."""
        among = self._changeable(out)
        n = len(self.rows)
        others = [at for at in range(n) if at not in set(among)]
        if any(
            self.pins.get(self.rows[at].clearance.id, _SAME).source is not Source.SAME
            for at in others
        ):
            return None
        columns = [*among, *range(n, self.counter_at), *(self.counter_at + at for at in among)]
        cells = np.ix_(among, columns)
        found = assign([packed[cells] for packed in self.packs], self.allowed[cells])
        if found is None:
            return None
        taken = {at: columns[place] for at, place in zip(among, found, strict=True)}
        sums = {
            name: int(sum(self._sum[name][at, column] for at, column in taken.items()))
            for name in LEVELS
        }
        for at in others:
            for name in ("bad", "near", "cost", "off"):
                sums[name] += int(self._kept[name][at])
        ordered = [sums[name] for name in LEVELS]
        return Solved(out=out, columns=taken, levels=(*ordered[:2], len(out), *ordered[2:]))

    def is_bad(self, at: int, column: int) -> bool:
        if at == column:
            return bool(self._kept["bad"][at])
        return bool(self._sum["bad"][at, column])


_SAME = Pin(source=Source.SAME, thickness_nm=0)


def _place_of(pin: Pin, sizes: Whole, row: PlanRow) -> int:
    """Return where the pinned size stands among those that can be bought."""
    places = np.flatnonzero(sizes == pin.thickness_nm)
    if not len(places):
        raise BadValue(
            f"The size decided on for {row.clearance.id} is not made in its family.",
            field="pins",
        )
    return int(places[0])
