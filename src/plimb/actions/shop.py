"""What is done to the shop itself: its name, its feeler sets, its instruments, its habits."""

from dataclasses import replace

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


def rename_shop(database: Database, name: str) -> None:
    """Give the shop its name; BadValue where the name is empty."""
    if not name.strip():
        raise BadValue("Write the shop's name.", field="name")
    with database.writing("shop named") as session:
        get_shop(session).name = name.strip()


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
    hand_turns: int,
    wrench: TorqueUnit,
    round_cost: str = "",
    sure: int = 90,
    hand: str = "",
) -> None:
    """Set what this shop does and reckons with: turns by hand, wrench, another round, sure enough.

    `hand` is how differently its hand feels one gap, in millimetres; the usual one where empty.

    Raises:
        BadValue: Fewer than two turns: the cams then have not gone round once; a cost, a chance
            or a hand that cannot be.
    """
    hand_nm = parse_length(hand, Unit.MM, field="hand") if hand.strip() else None
    if hand_nm is not None and not FINEST_NM <= hand_nm <= COARSEST_NM:
        raise BadValue(
            f"A hand that is worth measuring with feels one gap alike within "
            f"{show_mm(FINEST_NM)} to {show_mm(COARSEST_NM)} mm.",
            field="hand",
        )
    if not 50 <= sure <= 99:
        raise BadValue("Sure enough lies between 50 and 99 per cent.", field="sure")
    cost = money_in(round_cost, "round_cost")
    if not 2 <= hand_turns <= MOST_TURNS:
        raise BadValue("At least two full turns: one of the cams.", field="hand_turns")
    with database.writing("settings changed") as session:
        shop = get_shop(session)
        shop.hand_turns, shop.wrench = hand_turns, wrench
        shop.round_cost = None if cost is None else f"{cost:f}"
        judged_by = (shop.sure, shop.hand_nm)
        shop.sure, shop.hand_nm = sure, hand_nm
        session.flush()
        # what lists show of open cards goes by these
        for number in open_numbers(session) if judged_by != (sure, hand_nm) else ():
            keep_summary(get_card(session, number))


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
