"""The engine in the open format: checked JSON in, core values out.

Lengths are decimal numbers in the file's unit and are read exactly.
"""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import fields
from decimal import Decimal
from functools import lru_cache
from typing import Annotated, Any, Literal

from pydantic import AfterValidator, BaseModel, ConfigDict, Field, TypeAdapter

from plimb.core.engine.engine import Bank, Camshaft, Clearance, CrankMark, Cylinder, Engine, Side
from plimb.core.engine.followers import Follower, Role
from plimb.core.engine.machine import Machine, Measure, RenewedPart
from plimb.core.engine.turning import Events, Method, TurnPlan, plan_turning
from plimb.core.errors import BadValue
from plimb.core.job.bolts import BoltGroup
from plimb.core.job.stages import Stage
from plimb.core.lengths import Unit
from plimb.core.measure.limits import Limits, Spec
from plimb.core.shim.family import Family, Run
from plimb.core.shim.marking import Code
from plimb.core.words import Units
from plimb.files.open_json import at_path, validated

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
        check, off = self._check(unit)
        set_ = _both(self.set_min, self.set_max, unit, "the set range")
        if check is None:
            if set_ or self.aim is not None:
                raise BadValue("spec: write the check range, too.", field="spec")
            return None
        return Spec(
            check=check,
            set_=set_,
            aim_nm=None if self.aim is None else length_nm(self.aim, unit),
            plus_minus_nm=off,
            own_room=off is not None and self.plus_minus is None,
        )

    def _check(self, unit: Unit) -> tuple[Limits | None, int | None]:
        """Return the check range, and how far off one figure may be where one is printed."""
        if self.nominal is None:
            return _both(self.min, self.max, unit, "the spec"), None
        room = self.room if self.plus_minus is None else self.plus_minus
        if room is None:
            raise BadValue("spec of one figure: say how far off is still right.", field="room")
        off = length_nm(room, unit)
        middle = length_nm(self.nominal, unit)
        return Limits(low_nm=middle - off, high_nm=middle + off), off


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


Remark = Annotated[str, Field(max_length=400)]


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
    owner: Remark = ""
    plate: Annotated[str, Field(max_length=80)] = ""
    counter: Measure | None = None
    interval: Annotated[Decimal, Field(gt=0, le=1_000_000, allow_inf_nan=False)] | None = None
    caps: Remark = ""
    tensioner: Remark = ""
    blades: Annotated[str, Field(max_length=80)] = ""
    tools: Annotated[tuple[Annotated[str, Field(max_length=120)], ...], Field(max_length=40)] = ()
    parts: Annotated[tuple[RenewedPart, ...], Field(max_length=40)] = ()
    notes: dict[Stage, Annotated[str, Field(max_length=2000)]] = {}
    bolts: Annotated[
        tuple[BoltGroup, ...], Field(max_length=40), AfterValidator(readable_bolts)
    ] = ()


class EngineFile(FilePart):
    """A whole engine file."""

    format: Literal["plimb-engine", "plimb-card"]
    version: Literal[1]
    unit: Unit = Unit.MM
    shim_unit: Unit | None = None
    engine: EnginePart
    events: EventsPart | None = None

    @property
    def of_shims(self) -> Unit:
        """The unit of shims: their sizes, diameters and markings' thicknesses."""
        return self.shim_unit or self.unit

    @property
    def units(self) -> Units:
        """What gaps are read in and what shims are measured in."""
        return Units(gap=self.unit, shim=self.of_shims)

    @property
    def spec_source(self) -> str | None:
        """Where the spec stands: the book, and its page if that is given."""
        page = f"page {self.engine.page}" if self.engine.page else None
        return ", ".join(filter(None, (self.engine.source, page))) or None

    @property
    def machine(self) -> Machine:
        """What is remembered of the machine around the engine."""
        notes = {stage.value: text for stage, text in self.engine.notes.items()}
        others = {one.name for one in fields(Machine)} - {"notes"}
        return Machine(notes=notes, **{name: getattr(self.engine, name) for name in others})

    @property
    def timing(self) -> Events | None:
        """The cam timing, None where the file gives none."""
        part = self.events or self.engine.events
        return part.to_core() if part else None

    def to_core(self) -> Engine:
        """Return the engine as core values.

        Raises:
            BadValue: Names clash or point nowhere, or a length cannot be.
        """
        part, unit, of_shims = self.engine, self.unit, self.of_shims
        closers = part.spec.closer or part.spec
        closing = "closer." if part.spec.closer else ""
        specs = {
            (action, side): _spec(getattr(of, side), unit, f"$.engine.spec.{prefix}{side}")
            for action, of, prefix in (
                (Role.OPEN, part.spec, ""),
                (Role.CLOSE, closers, closing),
            )
            for side in Side
        }
        with at_path("$.engine.family"):
            family = part.family.to_core(of_shims)
        with at_path("$.engine.closer_family"):
            closers_own = part.closer_family or part.family
            closer_family = closers_own.to_core(of_shims, apart="closer")
        families = {Role.OPEN: family, Role.CLOSE: closer_family}
        cylinders = tuple(
            Cylinder(number=c.number, fires_at=c.fires_at) for c in part.crank.cylinders
        )
        layout = part.layout or LayoutPart(
            banks=[BankPart(id="head", cylinders=[c.number for c in cylinders])]
        )
        clearances = []
        for place, valve in enumerate(part.valves):
            with at_path(f"$.engine.valves[{place}]"):
                own = valve.family.to_core(of_shims) if valve.family else None
                clearances.append(
                    Clearance(
                        id=valve.id,
                        cylinder=valve.cylinder,
                        side=valve.side,
                        position=valve.position,
                        camshaft=valve.camshaft,
                        spec=(valve.spec.to_core(unit) if valve.spec else None)
                        or specs[valve.action, valve.side],
                        family=own or families[valve.action],
                        action=valve.action,
                        camshaft_out=part.camshaft_out
                        if valve.camshaft_out is None
                        else valve.camshaft_out,
                        key=valve.key or valve.id,
                    )
                )
        with at_path("$.engine"):
            return self._engine(cylinders, layout, tuple(clearances))

    def _engine(
        self,
        cylinders: tuple[Cylinder, ...],
        layout: LayoutPart,
        clearances: tuple[Clearance, ...],
    ) -> Engine:
        part = self.engine
        keys = {one.id: one.key for one in clearances}
        return Engine(
            name=part.name,
            follower=part.follower,
            cylinders=cylinders,
            camshafts=tuple(Camshaft(id=shaft.id, side=shaft.side) for shaft in part.camshafts),
            clearances=clearances,
            banks=tuple(
                Bank(id=bank.id, cylinders=tuple(bank.cylinders), intake=bank.intake)
                for bank in layout.banks
            ),
            crank=layout.crank,
            rotation=part.crank.rotation,
            marks=tuple(
                CrankMark(
                    name=mark.name,
                    degrees=mark.degrees,
                    cue=mark.cue,
                    count=mark.count,
                    valves=tuple(keys.get(valve, valve) for valve in mark.valves),
                )
                for mark in part.crank.marks
            ),
        )


def machine_as_json(known: Mapping[str, Any]) -> dict[str, Any]:
    """Return what is remembered as the engine file has it."""
    plain: dict[str, Any] = TypeAdapter(dict[str, Any]).dump_python(dict(known), mode="json")
    for of in (plain, *plain.get("parts", ())):
        for name in ("interval", "price"):
            if of.get(name) is not None:
                figure = Decimal(of[name])
                of[name] = int(figure) if figure == int(figure) else float(figure)
    return plain


def read_engine(text: str) -> EngineFile:
    """Return the engine file in the text, checked.

    Raises:
        BadValue: It is not JSON, carries NaN or infinity, or breaks the format; the
            field is the JSON path of the first fault.
    """
    return validated(EngineFile, text)


@lru_cache(maxsize=256)
def parsed_engine(document: str) -> tuple[EngineFile, Engine]:
    """Return the engine in a stored document; a revision never changes, so it is kept.

    Raises:
        BadValue: As `read_engine` does, or names clash or point nowhere.
    """
    file = read_engine(document)
    return file, file.to_core()


@lru_cache(maxsize=256)
def turning_of(document: str, method: Method) -> TurnPlan:
    """Return where to turn a stored engine to."""
    file, engine = parsed_engine(document)
    return plan_turning(engine, file.timing, method)


def _spec(part: SpecPart, unit: Unit, path: str) -> Spec | None:
    with at_path(path):
        return part.to_core(unit)


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
