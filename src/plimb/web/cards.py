"""Cards over the wire: look at one, open one, and what is noted on it as a whole."""

from __future__ import annotations

from collections.abc import Callable
from decimal import Decimal, InvalidOperation
from functools import wraps
from typing import Annotated, Any

from apiflask import APIBlueprint
from pydantic import Field

from plimb.actions import cards
from plimb.actions.cards import Change
from plimb.actions.views import CardView, read_card
from plimb.core.engine.conditions import Conditions
from plimb.core.engine.turning import Method
from plimb.core.errors import BadValue
from plimb.core.job.causes import Cause
from plimb.core.job.stages import Stage
from plimb.core.job.torque import Thread, TorqueUnit
from plimb.core.job.tray import Part, Pocket
from plimb.core.measure.blades import BladeState
from plimb.core.plan.needs import WhichToSet
from plimb.core.shim.shim import Source, Trust
from plimb.core.shim.sum import Aim, Rounding
from plimb.web.drawings import DrawingOut, TurnOut
from plimb.web.request import at_hand, change_from, now
from plimb.web.valves import ValveOut
from plimb.web.wire import Answer, ChangeIn, Length, Moment, Number, Sent, Text, off

blueprint = APIBlueprint("cards", __name__, url_prefix="/api")


class BladeOut(Answer):
    """One blade of a set; `typed` is how it is written in a reading."""

    typed: str
    marked: Length = off("nominal_nm")
    measured: Length | None
    state: BladeState


class BladeSetOut(Answer):
    """A feeler set of the shop."""

    id: int
    name: str = off("blades", "name")
    stacking: bool = off("blades", "stacking")
    blades: list[BladeOut] = off("blades", "blades")


class SafetyOut(Answer):
    """One line of a list to see to."""

    id: str = off("item", "id")
    does: str = off("item", "does")
    caution: str = off("item", "caution")
    done: bool


class ConditionsOut(Answer):
    """How cold the engine is, and why that is not cold enough."""

    rested_hours: Number | None
    temperature_c: Number | None
    reason: str
    warm: bool
    warnings: list[str]


class PocketOut(Answer):
    """One fastener's place."""

    x: float
    y: float
    length: str
    note: str
    count: int


class PartOut(Answer):
    """Something taken off."""

    name: str
    note: str
    pockets: list[PocketOut]


class FitStepOut(Answer):
    """One valve's turn to be fitted."""

    valve: str
    thickness: Length
    source: Source
    from_valve: str | None
    old: Length
    old_goes_to: str | None
    checks: list[str]
    measured: Length | None
    by_marking: bool
    fitted: bool


class TorqueOut(Answer):
    """A torque in every unit, and what is asked about it."""

    words: dict[str, str]
    doubt: str | None
    likely: str | None
    likely_unit: TorqueUnit | None


class StageOut(Answer):
    """One stage of tightening."""

    name: str
    torque: str | None


class BoltsOut(Answer):
    """Bolts to tighten, the order of their numbers, and how far it has got."""

    name: str
    places: list[list[float]]
    order: list[int]
    by_maker: bool
    thread: Thread
    torque: TorqueOut | None
    typed: str
    unit: TorqueUnit
    stages: list[StageOut]
    turned: int
    turns: int


class ExplanationOut(Answer):
    """One cause: how it fits against the others, its evidence, what to check first."""

    cause: Cause
    name: str
    valves: list[str]
    chance: float
    sure: str
    evidence: str
    check: str


class ExplainedOut(Answer):
    """What the proof says as a whole."""

    fine: bool
    ranked: list[ExplanationOut]
    beyond: list[str]


class TodoOut(Answer):
    """What one stage asks for, and what of it still waits."""

    stage: Stage
    applies: bool
    asks: list[str]
    waiting: list[str]


class CardOut(Answer):
    """A card as it now stands; valves come in measuring order."""

    id: int
    version: int
    label: str
    reason: str
    distance_km: int | None
    hours: int | None
    conditions: ConditionsOut
    safety: list[SafetyOut]
    tray: list[PartOut]
    turning: TurnOut
    blade_set: BladeSetOut | None
    aim: Aim
    rounding: Rounding
    act: WhichToSet
    trust: Trust
    reuse: bool
    instrument_id: int | None
    zero: Length | None
    reach: list[SafetyOut]
    signed_at: Moment | None
    signed_by: str | None
    round: int
    hand_turns: int
    hand_turns_wanted: int
    closing: list[SafetyOut]
    fit: list[FitStepOut]
    bolts: list[BoltsOut]
    explained: ExplainedOut | None
    drawing: DrawingOut
    valves: list[ValveOut]
    todo: list[TodoOut] = off("status", "todo")
    at: Stage
    not_in_spec: list[str] = off("status", "not_in_spec")


def card_as_it_stands(card_id: int) -> CardView:
    """Return the card, read outside of any write."""
    with at_hand().reading() as session:
        return read_card(session, card_id)


Do = Callable[[Change, Any], object]


def act(on: APIBlueprint, method: str, path: str, sent: type[ChangeIn]) -> Callable[[Do], Do]:
    """Register an act on a card: it is done, and the card as it then stands is the answer."""

    def register(do: Do) -> Do:
        @wraps(do)
        def answer(card_id: int, json_data: ChangeIn) -> CardView:
            do(change_from(card_id, json_data), json_data)
            return card_as_it_stands(card_id)

        run = on.input(sent)(on.output(CardOut)(answer))
        getattr(on, method)(f"/cards/<int:card_id>/{path}")(run)
        return do

    return register


class CardIn(Sent):
    """A card to open."""

    engine_id: int
    opened_by: Text
    reason: Text
    distance_km: int | None
    hours: int | None = None


@blueprint.post("/cards")
@blueprint.input(CardIn)
@blueprint.output(CardOut, status_code=201)
def open_card(json_data: CardIn) -> CardView:
    """Open a card for an engine."""
    opened = cards.open_card(at_hand(), **json_data.model_dump(), now=now())
    return card_as_it_stands(opened.id)


@blueprint.get("/cards/<int:card_id>")
@blueprint.output(CardOut)
def get_card(card_id: int) -> CardView:
    """Return the card as it now stands."""
    return card_as_it_stands(card_id)


class ConditionsIn(ChangeIn):
    """How cold the engine is: hours since the last run, degrees Celsius, and why if warm."""

    rested_hours: Annotated[str, Field(max_length=12)] | None
    temperature_c: Annotated[str, Field(max_length=12)] | None
    reason: Annotated[str, Field(max_length=500)]


@act(blueprint, "put", "conditions", ConditionsIn)
def note_conditions(change: Change, sent: ConditionsIn) -> None:
    """Note how cold the engine is."""
    conditions = Conditions(
        rested_hours=_decimal(sent.rested_hours, "rested"),
        temperature_c=_decimal(sent.temperature_c, "temperature"),
        reason=sent.reason,
    )
    cards.note_conditions(at_hand(), change, conditions)


def _decimal(text: str | None, field: str) -> Decimal | None:
    if text is None or not text.strip():
        return None
    try:
        number = Decimal(text.strip().replace(",", ".").replace("−", "-"))
    except InvalidOperation:
        number = Decimal("NaN")
    if not number.is_finite():
        raise BadValue(f"{field} “{text.strip()}” is not a number.", field=field)
    return number


class SafetyIn(ChangeIn):
    """One line of a list, ticked or not."""

    item: Text
    done: bool


@act(blueprint, "put", "safety", SafetyIn)
def see_to(change: Change, sent: SafetyIn) -> None:
    """Tick one line of a list, or take the tick back."""
    cards.see_to(at_hand(), change, **sent.said())


class MethodIn(ChangeIn):
    """How the engine is turned, and which feeler set is used."""

    method: Annotated[Method, Field(strict=False)]
    blade_set_id: int | None


@act(blueprint, "put", "method", MethodIn)
def set_method(change: Change, sent: MethodIn) -> None:
    """Choose how the engine is turned and which feeler set is used."""
    cards.set_method(at_hand(), change, **sent.said())


class PocketPart(Sent):
    """One fastener's place on a part's outline, 0 to 1 across and down."""

    x: Annotated[float, Field(ge=0, le=1, strict=False)]
    y: Annotated[float, Field(ge=0, le=1, strict=False)]
    length: Annotated[str, Field(max_length=40)]
    note: Text
    count: Annotated[int, Field(ge=1, le=99)]


class PartPart(Sent):
    """Something taken off, with its fasteners."""

    name: Text
    note: Text
    pockets: Annotated[list[PocketPart], Field(max_length=60)]


class TrayIn(ChangeIn):
    """What came off, in order."""

    parts: Annotated[list[PartPart], Field(max_length=40)]


@act(blueprint, "put", "tray", TrayIn)
def lay_out_tray(change: Change, sent: TrayIn) -> None:
    """Note what came off, in order, and where each fastener lies."""
    parts = [
        Part(
            name=part.name,
            note=part.note,
            pockets=tuple(Pocket(**pocket.model_dump()) for pocket in part.pockets),
        )
        for part in sent.parts
    ]
    cards.lay_out_tray(at_hand(), change, parts)


class SchoolIn(ChangeIn):
    """Which way this card leans, which valves it sets, what it trusts and may use."""

    aim: Annotated[Aim, Field(strict=False)]
    rounding: Annotated[Rounding, Field(strict=False)]
    act: Annotated[WhichToSet, Field(strict=False)]
    trust: Annotated[Trust, Field(strict=False)]
    reuse: bool


@act(blueprint, "put", "school", SchoolIn)
def set_school(change: Change, sent: SchoolIn) -> None:
    """Set which way this card leans and which valves it sets."""
    cards.set_school(at_hand(), change, **sent.said())
