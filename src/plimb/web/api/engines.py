"""Engines over the wire: start from a layout, look, correct."""

import json
from typing import Annotated

from apiflask import APIBlueprint
from pydantic import Field

from plimb.books.bench import ShopView
from plimb.card.said import Sent, Short, Text, sent_to
from plimb.core.lengths import Unit, meter_in
from plimb.core.measure.printed import parse_spec, unit_typed
from plimb.core.shim.quick import parse_sizes
from plimb.files.printed import as_printed
from plimb.files.readings import number_in
from plimb.files.starting_point import Start, starting_point
from plimb.shop.engines import (
    DraftView,
    EngineView,
    draw_draft,
    read_engine_view,
    register_engine,
    revise,
)
from plimb.shop.settings import usual_room
from plimb.web.api.shop import ShopOut, shop_as_it_stands
from plimb.web.wire.drawings import DrawingOut, TurnOut
from plimb.web.wire.idempotency import idempotent
from plimb.web.wire.read_off import Answer, read_off
from plimb.web.wire.request import now, record

blueprint = APIBlueprint("engines", __name__, url_prefix="/api")

Document = Annotated[str, Field(max_length=500_000)]


@blueprint.post("/engines")
@blueprint.input(sent_to("EngineIn", register_engine, now=None, document=Document))
@blueprint.output(ShopOut, status_code=201)
@idempotent(lambda _made: shop_as_it_stands())
def add_engine(json_data: Sent) -> ShopView:
    """Take an engine file into the shop's care."""
    register_engine(record(), **json_data.said(), now=now())
    return shop_as_it_stands()


@read_off(EngineView)
class EngineOut(Answer):
    """An engine with its file, to look at and to correct."""

    drawing: DrawingOut
    turning: TurnOut


@blueprint.get("/engines/<int:engine_id>")
@blueprint.output(EngineOut)
def get_engine(engine_id: int) -> EngineView:
    """Return an engine with its file."""
    with record().reading() as session:
        return read_engine_view(session, engine_id)


class EngineChangeIn(Sent):
    """An engine as corrected; `revision` is the one the sender saw."""

    revision: int
    label: Text
    note: Text
    document: Document


@blueprint.put("/engines/<int:engine_id>")
@blueprint.input(EngineChangeIn)
@blueprint.output(EngineOut)
def change_engine(engine_id: int, json_data: EngineChangeIn) -> EngineView:
    """Correct what an engine is; cards keep the revision they were opened with."""
    revise(
        record(),
        engine_id=engine_id,
        seen=json_data.revision,
        label=json_data.label,
        note=json_data.note,
        document=json_data.document,
        now=now(),
    )
    with record().reading() as session:
        return read_engine_view(session, engine_id)


@read_off(DraftView)
class DraftOut(Answer):
    """An engine file being edited, drawn and turned."""

    drawing: DrawingOut
    turning: TurnOut


@blueprint.post("/engines/start")
@blueprint.input(sent_to("StartIn", Start, whole=True))
@blueprint.output(DraftOut)
def start_engine(json_data: Sent) -> DraftView:
    """Return an engine to start from, drawn and turned; nothing is saved."""
    document = starting_point(Start(**json_data.said()))
    return draw_draft(json.dumps(document, indent=1))


class DraftIn(Sent):
    """An engine file that is being edited."""

    document: Document


@blueprint.post("/engines/draft")
@blueprint.input(DraftIn)
@blueprint.output(DraftOut)
def draw(json_data: DraftIn) -> DraftView:
    """Draw and turn an engine file that is being edited; nothing is saved."""
    return draw_draft(json_data.document)


class PrintedIn(Sent):
    """A spec as it is printed; `room` is the shop's own, where one figure is printed alone."""

    text: Short
    room: Short
    unit: Annotated[Unit, Field(strict=False)]


class PrintedOut(Answer):
    """The parts that the engine file has for it, and both ends, in the unit that is set.

    `typed` is the unit that stands behind it.
    """

    parts: dict[str, float]
    low: float
    high: float
    typed: Unit | None


@blueprint.post("/engines/spec")
@blueprint.input(PrintedIn)
@blueprint.output(PrintedOut)
def read_printed(json_data: PrintedIn) -> PrintedOut:
    """Read a spec as it is printed: a range, a figure with its tolerance, one figure."""
    with record().reading() as session:
        room = json_data.room or usual_room(session, json_data.unit)
    spec = parse_spec(json_data.text, json_data.unit, room)
    low, high = (number_in(nm, json_data.unit) for nm in (spec.check.low_nm, spec.check.high_nm))
    return PrintedOut(
        parts=as_printed(spec, json_data.unit), low=low, high=high,
        typed=unit_typed(json_data.text),
    )  # fmt: skip


class SizesIn(Sent):
    """Sizes that can be had, as they are typed."""

    text: Annotated[str, Field(max_length=400)]
    unit: Annotated[Unit, Field(strict=False)]


class SizesOut(Answer):
    """Runs of sizes as the engine file has them, in the unit that is set."""

    runs: list[dict[str, float]]


@blueprint.post("/engines/sizes")
@blueprint.input(SizesIn)
@blueprint.output(SizesOut)
def read_sizes(json_data: SizesIn) -> SizesOut:
    """Read sizes as they are typed: `1.20-3.50/0.05`, several such, or one by one."""
    family, unit = parse_sizes(json_data.text, json_data.unit), json_data.unit
    ends = ((run.from_nm, run.to_nm, run.step_nm) for run in family.runs)
    names = ("from", "to", "step")
    return SizesOut(
        runs=[{n: number_in(nm, unit) for n, nm in zip(names, run, strict=True)} for run in ends]
    )


class MeterIn(Sent):
    """What a meter counts up to, as it is typed."""

    text: Short


class MeterOut(Answer):
    """The number, None where nothing is typed."""

    count: float | None


@blueprint.post("/engines/interval")
@blueprint.input(MeterIn)
@blueprint.output(MeterOut)
def read_interval(json_data: MeterIn) -> MeterOut:
    """Read an interval as it is typed: `14 000`, `14,000`, `62.5`."""
    count = meter_in(json_data.text, "interval", decimals=False)
    return MeterOut(count=None if count is None else float(count))
