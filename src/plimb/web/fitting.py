"""Putting together over the wire: pieces in, turned by hand, bolts tightened, once more round."""

from __future__ import annotations

from typing import Annotated

from apiflask import APIBlueprint
from pydantic import Field

from plimb.actions import fitting, rounds
from plimb.actions.cards import Change
from plimb.core.errors import BadValue
from plimb.core.job.bolts import BoltGroup
from plimb.core.job.torque import Thread, TorqueSaid, TorqueUnit, parse_torque, said_of
from plimb.web.cards import TorqueOut, act
from plimb.web.request import at_hand
from plimb.web.wire import ChangeIn, Sent, Text

blueprint = APIBlueprint("fitting", __name__, url_prefix="/api")

Short = Annotated[str, Field(max_length=16)]


class FitIn(ChangeIn):
    """A chosen piece is in, or not after all; with what a micrometer said as it went in."""

    valve: Text
    fitted: bool
    measured: Short


@act(blueprint, "put", "fitted", FitIn)
def fit_piece(change: Change, sent: FitIn) -> None:
    """Note that a chosen piece is in."""
    fitting.fit_piece(at_hand(), change, **sent.said())


class TurnsIn(ChangeIn):
    """How many full turns the crank was turned by hand."""

    turns: int


@act(blueprint, "put", "turns", TurnsIn)
def turn_by_hand(change: Change, sent: TurnsIn) -> None:
    """Note how many turns the crank was turned by hand."""
    fitting.turn_by_hand(at_hand(), change, turns=sent.turns)


class BoltsIn(ChangeIn):
    """Bolts to tighten: places from 0 to 1 across and down, torque, the maker's order if any."""

    name: Text
    places: Annotated[
        list[Annotated[list[Annotated[float, Field(strict=False)]], Field(max_length=2)]],
        Field(max_length=60),
    ]
    torque: Short
    unit: Annotated[TorqueUnit, Field(strict=False)]
    thread: Annotated[Thread, Field(strict=False)]
    order: Annotated[list[int], Field(max_length=60)] | None


@act(blueprint, "put", "bolts", BoltsIn)
def lay_bolts(change: Change, sent: BoltsIn) -> None:
    """Note a part's bolts, their torque and order."""
    if any(len(place) != 2 for place in sent.places):
        raise BadValue("A bolt has a place across and down.", field="places")
    bolts = BoltGroup(
        name=sent.name,
        places=tuple((place[0], place[1]) for place in sent.places),
        torque=sent.torque,
        unit=sent.unit,
        thread=sent.thread,
        order=None if sent.order is None else tuple(sent.order),
    )
    fitting.lay_bolts(at_hand(), change, bolts)


class TurnedIn(ChangeIn):
    """How many bolts have been turned, all stages counted through."""

    name: Text
    turned: int


@act(blueprint, "put", "turned", TurnedIn)
def turn_bolts(change: Change, sent: TurnedIn) -> None:
    """Note how many bolts have been turned."""
    fitting.turn_bolts(at_hand(), change, **sent.said())


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


class RoundIn(ChangeIn):
    """Why it goes round again."""

    reason: Annotated[str, Field(max_length=500)]


@act(blueprint, "post", "rounds", RoundIn)
def next_round(change: Change, sent: RoundIn) -> None:
    """Go round again; the round before is kept."""
    rounds.next_round(at_hand(), change, reason=sent.reason)
