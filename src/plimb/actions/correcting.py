"""What is put right on an open card: what it says of the job, and the engine it stands on."""

import json
from typing import Any

from plimb.actions.cards import OnCard, act, check_km, hours_in, required
from plimb.core.engine.engine import Side
from plimb.core.engine.followers import Role
from plimb.core.errors import NotReady
from plimb.core.lengths import Unit
from plimb.core.measure.limits import parse_spec
from plimb.files.engine_file import parsed_engine
from plimb.files.printed import as_printed
from plimb.store.engines import newest_revision, revise_engine


@act("corrected {reason} {distance_km} {hours} {opened_by}")
def correct_card(
    on: OnCard, *, reason: str, distance_km: int | None, hours: str | None, opened_by: str
) -> None:
    """Correct why, at what run and by whom the work is done.

    Raises:
        BadValue: No name, no reason, or a run that cannot be.
    """
    check_km(distance_km, "distance_km")
    run = hours_in(hours)
    on.card.opened_by = required(opened_by, "opened_by", "Write who does the work.")
    on.card.reason = required(reason, "reason", "Write why the engine is checked now.")
    on.card.distance_km, on.card.hours = distance_km, run


@act("put away {away}")
def put_away(on: OnCard, *, away: bool) -> None:
    """Put a card away that was opened by mistake, or bring it back; all on it is kept."""
    on.card.put_away_at = on.now if away else None


@act("engine taken over")
def take_over_engine(on: OnCard) -> None:
    """Take the engine over as it was corrected; all that was read is judged anew.

    Raises:
        NotReady: Something is written for a valve that the corrected engine has not.
    """
    newest = newest_revision(on.session, on.card.revision.engine_id)
    names = parsed_engine(newest.document)[1].names
    written = {
        line.valve
        for one in on.card.rounds
        for lines in (one.gaps, one.pieces, one.choices)
        for line in lines
    }
    lost = [on.engine.names.get(key, key) for key in sorted(written) if key not in names]
    if lost:
        raise NotReady(
            f"{', '.join(lost)}: written on this card, and not on the corrected engine. Put the "
            "valve back on the engine first.",
            field="engine",
        )
    on.card.revision = newest


@act("spec of {side} {action}: {text} {room} {unit}")
def enter_spec(on: OnCard, *, side: Side, action: Role, text: str, room: str, unit: Unit) -> None:
    """Enter a side's spec as printed; it goes to the engine, and this card judges by it.

    Raises:
        BadValue: It cannot be read.
        NotReady: The engine was corrected since the card was opened; that comes first.
    """
    spec = parse_spec(text, unit, room)
    newest = newest_revision(on.session, on.card.revision.engine_id)
    if newest.id != on.card.revision.id:
        raise NotReady(
            "The engine was corrected since this card was opened. Take that over first.",
            field="engine",
        )
    document = json.loads(newest.document)
    specs: dict[str, Any] = document["engine"].setdefault("spec", {})
    if not any(specs.get(one) for one in ("intake", "exhaust", "closer")):
        document["unit"] = unit.value  # the unit of the manual is that of its first spec
    if action is Role.CLOSE:
        specs = specs.setdefault("closer", {"intake": {}, "exhaust": {}})
    kept = {k: v for k, v in specs.get(side, {}).items() if k in ("set_min", "set_max", "aim")}
    specs[side.value] = kept | as_printed(spec, Unit(document.get("unit", "mm")))
    engine = newest.engine
    revise_engine(
        on.session, engine.id, seen=newest.number, label=engine.label, note=engine.note,
        document=json.dumps(document, ensure_ascii=False, indent=1), now=on.now,
    )  # fmt: skip
    parsed_engine(engine.revisions[-1].document)
    on.card.revision = engine.revisions[-1]
