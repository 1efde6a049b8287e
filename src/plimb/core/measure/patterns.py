"""Feeler sets as they are commonly sold, to start one's own from (common practice).

A blade with two scales is what its inch marking says; what is stamped beside it is rounded.
"""

from collections.abc import Iterable
from dataclasses import dataclass

from plimb.core.lengths import NM_PER_THOU, mm
from plimb.core.measure.blades import Blade


@dataclass(frozen=True, slots=True, kw_only=True)
class Pattern:
    """A set to start from: what it is, and its blades."""

    name: str
    blades: tuple[Blade, ...]


def _metric(hundredths: Iterable[int]) -> tuple[Blade, ...]:
    return tuple(Blade(nominal_nm=hundredth * mm("0.01")) for hundredth in hundredths)


def _inch(thou: Iterable[int], *, stamped: bool) -> tuple[Blade, ...]:
    """Return blades by their inch marking; with the metric one stamped, rounded to a thousandth."""
    return tuple(
        Blade(
            nominal_nm=mark * NM_PER_THOU,
            stamped_nm=round(mark * NM_PER_THOU, -3) if stamped else None,
        )
        for mark in thou
    )


_THOU = (*range(2, 16), 18, 20, 22, 25)

PATTERNS = (
    Pattern(name="mm, 0.05 to 1.00 by 0.05", blades=_metric(range(5, 101, 5))),
    Pattern(
        name="mm, fine: 0.03 to 0.10 by 0.01, then on to 0.50",
        blades=_metric((*range(3, 11), 13, 15, 18, 20, 23, 25, 28, 30, 33, 35, 38, 40, 45, 50)),
    ),
    Pattern(name="two scales, .002 to .025 in", blades=_inch(_THOU, stamped=True)),
    Pattern(name="inch, .002 to .025 in", blades=_inch(_THOU, stamped=False)),
)
