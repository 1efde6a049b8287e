"""Putting together over the wire: pieces in, turned by hand, bolts tightened, once more round."""

from typing import Annotated, Any

from apiflask import APIBlueprint
from pydantic import Field

from plimb.actions import fitting, rounds
from plimb.core.errors import BadValue
from plimb.core.job.bolts import BoltGroup, order_of
from plimb.core.job.torque import Thread, TorqueSaid, TorqueUnit, parse_torque, said_of
from plimb.web.cards import TorqueOut, act
from plimb.web.wire import ChangeIn, Reason, Sent, Short, Text

blueprint = APIBlueprint("fitting", __name__, url_prefix="/api")


class BoltsIn(ChangeIn):
    """Bolts to tighten: places from 0 to 1 across and down, torque, the maker's order if any.

    That is either the bolts in turning order, or the `numbers` printed beside them.
    """

    name: Text
    places: Annotated[
        list[Annotated[list[Annotated[float, Field(strict=False)]], Field(max_length=2)]],
        Field(max_length=60),
    ]
    torque: Short
    unit: Annotated[TorqueUnit, Field(strict=False)]
    thread: Annotated[Thread, Field(strict=False)]
    order: Annotated[list[int], Field(max_length=60)] | None
    numbers: Annotated[list[int], Field(max_length=60)] | None = None

    def said(self) -> dict[str, Any]:
        """Return the bolts as they are laid out."""
        if any(len(place) != 2 for place in self.places):
            raise BadValue("A bolt has a place across and down.", field="places")
        bolts = BoltGroup(
            name=self.name,
            places=tuple((place[0], place[1]) for place in self.places),
            torque=self.torque,
            unit=self.unit,
            thread=self.thread,
            order=order_of(self.numbers, self.order),
        )
        return {"bolts": bolts}


act(blueprint, "put", "fitted", "FitIn", fitting.fit_piece, measured=Short)
act(blueprint, "put", "turns", "TurnsIn", fitting.turn_by_hand)
act(blueprint, "put", "bolts", BoltsIn, fitting.lay_bolts)
act(blueprint, "put", "turned", "TurnedIn", fitting.turn_bolts)
act(blueprint, "post", "rounds", "RoundIn", rounds.next_round, reason=Reason)


class TorqueIn(Sent):
    """A torque to convert."""

    torque: Short
    unit: Annotated[TorqueUnit, Field(strict=False)]
    thread: Annotated[Thread, Field(strict=False)]


@blueprint.post("/torque")
@blueprint.input(TorqueIn)
@blueprint.output(TorqueOut)
def convert_torque(json_data: TorqueIn) -> TorqueSaid:
    """Convert a torque and say whether it fits the thread."""
    return said_of(parse_torque(json_data.torque, json_data.unit), json_data.thread)
