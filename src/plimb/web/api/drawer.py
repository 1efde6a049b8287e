"""The drawer over the wire: families, pockets, pieces, CSV."""

from collections.abc import Sequence
from typing import Annotated

from apiflask import APIBlueprint
from flask import Response
from pydantic import AfterValidator, BaseModel, Field

from plimb.card import orders
from plimb.card.said import MOST, Sent, Short, inside, sent_to
from plimb.core.shim.location import Location
from plimb.core.shim.marking import Code
from plimb.shop import drawer, drawer_csv, families
from plimb.shop.assortment import (
    Assortment,
    FamilyToKeep,
    SizeToKeep,
    assortment_csv,
    read_assortment,
)
from plimb.shop.drawer import DrawerPocket, DrawerView, FamilyView, ShimView
from plimb.web.api.plans import OrderOut
from plimb.web.api.sheets import FileIn
from plimb.web.wire.idempotency import idempotent
from plimb.web.wire.read_off import Answer, Length, Number, answer_of, read_from, read_off
from plimb.web.wire.request import csv_answer, now, record

blueprint = APIBlueprint("drawer", __name__, url_prefix="/api")

Money = Annotated[str, Field(max_length=12)]


PlaceOut = answer_of(Location, "PlaceOut")
ShimOut = answer_of(ShimView, "ShimOut")


@read_off(DrawerPocket, without=("low_stock",))
class DrawerPocketOut(Answer):
    """One thickness of a family and what lies in its pocket."""

    low: bool


class FamilyRunOut(Answer):
    """Sizes that are made."""

    low: Length = read_from("from_nm")
    high: Length = read_from("to_nm")
    step: Length


@read_off(FamilyView, without=("family",))
class FamilyOut(Answer):
    """A family with its pockets."""

    diameter: Length | None = read_from("family", "diameter_nm")
    runs: list[FamilyRunOut] = read_from("family", "runs")
    code: Code = read_from("family", "code")
    price: Number | None = read_from("family", "price")
    pieces: int


@read_off(DrawerView)
class DrawerOut(Answer):
    """The drawer as it lies, and what is on order. `added` counts what was just put in."""

    orders: list[OrderOut]
    added: int


def _drawer(added: int = 0) -> DrawerView:
    with record().reading() as session:
        return drawer.read_drawer(session, added)


class PocketAsked(BaseModel):
    """Which pocket: its nominal thickness."""

    nominal_nm: Annotated[int, Field(ge=0, le=MOST)]


class PocketPiecesOut(Answer):
    """Every piece in a pocket."""

    pieces: list[ShimOut]  # type: ignore[valid-type]


@blueprint.get("/families/<int:family_id>/pocket")
@blueprint.input(PocketAsked, location="query")
@blueprint.output(PocketPiecesOut)
def get_pocket(family_id: int, query_data: PocketAsked) -> PocketPiecesOut:
    """Return every piece in a pocket, the thinnest first."""
    with record().reading() as session:
        found = drawer.read_pocket(session, family_id, query_data.nominal_nm)
    return PocketPiecesOut(pieces=found)


@blueprint.get("/drawer")
@blueprint.output(DrawerOut)
def get_drawer() -> DrawerView:
    """Return the drawer as it lies."""
    return _drawer()


SizeToKeepOut = answer_of(SizeToKeep, "SizeToKeepOut")
FamilyToKeepOut = answer_of(FamilyToKeep, "FamilyToKeepOut")


@read_off(Assortment)
class AssortmentOut(Answer):
    """What to keep in the drawer for a year."""


@blueprint.get("/drawer/assortment")
@blueprint.output(AssortmentOut)
def get_assortment() -> Assortment:
    """Return what the shop's engines will want within a year, against what lies there."""
    with record().reading() as session:
        return read_assortment(session)


@blueprint.get("/drawer/assortment.csv")
@blueprint.doc(hide=True)
def get_assortment_csv() -> Response:
    """Return what is to be bought as CSV."""
    with record().reading() as session:
        return csv_answer(assortment_csv(session), "assortment.csv")


class RunIn(Sent):
    """Sizes that are made, as typed in millimetres."""

    low: Short
    high: Short
    step: Short


def _runs(sent: Sequence[RunIn]) -> list[tuple[str, str, str]]:
    return [(run.low, run.high, run.step) for run in sent]


FamilyIn = sent_to(
    "FamilyIn", families.save_family, family_id=None, diameter=Short, price=Money,
    kit_price=Money, swap_price=Money,
    runs=Annotated[list[RunIn], Field(max_length=20), AfterValidator(_runs)],
)  # fmt: skip


def _save(family_id: int | None, sent: Sent) -> DrawerView:
    families.save_family(record(), family_id=family_id, **sent.said())
    return _drawer()


@blueprint.post("/families")
@blueprint.input(FamilyIn)
@blueprint.output(DrawerOut, status_code=201)
@idempotent(lambda _made: _drawer())
def add_family(json_data: Sent) -> DrawerView:
    """Add a family of shims."""
    return _save(None, json_data)


@blueprint.put("/families/<int:family_id>")
@blueprint.input(FamilyIn)
@blueprint.output(DrawerOut)
def change_family(family_id: int, json_data: Sent) -> DrawerView:
    """Write a family as it now is."""
    return _save(family_id, json_data)


Pieces = Annotated[str, Field(max_length=4000)]


@blueprint.post("/families/<int:family_id>/pieces")
@blueprint.input(
    sent_to("AddPiecesIn", drawer.add_pieces, whole=True, family_id=None, now=None, text=Pieces)
)
@blueprint.output(DrawerOut, status_code=201)
@idempotent(lambda made: _drawer(int(made)))
def add_pieces(family_id: int, json_data: Sent) -> DrawerView:
    """Put pieces into the drawer as typed."""
    added = drawer.add_pieces(record(), family_id=family_id, **json_data.said(), now=now())
    return _drawer(added)


@blueprint.put("/families/<int:family_id>/count")
@blueprint.input(sent_to("CountIn", drawer.count_pocket, family_id=None, now=None))
@blueprint.output(DrawerOut)
def count_pocket(family_id: int, json_data: Sent) -> DrawerView:
    """Set a pocket to what was counted."""
    drawer.count_pocket(record(), family_id=family_id, **json_data.said(), now=now())
    return _drawer()


Place = inside("PlacePart", Location)


@blueprint.post("/shims/<int:shim_id>/moves")
@blueprint.input(sent_to("MoveIn", drawer.move_piece, shim_id=None, now=None, seen=Place, to=Place))
@blueprint.output(DrawerOut, status_code=201)
def move_piece(shim_id: int, json_data: Sent) -> DrawerView:
    """Move a piece from where it was seen to another place."""
    drawer.move_piece(record(), shim_id=shim_id, **json_data.said(), now=now())
    return _drawer()


class ShimHistoryOut(Answer):
    """Every move of a piece in words, the first one first."""

    moves: list[str]


@blueprint.get("/shims/<int:shim_id>/history")
@blueprint.output(ShimHistoryOut)
def piece_history(shim_id: int) -> ShimHistoryOut:
    """Return every move of a piece."""
    with record().reading() as session:
        return ShimHistoryOut(moves=drawer.piece_history(session, shim_id))


@blueprint.post("/orders/<int:line_id>/received")
@blueprint.output(DrawerOut)
def receive(line_id: int) -> DrawerView:
    """Take in what came of one order line."""
    orders.receive(record(), line_id=line_id, now=now())
    return _drawer()


@blueprint.post("/drawer/csv")
@blueprint.input(FileIn)
@blueprint.output(DrawerOut, status_code=201)
@idempotent(lambda made: _drawer(int(made)))
def import_drawer(json_data: FileIn) -> DrawerView:
    """Add every piece of a CSV table to the drawer, or none."""
    return _drawer(drawer_csv.import_drawer(record(), json_data.text, now=now()))


@blueprint.get("/drawer.csv")
@blueprint.doc(hide=True)
def export_drawer() -> Response:
    """Return the drawer as CSV."""
    with record().reading() as session:
        return csv_answer(drawer_csv.drawer_csv(session), "drawer.csv")
