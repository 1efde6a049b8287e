"""What a technician does before and while measuring: cold and safe, the tray, the blades."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from decimal import Decimal
from typing import Any

from sqlalchemy.orm import Session

from plimb.actions.cards import Change, changed, known_valve
from plimb.actions.views import CardView, card_view
from plimb.core.blades import Blade, BladeSet
from plimb.core.errors import BadValue, NotReady
from plimb.core.ready import Conditions
from plimb.core.turning import Method
from plimb.store.blades import get_blade_set, list_blade_sets, put_blade_set
from plimb.store.database import Database
from plimb.store.lines import keep_reading
from plimb.store.models import BladeSetRow, CardRow, RoundRow, StripTrayRow

MOST_PARTS, MOST_POCKETS = 40, 60


@dataclass(frozen=True, slots=True, kw_only=True)
class Pocket:
    """One fastener's place on a part's outline: 0 to 1 across and down, length as text."""

    x: float
    y: float
    length: str
    note: str = ""
    count: int = 1


@dataclass(frozen=True, slots=True, kw_only=True)
class Part:
    """Something taken off, with a pocket for each of its fasteners."""

    name: str
    note: str = ""
    pockets: tuple[Pocket, ...] = ()


def note_conditions(database: Database, change: Change, conditions: Conditions) -> CardView:
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


def see_to(database: Database, change: Change, *, item: str, done: bool) -> CardView:
    """Tick one line of the safety list or a step of the work, or take the tick back.

    Raises:
        BadValue: There is no such line or step.
        StaleVersion, CardSigned, NotFound: The card cannot take it.
    """

    def apply(session: Session, card: CardRow, _round: RoundRow) -> None:
        view = card_view(session, card)
        if item not in {line.id for line, _done in (*view.safety, *view.pull, *view.closing)}:
            raise BadValue(f"“{item}” is not on this card's lists.", field="item")
        without = [other for other in card.seen_to if other != item]
        card.seen_to = [*without, item] if done else without

    return changed(database, change, f"safety {item} {done}", apply)


def set_method(
    database: Database, change: Change, *, method: Method, blade_set_id: int | None
) -> CardView:
    """Choose how the engine is turned and which feeler set is used.

    Raises:
        NotFound: There is no such set.
        StaleVersion, CardSigned: The card cannot take it.
    """

    def apply(session: Session, card: CardRow, _round: RoundRow) -> None:
        card.method = method
        card.blade_set = None if blade_set_id is None else get_blade_set(session, blade_set_id)

    return changed(database, change, f"method {method}", apply)


def lay_out_tray(database: Database, change: Change, parts: Sequence[Part]) -> CardView:
    """Note what came off, in order, and where each fastener lies. The trays before stay.

    Raises:
        BadValue: Too many parts or pockets, a part without a name, a pocket off the outline.
        StaleVersion, CardSigned, NotFound: The card cannot take it.
    """
    if len(parts) > MOST_PARTS or any(len(part.pockets) > MOST_POCKETS for part in parts):
        raise BadValue(
            f"A tray holds at most {MOST_PARTS} parts of {MOST_POCKETS} pockets.", field="parts"
        )
    for part in parts:
        if not part.name.strip():
            raise BadValue("Name each part that came off.", field="parts")
        if not all(0 <= p.x <= 1 and 0 <= p.y <= 1 and 1 <= p.count <= 99 for p in part.pockets):
            raise BadValue(f"A pocket of {part.name} lies off its outline.", field="parts")
    document: list[dict[str, Any]] = [
        {
            "name": part.name.strip(),
            "note": part.note.strip(),
            "pockets": [
                {"x": p.x, "y": p.y, "length": p.length, "note": p.note, "count": p.count}
                for p in part.pockets
            ],
        }
        for part in parts
    ]

    def apply(_session: Session, card: CardRow, _round: RoundRow) -> None:
        card.trays.append(StripTrayRow(document=document, recorded_at=change.now))

    return changed(database, change, "tray", apply)


def keep_odd_reading(
    database: Database, change: Change, *, valve: str, purpose: str, slips: Sequence[str]
) -> CardView:
    """Answer what was asked about a reading: it is so.

    Raises:
        BadValue: The valve is not on the engine.
        StaleVersion, CardSigned, NotFound: The card cannot take it.
    """

    def apply(_session: Session, card: CardRow, round_: RoundRow) -> None:
        known_valve(card, valve)
        keep_reading(round_, valve, purpose, slips)

    return changed(database, change, f"kept {valve}", apply)


def save_blade_set(
    database: Database,
    *,
    set_id: int | None,
    name: str,
    stacking: bool,
    blades: Mapping[int, tuple[int | None, str]],
) -> int:
    """Write a feeler set and return its number.

    Args:
        database: The shop's record.
        set_id: The set to change, or None for a new one.
        name: What the shop calls it.
        stacking: Whether two blades may be laid together.
        blades: Measured thickness and state (sound, bent, broken) by marking, in nanometres.

    Raises:
        BadValue: No name or one that is taken, no blade fit for use, or a blade that cannot be.
        NotFound: There is no set of that number.
    """
    if not name.strip():
        raise BadValue("Write what the shop calls this set.", field="name")
    made = BladeSet(
        name=name.strip(),
        stacking=stacking,
        blades=tuple(
            Blade(nominal_nm=nm, measured_nm=measured, in_use=state == "sound")
            for nm, (measured, state) in blades.items()
        ),
    )
    if not made.usable:
        raise BadValue("A set needs at least one sound blade.", field="blades")
    with database.writing() as session:
        if any(row.name == made.name and row.id != set_id for row in list_blade_sets(session)):
            raise BadValue(f"There is a set “{made.name}” already.", field="name")
        row = BladeSetRow() if set_id is None else get_blade_set(session, set_id)
        put_blade_set(session, row, {nm: state for nm, (_m, state) in blades.items()}, made)
        return row.id


def _text(number: Decimal | None) -> str | None:
    return None if number is None else f"{number:f}"
