"""The plan in words, what would help, kit or singles, the ladder, the pull list."""

from dataclasses import replace
from decimal import Decimal
from typing import Any

import pytest

from plimb.core.engine.engine import Clearance, Side
from plimb.core.engine.followers import Follower
from plimb.core.job.lists import ListFacts, ListName, list_of
from plimb.core.lengths import Unit, mm
from plimb.core.measure.blades import Blade, BladeSet
from plimb.core.measure.gap import between, none_below, point
from plimb.core.measure.limits import Limits, Spec, parse_limits
from plimb.core.plan.advice import AdviceKind, advise, any_passes
from plimb.core.plan.buying import Kit, Terms, purchases
from plimb.core.plan.needs import WhichToSet
from plimb.core.plan.options import all_options
from plimb.core.plan.reasons import given_up, reasons
from plimb.core.plan.request import Pin, PlanRequest, Policy, Stock
from plimb.core.plan.result import OrderLine
from plimb.core.plan.rows import PlanRow
from plimb.core.plan.search import alternatives, plan_engine
from plimb.core.shim.family import Family, Run
from plimb.core.shim.shim import Condition, Source
from plimb.core.shim.sum import Aim, SizePolicy
from plimb.core.words import percent
from plimb.files.engine_file import EngineFile
from plimb.files.starting_point import Layout, Start, starting_point

NINE = Family(
    diameter_nm=mm("9.48"),
    price=Decimal("8.50"),
    runs=(Run(from_nm=mm("1.20"), to_nm=mm("3.50"), step_nm=mm("0.05")),),
)
SEVEN = replace(NINE, diameter_nm=mm("7.48"))
SPEC = Spec(check=parse_limits("0.15-0.22", Unit.MM))


def row(
    name: Any,
    gap: Any,
    piece: Any,
    camshaft: Any = "IN",
    family: Any = NINE,
    spec: Any = SPEC,
    **more: Any,
) -> Any:
    clearance = Clearance(
        id=name, cylinder=1, side=Side.INTAKE, position=None, camshaft=camshaft, spec=spec,
        family=family,
    )  # fmt: skip
    piece_nm = None if piece is None else mm(piece)
    return PlanRow(clearance=clearance, gap=gap, piece_nm=piece_nm, **more)


def gap(hundredths: Any) -> Any:
    return point(hundredths * 10_000)


def stock(thickness: Any, count: Any = 1, family: Any = NINE) -> Any:
    return Stock(thickness_nm=mm(thickness), kind=family.kind, count=count)


def planned(
    *rows: Any, drawer: Any = (), pins: Any = None, forbidden: Any = frozenset(), **policy: Any
) -> Any:
    request = PlanRequest(
        rows=rows, drawer=drawer, policy=Policy(**policy), pins=pins, forbidden=forbidden
    )
    return request, plan_engine(request)


def said(*rows: Any, **more: Any) -> Any:
    request, plan = planned(*rows, **more)
    return {valve: why.words for valve, why in reasons(request, plan).items()}


def test_each_move_says_its_sum_where_it_comes_from_and_what_was_given_up() -> None:
    words = said(row("A", gap(10), "2.80"), row("B", gap(30), "2.70"), row("C", gap(18), "2.5"))
    assert words["C"] == "In range at 0.18: its shim stays."
    assert words["A"].startswith("2.70 out of B costs nothing: 0.10 + 2.80 − 2.70 = 0.20, in range")
    assert words["B"].startswith("2.80 out of A costs nothing: 0.30 + 2.70 − 2.80 = 0.20")


def test_what_is_bought_says_why_nothing_at_hand_serves() -> None:
    assert "Nothing at hand lands in range. Buy 2.70" in said(row("A", gap(10), "2.80"))["A"]
    words = said(row("A", gap(10), "2.80"), row("B", gap(10), "2.80"), drawer=(stock("2.70"),))
    assert sorted(line.split(".")[0] for line in words.values()) == ["2", "The 2"]
    assert any("The 2.70 at hand serves" in line and "Buy 2.70" in line for line in words.values())
    assert "Only new shims are wanted." in said(
        row("A", gap(10), "2.80"), drawer=(stock("2.70"),), reuse=False
    )["A"]  # fmt: skip


def test_a_piece_of_another_family_is_never_at_hand() -> None:
    request, plan = planned(row("A", gap(10), "2.80"), drawer=(stock("2.70", family=SEVEN),))
    assert plan.move("A").source is Source.COUNTER
    assert all(rung.source is not Source.DRAWER for rung in all_options(request, plan)["A"])


def test_pieces_of_one_size_are_one_line_of_the_ladder_however_well_each_is_known() -> None:
    known, marked = stock("2.70"), replace(stock("2.70", 2), doubt_nm=mm("0.02"))
    request, plan = planned(row("A", gap(10), "2.80"), drawer=(marked, known))
    lying = [one for one in all_options(request, plan)["A"] if one.source is Source.DRAWER]
    assert [(one.thickness_nm, one.count, one.goes_to) for one in lying] == [(mm("2.70"), 3, "A")]
    assert lying[0].chance == plan.move("A").chance


def test_a_valve_under_a_camshaft_that_stays_in_keeps_its_piece_and_says_so() -> None:
    words = said(row("A", gap(10), "2.80"), row("B", gap(20), "2.70", camshaft="EX"))
    assert words["B"] == "In range at 0.20, and its camshaft stays in: its shim stays."


def test_a_nearer_size_from_the_counter_is_named() -> None:
    words = said(row("A", gap(10), "2.80"), drawer=(stock("2.74"),))
    assert words["A"].endswith("A bought 2.70 would give 0.20, nearer to the aim.")


def test_no_gap_is_provisional_and_is_bought_only_where_nothing_at_hand_is_thin_enough() -> None:
    request, plan = planned(row("A", none_below(mm("0.03")), "2.80"), drawer=(stock("2.55"),))
    move = plan.move("A")
    assert (move.provisional, move.source, plan.order) == (True, Source.DRAWER, ())
    assert "for now" in reasons(request, plan)["A"].words
    # 2.645 gives the middle, were the gap 0.03: another is too thick, or far too thin
    for others in ((), (stock("2.70"),), (stock("2.50"),)):
        request, plan = planned(row("A", none_below(mm("0.03")), "2.80"), drawer=others)
        move = plan.move("A")
        assert (move.provisional, move.source, plan.cannot) == (True, Source.COUNTER, ())
        assert "Nothing to spare is thin enough" in reasons(request, plan)["A"].words
    policy = replace(request.policy, buy=False)
    assert plan_engine(replace(request, policy=policy)).move("A").source is Source.DRAWER
    request = replace(request, policy=policy, drawer=())
    plan = plan_engine(request)
    assert plan.move("A").source is Source.SAME
    assert "no thinner shim can be spared" in reasons(request, plan)["A"].words
    assert (plan.cannot[0].thin_nm, plan.cannot[0].thick_nm) == (None, mm("2.68"))


def test_a_piece_for_now_robs_no_valve_that_is_in_spec_under_a_shaft_that_stays() -> None:
    lost = row("A", none_below(mm("0.03")), "2.80")
    other = row("B", gap(18), "2.60", camshaft="EX")
    for buy, source in ((True, Source.COUNTER), (False, Source.SAME)):
        _request, plan = planned(lost, other, buy=buy)
        assert plan.move("A").source is source
        assert "EX" not in plan.camshafts_out


@pytest.mark.parametrize(
    ("one", "policy", "words"),
    [
        (row("A", None, "2.80"), {}, "Not measured yet, so nothing is decided."),
        (row("A", gap(10), None), {}, "not read yet"),
        (row("A", gap(10), "2.80"), {"buy": False}, "Nothing at hand brings it into range. It"),
        (row("A", gap(10), "0.9"), {}, "No size that is sold brings it in"),
        (row("A", between(mm("0.14"), mm("0.17")), "2.8"), {}, "66 % sure to be in"),
        (row("A", gap(18), "0.9", condition=Condition.SCRAP), {}, "Its shim is scrap"),
    ],
)
def test_a_valve_that_stays_says_why(one: Any, policy: Any, words: Any) -> None:
    assert words in said(one, **policy)["A"]


def test_scrap_is_replaced_and_never_offered() -> None:
    request, plan = planned(
        row("A", gap(18), "2.80", condition=Condition.SCRAP), row("B", gap(8), "2.92")
    )
    assert plan.move("A").source is Source.COUNTER
    assert plan.move("B").from_valve is None
    assert all(r.from_valve != "A" for r in all_options(request, plan)["B"])


def test_pins_hold_and_the_rest_goes_round_them() -> None:
    pin = Pin(source=Source.DRAWER, thickness_nm=mm("2.70"))
    rows = (row("A", gap(10), "2.80"), row("B", gap(10), "2.80"))
    request, plan = planned(*rows, drawer=(stock("2.70"),), pins={"B": pin})
    assert plan.move("B").source is Source.DRAWER
    assert plan.move("A").source is Source.COUNTER
    assert reasons(request, plan)["B"].words.startswith("Decided by hand.")
    request, plan = planned(*rows, drawer=(stock("2.70"),), pins={"A": pin, "B": pin})
    (left,) = plan.empty  # one piece cannot be in two valves
    assert plan.move({"A": "B", "B": "A"}[left]).thickness_nm == pin.thickness_nm
    assert "cannot be had" in reasons(request, plan)[left].words


def test_a_forbidden_thickness_is_not_given_again() -> None:
    barred = frozenset({("A", mm("2.70"))})
    request, plan = planned(row("A", gap(10), "2.80"), drawer=(stock("2.70"),), forbidden=barred)
    assert plan.move("A").thickness_nm != mm("2.70")
    rungs = {r.thickness_nm: r.forbidden for r in all_options(request, plan)["A"]}
    assert rungs[mm("2.70")]


def test_alternatives_say_what_they_give_up() -> None:
    request, best = planned(
        row("A", gap(10), "2.80"), row("B", gap(30), "2.70"), row("C", gap(8), "2.60")
    )
    others = alternatives(request, best)
    assert "leaves C out of range" in given_up(best, others["buy-nothing"])
    assert "2 more to buy" in given_up(best, others["only-new"])
    assert given_up(best, best) == ("the same moves",)


def test_setting_all_that_is_open_sets_them_and_near_only_the_near_ones() -> None:
    rows = (row("A", gap(10), "2.80"), row("B", gap(16), "2.80"), row("C", gap(19), "2.80"))
    for act, changed in ((WhichToSet.OUT, "A"), (WhichToSet.NEAR, "AB"), (WhichToSet.ALL, "AB")):
        _asked, plan = planned(*rows, act=act, drawer=(stock("2.70"), stock("2.75")))
        moved = [m.valve for m in plan.moves if m.source is not Source.SAME]
        assert "".join(moved) == changed, act


def test_a_change_ends_in_the_set_range_where_it_can() -> None:
    narrow = Spec(check=SPEC.check, set_=Limits(low_nm=mm("0.17"), high_nm=mm("0.19")))
    _asked, plan = planned(row("A", gap(10), "2.73", spec=narrow))
    assert plan.move("A").gap.best_nm == mm("0.18")
    _asked, plan = planned(row("A", gap(10), "2.70", spec=narrow))
    assert plan.move("A").in_spec  # no size reaches the set range: the check range serves


# sure enough -------------------------------------------------------------------------


def unsure() -> Any:
    return planned(row("A", between(mm("0.05"), mm("0.15")), "2.80"), drawer=())


def test_a_wide_bracket_asks_for_a_blade_and_for_the_sizes_either_side() -> None:
    request, plan = planned(
        row("A", between(mm("0.05"), mm("0.15")), "2.80"), pins={"A": Pin(
            source=Source.COUNTER, thickness_nm=mm("2.70"))}
    )  # fmt: skip
    blades = BladeSet(name="x", blades=(Blade(nominal_nm=mm("0.1")), Blade(nominal_nm=mm("0.2"))))
    found = {one.kind: one for one in advise(request, plan, blades)}
    assert list(found) == [one for one in AdviceKind if one is not AdviceKind.OPEN_TOO]
    assert AdviceKind.FINER not in {one.kind for one in advise(request, plan)}  # without a set
    finer, either = found[AdviceKind.FINER], found[AdviceKind.EITHER_SIDE]
    assert finer.blade_nm == mm("0.10")
    assert plan.move("A").chance < finer.then <= 1
    assert plan.move("A").chance < either.then <= 1
    assert "Try 0.10 mm on A before anything is opened" in finer.sentence
    assert str(either.price) in either.sentence


def test_the_blade_comes_from_the_set_and_a_sure_valve_is_not_talked_about() -> None:
    blades = BladeSet(
        name="x", blades=tuple(Blade(nominal_nm=mm(n)) for n in ("0.05", "0.08", "0.15"))
    )
    request, plan = planned(
        row("A", between(mm("0.05"), mm("0.15")), "2.80"), row("B", gap(10), "2.80"),
        pins={"A": Pin(source=Source.COUNTER, thickness_nm=mm("2.70"))},
    )  # fmt: skip
    found = advise(request, plan, blades)
    assert {one.valve for one in found} == {"A"}
    assert found[0].blade_nm == mm("0.08")


def test_any_of_several_sizes_passes_at_least_as_often_as_the_best_of_them() -> None:
    request, _plan = unsure()
    one = request.rows[0]
    sizes = [mm("2.65"), mm("2.70"), mm("2.75")]
    alone = [any_passes(request, one, [size]) for size in sizes]
    assert max(alone) <= any_passes(request, one, sizes) <= 1
    assert any_passes(request, one, sizes[:1] * 2) == pytest.approx(alone[0])


def test_a_stack_makes_a_reading_less_sure() -> None:
    reading = between(mm("0.05"), mm("0.10"))
    _asked, plan = planned(row("A", reading, "2.82"), row("B", replace(reading, joints=2), "2.82"))
    assert plan.move("A").chance > plan.move("B").chance


@pytest.mark.parametrize(("chance", "shown"), [(1, "100 %"), (0.9999, "99 %"), (0.5, "50 %")])
def test_a_chance_is_never_rounded_up_to_certainty(chance: Any, shown: Any) -> None:
    assert percent(chance) == shown


# kit or singles ----------------------------------------------------------------------


def line(thickness: Any, count: Any, price: Any = "8") -> Any:
    return OrderLine(
        thickness_nm=mm(thickness), diameter_nm=NINE.diameter_nm, count=count, price=price
    )


KIT = Kit(diameter_nm=NINE.diameter_nm, sizes=frozenset(NINE.sizes()), each=3, price=Decimal(50))


@pytest.mark.parametrize(
    ("order", "kits", "singles", "kit", "take"),
    [
        ([line("2.70", 2)], [], 16, None, False),
        ([line("2.70", 2)], [KIT], 16, 50, False),
        ([line("2.70", 3), line("2.75", 4)], [KIT], 56, 58, False),
        ([line("2.70", 3), line("2.75", 3), line("2.8", 1)], [KIT], 56, 50, True),
        ([line("2.70", 6), line("2.72", 1)], [KIT], 56, 82, False),
        ([line("2.70", 2, None)], [KIT], None, None, False),
    ],
)
def test_kit_against_singles(order: Any, kits: Any, singles: Any, kit: Any, take: Any) -> None:
    (one,) = purchases(order, kits)
    assert (one.singles, one.kit, one.take_kit) == (singles, kit, take)
    assert ("Take the kit" in one.words()) is take


def test_old_pieces_are_given_for_new_ones_and_odd_sizes_have_to_wait() -> None:
    order = [line("2.70", 2), line("2.75", 1)]
    terms = Terms(
        diameter_nm=KIT.diameter_nm, swap_price=Decimal("2.5"), to_order=frozenset({mm("2.75")}),
        wait_days=7,
    )  # fmt: skip
    (one,) = purchases(order, [], [terms], {KIT.diameter_nm: 3})
    assert (one.swapped, one.with_swaps) == (2, Decimal("13.0"))  # 24 less twice 8 − 2.50
    assert one.words().endswith(
        "With 2 old shims given for as many new ones: 13.0. Only to order, 7 days: 2.75."
    )
    (none,) = purchases(order, [], [terms], {})
    assert none.with_swaps is None


def test_families_are_bought_apart() -> None:
    other = replace(line("2.70", 1), diameter_nm=SEVEN.diameter_nm)
    assert [one.pieces for one in purchases([line("2.70", 2), other], [KIT])] == [2, 1]
    assert purchases([]) == ()


# the ladder and the pull list ---------------------------------------------------------


def test_the_ladder_shows_what_is_in_what_is_at_hand_and_what_can_be_bought() -> None:
    request, plan = planned(
        row("A", gap(10), "2.80"), row("B", gap(30), "2.70"), drawer=(stock("2.72", 2),)
    )
    rungs = all_options(request, plan)["A"]
    assert [r.thickness_nm for r in rungs] == sorted(r.thickness_nm for r in rungs)
    by = {(r.source, r.thickness_nm): r for r in rungs}
    assert by[Source.SAME, mm("2.80")].gap_nm == mm("0.10")
    assert by[Source.DRAWER, mm("2.72")].count == 2
    assert by[Source.ENGINE, mm("2.70")].goes_to == "A"
    assert [r.goes_to for r in rungs].count("A") == 1
    for rung in rungs:
        assert rung.gap_nm == mm("0.10") + mm("2.80") - rung.thickness_nm
        assert rung.in_spec == SPEC.check.holds(rung.gap_nm)


@pytest.mark.parametrize(
    ("follower", "first", "has"),
    [
        (Follower.BUCKET_UNDER, "plug", "tensioner"),
        (Follower.BUCKET_OVER, "turn", "hold"),
        (Follower.FINGER, "finger", "pick"),
        (Follower.OPENER_CLOSER, "opener", "rings"),
    ],
)
def test_each_follower_has_its_own_way_to_its_shims(follower: Any, first: Any, has: Any) -> None:
    document = starting_point(Start(layout=Layout.SINGLE, follower=follower))
    engine = EngineFile.model_validate(document).to_core()
    no_cam = follower is not Follower.BUCKET_UNDER
    engine = replace(engine, clearances=tuple(
        replace(one, camshaft_out=not no_cam) for one in engine.clearances
    ))  # fmt: skip
    facts = ListFacts(engine=engine, opened=tuple(engine.by_id))
    steps = [step.id for step in list_of(ListName.REACH, facts)]
    assert steps[0] == f"pull-{first}"
    assert f"pull-{has}" in steps
    assert steps[-1] == "pull-read"
    if not no_cam:
        order = [steps.index(f"pull-{one}") for one in ("mark", "tensioner", "caps", "bucket")]
        assert order == sorted(order)


def test_only_camshafts_of_valves_that_are_opened_come_out() -> None:
    engine = EngineFile.model_validate(starting_point(Start(layout=Layout.SINGLE))).to_core()
    intake = tuple(v.id for v in engine.clearances if v.side is Side.INTAKE)
    facts = ListFacts(engine=engine, opened=intake)
    caps = next(step for step in list_of(ListName.REACH, facts) if step.id == "pull-caps")
    assert "IN" in caps.does
    assert "EX" not in caps.does


def test_where_every_valve_is_set_each_goes_to_its_aim_whatever_it_costs() -> None:
    rows = (row("A", gap(16), "2.80"), row("B", gap(21), "2.50", camshaft="EX"))
    _request, plan = planned(*rows, act=WhichToSet.OUT)
    assert plan.changed == 0
    aim = SizePolicy(aim=Aim.MIDDLE)
    _request, plan = planned(*rows, drawer=(stock("2.78"),), act=WhichToSet.EVERY, sizing=aim)
    # 2.80 + 0.16 − 0.185 = 2.775, 2.50 + 0.21 − 0.185 = 2.525
    assert (plan.move("A").thickness_nm, plan.move("A").source) == (mm("2.78"), Source.DRAWER)
    assert plan.move("B").thickness_nm in (mm("2.50"), mm("2.55"))
    _request, plan = planned(
        row("A", gap(21), "2.50"), drawer=(stock("2.60"),), act=WhichToSet.EVERY, sizing=aim
    )
    assert abs(plan.move("A").thickness_nm - mm("2.525")) <= mm("0.025")
