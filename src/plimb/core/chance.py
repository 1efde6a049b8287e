"""The chance that a gap comes out in spec, from what the reading and the pieces are worth.

The gap is taken as uniform on the reading's interval, each piece as rectangular with
half-width q about its measured thickness. Two such doubts add to a triangle of
half-width h = 2q (JCGM 100:2008, 4.3.7 and 4.3.9), and the sum with the gap integrates
in closed form. Floats live here and come out only as a probability.
"""

from __future__ import annotations

from dataclasses import dataclass

from plimb.core.gap import Gap
from plimb.core.lengths import mm
from plimb.core.limits import Limits


@dataclass(frozen=True, slots=True, kw_only=True)
class Doubt:
    """How far off readings may be, in nanometres either way; the shop may change them.

    `drag_nm` is how far the gap may lie from a blade that goes with light drag
    (judgement); `piece_nm` is what a micrometer reading is good to (common practice).
    """

    drag_nm: int = mm("0.005")
    piece_nm: int = mm("0.004")


USUAL_DOUBT = Doubt()


def _ramp(z: float, h: float) -> float:
    """Return the twice-integrated density of a triangle of half-width h, at z."""
    if z <= -h:
        return 0.0
    if z >= h:
        return z
    if z < 0:
        return (z + h) ** 3 / (6 * h * h)
    return z + (h - z) ** 3 / (6 * h * h)


def chance_in_spec(
    gap: Gap, thinner_by_nm: int, limits: Limits, *, doubt: Doubt = USUAL_DOUBT, kept: bool = False
) -> float:
    """Return the probability that the gap is in spec after the change of piece.

    P = {[H(hi−d−a) − H(hi−d−b)] − [H(lo−d−a) − H(lo−d−b)]} / (b−a), with d the old piece
    minus the new and H the ramp above. A piece that is kept adds no doubt. Where no gap
    was found nothing is known of how far the valve was held open: 0.
    """
    if gap.low_nm is None:
        return 0.0
    low, high = float(gap.low_nm), float(gap.high_nm)
    if gap.is_point:
        low, high = low - doubt.drag_nm, high + doubt.drag_nm
    width = max(high - low, 1.0)
    h = 0.0 if kept else 2.0 * doubt.piece_nm

    def below(limit_nm: int) -> float:
        z = limit_nm - thinner_by_nm
        return (_ramp(z - low, h) - _ramp(z - low - width, h)) / width

    return min(1.0, max(0.0, below(limits.high_nm) - below(limits.low_nm)))
