"""Cards over the wire: look at one, open one, and what is noted on it as a whole."""

from collections.abc import Callable
from decimal import Decimal
from typing import Annotated, Any

from apiflask import APIBlueprint
from pydantic import AfterValidator, Field

from plimb.actions import cards, correcting, noting, opening, remembering, taking_back
from plimb.actions.card_view import CardView, LastAct, Line, NumberedSet
from plimb.actions.cards import Change, Written
from plimb.actions.opening import Amount
from plimb.actions.views import read_card
from plimb.core.engine.conditions import Conditions
from plimb.core.engine.machine import Machine, Measure, RenewedPart
from plimb.core.job.bolts import Tightening, TighteningStage
from plimb.core.job.checks import BillLine, CylinderCheck, SideChecks
from plimb.core.job.fitting import FitStep
from plimb.core.job.proof import Explained, Explanation
from plimb.core.job.stages import Stage, Todo
from plimb.core.job.torque import TorqueSaid
from plimb.core.job.tray import Part, Pocket
from plimb.core.measure.blades import Blade, Stack
from plimb.web.drawings import DrawingOut, TurnOut
from plimb.web.once import once
from plimb.web.people import whoever
from plimb.web.request import at_hand, now
from plimb.web.valves import ValveOut
from plimb.web.wire import (
    Answer,
    ChangeIn,
    Length,
    Reason,
    Sent,
    answer_of,
    first_line,
    inside,
    listed,
    off,
    read_off,
    sent_to,
)

blueprint = APIBlueprint("cards", __name__, url_prefix="/api")


@read_off(Blade, without=("nominal_nm", "stamped_nm"))
class BladeOut(Answer):
    """One blade of a set; `typed` is how it is written in a reading, in either unit."""

    typed: str
    typed_thou: str | None
    in_inches: bool
    marked: Length
    nominal: Length


@read_off(Stack, without=("blades",))
class StackOut(Answer):
    """Two blades that somebody measured together."""

    blades: list[Length]


@read_off(NumberedSet, without=("blades",))
class BladeSetOut(Answer):
    """A feeler set of the shop."""

    name: str = off("blades", "name")
    stacking: bool = off("blades", "stacking")
    blades: list[BladeOut] = off("blades", "blades")
    stacks: list[StackOut] = off("blades", "stacks")


@read_off(Line, without=("item",))
class SafetyOut(Answer):
    """One line of a list to see to."""

    id: str = off("item", "id")
    does: str = off("item", "does")
    caution: str = off("item", "caution")


@read_off(Conditions)
class ConditionsOut(Answer):
    """How cold the engine is, and why that is not cold enough."""

    warm: bool
    warnings: list[str]


PocketOut = answer_of(Pocket, "PocketOut")
PartOut = answer_of(Part, "PartOut")
FitStepOut = answer_of(FitStep, "FitStepOut")


@read_off(TorqueSaid)
class TorqueOut(Answer):
    """A torque in every unit, and what is asked about it."""

    words: dict[str, str]


StageOut = answer_of(TighteningStage, "StageOut")
BoltsOut = answer_of(Tightening, "BoltsOut")


@read_off(Explanation)
class ExplanationOut(Answer):
    """One cause: how it fits against the others, its evidence, what to check first."""

    name: str
    sure: str


RenewedPartOut = answer_of(RenewedPart, "RenewedPartOut")
MachineOut = answer_of(Machine, "MachineOut")
CylinderCheckOut = answer_of(CylinderCheck, "CylinderCheckOut")
ChecksOut = answer_of(SideChecks, "ChecksOut")
BillLineOut = answer_of(BillLine, "BillLineOut")
LastActOut = answer_of(LastAct, "LastActOut")
ExplainedOut = answer_of(Explained, "ExplainedOut")


@read_off(Todo)
class TodoOut(Answer):
    """What one stage asks for, and what of it still waits."""


_NOT_SENT = (
    *("engine", "source", "opened_at", "method", "variant", "forbidden"),
    *("instrument", "remarks", "next_check", "rounds", "amendments", "status"),
    *("distance_km", "distance_mi"),
)
"""What the sheet says of a card, and the screen does not show."""


@read_off(CardView, without=_NOT_SENT)
class CardOut(Answer):
    """A card as it now stands; valves come in measuring order."""

    round: int
    measure: Measure
    distance: int | None
    reference_first: bool
    hand_turns: int
    drawing: DrawingOut
    turning: TurnOut
    valves: list[ValveOut]
    todo: list[TodoOut] = off("status", "todo")
    at: Stage
    not_in_spec: list[str] = off("status", "not_in_spec")
    not_done: list[str]


def card_as_it_stands(card_id: int) -> CardView:
    """Return the card, read outside of any write."""
    with at_hand().reading() as session:
        return read_card(session, card_id)


Do = Callable[..., Written]
"""An act on a card, as the actions have it."""


def act(
    on: APIBlueprint, method: str, path: str, sent: str | type[ChangeIn], do: Do, **otherwise: Any
) -> None:
    """Register an act on a card: it is done, and the card as it then stands is the answer.

    `sent` is what is sent, or the name for what the act takes; `otherwise` as in `sent_to`.
    """

    def answer(card_id: int, json_data: ChangeIn) -> CardView:
        change = Change(card_id=card_id, version=json_data.version, key=json_data.key, now=now())
        do(at_hand(), change, **json_data.said())
        return card_as_it_stands(card_id)

    answer.__name__, answer.__doc__ = do.__name__, first_line(do)
    taken = sent_to(sent, do, ChangeIn, **otherwise) if isinstance(sent, str) else sent
    run = on.input(taken)(on.output(CardOut)(answer))
    getattr(on, method)(f"/cards/<int:card_id>/{path}")(run)


Who = Annotated[str, Field(max_length=200), AfterValidator(whoever)]
"""A name; whoever is signed in writes under their own."""

AmountPart = inside("AmountPart", Amount, by=Annotated[str, Field(max_length=12)])


@blueprint.post("/cards")
@blueprint.input(
    sent_to("CardIn", opening.open_card, now=None, amount=AmountPart | None, opened_by=Who)
)
@blueprint.output(CardOut, status_code=201)
@once(lambda made: card_as_it_stands(int(made)))
def open_card(json_data: Sent) -> CardView:
    """Open a card for an engine."""
    opened = opening.open_card(at_hand(), **json_data.said(), now=now())
    return card_as_it_stands(opened.id)


@blueprint.get("/cards/<int:card_id>")
@blueprint.output(CardOut)
def get_card(card_id: int) -> CardView:
    """Return the card as it now stands."""
    return card_as_it_stands(card_id)


Share = Annotated[float, Field(ge=0, le=1, strict=False)]
PocketPart = inside(
    "PocketPart", Pocket, whole=True, x=Share, y=Share,
    length=Annotated[str, Field(max_length=40)], count=Annotated[int, Field(ge=1, le=99)],
)  # fmt: skip
PartPart = inside("PartPart", Part, whole=True, pockets=listed(PocketPart, 60))


Brief = Annotated[str, Field(max_length=12)]
Typed = Brief | None

act(
    blueprint, "put", "conditions", "ConditionsIn", cards.note_conditions,
    rested_hours=Typed, temperature_c=Typed, reason=Reason,
)  # fmt: skip
act(blueprint, "put", "facts", "FactsIn", correcting.correct_card)
act(blueprint, "put", "kind", "KindIn", correcting.change_kind, amount=AmountPart | None)
act(blueprint, "put", "measured-with", "MeasuredWithIn", correcting.change_instrument)
act(blueprint, "put", "away", "AwayIn", correcting.put_away)
act(blueprint, "put", "engine", ChangeIn, correcting.take_over_engine)
act(blueprint, "put", "spec", "SpecIn", correcting.enter_spec)
act(blueprint, "put", "safety", "SafetyIn", cards.see_to)
act(blueprint, "put", "method", "MethodIn", remembering.set_method)
act(blueprint, "put", "tray", "TrayIn", cards.lay_out_tray, parts=listed(PartPart, 40))
act(blueprint, "put", "school", "SchoolIn", cards.set_school)


CylinderPart = inside("CylinderPart", CylinderCheck, whole=True, dry=Brief, wet=Brief, leak=Brief)
ChecksPart = inside(
    "ChecksPart", SideChecks, whole=True, cylinders=listed(CylinderPart, 24), plugs=Reason,
    chain=Reason, sealing=Reason, other=Reason,
)  # fmt: skip
Price = Annotated[Decimal | None, Field(strict=False, allow_inf_nan=False)]
PricedPart = inside("PricedPart", RenewedPart, whole=True, price=Price)
BillPart = inside("BillPart", BillLine, whole=True, price=Price)
Note = Annotated[str, Field(max_length=noting.LONG)]

act(blueprint, "put", "machine", "MachineIn", remembering.note_machine)
act(
    blueprint, "put", "tools", "ToolsIn", remembering.note_tools,
    tools=listed(Annotated[str, Field(max_length=120)], 40),
)  # fmt: skip
act(blueprint, "put", "parts", "PartsIn", remembering.note_parts, parts=listed(PricedPart, 40))
act(blueprint, "put", "engine-note", "EngineNoteIn", remembering.note_for_next_time, text=Note)
act(blueprint, "put", "symptoms", "SymptomsIn", noting.note_symptoms, text=Note)
act(blueprint, "put", "checks", "ChecksIn", noting.note_checks, checks=ChecksPart)
act(blueprint, "put", "note", "NoteIn", noting.note_at, text=Note)
act(blueprint, "put", "bill", "BillIn", noting.note_bill, lines=listed(BillPart, 60))
act(blueprint, "put", "taken-back", "TakenBackIn", taking_back.take_back)
