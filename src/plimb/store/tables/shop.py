"""The shop: its settings, its feeler sets, its instruments."""

from __future__ import annotations

from sqlalchemy import CheckConstraint, ForeignKey, UniqueConstraint, text
from sqlalchemy.orm import Mapped, mapped_column, relationship

from plimb.core.job.torque import TorqueUnit
from plimb.core.measure.blades import BladeState, Stack
from plimb.core.plan.needs import WhichToSet
from plimb.core.shim.sum import Aim, Rounding
from plimb.store.tables.base import Base, Values


class ShopRow(Base):
    """The one shop this record belongs to.

    `round_cost` is what going round again costs it, as a decimal in the money of its prices, or
    nothing where nobody said; `sure` the chance in per cent from which on a piece is
    sure enough. `hand_nm` is how differently its hand feels the same gap from time to time, None
    for the usual hand. Of the record's own copies the newest of so many days, weeks and months
    is kept.
    """

    __tablename__ = "shop"

    name: Mapped[str]
    thinnest_blade_nm: Mapped[int]
    aim: Mapped[Aim]
    rounding: Mapped[Rounding]
    act: Mapped[WhichToSet]
    hand_turns: Mapped[int] = mapped_column(server_default=text("2"))
    wrench: Mapped[TorqueUnit] = mapped_column(server_default="N·m")
    round_cost: Mapped[str | None]
    sure: Mapped[int] = mapped_column(server_default=text("90"))
    hand_nm: Mapped[int | None]
    keep_days: Mapped[int] = mapped_column(server_default=text("7"))
    keep_weeks: Mapped[int] = mapped_column(server_default=text("4"))
    keep_months: Mapped[int] = mapped_column(server_default=text("12"))
    calendar: Mapped[str | None]


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
