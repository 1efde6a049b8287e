"""What stands behind a sheet and a file that leave the shop: its key, and what it is worth here."""

from dataclasses import dataclass
from datetime import datetime

from sqlalchemy.orm import Session

from plimb.card.acts.sign import read_sheet
from plimb.card.document import card_document, check_fingerprint
from plimb.core.errors import BadValue, NotFound
from plimb.files.apart import SealedCard, card_apart
from plimb.record.cards import get_card
from plimb.record.database import Database
from plimb.record.keys import is_public, is_signed, key_at_hand
from plimb.record.seals import known_key, known_keys
from plimb.record.tables.journal import ShopKeyRow


def printed_sheet(session: Session, card_id: int) -> bytes:
    """Return a card's sheet as PDF; a signed one carries the card, under the shop's key.

    Raises:
        NotFound: There is no such card.
    """
    from plimb.files.sealed_pdf import with_card  # what draws is loaded with the first sheet
    from plimb.files.sheet_pdf import sheet_pdf

    pdf = sheet_pdf(read_sheet(session, card_id))
    card = get_card(session, card_id)
    key = key_at_hand(session.info["record"])
    if card.signed_at is None or key is None:
        return pdf
    return with_card(pdf, card_document(session, card), key.public, key.sign)


def check_sheet(database: Database, card_id: int, pdf: bytes) -> tuple[str, str]:
    """Return the fingerprint of the card that a PDF carries, and what it is worth in words.

    Raises:
        BadValue: It carries no card that can be read, or takes too long to be read.
        NotFound: There is no such card here.
        NotReady: The card here is not signed, or others are checked just now.
    """
    found = card_apart(pdf)
    with database.reading() as session:
        return _worth(session, card_id, found)


def _worth(session: Session, card_id: int, found: SealedCard | None) -> tuple[str, str]:
    """Return the fingerprint of the card that was found in a PDF, and what it is worth here."""
    if found is None:
        raise BadValue(
            "This PDF carries no card: it is no signed sheet of Plimb's, or was printed anew. "
            "Compare the record's number at its foot.",
            field="file",
        )
    if not is_signed(found.public, found.signature, found.signed):
        return found.fingerprint, "The sheet was changed after it was made: it does not count."
    known = known_key(session, found.public)
    key = key_at_hand(session.info["record"])
    if (key is None or found.public != key.public) and (known is None or not known.own):
        whose = f"that of “{known.name}”" if known else "one that is not known here"
        return found.fingerprint, f"The sheet is whole, but the key it is under is {whose}."
    return found.fingerprint, check_fingerprint(session, card_id, found.fingerprint)


@dataclass(frozen=True, slots=True, kw_only=True)
class KnownKey:
    """The public part of another shop's key, and whose it is."""

    id: int
    name: str
    public: str


@dataclass(frozen=True, slots=True, kw_only=True)
class KeysView:
    """The public part of the shop's own key, and the keys of other shops that it knows."""

    own: str
    known: tuple[KnownKey, ...]


def read_keys(database: Database) -> KeysView:
    """Return the keys that the shop has and knows."""
    with database.reading() as session:
        known = tuple(
            KnownKey(id=row.id, name=row.name, public=row.public)
            for row in known_keys(session)
            if not row.own
        )
    key = key_at_hand(database.path)
    return KeysView(own=key.public if key else "", known=known)


def know_key(database: Database, *, name: str, public: str, now: datetime) -> None:
    """Take another shop's key for known: what it signs counts as coming from there.

    Raises:
        BadValue: No name, what is no key's public part, or the shop's own.
    """
    name, public = name.strip(), "".join(public.split())
    if not name:
        raise BadValue("Write whose key it is.", field="name")
    if not is_public(public):
        raise BadValue("A key is 43 letters and digits, as it stands at a sheet's foot.",
                       field="public")  # fmt: skip
    with database.writing("key of another shop known", now) as session:
        row = known_key(session, public)
        if row is not None and row.own:
            raise BadValue("This is the shop's own key.", field="public")
        if row is None:
            session.add(ShopKeyRow(public=public, name=name, own=False, since=now))
        else:
            row.name = name


def forget_key(database: Database, *, key_id: int) -> None:
    """Take another shop's key for unknown again; NotFound where there is none of that number."""
    with database.writing("key of another shop forgotten") as session:
        row = session.get(ShopKeyRow, key_id)
        if row is None or row.own:
            raise NotFound("There is no such key.", field="key")
        session.delete(row)
