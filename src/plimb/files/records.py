"""The whole record of a card in the open format: every line ever written, and the job itself.

It is a card file with more in it: `job`, and in each round `history`, the lines as they were
written one after the other. Lengths there are whole nanometres, moments ISO 8601 in UTC. These
models are the one definition of it: the record's rows are read off into them and written from
them, and the JSON Schema is made from them.
"""

from __future__ import annotations

from dataclasses import asdict
from datetime import date
from decimal import Decimal
from typing import Annotated, Any, TypeVar

from pydantic import AfterValidator, ConfigDict, Field, field_serializer, model_validator

from plimb.core.engine.turning import Method
from plimb.core.errors import BadValue
from plimb.core.job.bolts import BoltGroup
from plimb.core.job.checks import BillLine, SideChecks
from plimb.core.job.kinds import JobKind
from plimb.core.job.stages import Stage
from plimb.core.job.summary import ShopThings
from plimb.core.job.tray import Part, check_tray
from plimb.core.lengths import decimal_in
from plimb.core.measure.blades import BladeSet
from plimb.core.plan.search import known_variant
from plimb.core.shim.shim import Condition, Instrument, Source, Trust
from plimb.files.card_file import CardFile, RoundPart
from plimb.files.engine_parts import FilePart, Name, readable_bolts
from plimb.files.open_json import plain, validated
from plimb.files.origin import OriginPart
from plimb.files.readings import Earlier, GapLine, LinePart, Moment, Nm

Text = Annotated[str, Field(max_length=4000)]
MOST_NAME = 200
Who = Annotated[str, Field(max_length=MOST_NAME)]
Why = Annotated[str, Field(max_length=500)]
"""As long as the screen takes a name and a reason: what stands in a file fits a sheet."""
Thing = TypeVar("Thing", BladeSet | None, Instrument | None)
Km = Annotated[int, Field(ge=0, le=2_000_000)]
DoubtNm = Annotated[int, Field(gt=0, le=1_000_000)]
"""What an instrument is good to: something, and less than a millimetre."""
Hours = Annotated[Decimal, Field(ge=0, le=2_000_000, allow_inf_nan=False)]


class ShimLine(LinePart):
    """A shim that came out."""

    marked: Annotated[str, Field(max_length=12)] | None
    marked_nm: Nm | None
    measured_nm: Nm | None
    readings: Annotated[list[Nm], Field(max_length=40)]
    condition: Condition
    doubt_nm: DoubtNm | None
    zero_nm: Nm
    answered: Trust | None
    supersedes: Earlier = None

    @model_validator(mode="after")
    def _can_be(self) -> ShimLine:
        if self.typed and self.marked_nm is None and self.measured_nm is None:
            raise BadValue("a shim that was typed has a thickness.", field="measured_nm")
        return self


class ChoiceLine(LinePart):
    """A piece decided on."""

    thickness_nm: Nm | None
    source: Source
    from_valve: Name | None
    by_hand: bool
    by_marking: bool
    measured_nm: Nm | None
    fitted_at: Moment | None
    swapped: Annotated[bool, Field(exclude_if=lambda swapped: not swapped)] = False
    doubt_nm: Annotated[DoubtNm | None, Field(exclude_if=lambda nm: nm is None)] = None
    made_from: Annotated[
        tuple[Nm | None, ...] | None, Field(max_length=8, exclude_if=lambda made: made is None)
    ] = None
    supersedes: Earlier = None

    @model_validator(mode="after")
    def _can_be(self) -> ChoiceLine:
        if self.typed and self.thickness_nm is None:
            raise BadValue("a choice that was typed has a thickness.", field="thickness_nm")
        return self


class HistoryPart(FilePart):
    """Every line of a round, in the order they were written."""

    gaps: Annotated[list[GapLine], Field(max_length=2000)]
    pieces: Annotated[list[ShimLine], Field(max_length=2000)]
    choices: Annotated[list[ChoiceLine], Field(max_length=2000)]


class RecordRound(RoundPart):
    """One round with its whole history."""

    number: Annotated[int, Field(ge=1, le=100)] | None = None
    opened_at: Moment | None = None
    reason: Text = ""
    hand_turns: Annotated[int, Field(ge=0, le=1000)] = 0
    history: HistoryPart | None = None


class _Exact(FilePart):
    model_config = ConfigDict(extra="forbid")


class TrayPart(_Exact):
    """What came off, as noted at one time."""

    document: Annotated[tuple[Part, ...], AfterValidator(check_tray)]
    recorded_at: Moment


class AmendmentPart(FilePart):
    """A dated line written after the signature."""

    key: Annotated[str, Field(max_length=64)]
    written_by: Who
    text: Text
    written_at: Moment


class EventPart(FilePart):
    """One act on the card: its kind and what was said with it, or the text of an earlier version.

    `action` is the kind where `payload` is there; else it is text that is only shown.
    """

    version: Annotated[int, Field(ge=1)]
    key: Annotated[str, Field(max_length=64)]
    action: Text
    recorded_at: Moment
    payload: Annotated[
        dict[str, Any] | None, AfterValidator(plain), Field(exclude_if=lambda said: said is None)
    ] = None


def _left_out(nothing: Any) -> Any:
    """Return a field that is left out where it says nothing: earlier cards keep their text."""
    return Field(exclude_if=lambda value: value == nothing)


def _figure(text: str) -> str:
    if decimal_in(text, "figure") is None:
        raise BadValue("figure: write a number, or leave it out.", field="figure")
    return text


def _named(thing: Thing) -> Thing:
    if thing is not None and not 0 < len(thing.name.strip()) <= MOST_NAME:
        raise BadValue(f"name: of 1 to {MOST_NAME} characters.", field="name")
    return thing


Thickness = Annotated[int, Field(gt=0, le=50_000_000)]
"""A shim's, in nanometres."""
Figure = Annotated[str, Field(max_length=12), AfterValidator(_figure)]


class JobPart(_Exact):
    """The job: who, why, when, in which state, with what. The names are those of the record."""

    label: Annotated[str, Field(min_length=1, max_length=MOST_NAME)]
    note: Text = ""
    blade_set: Annotated[BladeSet | None, AfterValidator(_named)] = None
    instrument: Annotated[Instrument | None, AfterValidator(_named)] = None
    version: Annotated[int, Field(ge=1)] = 1
    opened_at: Moment
    opened_by: Who
    reason: Why
    distance_km: Km | None = None
    hours: Hours | None = None
    rested_hours: Figure | None = None
    temperature_c: Figure | None = None
    warm_reason: Text = ""
    method: Method = Method.MARKS
    seen_to: Annotated[tuple[Annotated[str, Field(max_length=60)], ...], Field(max_length=400)] = ()
    variant: Annotated[str, AfterValidator(known_variant)] = "best"
    forbidden: Annotated[tuple[tuple[Name, Thickness], ...], Field(max_length=400)] = ()
    zero_nm: Nm | None = None
    tightening: Annotated[
        tuple[BoltGroup, ...], Field(max_length=40), AfterValidator(readable_bolts)
    ] = ()
    signed_at: Moment | None = None
    signed_by: Who | None = None
    remarks: Text | None = None
    next_check_km: Km | None = None
    put_away_at: Annotated[Moment | None, _left_out(None)] = None
    kind: Annotated[JobKind, _left_out(JobKind.SET)] = JobKind.SET
    only_valve: Annotated[Name | None, _left_out(None)] = None
    change_nm: Annotated[Nm | None, _left_out(None)] = None
    near_enough_nm: Annotated[DoubtNm | None, _left_out(None)] = None
    distance_mi: Annotated[Km | None, _left_out(None)] = None
    next_check_mi: Annotated[Km | None, _left_out(None)] = None
    next_check_hours: Annotated[Hours | None, _left_out(None)] = None
    next_check_on: Annotated[date | None, _left_out(None)] = None
    symptoms: Annotated[Text, _left_out("")] = ""
    checks: Annotated[SideChecks | None, _left_out(None)] = None
    notes: Annotated[dict[Stage, Text], _left_out({})] = Field(default_factory=dict)
    bill: Annotated[tuple[BillLine, ...], Field(max_length=60), _left_out(())] = ()
    opened_too: Annotated[tuple[Name, ...], Field(max_length=200), _left_out(())] = ()
    shafts_aside: Annotated[tuple[Name, ...], Field(max_length=20), _left_out(())] = ()
    trays: Annotated[tuple[TrayPart, ...], Field(max_length=1000)] = ()
    amendments: Annotated[tuple[AmendmentPart, ...], Field(max_length=1000)] = ()
    events: Annotated[tuple[EventPart, ...], Field(max_length=20_000)] = ()

    @model_validator(mode="after")
    def _acts_are_told_apart(self) -> JobPart:
        for what, names in (
            ("events: two acts have one number", [event.version for event in self.events]),
            ("events: two acts have one key", [event.key for event in self.events]),
            (
                "amendments: two lines have one key",
                [amendment.key for amendment in self.amendments],
            ),
        ):
            if len(set(names)) < len(names):
                raise BadValue(f"{what}.", field=what.partition(":")[0])
        if (self.signed_at is None) != (self.signed_by is None):
            raise BadValue("signed_by: who signed and when stand together.", field="signed_by")
        if any(event.version > self.version for event in self.events):
            raise BadValue("events: an act is later than the card’s version.", field="events")
        return self

    @field_serializer("blade_set")
    def _as_before(self, kept: BladeSet | None) -> dict[str, Any] | None:
        """Return the set without what it does not have: earlier cards keep their text."""
        if kept is None:
            return None
        plain = asdict(kept)
        for of, name in ((plain, "stacks"), *((blade, "stamped_nm") for blade in plain["blades"])):
            if not of[name]:
                del of[name]
        return plain

    @property
    def things(self) -> ShopThings:
        """What the job took from the shop."""
        return ShopThings(
            label=self.label, note=self.note, blade_set=self.blade_set, instrument=self.instrument
        )


class CardRecord(CardFile):
    """A whole card, as another shop can take it in."""

    rounds: Annotated[list[RecordRound], Field(default_factory=list, max_length=40)]  # type: ignore[assignment]
    job: JobPart | None = None
    origin: OriginPart | None = None


def read_record(text: str) -> CardRecord:
    """Return the card record in the text, checked.

    Raises:
        BadValue: It breaks the format; the field is the JSON path of the first fault.
    """
    return validated(CardRecord, text, exact=True)
