"""The time, where nobody else tells it."""

from datetime import UTC, datetime


def utc_now() -> datetime:
    """Return this moment as naive UTC, as the record keeps it."""
    return datetime.now(UTC).replace(tzinfo=None, microsecond=0)
