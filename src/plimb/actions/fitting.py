"""What a technician does to put an engine together: fit, turn by hand, tighten."""

from __future__ import annotations

from dataclasses import replace

from sqlalchemy.orm import Session

from plimb.actions.cards import Change, Written, changed
from plimb.actions.views import engine_of
from plimb.core.errors import BadValue, NotReady
from plimb.core.job.bolts import BoltGroup
from plimb.core.lengths import Unit, mm, parse_length, show_mm
from plimb.core.shim.family import check_shim
from plimb.core.shim.shim import Trust
from plimb.store.database import Database
from plimb.store.readings import standing, write_choice, written
from plimb.store.tables.card import CardRow, RoundRow

MOST_TURNS = 100

FAR_OFF_NM = mm("0.05")
"""A piece this far from the chosen one is likely another piece."""


def fit_piece(
    database: Database, change: Change, *, valve: str, fitted: bool, measured: str = ""
) -> Written:
    """Note that the chosen piece is in, with what a micrometer said as it went in.

    Raises:
        NotReady: No other piece has been chosen for the valve.
        BadValue: The thickness cannot be read, or is far from the chosen piece.
        StaleVersion, CardSigned, NotFound: The card cannot take it.
    """
    measured_nm = None
    if measured.strip():
        measured_nm = check_shim(parse_length(measured, Unit.MM, field="measured"))

    def apply(session: Session, card: CardRow, round_: RoundRow) -> None:
        engine = engine_of(card)
        key = engine.clearance(valve).key
        record = written(round_, engine, Trust(card.trust)).get(valve)
        if record is None or record.choice is None or not record.changes:
            raise NotReady(f"{valve} keeps its shim; nothing is fitted there.", field="valve")
        choice = record.choice
        if measured_nm is not None and abs(measured_nm - choice.thickness_nm) > FAR_OFF_NM:
            raise BadValue(
                f"{show_mm(measured_nm)} is not the {show_mm(choice.thickness_nm)} that was "
                "chosen: is it the right piece?",
                field="measured",
            )
        now_in = replace(
            choice,
            fitted=fitted,
            measured_nm=choice.measured_nm if measured_nm is None else measured_nm,
        )
        write_choice(
            session,
            round_,
            engine,
            key=key,
            choice=now_in,
            shim_id=standing(round_.choices, engine)[valve].shim_id,
            now=change.now,
        )

    return changed(database, change, f"fit {valve} {fitted} {measured}", apply)


def turn_by_hand(database: Database, change: Change, *, turns: int) -> Written:
    """Note how many full turns the crank was turned by hand since the pieces went in.

    Raises:
        BadValue: The number cannot be.
        StaleVersion, CardSigned, NotFound: The card cannot take it.
    """
    if not 0 <= turns <= MOST_TURNS:
        raise BadValue(f"turns lie between 0 and {MOST_TURNS}.", field="turns")

    def apply(_session: Session, _card: CardRow, round_: RoundRow) -> None:
        round_.hand_turns = turns

    return changed(database, change, f"turns {turns}", apply)


def lay_bolts(database: Database, change: Change, bolts: BoltGroup) -> Written:
    """Note a part's bolts, their torque and order; a part of the same name is laid anew.

    Raises:
        BadValue: No name, no bolts or too many, an order that is not each bolt once, a torque
            that cannot be.
        StaleVersion, CardSigned, NotFound: The card cannot take it.
    """
    group = bolts.checked()

    def apply(_session: Session, card: CardRow, _round: RoundRow) -> None:
        others = (one for one in card.tightening if one.name != group.name)
        card.tightening = (*others, group)

    return changed(database, change, f"bolts {group.name}", apply)


def turn_bolts(database: Database, change: Change, *, name: str, turned: int) -> Written:
    """Note how many bolts have been turned, all stages counted through.

    Raises:
        BadValue: There are no such bolts, or not so many turns.
        StaleVersion, CardSigned, NotFound: The card cannot take it.
    """

    def apply(_session: Session, card: CardRow, _round: RoundRow) -> None:
        group = next((one for one in card.tightening if one.name == name), None)
        if group is None:
            raise BadValue(f"No bolts of “{name}” are laid out.", field="name")
        if not 0 <= turned <= group.turns:
            raise BadValue(f"{name} has {group.turns} turns in all.", field="turned")
        card.tightening = tuple(
            replace(one, turned=turned) if one is group else one for one in card.tightening
        )

    return changed(database, change, f"turned {name} {turned}", apply)
