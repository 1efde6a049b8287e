"""Cards that share the drawer over the wire: planned at once, each taking its share."""

from apiflask import APIBlueprint

from plimb.card.acts.together import CardTogether, Together, read_together
from plimb.core.plan.result import Move, OrderLine
from plimb.web.wire.read_off import Answer, read_off
from plimb.web.wire.request import record

blueprint = APIBlueprint("together", __name__, url_prefix="/api")


@read_off(Move, without=("pinned", "doubt_nm", "changes", "in_spec", "chance"))
class GetsOut(Answer):
    """What one valve gets."""


@read_off(OrderLine, without=("kind",))
class ToBuyOut(Answer):
    """Pieces of one size to buy."""


@read_off(CardTogether)
class CardTogetherOut(Answer):
    """One card's share."""

    moves: list[GetsOut]
    order: list[ToBuyOut]


@read_off(Together)
class TogetherOut(Answer):
    """Every open card that waits for pieces, planned at once."""

    cards: list[CardTogetherOut]
    to_buy: int


@blueprint.get("/together")
@blueprint.output(TogetherOut)
def get_together() -> Together:
    """Return the plan of all open cards that wait for pieces."""
    return read_together(record())
