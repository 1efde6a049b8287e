"""The table behind the whole-engine plan: what every piece would mean for every valve.

Rows are valves. Columns are the valves' own pieces, the drawer's, and one counter column a
valve with its best size that can be bought.
"""

from __future__ import annotations

from collections.abc import Iterable
from dataclasses import dataclass

import numpy as np

from plimb.core.assignment import Mask, Whole, assign, pack
from plimb.core.chance import share_below, spread_of
from plimb.core.errors import BadValue
from plimb.core.family import Family
from plimb.core.gap import Gap, point
from plimb.core.limits import Verdict, judge
from plimb.core.piece import Condition, Source
from plimb.core.plan import (
    Asked,
    Cannot,
    Move,
    OrderLine,
    Pin,
    Plan,
    Seat,
    aim_of,
    chance_of,
    needs_setting,
)
from plimb.core.shim import Aim, Rounding, window
from plimb.core.survey import Act, near_tight_edge

PRICE_SCALE = 10_000
LOG_SCALE = 1_000_000
LEAST_CHANCE = 1e-12
_SHIFT = 40
LEVELS = ("bad", "near", "set", "touched", "money", "needless", "round", "aim", "off", "moved")
"""The names of the levels, the weightiest first; camshafts stand between `near` and `set`."""


@dataclass(frozen=True, slots=True, kw_only=True)
class Solved:
    """The best assignment with these camshafts out: for each row its column."""

    out: frozenset[str]
    levels: tuple[int, ...]
    columns: dict[int, int]


class Table:
    """Everything that does not depend on which camshafts come out, worked out once."""

    def __init__(self, asked: Asked) -> None:
        self.asked, self.seats = asked, asked.seats
        self.policy = asked.policy
        self.pins = dict(asked.pins or {})
        self.known = [row for row, seat in enumerate(self.seats) if seat.known]
        self._describe_rows()
        own = np.array([seat.piece_nm or 0 for seat in self.seats], dtype=np.int64)
        self._kept = self._kept_levels()
        self._stock()
        n, m = len(self.seats), len(self.columns)
        thick = np.concatenate([own, np.array([s.thickness_nm for s in self.columns], np.int64)])
        levels = self._levels(np.broadcast_to(thick, (n, n + m)))
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

    # rows -------------------------------------------------------------------------------

    def _describe_rows(self) -> None:
        """Lay out each valve's reading, limits and aim as columns of whole numbers."""
        fields: list[tuple[int, ...]] = []
        for seat in self.seats:
            spec = seat.clearance.spec
            check, target = spec.check, spec.target
            gap, shim_nm = seat.gap, seat.piece_nm or 0
            if gap is None:
                gap = point(0)
            low = high = t_low = t_high = gap.best_nm
            if gap.low_nm is not None and seat.steady:
                low, high = gap.low_nm, gap.high_nm
            if gap.low_nm is not None and window(gap, 0, target) is not None:
                t_low, t_high = gap.low_nm, gap.high_nm
            aim = aim_of(seat, self.policy.school, target)
            least = self.policy.school.aim is Aim.LEAST
            ideal = shim_nm if least else gap.best_nm + shim_nm - aim
            fields.append(
                (low, high, t_low, t_high, gap.best_nm, shim_nm, check.low_nm, check.high_nm,
                 target.low_nm, target.high_nm, ideal)
            )  # fmt: skip
        table = np.array(fields, dtype=np.int64).reshape(len(self.seats), 11)
        (self.low, self.high, self.t_low, self.t_high, self.best, self.shim, self.check_low,
         self.check_high, self.target_low, self.target_high, self.ideal) = (
            table[:, place : place + 1] for place in range(11)
        )  # fmt: skip
        self.lost = np.array(
            [bool(seat.gap and seat.gap.none_found) for seat in self.seats], dtype=bool
        )[:, None]

    def _levels(self, thick: Whole, rows: slice | list[int] = slice(None)) -> dict[str, Whole]:
        """Return what each piece means at every level for the rows, money left out."""
        policy, school = self.policy, self.policy.school
        after = self.shim[rows] - thick
        low, high = self.low[rows] + after, self.high[rows] + after
        best, lost = self.best[rows] + after, self.lost[rows]
        over = np.maximum(self.check_low[rows] - low, high - self.check_high[rows])
        # no gap was found: thin enough that one can be felt, were it as large as can be
        enough = self.shim[rows] + self.best[rows] - self.check_high[rows]
        ideal = np.where(lost, enough, self.ideal[rows])
        ok = np.where(lost, thick < self.shim[rows], over <= 0)
        into_set = (self.t_low[rows] + after >= self.target_low[rows]) & (
            self.t_high[rows] + after <= self.target_high[rows]
        )
        room = self.check_high[rows] - self.check_low[rows]
        near = (best - self.check_low[rows]) * 5 <= room
        away = np.abs(thick - ideal)
        if school.rounding is Rounding.CHANCE:
            away = np.where(lost, away, self._unlikely(thick, rows))
        wrong_way = {
            Rounding.THINNER: thick > ideal,
            Rounding.THICKER: (thick < ideal) & ~lost,
        }.get(school.rounding, np.zeros(thick.shape, dtype=bool))
        wrong_way = np.where(lost, thick > ideal, wrong_way)
        needless = np.array(
            [
                policy.act is not Act.ALL
                and seat.verdict is Verdict.IN
                and not needs_setting(seat, policy.act)
                for seat in self.seats
            ],
            dtype=np.int64,
        )[:, None][rows]
        ones = np.ones(thick.shape, dtype=np.int64)
        return {
            "bad": (~ok).astype(np.int64),
            "near": (ok & ~lost & near).astype(np.int64) * (policy.act is Act.NEAR),
            "set": (ok & ~lost & ~into_set).astype(np.int64),
            "touched": ones * policy.touch_least,
            "money": 0 * ones,
            "needless": needless * ones,
            "round": (ok & wrong_way).astype(np.int64),
            "aim": np.where(ok, away, 0),
            "off": np.where(ok, 0, np.where(lost, 1, np.maximum(over, 1))),
            "moved": ones,
        }

    def _unlikely(self, thick: Whole, rows: slice | list[int]) -> Whole:
        """Return −ln of the chance to be in spec, in millionths, by usual piece doubt."""
        doubt = self.policy.doubt
        seats = np.array(self.seats, dtype=object)[rows]
        answer = np.zeros(thick.shape)
        for place, seat in enumerate(seats):
            if not seat.known or seat.gap.none_found:
                continue
            centre, width = spread_of(seat.gap, seat.joints, doubt)
            old = doubt.piece_nm if seat.doubt_nm is None else seat.doubt_nm
            middle = centre + seat.piece_nm - thick[place]
            widths = (width, 2.0 * old, 2.0 * doubt.piece_nm)
            check = seat.clearance.spec.check
            answer[place] = share_below(check.high_nm - middle, widths) - share_below(
                check.low_nm - middle - 0.5, widths
            )
        unlikely: Whole = np.rint(-np.log(np.clip(answer, LEAST_CHANCE, 1)) * LOG_SCALE).astype(
            np.int64
        )
        return unlikely

    def _kept_levels(self) -> dict[str, Whole]:
        """Return what leaving each valve's own piece in means, its camshaft being out."""
        n = len(self.seats)
        kept = {name: np.zeros(n, dtype=np.int64) for name in LEVELS}
        at_own = self._levels(self.shim.copy())
        for row, seat in enumerate(self.seats):
            act = self.policy.act
            near = act is Act.NEAR and bool(
                seat.gap and near_tight_edge(seat.gap, seat.clearance.spec.check)
            )
            wanted = needs_setting(seat, act)
            barred = (seat.clearance.id, seat.piece_nm) in self.asked.forbidden
            only_near = near and seat.verdict is Verdict.IN
            scrap = seat.condition is Condition.SCRAP
            bad = (wanted and (not only_near or scrap)) or barred
            kept["bad"][row] = bad
            kept["near"][row] = only_near
            if bad:
                kept["off"][row] = max(1, int(at_own["off"][row, 0]))
            elif act is Act.ALL and seat.clearance.camshaft_out and seat.known:
                for name in ("set", "round", "aim"):
                    kept[name][row] = at_own[name][row, 0]
        return kept

    # columns ----------------------------------------------------------------------------

    def _stock(self) -> None:
        """Lay out the drawer, pieces of one thickness and family as one column for now."""
        self.columns = list(self.asked.drawer) if self.policy.reuse else []
        if not self.policy.reuse:
            wanted = {pin.thickness_nm for pin in self.pins.values() if pin.source is Source.DRAWER}
            self.columns = [s for s in self.asked.drawer if s.thickness_nm in wanted]

    def _may_take(self, levels: dict[str, Whole], thick: Whole) -> Mask:
        """Return which valves may take which pieces at hand: same family, sound, of some use."""
        n = len(self.seats)
        kinds = [seat.clearance.family.kind for seat in self.seats]
        names = {kind: place for place, kind in enumerate(dict.fromkeys(kinds))}
        of_row = np.array([names[kind] for kind in kinds])
        of_column = np.array(
            [*of_row, *(names.get(stock.kind, -1) for stock in self.columns)]  # type: ignore[call-overload]
        )
        there = np.array(
            [s.known and s.condition is Condition.SOUND for s in self.seats]
            + [True] * len(self.columns),
            dtype=bool,
        )
        useful = (levels["bad"] == 0) | (levels["off"] < self._kept["off"][:, None])
        useful &= ~(self.lost & (levels["bad"] == 1))
        known = np.array([seat.known for seat in self.seats], dtype=bool)[:, None]
        allowed: Mask = (of_row[:, None] == of_column) & there & known & useful
        allowed &= self.policy.reuse
        for row, seat in enumerate(self.seats):
            barred = [nm for valve, nm in self.asked.forbidden if valve == seat.clearance.id]
            if barred:
                allowed[row] &= ~np.isin(thick, barred)
        assert allowed.shape[0] == n
        return allowed

    def _counter(self) -> tuple[dict[str, Whole], Mask]:
        """Return each valve's best size that can be bought, and for which there is one."""
        n = len(self.seats)
        levels = {name: np.zeros(n, dtype=np.int64) for name in LEVELS}
        allowed: Mask = np.zeros(n, dtype=bool)
        self.bought = [0] * n
        by_family: dict[Family, list[int]] = {}
        for row in self.known:
            by_family.setdefault(self.seats[row].clearance.family, []).append(row)
        for family, rows in by_family.items():
            sizes = np.array(family.sizes(), dtype=np.int64)
            of = self._levels(np.broadcast_to(sizes, (len(rows), len(sizes))), rows)
            useful = (of["bad"] == 0) & ~self.lost[rows]
            for place, row in enumerate(rows):
                valve = self.seats[row].clearance.id
                barred = [nm for name, nm in self.asked.forbidden if name == valve]
                if barred:
                    useful[place] &= ~np.isin(sizes, barred)
            rank = np.where(useful, _rank(of), np.iinfo(np.int64).max)
            if self.policy.school.aim is Aim.TIGHT:  # of two equally good the thicker
                best = rank.shape[1] - 1 - rank[:, ::-1].argmin(axis=1)
            else:
                best = rank.argmin(axis=1)
            price = PRICE_SCALE if family.price is None else int(family.price * PRICE_SCALE)
            for place, row in enumerate(rows):
                take = int(best[place])
                pin = self.pins.get(self.seats[row].clearance.id)
                pinned = pin is not None and pin.source is Source.COUNTER
                if pin is not None and pinned:
                    take = _place_of(pin, sizes, self.seats[row])
                elif not (self.policy.buy and useful[place, take]):
                    continue
                allowed[row] = True
                self.bought[row] = int(sizes[take])
                for name in LEVELS:
                    levels[name][row] = of[name][place, take]
                levels["money"][row] = price
        return levels, allowed

    def _prune(self, levels: dict[str, Whole], allowed: Mask) -> None:
        """Keep of the drawer what can matter: each valve's n best pieces, by exchange."""
        n, m = len(self.seats), len(self.columns)
        picked = list(range(n))
        self.thick = [seat.piece_nm or 0 for seat in self.seats]
        self.stock_of: list[int | None] = [None] * n
        if m:
            rank = np.where(allowed[:, n:], _rank(levels)[:, n:], np.iinfo(np.int64).max)
            if m > n:
                nearest = np.argpartition(rank, n - 1, axis=1)[:, :n]
                wanted = {int(c) for c in np.unique(nearest[np.take_along_axis(
                    allowed[:, n:], nearest, axis=1)])}  # fmt: skip
            else:
                wanted = {int(c) for c in np.flatnonzero(allowed[:, n:].any(axis=0))}
            pinned = {
                (pin.thickness_nm, self.seats[row].clearance.family.kind)
                for row in self.known
                if (pin := self.pins.get(self.seats[row].clearance.id))
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
        n = len(self.seats)
        self.counter_at = self.allowed.shape[1] - n
        rows = {seat.clearance.id: row for row, seat in enumerate(self.seats)}
        for valve, pin in self.pins.items():
            row = rows.get(valve)
            if row is None or not self.seats[row].known:
                raise BadValue(f"valve “{valve}” has no reading to plan with.", field="pins")
            seat = self.seats[row]
            kind = seat.clearance.family.kind
            may: Mask = np.zeros(self.allowed.shape[1], dtype=bool)
            if pin.source is Source.SAME:
                may[row] = True
            elif pin.source is Source.ENGINE:
                giver = rows.get(pin.from_valve or "")
                if giver is not None and self.seats[giver].clearance.family.kind == kind:
                    may[giver] = self.seats[giver].known
            elif pin.source is Source.COUNTER:
                may[self.counter_at + row] = True
            else:
                for place, stock in enumerate(self.stock_of):
                    if stock is not None and self.thick[place] == pin.thickness_nm:
                        may[place] = self.columns[stock].kind == kind
            self.allowed[row] = may

    # sets of camshafts ------------------------------------------------------------------

    def _rows(self, out: frozenset[str]) -> list[int]:
        """Return the valves whose pieces can be changed with these camshafts out."""
        return [
            row
            for row in self.known
            if not self.seats[row].clearance.camshaft_out
            or self.seats[row].clearance.camshaft in out
        ]

    def forced_out(self) -> frozenset[str]:
        """Return the camshafts that the pinned changes need out."""
        moving = {valve for valve, pin in self.pins.items() if pin.source is not Source.SAME}
        moving |= {pin.from_valve for pin in self.pins.values() if pin.from_valve}
        return frozenset(
            seat.clearance.camshaft
            for seat in self.seats
            if seat.clearance.id in moving and seat.clearance.camshaft_out
        )

    def left_at_least(self, out: frozenset[str]) -> tuple[int, ...]:
        """Return how many valves stay bad, or near the edge, whatever is done: a lower bound."""
        rows = set(self._rows(out))
        others = [row for row in range(len(self.seats)) if row not in rows]
        return tuple(int(sum(self._kept[name][row] for row in others)) for name in LEVELS[:2])

    def solve(self, out: frozenset[str]) -> Solved | None:
        """Return the best assignment with just these camshafts out, or None for none."""
        rows = self._rows(out)
        n = len(self.seats)
        others = [row for row in range(n) if row not in set(rows)]
        if any(
            self.pins.get(self.seats[row].clearance.id, _SAME).source is not Source.SAME
            for row in others
        ):
            return None
        columns = [*rows, *range(n, self.counter_at), *(self.counter_at + row for row in rows)]
        cells = np.ix_(rows, columns)
        found = assign([packed[cells] for packed in self.packs], self.allowed[cells])
        if found is None:
            return None
        taken = {row: columns[place] for row, place in zip(rows, found, strict=True)}
        sums = {
            name: int(sum(self._sum[name][row, column] for row, column in taken.items()))
            for name in LEVELS
        }
        for row in others:
            for name in ("bad", "near", "off"):
                sums[name] += int(self._kept[name][row])
        ordered = [sums[name] for name in LEVELS]
        return Solved(out=out, columns=taken, levels=(*ordered[:2], len(out), *ordered[2:]))

    # the answer -------------------------------------------------------------------------

    def plan(self, solved: Solved) -> Plan:
        """Return the assignment as what each valve gets."""
        moves = [self._move(row, solved.columns.get(row, row)) for row in range(len(self.seats))]
        changed = {
            seat.clearance.camshaft
            for seat, move in zip(self.seats, moves, strict=True)
            if move.source is not Source.SAME and seat.clearance.camshaft_out
        }
        return Plan(
            optimal=True,
            moves=tuple(moves),
            camshafts_out=tuple(
                shaft
                for shaft in dict.fromkeys(seat.clearance.camshaft for seat in self.seats)
                if shaft in solved.out and (shaft in changed or shaft in self.forced_out())
            ),
            order=tuple(self._order(moves)),
            cannot=tuple(
                self._cannot(seat)
                for seat, row in zip(self.seats, range(len(self.seats)), strict=True)
                if self._is_bad(row, solved.columns.get(row, row))
            ),
            levels=solved.levels,
        )

    def _is_bad(self, row: int, column: int) -> bool:
        if row == column:
            return bool(self._kept["bad"][row])
        return bool(self._sum["bad"][row, column])

    def _move(self, row: int, column: int) -> Move:
        seat, n = self.seats[row], len(self.seats)
        thickness_nm: int | None
        from_valve, doubt_nm = None, None
        if column == row:
            source, thickness_nm = Source.SAME, seat.piece_nm
        elif column < n:
            giver = self.seats[column]
            source, thickness_nm = Source.ENGINE, giver.piece_nm
            from_valve, doubt_nm = giver.clearance.id, giver.doubt_nm
        elif column < self.counter_at:
            source, thickness_nm = Source.DRAWER, self.thick[column]
            stock = self.stock_of[column]
            doubt_nm = None if stock is None else self.columns[stock].doubt_nm
        else:
            source, thickness_nm = Source.COUNTER, self.bought[row]
        gap: Gap | None = seat.gap
        if gap and source is not Source.SAME and seat.piece_nm is not None:
            gap = gap.shifted(seat.piece_nm - (thickness_nm or 0))
        return Move(
            valve=seat.clearance.id,
            source=source,
            thickness_nm=thickness_nm,
            from_valve=from_valve,
            gap=gap,
            in_spec=bool(gap and judge(gap, seat.clearance.spec.check) is Verdict.IN),
            chance=chance_of(
                seat, thickness_nm or 0, doubt_nm, self.policy, kept=source is Source.SAME
            ),
            provisional=bool(seat.gap and seat.gap.none_found and source is not Source.SAME),
            pinned=seat.clearance.id in self.pins,
        )

    def _order(self, moves: Iterable[Move]) -> list[OrderLine]:
        """Return what is to be bought, by family and size, thinnest first."""
        lines: dict[tuple[int, int], OrderLine] = {}
        for seat, move in zip(self.seats, moves, strict=True):
            if move.source is not Source.COUNTER or move.thickness_nm is None:
                continue
            family = seat.clearance.family
            key = (family.diameter_nm or 0, move.thickness_nm)
            before = lines[key].count if key in lines else 0
            lines[key] = OrderLine(
                thickness_nm=move.thickness_nm,
                diameter_nm=family.diameter_nm,
                count=before + 1,
                price=None if family.price is None else f"{family.price:f}",
            )
        return [lines[key] for key in sorted(lines)]

    def _cannot(self, seat: Seat) -> Cannot:
        """Return the thicknesses the valve would need, as far as they are known."""
        thin_nm = thick_nm = None
        if seat.gap is not None and seat.piece_nm is not None:
            check = seat.clearance.spec.check
            safe = window(seat.gap, seat.piece_nm, check)
            if safe is not None:
                thin_nm, thick_nm = safe.thin_nm, safe.thick_nm
            elif seat.gap.none_found:
                thick_nm = seat.piece_nm + seat.gap.high_nm - check.low_nm
            else:
                stack_nm = seat.piece_nm + seat.gap.best_nm
                thin_nm, thick_nm = stack_nm - check.high_nm, stack_nm - check.low_nm
        return Cannot(valve=seat.clearance.id, thin_nm=thin_nm, thick_nm=thick_nm)


_SAME = Pin(source=Source.SAME, thickness_nm=0)


def _rank(levels: dict[str, Whole]) -> Whole:
    """Return one number a cell by which a valve would choose among pieces that cost the same."""
    flags = ((levels["bad"] * 2 + levels["near"]) * 2 + levels["set"]) * 2 + levels["round"]
    ranked: Whole = (flags << _SHIFT) + levels["aim"] + levels["off"]
    return ranked


def _place_of(pin: Pin, sizes: Whole, seat: Seat) -> int:
    """Return where the pinned size stands among those that can be bought."""
    places = np.flatnonzero(sizes == pin.thickness_nm)
    if not len(places):
        raise BadValue(
            f"The size decided on for {seat.clearance.id} is not made in its family.",
            field="pins",
        )
    return int(places[0])
