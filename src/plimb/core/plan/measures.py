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
    fields = []
    for row, move in moves:
        assert row.gap is not None
        limits = row.held_to(move.thickness_nm or 0)
        low, high = gap_ends(row.gap, doubt, kept=False)
        best_nm = (low + high) / 2 + (row.piece_nm or 0) - limits.middle_nm
        fields.append((best_nm, high - low, row.doubt_nm, limits.low_nm, limits.high_nm))
    best, wide, old, least, most = np.array(fields, dtype=np.float64).T[:, :, None]
    offsets = np.arange(-REACH, REACH + 1) * float(STEP_NM)
    piece = np.full_like(wide, 2 * doubt.piece_nm)
    # middles of ranges are whole nanometres, rounded down
    middle = (least + most) // 2 - offsets
    chances = chances_in_bands(middle, (wide, 2 * old, piece), least, most)
    found = {}
    for (_row, move), of_move, best_nm in zip(moves, chances, best[:, 0], strict=True):
        right = np.flatnonzero(of_move >= of_move.max() - GIVES_AWAY)
        nearest = round(best_nm / STEP_NM)
        if of_move.max() > GIVES_AWAY:
            found[move.valve] = Window(
                thin_nm=(nearest + int(right[0]) - REACH) * STEP_NM,
                thick_nm=(nearest + int(right[-1]) - REACH) * STEP_NM,
            )
    return found
