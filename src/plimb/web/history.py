"""What happened, over the wire."""

from apiflask import APIBlueprint
from pydantic import BaseModel

from plimb.actions import history
from plimb.actions.history import Happened, History, WasIs
from plimb.web.request import at_hand
from plimb.web.wire import Answer, answer_of, read_off

blueprint = APIBlueprint("history", __name__, url_prefix="/api/history")

WasIsOut = answer_of(WasIs, "WasIsOut")
HappenedOut = answer_of(Happened, "HappenedOut")


@read_off(History)
class HistoryOut(Answer):
    """What happened, the newest first."""


class Earlier(BaseModel):
    """From which entry on backwards."""

    before: int | None = None


@blueprint.get("/<kind>/<int:number>")
@blueprint.input(Earlier, location="query")
@blueprint.output(HistoryOut)
def get_history(kind: str, number: int, query_data: Earlier) -> History:
    """Return what happened on a card, to a piece, to an engine, or in the shop (number 1)."""
    return history.read_history(at_hand(), kind, number, query_data.before)
