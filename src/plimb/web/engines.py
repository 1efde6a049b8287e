"""Engines over the wire: start from a layout, look, correct."""

from __future__ import annotations

import json
from typing import Annotated

from apiflask import APIBlueprint
from pydantic import Field

from plimb.actions.bench import ShopView
from plimb.actions.engines import (
    DraftView,
    EngineView,
    draw_draft,
    read_engine_view,
    register_engine,
    revise,
)
from plimb.core.engine.followers import Follower
from plimb.files.starting_point import Layout, Start, starting_point
from plimb.web.drawings import DrawingOut, TurnOut
from plimb.web.request import at_hand, now
from plimb.web.shop import ShopOut, shop_as_it_stands
from plimb.web.wire import Answer, Sent, Text

blueprint = APIBlueprint("engines", __name__, url_prefix="/api")

Document = Annotated[str, Field(max_length=500_000)]


class EngineIn(Sent):
    """An engine file to take into the shop's care."""

    label: Text
    note: Text
    document: Document


@blueprint.post("/engines")
@blueprint.input(EngineIn)
@blueprint.output(ShopOut, status_code=201)
def add_engine(json_data: EngineIn) -> ShopView:
    """Take an engine file into the shop's care."""
    register_engine(at_hand(), **json_data.model_dump(), now=now())
    return shop_as_it_stands()


class EngineOut(Answer):
    """An engine with its file, to look at and to correct."""

    id: int
    label: str
    note: str
    revision: int
    document: str
    drawing: DrawingOut
    turning: TurnOut


@blueprint.get("/engines/<int:engine_id>")
@blueprint.output(EngineOut)
def get_engine(engine_id: int) -> EngineView:
    """Return an engine with its file."""
    with at_hand().reading() as session:
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
        at_hand(),
        engine_id=engine_id,
        seen=json_data.revision,
        label=json_data.label,
        note=json_data.note,
        document=json_data.document,
        now=now(),
    )
    with at_hand().reading() as session:
        return read_engine_view(session, engine_id)


class DraftOut(Answer):
    """An engine file being edited, drawn and turned."""

    document: str
    drawing: DrawingOut
    turning: TurnOut
    valves: list[str]


class StartIn(Sent):
    """A layout to start an engine from."""

    layout: Annotated[Layout, Field(strict=False)]
    valves: int
    camshafts: int
    follower: Annotated[Follower, Field(strict=False)]
    angle: int | None
    reversed_head: bool
    crank_along: bool


@blueprint.post("/engines/start")
@blueprint.input(StartIn)
@blueprint.output(DraftOut)
def start_engine(json_data: StartIn) -> DraftView:
    """Return an engine to start from, drawn and turned; nothing is saved."""
    document = starting_point(Start(**json_data.model_dump()))
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
