"""The plan over the wire: what each valve gets, what is decided, and what is bought for it."""

from typing import Literal

from apiflask import APIBlueprint
from flask import Response

from plimb.card import orders
from plimb.card.planning import (
    BuyLine,
    MoveView,
    Must,
    PlanView,
    Variant,
    read_plan,
    read_rivals,
)
from plimb.card.said import Key, Sent
from plimb.core.lengths import show_inch, show_mm
from plimb.core.plan.advice import AdviceKind
from plimb.core.plan.measures import Fits
from plimb.core.plan.options import Option
from plimb.core.plan.rivals import Rival
from plimb.core.shim.shim import Source
from plimb.files.table_csv import write_csv
from plimb.record.orders import Order, OrderedLine
from plimb.standins.counter_client import Answered
from plimb.web.wire.read_off import Answer, Length, ShownGap, answer_of, read_from, read_off
from plimb.web.wire.request import bench, csv_answer, now, record

blueprint = APIBlueprint("plans", __name__, url_prefix="/api")


@read_off(Option, without=("chance",))
class OptionOut(Answer):
    """One piece that can be had for a valve, the gap it gives, and how it stands then."""

    stands: str


MustOut = answer_of(Must, "MustOut")
FitsOut = answer_of(Fits, "FitsOut")


@read_off(MoveView, without=("move",))
class MoveOut(Answer):
    """What the plan gives one valve, and every piece that can be had for it."""

    valve: str = read_from("move", "valve")
    source: Source = read_from("move", "source")
    thickness: Length | None = read_from("move", "thickness_nm")
    from_valve: str | None = read_from("move", "from_valve")
    gap: ShownGap | None = read_from("move", "gap")
    provisional: bool = read_from("move", "provisional")
    changes: bool = read_from("move", "changes")


@read_off(Variant, without=("plan",))
class VariantOut(Answer):
    """The plan or what can be had instead, and what that gives up."""

    cost: str = read_from("plan", "cost")
    priced: bool = read_from("plan", "priced")
    to_buy: int = read_from("plan", "to_buy")
    out_of_spec: list[str] = read_from("plan", "out_of_spec")


@read_off(BuyLine, without=("line",))
class BuyOut(Answer):
    """One size to buy; `ordered` of them are on their way or here."""

    thickness: Length = read_from("line", "thickness_nm")
    diameter: Length | None = read_from("line", "diameter_nm")
    count: int = read_from("line", "count")
    price: str | None = read_from("line", "price")


class HelpOut(Answer):
    """What would make a valve's proof likelier to pass."""

    kind: AdviceKind
    valve: str
    sentence: str


@read_off(OrderedLine)
class OrderLineOut(Answer):
    """One size on an order."""

    state: Literal["ready", "back-ordered", "refused", "received"]


@read_off(Order, without=("card_id",))
class OrderOut(Answer):
    """An order at the parts counter."""


@read_off(PlanView, without=("plan",))
class PlanOut(Answer):
    """The whole engine decided."""

    optimal: bool = read_from("plan", "optimal")
    camshafts_out: list[str] = read_from("plan", "camshafts_out")
    out_of_spec: list[str] = read_from("plan", "out_of_spec")
    cost: str = read_from("plan", "cost")
    priced: bool = read_from("plan", "priced")
    provisional: list[str] = read_from("plan", "provisional")
    doubtful: list[str] = read_from("plan", "doubtful")
    sure: str
    helps: list[HelpOut]


def _plan(card_id: int) -> PlanView:
    with record().reading() as session:
        return read_plan(session, card_id, counter=bench().counter is not None)


@blueprint.get("/cards/<int:card_id>/plan")
@blueprint.output(PlanOut)
def get_plan(card_id: int) -> PlanView:
    """Return the plan of a card, with what can be had instead."""
    return _plan(card_id)


@read_off(Rival, without=("gap", "level", "forced"))
class RivalOut(Answer):
    """Another piece that a valve could get, and why it does not."""


class RivalsOut(Answer):
    """What else a valve could get, and why it does not, the likeliest question first."""

    rivals: list[RivalOut]


@blueprint.get("/cards/<int:card_id>/plan/<valve>/rivals")
@blueprint.output(RivalsOut)
def get_rivals(card_id: int, valve: str) -> dict[str, object]:
    """Return why a valve gets no other piece: the whole engine is solved again with each."""
    with record().reading() as session:
        return {"rivals": read_rivals(session, card_id, valve)}


@read_off(Answered, without=("diameter_nm", "days"))
class QuoteOut(Answer):
    """What the parts counter says of one size."""

    state: Literal["ready", "back-ordered", "refused"]


class QuotesOut(Answer):
    """What the parts counter says of all that is still to buy."""

    lines: list[QuoteOut]


@blueprint.post("/cards/<int:card_id>/quotes")
@blueprint.output(QuotesOut)
def ask_counter(card_id: int) -> dict[str, object]:
    """Ask the parts counter about all that is still to buy; nothing is ordered."""
    return {"lines": orders.ask_counter(record(), bench().counter, card_id)}


class OrderIn(Sent):
    """Order what is still to buy for a card; with the same key it is ordered once."""

    key: Key


@blueprint.post("/cards/<int:card_id>/orders")
@blueprint.input(OrderIn)
@blueprint.output(PlanOut, status_code=201)
def order_parts(card_id: int, json_data: OrderIn) -> PlanView:
    """Order all that is still to buy for a card."""
    orders.order_parts(record(), bench().counter, card_id=card_id, key=json_data.key, now=now())
    return _plan(card_id)


@blueprint.post("/cards/<int:card_id>/received/<int:line_id>")
@blueprint.output(PlanOut)
def receive_for_card(card_id: int, line_id: int) -> PlanView:
    """Take in what came of one order line."""
    orders.receive(record(), line_id=line_id, now=now())
    return _plan(card_id)


@blueprint.get("/cards/<int:card_id>/buy.csv")
@blueprint.doc(hide=True)
def buy_csv(card_id: int) -> Response:
    """Return what is still to buy as CSV, with what each piece must measure for which valve."""
    rows = [
        (
            show_mm(line.thickness_nm),
            "" if line.diameter_nm is None else show_mm(line.diameter_nm),
            buy.left,
            line.price or "",
            "; ".join(
                f"{must.valve} {show_mm(must.thin_nm)}-{show_mm(must.thick_nm)}"
                for must in buy.musts
                if must.thin_nm is not None and must.thick_nm is not None
            ),
            show_inch(line.thickness_nm),
        )
        for buy in _plan(card_id).buy
        for line in (buy.line,)
        if buy.left
    ]
    columns = ("thickness_mm", "diameter_mm", "count", "price", "must_measure_mm", "thickness_in")
    return csv_answer(write_csv(columns, rows), f"buy-card-{card_id}.csv")
