"""Why not another piece, held against a reference that forces it and tries every plan there is.

Common practice: a choice is explained by what the whole job would come to otherwise.
"""

import os
import random
import re
from dataclasses import replace
from typing import Any

import pytest

from plimb.core.plan.request import Pin
from plimb.core.plan.rivals import ORDER, rivals
from plimb.core.plan.search import plan_engine
from plimb.core.shim.shim import Source

from .engines import random_case
from .test_plan import every_plan

CASES = 60 if os.environ.get("PLIMB_LONG") else 8


def forced(request: Any, valve: str, rival: Any) -> Any:
    """Return the least sum of levels with a piece put into a valve, by trying every plan."""
    own = {row.valve: at for at, row in enumerate(request.rows)}

    def is_it(option: Any) -> Any:
        token, _levels, changes = option
        if rival.source is Source.DRAWER:
            lies = token is not None and token[0] == "drawer"
            return lies and request.drawer[token[1]].thickness_nm == rival.thickness_nm
        giver = valve if rival.source is Source.SAME else rival.from_valve
        return token == ("own", own[giver]) and changes is (rival.source is not Source.SAME)

    return every_plan(request, only={own[valve]: is_it})


@pytest.mark.parametrize("seed", range(CASES))
def test_each_rival_is_what_every_plan_with_it_comes_to_and_is_said_by_the_first_difference(
    seed: int,
) -> None:
    dice, asked, held = random.Random(seed), 0, 0
    while asked < 40:
        request = random_case(dice, dice.choice([2, 3]), dice.randint(0, 3), dice.randint(1, 2))
        plan = plan_engine(request)
        for row in request.rows:
            for rival in rivals(request, plan, row.valve):
                asked += 1
                least = (
                    None if rival.source is Source.COUNTER else forced(request, row.valve, rival)
                )
                assert least in (None, rival.forced.levels)  # none: no plan would take it by itself
                held += least is not None
                assert rival.forced.levels >= plan.levels
                assert rival.level == first(plan.levels, rival.forced.levels)
                is_so(request, plan, row.valve, rival)
    assert held


def first(mine: Any, theirs: Any) -> Any:
    """Return the name of the first level at which two plans differ."""
    return next((n for n, a, b in zip(ORDER, mine, theirs, strict=True) if a != b), "")


def is_so(request: Any, plan: Any, valve: str, rival: Any) -> None:
    """Fail unless every figure and every name of the sentence is that of the two plans."""
    said = rival.words.split(". ", 1)[1]
    other, at = rival.forced, {row.valve: row for row in request.rows}
    more = re.search(r"it costs (?:as much as )?([\d.]*\d)(?: shims?)? more", said)
    if rival.level == "cost":
        assert more is not None, said
        figure = float(more[1])
        priced = any(row.clearance.family.price is not None for row in request.rows)
        usual = max([row.clearance.family.price for row in request.rows
                     if row.clearance.family.price is not None], default=1)  # fmt: skip
        total = (other.levels[6] - plan.levels[6]) / 100
        assert abs(figure - (total if priced else total / float(usual))) <= 0.051
    for name in re.findall(r"\bV\d\b", said):
        assert name in at
        if "no shim" in said:
            assert name in other.empty
        elif "bought" in said:
            assert other.move(name).source is Source.COUNTER
            assert plan.move(name).source is not Source.COUNTER
        elif "brought into range" in said:
            assert name in other.out_of_spec
            assert name not in plan.out_of_spec
    for name in re.findall(r"\bS\d\b", said):
        assert name in other.camshafts_out
        assert name not in plan.camshafts_out
    if sure := re.search(r"That is (\d+) % sure, not (\d+) %", said):
        assert int(sure[1]) == int(other.move(valve).chance * 100)
        assert int(sure[1]) < int(sure[2]) or other.move(valve).chance < plan.move(valve).chance
    if said.startswith("That is out of range"):
        assert valve in other.out_of_spec
    if away := re.search(r"That is ([\d.]*\d) from the aim, not ([\d.]*\d)", said):
        assert float(away[1]) > float(away[2])


def test_of_a_piece_decided_by_hand_it_is_said_what_the_plan_would_do() -> None:
    dice, asked = random.Random(7), 0
    while asked < 30:
        request = random_case(dice, 3, 3, 2)
        free = plan_engine(request)
        for row in request.rows:
            for rival in rivals(request, free, row.valve):
                pin = Pin(source=rival.source, thickness_nm=rival.thickness_nm,
                          from_valve=rival.from_valve)  # fmt: skip
                pinned = replace(request, pins={row.valve: pin})
                (said,) = rivals(pinned, plan_engine(pinned), row.valve)
                assert said.forced.levels == free.levels
                assert said.level == rival.level
                assert said.words.startswith("Left to the plan")
                asked += 1
