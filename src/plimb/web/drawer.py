"""The drawer over the wire: families, pockets, pieces, CSV."""

from __future__ import annotations

from typing import Annotated

from apiflask import APIBlueprint
from flask import Response
from pydantic import Field

from plimb.actions import drawer, families, orders
from plimb.actions.drawer import DrawerView
from plimb.core.shim.location import Location, Where
from plimb.core.shim.marking import Code
from plimb.core.shim.shim import Condition
from plimb.web.plans import OrderOut
from plimb.web.request import at_hand, csv_answer, now
from plimb.web.sheets import FileIn
from plimb.web.wire import Answer, Length, Number, Sent, Text, off

blueprint = APIBlueprint("drawer", __name__, url_prefix="/api")

Money = Annotated[str, Field(max_length=12)]
Typed = Annotated[str, Field(max_length=16)]


class PlaceOut(Answer):
    """Where a piece is."""

    where: Where
    engine_id: int | None
    valve: str | None
    card_id: int | None
    order_line_id: int | None


class ShimOut(Answer):
    """One piece."""

    id: int
    marked: str | None
    measured: Length | None
    thickness: Length
    condition: Condition
    place: PlaceOut


class DrawerPocketOut(Answer):
    """One thickness of a family and what lies in its pocket."""

    nominal: Length
    made: bool
    usual: bool
    low: bool
    pieces: list[ShimOut]


class FamilyRunOut(Answer):
    """Sizes that are made."""

    low: Length = off("from_nm")
    high: Length = off("to_nm")
    step: Length


class FamilyOut(Answer):
    """A family with its pockets."""

    id: int
    version: int
    name: str
    diameter: Length | None = off("family", "diameter_nm")
    runs: list[FamilyRunOut] = off("family", "runs")
    code: Code = off("family", "code")
    price: Number | None = off("family", "price")
    kit_price: str | None
    kit_each: int
    supplier: str
    low_stock: int
    pockets: list[DrawerPocketOut]
    pieces: int
    in_engines: int
    on_trays: int
    on_order: int
    used_by: list[str]


class DrawerOut(Answer):
    """The drawer as it lies, and what is on order. `added` counts what was just put in."""

    families: list[FamilyOut]
    orders: list[OrderOut]
    added: int


def _drawer(added: int = 0) -> DrawerView:
    with at_hand().reading() as session:
        return drawer.read_drawer(session, added)


@blueprint.get("/drawer")
@blueprint.output(DrawerOut)
def get_drawer() -> DrawerView:
    """Return the drawer as it lies."""
    return _drawer()


class RunIn(Sent):
    """Sizes that are made, as typed in millimetres."""

    low: Typed
    high: Typed
    step: Typed


class FamilyIn(Sent):
    """A family of shims; `seen` is the version the sender saw, 0 for a new one."""

    seen: int
    name: Text
    diameter: Typed
    runs: Annotated[list[RunIn], Field(max_length=20)]
    code: Annotated[Code, Field(strict=False)]
    price: Money
    kit_price: Money
    kit_each: int
    supplier: Text
    low_stock: int


def _save(family_id: int | None, sent: FamilyIn) -> DrawerView:
    runs = [(run.low, run.high, run.step) for run in sent.runs]
    said = sent.model_dump(exclude={"runs"})
    families.save_family(at_hand(), family_id=family_id, runs=runs, **said)
    return _drawer()


@blueprint.post("/families")
@blueprint.input(FamilyIn)
@blueprint.output(DrawerOut, status_code=201)
def add_family(json_data: FamilyIn) -> DrawerView:
    """Add a family of shims."""
    return _save(None, json_data)


@blueprint.put("/families/<int:family_id>")
@blueprint.input(FamilyIn)
@blueprint.output(DrawerOut)
def change_family(family_id: int, json_data: FamilyIn) -> DrawerView:
    """Write a family as it now is."""
    return _save(family_id, json_data)


class AddPiecesIn(Sent):
    """Pieces put into the drawer, as typed."""

    text: Annotated[str, Field(max_length=4000)]
    condition: Annotated[Condition, Field(strict=False)]


@blueprint.post("/families/<int:family_id>/pieces")
@blueprint.input(AddPiecesIn)
@blueprint.output(DrawerOut, status_code=201)
def add_pieces(family_id: int, json_data: AddPiecesIn) -> DrawerView:
    """Put pieces into the drawer as typed."""
    added = drawer.add_pieces(at_hand(), family_id=family_id, **json_data.model_dump(), now=now())
    return _drawer(added)


class CountIn(Sent):
    """What was counted in a pocket, and what the sender saw there."""

    nominal_nm: int
    counted: int
    seen: int


@blueprint.put("/families/<int:family_id>/count")
@blueprint.input(CountIn)
@blueprint.output(DrawerOut)
def count_pocket(family_id: int, json_data: CountIn) -> DrawerView:
    """Set a pocket to what was counted."""
    drawer.count_pocket(at_hand(), family_id=family_id, **json_data.model_dump(), now=now())
    return _drawer()


class PlacePart(Sent):
    """Where a piece is."""

    where: Annotated[Where, Field(strict=False)]
    engine_id: int | None = None
    valve: Text | None = None
    card_id: int | None = None
    order_line_id: int | None = None


class MoveIn(Sent):
    """A piece going from where it was seen to another place."""

    seen: PlacePart
    to: PlacePart
    why: Text


@blueprint.post("/shims/<int:shim_id>/moves")
@blueprint.input(MoveIn)
@blueprint.output(DrawerOut, status_code=201)
def move_piece(shim_id: int, json_data: MoveIn) -> DrawerView:
    """Move a piece from where it was seen to another place."""
    drawer.move_piece(
        at_hand(),
        shim_id=shim_id,
        seen=Location(**json_data.seen.model_dump()),
        to=Location(**json_data.to.model_dump()),
        why=json_data.why,
        now=now(),
    )
    return _drawer()


class HistoryOut(Answer):
    """Every move of a piece in words, the first one first."""

    moves: list[str]


@blueprint.get("/shims/<int:shim_id>/history")
@blueprint.output(HistoryOut)
def piece_history(shim_id: int) -> HistoryOut:
    """Return every move of a piece."""
    with at_hand().reading() as session:
        return HistoryOut(moves=drawer.piece_history(session, shim_id))


@blueprint.post("/orders/<int:line_id>/received")
@blueprint.output(DrawerOut)
def receive(line_id: int) -> DrawerView:
    """Take in what came of one order line."""
    orders.receive(at_hand(), line_id=line_id, now=now())
    return _drawer()


@blueprint.post("/drawer/csv")
@blueprint.input(FileIn)
@blueprint.output(DrawerOut, status_code=201)
def import_drawer(json_data: FileIn) -> DrawerView:
    """Add every piece of a CSV table to the drawer, or none."""
    return _drawer(drawer.import_drawer(at_hand(), json_data.text, now=now()))


@blueprint.get("/drawer.csv")
@blueprint.doc(hide=True)
def export_drawer() -> Response:
    """Return the drawer as CSV."""
    with at_hand().reading() as session:
        return csv_answer(drawer.drawer_csv(session), "drawer.csv")
