"""Readings out of an old notebook or a spreadsheet: shown as understood first, kept after that."""

import re
from collections.abc import Mapping
from dataclasses import dataclass
from datetime import date, datetime
from decimal import Decimal

from sqlalchemy.orm import Session

from plimb.card.years import keep_outlook, past_of_engine
from plimb.core.engine.engine import Engine
from plimb.core.engine.machine import Measure
from plimb.core.engine.run import FAR_KM
from plimb.core.errors import BadValue, required
from plimb.core.lengths import Unit, meter_in
from plimb.core.measure.gap import Gap
from plimb.core.measure.shorthand import parse_reading
from plimb.core.measure.uncertainty import USUAL_DOUBT
from plimb.core.shim.shim import parse_shim
from plimb.core.wear.stack import Piece, Seen
from plimb.core.words import Units, day_words
from plimb.files.engine_file import parsed_engine
from plimb.files.table_csv import read_csv, write_csv
from plimb.record.database import Database
from plimb.record.engines import newest_revision
from plimb.record.idempotency import note_done
from plimb.record.rows import numbered
from plimb.record.tables.engine import NotedCheckRow

NEEDED = ("date", "valve", "gap")
OPTIONAL = ("counter", "shim", "new_gap", "new_shim", "head_work")
_YES = frozenset({"yes", "y", "x", "1", "true"})


@dataclass(frozen=True, slots=True, kw_only=True)
class NotedRow:
    """One row of the file: what was understood in words, or what is wrong with it."""

    number: int
    said: str
    words: str
    fault: str


@dataclass(frozen=True, slots=True, kw_only=True)
class Notebook:
    """A whole file as it was understood: its rows, how many of them are good, the checks."""

    rows: tuple[NotedRow, ...]
    good: int
    checks: int
    columns: str


@dataclass(frozen=True, slots=True, kw_only=True)
class _NotebookRow:
    """One row that was understood."""

    on: date
    at: Decimal | None
    new_life: bool
    key: str
    seen: Seen


def notebook_csv(session: Session, engine_id: int) -> str:
    """Return the past of an engine as CSV, one row a valve and check; it can be read in again."""
    past = past_of_engine(session, engine_id)
    units = Units(gap=past.unit, shim=past.shim_unit)
    rows = []
    for check in past.checks:
        for clearance in past.engine.clearances:
            seen = check.valves.get(clearance.key)
            if seen is None or seen.found is None:
                continue
            rows.append((
                check.on, clearance.id, _typed(seen.found, past.unit),
                "" if check.at is None else f"{check.at.normalize():f}",
                _shim(seen.piece, units),
                "" if seen.left is None else _typed(seen.left, past.unit),
                _shim(seen.new, units),
                "yes" if check.new_life else "",
            ))  # fmt: skip
    return write_csv((*NEEDED, *OPTIONAL), rows)


def _shim(piece: Piece | None, units: Units) -> str:
    """Return a shim as it is typed: a measured one by its figure, one by its marking as that."""
    if piece is None:
        return ""
    figure = units.shim_figure(piece.thickness_nm)
    by_marking = piece.half_width_nm > USUAL_DOUBT.piece_nm and units.shim is Unit.MM
    return f"{figure.replace('.', '')}={figure}" if by_marking else figure


def _typed(gap: Gap, unit: Unit) -> str:
    """Return a gap in the shorthand that it is read in by."""

    def blade(nm: int) -> str:
        return f"{nm / unit.nm * (1 if unit is Unit.MM else 1000):.4f}".rstrip("0").rstrip(".")

    low = "" if gap.low_nm is None else blade(gap.low_nm)
    if gap.low_nm == gap.high_nm and not gap.endless:
        said = low
    elif gap.endless:
        said = f"{low}l"
    else:
        said = f"{low}-{blade(gap.high_nm)}"
    if gap.called_nm is not None:
        said += f"={blade(gap.called_nm)}"
    return said + ("?" if gap.guess else "")


def read_notebook(session: Session, engine_id: int, text: str) -> Notebook:
    """Return how a file is understood, row by row; nothing is kept.

    Raises:
        NotFound: There is no such engine.
        BadValue: It is no CSV of these columns; the field names the row.
    """
    rows, read = _rows(session, engine_id, text)
    return Notebook(
        rows=rows,
        good=len(read),
        checks=len({(check.on, check.at) for check in read}),
        columns=", ".join((*NEEDED, *OPTIONAL)),
    )


def keep_notebook(
    database: Database, *, engine_id: int, text: str, noted_by: str, now: datetime
) -> int:
    """Keep the rows of a file that were understood; return how many checks they make.

    Raises:
        NotFound: There is no such engine.
        BadValue: No name, no row was understood, or a check of that day is there already.
    """
    noted_by = required(noted_by, "noted_by", "Write who takes the notebook in.")
    with database.writing("an old notebook taken in", now) as session:
        _shown, read = _rows(session, engine_id, text)
        if not read:
            raise BadValue("No row of it could be understood: nothing was kept.", field="text")
        there = {check.on for check in past_of_engine(session, engine_id).checks}
        checks: dict[tuple[date, Decimal | None], dict[str, _NotebookRow]] = {}
        for noted in read:
            if noted.on in there:
                raise BadValue(
                    f"There is a check of {day_words(noted.on)} already: take its rows out of the "
                    "file, or take that check back first.",
                    field="text",
                )
            checks.setdefault((noted.on, noted.at), {})[noted.key] = noted
        made = 0
        for (on, at), valves in checks.items():
            row = NotedCheckRow(
                engine_id=engine_id, on=on, at=at,
                new_life=any(valve.new_life for valve in valves.values()),
                valves={key: valve.seen for key, valve in valves.items()},
                source="notebook", noted_by=noted_by, noted_at=now,
            )  # fmt: skip
            session.add(row)
            session.flush()
            made = row.id
        keep_outlook(session, engine_id)
        note_done(session, made)
        return len(checks)


def engine_of_note(database: Database, note_id: int) -> int:
    """Return the engine that a check out of an old notebook is of; NotFound if there is none."""
    with database.reading() as session:
        return numbered(session, NotedCheckRow, note_id).engine_id


def take_back_check(database: Database, *, note_id: int, now: datetime) -> int:
    """Take a check out of an old notebook back; return its engine. It stays on record.

    Raises:
        NotFound: There is no such check.
    """
    with database.writing("a check of an old notebook taken back", now) as session:
        row = numbered(session, NotedCheckRow, note_id)
        row.taken_back_at = row.taken_back_at or now
        keep_outlook(session, row.engine_id)
        return row.engine_id


def _rows(
    session: Session, engine_id: int, text: str
) -> tuple[tuple[NotedRow, ...], tuple[_NotebookRow, ...]]:
    file, engine = parsed_engine(newest_revision(session, engine_id).document)
    past = past_of_engine(session, engine_id)
    measure = past.measure
    shown, read = [], []
    taken: set[tuple[date, Decimal | None, str]] = set()
    table = read_csv(text, NEEDED, OPTIONAL)
    if not past.counted and any(row.get("counter") for row in table):
        raise BadValue(
            "Enter first what the meter of this engine shows: kilometres, miles or hours.",
            field="counter",
        )
    for number, row in enumerate(table, 2):
        words = fault = ""
        try:
            one = _row(row, engine, file.units)
            if (one.on, one.at, one.key) in taken:
                raise BadValue("This valve stands twice on that day.", field="valve")
            taken.add((one.on, one.at, one.key))
            read.append(one)
            words = _words(one, engine, file.units, measure)
        except BadValue as refusal:
            fault = refusal.sentence
        said = ", ".join(cell for cell in row.values() if cell)
        shown.append(NotedRow(number=number, said=said, words=words, fault=fault))
    return tuple(shown), tuple(read)


def _row(row: Mapping[str, str], engine: Engine, units: Units) -> _NotebookRow:
    one = engine.clearance(row["valve"])
    at = meter_in(row.get("counter"), "counter", decimals=False)
    if at is not None and not 0 <= at <= FAR_KM:
        raise BadValue(f"A counter lies between 0 and {FAR_KM}.", field="counter")

    def gap(name: str) -> Gap | None:
        typed = row.get(name, "")
        return parse_reading(typed, units.gap).gap if typed else None

    def piece(name: str) -> Piece | None:
        typed = row.get(name, "")
        if not typed:
            return None
        shim = parse_shim(typed, one.family)
        return Piece(thickness_nm=shim.thickness_nm, half_width_nm=shim.half_width_nm)

    new = piece("new_shim")
    return _NotebookRow(
        on=_day(row["date"]),
        at=at,
        new_life=row.get("head_work", "").strip().lower() in _YES,
        key=one.key,
        seen=Seen(
            found=gap("gap"), piece=piece("shim"), left=gap("new_gap"), new=new,
            changed=new is not None,
        ),
    )  # fmt: skip


def _day(typed: str) -> date:
    """Return a day written as 2024-04-01 or as 1.4.2024; a slash could mean either order."""
    for pattern in (r"(\d{4})-(\d{1,2})-(\d{1,2})", r"(\d{1,2})\.(\d{1,2})\.(\d{4})"):
        if match := re.fullmatch(pattern, typed.strip()):
            parts = [int(part) for part in match.groups()]
            year, month, day = parts if parts[0] > 31 else parts[::-1]
            try:
                return date(year, month, day)
            except ValueError:
                break
    raise BadValue(f"date “{typed[:20]}” is no day; write it like 2024-04-01.", field="date")


def _words(one: _NotebookRow, engine: Engine, units: Units, measure: Measure) -> str:
    at = "" if one.at is None else f" at {one.at.normalize():f} {measure.words}"
    said = [f"{day_words(one.on)}{at}: {engine.names[one.key]}"]
    seen = one.seen
    if seen.found is not None:
        said.append(f"gap {seen.found.words(units.gap)} {units.gap.of_gaps}")
    if seen.piece is not None:
        said.append(f"shim {units.shim_figure(seen.piece.thickness_nm)}")
    if seen.new is not None:
        said.append(f"shim now {units.shim_figure(seen.new.thickness_nm)}")
    if seen.left is not None:
        said.append(f"gap left {seen.left.words(units.gap)} {units.gap.of_gaps}")
    return ", ".join(said) + (", after head work" if one.new_life else "")
