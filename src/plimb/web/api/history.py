"""What happened, over the wire."""

from typing import Annotated

from apiflask import APIBlueprint
from pydantic import BaseModel, Field

from plimb.books import history
from plimb.books.history import Happened, History, WasIs
from plimb.card.said import MOST
from plimb.web.wire.read_off import Answer, answer_of, read_off
from plimb.web.wire.request import record

blueprint = APIBlueprint("history", __name__, url_prefix="/api/history")

WasIsOut = answer_of(WasIs, "WasIsOut")
HappenedOut = answer_of(Happened, "HappenedOut")


@read_off(History)
class HistoryOut(Answer):
    """What happened, the newest first."""


class Earlier(BaseModel):
    """From which entry on backwards."""

    before: Annotated[int | None, Field(ge=0, le=MOST)] = None


@blueprint.get("/<kind>/<int:number>")
@blueprint.input(Earlier, location="query")
@blueprint.output(HistoryOut)
def get_history(kind: str, number: int, query_data: Earlier) -> History:
    """Return what happened on a card, to a piece, to an engine, or in the shop (number 1)."""
    return history.read_history(record(), kind, number, query_data.before)
