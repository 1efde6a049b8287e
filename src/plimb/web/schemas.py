"""What goes over the wire about cards, measuring, engines and the shop."""

from __future__ import annotations

from typing import Annotated, Literal

from pydantic import Field

from plimb.core.engine import Action, Follower, Side
from plimb.core.lengths import Unit
from plimb.core.limits import Verdict
from plimb.core.piece import Condition, Source, Trust
from plimb.core.shim import Aim, Rounding
from plimb.core.slips import Slip
from plimb.core.survey import Act, Need, Stage
from plimb.core.turning import Method
from plimb.files.starting_point import Layout
from plimb.web.schemas_base import Answer, ChangeIn, GapOut, LengthOut, Sent, Text
from plimb.web.schemas_closing import (
    AmendmentOut,
    BoltsOut,
    ExplainedOut,
    FitStepOut,
    RoundOut,
)


class GapIn(ChangeIn):
    """A gap as typed; empty text strikes the standing one out."""

    valve: Text
    purpose: Literal["found", "proof"]
    text: Text
    unit: Annotated[Unit, Field(strict=False)]
    repeats: bool = False


class KeptIn(ChangeIn):
    """What was asked about a reading is answered: it is so."""

    valve: Text
    purpose: Literal["found", "proof"]
    slips: Annotated[list[Text], Field(max_length=20)]


class ConditionsIn(ChangeIn):
    """How cold the engine is: hours since the last run, degrees Celsius, and why if warm."""

    rested_hours: Annotated[str, Field(max_length=12)] | None
    temperature_c: Annotated[str, Field(max_length=12)] | None
    reason: Annotated[str, Field(max_length=500)]


class SafetyIn(ChangeIn):
    """One line of the safety list, ticked or not."""

    item: Text
    done: bool


class MethodIn(ChangeIn):
    """How the engine is turned, and which feeler set is used."""

    method: Annotated[Method, Field(strict=False)]
    blade_set_id: int | None


class PocketPart(Sent):
    """One fastener's place on a part's outline, 0 to 1 across and down."""

    x: Annotated[float, Field(ge=0, le=1, strict=False)]
    y: Annotated[float, Field(ge=0, le=1, strict=False)]
    length: Annotated[str, Field(max_length=40)]
    note: Text
    count: Annotated[int, Field(ge=1, le=99)]


class PartPart(Sent):
    """Something taken off, with its fasteners."""

    name: Text
    note: Text
    pockets: Annotated[list[PocketPart], Field(max_length=60)]


class TrayIn(ChangeIn):
    """What came off, in order."""

    parts: Annotated[list[PartPart], Field(max_length=40)]


class NextBladeIn(Sent):
    """What trying blades on a valve has told so far."""

    valve: Text
    goes_nm: int | None
    refuses_nm: int | None
    fine: bool


class BladePart(Sent):
    """One blade of a set, as typed in millimetres."""

    marked: Annotated[str, Field(max_length=12)]
    measured: Annotated[str, Field(max_length=12)] | None
    state: Literal["sound", "bent", "broken"]


class BladeSetIn(Sent):
    """A feeler set."""

    name: Text
    stacking: bool
    blades: Annotated[list[BladePart], Field(max_length=80)]


class StartIn(Sent):
    """A layout to start an engine from."""

    layout: Annotated[Layout, Field(strict=False)]
    valves: int
    camshafts: int
    follower: Annotated[Follower, Field(strict=False)]
    angle: int | None
    reversed_head: bool
    crank_along: bool


class DraftIn(Sent):
    """An engine file that is being edited."""

    document: Annotated[str, Field(max_length=500_000)]


class EngineChangeIn(Sent):
    """An engine as corrected; `revision` is the one the sender saw."""

    revision: int
    label: Text
    note: Text
    document: Annotated[str, Field(max_length=500_000)]


class PieceIn(ChangeIn):
    """The shim that came out, as typed; empty text strikes the standing one out."""

    valve: Text
    text: Text
    condition: Annotated[Condition, Field(strict=False)] = Condition.SOUND


class ChoiceIn(ChangeIn):
    """The piece decided on by hand; a thickness of null takes the decision back."""

    valve: Text
    thickness_nm: int | None
    source: Annotated[Source, Field(strict=False)] | None = None
    from_valve: Text | None = None


class SchoolIn(ChangeIn):
    """Which way this card leans, which valves it sets, what it trusts and may use."""

    aim: Annotated[Aim, Field(strict=False)]
    rounding: Annotated[Rounding, Field(strict=False)]
    act: Annotated[Act, Field(strict=False)]
    trust: Annotated[Trust, Field(strict=False)]
    reuse: bool


class SignatureIn(ChangeIn):
    """Who signs, what is to be remarked, and when to check next."""

    signed_by: Text
    remarks: Annotated[str, Field(max_length=2000)]
    next_check_km: int | None


class CardIn(Sent):
    """A card to open."""

    engine_id: int
    opened_by: Text
    reason: Text
    distance_km: int | None
    hours: int | None = None


class UnderstandIn(Sent):
    """Something being typed, to be read back before it is written down."""

    kind: Literal["gap", "piece"]
    valve: Text
    text: Text
    unit: Annotated[Unit, Field(strict=False)]


class RefusalOut(Answer):
    """Every refusal: a stable code, a sentence, the field at fault, what could be typed instead."""

    code: str
    sentence: str
    field: str | None
    offers: list[str]


class HealthOut(Answer):
    """The server answers and its record can be read."""

    status: Literal["ok"]
    version: str


class WordsOut(Answer):
    """What was understood, in words, and what it would say of the valve."""

    words: str
    verdict: Verdict | None
    next_blade: TryOut | None


class TryOut(Answer):
    """A blade, or two together, to try: how it is typed, and its thickness."""

    typed: str
    blades: list[LengthOut]
    thickness: LengthOut


class AskedOut(Answer):
    """What to try next on a valve, and the verdict if that is settled."""

    next_blade: TryOut | None
    verdict: Verdict | None
    reading: str | None


class QuestionOut(Answer):
    """A reading that is asked about, and what was likely meant."""

    slip: Slip
    sentence: str
    suggestion: str | None
    suggested: LengthOut | None


class BladeOut(Answer):
    """One blade of a set; `typed` is how it is written in a reading."""

    typed: str
    marked: LengthOut
    measured: LengthOut | None
    state: Literal["sound", "bent", "broken"]


class BladeSetOut(Answer):
    """A feeler set of the shop."""

    id: int
    name: str
    stacking: bool
    blades: list[BladeOut]


class LobeOut(Answer):
    """Where a valve's lobe points at a stop, in cam degrees past its follower."""

    valve: str
    degrees: float


class StopOut(Answer):
    """One angle to turn to, and what is measured there."""

    degrees: float
    mark: str | None
    valves: list[str]
    margin: float
    narrow: bool
    lobes: list[LobeOut]


class LaneOut(Answer):
    """One cylinder's one side over the cycle: when its valves are lifted, in crank degrees."""

    cylinder: int
    side: Side
    valves: list[str]
    fires_at: int
    lift_from: float
    lift_to: float
    opens: float
    closes: float
    peak: float


class TurnOut(Answer):
    """Where to turn to, and the whole cycle to see why."""

    method: Method
    rotation: str
    turning: float
    stops: list[StopOut]
    lanes: list[LaneOut]


class SafetyOut(Answer):
    """One line of the safety list."""

    id: str
    does: str
    caution: str
    done: bool


class ConditionsOut(Answer):
    """How cold the engine is, and why that is not cold enough."""

    rested_hours: str | None
    temperature_c: str | None
    reason: str
    warm: bool
    warnings: list[str]


class PocketOut(Answer):
    """One fastener's place."""

    x: float
    y: float
    length: str
    note: str
    count: int


class PartOut(Answer):
    """Something taken off."""

    name: str
    note: str
    pockets: list[PocketOut]


class DraftOut(Answer):
    """An engine file being edited, drawn and turned."""

    document: str
    drawing: DrawingOut
    turning: TurnOut
    valves: list[str]


class ReadingOut(Answer):
    """A gap written down: what was typed, what it says, and in words."""

    typed: str
    gap: GapOut
    mm: str
    thou: str


class PieceOut(Answer):
    """A shim that came out."""

    typed: str
    thickness: LengthOut
    marked: str | None
    measured: LengthOut | None
    marked_as: LengthOut | None
    words: str
    disagrees: bool
    answered: bool
    trust: Trust
    condition: Condition
    spread: LengthOut | None


class FittedOut(Answer):
    """What the gap would be with one thickness fitted."""

    thickness: LengthOut
    gap: LengthOut
    in_spec: bool
    chance: float


class WorkedOutOut(Answer):
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


class SpecOut(Answer):
    """The maker's ranges of one valve."""

    low: LengthOut
    high: LengthOut
    set_low: LengthOut | None
    set_high: LengthOut | None


class ValveOut(Answer):
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
    chosen_from: Source | None
    chosen_from_valve: str | None
    by_hand: bool
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
    action: Action
    questions: list[QuestionOut]
    repeats: list[GapOut]
    spread: LengthOut | None
    next_blade: TryOut | None
    next_finer: TryOut | None
    stop: int


class BoreOut(Answer):
    """A cylinder bore on the drawing."""

    cylinder: int
    u: float


class SpotOut(Answer):
    """A valve on the drawing, and the side of its bank its plate hangs on."""

    valve: str
    u: float
    v: float
    radius: float
    plate: int
    rank: int


class BarOut(Answer):
    """A camshaft on the drawing."""

    camshaft: str
    v: float
    start: float
    end: float


class BankOut(Answer):
    """One bank of the drawing, in bore pitches."""

    bank: str
    length: int
    bores: list[BoreOut]
    valves: list[SpotOut]
    camshafts: list[BarOut]


class DrawingOut(Answer):
    """The head from above; `crank` lies across or along the machine."""

    crank: Literal["across", "along"]
    bore_radius: float
    banks: list[BankOut]


class TodoOut(Answer):
    """What one stage still waits for."""

    stage: Stage
    applies: bool
    waiting: list[str]


class CardOut(Answer):
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
    hours: int | None
    conditions: ConditionsOut
    safety: list[SafetyOut]
    tray: list[PartOut]
    turning: TurnOut
    blade_set: BladeSetOut | None
    aim: Aim
    rounding: Rounding
    act: Act
    trust: Trust
    reuse: bool
    variant: str
    instrument_id: int | None
    instrument: str | None
    zero: LengthOut | None
    pull: list[SafetyOut]
    signed_at: str | None
    signed_by: str | None
    remarks: str | None
    next_check_km: int | None
    round: int
    hand_turns: int
    hand_turns_wanted: int
    closing: list[SafetyOut]
    rounds: list[RoundOut]
    fit: list[FitStepOut]
    bolts: list[BoltsOut]
    explained: ExplainedOut | None
    amendments: list[AmendmentOut]
    drawing: DrawingOut
    valves: list[ValveOut]
    todo: list[TodoOut]
    at: Stage
    not_in_spec: list[str]


class CardLineOut(Answer):
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


class EngineLineOut(Answer):
    """One engine in the list."""

    id: int
    label: str
    note: str
    name: str
    follower: str
    revision: int
    valves: int
    drawing: DrawingOut


class ShopOut(Answer):
    """The shop, its engines and its cards."""

    name: str
    engines: list[EngineLineOut]
    cards: list[CardLineOut]
    blade_sets: list[BladeSetOut]
    hand_turns: int
    wrench: str
    instruments: list[InstrumentOut]


class InstrumentOut(Answer):
    """A micrometer or calliper, and what it is good to either way."""

    id: int
    name: str
    doubt: LengthOut


class EngineOut(Answer):
    """An engine with its file, to look at and to correct."""

    id: int
    label: str
    note: str
    revision: int
    document: str
    drawing: DrawingOut
    turning: TurnOut


class EngineIn(Sent):
    """An engine file to take into the shop's care."""

    label: Text
    note: Text
    document: Annotated[str, Field(max_length=500_000)]
