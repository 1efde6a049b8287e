"""The JSON interface of reading shims, the plan, and what is bought for it."""

from __future__ import annotations

from zlib import crc32

from apiflask import APIBlueprint
from flask import Response, current_app

from plimb.actions import orders, pieces
from plimb.actions.planning import read_plan
from plimb.actions.views import read_card
from plimb.core.errors import NotReady
from plimb.core.lengths import mm, show_mm
from plimb.files.table_csv import write_csv
from plimb.web.answers import card_out
from plimb.web.answers_pieces import plan_out, quote_out
from plimb.web.api import at_hand, change_from, now, shop_as_it_stands
from plimb.web.schemas import CardOut, ChoiceIn, PieceIn, ShopOut
from plimb.web.schemas_base import ChangeIn
from plimb.web.schemas_pieces import (
    ForbidIn,
    InstrumentIn,
    OrderIn,
    PlanOut,
    PressIn,
    QuotesOut,
    ReadingsOut,
    TrustIn,
    VariantIn,
    ZeroIn,
)

blueprint = APIBlueprint("pieces", __name__, url_prefix="/api")


@blueprint.post("/cards/<int:card_id>/pieces")
@blueprint.input(PieceIn)
@blueprint.output(CardOut)
def write_piece(card_id: int, json_data: PieceIn) -> CardOut:
    """Write down the shim that came out of a valve."""
    return card_out(
        pieces.write_down_piece(
            at_hand(),
            change_from(card_id, json_data),
            valve=json_data.valve,
            text=json_data.text,
            condition=json_data.condition,
        )
    )


@blueprint.put("/cards/<int:card_id>/trust")
@blueprint.input(TrustIn)
@blueprint.output(CardOut)
def answer_for_piece(card_id: int, json_data: TrustIn) -> CardOut:
    """Say which thickness counts where marking and micrometer disagree."""
    return card_out(
        pieces.answer_for_piece(
            at_hand(),
            change_from(card_id, json_data),
            valve=json_data.valve,
            trust=json_data.trust,
        )
    )


@blueprint.put("/cards/<int:card_id>/instrument")
@blueprint.input(ZeroIn)
@blueprint.output(CardOut)
def check_zero(card_id: int, json_data: ZeroIn) -> CardOut:
    """Note which instrument measures the shims, and where its zero stands."""
    return card_out(
        pieces.check_zero(
            at_hand(),
            change_from(card_id, json_data),
            instrument_id=json_data.instrument_id,
            zero=json_data.zero,
        )
    )


@blueprint.post("/instruments")
@blueprint.input(InstrumentIn)
@blueprint.output(ShopOut, status_code=201)
def add_instrument(json_data: InstrumentIn) -> ShopOut:
    """Add a micrometer or calliper to the shop."""
    pieces.add_instrument(at_hand(), name=json_data.name, doubt=json_data.doubt)
    return shop_as_it_stands()


@blueprint.get("/instrument/readings/<int:seen>")
@blueprint.output(ReadingsOut)
def instrument_readings(seen: int) -> ReadingsOut:
    """Return what a connected instrument has sent after the first `seen` readings."""
    readings = current_app.extensions["plimb"].readings
    if readings is None:
        return ReadingsOut(connected=False, count=0, lines=[])
    count, lines = readings.after(seen)
    return ReadingsOut(connected=True, count=count, lines=lines)


@blueprint.post("/instrument/press")
@blueprint.input(PressIn)
@blueprint.output(ReadingsOut)
def press_instrument(json_data: PressIn) -> ReadingsOut:
    """Close the simulated micrometer on a valve's piece; its reading comes over the stream."""
    bench = current_app.extensions["plimb"]
    if bench.instrument is None:
        raise NotReady("No instrument is connected.", field="instrument")
    with at_hand().reading() as session:
        card = read_card(session, json_data.card_id)
    card.engine.clearance(json_data.valve)
    state = card.survey.valves[json_data.valve]
    sizes = state.clearance.family.sizes()
    dice = crc32(f"{card.id} {json_data.valve}".encode())
    piece = state.sheet.piece
    # a piece has worn a little below its size, each by its own
    made_nm = piece.marked_nm if piece and piece.marked_nm else sizes[dice % len(sizes)]
    bench.instrument.measure(made_nm - dice % 9 * mm("0.001"))
    return ReadingsOut(connected=True, count=0, lines=[])


@blueprint.get("/cards/<int:card_id>/plan")
@blueprint.output(PlanOut)
def get_plan(card_id: int) -> PlanOut:
    """Return the plan of a card, with what can be had instead."""
    return _plan(card_id)


def _plan(card_id: int) -> PlanOut:
    with at_hand().reading() as session:
        counter = current_app.extensions["plimb"].counter is not None
        return plan_out(read_plan(session, card_id), counter=counter)


@blueprint.post("/cards/<int:card_id>/choices")
@blueprint.input(ChoiceIn)
@blueprint.output(CardOut)
def write_choice(card_id: int, json_data: ChoiceIn) -> CardOut:
    """Decide by hand on the piece for a valve."""
    return card_out(
        pieces.choose_piece(
            at_hand(),
            change_from(card_id, json_data),
            valve=json_data.valve,
            thickness_nm=json_data.thickness_nm,
            source=json_data.source,
            from_valve=json_data.from_valve,
        )
    )


@blueprint.post("/cards/<int:card_id>/plan")
@blueprint.input(ChangeIn)
@blueprint.output(CardOut)
def take_plan(card_id: int, json_data: ChangeIn) -> CardOut:
    """Take the plan as it stands."""
    return card_out(pieces.take_plan(at_hand(), change_from(card_id, json_data)))


@blueprint.put("/cards/<int:card_id>/forbidden")
@blueprint.input(ForbidIn)
@blueprint.output(CardOut)
def forbid_piece(card_id: int, json_data: ForbidIn) -> CardOut:
    """Rule a thickness out for a valve, or allow it again."""
    return card_out(
        pieces.forbid_piece(
            at_hand(),
            change_from(card_id, json_data),
            valve=json_data.valve,
            thickness_nm=json_data.thickness_nm,
            forbidden=json_data.forbidden,
        )
    )


@blueprint.put("/cards/<int:card_id>/variant")
@blueprint.input(VariantIn)
@blueprint.output(CardOut)
def set_variant(card_id: int, json_data: VariantIn) -> CardOut:
    """Choose among the plan and its alternatives."""
    change = change_from(card_id, json_data)
    return card_out(pieces.set_variant(at_hand(), change, json_data.variant))


@blueprint.post("/cards/<int:card_id>/quotes")
@blueprint.output(QuotesOut)
def ask_counter(card_id: int) -> QuotesOut:
    """Ask the parts counter about all that is still to buy; nothing is ordered."""
    counter = current_app.extensions["plimb"].counter
    lines = orders.ask_counter(at_hand(), counter, card_id)
    return QuotesOut(lines=[quote_out(line) for line in lines])


@blueprint.post("/cards/<int:card_id>/orders")
@blueprint.input(OrderIn)
@blueprint.output(PlanOut, status_code=201)
def order_parts(card_id: int, json_data: OrderIn) -> PlanOut:
    """Order all that is still to buy for a card."""
    counter = current_app.extensions["plimb"].counter
    orders.order_parts(at_hand(), counter, card_id=card_id, key=json_data.key, now=now())
    return _plan(card_id)


@blueprint.post("/cards/<int:card_id>/received/<int:line_id>")
@blueprint.output(PlanOut)
def receive_for_card(card_id: int, line_id: int) -> PlanOut:
    """Take in what came of one order line."""
    orders.receive(at_hand(), line_id=line_id, now=now())
    return _plan(card_id)


@blueprint.get("/cards/<int:card_id>/buy.csv")
@blueprint.doc(hide=True)
def buy_csv(card_id: int) -> Response:
    """Return what is still to buy as CSV."""
    lines = orders.still_to_buy(at_hand(), card_id)
    rows = [
        (
            show_mm(line.thickness_nm),
            "" if line.diameter_nm is None else show_mm(line.diameter_nm),
            line.count,
            line.price or "",
        )
        for line in lines
    ]
    text = write_csv(("thickness_mm", "diameter_mm", "count", "price"), rows)
    return csv_answer(text, f"buy-card-{card_id}.csv")


def csv_answer(text: str, name: str) -> Response:
    """Return CSV as a file to keep."""
    headers = {"Content-Disposition": f'attachment; filename="{name}"'}
    return Response(text, mimetype="text/csv", headers=headers)
