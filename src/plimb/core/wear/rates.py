"""The fit behind a forecast: what is unknown, what every gap says of it, and how sure that is.

Unknown are, in micrometres: every valve's stack now, its rate over the whole run, the mean rate
of its kind, how far the hand was off at each check, how far each piece is off what it was taken
for. A piece that nobody knew is off by anything.
"""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from math import hypot, log, sqrt

import numpy as np

from plimb.core.engine.engine import Clearance
from plimb.core.wear.regression import Fit, Floats, fit
from plimb.core.wear.stack import Past, Sighting

HAND, FEEL, CALLED = 2.0, 4.0, 1.5
"""How far one day's hand is off with every gap, and with each anew beyond what its ends say, where
it was left as a bracket and where it was called (standard, µm; judgement)."""
ANY, ANY_RATE = 5000.0, 1000.0
"""A stack, and a rate over the run, of which nothing is known beforehand (standard, µm)."""

SPREADS = tuple(0.1 * 2.6**step for step in range(6))
"""How far the rates of a kind may differ, as multiples of a gap's usual doubt; few times it."""
DIFFER, DIFFER_SURE = 0.3, 0.5
"""How far rates of a kind usually differ, as a share of their mean; how sure that is (standard
deviation of its logarithm; judgement)."""
NOISES = (0.7, 1.0, 1.4, 2.0)
"""How much noisier than said the readings may be, about as said (log-normal, 0.35)."""


@dataclass(frozen=True, slots=True, kw_only=True)
class Model:
    """The rows of the fit. `valves` are the names of its valves, `kinds` their kinds' places.

    `stints` gives each valve's pieces: their place among the unknowns, and what the book says.
    """

    valves: tuple[str, ...]
    kinds: tuple[int, ...]
    span: float
    usual: float
    data: Fit
    turned: Floats
    known: Floats
    off: Floats
    stints: Mapping[str, tuple[tuple[int, float], ...]]
    now_known: frozenset[str]
    past: Mapping[str, Past]

    def piece_now(self, valve: str, draws: Floats) -> Floats | None:
        """Return a valve's piece that is in now in each draw; None where nothing tells the gap.

        `draws` are of shape (draws, unknowns); what is returned (draws,), in µm.
        """
        if valve not in self.now_known:
            return None
        place, book = self.stints[valve][-1]
        found: Floats = book + draws[:, place]
        return found

    def book_now(self, valve: str) -> float | None:
        """Return the thickness of the piece that is in by the book, in µm; None if not known."""
        piece = self.past[valve].pieces[-1] if valve in self.past else None
        return None if piece is None else piece.thickness_nm / 1000


def model_of(clearances: Sequence[Clearance], past: Mapping[str, Past]) -> Model:
    """Return the rows for the valves that were seen."""
    in_it = [clearance for clearance in clearances if past[clearance.id].seen]
    kinds = {kind: place for place, kind in enumerate(dict.fromkeys(map(kind_of, in_it)))}
    number, checks = (
        len(in_it),
        1 + max(s.check for clearance in in_it for s in past[clearance.id].seen),
    )
    span = max(s.run for clearance in in_it for s in past[clearance.id].seen)
    at_hand = 2 * number + len(kinds)
    wide = at_hand + checks
    stints: dict[str, tuple[tuple[int, float], ...]] = {}
    deviations = [*[HAND] * checks]
    for clearance in in_it:
        places = []
        for piece in past[clearance.id].pieces:
            places.append((wide, 0.0 if piece is None else piece.thickness_nm / 1000))
            deviations.append(ANY if piece is None else piece.half_width_nm / 1000 / sqrt(3))
            wide += 1
        stints[clearance.id] = tuple(places)
    rows, values, usual = [], [], []
    for place, clearance in enumerate(in_it):
        for seen in past[clearance.id].seen:
            of_piece, book = stints[clearance.id][seen.stint]
            doubt = doubt_of(seen)
            row = np.zeros(wide)
            row[place], row[number + place] = 1, (span - seen.run) / span
            row[at_hand + seen.check], row[of_piece] = 1, -1
            rows.append(row / doubt)
            values.append((middle_of(seen) + book) / doubt)
            usual.append(doubt)
    known, off = _beforehand(
        number, tuple(kinds[kind_of(clearance)] for clearance in in_it), wide, deviations
    )
    data, turned = _compressed(np.array(rows), np.array(values))
    return Model(
        valves=tuple(clearance.id for clearance in in_it),
        kinds=tuple(kinds[kind_of(clearance)] for clearance in in_it),
        span=span,
        usual=float(np.mean(usual)),
        data=data,
        turned=turned,
        known=known,
        off=off,
        stints=stints,
        now_known=frozenset(
            clearance.id for clearance in in_it if past[clearance.id].gap_now_known
        ),
        past=past,
    )


def kind_of(one: Clearance) -> tuple[str, str]:
    """Return what a valve wears like: its side, and whether it opens or closes."""
    return (one.side, one.action)


def middle_of(seen: Sighting) -> float:
    """Return the middle of a gap, in µm."""
    low, high = seen.ends_nm
    return (low + high) / 2000


def doubt_of(seen: Sighting) -> float:
    """Return a gap's standard uncertainty in µm: even between its ends, and the hand's feel."""
    low, high = seen.ends_nm
    feel = FEEL if seen.gap.called_nm is None else CALLED
    return hypot((high - low) / 1000 / sqrt(12), feel)


FINEST = 0.1
"""No thickness is known better than to a tenth of a micrometre, whatever a record says."""


def _beforehand(
    number: int, kinds: tuple[int, ...], wide: int, deviations: Sequence[float]
) -> tuple[Floats, Floats]:
    """Return what is known beforehand: rows as they are, and those of rates about their kind.

    Each row is as wide as there are unknowns: stacks, rates, means of kinds, checks, pieces.
    """
    at_hand = wide - len(deviations)
    known = np.zeros((wide - number, wide))
    for place in range(number):
        known[place, place] = 1 / ANY
    for row, place in enumerate(range(2 * number, at_hand), number):
        known[row, place] = 1 / ANY_RATE
    for row, deviation in enumerate(deviations):
        known[number + at_hand - 2 * number + row, at_hand + row] = 1 / max(deviation, FINEST)
    off = np.zeros((number, wide))
    for place, kind in enumerate(kinds):
        off[place, number + place], off[place, 2 * number + kind] = 1, -1
    return known, off


def _compressed(rows: Floats, values: Floats) -> tuple[Fit, Floats]:
    """Return the rows in as many as there are unknowns, which say the same.

    `rows` are of shape (readings, unknowns), `values` (readings,); the second is (unknowns,).
    """
    orthogonal, factor = np.linalg.qr(rows)
    turned = orthogonal.T @ values
    rest = float(values @ values - turned @ turned)
    return Fit(best=turned, factor=factor, rest=max(0.0, rest), free=len(values)), turned


def fitted(model: Model, spread: float, noise: float) -> Fit:
    """Return the fit where rates of a kind differ by `spread` µm and noise is so many times."""
    rows = np.concatenate((model.data.factor / noise, model.known, model.off / spread))
    values = np.zeros(len(rows))
    values[: len(model.turned)] = model.turned / noise
    return fit(rows, values)


@dataclass(frozen=True, slots=True, kw_only=True)
class Weighed:
    """The fit of one pair of the grid, and its share of what is believed."""

    share: float
    noise: float
    fit: Fit


def posterior(model: Model) -> tuple[Weighed, ...]:
    """Return every pair of the grid with its share; the shares come to 1."""
    pairs = [(times * model.usual, noise) for times in SPREADS for noise in NOISES]
    fits = [fitted(model, spread, noise) for spread, noise in pairs]
    logs = np.array([
        -model.data.free * log(noise)
        - len(model.valves) * log(spread)
        - float(np.log(np.abs(np.diag(part.factor))).sum())
        - (part.rest + model.data.rest / noise**2) / 2
        - (log(noise) / 0.35) ** 2 / 2
        - (log(spread / (DIFFER * _mean_rate(model, part))) / DIFFER_SURE) ** 2 / 2
        for (spread, noise), part in zip(pairs, fits, strict=True)
    ])  # fmt: skip
    shares = np.exp(logs - logs.max())
    shares /= shares.sum()
    return tuple(
        Weighed(share=float(share), noise=noise, fit=part)
        for share, (_spread, noise), part in zip(shares, pairs, fits, strict=True)
    )


def _mean_rate(model: Model, fitted: Fit) -> float:
    """Return how fast the kinds wear on the whole, in µm over the run; never quite nothing."""
    number = len(model.valves)
    means = fitted.best[2 * number : 2 * number + len(set(model.kinds))]
    return float(np.maximum(np.abs(means), model.usual / 2).mean())


def own_rates(model: Model, believed: Sequence[Weighed]) -> tuple[Floats, Floats]:
    """Return each valve's rate by its own readings alone, and how sure that is (µm, the run).

    Both are of shape (valves,).
    """
    number = len(model.valves)
    noise = sum(belief.share * belief.noise for belief in believed)
    own = fitted(model, SPREADS[-1] * 40 * model.usual, noise)
    return own.best[number : 2 * number], np.sqrt(np.diag(own.covariance)[number : 2 * number])
