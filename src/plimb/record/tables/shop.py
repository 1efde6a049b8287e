"""The shop: its settings, its feeler sets, its instruments."""

from __future__ import annotations

from sqlalchemy import CheckConstraint, ForeignKey, UniqueConstraint
from sqlalchemy.orm import Mapped, mapped_column, relationship

from plimb.core.measure.blades import BladeState, Stack
from plimb.record.tables.base import Base, Values


class SettingRow(Base):
    """One thing that the shop has set, by its name, as JSON; what it has not set is not there."""

    __tablename__ = "setting"

    name: Mapped[str] = mapped_column(unique=True)
    value: Mapped[str | None]


class SecretRow(Base):
    """A secret of the shop's, as the address of its calendar; it is in no journal and no file."""

    __tablename__ = "secret"

    name: Mapped[str] = mapped_column(unique=True)
    value: Mapped[str]


class InstrumentLineRow(Base):
    """One line that a connected instrument has sent."""

    __tablename__ = "instrument_line"
    __table_args__ = {"sqlite_autoincrement": True}  # noqa: RUF012  # as the mapper wants it

    text: Mapped[str]


class BladeSetRow(Base):
    """A feeler set of the shop."""

    __tablename__ = "blade_set"

    name: Mapped[str] = mapped_column(unique=True)
    stacking: Mapped[bool]
    stacks: Mapped[tuple[Stack, ...]] = mapped_column(
        Values(tuple[Stack, ...]), server_default="[]"
    )
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

    blade_set_id: Mapped[int] = mapped_column(ForeignKey("blade_set.id"))
    nominal_nm: Mapped[int]
    stamped_nm: Mapped[int | None]
    measured_nm: Mapped[int | None]
    state: Mapped[BladeState]


class InstrumentRow(Base):
    """A micrometer or calliper of the shop, and what it is good to."""

    __tablename__ = "instrument"

    name: Mapped[str] = mapped_column(unique=True)
    doubt_nm: Mapped[int]
