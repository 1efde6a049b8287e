"""Pieces and their families: where each one is, and every move it made."""

from datetime import datetime

from sqlalchemy import JSON, CheckConstraint, ForeignKey, Index, text
from sqlalchemy.orm import Mapped, mapped_column, relationship

from plimb.core.shim.location import Location, Where
from plimb.core.shim.marking import Code
from plimb.core.shim.shim import Condition
from plimb.record.tables.base import Base, Values


class ShimFamilyRow(Base):
    """Shims that fit one another's place: diameter, runs, how they are marked, what they cost.

    `kit_price` and `kit_each` are of a box with so many of every size; `low_stock` is the
    count under which a size wants buying. `swap_price` is what the counter asks beside an old
    piece; the sizes `to_order` are not on its shelf and come after `wait_days`.
    """

    __tablename__ = "shim_family"

    name: Mapped[str] = mapped_column(unique=True)
    diameter_nm: Mapped[int | None] = mapped_column(unique=True)
    runs: Mapped[list[list[int]]] = mapped_column(JSON)
    code: Mapped[Code] = mapped_column(server_default="auto")
    price: Mapped[str | None]
    kit_price: Mapped[str | None]
    kit_each: Mapped[int] = mapped_column(server_default=text("3"))
    supplier: Mapped[str] = mapped_column(server_default="")
    low_stock: Mapped[int] = mapped_column(server_default=text("0"))
    swap_price: Mapped[str | None]
    to_order: Mapped[list[int]] = mapped_column(JSON, server_default="[]")
    wait_days: Mapped[int | None]
    version: Mapped[int] = mapped_column(server_default=text("1"))


class ShimRow(Base):
    """One piece, and the one place where it is.

    `valve` is the clearance's key. The place changes only together with a line in `shim_move`;
    `thickness_nm` is what sums are made with.
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
        Index(
            "ix_shim_alike",
            "place",
            "condition",
            "family_id",
            "marked_nm",
            "measured_nm",
            "thickness_nm",
        ),
    )

    family_id: Mapped[int] = mapped_column(ForeignKey("shim_family.id"))
    marked: Mapped[str | None]
    marked_nm: Mapped[int | None]
    measured_nm: Mapped[int | None]
    thickness_nm: Mapped[int]
    condition: Mapped[Condition]
    place: Mapped[Where]
    engine_id: Mapped[int | None] = mapped_column(ForeignKey("engine.id"))
    valve: Mapped[str | None]
    card_id: Mapped[int | None] = mapped_column(ForeignKey("card.id"))
    order_line_id: Mapped[int | None] = mapped_column(ForeignKey("part_order_line.id"))
    family: Mapped[ShimFamilyRow] = relationship()


class ShimMoveRow(Base):
    """One piece going from one place to another, and why; `left` is None for a new one."""

    __tablename__ = "shim_move"

    shim_id: Mapped[int] = mapped_column(ForeignKey("shim.id"), index=True)
    left: Mapped[Location | None] = mapped_column(Values(Location))
    reached: Mapped[Location] = mapped_column(Values(Location))
    why: Mapped[str]
    moved_at: Mapped[datetime]
