"""Tables. Lengths are integer nanometres, times naive UTC; readings are never overwritten."""

from __future__ import annotations

from datetime import datetime
from typing import Any

from sqlalchemy import (
    JSON,
    CheckConstraint,
    ForeignKey,
    Index,
    MetaData,
    UniqueConstraint,
    text,
)
from sqlalchemy.orm import DeclarativeBase, Mapped, mapped_column, relationship


class Base(DeclarativeBase):
    """All tables, with constraint names that migrations can refer to."""

    metadata = MetaData(
        naming_convention={
            "ix": "ix_%(column_0_label)s",
            "uq": "uq_%(table_name)s_%(column_0_name)s",
            "ck": "ck_%(table_name)s_%(constraint_name)s",
            "fk": "fk_%(table_name)s_%(column_0_name)s_%(referred_table_name)s",
            "pk": "pk_%(table_name)s",
        }
    )


class ShopRow(Base):
    """The one shop this record belongs to."""

    __tablename__ = "shop"

    id: Mapped[int] = mapped_column(primary_key=True)
    name: Mapped[str]
    thinnest_blade_nm: Mapped[int]
    aim: Mapped[str]
    rounding: Mapped[str]
    act: Mapped[str]
    hand_turns: Mapped[int] = mapped_column(server_default=text("2"))
    wrench: Mapped[str] = mapped_column(server_default="N·m")


class EngineRow(Base):
    """An engine in the shop's care; what it is made of stands in its revisions."""

    __tablename__ = "engine"

    id: Mapped[int] = mapped_column(primary_key=True)
    label: Mapped[str] = mapped_column(unique=True)
    note: Mapped[str]
    revisions: Mapped[list[EngineRevisionRow]] = relationship(
        order_by="EngineRevisionRow.number", back_populates="engine"
    )


class EngineRevisionRow(Base):
    """An engine file as it was at one time; a card keeps the one it was opened with."""

    __tablename__ = "engine_revision"
    __table_args__ = (UniqueConstraint("engine_id", "number"),)

    id: Mapped[int] = mapped_column(primary_key=True)
    engine_id: Mapped[int] = mapped_column(ForeignKey("engine.id"))
    number: Mapped[int]
    document: Mapped[str]
    recorded_at: Mapped[datetime]
    engine: Mapped[EngineRow] = relationship(back_populates="revisions")


class CardRow(Base):
    """One job on one engine, from opened to signed.

    `as_signed` keeps what the shop may change later as it was when the card was signed: the
    engine's label, the feeler set, the instrument.
    """

    __tablename__ = "card"

    id: Mapped[int] = mapped_column(primary_key=True)
    engine_revision_id: Mapped[int] = mapped_column(ForeignKey("engine_revision.id"), index=True)
    version: Mapped[int]
    opened_at: Mapped[datetime]
    opened_by: Mapped[str]
    reason: Mapped[str]
    distance_km: Mapped[int | None]
    aim: Mapped[str]
    rounding: Mapped[str]
    act: Mapped[str]
    signed_at: Mapped[datetime | None]
    signed_by: Mapped[str | None]
    hours: Mapped[int | None]
    rested_hours: Mapped[str | None]
    temperature_c: Mapped[str | None]
    warm_reason: Mapped[str] = mapped_column(server_default="")
    method: Mapped[str] = mapped_column(server_default="marks")
    seen_to: Mapped[list[str]] = mapped_column(JSON, server_default="[]")
    blade_set_id: Mapped[int | None] = mapped_column(ForeignKey("blade_set.id"))
    trust: Mapped[str] = mapped_column(server_default="measured")
    reuse: Mapped[bool] = mapped_column(server_default=text("1"))
    variant: Mapped[str] = mapped_column(server_default="best")
    tightening: Mapped[list[dict[str, Any]]] = mapped_column(JSON, server_default="[]")
    forbidden: Mapped[list[list[Any]]] = mapped_column(JSON, server_default="[]")
    instrument_id: Mapped[int | None] = mapped_column(ForeignKey("instrument.id"))
    zero_nm: Mapped[int | None]
    as_signed: Mapped[dict[str, Any] | None] = mapped_column(JSON(none_as_null=True))
    remarks: Mapped[str | None]
    next_check_km: Mapped[int | None]
    revision: Mapped[EngineRevisionRow] = relationship()
    rounds: Mapped[list[RoundRow]] = relationship(order_by="RoundRow.number")
    amendments: Mapped[list[AmendmentRow]] = relationship(order_by="AmendmentRow.id")
    trays: Mapped[list[StripTrayRow]] = relationship(order_by="StripTrayRow.id")
    blade_set: Mapped[BladeSetRow | None] = relationship()
    instrument: Mapped[InstrumentRow | None] = relationship()


class AmendmentRow(Base):
    """A dated line written on a card after it was signed; nothing on the card changes."""

    __tablename__ = "amendment"

    id: Mapped[int] = mapped_column(primary_key=True)
    card_id: Mapped[int] = mapped_column(ForeignKey("card.id"), index=True)
    key: Mapped[str] = mapped_column(unique=True)
    written_by: Mapped[str]
    text: Mapped[str]
    written_at: Mapped[datetime]


class BladeSetRow(Base):
    """A feeler set of the shop."""

    __tablename__ = "blade_set"

    id: Mapped[int] = mapped_column(primary_key=True)
    name: Mapped[str] = mapped_column(unique=True)
    stacking: Mapped[bool]
    blades: Mapped[list[BladeRow]] = relationship(
        order_by="BladeRow.nominal_nm", cascade="all, delete-orphan"
    )


class BladeRow(Base):
    """One blade: its marking, its own thickness if measured, and whether it is fit for use."""

    __tablename__ = "blade"
    __table_args__ = (
        UniqueConstraint("blade_set_id", "nominal_nm"),
        CheckConstraint("state IN ('sound', 'bent', 'broken')", name="state"),
    )

    id: Mapped[int] = mapped_column(primary_key=True)
    blade_set_id: Mapped[int] = mapped_column(ForeignKey("blade_set.id"))
    nominal_nm: Mapped[int]
    measured_nm: Mapped[int | None]
    state: Mapped[str]


class StripTrayRow(Base):
    """What came off, in order, and where its fasteners lie; the newest line stands."""

    __tablename__ = "strip_tray"

    id: Mapped[int] = mapped_column(primary_key=True)
    card_id: Mapped[int] = mapped_column(ForeignKey("card.id"), index=True)
    document: Mapped[list[dict[str, Any]]] = mapped_column(JSON)
    recorded_at: Mapped[datetime]


class RoundRow(Base):
    """One pass of measuring, setting and proving."""

    __tablename__ = "round"
    __table_args__ = (UniqueConstraint("card_id", "number"),)

    id: Mapped[int] = mapped_column(primary_key=True)
    card_id: Mapped[int] = mapped_column(ForeignKey("card.id"), index=True)
    number: Mapped[int]
    opened_at: Mapped[datetime | None]
    reason: Mapped[str] = mapped_column(server_default="")
    hand_turns: Mapped[int] = mapped_column(server_default=text("0"))
    gaps: Mapped[list[GapRow]] = relationship(order_by="GapRow.id")
    pieces: Mapped[list[PieceRow]] = relationship(order_by="PieceRow.id")
    choices: Mapped[list[ChoiceRow]] = relationship(order_by="ChoiceRow.id")


class _Line:
    """A line written on a card: it is superseded by a later one, never changed.

    `typed` is kept as it came from the keys; an empty one strikes the earlier line out.
    """

    id: Mapped[int] = mapped_column(primary_key=True)
    round_id: Mapped[int] = mapped_column(ForeignKey("round.id"))
    valve: Mapped[str]
    typed: Mapped[str]
    recorded_at: Mapped[datetime]
    superseded_at: Mapped[datetime | None]


_CURRENT = text("superseded_at IS NULL")


class GapRow(_Line, Base):
    """A gap as felt: before the work (`found`) or after it (`proof`).

    A line that `repeats` the one it supersedes does not correct it: both are readings of
    the same gap. `kept` names the slips that were asked about and answered "it is so".
    """

    __tablename__ = "gap_reading"
    __table_args__ = (
        Index(
            "uq_gap_reading_current",
            "round_id",
            "valve",
            "purpose",
            unique=True,
            sqlite_where=_CURRENT,
        ),
        CheckConstraint("purpose IN ('found', 'proof')", name="purpose"),
    )

    purpose: Mapped[str]
    unit: Mapped[str]
    goes: Mapped[list[int] | None] = mapped_column(JSON(none_as_null=True))
    refuses: Mapped[list[int] | None] = mapped_column(JSON(none_as_null=True))
    feel: Mapped[str | None]
    low_nm: Mapped[int | None]
    high_nm: Mapped[int | None]
    open_above: Mapped[bool]
    called_nm: Mapped[int | None]
    repeats: Mapped[bool] = mapped_column(server_default=text("0"))
    kept: Mapped[list[str]] = mapped_column(JSON, server_default="[]")
    warm: Mapped[bool] = mapped_column(server_default=text("0"))
    supersedes_id: Mapped[int | None] = mapped_column(ForeignKey("gap_reading.id"))


class PieceRow(_Line, Base):
    """A shim that came out: its marking, its measured thickness, what it is fit for.

    `answered` is which of the two was said to count where they disagree; `zero_nm` was taken
    off each of the `readings`.
    """

    __tablename__ = "piece_reading"
    __table_args__ = (
        Index("uq_piece_reading_current", "round_id", "valve", unique=True, sqlite_where=_CURRENT),
    )

    marked: Mapped[str | None]
    marked_nm: Mapped[int | None]
    measured_nm: Mapped[int | None]
    readings: Mapped[list[int]] = mapped_column(JSON, server_default="[]")
    condition: Mapped[str] = mapped_column(server_default="sound")
    doubt_nm: Mapped[int | None]
    zero_nm: Mapped[int] = mapped_column(server_default=text("0"))
    answered: Mapped[str | None]
    supersedes_id: Mapped[int | None] = mapped_column(ForeignKey("piece_reading.id"))


class ChoiceRow(_Line, Base):
    """The thickness decided on for a valve, where it comes from, and whether by hand.

    `shim_id` is the piece out of the drawer that is kept back for it.
    """

    __tablename__ = "choice"
    __table_args__ = (
        Index("uq_choice_current", "round_id", "valve", unique=True, sqlite_where=_CURRENT),
    )

    thickness_nm: Mapped[int | None]
    source: Mapped[str] = mapped_column(server_default="counter")
    from_valve: Mapped[str | None]
    by_hand: Mapped[bool] = mapped_column(server_default=text("1"))
    shim_id: Mapped[int | None] = mapped_column(ForeignKey("shim.id"))
    by_marking: Mapped[bool] = mapped_column(server_default=text("0"))
    measured_nm: Mapped[int | None]
    fitted_at: Mapped[datetime | None]
    supersedes_id: Mapped[int | None] = mapped_column(ForeignKey("choice.id"))


class EventRow(Base):
    """One action on a card, with the key its sender gave it: sent twice, it is done once."""

    __tablename__ = "card_event"
    __table_args__ = (UniqueConstraint("card_id", "key"), UniqueConstraint("card_id", "version"))

    id: Mapped[int] = mapped_column(primary_key=True)
    card_id: Mapped[int] = mapped_column(ForeignKey("card.id"), index=True)
    version: Mapped[int]
    key: Mapped[str]
    action: Mapped[str]
    recorded_at: Mapped[datetime]


class InstrumentRow(Base):
    """A micrometer or calliper of the shop, and what it is good to."""

    __tablename__ = "instrument"

    id: Mapped[int] = mapped_column(primary_key=True)
    name: Mapped[str] = mapped_column(unique=True)
    doubt_nm: Mapped[int]


class ShimFamilyRow(Base):
    """Shims that fit one another's place: diameter, runs, how they are marked, what they cost.

    `kit_price` and `kit_each` are of a box with so many of every size; `low_stock` is the
    count under which a size wants buying.
    """

    __tablename__ = "shim_family"

    id: Mapped[int] = mapped_column(primary_key=True)
    name: Mapped[str] = mapped_column(unique=True)
    diameter_nm: Mapped[int | None] = mapped_column(unique=True)
    runs: Mapped[list[list[int]]] = mapped_column(JSON)
    code: Mapped[str] = mapped_column(server_default="auto")
    price: Mapped[str | None]
    kit_price: Mapped[str | None]
    kit_each: Mapped[int] = mapped_column(server_default=text("3"))
    supplier: Mapped[str] = mapped_column(server_default="")
    low_stock: Mapped[int] = mapped_column(server_default=text("0"))
    version: Mapped[int] = mapped_column(server_default=text("1"))


class ShimRow(Base):
    """One piece, and the one place where it is.

    The place changes only together with a line in `shim_move`; `thickness_nm` is what sums
    are made with.
    """

    __tablename__ = "shim"
    __table_args__ = (
        CheckConstraint("place IN ('drawer', 'engine', 'card', 'order', 'gone')", name="place"),
        CheckConstraint(
            "(place = 'engine') = (engine_id IS NOT NULL AND valve IS NOT NULL)", name="in_engine"
        ),
        CheckConstraint("(place = 'card') = (card_id IS NOT NULL)", name="at_card"),
        CheckConstraint("(place = 'order') = (order_line_id IS NOT NULL)", name="on_order"),
        CheckConstraint("condition IN ('sound', 'worn', 'scrap')", name="condition"),
        Index(
            "uq_shim_engine_place",
            "engine_id",
            "valve",
            unique=True,
            sqlite_where=text("place = 'engine'"),
        ),
        Index("ix_shim_place", "place", "family_id", "thickness_nm"),
    )

    id: Mapped[int] = mapped_column(primary_key=True)
    family_id: Mapped[int] = mapped_column(ForeignKey("shim_family.id"))
    marked: Mapped[str | None]
    marked_nm: Mapped[int | None]
    measured_nm: Mapped[int | None]
    thickness_nm: Mapped[int]
    condition: Mapped[str]
    place: Mapped[str]
    engine_id: Mapped[int | None] = mapped_column(ForeignKey("engine.id"))
    valve: Mapped[str | None]
    card_id: Mapped[int | None] = mapped_column(ForeignKey("card.id"))
    order_line_id: Mapped[int | None] = mapped_column(ForeignKey("part_order_line.id"))
    family: Mapped[ShimFamilyRow] = relationship()


class ShimMoveRow(Base):
    """One piece going from one place to another, and why."""

    __tablename__ = "shim_move"

    id: Mapped[int] = mapped_column(primary_key=True)
    shim_id: Mapped[int] = mapped_column(ForeignKey("shim.id"), index=True)
    left: Mapped[str]
    reached: Mapped[str]
    why: Mapped[str]
    moved_at: Mapped[datetime]


class PartOrderRow(Base):
    """An order at the parts counter, as the counter answered it."""

    __tablename__ = "part_order"

    id: Mapped[int] = mapped_column(primary_key=True)
    card_id: Mapped[int | None] = mapped_column(ForeignKey("card.id"), index=True)
    number: Mapped[str]
    key: Mapped[str] = mapped_column(unique=True)
    ordered_at: Mapped[datetime]
    lines: Mapped[list[PartOrderLineRow]] = relationship(order_by="PartOrderLineRow.id")


class PartOrderLineRow(Base):
    """One size on an order: how many, at what price, and how soon, or why it was refused."""

    __tablename__ = "part_order_line"
    __table_args__ = (
        CheckConstraint("state IN ('ready', 'back-ordered', 'refused', 'received')", name="state"),
    )

    id: Mapped[int] = mapped_column(primary_key=True)
    order_id: Mapped[int] = mapped_column(ForeignKey("part_order.id"), index=True)
    family_id: Mapped[int] = mapped_column(ForeignKey("shim_family.id"))
    thickness_nm: Mapped[int]
    count: Mapped[int]
    price: Mapped[str | None]
    days: Mapped[int]
    state: Mapped[str]
    says: Mapped[str]
    family: Mapped[ShimFamilyRow] = relationship()
