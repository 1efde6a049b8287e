"""An engine over the years, as its page shows it: a line a valve, every check, what comes."""

from collections.abc import Mapping
from dataclasses import dataclass, replace
from datetime import date

from sqlalchemy.orm import Session

from plimb.card.years import EnginePast, make_up_outcomes, past_of_engine
from plimb.core.engine.engine import Clearance, Side
from plimb.core.engine.layout import HeadDrawing, draw_head
from plimb.core.measure.gap import Gap
from plimb.core.wear.due import By, Outlook, outlook_of
from plimb.core.wear.evenness import Evenness, evenness
from plimb.core.wear.forecast import Forecast, Rate, forecast
from plimb.core.wear.odd import Odd
from plimb.core.wear.sentences import (
    ODD_CHECK,
    head_words,
    next_check_words,
    twins,
    valve_words,
)
from plimb.core.wear.stack import (
    Check,
    Piece,
    Sighting,
    lives,
    other_pieces,
    past_of,
    runs_backwards,
)
from plimb.core.words import day_words
from plimb.record.cards import get_card
from plimb.record.database import Database
from plimb.record.engines import newest_revision


@dataclass(frozen=True, slots=True, kw_only=True)
class Dot:
    """One gap on a valve's line: its stack, or the gap alone where the piece is not known."""

    at: int
    low_nm: int
    high_nm: int
    as_left: bool


@dataclass(frozen=True, slots=True, kw_only=True)
class Band:
    """Where the stack must lie with one piece, from and to a figure of the counter."""

    begins: int
    ends: int | None
    piece_nm: int | None
    low_nm: int | None
    high_nm: int | None


@dataclass(frozen=True, slots=True, kw_only=True)
class ValveYears:
    """One valve's line in the history, and what is forecast for it, in words too."""

    valve: str
    side: Side
    words: str
    odd: Odd | None
    advice: str
    dots: tuple[Dot, ...]
    bands: tuple[Band, ...]
    rate: Rate | None


@dataclass(frozen=True, slots=True, kw_only=True)
class PastCheck:
    """One check in the table: a card's, or one out of an old notebook."""

    on: date | None
    at: int | None
    new_life: bool
    card: int | None
    note: int | None
    cells: Mapping[str, str]


@dataclass(frozen=True, slots=True, kw_only=True)
class YearsView:
    """An engine over the years, for its page. `begins` and `ends` is what the drawing spans."""

    id: int
    label: str
    counter_words: str
    begins: int
    ends: int
    lives: tuple[int, ...]
    checks: tuple[PastCheck, ...]
    valves: tuple[ValveYears, ...]
    drawing: HeadDrawing
    due: str
    due_at: int | None
    sentences: tuple[str, ...]
    even: tuple[Evenness, ...]
    next_check: str
    cautions: tuple[str, ...]
    beside: tuple[str, ...]


def left_now(past: EnginePast) -> Mapping[str, Gap]:
    """Return the gap each valve was left at by its last reading, by name."""
    left: dict[str, Gap] = {}
    for check in past.checks:
        for key, seen in check.valves.items():
            if seen.as_left is not None and key in past.engine.names:
                left[past.engine.names[key]] = seen.as_left
    return {valve: gap for valve, gap in left.items() if gap.both_ends}


def read_years(database: Database, engine_id: int) -> YearsView:
    """Return an engine's past and what comes; NotFound where there is none of that number."""
    make_up_outcomes(database, engine_id)
    with database.reading() as session:
        past = past_of_engine(session, engine_id)
        label = newest_revision(session, engine_id).engine.label
        beside = _beside(session, past)
    clearances, measure = past.engine.clearances, past.measure
    seen = forecast(clearances, past.checks, past.machine.interval)
    pairs = twins(clearances, left_now(past))
    outlook = outlook_of(clearances, seen, measure, past.promised, past.checks)
    runs = lives(past.checks)
    shown = runs[-1:] if runs_backwards(past.checks) else runs
    counters = [int(stop.at or 0) for life in shown for stop in life]
    last = counters[-1] if counters else 0
    return YearsView(
        id=engine_id,
        label=label,
        counter_words=measure.words,
        begins=counters[0] if counters else 0,
        ends=_last_counter(last, counters, outlook),
        lives=tuple(int(life[0].at or 0) for life in shown[1:]),
        checks=tuple(_in_table(check, past) for check in past.checks),
        valves=tuple(_valve_years(clearance, seen, shown, past) for clearance in clearances),
        drawing=draw_head(past.engine),
        due=outlook.words if outlook.by is By.SIGNED else "",
        due_at=outlook.at,
        sentences=head_words(clearances, seen, pairs, measure, past.unit),
        even=evenness(clearances, [check for life in shown for check in life]),
        next_check=next_check_words(seen.next_check, measure),
        cautions=_cautions(past, seen),
        beside=beside,
    )


def _beside(session: Session, past: EnginePast) -> tuple[str, ...]:
    """Return what else was looked at, compression before all, at the last two that say so."""
    said: list[str] = []
    for check in reversed(past.checks):
        if check.card is None or len(said) == 2:
            continue
        checks = get_card(session, check.card, whole=False).checks
        if checks is not None and (lines := checks.lines()):
            day = "" if check.on is None else f"{day_words(check.on)}: "
            said.append(day + "; ".join(lines))
    return tuple(said)


def _last_counter(last: int, counters: list[int], outlook: Outlook) -> int:
    """Return how far the drawing goes: a leg beyond the last check, or to what is due."""
    leg = max((last - counters[0]) // max(1, len(counters) - 1), 1) if counters else 1
    due = outlook.at or 0
    return max(last + leg, min(due + leg // 4, last + 4 * leg))


def _cautions(past: EnginePast, seen: Forecast) -> tuple[str, ...]:
    said = []
    if runs_backwards(past.checks):
        said.append(
            "The counter ran backwards between two checks: it was changed, or misread. What came "
            "before stands in the table and is left out of the forecast."
        )
    if any(check.at is None for check in past.checks):
        said.append("A check without its counter is in the table and tells nothing of the wear.")
    for clearance in past.engine.clearances:
        found = other_pieces(past.checks, clearance.key)
        said += [
            f"{clearance.id}: the shim found on {day_words(on)} is not the one that was left in."
            for on in found
            if on is not None
        ]
    said += [f"{valve.valve}: {ODD_CHECK[valve.odd]}" for valve in seen.valves if valve.odd]
    return tuple(said)


def _in_table(check: Check, past: EnginePast) -> PastCheck:
    cells = {}
    for clearance in past.engine.clearances:
        seen = check.valves.get(clearance.key)
        if seen is not None and seen.found is not None:
            cells[clearance.id] = seen.found.words(past.unit)
            if seen.changed:
                left = seen.left.words(past.unit) if seen.left else "not measured"
                cells[clearance.id] += f" → {left}"
    return PastCheck(
        on=check.on,
        at=None if check.at is None else int(check.at),
        new_life=check.new_life,
        card=check.card,
        note=check.note,
        cells=cells,
    )


def _valve_years(
    one: Clearance, seen: Forecast, shown: tuple[tuple[Check, ...], ...], past: EnginePast
) -> ValveYears:
    coming = seen.by_name[one.id]
    dots: list[Dot] = []
    bands: list[Band] = []
    for life in shown:
        mine = past_of(life, one.key)
        known = any(piece is not None for piece in mine.pieces)
        for number, piece in enumerate(mine.pieces):
            of_stint = [sight for sight in mine.seen if sight.stint == number]
            if not of_stint or (known and piece is None):
                continue
            dots += [_dot(sight, life[sight.check]) for sight in of_stint]
            begins = dots[-len(of_stint)].at
            if bands:
                bands[-1] = replace(bands[-1], ends=begins)
            bands.append(_band(one, begins, piece))
    return ValveYears(
        valve=one.id,
        side=one.side,
        words=valve_words(coming, past.measure, past.unit),
        odd=coming.odd,
        advice=ODD_CHECK[coming.odd] if coming.odd else "",
        dots=tuple(dots),
        bands=tuple(bands),
        rate=coming.rate,
    )


def _dot(sight: Sighting, check: Check) -> Dot:
    low, high = sight.stack() or (round(sight.ends_nm[0]), round(sight.ends_nm[1]))
    return Dot(
        at=int(check.at or 0),
        low_nm=low,
        high_nm=high,
        as_left=sight.as_left,
    )


def _band(one: Clearance, begins: int, piece: Piece | None) -> Band:
    nm = piece.thickness_nm if piece else 0
    return Band(
        begins=begins,
        ends=None,
        piece_nm=piece.thickness_nm if piece else None,
        low_nm=one.check.low_nm + nm if one.check else None,
        high_nm=one.check.high_nm + nm if one.check else None,
    )
