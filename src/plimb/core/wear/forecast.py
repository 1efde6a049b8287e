"""How fast each valve wears, when the first one reaches its minimum, and which wears oddly.

A valve's stack falls straight with the distance, at a rate about its kind's (SUMS: normal about
normal), and every gap adds what its blades, the hand of that day and the piece are worth:

    gap + piece in the book = stack now − rate · run + hand of the check − error of the piece

All of it is one linear fit, once for each pair on a grid of how far valves differ and how noisy
the readings are, each pair weighed by its evidence. Distances come from draws of the fits, with
a fixed seed: the same past has the same forecast. Floats stay in here; lengths come out in whole
nanometres.
"""

from __future__ import annotations

from collections.abc import Iterator, Mapping, Sequence
from dataclasses import dataclass, field
from decimal import ROUND_FLOOR, Decimal
from enum import StrEnum

import numpy as np

from plimb.core.engine.engine import Clearance
from plimb.core.measure.limits import Verdict, judge
from plimb.core.wear.assortment import LEAST_WANT, Want
from plimb.core.wear.odd import Odd, odd_valves
from plimb.core.wear.rates import Model, Weighed, model_of, posterior
from plimb.core.wear.regression import Floats
from plimb.core.wear.stack import Check, Past, past_of, present_life

DRAWS = 4000
EARLY, LATE = 0.05, 0.95


class CheckReason(StrEnum):
    """What says when the next check is due: at the `edge` a valve may be at its minimum already."""

    WEAR = "wear"
    INTERVAL = "interval"
    EDGE = "edge"
    NOW = "now"
    UNKNOWN = "unknown"


@dataclass(frozen=True, slots=True, kw_only=True)
class Rate:
    """By how much a gap closes in 1,000 of the counter: a 90 % interval. Below 0 it opens."""

    best_nm: int
    low_nm: int
    high_nm: int


@dataclass(frozen=True, slots=True, kw_only=True)
class Reach:
    """How far from the last check on until the minimum is reached: 90 % of it, None for never."""

    best: int | None
    early: int | None
    late: int | None


@dataclass(frozen=True, slots=True, kw_only=True)
class ValveForecast:
    """One valve's past and what comes. Without a rate it was not seen at two distances."""

    valve: str
    past: Past
    rate: Rate | None
    to_minimum: Reach | None
    odd: Odd | None

    @property
    def unusual(self) -> bool:
        """Whether it wears unlike its kind."""
        return self.odd is not None


@dataclass(frozen=True, slots=True, kw_only=True)
class CheckForecast:
    """What the counter says when the next check is due, and why; no figure where unknown."""

    at: int | None
    why: CheckReason
    first: str | None = None


@dataclass(frozen=True, slots=True, kw_only=True)
class Forecast:
    """What the past of an engine says of what comes; valves go by name, in the engine's order."""

    last: Check | None
    checks: tuple[Check, ...]
    valves: tuple[ValveForecast, ...]
    next_check: CheckForecast
    drawn: Drawn | None = field(default=None, compare=False, repr=False)

    @property
    def by_name(self) -> Mapping[str, ValveForecast]:
        """The valves by name."""
        return {valve.valve: valve for valve in self.valves}


def forecast(
    clearances: Sequence[Clearance], checks: Sequence[Check], interval: Decimal | None = None
) -> Forecast:
    """Return what comes, by the checks in order of time.

    Args:
        clearances: The engine's, whose keys the checks go by.
        checks: From the first to the last.
        interval: The maker's, in the counter's unit: no check is put off beyond it.
    """
    life = present_life(checks)[-MOST_CHECKS:]
    past = {clearance.id: past_of(life, clearance.key) for clearance in clearances}
    odd: Mapping[str, Odd] = {}
    drawn: Drawn | None = None
    if any(stack.distances > 1 for stack in past.values()):
        model = model_of(clearances, past)
        believed = posterior(model)
        drawn = _draw(model, believed)
        odd = odd_valves(model, believed)
    valves = tuple(
        ValveForecast(
            valve=clearance.id,
            past=past[clearance.id],
            rate=drawn.rate(clearance.id) if drawn and past[clearance.id].distances > 1 else None,
            to_minimum=drawn.reach(clearance) if drawn else None,
            odd=odd.get(clearance.id),
        )
        for clearance in clearances
    )
    last = life[-1] if life else None
    return Forecast(
        last=last,
        checks=life,
        valves=valves,
        next_check=_next_check(clearances, last, drawn, interval),
        drawn=drawn,
    )


MOST_CHECKS = 12
"""So many of the last checks are reckoned with: older ones say little of today's rate."""


class Drawn:
    """Draws of what may be true: stacks, rates and pieces of every valve together.

    They are of shape (draws, unknowns), in µm.
    """

    def __init__(self, model: Model, draws: Floats) -> None:
        self._model, self._draws = model, draws
        self._place = {valve: place for place, valve in enumerate(model.valves)}

    def _rates(self, valve: str) -> Floats:
        """Return a valve's rate in each draw, of shape (draws,), in µm over the run."""
        found: Floats = self._draws[:, len(self._place) + self._place[valve]]
        return found

    def rate(self, valve: str) -> Rate | None:
        """Return the rate of a valve in nanometres for 1,000 of the counter."""
        if valve not in self._place:
            return None
        scaled = self._rates(valve) * 1e6 / self._model.span
        low, best, high = np.quantile(scaled, (EARLY, 0.5, LATE))
        return Rate(best_nm=round(best), low_nm=round(low), high_nm=round(high))

    def distances(self, one: Clearance) -> Floats | None:
        """Return how far it is until a valve's minimum, infinite where it never comes.

        Of shape (draws,), in units of the counter.
        """
        now = self._model.piece_now(one.id, self._draws)
        if now is None or one.check is None:
            return None
        gap = self._draws[:, self._place[one.id]] - now
        room, rate = gap - one.check.low_nm / 1000, self._rates(one.id)
        with np.errstate(divide="ignore", invalid="ignore"):
            away = np.where(rate > 0, room / rate, np.inf)
        found: Floats = np.where(room <= 0, 0.0, away) * self._model.span
        return found

    def reach(self, one: Clearance) -> Reach | None:
        """Return how far it is until the minimum."""
        away = self.distances(one)
        if away is None:
            return None
        early, best, late = (_at(away, share) for share in (EARLY, 0.5, LATE))
        return Reach(best=best, early=early, late=late)

    def wants(self, one: Clearance, away: float) -> Iterator[Want]:
        """Give the sizes that a valve will want when the engine has run so far, if it wants one.

        It wants one where its gap will be below the range, or in the tightest fifth of it; which,
        brings it nearest the middle. Where its piece is not known nothing can be said.
        """
        now = self._model.piece_now(one.id, self._draws)
        known = self._model.book_now(one.id)
        sizes = np.array(one.family.sizes(), dtype=np.float64) / 1000
        if now is None or known is None or one.check is None or not len(sizes):
            return
        stack = self._draws[:, self._place[one.id]] - self._rates(one.id) * away / self._model.span
        low, high = one.check.low_nm / 1000, one.check.high_nm / 1000
        wanting = stack - now < low + (high - low) / 5
        ideal = stack[wanting] - (low + high) / 2
        chosen = np.abs(ideal[:, None] - sizes[None, :]).argmin(axis=1)
        for place, count in zip(*np.unique(chosen, return_counts=True), strict=True):
            chance = float(count) / len(stack)
            if chance >= LEAST_WANT:
                size_nm = one.family.sizes()[int(place)]
                yield Want(
                    diameter_nm=one.family.diameter_nm, size_nm=size_nm, chance=round(chance, 4)
                )

    def first(self, clearances: Sequence[Clearance]) -> tuple[int | None, str | None]:
        """Return how far until the first valve is at its minimum (5 % point), and which it is."""
        each = {
            clearance.id: away
            for clearance in clearances
            if (away := self.distances(clearance)) is not None
        }
        if not each:
            return None, None
        whole = np.stack(list(each.values()))
        leading = np.bincount(whole.argmin(axis=0), minlength=len(each)).argmax()
        return _at(whole.min(axis=0), EARLY), list(each)[int(leading)]


def _at(away: Floats, share: float) -> int | None:
    """Return the distance that a share of the draws lies below, rounded down.

    `away` is of shape (draws,), in units of the counter, infinite for never.
    """
    place = np.sort(away)[int(share * (len(away) - 1))]
    return None if not np.isfinite(place) or place > FAR else int(place)


FAR = 10_000_000
"""Beyond so much of a counter it is never."""


def _draw(model: Model, believed: Sequence[Weighed]) -> Drawn:
    """Return draws of all the grid's fits, as many of each as it weighs."""
    dice = np.random.default_rng(1)
    parts = []
    for belief in believed:
        count = round(belief.share * DRAWS)
        if count:
            best, factor = belief.fit.best, belief.fit.factor
            spread = np.linalg.solve(factor, dice.standard_normal((len(best), count)))
            parts.append((best[:, None] + spread).T)
    return Drawn(model, np.concatenate(parts))


def _next_check(
    clearances: Sequence[Clearance], last: Check | None, drawn: Drawn | None,
    interval: Decimal | None,
) -> CheckForecast:  # fmt: skip
    """Return when the next check is due: by the wear, and never after the maker's interval."""
    if last is None or last.at is None:
        return CheckForecast(at=None, why=CheckReason.UNKNOWN)
    by_maker = None if interval is None else int(last.at + interval)
    out = [clearance.id for clearance in clearances if _left_out(clearance, last)]
    if out:
        return CheckForecast(at=int(last.at), why=CheckReason.NOW, first=out[0])
    away, first = drawn.first(clearances) if drawn else (None, None)
    by_wear = None if away is None else int((last.at + away).to_integral_value(ROUND_FLOOR))
    if by_wear is not None and (by_maker is None or by_wear < by_maker):
        why = CheckReason.WEAR if by_wear > last.at else CheckReason.EDGE
        return CheckForecast(at=by_wear, why=why, first=first)
    if by_maker is not None:
        return CheckForecast(at=by_maker, why=CheckReason.INTERVAL)
    return CheckForecast(at=None, why=CheckReason.UNKNOWN)


def _left_out(one: Clearance, last: Check) -> bool:
    """Return whether a valve was left too tight."""
    seen = last.valves.get(one.key)
    gap = (seen.left or seen.found) if seen else None
    if gap is None or one.check is None:
        return False
    return judge(gap, one.check) in (Verdict.TIGHT, Verdict.NONE)
