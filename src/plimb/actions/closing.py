"""What a technician does to close the engine: fit, tighten, turn by hand, prove, go round again."""

from __future__ import annotations

from dataclasses import dataclass, replace
from datetime import datetime
from typing import Any

from sqlalchemy.orm import Session

from plimb.actions.cards import Change, changed, known_valve
from plimb.actions.registry import settle_pieces
from plimb.actions.views import CardView, card_view
from plimb.core.errors import BadValue, NotReady
from plimb.core.family import check_shim
from plimb.core.lengths import Unit, parse_length, show_mm
from plimb.core.piece import Trust
from plimb.core.tightening import STAGES
from plimb.core.torque import Thread, TorqueUnit, parse_torque
from plimb.store.cards import get_card
from plimb.store.database import Database
from plimb.store.engines import get_shop
from plimb.store.lines import carry_over, sheets, standing_choices, write_choice
from plimb.store.models import AmendmentRow, CardRow, RoundRow

MOST_BOLTS = 60
MOST_TURNS = 100


def fit_piece(
    database: Database, change: Change, *, valve: str, fitted: bool, measured: str = ""
) -> CardView:
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
        known_valve(card, valve)
        sheet = sheets(round_, Trust(card.trust)).get(valve)
        if sheet is None or sheet.choice is None or not sheet.changes:
            raise NotReady(f"{valve} keeps its shim; nothing is fitted there.", field="valve")
        choice = sheet.choice
        if measured_nm is not None and abs(measured_nm - choice.thickness_nm) > 50_000:
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
            valve=valve,
            typed=show_mm(choice.thickness_nm),
            choice=now_in,
            shim_id=standing_choices(round_)[valve].shim_id,
            now=change.now,
        )

    return changed(database, change, f"fit {valve} {fitted} {measured}", apply)


def turn_by_hand(database: Database, change: Change, *, turns: int) -> CardView:
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


@dataclass(frozen=True, slots=True, kw_only=True)
class Bolts:
    """Bolts to tighten: where they lie, their torque, and the maker's order if it is given."""

    name: str
    places: tuple[tuple[float, float], ...]
    torque: str
    unit: TorqueUnit
    thread: Thread
    order: tuple[int, ...] | None = None


def lay_bolts(database: Database, change: Change, bolts: Bolts) -> CardView:
    """Note a part's bolts, their torque and order; a part of the same name is laid anew.

    Raises:
        BadValue: No name, no bolts or too many, an order that is not each bolt once, a torque
            that cannot be.
        StaleVersion, CardSigned, NotFound: The card cannot take it.
    """
    if not bolts.name.strip():
        raise BadValue("Write what the bolts hold.", field="name")
    if not 1 <= len(bolts.places) <= MOST_BOLTS:
        raise BadValue(f"A part has 1 to {MOST_BOLTS} bolts.", field="bolts")
    if any(not (0 <= x <= 1 and 0 <= y <= 1) for x, y in bolts.places):
        raise BadValue("A bolt lies off the part's outline.", field="bolts")
    if bolts.order is not None and sorted(bolts.order) != list(range(len(bolts.places))):
        raise BadValue("The maker's order names each bolt once.", field="order")
    torque = parse_torque(bolts.torque, bolts.unit) if bolts.torque.strip() else None
    entry: dict[str, Any] = {
        "name": bolts.name.strip(),
        "places": [list(place) for place in bolts.places],
        "torque": bolts.torque.strip() if torque else "",
        "unit": bolts.unit.value,
        "thread": bolts.thread.value,
        "order": None if bolts.order is None else list(bolts.order),
        "turned": 0,
    }

    def apply(_session: Session, card: CardRow, _round: RoundRow) -> None:
        card.tightening = [one for one in card.tightening if one["name"] != entry["name"]] + [entry]

    return changed(database, change, f"bolts {entry['name']}", apply)


def turn_bolts(database: Database, change: Change, *, name: str, turned: int) -> CardView:
    """Note how many bolts have been turned, all stages counted through.

    Raises:
        BadValue: There are no such bolts, or not so many turns.
        StaleVersion, CardSigned, NotFound: The card cannot take it.
    """

    def apply(_session: Session, card: CardRow, _round: RoundRow) -> None:
        entry = next((one for one in card.tightening if one["name"] == name), None)
        if entry is None:
            raise BadValue(f"No bolts of “{name}” are laid out.", field="name")
        most = len(entry["places"]) * len(STAGES)
        if not 0 <= turned <= most:
            raise BadValue(f"{name} has {most} turns in all.", field="turned")
        card.tightening = [
            one | {"turned": turned} if one is entry else one for one in card.tightening
        ]

    return changed(database, change, f"turned {name} {turned}", apply)


def next_round(database: Database, change: Change, *, reason: str) -> CardView:
    """Go round again: what was proved is what is found now, what was fitted is what is in.

    The round before is kept as it is. Pieces that came out lie on the job's tray.

    Raises:
        NotReady: Nothing was proved in this round.
        BadValue: No reason.
        StaleVersion, CardSigned, NotFound: The card cannot take it.
    """
    if not reason.strip():
        raise BadValue("Write why it goes round again.", field="reason")

    def apply(session: Session, card: CardRow, round_: RoundRow) -> None:
        trust = Trust(card.trust)
        if not any(sheet.proof for sheet in sheets(round_, trust).values()):
            raise NotReady("Prove this round first; then go round again.", field="reason")
        settle_pieces(session, card, change.now, last=False)
        following = RoundRow(
            card_id=card.id,
            number=round_.number + 1,
            opened_at=change.now,
            reason=reason.strip(),
            hand_turns=0,
        )
        card.rounds.append(following)
        session.flush()
        carry_over(session, round_, following, trust=trust, now=change.now)
        card.forbidden, card.variant = [], "best"

    return changed(database, change, f"round {reason}", apply)


def amend(
    database: Database, *, card_id: int, key: str, written_by: str, text: str, now: datetime
) -> CardView:
    """Write a dated line on a signed card; sent twice with one key it is written once.

    Raises:
        NotReady: The card is not signed; correct it instead.
        BadValue: No name or no text.
        NotFound: There is no such card.
    """
    if not written_by.strip():
        raise BadValue("Write the name of who amends.", field="written_by")
    if not text.strip():
        raise BadValue("Write what is to be known.", field="text")
    with database.writing() as session:
        card = get_card(session, card_id)
        if card.signed_at is None:
            raise NotReady("This card is not signed yet; correct it instead.", field="card")
        if all(one.key != key for one in card.amendments):
            card.amendments.append(
                AmendmentRow(key=key, written_by=written_by.strip(), text=text.strip(),
                             written_at=now)
            )  # fmt: skip
            session.flush()
        return card_view(session, card)


def set_closing(database: Database, *, hand_turns: int, wrench: TorqueUnit) -> None:
    """Set how many turns by hand this shop makes, and the unit of its wrench.

    Raises:
        BadValue: Fewer than two turns: the cams then have not gone round once.
    """
    if not 2 <= hand_turns <= MOST_TURNS:
        raise BadValue("At least two full turns: one of the cams.", field="hand_turns")
    with database.writing() as session:
        shop = get_shop(session)
        shop.hand_turns, shop.wrench = hand_turns, wrench.value
