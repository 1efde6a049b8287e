"""What a technician does to a card as a whole: one function an act, one transaction each."""

from __future__ import annotations

from collections.abc import Callable, Sequence
from dataclasses import dataclass
from datetime import datetime
from decimal import Decimal

from sqlalchemy.orm import Session

from plimb.actions.views import card_view, engine_of, status_of
from plimb.core.engine.conditions import Conditions
from plimb.core.engine.engine import Clearance
from plimb.core.engine.turning import Method
from plimb.core.errors import BadValue, NotReady
from plimb.core.job.summary import summary_of
from plimb.core.job.tray import Part, check_tray
from plimb.core.plan.needs import WhichToSet
from plimb.core.shim.shim import Trust
from plimb.core.shim.sum import Aim, Rounding
from plimb.store.cards import add_card, done_before, get_card, step
from plimb.store.database import Database
from plimb.store.engines import newest_revision
from plimb.store.shop import get_blade_set, get_shop, list_blade_sets, list_instruments
from plimb.store.tables.card import CardRow, RoundRow, StripTrayRow

FAR_KM = 2_000_000

Apply = Callable[[Session, CardRow, RoundRow], None]


@dataclass(frozen=True, slots=True, kw_only=True)
class Change:
    """Who changes which card, on the strength of which version, and when.

    `key` is the sender's own name for this act: sent twice, it is done once.
    """

    card_id: int
    version: int
    key: str
    now: datetime


@dataclass(frozen=True, slots=True, kw_only=True)
class Written:
    """The card that was written to, and its version now."""

    id: int
    version: int


def changed(database: Database, change: Change, action: str, apply: Apply) -> Written:
    """Carry out one act in one transaction, with what lists show of the card.

    Raises:
        StaleVersion, CardSigned, NotFound: The card cannot take it.
    """
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
            keep_summary(card)
        return Written(id=card.id, version=card.version)


def keep_summary(card: CardRow) -> None:
    """Write on a card what lists show of it."""
    card.summary = summary_of(status_of(card), signed=card.signed_at is not None)


def open_card(
    database: Database,
    *,
    engine_id: int,
    opened_by: str,
    reason: str,
    distance_km: int | None,
    now: datetime,
    hours: int | None = None,
) -> Written:
    """Open a card for an engine, with the shop's own schools.

    Raises:
        NotFound: No such engine.
        BadValue: No name, no reason, or a distance that cannot be.
    """
    opened_by = required(opened_by, "opened_by", "Write who does the work.")
    reason = required(reason, "reason", "Write why the engine is checked now.")
    check_km(distance_km, "distance_km")
    check_km(hours, "hours", "A run lies between 0 and {} hours.")
    with database.writing() as session:
        shop = get_shop(session)
        card = add_card(
            session,
            newest_revision(session, engine_id),
            opened_by=opened_by,
            reason=reason,
            distance_km=distance_km,
            hours=hours,
            blade_set=next(iter(list_blade_sets(session)), None),
            aim=Aim(shop.aim),
            rounding=Rounding(shop.rounding),
            act=WhichToSet(shop.act),
            instrument=next(iter(list_instruments(session)), None),
            now=now,
        )
        keep_summary(card)
        return Written(id=card.id, version=card.version)


def note_conditions(database: Database, change: Change, conditions: Conditions) -> Written:
    """Note how cold the engine is; warm is gone on with only for a written reason.

    Raises:
        NotReady: The engine is warm and no reason is written.
        StaleVersion, CardSigned, NotFound: The card cannot take it.
    """

    def apply(_session: Session, card: CardRow, _round: RoundRow) -> None:
        if conditions.warm and not conditions.reason.strip():
            raise NotReady(
                f"{conditions.warnings[0]} To go on all the same, write the reason.",
                field="reason",
            )
        card.rested_hours = _text(conditions.rested_hours)
        card.temperature_c = _text(conditions.temperature_c)
        card.warm_reason = conditions.reason.strip()

    return changed(database, change, "conditions", apply)


def see_to(database: Database, change: Change, *, item: str, done: bool) -> Written:
    """Tick one line of the safety list or a step of the work, or take the tick back.

    Raises:
        BadValue: There is no such line or step.
        StaleVersion, CardSigned, NotFound: The card cannot take it.
    """

    def apply(session: Session, card: CardRow, _round: RoundRow) -> None:
        view = card_view(session, card)
        if item not in {line.item.id for line in (*view.safety, *view.reach, *view.closing)}:
            raise BadValue(f"“{item}” is not on this card's lists.", field="item")
        without = [other for other in card.seen_to if other != item]
        card.seen_to = [*without, item] if done else without

    return changed(database, change, f"safety {item} {done}", apply)


def set_method(
    database: Database, change: Change, *, method: Method, blade_set_id: int | None
) -> Written:
    """Choose how the engine is turned and which feeler set is used.

    Raises:
        NotFound: There is no such set.
        StaleVersion, CardSigned: The card cannot take it.
    """

    def apply(session: Session, card: CardRow, _round: RoundRow) -> None:
        card.method = method
        card.blade_set = None if blade_set_id is None else get_blade_set(session, blade_set_id)

    return changed(database, change, f"method {method}", apply)


def lay_out_tray(database: Database, change: Change, parts: Sequence[Part]) -> Written:
    """Note what came off, in order, and where each fastener lies. The trays before stay.

    Raises:
        BadValue: Too many parts or pockets, a part without a name, a pocket off the outline.
        StaleVersion, CardSigned, NotFound: The card cannot take it.
    """
    tray = check_tray(tuple(parts))

    def apply(_session: Session, card: CardRow, _round: RoundRow) -> None:
        card.trays.append(StripTrayRow(document=tray, recorded_at=change.now))

    return changed(database, change, "tray", apply)


def set_school(
    database: Database,
    change: Change,
    *,
    aim: Aim,
    rounding: Rounding,
    act: WhichToSet,
    trust: Trust = Trust.MEASURED,
    reuse: bool = True,
) -> Written:
    """Set which way this card leans, which valves it sets, what it trusts and may use.

    Raises:
        StaleVersion, CardSigned, NotFound: The card cannot take it.
    """

    def apply(_session: Session, card: CardRow, _round: RoundRow) -> None:
        card.aim, card.rounding, card.act = aim, rounding, act
        card.trust, card.reuse = trust, reuse

    return changed(database, change, f"school {aim} {rounding} {act} {trust} {reuse}", apply)


def known_valve(card: CardRow, valve: str) -> Clearance:
    """Return the clearance of that name on the card's engine.

    Raises:
        BadValue: The engine has none of that name.
    """
    return engine_of(card).clearance(valve)


def required(text: str, field: str, sentence: str) -> str:
    """Return the text without the blanks around it; there must be some.

    Raises:
        BadValue: There is none.
    """
    if not text.strip():
        raise BadValue(sentence, field=field)
    return text.strip()


def check_km(
    km: int | None, field: str, sentence: str = "A distance lies between 0 and {} km."
) -> None:
    """Refuse a distance that cannot be.

    Raises:
        BadValue: It is so.
    """
    if km is not None and not 0 <= km <= FAR_KM:
        raise BadValue(sentence.format(FAR_KM), field=field)


def _text(number: Decimal | None) -> str | None:
    return None if number is None else f"{number:f}"
