"""What a piece means for a valve, level by level, in whole numbers, for many pairs at once.

The smaller a number, the better; earlier levels outweigh all
later ones.
"""

from collections.abc import Collection, Sequence
from decimal import Decimal
from typing import Any

import numpy as np
from numpy.typing import NDArray

from plimb.core.lengths import mm
from plimb.core.measure.uncertainty import RISK_STEPS, chances_in_bands, gap_ends, risk_of
from plimb.core.plan.assignment import Whole
from plimb.core.plan.needs import near_edge
from plimb.core.plan.request import Policy
from plimb.core.plan.rows import PlanRow
from plimb.core.shim.shim import Condition
from plimb.core.shim.sum import Rounding, sought_thickness

LOG_SCALE = 1_000_000
LEAST_CHANCE = 1e-12
WEIGHTY = ("bad", "near", "set", "touched", "unsure", "lean", "cost")
LEVELS = (*WEIGHTY, "needless", "round", "aim", "off", "moved")
"""The names of the levels, the weightiest first; the number of camshafts stands after `cost`."""

WRONG_WAY_NM = mm("20")
"""A piece against the shop's rounding is as bad as one this far from the aim: worse than any."""

_FIELDS = 10
ROUND_OF_SINGLES = 30
"""Another round costs about as much as so many single pieces: half a day's work (judgement)."""

SHAFT_OF_SINGLES = 10
"""Taking a camshaft out costs about as much as so many single pieces (judgement)."""

MOST_MONEY = 1_000_000
"""No price is reckoned with above this, in hundredths."""

_AWAY_BITS, _COST_BITS = 25, 21

Floats = NDArray[np.float64]


class Levels:
    """Each valve's reading, limits and aim as columns, and what pieces mean against them."""

    def __init__(self, rows: Sequence[PlanRow], policy: Policy, left: Collection[str] = ()) -> None:
        self.rows, self.policy, self.left = rows, policy, left
        fields = [self._row(row) for row in rows]
        table = np.array(fields, dtype=np.int64).reshape(len(rows), _FIELDS)
        (self.low, self.high, self.best, self.shim, self.old, self.check_low, self.check_high,
         self.target_low, self.target_high, self.ideal) = table.T  # fmt: skip
        self.money = Money(rows, policy)
        self.lost = np.array([row.lost for row in rows], dtype=bool)
        self.sums = np.array([row.sums for row in rows], dtype=bool)
        self.aim_first = policy.aim_first
        # a valve that is in range, and would stay in by all that is known, is left alone
        self.left_alone = np.array(
            [
                not self.aim_first and row.left_alone(policy.act, policy.sure, policy.doubt)
                for row in rows
            ],
            dtype=np.int64,
        )
        middle = (self.target_low + self.target_high) // 2
        self.enough = self.shim + self.best - middle
        """For a valve without a gap: brings it to the middle, were it as large as can be."""

    def _row(self, row: PlanRow) -> tuple[int, ...]:
        """Return what is reckoned with of one valve, lengths in nanometres."""
        spec, gap = row.spec, row.gap
        low = high = best = 0
        if gap is not None:
            low = high = best = gap.best_nm
        if row.sums and gap is not None:
            low, high = (round(end) for end in gap_ends(gap, self.policy.doubt, kept=False))
        shim_nm = row.piece_nm or 0
        ideal = shim_nm
        if gap is not None:
            ideal = sought_thickness(gap, shim_nm, spec, spec.target, self.policy.sizing.aim)
        return (low, high, best, shim_nm, row.doubt_nm, spec.check.low_nm, spec.check.high_nm,
                spec.target.low_nm, spec.target.high_nm, ideal)  # fmt: skip

    def off_by(self, thick: Whole) -> Whole:
        """Return for each valve and piece by how much the gap ends outside the check range.

        Nothing, or less, where it is in by its best number; where no gap was found a thinner
        piece is right.

        `thick` is of shape (pieces,), in nanometres; what is returned of (valves, pieces), in
        nanometres, or 0 and 1 where no gap was found.
        """
        best = (self.best + self.shim)[:, None] - thick
        over = np.maximum(self.check_low[:, None] - best, best - self.check_high[:, None])
        misses: Whole = np.where(self.lost[:, None], thick >= self.shim[:, None], over)
        return misses

    def of(self, row: Whole, thick: Whole, doubt: Whole) -> dict[str, Whole]:
        """Return what pieces mean for valves at every level, money left out, pair by pair.

        Args:
            row: Each pair's valve, of shape (pairs,).
            thick: Each pair's piece, in nanometres, of that shape.
            doubt: How far that may be off, either way, in nanometres, of that shape.
        """
        policy, sizing = self.policy, self.policy.sizing
        lost = self.lost[row]
        best = self.best[row] + self.shim[row] - thick
        over = np.maximum(self.check_low[row] - best, best - self.check_high[row])
        ideal = np.where(lost, self.enough[row], self.ideal[row])
        ok = np.where(lost, thick < self.shim[row], over <= 0)
        in_set = (best >= self.target_low[row]) & (best <= self.target_high[row])
        fine = ok & ~lost
        chance = self._chance(row, thick, doubt, fine & self.sums[row], in_set)
        risk = np.where(lost & ok, 0, risk_of(chance))
        near = near_edge(best, self.check_low[row], self.check_high[row])
        away = np.abs(thick - ideal)
        if sizing.rounding is Rounding.CHANCE:
            away = np.where(lost, away, _unlikely(chance))
        wrong_way = {
            Rounding.THINNER: thick > ideal,
            Rounding.THICKER: thick < ideal,
        }.get(sizing.rounding, np.zeros(thick.shape, dtype=bool))
        ones = np.ones(thick.shape, dtype=np.int64)
        leans = self.aim_first or sizing.rounding in (Rounding.THINNER, Rounding.THICKER)
        lean = np.where(fine & wrong_way, WRONG_WAY_NM, 0)
        return {
            "bad": (~ok).astype(np.int64),
            "near": (fine & near).astype(np.int64) * policy.sets_near,
            "set": (fine & ~in_set).astype(np.int64),
            "touched": ones * policy.touch_least,
            "unsure": np.where(fine, np.maximum(0, risk - risk_of(policy.sure)), 0) * leans,
            "lean": lean + np.where(fine, away, 0) * self.aim_first,
            "cost": self.money.at_risk(risk),
            "needless": self.left_alone[row],
            "round": (ok & lost & (thick > ideal)).astype(np.int64),
            "aim": np.where(ok, away, 0),
            "off": np.where(ok, 0, np.where(lost, 1, np.maximum(over, 1))),
            "moved": ones,
        }

    def _chance(
        self,
        row: Whole,
        thick: Whole,
        doubt: Whole,
        wanted: NDArray[np.bool_],
        in_set: NDArray[np.bool_],
    ) -> Floats:
        """Return the chance to be in the range a changed valve is held to, where wanted.

        All are of shape (pairs,), lengths in nanometres.
        """
        least = np.where(in_set, self.target_low[row], self.check_low[row])
        most = np.where(in_set, self.target_high[row], self.check_high[row])
        low, high = self.low[row], self.high[row]
        middle = (low + high) / 2 + self.shim[row] - thick
        reach = (high - low) / 2 + self.old[row] + doubt
        inside = wanted & (least <= middle - reach) & (middle + reach <= most)
        chance: Floats = inside.astype(np.float64)
        some = wanted & (chance == 0) & (least <= middle + reach) & (middle - reach <= most)
        chance[some] = chances_in_bands(
            middle[some],
            ((high - low)[some], 2 * self.old[row][some], 2 * doubt[some]),
            least[some],
            most[some],
        )
        return chance

    def kept(self, forbidden: frozenset[tuple[str, int]]) -> dict[str, Whole]:
        """Return what leaving each valve's own piece in means, its camshaft being out.

        Each level is of shape (valves,).
        """
        n, policy = len(self.rows), self.policy
        kept = {name: np.zeros(n, dtype=np.int64) for name in LEVELS}
        at_own = self.of(np.arange(n), self.shim, np.zeros_like(self.shim))
        for at, row in enumerate(self.rows):
            wanted = row.needs_setting(policy.act)
            only_near = policy.sets_near and row.near_and_in
            scrap = row.condition is Condition.SCRAP
            bad = (wanted and (not only_near or scrap)) or (row.valve, row.piece_nm) in forbidden
            kept["bad"][at] = bad
            kept["near"][at] = only_near
            chance = row.kept_chance(policy.doubt)
            none = chance is None or row.valve in self.left
            risk = RISK_STEPS if bad else 0 if none else int(risk_of(chance or 0))
            kept["cost"][at] = self.money.at_risk(risk)
            if bad:
                kept["off"][at] = max(1, int(at_own["off"][at]))
            elif policy.act.sets_with(row.clearance) and row.known:
                for name in ("set", "aim", "lean"):
                    kept[name][at] = at_own[name][at]
                kept["unsure"][at] = max(0, risk - int(risk_of(policy.sure)))
                if policy.sizing.rounding is Rounding.CHANCE and chance is not None:
                    kept["aim"][at] = kept["lean"][at] = _unlikely(np.array(chance))
        return kept

    def rank(self, row: Whole, levels: dict[str, Whole]) -> Whole:
        """Return one number a pair by which a valve would choose among pieces of one price.

        `row`, each level and what is returned are of shape (pairs,).
        """
        wrong = levels["lean"] >= WRONG_WAY_NM
        flags = (levels["bad"] * 2 + levels["near"]) * 2 + levels["set"]
        first = ((flags << 9) + levels["unsure"]) * 2 + wrong
        # where the aim comes first it is in the lean as well: one of the two is looked at
        away = levels["aim"] + levels["off"]
        cost = (np.minimum(levels["cost"], MOST_MONEY) << 1) + levels["round"]
        ranked: Whole = (((first << _COST_BITS) + cost) << _AWAY_BITS) + away
        if self.aim_first:
            leaning = (((first << _AWAY_BITS) + away) << _COST_BITS) + cost
            ranked = np.where(self.lost[row], ranked, leaning)
        return ranked


def _unlikely(chance: Floats) -> Whole:
    """Return −ln of the chance, in millionths.

    Of the shape of `chance`.
    """
    found: Whole = np.rint(-np.log(np.clip(chance, LEAST_CHANCE, 1)) * LOG_SCALE).astype(np.int64)
    return found


class Money:
    """Prices in hundredths; what is not known is taken as what the others cost, or as one.

    Another round costs the shop `round_cost`, or as much as thirty singles; a camshaft that is
    taken out `shaft_cost`, or as much as ten.
    """

    def __init__(self, rows: Sequence[PlanRow], policy: Policy) -> None:
        prices = [one for row in rows if (one := row.clearance.family.price) is not None]
        self.usual = min(MOST_MONEY, round(max(prices, default=1) * 100))
        self.round_cost = self._work(policy.round_cost, ROUND_OF_SINGLES)
        self.shaft_cost = self._work(policy.shaft_cost, SHAFT_OF_SINGLES)

    def _work(self, said: Decimal | None, singles: int) -> int:
        """Return what a piece of work costs: as said, or as much as so many single pieces."""
        return min(MOST_MONEY, singles * self.usual if said is None else round(said * 100))

    def of(self, price: Decimal | None) -> int:
        """Return what one piece costs."""
        return self.usual if price is None else min(MOST_MONEY, round(price * 100))

    def at_risk(self, risk: Any) -> Any:
        """Return what the chance of another round costs, for steps of risk."""
        return risk * self.round_cost // RISK_STEPS
