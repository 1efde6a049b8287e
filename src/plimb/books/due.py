"""What is due, for calendars: as a file, and under an address that only who has it knows."""

import hmac
import secrets
from datetime import datetime
from hashlib import sha256

from plimb.books.bench import DueLine, read_dated
from plimb.core.errors import NotFound
from plimb.files.calendar import CalendarEvent, calendar_of
from plimb.record.database import Database
from plimb.record.keys import key_of
from plimb.record.settings import keep_secret, secret_of
from plimb.shop.settings import settings_of


def due_calendar(database: Database, now: datetime) -> bytes:
    """Return what is due as a calendar file."""
    with database.reading() as session:
        shop = settings_of(session).name
    of = sha256(key_of(database.path).public.encode()).hexdigest()[:12]
    return calendar_of(shop, [_entry(dated, of) for dated in read_dated(database, now.date())], now)


def _entry(one: DueLine, of: str) -> CalendarEvent:
    assert one.on is not None  # it stands in the list by its day
    return CalendarEvent(
        uid=f"engine-{one.id}-{of}@plimb",
        on=one.on,
        summary=f"Check valve clearances: {one.label}",
        words=one.words,
    )


def calendar_secret(database: Database) -> str | None:
    """Return the secret in the address of the calendar, None where there is none."""
    with database.reading() as session:
        return secret_of(session, "calendar")


def new_calendar_address(database: Database, *, now: datetime) -> str:
    """Give the calendar an address of its own; the one before it leads nowhere any more."""
    with database.writing("the calendar's address made anew", now) as session:
        secret = secrets.token_urlsafe(24)
        keep_secret(session, "calendar", secret)
        return secret


def calendar_at(database: Database, secret: str, now: datetime) -> bytes:
    """Return the calendar for whoever has the secret; NotFound for anybody else."""
    known = calendar_secret(database)
    if known is None or not hmac.compare_digest(known.encode(), secret.encode()):
        raise NotFound("There is no calendar at this address.")
    return due_calendar(database, now)
