"""A quick sum over the wire: what was typed, answered line by line; nothing is kept."""

from typing import Annotated

from apiflask import APIBlueprint
from pydantic import Field

from plimb.books.quick_sum import QuickAnswered, QuickEntry, QuickSum, Refused, quick_sum
from plimb.card.said import Sent, Short, inside, listed, sent_to
from plimb.core.shim.quick import MOST_LINES, QuickLine, ToOrder
from plimb.core.shim.sum import Outcome
from plimb.web.wire.read_off import Answer, ShownGap, answer_of, read_from, read_off
from plimb.web.wire.request import record

blueprint = APIBlueprint("quick", __name__, url_prefix="/api")

_Entry = inside("QuickEntryPart", QuickEntry, whole=True, gap=Short, shim=Short, valve=Short)

RefusedOut = answer_of(Refused, "RefusedOut")
ToOrderOut = answer_of(ToOrder, "ToOrderOut")
OutcomeOut = answer_of(Outcome, "OutcomeOut", without=("chance",))


@read_off(QuickLine, without=("reading", "shim", "worked"))
class QuickLineOut(Answer):
    """The answer for one valve, with both neighbours of its ideal."""

    gap: ShownGap = read_from("reading", "gap")
    thinner: OutcomeOut | None = read_from("worked", "thinner")  # type: ignore[valid-type]
    thicker: OutcomeOut | None = read_from("worked", "thicker")  # type: ignore[valid-type]


@read_off(QuickAnswered)
class QuickAnsweredOut(Answer):
    """One line: its answer, or what of it cannot be read."""


@read_off(QuickSum)
class QuickSumOut(Answer):
    """A quick sum answered."""


@blueprint.post("/quick-sum")
@blueprint.input(
    sent_to(
        "QuickSumIn", quick_sum, spec=Short, room=Short,
        sizes=Annotated[str, Field(max_length=400)],
        lines=listed(_Entry, MOST_LINES), session=None,
    )
)  # fmt: skip
@blueprint.output(QuickSumOut)
def answer_quick_sum(json_data: Sent) -> QuickSum:
    """Return the answers to what was typed; nothing is written down."""
    with record().reading() as session:
        return quick_sum(session, **json_data.said())
