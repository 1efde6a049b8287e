"""The order in which bolts are tightened where the maker gives none.

From the middle outwards, crosswise, in stages; never two neighbours one after the other where
that can be helped (common practice).
"""

from collections.abc import Sequence
from fractions import Fraction
from functools import lru_cache
from math import hypot

Place = tuple[float, float]

STAGES = (Fraction(0), Fraction(1, 2), Fraction(1))
"""Shares of the torque: finger tight, half, whole."""

PATIENCE = 20_000
"""How many steps the search may take before it settles for the best it found."""


def neighbours(bolts: Sequence[Place]) -> frozenset[tuple[int, int]]:
    """Return the pairs of bolts that lie beside each other, both ways round.

    Two are neighbours if no third lies nearer to both than they do to each other (relative
    neighbourhood graph).
    """
    many = range(len(bolts))
    far = [[hypot(a[0] - b[0], a[1] - b[1]) for b in bolts] for a in bolts]
    return frozenset(
        (a, b)
        for a in many
        for b in many
        if a != b
        and not any(max(far[a][c], far[b][c]) < far[a][b] - 1e-9 for c in many if c not in (a, b))
    )


@lru_cache(maxsize=256)
def tightening_order(bolts: tuple[Place, ...]) -> tuple[int, ...]:
    """Return the bolts' numbers in the order to turn them, each once.

    Args:
        bolts: Where each lies, across and down, in any unit.

    The search tries the bolt nearest to the middle first and then, among those that are not
    beside the last one, the most central, and of these the one furthest from the last. It goes
    back where that leads nowhere. If every order has neighbours one after the other, as with
    one bolt in the middle of a ring, it returns one that has few.
    """
    if len(bolts) < 2:
        return tuple(range(len(bolts)))
    rows = _two_rows(bolts)
    if rows:
        return rows
    search = _Search(bolts)
    everything = frozenset(range(len(bolts)))
    for first in search.starts:
        found = search.go([first], everything - {first})
        if found:
            return tuple(found)
    return search.few()


def _two_rows(bolts: tuple[Place, ...]) -> tuple[int, ...] | None:
    """Return the order of two rows side by side: pair after pair from the middle, crosswise.

    None where the bolts do not lie in two rows of three or more.
    """
    for along, across in ((0, 1), (1, 0)):
        lines = sorted({round(bolt[across], 2) for bolt in bolts})
        columns = sorted({round(bolt[along], 2) for bolt in bolts})
        if len(lines) != 2 or len(columns) < 3 or len(bolts) != 2 * len(columns):
            continue
        middle = (len(columns) - 1) / 2
        places = {
            (columns.index(round(bolt[along], 2)), lines.index(round(bolt[across], 2))): number
            for number, bolt in enumerate(bolts)
        }
        if len(places) != len(bolts):
            continue
        order = []
        for away in sorted({abs(column - middle) for column in range(len(columns))}):
            left, right = round(middle - away), round(middle + away)
            ring = [(left, 0), (right, 1), (right, 0), (left, 1)]
            order += [places[spot] for spot in dict.fromkeys(ring)]
        return tuple(order)
    return None


class _Search:
    """Everything the search for an order looks at."""

    def __init__(self, bolts: Sequence[Place]) -> None:
        self.bolts, self.steps = bolts, 0
        many = len(bolts)
        middle = (sum(x for x, _y in bolts) / many, sum(y for _x, y in bolts) / many)
        out = [hypot(x - middle[0], y - middle[1]) for x, y in bolts]
        span = max(out) or 1.0
        self.ring = [round(4 * angle / span) for angle in out]
        self.beside = neighbours(bolts)
        self.starts = sorted(range(many), key=lambda one: (self.ring[one], out[one], one))

    def wish(self, last: int, one: int) -> tuple[float, ...]:
        """Return by what a bolt is chosen after the last: central first, then far away."""
        here, there = self.bolts[last], self.bolts[one]
        return (self.ring[one], -round(hypot(there[0] - here[0], there[1] - here[1]), 9), one)

    def go(self, path: list[int], left: frozenset[int]) -> list[int] | None:
        """Return the path made whole without going to a neighbour, or None."""
        if not left:
            return path
        self.steps += 1
        if self.steps > PATIENCE:
            return None
        free = [bolt for bolt in left if (path[-1], bolt) not in self.beside]
        for bolt in sorted(free, key=lambda one: self.wish(path[-1], one)):
            found = self.go([*path, bolt], left - {bolt})
            if found:
                return found
        return None

    def few(self) -> tuple[int, ...]:
        """Return an order that goes to a neighbour just where nothing else is left."""
        path, left = [self.starts[0]], set(self.starts[1:])
        while left:
            last = path[-1]
            following = min(
                left, key=lambda one: ((last, one) in self.beside, self.wish(last, one))
            )
            path.append(following)
            left.remove(following)
        return tuple(path)
