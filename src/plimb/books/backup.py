"""Safe copies of the record: made by hand or each day, looked at, put back."""

import json
import os
import shutil
import sqlite3
from collections.abc import Iterable, Sequence
from contextlib import closing, suppress
from dataclasses import dataclass
from datetime import UTC, date, datetime
from functools import partial
from pathlib import Path

from plimb.books.bench import backfill
from plimb.core.errors import BadValue, NotFound
from plimb.record.copying import copied_whole, looking
from plimb.record.database import Database, copies_of
from plimb.record.faults import is_full
from plimb.record.health import looked_at
from plimb.record.lock import record_lock
from plimb.record.records import free_name
from plimb.shop.tools import read_settings

NO_ROOM = "There is not enough room on the disk for it; nothing was changed. Make room, try again."


def back_up(record: Path, copy: Path) -> None:
    """Write a consistent copy of a record, also while it is in use, and look at it.

    Raises:
        BadValue: There is no record there, the copy's place is taken, or there is no room.
    """
    if not record.exists():
        raise BadValue(f"record {record} is not there.", field="database")
    if copy.exists():
        raise BadValue(f"{copy} is there already; a copy never writes over another.", field="FILE")
    _whole(record, copy).rename(copy)


def _whole(source: Path, copy: Path) -> Path:
    """Return a looked-at copy of a record under a name of its own beside where it is to be."""
    try:
        return copied_whole(source, copy, partial(looked_at, called="copy"))
    except (sqlite3.Error, OSError) as error:
        why = f"{copy} cannot be written ({error}); nothing was changed."
        raise BadValue(NO_ROOM if is_full(error) else why, field="FILE") from None


def restore(copy: Path, record: Path) -> Path | None:
    """Put a copy in a record's place and return where the record before was laid aside.

    Nothing is moved before the copy stands whole, and looked at, beside the record.

    Raises:
        BadValue: The record is open, there is no room, or the copy is not there, is damaged, a
            later version's, or no record of Plimb's.
    """
    looked_at(copy, "copy")
    with record_lock(record, "a copy is being put back"):
        return _put_back(_whole(copy, record), record)


def _put_back(whole: Path, record: Path) -> Path | None:
    """Put what stands whole beside a record in its place; return where the one before lies."""
    aside = None
    if record.exists():
        with suppress(sqlite3.DatabaseError), closing(sqlite3.connect(record)) as old:
            old.execute("PRAGMA wal_checkpoint(TRUNCATE)")
        aside = _free_aside(record)
        try:
            os.link(record, aside)  # there is a record under its name at any moment
        except OSError:  # a disk without links
            shutil.copy2(record, aside)
    for leftover in ("-wal", "-shm"):
        if aside is not None and Path(f"{record}{leftover}").exists():
            Path(f"{record}{leftover}").rename(f"{aside}{leftover}")
    whole.replace(record)
    return aside


def _free_aside(record: Path) -> Path:
    return Path(free_name(f"{record}.before", {str(p) for p in record.parent.iterdir()}))


@dataclass(frozen=True, slots=True, kw_only=True)
class Copy:
    """One of a record's own copies, when it was made and how large it is, in bytes."""

    name: str
    made_at: datetime
    size: int


@dataclass(frozen=True, slots=True, kw_only=True)
class Kept:
    """How many copies are kept: of so many days, weeks and months the newest one each."""

    days: int = 7
    weeks: int = 4
    months: int = 12


@dataclass(frozen=True, slots=True, kw_only=True)
class CopiesView:
    """A record's own copies, the newest first."""

    copies: tuple[Copy, ...]


BEFORES = 5
"""So many copies from before an upgrade are kept."""


def list_copies(record: Path) -> Sequence[Copy]:
    """Return a record's own copies, the newest first."""
    found = [
        Copy(
            name=path.name,
            made_at=datetime.fromtimestamp(path.stat().st_mtime, UTC).replace(tzinfo=None),
            size=path.stat().st_size,
        )
        for path in copies_of(record).glob("*.sqlite3")
    ]
    return sorted(found, key=lambda one: (one.made_at, one.name), reverse=True)


def copy_now(record: Path, now: datetime) -> Copy:
    """Make a copy beside the record, the day's own first, and return it."""
    names = {copy.name for copy in list_copies(record)}
    day = f"{now:%Y-%m-%d}.sqlite3"
    name = day if day not in names else f"{now:%Y-%m-%d-%H%M%S}.sqlite3"
    back_up(record, copies_of(record) / name)
    return next(copy for copy in list_copies(record) if copy.name == name)


def kept_by(database: Database) -> Kept:
    """Return of how many days, weeks and months the shop keeps copies."""
    set_ = read_settings(database)
    return Kept(days=set_.keep_days, weeks=set_.keep_weeks, months=set_.keep_months)


def copy_of_the_day(record: Path, now: datetime, kept: Kept | None = None) -> Copy | None:
    """Make the day's copy where there is none yet, and let go of those not kept any longer."""
    names = {copy.name for copy in list_copies(record)}
    if f"{now:%Y-%m-%d}.sqlite3" in names:
        return None
    made = copy_now(record, now)
    prune_copies(record, kept or Kept())
    return made


def prune_copies(record: Path, kept: Kept) -> None:
    """Remove the copies that are kept no longer."""
    by_day: dict[date, list[str]] = {}
    befores = []
    for copy in list_copies(record):
        try:
            by_day.setdefault(date.fromisoformat(copy.name[:10]), []).append(copy.name)
        except ValueError:
            befores.append(copy.name)
    stay = staying(by_day, kept)
    gone = [name for day, names in by_day.items() if day not in stay for name in names]
    for name in (*gone, *befores[BEFORES:]):
        (copies_of(record) / name).unlink(missing_ok=True)


def staying(days: Iterable[date], kept: Kept) -> set[date]:
    """Return the days whose copies stay: the last ones, and the last of each week and month."""
    newest_first = sorted(set(days), reverse=True)
    stay = set(newest_first[: kept.days])
    for most, span in ((kept.weeks, "%G-%V"), (kept.months, "%Y-%m")):
        spans: dict[str, date] = {}
        for day in newest_first:
            spans.setdefault(day.strftime(span), day)
        stay.update(list(spans.values())[:most])
    return stay


def put_back(database: Database, name: str) -> str:
    """Put one of the record's own copies in its place while it is served; return what is aside.

    Raises:
        NotFound: There is no such copy.
        BadValue: It is damaged, or there is no room.
    """
    if name not in {copy.name for copy in list_copies(database.path)}:
        raise NotFound(f"There is no copy called {name}.", field="name")
    copy = copies_of(database.path) / name
    looked_at(copy, "copy")
    whole = _whole(copy, database.path)
    try:
        _brought_up(whole)
        aside = _free_aside(database.path)
        _whole(database.path, aside).rename(aside)
        # into the file as it lies: whoever has it open reads what was put back from then on
        with closing(sqlite3.connect(whole)) as source, closing(_opened(database.path)) as live:
            source.backup(live)
    except sqlite3.Error as error:
        why = f"{copy.name} cannot be put back ({error}); nothing was changed."
        raise BadValue(NO_ROOM if is_full(error) else why, field="name") from None
    finally:
        whole.unlink(missing_ok=True)
    return aside.name


def _opened(record: Path) -> sqlite3.Connection:
    return sqlite3.connect(record, timeout=30)


def _brought_up(whole: Path) -> None:
    """Bring a copy to the newest schema, with what lists show, before anybody reads it."""
    newer = Database(whole)
    while not newer.backfilled:
        backfill(newer)
    newer.close()
    with closing(_opened(whole)) as settled:
        settled.execute("PRAGMA journal_mode=DELETE")


def _is_others(record: sqlite3.Connection, sure: str) -> bool:
    """Return whether a record has another shop's name, or engines and no name."""
    try:
        names = [json.loads(name) for (name,) in record.execute(_NAME)]
        return names != [sure] and bool(record.execute("SELECT count(*) FROM engine").fetchone()[0])
    except sqlite3.DatabaseError:
        pass
    try:  # of an earlier schema
        return any(name != sure for (name,) in record.execute("SELECT name FROM shop"))
    except sqlite3.DatabaseError:
        return True


_NAME = "SELECT value FROM setting WHERE name = 'name'"


def start_anew(record: Path, sure: str) -> None:
    """Throw a record away that is sure to be the demo's.

    Raises:
        BadValue: It is open, or another shop's.
    """
    with record_lock(record, "the demo is being loaded anew"):
        if record.exists():
            with closing(looking(record)) as look:
                is_others = _is_others(look, sure)
            if is_others:
                raise BadValue(
                    f"record {record} is not the demo's; it stays. Name another with --database.",
                    field="database",
                )
        for leftover in ("", "-wal", "-shm"):
            Path(f"{record}{leftover}").unlink(missing_ok=True)
