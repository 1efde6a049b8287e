"""The bill of a card: the pieces that were bought and went in, and what was written besides."""

from collections.abc import Sequence
from decimal import Decimal

from sqlalchemy.orm import Session

from plimb.card.acts.read import clearance_family
from plimb.card.build import rounds_of
from plimb.core.job.checks import Bill, bill_of
from plimb.core.job.sheet import Round
from plimb.core.lengths import show_mm
from plimb.core.shim.shim import Source
from plimb.files.table_csv import write_csv
from plimb.record.cards import get_card
from plimb.record.families import families
from plimb.record.tables.card import CardRow

COLUMNS = ("what", "number", "count", "price", "sum")


def bill_for(session: Session, card: CardRow, rounds: Sequence[Round]) -> Bill:
    """Return the bill as it stands; a piece bought in one round and out in the next counts."""
    known = families(session)
    pieces: dict[str, tuple[int, Decimal | None]] = {}
    for round_ in rounds:
        for state in round_.status.touched.values():
            choice = state.record.choice
            if choice is None or choice.source is not Source.COUNTER:
                continue
            family = clearance_family(known, state.clearance)
            wide = "" if family.diameter_nm is None else f", {show_mm(family.diameter_nm)} across"
            name = f"Shim {show_mm(choice.thickness_nm)} mm{wide}"
            pieces[name] = (pieces.get(name, (0, None))[0] + 1, family.price)
    return bill_of(pieces, card.bill)


def bill_csv(session: Session, card_id: int) -> str:
    """Return the bill as CSV; an unknown price is empty. NotFound where there is no such card."""
    card = get_card(session, card_id)
    lines = bill_for(session, card, rounds_of(card)).lines
    return write_csv(
        COLUMNS,
        [
            (line.what, line.number, line.count, _money(line.price), _money(line.sum))
            for line in lines
        ],
    )


def _money(price: Decimal | None) -> str:
    return "" if price is None else f"{price:.2f}"
