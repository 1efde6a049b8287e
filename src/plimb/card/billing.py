"""The bill of a card: the pieces that went in and stayed, and what was written besides."""

from collections.abc import Sequence
from dataclasses import dataclass
from decimal import Decimal

from sqlalchemy.orm import Session

from plimb.card.acts.read import clearance_family
from plimb.card.build import rounds_of
from plimb.core.engine.engine import Clearance
from plimb.core.job.checks import Bill, bill_of
from plimb.core.job.sheet import Round
from plimb.core.lengths import show_mm
from plimb.core.shim.shim import Source
from plimb.files.table_csv import write_csv
from plimb.record.cards import get_card
from plimb.record.families import families, family_among
from plimb.record.tables.card import CardRow

COLUMNS = ("what", "number", "count", "price", "sum")


@dataclass(frozen=True, slots=True)
class _Used:
    """A piece that came from outside the engine: how thick, whence, for which kind of valve."""

    thickness_nm: int
    source: Source
    swapped: bool
    clearance: Clearance


def _stayed(rounds: Sequence[Round]) -> list[_Used]:
    """Return the pieces from outside that are in at the end; one that came out again is none.

    A piece that moved on from one valve to another is still the one that was bought.
    """
    inside: dict[str, _Used] = {}
    for round_ in rounds:
        before = dict(inside)
        for valve, state in round_.status.touched.items():
            choice = state.record.choice
            if choice is None or not (choice.fitted or state.record.proof):
                continue
            inside.pop(valve, None)
            if choice.source in (Source.COUNTER, Source.DRAWER):
                inside[valve] = _Used(
                    choice.thickness_nm, choice.source, choice.swapped, state.clearance
                )
            elif choice.source is Source.ENGINE and choice.from_valve in before:
                inside[valve] = before[choice.from_valve]
    return list(inside.values())


def bill_for(session: Session, card: CardRow, rounds: Sequence[Round]) -> Bill:
    """Return the bill as it stands: what went in and stayed, and what was written besides.

    A piece out of the drawer has the price of a new one; one that was swapped the counter's price
    for that. A piece that went in for a while, and lies on the tray again, stands on no bill.
    """
    known = families(session)
    pieces: dict[str, tuple[int, Decimal | None]] = {}
    for used in _stayed(rounds):
        family = clearance_family(known, used.clearance)
        row, price = family_among(known, used.clearance.family), family.price
        wide = "" if family.diameter_nm is None else f", {show_mm(family.diameter_nm)} across"
        name = f"Shim {show_mm(used.thickness_nm)} mm{wide}"
        if used.swapped:
            name += ", an old one given for it"
            price = Decimal(row.swap_price) if row and row.swap_price is not None else None
        elif used.source is Source.DRAWER:
            name += ", out of the drawer"
        pieces[name] = (pieces.get(name, (0, None))[0] + 1, price)
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
