"""The engine in the open format: checked JSON in, core values out.

Lengths are decimal numbers in the file's unit and are read exactly.
"""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import fields
from decimal import Decimal
from functools import lru_cache
from typing import Any, Literal

from pydantic import TypeAdapter

from plimb.core.engine.engine import Bank, Camshaft, Clearance, CrankMark, Cylinder, Engine, Side
from plimb.core.engine.followers import Role
from plimb.core.engine.machine import Machine
from plimb.core.engine.turning import Events, Method, TurnPlan, plan_turning
from plimb.core.lengths import Unit
from plimb.core.measure.limits import Spec
from plimb.core.words import Units
from plimb.files.engine_parts import (
    BankPart,
    EnginePart,
    EventsPart,
    FilePart,
    LayoutPart,
    SpecPart,
)
from plimb.files.open_json import at_path, validated


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
        others = {field.name for field in fields(Machine)} - {"notes"}
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
        keys = {clearance.id: clearance.key for clearance in clearances}
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


REST_OF_A_CARD = frozenset({"rounds", "drawer", "policy", "job", "origin"})
"""What a card file says besides its engine."""


def read_engine(text: str) -> EngineFile:
    """Return the engine file in the text, checked.

    Raises:
        BadValue: It is not JSON, carries NaN or infinity, or breaks the format; the
            field is the JSON path of the first fault.
    """
    return validated(EngineFile, text, exact=True, besides=REST_OF_A_CARD)


@lru_cache(maxsize=256)
def parsed_engine(document: str) -> tuple[EngineFile, Engine]:
    """Return the engine in a stored document; a revision never changes, so it is kept.

    Raises:
        BadValue: As `read_engine` does, or names clash or point nowhere.
    """
    file = validated(EngineFile, document)
    return file, file.to_core()


@lru_cache(maxsize=256)
def turning_of(document: str, method: Method) -> TurnPlan:
    """Return where to turn a stored engine to."""
    file, engine = parsed_engine(document)
    return plan_turning(engine, file.timing, method)


def _spec(part: SpecPart, unit: Unit, path: str) -> Spec | None:
    with at_path(path):
        return part.to_core(unit)
