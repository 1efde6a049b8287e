"""The blade to try next: it always ends, asks nothing twice, and beats halving."""

from dataclasses import replace
from functools import cache
from statistics import fmean
from typing import Any

import pytest
from hypothesis import example, given, settings
from hypothesis import strategies as st

from plimb.core.errors import BadValue
from plimb.core.lengths import Unit, mm
from plimb.core.measure.blades import (
    Blade,
    BladeSet,
    BladeState,
    Stack,
    Tried,
    known_from,
    next_blade,
    next_finer,
)
from plimb.core.measure.gap import between, none_below, point
from plimb.core.measure.limits import Limits, Verdict, judge, parse_limits
from plimb.core.measure.patterns import PATTERNS
from plimb.core.measure.printed import parse_spec
from plimb.core.measure.shorthand import parse_reading


def blade_set(*hundredths: Any, stacking: Any = False, bent: Any = ()) -> Any:
    blades = tuple(
        Blade(nominal_nm=n * 10_000, state=BladeState.BENT if n in bent else BladeState.SOUND)
        for n in hundredths
    )
    return BladeSet(name="set", blades=blades, stacking=stacking)


FIVES = blade_set(*range(5, 101, 5))
FINE = blade_set(3, 4, 5, 6, 7, 8, 9, 10, 13, 15, 18, 20, 23, 25, 28, 30, 33, 35, stacking=True)
SPEC = parse_limits("0.15-0.20", Unit.MM)


def test_a_stack_fills_a_hole_and_a_single_blade_is_preferred() -> None:
    tries = {one.thickness_nm: one.blades for one in FINE.tries()}
    assert tries[mm("0.17")] == (mm("0.13"), mm("0.04"))
    assert tries[mm("0.15")] == (mm("0.15"),)


def test_a_measured_blade_counts_as_measured_and_a_bent_one_not_at_all() -> None:
    blades = (
        Blade(nominal_nm=mm("0.10"), measured_nm=mm("0.102")),
        Blade(nominal_nm=mm("0.15"), state=BladeState.BENT),
    )
    one = BladeSet(name="x", blades=blades).tries()
    assert [(t.blades, t.thickness_nm) for t in one] == [((mm("0.10"),), mm("0.102"))]


@pytest.mark.parametrize(
    ("nominal", "measured"), [("0.005", None), ("2.5", None), ("0.10", "0.14")]
)
def test_what_is_no_blade_is_refused(nominal: Any, measured: Any) -> None:
    with pytest.raises(BadValue, match="blade"):
        Blade(nominal_nm=mm(nominal), measured_nm=measured and mm(measured))


def test_a_set_has_each_blade_once() -> None:
    with pytest.raises(BadValue, match="twice"):
        blade_set(5, 5)


def follow(gap_nm: Any, limits: Any, blades: Any) -> Any:
    """Try what is suggested on a true gap until nothing more is; return the tries and the end."""
    known, asked = Tried(), []
    while one := next_blade(known, limits, blades):
        assert one.thickness_nm not in asked
        assert known.goes_nm is None or one.thickness_nm > known.goes_nm
        assert known.refuses_nm is None or one.thickness_nm < known.refuses_nm
        asked.append(one.thickness_nm)
        known = known.with_answer(one, gap_nm >= one.thickness_nm)
        assert len(asked) < 9
    return asked, known


def halve(gap_nm: Any, limits: Any, blades: Any) -> Any:
    """Halve all that is at hand until the verdict is settled or nothing is left to try."""
    tries, known, count = list(blades.tries()), Tried(), 0
    while tries and known.settled(limits) is None:
        one = tries[len(tries) // 2]
        count += 1
        known = known.with_answer(one, gap_nm >= one.thickness_nm)
        low, high = known.goes_nm or 0, known.refuses_nm or 10**9
        tries = [other for other in tries if low < other.thickness_nm < high]
    return count, known


limits = st.tuples(st.integers(5, 30), st.integers(2, 12)).map(
    lambda pair: Limits(low_nm=pair[0] * 10_000, high_nm=sum(pair) * 10_000)
)
sets = st.builds(
    lambda marks, stacking: blade_set(*marks, stacking=stacking),
    st.sets(st.integers(2, 60), min_size=4, max_size=32),
    st.booleans(),
)


@settings(max_examples=60)
@given(limits, sets)
@example(Limits(low_nm=50_000, high_nm=110_000), blade_set(2, 4, 8, 13, stacking=True))
@example(Limits(low_nm=110_000, high_nm=130_000), blade_set(2, 3, 4, 11, 12, 23))
def test_over_all_gaps_it_ends_and_needs_no_more_tries_than_halving(spec: Any, blades: Any) -> None:
    gaps = range(2_500, 2 * spec.high_nm - spec.low_nm, 5_000)
    ours, theirs = [], []
    for gap_nm in gaps:
        asked, known = follow(gap_nm, spec, blades)
        count, halved = halve(gap_nm, spec, blades)
        ours.append(len(asked))
        theirs.append(count)
        if halved.settled(spec):
            assert known.settled(spec)
        if known.settled(spec) and known.goes_nm is not None:
            settled = known.settled(spec)
            assert judge(point(gap_nm), spec) is settled
    assert fmean(ours) <= fmean(theirs) + 1e-9


def test_the_first_try_is_the_best_of_all_orders_on_a_small_set() -> None:
    """Against an exhaustive search over every blade at every step."""
    blades = blade_set(8, 10, 13, 15, 18, 20, 23)
    tries = blades.tries()
    gaps = range(2_500, 2 * SPEC.high_nm - SPEC.low_nm, 5_000)

    @cache
    def best(known: Any) -> Any:
        if known.settled(SPEC):
            return 0.0
        low, high = known.goes_nm or 0, known.refuses_nm or 10**9
        inside = [gap for gap in gaps if low <= gap < high]
        left = [one for one in tries if low < one.thickness_nm < high]
        if (
            not inside
            or not left
            or not any(reachable(known.with_answer(o, g)) for o in left for g in (0, 1))
        ):
            return 0.0
        return min(
            1
            + sum(best(known.with_answer(one, gap >= one.thickness_nm)) for gap in inside)
            / len(inside)
            for one in left
        )

    @cache
    def reachable(known: Any) -> Any:
        low, high = known.goes_nm or 0, known.refuses_nm or 10**9
        left = [one for one in tries if low < one.thickness_nm < high]
        return known.settled(SPEC) is not None or any(
            reachable(known.with_answer(one, goes)) for one in left for goes in (True, False)
        )

    ours = fmean(len(follow(gap, SPEC, blades)[0]) for gap in gaps)
    assert ours == pytest.approx(best(Tried()), abs=0.02)


@pytest.mark.parametrize(
    ("gap", "following"),
    [
        (between(mm("0.10"), mm("0.20")), "0.15"),
        (point(mm("0.17")), None),
        (none_below(mm("0.05")), None),
        (between(mm("0.15"), mm("0.20")), None),
        (between(mm("0.25"), mm("0.30")), None),
    ],
)
def test_from_a_reading_it_asks_only_what_still_matters(gap: Any, following: Any) -> None:
    one = next_blade(known_from(gap), SPEC, FIVES)
    assert (one and one.thickness_nm) == (following and mm(following))


def test_finely_it_halves_down_to_neighbours() -> None:
    known, count = Tried(goes_nm=mm("0.05")), 0
    while one := next_finer(known, SPEC, FINE):
        assert len(one.blades) == 1
        known, count = known.with_answer(one, mm("0.16") >= one.thickness_nm), count + 1
    assert (known.goes_nm, known.refuses_nm) == (mm("0.15"), mm("0.18"))
    assert count <= 5


def test_nothing_going_is_no_gap_and_one_going_is_tight() -> None:
    refused = Tried(refuses_nm=mm("0.15"))
    assert refused.settled(SPEC) is Verdict.NONE
    assert Tried(goes_nm=mm("0.10"), refuses_nm=mm("0.15")).settled(SPEC) is Verdict.TIGHT


# two scales, stacks, sets as they are sold ----------------------------------------------------

SIX = Blade(nominal_nm=152_400, stamped_nm=mm("0.152"))
TWO_SCALES = BladeSet(name="both", blades=(SIX, Blade(nominal_nm=101_600, stamped_nm=mm("0.102"))))


@pytest.mark.parametrize(("text", "unit"), [("6", Unit.INCH), ("0.152", Unit.MM)])
def test_a_blade_with_two_scales_is_its_inch_marking_whichever_is_typed(
    text: str, unit: Any
) -> None:
    gap = parse_reading(text, unit, thick=TWO_SCALES.thickness).gap
    assert gap.best_nm == 152_400
    assert judge(gap, parse_spec(".004-.006", Unit.INCH).check) is Verdict.IN


def test_a_stack_is_as_thick_as_it_was_measured() -> None:
    pair = BladeSet(
        name="pair",
        blades=(Blade(nominal_nm=mm("0.18")), Blade(nominal_nm=mm("0.09"))),
        stacks=(Stack(blades=(mm("0.18"), mm("0.09")), measured_nm=mm("0.28")),),
    )
    for text in ("18+9", "9+18"):
        assert parse_reading(text, Unit.MM, thick=pair.thickness).gap.best_nm == mm("0.28")
    assert mm("0.28") in {one.thickness_nm for one in pair.tries()}
    assert mm("0.27") not in {one.thickness_nm for one in pair.tries()}


@pytest.mark.parametrize(
    ("wrong", "says"),
    [
        (lambda: Blade(nominal_nm=152_400, stamped_nm=mm("0.15")), "cannot be stamped"),
        (
            lambda: BladeSet(
                name="x", blades=(SIX,), stacks=(Stack(blades=(1, 2), measured_nm=3),)
            ),
            "two blades of its set",
        ),
        (
            lambda: replace(
                TWO_SCALES, stacks=(Stack(blades=(152_400, 101_600), measured_nm=mm("0.31")),)
            ),
            "cannot measure",
        ),
    ],
)
def test_markings_and_stacks_that_cannot_be_are_refused(wrong: Any, says: Any) -> None:
    with pytest.raises(BadValue, match=says):
        wrong()


@pytest.mark.parametrize("pattern", PATTERNS, ids=lambda one: one.name)
def test_sets_as_they_are_sold_can_be_used_at_once(pattern: Any) -> None:
    blades = BladeSet(name=pattern.name, blades=pattern.blades)
    assert len(blades.usable) >= 17
    for blade in blades.blades:
        assert parse_reading(blade.typed, Unit.MM, thick=blades.thickness).gap.best_nm == (
            blade.nominal_nm
        )
        if blade.typed_thou is not None:
            assert parse_reading(blade.typed_thou, Unit.INCH).gap.best_nm == blade.nominal_nm


@pytest.mark.parametrize(
    ("text", "unit", "ends"),
    [
        (".006±.001 in", Unit.MM, ("0.127", "0.1778")),
        ('.005 - .007"', Unit.MM, ("0.127", "0.1778")),
        ("0.13 to 0.18mm", Unit.INCH, ("0.13", "0.18")),
    ],
)
def test_a_unit_typed_behind_a_spec_counts_before_the_one_that_is_set(
    text: str, unit: Any, ends: Any
) -> None:
    check = parse_spec(text, unit).check
    assert (check.low_nm, check.high_nm) == tuple(mm(end) for end in ends)
