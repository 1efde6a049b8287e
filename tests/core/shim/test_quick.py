"""A quick sum: what it says of one valve, and that a card's plan says the same."""

import re
from decimal import Decimal
from typing import Any

import pytest
from hypothesis import assume, given
from hypothesis import strategies as st

from plimb.core.engine.engine import Clearance, Side
from plimb.core.errors import BadValue
from plimb.core.lengths import Unit, mm
from plimb.core.measure.limits import Limits, Spec, Verdict
from plimb.core.plan.request import PlanRequest, Policy
from plimb.core.plan.rows import plan_row
from plimb.core.plan.search import plan_engine
from plimb.core.shim.quick import QuickRules, as_text, parse_sizes, quick_line, to_order
from plimb.core.shim.sum import Aim, SizePolicy
from plimb.core.words import Units, times

TEN_TO_FIFTEEN = Spec(check=Limits(low_nm=mm("0.10"), high_nm=mm("0.15")))
RULES = QuickRules(spec=TEN_TO_FIFTEEN, family=parse_sizes("1.20-3.50/0.05", Unit.MM))


@pytest.mark.parametrize(
    ("gap", "shim", "says", "why", "sure"),
    [
        ("8", "265", "Too tight. Take 2.60: gap 0.13.", "2.55 would give 0.18: too loose.",
         "In range 9 times in 10 (92 %)."),
        ("12", "2.63", "In range: keep 2.63.", "The allowed gap is 0.10–0.15.",
         "In range almost always."),
        ("15-16", "260", "Not clear yet. Take 2.65: gap 0.105.",
         "2.60 would give 0.155: too loose.", "In range 3 times in 5 (62 %)."),
        ("14-16", "2.60", "Not clear yet: keep 2.60.",
         "The reading crosses a limit: try a blade in between.", "In range 1 time in 2 (50 %)."),
        ("-3", "2.70", "No gap. Fit 2.60 as a temporary shim and re-measure.", "", ""),
        ("18l", "270", "One end only: find the blade that refuses.", "", ""),
        ("50", "3.45", "Too loose. No size brings it into range. It needs 3.80 to 3.85.", "", ""),
    ],
)  # fmt: skip
def test_what_is_said_of_one_valve(gap: Any, shim: Any, says: Any, why: Any, sure: Any) -> None:
    line = quick_line(gap, shim, RULES)
    assert (line.says, line.why, line.sure) == (says, why, sure)


@pytest.mark.parametrize(
    ("gap", "likelier"),
    [("0.8", "0.08"), ("1.3", "0.13"), ("0.3", ""), ("30-35", ""), ("0.10", "")],
)
def test_a_gap_far_too_wide_is_likelier_a_slip_of_the_decimal_point(
    gap: Any, likelier: Any
) -> None:
    assert quick_line(gap, "2.60", RULES).likelier == likelier


def test_without_sizes_it_says_what_the_valve_needs() -> None:
    line = quick_line("8", "2.65", QuickRules(spec=TEN_TO_FIFTEEN))
    assert line.says == "Too tight. It needs 2.58 to 2.63."
    assert to_order([line]) == ()


def test_gaps_in_thou_and_shims_in_millimetres_are_kept_apart() -> None:
    spec = Spec(check=Limits(low_nm=4 * 25_400, high_nm=6 * 25_400))
    rules = QuickRules(spec=spec, family=RULES.family, units=Units(gap=Unit.INCH, shim=Unit.MM))
    line = quick_line("3", "2.65", rules)
    assert line.says == "Too tight. Take 2.60: gap 0.1262 (5 thou)."
    assert as_text([("IN", line)], rules).splitlines() == [
        "Allowed gap 4–6 thou",
        f"IN: gap 3, shim 2.65. {line.says} {line.sure}",
        "Order: 1 × 2.60 mm",
    ]


def test_sizes_are_typed_as_runs_or_one_by_one() -> None:
    assert parse_sizes("2.00-2.10/0.05 2,30", Unit.MM).sizes() == tuple(
        mm(size) for size in ("2.00", "2.05", "2.10", "2.30")
    )
    with pytest.raises(BadValue, match="thinnest-thickest/step"):
        parse_sizes("2.00-2.10 by 0.05", Unit.MM)


def test_a_chance_is_never_rounded_up() -> None:
    for chance in (n / 1000 for n in range(1001)):
        said = re.fullmatch(r"(\d+) times? in (\d+)", times(chance))
        low = 0.995 if times(chance) == "almost always" else 0.0
        assert chance >= (int(said[1]) / int(said[2]) if said else low)
    assert (times(0.95), times(0.949)) == ("19 times in 20", "9 times in 10")


@given(
    low=st.integers(4, 30), wide=st.integers(3, 14), goes=st.integers(3, 50),
    more=st.integers(0, 3), thick=st.integers(1700, 3000), step=st.sampled_from((10, 25, 50)),
    aim=st.sampled_from((Aim.LOOSE, Aim.MIDDLE, Aim.TIGHT)),
)  # fmt: skip
def test_a_card_with_an_empty_drawer_decides_the_same(
    low: int, wide: int, goes: int, more: int, thick: int, step: int, aim: Any
) -> None:
    spec = Spec(check=Limits(low_nm=low * mm("0.01"), high_nm=(low + wide) * mm("0.01")))
    family = parse_sizes(f"1.20-3.50/{Decimal(step) / 1000}", Unit.MM)
    rules = QuickRules(spec=spec, family=family, sizing=SizePolicy(aim=aim))
    gap = f"{goes}-{goes + more}" if more else f"{goes}"
    line = quick_line(gap, f"{Decimal(thick) / 1000:.3f}", rules)
    assume(not line.keep)
    clearance = Clearance(
        id="IN",
        key="IN",
        cylinder=1,
        side=Side.INTAKE,
        position=None,
        camshaft="IN",
        spec=spec,
        family=family,
    )
    row = plan_row(clearance, line.reading.gap, line.shim)
    plan = plan_engine(PlanRequest(rows=(row,), policy=Policy(sizing=rules.sizing)))
    (move,) = plan.moves
    assert (line.take is None) == bool(plan.cannot)
    if line.take is not None:
        assert (move.thickness_nm, move.gap.best_nm) == (line.take.thickness_nm, line.take.gap_nm)
        assert move.chance == pytest.approx(line.take.chance, abs=1e-9)
    assert line.verdict is not Verdict.IN
