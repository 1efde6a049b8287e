"""What goes over the wire. Lengths carry the integer nanometres and both ways of reading them."""

from __future__ import annotations

from typing import Annotated, Literal

from pydantic import BaseModel, ConfigDict, Field

from plimb.core.engine import Side
from plimb.core.gap import Gap
from plimb.core.lengths import Unit, show_mm, show_thou
from plimb.core.limits import Verdict
from plimb.core.shim import Aim, Rounding
from plimb.core.survey import Act, Need, Stage


class _In(BaseModel):
    model_config = ConfigDict(extra="forbid", strict=True)


class _Out(BaseModel):
    model_config = ConfigDict(frozen=True)


Text = Annotated[str, Field(max_length=200)]
Key = Annotated[str, Field(min_length=8, max_length=64)]


class ChangeIn(_In):
    """The version the sender saw, and the sender's own name for this act."""

    version: int
    key: Key


class GapIn(ChangeIn):
    """A gap as typed; empty text strikes the standing one out."""

    valve: Text
    purpose: Literal["found", "proof"]
    text: Text
    unit: Annotated[Unit, Field(strict=False)]


class PieceIn(ChangeIn):
    """The shim that came out, as typed; empty text strikes the standing one out."""

    valve: Text
    text: Text


class ChoiceIn(ChangeIn):
    """The thickness decided on; null takes the decision back."""

    valve: Text
    thickness_nm: int | None


class SchoolIn(ChangeIn):
    """Which way this card leans and which valves it sets."""

    aim: Annotated[Aim, Field(strict=False)]
    rounding: Annotated[Rounding, Field(strict=False)]
    act: Annotated[Act, Field(strict=False)]


class SignatureIn(ChangeIn):
    """Who signs, what is to be remarked, and when to check next."""

    signed_by: Text
    remarks: Annotated[str, Field(max_length=2000)]
    next_check_km: int | None


class CardIn(_In):
    """A card to open."""

    engine_id: int
    opened_by: Text
    reason: Text
    distance_km: int | None


class UnderstandIn(_In):
    """Something being typed, to be read back before it is written down."""

    kind: Literal["gap", "piece"]
    valve: Text
    text: Text
    unit: Annotated[Unit, Field(strict=False)]


class RefusalOut(_Out):
    """Every refusal: a stable code, a sentence, and the field at fault."""

    code: str
    sentence: str
    field: str | None


class HealthOut(_Out):
    """The server answers and its record can be read."""

    status: Literal["ok"]
    version: str


class LengthOut(_Out):
    """A length: integer nanometres, and as read in mm and in thou."""

    nm: int
    mm: str
    thou: str

    @classmethod
    def of(cls, nm: int) -> LengthOut:
        """Return the length as it goes over the wire."""
        return cls(nm=nm, mm=show_mm(nm), thou=show_thou(nm))


class GapOut(_Out):
    """A gap: an interval with its best number, and how it is written in short."""

    low: LengthOut | None
    high: LengthOut
    best: LengthOut
    none_found: bool
    is_point: bool
    mm: str
    thou: str

    @classmethod
    def of(cls, gap: Gap) -> GapOut:
        """Return the gap as it goes over the wire."""
        low, high = gap.low_nm, LengthOut.of(gap.high_nm)
        lower = None if low is None else LengthOut.of(low)
        best = LengthOut.of(gap.best_nm)
        if lower is None:
            short = (f"< {high.mm}", f"< {high.thou}")
        elif gap.is_point:
            short = (high.mm, high.thou)
        elif gap.called_nm is not None:
            short = (f"≈ {best.mm}", f"≈ {best.thou}")
        else:
            short = (f"{lower.mm}–{high.mm}", f"{lower.thou}–{high.thou}")
        return cls(
            low=lower,
            high=high,
            best=best,
            none_found=gap.none_found,
            is_point=gap.is_point,
            mm=short[0],
            thou=short[1],
        )


class WordsOut(_Out):
    """What was understood, in words, and what it would say of the valve."""

    words: str
    verdict: Verdict | None


class ReadingOut(_Out):
    """A gap written down: what was typed, what it says, and in words."""

    typed: str
    gap: GapOut
    mm: str
    thou: str


class PieceOut(_Out):
    """A shim that came out."""

    typed: str
    thickness: LengthOut
    marked: str | None
    measured: LengthOut | None
    words: str
    disagrees: bool


class FittedOut(_Out):
    """What the gap would be with one thickness fitted."""

    thickness: LengthOut
    gap: LengthOut
    in_spec: bool
    chance: float


class WorkedOutOut(_Out):
    """The sum of one valve."""

    thin: LengthOut | None
    thick: LengthOut | None
    aim: LengthOut
    ideal: LengthOut
    thinner: FittedOut | None
    thicker: FittedOut | None
    pick: FittedOut | None
    likeliest: FittedOut | None
    provisional: bool
    fell_back: bool
    rungs: list[FittedOut]
    working: list[str]
    conclusion: str


class SpecOut(_Out):
    """The maker's ranges of one valve."""

    low: LengthOut
    high: LengthOut
    set_low: LengthOut | None
    set_high: LengthOut | None


class ValveOut(_Out):
    """One valve as it stands: each line that its plate carries."""

    valve: str
    cylinder: int
    side: Side
    position: str | None
    camshaft: str
    spec: SpecOut
    found: ReadingOut | None
    verdict: Verdict | None
    near_edge: bool
    need: Need
    reason: str
    piece: PieceOut | None
    worked: WorkedOutOut | None
    chosen: LengthOut | None
    touched: bool
    predicted: GapOut | None
    predicted_verdict: Verdict | None
    predicted_chance: float | None
    proof: ReadingOut | None
    proof_verdict: Verdict | None
    residual: LengthOut | None
    was: LengthOut | None
    as_left: GapOut | None
    left: Verdict | None


class BoreOut(_Out):
    """A cylinder bore on the drawing."""

    cylinder: int
    u: float


class SpotOut(_Out):
    """A valve on the drawing, and the side of its bank its plate hangs on."""

    valve: str
    u: float
    v: float
    radius: float
    plate: int


class BarOut(_Out):
    """A camshaft on the drawing."""

    camshaft: str
    v: float
    start: float
    end: float


class BankOut(_Out):
    """One bank of the drawing, in bore pitches."""

    bank: str
    length: int
    bores: list[BoreOut]
    valves: list[SpotOut]
    camshafts: list[BarOut]


class DrawingOut(_Out):
    """The head from above; `crank` lies across or along the machine."""

    crank: Literal["across", "along"]
    bore_radius: float
    banks: list[BankOut]


class TodoOut(_Out):
    """What one stage still waits for."""

    stage: Stage
    applies: bool
    waiting: list[str]


class CardOut(_Out):
    """A card as it now stands; valves come in measuring order."""

    id: int
    version: int
    label: str
    engine: str
    source: str | None
    opened_at: str
    opened_by: str
    reason: str
    distance_km: int | None
    aim: Aim
    rounding: Rounding
    act: Act
    signed_at: str | None
    signed_by: str | None
    remarks: str | None
    next_check_km: int | None
    drawing: DrawingOut
    valves: list[ValveOut]
    todo: list[TodoOut]
    at: Stage
    not_in_spec: list[str]


class CardLineOut(_Out):
    """One card in the list."""

    id: int
    label: str
    engine: str
    reason: str
    opened_at: str
    opened_by: str
    signed_at: str | None
    signed_by: str | None
    next_check_km: int | None
    at: Stage
    measured: int
    opened: int
    valves: int
    verdicts: list[Verdict | None]


class EngineLineOut(_Out):
    """One engine in the list."""

    id: int
    label: str
    note: str
    name: str
    follower: str
    valves: int
    drawing: DrawingOut


class ShopOut(_Out):
    """The shop, its engines and its cards."""

    name: str
    engines: list[EngineLineOut]
    cards: list[CardLineOut]


class EngineIn(_In):
    """An engine file to take into the shop's care."""

    label: Text
    note: Text
    document: Annotated[str, Field(max_length=500_000)]
