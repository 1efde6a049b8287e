"""Orders at the parts counter."""

from __future__ import annotations

from datetime import datetime

from sqlalchemy import CheckConstraint, ForeignKey
from sqlalchemy.orm import Mapped, mapped_column, relationship

from plimb.record.tables.base import Base
from plimb.record.tables.shim import ShimFamilyRow


class PartOrderRow(Base):
    """An order at the parts counter, as the counter answered it."""

    __tablename__ = "part_order"

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

    order_id: Mapped[int] = mapped_column(ForeignKey("part_order.id"), index=True)
    family_id: Mapped[int] = mapped_column(ForeignKey("shim_family.id"))
    thickness_nm: Mapped[int]
    count: Mapped[int]
    price: Mapped[str | None]
    days: Mapped[int]
    state: Mapped[str]
    says: Mapped[str]
    family: Mapped[ShimFamilyRow] = relationship()
