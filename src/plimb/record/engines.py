"""Engines and the shop they belong to."""

import json
from collections.abc import Iterable, Sequence
from datetime import datetime

from sqlalchemy import ColumnElement, func, or_, select
from sqlalchemy.orm import Session, selectinload

from plimb.core.errors import StaleVersion
from plimb.record.rows import numbered
from plimb.record.tables.engine import EngineRevisionRow, EngineRow


def list_engines(session: Session) -> Sequence[EngineRow]:
    """Return all engines by their label."""
    return session.scalars(
        select(EngineRow).options(selectinload(EngineRow.revisions)).order_by(EngineRow.label)
    ).all()


def engines_like(session: Session, text: str, *, skip: int, most: int) -> Sequence[EngineRow]:
    """Return so many engines by label: those whose label, note or document says what was typed."""
    query = select(EngineRow).where(*_said(text)).order_by(EngineRow.label)
    return session.scalars(query.offset(skip).limit(most)).all()


def count_engines(session: Session, text: str) -> int:
    """Return how many engines there are of which that is said."""
    query = select(func.count()).select_from(EngineRow).where(*_said(text))
    return session.scalar(query) or 0


def _said(text: str) -> list[ColumnElement[bool]]:
    """Return that every word of a text stands in an engine's label, note or any revision."""
    return [
        or_(
            EngineRow.label.icontains(word, autoescape=True),
            EngineRow.note.icontains(word, autoescape=True),
            EngineRow.revisions.any(EngineRevisionRow.document.icontains(word, autoescape=True)),
        )
        for word in text.split()[:8]
    ]


def newest_numbers(session: Session) -> list[tuple[int, str, int, datetime]]:
    """Return each engine's number, label, and the row and moment of its newest revision."""
    query = (
        select(
            EngineRow.id,
            EngineRow.label,
            func.max(EngineRevisionRow.id),
            func.max(EngineRevisionRow.recorded_at),
        )
        .join(EngineRevisionRow, EngineRevisionRow.engine_id == EngineRow.id)
        .group_by(EngineRow.id)
        .order_by(EngineRow.label)
    )
    return [(number, label, row, at) for number, label, row, at in session.execute(query)]


def newest_documents(session: Session, engines: Iterable[int]) -> dict[int, str]:
    """Return the newest document of each of some engines."""
    newest = (
        select(EngineRevisionRow.engine_id, func.max(EngineRevisionRow.number).label("number"))
        .where(EngineRevisionRow.engine_id.in_([*engines]))
        .group_by(EngineRevisionRow.engine_id)
        .subquery()
    )
    query = select(EngineRevisionRow.engine_id, EngineRevisionRow.document).join(
        newest,
        (EngineRevisionRow.engine_id == newest.c.engine_id)
        & (EngineRevisionRow.number == newest.c.number),
    )
    return {engine: document for engine, document in session.execute(query)}


def newest_revision(session: Session, engine_id: int) -> EngineRevisionRow:
    """Return an engine's newest revision; NotFound where there is no engine of that number."""
    engine = numbered(session, EngineRow, engine_id)
    query = select(EngineRevisionRow).where(EngineRevisionRow.engine_id == engine.id)
    return session.scalars(query.order_by(EngineRevisionRow.number.desc()).limit(1)).one()


def revise_engine(
    session: Session,
    engine_id: int,
    *,
    seen: int,
    label: str,
    note: str,
    document: str,
    now: datetime,
) -> EngineRow:
    """Give an engine a new revision; cards that are open or signed keep theirs.

    Raises:
        NotFound: There is no engine of that number.
        StaleVersion: It was revised since revision `seen`.
    """
    newest = newest_revision(session, engine_id)
    if newest.number != seen:
        raise StaleVersion(seen=seen, current=newest.number)
    engine = newest.engine
    engine.label, engine.note = label, note
    # laid out otherwise, or 3.0 written as 3, it is the same engine
    if document != newest.document and json.loads(document) != json.loads(newest.document):
        engine.revisions.append(
            EngineRevisionRow(number=newest.number + 1, document=document, recorded_at=now)
        )
        engine.outlook = engine.due_on = None  # worked out anew when it is asked for
    session.flush()
    return engine


def add_engine(
    session: Session, *, label: str, note: str, document: str, now: datetime
) -> EngineRow:
    """Add an engine with its first revision."""
    engine = EngineRow(
        label=label,
        note=note,
        revisions=[EngineRevisionRow(number=1, document=document, recorded_at=now)],
    )
    session.add(engine)
    session.flush()
    return engine
