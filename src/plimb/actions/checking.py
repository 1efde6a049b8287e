"""The health of a record: the file, the pieces, what lists show against the cards."""

from collections.abc import Iterator
from pathlib import Path

from sqlalchemy import select
from sqlalchemy.orm import Session

from plimb.actions.views import read_card, status_of
from plimb.core.errors import BadValue
from plimb.core.job.summary import summary_of
from plimb.store.cards import get_card
from plimb.store.copying import newest_revision
from plimb.store.database import Database
from plimb.store.health import faults_of, looked_at
from plimb.store.shims import audit
from plimb.store.tables.card import CardRow


def check_record(record: Path) -> list[str]:
    """Return all that is wrong with a record, a sentence each; none where it is well.

    Looks at the file's pages and at lines that point nowhere, at each piece's moves, and at
    each card: whether it can be read, and whether lists show it as it stands. Nothing is
    written; an older version's record is looked at as a file only.

    Raises:
        BadValue: There is no record there, or it is a later version's.
    """
    try:
        schema = looked_at(record, "record")
    except BadValue:
        faults = faults_of(record) if record.exists() else []
        if not faults:
            raise
        return faults
    if schema != newest_revision():
        return []
    database = Database(record)
    try:
        with database.reading() as session:
            return [*audit(session), *_cards(session)]
    finally:
        database.close()


def _cards(session: Session) -> Iterator[str]:
    for number in session.scalars(select(CardRow.id).order_by(CardRow.id)):
        try:
            read_card(session, number)
            card = get_card(session, number)
            told = summary_of(status_of(card), signed=card.signed_at is not None)
            # cards last changed before summaries were kept get one when the bench is next shown
            if card.summary is not None and card.summary != told:
                yield f"card {number} is shown in lists otherwise than it stands"
        except Exception as error:  # whatever is wrong with one card, the others are looked at
            yield f"card {number} cannot be read ({type(error).__name__}: {error})"
