"""Keep safe copies of the record, and put one in its place."""

import sqlite3
from contextlib import closing
from pathlib import Path

from plimb.core.errors import BadValue
from plimb.store.records import free_name


def back_up(record: Path, copy: Path) -> None:
    """Write a consistent copy of a record, also while it is in use.

    Raises:
        BadValue: There is no record there, or the copy's place is taken.
    """
    if not record.exists():
        raise BadValue(f"record {record} is not there.", field="database")
    if copy.exists():
        raise BadValue(f"{copy} is there already; a copy never writes over another.", field="FILE")
    copy.parent.mkdir(parents=True, exist_ok=True)
    half = copy.with_name(copy.name + ".part")
    half.unlink(missing_ok=True)
    with closing(sqlite3.connect(record)) as source, closing(sqlite3.connect(half)) as target:
        source.backup(target)
        target.execute("PRAGMA journal_mode=DELETE")
    half.rename(copy)


def restore(copy: Path, record: Path) -> Path | None:
    """Put a copy in a record's place and return where the record before was laid aside.

    Raises:
        BadValue: The copy is not there, is damaged, or is no record of Plimb's.
    """
    if not copy.exists():
        raise BadValue(f"copy {copy} is not there.", field="FILE")
    try:
        with closing(sqlite3.connect(f"file:{copy}?mode=ro", uri=True)) as look:
            sound = look.execute("PRAGMA integrity_check").fetchone()[0] == "ok"
            look.execute("SELECT version_num FROM alembic_version").fetchone()
    except sqlite3.DatabaseError:
        sound = False
    if not sound:
        raise BadValue(f"copy {copy} is damaged, or no record of Plimb's.", field="FILE")
    aside = None
    if record.exists():
        with closing(sqlite3.connect(record)) as old:
            old.execute("PRAGMA wal_checkpoint(TRUNCATE)")
        aside = Path(free_name(f"{record}.before", {str(p) for p in record.parent.iterdir()}))
        record.rename(aside)
    for leftover in (Path(f"{record}-wal"), Path(f"{record}-shm")):
        leftover.unlink(missing_ok=True)
    record.parent.mkdir(parents=True, exist_ok=True)
    half = record.with_name(record.name + ".part")
    half.write_bytes(copy.read_bytes())
    half.rename(record)
    return aside
