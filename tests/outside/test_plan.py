"""The whole-engine plan against every possible plan, and against a second solver.

Source of the levels: common practice, as the plan's own page lists them; the second solver
is the HiGHS branch-and-bound that the scipy package carries.
"""

import os
import random
from dataclasses import replace
from itertools import product
from typing import Any

import numpy as np
import pytest
from scipy.optimize import Bounds, LinearConstraint, milp

from plimb.core.plan.needs import WhichToSet
from plimb.core.plan.search import plan_engine
from plimb.core.plan.together import Shared, plan_together
from plimb.core.shim.shim import Source

from .engines import SET_ALL, apart, options, random_case, settled, shaft_cost

LONG = bool(os.environ.get("PLIMB_LONG"))
SMALL, LARGE = (2000, 200) if LONG else (100, 4)


COST = 6
"""Where among the levels stands what it costs; the number of camshafts stands behind it."""


def every_plan(request: Any, only: Any = None) -> Any:
    """Return the best sum of levels, camshafts after what it costs, by trying all plans there are.

    `only` says by a valve's place which of its options are looked at.
    """
    choices = [
        [one for one in mine if not only or at not in only or only[at](one)]
        for at, mine in enumerate(options(request))
    ]
    shafts = [s.clearance.camshaft if s.clearance.camshaft_out else None for s in request.rows]
    every = request.policy.act is WhichToSet.EVERY
    all_set = every or request.policy.act is WhichToSet.ALL
    kept_out = [settled(row, request) for row in request.rows]
    best = None

    def finish(picked: Any) -> None:
        nonlocal best
        out = {shafts[at] for at, (_t, _l, changes) in enumerate(picked) if changes and shafts[at]}
        out |= apart(request)
        rows = [
            kept_out[at] if all_set and not changes and (every or shafts[at] in out) else levels
            for at, (_token, levels, changes) in enumerate(picked)
        ]
        sums = [sum(column) for column in zip(*rows, strict=True)]
        sums[COST] += shaft_cost(request) * len(out)
        total = (*sums[: COST + 1], len(out), *sums[COST + 1 :])
        if best is None or total < best:
            best = total

    def go(at: Any, used: Any, picked: Any) -> None:
        if at == len(choices):
            finish(picked)
            return
        for option in choices[at]:
            if option[0] is not None and option[0] in used:
                continue
            if option[0] == ("own", at) or option[0] is None or option[0] not in used:
                go(at + 1, used | {option[0]} if option[0] else used, [*picked, option])

    go(0, frozenset(), [])
    return best


def check_possible(request: Any, plan: Any) -> None:
    """Fail unless the plan uses each piece once, and only pieces that are free to be used."""
    taken = [move.from_valve or move.valve for move in plan.moves
             if move.source in (Source.SAME, Source.ENGINE)]  # fmt: skip
    assert len(set(taken)) == len(taken)
    for stock in request.drawer:
        used = sum(
            move.source is Source.DRAWER
            and move.thickness_nm == stock.thickness_nm
            and row.clearance.family.kind == stock.kind
            for move, row in zip(plan.moves, request.rows, strict=True)
        )
        assert used <= stock.count
    for move, row in zip(plan.moves, request.rows, strict=True):
        if move.source is not Source.SAME and row.clearance.camshaft_out:
            assert row.clearance.camshaft in plan.camshafts_out
        if move.from_valve:
            giver = next(s for s in request.rows if s.clearance.id == move.from_valve)
            moved = plan.move(move.from_valve).source is not Source.SAME
            assert moved
            assert giver.clearance.family.kind == row.clearance.family.kind


@pytest.mark.parametrize("seed", range(SMALL // 40))
def test_no_plan_there_is_beats_it(seed: int) -> None:
    dice = random.Random(seed)
    for number in range(40):
        valves = dice.choice([1, 2, 2, 3, 3, 3])
        request = random_case(dice, valves, drawer=dice.randint(0, 3), shafts=dice.randint(1, 2))
        plan = plan_engine(request)
        check_possible(request, plan)
        assert plan.levels == every_plan(request), (seed, number)


def by_highs(request: Any) -> Any:  # noqa: C901 - the whole program stands in one place
    """Return the best levels by one whole-number program a level, camshafts as variables."""
    choices = options(request)
    shafts = sorted({s.clearance.camshaft for s in request.rows if s.clearance.camshaft_out})
    cells = [(at, o) for at, mine in enumerate(choices) for o in mine]
    all_set, every = request.policy.act in SET_ALL, request.policy.act is WhichToSet.EVERY
    kept_out = []  # places of pieces kept under a camshaft that is out
    for at, row in enumerate(request.rows):
        if all_set and (row.clearance.camshaft_out or every):
            kept_out.append(len(cells))
            cells.append((at, (("own", at), settled(row, request), False)))
    width = len(cells) + len(shafts)
    rows, lows, highs = [], [], []

    def add(places: Any, low: Any, high: Any) -> None:
        line = np.zeros(width)
        for place, value in places:
            line[place] += value
        rows.append(line)
        lows.append(low)
        highs.append(high)

    for place, (at, option) in enumerate(cells):
        row = request.rows[at]
        out = option[2] or place in kept_out
        if row.clearance.camshaft_out and (out or all_set):
            shaft = len(cells) + shafts.index(row.clearance.camshaft)
            add([(place, 1), (shaft, -1 if out else 1)], -np.inf, 0 if out else 1)
        elif every and not out:
            add([(place, 1)], 0, 0)
    for name in apart(request):
        add([(len(cells) + shafts.index(name), 1)], 1, 1)
    for at in range(len(choices)):
        add([(p, 1) for p, (r, _o) in enumerate(cells) if r == at], 1, 1)
    for token in {option[0] for _at, option in cells if option[0] is not None}:
        add([(p, 1) for p, (_r, option) in enumerate(cells) if option[0] == token], -np.inf, 1)
    return level_by_level(cells, shafts, rows, lows, highs, shaft_cost(request))


def level_by_level(cells: Any, shafts: Any, rows: Any, lows: Any, highs: Any, shaft: Any) -> Any:
    """Solve one level after the other, each held at its least while the next is solved."""
    width = len(cells) + len(shafts)
    answer = []
    for level in range(13):
        costs = np.zeros(width)
        if level in (COST, COST + 1):
            costs[len(cells) :] = shaft if level == COST else 1
        if level != COST + 1:
            for place, (_row, option) in enumerate(cells):
                costs[place] = option[1][level - (level > COST)]
        scale = float(np.gcd.reduce(costs.astype(np.int64))) or 1.0
        found = milp(
            costs / scale,
            constraints=LinearConstraint(np.array(rows), lows, highs),
            integrality=np.ones(width, dtype=np.int64),
            bounds=Bounds(0, 1),
            options={"mip_rel_gap": 0},
        )
        value = round(sum(np.round(found.x) * costs))
        answer.append(value)
        line = costs / scale
        rows.append(line), lows.append(-np.inf), highs.append(value / scale + 1e-6)
    return tuple(answer)


@pytest.mark.parametrize("seed", range(LARGE))
def test_a_second_solver_finds_the_same_optimum(seed: int) -> None:
    dice = random.Random(1000 + seed)
    request = random_case(dice, dice.choice([8, 12, 16]), drawer=dice.randint(4, 20), shafts=2)
    plan = plan_engine(request)
    check_possible(request, plan)
    assert plan.levels == by_highs(request)


def on_top(request: Any) -> Any:
    """Return the engine with shims that need no camshaft out."""
    rows = (replace(row, clearance=replace(row.clearance, camshaft_out=False))
            for row in request.rows)  # fmt: skip
    return replace(request, rows=tuple(rows))


@pytest.mark.long
def test_engines_that_share_a_drawer_do_best_of_all_the_ways_to_divide_it() -> None:
    dice, fought, engines = random.Random(5), 0, SMALL if LONG else SMALL // 2
    for number in range(engines):
        one = on_top(random_case(dice, dice.choice([1, 2, 3]), drawer=3, shafts=1))
        other = on_top(random_case(dice, dice.choice([1, 2]), drawer=0, shafts=1))
        scarce = {"reuse": True, "buy": dice.random() < 0.2}
        both = [
            replace(of, drawer=one.drawer, policy=replace(of.policy, **scarce))
            for of in (one, other)
        ]
        lies = tuple(range(len(one.drawer)))
        found = plan_together([Shared(request=of, lies=lies) for of in both])
        plans = [one.plan for one in found]
        assert [one.alone for one in found] == [plan_engine(of) for of in both]
        best = None
        for mine in product(*(range(stock.count + 1) for stock in one.drawer)):
            shares = (mine, [s.count - taken for s, taken in zip(one.drawer, mine, strict=True)])
            levels = [
                plan_engine(replace(of, drawer=tuple(
                    replace(stock, count=count)
                    for stock, count in zip(one.drawer, share, strict=True) if count
                ))).levels
                for of, share in zip(both, shares, strict=True)
            ]  # fmt: skip
            summed = [sum(level) for level in zip(*levels, strict=True)]
            best = summed if best is None else min(best, summed)
        assert [sum(level) for level in zip(*(p.levels for p in plans), strict=True)] == best, (
            number
        )
        for stock in one.drawer:
            used = sum(move.source is Source.DRAWER and move.thickness_nm == stock.thickness_nm
                       and row.clearance.family.kind == stock.kind
                       for of, plan in zip(both, plans, strict=True)
                       for move, row in zip(plan.moves, of.rows, strict=True))  # fmt: skip
            assert used <= stock.count
        alone = [sum(level) for level in zip(*(plan_engine(of).levels for of in both), strict=True)]
        fought += alone != best
    assert fought >= engines / 50  # what each would take alone is not to be had by both
