"""What is due as a calendar (RFC 5545): one whole-day event an engine, with an alarm before it."""

from collections.abc import Iterable
from dataclasses import dataclass
from datetime import UTC, date, datetime, timedelta

BEFORE = timedelta(days=14)


@dataclass(frozen=True, slots=True, kw_only=True)
class CalendarEvent:
    """One event: `uid` stays the same for the same engine, whatever day it moves to."""

    uid: str
    on: date
    summary: str
    words: str


def calendar_of(shop: str, entries: Iterable[CalendarEvent], now: datetime) -> bytes:
    """Return a calendar with an event for each entry, as a calendar program takes it in.

    Args:
        shop: What the calendar is called.
        entries: What is due.
        now: The moment it is made, as naive UTC.
    """
    from icalendar import Alarm, Calendar, Event  # loaded with the first calendar

    made = Calendar()
    made.add("prodid", "-//Plimb//what is due//EN")
    made.add("version", "2.0")
    made.add("method", "PUBLISH")
    made.add("x-wr-calname", f"{shop}: valve clearances" if shop else "Valve clearances")
    for entry in entries:
        event = Event()
        event.add("uid", entry.uid)
        event.add("dtstamp", now.replace(tzinfo=UTC, microsecond=0))
        event.add("dtstart", entry.on)
        event.add("dtend", entry.on + timedelta(days=1))
        event.add("summary", entry.summary)
        event.add("description", entry.words)
        event.add("transp", "TRANSPARENT")
        alarm = Alarm()
        alarm.add("action", "DISPLAY")
        alarm.add("description", entry.summary)
        alarm.add("trigger", -BEFORE)
        event.add_component(alarm)
        made.add_component(event)
    text: bytes = made.to_ical()
    return text
