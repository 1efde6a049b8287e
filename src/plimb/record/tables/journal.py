"""What was written when and by whom, chained; what was sealed, and with whose key."""

from datetime import datetime

from sqlalchemy import ForeignKey, Index
from sqlalchemy.orm import Mapped, mapped_column

from plimb.record.tables.base import Base


class EntryRow(Base):
    """One write: when, who, what. `hash` covers it, its lines and the entry `before` it."""

    __tablename__ = "entry"

    at: Mapped[datetime]
    who: Mapped[str]
    what: Mapped[str]
    before: Mapped[str]
    hash: Mapped[str]


class ChangeRow(Base):
    """One line of a write: the row of a table, its columns before and after as JSON.

    Written by triggers, for the entry that closes the write. Of a row that is new `old` is None,
    of one that is taken out `new` is; else both have the columns that changed.
    """

    __tablename__ = "change"
    __table_args__ = (Index("ix_change_of_row", "of", "row"),)

    entry_id: Mapped[int] = mapped_column(index=True)
    of: Mapped[str]
    row: Mapped[int]
    old: Mapped[str | None]
    new: Mapped[str | None]


class SealRow(Base):
    """What a card was signed with: its fingerprint, the journal up to then, the shop's key."""

    __tablename__ = "seal"

    card_id: Mapped[int] = mapped_column(ForeignKey("card.id"), unique=True)
    fingerprint: Mapped[str]
    head: Mapped[str]
    sealed_at: Mapped[datetime]
    public: Mapped[str]
    signature: Mapped[str]


class ShopKeyRow(Base):
    """The public part of a key: one of the shop's own, or of a shop it knows by `name`."""

    __tablename__ = "shop_key"

    public: Mapped[str] = mapped_column(unique=True)
    name: Mapped[str]
    own: Mapped[bool]
    since: Mapped[datetime]


class AskedRow(Base):
    """What was asked for with a key of its own: asked again, it is answered and not done."""

    __tablename__ = "asked"

    key: Mapped[str] = mapped_column(unique=True)
    digest: Mapped[str]
    made: Mapped[str]
    at: Mapped[datetime]
