"""Torques, the order of tightening, the order of fitting, what each follower asks for."""

import math
from dataclasses import replace
from fractions import Fraction
from itertools import pairwise, permutations
from typing import Any

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from plimb.core.engine.followers import Follower, Role
from plimb.core.errors import BadValue
from plimb.core.job.bolts import order_of
from plimb.core.job.fitting import chains, fit_steps
from plimb.core.job.lists import ListFacts, ListName, list_of
from plimb.core.job.tightening import neighbours, tightening_order
from plimb.core.job.torque import Thread, Torque, TorqueUnit, doubt_of, parse_torque
from plimb.core.job.valve import Choice
from plimb.core.lengths import mm
from plimb.core.shim.shim import Source
from plimb.files.engine_file import EngineFile
from plimb.files.starting_point import Layout, Start, starting_point

# torque ------------------------------------------------------------------------------


@pytest.mark.parametrize(
    ("value", "unit", "thread", "likely"),
    [
        ("10", TorqueUnit.NM, Thread.M6, None),
        ("88", TorqueUnit.LBF_IN, Thread.M6, None),
        ("88", TorqueUnit.LBF_FT, Thread.M6, TorqueUnit.LBF_IN),
        ("88", TorqueUnit.NM, Thread.M6, TorqueUnit.LBF_IN),
        ("16", TorqueUnit.LBF_IN, Thread.M8, TorqueUnit.LBF_FT),
        ("7", TorqueUnit.LBF_IN, Thread.M6, TorqueUnit.NM),
    ],
)
def test_a_figure_that_fits_another_unit_better_is_asked_about(
    value: Any, unit: Any, thread: Any, likely: Any
) -> None:
    doubt = doubt_of(parse_torque(value, unit), thread)
    if likely is None:
        assert doubt is None
    else:
        assert doubt.likely.unit is likely
        assert doubt.likely.words() in doubt.sentence


def test_a_figure_that_fits_no_unit_says_what_may_happen() -> None:
    assert "shear" in doubt_of(parse_torque("200", TorqueUnit.NM), Thread.M6).sentence
    assert "loose" in doubt_of(parse_torque("1", TorqueUnit.NM), Thread.M6).sentence
    assert doubt_of(parse_torque("5.5", TorqueUnit.NM), Thread.M6) is None  # a cover on its gasket


@pytest.mark.parametrize("text", ["", "abc", "0", "501", "-5", "nan"])
def test_what_is_no_torque_is_refused(text: str) -> None:
    with pytest.raises(BadValue):
        parse_torque(text, TorqueUnit.NM)


@pytest.mark.parametrize(
    ("value", "words"), [("9.996", "10.00 N·m"), ("12.34", "12.3 N·m"), ("123.4", "123 N·m")]
)
def test_a_torque_is_shown_as_a_wrench_can_be_set(value: Any, words: Any) -> None:
    assert Torque(value=Fraction(value), unit=TorqueUnit.NM).words() == words


# tightening ----------------------------------------------------------------------------


def grid(rows: Any, columns: Any) -> Any:
    return tuple((x * 1.0, y * 1.0) for y in range(rows) for x in range(columns))


def ring(many: Any) -> Any:
    turn = 2 * math.pi / many
    return tuple((math.cos(n * turn), math.sin(n * turn)) for n in range(many))


def avoidable(bolts: Any) -> Any:
    """Return whether any order at all keeps neighbours apart, by trying every one."""
    beside = neighbours(bolts)
    return any(
        all((a, b) not in beside for a, b in pairwise(order))
        for order in permutations(range(len(bolts)))
    )


def consecutive_neighbours(bolts: Any, order: Any) -> Any:
    """Say how often the order goes from a bolt to one beside it."""
    beside = neighbours(bolts)
    return sum((a, b) in beside for a, b in pairwise(order))


@settings(max_examples=150)
@given(
    st.one_of(
        st.builds(grid, st.integers(1, 4), st.integers(3, 8)),
        st.builds(ring, st.integers(6, 20)),
        st.lists(
            st.tuples(st.integers(0, 40), st.integers(0, 40)), min_size=6, max_size=7, unique=True
        ).map(lambda places: tuple((x / 40, y / 40) for x, y in places)),
    )
)
def test_every_bolt_once_and_no_neighbours_one_after_the_other(bolts: Any) -> None:
    order = tightening_order(bolts)
    assert sorted(order) == list(range(len(bolts)))
    rows = len({y for _x, y in bolts}), len({x for x, _y in bolts})
    if min(rows) == 2 and len(bolts) == 2 * max(rows):  # two rows: from the middle outwards
        along = 0 if rows[0] == 2 else 1
        middle = sum(bolt[along] for bolt in bolts) / len(bolts)
        away = [round(abs(bolts[one][along] - middle), 6) for one in order]
        assert len(bolts) == 4 or away == sorted(away)
    elif len(bolts) >= 6 and consecutive_neighbours(bolts, order):
        assert len(bolts) <= 7, "a regular layout always has such an order"
        assert not avoidable(bolts)


@pytest.mark.parametrize(
    ("bolts", "first"), [(grid(2, 5), {2, 7}), (grid(3, 3), {4}), (grid(1, 7), {3})]
)
def test_it_begins_in_the_middle_and_ends_outside(bolts: Any, first: Any) -> None:
    order = tightening_order(bolts)
    assert order[0] in first
    middle = (sum(x for x, _y in bolts) / len(bolts), sum(y for _x, y in bolts) / len(bolts))
    far = [math.dist(bolts[one], middle) for one in order]
    half = len(far) // 2
    assert sum(far[:half]) / half < sum(far[half:]) / (len(far) - half)


@pytest.mark.parametrize("bolts", [(), ((0.5, 0.5),), ((0.0, 0.0), (1.0, 0.0))])
def test_one_bolt_and_none_are_no_trouble(bolts: Any) -> None:
    assert sorted(tightening_order(bolts)) == list(range(len(bolts)))


def test_a_bolt_ringed_by_five_is_the_exception_and_has_few() -> None:
    bolts = ((0.0, 0.0), *ring(5))
    order = tightening_order(bolts)
    assert not avoidable(bolts)
    assert sorted(order) == list(range(6))
    assert consecutive_neighbours(bolts, order) <= 2


# fitting -------------------------------------------------------------------------------

names = st.sampled_from("ABCDEFGH")


@given(st.dictionaries(names, st.one_of(st.none(), names), min_size=1))
def test_never_two_valves_open_and_never_two_pieces_loose(wished: Any) -> None:
    """Chains and rings of pieces: each giver gives once, and changes itself."""
    moves, given_away = {}, set()
    for valve, giver in wished.items():
        ok = giver in wished and giver != valve and giver not in given_away
        moves[valve] = giver if ok else None
        given_away |= {giver} if ok else set()
    order = [valve for chain in chains(moves) for valve in chain]
    assert sorted(order) == sorted(moves)
    empty, loose = set(), set()
    for valve in order:
        if valve in empty:
            empty.discard(valve)
        elif valve in given_away:
            loose.add(valve)  # its old piece is out and wanted later: a ring begins here
        giver = moves[valve]
        if giver in loose:
            loose.discard(giver)
        elif giver is not None:
            empty.add(giver)  # its piece has gone into this valve
        assert len(empty) <= 1
        assert len(loose) <= 1
    assert not empty
    assert not loose


def engine_of(follower: Any) -> Any:
    document = starting_point(Start(layout=Layout.SINGLE, follower=follower))
    return EngineFile.model_validate(document).to_core()


def test_a_step_says_where_the_piece_is_from_and_where_the_old_one_goes() -> None:
    engine = engine_of(Follower.BUCKET_UNDER)
    a, b = [one.id for one in engine.clearances][:2]
    choices = {
        a: Choice(thickness_nm=mm("2.5"), source=Source.ENGINE, from_valve=b),
        b: Choice(thickness_nm=mm("2.4"), source=Source.DRAWER),
    }
    steps = fit_steps(engine, choices, {a: mm("2.6"), b: mm("2.5")})
    assert [(s.valve, s.from_valve, s.old_goes_to) for s in steps] == [(a, b, None), (b, None, a)]


@pytest.mark.parametrize(
    ("follower", "action", "says"),
    [
        (Follower.BUCKET_UNDER, Role.OPEN, "turns freely"),
        (Follower.BUCKET_OVER, Role.OPEN, "Holding-down tool"),
        (Follower.FINGER, Role.OPEN, "pad square"),
        (Follower.OPENER_CLOSER, Role.OPEN, "opener"),
        (Follower.OPENER_CLOSER, Role.CLOSE, "half rings"),
    ],
)
def test_each_follower_is_fitted_its_own_way(follower: Any, action: Any, says: Any) -> None:
    engine = engine_of(follower)
    valve = next(one.id for one in engine.clearances if one.action is action)
    (step,) = fit_steps(engine, {valve: Choice(thickness_nm=mm("2.5"))}, {valve: mm("2.6")})
    assert any(says in check for check in step.checks)


def test_closing_goes_from_caps_to_tensioner_to_turning_by_hand() -> None:
    engine = engine_of(Follower.BUCKET_UNDER)
    facts = ListFacts(engine=engine, opened=tuple(engine.by_id), hand_turns=4)
    steps = [one.id for one in list_of(ListName.CLOSE, facts)]
    order = [steps.index(f"close-{one}") for one in ("caps", "marks", "tensioner", "turns")]
    assert order == sorted(order)
    on_top = replace(facts, engine=engine_of(Follower.BUCKET_OVER), round=2)
    (turns,) = list_of(ListName.CLOSE, on_top)
    assert (turns.id, "4 full turns" in turns.does) == ("close2-turns", True)


def test_the_numbers_beside_the_bolts_are_not_the_bolts_in_turning_order() -> None:
    """Beside the first bolt stands 3: it is turned third."""
    assert order_of([3, 1, 2]) == (1, 2, 0)
    assert order_of(None, [3, 1, 2]) == (3, 1, 2)
    assert order_of(None) is None
    for wrong in ([1, 1, 2], [0, 1, 2], [2, 3, 4]):
        with pytest.raises(BadValue, match="each once"):
            order_of(wrong)


def chain(*moves: Any) -> Any:
    """Return choices: a valve, the valve its piece comes out of, or None for a new one."""
    return {
        valve: Choice(
            thickness_nm=mm("2.5"),
            source=Source.COUNTER if giver is None else Source.ENGINE,
            from_valve=giver,
        )
        for valve, giver in moves
    }


def steps_of(engine: Any, choices: Any, stops: Any = None) -> Any:
    return fit_steps(engine, choices, dict.fromkeys(choices, mm("2.6")), stops)


def test_with_the_shaft_in_no_bucket_is_empty_while_anything_is_turned() -> None:
    """The piece at hand goes in first and pushes the next one on, stop after stop."""
    document = starting_point(Start(layout=Layout.PARALLEL_TWIN, follower=Follower.BUCKET_OVER))
    engine = EngineFile.model_validate(document).to_core()
    a, b, c = [one.id for one in engine.clearances][:3]
    stops = {a: 0, b: 0, c: 1}
    steps = steps_of(engine, chain((a, b), (b, c), (c, None)), stops)
    assert [(one.valve, one.turn_to) for one in steps] == [(c, 1), (b, 0), (a, None)]
    empty, hand = set(), {None}
    for one in steps:
        assert one.turn_to is None or not empty  # nothing stands open as it is turned
        assert one.from_valve in hand
        hand.add(one.valve)
    ring = steps_of(engine, chain((a, c), (c, a)), stops)
    assert [one.spare for one in ring] == [True, False]  # closed by something till its piece comes
    out = EngineFile.model_validate(starting_point(Start(layout=Layout.PARALLEL_TWIN))).to_core()
    assert all(
        one.turn_to is None for one in steps_of(out, chain((a, b), (b, c), (c, None)), stops)
    )


def test_closers_come_before_openers_and_what_has_gone_in_is_not_said_to_follow() -> None:
    document = starting_point(Start(layout=Layout.SINGLE, follower=Follower.OPENER_CLOSER))
    engine = EngineFile.model_validate(document).to_core()
    names = [one.id for one in engine.clearances]
    steps = steps_of(engine, chain(*((name, None) for name in names)))
    roles = [engine.clearance(one.valve).action for one in steps]
    assert roles == sorted(roles, key=lambda role: role is not Role.CLOSE)
    a, b = [name for name in names if engine.clearance(name).action is Role.OPEN][:2]
    choices = chain((a, b), (b, None))
    assert {one.valve: one.old_gone for one in steps_of(engine, choices)} == {a: False, b: False}
    choices[a] = replace(choices[a], fitted=True)
    assert {one.valve: one.old_gone for one in steps_of(engine, choices)}[b]
