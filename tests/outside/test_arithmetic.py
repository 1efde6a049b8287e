"""The sums of one valve against exact fractions of a millimetre.

Source: gap + shim = stack, common practice of the trade; the arithmetic is held against
Python's `fractions`, which is exact.
"""

from fractions import Fraction
from typing import Any

from hypothesis import given
from hypothesis import strategies as st

from plimb.core.measure.gap import Gap
from plimb.core.measure.limits import Limits, Spec
from plimb.core.shim.family import COMMON_KIT
from plimb.core.shim.sum import SizePolicy, work_out

hundredths = st.integers(min_value=1, max_value=100)


def mm(nm: int) -> Fraction:
    return Fraction(nm, 1_000_000)


@given(hundredths, st.integers(0, 12), st.integers(1200, 3500), hundredths, st.integers(0, 30))
def test_window_ideal_and_gap_are_exact(
    gap: Any, wide: Any, shim: Any, low: Any, width: Any
) -> None:
    """Stack − max ≤ t ≤ stack − min for both ends of the reading; gap after = stack − t."""
    found = [Fraction(gap, 100), Fraction(gap + wide, 100)]
    limits = [Fraction(low, 100), Fraction(low + width, 100)]
    fitted = Fraction(shim, 1000)
    worked = work_out(
        Gap(low_nm=gap * 10_000, high_nm=(gap + wide) * 10_000),
        shim * 1000,
        Spec(check=Limits(low_nm=low * 10_000, high_nm=(low + width) * 10_000)),
        COMMON_KIT.sizes(),
        SizePolicy(),
    )
    thinnest, thickest = found[1] + fitted - limits[1], found[0] + fitted - limits[0]
    if thinnest > thickest:
        assert worked.window is None
    else:
        assert (mm(worked.window.thin_nm), mm(worked.window.thick_nm)) == (thinnest, thickest)
    middle = sum(found) / 2 + fitted
    assert mm(worked.ideal_nm) == middle - limits[1]
    sizes = [Fraction(size, 100) for size in range(120, 351, 5)]
    below = max((size for size in sizes if size < middle - limits[1]), default=None)
    above = min((size for size in sizes if size > middle - limits[1]), default=None)
    assert (worked.thinner and mm(worked.thinner.thickness_nm)) == below
    assert (worked.thicker and mm(worked.thicker.thickness_nm)) == above
    for side in filter(None, (worked.thinner, worked.thicker)):
        assert mm(side.gap_nm) == middle - mm(side.thickness_nm)
        assert side.in_spec == (thinnest <= mm(side.thickness_nm) <= thickest)
