"""What is put right on an open card: what it says of the job, and the engine it stands on."""

from typing import Any

from plimb.card.acting import OnCard, act
from plimb.card.acts.opening import Amount, AmountPart, amount_in, become
from plimb.card.acts.remembering import on_engine
from plimb.card.said import Brief
from plimb.core.engine.engine import Side
from plimb.core.engine.followers import Role
from plimb.core.engine.machine import Measure
from plimb.core.engine.run import Distance, distance_in, hours_in
from plimb.core.errors import BadValue, NotReady, required
from plimb.core.job.kinds import JobKind
from plimb.core.lengths import Unit, mm
from plimb.core.measure.printed import parse_spec
from plimb.files.engine_file import parsed_engine
from plimb.files.printed import as_printed
from plimb.record.engines import newest_revision
from plimb.record.rows import numbered
from plimb.record.tables.shop import InstrumentRow
from plimb.shop.settings import settings_of, usual_room

MOST_OFF_NM = mm("0.1")
"""What is further off than this is not near."""


@act("correct")
def correct_card(
    on: OnCard, *, reason: str, distance: Distance, hours: str | None, opened_by: str,
    measure: Measure = Measure.KM,
) -> None:  # fmt: skip
    """Correct why, at what run and by whom the work is done.

    Raises:
        BadValue: No name, or a run that cannot be.
    """
    kept = distance_in(distance, measure)
    run = hours_in(hours)
    on.card.opened_by = required(opened_by, "opened_by", "Write the technician's name.")
    on.card.reason = reason.strip()
    on.card.distance_km, on.card.distance_mi = kept["distance_km"], kept["distance_mi"]
    on.card.hours = run


@act("kind", amount=AmountPart | None)
def change_kind(on: OnCard, *, kind: JobKind, amount: Amount | None) -> None:
    """Make of the card another kind of job; what was written stays.

    Raises:
        BadValue: One valve is meant, and which or by how much is not said.
        NotReady: Pieces are out, and a check only takes none out.
    """
    become(on.card, on.engine, kind, amount, settings_of(on.session).room_nm)


@act("near-enough", near=Brief)
def say_near_enough(on: OnCard, *, near: str, unit: Unit) -> None:
    """Say how near to the gap that is wanted is near enough, where no spec is entered.

    Raises:
        BadValue: It is no length, or none that can be.
    """
    near_nm = amount_in(near, unit, "near")
    if not 0 < near_nm <= MOST_OFF_NM:
        raise BadValue("How near is near enough lies between 0 and 0.1 mm.", field="near")
    on.card.near_enough_nm = near_nm


@act("instrument")
def change_instrument(on: OnCard, *, instrument_id: int | None) -> None:
    """Say with what the shims are measured; NotFound where there is no such instrument."""
    known = None if instrument_id is None else numbered(on.session, InstrumentRow, instrument_id)
    on.card.instrument = known


@act("put-away")
def put_away(on: OnCard, *, away: bool) -> None:
    """Put a card away that was opened by mistake, or bring it back; all on it is kept."""
    on.card.put_away_at = on.now if away else None


@act("take-over-engine")
def take_over_engine(on: OnCard) -> None:
    """Take the engine over as it was corrected; all that was read is judged anew.

    Raises:
        NotReady: Something is written for a valve that the corrected engine has not.
    """
    newest = newest_revision(on.session, on.card.revision.engine_id)
    names = parsed_engine(newest.document)[1].names
    written = {
        line.valve
        for round_ in on.card.rounds
        for lines in (round_.gaps, round_.pieces, round_.choices)
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


@act("spec")
def enter_spec(on: OnCard, *, side: Side, action: Role, text: str, room: str, unit: Unit) -> None:
    """Enter a side's spec as printed; it goes to the engine, and this card judges by it.

    Raises:
        BadValue: It cannot be read.
        NotReady: The engine was corrected since the card was opened; that comes first.
    """
    spec = parse_spec(text, unit, room or usual_room(on.session, unit))

    def enter(document: dict[str, Any]) -> None:
        specs: dict[str, Any] = document["engine"].setdefault("spec", {})
        if not any(specs.get(name) for name in ("intake", "exhaust", "closer")):
            document.setdefault("shim_unit", document.get("unit", "mm"))
            document["unit"] = unit.value  # the unit of the manual is that of its first spec
        if action is Role.CLOSE:
            specs = specs.setdefault("closer", {"intake": {}, "exhaust": {}})
        kept = {k: v for k, v in specs.get(side, {}).items() if k in ("set_min", "set_max", "aim")}
        specs[side.value] = kept | as_printed(spec, Unit(document.get("unit", "mm")))

    on_engine(on, enter)
