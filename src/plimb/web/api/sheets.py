"""Sheets over the wire: looked at, signed, added to, checked; cards out and in as files."""

from typing import Annotated

from apiflask import APIBlueprint
from flask import Response, request
from pydantic import Field

from plimb.card import billing, sealing, transfer
from plimb.card.acts import sign
from plimb.card.said import Key, Long, Sent, sent_to
from plimb.card.view import CardView
from plimb.core.job.sheet import (
    Fact,
    NextProposed,
    Sheet,
    SheetRound,
    SheetRow,
    SheetSpec,
)
from plimb.web.api.cards import CardOut, Who, card_as_it_stands
from plimb.web.wire.idempotency import idempotent
from plimb.web.wire.read_off import Answer, answer_of, read_off
from plimb.web.wire.request import csv_answer, file_answer, now, record

blueprint = APIBlueprint("sheets", __name__, url_prefix="/api")


FactOut = answer_of(Fact, "FactOut")


@read_off(SheetSpec, without=("spec",))
class SheetSpecOut(Answer):
    """The maker's ranges of all valves that share them, in words for either unit."""

    mm: str
    thou: str


SheetRowOut = answer_of(SheetRow, "SheetRowOut", without=("spec",))
NextProposedOut = answer_of(NextProposed, "NextProposedOut")
SheetRoundOut = answer_of(SheetRound, "SheetRoundOut")
SheetOut = answer_of(
    Sheet, "SheetOut", without=("drawing", "fingerprint", "key", "unit", "shim_unit")
)


def _sheet(card_id: int) -> Sheet:
    with record().reading() as session:
        return sign.read_sheet(session, card_id)


@blueprint.get("/cards/<int:card_id>/sheet")
@blueprint.output(SheetOut)
def get_sheet(card_id: int) -> Sheet:
    """Return the sheet of a card as it stands."""
    return _sheet(card_id)


@blueprint.post("/cards/<int:card_id>/amendments")
@blueprint.input(
    sent_to("AmendIn", sign.amend, card_id=None, now=None, key=Key, text=Long, written_by=Who)
)
@blueprint.output(CardOut, status_code=201)
def amend(card_id: int, json_data: Sent) -> CardView:
    """Write a dated line on a signed card."""
    sign.amend(record(), card_id=card_id, **json_data.said(), now=now())
    return card_as_it_stands(card_id)


@blueprint.post("/cards/<int:card_id>/check-pdf")
@blueprint.doc(hide=True)
def check_pdf(card_id: int) -> dict[str, str]:
    """Say whether a PDF is a sheet of this card as it stands."""
    return {"says": sealing.check_sheet(record(), card_id, request.get_data(cache=False))[1]}


@blueprint.get("/cards/<int:card_id>/sheet.pdf")
@blueprint.doc(hide=True)
def get_pdf(card_id: int) -> Response:
    """Return the sheet as PDF."""
    with record().reading() as session:
        pdf = sealing.printed_sheet(session, card_id)
    return file_answer(pdf, "application/pdf", f"card-{card_id}.pdf", keep=False)


@blueprint.get("/cards/<int:card_id>/blank.pdf")
@blueprint.doc(hide=True)
def get_blank(card_id: int) -> Response:
    """Return an empty data sheet of the card's engine to print."""
    with record().reading() as session:
        pdf = sign.blank_sheet(session, card_id)
    return file_answer(pdf, "application/pdf", f"card-{card_id}-empty.pdf", keep=False)


@blueprint.get("/cards/<int:card_id>/card.json")
@blueprint.doc(hide=True)
def get_file(card_id: int) -> Response:
    """Return the card as its open file."""
    with record().reading() as session:
        text = transfer.export_card(session, card_id)
    return file_answer(text, "application/json", f"card-{card_id}.json")


@blueprint.get("/cards/<int:card_id>/readings.csv")
@blueprint.doc(hide=True)
def get_readings(card_id: int) -> Response:
    """Return every reading of a card as CSV."""
    with record().reading() as session:
        return csv_answer(transfer.readings_csv(session, card_id), f"card-{card_id}.csv")


@blueprint.get("/cards/<int:card_id>/bill.csv")
@blueprint.doc(hide=True)
def get_bill(card_id: int) -> Response:
    """Return what goes on the bill as CSV."""
    with record().reading() as session:
        return csv_answer(billing.bill_csv(session, card_id), f"bill-{card_id}.csv")


class FileIn(Sent):
    """A file's text."""

    text: Annotated[str, Field(max_length=900_000)]


@blueprint.post("/cards/file")
@blueprint.input(FileIn)
@blueprint.output(CardOut, status_code=201)
@idempotent(lambda made: card_as_it_stands(int(made)))
def take_file(json_data: FileIn) -> CardView:
    """Take a card file into the shop."""
    return card_as_it_stands(transfer.import_card(record(), json_data.text, now=now()))
