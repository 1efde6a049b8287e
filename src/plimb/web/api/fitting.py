"""Putting together over the wire: pieces in, turned by hand, bolts tightened, once more round."""

from typing import Annotated

from apiflask import APIBlueprint
from pydantic import Field

from plimb.card.said import Sent, Short
from plimb.core.job.torque import Thread, TorqueSaid, TorqueUnit, parse_torque, said_of
from plimb.web.api.cards import TorqueOut

blueprint = APIBlueprint("fitting", __name__, url_prefix="/api")


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
