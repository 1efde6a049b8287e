"""What is done to the shop itself: its name, its feeler sets, its instruments, its habits."""

from dataclasses import replace

from plimb.core.errors import BadValue, required
from plimb.core.lengths import Unit, parse_length
from plimb.core.measure.blades import BladeSet, BladeState
from plimb.core.shim.shim import Instrument
from plimb.record.database import Database
from plimb.record.engines import list_engines
from plimb.record.idempotency import note_done
from plimb.record.rows import numbered
from plimb.record.shop import (
    core_set,
    list_blade_sets,
    list_instruments,
    put_blade_set,
)
from plimb.record.tables.shop import BladeSetRow, InstrumentRow
from plimb.shop.settings import Settings, settings_of


def shop_is_empty(database: Database) -> bool:
    """Return whether the record holds no engine yet."""
    with database.reading() as session:
        return not list_engines(session)


def save_blade_set(database: Database, *, set_id: int | None, blades: BladeSet) -> int:
    """Write a feeler set, a new one where no number is given, and return its number.

    Raises:
        BadValue: No name or one that is taken, or no blade fit for use.
        NotFound: There is no set of that number.
    """
    name = required(blades.name, "name", "Write what the shop calls this set.")
    _check_usable(blades)
    with database.writing("feeler set written") as session:
        if any(row.name == name and row.id != set_id for row in list_blade_sets(session)):
            raise BadValue(f"There is a set “{name}” already.", field="name")
        row = BladeSetRow() if set_id is None else numbered(session, BladeSetRow, set_id)
        put_blade_set(session, row, replace(blades, name=name))
        note_done(session, row.id)
        return row.id


def _check_usable(blades: BladeSet) -> None:
    """Refuse a set of which no blade is fit for use: BadValue."""
    if not blades.usable:
        raise BadValue("A set needs at least one sound blade.", field="blades")


def set_blade_state(database: Database, *, set_id: int, nominal_nm: int, state: BladeState) -> None:
    """Say what one blade of a set is fit for, from where it is used; it stays in the set.

    Raises:
        NotFound: There is no such set.
        BadValue: The set has no such blade, or no sound one would be left.
    """
    with database.writing("blade marked") as session:
        row = numbered(session, BladeSetRow, set_id)
        before = core_set(row)
        if all(blade.nominal_nm != nominal_nm for blade in before.blades):
            raise BadValue("This set has no such blade.", field="blade")
        blades = tuple(
            replace(blade, state=state) if blade.nominal_nm == nominal_nm else blade
            for blade in before.blades
        )
        after = replace(before, blades=blades)
        _check_usable(after)
        put_blade_set(session, row, after)


def add_instrument(database: Database, *, name: str, doubt: str) -> int:
    """Add a micrometer or calliper, good to so many millimetres, and return its number.

    Raises:
        BadValue: No name or one that is taken, or a doubt that cannot be.
    """
    doubt_nm = parse_length(doubt, Unit.MM, field="doubt")
    made = Instrument(name=name.strip(), doubt_nm=doubt_nm)
    with database.writing("instrument added") as session:
        if any(row.name == made.name for row in list_instruments(session)):
            raise BadValue(f"There is an instrument “{made.name}” already.", field="name")
        row = InstrumentRow(name=made.name, doubt_nm=made.doubt_nm)
        session.add(row)
        session.flush()
        note_done(session, row.id)
        return row.id


def read_settings(database: Database) -> Settings:
    """Return the shop's settings."""
    with database.reading() as session:
        return settings_of(session)
