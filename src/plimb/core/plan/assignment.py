"""Assign every row its own column, the least at each of several levels in their order.

Levels are matrices of whole numbers. They are packed into one number a cell, each level
weighted by one more than the levels below it can add up to, for as long as every sum stays
under 2⁵³ and so is exact in the solver's floats. Where they do not fit into one number the
next levels are solved among the assignments that are best so far: by complementary
slackness those lie on the cells whose reduced cost is zero and cover every column whose
price is below zero.
"""

from collections.abc import Sequence

import numpy as np
from numpy.typing import NDArray

Whole = NDArray[np.int64]
Mask = NDArray[np.bool_]

EXACT = 2**53


def pack(levels: Sequence[Whole], allowed: Mask) -> tuple[Whole, ...]:
    """Return the levels packed into as few matrices as stay exact, the weightiest first.

    Any choice of rows and columns of the packs is packed right, too.

    Args:
        levels: Matrices of non-negative whole numbers, rows by columns, the weightiest first.
        allowed: Which cells may be taken, of the same shape.

    Raises:
        ValueError: One level alone adds up to more than can be exact.
    """
    said = [level for level in levels if level.any()]
    groups = _groups([_smaller(level, allowed) for level in said], allowed)
    return tuple(_packed(group, allowed.shape) for group in groups)


def assign(packs: Sequence[Whole], allowed: Mask) -> tuple[int, ...] | None:
    """Return the column of each row, best at the first pack, then the second, and so on.

    Args:
        packs: What `pack` returned, or the same rows and columns of each.
        allowed: Which cells may be taken, of the same shape; no more rows than columns.

    Returns:
        One column a row, or None where no full assignment lies on allowed cells.
    """
    rows, width = allowed.shape
    if rows == 0:
        return ()
    free, must = allowed, np.zeros(width, dtype=bool)
    columns = np.empty(0, dtype=np.intp)
    for place, packed in enumerate(packs):
        if must.any():  # columns that every best assignment so far covers come first
            packed = packed + np.where(must, 0, _most(packed) + 1)
        found = _solve(packed, free)
        if found is None:
            return None
        columns = found
        if place + 1 < len(packs):
            free, must = _best_cells(packed, free, columns, must)
    return tuple(int(column) for column in columns)


def _smaller(level: Whole, allowed: Mask) -> Whole:
    """Return the level divided by what divides all of it, nothing where it is not allowed.

    Both are rows by columns.
    """
    kept: Whole = np.where(allowed, level, 0)
    if kept.max(initial=0) <= 1:
        return kept
    common = int(np.gcd.reduce(kept, axis=None))
    return kept // common if common > 1 else kept


def _most(level: Whole) -> int:
    """Return what the level can add up to over all rows.

    `level` is rows by columns.
    """
    return int(level.max(axis=1).sum())


def _groups(levels: list[Whole], allowed: Mask) -> list[list[Whole]]:
    """Return the levels in as few packs as stay exact, room left for a cover level.

    Every level is rows by columns, as `allowed` is.
    """
    room = EXACT // (allowed.shape[0] + 1)
    groups: list[list[Whole]] = [[]]
    size = 1
    for level in levels:
        most = _most(level)
        if most == 0:
            continue
        if size * (most + 1) >= room and groups[-1]:
            groups.append([])
            size = 1
        groups[-1].append(level)
        size *= most + 1
        if size >= room:
            raise ValueError("one level alone adds up to more than can be exact")
    return groups


def _packed(levels: Sequence[Whole], shape: tuple[int, ...]) -> Whole:
    """Return one whole number a cell in which earlier levels outweigh all later ones.

    Every level is of the shape (rows, columns).
    """
    total: Whole = np.zeros(shape, dtype=np.int64)
    weight = 1
    for level in reversed(levels):
        total += level * weight
        weight *= _most(level) + 1
    return total


def _solve(packed: Whole, allowed: Mask) -> NDArray[np.intp] | None:
    """Return each row's column, of shape (rows,), the sum least; None for no full assignment.

    Both are rows by columns.
    """
    from scipy.optimize import linear_sum_assignment

    costs = np.where(allowed, packed.astype(np.float64), np.inf)
    try:
        _rows, columns = linear_sum_assignment(costs)
    except ValueError:  # no full assignment on allowed cells
        return None
    return columns


def _best_cells(
    packed: Whole, allowed: Mask, columns: NDArray[np.intp], must: Mask
) -> tuple[Mask, Mask]:
    """Return the cells that best assignments lie on, and the columns they all cover.

    Column prices follow from the assignment by relaxing along its alternating paths, from
    columns nobody took at price 0; a row's price is then its cell's cost less its column's.

    `packed` and `allowed` are rows by columns, `columns` of shape (rows,), `must` (columns,); what
    is returned is rows by columns, and (columns,).
    """
    rows, width = packed.shape
    far = int(_most(packed)) + 1
    price = np.zeros(width, dtype=np.int64)
    taken = packed[np.arange(rows), columns]
    price[columns] = -far
    for _round in range(rows + 1):
        better = np.where(allowed, price - packed, -4 * far).max(axis=1) + taken
        if (better <= price[columns]).all():
            break
        price[columns] = np.maximum(price[columns], better)
    slack = packed - (taken - price[columns])[:, None] - price
    return allowed & (slack == 0), must | (price < 0)
