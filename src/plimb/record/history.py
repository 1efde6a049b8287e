"""The journal read by what it is about: one card, one piece, one engine, the shop's things."""

from collections.abc import Sequence
from dataclasses import dataclass
from datetime import datetime
from typing import Any

from sqlalchemy import ColumnElement, and_, or_, select
from sqlalchemy.orm import Session

from plimb.record.tables.card import AmendmentRow, CardRow, EventRow, RoundRow, StripTrayRow
from plimb.record.tables.engine import EngineRevisionRow
from plimb.record.tables.journal import ChangeRow, EntryRow, SealRow
from plimb.record.tables.reading import ChoiceRow, GapRow, ShimReadingRow

OF_THE_SHOP = (
    "shop",
    "setting",
    "blade_set",
    "blade",
    "instrument",
    "person",
    "shop_key",
    "shim_family",
)


@dataclass(frozen=True, slots=True, kw_only=True)
class JournalEntry:
    """One write: when, by whom, what, and the lines of it that were asked for.

    `kind` is that of the act on a card that wrote it, None where it was something else.
    """

    number: int
    at: datetime
    who: str
    what: str
    kind: str | None
    lines: tuple[tuple[str, int, str | None, str | None], ...]


def of_card(number: int) -> ColumnElement[bool]:
    """Return which lines are about a card."""
    rounds = select(RoundRow.id).where(RoundRow.card_id == number)
    by_card: Sequence[Any] = (AmendmentRow, EventRow, RoundRow, SealRow, StripTrayRow)
    by_round: Sequence[Any] = (ChoiceRow, GapRow, ShimReadingRow)
    return or_(
        _line_of(CardRow, select(CardRow.id).where(CardRow.id == number)),
        *(_line_of(row, select(row.id).where(row.card_id == number)) for row in by_card),
        *(_line_of(row, select(row.id).where(row.round_id.in_(rounds))) for row in by_round),
    )


def of_engine(number: int) -> ColumnElement[bool]:
    """Return which lines are about an engine."""
    revisions = select(EngineRevisionRow.id).where(EngineRevisionRow.engine_id == number)
    return or_(
        and_(ChangeRow.of == "engine", ChangeRow.row == number),
        _line_of(EngineRevisionRow, revisions),
    )


def of_piece(number: int) -> ColumnElement[bool]:
    """Return which lines are about a piece."""
    return and_(ChangeRow.of == "shim", ChangeRow.row == number)


def of_shop() -> ColumnElement[bool]:
    """Return which lines are about the shop's settings, tools, people and families."""
    return ChangeRow.of.in_(OF_THE_SHOP)


def _line_of(row: Any, numbers: Any) -> ColumnElement[bool]:
    return and_(ChangeRow.of == row.__tablename__, ChangeRow.row.in_(numbers))


def entries(
    session: Session, about: ColumnElement[bool], *, before: int | None, most: int
) -> list[JournalEntry]:
    """Return what was written about something, the newest first.

    Args:
        session: The record.
        about: Which lines, as `of_card` and the others give them.
        before: Only entries of a lower number than this.
        most: How many at most.
    """
    numbers = select(ChangeRow.entry_id).where(about).distinct()
    query = select(EntryRow).where(EntryRow.id.in_(numbers))
    if before is not None:
        query = query.where(EntryRow.id < before)
    rows = session.scalars(query.order_by(EntryRow.id.desc()).limit(most)).all()
    wanted = [row.id for row in rows]
    lines: dict[int, list[tuple[str, int, str | None, str | None]]] = {}
    found = select(ChangeRow).where(about, ChangeRow.entry_id.in_(wanted)).order_by(ChangeRow.id)
    for line in session.scalars(found):
        lines.setdefault(line.entry_id, []).append((line.of, line.row, line.old, line.new))
    made = ChangeRow.row == EventRow.id
    acts = select(ChangeRow.entry_id, EventRow.kind).join(EventRow, made)
    acts = acts.join(EntryRow, EntryRow.id == ChangeRow.entry_id).where(
        ChangeRow.of == EventRow.__tablename__,
        ChangeRow.old.is_(None),
        ChangeRow.entry_id.in_(wanted),
        EntryRow.what.in_((EventRow.kind, EventRow.said)),  # and not one that came in a file
    )
    kinds = {entry: kind for entry, kind in session.execute(acts)}
    return [
        JournalEntry(
            number=row.id, at=row.at, who=row.who, what=row.what, kind=kinds.get(row.id),
            lines=tuple(lines[row.id]),
        )
        for row in rows
    ]  # fmt: skip
