"""What a hand decided is weighed like any other: out is out, wherever the piece comes from."""

import random
from typing import Any

import pytest

from plimb.core.lengths import mm
from plimb.core.measure.gap import none_below
from plimb.core.plan.options import all_options
from plimb.core.plan.reasons import reasons
from plimb.core.plan.request import Pin, PlanRequest
from plimb.core.plan.search import plan_engine
from plimb.core.plan.why import Because
from plimb.core.shim.family import Family
from plimb.core.shim.shim import Source

from .test_plan import gap, planned, row, stock

BARE = Family(runs=(), diameter_nm=mm("9.48"))
"""Nobody has said which sizes are made."""

SOURCES = {
    Source.ENGINE: Pin(source=Source.ENGINE, thickness_nm=mm("2.95"), from_valve="B"),
    Source.DRAWER: Pin(source=Source.DRAWER, thickness_nm=mm("2.95")),
    Source.COUNTER: Pin(source=Source.COUNTER, thickness_nm=mm("2.95")),
}


@pytest.mark.parametrize("source", SOURCES)
def test_a_piece_that_holds_the_valve_open_is_said_to_wherever_it_comes_from(source: Any) -> None:
    rows = (row("A", gap(10), "2.80"), row("B", gap(16), "2.95"))
    request, plan = planned(*rows, drawer=(stock("2.95"),), pins={"A": SOURCES[source]})
    assert plan.move("A").gap.best_nm == -50_000
    assert "A" in plan.out_of_spec
    why = reasons(request, plan)["A"]
    assert why.because is Because.HOLDS_OPEN
    assert "hold the valve open" in why.words
    said = {one.source: one.stands for one in all_options(request, plan)["A"]
            if one.thickness_nm == mm("2.95")}  # fmt: skip
    assert said[source] == "holds open"


@pytest.mark.parametrize("thickness", ["2.60", "2.85"])
def test_a_bought_piece_that_is_out_is_not_called_closer(thickness: Any) -> None:
    pin = Pin(source=Source.COUNTER, thickness_nm=mm(thickness))
    request, plan = planned(row("A", gap(5), "2.80"), pins={"A": pin})
    assert plan.out_of_spec == ("A",)
    why = reasons(request, plan)["A"]
    assert why.because in (Because.OUT, Because.HOLDS_OPEN)
    assert "closer" not in why.words


@pytest.mark.slow
def test_of_random_decisions_just_those_are_called_in_that_land_in() -> None:
    """Each pinned piece is out of the plan's account just where its best gap is out."""
    dice, out = random.Random(20261201), 0
    for _plan in range(400):
        found = [dice.randrange(2, 30) for _valve in range(4)]
        own = [dice.randrange(250, 300, 5) for _valve in range(4)]
        rows = tuple(
            row(name, gap(at), f"{thick / 100}")
            for name, at, thick in zip("ABCD", found, own, strict=True)
        )
        size = f"{dice.randrange(240, 310, 5) / 100:.2f}"
        source = dice.choice((Source.ENGINE, Source.DRAWER, Source.COUNTER))
        giver = dice.choice("BCD")
        thick_nm = mm(f"{own['ABCD'.index(giver)] / 100}") if source is Source.ENGINE else mm(size)
        pin = Pin(source=source, thickness_nm=thick_nm, from_valve=giver)
        pin = pin if source is Source.ENGINE else Pin(source=source, thickness_nm=thick_nm)
        request, plan = planned(*rows, drawer=(stock(size),), pins={"A": pin})
        move, spec = plan.move("A"), request.rows[0].spec
        assert (move.source, move.thickness_nm, move.pinned) == (source, thick_nm, True)
        is_out = not spec.check.holds(move.gap.best_nm)
        assert ("A" in plan.out_of_spec) == is_out
        out += is_out
    assert 100 < out < 390


def test_a_swap_with_an_empty_drawer_says_who_has_no_shim_until_the_other_is_decided() -> None:
    rows = (row("A", gap(12), "2.80", family=BARE), row("B", gap(18), "2.70", family=BARE))
    one = Pin(source=Source.ENGINE, thickness_nm=mm("2.70"), from_valve="B")
    request, plan = planned(*rows, pins={"A": one})
    assert (plan.move("A").thickness_nm, plan.empty) == (mm("2.70"), ("B",))
    assert plan.out_of_spec == ("B",)
    assert "goes to another valve" in reasons(request, plan)["B"].words
    there = {one.from_valve for one in all_options(request, plan)["B"]}
    assert "A" in there  # what would make the swap whole can be chosen
    other = Pin(source=Source.ENGINE, thickness_nm=mm("2.80"), from_valve="A")
    _request, plan = planned(*rows, pins={"A": one, "B": other})
    assert (plan.move("B").from_valve, plan.empty, plan.out_of_spec) == ("A", (), ("B",))


@pytest.mark.parametrize(("size", "thinner"), [("2.60", True), ("2.80", False), ("2.95", False)])
def test_a_piece_for_a_valve_without_a_gap_stays_and_one_no_thinner_is_warned_of(
    size: Any, thinner: Any
) -> None:
    pin = Pin(source=Source.DRAWER, thickness_nm=mm(size))
    lost = row("A", none_below(mm("0.03")), "2.80")
    request, plan = planned(lost, drawer=(stock(size), stock("2.55")), pins={"A": pin})
    assert plan.move("A").thickness_nm == mm(size)
    why = reasons(request, plan)["A"]
    assert why.because is (Because.FOR_NOW if thinner else Because.NOT_THINNER)
    assert ("A" in plan.out_of_spec) is not thinner


def test_of_a_valve_that_was_not_measured_nothing_is_claimed() -> None:
    pin = Pin(source=Source.COUNTER, thickness_nm=mm("2.60"))
    request, plan = planned(row("A", None, "2.80"), row("B", gap(16), "2.70"), pins={"A": pin})
    move = plan.move("A")
    assert (move.thickness_nm, move.gap, move.chance) == (mm("2.60"), None, None)
    assert plan.unknown == ("A",)
    assert reasons(request, plan)["A"].because is Because.NOT_KNOWN


def test_a_request_without_valves_has_a_plan() -> None:
    assert plan_engine(PlanRequest(rows=())).moves == ()
