"""What goes over the wire about closing: fitting, tightening, the proof, rounds, amendments."""

from __future__ import annotations

from typing import Annotated

from pydantic import Field

from plimb.core.limits import Verdict
from plimb.core.piece import Source
from plimb.core.proof import Cause
from plimb.core.torque import Thread, TorqueUnit
from plimb.web.schemas_base import Answer, ChangeIn, GapOut, Key, LengthOut, Sent, Text

Short = Annotated[str, Field(max_length=16)]


class FitIn(ChangeIn):
    """A chosen piece is in, or not after all; with what a micrometer said as it went in."""

    valve: Text
    fitted: bool
    measured: Short


class TurnsIn(ChangeIn):
    """How many full turns the crank was turned by hand."""

    turns: int


class BoltsIn(ChangeIn):
    """Bolts to tighten: places from 0 to 1 across and down, torque, the maker's order if any."""

    name: Text
    places: Annotated[
        list[Annotated[list[Annotated[float, Field(strict=False)]], Field(max_length=2)]],
        Field(max_length=60),
    ]
    torque: Short
    unit: Annotated[TorqueUnit, Field(strict=False)]
    thread: Annotated[Thread, Field(strict=False)]
    order: Annotated[list[int], Field(max_length=60)] | None


class TurnedIn(ChangeIn):
    """How many bolts have been turned, all stages counted through."""

    name: Text
    turned: int


class RoundIn(ChangeIn):
    """Why it goes round again."""

    reason: Annotated[str, Field(max_length=500)]


class AmendIn(Sent):
    """A dated line on a signed card."""

    key: Key
    written_by: Text
    text: Annotated[str, Field(max_length=2000)]


class CheckSheetIn(Sent):
    """A sheet's fingerprint, as it stands at its foot."""

    fingerprint: Annotated[str, Field(max_length=80)]


class ShopClosingIn(Sent):
    """How this shop closes engines."""

    hand_turns: int
    wrench: Annotated[TorqueUnit, Field(strict=False)]


class TorqueIn(Sent):
    """A torque to convert."""

    torque: Short
    unit: Annotated[TorqueUnit, Field(strict=False)]
    thread: Annotated[Thread, Field(strict=False)]


class TorqueOut(Answer):
    """A torque in every unit, and what is asked about it."""

    words: dict[str, str]
    doubt: str | None
    likely: str | None
    likely_unit: TorqueUnit | None


class FitStepOut(Answer):
    """One valve's turn to be fitted."""

    valve: str
    thickness: LengthOut
    source: Source
    from_valve: str | None
    old: LengthOut
    old_goes_to: str | None
    checks: list[str]
    measured: LengthOut | None
    by_marking: bool
    fitted: bool


class StageOut(Answer):
    """One stage of tightening."""

    name: str
    torque: str | None


class BoltsOut(Answer):
    """Bolts to tighten, the order of their numbers, and how far it has got."""

    name: str
    places: list[list[float]]
    order: list[int]
    by_maker: bool
    thread: Thread
    torque: TorqueOut | None
    typed: str
    unit: TorqueUnit
    stages: list[StageOut]
    turned: int
    turns: int


class ExplanationOut(Answer):
    """One cause: how it fits against the others, its evidence, what to check first."""

    cause: Cause
    name: str
    valves: list[str]
    chance: float
    evidence: str
    check: str


class ExplainedOut(Answer):
    """What the proof says as a whole."""

    fine: bool
    ranked: list[ExplanationOut]
    beyond: list[str]


class RoundLineOut(Answer):
    """One valve in one round, as it was left."""

    valve: str
    found: GapOut | None
    piece: LengthOut | None
    marked: str | None
    went_in: LengthOut | None
    predicted: GapOut | None
    proof: GapOut | None
    residual: LengthOut | None
    within_doubt: bool | None
    verdict: Verdict | None


class RoundOut(Answer):
    """One pass of measuring, setting and proving."""

    number: int
    opened_at: str | None
    reason: str
    hand_turns: int
    lines: list[RoundLineOut]


class AmendmentOut(Answer):
    """A dated line written after the signature."""

    written_at: str
    written_by: str
    text: str


class FingerprintOut(Answer):
    """The fingerprint of a signed card, and what checking a sheet against it said."""

    fingerprint: str | None
    says: str
