"""Where to turn the crank to: the fewest stops that put every follower on its base circle.

The local angle of a cylinder is (θ − fires_at) mod 720 crank degrees, 0 at its compression
TDC. A follower is off the base circle while its lobe lifts it, ramps included; at every
other angle its gap can be measured. The cam turns once for two turns of the crank.
"""

from collections.abc import Iterator, Sequence
from dataclasses import dataclass
from enum import StrEnum
from fractions import Fraction
from typing import TypeVar

from plimb.core.engine.engine import Clearance, Engine, Side
from plimb.core.errors import BadValue

Number = TypeVar("Number", int, Fraction)

CYCLE = 720
COMFORT = 20
"""A margin under this many crank degrees deserves a stop of its own (judgement)."""


class Method(StrEnum):
    """The two schools: by the crank's marks, or lobe by lobe; a head on the bench has no crank."""

    MARKS = "marks"
    LOBE = "lobe"
    BENCH = "bench"


@dataclass(frozen=True, slots=True, kw_only=True)
class Events:
    """When the valves open and close, in crank degrees, and how far the ramps reach beyond.

    The defaults are mild road timing; with them the planner gives the two-position tables
    of an inline four and a straight six (common practice).
    """

    intake_opens_btdc: int = 20
    intake_closes_abdc: int = 60
    exhaust_opens_bbdc: int = 60
    exhaust_closes_atdc: int = 20
    ramp: int = 20

    def __post_init__(self) -> None:
        for side in Side:
            start, end = self.lift(side)
            if not 0 < end - start < CYCLE:
                raise BadValue(
                    f"events: the {side} valve would be lifted for {end - start} of {CYCLE} "
                    "degrees; check the opening and closing angles.",
                    field="events",
                )

    def lift(self, side: Side) -> tuple[int, int]:
        """Return the local angles between which the follower is off the base circle."""
        opens, closes = self.opening(side)
        return opens - self.ramp, closes + self.ramp

    def opening(self, side: Side) -> tuple[int, int]:
        """Return the local angles at which the valve opens and closes."""
        if side is Side.INTAKE:
            return 360 - self.intake_opens_btdc, 540 + self.intake_closes_abdc
        return 180 - self.exhaust_opens_bbdc, 360 + self.exhaust_closes_atdc

    def peak(self, side: Side) -> Fraction:
        """Return the local angle at which the lobe points straight at its follower."""
        opens, closes = self.opening(side)
        return Fraction(opens + closes, 2)


USUAL_EVENTS = Events()


@dataclass(frozen=True, slots=True, kw_only=True)
class Stop:
    """One place to turn to, and what is measured there.

    `degrees` are of the crank in the 720° cycle, None where nobody knows them: by the maker's
    own table the `mark` alone is enough, and on the bench just the `camshaft` is turned.
    Without a mark only the lobes prove the place. `margin` is the smallest distance of a valve
    from being lifted, None where the maker's word stands for it.
    """

    degrees: Fraction | None
    mark: str | None
    valves: tuple[str, ...]
    margin: Fraction | None
    camshaft: str | None = None


@dataclass(frozen=True, slots=True, kw_only=True)
class TurnPlan:
    """The stops in turning order, and the degrees turned from the first to the last."""

    stops: tuple[Stop, ...]
    turning: Fraction


def margin(engine: Engine, clearance: Clearance, events: Events, degrees: Fraction) -> Fraction:
    """Return how far the follower is from being lifted, in crank degrees; below 0 it is lifted."""
    start, end = events.lift(clearance.side)
    fires_at = _fires_at(engine, clearance.cylinder)
    return Fraction(_margin(2 * degrees - 2 * fires_at, 2 * start, 2 * end), 2)


def _margin(local: Number, start: int, end: int) -> Number:
    """Return the same for angles in half degrees, in which every candidate is whole."""
    past = (local - start) % (2 * CYCLE)
    lifted = end - start
    if past < lifted:
        return -min(past, lifted - past)
    return min(past - lifted, 2 * CYCLE - past)


def plan_turning(
    engine: Engine, events: Events | None = None, method: Method = Method.MARKS
) -> TurnPlan:
    """Return the stops that reach every valve; without `events` a mild timing is assumed.

    By the marks: first the maker's own table, each mark with the valves that are measured at
    it. For what it leaves: the fewest stops; then the fewest that are not at a marked TDC; then
    the least turning from the first stop on, in the engine's own direction only; then the
    largest smallest margin. Where nobody has said when the cylinders fire each is measured at
    its own compression TDC. From assumed timing no unmarked place is named where the engine's
    own marks can stand for it. By the lobe: one stop a lobe, each straight away from its
    follower. On the bench: the same, camshaft by camshaft.

    Raises:
        BadValue: A valve is never at rest with these events.
    """
    if method is Method.BENCH:
        return _on_bench(engine)
    timing = events or USUAL_EVENTS
    if method is Method.LOBE:
        return _by_lobe(engine, timing)
    tabled = _by_table(engine, timing)
    done = {valve for stop in tabled for valve in stop.valves}
    left = [clearance for clearance in engine.clearances if clearance.id not in done]
    if not left:
        return TurnPlan(stops=tabled, turning=Fraction(0))
    if not engine.firing_known:
        alone = _each_alone(engine, {clearance.id for clearance in left})
        return TurnPlan(stops=(*tabled, *alone), turning=Fraction(0))
    found = _computed(engine, left, timing, assumed=events is None)
    return TurnPlan(stops=(*tabled, *found.stops), turning=found.turning)


def _by_table(engine: Engine, events: Events) -> tuple[Stop, ...]:
    """Return the marks at which the maker says what is measured, in the order they are given.

    A mark comes round twice a cycle; the turn at which its valves are further from being lifted
    is meant. The only mark of a single is for all its valves.
    """
    stops = []
    for mark in engine.marks:
        single = len(engine.marks) == len(engine.cylinders) == 1 and mark.degrees is None
        valves = tuple(engine.names) if single and not mark.valves else mark.valves
        if valves:
            named = tuple(engine.names[key] for key in valves if key in engine.names)
            at = _turn_of(engine, events, mark.degrees, named)
            stops.append(Stop(degrees=at, mark=mark.name, valves=named, margin=None))
    return tuple(stops)


def _turn_of(
    engine: Engine, events: Events, degrees: int | None, valves: tuple[str, ...]
) -> Fraction | None:
    if degrees is None or not engine.firing_known:
        return None
    return max(
        (Fraction(degrees), Fraction(degrees + 360)),
        key=lambda at: min(margin(engine, engine.clearance(v), events, at) for v in valves),
    )


def _each_alone(engine: Engine, left: set[str]) -> tuple[Stop, ...]:
    """Return each cylinder's compression top dead centre: there its own valves are at rest."""
    stops = []
    for cylinder in sorted(engine.cylinders, key=lambda one: one.number):
        own = (valve for side in Side for valve in engine.along(cylinder.number, side))
        valves = tuple(valve.id for valve in own if valve.id in left)
        if valves:
            mark = f"T{cylinder.number}"
            stops.append(Stop(degrees=None, mark=mark, valves=valves, margin=None))
    return tuple(stops)


def _computed(
    engine: Engine, among: Sequence[Clearance], events: Events, *, assumed: bool
) -> TurnPlan:
    table = _Table(engine, among, events, assumed=assumed)
    wanted = frozenset(range(len(table.groups)))
    never = wanted.difference(*table.reach)
    if never:
        cylinder, side = table.groups[min(never)]
        raise BadValue(
            f"events: the {side} valves of cylinder {cylinder} are never at rest.", field="events"
        )
    count = next(n for n in range(1, len(wanted) + 1) if any(table.covers(wanted, n)))
    best = min(table.covers(wanted, count), key=table.worth)
    at: dict[Fraction, list[tuple[str, Fraction]]] = {}
    left = {clearance.id for clearance in among}
    for group, angle in table.assigned(best).items():
        stop = at.setdefault(Fraction(table.angles[angle], 2), [])
        for valve in engine.along(*table.groups[group]):
            if valve.id in left:
                stop.append((valve.id, Fraction(table.margins[group][angle], 2)))
    return _in_order(engine, at)


class _Table:
    """What every candidate angle reaches; twins share their cylinder's lobes, so go as one.

    Angles and margins are in half degrees.
    """

    def __init__(
        self, engine: Engine, among: Sequence[Clearance], events: Events, *, assumed: bool
    ) -> None:
        fires = {cylinder.number: 2 * (cylinder.fires_at or 0) for cylinder in engine.cylinders}
        lifts = {side: tuple(2 * edge for edge in events.lift(side)) for side in Side}
        present = {(valve.cylinder, valve.side) for valve in among}
        self.groups = [(n, side) for n in fires for side in Side if (n, side) in present]
        marked = {(at + turn) % (2 * CYCLE) for at in fires.values() for turn in (0, CYCLE)}
        marked |= {
            (2 * mark.degrees + turn) % (2 * CYCLE)
            for mark in engine.marks
            for turn in (0, CYCLE)
            if mark.degrees is not None
        }
        ends = sorted(
            {(fires[n] + edge) % (2 * CYCLE) for n, side in self.groups for edge in lifts[side]}
        )
        middles = {
            (start + ((end - start) % (2 * CYCLE) or 2 * CYCLE) // 2) % (2 * CYCLE)
            for start, end in zip(ends, [*ends[1:], ends[0]], strict=True)
        }
        self.angles = sorted(marked | middles)
        self.is_marked = [mark_at(engine, Fraction(angle, 2)) is not None for angle in self.angles]
        self.margins = [
            [_margin(angle - fires[n], *lifts[side]) for angle in self.angles]
            for n, side in self.groups
        ]
        self.reach = [
            frozenset(g for g in range(len(self.groups)) if self.margins[g][a] > 0)
            for a in range(len(self.angles))
        ]
        own = any(mark.degrees is not None for mark in engine.marks)
        self.kept = self._undominated(just_marked=own and assumed)

    def _undominated(self, *, just_marked: bool) -> list[int]:
        """Drop the unmarked candidates that reach no more than some marked one does.

        Where `just_marked` ones are wanted, all of them, if those reach every group.
        """
        marked = [a for a, is_marked in enumerate(self.is_marked) if is_marked]
        reached = frozenset[int]().union(*(self.reach[a] for a in marked))
        if just_marked and len(reached) == len(self.groups):
            return marked
        return [
            a
            for a in range(len(self.angles))
            if self.is_marked[a] or not any(self.reach[a] <= self.reach[b] for b in marked)
        ]

    def covers(self, wanted: frozenset[int], count: int) -> Iterator[tuple[int, ...]]:
        """Give every set of `count` candidates that reaches all wanted groups, each once."""
        seen: set[frozenset[int]] = set()

        def branch(missing: frozenset[int], taken: frozenset[int]) -> Iterator[tuple[int, ...]]:
            if not missing:
                if taken not in seen:
                    seen.add(taken)
                    yield tuple(sorted(taken))
                return
            left = count - len(taken)
            if left * max(len(self.reach[a] & missing) for a in self.kept) < len(missing):
                return
            hardest = min(missing, key=lambda g: sum(g in self.reach[a] for a in self.kept))
            for angle in self.kept:
                if hardest in self.reach[angle]:
                    yield from branch(missing - self.reach[angle], taken | {angle})

        return branch(wanted, frozenset())

    def assigned(self, cover: tuple[int, ...]) -> dict[int, int]:
        """Return for each group the stop where its margin is largest, the earlier among equals."""
        return {
            group: max(cover, key=lambda angle: (margins[angle], -angle))
            for group, margins in enumerate(self.margins)
        }

    def worth(self, cover: tuple[int, ...]) -> tuple[int, int, int, list[int]]:
        """Return what to prefer among covers of one size: the smallest is the best."""
        at = self.assigned(cover)
        used = sorted({self.angles[angle] for angle in at.values()})
        widest = max(
            (angle - used[place - 1]) % (2 * CYCLE) or 2 * CYCLE for place, angle in enumerate(used)
        )
        unmarked = sum(not self.is_marked[angle] for angle in set(at.values()))
        smallest = min(self.margins[group][angle] for group, angle in at.items())
        return unmarked, 2 * CYCLE - widest, -smallest, used


def _fires_at(engine: Engine, cylinder: int) -> int:
    return next(each.fires_at or 0 for each in engine.cylinders if each.number == cylinder)


def _in_order(engine: Engine, at: dict[Fraction, list[tuple[str, Fraction]]]) -> TurnPlan:
    """Start behind the widest span without a stop, so that the least is turned."""
    angles = sorted(angle for angle, valves in at.items() if valves)
    spans = [
        ((angle - angles[place - 1]) % CYCLE or CYCLE, -angle) for place, angle in enumerate(angles)
    ]
    first = spans.index(max(spans))
    ordered = [*angles[first:], *angles[:first]]
    return TurnPlan(
        stops=tuple(
            Stop(
                degrees=angle,
                mark=mark_at(engine, angle),
                valves=tuple(valve for valve, _margin in at[angle]),
                margin=min(margin for _valve, margin in at[angle]),
            )
            for angle in ordered
        ),
        turning=(ordered[-1] - ordered[0]) % CYCLE,
    )


def _by_lobe(engine: Engine, events: Events) -> TurnPlan:
    if not engine.firing_known:
        return _lobe_after_lobe(engine)
    at: dict[Fraction, list[tuple[str, Fraction]]] = {}
    for valve in engine.clearances:
        fires = _fires_at(engine, valve.cylinder)
        angle = (fires + events.peak(valve.side) + 360) % CYCLE
        at.setdefault(angle, []).append((valve.id, margin(engine, valve, events, angle)))
    return _in_order(engine, at)


def _lobe_after_lobe(engine: Engine) -> TurnPlan:
    """Return a stop a lobe, cylinder by cylinder, where nobody has said when they fire."""
    groups = (
        tuple(valve.id for valve in engine.along(cylinder.number, side))
        for cylinder in sorted(engine.cylinders, key=lambda one: one.number)
        for side in Side
    )
    stops = (Stop(degrees=None, mark=None, valves=group, margin=None) for group in groups if group)
    return TurnPlan(stops=tuple(stops), turning=Fraction(0))


def _on_bench(engine: Engine) -> TurnPlan:
    """Return a stop a lobe, camshaft by camshaft, cylinders in their order."""
    stops: dict[tuple[str, int, Side], list[str]] = {}
    for shaft in engine.camshafts:
        for cylinder in sorted(engine.cylinders, key=lambda one: one.number):
            for side in Side:
                for valve in engine.along(cylinder.number, side):
                    if valve.camshaft == shaft.id:
                        stops.setdefault((shaft.id, cylinder.number, side), []).append(valve.id)
    return TurnPlan(
        stops=tuple(
            Stop(degrees=None, mark=None, valves=tuple(valves), margin=None, camshaft=shaft)
            for (shaft, _cylinder, _side), valves in stops.items()
        ),
        turning=Fraction(0),
    )


def mark_at(engine: Engine, degrees: Fraction) -> str | None:
    """Return the name of the crank mark that lines up there, or None.

    Without marks of its own every cylinder's TDC is taken as marked, `T` and its number.
    """
    known = [mark for mark in engine.marks if mark.degrees is not None]
    own = [mark.name for mark in known if ((mark.degrees or 0) - degrees) % 360 == 0]
    if known:
        return own[0] if own else None
    fires = [(cylinder.number, (cylinder.fires_at or 0) - degrees) for cylinder in engine.cylinders]
    firing = [number for number, off in fires if off % CYCLE == 0]
    other = [number for number, off in fires if off % 360 == 0]
    numbers = firing or other
    return f"T{min(numbers)}" if numbers else None


def order_by_plan(engine: Engine, plan: TurnPlan) -> tuple[str, ...]:
    """Return every valve in the order of the stops; at a stop by cylinder, intake first."""
    ordered: list[str] = []
    for stop in plan.stops:
        here = set(stop.valves)
        for cylinder in sorted(engine.cylinders, key=lambda one: one.number):
            for side in Side:
                ordered.extend(
                    valve.id for valve in engine.along(cylinder.number, side) if valve.id in here
                )
    return tuple(ordered)
