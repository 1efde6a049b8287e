"""Orders at the parts counter, line by line."""

from collections import Counter
from dataclasses import dataclass
from datetime import datetime

from sqlalchemy import select
from sqlalchemy.orm import Session, selectinload

from plimb.record.rows import value_of
from plimb.record.tables.order import PartOrderLineRow, PartOrderRow
from plimb.record.tables.shim import ShimFamilyRow


@dataclass(frozen=True, slots=True, kw_only=True)
class OrderedLine:
    """One size on an order: how many, at what price, and how soon, or why it was refused."""

    id: int
    thickness_nm: int
    diameter_nm: int | None
    count: int
    price: str | None
    days: int
    state: str
    says: str


@dataclass(frozen=True, slots=True, kw_only=True)
class Order:
    """An order at the parts counter, as the counter answered it."""

    id: int
    card_id: int | None
    number: str
    ordered_at: datetime
    lines: tuple[OrderedLine, ...]


def list_orders(session: Session, card_id: int | None = None) -> list[Order]:
    """Return all orders, or one card's, the newest first."""
    query = select(PartOrderRow).options(
        selectinload(PartOrderRow.lines).selectinload(PartOrderLineRow.family)
    )
    if card_id is not None:
        query = query.where(PartOrderRow.card_id == card_id)
    rows = session.scalars(query.order_by(PartOrderRow.id.desc())).all()
    return [_order(row) for row in rows]


def _order(row: PartOrderRow) -> Order:
    lines = (value_of(OrderedLine, n, diameter_nm=n.family.diameter_nm) for n in row.lines)
    return value_of(Order, row, lines=tuple(lines))


def order_by_key(session: Session, key: str) -> PartOrderRow | None:
    """Return the order that was sent with this key."""
    return session.scalar(select(PartOrderRow).where(PartOrderRow.key == key))


def on_order_for(session: Session, card_id: int) -> dict[tuple[int | None, int], int]:
    """Return how many pieces a card has ordered and not been refused, by diameter and size."""
    query = (
        select(ShimFamilyRow.diameter_nm, PartOrderLineRow.thickness_nm, PartOrderLineRow.count)
        .join(PartOrderRow, PartOrderLineRow.order_id == PartOrderRow.id)
        .join(ShimFamilyRow, PartOrderLineRow.family_id == ShimFamilyRow.id)
        .where(PartOrderRow.card_id == card_id, PartOrderLineRow.state != "refused")
    )
    counts: Counter[tuple[int | None, int]] = Counter()
    for diameter_nm, thickness_nm, count in session.execute(query):
        counts[diameter_nm, thickness_nm] += count
    return dict(counts)
