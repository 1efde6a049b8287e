"""Which valves rest as the crank stands: the core and the browser by one table of cases."""

import json
from fractions import Fraction
from pathlib import Path
from typing import Any

import pytest

from plimb.core.engine.cycle import at_rest, cycle_of
from plimb.core.engine.followers import Follower
from plimb.core.engine.turning import USUAL_EVENTS, Method, plan_turning
from plimb.files.engine_file import EngineFile
from plimb.files.starting_point import Layout, Start, starting_point

CASES = json.loads((Path(__file__).parents[2] / "cases" / "at-rest.json").read_text("utf-8"))


def engine_of(case: Any) -> Any:
    start = Start(layout=Layout(case["layout"]), follower=Follower(case["follower"]))
    return EngineFile.model_validate(starting_point(start)).to_core()


@pytest.mark.parametrize("case", CASES, ids=lambda case: case["layout"])
def test_what_rests_is_what_the_table_says_which_the_browser_is_held_to_as_well(case: Any) -> None:
    engine = engine_of(case)
    for crank, resting in case["at"]:
        assert set(at_rest(engine, USUAL_EVENTS, Fraction(crank))) == set(resting), crank


@pytest.mark.parametrize("case", CASES, ids=lambda case: case["layout"])
def test_the_lanes_of_the_table_are_those_that_go_to_the_browser(case: Any) -> None:
    engine = engine_of(case)
    cycle = cycle_of(engine, USUAL_EVENTS, Method.MARKS, plan_turning(engine))
    drawn = [
        {"valves": list(lane.valves), "lift_from": lane.lift_from, "lift_to": lane.lift_to}
        for lane in cycle.lanes
    ]
    assert drawn == case["lanes"]
    # at every stop of the plan what is to be measured there rests
    for stop in cycle.stops:
        assert set(stop.valves) <= set(at_rest(engine, USUAL_EVENTS, Fraction(stop.degrees)))
