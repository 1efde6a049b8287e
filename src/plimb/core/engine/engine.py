"""An engine as the job sees it: cylinders, camshafts, and one clearance a valve."""

from collections.abc import Iterable
from dataclasses import dataclass
from enum import StrEnum
from functools import cached_property

from plimb.core.engine.followers import Follower, Role
from plimb.core.errors import BadValue
from plimb.core.measure.limits import Limits, Spec
from plimb.core.shim.family import Family


class Side(StrEnum):
    """Which way the gas goes."""

    INTAKE = "intake"
    EXHAUST = "exhaust"


POSITIONS = ("left", "front", "centre", "rear", "right")
"""Places of a valve among its twins, in the order they lie along the camshaft."""


@dataclass(frozen=True, slots=True, kw_only=True)
class Cylinder:
    """A cylinder as its maker numbers it, and the crank angle of its firing TDC if it is known."""

    number: int
    fires_at: int | None = None


@dataclass(frozen=True, slots=True, kw_only=True)
class Camshaft:
    """A camshaft; `side` is None where one shaft works both."""

    id: str
    side: Side | None


@dataclass(frozen=True, slots=True, kw_only=True)
class Clearance:
    """One place where a gap is measured and a shim sits, with its spec and family.

    `id` is its name, which may be corrected; `key` stays, and what is recorded goes by it.
    `spec` is None while nobody has entered one: then nothing is judged by it.
    """

    id: str
    cylinder: int
    side: Side
    position: str | None
    camshaft: str
    spec: Spec | None
    family: Family
    action: Role = Role.OPEN
    camshaft_out: bool = True
    key: str = ""

    def __post_init__(self) -> None:
        if not self.key:  # an engine that was never renamed goes by its names
            object.__setattr__(self, "key", self.id)

    @property
    def check(self) -> Limits | None:
        """The range in which it is left alone, None while nobody has entered one."""
        return self.spec.check if self.spec else None

    def is_twin_of(self, other: "Clearance") -> bool:
        """Return whether another is of the same cylinder, side and action: they should be alike."""
        mine = (self.cylinder, self.side, self.action)
        return mine == (other.cylinder, other.side, other.action)


@dataclass(frozen=True, slots=True, kw_only=True)
class Bank:
    """Cylinders under one cover, in the order they lie from left (or front) on.

    `intake` says which way the intake valves lie: for a crank across the machine
    front or rear, for a crank along it left or right.
    """

    id: str
    cylinders: tuple[int, ...]
    intake: str


@dataclass(frozen=True, slots=True, kw_only=True)
class CrankMark:
    """A mark that can be seen, at so many degrees of the crank's turn, None where unknown.

    `cue` is what the maker says to look for, `count` what is counted between the timing marks,
    `valves` the keys of those that are measured there by the maker's own table.
    """

    name: str
    degrees: int | None = None
    cue: str = ""
    count: str = ""
    valves: tuple[str, ...] = ()


@dataclass(frozen=True, kw_only=True)
class Engine:
    """A whole engine, checked: every name known, none twice."""

    name: str
    follower: Follower
    cylinders: tuple[Cylinder, ...]
    camshafts: tuple[Camshaft, ...]
    clearances: tuple[Clearance, ...]
    banks: tuple[Bank, ...]
    crank: str = "across"
    rotation: str | None = None
    marks: tuple[CrankMark, ...] = ()

    def __post_init__(self) -> None:
        numbers = [cylinder.number for cylinder in self.cylinders]
        shafts = [shaft.id for shaft in self.camshafts]
        banked = [number for bank in self.banks for number in bank.cylinders]
        _no_twins("cylinder", [str(number) for number in numbers])
        _no_twins("camshaft", shafts)
        _no_twins("valve", [clearance.id for clearance in self.clearances])
        _no_twins("key", [clearance.key for clearance in self.clearances])
        _no_twins("cylinder in a bank", [str(number) for number in banked])
        for clearance in self.clearances:
            if clearance.cylinder not in numbers:
                raise BadValue(
                    f"valve {clearance.id} is on cylinder {clearance.cylinder}, which the engine "
                    "does not have.",
                    field="engine",
                )
            if clearance.camshaft not in shafts:
                raise BadValue(
                    f"valve {clearance.id} is under camshaft {clearance.camshaft}, which the "
                    "engine does not have.",
                    field="engine",
                )
        tabled = [valve for mark in self.marks for valve in mark.valves]
        for valve in tabled:
            if valve not in self.names:
                raise BadValue(f"a mark names valve {valve}, which is not there.", field="marks")
        _no_twins("valve in the table of the marks", tabled)
        if set(banked) != set(numbers):
            raise BadValue("every cylinder must lie in one bank.", field="layout")
        for number in numbers:
            for side in Side:
                self._check_twins(number, side)

    def _check_twins(self, number: int, side: Side) -> None:
        """Refuse more than three valves a side, or a closer without its opener."""
        actions = [clearance.action for clearance in self.along(number, side)]
        openers, closers = actions.count(Role.OPEN), actions.count(Role.CLOSE)
        if openers > 3 or closers > openers:
            raise BadValue(
                f"cylinder {number} has {openers} opening and {closers} closing {side} "
                "clearances; one to three valves a side, a closer only with its opener.",
                field="engine",
            )

    @cached_property
    def by_id(self) -> dict[str, Clearance]:
        """The clearances by name."""
        return {clearance.id: clearance for clearance in self.clearances}

    @cached_property
    def names(self) -> dict[str, str]:
        """What the clearance of each key is called."""
        return {clearance.key: clearance.id for clearance in self.clearances}

    def named(self, keys: Iterable[str]) -> frozenset[str]:
        """Return what these keys are called; those that are not on it are left out."""
        return frozenset(self.names[key] for key in keys if key in self.names)

    @property
    def firing_known(self) -> bool:
        """Whether somebody has said when each cylinder fires."""
        return all(cylinder.fires_at is not None for cylinder in self.cylinders)

    def clearance(self, valve: str) -> Clearance:
        """Return the clearance of that name; BadValue where the engine has none of that name."""
        found = self.by_id.get(valve)
        if found is None:
            raise BadValue(f"valve “{valve}” is not on this engine.", field="valve")
        return found

    def shafts_over(self, valves: Iterable[str]) -> tuple[str, ...]:
        """Return the camshafts that must come out to change the shims of these valves."""
        over = [self.clearance(valve) for valve in valves]
        return tuple(
            dict.fromkeys(clearance.camshaft for clearance in over if clearance.camshaft_out)
        )

    @cached_property
    def _along(self) -> dict[tuple[int, Side], tuple[Clearance, ...]]:
        groups: dict[tuple[int, Side], list[Clearance]] = {}
        for clearance in self.clearances:
            groups.setdefault((clearance.cylinder, clearance.side), []).append(clearance)
        return {
            group: tuple(
                sorted(
                    found,
                    key=lambda one: (
                        POSITIONS.index(one.position or "centre"),
                        one.action is Role.CLOSE,
                    ),
                )
            )
            for group, found in groups.items()
        }

    def along(self, cylinder: int, side: Side) -> tuple[Clearance, ...]:
        """Return one cylinder's valves of one side in the order they lie along the camshaft."""
        return self._along.get((cylinder, side), ())


def _no_twins(what: str, names: list[str]) -> None:
    """Refuse a name that is there twice."""
    for place, name in enumerate(names):
        if name in names[:place]:
            raise BadValue(f"{what} {name} is there twice.", field="engine")


def measuring_order(engine: Engine) -> tuple[str, ...]:
    """Return the valves as they come to hand: cylinders by firing, intake first, then along.

    This is the order of the marks: each cylinder at its own compression TDC.
    """
    firing = sorted(
        engine.cylinders, key=lambda cylinder: (cylinder.fires_at or 0, cylinder.number)
    )
    return tuple(
        clearance.id
        for cylinder in firing
        for side in (Side.INTAKE, Side.EXHAUST)
        for clearance in engine.along(cylinder.number, side)
    )
