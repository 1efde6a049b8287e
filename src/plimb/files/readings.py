"""A reading in the open formats: as it stands in a card file, in its history, and in the CSV."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import replace
from datetime import UTC, datetime
from typing import Annotated, Any, Literal

from pydantic import AfterValidator, Field, model_validator

from plimb.core.errors import BadValue
from plimb.core.lengths import Unit, show_mm, show_thou
from plimb.core.measure.about import USUAL, ReadingAbout
from plimb.core.measure.gap import Feel, Gap, between, felt, none_below, point
from plimb.core.measure.limits import MAX_GAP_NM
from plimb.core.measure.shorthand import Reading, joints_of
from plimb.files.engine_parts import FilePart, Length, Name, length_nm

Nm = Annotated[int, Field(ge=-50_000_000, le=50_000_000)]
Guess = Annotated[bool, Field(exclude_if=lambda guess: not guess)]
"""Left out where it is not so: earlier records keep their text, and so their fingerprint."""


def _naive(moment: datetime) -> datetime:
    """Return the moment as naive UTC, as the record keeps it; one without an offset is in UTC."""
    there = moment.astimezone(UTC) if moment.tzinfo else moment
    return there.replace(tzinfo=None, microsecond=0)


Moment = Annotated[datetime, AfterValidator(_naive)]


class GapPart(FilePart):
    """A gap as felt; lists of blades, more than one in a stack."""

    valve: Name
    goes: Annotated[list[Length], Field(min_length=1, max_length=4)] | None = None
    refuses: Annotated[list[Length], Field(min_length=1, max_length=4)] | None = None
    feel: Feel | None = None
    called: Length | None = None
    guess: Guess = False

    def to_core(self, unit: Unit) -> Gap:
        """Return the reading as the gaps it allows."""
        goes_nm = None if self.goes is None else sum(length_nm(b, unit) for b in self.goes)
        refuses_nm = None if self.refuses is None else sum(length_nm(b, unit) for b in self.refuses)
        called_nm = None if self.called is None else length_nm(self.called, unit)
        for nm in (goes_nm, refuses_nm, called_nm):
            if nm is not None and nm > MAX_GAP_NM:
                raise BadValue("a gap lies between 0 and 2 mm; check the unit.", field="gap")
        if goes_nm is not None and refuses_nm is not None and goes_nm >= refuses_nm:
            between(goes_nm, refuses_nm)  # refuses, with the reason
        gap = _felt(goes_nm, refuses_nm, self.feel)
        joints = joints_of(self.goes, self.refuses)
        if called_nm is None:
            if gap is None:
                raise BadValue("a gap needs a blade that goes or refuses, or a called number.",
                               field="gap")  # fmt: skip
            return replace(gap, joints=joints, guess=self.guess)
        if gap is None:
            return replace(point(called_nm), guess=self.guess)
        if gap.is_point and gap.low_nm != called_nm:
            raise BadValue("the called number is not what goes with light drag.", field="called")
        high_nm = called_nm if gap.endless else gap.high_nm
        return replace(gap, called_nm=called_nm, high_nm=high_nm, joints=joints, guess=self.guess)

    def reading(self, unit: Unit) -> Reading:
        """Return the reading as if it were typed just now; a called number alone is a blade."""
        gap = self.to_core(unit)
        goes, refuses = _blades(self.goes, unit), _blades(self.refuses, unit)
        if goes is None and refuses is None:
            goes = (gap.high_nm,)
        called = "" if self.called is None else f"={show_mm(gap.best_nm)}"
        typed = _stack(goes) + (f"-{_stack(refuses)}" if refuses else "") + called
        typed += "?" if self.guess else ""
        return Reading(goes=goes, refuses=refuses, feel=self.feel, gap=gap, typed=typed,
                       guess=self.guess)  # fmt: skip


def _felt(goes_nm: int | None, refuses_nm: int | None, feel: Feel | None) -> Gap | None:
    if goes_nm is None:
        return None if refuses_nm is None else none_below(refuses_nm)
    if feel in (Feel.DRAG, Feel.TIGHT) or refuses_nm is None:
        return felt(goes_nm, feel or Feel.DRAG)
    return between(goes_nm, refuses_nm)


def _blades(blades: Sequence[Any] | None, unit: Unit) -> tuple[int, ...] | None:
    return None if blades is None else tuple(length_nm(blade, unit) for blade in blades)


def _stack(blades: Sequence[int] | None) -> str:
    return "+".join(show_mm(blade) for blade in blades or ())


def gap_as_json(valve: str, reading: Reading, unit: Unit) -> dict[str, Any]:
    """Return a standing reading as the card format has it, lengths as numbers in the unit."""
    part: dict[str, Any] = {"valve": valve, "goes": None}
    if reading.goes:
        part["goes"] = [number_in(nm, unit) for nm in reading.goes]
        if reading.feel:
            part["feel"] = reading.feel.value
    if reading.refuses:
        part["refuses"] = [number_in(nm, unit) for nm in reading.refuses]
    if reading.called_nm is not None:
        part["called"] = number_in(reading.called_nm, unit)
    if reading.guess:
        part["guess"] = True
    return part


def number_in(nm: int, unit: Unit) -> float:
    """Return a length as the plain number an open format carries."""
    return round(nm / unit.nm, 9)


class LinePart(FilePart):
    """What every line has; `supersedes` is the place of an earlier line in the list."""

    valve: Name
    typed: Annotated[str, Field(max_length=200)]
    recorded_at: Moment
    superseded_at: Moment | None = None


Earlier = Annotated[int, Field(ge=0)] | None


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
    guess: Guess = False
    thinnest: Annotated[bool, Field(exclude_if=lambda thinnest: thinnest)] = True
    reason: Annotated[str, Field(max_length=500, exclude_if=lambda why: not why)] = ""
    about: Annotated[ReadingAbout, Field(exclude_if=lambda about: about == USUAL)] = USUAL
    supersedes: Earlier = None

    @model_validator(mode="after")
    def _can_be(self) -> GapLine:
        if self.typed and self.high_nm is None:
            raise BadValue("a gap that was typed has an upper end.", field="high_nm")
        if self.typed and self.high_nm is not None:
            Gap(
                low_nm=self.low_nm,
                high_nm=self.high_nm,
                open_above=self.open_above,
                called_nm=self.called_nm,
                endless=self.feel is Feel.LOOSE and not self.refuses,
            )
        return self


def gap_line(
    part: GapPart, unit: Unit, now: datetime, purpose: Literal["found", "proof"] = "found"
) -> GapLine:
    """Return the line of a reading that was just written down."""
    reading = part.reading(unit)
    return GapLine(
        valve=part.valve,
        typed=reading.typed,
        recorded_at=now,
        purpose=purpose,
        unit=Unit.MM,
        goes=None if reading.goes is None else list(reading.goes),
        refuses=None if reading.refuses is None else list(reading.refuses),
        feel=reading.feel,
        low_nm=reading.gap.low_nm,
        high_nm=reading.gap.high_nm,
        open_above=reading.gap.open_above,
        called_nm=reading.called_nm,
        thinnest=reading.gap.thinnest,
        repeats=False,
        kept=[],
        warm=False,
        guess=reading.guess,
    )


COLUMNS = ("round", "valve", "kind", "typed", "low_mm", "high_mm", "thickness_mm", "stands",
           "written_at", "guess", "unit", "low_thou", "high_thou", "reason")  # fmt: skip
"""The columns of the readings as CSV."""


def gap_cells(number: int, valve: str, row: Any) -> tuple[object, ...]:
    """Return a gap line's cells."""
    both = (row.low_nm, row.high_nm)
    ends = ("" if nm is None else show_mm(nm) for nm in both)
    thou = ("" if nm is None else show_thou(nm) for nm in both)
    return (number, valve, row.purpose, row.typed, *ends, "", *_written(row),
            "yes" if row.guess else "no", row.unit.of_gaps, *thou, row.reason)  # fmt: skip


def shim_cells(number: int, valve: str, row: Any) -> tuple[object, ...]:
    """Return a shim line's cells."""
    nm = row.marked_nm if row.measured_nm is None else row.measured_nm
    thick = "" if nm is None else show_mm(nm)
    return (number, valve, "piece", row.typed, "", "", thick, *_written(row), "", "", "", "", "")


def _written(row: Any) -> tuple[str, str]:
    return "no" if row.superseded_at else "yes", f"{row.recorded_at:%Y-%m-%dT%H:%M:%SZ}"
