"""What a technician does to a card: one function an act, one transaction each."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass
from datetime import datetime

from sqlalchemy.orm import Session

from plimb.actions.registry import settle_pieces
from plimb.actions.views import CardView, card_view, conditions_of, parsed_engine
from plimb.core.blades import Try, known_from, next_blade
from plimb.core.engine import Clearance
from plimb.core.errors import BadValue, NotReady
from plimb.core.lengths import Unit
from plimb.core.limits import Verdict, judge
from plimb.core.piece import Trust
from plimb.core.shim import Aim, Rounding
from plimb.core.shorthand import NOMINAL, Reading, parse_reading
from plimb.core.survey import Act
from plimb.store.blades import core_set, list_blade_sets
from plimb.store.cards import add_card, done_before, get_card, step
from plimb.store.database import Database
from plimb.store.engines import get_shop, newest_revision
from plimb.store.instruments import list_instruments
from plimb.store.lines import write_gap
from plimb.store.models import CardRow, RoundRow
from plimb.store.records import of_the_shop

FAR_KM = 2_000_000

_Apply = Callable[[Session, CardRow, RoundRow], None]


@dataclass(frozen=True, slots=True, kw_only=True)
class Change:
    """Who changes which card, on the strength of which version, and when.

    `key` is the sender's own name for this act: sent twice, it is done once.
    """

    card_id: int
    version: int
    key: str
    now: datetime


def open_card(
    database: Database,
    *,
    engine_id: int,
    opened_by: str,
    reason: str,
    distance_km: int | None,
    now: datetime,
    hours: int | None = None,
) -> CardView:
    """Open a card for an engine, with the shop's own schools.

    Raises:
        NotFound: No such engine.
        BadValue: No name, no reason, or a distance that cannot be.
    """
    opened_by = _required(opened_by, "opened_by", "Write who does the work.")
    reason = _required(reason, "reason", "Write why the engine is checked now.")
    _check_km(distance_km, "distance_km")
    _check_km(hours, "hours", "A run lies between 0 and {} hours.")
    with database.writing() as session:
        shop = get_shop(session)
        sets = list_blade_sets(session)
        card = add_card(
            session,
            newest_revision(session, engine_id),
            opened_by=opened_by,
            reason=reason,
            distance_km=distance_km,
            hours=hours,
            blade_set=sets[0] if sets else None,
            aim=Aim(shop.aim),
            rounding=Rounding(shop.rounding),
            act=Act(shop.act),
            instrument=next(iter(list_instruments(session)), None),
            now=now,
        )
        return card_view(session, card)


def understand_gap(
    database: Database, card_id: int, valve: str, text: str, unit: Unit
) -> tuple[Reading, Verdict, Try | None]:
    """Return what a typed gap says, its verdict, and the blade that would settle it.

    Nothing is written down.

    Raises:
        BadValue: It cannot be read.
        NotFound: There is no such card.
    """
    with database.reading() as session:
        card = get_card(session, card_id, whole=False)
        limits = known_valve(card, valve).spec.check
        blades = core_set(card.blade_set) if card.blade_set else None
        reading = parse_reading(
            text,
            unit,
            thinnest_nm=thinnest_blade(session, card),
            actual=blades.actual if blades else NOMINAL,
        )
    following = next_blade(known_from(reading.gap), limits, blades) if blades else None
    return reading, judge(reading.gap, limits), following


def thinnest_blade(session: Session, card: CardRow) -> int:
    """Return the thinnest blade at hand, in nanometres: what `x` says refuses."""
    if card.blade_set:
        return core_set(card.blade_set).usable[0].thickness_nm
    return get_shop(session).thinnest_blade_nm


def write_down_gap(
    database: Database,
    change: Change,
    *,
    valve: str,
    purpose: str,
    text: str,
    unit: Unit,
    repeats: bool = False,
) -> CardView:
    """Write down a gap (`purpose` found or proof); empty text strikes the standing one out.

    A reading that `repeats` leaves the one before it standing beside it.

    Raises:
        BadValue: The text cannot be read or the valve is not on the engine.
        StaleVersion, CardSigned, NotFound: The card cannot take it.
    """

    def apply(session: Session, card: CardRow, round_: RoundRow) -> None:
        known_valve(card, valve)
        thinnest_nm = thinnest_blade(session, card)
        actual = core_set(card.blade_set).actual if card.blade_set else NOMINAL
        reading = (
            parse_reading(text, unit, thinnest_nm=thinnest_nm, actual=actual)
            if text.strip()
            else None
        )
        write_gap(
            session,
            round_,
            valve=valve,
            purpose=purpose,
            typed=text.strip(),
            unit=unit,
            reading=reading,
            repeats=repeats,
            warm=conditions_of(card).warm,
            now=change.now,
        )

    return changed(database, change, f"{purpose} {valve} {text.strip()}", apply)


def set_school(
    database: Database,
    change: Change,
    *,
    aim: Aim,
    rounding: Rounding,
    act: Act,
    trust: Trust = Trust.MEASURED,
    reuse: bool = True,
) -> CardView:
    """Set which way this card leans, which valves it sets, what it trusts and may use.

    Raises:
        StaleVersion, CardSigned, NotFound: The card cannot take it.
    """

    def apply(_session: Session, card: CardRow, _round: RoundRow) -> None:
        card.aim, card.rounding, card.act = aim, rounding, act
        card.trust, card.reuse = trust, reuse

    return changed(database, change, f"school {aim} {rounding} {act} {trust} {reuse}", apply)


def sign_card(
    database: Database,
    change: Change,
    *,
    signed_by: str,
    remarks: str,
    next_check_km: int | None,
) -> CardView:
    """Sign the card; from then on nothing on it changes.

    Raises:
        BadValue: No name, or a next check that cannot be.
        NotReady: A valve is left without a reading in spec and no remark says why.
        StaleVersion, CardSigned, NotFound: The card cannot take it.
    """
    name = _required(signed_by, "signed_by", "Write the name of who signs.")
    _check_km(next_check_km, "next_check_km")

    def apply(session: Session, card: CardRow, _round: RoundRow) -> None:
        left = card_view(session, card).survey.not_in_spec
        if left and not remarks.strip():
            raise NotReady(
                f"{', '.join(left)} {'is' if len(left) == 1 else 'are'} not shown to be in spec. "
                "Measure again, or write in the remarks why it is signed all the same.",
                field="remarks",
            )
        settle_pieces(session, card, change.now)
        card.signed_by, card.signed_at = name, change.now
        card.as_signed = of_the_shop(card)
        card.remarks, card.next_check_km = remarks.strip() or None, next_check_km

    return changed(database, change, "sign", apply)


def changed(database: Database, change: Change, action: str, apply: _Apply) -> CardView:
    """Carry out one act in one transaction and return the card as it now stands."""
    with database.writing() as session:
        card = get_card(session, change.card_id)
        if not done_before(session, card, change.key):
            step(
                session,
                card,
                seen=change.version,
                key=change.key,
                action=action,
                now=change.now,
            )
            apply(session, card, card.rounds[-1])
            session.flush()
        return card_view(session, card)


def known_valve(card: CardRow, valve: str) -> Clearance:
    """Return the clearance of that name on the card's engine."""
    return parsed_engine(card.revision.document)[1].clearance(valve)


def _required(text: str, field: str, sentence: str) -> str:
    """Return the text without the blanks around it; there must be some."""
    if not text.strip():
        raise BadValue(sentence, field=field)
    return text.strip()


def _check_km(
    km: int | None, field: str, sentence: str = "A distance lies between 0 and {} km."
) -> None:
    if km is not None and not 0 <= km <= FAR_KM:
        raise BadValue(sentence.format(FAR_KM), field=field)
