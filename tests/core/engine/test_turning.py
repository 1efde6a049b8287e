"""Where to turn to: the tables of the trade, and an exhaustive search beside the planner."""

from fractions import Fraction
from itertools import combinations
from typing import Any

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from plimb.core.engine.cycle import cycle_of
from plimb.core.engine.engine import Side
from plimb.core.engine.followers import Follower
from plimb.core.engine.turning import (
    COMFORT,
    USUAL_EVENTS,
    Events,
    Method,
    margin,
    order_by_plan,
    plan_turning,
)
from plimb.core.errors import BadValue
from plimb.files.engine_file import EngineFile
from plimb.files.starting_point import Layout, Start, starting_point


def engine(layout: Any, **more: Any) -> Any:
    file = starting_point(Start(layout=Layout(layout), **more))
    return EngineFile.model_validate(file).to_core()


def at(plan: Any, mark: Any) -> Any:
    stop = next(stop for stop in plan.stops if stop.mark == mark)
    return {side: {int(v.split()[0]) for v in stop.valves if side in v} for side in ("IN", "EX")}


@pytest.mark.parametrize("edge", [1, 40, 90, 130, 179])
def test_the_two_positions_of_an_inline_four(edge: Any) -> None:
    """1-3-4-2 at No. 1 compression TDC: IN 1, 2 and EX 1, 3 (common practice).

    With a lobe that lifts for any `edge` in (0, 180] degrees either side of the two dead
    centres it works between, the table is the same.
    """
    events = Events(
        intake_opens_btdc=0, intake_closes_abdc=edge, exhaust_opens_bbdc=edge,
        exhaust_closes_atdc=0, ramp=0,
    )  # fmt: skip
    for timing in (USUAL_EVENTS, events):
        plan = plan_turning(engine("inline-four"), timing)
        assert [stop.mark for stop in plan.stops] == ["T1", "T4"]
        assert at(plan, "T1") == {"IN": {1, 2}, "EX": {1, 3}}
        assert at(plan, "T4") == {"IN": {3, 4}, "EX": {2, 4}}


@pytest.mark.parametrize("lifted", [262, 300, 360, 440, 458])
def test_the_two_positions_of_a_straight_six(lifted: Any) -> None:
    """1-5-3-6-2-4 at No. 1 compression TDC: IN 1, 2, 4 and EX 1, 3, 5 (common practice).

    Any duration with ramps in (260, 460], for a symmetric lobe centred 110° from TDC.
    """
    half = lifted // 2
    events = Events(
        intake_opens_btdc=half - 110, intake_closes_abdc=half - 70,
        exhaust_opens_bbdc=half - 70, exhaust_closes_atdc=half - 110, ramp=0,
    )  # fmt: skip
    for timing in (USUAL_EVENTS, events):
        plan = plan_turning(engine("straight-six"), timing)
        assert [stop.mark for stop in plan.stops] == ["T1", "T6"]
        assert at(plan, "T1") == {"IN": {1, 2, 4}, "EX": {1, 3, 5}}
        assert at(plan, "T6") == {"IN": {3, 5, 6}, "EX": {2, 4, 6}}


def lifted_at(machine: Any, events: Any, degrees: Any) -> Any:
    """Which valves are off the base circle, by the definition alone and for whole degrees."""
    fires = {one.number: one.fires_at for one in machine.cylinders}
    off = set()
    for valve in machine.clearances:
        local = (degrees - fires[valve.cylinder]) % 720
        if valve.side is Side.INTAKE:
            start = 360 - events.intake_opens_btdc - events.ramp
            end = 540 + events.intake_closes_abdc + events.ramp
        else:
            start = 180 - events.exhaust_opens_bbdc - events.ramp
            end = 360 + events.exhaust_closes_atdc + events.ramp
        if any(start <= local + turn <= end for turn in (-720, 0, 720)):
            off.add(valve.id)
    return off


def fewest(machine: Any, events: Any) -> Any:
    """The fewest stops by trying every set of the 720 whole degrees."""
    every = {valve.id for valve in machine.clearances}
    reach = {frozenset(every - lifted_at(machine, events, degrees)) for degrees in range(720)}
    widest = [one for one in reach if not any(one < other for other in reach)]
    return next(
        count
        for count in range(1, len(every) + 1)
        if any(set().union(*chosen) == every for chosen in combinations(widest, count))
    )


MACHINES = {
    "V-twin 60": engine("v-twin", angle=60),
    "V-twin 75": engine("v-twin", angle=75),
    "V-twin 90": engine("v-twin", angle=90),
    "L-twin": engine("l-twin", valves=2, camshafts=1),
    "twin 180": engine("parallel-twin", angle=180),
    "twin 270": engine("parallel-twin", angle=270),
    "twin 360": engine("parallel-twin", angle=360),
    "triple": engine("triple"),
    "flat four": engine("flat-four"),
    "V-four": engine("v-four"),
    "straight six": engine("straight-six"),
}

timings = st.builds(
    Events,
    intake_opens_btdc=st.integers(-10, 60),
    intake_closes_abdc=st.integers(10, 90),
    exhaust_opens_bbdc=st.integers(10, 90),
    exhaust_closes_atdc=st.integers(-10, 60),
    ramp=st.integers(0, 40),
)


@pytest.mark.parametrize("machine", MACHINES.values(), ids=MACHINES)
def test_the_planner_agrees_with_every_whole_degree_tried(machine: Any) -> None:
    plan = plan_turning(machine)
    assert len(plan.stops) == fewest(machine, USUAL_EVENTS)


@pytest.mark.slow
@settings(max_examples=60)
@given(st.sampled_from(list(MACHINES.values())), timings)
def test_every_valve_is_at_rest_at_its_stop_and_no_fewer_stops_do(
    machine: Any, events: Any
) -> None:
    plan = plan_turning(machine, events)
    placed = [valve for stop in plan.stops for valve in stop.valves]
    assert sorted(placed) == sorted(valve.id for valve in machine.clearances)
    for stop in plan.stops:
        for valve in stop.valves:
            assert margin(machine, machine.clearance(valve), events, stop.degrees) >= stop.margin
        assert stop.margin > 0
        if stop.degrees.denominator == 1:
            assert not set(stop.valves) & lifted_at(machine, events, int(stop.degrees))
    # whole degrees miss spans narrower than one, so they can only need more
    assert len(plan.stops) <= fewest(machine, events)
    gaps = sum(
        (b.degrees - a.degrees) % 720 for a, b in zip(plan.stops, plan.stops[1:], strict=False)
    )
    assert plan.turning == gaps


def test_marked_stops_are_preferred_and_own_marks_are_used() -> None:
    plan = plan_turning(MACHINES["twin 270"])
    assert [(stop.degrees, stop.mark) for stop in plan.stops] == [(0, "T1"), (270, "T2")]  # type: ignore[comparison-overlap]
    file = starting_point(Start(layout=Layout.PARALLEL_TWIN))
    file["engine"]["crank"]["marks"] = [{"name": "|F", "degrees": 0}]
    plan = plan_turning(EngineFile.model_validate(file).to_core())
    assert [(stop.degrees, stop.mark) for stop in plan.stops] == [(0, "|F"), (360, "|F")]  # type: ignore[comparison-overlap]


def test_a_narrow_margin_is_known_as_such() -> None:
    assert min(stop.margin for stop in plan_turning(MACHINES["V-four"]).stops) == 10 < COMFORT


def lobe_points(engine: Any, clearance: Any, events: Any, degrees: Any) -> Any:
    """Say where the lobe points, in cam degrees past its follower: 180 is straight away."""
    fires = next(one.fires_at for one in engine.cylinders if one.number == clearance.cylinder)
    return ((degrees - fires - events.peak(clearance.side)) % 720) / 2


def test_by_the_lobe_each_lobe_points_straight_away() -> None:
    machine = MACHINES["twin 270"]
    plan = plan_turning(machine, USUAL_EVENTS, Method.LOBE)
    assert len(plan.stops) == 4
    for stop in plan.stops:
        for valve in stop.valves:
            clearance = machine.clearance(valve)
            assert lobe_points(machine, clearance, USUAL_EVENTS, stop.degrees) == 180


def test_the_lobe_points_at_its_follower_at_full_lift() -> None:
    machine = MACHINES["triple"]
    peak = USUAL_EVENTS.peak(Side.INTAKE)
    assert lobe_points(machine, machine.clearance("1 IN L"), USUAL_EVENTS, peak) == 0
    assert lobe_points(machine, machine.clearance("1 IN L"), USUAL_EVENTS, peak + 90) == Fraction(
        45
    )


def test_the_order_of_measuring_follows_the_stops() -> None:
    machine = MACHINES["triple"]
    order = order_by_plan(machine, plan_turning(machine))
    assert order[:6] == ("1 IN L", "1 IN R", "1 EX L", "1 EX R", "3 IN L", "3 IN R")
    assert sorted(order) == sorted(valve.id for valve in machine.clearances)


def test_timing_that_leaves_no_rest_is_refused() -> None:
    with pytest.raises(BadValue, match="lifted"):
        Events(intake_opens_btdc=360, intake_closes_abdc=240)


def starts() -> Any:
    for layout in Layout:
        for valves in (2, 3, 4, 5):
            if layout is not Layout.V_TWELVE or valves < 5:
                yield Start(layout=layout, valves=valves, camshafts=1 + valves % 2)


@pytest.mark.parametrize("start", list(starts()), ids=lambda s: f"{s.layout}-{s.valves}")
def test_every_layout_can_be_started_from_and_turned(start: Any) -> None:
    machine = EngineFile.model_validate(starting_point(start)).to_core()
    cylinders = len(machine.cylinders)
    assert len(machine.clearances) == cylinders * start.valves
    assert 1 <= len(plan_turning(machine).stops) <= cylinders


def test_an_opener_closer_has_two_clearances_a_valve_each_with_its_spec() -> None:
    machine = engine("l-twin", follower=Follower.OPENER_CLOSER, valves=2)
    assert [valve.id for valve in machine.clearances][:2] == ["1 IN op", "1 IN cl"]
    assert len(machine.clearances) == 8


@pytest.mark.parametrize(
    ("start", "field"),
    [
        ({"layout": Layout.SINGLE, "valves": 6}, "valves"),
        ({"layout": Layout.SINGLE, "camshafts": 3}, "camshafts"),
        ({"layout": Layout.V_TWIN, "angle": 61}, "angle"),
        (
            {"layout": Layout.STRAIGHT_SIX, "valves": 5, "follower": Follower.OPENER_CLOSER},
            "valves",
        ),
    ],
)
def test_a_layout_that_is_not_met_is_refused(start: Any, field: Any) -> None:
    with pytest.raises(BadValue) as refusal:
        starting_point(Start(**start))
    assert refusal.value.field == field


# the maker's marks ---------------------------------------------------------------------------


def marked(layout: Any, marks: Any, **start: Any) -> Any:
    document = starting_point(Start(layout=layout, **start))
    document["engine"]["crank"]["marks"] = marks
    return EngineFile.model_validate(document).to_core()


def test_the_makers_table_needs_no_angle_and_no_timing() -> None:
    rear = ["2 IN L", "2 IN R", "2 EX L", "2 EX R"]
    front = [name.replace("2", "1", 1) for name in rear]
    machine = marked(Layout.V_TWIN, [{"name": "R", "valves": rear}, {"name": "F", "valves": front}])
    plan = plan_turning(machine)
    assert [(stop.mark, list(stop.valves)) for stop in plan.stops] == [("R", rear), ("F", front)]
    assert all(stop.degrees is None and stop.margin is None for stop in plan.stops)


def test_what_the_makers_table_leaves_is_worked_out_behind_it() -> None:
    machine = marked(Layout.V_TWIN, [{"name": "R", "valves": ["2 IN L", "2 IN R"]}])
    plan = plan_turning(machine)
    assert plan.stops[0].valves == ("2 IN L", "2 IN R")
    assert sorted(order_by_plan(machine, plan)) == sorted(machine.by_id)
    assert all(stop.margin for stop in plan.stops[1:])


def test_a_180_degree_twin_with_its_own_marks_is_never_sent_to_an_unmarked_place() -> None:
    marks = [{"name": "1", "degrees": 0}, {"name": "2", "degrees": 180}]
    machine = marked(Layout.PARALLEL_TWIN, marks, valves=2, camshafts=1, angle=180)
    assert {stop.mark for stop in plan_turning(machine).stops} == {"1", "2"}
    # with a timing that somebody entered fewer stops are no guess
    assert len(plan_turning(machine, USUAL_EVENTS).stops) == 1


def test_the_only_mark_of_a_single_is_for_all_its_valves() -> None:
    machine = marked(Layout.SINGLE, [{"name": "T"}])
    assert [stop.valves for stop in plan_turning(machine).stops] == [tuple(machine.by_id)]


def test_of_a_marks_two_turns_the_one_is_meant_where_its_valves_rest() -> None:
    marks = [{"name": "T", "degrees": 0, "valves": ["IN L", "IN R", "EX L", "EX R"]}]
    assert plan_turning(marked(Layout.SINGLE, marks)).stops[0].degrees == 0


@pytest.mark.parametrize("valves", [["9 IN"], ["IN L", "IN L"]])
def test_a_mark_names_valves_that_are_there_each_once(valves: Any) -> None:
    with pytest.raises(BadValue):
        marked(Layout.SINGLE, [{"name": "T", "valves": valves}])


def test_a_renamed_valve_is_still_measured_at_its_mark() -> None:
    document = starting_point(Start(layout=Layout.SINGLE))
    document["engine"]["valves"][0] |= {"id": "Left inlet", "key": "IN L"}
    document["engine"]["crank"]["marks"] = [{"name": "T", "valves": ["Left inlet"]}]
    machine = EngineFile.model_validate(document).to_core()
    assert plan_turning(machine).stops[0].valves == ("Left inlet",)


def test_on_the_bench_each_lobe_is_a_stop_camshaft_by_camshaft() -> None:
    machine = marked(Layout.INLINE_FOUR, [])
    stops = plan_turning(machine, None, Method.BENCH).stops
    assert [stop.camshaft for stop in stops] == ["IN"] * 4 + ["EX"] * 4
    assert sorted(v for stop in stops for v in stop.valves) == sorted(machine.by_id)


@pytest.mark.parametrize("layout", ["parallel-twin", "inline-four", "v-four", "straight-six"])
def test_where_nobody_said_when_cylinders_fire_each_is_measured_at_its_own_dead_centre(
    layout: Any,
) -> None:
    machine = engine(layout, firing="")
    stops = plan_turning(machine).stops
    assert [stop.mark for stop in stops] == [f"T{one.number}" for one in machine.cylinders]
    assert all(stop.degrees is None for stop in stops)
    for cylinder, stop in zip(machine.cylinders, stops, strict=True):
        assert {machine.clearance(v).cylinder for v in stop.valves} == {cylinder.number}
    lobes = plan_turning(machine, None, Method.LOBE).stops
    assert sorted(v for stop in lobes for v in stop.valves) == sorted(machine.by_id)
    cycle = cycle_of(machine, None, Method.MARKS, plan_turning(machine))
    assert (cycle.lanes, cycle.firing_known, cycle.computed) == ((), False, True)


@pytest.mark.parametrize(
    ("layout", "firing", "angles"),
    [
        ("parallel-twin", "180", {1: 0, 2: 180}),
        ("inline-four", "1-2-4-3", {1: 0, 2: 180, 4: 360, 3: 540}),
        ("triple", "1-3-2", {1: 0, 3: 240, 2: 480}),
    ],
)
def test_a_firing_that_somebody_chose_is_the_one_there_is(
    layout: Any, firing: Any, angles: Any
) -> None:
    machine = engine(layout, firing=firing)
    assert {one.number: one.fires_at for one in machine.cylinders} == angles
    with pytest.raises(BadValue, match="firing of"):
        engine(layout, firing="1-1")
