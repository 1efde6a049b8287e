"""What is done to the shop itself: its name and the engines in its care."""

from __future__ import annotations

from datetime import datetime

from plimb.actions.views import parsed_engine
from plimb.core.errors import BadValue
from plimb.store.database import Database
from plimb.store.engines import add_engine, get_shop, list_engines


def shop_is_empty(database: Database) -> bool:
    """Return whether the record holds no engine yet."""
    with database.reading() as session:
        return not list_engines(session)


def rename_shop(database: Database, name: str) -> None:
    """Give the shop its name.

    Raises:
        BadValue: The name is empty.
    """
    if not name.strip():
        raise BadValue("Write the shop's name.", field="name")
    with database.writing() as session:
        get_shop(session).name = name.strip()


def register_engine(
    database: Database, *, label: str, note: str, document: str, now: datetime
) -> int:
    """Take an engine file into the shop's care and return the engine's number.

    Raises:
        BadValue: The file breaks the format, or the label is taken.
    """
    if not label.strip():
        raise BadValue("Write what the shop calls this engine.", field="label")
    parsed_engine(document)
    with database.writing() as session:
        if any(engine.label == label for engine in list_engines(session)):
            raise BadValue(f"There is an engine “{label}” already.", field="label")
        return add_engine(session, label=label, note=note, document=document, now=now).id
