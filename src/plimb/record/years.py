"""What the years say: an engine's signed cards and old notes, what is due, cards by their words."""

import re
from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from datetime import date, datetime, time, timedelta
from decimal import Decimal

from sqlalchemy import Integer, String, column, func, or_, select, table, text
from sqlalchemy.orm import Session, load_only

from plimb.core.engine.machine import Measure
from plimb.core.job.kinds import JobKind
from plimb.core.job.summary import Sought
from plimb.core.wear.due import By, Outlook
from plimb.core.wear.stack import Seen
from plimb.record.cards import in_state, line_query
from plimb.record.tables.card import CardRow
from plimb.record.tables.engine import EngineRevisionRow, EngineRow, NotedCheckRow


@dataclass(frozen=True, slots=True, kw_only=True)
class PastCard:
    """What a signed card says for the years."""

    id: int
    opened_at: datetime
    kind: JobKind
    distance_km: int | None
    distance_mi: int | None
    hours: Decimal | None
    outcome: Mapping[str, Seen]
    next_check_km: int | None
    next_check_mi: int | None
    next_check_hours: Decimal | None
    next_check_on: date | None


_NAMES = tuple(PastCard.__dataclass_fields__)


def past_cards(session: Session, engine_id: int) -> tuple[PastCard, ...]:
    """Return the signed cards of an engine in order of time, and nothing else of them."""
    query = (
        select(*(getattr(CardRow, name) for name in _NAMES))
        .join(EngineRevisionRow, CardRow.engine_revision_id == EngineRevisionRow.id)
        .where(
            EngineRevisionRow.engine_id == engine_id,
            CardRow.signed_at.is_not(None),
            CardRow.outcome.is_not(None),
        )
        .order_by(CardRow.opened_at, CardRow.id)
    )
    return tuple(PastCard(**row._mapping) for row in session.execute(query))


def counted_in(session: Session, engine_id: int) -> Measure | None:
    """Return what an engine's counter counts by its last card that says so, None if none does."""
    query = (
        select(CardRow.distance_km, CardRow.distance_mi, CardRow.hours)
        .join(EngineRevisionRow, CardRow.engine_revision_id == EngineRevisionRow.id)
        .where(EngineRevisionRow.engine_id == engine_id)
        .order_by(CardRow.opened_at.desc(), CardRow.id.desc())
    )
    for km, miles, hours in session.execute(query):
        if miles is not None:
            return Measure.MILES
        if km is not None:
            return Measure.KM
        if hours is not None:
            return Measure.HOURS
    return None


def without_outcome(session: Session, engine_id: int) -> Sequence[int]:
    """Return an engine's signed cards that say nothing for the years yet."""
    query = (
        select(CardRow.id)
        .join(CardRow.revision)
        .where(
            EngineRevisionRow.engine_id == engine_id,
            CardRow.signed_at.is_not(None),
            CardRow.outcome.is_(None),
        )
    )
    return session.scalars(query).all()


def without_outlook(session: Session, most: int) -> Sequence[int]:
    """Return engines whose next check was not worked out yet, so many at most."""
    query = select(EngineRow.id).where(EngineRow.outlook.is_(None)).order_by(EngineRow.id)
    return session.scalars(query.limit(most)).all()


def noted_checks(session: Session, engine_id: int) -> Sequence[NotedCheckRow]:
    """Return the checks out of old notebooks that stand, in order of time."""
    query = select(NotedCheckRow).where(
        NotedCheckRow.engine_id == engine_id, NotedCheckRow.taken_back_at.is_(None)
    )
    return session.scalars(query.order_by(NotedCheckRow.on, NotedCheckRow.id)).all()


_KNOWN = or_(
    EngineRow.due_on.is_not(None),
    func.json_extract(EngineRow.outlook, "$.at", type_=Integer).is_not(None),
    func.json_extract(EngineRow.outlook, "$.by", type_=String) == By.NOW.value,
)
"""Something is known of its next check: where it stands, on which day, or that it is now."""


def due_engines(session: Session, *, skip: int = 0, most: int | None = None) -> Sequence[EngineRow]:
    """Return the engines of which something is known of their next check, the earliest day first.

    Those whose check has no day come behind all that have one.
    """
    query = (
        select(EngineRow)
        .options(load_only(EngineRow.label, EngineRow.outlook, EngineRow.due_on))
        .where(_KNOWN)
        .order_by(EngineRow.due_on.is_(None), EngineRow.due_on, EngineRow.label)
    )
    return session.scalars(query.offset(skip).limit(most)).all()


def open_card_of(session: Session, engines: Sequence[int]) -> dict[int, int]:
    """Return the newest card of each of these engines that is on the bench now."""
    query = (
        select(EngineRevisionRow.engine_id, func.max(CardRow.id))
        .join(EngineRevisionRow, CardRow.revision)
        .where(
            EngineRevisionRow.engine_id.in_(engines),
            CardRow.signed_at.is_(None),
            CardRow.put_away_at.is_(None),
        )
        .group_by(EngineRevisionRow.engine_id)
    )
    return {engine: card for engine, card in session.execute(query)}


def count_due(session: Session) -> int:
    """Return of how many engines something is known of their next check."""
    return session.scalar(select(func.count()).select_from(EngineRow).where(_KNOWN)) or 0


def all_outlooks(session: Session) -> list[Outlook]:
    """Return when every engine is due and what it will want, where that was worked out."""
    query = select(EngineRow.outlook).where(EngineRow.outlook.is_not(None))
    return [check for check in session.scalars(query) if check is not None]


def count_dated(session: Session) -> int:
    """Return of how many engines a day is known on which they are due."""
    query = select(func.count()).select_from(EngineRow).where(EngineRow.due_on.is_not(None))
    return session.scalar(query) or 0


def put_words(session: Session, card_id: int, words: Mapping[str, str]) -> None:
    """Keep the words that a card is found by, in place of those before."""
    session.execute(text("DELETE FROM finding WHERE rowid = :id"), {"id": card_id})
    session.execute(
        text(
            "INSERT INTO finding (rowid, machine, people, words, sizes) "
            "VALUES (:id, :machine, :people, :words, :sizes)"
        ),
        {"id": card_id, **words},
    )


def without_words(session: Session, most: int) -> Sequence[int]:
    """Return cards that cannot be found by their words yet, so many at most."""
    query = text(
        "SELECT card.id FROM card LEFT JOIN finding ON finding.rowid = card.id "
        "WHERE finding.rowid IS NULL ORDER BY card.id DESC LIMIT :most"
    )
    return session.scalars(query, {"most": most}).all()


def found_by(
    session: Session, sought: Sought, *, skip: int, most: int
) -> tuple[int, list[CardRow]]:
    """Return how many cards there are, and so many of them, the newest first."""
    wanted = " ".join(f'"{word}"*' for word in re.findall(r"[\w.]+", sought.like))
    if sought.like.strip() and not wanted:
        return 0, []
    query = line_query().where(*in_state(sought.state))
    if wanted:
        query = query.join(_FINDING, _FINDING.c.rowid == CardRow.id)
        query = query.where(text("finding MATCH :match").bindparams(match=wanted))
    if sought.since is not None:
        query = query.where(CardRow.opened_at >= datetime.combine(sought.since, time()))
    if sought.until is not None:
        query = query.where(CardRow.opened_at < datetime.combine(sought.until + DAY, time()))
    many = session.scalar(
        query.with_only_columns(func.count(), maintain_column_froms=True).options().order_by(None)
    )
    query = query.order_by(CardRow.opened_at.desc(), CardRow.id.desc())
    return many or 0, list(session.scalars(query.offset(skip).limit(most)).all())


DAY = timedelta(days=1)
_FINDING = table("finding", column("rowid"))
