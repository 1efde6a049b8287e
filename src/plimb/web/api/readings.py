"""Gaps over the wire: read back while typed, written down, answered for; which blade next."""

from typing import Annotated, Literal

from apiflask import APIBlueprint
from pydantic import Field

from plimb.card.acts import feel, read
from plimb.card.acts.feel import NextTry, Purpose
from plimb.card.said import Sent, Text
from plimb.core.lengths import Unit
from plimb.core.measure.blades import Tried
from plimb.core.measure.limits import Verdict
from plimb.web.wire.read_off import Answer, answer_of
from plimb.web.wire.request import record
from plimb.web.wire.valves import TryOut

blueprint = APIBlueprint("readings", __name__, url_prefix="/api")


class UnderstandIn(Sent):
    """Something being typed, to be read back before it is written down."""

    kind: Literal["gap", "piece"]
    valve: Text
    text: Text
    unit: Annotated[Unit, Field(strict=False)]
    purpose: Purpose = "found"


class WordsOut(Answer):
    """What was understood, in words, and what it would say of the valve."""

    words: str
    verdict: Verdict | None
    next_blade: TryOut | None


@blueprint.post("/cards/<int:card_id>/understand")
@blueprint.input(UnderstandIn)
@blueprint.output(WordsOut)
def understand(card_id: int, json_data: UnderstandIn) -> WordsOut:
    """Read back what is being typed, without writing it down."""
    valve, text = json_data.valve, json_data.text
    if json_data.kind == "piece":
        words = read.understand_shim(record(), card_id, valve, text).words
        return WordsOut(words=words, verdict=None, next_blade=None)
    said = feel.understand_gap(record(), card_id, valve, text, json_data.unit, json_data.purpose)
    next_blade = TryOut.model_validate(said.next_blade) if said.next_blade else None
    words = said.reading.words(json_data.unit)
    return WordsOut(words=words, verdict=said.verdict, next_blade=next_blade)


class NextBladeIn(Sent):
    """What trying blades on a valve has told so far."""

    valve: Text
    goes_nm: int | None
    refuses_nm: int | None
    fine: bool
    purpose: Purpose = "found"


AskedOut = answer_of(NextTry, "AskedOut")


@blueprint.post("/cards/<int:card_id>/next-blade")
@blueprint.input(NextBladeIn)
@blueprint.output(AskedOut)
def ask_next_blade(card_id: int, json_data: NextBladeIn) -> NextTry:
    """Say which blade to try next on a valve, and the verdict once it is settled."""
    tried = Tried(goes_nm=json_data.goes_nm, refuses_nm=json_data.refuses_nm)
    return feel.ask_next_blade(
        record(), card_id, valve=json_data.valve, tried=tried, fine=json_data.fine,
        purpose=json_data.purpose,
    )  # fmt: skip
