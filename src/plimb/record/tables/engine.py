"""Engines and their revisions."""

from __future__ import annotations

from collections.abc import Mapping
from datetime import date, datetime
from decimal import Decimal

from sqlalchemy import ForeignKey, UniqueConstraint
from sqlalchemy.orm import Mapped, mapped_column, relationship

from plimb.core.wear.due import Outlook
from plimb.core.wear.stack import Seen
from plimb.record.tables.base import Base, DecimalText, Values


class EngineRow(Base):
    """An engine in the shop's care; what it is made of stands in its revisions.

    `outlook` is when its next check is due, made anew with each signature and each correction;
    `due_on` the day of it, where one is known.
    """

    __tablename__ = "engine"

    label: Mapped[str] = mapped_column(unique=True)
    note: Mapped[str]
    outlook: Mapped[Outlook | None] = mapped_column(Values(Outlook))
    due_on: Mapped[date | None] = mapped_column(index=True)
    revisions: Mapped[list[EngineRevisionRow]] = relationship(
        order_by="EngineRevisionRow.number", back_populates="engine"
    )


class NotedCheckRow(Base):
    """A check that stood in an old notebook: dated, by the valves' keys, taken back or not."""

    __tablename__ = "noted_check"

    engine_id: Mapped[int] = mapped_column(ForeignKey("engine.id"), index=True)
    on: Mapped[date]
    at: Mapped[Decimal | None] = mapped_column(DecimalText)
    new_life: Mapped[bool]
    valves: Mapped[Mapping[str, Seen]] = mapped_column(Values(dict[str, Seen]))
    source: Mapped[str]
    noted_by: Mapped[str]
    noted_at: Mapped[datetime]
    taken_back_at: Mapped[datetime | None]


class EngineRevisionRow(Base):
    """An engine file as it was at one time; a card keeps the one it was opened with."""

    __tablename__ = "engine_revision"
    __table_args__ = (UniqueConstraint("engine_id", "number"),)

    engine_id: Mapped[int] = mapped_column(ForeignKey("engine.id"))
    number: Mapped[int]
    document: Mapped[str]
    recorded_at: Mapped[datetime]
    engine: Mapped[EngineRow] = relationship(back_populates="revisions")
