"""Pieces that go in just for now, where no gap was found: which are of use, whose are at hand."""

from collections.abc import Sequence

import numpy as np

from plimb.core.lengths import mm
from plimb.core.plan.assignment import Mask, Whole
from plimb.core.plan.needs import WhichToSet
from plimb.core.plan.rows import PlanRow

TOO_THIN_NM = mm("0.1")
"""A piece for now that is thinner by more than this leaves a gap that says nothing (judgement)."""


def near_enough(rows: Sequence[PlanRow], enough: Whole, thick: Whole, *, buy: bool) -> Mask:
    """Return which pieces at hand are of use for now where no gap was found.

    Thin enough that a gap can be felt, and not so thin that it is far too wide: where the counter
    has such a size, else any that is thinner than what is in.

    Args:
        rows: The valves, n of them.
        enough: For each valve the thickest that leaves a gap to be felt, in nanometres: n.
        thick: The pieces at hand, in nanometres: m.
        buy: Whether anything may be bought.

    Returns:
        A mask of n by m; of a valve that has a gap every piece is of use.
    """
    most = enough[:, None]
    near = (thick <= most) & (thick >= most - TOO_THIN_NM)
    sold = np.array(
        [
            buy and any(size <= at_most for size in row.clearance.family.sizes())
            for row, at_most in zip(rows, enough.tolist(), strict=True)
        ],
        dtype=bool,
    )
    lost = np.array([row.lost for row in rows], dtype=bool)
    useful: Mask = near | ~(lost & sold)[:, None]
    return useful


def apart_anyway(rows: Sequence[PlanRow], act: WhichToSet) -> Mask:
    """Return whose pieces are at hand whatever is done for valves without a gap: n of them.

    A piece that goes in for now robs no valve that is in range under a shaft that stays.

    The mask is of shape (rows,).
    """
    asking = {row.clearance.camshaft for row in rows if row.needs_setting(act)}
    return np.array(
        [
            row.needs_setting(act)
            or (row.clearance.camshaft_out and row.clearance.camshaft in asking)
            for row in rows
        ],
        dtype=bool,
    )
