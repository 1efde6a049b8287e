"""The sums of one valve, from the trade's own worked figures (common practice)."""

from typing import Any

import pytest
from hypothesis import given
from hypothesis import strategies as st

from plimb.core.errors import BadValue
from plimb.core.lengths import Unit, mm
from plimb.core.measure.gap import between, none_below, point
from plimb.core.measure.limits import Spec, parse_limits
from plimb.core.measure.uncertainty import SURE
from plimb.core.shim.family import COMMON_KIT, Family, Run, parse_run
from plimb.core.shim.sum import Aim, Rounding, SizePolicy, fit, sizes_around, window, work_out
from plimb.core.shim.worksheet import conclusion, worksheet
from plimb.core.words import MILLIMETRES

KIT = COMMON_KIT.sizes()


def solve(
    gap: Any,
    shim: Any,
    spec: Any,
    aim: Any = Aim.LOOSE,
    rounding: Any = Rounding.NEAREST,
    sizes: Any = KIT,
) -> Any:
    if isinstance(gap, str):
        gap = point(mm(gap))
    spec = spec if isinstance(spec, Spec) else Spec(check=parse_limits(spec, Unit.MM))
    return work_out(gap, mm(shim), spec, sizes, SizePolicy(aim=aim, rounding=rounding, first=SURE))


@pytest.mark.parametrize(
    ("shim", "gap", "spec", "thin", "thick"),
    [
        ("3.10", "0.00", "0.13-0.18", "2.92", "2.97"),
        ("3.10", "0.50", "0.13-0.18", "3.42", "3.47"),
        ("1.79", "0.15", "0.17-0.22", "1.72", "1.77"),
    ],
)
def test_the_window_of_the_worked_figures(
    shim: Any, gap: Any, spec: Any, thin: Any, thick: Any
) -> None:
    found = window(point(mm(gap)), mm(shim), parse_limits(spec, Unit.MM))
    assert (found.thin_nm, found.thick_nm) == (mm(thin), mm(thick))


@pytest.mark.parametrize(
    ("shim", "gap", "spec", "aim", "ideal", "pick", "gives"),
    [
        ("1.79", "0.15", "0.17-0.22", Aim.LOOSE, "1.72", "1.75", "0.19"),
        ("2.95", "0.05", "0.14-0.23", mm("0.23"), "2.77", "2.80", "0.20"),
        ("2.09", "0.12", "0.14-0.18", mm("0.16"), "2.05", "2.05", "0.16"),
        ("2.10", "0.10", "0.14-0.20", mm("0.16"), "2.04", "2.05", "0.15"),
        ("1.75", "0.30", "0.20-0.30", Aim.MIDDLE, "1.80", "1.80", "0.25"),
    ],
)
def test_ideal_and_pick_of_the_worked_figures(
    shim: Any, gap: Any, spec: Any, aim: Any, ideal: Any, pick: Any, gives: Any
) -> None:
    worked = solve(gap, shim, spec, aim)
    assert worked.ideal_nm == mm(ideal)
    assert (worked.pick.thickness_nm, worked.pick.gap_nm) == (mm(pick), mm(gives))


def test_both_neighbours_with_the_gap_each_gives() -> None:
    worked = solve("0.10", "2.10", "0.14-0.20", mm("0.16"))
    assert (worked.thinner.thickness_nm, worked.thinner.gap_nm) == (mm("2.00"), mm("0.20"))
    assert (worked.thicker.thickness_nm, worked.thicker.gap_nm) == (mm("2.05"), mm("0.15"))


def test_a_thinner_shim_opens_the_gap_by_its_difference() -> None:
    """3.25 to 3.20 opens the gap by 0.05 mm, 2 thou to the nearest thou (common practice)."""
    opened = point(mm("0.15")).shifted(mm("3.25") - mm("3.20")).best_nm - mm("0.15")
    assert opened == mm("0.05")
    assert round(opened / 25_400) == 2


@pytest.mark.parametrize(
    ("aim", "rounding", "pick"),
    [
        (Aim.LOOSE, Rounding.NEAREST, "2.45"),
        (Aim.MIDDLE, Rounding.NEAREST, "2.50"),
        (Aim.TIGHT, Rounding.NEAREST, "2.55"),
        (Aim.MAKER, Rounding.NEAREST, "2.50"),
        (Aim.LEAST, Rounding.NEAREST, "2.55"),
        (mm("0.20"), Rounding.NEAREST, "2.50"),
        (mm("0.19"), Rounding.THINNER, "2.50"),
        (mm("0.20"), Rounding.THICKER, "2.55"),
        (Aim.LOOSE, Rounding.THICKER, "2.45"),
        (Aim.TIGHT, Rounding.THINNER, "2.55"),
        (Aim.MIDDLE, Rounding.CHANCE, "2.50"),
    ],
)
def test_each_school_leans_its_own_way(aim: Any, rounding: Any, pick: Any) -> None:
    """Stack 2.72, spec 0.16 to 0.28: sizes 2.45 (0.27), 2.50 (0.22) and 2.55 (0.17) are in."""
    assert solve("0.08", "2.64", "0.16-0.28", aim, rounding).pick.thickness_nm == mm(pick)


def test_least_change_keeps_a_piece_that_is_in_spec() -> None:
    worked = solve("0.18", "2.50", "0.16-0.28", Aim.LEAST)
    assert worked.pick.thickness_nm == mm("2.50")
    assert "Keep 2.50" in conclusion(worked, MILLIMETRES)


spec_and_stack = st.tuples(
    st.integers(5, 40), st.integers(0, 25), st.integers(120, 350), st.integers(1, 60)
)


@given(
    spec_and_stack,
    st.sampled_from(list(Aim)),
    st.sampled_from([r for r in Rounding if r is not Rounding.CHANCE]),
    st.integers(0, 8),
)
def test_no_school_ever_puts_a_valve_out_of_spec(
    figures: Any, aim: Any, rounding: Any, bracket: Any
) -> None:
    low, width, shim, gap = (figure * 10_000 for figure in figures)
    spec = Spec(check=parse_limits(f"{low / 1e6:.2f}-{(low + width) / 1e6:.2f}", Unit.MM))
    reading = between(gap, gap + bracket * 10_000) if bracket else point(gap)
    sizing = SizePolicy(aim=aim, rounding=rounding, first=SURE)
    worked = work_out(reading, shim, spec, KIT, sizing)
    inside = [size for size in KIT if worked.window and worked.window.holds(size)]
    if worked.pick is None:
        assert not inside
        return
    for true_gap in {gap, max(gap, gap + bracket * 10_000 - 1)}:
        assert spec.check.holds(true_gap + shim - worked.pick.thickness_nm)
    if rounding is Rounding.NEAREST and aim is not Aim.LEAST:
        picked = abs(worked.pick.thickness_nm - worked.ideal_nm)
        sure = [size for size in inside if fit(reading, shim, size, spec.check).chance >= SURE]
        assert not sure or picked == min(abs(size - worked.ideal_nm) for size in sure)


def test_the_set_range_is_aimed_into_and_the_check_range_only_where_nothing_reaches() -> None:
    spec = Spec(check=parse_limits("0.20-0.30", Unit.MM), set_=parse_limits("0.24-0.26", Unit.MM))
    inside = solve("0.10", "2.65", spec, Aim.LOOSE)
    assert not inside.fell_back
    assert spec.set_.holds(inside.pick.gap_nm)
    outside = solve("0.10", "2.62", spec, Aim.LOOSE)
    assert outside.fell_back
    assert spec.check.holds(outside.pick.gap_nm)
    assert "check range" in "\n".join(worksheet(outside, MILLIMETRES))


def test_an_interval_that_is_too_wide_has_no_window_and_says_so() -> None:
    worked = solve(between(mm("0.05"), mm("0.12")), "2.60", "0.15-0.20")
    assert worked.window is None
    assert worked.pick is None
    assert worked.likeliest is not None
    assert "finer reading" in conclusion(worked, MILLIMETRES)


def test_no_gap_found_gives_a_provisional_piece_thin_enough_to_feel() -> None:
    worked = solve(none_below(mm("0.03")), "2.10", "0.10-0.20")
    assert worked.provisional
    assert worked.window is None
    assert worked.stack_low_nm is None
    assert worked.at_most_nm == mm("2.03")
    assert worked.pick.thickness_nm == mm("1.95")  # the middle, were it 0.03
    assert not worked.pick.in_spec
    assert "Order nothing" in conclusion(worked, MILLIMETRES)


def test_nothing_in_the_family_reaches() -> None:
    sizes = parse_run("1.20-1.30/0.05", Unit.MM).sizes()
    worked = solve("0.05", "2.60", "0.15-0.20", sizes=sizes)
    assert worked.pick is None
    assert worked.thicker is None
    assert worked.thinner.thickness_nm == mm("1.30")


@pytest.mark.parametrize("shim", ["0", "0.49", "15.01", "40"])
def test_what_is_no_shim_is_refused(shim: Any) -> None:
    with pytest.raises(BadValue) as refusal:
        solve("0.10", shim, "0.10-0.20")
    assert refusal.value.field == "shim"


def test_an_aim_outside_the_spec_is_refused() -> None:
    with pytest.raises(BadValue, match="aim"):
        solve("0.10", "2.10", "0.14-0.18", mm("0.19"))


@pytest.mark.parametrize("text", ["1.2-3.5", "1.2-3.5/0", "3.5-1.2/0.05", "0-2/0.05", "1-2/x"])
def test_a_run_that_cannot_be_is_refused(text: str) -> None:
    with pytest.raises(BadValue) as refusal:
        parse_run(text, Unit.MM)
    assert refusal.value.field == "run"


def test_overlapping_runs_offer_each_size_once() -> None:
    runs = (parse_run("1.20-1.30/0.05", Unit.MM), parse_run("1.25-1.40/0.05", Unit.MM))
    expected = tuple(mm(size) for size in ("1.20", "1.25", "1.30", "1.35", "1.40"))
    assert Family(runs=runs).sizes() == expected
    assert Run(from_nm=mm("2.00"), to_nm=mm("2.10"), step_nm=mm("0.04")).sizes()[-1] == mm("2.08")


def test_the_working_can_be_followed_on_paper() -> None:
    lines = worksheet(solve("0.15", "1.79", "0.17-0.22"), MILLIMETRES)
    assert lines == (
        "Stack: 0.15 + 1.79 = 1.94 mm.",
        "In range: from 1.94 − 0.22 = 1.72 to 1.94 − 0.17 = 1.77.",
        "Ideal for a gap of 0.22: 1.94 − 0.22 = 1.72.",
        "1.70 gives 1.94 − 1.70 = 0.24: not in range.",
        "1.75 gives 1.94 − 1.75 = 0.19: in range.",
        "Take 1.75: gap 0.19.",
    )


def test_the_sizes_around_are_the_nearest_either_side_and_never_the_size_itself() -> None:
    thinner, thicker = sizes_around(KIT, mm("1.75"), 2)
    assert thinner == (mm("1.65"), mm("1.70"))
    assert thicker == (mm("1.80"), mm("1.85"))
    assert sizes_around(KIT, mm("1.20"), 2)[0] == ()


def test_where_no_gap_was_felt_and_none_is_thin_enough_the_thinnest_goes_in_for_now() -> None:
    """The sum says of it what the plan does, which buys it."""
    worked = work_out(
        none_below(mm("0.03")), mm("2.70"), Spec(check=parse_limits("0.50-0.60", Unit.MM)),
        tuple(range(mm("2.50"), mm("3.00"), mm("0.05"))), SizePolicy(),
    )  # fmt: skip
    assert worked.pick.thickness_nm == mm("2.50")
    assert "Fit 2.50 for now" in conclusion(worked, MILLIMETRES)
