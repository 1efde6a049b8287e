"""What goes over the wire about pieces: the drawer, the plan, orders, instruments."""

from __future__ import annotations

from typing import Annotated, Literal

from pydantic import Field

from plimb.core.marking import Code
from plimb.core.piece import Condition, Source, Trust
from plimb.core.places import Where
from plimb.core.sureness import Kind
from plimb.web.schemas_base import Answer, ChangeIn, GapOut, Key, LengthOut, Sent, Text

LongText = Annotated[str, Field(max_length=4000)]
Money = Annotated[str, Field(max_length=12)]
Typed = Annotated[str, Field(max_length=16)]


class TrustIn(ChangeIn):
    """Which thickness counts where marking and micrometer disagree."""

    valve: Text
    trust: Annotated[Trust, Field(strict=False)]


class ForbidIn(ChangeIn):
    """A thickness ruled out for a valve, or allowed again."""

    valve: Text
    thickness_nm: int
    forbidden: bool


class VariantIn(ChangeIn):
    """Which of the plan and its alternatives to go by."""

    variant: Text


class ZeroIn(ChangeIn):
    """Which instrument measures the shims, and what it shows with nothing in it."""

    instrument_id: int | None
    zero: Typed


class InstrumentIn(Sent):
    """A micrometer or calliper, good to so many millimetres either way."""

    name: Text
    doubt: Typed


class PressIn(Sent):
    """Close the simulated micrometer on the piece of a valve."""

    card_id: int
    valve: Text


class PlacePart(Sent):
    """Where a piece is."""

    where: Annotated[Where, Field(strict=False)]
    engine_id: int | None = None
    valve: Text | None = None
    card_id: int | None = None
    order_line_id: int | None = None


class MoveIn(Sent):
    """A piece going from where it was seen to another place."""

    seen: PlacePart
    to: PlacePart
    why: Text


class AddPiecesIn(Sent):
    """Pieces put into the drawer, as typed."""

    text: LongText
    condition: Annotated[Condition, Field(strict=False)]


class CountIn(Sent):
    """What was counted in a pocket, and what the sender saw there."""

    nominal_nm: int
    counted: int
    seen: int


class RunIn(Sent):
    """Sizes that are made, as typed in millimetres."""

    low: Typed
    high: Typed
    step: Typed


class FamilyIn(Sent):
    """A family of shims; `seen` is the version the sender saw, 0 for a new one."""

    seen: int
    name: Text
    diameter: Typed
    runs: Annotated[list[RunIn], Field(max_length=20)]
    code: Annotated[Code, Field(strict=False)]
    price: Money
    kit_price: Money
    kit_each: int
    supplier: Text
    low_stock: int


class CsvIn(Sent):
    """A table as CSV text."""

    text: Annotated[str, Field(max_length=900_000)]


class OrderIn(Sent):
    """Order what is still to buy for a card; with the same key it is ordered once."""

    key: Key


class PlaceOut(Answer):
    """Where a piece is."""

    where: Where
    engine_id: int | None
    valve: str | None
    card_id: int | None
    order_line_id: int | None


class ShimOut(Answer):
    """One piece."""

    id: int
    marked: str | None
    measured: LengthOut | None
    thickness: LengthOut
    condition: Condition
    place: PlaceOut


class DrawerPocketOut(Answer):
    """One thickness of a family and what lies in its pocket."""

    nominal: LengthOut
    made: bool
    usual: bool
    sound: int
    low: bool
    pieces: list[ShimOut]


class FamilyRunOut(Answer):
    """Sizes that are made."""

    low: LengthOut
    high: LengthOut
    step: LengthOut


class FamilyOut(Answer):
    """A family with its pockets."""

    id: int
    version: int
    name: str
    diameter: LengthOut | None
    runs: list[FamilyRunOut]
    code: Code
    price: str | None
    kit_price: str | None
    kit_each: int
    supplier: str
    low_stock: int
    pockets: list[DrawerPocketOut]
    pieces: int
    in_engines: int
    on_trays: int
    on_order: int
    used_by: list[str]


class OrderLineOut(Answer):
    """One size on an order."""

    id: int
    thickness: LengthOut
    diameter: LengthOut | None
    count: int
    price: str | None
    days: int
    state: Literal["ready", "back-ordered", "refused", "received"]
    says: str


class OrderOut(Answer):
    """An order at the parts counter."""

    id: int
    card_id: int | None
    number: str
    ordered_at: str
    lines: list[OrderLineOut]


class DrawerOut(Answer):
    """The drawer as it lies, and what is on order. `added` counts what was just put in."""

    families: list[FamilyOut]
    orders: list[OrderOut]
    added: int


class HistoryOut(Answer):
    """Every move of a piece in words, the first one first."""

    moves: list[str]


class RungOut(Answer):
    """One piece that can be had for a valve, and the gap it gives."""

    thickness: LengthOut
    source: Source
    from_valve: str | None
    count: int
    gap: LengthOut
    in_spec: bool
    chance: float | None
    goes_to: str | None
    forbidden: bool


class MoveOut(Answer):
    """What the plan gives one valve."""

    valve: str
    source: Source
    thickness: LengthOut | None
    from_valve: str | None
    gap: GapOut | None
    in_spec: bool
    chance: float | None
    provisional: bool
    pinned: bool
    changes: bool
    why: str
    rungs: list[RungOut]


class VariantOut(Answer):
    """The plan or what can be had instead, and what that gives up."""

    name: str
    cost: str
    to_buy: int
    changed: int
    out_of_spec: list[str]
    camshafts_out: list[str]
    chance: float
    gives_up: list[str]


class CannotOut(Answer):
    """A valve left out of spec, and the thickness it would need."""

    valve: str
    thin: LengthOut | None
    thick: LengthOut | None


class BuyOut(Answer):
    """One size to buy; `ordered` of them are on their way or here."""

    thickness: LengthOut
    diameter: LengthOut | None
    count: int
    ordered: int
    price: str | None


class HelpOut(Answer):
    """What would make a valve's proof likelier to pass."""

    kind: Kind
    valve: str
    chance: float
    then: float
    sentence: str


class PlanOut(Answer):
    """The whole engine decided."""

    card_id: int
    version: int
    variant: str
    optimal: bool
    taken: bool
    moves: list[MoveOut]
    camshafts_out: list[str]
    cannot: list[CannotOut]
    buy: list[BuyOut]
    cost: str
    purchases: list[str]
    chance: float
    provisional: list[str]
    helps: list[HelpOut]
    variants: list[VariantOut]
    orders: list[OrderOut]
    counter: bool


class QuoteOut(Answer):
    """What the parts counter says of one size."""

    thickness: LengthOut
    count: int
    state: Literal["ready", "back-ordered", "refused"]
    price: str | None
    days: int
    says: str


class QuotesOut(Answer):
    """What the parts counter says of all that is still to buy."""

    lines: list[QuoteOut]


class ReadingsOut(Answer):
    """What a connected instrument has sent: how many readings in all, and the new ones."""

    connected: bool
    count: int
    lines: list[str]
