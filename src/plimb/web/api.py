"""The JSON interface: one request is one thing that the technician did."""

from __future__ import annotations

from datetime import datetime

from apiflask import APIBlueprint
from flask import current_app

from plimb import __version__
from plimb.actions import cards, pieces
from plimb.actions.cards import Change
from plimb.actions.views import read_card, read_shop
from plimb.core.lengths import Unit
from plimb.store.database import Database
from plimb.web.answers import card_out, shop_out, try_out
from plimb.web.schemas import (
    CardIn,
    CardOut,
    GapIn,
    HealthOut,
    SchoolIn,
    ShopOut,
    SignatureIn,
    UnderstandIn,
    WordsOut,
)
from plimb.web.schemas_base import ChangeIn

blueprint = APIBlueprint("api", __name__, url_prefix="/api", enable_openapi=True)


def at_hand() -> Database:
    """Return the record that this application serves."""
    database: Database = current_app.extensions["plimb"].database
    return database


def now() -> datetime:
    """Return this moment by the application's clock."""
    moment: datetime = current_app.extensions["plimb"].clock()
    return moment


def change_from(card_id: int, sent: ChangeIn) -> Change:
    """Return who changes which card on the strength of what."""
    return Change(card_id=card_id, version=sent.version, key=sent.key, now=now())


def shop_as_it_stands() -> ShopOut:
    """Return the shop for the screen."""
    with at_hand().reading() as session:
        return shop_out(read_shop(session))


@blueprint.get("/health")
@blueprint.output(HealthOut)
def health() -> HealthOut:
    """Say whether the server answers and its record can be read."""
    with at_hand().reading() as session:
        session.connection().exec_driver_sql("SELECT 1")
    return HealthOut(status="ok", version=__version__)


@blueprint.get("/shop")
@blueprint.output(ShopOut)
def getshop_as_it_stands() -> ShopOut:
    """Return the shop with its engines and its cards, newest first."""
    return shop_as_it_stands()


@blueprint.post("/cards")
@blueprint.input(CardIn)
@blueprint.output(CardOut, status_code=201)
def open_card(json_data: CardIn) -> CardOut:
    """Open a card for an engine."""
    return card_out(cards.open_card(at_hand(), **json_data.model_dump(), now=now()))


@blueprint.get("/cards/<int:card_id>")
@blueprint.output(CardOut)
def get_card(card_id: int) -> CardOut:
    """Return the card as it now stands."""
    with at_hand().reading() as session:
        return card_out(read_card(session, card_id))


@blueprint.post("/cards/<int:card_id>/gaps")
@blueprint.input(GapIn)
@blueprint.output(CardOut)
def write_gap(card_id: int, json_data: GapIn) -> CardOut:
    """Write down a gap as typed; it is parsed, judged and saved at once."""
    return card_out(
        cards.write_down_gap(
            at_hand(),
            change_from(card_id, json_data),
            valve=json_data.valve,
            purpose=json_data.purpose,
            text=json_data.text,
            unit=json_data.unit,
            repeats=json_data.repeats,
        )
    )


@blueprint.put("/cards/<int:card_id>/school")
@blueprint.input(SchoolIn)
@blueprint.output(CardOut)
def set_school(card_id: int, json_data: SchoolIn) -> CardOut:
    """Set which way this card leans and which valves it sets."""
    return card_out(
        cards.set_school(
            at_hand(),
            change_from(card_id, json_data),
            aim=json_data.aim,
            rounding=json_data.rounding,
            act=json_data.act,
            trust=json_data.trust,
            reuse=json_data.reuse,
        )
    )


@blueprint.post("/cards/<int:card_id>/signature")
@blueprint.input(SignatureIn)
@blueprint.output(CardOut)
def sign(card_id: int, json_data: SignatureIn) -> CardOut:
    """Sign the card; from then on nothing on it changes."""
    return card_out(
        cards.sign_card(
            at_hand(),
            change_from(card_id, json_data),
            signed_by=json_data.signed_by,
            remarks=json_data.remarks,
            next_check_km=json_data.next_check_km,
        )
    )


@blueprint.post("/cards/<int:card_id>/understand")
@blueprint.input(UnderstandIn)
@blueprint.output(WordsOut)
def understand(card_id: int, json_data: UnderstandIn) -> WordsOut:
    """Read back what is being typed, without writing it down."""
    if json_data.kind == "piece":
        piece = pieces.understand_piece(at_hand(), card_id, json_data.valve, json_data.text)
        return WordsOut(words=piece.words(), verdict=None, next_blade=None)
    reading, verdict, following = cards.understand_gap(
        at_hand(), card_id, json_data.valve, json_data.text, Unit(json_data.unit)
    )
    return WordsOut(
        words=reading.words(json_data.unit), verdict=verdict, next_blade=try_out(following)
    )
