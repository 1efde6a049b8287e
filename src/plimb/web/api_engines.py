"""The JSON interface of engines: start from a layout, look, correct."""

from __future__ import annotations

import json

from apiflask import APIBlueprint

from plimb.actions.shop import register_engine, revise
from plimb.actions.views import parsed_engine, read_engine_line, turning_of
from plimb.core.layout import draw_head
from plimb.core.turning import Method
from plimb.files.starting_point import Start, starting_point
from plimb.web.answers import drawing_out, engine_out, turn_out
from plimb.web.api import at_hand, now, shop_as_it_stands
from plimb.web.schemas import (
    DraftIn,
    DraftOut,
    EngineChangeIn,
    EngineIn,
    EngineOut,
    ShopOut,
    StartIn,
)

blueprint = APIBlueprint("engines", __name__, url_prefix="/api")


@blueprint.post("/engines")
@blueprint.input(EngineIn)
@blueprint.output(ShopOut, status_code=201)
def add_engine(json_data: EngineIn) -> ShopOut:
    """Take an engine file into the shop's care."""
    register_engine(at_hand(), **json_data.model_dump(), now=now())
    return shop_as_it_stands()


@blueprint.get("/engines/<int:engine_id>")
@blueprint.output(EngineOut)
def get_engine(engine_id: int) -> EngineOut:
    """Return an engine with its file."""
    return _engine(engine_id)


@blueprint.put("/engines/<int:engine_id>")
@blueprint.input(EngineChangeIn)
@blueprint.output(EngineOut)
def change_engine(engine_id: int, json_data: EngineChangeIn) -> EngineOut:
    """Correct what an engine is; cards keep the revision they were opened with."""
    revise(
        at_hand(),
        engine_id=engine_id,
        seen=json_data.revision,
        label=json_data.label,
        note=json_data.note,
        document=json_data.document,
        now=now(),
    )
    return _engine(engine_id)


@blueprint.post("/engines/start")
@blueprint.input(StartIn)
@blueprint.output(DraftOut)
def start_engine(json_data: StartIn) -> DraftOut:
    """Return an engine to start from, drawn and turned; nothing is saved."""
    document = starting_point(Start(**json_data.model_dump()))
    return _drawn(json.dumps(document, indent=1))


@blueprint.post("/engines/draft")
@blueprint.input(DraftIn)
@blueprint.output(DraftOut)
def draw_draft(json_data: DraftIn) -> DraftOut:
    """Draw and turn an engine file that is being edited; nothing is saved."""
    return _drawn(json_data.document)


def _engine(engine_id: int) -> EngineOut:
    with at_hand().reading() as session:
        return engine_out(read_engine_line(session, engine_id))


def _drawn(document: str) -> DraftOut:
    file, engine = parsed_engine(document)
    plan = turning_of(document, Method.MARKS)
    return DraftOut(
        document=document,
        drawing=drawing_out(draw_head(engine)),
        turning=turn_out(engine, file.timing(), Method.MARKS, plan),
        valves=[clearance.id for clearance in engine.clearances],
    )
