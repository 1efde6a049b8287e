"""What is said of a plan is so: each reason is held against the figures it speaks of.

The reasons are values; the words are made from them last, and nothing is parsed here.
"""

import os
import random
from dataclasses import replace
from typing import Any

import pytest

from plimb.core.lengths import mm
from plimb.core.measure.limits import Verdict, judge
from plimb.core.measure.uncertainty import chance_in_spec
from plimb.core.plan.measures import must_measure
from plimb.core.plan.needs import WhichToSet
from plimb.core.plan.options import all_options
from plimb.core.plan.reasons import NONE_SERVES, reasons
from plimb.core.plan.rows import chance_of
from plimb.core.plan.search import OTHERS, instead, plan_engine
from plimb.core.plan.why import Because, Fate
from plimb.core.shim.shim import Condition, Source
from plimb.core.shim.sum import SizePolicy, sought_thickness, work_out

from ..outside.engines import random_case

LONG = bool(os.environ.get("PLIMB_LONG"))
PLANS = 3000 if LONG else 300


def at_hand(request: Any, row: Any) -> Any:
    """Give every sound piece of the valve's family that is not its own: thickness, holder."""
    kind = row.clearance.family.kind
    for other in request.rows:
        sound = other.known and other.condition is Condition.SOUND
        if other is not row and sound and other.clearance.family.kind == kind:
            yield other.piece_nm, other.valve
    for stock in request.drawer:
        if stock.kind == kind:
            yield stock.thickness_nm, None


def lands(row: Any, thickness_nm: Any) -> Any:
    gap = row.gives(thickness_nm)
    return row.spec.check.holds(gap.best_nm)


def check_bought(request: Any, plan: Any, why: Any) -> None:
    hand, row = why.at_hand, why.row
    landing = [
        (nm, holder) for nm, holder in at_hand(request, row) if lands(row, nm)
    ] if request.policy.reuse else []  # fmt: skip
    if hand.fate is Fate.NONE_LANDS:
        assert not landing
    elif hand.fate is Fate.NEW_WANTED:
        assert not request.policy.reuse
    else:
        assert hand.thickness_nm in {nm for nm, _holder in landing}
    if hand.fate is Fate.SERVES:
        served = plan.move(hand.valve)
        assert served.changes
        assert served.thickness_nm == hand.thickness_nm
    if hand.fate is Fate.STAYS:
        assert not plan.move(hand.valve).changes
        assert plan.move(hand.valve).thickness_nm == hand.thickness_nm
    if hand.fate is Fate.RULED_OUT:
        assert (row.valve, hand.thickness_nm) in request.forbidden
    if why.move.source is not Source.COUNTER:
        return
    own = row.spec.check.holds(row.gap.best_nm) and row.condition is Condition.SOUND
    assert (hand.own is not None) is own


def check(request: Any, plan: Any, why: Any, others: Any) -> None:  # noqa: C901 - one line a kind of reason
    row, move, because = why.row, why.move, why.because
    if move.changes and row.gap.both_ends:
        assert move.gap.best_nm == row.gap.best_nm + row.piece_nm - move.thickness_nm
    if because is Because.BOUGHT:
        check_bought(request, plan, why)
    if because in (Because.BOUGHT, Because.AT_HAND):
        certain = judge(move.gap, row.spec.check) is Verdict.IN
        assert why.standing.startswith("in range") is (certain and not _outside_set(row, move))
        in_set = row.spec.set_ and why.standing.endswith("in the set range")
        if in_set and "not" not in why.standing:
            assert row.spec.set_.holds(move.gap.best_nm)
            assert f"{int(move.chance * 100)} %" in why.standing
        assert why.cannot is None
        assert row.spec.check.holds(move.gap.best_nm)
    if because in (Because.IN_SPEC, Because.SHAFT_STAYS):
        assert judge(row.gap, row.spec.check) is Verdict.IN
        assert not move.changes
    if because is Because.SHAFT_STAYS:
        assert row.clearance.camshaft not in plan.camshafts_out
    if because is Because.NOTHING_AT_HAND:
        assert not request.policy.buy
    if because in NONE_SERVES:
        check_bought(request, plan, why)
        sold = request.policy.buy and any(lands(row, nm) for nm in row.clearance.family.sizes())
        assert ("that is sold brings it in" in why.words) <= (not sold)
        assert ("The sizes that would bring it in are ruled out" in why.words) <= sold
    if because is Because.FOR_NOW:
        assert row.gap.none_found
        assert move.thickness_nm < row.piece_nm
    if because in (Because.CLOSER, Because.NOTHING_SERVES, Because.NOTHING_AT_HAND):
        cannot = others[row.valve]
        if cannot.thin_nm is not None and cannot.thick_nm is not None:
            assert lands(row, (cannot.thin_nm + cannot.thick_nm) // 2)
    if why.nearer is not None:
        ideal = sought_thickness(row.gap, row.piece_nm, row.spec, row.held_to(move.thickness_nm),
                                 request.policy.sizing.aim)  # fmt: skip
        assert abs(why.nearer.thickness_nm - ideal) < abs(move.thickness_nm - ideal)
        assert lands(row, why.nearer.thickness_nm)
        assert why.nearer.gap_nm == row.gives(why.nearer.thickness_nm).best_nm
    assert why.words.endswith((".", "?"))


def _outside_set(row: Any, move: Any) -> Any:
    return row.spec.set_ is not None and not row.spec.set_.holds(move.gap.best_nm)


def check_ladder(request: Any, plan: Any) -> None:
    for valve, options in all_options(request, plan).items():
        row = next(one for one in request.rows if one.valve == valve)
        if not row.sums:
            continue
        for option in options:
            gap = row.gives(option.thickness_nm)
            assert option.gap_nm == gap.best_nm
            if row.gap.both_ends:
                assert option.in_spec is (judge(gap, row.spec.check) is Verdict.IN)
            taken = plan.move(valve)
            mine = (option.source, option.thickness_nm, option.from_valve)
            if mine == (taken.source, taken.thickness_nm, taken.from_valve):
                assert option.goes_to == valve
                assert option.chance == taken.chance


def check_fits(request: Any, plan: Any) -> None:
    """What a size may measure holds the size itself; outside it a piece passes less surely."""
    doubt = request.policy.doubt
    rows = {row.valve: row for row in request.rows}
    for valve, fits in must_measure(request.rows, plan, doubt).items():
        row, size = rows[valve], plan.move(valve).thickness_nm
        assert fits.window.holds(size)
        assert fits.window.holds(fits.best_nm)
        chance = [chance_in_spec(
            row.gap, row.piece_nm - nm, row.held_to(size), doubt=doubt, old_nm=row.doubt_nm,
            new_nm=doubt.piece_nm,
        ) for nm in (size, fits.best_nm, fits.window.thin_nm - mm("0.004"),
                     fits.window.thick_nm + mm("0.004"))]  # fmt: skip
        assert chance[1] >= max(chance) - 0.01
        assert max(chance[2:]) <= max(chance[0], chance[1] - 0.02)
        assert (fits.loose == "") is (chance[1] >= 0.9) or abs(chance[1] - 0.9) < 0.01


@pytest.mark.parametrize("seed", range(4))
def test_every_reason_and_every_ladder_says_what_is_so(seed: int) -> None:
    dice, said = random.Random(seed), set()
    for _plan in range(PLANS // 4):
        request = random_case(dice, dice.randint(1, 6), drawer=dice.randint(0, 4), shafts=2)
        request = instead(request, dice.choice(["best", *OTHERS]))
        plan = plan_engine(request)
        others = {one.valve: one for one in plan.cannot}
        for why in reasons(request, plan).values():
            check(request, plan, why, others)
            said.add(why.because)
        check_ladder(request, plan)
        check_fits(request, plan)
    assert len(said) >= 10


@pytest.mark.parametrize("seed", range(2))
def test_the_sum_of_a_valve_takes_what_the_plan_buys_for_it(seed: int) -> None:
    """With nothing at hand the sum and the plan are one and the same choice."""
    dice, compared = random.Random(100 + seed), 0
    for _plan in range(PLANS // 2):
        request = random_case(dice, dice.randint(1, 4), drawer=0, shafts=1)
        policy = replace(request.policy, reuse=False, buy=True, touch_least=False)
        request = replace(request, policy=policy)
        first = policy.sure if policy.aim_first else None
        school = SizePolicy(aim=policy.sizing.aim, rounding=policy.sizing.rounding, first=first)
        for row, move in zip(request.rows, plan_engine(request).moves, strict=True):
            if move.source is not Source.COUNTER or not row.sums or move.provisional:
                continue
            if policy.act is WhichToSet.NEAR:
                continue  # a valve is also kept out of the tightest fifth
            sizes = row.clearance.family.sizes()
            worked = work_out(row.gap, row.piece_nm, row.spec, sizes, school, row.doubt_nm)
            sum_takes = worked.likeliest
            assert sum_takes is not None
            takes = chance_of(row, sum_takes.thickness_nm)
            assert (sum_takes.thickness_nm == move.thickness_nm
                    or takes == pytest.approx(move.chance, abs=1 / 150))  # fmt: skip
            compared += 1
    assert compared > PLANS // 10
