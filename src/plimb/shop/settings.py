"""The shop's settings: a row each, from which come storage, form, history and documentation.

A setting is a field of `Settings`: its default is the usual value, its kind the field's own, and
the rest of its row says what it is called, what it means, and between what it lies. What is not
set is the usual; what is not sent when others are changed stays.
"""

import types
from collections.abc import Mapping
from dataclasses import dataclass, field, fields
from decimal import Decimal
from enum import Enum
from functools import cache
from typing import Any, get_args, get_type_hints

from sqlalchemy.orm import Session

from plimb.core.errors import BadValue
from plimb.core.job.torque import TorqueUnit
from plimb.core.lengths import Unit, mm, parse_length, show_mm
from plimb.core.measure.uncertainty import (
    COARSEST_NM,
    FINEST_NM,
    SURE,
    USUAL_DOUBT,
    doubt_of_hand,
)
from plimb.core.plan.levels import ROUND_OF_SINGLES, SHAFT_OF_SINGLES
from plimb.core.plan.needs import WhichToSet
from plimb.core.shim.sum import Aim, Rounding, SizePolicy
from plimb.record.settings import kept_settings
from plimb.shop.families import money_in

LONGEST_NAME = 200
MOST_TURNS = 100
"""So many full turns at most are noted or asked for."""
MOST_KEPT = 400


@dataclass(frozen=True, slots=True, kw_only=True)
class Row:
    """What there is to say of a setting: its words, its bounds, and under what it stands.

    `judges` says that what lists show of open cards goes by it.
    """

    says: str
    help: str = ""
    group: str
    low: int | None = None
    high: int | None = None
    unit: str = ""
    usual: str = ""
    choices: Mapping[str, str] = field(default_factory=dict)
    needed: str = ""
    judges: bool = False


SHOP, DECIDES, MEASURES, CLOSES, COPIES = (
    "The shop", "How shims are chosen", "Measuring", "Closing up", "How many copies are kept",
)  # fmt: skip


def _row(default: Any, **said: Any) -> Any:
    return field(default=default, metadata={"row": Row(**said)})


@dataclass(frozen=True, slots=True, kw_only=True)
class Settings:
    """What the shop has set, the usual where it has not; lengths in nanometres."""

    name: str = _row(
        "", group=SHOP, says="Name of the shop", needed="Write the name of the shop.",
        help="It stands at the top of the bench, on every sheet, and in files for other shops.",
    )  # fmt: skip
    unit: Unit = _row(
        Unit.MM, group=SHOP, says="Gaps are shown in", choices={"mm": "mm", "in": "thou"},
        help="For places without an engine. A card shows the unit of its engine.",
    )  # fmt: skip
    aim: Aim = _row(
        Aim.LOOSE, group=DECIDES, says="Aim at",
        choices={"loose": "wide side of the range", "middle": "middle", "tight": "tight side",
                 "maker": "manufacturer’s target", "least": "smallest change"},
        help="Gaps close with use: the wide side lasts longest. A target from the manual comes "
             "first. New cards begin with this.",
    )  # fmt: skip
    rounding: Rounding = _row(
        Rounding.NEAREST, group=DECIDES, says="Round to",
        choices={"nearest": "nearest size", "thinner": "always thinner",
                 "thicker": "always thicker", "chance": "best chance"},
        help="New cards begin with this.",
    )  # fmt: skip
    act: WhichToSet = _row(
        WhichToSet.OUT, group=DECIDES, says="Set which valves",
        choices={"out": "only valves out of range", "near": "near the tight end too",
                 "all": "all under a camshaft that is out"},
        help="New cards begin with this.",
    )  # fmt: skip
    sure: int = _row(
        round(SURE * 100), group=DECIDES, says="Accept a plan from", low=50, high=99, unit="%",
        judges=True,
        help="A shim that is at least this likely to end in range is good enough. 90 % is 9 times "
             "in 10. Below it a valve is named as doubtful.",
    )  # fmt: skip
    round_cost: Decimal | None = _row(
        None, group=DECIDES, says="Another round costs", low=0, high=10_000,
        usual=f"as {ROUND_OF_SINGLES} shims",
        help="What doing the job again costs the shop: hours, a second order. In the money of its "
             "prices. The plan weighs it against the price of shims.",
    )  # fmt: skip
    shaft_cost: Decimal | None = _row(
        None, group=DECIDES, says="Taking a camshaft out costs", low=0, high=10_000,
        usual=f"as {SHAFT_OF_SINGLES} shims",
        help="The work of it, in the money of the shop’s prices. The plan takes one more out only "
             "where that costs less than the risk of another round.",
    )  # fmt: skip
    hand_nm: int | None = _row(
        None, group=MEASURES, says="My readings repeat within ±", low=FINEST_NM, high=COARSEST_NM,
        unit="mm", usual=show_mm(USUAL_DOUBT.feel_nm), judges=True,
        help="How much readings of one gap differ from time to time. A larger figure makes "
             "chances smaller, and more valves are to be measured more finely. All open cards go "
             "by it.",
    )  # fmt: skip
    room_nm: int | None = _row(
        None, group=MEASURES, says="Where a manual gives one figure, allow ±", low=mm("0.001"),
        high=mm("0.5"), unit="mm", usual="ask each time",
        help="For manuals that print one figure and no range, such as 0.13.",
    )  # fmt: skip
    other_shim_nm: int = _row(
        mm("0.05"), group=CLOSES, says="Ask about a shim that is off by more than",
        low=mm("0.002"), high=mm("0.5"), unit="mm",
        help="A shim that measures so much more or less than the one decided on is likely "
             "another one. It is asked about before it goes in.",
    )  # fmt: skip
    hand_turns: int = _row(
        2, group=CLOSES, says="Full turns by hand", low=2, high=MOST_TURNS,
        help="At least two: the camshafts turn half as fast as the crank.",
    )  # fmt: skip
    wrench: TorqueUnit = _row(
        TorqueUnit.NM, group=CLOSES, says="The torque wrench reads",
        choices={unit.value: unit.value for unit in TorqueUnit},
    )  # fmt: skip
    keep_days: int = _row(
        7, group=COPIES, says="Daily copies", low=1, high=MOST_KEPT,
        help="The newest copy of each of the last so many days is kept.",
    )  # fmt: skip
    keep_weeks: int = _row(4, group=COPIES, says="Weekly copies", low=0, high=MOST_KEPT)
    keep_months: int = _row(12, group=COPIES, says="Monthly copies", low=0, high=MOST_KEPT)


@cache
def rows() -> Mapping[str, Row]:
    """Return the row of every setting by its name, in order."""
    return {field.name: field.metadata["row"] for field in fields(Settings)}


@cache
def kinds() -> Mapping[str, Any]:
    """Return the kind of every setting by its name; None is left out of it."""
    hints = get_type_hints(Settings)
    return {
        name: next(member for member in get_args(kind) if member is not types.NoneType)
        if isinstance(kind, types.UnionType)
        else kind
        for name, kind in hints.items()
    }


def settings_of(session: Session) -> Settings:
    """Return the shop's settings; one that a later version wrote is as usual here."""
    kept = kept_settings(session)
    read = {name: _read(name, kept[name]) for name in rows() if name in kept}
    return Settings(**{name: value for name, value in read.items() if value is not None})


@dataclass(frozen=True, slots=True, kw_only=True)
class SettingChoice:
    """One of the values of a setting, and its words."""

    value: str
    label: str


@dataclass(frozen=True, slots=True, kw_only=True)
class SettingView:
    """A setting as a form shows it; `value` as it is typed, empty where it is the usual."""

    name: str
    group: str
    says: str
    help: str
    kind: str
    unit: str
    usual: str
    value: str
    choices: tuple[SettingChoice, ...]


def settings_view(settings: Settings) -> tuple[SettingView, ...]:
    """Return every setting as a form shows it."""
    return tuple(
        SettingView(
            name=name, group=row.group, says=row.says, help=row.help, unit=row.unit,
            kind=_form(name), usual=row.usual, value=_typed(name, getattr(settings, name)),
            choices=tuple(
                SettingChoice(value=member, label=says) for member, says in row.choices.items()
            ),
        )
        for name, row in rows().items()
    )  # fmt: skip


def _is_length(name: str) -> bool:
    return name.endswith("_nm")


def _form(name: str) -> str:
    """Return what a setting is typed in as."""
    kind = kinds()[name]
    if issubclass(kind, Enum):
        return "choice"
    if kind is str:
        return "text"
    return "decimal" if kind is Decimal or _is_length(name) else "whole"


def _typed(name: str, value: Any) -> str:
    if value is None:
        return ""
    return show_mm(value) if _is_length(name) else str(value)


def sizing_of(shop: Settings, aim: Aim, rounding: Rounding) -> SizePolicy:
    """Return a leaning with how sure is sure enough in a shop, and what its hand is worth."""
    doubt = doubt_of_hand(shop.hand_nm)
    return SizePolicy(aim=aim, rounding=rounding, sure=shop.sure / 100, doubt=doubt)


def usual_room(session: Session, unit: Unit) -> str:
    """Return what the shop allows where a manual gives one figure, as it is typed in a unit."""
    room_nm = settings_of(session).room_nm
    return "" if room_nm is None else f"{room_nm / unit.nm:.6f}".rstrip("0")


def _read(name: str, kept: Any) -> Any:
    try:
        return None if kept is None else kinds()[name](kept)
    except (ValueError, TypeError, ArithmeticError):
        return None


def understood(name: str, typed: Any) -> Any:
    """Return what is kept of a setting as it was typed; BadValue where it cannot be."""
    row = rows().get(name)
    if row is None:
        raise BadValue(f"There is no setting “{name}”.", field=name)
    form, text = _form(name), str(typed).strip()
    if not text:
        if row.needed:
            raise BadValue(row.needed, field=name)
        return None
    if form == "choice":
        if text not in row.choices:
            raise BadValue(f"{row.says}: one of {', '.join(row.choices)}.", field=name)
        return text
    if form == "text":
        return text[:LONGEST_NAME]
    if _is_length(name):
        return _between(name, row, parse_length(text, Unit.MM, field=name), show_mm)
    if form == "decimal":
        cost = money_in(text, name)
        return None if cost is None else f"{cost:f}"
    if not text.isascii() or not text.lstrip("-").isdigit() or len(text) > 9:
        raise BadValue(f"{row.says}: write a whole number.", field=name)
    return _between(name, row, int(text), str)


def shown_setting(name: str, value: Any) -> str:
    """Return a setting as it is typed, or chosen by its words; None is the usual."""
    row = rows()[name]
    if value is None:
        value = getattr(Settings(), name)
    return row.choices.get(str(value)) or _typed(name, value) or row.usual


def _between(name: str, row: Row, value: int, show: Any) -> int:
    low, high = row.low, row.high
    if (low is not None and value < low) or (high is not None and value > high):
        raise BadValue(
            f"{row.says}: between {show(low)} and {show(high)} {row.unit}".rstrip() + ".",
            field=name,
        )
    return value
