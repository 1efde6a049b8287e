"""Valves that wear unlike their kind: far faster, opening up, or all at once.

Whether one wears far faster is weighed: how likely its readings and the others' are if it does,
over how likely they are if all of a kind wear alike. The rates of a kind differ from valve to
valve, kinds differ from one another, and how fast the engine wears on the whole nobody knows.
"""

from collections.abc import Mapping, Sequence
from enum import StrEnum
from functools import lru_cache
from itertools import pairwise

import numpy as np

from plimb.core.wear.rates import Model, Weighed, doubt_of, middle_of, own_rates
from plimb.core.wear.regression import Floats
from plimb.core.wear.stack import Past, Sighting


class Odd(StrEnum):
    """What is unusual about a valve."""

    FAST = "fast"
    OPENS = "opens"
    JUMPED = "jumped"


ALIKE, KINDS_ALIKE = 0.2, 0.7
"""By how much the rates of one kind usually differ, and those of kinds from one another, as
standard deviations of their logarithms (judgement)."""
FASTER = {3.0: 0.6, 6.0: 0.3, 12.0: 0.1}
"""How many times as fast as its kind an odd valve wears, and how likely each is (judgement)."""
WIDER = 1.17
"""A rate is taken to be so much less sure than its readings say (by simulation)."""
CLEARLY = 3.0
"""From here on, the logarithm of how much likelier it is, a valve is called fast (simulation)."""
OPENING = 2.9
"""A rate below nothing by so many deviations is a valve that opens up."""
JUMP, LEAST_JUMP = 5.0, 30.0
"""A jump is so many deviations, and so many µm, in one leg."""

LOGS = np.linspace(0.0, np.log(5000.0), 61)
"""Rates that are looked at, as logarithms of µm over the run."""
NEVER = 1e-300


def odd_valves(model: Model, believed: Sequence[Weighed]) -> Mapping[str, Odd]:
    """Return the valves that are unlike the others of their kind, or of the engine."""
    rates, doubts = own_rates(model, believed)
    seen = np.array([model.past[valve].distances > 1 for valve in model.valves])
    kinds = np.array(model.kinds)
    faster = np.full(len(seen), -np.inf)
    faster[seen] = how_much_likelier(rates[seen], doubts[seen], kinds[seen])
    found: dict[str, Odd] = {}
    for place in np.flatnonzero(seen):
        others = seen.copy()
        others[place] = False
        alike = others & (kinds == kinds[place])
        usual = _usual(rates[alike if alike.any() else others])
        valve = model.valves[place]
        if _jumped(model.past[valve], usual / model.span):
            found[valve] = Odd.JUMPED
        elif rates[place] < -OPENING * doubts[place]:
            found[valve] = Odd.OPENS
        elif faster[place] > CLEARLY:
            found[valve] = Odd.FAST
    return found


def how_much_likelier(rates: Floats, doubts: Floats, kinds: Floats) -> Floats:
    """Return for each valve how much likelier its rate is if it wears far faster than its kind.

    Args:
        rates: Each valve's own, in µm over the run, of shape (valves,).
        doubts: Their standard uncertainties, of that shape.
        kinds: Which valves are of a kind, by the same number, of that shape.

    Returns:
        Natural logarithms of the ratio to all of them being alike; 0 says nothing either way.
    """
    from scipy.special import logsumexp

    off = (rates[:, None] - np.exp(LOGS)[None, :]) / (WIDER * doubts[:, None])
    fits = np.exp((off**2).min(axis=1, keepdims=True) / 2 - off**2 / 2)
    alike = np.log(fits @ _about(1.0, ALIKE).T + NEVER)
    odd = np.sum([share * _about(times, ALIKE) for times, share in FASTER.items()], axis=0)
    fast = np.log(fits @ odd.T + NEVER)
    places = np.searchsorted(np.unique(kinds), kinds)
    means = np.zeros((places.max() + 1, len(LOGS)))
    np.add.at(means, places, alike)
    of_kind = _over_kinds(means)
    nothing_odd = logsumexp(of_kind.sum(axis=0))
    with_it = _over_kinds(means[places] - alike + fast)
    whole = logsumexp(of_kind.sum(axis=0) - of_kind[places] + with_it, axis=-1)
    found: Floats = whole - nothing_odd
    return found


@lru_cache(maxsize=8)
def _about(times: float, differ: float) -> Floats:
    """Return how likely each rate is about so many times each mean (means down, rates across)."""
    off = (LOGS[None, :] - LOGS[:, None] - np.log(times)) / differ
    near: Floats = np.exp(-(off**2) / 2)
    shares: Floats = near / np.maximum(near.sum(axis=1, keepdims=True), NEVER)
    return shares


def _over_kinds(logs: Floats) -> Floats:
    """Return how likely each kind's readings are about each mean of the engine, as logarithms.

    `logs` are of shape (kinds, means), and so is what is returned.
    """
    most = logs.max(axis=-1, keepdims=True)
    found: Floats = np.log(np.exp(logs - most) @ _about(1.0, KINDS_ALIKE).T + NEVER) + most
    return found


def _usual(rates: Floats) -> float:
    """Return the mean rate of some valves; of four or more without the fastest.

    `rates` are of shape (valves,).
    """
    kept = np.sort(rates)[: len(rates) - (len(rates) > 3)]
    return float(kept.mean()) if len(kept) else 0.0


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
