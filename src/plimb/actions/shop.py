"""What is done to the shop itself: its name and the engines in its care."""

from __future__ import annotations

from datetime import datetime

from sqlalchemy.orm import Session

from plimb.actions.views import parsed_engine, turning_of
from plimb.core.errors import BadValue
from plimb.core.turning import Method
from plimb.store.database import Database
from plimb.store.engines import add_engine, get_shop, list_engines, revise_engine
from plimb.store.shims import know_families


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
    check_engine(document, label)
    with database.writing() as session:
        _free_label(session, label)
        added = add_engine(
            session, label=label.strip(), note=note.strip(), document=document, now=now
        )
        _know_families(session, document)
        return added.id


def revise(
    database: Database,
    *,
    engine_id: int,
    seen: int,
    label: str,
    note: str,
    document: str,
    now: datetime,
) -> None:
    """Correct what an engine is; open and signed cards keep the revision they were opened with.

    Raises:
        BadValue: The file breaks the format, no valve can be reached, or the label is taken.
        NotFound: There is no such engine.
        StaleVersion: It was revised since.
    """
    check_engine(document, label)
    with database.writing() as session:
        _free_label(session, label, besides=engine_id)
        revise_engine(
            session,
            engine_id,
            seen=seen,
            label=label.strip(),
            note=note.strip(),
            document=document,
            now=now,
        )
        _know_families(session, document)


def _know_families(session: Session, document: str) -> None:
    """Have the shop know the shim family of every valve."""
    engine = parsed_engine(document)[1]
    know_families(session, [one.family for one in engine.clearances])


def check_engine(document: str, label: str) -> None:
    """Refuse an engine file that cannot be read or turned, or that has no label.

    Raises:
        BadValue: It is so.
    """
    if not label.strip():
        raise BadValue("Write what the shop calls this engine.", field="label")
    turning_of(document, Method.MARKS)


def _free_label(session: Session, label: str, besides: int | None = None) -> None:
    if any(one.label == label.strip() and one.id != besides for one in list_engines(session)):
        raise BadValue(f"There is an engine “{label.strip()}” already.", field="label")
