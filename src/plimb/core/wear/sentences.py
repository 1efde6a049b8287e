"""A forecast in words, each sentence true by the figures it is made from."""

from collections.abc import Iterable, Mapping, Sequence
from dataclasses import dataclass
from statistics import median

from plimb.core.engine.engine import Clearance
from plimb.core.engine.followers import Role
from plimb.core.engine.machine import Measure
from plimb.core.lengths import Unit, show
from plimb.core.measure.gap import Gap
from plimb.core.wear.forecast import CheckForecast, CheckReason, Forecast, Reach, ValveForecast
from plimb.core.wear.odd import Odd
from plimb.core.words import figure, grouped

ODD_WORDS: Mapping[Odd, str] = {
    Odd.FAST: "wears far faster than its kind",
    Odd.OPENS: "opens up",
    Odd.JUMPED: "has jumped once, and wears as usual besides",
}
ODD_CHECK: Mapping[Odd, str] = {
    Odd.FAST: "Look at its seat and face before the next check.",
    Odd.OPENS: "A cam, a follower or the shim may be worn, or a reading was wrong: measure twice.",
    Odd.JUMPED: "Head work or a shim that was not written down, or a wrong reading: measure twice.",
}


@dataclass(frozen=True, slots=True, kw_only=True)
class Twins:
    """Two valves that should be alike, and how far apart their gaps were left."""

    valves: tuple[str, str]
    apart_nm: int


def next_check_words(due: CheckForecast, measure: Measure) -> str:
    """Return when the next check is due, and why."""
    at = "" if due.at is None else f"{grouped(due.at)} {measure.words}"
    if due.why is CheckReason.NOW:
        return f"Now: {due.first} was left too tight."
    if due.why is CheckReason.INTERVAL:
        return f"Check by {at}: the manual's interval."
    if due.why is CheckReason.EDGE:
        return f"Now: {due.first} may be at its minimum already; its last reading leaves that open."
    if due.why is CheckReason.WEAR:
        return f"Check by {at}: {due.first} may be at its minimum then."
    return (
        "Nothing says when: no manufacturer's interval is entered, "
        "and too few checks to tell the wear."
    )


def valve_words(one: ValveForecast, measure: Measure, unit: Unit) -> str:
    """Return what is forecast for one valve."""
    rate, reach = one.rate, one.to_minimum
    if rate is None:
        return f"{one.valve}: not seen at two distances yet."
    way, ends = "closes", (rate.low_nm, rate.high_nm)
    if rate.best_nm < 0:
        way, ends = "opens", (-rate.high_nm, -rate.low_nm)
    said = (
        f"{one.valve}: {way} by {show(abs(rate.best_nm), unit)} in {grouped(1000)} {measure.words}"
    )
    said += f" ({figure(ends[0], unit)} to {figure(ends[1], unit)})"
    if reach is not None and reach.early is not None:
        said += f"; {_minimum_words(reach, measure)}"
    return f"{said}; it {ODD_WORDS[one.odd]}." if one.odd else f"{said}."


def _minimum_words(reach: Reach, measure: Measure) -> str:
    """Return when a valve is at its minimum: at the earliest, and most likely."""
    likely = "" if not reach.best else f", likely {grouped(reach.best)}"
    if reach.early:
        return f"at its minimum in {grouped(reach.early)} {measure.words} at the earliest{likely}"
    if reach.best == 0:
        return "likely at its minimum already"
    more = f", likely in {grouped(reach.best)} {measure.words}" if reach.best else ""
    return f"it may be at its minimum already{more}"


def twins(clearances: Sequence[Clearance], left: Mapping[str, Gap]) -> tuple[Twins, ...]:
    """Return the pairs of valves of one cylinder, side and kind, the farthest apart first."""
    found = []
    for place, clearance in enumerate(clearances):
        for other in clearances[place + 1 :]:
            if clearance.is_twin_of(other) and clearance.id in left and other.id in left:
                apart = abs(left[clearance.id].best_nm - left[other.id].best_nm)
                found.append(Twins(valves=(clearance.id, other.id), apart_nm=apart))
    return tuple(sorted(found, key=lambda pair: -pair.apart_nm))


def head_words(
    clearances: Sequence[Clearance], seen: Forecast, pairs: Sequence[Twins], measure: Measure,
    unit: Unit,
) -> tuple[str, ...]:  # fmt: skip
    """Return what is to be said of a head: how it wears, and how even it is."""
    return tuple(filter(None, (_wear_words(clearances, seen, measure, unit), _even(pairs, unit))))


def _wear_words(
    clearances: Sequence[Clearance], seen: Forecast, measure: Measure, unit: Unit
) -> str:
    by_name, sides = seen.by_name, []
    for side, action, called in _kinds(clearances):
        rates = [
            rate.best_nm
            for clearance in clearances
            if (clearance.side, clearance.action) == (side, action)
            and (rate := by_name[clearance.id].rate)
        ]
        if rates:
            middle = round(median(rates))
            way = "close" if middle >= 0 else "open"
            sides.append(f"{called} {way} by {show(abs(middle), unit)}")
    if not sides:
        return ""
    said = f"In {grouped(1000)} {measure.words} the {' and the '.join(sides)}"
    odd = [f"{valve.valve} {ODD_WORDS[valve.odd]}" for valve in seen.valves if valve.odd]
    return f"{said}; {', '.join(odd)}." if odd else f"{said}."


def _kinds(clearances: Iterable[Clearance]) -> list[tuple[str, str, str]]:
    """Return each kind of valve once, and what its valves are called together."""
    kinds = {(clearance.side, clearance.action): clearance for clearance in clearances}
    closing = any(kind.action is Role.CLOSE for kind in kinds.values())
    return [
        (side, action, f"{side} {'openers' if action == Role.OPEN else 'closers'}"
         if closing else f"{side}s")
        for side, action in kinds
    ]  # fmt: skip


def _even(pairs: Sequence[Twins], unit: Unit) -> str:
    if not pairs:
        return ""
    worst = pairs[0]
    if worst.apart_nm == 0:
        return "Twins were left alike."
    return (
        f"Twins were left within {show(worst.apart_nm, unit)} of one another, "
        f"{worst.valves[0]} and {worst.valves[1]} the farthest apart."
    )
