"""Cards over the wire: look at one, open one, and what is noted on it as a whole."""

from typing import Annotated

from apiflask import APIBlueprint
from pydantic import AfterValidator, Field

from plimb.card.acts import opening
from plimb.card.build import read_card
from plimb.card.said import Sent, sent_to
from plimb.card.view import CardView, LastAct, NumberedSet, TickLine
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
from plimb.web.api.people import whoever
from plimb.web.wire.drawings import DrawingOut, TurnOut
from plimb.web.wire.idempotency import idempotent
from plimb.web.wire.read_off import Answer, Length, answer_of, read_from, read_off
from plimb.web.wire.request import now, record
from plimb.web.wire.valves import ValveOut

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

    name: str = read_from("blades", "name")
    stacking: bool = read_from("blades", "stacking")
    blades: list[BladeOut] = read_from("blades", "blades")
    stacks: list[StackOut] = read_from("blades", "stacks")


@read_off(TickLine, without=("item",))
class SafetyOut(Answer):
    """One line of a list to see to."""

    id: str = read_from("item", "id")
    does: str = read_from("item", "does")
    caution: str = read_from("item", "caution")


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
    todo: list[TodoOut] = read_from("status", "todo")
    at: Stage
    not_in_spec: list[str] = read_from("status", "not_in_spec")
    not_done: list[str]


def card_as_it_stands(card_id: int) -> CardView:
    """Return the card, read outside of any write."""
    with record().reading() as session:
        return read_card(session, card_id)


Who = Annotated[str, Field(max_length=200), AfterValidator(whoever)]
"""A name; whoever is signed in writes under their own."""


@blueprint.post("/cards")
@blueprint.input(
    sent_to("CardIn", opening.open_card, now=None, amount=opening.AmountPart | None, opened_by=Who)
)
@blueprint.output(CardOut, status_code=201)
@idempotent(lambda made: card_as_it_stands(int(made)))
def open_card(json_data: Sent) -> CardView:
    """Open a card for an engine."""
    opened = opening.open_card(record(), **json_data.said(), now=now())
    return card_as_it_stands(opened.id)


@blueprint.get("/cards/<int:card_id>")
@blueprint.output(CardOut)
def get_card(card_id: int) -> CardView:
    """Return the card as it now stands."""
    return card_as_it_stands(card_id)
