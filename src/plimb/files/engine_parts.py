"""The parts of the engine in the open format: checked JSON, and what each is as core values.

Lengths are decimal numbers in the file's unit and are read exactly.
"""

from __future__ import annotations

from dataclasses import fields
from decimal import Decimal
from typing import Annotated, Any, Literal

from pydantic import AfterValidator, BaseModel, BeforeValidator, ConfigDict, Field

from plimb.core.engine.engine import Side
from plimb.core.engine.followers import Follower, Role
from plimb.core.engine.machine import Measure, RenewedPart, Vehicle
from plimb.core.engine.turning import Events
from plimb.core.errors import BadValue
from plimb.core.job.bolts import BoltGroup
from plimb.core.job.stages import Stage
from plimb.core.lengths import Unit
from plimb.core.measure.limits import Limits, Spec
from plimb.core.shim.family import Family, Run
from plimb.core.shim.marking import Code

Length = Annotated[Decimal, Field(ge=0, le=1000, allow_inf_nan=False)]
Money = Annotated[Decimal, Field(ge=0, le=10_000, allow_inf_nan=False)]
Name = Annotated[str, Field(min_length=1, max_length=40)]


class FilePart(BaseModel):
    model_config = ConfigDict(extra="allow", frozen=True, from_attributes=True)


class CylinderPart(FilePart):
    """A cylinder and the crank angle at which it fires, in degrees of a 720° cycle, if known."""

    number: Annotated[int, Field(ge=1, le=24)]
    fires_at: Annotated[int, Field(ge=0, lt=720)] | None = None


class MarkPart(FilePart):
    """A mark on the crank, in degrees of one turn from cylinder firing at 0, if they are known.

    `cue` and `count` are the maker's own words; `valves` are measured at it by the maker's table.
    """

    name: Name
    degrees: Annotated[int, Field(ge=0, lt=360)] | None = None
    cue: Annotated[str, Field(max_length=200)] = ""
    count: Annotated[str, Field(max_length=200)] = ""
    valves: Annotated[list[Name], Field(max_length=48)] = []


class CrankPart(FilePart):
    """The crankshaft: which way it turns and what hangs on it."""

    rotation: Literal["clockwise", "anticlockwise"] | None = None
    cylinders: Annotated[list[CylinderPart], Field(min_length=1, max_length=24)]
    marks: Annotated[list[MarkPart], Field(max_length=24)] = []


class CamshaftPart(FilePart):
    """A camshaft; one that works both sides has no side."""

    id: Name
    side: Side | None = None


class ValvePart(FilePart):
    """One clearance, named as the technician says it; its key stays when it is renamed."""

    id: Name
    cylinder: int
    side: Side
    position: Literal["left", "right", "centre", "front", "rear"] | None = None
    camshaft: Name
    action: Role = Role.OPEN
    spec: SpecPart | None = None
    family: FamilyPart | None = None
    camshaft_out: bool | None = None
    key: Name | None = None


class SpecPart(FilePart):
    """The maker's ranges of one side, as printed; empty while nobody has entered any.

    One figure is `nominal` with the maker's `plus_minus`, or with the shop's own `room`.
    """

    min: Length | None = None
    max: Length | None = None
    nominal: Length | None = None
    plus_minus: Length | None = None
    room: Length | None = None
    set_min: Length | None = None
    set_max: Length | None = None
    aim: Length | None = None

    def to_core(self, unit: Unit) -> Spec | None:
        """Return the ranges as core values, None where there are none.

        Raises:
            BadValue: Half of a range, or one figure that says not how far off is still right.
        """
        check, tolerance_nm = self._check(unit)
        set_ = _both(self.set_min, self.set_max, unit, "the set range")
        if check is None:
            if set_ or self.aim is not None:
                raise BadValue("spec: write the check range, too.", field="spec")
            return None
        return Spec(
            check=check,
            set_=set_,
            aim_nm=None if self.aim is None else length_nm(self.aim, unit),
            plus_minus_nm=tolerance_nm,
            own_room=tolerance_nm is not None and self.plus_minus is None,
        )

    def _check(self, unit: Unit) -> tuple[Limits | None, int | None]:
        """Return the check range, and how far off one figure may be where one is printed."""
        if self.nominal is None:
            return _both(self.min, self.max, unit, "the spec"), None
        room = self.room if self.plus_minus is None else self.plus_minus
        if room is None:
            raise BadValue(
                "The manual gives one figure. Say how much more or less you allow.", field="room"
            )
        tolerance_nm = length_nm(room, unit)
        middle = length_nm(self.nominal, unit)
        return Limits(low_nm=middle - tolerance_nm, high_nm=middle + tolerance_nm), tolerance_nm


class SpecsPart(FilePart):
    """Specs by side."""

    intake: SpecPart = SpecPart()
    exhaust: SpecPart = SpecPart()
    closer: ClosersPart | None = None


class ClosersPart(FilePart):
    """Specs of the closing shims by side, where an engine closes its valves itself."""

    intake: SpecPart = SpecPart()
    exhaust: SpecPart = SpecPart()


class RunPart(FilePart):
    """Thicknesses from one to another by a step."""

    from_: Annotated[Length, Field(alias="from")]
    to: Length
    step: Length


class FamilyPart(FilePart):
    """Shims that fit one another's place; no runs while nobody knows what is made."""

    diameter: Length | None = None
    runs: Annotated[list[RunPart], Field(max_length=20)] = []
    price: Money | None = None
    code: Code = Code.AUTO

    def to_core(self, unit: Unit, apart: str = "") -> Family:
        """Return the family as core values; `apart` tells unknown ones of one engine apart."""
        return Family(
            diameter_nm=None if self.diameter is None else length_nm(self.diameter, unit),
            price=self.price,
            code=self.code,
            unit=unit,
            apart="" if self.diameter or self.runs else apart,
            runs=tuple(
                Run(
                    from_nm=length_nm(run.from_, unit),
                    to_nm=length_nm(run.to, unit),
                    step_nm=length_nm(run.step, unit),
                )
                for run in self.runs
            ),
        )


class BankPart(FilePart):
    """Cylinders under one cover, from left (or front) on; `intake` names where those lie."""

    id: Name
    cylinders: Annotated[list[int], Field(min_length=1)]
    intake: Literal["front", "rear", "left", "right"] = "rear"


class LayoutPart(FilePart):
    """How the banks lie, the foremost (or leftmost) first."""

    crank: Literal["across", "along"] = "across"
    banks: Annotated[list[BankPart], Field(min_length=1, max_length=4)]


Degrees = Annotated[int, Field(ge=-180, le=360)]


class IntakeEvents(FilePart):
    """When the intake valve opens and closes."""

    opens_btdc: Degrees = 20
    closes_abdc: Degrees = 60


class ExhaustEvents(FilePart):
    """When the exhaust valve opens and closes."""

    opens_bbdc: Degrees = 60
    closes_atdc: Degrees = 20


class EventsPart(FilePart):
    """Cam timing in crank degrees, and how far the ramps reach beyond it."""

    intake: IntakeEvents = IntakeEvents()
    exhaust: ExhaustEvents = ExhaustEvents()
    ramp: Annotated[int, Field(ge=0, le=90)] = 20

    def to_core(self) -> Events:
        """Return the timing as core values."""
        return Events(
            intake_opens_btdc=self.intake.opens_btdc,
            intake_closes_abdc=self.intake.closes_abdc,
            exhaust_opens_bbdc=self.exhaust.opens_bbdc,
            exhaust_closes_atdc=self.exhaust.closes_atdc,
            ramp=self.ramp,
        )


def exactly(of: type) -> BeforeValidator:
    """Return a check that a part of a file has no field besides those of a value.

    A value cannot hold what it does not know, as a part can.
    """
    known = {field.name for field in fields(of)}

    def check(sent: Any) -> Any:
        if isinstance(sent, dict) and (others := sorted(map(str, {*sent} - known))):
            raise BadValue(f"the format knows no field “{others[0][:40]}”.", field=others[0][:40])
        return sent

    return BeforeValidator(check)


Remark = Annotated[str, Field(max_length=400)]
Renewed = Annotated[RenewedPart, exactly(RenewedPart)]
Bolts = Annotated[BoltGroup, exactly(BoltGroup)]


def readable_bolts(groups: tuple[BoltGroup, ...]) -> tuple[BoltGroup, ...]:
    """Refuse bolts whose torque or order cannot be."""
    for group in groups:
        group.checked()
    return groups


class EnginePart(FilePart):
    """The `engine` object of the card and engine files."""

    name: Annotated[str, Field(min_length=1, max_length=80)]
    follower: Follower
    crank: CrankPart
    camshafts: Annotated[list[CamshaftPart], Field(min_length=1, max_length=8)]
    valves: Annotated[list[ValvePart], Field(min_length=1, max_length=48)]
    spec: SpecsPart = SpecsPart()
    family: FamilyPart = FamilyPart()
    closer_family: FamilyPart | None = None
    camshaft_out: bool = True
    layout: LayoutPart | None = None
    events: EventsPart | None = None
    source: Annotated[str, Field(max_length=200)] | None = None
    page: Annotated[str, Field(max_length=40)] | None = None
    vehicle: Vehicle = Vehicle.MOTORCYCLE
    owner: Remark = ""
    plate: Annotated[str, Field(max_length=80)] = ""
    counter: Measure | None = None
    interval: Annotated[Decimal, Field(gt=0, le=1_000_000, allow_inf_nan=False)] | None = None
    caps: Remark = ""
    tensioner: Remark = ""
    blades: Annotated[str, Field(max_length=80)] = ""
    tools: Annotated[tuple[Annotated[str, Field(max_length=120)], ...], Field(max_length=40)] = ()
    parts: Annotated[tuple[Renewed, ...], Field(max_length=40)] = ()
    notes: dict[Stage, Annotated[str, Field(max_length=2000)]] = {}
    bolts: Annotated[tuple[Bolts, ...], Field(max_length=40), AfterValidator(readable_bolts)] = ()


def length_nm(value: Decimal, unit: Unit) -> int:
    """Return a length of the file in nanometres."""
    return round(value * unit.nm)


def _both(low: Decimal | None, high: Decimal | None, unit: Unit, what: str) -> Limits | None:
    """Return a range of which both ends are there, None where neither is."""
    if low is None and high is None:
        return None
    if low is None or high is None:
        raise BadValue(f"{what} needs its minimum and its maximum.", field="spec")
    return Limits(low_nm=length_nm(low, unit), high_nm=length_nm(high, unit))
