"""The JSON interface of the drawer: families, pockets, pieces, CSV."""

from __future__ import annotations

from apiflask import APIBlueprint
from flask import Response

from plimb.actions import drawer, orders
from plimb.core.places import Place
from plimb.web.answers_pieces import drawer_out
from plimb.web.api import at_hand, now
from plimb.web.api_pieces import csv_answer
from plimb.web.schemas_pieces import (
    AddPiecesIn,
    CountIn,
    CsvIn,
    DrawerOut,
    FamilyIn,
    HistoryOut,
    MoveIn,
)

blueprint = APIBlueprint("drawer", __name__, url_prefix="/api")


def _drawer(added: int = 0) -> DrawerOut:
    with at_hand().reading() as session:
        return drawer_out(drawer.read_drawer(session), added)


@blueprint.get("/drawer")
@blueprint.output(DrawerOut)
def get_drawer() -> DrawerOut:
    """Return the drawer as it lies."""
    return _drawer()


@blueprint.post("/families")
@blueprint.input(FamilyIn)
@blueprint.output(DrawerOut, status_code=201)
def add_family(json_data: FamilyIn) -> DrawerOut:
    """Add a family of shims."""
    _save(None, json_data)
    return _drawer()


@blueprint.put("/families/<int:family_id>")
@blueprint.input(FamilyIn)
@blueprint.output(DrawerOut)
def change_family(family_id: int, json_data: FamilyIn) -> DrawerOut:
    """Write a family as it now is."""
    _save(family_id, json_data)
    return _drawer()


def _save(family_id: int | None, sent: FamilyIn) -> None:
    drawer.save_family(
        at_hand(),
        family_id=family_id,
        seen=sent.seen,
        name=sent.name,
        diameter=sent.diameter,
        runs=[(run.low, run.high, run.step) for run in sent.runs],
        code=sent.code,
        price=sent.price,
        kit_price=sent.kit_price,
        kit_each=sent.kit_each,
        supplier=sent.supplier,
        low_stock=sent.low_stock,
    )


@blueprint.post("/families/<int:family_id>/pieces")
@blueprint.input(AddPiecesIn)
@blueprint.output(DrawerOut, status_code=201)
def add_pieces(family_id: int, json_data: AddPiecesIn) -> DrawerOut:
    """Put pieces into the drawer as typed."""
    added = drawer.add_pieces(
        at_hand(),
        family_id=family_id,
        text=json_data.text,
        condition=json_data.condition,
        now=now(),
    )
    return _drawer(added)


@blueprint.put("/families/<int:family_id>/count")
@blueprint.input(CountIn)
@blueprint.output(DrawerOut)
def count_pocket(family_id: int, json_data: CountIn) -> DrawerOut:
    """Set a pocket to what was counted."""
    drawer.count_pocket(at_hand(), family_id=family_id, **json_data.model_dump(), now=now())
    return _drawer()


@blueprint.post("/shims/<int:shim_id>/moves")
@blueprint.input(MoveIn)
@blueprint.output(DrawerOut, status_code=201)
def move_piece(shim_id: int, json_data: MoveIn) -> DrawerOut:
    """Move a piece from where it was seen to another place."""
    drawer.move_piece(
        at_hand(),
        shim_id=shim_id,
        seen=Place(**json_data.seen.model_dump()),
        to=Place(**json_data.to.model_dump()),
        why=json_data.why,
        now=now(),
    )
    return _drawer()


@blueprint.get("/shims/<int:shim_id>/history")
@blueprint.output(HistoryOut)
def piece_history(shim_id: int) -> HistoryOut:
    """Return every move of a piece."""
    with at_hand().reading() as session:
        return HistoryOut(moves=drawer.piece_history(session, shim_id))


@blueprint.post("/orders/<int:line_id>/received")
@blueprint.output(DrawerOut)
def receive(line_id: int) -> DrawerOut:
    """Take in what came of one order line."""
    orders.receive(at_hand(), line_id=line_id, now=now())
    return _drawer()


@blueprint.post("/drawer/csv")
@blueprint.input(CsvIn)
@blueprint.output(DrawerOut, status_code=201)
def import_drawer(json_data: CsvIn) -> DrawerOut:
    """Add every piece of a CSV table to the drawer, or none."""
    return _drawer(drawer.import_drawer(at_hand(), json_data.text, now=now()))


@blueprint.get("/drawer.csv")
@blueprint.doc(hide=True)
def export_drawer() -> Response:
    """Return the drawer as CSV."""
    with at_hand().reading() as session:
        return csv_answer(drawer.drawer_csv(session), "drawer.csv")
