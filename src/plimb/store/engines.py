"""Engines and the shop they belong to."""

from collections.abc import Sequence
from datetime import datetime

from sqlalchemy import select
from sqlalchemy.orm import Session, selectinload

from plimb.core.errors import StaleVersion
from plimb.store.rows import numbered
from plimb.store.tables.engine import EngineRevisionRow, EngineRow


def list_engines(session: Session) -> Sequence[EngineRow]:
    """Return all engines by their label."""
    return session.scalars(
        select(EngineRow).options(selectinload(EngineRow.revisions)).order_by(EngineRow.label)
    ).all()


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
    if document != newest.document:
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
