"""The JSON interface of closing: fit, tighten, turn, go round again, amend, sheets and files."""

from __future__ import annotations

from apiflask import APIBlueprint
from flask import Response, request

from plimb.actions import closing, transfer
from plimb.actions.closing import Bolts
from plimb.actions.sheet import read_sheet
from plimb.actions.views import read_card
from plimb.core.errors import BadValue
from plimb.core.torque import parse_torque
from plimb.files.sheet_pdf import fingerprint_in, sheet_pdf
from plimb.web.answers import card_out
from plimb.web.answers_closing import torque_out
from plimb.web.api import at_hand, change_from, now, shop_as_it_stands
from plimb.web.api_pieces import csv_answer
from plimb.web.schemas import CardOut, ShopOut
from plimb.web.schemas_closing import (
    AmendIn,
    BoltsIn,
    CheckSheetIn,
    FingerprintOut,
    FitIn,
    RoundIn,
    ShopClosingIn,
    TorqueIn,
    TorqueOut,
    TurnedIn,
    TurnsIn,
)
from plimb.web.schemas_pieces import CsvIn as FileIn

blueprint = APIBlueprint("closing", __name__, url_prefix="/api")


@blueprint.put("/cards/<int:card_id>/fitted")
@blueprint.input(FitIn)
@blueprint.output(CardOut)
def fit_piece(card_id: int, json_data: FitIn) -> CardOut:
    """Note that a chosen piece is in."""
    return card_out(
        closing.fit_piece(
            at_hand(),
            change_from(card_id, json_data),
            valve=json_data.valve,
            fitted=json_data.fitted,
            measured=json_data.measured,
        )
    )


@blueprint.put("/cards/<int:card_id>/turns")
@blueprint.input(TurnsIn)
@blueprint.output(CardOut)
def turn_by_hand(card_id: int, json_data: TurnsIn) -> CardOut:
    """Note how many turns the crank was turned by hand."""
    change = change_from(card_id, json_data)
    return card_out(closing.turn_by_hand(at_hand(), change, turns=json_data.turns))


@blueprint.put("/cards/<int:card_id>/bolts")
@blueprint.input(BoltsIn)
@blueprint.output(CardOut)
def lay_bolts(card_id: int, json_data: BoltsIn) -> CardOut:
    """Note a part's bolts, their torque and order."""
    if any(len(place) != 2 for place in json_data.places):
        raise BadValue("A bolt has a place across and down.", field="places")
    bolts = Bolts(
        name=json_data.name,
        places=tuple((place[0], place[1]) for place in json_data.places),
        torque=json_data.torque,
        unit=json_data.unit,
        thread=json_data.thread,
        order=None if json_data.order is None else tuple(json_data.order),
    )
    return card_out(closing.lay_bolts(at_hand(), change_from(card_id, json_data), bolts))


@blueprint.put("/cards/<int:card_id>/turned")
@blueprint.input(TurnedIn)
@blueprint.output(CardOut)
def turn_bolts(card_id: int, json_data: TurnedIn) -> CardOut:
    """Note how many bolts have been turned."""
    change = change_from(card_id, json_data)
    return card_out(
        closing.turn_bolts(at_hand(), change, name=json_data.name, turned=json_data.turned)
    )


@blueprint.post("/torque")
@blueprint.input(TorqueIn)
@blueprint.output(TorqueOut)
def convert_torque(json_data: TorqueIn) -> TorqueOut:
    """Convert a torque and say whether it fits the thread."""
    return torque_out(parse_torque(json_data.torque, json_data.unit), json_data.thread)


@blueprint.post("/cards/<int:card_id>/rounds")
@blueprint.input(RoundIn)
@blueprint.output(CardOut)
def next_round(card_id: int, json_data: RoundIn) -> CardOut:
    """Go round again; the round before is kept."""
    change = change_from(card_id, json_data)
    return card_out(closing.next_round(at_hand(), change, reason=json_data.reason))


@blueprint.post("/cards/<int:card_id>/amendments")
@blueprint.input(AmendIn)
@blueprint.output(CardOut, status_code=201)
def amend(card_id: int, json_data: AmendIn) -> CardOut:
    """Write a dated line on a signed card."""
    return card_out(closing.amend(at_hand(), card_id=card_id, **json_data.model_dump(), now=now()))


@blueprint.put("/shop/closing")
@blueprint.input(ShopClosingIn)
@blueprint.output(ShopOut)
def set_closing(json_data: ShopClosingIn) -> ShopOut:
    """Set how many turns by hand this shop makes, and the unit of its wrench."""
    closing.set_closing(at_hand(), hand_turns=json_data.hand_turns, wrench=json_data.wrench)
    return shop_as_it_stands()


@blueprint.get("/cards/<int:card_id>/fingerprint")
@blueprint.output(FingerprintOut)
def get_fingerprint(card_id: int) -> FingerprintOut:
    """Return the fingerprint of a signed card's record."""
    with at_hand().reading() as session:
        return FingerprintOut(fingerprint=read_sheet(session, card_id).fingerprint, says="")


@blueprint.post("/cards/<int:card_id>/fingerprint")
@blueprint.input(CheckSheetIn)
@blueprint.output(FingerprintOut)
def check_fingerprint(card_id: int, json_data: CheckSheetIn) -> FingerprintOut:
    """Say whether a sheet's fingerprint is this card's."""
    return _checked(card_id, json_data.fingerprint.strip().lower())


@blueprint.post("/cards/<int:card_id>/check-pdf")
@blueprint.doc(hide=True)
def check_pdf(card_id: int) -> dict[str, object]:
    """Say whether a PDF is a sheet of this card as it stands."""
    found = fingerprint_in(request.get_data(cache=False))
    if found is None:
        raise BadValue("This PDF is no signed sheet of Plimb's.", field="file")
    return _checked(card_id, found).model_dump()


def _checked(card_id: int, fingerprint: str) -> FingerprintOut:
    with at_hand().reading() as session:
        says = transfer.check_fingerprint(session, card_id, fingerprint)
    return FingerprintOut(fingerprint=fingerprint, says=says)


@blueprint.get("/cards/<int:card_id>/sheet.pdf")
@blueprint.doc(hide=True)
def get_pdf(card_id: int) -> Response:
    """Return the sheet as PDF."""
    with at_hand().reading() as session:
        pdf = sheet_pdf(read_sheet(session, card_id))
    headers = {"Content-Disposition": f'inline; filename="card-{card_id}.pdf"'}
    return Response(pdf, mimetype="application/pdf", headers=headers)


@blueprint.get("/cards/<int:card_id>/card.json")
@blueprint.doc(hide=True)
def get_file(card_id: int) -> Response:
    """Return the card as its open file."""
    with at_hand().reading() as session:
        text = transfer.export_card(session, card_id)
    headers = {"Content-Disposition": f'attachment; filename="card-{card_id}.json"'}
    return Response(text, mimetype="application/json", headers=headers)


@blueprint.get("/cards/<int:card_id>/readings.csv")
@blueprint.doc(hide=True)
def get_readings(card_id: int) -> Response:
    """Return every reading of a card as CSV."""
    with at_hand().reading() as session:
        return csv_answer(transfer.readings_csv(session, card_id), f"card-{card_id}.csv")


@blueprint.post("/cards/file")
@blueprint.input(FileIn)
@blueprint.output(CardOut, status_code=201)
def take_file(json_data: FileIn) -> CardOut:
    """Take a card file into the shop."""
    number = transfer.import_card(at_hand(), json_data.text, now=now())
    with at_hand().reading() as session:
        return card_out(read_card(session, number))
