"""Orders at the parts counter, line by line."""

from __future__ import annotations

from collections import Counter
from collections.abc import Sequence

from sqlalchemy import select
from sqlalchemy.orm import Session, selectinload

from plimb.core.errors import NotFound
from plimb.store.models import PartOrderLineRow, PartOrderRow, ShimFamilyRow


def list_orders(session: Session, card_id: int | None = None) -> Sequence[PartOrderRow]:
    """Return all orders, or one card's, the newest first."""
    query = select(PartOrderRow).options(
        selectinload(PartOrderRow.lines).selectinload(PartOrderLineRow.family)
    )
    if card_id is not None:
        query = query.where(PartOrderRow.card_id == card_id)
    return session.scalars(query.order_by(PartOrderRow.id.desc())).all()


def order_by_key(session: Session, key: str) -> PartOrderRow | None:
    """Return the order that was sent with this key."""
    return session.scalar(select(PartOrderRow).where(PartOrderRow.key == key))


def get_order_line(session: Session, line_id: int) -> PartOrderLineRow:
    """Return the line of that number.

    Raises:
        NotFound: There is none.
    """
    row = session.get(PartOrderLineRow, line_id)
    if row is None:
        raise NotFound(f"There is no order line number {line_id}.", field="line")
    return row


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
