"""What shims a shop will want: from the forecasts of all its engines to numbers of each size."""

from collections.abc import Iterable, Mapping
from dataclasses import dataclass
from math import log

COVERED = 0.9
"""The chance with which a season is to be covered."""
LEAST_WANT = 0.02
"""A size that is wanted with less than this chance is left out."""


@dataclass(frozen=True, slots=True, kw_only=True)
class Want:
    """That one valve will want a size of a family within a season, and with which chance."""

    diameter_nm: int | None
    size_nm: int
    chance: float


@dataclass(frozen=True, slots=True, kw_only=True)
class Keep:
    """How many of a size to keep, and how many are expected to be used."""

    size_nm: int
    count: int
    expected: float


def to_keep(wants: Iterable[Want], covered: float = COVERED) -> tuple[Keep, ...]:
    """Return how many of each size cover what is wanted, all together with that chance.

    Valves are taken as independent of one another: how many want a size is a sum of unequal
    chances. The piece that raises the whole chance most is added until it is enough.
    """
    chances: dict[int, list[float]] = {}
    for want in wants:
        chances.setdefault(want.size_nm, []).append(min(1.0, want.chance))
    many = {size: _counts(each) for size, each in chances.items()}
    kept = dict.fromkeys(many, 0)
    while _together(many, kept) < log(covered) - 1e-12:
        size = max(kept, key=lambda one: _gain(many[one], kept[one]))
        kept[size] += 1
    for size in sorted(kept, key=lambda one: sum(chances[one])):
        while kept[size] and _together(many, kept | {size: kept[size] - 1}) >= log(covered):
            kept[size] -= 1  # what was added before another made it needless
    return tuple(
        Keep(size_nm=size, count=kept[size], expected=sum(chances[size]))
        for size in sorted(kept)
        if kept[size]
    )


def _counts(chances: Iterable[float]) -> list[float]:
    """Return the chance that at most 0, 1, 2, … of some happen."""
    exactly = [1.0]
    for chance in chances:
        exactly = [
            (exactly[n] if n < len(exactly) else 0.0) * (1 - chance)
            + (exactly[n - 1] * chance if n else 0.0)
            for n in range(len(exactly) + 1)
        ]
    at_most, total = [], 0.0
    for share in exactly:
        total += share
        at_most.append(min(1.0, total))
    at_most[-1] = 1.0
    return at_most


def _gain(at_most: list[float], count: int) -> float:
    if count + 1 >= len(at_most):
        return -1.0
    return _log(at_most[count + 1]) - _log(at_most[count])


def _together(many: Mapping[int, list[float]], kept: Mapping[int, int]) -> float:
    return sum(_log(many[size][count]) for size, count in kept.items())


def _log(chance: float) -> float:
    return log(chance) if chance > 0 else -1e9
