"""A quick sum as its place asks for it: what was typed, answered line by line."""

from collections.abc import Sequence
from dataclasses import dataclass

from sqlalchemy.orm import Session

from plimb.core.errors import BadValue, PlimbError
from plimb.core.lengths import Unit
from plimb.core.measure.limits import Limits, Spec
from plimb.core.measure.printed import parse_spec
from plimb.core.shim.family import Family
from plimb.core.shim.quick import (
    MOST_LINES,
    QuickLine,
    QuickRules,
    ToOrder,
    as_text,
    parse_sizes,
    quick_line,
    to_order,
)
from plimb.core.shim.sum import Aim, Rounding
from plimb.core.words import Units
from plimb.record.families import core_family
from plimb.record.rows import numbered
from plimb.record.shop import core_set, list_blade_sets
from plimb.record.tables.shim import ShimFamilyRow
from plimb.shop.settings import settings_of, sizing_of, usual_room


@dataclass(frozen=True, slots=True, kw_only=True)
class QuickEntry:
    """One valve as it was typed; without a name it goes by its number."""

    gap: str
    shim: str
    valve: str = ""


@dataclass(frozen=True, slots=True, kw_only=True)
class Refused:
    """What cannot be read of something typed: which field, why, what could be meant."""

    field: str
    sentence: str
    offers: tuple[str, ...] = ()


@dataclass(frozen=True, slots=True, kw_only=True)
class QuickAnswered:
    """One line: its answer, or what of it cannot be read; neither while it is not whole."""

    line: QuickLine | None = None
    refused: Refused | None = None


@dataclass(frozen=True, slots=True, kw_only=True)
class QuickSum:
    """A quick sum answered. `aim` is how it leans, `text` what is handed on."""

    limits: Limits | None
    aim: Aim
    refused: Refused | None
    lines: tuple[QuickAnswered, ...]
    order: tuple[ToOrder, ...]
    text: str


def quick_sum(
    session: Session,
    *,
    spec: str,
    room: str,
    unit: Unit,
    shim_unit: Unit,
    sizes: str,
    family_id: int | None,
    aim: Aim | None,
    lines: Sequence[QuickEntry],
) -> QuickSum:
    """Return the answers to what was typed; what cannot be read is said where it stands.

    Without an aim it leans as the shop does.

    Raises:
        BadValue: More lines than one sum takes.
        NotFound: There is no such family.
    """
    if len(lines) > MOST_LINES:
        raise BadValue(f"At most {MOST_LINES} valves at once.", field="lines")
    leans = aim or settings_of(session).aim
    family = None if family_id is None else core_family(numbered(session, ShimFamilyRow, family_id))
    try:
        limits = parse_spec(spec, unit, room or usual_room(session, unit))
        runs = parse_sizes(sizes, shim_unit) if sizes.strip() else Family(runs=())
    except PlimbError as refusal:
        return QuickSum(
            limits=None, aim=leans,
            refused=_refused(refusal) if spec else None,
            lines=tuple(QuickAnswered() for _line in lines), order=(), text="",
        )  # fmt: skip
    rules = _rules(session, limits, family or runs, Units(gap=unit, shim=shim_unit), aim)
    answered = tuple(_answer(entry, rules) for entry in lines)
    named = [
        (entry.valve.strip() or f"{number}", one.line)
        for number, (entry, one) in enumerate(zip(lines, answered, strict=True), 1)
        if one.line is not None
    ]
    return QuickSum(
        limits=rules.spec.check,
        aim=leans,
        refused=None,
        lines=answered,
        order=to_order(line for _name, line in named),
        text=as_text(named, rules) if named else "",
    )


def _rules(
    session: Session, spec: Spec, family: Family, units: Units, aim: Aim | None
) -> QuickRules:
    """Return what each line is held to; a shop that nobody asked leans as it always does."""
    shop = settings_of(session)
    sets = (core_set(row) for row in list_blade_sets(session))
    thin = (set_.usable[0].thickness_nm for set_ in sets if set_.usable)
    return QuickRules(
        spec=spec,
        family=family,
        sizing=sizing_of(
            shop, aim or shop.aim, Rounding.NEAREST if aim is not None else shop.rounding
        ),
        units=units,
        thinnest_nm=next(thin, None),
    )


def _answer(entry: QuickEntry, rules: QuickRules) -> QuickAnswered:
    if not entry.gap.strip() or not entry.shim.strip():
        return QuickAnswered()
    try:
        return QuickAnswered(line=quick_line(entry.gap, entry.shim, rules))
    except PlimbError as refusal:
        return QuickAnswered(refused=_refused(refusal))


def _refused(refusal: PlimbError) -> Refused:
    return Refused(field=refusal.field or "gap", sentence=refusal.sentence, offers=refusal.offers)
