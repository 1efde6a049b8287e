"""When an engine is due: by what was signed, by its wear, by the maker; and on which day."""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from datetime import date, timedelta
from decimal import Decimal
from enum import StrEnum

from plimb.core.engine.engine import Clearance
from plimb.core.engine.machine import Measure
from plimb.core.wear.assortment import Want
from plimb.core.wear.forecast import CheckReason, Forecast
from plimb.core.wear.stack import Check
from plimb.core.words import day_words, grouped

LEAST_DAYS = 30
"""From checks less apart nobody's usual use is told."""
MONTH = timedelta(days=31)


class By(StrEnum):
    """What says when: whoever signed, the wear, the maker, or a valve that was left tight."""

    SIGNED = "signed"
    WEAR = "wear"
    INTERVAL = "interval"
    NOW = "now"


_BY: Mapping[CheckReason, By | None] = {
    CheckReason.WEAR: By.WEAR,
    CheckReason.EDGE: By.WEAR,
    CheckReason.INTERVAL: By.INTERVAL,
    CheckReason.NOW: By.NOW,
    CheckReason.UNKNOWN: None,
}


class When(StrEnum):
    """Where an engine stands in the list of what is due."""

    OVERDUE = "overdue"
    SOON = "soon"
    LATER = "later"
    UNDATED = "undated"


@dataclass(frozen=True, slots=True, kw_only=True)
class Promise:
    """The next check as it was written at the last signature; in the engine's own measure."""

    at: Decimal | None = None
    on: date | None = None


@dataclass(frozen=True, slots=True, kw_only=True)
class Outlook:
    """When an engine is due. `at` is the counter's figure, `on` the day, by its usual use.

    `odd` are the valves that wear unlike their kind; `wants` the sizes it will want in a year.
    """

    at: int | None = None
    measure: Measure = Measure.KM
    by: By | None = None
    on: date | None = None
    first: str | None = None
    odd: tuple[str, ...] = ()
    wants: tuple[Want, ...] = ()

    def when(self, today: date) -> When:
        """Return where it stands on a day."""
        if self.by is By.NOW:
            return When.OVERDUE
        if self.on is None:
            return When.UNDATED
        if self.on <= today:
            return When.OVERDUE
        return When.SOON if self.on <= today + MONTH else When.LATER

    @property
    def words(self) -> str:
        """When and why, in words; empty where nothing says so."""
        at = "" if self.at is None else f"at {grouped(self.at)} {self.measure.words}"
        if self.by is By.NOW:
            return f"now: {self.first} was left too tight"
        on = "" if self.on is None else f"{'about' if at else 'by'} {day_words(self.on)}"
        why = {
            By.SIGNED: "as signed",
            By.WEAR: f"{self.first} may be at its minimum then",
            By.INTERVAL: "the manual's interval",
            None: "",
        }[self.by]
        said = " ".join(filter(None, (at, on)))
        return f"{said}: {why}" if said and why else said


def usual_use(checks: Sequence[Check]) -> float | None:
    """Return how far the engine runs in a day, by dated distances; None if unsaid.

    Head work changes nothing in it; what came before the counter was changed is left out.
    """
    dated: list[tuple[date, float]] = []
    for check in checks:
        if check.on is None or check.at is None:
            continue
        if dated and check.at < dated[-1][1]:
            dated = []
        dated.append((check.on, float(check.at)))
    if len(dated) < 2:
        return None
    (first_on, first), (last_on, last) = dated[0], dated[-1]
    days = (last_on - first_on).days
    return (last - first) / days if days >= LEAST_DAYS and last > first else None


def outlook_of(
    clearances: Sequence[Clearance],
    seen: Forecast,
    measure: Measure,
    promised: Promise,
    checks: Sequence[Check],
) -> Outlook:
    """Return when an engine is due: the earliest of what was signed, its wear and its maker's.

    Args:
        clearances: The engine's.
        seen: Its forecast, which never goes beyond the maker's interval.
        measure: What its counter counts.
        promised: The next check as it was signed.
        checks: All there were, in order of time.
    """
    per_day, last = usual_use(checks), checks[-1] if checks else None
    due, by, first = seen.next_check.at, _BY[seen.next_check.why], seen.next_check.first
    if promised.at is not None and by is not By.NOW and (due is None or promised.at <= due):
        due, by, first = int(promised.at), By.SIGNED, None
    on = _day(due, last, per_day)
    if promised.on is not None and by is not By.NOW and (on is None or promised.on < on):
        on, by, first = promised.on, By.SIGNED, None
        due = None if promised.at is None else int(promised.at)
    return Outlook(
        at=due,
        measure=measure,
        by=by,
        on=on,
        first=first,
        odd=tuple(valve.valve for valve in seen.valves if valve.odd),
        wants=_wants(clearances, seen, per_day),
    )


def _wants(
    clearances: Sequence[Clearance], seen: Forecast, per_day: float | None
) -> tuple[Want, ...]:
    """Return what the engine will want within a year of its usual use."""
    if seen.drawn is None or per_day is None:
        return ()
    away = per_day * 365.25
    return tuple(want for clearance in clearances for want in seen.drawn.wants(clearance, away))


def _day(due: int | None, last: Check | None, per_day: float | None) -> date | None:
    """Return the day on which the counter will say so, by the usual use."""
    if due is None or per_day is None or last is None or last.at is None or last.on is None:
        return None
    days = max(0.0, (due - float(last.at)) / per_day)
    return last.on + timedelta(days=int(days)) if days < 36_500 else None
