"""The shop over the wire: its bench, its feeler sets, its instruments, its habits."""

from typing import Annotated

from apiflask import APIBlueprint
from flask import Response
from pydantic import Field

from plimb import __version__
from plimb.books.bench import (
    CardLine,
    Counts,
    DueLine,
    EngineLine,
    InstrumentLine,
    ShopView,
    Unreadable,
    read_shop,
)
from plimb.card import unreadable
from plimb.card.said import Sent, Short, Text, sent_to
from plimb.core.errors import BadValue
from plimb.core.job.stages import Stage
from plimb.core.lengths import Unit, parse_length
from plimb.core.measure.blades import Blade, BladeSet, BladeState, Stack
from plimb.core.measure.limits import Verdict
from plimb.shop import tools
from plimb.web.api.cards import BladeSetOut
from plimb.web.wire.drawings import DrawingOut
from plimb.web.wire.idempotency import idempotent
from plimb.web.wire.read_off import Answer, answer_of, read_from, read_off
from plimb.web.wire.request import file_answer, now, record
from plimb.web.wire.rights import before_who

blueprint = APIBlueprint("shop", __name__, url_prefix="/api")


@read_off(CardLine, without=("summary",))
class CardLineOut(Answer):
    """One card in the list; `verdicts` go by the valves' names as the engine is drawn."""

    at: Stage = read_from("summary", "at")
    measured: int = read_from("summary", "measured")
    opened: int = read_from("summary", "opened")
    valves: int = read_from("summary", "valves")
    verdicts: dict[str, Verdict | None]
    drawing: DrawingOut


@read_off(EngineLine, without=("engine",))
class EngineLineOut(Answer):
    """One engine in the list."""

    name: str = read_from("engine", "name")
    follower: str = read_from("engine", "follower")
    valves: int
    drawing: DrawingOut


UnreadableOut = answer_of(Unreadable, "UnreadableOut")
InstrumentOut = answer_of(InstrumentLine, "InstrumentOut")
CountsOut = answer_of(Counts, "CountsOut")


DueOut = answer_of(DueLine, "DueOut")


@read_off(ShopView)
class ShopOut(Answer):
    """The shop, its engines and its cards."""

    blade_sets: list[BladeSetOut]


class HealthOut(Answer):
    """The server answers and its record can be read."""

    status: str
    version: str


@blueprint.get("/health")
@blueprint.output(HealthOut)
@before_who
def health() -> HealthOut:
    """Say whether the server answers and its record can be read."""
    with record().reading() as session:
        session.connection().exec_driver_sql("SELECT 1")
    return HealthOut(status="ok", version=__version__)


def shop_as_it_stands() -> ShopView:
    """Return the shop for the screen."""
    return read_shop(record())


@blueprint.get("/shop")
@blueprint.output(ShopOut)
def get_shop() -> ShopView:
    """Return the shop with its engines and its cards, newest first."""
    return shop_as_it_stands()


Figure = Annotated[str, Field(max_length=12)]


class BladePart(Sent):
    """One blade of a set: its marking in its unit, the other one if it has two, as measured."""

    marked: Figure
    unit: Annotated[Unit, Field(strict=False)] = Unit.MM
    stamped: Figure | None = None
    measured: Figure | None
    state: Annotated[BladeState, Field(strict=False)]

    def to_core(self) -> Blade:
        """Return the blade as it was typed; lengths but its marking are in millimetres."""
        return Blade(
            nominal_nm=parse_length(self.marked, self.unit, field="blade"),
            measured_nm=_mm(self.measured),
            stamped_nm=_mm(self.stamped),
            state=self.state,
        )


class StackPart(Sent):
    """Two blades laid together, as they are read off in millimetres, and what they measure."""

    blades: Annotated[list[Figure], Field(min_length=2, max_length=2)]
    measured: Figure


def _mm(text: str | None) -> int | None:
    return parse_length(text, Unit.MM, field="blade") if text else None


class BladeSetIn(Sent):
    """A feeler set."""

    name: Text
    stacking: bool
    blades: Annotated[list[BladePart], Field(max_length=80)]
    stacks: Annotated[list[StackPart], Field(max_length=40)] = Field(default_factory=list)

    def to_core(self) -> BladeSet:
        """Return the set as it was typed.

        Raises:
            BadValue: A thickness cannot be read, no blade is that thick, or one is there twice.
        """
        if not self.name.strip():
            raise BadValue("Write what the shop calls this set.", field="name")
        blades = tuple(blade.to_core() for blade in self.blades)
        return BladeSet(
            name=self.name.strip(),
            stacking=self.stacking,
            blades=blades,
            stacks=tuple(_stack(stack, blades) for stack in self.stacks),
        )


def _stack(sent: StackPart, blades: tuple[Blade, ...]) -> Stack:
    """Return a stack of blades that are in the set, by either of their markings."""
    nominal = {blade.marked_nm: blade.nominal_nm for blade in blades}
    nominal |= {blade.nominal_nm: blade.nominal_nm for blade in blades}
    lower, upper = (nominal.get(_mm(typed) or 0, 0) for typed in sent.blades)
    if not lower or not upper or lower == upper:
        raise BadValue("A stack is of two blades of its set.", field="stacks")
    measured_nm = parse_length(sent.measured, Unit.MM, field="stacks")
    return Stack(blades=(lower, upper), measured_nm=measured_nm)


class BladeStateIn(Sent):
    """What one blade of a set is fit for."""

    nominal_nm: int
    state: Annotated[BladeState, Field(strict=False)]


@blueprint.put("/blade-sets/<int:set_id>/blade")
@blueprint.input(BladeStateIn)
@blueprint.output(ShopOut)
def change_blade(set_id: int, json_data: BladeStateIn) -> ShopView:
    """Say what one blade of a set is fit for: a snapped one leaves from where it is used."""
    tools.set_blade_state(record(), set_id=set_id, **json_data.said())
    return shop_as_it_stands()


@blueprint.post("/blade-sets")
@blueprint.input(BladeSetIn)
@blueprint.output(ShopOut, status_code=201)
@idempotent(lambda _made: shop_as_it_stands())
def add_blade_set(json_data: BladeSetIn) -> ShopView:
    """Add a feeler set to the shop."""
    tools.save_blade_set(record(), set_id=None, blades=json_data.to_core())
    return shop_as_it_stands()


@blueprint.put("/blade-sets/<int:set_id>")
@blueprint.input(BladeSetIn)
@blueprint.output(ShopOut)
def change_blade_set(set_id: int, json_data: BladeSetIn) -> ShopView:
    """Write a feeler set as it now is: blades added, measured, bent or broken."""
    tools.save_blade_set(record(), set_id=set_id, blades=json_data.to_core())
    return shop_as_it_stands()


@blueprint.post("/instruments")
@blueprint.input(sent_to("InstrumentIn", tools.add_instrument, doubt=Short))
@blueprint.output(ShopOut, status_code=201)
@idempotent(lambda _made: shop_as_it_stands())
def add_instrument(json_data: Sent) -> ShopView:
    """Add a micrometer or calliper to the shop."""
    tools.add_instrument(record(), **json_data.said())
    return shop_as_it_stands()


class AwayUnreadIn(Sent):
    """Whether it is put away."""

    away: bool


@blueprint.put("/unreadable/<int:card_id>/away")
@blueprint.input(AwayUnreadIn)
@blueprint.output(ShopOut)
def put_away_unread(card_id: int, json_data: AwayUnreadIn) -> ShopView:
    """Put a card away that cannot be read, or bring it back."""
    unreadable.put_away_unread(record(), card_id=card_id, **json_data.said(), now=now())
    return shop_as_it_stands()


@blueprint.get("/unreadable/<int:card_id>/rows.json")
@blueprint.doc(hide=True)
def get_rows(card_id: int) -> Response:
    """Return every row of a card as it lies in the record."""
    with record().reading() as session:
        text = unreadable.export_rows(session, card_id)
    return file_answer(text, "application/json", f"card-{card_id}-rows.json")
