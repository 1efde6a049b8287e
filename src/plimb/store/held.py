"""Who has a record open: one server at a time, and nobody while it is put back."""

import json
import os
from collections.abc import Iterator
from contextlib import contextmanager
from datetime import UTC, datetime
from pathlib import Path

from filelock import FileLock, Timeout

from plimb.core.errors import BadValue


@contextmanager
def held(record: Path, what: str) -> Iterator[None]:
    """Hold a record for as long as the block runs, saying what for; a process that dies lets go.

    Raises:
        BadValue: Somebody else has it; the sentence says who, and since when.
    """
    record.parent.mkdir(parents=True, exist_ok=True)
    lock, note = FileLock(f"{record}.lock"), Path(f"{record}.open")
    try:
        lock.acquire(timeout=0)
    except Timeout:
        raise BadValue(
            f"record {record} is open: {_who(note)}. Stop that first; nothing was changed.",
            field="database",
        ) from None
    try:
        since = datetime.now(UTC).strftime("%Y-%m-%d %H:%M")
        note.write_text(json.dumps({"what": what, "process": os.getpid(), "since": since}), "utf-8")
        yield
    finally:
        note.unlink(missing_ok=True)
        lock.release()


def _who(note: Path) -> str:
    try:
        said = json.loads(note.read_text("utf-8"))
        return f"{said['what']} (process {said['process']}, since {said['since']} UTC)"
    except (OSError, ValueError, KeyError):
        return "another Plimb has it"
