"""Cards: one job on one engine, its rounds, and every act on it."""

from __future__ import annotations

from collections.abc import Mapping
from datetime import date, datetime
from decimal import Decimal
from typing import Any

from sqlalchemy import JSON, ForeignKey, UniqueConstraint, text
from sqlalchemy.orm import Mapped, mapped_column, relationship

from plimb.core.engine.turning import Method
from plimb.core.job.bolts import BoltGroup
from plimb.core.job.checks import BillLine, SideChecks
from plimb.core.job.kinds import JobKind
from plimb.core.job.stages import Stage
from plimb.core.job.summary import CardSummary, Origin, ShopThings
from plimb.core.job.tray import Part
from plimb.core.plan.needs import WhichToSet
from plimb.core.shim.shim import Trust
from plimb.core.shim.sum import Aim, Rounding
from plimb.core.wear.stack import Seen
from plimb.record.tables.base import Base, DecimalText, Values
from plimb.record.tables.engine import EngineRevisionRow
from plimb.record.tables.reading import ChoiceRow, GapRow, ShimReadingRow
from plimb.record.tables.shop import BladeSetRow, InstrumentRow


class CardRow(Base):
    """One job on one engine, from opened to signed.

    `as_signed` keeps what the shop may change later as it was when the card was signed: the
    engine's label, the feeler set, the instrument. `origin` is where a card from a file comes
    from. `only_valve` is the key of the one valve that
    a job is about, to be changed by `change_nm`, wider if above 0; so near to that gap is
    `near_enough_nm`, where no spec is entered. `summary` is what lists show
    of it, made anew with each change; `outcome` what a signed one says for the years, by keys.
    """

    __tablename__ = "card"

    engine_revision_id: Mapped[int] = mapped_column(ForeignKey("engine_revision.id"), index=True)
    version: Mapped[int]
    opened_at: Mapped[datetime] = mapped_column(index=True)
    opened_by: Mapped[str]
    reason: Mapped[str]
    distance_km: Mapped[int | None]
    aim: Mapped[Aim]
    rounding: Mapped[Rounding]
    act: Mapped[WhichToSet]
    signed_at: Mapped[datetime | None] = mapped_column(index=True)
    signed_by: Mapped[str | None]
    hours: Mapped[Decimal | None] = mapped_column(DecimalText)
    put_away_at: Mapped[datetime | None]
    kind: Mapped[JobKind] = mapped_column(server_default="set")
    only_valve: Mapped[str | None]
    change_nm: Mapped[int | None]
    near_enough_nm: Mapped[int | None]
    distance_mi: Mapped[int | None]
    symptoms: Mapped[str] = mapped_column(server_default="")
    checks: Mapped[SideChecks | None] = mapped_column(Values(SideChecks))
    notes: Mapped[Mapping[Stage, str]] = mapped_column(
        Values(dict[Stage, str]), server_default="{}"
    )
    bill: Mapped[tuple[BillLine, ...]] = mapped_column(
        Values(tuple[BillLine, ...]), server_default="[]"
    )
    rested_hours: Mapped[str | None]
    temperature_c: Mapped[str | None]
    warm_reason: Mapped[str] = mapped_column(server_default="")
    method: Mapped[Method] = mapped_column(server_default="marks")
    seen_to: Mapped[list[str]] = mapped_column(JSON, server_default="[]")
    blade_set_id: Mapped[int | None] = mapped_column(ForeignKey("blade_set.id"))
    trust: Mapped[Trust] = mapped_column(server_default="measured")
    reuse: Mapped[bool] = mapped_column(server_default=text("1"))
    variant: Mapped[str] = mapped_column(server_default="best")
    tightening: Mapped[tuple[BoltGroup, ...]] = mapped_column(
        Values(tuple[BoltGroup, ...]), server_default="[]"
    )
    recalled: Mapped[dict[str, int]] = mapped_column(JSON, server_default="{}")
    forbidden: Mapped[tuple[tuple[str, int], ...]] = mapped_column(
        Values(tuple[tuple[str, int], ...]), server_default="[]"
    )
    opened_too: Mapped[tuple[str, ...]] = mapped_column(
        Values(tuple[str, ...]), server_default="[]"
    )
    shafts_aside: Mapped[tuple[str, ...]] = mapped_column(
        Values(tuple[str, ...]), server_default="[]"
    )
    instrument_id: Mapped[int | None] = mapped_column(ForeignKey("instrument.id"))
    zero_nm: Mapped[int | None]
    as_signed: Mapped[ShopThings | None] = mapped_column(Values(ShopThings))
    remarks: Mapped[str | None]
    next_check_km: Mapped[int | None]
    next_check_mi: Mapped[int | None]
    next_check_hours: Mapped[Decimal | None] = mapped_column(DecimalText)
    next_check_on: Mapped[date | None]
    summary: Mapped[CardSummary | None] = mapped_column(Values(CardSummary))
    origin: Mapped[Origin | None] = mapped_column(Values(Origin))
    outcome: Mapped[Mapping[str, Seen] | None] = mapped_column(Values(dict[str, Seen]))
    revision: Mapped[EngineRevisionRow] = relationship()
    rounds: Mapped[list[RoundRow]] = relationship(order_by="RoundRow.number")
    amendments: Mapped[list[AmendmentRow]] = relationship(order_by="AmendmentRow.id")
    trays: Mapped[list[StripTrayRow]] = relationship(order_by="StripTrayRow.id")
    blade_set: Mapped[BladeSetRow | None] = relationship()
    instrument: Mapped[InstrumentRow | None] = relationship()


class AmendmentRow(Base):
    """A dated line written on a card after it was signed; nothing on the card changes."""

    __tablename__ = "amendment"
    __table_args__ = (UniqueConstraint("card_id", "key"),)

    card_id: Mapped[int] = mapped_column(ForeignKey("card.id"), index=True)
    key: Mapped[str]
    written_by: Mapped[str]
    text: Mapped[str]
    written_at: Mapped[datetime]


class StripTrayRow(Base):
    """What came off, in order, and where its fasteners lie; the newest line stands."""

    __tablename__ = "strip_tray"

    card_id: Mapped[int] = mapped_column(ForeignKey("card.id"), index=True)
    document: Mapped[tuple[Part, ...]] = mapped_column(Values(tuple[Part, ...]))
    recorded_at: Mapped[datetime]


class RoundRow(Base):
    """One pass of measuring, setting and proving."""

    __tablename__ = "round"
    __table_args__ = (UniqueConstraint("card_id", "number"),)

    card_id: Mapped[int] = mapped_column(ForeignKey("card.id"), index=True)
    number: Mapped[int]
    opened_at: Mapped[datetime | None]
    reason: Mapped[str] = mapped_column(server_default="")
    hand_turns: Mapped[int] = mapped_column(server_default=text("0"))
    gaps: Mapped[list[GapRow]] = relationship(order_by="GapRow.id")
    pieces: Mapped[list[ShimReadingRow]] = relationship(order_by="ShimReadingRow.id")
    choices: Mapped[list[ChoiceRow]] = relationship(order_by="ChoiceRow.id")


class EventRow(Base):
    """One act on a card, with the key its sender gave it: sent twice, it is done once.

    `kind` and `payload`, what was said with it, are data: words are made of them when they are
    read. `said` is the text that an earlier version wrote instead, or that stood in a file,
    else empty; it is only shown, and goes into the card's file as it is.
    """

    __tablename__ = "card_event"
    __table_args__ = (UniqueConstraint("card_id", "key"), UniqueConstraint("card_id", "version"))

    card_id: Mapped[int] = mapped_column(ForeignKey("card.id"), index=True)
    version: Mapped[int]
    key: Mapped[str]
    said: Mapped[str]
    recorded_at: Mapped[datetime]
    kind: Mapped[str | None]
    payload: Mapped[dict[str, Any] | None] = mapped_column(JSON(none_as_null=True))
