"""What a technician does with the shims that come out: read one, answer for one, check the zero."""

from collections.abc import Sequence
from dataclasses import replace

from sqlalchemy.orm import Session

from plimb.card.acting import OnCard, act, known_valve
from plimb.card.custody import found_in_valve, not_found_after_all
from plimb.card.said import Short
from plimb.core.engine.engine import Clearance
from plimb.core.errors import BadValue, NotReady
from plimb.core.lengths import Unit, mm, parse_length
from plimb.core.shim.family import Family
from plimb.core.shim.shim import Condition, ShimReading, Trust, parse_shim
from plimb.record.cards import get_card
from plimb.record.database import Database
from plimb.record.families import core_family, families, family_among
from plimb.record.readings import standing, write_shim
from plimb.record.rows import numbered
from plimb.record.tables.card import CardRow
from plimb.record.tables.shim import ShimFamilyRow
from plimb.record.tables.shop import InstrumentRow

MOST_ZERO_NM = mm("0.1")


@act("shim")
def write_down_shim(
    on: OnCard, *, valve: str, text: str, condition: Condition = Condition.SOUND
) -> None:
    """Write down the shim that came out; empty text strikes the standing one out.

    Raises:
        BadValue: The text cannot be read or the valve is not on the engine.
        Ambiguous: The marking can be read in more than one way.
    """
    session, card = on.session, on.card
    clearance, zero_nm = known_valve(card, valve), card.zero_nm or 0
    piece = read_shim(session, card, valve, text, condition) if text.strip() else None
    before = standing(on.round.pieces, on.engine).get(valve)
    write_shim(session, on.round, key=clearance.key, reading=piece, zero_nm=zero_nm, now=on.now)
    if piece is not None:
        found_in_valve(session, card, clearance, piece, on.now, corrects=before is not None)
    elif before is not None:
        not_found_after_all(session, card, clearance, on.now)


@act("recall", text=Short)
def recall_shim(on: OnCard, *, valve: str, text: str) -> None:
    """Note which shim is in from memory, to plan with before anything is open; empty forgets it.

    It is no reading: nothing is taken from it, and the shim is read when it comes out.

    Raises:
        BadValue: The text cannot be read or the valve is not on the engine.
        Ambiguous: The marking can be read in more than one way.
    """
    key = known_valve(on.card, valve).key
    recalled = {name: nm for name, nm in on.card.recalled.items() if name != key}
    if text.strip():
        recalled[key] = read_shim(on.session, on.card, valve, text).thickness_nm
    on.card.recalled = recalled


def read_shim(
    session: Session, card: CardRow, valve: str, text: str, condition: Condition = Condition.SOUND
) -> ShimReading:
    """Return what a typed shim says, by the valve's family and the card's instrument.

    Raises:
        BadValue: It cannot be read.
        Ambiguous: The marking can be read in more than one way.
    """
    clearance = known_valve(card, valve)
    return parse_shim(
        text,
        clearance_family(families(session), clearance),
        zero_nm=card.zero_nm or 0,
        condition=condition,
        doubt_nm=card.instrument.doubt_nm if card.instrument else None,
    )


def clearance_family(known: Sequence[ShimFamilyRow], clearance: Clearance) -> Family:
    """Return a valve's family with the shop's marking code and price for it."""
    row = family_among(known, clearance.family)
    if row is None:
        return clearance.family
    shop = core_family(row)
    return replace(
        clearance.family,
        code=shop.code,
        price=clearance.family.price if shop.price is None else shop.price,
    )


def understand_shim(database: Database, card_id: int, valve: str, text: str) -> ShimReading:
    """Return what a typed shim says; nothing is written down.

    Raises:
        BadValue: It cannot be read.
        Ambiguous: The marking can be read in more than one way.
        NotFound: There is no such card.
    """
    with database.reading() as session:
        return read_shim(session, get_card(session, card_id, whole=False), valve, text)


@act("trust")
def answer_for_shim(on: OnCard, *, valve: str, trust: Trust) -> None:
    """Say which thickness counts where marking and micrometer disagree.

    Raises:
        NotReady: The shim of the valve has not been read.
    """
    known_valve(on.card, valve)
    line = standing(on.round.pieces, on.engine).get(valve)
    if line is None:
        raise NotReady(f"Read the shim of {valve} first.", field="valve")
    line.answered = trust


@act("zero", zero=Short)
def check_zero(on: OnCard, *, instrument_id: int | None, zero: str) -> None:
    """Note which instrument measures the shims and what it shows with nothing in it.

    Pieces read from now on have the zero taken off; those read before keep their own.

    Raises:
        BadValue: The zero is no number, or so far off that the instrument wants setting.
        NotFound: There is no such instrument.
    """
    text = zero.strip()
    minus = text.startswith(("-", "−"))
    zero_nm = parse_length(text.lstrip("-−+"), Unit.MM, field="zero") if text else None
    if zero_nm is not None and zero_nm > MOST_ZERO_NM:
        raise BadValue(
            f"zero of {text} mm is too far off; set the instrument, then check again.",
            field="zero",
        )
    known = None if instrument_id is None else numbered(on.session, InstrumentRow, instrument_id)
    on.card.instrument = known
    on.card.zero_nm = -zero_nm if minus and zero_nm is not None else zero_nm
