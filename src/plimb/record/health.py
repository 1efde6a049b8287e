"""Whether a file is a sound record of Plimb's that this version can read."""

import sqlite3
from collections.abc import Iterator
from contextlib import closing
from pathlib import Path

from plimb.core.errors import BadValue
from plimb.record.copying import looking, refuse_later


def looked_at(path: Path, called: str) -> str:
    """Return the schema of a sound record.

    Args:
        path: The file, which nothing is written to.
        called: What the file is to the person who named it, like `copy`.

    Raises:
        BadValue: It is not there, damaged, no record of Plimb's, or a later version's.
    """
    if not path.exists():
        raise BadValue(f"{called} {path} is not there.", field="FILE")
    try:
        with closing(looking(path)) as look:
            faults = list(_faults(look))
            row = look.execute("SELECT version_num FROM alembic_version").fetchone()
    except sqlite3.DatabaseError:
        faults, row = [], None
    if row is None:
        raise BadValue(f"{called} {path} is damaged, or no record of Plimb's.", field="FILE")
    if faults:
        raise BadValue(f"{called} {path} is damaged: {faults[0]}.", field="FILE")
    schema = str(row[0])
    refuse_later(schema, f"{called} {path}", "FILE")
    return schema


def faults_of(path: Path) -> list[str]:
    """Return what is wrong with the file itself: its pages, and lines that point nowhere."""
    try:
        with closing(looking(path)) as look:
            return list(_faults(look))
    except sqlite3.DatabaseError as error:
        return [f"the file cannot be read ({error})"]


def _faults(look: sqlite3.Connection) -> Iterator[str]:
    for (found,) in look.execute("PRAGMA integrity_check"):
        if found != "ok":
            yield found
    for table, line, points_to, _key in look.execute("PRAGMA foreign_key_check"):
        yield f"line {line} of {table} points to a line of {points_to} that is not there"
