"""Judges of a job: a careful person with paper, and the best choice the same knowledge allows.

Both see what stands on the card (readings, shims as measured, the camshafts that came out) and
nothing else; their choices are then looked at with the engine's truth, each valve's new piece of
a size being the same piece that the hand would have been given.
"""

from functools import lru_cache

import numpy as np
from numpy.typing import NDArray

from plimb.core.job.status import JobStatus
from plimb.core.job.valve import ValveStatus
from plimb.core.lengths import mm
from plimb.core.measure.gap import Gap
from plimb.core.measure.limits import Limits
from plimb.standins.simulated import SimulatedEngine, Truth, World

Floats = NDArray[np.float64]
Choice = dict[str, int | None]
"""For each valve the size that is bought for it, None where its own piece stays."""

GRID_NM = mm("0.0005")
REACH_NM = mm("0.03")


def changeable(seen: JobStatus, shafts: tuple[str, ...]) -> list[ValveStatus]:
    """Return the valves whose piece was read and can be changed with these camshafts out."""
    return [
        state
        for state in seen.valves.values()
        if state.record.piece is not None
        and state.record.found is not None
        and state.record.found.gap.both_ends
        and (not state.clearance.camshaft_out or state.clearance.camshaft in shafts)
    ]


def with_paper(seen: JobStatus, shafts: tuple[str, ...]) -> Choice:
    """Return what a careful person with paper takes: middle of the bracket, middle of the range."""
    chosen: Choice = {}
    for setting in changeable(seen, shafts):
        found, piece, check = setting.record.found, setting.record.piece, setting.clearance.check
        assert found is not None
        assert piece is not None
        assert check is not None
        gap_nm = found.gap.best_nm
        if check.holds(gap_nm):
            chosen[setting.valve] = None
            continue
        ideal = gap_nm + piece.thickness_nm - check.middle_nm
        chosen[setting.valve] = min(
            setting.clearance.family.sizes(), key=lambda size: abs(size - ideal)
        )
    return chosen


def best_possible(seen: JobStatus, shafts: tuple[str, ...], world: World) -> Choice:
    """Return for each valve what is likeliest to be truly in range, money no object.

    Judged by the world's own scatter, not by the doubts that the plan is made with.
    """
    chosen: Choice = {}
    for setting in changeable(seen, shafts):
        found, piece, check = setting.record.found, setting.record.piece, setting.clearance.check
        assert found is not None
        assert piece is not None
        assert check is not None
        gaps, shares = _gap_shares(found.gap, world)
        keeps = _inside(gaps, shares, check, 0.0, 0.0)
        sizes = [
            size
            for size in setting.clearance.family.sizes()
            if abs(found.gap.best_nm + piece.thickness_nm - size - check.middle_nm) < mm("0.2")
        ]
        chances = {
            size: _inside(
                gaps + piece.thickness_nm - size, shares, check, world.reads_nm, world.bought_nm
            )
            for size in sizes
        }
        best = max(chances, key=lambda size: chances[size], default=None)
        better = best is not None and chances[best] > keeps
        chosen[setting.valve] = best if better else None
    return chosen


def _gap_shares(gap: Gap, world: World) -> tuple[Floats, Floats]:
    """Return gaps as they may truly be, and how likely each is after what was felt.

    Both are of shape (grid,), gaps in nanometres; the shares add up to 1.
    """
    from scipy.special import ndtr

    low, high = float(gap.low_nm or 0), float(gap.high_nm)
    grid = np.arange(low - REACH_NM, high + REACH_NM, GRID_NM, dtype=np.float64)
    spread = float(np.hypot(world.feel_nm, world.hand_nm) + world.blade_nm)
    likely = ndtr((grid - low) / spread) * (1 - ndtr((grid - high) / spread))
    if gap.is_point:
        likely = np.exp(-(((grid - low) / spread) ** 2) / 2)
    if gap.called_nm is not None:
        step = mm("0.01") / 2
        likely = likely * (
            ndtr((gap.called_nm + step - grid) / spread)
            - ndtr((gap.called_nm - step - grid) / spread)
        )
    return grid, likely / likely.sum()


def _inside(
    gaps: Floats, shares: Floats, check: Limits, reads_nm: float, bought_nm: float
) -> float:
    """Return the chance to be in range, the pieces' own scatter taken in.

    `gaps` in nanometres and `shares` are of shape (grid,).
    """
    off, weights = _off(reads_nm, bought_nm)
    after = gaps[:, None] + off[None, :]
    inside = (after >= check.low_nm) & (after <= check.high_nm)
    return float((inside * shares[:, None] * weights[None, :]).sum())


@lru_cache(maxsize=8)
def _off(reads_nm: float, bought_nm: float) -> tuple[Floats, Floats]:
    """Return how far two pieces may be off what they are taken for, and how likely each is.

    Both are of shape (grid,), lengths in nanometres; the shares add up to 1.
    """
    if not reads_nm and not bought_nm:
        return np.zeros(1), np.ones(1)
    grid = np.arange(-mm("0.025"), mm("0.025") + 1, mm("0.001"), dtype=np.float64)
    reads = np.exp(-((grid / max(1.0, reads_nm)) ** 2) / 2)
    even = (np.abs(grid) <= max(bought_nm, 1.0)).astype(float)
    both = np.convolve(reads / reads.sum(), even / even.sum(), mode="same")
    return grid, both / both.sum()


def comes_out(simulated: SimulatedEngine, choice: Choice) -> bool:
    """Return whether an engine that nobody has touched yet is truly right with that choice."""
    truth = Truth(simulated)
    for clearance in simulated.engine.clearances:
        size, check = choice.get(clearance.id), clearance.check
        assert check is not None
        gap = truth.gap_nm(clearance.id)
        if size is not None:
            gap = truth.gap_with(clearance.id, simulated.buy(size, clearance.id))
        if not check.low_nm <= gap <= check.high_nm:
            return False
    return True
