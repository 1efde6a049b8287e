"""A file of the record's: looked at without being written, copied whole, known by its schema."""

import os
import sqlite3
from collections.abc import Callable
from contextlib import closing, suppress
from pathlib import Path

from alembic.script import ScriptDirectory

from plimb.core.errors import BadValue

MIGRATIONS = Path(__file__).parent / "migrations"


def newest_revision() -> str:
    """Return the name of the newest schema."""
    head = ScriptDirectory(str(MIGRATIONS)).get_current_head()
    assert head is not None  # the migrations ship with the package
    return head


def refuse_later(schema: str, called: str, field: str) -> None:
    """Refuse a record whose schema this version does not know; `called` is what it is here."""
    known = ScriptDirectory(str(MIGRATIONS)).walk_revisions()
    if schema not in {script.revision for script in known}:
        raise BadValue(
            f"{called} was written by a later version of Plimb (schema {schema}); put that "
            "version in, or take an older copy.",
            field=field,
        )


def looking(path: Path) -> sqlite3.Connection:
    """Open a record to look at, also one on a stick that cannot be written."""
    still = "" if Path(f"{path}-wal").exists() else "&immutable=1"
    return sqlite3.connect(f"{path.absolute().as_uri()}?mode=ro{still}", uri=True)


def copied_whole(source: Path, copy: Path, look: Callable[[Path], object]) -> Path:
    """Return a consistent copy of a record, on disk and looked at, beside where it is to be.

    Nothing is left of it where it cannot be made, or `look` raises at it.
    """
    half = copy.with_name(copy.name + ".part")
    try:
        copy.parent.mkdir(parents=True, exist_ok=True)
        half.unlink(missing_ok=True)
        with closing(looking(source)) as whole, closing(sqlite3.connect(half)) as target:
            whole.backup(target)
            target.execute("PRAGMA journal_mode=DELETE")
        half.chmod(0o600)
        with half.open("rb") as written:
            os.fsync(written.fileno())
        look(half)
    except Exception:
        with suppress(OSError):
            half.unlink(missing_ok=True)
        raise
    return half
