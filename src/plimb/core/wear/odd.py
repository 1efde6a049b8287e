"""Valves that wear unlike their kind: far faster, opening up, or all at once."""

from collections.abc import Mapping, Sequence
from enum import StrEnum
from itertools import pairwise
from math import log, sqrt

import numpy as np

from plimb.core.wear.rates import Model, Weighed, doubt_of, middle_of, own_rates
from plimb.core.wear.regression import Floats
from plimb.core.wear.stack import Past, Sighting


class Odd(StrEnum):
    """What is unusual about a valve."""

    FAST = "fast"
    OPENS = "opens"
    JUMPED = "jumped"


ALIKE = 0.25
"""The rates of one kind usually differ by so much, as a standard deviation of their logarithms
(judgement)."""
FAR = 2.9
"""From so many deviations above its kind on a valve wears fast."""
JUMP, LEAST_JUMP = 4.0, 30.0
"""A jump is so many deviations, and so many µm, in one leg."""


def odd_valves(model: Model, believed: Sequence[Weighed]) -> Mapping[str, Odd]:
    """Return the valves that are unlike the others of their kind, or of the engine."""
    rates, doubts = own_rates(model, believed)
    seen = np.array([model.past[valve].distances > 1 for valve in model.valves])
    kinds = np.array(model.kinds)
    found: dict[str, Odd] = {}
    for place in np.flatnonzero(seen):
        others = seen.copy()
        others[place] = False
        alike = others & (kinds == kinds[place])
        peers = alike if alike.any() else others
        usual, loose = _usual(rates[peers], doubts[peers])
        rate, own = float(rates[place]), float(doubts[place])
        valve = model.valves[place]
        if _jumped(model.past[valve], usual / model.span):
            found[valve] = Odd.JUMPED
        elif rate < -FAR * own:
            found[valve] = Odd.OPENS
        elif peers.any() and _far_above(rate, own, usual, loose, int(peers.sum())):
            found[valve] = Odd.FAST
    return found


def _usual(rates: Floats, doubts: Floats) -> tuple[float, float]:
    """Return the rate of some valves and how sure it is; of four or more without the fastest."""
    if not len(rates):
        return 0.0, 0.0
    kept = np.argsort(rates)[: len(rates) - (len(rates) > 3)]
    return float(rates[kept].mean()), float(np.sqrt((doubts[kept] ** 2).mean() / len(kept)))


def _far_above(rate: float, own: float, usual: float, loose: float, many: int) -> bool:
    """Return whether a rate is too far above the others' for how much rates of a kind differ."""
    floor = max(usual, own)
    if rate <= floor:
        return False
    alike = ALIKE**2 * (1 + 1 / many)
    spread = sqrt((own / rate) ** 2 + (loose / floor) ** 2 + alike)
    return log(rate / floor) > FAR * spread


def _jumped(past: Past, usual: float) -> bool:
    """Return whether one leg holds what no wear does, and the others go as usual."""
    legs = []
    for before, after in _legs(past):
        if before.stint != after.stint and (before.piece is None or after.piece is None):
            return False
        fell = _stack(before) - _stack(after) - usual * (after.run - before.run)
        noise = float(np.hypot(doubt_of(before), doubt_of(after)))
        legs.append((abs(fell), noise))
    if len(legs) < 2:
        return False
    legs.sort(reverse=True)
    (most, noise), rest = legs[0], legs[1:]
    return most > max(LEAST_JUMP, JUMP * noise) and all(
        fell < max(1.5 * noise, most / 4) for fell, noise in rest
    )


def _legs(past: Past) -> list[tuple[Sighting, Sighting]]:
    """Return from the last gap of each distance to the first of the next."""
    pairs = pairwise(past.seen)
    return [(before, after) for before, after in pairs if before.run != after.run]


def _stack(one: Sighting) -> float:
    return middle_of(one) + (one.piece.thickness_nm / 1000 if one.piece else 0.0)
