"""Finding things over the wire: cards by their words, engines by theirs, in pages."""

from datetime import date
from typing import Annotated

from apiflask import APIBlueprint
from pydantic import BaseModel, Field

from plimb.books.bench import CardPage, EnginePage, find_cards, find_engines
from plimb.card.said import Skipped
from plimb.core.job.summary import CardState, Sought
from plimb.web.api.shop import CardLineOut, EngineLineOut
from plimb.web.wire.read_off import Answer, read_off
from plimb.web.wire.request import record

blueprint = APIBlueprint("finding", __name__, url_prefix="/api")

Asked = Annotated[str, Field(max_length=200)]


class CardsAsked(BaseModel):
    """Which cards: with these words, of one state, opened between two days; from which on."""

    like: Asked = ""
    state: CardState | None = None
    since: date | None = None
    until: date | None = None
    skip: Skipped = 0


class EnginesAsked(BaseModel):
    """Which engines: those of which that is said, from the so-manieth on."""

    like: Asked = ""
    skip: Skipped = 0


@read_off(CardPage)
class CardPageOut(Answer):
    """A page of cards."""

    cards: list[CardLineOut]


@read_off(EnginePage)
class EnginePageOut(Answer):
    """A page of engines."""

    engines: list[EngineLineOut]


@blueprint.get("/cards")
@blueprint.input(CardsAsked, location="query")
@blueprint.output(CardPageOut)
def get_cards(query_data: CardsAsked) -> CardPage:
    """Return a page of cards, the newest first."""
    query = query_data.model_dump(exclude={"skip"})
    return find_cards(record(), Sought(**query), query_data.skip)


@blueprint.get("/engines")
@blueprint.input(EnginesAsked, location="query")
@blueprint.output(EnginePageOut)
def get_engines(query_data: EnginesAsked) -> EnginePage:
    """Return a page of engines by label."""
    return find_engines(record(), query_data.like, query_data.skip)
