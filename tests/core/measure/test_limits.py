"""A reading is an interval, and its verdict holds for every gap in it."""

from typing import Any

import pytest
from hypothesis import given
from hypothesis import strategies as st

from plimb.core.errors import BadValue
from plimb.core.lengths import Unit, mm
from plimb.core.measure.gap import Feel, Gap, between, felt, none_below, point
from plimb.core.measure.limits import Limits, Spec, Verdict, judge, parse_limits

SPEC = parse_limits("0.14-0.18", Unit.MM)


@pytest.mark.parametrize(
    ("gap", "verdict"),
    [
        (point(mm("0.14")), Verdict.IN),
        (point(mm("0.18")), Verdict.IN),
        (point(mm("0.1399")), Verdict.TIGHT),
        (point(mm("0.1801")), Verdict.LOOSE),
        (between(mm("0.15"), mm("0.18")), Verdict.IN),
        (between(mm("0.14"), mm("0.18")), Verdict.IN),
        (between(mm("0.13"), mm("0.15")), Verdict.UNSETTLED),
        (between(mm("0.15"), mm("0.20")), Verdict.UNSETTLED),
        (between(mm("0.10"), mm("0.13")), Verdict.TIGHT),
        (between(mm("0.10"), mm("0.14")), Verdict.TIGHT),
        (Gap(low_nm=mm("0.10"), high_nm=mm("0.14")), Verdict.UNSETTLED),
        (between(mm("0.18"), mm("0.20")), Verdict.UNSETTLED),
        (between(mm("0.20"), mm("0.23")), Verdict.LOOSE),
        (none_below(mm("0.03")), Verdict.NONE),
    ],
)
def test_the_verdict_of_each_kind_of_reading(gap: Any, verdict: Any) -> None:
    assert judge(gap, SPEC) is verdict


@given(st.integers(min_value=1, max_value=100), st.integers(min_value=0, max_value=100))
def test_exactly_at_a_limit_is_in_spec_for_every_hundredth(hundredths: Any, width: Any) -> None:
    low = f"0.{hundredths:02}" if hundredths < 100 else "1.00"
    low_nm = mm(low)
    high_nm = low_nm + width * mm("0.01")
    limits = Limits(low_nm=low_nm, high_nm=high_nm)
    assert judge(point(mm(low)), limits) is Verdict.IN
    assert judge(point(high_nm), limits) is Verdict.IN
    assert judge(point(low_nm - 1), limits) is Verdict.TIGHT
    assert judge(point(high_nm + 1), limits) is Verdict.LOOSE


def test_subtracting_lands_on_the_limit_without_drift() -> None:
    limits = parse_limits("0.10-0.25", Unit.MM)
    assert judge(point(mm("0.30") - mm("0.05")), limits) is Verdict.IN


gaps = st.integers(min_value=1, max_value=900).flatmap(
    lambda low: st.integers(min_value=1, max_value=100).map(
        lambda width: between(low * 1000, (low + width) * 1000)
    )
)


@given(gaps, st.integers(0, 500), st.integers(0, 300))
def test_a_bracket_is_judged_like_every_gap_in_it(gap: Any, low: Any, width: Any) -> None:
    limits = Limits(low_nm=low * 1000, high_nm=(low + width) * 1000)
    inside = {judge(point(nm), limits) for nm in range(gap.low_nm, gap.high_nm, 1000)} | {
        judge(point(gap.high_nm - 1), limits)
    }
    expected = inside.pop() if len(inside) == 1 else Verdict.UNSETTLED
    assert judge(gap, limits) is expected


@pytest.mark.parametrize("text", ["0.2-0.1", "0.2", "a-b", "0.1-3", "-"])
def test_a_spec_that_cannot_be_is_refused_by_name(text: str) -> None:
    with pytest.raises(BadValue) as refusal:
        parse_limits(text, Unit.MM)
    assert refusal.value.field == "spec"


def test_a_set_range_lies_inside_the_check_range() -> None:
    with pytest.raises(BadValue, match="set range"):
        Spec(check=SPEC, set_=parse_limits("0.13-0.18", Unit.MM))


@pytest.mark.parametrize("aim", ["0.139", "0.181"])
def test_an_aim_lies_inside_the_spec(aim: Any) -> None:
    with pytest.raises(BadValue, match="aim"):
        Spec(check=SPEC, aim_nm=mm(aim))


def test_feel_narrows_what_one_blade_says() -> None:
    blade = mm("0.13")
    assert felt(blade, Feel.DRAG) == point(blade)
    assert felt(blade, Feel.TIGHT) == point(blade)  # it goes: the gap is at least the blade
    loose = felt(blade, Feel.LOOSE)
    assert (loose.low_nm, loose.open_ended, loose.is_point) == (blade, True, False)
    assert judge(loose, SPEC) is Verdict.UNSETTLED  # and nothing says how much more
    assert judge(felt(mm("0.2"), Feel.LOOSE), SPEC) is Verdict.LOOSE


def test_a_called_number_lies_in_its_bracket() -> None:
    with pytest.raises(BadValue, match="called"):
        Gap(low_nm=mm("0.13"), high_nm=mm("0.15"), called_nm=mm("0.16"))
