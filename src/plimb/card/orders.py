"""What is bought: asked for, ordered, received, at the parts counter or from a list."""

from collections.abc import Sequence
from dataclasses import replace
from datetime import datetime
from threading import Lock

from sqlalchemy.orm import Session

from plimb.card.planning import read_plan
from plimb.core.errors import KeyReused, NotReady
from plimb.core.plan.result import OrderLine
from plimb.core.shim.location import DRAWER, Location, Where
from plimb.core.shim.shim import ShimReading
from plimb.record.database import Database
from plimb.record.families import families
from plimb.record.orders import order_by_key
from plimb.record.rows import numbered
from plimb.record.shims import add_shim, move_shim, shims_at
from plimb.record.tables.card import CardRow
from plimb.record.tables.order import PartOrderLineRow, PartOrderRow
from plimb.record.tables.shim import ShimFamilyRow
from plimb.standins.counter_client import Answered, Wanted, ask_prices, place_order


def still_to_buy(database: Database, card_id: int) -> tuple[OrderLine, ...]:
    """Return what a card's plan buys and has not ordered yet."""
    with database.reading() as session:
        view = read_plan(session, card_id)
    return tuple(replace(buy.line, count=buy.left) for buy in view.buy if buy.left)


def ask_counter(database: Database, address: str | None, card_id: int) -> tuple[Answered, ...]:
    """Return what the parts counter says of all that is still to buy.

    Raises:
        CounterAway: It does not answer.
        NotReady: There is nothing to buy.
    """
    return ask_prices(address, _wanted(still_to_buy(database, card_id)))


def _wanted(lines: Sequence[OrderLine]) -> list[Wanted]:
    if not lines:
        raise NotReady("There is nothing left to buy for this card.", field="order")
    return [
        Wanted(diameter_nm=n.diameter_nm or 0, thickness_nm=n.thickness_nm, count=n.count)
        for n in lines
    ]


def order_parts(
    database: Database, address: str | None, *, card_id: int, key: str, now: datetime
) -> None:
    """Order all that is still to buy for a card; with the same key it is ordered once.

    The pieces are then on order; a line that the counter refused is kept with its reason.

    Raises:
        CounterAway: The counter does not answer; nothing was written.
        NotReady: There is nothing to buy.
    """
    with _ORDERING:
        _order(database, address, card_id, key, now)


_ORDERING = Lock()
"""One order at a time: what is still to buy is asked for, ordered and written down in one go."""


def _order(database: Database, address: str | None, card_id: int, key: str, now: datetime) -> None:
    with database.reading() as session:
        if _ordered(session, key, card_id):
            return
    number, answered = place_order(address, key, _wanted(still_to_buy(database, card_id)))
    with database.writing("ordered", now) as session:
        if _ordered(session, key, card_id):
            return
        order = PartOrderRow(card_id=card_id, number=number, key=key, ordered_at=now)
        known = {row.diameter_nm or 0: row for row in families(session)}
        order.lines = [
            PartOrderLineRow(
                family=known[line.diameter_nm],
                thickness_nm=line.thickness_nm,
                count=line.count,
                price=line.price,
                days=line.days,
                state=line.state,
                says=line.says,
            )
            for line in answered
        ]
        session.add(order)
        session.flush()
        for row in order.lines:
            if row.state != "refused":
                _add_pieces(session, row, row.family, now)


def _ordered(session: Session, key: str, card_id: int) -> bool:
    """Return whether this was ordered already; KeyReused where another card's was."""
    before = order_by_key(session, key)
    if before is not None and before.card_id != card_id:
        raise KeyReused
    return before is not None


def _add_pieces(
    session: Session, line: PartOrderLineRow, family: ShimFamilyRow, now: datetime
) -> None:
    piece = ShimReading(marked=None, marked_nm=line.thickness_nm, measured_nm=None)
    for _one in range(line.count):
        at = Location(where=Where.ORDER, order_line_id=line.id)
        add_shim(session, family, piece, at, f"ordered, line {line.id}", now)


def receive(database: Database, *, line_id: int, now: datetime) -> None:
    """Take in what came: onto the tray of the card that ordered it, else into the drawer.

    Received twice, it is received once.

    Raises:
        NotFound: There is no such line.
        NotReady: The counter refused it, so nothing comes.
    """
    with database.writing("order received", now) as session:
        line = numbered(session, PartOrderLineRow, line_id)
        if line.state == "received":
            return
        if line.state == "refused":
            raise NotReady("The counter refused this line; nothing comes.", field="line")
        order = session.get(PartOrderRow, line.order_id)
        to = DRAWER
        if order is not None and order.card_id is not None and not _is_signed(session, order):
            to = Location(where=Where.CARD, card_id=order.card_id)
        for row in shims_at(session, Location(where=Where.ORDER, order_line_id=line.id)):
            move_shim(session, row, to, f"received, order {order.number if order else ''}", now)
        line.state = "received"


def _is_signed(session: Session, order: PartOrderRow) -> bool:
    card = session.get(CardRow, order.card_id)
    return card is None or card.signed_at is not None
