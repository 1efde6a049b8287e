"""The whole cycle as it is drawn: a lane a cylinder's side, and the stops."""

from dataclasses import dataclass
from fractions import Fraction

from plimb.core.engine.engine import Clearance, Engine, Side
from plimb.core.engine.turning import (
    COMFORT,
    USUAL_EVENTS,
    Events,
    Method,
    Stop,
    TurnPlan,
    margin,
)


@dataclass(frozen=True, slots=True, kw_only=True)
class CycleStop:
    """One place to turn to, and what is measured there; `narrow` where it must be met exactly.

    `own` says that the mark is the engine's, as somebody entered it, with its `cue` and
    `count`; else it is a top dead centre that nobody has named.
    """

    degrees: float | None
    mark: str | None
    own: bool
    cue: str
    count: str
    camshaft: str | None
    valves: tuple[str, ...]
    margin: float | None
    narrow: bool


@dataclass(frozen=True, slots=True, kw_only=True)
class Lane:
    """One cylinder's one side over the cycle: when its valves are lifted, in crank degrees."""

    cylinder: int
    side: Side
    valves: tuple[str, ...]
    fires_at: int
    lift_from: float
    lift_to: float
    peak: float


@dataclass(frozen=True, slots=True, kw_only=True)
class Cycle:
    """Where to turn to, and the whole cycle to see why.

    `computed` says that stops are worked out, not all from the maker's own table; `assumed`
    that no timing is entered, so that a mild one was taken. On the bench there are no lanes, and
    none where nobody has said when the cylinders fire.
    """

    method: Method
    rotation: str | None
    computed: bool
    firing_known: bool
    assumed: bool
    stops: tuple[CycleStop, ...]
    lanes: tuple[Lane, ...]


def cycle_of(engine: Engine, events: Events | None, method: Method, plan: TurnPlan) -> Cycle:
    """Return the cycle with the stops of a plan."""
    return Cycle(
        method=method,
        rotation=engine.rotation,
        computed=any(
            stop.margin is not None or stop.mark not in {mark.name for mark in engine.marks}
            for stop in plan.stops
        ),
        firing_known=engine.firing_known,
        assumed=events is None,
        stops=tuple(_stop(engine, stop) for stop in plan.stops),
        lanes=tuple(_lanes(engine, events or USUAL_EVENTS))
        if engine.firing_known and method is not Method.BENCH
        else (),
    )


def _stop(engine: Engine, stop: Stop) -> CycleStop:
    mark = next((mark for mark in engine.marks if mark.name == stop.mark), None)
    return CycleStop(
        degrees=None if stop.degrees is None else float(stop.degrees),
        mark=stop.mark,
        own=mark is not None,
        cue=mark.cue if mark else "",
        count=mark.count if mark else "",
        camshaft=stop.camshaft,
        valves=stop.valves,
        margin=None if stop.margin is None else float(stop.margin),
        narrow=stop.margin is not None and stop.margin < COMFORT,
    )


def _lanes(engine: Engine, events: Events) -> list[Lane]:
    lanes = []
    for cylinder in sorted(engine.cylinders, key=lambda one: one.number):
        for side in Side:
            valves = engine.along(cylinder.number, side)
            if not valves:
                continue
            start, end = events.lift(side)
            fires = cylinder.fires_at or 0
            lanes.append(
                Lane(
                    cylinder=cylinder.number,
                    side=side,
                    valves=tuple(valve.id for valve in valves),
                    fires_at=fires,
                    lift_from=float(fires + start),
                    lift_to=float(fires + end),
                    peak=float(fires + events.peak(side)),
                )
            )
    return lanes


def at_rest(engine: Engine, events: Events, degrees: Fraction) -> tuple[str, ...]:
    """Return the valves whose followers rest on the base circle as the crank stands."""

    def rests(clearance: Clearance) -> bool:
        return margin(engine, clearance, events, degrees) > 0

    return tuple(clearance.id for clearance in engine.clearances if rests(clearance))
