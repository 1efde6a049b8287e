"""What is done to the shop itself: its name, its feeler sets, its instruments, its habits."""

from dataclasses import replace
from enum import Enum
from typing import Any

from plimb.actions.backup import Kept
from plimb.actions.cards import keep_summary, required
from plimb.actions.settings import Settings, rows, settings_of, understood
from plimb.core.errors import BadValue
from plimb.core.lengths import Unit, parse_length
from plimb.core.measure.blades import BladeSet, BladeState
from plimb.core.shim.shim import Instrument
from plimb.store.cards import get_card, open_numbers
from plimb.store.database import Database
from plimb.store.engines import list_engines
from plimb.store.idempotency import note_done
from plimb.store.rows import numbered
from plimb.store.settings import keep_setting
from plimb.store.shop import (
    core_set,
    list_blade_sets,
    list_instruments,
    put_blade_set,
)
from plimb.store.tables.shop import BladeSetRow, InstrumentRow


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
        if all(one.nominal_nm != nominal_nm for one in before.blades):
            raise BadValue("This set has no such blade.", field="blade")
        blades = tuple(
            replace(one, state=state) if one.nominal_nm == nominal_nm else one
            for one in before.blades
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


def change_settings(database: Database, **typed: Any) -> None:
    """Change settings as they were typed; an empty one is as usual again, what is not said stays.

    Raises:
        BadValue: A setting that there is none of, or a value that cannot be.
    """
    changed = {name: understood(name, value) for name, value in typed.items()}
    with database.writing("settings changed") as session:
        before = settings_of(session)
        for name, value in changed.items():
            keep_setting(session, name, value.value if isinstance(value, Enum) else value)
        session.flush()
        after = settings_of(session)
        if any(
            row.judges and getattr(before, name) != getattr(after, name)
            for name, row in rows().items()
        ):
            for number in open_numbers(session):
                keep_summary(get_card(session, number))


def kept_by(database: Database) -> Kept:
    """Return of how many days, weeks and months the shop keeps copies."""
    set_ = read_settings(database)
    return Kept(days=set_.keep_days, weeks=set_.keep_weeks, months=set_.keep_months)
