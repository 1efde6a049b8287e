"""Seals: what each card was signed with, and the keys that this record knows."""

import json
from collections.abc import Iterator
from datetime import datetime, timedelta
from pathlib import Path

from sqlalchemy import select
from sqlalchemy.orm import Session

from plimb.core.words import moment_words
from plimb.record.journal import head_of
from plimb.record.keys import ShopKey, is_signed, key_of
from plimb.record.tables.card import CardRow
from plimb.record.tables.journal import ChangeRow, EntryRow, SealRow, ShopKeyRow

CLOCK_SLACK = timedelta(minutes=5)
"""As much may a clock go back when it is set right (network time; common practice)."""


def own_key(session: Session, now: datetime) -> ShopKey:
    """Return the shop's key, its public part known to the record.

    Raises:
        BadValue: What lies beside the record is no key.
    """
    record: Path = session.info["record"]
    key = key_of(record)
    if known_key(session, key.public) is None:
        session.add(ShopKeyRow(public=key.public, name="", own=True, since=now))
    return key


def known_key(session: Session, public: str) -> ShopKeyRow | None:
    """Return what the record knows of a key."""
    return session.scalars(select(ShopKeyRow).where(ShopKeyRow.public == public)).first()


def known_keys(session: Session) -> list[ShopKeyRow]:
    """Return all keys that the record knows, the oldest first."""
    return list(session.scalars(select(ShopKeyRow).order_by(ShopKeyRow.id)))


def seal_of(session: Session, card: CardRow) -> SealRow | None:
    """Return what a card is sealed with, None where it was signed without."""
    return session.scalars(select(SealRow).where(SealRow.card_id == card.id)).first()


def _sealed_text(fingerprint: str, head: str, at: datetime) -> str:
    return f"plimb-seal\n{fingerprint}\n{head}\n{at.isoformat()}"


def add_seal(session: Session, card: CardRow, fingerprint: str, now: datetime) -> None:
    """Seal a signed card: its fingerprint and the journal up to now, under the shop's key."""
    _number, head = head_of(session.connection())
    key = own_key(session, now)
    session.add(
        SealRow(
            card_id=card.id,
            fingerprint=fingerprint,
            head=head,
            sealed_at=now,
            public=key.public,
            signature=key.sign(_sealed_text(fingerprint, head, now)),
        )
    )


def seal_faults(session: Session, card: CardRow, fingerprint: str) -> Iterator[str]:
    """Say in what a signed card is not as it was sealed; `fingerprint` is its own as it stands."""
    name, seal = f"card {card.id}", seal_of(session, card)
    if seal is None:
        if not _older(session, card) and card.origin is None:
            yield f"{name} is signed, and was not sealed"
        return
    if seal.fingerprint != fingerprint:
        yield f"{name} was changed after it was signed"
    text = _sealed_text(seal.fingerprint, seal.head, seal.sealed_at)
    known = known_key(session, seal.public)
    if not is_signed(seal.public, seal.signature, text) or known is None or not known.own:
        yield f"the seal of {name} is not under the shop's key"
    lines = select(ChangeRow.entry_id).where(ChangeRow.of == "seal", ChangeRow.row == seal.id)
    written = session.scalars(lines).all()
    entry = session.get(EntryRow, written[0]) if len(written) == 1 else None
    if entry is None:
        yield f"{name} was sealed more than once"
        return
    if entry.before != seal.head or entry.at != seal.sealed_at:
        yield f"the seal of {name} is not from when it was signed"
    latest = session.scalar(
        select(EntryRow.at).where(EntryRow.id < entry.id).order_by(EntryRow.at.desc()).limit(1)
    )
    if latest is not None and entry.at < latest - CLOCK_SLACK:
        yield (
            f"{name} was signed with the clock set back: {moment_words(entry.at)}, and something "
            f"was written before it at {moment_words(latest)}"
        )


def _older(session: Session, card: CardRow) -> bool:
    """Return whether a card was signed before there were seals: so it stood at the first entry."""
    query = select(ChangeRow.new).where(
        ChangeRow.of == "card", ChangeRow.row == card.id, ChangeRow.entry_id == 1
    )
    first = session.scalars(query).first()
    return first is not None and json.loads(first)["signed_at"] is not None
