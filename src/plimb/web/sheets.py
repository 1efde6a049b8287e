"""Sheets over the wire: looked at, signed, added to, checked; cards out and in as files."""

from typing import Annotated

from apiflask import APIBlueprint
from flask import Response, request
from pydantic import Field

from plimb.actions import billing, card_document, sealing, signing, transfer
from plimb.actions.card_view import CardView
from plimb.actions.said import Key, Long, Sent, sent_to
from plimb.core.job.sheet import Fact, Sheet, SheetRound, SheetRow, SheetSpec
from plimb.web.cards import CardOut, Who, card_as_it_stands
from plimb.web.idempotency import idempotent
from plimb.web.request import csv_answer, file_answer, now, record
from plimb.web.wire import Answer, answer_of, read_off

blueprint = APIBlueprint("sheets", __name__, url_prefix="/api")


FactOut = answer_of(Fact, "FactOut")


@read_off(SheetSpec, without=("spec",))
class SheetSpecOut(Answer):
    """The maker's ranges of all valves that share them, in words for either unit."""

    mm: str
    thou: str


SheetRowOut = answer_of(SheetRow, "SheetRowOut", without=("spec",))
SheetRoundOut = answer_of(SheetRound, "SheetRoundOut")
SheetOut = answer_of(
    Sheet, "SheetOut", without=("drawing", "fingerprint", "key", "unit", "shim_unit")
)


def _sheet(card_id: int) -> Sheet:
    with record().reading() as session:
        return signing.read_sheet(session, card_id)


@blueprint.get("/cards/<int:card_id>/sheet")
@blueprint.output(SheetOut)
def get_sheet(card_id: int) -> Sheet:
    """Return the sheet of a card as it stands."""
    return _sheet(card_id)


@blueprint.post("/cards/<int:card_id>/amendments")
@blueprint.input(
    sent_to("AmendIn", signing.amend, card_id=None, now=None, key=Key, text=Long, written_by=Who)
)
@blueprint.output(CardOut, status_code=201)
def amend(card_id: int, json_data: Sent) -> CardView:
    """Write a dated line on a signed card."""
    signing.amend(record(), card_id=card_id, **json_data.said(), now=now())
    return card_as_it_stands(card_id)


class FingerprintOut(Answer):
    """The fingerprint of a signed card, and what checking a sheet against it said."""

    fingerprint: str | None
    says: str


@blueprint.get("/cards/<int:card_id>/fingerprint")
@blueprint.output(FingerprintOut)
def get_fingerprint(card_id: int) -> FingerprintOut:
    """Return the fingerprint of a signed card's record."""
    return FingerprintOut(fingerprint=_sheet(card_id).fingerprint, says="")


class CheckSheetIn(Sent):
    """A sheet's fingerprint, as it stands at its foot."""

    fingerprint: Annotated[str, Field(max_length=80)]


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
    found, says = sealing.check_sheet(record(), card_id, request.get_data(cache=False))
    return FingerprintOut(fingerprint=found, says=says).model_dump()


def _checked(card_id: int, fingerprint: str) -> FingerprintOut:
    with record().reading() as session:
        says = card_document.check_fingerprint(session, card_id, fingerprint)
    return FingerprintOut(fingerprint=fingerprint, says=says)


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
        pdf = signing.blank_sheet(session, card_id)
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
