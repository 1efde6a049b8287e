"""The chance in closed form against the same thing drawn at random."""

import random
from typing import Any

import pytest

from plimb.core.lengths import Unit, mm
from plimb.core.measure.gap import between, none_below, point
from plimb.core.measure.limits import parse_limits
from plimb.core.measure.uncertainty import Doubt, chance_in_spec

SPEC = parse_limits("0.15-0.20", Unit.MM)


def drawn(gap: Any, thinner_by: Any, doubt: Any, draws: Any = 60_000) -> Any:
    dice = random.Random(20261124)
    room = doubt.drag_nm if gap.is_point else doubt.feel_nm
    low, high = gap.low_nm - room, gap.high_nm + room
    q = doubt.piece_nm
    passed = sum(
        SPEC.low_nm
        <= dice.uniform(low, high) + thinner_by + dice.uniform(-q, q) + dice.uniform(-q, q)
        <= SPEC.high_nm
        for _ in range(draws)
    )
    return passed / draws


@pytest.mark.parametrize(
    ("gap", "thinner_by"),
    [
        (between(mm("0.05"), mm("0.08")), "0.10"),
        (between(mm("0.05"), mm("0.08")), "0.125"),
        (point(mm("0.10")), "0.10"),
        (point(mm("0.10")), "0.055"),
    ],
)
def test_the_formula_agrees_with_random_draws(gap: Any, thinner_by: Any) -> None:
    doubt = Doubt()
    exact = chance_in_spec(gap, mm(thinner_by), SPEC, doubt=doubt)
    assert 0.05 < exact < 1
    assert exact == pytest.approx(drawn(gap, mm(thinner_by), doubt), abs=0.008)


def test_a_kept_piece_adds_no_doubt() -> None:
    gap = between(mm("0.15"), mm("0.20"))
    assert chance_in_spec(gap, 0, SPEC, kept=True) == pytest.approx(1)
    assert chance_in_spec(gap, 0, SPEC) < 1


def test_nothing_is_known_where_no_gap_was_found() -> None:
    assert chance_in_spec(none_below(mm("0.03")), mm("0.15"), SPEC) == 0
