"""The regression inside the forecast, and the propagation of doubt, against what is certified.

Sources: NIST Statistical Reference Datasets, linear regression, Norris and Longley (data and
certified values as published there); JCGM 101:2008, 9.2 (four rectangular quantities added).
"""

from typing import Any

import numpy as np
import pytest

from plimb.core.measure.uncertainty import share_below
from plimb.core.wear.regression import fit

NORRIS = """
0.1 0.2 338.8 337.4 118.1 118.2 888.0 884.6 9.2 10.1 228.1 226.5 668.5 666.3 998.5 996.3
449.1 448.6 778.9 777.0 559.2 558.2 0.3 0.4 0.1 0.6 778.1 775.5 668.8 666.9 339.3 338.0
448.9 447.5 10.8 11.6 557.7 556.0 228.3 228.1 998.0 995.8 888.8 887.6 119.6 120.2 0.3 0.3
0.6 0.3 557.6 556.8 339.3 339.1 888.0 887.2 998.5 999.0 778.9 779.0 10.2 11.1 117.6 118.3
228.9 229.2 668.4 669.1 449.2 448.9 0.2 0.5
"""
LONGLEY = """
60323 83.0 234289 2356 1590 107608 1947  61122 88.5 259426 2325 1456 108632 1948
60171 88.2 258054 3682 1616 109773 1949  61187 89.5 284599 3351 1650 110929 1950
63221 96.2 328975 2099 3099 112075 1951  63639 98.1 346999 1932 3594 113270 1952
64989 99.0 365385 1870 3547 115094 1953  63761 100.0 363112 3578 3350 116219 1954
66019 101.2 397469 2904 3048 117388 1955  67857 104.6 419180 2822 2857 118734 1956
68169 108.4 442769 2936 2798 120445 1957  66513 110.8 444546 4681 2637 121950 1958
68655 112.6 482704 3813 2552 123366 1959  69564 114.2 502601 3931 2514 125368 1960
69331 115.7 518173 4806 2572 127852 1961  70551 116.9 554894 4007 2827 130081 1962
"""
CASES = {
    "Norris": (
        NORRIS, 2, 0, 12,
        [-0.262323073774029, 1.00211681802045],
        [0.232818234301152, 0.429796848199937e-03],
        0.884796396144373,
    ),
    "Longley": (
        LONGLEY, 7, 0, 10,
        [-3482258.63459582, 15.0618722713733, -0.358191792925910e-01, -2.02022980381683,
         -1.03322686717359, -0.511041056535807e-01, 1829.15146461355],
        [890420.383607373, 84.9149257747669, 0.334910077722432e-01, 0.488399681651699,
         0.214274163161675, 0.226073200069370, 455.478499142212],
        304.854073561965,
    ),
}  # fmt: skip


@pytest.mark.parametrize("name", CASES)
def test_the_certified_digits(name: Any) -> None:
    """Longley's columns are nearly dependent: double precision keeps 10 of its digits."""
    text, wide, answer, digits, best, deviations, left = CASES[name]
    data = np.array(text.split(), dtype=float).reshape(-1, wide)
    others = np.delete(data, answer, axis=1)
    found = fit(np.column_stack([np.ones(len(data)), others]), data[:, answer])
    near = 10.0**-digits
    np.testing.assert_allclose(found.best, best, rtol=near)
    np.testing.assert_allclose(found.deviations(), deviations, rtol=near)
    assert found.residual_deviation == pytest.approx(left, rel=near)


@pytest.mark.parametrize(
    ("widths", "end"), [((12**0.5,) * 4, 3.88), ((*(12**0.5,) * 3, 10 * 12**0.5), 17.0)]
)
def test_four_rectangular_quantities_as_the_guide_adds_them(widths: Any, end: Any) -> None:
    """JCGM 101, 9.2.3 and 9.2.4: the shortest 95 % interval ends at ±3.88, and at ±17.0."""
    assert share_below(end, widths) - share_below(-end, widths) == pytest.approx(0.95, abs=2e-3)
