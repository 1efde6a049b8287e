"""Engines and their revisions."""

from __future__ import annotations

from datetime import datetime

from sqlalchemy import ForeignKey, UniqueConstraint
from sqlalchemy.orm import Mapped, mapped_column, relationship

from plimb.store.tables.base import Base


class EngineRow(Base):
    """An engine in the shop's care; what it is made of stands in its revisions."""

    __tablename__ = "engine"

    label: Mapped[str] = mapped_column(unique=True)
    note: Mapped[str]
    revisions: Mapped[list[EngineRevisionRow]] = relationship(
        order_by="EngineRevisionRow.number", back_populates="engine"
    )


class EngineRevisionRow(Base):
    """An engine file as it was at one time; a card keeps the one it was opened with."""

    __tablename__ = "engine_revision"
    __table_args__ = (UniqueConstraint("engine_id", "number"),)

    engine_id: Mapped[int] = mapped_column(ForeignKey("engine.id"))
    number: Mapped[int]
    document: Mapped[str]
    recorded_at: Mapped[datetime]
    engine: Mapped[EngineRow] = relationship(back_populates="revisions")
