"""The whole record of a card in the open format: every line ever written, and the job itself.

It is a card file with more in it: `job`, and in each round `history`, the lines as they were
written one after the other. Lengths there are whole nanometres, moments ISO 8601 in UTC.
"""

from __future__ import annotations

import json
from datetime import datetime
from decimal import Decimal
from typing import Annotated, Any, Literal

from pydantic import AfterValidator, Field

from plimb.core.gap import Feel
from plimb.core.lengths import Unit
from plimb.core.limits import MAX_GAP_NM
from plimb.core.piece import Condition, Source, Trust
from plimb.core.torque import Thread, TorqueUnit
from plimb.core.turning import Method
from plimb.files.card_file import CardFile, RoundPart
from plimb.files.engine_file import FilePart, Name, validated

Text = Annotated[str, Field(max_length=4000)]
Nm = Annotated[int, Field(ge=-50_000_000, le=50_000_000)]
Km = Annotated[int, Field(ge=0, le=2_000_000)]


def _naive(moment: datetime) -> datetime:
    """Return the moment as naive UTC, as the record keeps it."""
    return moment.replace(tzinfo=None, microsecond=0)


Moment = Annotated[datetime, AfterValidator(_naive)]


class LinePart(FilePart):
    """What every line has; `supersedes` is the place of an earlier line in the list."""

    valve: Name
    typed: Annotated[str, Field(max_length=200)]
    recorded_at: Moment
    superseded_at: Moment | None = None
    supersedes: Annotated[int, Field(ge=0)] | None = None


class GapLine(LinePart):
    """A gap as felt, before the work or after it."""

    purpose: Literal["found", "proof"]
    unit: Unit
    goes: Annotated[list[Nm], Field(max_length=4)] | None
    refuses: Annotated[list[Nm], Field(max_length=4)] | None
    feel: Feel | None
    low_nm: Annotated[int, Field(ge=0, le=MAX_GAP_NM)] | None
    high_nm: Annotated[int, Field(ge=0, le=MAX_GAP_NM)] | None
    open_above: bool
    called_nm: Annotated[int, Field(ge=0, le=MAX_GAP_NM)] | None
    repeats: bool
    kept: Annotated[list[Annotated[str, Field(max_length=40)]], Field(max_length=20)]
    warm: bool


class PieceLine(LinePart):
    """A shim that came out."""

    marked: Annotated[str, Field(max_length=12)] | None
    marked_nm: Nm | None
    measured_nm: Nm | None
    readings: Annotated[list[Nm], Field(max_length=40)]
    condition: Condition
    doubt_nm: Nm | None
    zero_nm: Nm
    answered: Trust | None


class ChoiceLine(LinePart):
    """A piece decided on."""

    thickness_nm: Nm | None
    source: Source
    from_valve: Name | None
    by_hand: bool
    by_marking: bool
    measured_nm: Nm | None
    fitted_at: Moment | None


class HistoryPart(FilePart):
    """Every line of a round, in the order they were written."""

    gaps: Annotated[list[GapLine], Field(max_length=2000)]
    pieces: Annotated[list[PieceLine], Field(max_length=2000)]
    choices: Annotated[list[ChoiceLine], Field(max_length=2000)]


class RecordRound(RoundPart):
    """One round with its whole history."""

    number: Annotated[int, Field(ge=1, le=100)] | None = None
    opened_at: Moment | None = None
    reason: Text = ""
    hand_turns: Annotated[int, Field(ge=0, le=1000)] = 0
    history: HistoryPart | None = None


class BladeLine(FilePart):
    """One blade of the feeler set that was used."""

    nominal_nm: Nm
    measured_nm: Nm | None
    state: Literal["sound", "bent", "broken"]


class BladesPart(FilePart):
    """The feeler set that was used."""

    name: Annotated[str, Field(min_length=1, max_length=200)]
    stacking: bool
    blades: Annotated[list[BladeLine], Field(min_length=1, max_length=100)]


class InstrumentPart(FilePart):
    """The micrometer or calliper that was used."""

    name: Annotated[str, Field(min_length=1, max_length=200)]
    doubt_nm: Annotated[int, Field(ge=1, le=1_000_000)]


class BoltsPart(FilePart):
    """Bolts that were tightened."""

    name: Text
    places: Annotated[list[tuple[float, float]], Field(max_length=60)]
    torque: Annotated[str, Field(max_length=12)]
    unit: TorqueUnit
    thread: Thread
    order: Annotated[list[int], Field(max_length=60)] | None
    turned: Annotated[int, Field(ge=0, le=1000)]


class FastenerPart(FilePart):
    """One fastener's place on a part's outline."""

    x: Annotated[float, Field(ge=0, le=1)]
    y: Annotated[float, Field(ge=0, le=1)]
    length: Annotated[str, Field(max_length=40)]
    note: Text
    count: Annotated[int, Field(ge=1, le=99)]


class StrippedPart(FilePart):
    """Something taken off, with its fasteners."""

    name: Text
    note: Text
    pockets: Annotated[list[FastenerPart], Field(max_length=60)]


class TrayPart(FilePart):
    """What came off, as noted at one time."""

    document: Annotated[list[StrippedPart], Field(max_length=40)]
    recorded_at: Moment


class AmendmentPart(FilePart):
    """A dated line written after the signature."""

    key: Annotated[str, Field(max_length=64)]
    written_by: Text
    text: Text
    written_at: Moment


class EventPart(FilePart):
    """One act on the card."""

    version: Annotated[int, Field(ge=1)]
    key: Annotated[str, Field(max_length=64)]
    action: Text
    recorded_at: Moment


class JobPart(FilePart):
    """The job: who, why, when, in which state, with what."""

    label: Annotated[str, Field(min_length=1, max_length=200)]
    note: Text
    version: Annotated[int, Field(ge=1)]
    opened_at: Moment
    opened_by: Text
    reason: Text
    distance_km: Km | None
    hours: Km | None
    rested_hours: Annotated[str, Field(max_length=12)] | None
    temperature_c: Annotated[str, Field(max_length=12)] | None
    warm_reason: Text
    method: Method
    seen_to: Annotated[list[Annotated[str, Field(max_length=60)]], Field(max_length=400)]
    variant: Annotated[str, Field(max_length=20)]
    forbidden: Annotated[list[tuple[Name, Nm]], Field(max_length=400)]
    blade_set: BladesPart | None
    instrument: InstrumentPart | None
    zero_nm: Nm | None
    tightening: Annotated[list[BoltsPart], Field(max_length=40)]
    trays: Annotated[list[TrayPart], Field(max_length=1000)]
    signed_at: Moment | None
    signed_by: Text | None
    remarks: Text | None
    next_check_km: Km | None
    amendments: Annotated[list[AmendmentPart], Field(max_length=1000)]
    events: Annotated[list[EventPart], Field(max_length=20_000)]


class CardRecord(CardFile):
    """A whole card, as another shop can take it in."""

    rounds: Annotated[list[RecordRound], Field(default_factory=list, max_length=40)]  # type: ignore[assignment]
    job: JobPart | None = None


def read_record(text: str) -> CardRecord:
    """Return the card record in the text, checked.

    Raises:
        BadValue: It breaks the format; the field is the JSON path of the first fault.
    """
    return validated(CardRecord, text)


def write_json(document: Any) -> str:
    """Return a document as JSON, the same text for the same document."""
    return json.dumps(document, ensure_ascii=False, indent=1, default=_plain) + "\n"


def _plain(value: Any) -> Any:
    if isinstance(value, Decimal):
        return float(value) if value != value.to_integral_value() else int(value)
    if isinstance(value, datetime):
        return f"{value:%Y-%m-%dT%H:%M:%S}Z"
    raise TypeError(f"{type(value).__name__} has no place in a file")
