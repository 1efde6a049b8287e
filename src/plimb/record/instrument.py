"""What a connected instrument has sent, for whichever screen asks for it."""

from sqlalchemy import delete, func, select
from sqlalchemy.orm import Session

from plimb.record.tables.shop import InstrumentLineRow

KEPT = 200


def keep_line(session: Session, text: str) -> None:
    """Keep one line that came; the oldest go."""
    row = InstrumentLineRow(text=text[:40])
    session.add(row)
    session.flush()
    session.execute(delete(InstrumentLineRow).where(InstrumentLineRow.id <= row.id - KEPT))


def lines_after(session: Session, seen: int) -> tuple[int, list[str]]:
    """Return how many lines have come in all, and those after the first `seen`."""
    count = session.scalar(select(func.max(InstrumentLineRow.id))) or 0
    query = select(InstrumentLineRow.text).where(InstrumentLineRow.id > seen)
    return count, list(session.scalars(query.order_by(InstrumentLineRow.id)))
