"""What a request works with: the record, the time, and what is connected to the bench."""

from collections.abc import Callable
from dataclasses import dataclass
from datetime import datetime
from pathlib import Path

from flask import Response, current_app

from plimb.record.database import Database

Clock = Callable[[], datetime]


@dataclass(frozen=True, slots=True, kw_only=True)
class Bench:
    """What the application works with: the record, the time, and what is connected to it.

    `beyond` says that other machines reach it, at the `addresses`, trusting the `authority`;
    `instrument` is the port of a micrometer on this machine, whose lines come into the record.
    """

    database: Database
    clock: Clock
    counter: str | None = None
    instrument: int | None = None
    beyond: bool = False
    addresses: tuple[str, ...] = ()
    authority: Path | None = None


def bench() -> Bench:
    """Return what this application works with."""
    found: Bench = current_app.extensions["plimb"]
    return found


def record() -> Database:
    """Return the record that this application serves."""
    return bench().database


def now() -> datetime:
    """Return this moment by the application's clock."""
    return bench().clock()


def file_answer(content: str | bytes, mimetype: str, name: str, *, keep: bool = True) -> Response:
    """Return a file, to keep or to be shown."""
    how = "attachment" if keep else "inline"
    headers = {"Content-Disposition": f'{how}; filename="{name}"'}
    return Response(content, mimetype=mimetype, headers=headers)


def csv_answer(text: str, name: str) -> Response:
    """Return CSV as a file to keep."""
    return file_answer(text, "text/csv", name)
