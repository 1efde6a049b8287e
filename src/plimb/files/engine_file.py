"""The engine in the open format: checked JSON in, core values out.

Lengths are decimal numbers in the file's unit and are read exactly.
"""

from __future__ import annotations

import json
from decimal import Decimal
from typing import Annotated, Any, Literal, NoReturn

from pydantic import BaseModel, ConfigDict, Field, ValidationError

from plimb.core.engine import (
    Action,
    Bank,
    Camshaft,
    Clearance,
    CrankMark,
    Cylinder,
    Engine,
    Follower,
    Side,
)
from plimb.core.errors import BadValue
from plimb.core.family import Family, Run
from plimb.core.lengths import Unit
from plimb.core.limits import Limits, Spec
from plimb.core.turning import USUAL_EVENTS, Events

Length = Annotated[Decimal, Field(ge=0, le=1000, allow_inf_nan=False)]
Name = Annotated[str, Field(min_length=1, max_length=40)]


class _Part(BaseModel):
    model_config = ConfigDict(extra="allow", frozen=True)


class CylinderPart(_Part):
    """A cylinder and the crank angle at which it fires, in degrees of a 720° cycle."""

    number: Annotated[int, Field(ge=1, le=24)]
    fires_at: Annotated[int, Field(ge=0, lt=720)]


class MarkPart(_Part):
    """A mark on the crank, in degrees of one turn from cylinder firing at 0."""

    name: Name
    degrees: Annotated[int, Field(ge=0, lt=360)]


class CrankPart(_Part):
    """The crankshaft: which way it turns and what hangs on it."""

    rotation: Literal["clockwise", "anticlockwise"] = "clockwise"
    cylinders: Annotated[list[CylinderPart], Field(min_length=1, max_length=24)]
    marks: Annotated[list[MarkPart], Field(max_length=24)] = []


class CamshaftPart(_Part):
    """A camshaft; one that works both sides has no side."""

    id: Name
    side: Side | None = None


class ValvePart(_Part):
    """One clearance, named as the technician says it."""

    id: Name
    cylinder: int
    side: Side
    position: Literal["left", "right", "centre", "front", "rear"] | None = None
    camshaft: Name
    action: Action = Action.OPEN
    spec: SpecPart | None = None
    family: FamilyPart | None = None
    camshaft_out: bool | None = None


class SpecPart(_Part):
    """The maker's ranges of one side."""

    min: Length
    max: Length
    set_min: Length | None = None
    set_max: Length | None = None
    aim: Length | None = None

    def to_core(self, unit: Unit) -> Spec:
        """Return the ranges as core values."""
        set_ = None
        if self.set_min is not None and self.set_max is not None:
            set_ = _limits(self.set_min, self.set_max, unit)
        return Spec(
            check=_limits(self.min, self.max, unit),
            set_=set_,
            aim_nm=None if self.aim is None else _nm(self.aim, unit),
        )


class SpecsPart(_Part):
    """Specs by side."""

    intake: SpecPart
    exhaust: SpecPart
    closer: ClosersPart | None = None


class ClosersPart(_Part):
    """Specs of the closing shims by side, where an engine closes its valves itself."""

    intake: SpecPart
    exhaust: SpecPart


class RunPart(_Part):
    """Thicknesses from one to another by a step."""

    from_: Annotated[Length, Field(alias="from")]
    to: Length
    step: Length


class FamilyPart(_Part):
    """Shims that fit one another's place."""

    diameter: Length | None = None
    runs: Annotated[list[RunPart], Field(min_length=1, max_length=20)]
    price: Annotated[Decimal, Field(ge=0, le=10_000, allow_inf_nan=False)] | None = None

    def to_core(self, unit: Unit) -> Family:
        """Return the family as core values."""
        return Family(
            diameter_nm=None if self.diameter is None else _nm(self.diameter, unit),
            price=self.price,
            runs=tuple(
                Run(
                    from_nm=_nm(run.from_, unit),
                    to_nm=_nm(run.to, unit),
                    step_nm=_nm(run.step, unit),
                )
                for run in self.runs
            ),
        )


class BankPart(_Part):
    """Cylinders under one cover, from left (or front) on; `intake` names where those lie."""

    id: Name
    cylinders: Annotated[list[int], Field(min_length=1)]
    intake: Literal["front", "rear", "left", "right"] = "rear"


class LayoutPart(_Part):
    """How the banks lie, the foremost (or leftmost) first."""

    crank: Literal["across", "along"] = "across"
    banks: Annotated[list[BankPart], Field(min_length=1, max_length=4)]


Degrees = Annotated[int, Field(ge=-180, le=360)]


class IntakeEvents(_Part):
    """When the intake valve opens and closes."""

    opens_btdc: Degrees = 20
    closes_abdc: Degrees = 60


class ExhaustEvents(_Part):
    """When the exhaust valve opens and closes."""

    opens_bbdc: Degrees = 60
    closes_atdc: Degrees = 20


class EventsPart(_Part):
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


class EnginePart(_Part):
    """The `engine` object of the card and engine files."""

    name: Annotated[str, Field(min_length=1, max_length=80)]
    follower: Follower
    crank: CrankPart
    camshafts: Annotated[list[CamshaftPart], Field(min_length=1, max_length=8)]
    valves: Annotated[list[ValvePart], Field(min_length=1, max_length=48)]
    spec: SpecsPart
    family: FamilyPart
    closer_family: FamilyPart | None = None
    camshaft_out: bool = True
    layout: LayoutPart | None = None
    events: EventsPart | None = None
    source: Annotated[str, Field(max_length=200)] | None = None
    page: Annotated[str, Field(max_length=40)] | None = None


class EngineFile(_Part):
    """A whole engine file."""

    format: Literal["plimb-engine", "plimb-card"]
    version: Literal[1]
    unit: Unit = Unit.MM
    engine: EnginePart
    events: EventsPart | None = None

    def timing(self) -> Events:
        """Return the cam timing, the usual one where the file gives none."""
        part = self.events or self.engine.events
        return part.to_core() if part else USUAL_EVENTS

    def to_core(self) -> Engine:
        """Return the engine as core values.

        Raises:
            BadValue: Names clash or point nowhere, or a length cannot be.
        """
        part, unit = self.engine, self.unit
        closers = part.spec.closer or part.spec
        specs = {
            (Action.OPEN, Side.INTAKE): part.spec.intake,
            (Action.OPEN, Side.EXHAUST): part.spec.exhaust,
            (Action.CLOSE, Side.INTAKE): closers.intake,
            (Action.CLOSE, Side.EXHAUST): closers.exhaust,
        }
        families = {
            Action.OPEN: part.family,
            Action.CLOSE: part.closer_family or part.family,
        }
        cylinders = tuple(
            Cylinder(number=c.number, fires_at=c.fires_at) for c in part.crank.cylinders
        )
        layout = part.layout or LayoutPart(
            banks=[BankPart(id="head", cylinders=[c.number for c in cylinders])]
        )
        return Engine(
            name=part.name,
            follower=part.follower,
            cylinders=cylinders,
            camshafts=tuple(Camshaft(id=shaft.id, side=shaft.side) for shaft in part.camshafts),
            clearances=tuple(
                Clearance(
                    id=valve.id,
                    cylinder=valve.cylinder,
                    side=valve.side,
                    position=valve.position,
                    camshaft=valve.camshaft,
                    spec=(valve.spec or specs[valve.action, valve.side]).to_core(unit),
                    family=(valve.family or families[valve.action]).to_core(unit),
                    action=valve.action,
                    camshaft_out=part.camshaft_out
                    if valve.camshaft_out is None
                    else valve.camshaft_out,
                )
                for valve in part.valves
            ),
            banks=tuple(
                Bank(id=bank.id, cylinders=tuple(bank.cylinders), intake=bank.intake)
                for bank in layout.banks
            ),
            crank=layout.crank,
            rotation=part.crank.rotation,
            marks=tuple(CrankMark(name=m.name, degrees=m.degrees) for m in part.crank.marks),
        )


def read_engine(text: str) -> EngineFile:
    """Return the engine file in the text, checked.

    Raises:
        BadValue: It is not JSON, carries NaN or infinity, or breaks the format; the
            field is the JSON path of the first fault.
    """
    try:
        loaded: Any = json.loads(text, parse_float=Decimal, parse_constant=_no_constant)
    except (json.JSONDecodeError, RecursionError) as error:
        raise BadValue(f"The file is not JSON: {error}.", field="$") from None
    try:
        return EngineFile.model_validate(loaded)
    except ValidationError as error:
        first = error.errors()[0]
        path = "$" + "".join(
            f"[{step}]" if isinstance(step, int) else f".{step}" for step in first["loc"]
        )
        raise BadValue(f"{path}: {first['msg']}.", field=path) from None


def _no_constant(name: str) -> NoReturn:
    raise BadValue(f"The file carries {name}, which is no length.", field="$")


def _nm(value: Decimal, unit: Unit) -> int:
    return round(value * unit.nm)


def _limits(low: Decimal, high: Decimal, unit: Unit) -> Limits:
    return Limits(low_nm=_nm(low, unit), high_nm=_nm(high, unit))
