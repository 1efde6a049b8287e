"""The acts of a card by the journal: which came last, and what each wrote."""

import json
from collections.abc import Sequence
from dataclasses import dataclass
from typing import Any

from sqlalchemy import select, text
from sqlalchemy.orm import Session

from plimb.record.tables.base import Base
from plimb.record.tables.card import CardRow, EventRow
from plimb.record.tables.journal import ChangeRow

LOOKED_BACK = 60
"""So many acts at most are looked through for the last that stands."""


@dataclass(frozen=True, slots=True, kw_only=True)
class WrittenLine:
    """One row of a table before and after, its columns as they lie there; None where it is not."""

    of: str
    row: int
    old: dict[str, Any] | None
    new: dict[str, Any] | None


def last_acts(session: Session, card: CardRow, upto: int) -> Sequence[Any]:
    """Return version, key, kind and payload of a card's last acts up to a version, newest first."""
    query = (
        select(EventRow.version, EventRow.key, EventRow.kind, EventRow.payload)
        .where(EventRow.card_id == card.id, EventRow.version <= upto)
        .order_by(EventRow.version.desc())
        .limit(LOOKED_BACK)
    )
    return session.execute(query).all()


def written_with(session: Session, card: CardRow, version: int) -> tuple[WrittenLine, ...]:
    """Return every row that an act wrote, a row once; none where the journal has not seen it."""
    event = select(EventRow.id).where(EventRow.card_id == card.id, EventRow.version == version)
    entry = select(ChangeRow.entry_id).where(
        ChangeRow.of == EventRow.__tablename__, ChangeRow.row == event.scalar_subquery()
    )
    query = select(ChangeRow).where(ChangeRow.entry_id == entry.limit(1).scalar_subquery())
    found: dict[tuple[str, int], WrittenLine] = {}
    for change in session.scalars(query.order_by(ChangeRow.id)):
        old = None if change.old is None else json.loads(change.old)
        new = None if change.new is None else json.loads(change.new)
        before = found.get((change.of, change.row))
        if before is not None:  # written twice: what was before, and what is after
            old = None if before.old is None else {**(old or {}), **before.old}
            new = {**(before.new or {}), **(new or {})}
        found[change.of, change.row] = WrittenLine(of=change.of, row=change.row, old=old, new=new)
    return tuple(found.values())


def put_as_it_was(session: Session, row: Base, columns: Sequence[str], line: WrittenLine) -> None:
    """Write some columns of a row as they lay before an act."""
    old = line.old or {}
    names = [column for column in columns if column in old]
    if not names:
        return
    session.flush()
    sets = ", ".join(f'"{name}" = :{name}' for name in names)
    session.execute(
        text(f'UPDATE "{line.of}" SET {sets} WHERE id = :id'),
        {**{name: old[name] for name in names}, "id": line.row},
    )
    session.expire(row)
