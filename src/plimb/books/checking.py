"""The health of a record: the file, the pieces, what lists show against the cards."""

from collections.abc import Callable, Iterator
from functools import partial
from pathlib import Path

from sqlalchemy import select
from sqlalchemy.orm import Session

from plimb.card.build import read_card, status_of
from plimb.card.document import fingerprint_of
from plimb.core.errors import BadValue
from plimb.core.job.summary import summary_of
from plimb.files.engine_file import parsed_engine
from plimb.record.cards import get_card
from plimb.record.copying import newest_revision
from plimb.record.database import Database
from plimb.record.engines import list_engines
from plimb.record.families import core_family, families
from plimb.record.health import faults_of, looked_at
from plimb.record.journal import journal_faults
from plimb.record.seals import seal_faults
from plimb.record.shims import audit
from plimb.record.shop import core_set, list_blade_sets
from plimb.record.tables.card import CardRow
from plimb.shop.settings import settings_of


def check_record(record: Path) -> list[str]:
    """Return all that is wrong with a record, a sentence each; none where it is well.

    Looks at the file's pages and at lines that point nowhere, at the journal and whether every
    line stands as it says, at each piece's moves, and at each card: whether it can be read,
    whether lists show it as it stands, whether it is as it was sealed. Nothing is written; an
    older version's record is looked at as a file only.

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
            return list(faults_in(session))
    finally:
        database.close()


def faults_in(session: Session) -> Iterator[str]:
    """Give all in which what is on record does not hold together, a sentence each."""
    yield from journal_faults(session.connection())
    yield from audit(session)
    yield from _others(session)
    yield from _cards(session)


def _others(session: Session) -> Iterator[str]:
    """Say what of the shop, its engines and its families cannot be read."""
    reads: list[tuple[str, Callable[[], object]]] = [
        ("the shop", lambda: settings_of(session).name),
        *((f"engine {engine.id}", partial(parsed_engine, engine.revisions[-1].document))
          for engine in list_engines(session)),
        *((f"family {family.id}", partial(core_family, family)) for family in families(session)),
        *((f"feeler set {kept.id}", partial(core_set, kept)) for kept in list_blade_sets(session)),
    ]  # fmt: skip
    for name, read in reads:
        try:
            read()
        except Exception as error:
            yield f"{name} cannot be read ({type(error).__name__}: {error})"


def _cards(session: Session) -> Iterator[str]:
    for number in session.scalars(select(CardRow.id).order_by(CardRow.id)):
        try:
            read_card(session, number)
            card = get_card(session, number)
            told = summary_of(status_of(card), signed=card.signed_at is not None)
            # cards last changed before summaries were kept get one when the bench is next shown
            if card.summary is not None and card.summary != told:
                yield f"card {number} is shown in lists otherwise than it stands"
            if fingerprint := fingerprint_of(session, card, amendments=0):
                yield from seal_faults(session, card, fingerprint)
        except Exception as error:  # whatever is wrong with one card, the others are looked at
            yield f"card {number} cannot be read ({type(error).__name__}: {error})"
