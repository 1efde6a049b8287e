"""Settings by which cards are judged: changed, what lists show of open cards is made anew."""

from enum import Enum
from typing import Any

from plimb.card.acting import keep_summary
from plimb.record.cards import get_card, open_numbers
from plimb.record.database import Database
from plimb.record.settings import keep_setting
from plimb.shop.settings import rows, settings_of, understood


def change_settings(database: Database, **typed: Any) -> None:
    """Change settings as they were typed; an empty one is as usual again, what is not said stays.

    Raises:
        BadValue: A setting that there is none of, or a value that cannot be.
    """
    changed = {name: understood(name, value) for name, value in typed.items()}
    with database.writing("settings changed") as session:
        before = settings_of(session)
        for name, value in changed.items():
            keep_setting(session, name, value.value if isinstance(value, Enum) else value)
        session.flush()
        after = settings_of(session)
        if any(
            row.judges and getattr(before, name) != getattr(after, name)
            for name, row in rows().items()
        ):
            for number in open_numbers(session):
                keep_summary(get_card(session, number))
