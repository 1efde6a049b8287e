"""What is done to the shop itself: its name, its feeler sets, its instruments, its habits."""

from collections.abc import Callable
from dataclasses import replace
from typing import Any

from plimb.actions.backup import Kept
from plimb.actions.cards import keep_summary, required
from plimb.actions.families import money_in
from plimb.actions.fitting import MOST_TURNS
from plimb.core.errors import BadValue
from plimb.core.job.torque import TorqueUnit
from plimb.core.lengths import Unit, parse_length, show_mm
from plimb.core.measure.blades import BladeSet, BladeState
from plimb.core.measure.uncertainty import COARSEST_NM, FINEST_NM
from plimb.core.shim.shim import Instrument
from plimb.store.asked import note_done
from plimb.store.cards import get_card, open_numbers
from plimb.store.database import Database
from plimb.store.engines import list_engines
from plimb.store.rows import numbered
from plimb.store.shop import (
    core_set,
    get_shop,
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


def set_closing(
    database: Database,
    *,
    name: str | None = None,
    hand_turns: int | None = None,
    wrench: TorqueUnit | None = None,
    round_cost: str | None = None,
    sure: int | None = None,
    hand: str | None = None,
) -> None:
    """Set what the shop is called, what it does and what it reckons with; what is None stays.

    Turns by hand, the wrench, what another round costs, from which chance on a piece is sure
    enough. `hand` is how differently its hand feels one gap, in millimetres; the usual one where
    empty, as is the cost of a round.

    Raises:
        BadValue: An empty name; fewer than two turns: the cams then have not gone round once; a
            cost, a chance or a hand that cannot be.
    """
    said: tuple[tuple[str, Any, Callable[[Any], object]], ...] = (
        ("name", name, _name_in),
        ("hand_turns", hand_turns, _turns_in),
        ("wrench", wrench, TorqueUnit),
        ("round_cost", round_cost, _cost_in),
        ("sure", sure, _sure_in),
        ("hand_nm", hand, _hand_in),
    )
    changed = {setting: read(value) for setting, value, read in said if value is not None}
    with database.writing("settings changed") as session:
        shop = get_shop(session)
        judged_by = (shop.sure, shop.hand_nm)
        for setting, value in changed.items():
            setattr(shop, setting, value)
        session.flush()
        # what lists show of open cards goes by these
        for number in open_numbers(session) if judged_by != (shop.sure, shop.hand_nm) else ():
            keep_summary(get_card(session, number))


def _name_in(text: str) -> str:
    return required(text, "name", "Write the name of the shop.")


def _turns_in(turns: int) -> int:
    if not 2 <= turns <= MOST_TURNS:
        raise BadValue("At least two full turns: one of the cams.", field="hand_turns")
    return turns


def _sure_in(sure: int) -> int:
    if not 50 <= sure <= 99:
        raise BadValue("Sure enough lies between 50 and 99 per cent.", field="sure")
    return sure


def _cost_in(text: str) -> str | None:
    cost = money_in(text, "round_cost")
    return None if cost is None else f"{cost:f}"


def _hand_in(text: str) -> int | None:
    """Return how differently a hand feels one gap, None for the usual one; BadValue if it can't."""
    hand_nm = parse_length(text, Unit.MM, field="hand") if text.strip() else None
    if hand_nm is not None and not FINEST_NM <= hand_nm <= COARSEST_NM:
        raise BadValue(
            f"A hand that is worth measuring with feels one gap alike within "
            f"{show_mm(FINEST_NM)} to {show_mm(COARSEST_NM)} mm.",
            field="hand",
        )
    return hand_nm


MOST_KEPT = 400


def keep_copies(database: Database, *, days: int, weeks: int, months: int) -> None:
    """Set of how many days, weeks and months the newest copy each is kept.

    Raises:
        BadValue: No copy would be kept, or more than can be.
    """
    if days < 1 or min(weeks, months) < 0 or max(days, weeks, months) > MOST_KEPT:
        raise BadValue(
            f"Keep copies of at least one day, and of at most {MOST_KEPT}.", field="days"
        )
    with database.writing("copies set") as session:
        shop = get_shop(session)
        shop.keep_days, shop.keep_weeks, shop.keep_months = days, weeks, months


def kept_by(database: Database) -> Kept:
    """Return of how many days, weeks and months the shop keeps copies."""
    with database.reading() as session:
        shop = get_shop(session)  # with the usual settings where there is none yet
        return Kept(days=shop.keep_days, weeks=shop.keep_weeks, months=shop.keep_months)
