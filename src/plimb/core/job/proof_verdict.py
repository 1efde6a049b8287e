"""A proof judged by all that is known: what was predicted, what the blades say, what was called.

The predicted gap is spread by the reading before and by both pieces (JCGM 100:2008, 4.3.7);
the proof cuts a piece out of that, and the share of the piece that is in range is the chance
that the valve is (JCGM 106:2012, 6). A prediction does not always hold: some of the chance lies
evenly over every gap there may be, and takes over where the proof says something else.
"""

from dataclasses import dataclass

from plimb.core.lengths import mm
from plimb.core.measure.blades import Gauge
from plimb.core.measure.gap import Gap
from plimb.core.measure.limits import Limits, Verdict, judge
from plimb.core.measure.uncertainty import (
    SURE,
    USUAL_DOUBT,
    Doubt,
    chance_in_band,
    gap_ends,
)

AMISS = 0.05
"""How often a gap does not come out as predicted: dirt, a swap, a slip (judgement)."""

ANYWHERE_NM = float(mm("0.4"))
"""Over so much a gap may lie that does not come out as predicted (judgement)."""

AGREES_FROM = 0.25
"""So much of what is predicted must lie in the proof for the prediction to settle it (judgement).

A prediction beside the proof settles nothing: one of the two is wrong.
"""


@dataclass(frozen=True, slots=True, kw_only=True)
class Expected:
    """Where a gap should lie: about a middle, spread evenly over each width, in nanometres."""

    middle_nm: float
    widths_nm: tuple[float, ...]


@dataclass(frozen=True, slots=True, kw_only=True)
class Judged:
    """What a proof says of a valve.

    The `chance` that it is in range is None where nothing tells; `next_try` is the blade that
    would tell more where it is not settled.
    """

    verdict: Verdict
    chance: float | None
    next_try: Gauge | None = None


def judge_proof(
    proof: Gap,
    limits: Limits,
    expected: Expected | None,
    *,
    sure: float = SURE,
    doubt: Doubt = USUAL_DOUBT,
    next_try: Gauge | None = None,
    blades_known: bool = False,
) -> Judged:
    """Return what the proof says, held against what was expected of it.

    Blades that settle it alone settle it. What straddles a limit is settled by the chance, as
    the shop's figure of sure enough asks; without a blade between that would tell more, by what
    is likelier, if the prediction agrees with the proof at all.

    Args:
        proof: The gap after fitting.
        limits: What the valve is held to, both ends included.
        expected: Where it should lie; None where nothing could be predicted.
        sure: The chance from which on a valve is taken for sure.
        doubt: What readings are worth.
        next_try: The blade at hand that would tell more.
        blades_known: Whether it is known which blades are at hand; else there may be one.
    """
    by_blades = judge(proof, limits)
    if not proof.both_ends:
        unsettled = by_blades is Verdict.UNSETTLED
        return Judged(verdict=by_blades, chance=None, next_try=next_try if unsettled else None)
    low, high = gap_ends(proof, doubt)
    whole = _share(expected, low, high)
    below = _share(expected, low, min(high, limits.low_nm))
    above = _share(expected, max(low, limits.high_nm), high)
    chance = min(1.0, max(0.0, 1.0 - (below + above) / whole))
    if by_blades is not Verdict.UNSETTLED:
        return Judged(verdict=by_blades, chance=chance)
    out = Verdict.TIGHT if below >= above else Verdict.LOOSE
    agrees = expected is not None and _predicted(expected, low, high) >= AGREES_FROM
    nothing_left = blades_known and next_try is None
    asked = 0.5 if agrees and nothing_left else sure
    if chance >= asked:
        return Judged(verdict=Verdict.IN, chance=chance)
    if chance <= 1 - asked:
        return Judged(verdict=out, chance=chance)
    return Judged(verdict=Verdict.UNSETTLED, chance=chance, next_try=next_try)


def _share(expected: Expected | None, low: float, high: float) -> float:
    """Return how likely a gap lies between two lengths, before anything was felt."""
    evenly = max(0.0, high - low) / ANYWHERE_NM
    if expected is None or high <= low:
        return evenly
    return AMISS * evenly + (1 - AMISS) * _predicted(expected, low, high)


def _predicted(expected: Expected, low: float, high: float) -> float:
    return float(chance_in_band(expected.middle_nm, expected.widths_nm, low, high))
