"""What a piece must measure to be the right one: a marking is only a marking."""

from collections.abc import Mapping
from dataclasses import dataclass

import numpy as np

from plimb.core.lengths import mm
from plimb.core.measure.uncertainty import SURE, Doubt, chances_in_bands, gap_ends
from plimb.core.plan.result import Plan
from plimb.core.plan.rows import PlanRow
from plimb.core.shim.sum import Window

STEP_NM = mm("0.001")
REACH = 120
"""Thicknesses so many steps either side of the best are looked at."""

GIVES_AWAY = 0.03
"""A piece may be less likely to pass than the best one by so much, and is right (judgement)."""


@dataclass(frozen=True, slots=True, kw_only=True)
class Fits:
    """What a new piece of a size may measure, and what would be best; in nanometres.

    The size itself is always in the range. `loose` says what is too loosely known for any piece
    to be sure enough, with what settles it; else it is empty.
    """

    window: Window
    best_nm: int
    loose: str = ""


def must_measure(
    rows: tuple[PlanRow, ...], plan: Plan, doubt: Doubt, sure: float = SURE
) -> Mapping[str, Fits]:
    """Return for each valve that gets another piece within what it must measure.

    Measured with a micrometer, a piece in that range passes as surely as one that measures just
    what its size says, or all but as surely as the best one there is. Valves without a gap, and
    pieces that no measuring makes right, have none.

    Args:
        rows: The valves of the plan.
        plan: What they get.
        doubt: What readings and pieces are worth.
        sure: The chance from which on a piece is sure enough.
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
    for (row, move), of_move, best_nm in zip(moves, chances, best[:, 0], strict=True):
        nearest, size_nm = round(best_nm / STEP_NM), move.thickness_nm or 0
        at_size = min(max(round(size_nm / STEP_NM) - nearest + REACH, 0), 2 * REACH)
        most = float(of_move.max())
        if most <= GIVES_AWAY:
            continue
        right = np.flatnonzero(of_move >= min(most - GIVES_AWAY, of_move[at_size]))
        found[move.valve] = Fits(
            window=Window(
                thin_nm=min(size_nm, (nearest + int(right[0]) - REACH) * STEP_NM),
                thick_nm=max(size_nm, (nearest + int(right[-1]) - REACH) * STEP_NM),
            ),
            best_nm=nearest * STEP_NM,
            loose="" if most >= sure else _loose(row, doubt),
        )
    return found


def _loose(row: PlanRow, doubt: Doubt) -> str:
    """Return what keeps any piece from being sure enough, and what settles it."""
    if row.doubt_nm >= doubt.marked_nm:
        return "The old shim is known only by its marking. Measure it: then this range narrows."
    return "The gap is known too loosely for any shim to be sure. A finer reading settles it."
