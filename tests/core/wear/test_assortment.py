"""What to keep for a year: enough with the chance asked for, and not a piece more."""

import itertools
from typing import Any

import numpy as np
import pytest

from plimb.core.wear.assortment import Want, to_keep


def wants(*pairs: Any) -> Any:
    return [Want(diameter_nm=None, size_nm=size, chance=chance) for size, chance in pairs]


def covered(kept: Any, wanted: Any) -> Any:
    """Return the chance that nothing is short, by every way it can come out."""
    there = {one.size_nm: one.count for one in kept}
    total = 0.0
    for happens in itertools.product((0, 1), repeat=len(wanted)):
        chance, used = 1.0, {}
        for come, one in zip(happens, wanted, strict=True):
            chance *= one.chance if come else 1 - one.chance
            used[one.size_nm] = used.get(one.size_nm, 0) + come
        if all(count <= there.get(size, 0) for size, count in used.items()):
            total += chance
    return total


@pytest.mark.parametrize("seed", range(12))
def test_the_numbers_cover_what_is_wanted_with_the_chance_asked_for(seed: int) -> None:
    dice = np.random.default_rng(seed)
    wanted = wants(*((int(dice.integers(1, 4)), float(dice.uniform(0.02, 0.9))) for _n in range(8)))
    kept = to_keep(wanted)
    assert covered(kept, wanted) >= 0.9
    for one in kept:  # one piece less of any size would not do
        less = [other for other in kept if other is not one]
        less += [type(one)(size_nm=one.size_nm, count=one.count - 1, expected=0)]
        assert covered(less, wanted) < 0.9
    assert sum(one.expected for one in kept) <= sum(one.chance for one in wanted) + 1e-9


def test_what_is_certain_is_kept_and_what_is_hardly_wanted_is_not() -> None:
    kept = {one.size_nm: one.count for one in to_keep(wants((1, 1.0), (1, 1.0), (2, 0.03)))}
    assert kept == {1: 2}
    assert to_keep([]) == ()
