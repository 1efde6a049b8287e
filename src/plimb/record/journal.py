"""The journal of a record: who wrote what into which line of which table, each write chained.

Triggers on the tables note every line before and after, whoever writes it; each write of
Plimb's is closed by an entry whose hash covers its lines and the entry before. So a line that
was changed past Plimb, or an entry that was changed, taken out or put in, is found again.
"""

import hashlib
import json
from collections.abc import Iterator, Mapping, Sequence
from contextlib import contextmanager
from contextvars import ContextVar
from dataclasses import dataclass, replace
from datetime import UTC, datetime
from itertools import groupby
from operator import itemgetter
from typing import Any

from sqlalchemy import Connection, Table
from sqlalchemy.exc import DBAPIError

from plimb.record.tables import card, journal, order, people, shim  # noqa: F401  # all are known then
from plimb.record.tables.base import Base

_NO_TABLES = frozenset(
    {"entry", "change", "sitting", "asked", "secret", "wrong_code", "instrument_line"}
)
_NO_COLUMNS = frozenset({
    ("card", "summary"), ("card", "outcome"), ("engine", "outlook"), ("engine", "due_on"),
    ("person", "code"),
})  # fmt: skip
"""What is made from other columns, and secrets."""
BEGINNING = "0" * 64
"""What stands for the entry before the first one."""
PAST_PLIMB = "written past Plimb, by another program"


@dataclass(frozen=True, slots=True, kw_only=True)
class Worker:
    """Who is at work, as they are called here (nobody said: empty), and the moment if not now."""

    who: str = ""
    at: datetime | None = None


_WORKER: ContextVar[Worker] = ContextVar("worker", default=Worker())  # noqa: B039  # frozen


@contextmanager
def work_of(who: str | None = None, at: datetime | None = None) -> Iterator[None]:
    """Write on behalf of somebody, at a moment; what is not said is as it was."""
    before = _WORKER.get()
    worker = replace(before, who=before.who if who is None else who, at=at or before.at)
    token = _WORKER.set(worker)
    try:
        yield
    finally:
        _WORKER.reset(token)


def begin_work(who: str, at: datetime) -> None:
    """Write on behalf of somebody from now on, until another begins."""
    _WORKER.set(Worker(who=who, at=at))


def noted_tables() -> list[Table]:
    """Return the tables whose lines are noted."""
    return [table for table in Base.metadata.sorted_tables if table.name not in _NO_TABLES]


def noted_columns(table: Table) -> list[str]:
    """Return the columns of a table that are noted."""
    return [column.name for column in table.columns if (table.name, column.name) not in _NO_COLUMNS]


def lay_triggers(connection: Connection) -> None:
    """Have every line of the record noted when it is written; done already, nothing is done."""
    there = _triggers(connection)
    for name, text in _wanted():
        if there.get(name) != text:
            connection.exec_driver_sql(f'DROP TRIGGER IF EXISTS "{name}"')
            connection.exec_driver_sql(text)


def lift_triggers(connection: Connection) -> None:
    """Let lines be written unnoted, while tables are made anew."""
    for name in _triggers(connection):
        connection.exec_driver_sql(f'DROP TRIGGER "{name}"')


def _triggers(connection: Connection) -> dict[str, str]:
    query = "SELECT name, sql FROM sqlite_schema WHERE type = 'trigger' AND name LIKE 'noted%'"
    return {name: text for name, text in connection.exec_driver_sql(query)}


def _wanted() -> Iterator[tuple[str, str]]:
    for table in noted_tables():
        columns, of = noted_columns(table), table.name
        differs = " OR ".join(f'OLD."{column}" IS NOT NEW."{column}"' for column in columns)
        bodies = {
            "INSERT": ("NEW", "NULL", _whole("NEW", columns), ""),
            "UPDATE": ("NEW", _changed("OLD", columns), _changed("NEW", columns),
                       f"WHEN {differs} "),
            "DELETE": ("OLD", _whole("OLD", columns), "NULL", ""),
        }  # fmt: skip
        for event, (side, old, new, when) in bodies.items():
            name = f"noted_{of}_{event.lower()}"
            yield (
                name,
                (
                    f'CREATE TRIGGER "{name}" AFTER {event} ON "{of}" {when}BEGIN '
                    'INSERT INTO "change" (entry_id, "of", "row", old, new) VALUES '
                    '((SELECT coalesce(max(id), 0) + 1 FROM "entry"), '
                    f"'{of}', {side}.id, {old}, {new}); END"
                ),
            )


def _whole(side: str, columns: Sequence[str]) -> str:
    pairs = ", ".join(f"'{column}', {side}.\"{column}\"" for column in columns)
    return f"json_object({pairs})"


def _changed(side: str, columns: Sequence[str]) -> str:
    lines = " UNION ALL ".join(
        f'SELECT \'{name}\' AS k, {side}."{name}" AS v WHERE OLD."{name}" IS NOT NEW."{name}"'
        for name in columns
    )
    return f"(SELECT json_group_object(k, v) FROM ({lines}))"


def _digest(before: str, number: int, at: str, who: str, what: str, lines: Sequence[Any]) -> str:
    said = [before, number, at, who, what, [list(line) for line in lines]]
    text = json.dumps(said, ensure_ascii=False, separators=(",", ":"))
    return hashlib.sha256(text.encode("utf-8", "surrogateescape")).hexdigest()


@contextmanager
def text_as_it_lies(connection: Connection, errors: str = "surrogateescape") -> Iterator[None]:
    """Read text that is no UTF-8 all the same."""
    driver: Any = connection.connection.driver_connection
    driver.text_factory = lambda raw: raw.decode("utf-8", errors)
    try:
        yield
    finally:
        driver.text_factory = str


def head_of(connection: Connection) -> tuple[int, str]:
    """Return the number and the hash of the newest entry."""
    query = 'SELECT id, hash FROM "entry" ORDER BY id DESC LIMIT 1'
    last = connection.exec_driver_sql(query).first()
    return (last[0], last[1]) if last else (0, BEGINNING)


def own_up(connection: Connection) -> None:
    """Close what another program has written since, as an entry that says so."""
    close_entry(connection, PAST_PLIMB, who="")


def close_entry(
    connection: Connection, what: str, *, who: str | None = None, at: datetime | None = None
) -> None:
    """Close a write with its entry; where no line was written there is none.

    Args:
        connection: Within the transaction of the write.
        what: What was done, in the words of the trade.
        who: By whom; by whoever is at work where nobody is said.
        at: When, as naive UTC; now where nothing is said.
    """
    number, before = head_of(connection)
    number += 1
    query = 'SELECT "of", "row", old, new FROM "change" WHERE entry_id = ? ORDER BY id'
    with text_as_it_lies(connection):
        lines = connection.exec_driver_sql(query, (number,)).fetchall()
    if not lines:
        return
    worker = _WORKER.get()
    who = worker.who if who is None else who
    moment = at or worker.at or datetime.now(UTC).replace(tzinfo=None)
    written = f"{moment:%Y-%m-%d %H:%M:%S.%f}"
    found = _digest(before, number, written, who, what, lines)
    connection.exec_driver_sql(
        'INSERT INTO "entry" (id, at, who, what, "before", hash) VALUES (?, ?, ?, ?, ?, ?)',
        (number, written, who, what, before, found),
    )


Rows = dict[tuple[str, int], dict[str, Any]]
"""Every line by table and number, its noted columns as SQLite has them."""


def rows_now(connection: Connection) -> tuple[Rows, list[str]]:
    """Return every noted line of the record as it lies there, and which tables cannot be read."""
    found: Rows = {}
    faults = []
    for table in noted_tables():
        columns = noted_columns(table)
        names = ", ".join(f'"{column}"' for column in columns)
        try:
            for row in connection.exec_driver_sql(f'SELECT {names} FROM "{table.name}"'):
                values = dict(zip(columns, row, strict=True))
                found[table.name, values["id"]] = values
        except DBAPIError as error:
            faults.append(f"table {table.name} cannot be read ({error.orig})")
    return found, faults


def rows_noted(connection: Connection) -> tuple[Rows, list[str]]:
    """Return every line as the journal says it stands, and what does not hold in the journal."""
    rows: Rows = {}
    faults: list[str] = []
    entries = {
        entry[0]: entry
        for entry in connection.exec_driver_sql(
            'SELECT id, at, who, what, "before", hash FROM "entry" ORDER BY id'
        )
    }
    query = 'SELECT entry_id, "of", "row", old, new FROM "change" ORDER BY entry_id, id'
    lines: dict[int, list[Any]] = {
        number: [tuple(line[1:]) for line in group]
        for number, group in groupby(connection.exec_driver_sql(query), key=itemgetter(0))
    }
    head = BEGINNING
    for place, number in enumerate(sorted(entries), 1):
        _number, at, who, what, before, said = entries[number]
        written = lines.pop(number, [])
        if number != place or before != head:
            faults.append(f"the journal is broken before entry {number}")
        if _digest(before, number, at, who, what, written) != said:
            faults.append(f"entry {number} of the journal was changed after it was written")
        if what == PAST_PLIMB:
            faults.append(f"entry {number} of the journal was {PAST_PLIMB}")
        head = said
        faults += _fold(rows, written, number)
    if lines:
        faults.append(f"{sum(map(len, lines.values()))} line(s) were {PAST_PLIMB}")
    return rows, faults


def _fold(rows: Rows, written: Sequence[Any], number: int) -> Iterator[str]:
    """Carry the lines of an entry over to the rows; say which do not follow from what stood."""
    for of, row, old, new in written:
        try:
            was, becomes = json.loads(old or "null"), json.loads(new or "null")
            stood = rows.get((of, row))
            follows = (stood is None) == (was is None) and all(
                _same((stood or {}).get(name), value) for name, value in (was or {}).items()
            )
            if becomes is None:
                rows.pop((of, row), None)
            else:
                rows[of, row] = {**(stood or {}), **becomes}
        except (ValueError, AttributeError):
            follows = False
        if not follows:
            yield f"entry {number} of the journal does not follow: {of} {row} was not so before"


def _same(value: Any, expected: Any) -> bool:
    return type(value) is type(expected) and value == expected


def journal_faults(connection: Connection) -> list[str]:
    """Return all in which the record and its journal do not hold together, a sentence each."""
    with text_as_it_lies(connection):
        noted, broken = rows_noted(connection)
        lying, unread = rows_now(connection)
    faults = [*broken, *unread]
    for of, row in sorted({*noted, *lying}):
        was, stands = noted.get((of, row)), lying.get((of, row))
        if stands is None:
            if not unread:
                faults.append(f"line {row} of {of} was taken out past Plimb")
        elif was is None:
            faults.append(f"line {row} of {of} was put in past Plimb")
        else:
            names = [name for name in stands if not _same(was.get(name), stands[name])]
            if names:
                faults.append(f"line {row} of {of} was changed past Plimb ({', '.join(names)})")
    return faults


def take_up(connection: Connection, what: str) -> None:
    """Note every line that stands otherwise than the journal says, and close that as an entry.

    So the journal goes on where tables were made anew, and begins where there was none.
    """
    number, _before = head_of(connection)
    noted, _faults = rows_noted(connection)
    lying, _unread = rows_now(connection)
    lines = []
    for key in sorted({*noted, *lying}):
        was, stands = noted.get(key), lying.get(key)
        if was is not None and stands is not None:
            names = [name for name in stands if not _same(was.get(name), stands[name])]
            if not names:
                continue
            was = {name: was[name] for name in names if name in was}
            stands = {name: stands[name] for name in names}
        lines.append((number + 1, *key, _text(was), _text(stands)))
    if lines:
        connection.exec_driver_sql(
            'INSERT INTO "change" (entry_id, "of", "row", old, new) VALUES (?, ?, ?, ?, ?)', lines
        )
    close_entry(connection, what)


def _text(values: Mapping[str, Any] | None) -> str | None:
    return None if values is None else json.dumps(values, ensure_ascii=False)
