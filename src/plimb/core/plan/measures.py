"""What a piece must measure to be the right one: a marking is only a marking."""

from collections.abc import Mapping

import numpy as np

from plimb.core.lengths import mm
from plimb.core.measure.uncertainty import Doubt, chances_in_bands, gap_ends
from plimb.core.plan.result import Plan
from plimb.core.plan.rows import PlanRow
from plimb.core.shim.sum import Window

STEP_NM = mm("0.001")
REACH = 60
"""Thicknesses so many steps either side of the best are looked at."""

GIVES_AWAY = 0.03
"""A piece may be less likely to pass than the best one by so much, and is right (judgement)."""


def must_measure(rows: tuple[PlanRow, ...], plan: Plan, doubt: Doubt) -> Mapping[str, Window]:
    """Return for each valve that gets another piece within what it must measure.

    Measured with a micrometer, a piece in that range passes all but as surely as the best one
    there is. Valves without a gap, and pieces that no measuring makes right, have none.
    """
    moves = [
        (row, move)
        for row, move in zip(rows, plan.moves, strict=True)
        if move.changes and row.sums and row.piece_nm is not None and move.thickness_nm is not None
    ]
    if not moves:
        return {}
    offsets = np.arange(-REACH, REACH + 1) * float(STEP_NM)
    found = {}
    for row, move in moves:
        assert row.gap is not None
        limits = row.held_to(move.thickness_nm or 0)
        low, high = gap_ends(row.gap, doubt)
        best_nm = round(((low + high) / 2 + (row.piece_nm or 0) - limits.middle_nm) / STEP_NM)
        widths = tuple(
            np.full(len(offsets), width)
            for width in (high - low, 2 * row.doubt_nm, 2 * doubt.piece_nm)
        )
        chances = chances_in_bands(
            limits.middle_nm - offsets, widths, limits.low_nm, limits.high_nm
        )
        right = np.flatnonzero(chances >= chances.max() - GIVES_AWAY)
        if chances.max() > GIVES_AWAY:
            found[move.valve] = Window(
                thin_nm=(best_nm + int(right[0]) - REACH) * STEP_NM,
                thick_nm=(best_nm + int(right[-1]) - REACH) * STEP_NM,
            )
    return found
