"""Who has a record open: one server at a time, and nobody while it is put back.

A record is held by what its file is, device and inode, and not only by what it is called: by
whatever road somebody comes to it, a link or another name, it is the same one. The name is that
of a socket of this machine (Linux's abstract ones), which nobody can take away and which is let go
of when the process ends. It is never taken on the record itself: closing a second descriptor of
it would let go of SQLite's own locks.
"""

import json
import os
import socket
from collections.abc import Iterator
from contextlib import ExitStack, contextmanager
from datetime import UTC, datetime
from pathlib import Path

from filelock import FileLock, Timeout

from plimb.core.errors import BadValue

Named = tuple[int, int]
"""What a file is: its device and inode."""


def named(record: Path) -> Named | None:
    """Return what a file is, whatever it is called; None where there is none."""
    try:
        found = record.stat()
    except OSError:
        return None
    return found.st_dev, found.st_ino


_mine: dict[Path, dict[Named, socket.socket]] = {}
"""What this process holds: for each record the files that it was, and the socket for each."""


@contextmanager
def record_lock(record: Path, what: str) -> Iterator[None]:
    """Hold a record for as long as the block runs, saying what for; a process that dies lets go.

    Raises:
        BadValue: Somebody else has it; the sentence says who, and since when.
    """
    record.parent.mkdir(parents=True, exist_ok=True)
    place = record.resolve()
    note = Path(f"{place}.open")
    with ExitStack() as held_by:
        try:
            lock = FileLock(f"{place}.lock")
            lock.acquire(timeout=0)
            held_by.callback(lock.release)
            held_by.callback(_let_go, place)
            _mine[place] = {}
            hold_anew(record)
        except (Timeout, BadValue):
            raise BadValue(
                f"record {record} is open: {_who(note)}. Stop that first; nothing was changed.",
                field="database",
            ) from None
        since = datetime.now(UTC).strftime("%Y-%m-%d %H:%M")
        note.write_text(json.dumps({"what": what, "process": os.getpid(), "since": since}), "utf-8")
        held_by.callback(note.unlink, missing_ok=True)
        yield


def hold_anew(record: Path) -> None:
    """Hold what a record is now, where this process holds it: it was made, or put back.

    Raises:
        BadValue: Somebody else has that file, by another road.
    """
    mine, file = _mine.get(record.resolve()), named(record)
    if mine is None or file is None or file in mine or not hasattr(socket, "AF_UNIX"):
        return
    name = socket.socket(socket.AF_UNIX, socket.SOCK_DGRAM)
    try:
        name.bind(f"\0plimb-record-{file[0]:x}-{file[1]:x}")
    except OSError as error:
        name.close()
        if isinstance(error, PermissionError | FileNotFoundError):
            return  # this system has no such names
        raise BadValue(
            f"record {record} is open: another Plimb has it. Stop that first.", field="database"
        ) from None
    mine[file] = name


def _let_go(place: Path) -> None:
    for name in _mine.pop(place, {}).values():
        name.close()


def _who(note: Path) -> str:
    try:
        said = json.loads(note.read_text("utf-8"))
        return f"{said['what']} (process {said['process']}, since {said['since']} UTC)"
    except (OSError, ValueError, KeyError):
        return "another Plimb has it"
