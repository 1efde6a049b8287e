"""People in the record, and where each is signed in."""

from datetime import datetime, timedelta

from sqlalchemy import delete, select
from sqlalchemy.orm import Session

from plimb.core.errors import NotFound
from plimb.record.tables.people import PersonRole, PersonRow, SittingRow, WrongCodeRow

__all__ = [
    "PersonRole",
    "add_sitting",
    "count_wrong",
    "drop_sittings",
    "forget_wrong",
    "get_person",
    "list_people",
    "people_at_work",
    "sitting_of",
    "somebody_at_work",
    "wrong_codes",
]


def list_people(session: Session) -> list[PersonRow]:
    """Return everybody, by name."""
    return list(session.scalars(select(PersonRow).order_by(PersonRow.name)))


def people_at_work(session: Session) -> list[PersonRow]:
    """Return who works here now, by name."""
    query = select(PersonRow).where(PersonRow.left_at.is_(None)).order_by(PersonRow.name)
    return list(session.scalars(query))


def somebody_at_work(session: Session) -> bool:
    """Return whether anybody works here now."""
    query = select(PersonRow.id).where(PersonRow.left_at.is_(None)).limit(1)
    return session.scalar(query) is not None


def get_person(session: Session, number: int) -> PersonRow:
    """Return the person of that number; NotFound where there is none."""
    row = session.get(PersonRow, number)
    if row is None:
        raise NotFound(f"There is nobody of number {number} in this shop.", field="person")
    return row


def sitting_of(session: Session, token: str) -> SittingRow | None:
    """Return where somebody is signed in, by the hash of the token."""
    return session.scalars(select(SittingRow).where(SittingRow.token == token)).first()


def add_sitting(
    session: Session, person: PersonRow, token: str, now: datetime, *, longest: timedelta
) -> None:
    """Sign somebody in, and forget what is over by now."""
    session.execute(delete(SittingRow).where(SittingRow.begun_at < now - longest))
    session.add(SittingRow(token=token, person_id=person.id, begun_at=now, seen_at=now))


def drop_sittings(session: Session, person_id: int) -> None:
    """Sign somebody out everywhere."""
    session.execute(delete(SittingRow).where(SittingRow.person_id == person_id))


def wrong_codes(session: Session, who: str) -> tuple[int, datetime | None]:
    """Return how many wrong codes were given for somebody of late, and when the last was."""
    row = session.scalars(select(WrongCodeRow).where(WrongCodeRow.who == who)).first()
    return (0, None) if row is None else (row.count, row.last)


def count_wrong(session: Session, who: str, now: datetime, *, most: int) -> None:
    """Count a wrong code; of more than so many people the oldest go."""
    row = session.scalars(select(WrongCodeRow).where(WrongCodeRow.who == who)).first()
    if row is None:
        row = WrongCodeRow(who=who, count=0, last=now)
        session.add(row)
    row.count, row.last = row.count + 1, now
    session.flush()
    kept = select(WrongCodeRow.id).order_by(WrongCodeRow.last.desc()).limit(most)
    session.execute(delete(WrongCodeRow).where(WrongCodeRow.id.not_in(kept)))


def forget_wrong(session: Session, who: str) -> None:
    """Forget the wrong codes that were given for somebody: the right one was."""
    session.execute(delete(WrongCodeRow).where(WrongCodeRow.who == who))
