"""The JSON interface: one request is one thing that the technician did."""

from __future__ import annotations

from datetime import datetime

from apiflask import APIBlueprint
from flask import current_app

from plimb import __version__
from plimb.actions import cards
from plimb.actions.cards import Change
from plimb.actions.shop import register_engine
from plimb.actions.views import read_card, read_shop
from plimb.core.lengths import Unit
from plimb.core.limits import judge
from plimb.core.piece import parse_piece
from plimb.store.database import Database
from plimb.web.answers import card_out, shop_out
from plimb.web.schemas import (
    CardIn,
    CardOut,
    ChangeIn,
    ChoiceIn,
    EngineIn,
    GapIn,
    HealthOut,
    PieceIn,
    SchoolIn,
    ShopOut,
    SignatureIn,
    UnderstandIn,
    WordsOut,
)

blueprint = APIBlueprint("api", __name__, url_prefix="/api", enable_openapi=True)


def _database() -> Database:
    database: Database = current_app.extensions["plimb"][0]
    return database


def _now() -> datetime:
    now: datetime = current_app.extensions["plimb"][1]()
    return now


def _change(card_id: int, sent: ChangeIn) -> Change:
    return Change(card_id=card_id, version=sent.version, key=sent.key, now=_now())


def _shop() -> ShopOut:
    with _database().reading() as session:
        return shop_out(read_shop(session))


@blueprint.get("/health")
@blueprint.output(HealthOut)
def health() -> HealthOut:
    """Say whether the server answers and its record can be read."""
    with _database().reading() as session:
        session.connection().exec_driver_sql("SELECT 1")
    return HealthOut(status="ok", version=__version__)


@blueprint.get("/shop")
@blueprint.output(ShopOut)
def get_shop() -> ShopOut:
    """Return the shop with its engines and its cards, newest first."""
    return _shop()


@blueprint.post("/engines")
@blueprint.input(EngineIn)
@blueprint.output(ShopOut, status_code=201)
def add_engine(json_data: EngineIn) -> ShopOut:
    """Take an engine file into the shop's care."""
    register_engine(_database(), **json_data.model_dump(), now=_now())
    return _shop()


@blueprint.post("/cards")
@blueprint.input(CardIn)
@blueprint.output(CardOut, status_code=201)
def open_card(json_data: CardIn) -> CardOut:
    """Open a card for an engine."""
    return card_out(cards.open_card(_database(), **json_data.model_dump(), now=_now()))


@blueprint.get("/cards/<int:card_id>")
@blueprint.output(CardOut)
def get_card(card_id: int) -> CardOut:
    """Return the card as it now stands."""
    with _database().reading() as session:
        return card_out(read_card(session, card_id))


@blueprint.post("/cards/<int:card_id>/gaps")
@blueprint.input(GapIn)
@blueprint.output(CardOut)
def write_gap(card_id: int, json_data: GapIn) -> CardOut:
    """Write down a gap as typed; it is parsed, judged and saved at once."""
    return card_out(
        cards.write_down_gap(
            _database(),
            _change(card_id, json_data),
            valve=json_data.valve,
            purpose=json_data.purpose,
            text=json_data.text,
            unit=json_data.unit,
        )
    )


@blueprint.post("/cards/<int:card_id>/pieces")
@blueprint.input(PieceIn)
@blueprint.output(CardOut)
def write_piece(card_id: int, json_data: PieceIn) -> CardOut:
    """Write down the shim that came out of a valve."""
    return card_out(
        cards.write_down_piece(
            _database(), _change(card_id, json_data), valve=json_data.valve, text=json_data.text
        )
    )


@blueprint.post("/cards/<int:card_id>/choices")
@blueprint.input(ChoiceIn)
@blueprint.output(CardOut)
def write_choice(card_id: int, json_data: ChoiceIn) -> CardOut:
    """Decide on the thickness for a valve."""
    return card_out(
        cards.choose_piece(
            _database(),
            _change(card_id, json_data),
            valve=json_data.valve,
            thickness_nm=json_data.thickness_nm,
        )
    )


@blueprint.put("/cards/<int:card_id>/school")
@blueprint.input(SchoolIn)
@blueprint.output(CardOut)
def set_school(card_id: int, json_data: SchoolIn) -> CardOut:
    """Set which way this card leans and which valves it sets."""
    return card_out(
        cards.set_school(
            _database(),
            _change(card_id, json_data),
            aim=json_data.aim,
            rounding=json_data.rounding,
            act=json_data.act,
        )
    )


@blueprint.post("/cards/<int:card_id>/signature")
@blueprint.input(SignatureIn)
@blueprint.output(CardOut)
def sign(card_id: int, json_data: SignatureIn) -> CardOut:
    """Sign the card; from then on nothing on it changes."""
    return card_out(
        cards.sign_card(
            _database(),
            _change(card_id, json_data),
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
        return WordsOut(words=parse_piece(json_data.text).words(), verdict=None)
    reading = cards.understand_gap(_database(), json_data.text, Unit(json_data.unit))
    with _database().reading() as session:
        card = read_card(session, card_id)
    limits = card.engine.clearance(json_data.valve).spec.check
    return WordsOut(words=reading.words(json_data.unit), verdict=judge(reading.gap, limits))
