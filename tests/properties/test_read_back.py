"""Every sentence of random plans, read back as it stands on the screen: none says what is not so.

The reader imports nothing of the application; here its cases are written down as plain numbers.
"""

import os
import random
from collections import Counter
from dataclasses import replace
from typing import Any

import pytest

from plimb.core.plan.options import all_options
from plimb.core.plan.reasons import reasons
from plimb.core.plan.request import Pin
from plimb.core.plan.search import OTHERS, instead, plan_engine
from plimb.core.shim.shim import Condition
from plimb.core.shim.sum import Aim, aimed_gap

from ..outside.engines import random_case
from .read_back import Untrue, read_back

SENTENCES = 50_000 if os.environ.get("PLIMB_LONG") else 1200
NM = 1_000_000


def ends(limits: Any) -> Any:
    return None if limits is None else (limits.low_nm / NM, limits.high_nm / NM)


def as_case(request: Any, plan: Any) -> Any:
    """Write a request and its plan down as plain numbers, in millimetres."""
    valves = {}
    for row in request.rows:
        gap = row.gap
        known = gap is not None and gap.both_ends
        aim, spec = request.policy.sizing.aim, row.clearance.spec

        def aimed(limits: Any, row: Any = row, aim: Any = aim, spec: Any = spec) -> float:
            from plimb.core.measure.limits import Limits

            low, high = (round(one * NM) for one in limits)
            if aim is Aim.LEAST:
                return float(row.gap.best_nm) / NM
            range_ = Limits(low_nm=low, high_nm=high)
            return aimed_gap(aim, spec, range_, row.gap.best_nm) / NM

        valves[row.valve] = {
            "gap": None if gap is None else (
                (gap.low_nm or 0) / NM, gap.high_nm / NM,
                None if gap.called_nm is None else gap.called_nm / NM,
            ) if known else (0.0, gap.high_nm / NM, None),
            "none": gap is not None and gap.none_found,
            "known": row.known, "piece": None if row.piece_nm is None else row.piece_nm / NM,
            "scrap": row.condition is not Condition.SOUND,
            "check": ends(spec.check), "set": ends(spec.set_), "aim": aimed,
            "shaft": row.clearance.camshaft if row.clearance.camshaft_out else None,
            "sizes": [size / NM for size in row.clearance.family.sizes()],
            "kind": row.clearance.family.kind, "old": row.doubt_nm / NM,
        }  # fmt: skip
    moves = {}
    for move in plan.moves:
        bought = request.policy.doubt.bought_nm
        doubt = {"counter": bought}.get(move.source.value, 4000)
        for stock in request.drawer:
            of_kind = stock.kind == valves[move.valve]["kind"]
            same = of_kind and stock.thickness_nm == move.thickness_nm
            if move.source.value == "drawer" and same:
                doubt = stock.doubt_nm
        if move.source.value == "engine" and move.from_valve in valves:
            doubt = round(valves[move.from_valve]["old"] * NM)
        moves[move.valve] = {
            "source": move.source.value, "from": move.from_valve, "changes": move.changes,
            "thickness": None if move.thickness_nm is None else move.thickness_nm / NM,
            "doubt": doubt / NM,
        }  # fmt: skip
    return {
        "valves": valves, "moves": moves, "out": set(plan.camshafts_out),
        "drawer": [(one.thickness_nm / NM, one.kind, one.count) for one in request.drawer],
        "forbidden": [(valve, nm / NM) for valve, nm in request.forbidden],
        "reuse": request.policy.reuse, "buy": request.policy.buy,
    }  # fmt: skip


def by_hand(dice: random.Random, request: Any) -> Any:
    """Decide some valves by hand, on anything that can be had."""
    options = all_options(request, plan_engine(request))
    pins = {}
    for valve, offered in options.items():
        if offered and dice.random() < 0.25:
            option = dice.choice(offered)
            pins[valve] = Pin(
                thickness_nm=option.thickness_nm, source=option.source, from_valve=option.from_valve
            )
    return replace(request, pins=pins)


@pytest.mark.parametrize("seed", range(4))
def test_no_sentence_says_what_is_not_so(seed: int) -> None:
    dice, said = random.Random(20261201 + seed), Counter[str]()
    while said.total() < SENTENCES // 4:
        request = random_case(dice, dice.randint(1, 6), drawer=dice.randint(0, 4), shafts=2)
        # what a hand decided stands in the plan alone: no other is offered that it rules out
        if dice.random() < 0.4:
            request = by_hand(dice, request)
        else:
            request = instead(request, dice.choice(["best", *OTHERS]))
        plan = plan_engine(request)
        case = as_case(request, plan)
        for valve, why in reasons(request, plan).items():
            try:
                said[read_back(case, valve, why.words)] += 1
            except Untrue as untrue:
                raise AssertionError(f"{untrue} - {valve}: {why.words}\n{case}") from None
    print(dict(said))
    assert len(said) >= 12
