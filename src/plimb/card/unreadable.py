"""A card that can no longer be read: shown as such, taken out as it lies, put away."""

from datetime import datetime

from sqlalchemy.orm import Session

from plimb.core.errors import NotFound
from plimb.files.open_json import write_json
from plimb.record.database import Database
from plimb.record.raw import card_as_it_lies, lay_away, rows_of_card

FORMAT = "plimb-card-rows"


def export_rows(session: Session, card_id: int) -> str:
    """Return every row of a card as it lies in the record, to be looked into or kept.

    Raises:
        NotFound: There is no such card.
    """
    _look(session, card_id)
    return write_json({"format": FORMAT, "version": 1, "card": card_id,
                       "tables": rows_of_card(session, card_id)})  # fmt: skip


def put_away_unread(database: Database, *, card_id: int, away: bool, now: datetime) -> None:
    """Put a card away that cannot be read, or bring it back; NotFound where there is none."""
    what = "put away unread" if away else "brought back unread"
    with database.writing(what, now) as session:
        _look(session, card_id)
        lay_away(session, card_id, now if away else None)


def _look(session: Session, card_id: int) -> None:
    if card_as_it_lies(session, card_id) is None:
        raise NotFound(f"There is no card number {card_id} in this shop.", field="card")
