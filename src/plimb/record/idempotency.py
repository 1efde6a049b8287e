"""What was asked for with a key of its own: asked again it is answered, and not done again."""

from collections.abc import Iterator
from contextlib import contextmanager
from contextvars import ContextVar
from dataclasses import dataclass
from datetime import datetime, timedelta

from sqlalchemy import delete, select
from sqlalchemy.orm import Session

from plimb.core.errors import KeyReused
from plimb.record.tables.journal import AskedRow

KEPT = timedelta(days=30)
"""So long a sender may take to ask again."""


class DoneBefore(Exception):
    """It was done when it was asked for the first time; `made` is the number of what it made."""

    def __init__(self, made: str) -> None:
        super().__init__(made)
        self.made = made


@dataclass(frozen=True, slots=True, kw_only=True)
class Asked:
    """One thing asked for: the sender's key, a digest of all that was said, the moment."""

    key: str
    digest: str
    at: datetime


_ASKED: ContextVar[Asked | None] = ContextVar("asked", default=None)


@contextmanager
def asked_with(key: str, digest: str, at: datetime) -> Iterator[None]:
    """Do what is asked for once, however often it is asked with this key.

    Raises:
        DoneBefore: It was done; nothing is written.
        KeyReused: The key was used for something else.
    """
    token = _ASKED.set(Asked(key=key, digest=digest, at=at))
    try:
        yield
    finally:
        _ASKED.reset(token)


def refuse_twice(session: Session) -> None:
    """Refuse to write what was written when it was asked for with the same key."""
    request = _ASKED.get()
    if request is None:
        return
    before = session.scalars(select(AskedRow).where(AskedRow.key == request.key)).first()
    if before is None:
        return
    if before.digest != request.digest:
        raise KeyReused
    if not before.made.startswith("+"):
        raise DoneBefore(before.made)


def resume_offset(session: Session) -> int:
    """Return how much of something long was done before it was cut off."""
    request = _ASKED.get()
    if request is None:
        return 0
    before = session.scalars(select(AskedRow).where(AskedRow.key == request.key)).first()
    if before is not None and before.digest != request.digest:
        raise KeyReused
    return int(before.made.removeprefix("+")) if before else 0


def note_done(session: Session, made: int | str = "") -> None:
    """Note that what was asked for is done; `+40` says that so much of it is."""
    request = _ASKED.get()
    if request is None:
        return
    row = session.scalars(select(AskedRow).where(AskedRow.key == request.key)).first()
    if row is None:
        session.execute(delete(AskedRow).where(AskedRow.at < request.at - KEPT))
        row = AskedRow(key=request.key, digest=request.digest, made="", at=request.at)
        session.add(row)
    row.made = str(made)
