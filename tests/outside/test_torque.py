"""Torque factors against the outside.

Sources: NIST Special Publication 811 (2008), appendix B.8: 1 lbf·ft = 1.355 818 N·m and
1 lbf·in = 0.112 984 8 N·m, 1 lbf = 4.448 222 N; and the unit library pint.
"""

from fractions import Fraction
from typing import Any

import pint
import pytest
from hypothesis import given
from hypothesis import strategies as st

from plimb.core.job.torque import LBF_N, Torque, TorqueUnit

UNITS: pint.UnitRegistry = pint.UnitRegistry(non_int_type=Fraction)
NAMES = {
    TorqueUnit.NM: "newton * metre",
    TorqueUnit.LBF_FT: "force_pound * foot",
    TorqueUnit.LBF_IN: "force_pound * inch",
}


@pytest.mark.parametrize(
    ("unit", "printed", "digits"),
    [(TorqueUnit.LBF_FT, "1.355818", 6), (TorqueUnit.LBF_IN, "0.1129848", 7)],
)
def test_one_of_each_rounds_to_what_the_guide_prints(unit: Any, printed: Any, digits: Any) -> None:
    exact = unit.newton_metres
    assert round(float(exact), digits) == float(printed)


def test_the_pound_force_rounds_to_what_the_guide_prints() -> None:
    assert round(float(LBF_N), 6) == 4.448222


@given(st.fractions(min_value=0, max_value=500), st.sampled_from(TorqueUnit))
def test_every_conversion_is_the_unit_librarys_exactly(value: Any, unit: Any) -> None:
    for other in TorqueUnit:
        ours = Torque(value=value, unit=unit).to(other).value
        theirs = UNITS.Quantity(value, NAMES[unit]).to(NAMES[other]).magnitude
        assert ours == theirs
        assert Torque(value=ours, unit=other).to(unit).value == value
