"""Inch and thou against the outside.

Sources: the 1959 international yard and pound agreement (1 yd = 0.9144 m exactly, so
1 in = 25.4 mm exactly), as carried by the unit library pint.
"""

from fractions import Fraction
from typing import Any

import pint
import pytest
from hypothesis import given
from hypothesis import strategies as st

from plimb.core.lengths import NM_PER_INCH, NM_PER_THOU, Unit, parse_length, show_thou

UNITS: pint.UnitRegistry = pint.UnitRegistry(non_int_type=Fraction)


@pytest.mark.parametrize(("name", "nm"), [("inch", NM_PER_INCH), ("thou", NM_PER_THOU)])
def test_one_of_each_is_what_the_unit_library_says(name: Any, nm: Any) -> None:
    assert UNITS.Quantity(Fraction(1), name).to("nanometre").magnitude == nm


def test_thirty_six_inches_are_the_yard_of_1959() -> None:
    assert 36 * NM_PER_INCH == 914_400_000


@given(st.integers(min_value=1, max_value=500))
def test_every_ten_thousandth_of_an_inch_is_a_whole_number_of_nanometres(tenths: Any) -> None:
    typed = f"0.{tenths:04}"
    exact = UNITS.Quantity(Fraction(tenths, 10_000), "inch").to("nanometre").magnitude
    assert exact.denominator == 1
    assert parse_length(typed, Unit.INCH, field="gap") == exact


@given(st.integers(min_value=0, max_value=2_000_000))
def test_the_nearest_tenth_of_a_thou_is_shown(nm: Any) -> None:
    exact = UNITS.Quantity(Fraction(nm), "nanometre").to("thou").magnitude
    assert abs(Fraction(show_thou(nm)) - exact) <= Fraction(1, 20)
