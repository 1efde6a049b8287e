"""How sure the whole engine is: one hand and one blade set read alike, so doubt is shared.

Where in its interval each gap lies is correlated between valves that one hand measured (a
Gaussian copula over the uniform intervals); each valve's own chance stays what it is alone.
"""

from collections.abc import Sequence
from functools import lru_cache
from math import sqrt

import numpy as np
from numpy.typing import NDArray

from plimb.core.measure.uncertainty import Doubt, chances_in_bands, gap_ends
from plimb.core.plan.rows import PlanRow

SHARED = 0.4
"""How much of where gaps lie in their intervals one hand has in common (judgement)."""

PLACES, HANDS = 16, 9
"""So many places in an interval, and so many hands from heavy to light, are averaged over."""

Floats = NDArray[np.float64]


def engine_chance(changed: Sequence[tuple[PlanRow, int, int, float]], doubt: Doubt) -> float:
    """Return the chance that all of them pass.

    Args:
        changed: A valve, the thickness it gets, the half-width of that, and its own chance.
        doubt: What readings are worth.
    """
    if not changed:
        return 1.0
    places = (np.arange(PLACES) + 0.5) / PLACES
    fields = []
    for row, thickness_nm, new_nm, own in changed:
        assert row.gap is not None
        low, high = gap_ends(row.gap, doubt, kept=False)
        limits = row.held_to(thickness_nm)
        after = (row.piece_nm or 0) - thickness_nm
        fields.append((low + after, high - low, row.doubt_nm, new_nm, limits.low_nm,
                       limits.high_nm, own))  # fmt: skip
    low, wide, old, new, least, most, own = np.array(fields, dtype=np.float64).T[:, :, None]
    given = chances_in_bands(low + wide * places, (2 * old, 2 * new), least, most)
    own = own[:, 0]
    by_hand = given @ _shares().T
    mean = by_hand.mean(axis=1)
    scaled = by_hand * np.divide(own, mean, out=np.zeros_like(own), where=mean > 0)[:, None]
    return float(np.prod(np.clip(scaled, 0, 1), axis=0).mean())


@lru_cache(maxsize=1)
def _shares() -> Floats:
    """Return for each hand how likely each place in an interval is.

    Of shape (HANDS, PLACES); each hand's add up to 1.
    """
    from scipy.special import ndtr, ndtri

    hands = ndtri((np.arange(HANDS) + 0.5) / HANDS)[:, None]
    edges = ndtri(np.linspace(0, 1, PLACES + 1))[None, :]
    below = ndtr((edges - sqrt(SHARED) * hands) / sqrt(1 - SHARED))
    shares: Floats = np.diff(below, axis=1)
    return shares
