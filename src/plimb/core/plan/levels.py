"""What every piece means for every valve, level by level, as matrices of whole numbers.

Rows are valves, columns pieces. The smaller a number, the better; earlier levels outweigh all
later ones.
"""

from collections.abc import Sequence

import numpy as np

from plimb.core.measure.gap import point
from plimb.core.measure.limits import Verdict
from plimb.core.measure.uncertainty import chance_in_band
from plimb.core.plan.assignment import Whole
from plimb.core.plan.needs import WhichToSet, near_edge, near_tight_edge
from plimb.core.plan.request import Policy
from plimb.core.plan.rows import PlanRow
from plimb.core.shim.shim import Condition
from plimb.core.shim.sum import Rounding, sought_thickness, window

LOG_SCALE = 1_000_000
LEAST_CHANCE = 1e-12
LEVELS = ("bad", "near", "set", "touched", "money", "needless", "round", "aim", "off", "moved")
"""The names of the levels, the weightiest first; camshafts stand between `near` and `set`."""

_SHIFT = 40

WRONG_WAY_NM = 10_000_000
"""A piece against the shop's rounding is as bad as one this far from the aim: worse than any."""


class Levels:
    """Each valve's reading, limits and aim as columns, and what pieces mean against them."""

    def __init__(self, rows: Sequence[PlanRow], policy: Policy) -> None:
        self.rows, self.policy = rows, policy
        fields: list[tuple[int, ...]] = []
        for row in rows:
            spec = row.spec
            check, target = spec.check, spec.target
            gap, shim_nm = row.gap, row.piece_nm or 0
            if gap is None:
                gap = point(0)
            low = high = t_low = t_high = gap.best_nm
            if gap.low_nm is not None and row.steady:
                low, high = gap.low_nm, gap.high_nm
            if gap.low_nm is not None and window(gap, 0, target) is not None:
                t_low, t_high = gap.low_nm, gap.high_nm
            ideal = sought_thickness(gap, shim_nm, spec, target, policy.school.aim)
            fields.append(
                (low, high, t_low, t_high, gap.best_nm, shim_nm, check.low_nm, check.high_nm,
                 target.low_nm, target.high_nm, ideal)
            )  # fmt: skip
        table = np.array(fields, dtype=np.int64).reshape(len(rows), 11)
        (self.low, self.high, self.t_low, self.t_high, self.best, self.shim, self.check_low,
         self.check_high, self.target_low, self.target_high, self.ideal) = (
            table[:, place : place + 1] for place in range(11)
        )  # fmt: skip
        self.lost = np.array([row.lost for row in rows], dtype=bool)[:, None]
        self.steady_needless = np.array(
            [
                policy.act not in (WhichToSet.ALL, WhichToSet.EVERY)
                and row.verdict is Verdict.IN
                and not row.needs_setting(policy.act)
                for row in rows
            ],
            dtype=np.int64,
        )[:, None]

    def of(self, thick: Whole, among: slice | list[int] = slice(None)) -> dict[str, Whole]:
        """Return what each piece means at every level for the rows, money left out."""
        policy, school = self.policy, self.policy.school
        after = self.shim[among] - thick
        low, high = self.low[among] + after, self.high[among] + after
        best, lost = self.best[among] + after, self.lost[among]
        over = np.maximum(self.check_low[among] - low, high - self.check_high[among])
        # no gap was found: thin enough that one can be felt, were it as large as can be
        enough = self.shim[among] + self.best[among] - self.check_high[among]
        ideal = np.where(lost, enough, self.ideal[among])
        ok = np.where(lost, thick < self.shim[among], over <= 0)
        into_set = (self.t_low[among] + after >= self.target_low[among]) & (
            self.t_high[among] + after <= self.target_high[among]
        )
        near = near_edge(best, self.check_low[among], self.check_high[among])
        away = np.abs(thick - ideal)
        if school.rounding is Rounding.CHANCE:
            away = np.where(lost, away, self._unlikely(thick, among))
        wrong_way = {
            Rounding.THINNER: thick > ideal,
            Rounding.THICKER: (thick < ideal) & ~lost,
        }.get(school.rounding, np.zeros(thick.shape, dtype=bool))
        wrong_way = np.where(lost, thick > ideal, wrong_way)
        ones = np.ones(thick.shape, dtype=np.int64)
        return {
            "bad": (~ok).astype(np.int64),
            "near": (ok & ~lost & near).astype(np.int64) * (policy.act is WhichToSet.NEAR),
            "set": (ok & ~lost & ~into_set).astype(np.int64),
            "touched": self._before_money(
                ones, np.where(lost, 0, away), (ok & wrong_way & ~lost).astype(np.int64)
            ),
            "money": 0 * ones,
            "needless": self.steady_needless[among] * ones,
            "round": (ok & wrong_way).astype(np.int64),
            "aim": np.where(ok, away, 0),
            "off": np.where(ok, 0, np.where(lost, 1, np.maximum(over, 1))),
            "moved": ones,
        }

    def _before_money(self, ones: Whole, away: Whole, wrong_way: Whole) -> Whole:
        """Return what outranks the price: pieces touched, or the way to the aim of every valve."""
        if self.policy.touch_least or self.policy.act is not WhichToSet.EVERY:
            return ones * self.policy.touch_least
        return away + WRONG_WAY_NM * wrong_way

    def _unlikely(self, thick: Whole, among: slice | list[int]) -> Whole:
        """Return −ln of the chance to be in spec, in millionths, by usual piece doubt."""
        doubt = self.policy.doubt
        rows = np.array(self.rows, dtype=object)[among]
        answer = np.zeros(thick.shape)
        for place, row in enumerate(rows):
            if not row.known or row.lost:
                continue
            middle, widths = row.band(doubt.piece_nm, doubt)
            check = row.spec.check
            answer[place] = chance_in_band(
                middle - thick[place], widths, check.low_nm, check.high_nm
            )
        unlikely: Whole = np.rint(-np.log(np.clip(answer, LEAST_CHANCE, 1)) * LOG_SCALE).astype(
            np.int64
        )
        return unlikely

    def kept(self, forbidden: frozenset[tuple[str, int]]) -> dict[str, Whole]:
        """Return what leaving each valve's own piece in means, its camshaft being out."""
        n = len(self.rows)
        kept = {name: np.zeros(n, dtype=np.int64) for name in LEVELS}
        at_own = self.of(self.shim.copy())
        for at, row in enumerate(self.rows):
            act = self.policy.act
            near = act is WhichToSet.NEAR and bool(
                row.gap and near_tight_edge(row.gap, row.spec.check)
            )
            wanted = row.needs_setting(act)
            barred = (row.valve, row.piece_nm) in forbidden
            only_near = near and row.verdict is Verdict.IN
            scrap = row.condition is Condition.SCRAP
            bad = (wanted and (not only_near or scrap)) or barred
            kept["bad"][at] = bad
            kept["near"][at] = only_near
            if bad:
                kept["off"][at] = max(1, int(at_own["off"][at, 0]))
            elif act.sets_with(row.clearance) and row.known:
                for name in ("set", "round", "aim"):
                    kept[name][at] = at_own[name][at, 0]
                if act is WhichToSet.EVERY and not self.policy.touch_least:
                    kept["touched"][at] = at_own["touched"][at, 0]
        return kept


def rank(levels: dict[str, Whole]) -> Whole:
    """Return one number a cell by which a valve would choose among pieces that cost the same."""
    flags = ((levels["bad"] * 2 + levels["near"]) * 2 + levels["set"]) * 2 + levels["round"]
    ranked: Whole = (flags << _SHIFT) + levels["aim"] + levels["off"]
    return ranked
