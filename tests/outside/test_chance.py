"""Chances against simulation and the guides to uncertainty.

Sources: JCGM 101:2008 (propagation of distributions by Monte Carlo), JCGM 100:2008 4.3.7 and
4.3.9 (standard uncertainty of a rectangular and a triangular distribution), JCGM 106:2012
3.3.7 (probability of conformance).
"""

import math
from typing import Any

import numpy as np
import pytest

from plimb.core.lengths import Unit, mm
from plimb.core.measure.gap import between, point
from plimb.core.measure.limits import parse_limits
from plimb.core.measure.uncertainty import USUAL_DOUBT, chance_in_spec, share_below

SPEC = parse_limits("0.15-0.22", Unit.MM)
DRAWS = 1_000_000
CASES = [
    (between(mm("0.13"), mm("0.15")), "0.05", None, None),
    (between(mm("0.13"), mm("0.15")), "0.075", None, None),
    (between(mm("0.08"), mm("0.18")), "0.05", None, mm("0.02")),
    (between(mm("0.20"), mm("0.23")), "-0.01", mm("0.02"), mm("0.02")),
    (point(mm("0.10")), "0.05", None, mm("0.02")),
    (point(mm("0.15")), "0.07", mm("0.001"), None),
]


@pytest.mark.parametrize(("gap", "thinner", "old", "new"), CASES)
def test_the_chance_is_what_a_million_draws_give(
    gap: Any, thinner: Any, old: Any, new: Any
) -> None:
    """JCGM 101: draw gap and both pieces from their distributions and count."""
    dice = np.random.default_rng(20260)
    room = USUAL_DOUBT.drag_nm if gap.is_point else USUAL_DOUBT.feel_nm
    low, high = gap.low_nm - room, gap.high_nm + room
    halves = [USUAL_DOUBT.piece_nm if half is None else half for half in (old, new)]
    by = -mm(thinner[1:]) if thinner.startswith("-") else mm(thinner)
    after = dice.uniform(low, high, DRAWS) + by
    for half in halves:
        after += dice.uniform(-half, half, DRAWS)
    drawn = np.mean((after >= SPEC.low_nm) & (after <= SPEC.high_nm))
    worked = chance_in_spec(gap, by, SPEC, old_nm=old, new_nm=new)
    assert worked == pytest.approx(drawn, abs=0.002)


def spread(widths: Any) -> Any:
    """Return the standard deviation of a sum of rectangles, from its distribution function."""
    reach = sum(widths) / 2
    at = np.linspace(-reach, reach, 20_001)
    below = share_below(at, widths)
    middle = (at[1:] + at[:-1]) / 2
    mass = np.diff(below)
    assert mass.sum() == pytest.approx(1, abs=1e-9)
    assert abs((mass * middle).sum()) < reach * 1e-6
    return math.sqrt((mass * middle**2).sum())


def test_a_rectangle_has_half_its_width_over_root_three() -> None:
    """JCGM 100:2008, 4.3.7: u = a/√3."""
    assert spread([2 * mm("0.004")]) == pytest.approx(mm("0.004") / math.sqrt(3), rel=1e-5)


def test_two_equal_rectangles_are_a_triangle_with_its_half_width_over_root_six() -> None:
    """JCGM 100:2008, 4.3.9: u = a/√6."""
    pieces = [2 * mm("0.004")] * 2
    assert spread(pieces) == pytest.approx(2 * mm("0.004") / math.sqrt(6), rel=1e-5)


def test_variances_of_independent_terms_add() -> None:
    """JCGM 100:2008, 5.1.2, with sensitivity coefficients of one."""
    widths = [mm("0.02"), 2 * mm("0.004"), 2 * mm("0.02")]
    alone = math.sqrt(sum(width**2 / 12 for width in widths))
    assert spread(widths) == pytest.approx(alone, rel=1e-5)


def test_conformance_is_the_share_of_the_distribution_inside_the_limits() -> None:
    """JCGM 106:2012, 3.3.7: with nothing but an even reading it is a ratio of lengths."""
    gap = between(mm("0.13"), mm("0.17"))
    assert chance_in_spec(gap, 0, SPEC, kept=True) == pytest.approx(0.5, abs=1e-4)
    inside = chance_in_spec(gap, 0, SPEC, kept=True)
    below = chance_in_spec(gap, 0, parse_limits("0.00-0.15", Unit.MM), kept=True)
    assert inside + below == pytest.approx(1, abs=1e-4)


def test_a_gap_exactly_at_the_limit_conforms() -> None:
    assert chance_in_spec(between(mm("0.15"), mm("0.22")), 0, SPEC, kept=True) == 1
    assert share_below(0.0, []) == 1
