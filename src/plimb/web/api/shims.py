"""Shims that come out over the wire: written down, answered for, and what measures them."""

from zlib import crc32

from apiflask import APIBlueprint

from plimb.card.said import Sent, Text
from plimb.core.errors import NotReady
from plimb.core.lengths import mm
from plimb.record.instrument import lines_after
from plimb.standins.instrument import press
from plimb.web.api.cards import card_as_it_stands
from plimb.web.wire.read_off import Answer
from plimb.web.wire.request import bench, record

blueprint = APIBlueprint("shims", __name__, url_prefix="/api")


class ReadingsOut(Answer):
    """What a connected instrument has sent: how many readings in all, and the new ones."""

    connected: bool
    count: int
    lines: list[str]


@blueprint.get("/instrument/readings/<int:seen>")
@blueprint.output(ReadingsOut)
def instrument_readings(seen: int) -> ReadingsOut:
    """Return what a connected instrument has sent after the first `seen` readings."""
    if bench().instrument is None:
        return ReadingsOut(connected=False, count=0, lines=[])
    with record().reading() as session:
        count, lines = lines_after(session, seen)
    return ReadingsOut(connected=True, count=count, lines=lines)


class PressIn(Sent):
    """Close the simulated micrometer on the piece of a valve."""

    card_id: int
    valve: Text


@blueprint.post("/instrument/press")
@blueprint.input(PressIn)
@blueprint.output(ReadingsOut)
def press_instrument(json_data: PressIn) -> ReadingsOut:
    """Close the simulated micrometer on a valve's piece; its reading comes over the stream."""
    instrument = bench().instrument
    if instrument is None:
        raise NotReady("No instrument is connected.", field="instrument")
    card = card_as_it_stands(json_data.card_id)
    sizes = card.engine.clearance(json_data.valve).family.sizes()
    piece = card.status.valves[json_data.valve].record.piece
    dice = crc32(f"{card.id} {json_data.valve}".encode())
    # a piece has worn a little below its size, each by its own
    made_nm = piece.marked_nm if piece and piece.marked_nm else sizes[dice % len(sizes)]
    press(instrument, made_nm - dice % 9 * mm("0.001"))
    return ReadingsOut(connected=True, count=0, lines=[])
