"""What a technician does with the pieces of a card: read one, answer for one, decide on one."""

from __future__ import annotations

from dataclasses import replace

from sqlalchemy.orm import Session

from plimb.actions.cards import Change, changed, known_valve
from plimb.actions.planning import VARIANTS, clearance_family, plan_of, stands
from plimb.actions.registry import check_giver, found_in_valve, keep_back
from plimb.actions.views import CardView, card_view
from plimb.core.errors import BadValue, NotReady
from plimb.core.family import check_shim
from plimb.core.lengths import Unit, mm, parse_length, show_mm
from plimb.core.piece import Condition, Piece, Source, Trust, parse_piece
from plimb.core.survey import Choice
from plimb.store.cards import get_card
from plimb.store.database import Database
from plimb.store.instruments import get_instrument
from plimb.store.lines import answer_piece, sheets, standing_piece, write_choice, write_piece
from plimb.store.models import CardRow, InstrumentRow, RoundRow, ShimRow
from plimb.store.shims import families

MOST_ZERO_NM = mm("0.1")
MOST_DOUBT_NM = mm("0.1")


def write_down_piece(
    database: Database,
    change: Change,
    *,
    valve: str,
    text: str,
    condition: Condition = Condition.SOUND,
) -> CardView:
    """Write down the shim that came out; empty text strikes the standing one out.

    Raises:
        BadValue: The text cannot be read or the valve is not on the engine.
        Ambiguous: The marking can be read in more than one way.
        StaleVersion, CardSigned, NotFound: The card cannot take it.
    """

    def apply(session: Session, card: CardRow, round_: RoundRow) -> None:
        clearance = known_valve(card, valve)
        piece = read_piece(session, card, valve, text, condition) if text.strip() else None
        before = standing_piece(round_, valve)
        write_piece(
            session,
            round_,
            valve=valve,
            typed=text.strip(),
            piece=piece,
            zero_nm=card.zero_nm or 0,
            now=change.now,
        )
        if piece is not None:
            found_in_valve(session, card, clearance, piece, change.now, corrects=before is not None)

    return changed(database, change, f"piece {valve} {text.strip()}", apply)


def read_piece(
    session: Session, card: CardRow, valve: str, text: str, condition: Condition = Condition.SOUND
) -> Piece:
    """Return what a typed shim says, by the valve's family and the card's instrument.

    Raises:
        BadValue: It cannot be read.
        Ambiguous: The marking can be read in more than one way.
    """
    clearance = known_valve(card, valve)
    return parse_piece(
        text,
        clearance_family(families(session), clearance),
        zero_nm=card.zero_nm or 0,
        condition=condition,
        doubt_nm=card.instrument.doubt_nm if card.instrument else None,
    )


def understand_piece(database: Database, card_id: int, valve: str, text: str) -> Piece:
    """Return what a typed shim says; nothing is written down.

    Raises:
        BadValue: It cannot be read.
        Ambiguous: The marking can be read in more than one way.
        NotFound: There is no such card.
    """
    with database.reading() as session:
        return read_piece(session, get_card(session, card_id, whole=False), valve, text)


def answer_for_piece(database: Database, change: Change, *, valve: str, trust: Trust) -> CardView:
    """Say which thickness counts where marking and micrometer disagree.

    Raises:
        NotReady: The shim of the valve has not been read.
        StaleVersion, CardSigned, NotFound: The card cannot take it.
    """

    def apply(_session: Session, card: CardRow, round_: RoundRow) -> None:
        known_valve(card, valve)
        if not answer_piece(round_, valve, trust):
            raise NotReady(f"Read the shim of {valve} first.", field="valve")

    return changed(database, change, f"trust {valve} {trust}", apply)


def choose_piece(
    database: Database,
    change: Change,
    *,
    valve: str,
    thickness_nm: int | None,
    source: Source | None = None,
    from_valve: str | None = None,
) -> CardView:
    """Decide by hand on the piece for a valve; None takes the decision back.

    Without a source the piece is the one that is in if it is that thick, else one to buy.

    Raises:
        BadValue: No shim is that thick, the family has no such size, or no such valve.
        NotReady: The shim that is in has not been read, or the piece has gone from the drawer.
        StaleVersion, CardSigned, NotFound: The card cannot take it.
    """

    def apply(session: Session, card: CardRow, round_: RoundRow) -> None:
        clearance = known_valve(card, valve)
        choice = None
        if thickness_nm is not None:
            check_shim(thickness_nm)
            piece = card_view(session, card).survey.valves[valve].sheet.piece
            if piece is None:
                raise NotReady(f"Read the shim of {valve} first, then choose.", field="valve")
            kept = thickness_nm == piece.thickness_nm()
            taken = source or (Source.SAME if kept else Source.COUNTER)
            choice = Choice(thickness_nm=thickness_nm, source=taken, from_valve=from_valve)
            if taken is Source.ENGINE:
                check_giver(card, round_, valve, choice)
            elif taken is Source.COUNTER and thickness_nm not in clearance.family.sizes():
                raise BadValue(
                    f"shim of {show_mm(thickness_nm)} mm is not made in this family; "
                    "choose one of its sizes.",
                    field="thickness_nm",
                )
        _decide(session, card, round_, valve, choice, change)

    return changed(database, change, f"choose {valve} {thickness_nm}", apply)


def _decide(
    session: Session,
    card: CardRow,
    round_: RoundRow,
    valve: str,
    choice: Choice | None,
    change: Change,
) -> None:
    kept_back = keep_back(session, card, round_, valve, choice, change.now)
    if choice is not None:
        choice = replace(choice, by_marking=_from_marking(session, card, round_, choice, kept_back))
    write_choice(
        session,
        round_,
        valve=valve,
        typed="" if choice is None else show_mm(choice.thickness_nm),
        choice=choice,
        shim_id=kept_back,
        now=change.now,
    )


def _from_marking(
    session: Session, card: CardRow, round_: RoundRow, choice: Choice, kept_back: int | None
) -> bool:
    """Return whether nobody has measured the piece that is chosen."""
    if kept_back is not None:
        row = session.get(ShimRow, kept_back)
        return row is not None and row.measured_nm is None
    if choice.source is Source.ENGINE:
        piece = sheets(round_, Trust(card.trust))[choice.from_valve or ""].piece
        return piece is not None and piece.from_marking
    return choice.source is Source.COUNTER


def take_plan(database: Database, change: Change) -> CardView:
    """Take the plan as it stands: each valve's piece, around what was decided by hand.

    Raises:
        NotReady: There is nothing to plan yet, or a piece has gone from the drawer.
        StaleVersion, CardSigned, NotFound: The card cannot take it.
    """

    def apply(session: Session, card: CardRow, round_: RoundRow) -> None:
        plan = plan_of(session, card).plan
        written = sheets(round_, Trust(card.trust))
        moves = [move for move in plan.moves if move.thickness_nm is not None and not move.pinned]
        if not moves and not any(move.pinned for move in plan.moves):
            raise NotReady("Read the shims first; there is nothing to decide yet.", field="valve")
        # what stands already stays as it is, fitted or not
        differ = [move for move in moves if not stands(written[move.valve].choice, move)]
        for move in differ:  # what is put back first can be taken by another valve
            if written[move.valve].choice is not None:
                _decide(session, card, round_, move.valve, None, change)
        for move in differ:
            assert move.thickness_nm is not None
            choice = Choice(
                thickness_nm=move.thickness_nm,
                source=move.source,
                from_valve=move.from_valve,
                by_hand=False,
            )
            _decide(session, card, round_, move.valve, choice, change)

    return changed(database, change, "take plan", apply)


def forbid_piece(
    database: Database, change: Change, *, valve: str, thickness_nm: int, forbidden: bool
) -> CardView:
    """Rule a thickness out for a valve, or allow it again; the plan goes round it.

    Raises:
        BadValue: The valve is not on the engine.
        StaleVersion, CardSigned, NotFound: The card cannot take it.
    """

    def apply(session: Session, card: CardRow, round_: RoundRow) -> None:
        known_valve(card, valve)
        pair = [valve, thickness_nm]
        without = [one for one in card.forbidden if one != pair]
        card.forbidden = [*without, pair] if forbidden else without
        sheet = sheets(round_, Trust(card.trust)).get(valve)
        if forbidden and sheet and sheet.chosen_nm == thickness_nm:
            _decide(session, card, round_, valve, None, change)

    return changed(database, change, f"forbid {valve} {thickness_nm} {forbidden}", apply)


def set_variant(database: Database, change: Change, variant: str) -> CardView:
    """Choose among the plan and its alternatives.

    Raises:
        BadValue: There is no such alternative.
        StaleVersion, CardSigned, NotFound: The card cannot take it.
    """
    if variant not in VARIANTS:
        raise BadValue(f"variant is one of {', '.join(VARIANTS)}.", field="variant")

    def apply(_session: Session, card: CardRow, _round: RoundRow) -> None:
        card.variant = variant

    return changed(database, change, f"variant {variant}", apply)


def check_zero(
    database: Database, change: Change, *, instrument_id: int | None, zero: str
) -> CardView:
    """Note which instrument measures the shims and what it shows with nothing in it.

    Pieces read from now on have the zero taken off; those read before keep their own.

    Raises:
        BadValue: The zero is no number, or so far off that the instrument wants setting.
        NotFound: There is no such instrument.
        StaleVersion, CardSigned: The card cannot take it.
    """
    text = zero.strip()
    minus = text.startswith(("-", "−"))
    zero_nm = parse_length(text.lstrip("-−+"), Unit.MM, field="zero") if text else None
    if zero_nm is not None and zero_nm > MOST_ZERO_NM:
        raise BadValue(
            f"zero of {text} mm is too far off; set the instrument, then check again.",
            field="zero",
        )

    def apply(session: Session, card: CardRow, _round: RoundRow) -> None:
        card.instrument = None if instrument_id is None else get_instrument(session, instrument_id)
        card.zero_nm = -zero_nm if minus and zero_nm is not None else zero_nm

    return changed(database, change, f"zero {instrument_id} {text}", apply)


def add_instrument(database: Database, *, name: str, doubt: str) -> int:
    """Add a micrometer or calliper, good to so many millimetres, and return its number.

    Raises:
        BadValue: No name or one that is taken, or a doubt that cannot be.
    """
    if not name.strip():
        raise BadValue("Write what the shop calls this instrument.", field="name")
    doubt_nm = parse_length(doubt, Unit.MM, field="doubt")
    if not 0 < doubt_nm <= MOST_DOUBT_NM:
        raise BadValue("An instrument is good to between 0.0001 and 0.1 mm.", field="doubt")
    with database.writing() as session:
        if session.query(InstrumentRow).filter_by(name=name.strip()).first():
            raise BadValue(f"There is an instrument “{name.strip()}” already.", field="name")
        row = InstrumentRow(name=name.strip(), doubt_nm=doubt_nm)
        session.add(row)
        session.flush()
        return row.id
