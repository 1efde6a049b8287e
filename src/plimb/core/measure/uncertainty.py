"""The chance that a gap comes out in range, from what the reading and the pieces are worth.

The gap is taken as uniform on the reading's interval and each piece as rectangular about its
thickness (JCGM 100:2008, 4.3.7); two equal ones add to a triangle (4.3.9). The chance is the
probability of conformance with the limits (JCGM 106:2012, 3.3.7). Floats live here and come
out only as a probability.
"""

from collections.abc import Iterable, Sequence
from dataclasses import dataclass, replace
from functools import lru_cache
from itertools import product
from math import factorial, prod
from typing import Any

from plimb.core.lengths import mm
from plimb.core.measure.gap import Gap
from plimb.core.measure.limits import Limits, Verdict, judge


@dataclass(frozen=True, slots=True, kw_only=True)
class Doubt:
    """How far off readings may be, in nanometres either way; the shop may change them.

    `drag_nm` is how far the gap may lie from a blade that goes with light drag (judgement);
    `piece_nm` what a micrometer reading is good to, `marked_nm` a thickness known from its
    marking alone or from a calliper, and `film_nm` what the oil in one joint of a stack may add
    (all common practice). `called_nm` is how far off a called number may be, `feel_nm` how far
    beyond what goes and refuses, `guess_nm` a guess, `bought_nm` how far a new piece may be off
    its marking (judgement).
    """

    drag_nm: int = mm("0.005")
    called_nm: int = mm("0.008")
    feel_nm: int = mm("0.004")
    guess_nm: int = mm("0.02")
    bought_nm: int = mm("0.01")
    piece_nm: int = mm("0.004")
    marked_nm: int = mm("0.02")
    film_nm: int = mm("0.01")


USUAL_DOUBT = Doubt()

FINEST_NM, COARSEST_NM = mm("0.001"), mm("0.02")
"""No hand feels the same gap more alike than this, and none that is worth measuring with less."""


def doubt_of_hand(feel_nm: int | None) -> Doubt:
    """Return what readings are worth of a hand that feels one gap so differently each time.

    All that hangs on the hand grows with it: how far a gap lies from a blade that drags, what a
    called number is good to, how far beyond what goes and refuses a gap may be. None is the
    usual hand.
    """
    if feel_nm is None:
        return USUAL_DOUBT
    usual = USUAL_DOUBT
    drag_nm, called_nm = (
        round(nm * feel_nm / usual.feel_nm) for nm in (usual.drag_nm, usual.called_nm)
    )
    return replace(usual, feel_nm=feel_nm, drag_nm=drag_nm, called_nm=called_nm)


def thickness_doubt(
    *, by_marking: bool, instrument_nm: int | None = None, doubt: Doubt = USUAL_DOUBT
) -> int:
    """Return the half-width of a piece's thickness, in nanometres.

    Args:
        by_marking: Nobody measured it, or its marking is what counts.
        instrument_nm: What the instrument is good to, the usual micrometer's where not said.
        doubt: What readings are worth.
    """
    if by_marking:
        return doubt.marked_nm
    return doubt.piece_nm if instrument_nm is None else instrument_nm


def gap_ends(gap: Gap, doubt: Doubt = USUAL_DOUBT, *, kept: bool = True) -> tuple[float, float]:
    """Return between which lengths the gap is taken to lie evenly, in nanometres.

    A piece that is `kept` is taken by what its blades say; where another is to be worked out the
    hand's feel leaves room beyond the blades, so that none is chosen for lying on their edge.
    Each joint of a stack may hold oil that widens it upwards. A called number narrows it, as
    far as what goes and refuses allows, the hand's feel left some room; a guess widens it.

    Raises:
        ValueError: One end is not known: how far the valve was held open, how wide it is.
    """
    if gap.low_nm is None or gap.open_ended:
        raise ValueError("one end of the gap is not known")
    low, high = float(gap.low_nm), float(gap.high_nm + gap.joints * doubt.film_nm)
    if gap.called_nm is not None and not gap.is_point:
        # a blade that goes may be a little too thick, and one that refuses too thin
        high = gap.called_nm + doubt.called_nm if gap.endless else high + doubt.feel_nm
        low = max(low - doubt.feel_nm, gap.called_nm - doubt.called_nm)
        high = min(high, gap.called_nm + doubt.called_nm)
    elif low == high:
        low, high = low - doubt.drag_nm, high + doubt.drag_nm
    elif not kept:
        low, high = low - doubt.feel_nm, high + doubt.feel_nm
    wider = doubt.guess_nm * gap.guess
    return low - wider, high + wider


def share_below(z: Any, widths: Iterable[float]) -> Any:
    """Return P(U₁ + … + Uₖ ≤ z) for independent Uᵢ uniform on [−wᵢ/2, wᵢ/2].

    Inclusion–exclusion over the 2ᵏ corners of the box: the sum of the signed k-th powers of
    what lies beyond each corner, over k!·w₁⋯wₖ. Widths of nothing are left out; `z` may be
    a number or a numpy array.
    """
    corners, scale, power = _corners(tuple(width for width in widths if width > 1.0))
    if not power:
        return (z >= 0) * 1.0
    total: Any = 0.0
    for sign, away in corners:
        beyond = z + away
        total = total + sign * (beyond * (beyond > 0)) ** power
    return total / scale


@lru_cache(maxsize=4096)
def _corners(widths: tuple[float, ...]) -> tuple[tuple[tuple[int, float], ...], float, int]:
    """Return the box's corners with their signs, what divides their sum, and the power."""
    corners = tuple(
        (prod(signs), sum(sign * width for sign, width in zip(signs, widths, strict=True)) / 2)
        for signs in product((1, -1), repeat=len(widths))
    )
    return corners, factorial(len(widths)) * prod(widths), len(widths)


@lru_cache(maxsize=65536)
def chance_in_spec(
    gap: Gap,
    thinner_by_nm: int,
    limits: Limits,
    *,
    doubt: Doubt = USUAL_DOUBT,
    kept: bool = False,
    old_nm: int | None = None,
    new_nm: int | None = None,
) -> float:
    """Return the probability that the gap is in range after the change of piece.

    Args:
        gap: As found, before the change.
        thinner_by_nm: The old piece minus the new.
        limits: Both ends included.
        doubt: What readings are worth.
        kept: The piece stays; it adds no doubt.
        old_nm: Half-width of the old piece's thickness, the micrometer's if not given.
        new_nm: The same for the new piece.

    Where no gap was found nothing is known of how far the valve was held open: 0.
    """
    if not gap.both_ends:
        return 0.0
    if kept and by_go_and_no_go(gap, limits):
        return 1.0
    low, high = gap_ends(gap, doubt, kept=kept)
    middle = (low + high) / 2 + thinner_by_nm
    widths = band_widths(gap, doubt, kept=kept, old_nm=old_nm, new_nm=new_nm)
    reach = sum(widths) / 2
    if limits.low_nm <= middle - reach and middle + reach <= limits.high_nm:
        return 1.0
    if middle + reach < limits.low_nm or limits.high_nm < middle - reach:
        return 0.0
    return float(chance_in_band(middle, widths, limits.low_nm, limits.high_nm))


def by_go_and_no_go(gap: Gap, limits: Limits) -> bool:
    """Return whether a blade of the minimum or more went and one of the maximum or less refused.

    That is in range by the blades themselves, whatever is called. A stack that nobody measured
    together has oil between its blades, and a guess or a single blade's drag is no such pair.
    """
    pair = not (gap.is_point or gap.endless or gap.guess or gap.joints)
    return pair and judge(gap, limits) is Verdict.IN


def kept_chance(gap: Gap | None, limits: Limits, doubt: Doubt = USUAL_DOUBT) -> float | None:
    """Return the chance that a gap is in range as it is, None where one end is not known."""
    if gap is None or not gap.both_ends:
        return None
    return chance_in_spec(gap, 0, limits, doubt=doubt, kept=True)


def band_widths(
    gap: Gap,
    doubt: Doubt = USUAL_DOUBT,
    *,
    kept: bool = False,
    old_nm: int | None = None,
    new_nm: int | None = None,
) -> tuple[float, ...]:
    """Return the widths of what a gap after a change is spread by: its reading, each piece."""
    low, high = gap_ends(gap, doubt, kept=kept)
    if kept:
        return (high - low,)
    halves = (doubt.piece_nm if half is None else half for half in (old_nm, new_nm))
    return (high - low, *(2.0 * half for half in halves))


def chance_in_band(middle: Any, widths: Iterable[float], low_nm: float, high_nm: float) -> Any:
    """Return the share between two limits, both included, of what is spread about the middle.

    `middle` may be a number or a numpy array.
    """
    widths = tuple(widths)
    above = share_below(high_nm - middle, widths)
    # a gap exactly at the lower limit is in: step a hair below it where nothing is spread
    below = share_below(low_nm - middle - 0.5, widths)
    inside = above - below
    return inside.clip(0.0, 1.0) if hasattr(inside, "clip") else min(1.0, max(0.0, inside))


LEAST_WIDTH_NM = 100


def chances_in_bands(middle: Any, widths: Sequence[Any], low_nm: Any, high_nm: Any) -> Any:
    """Return for each of many values the share between its two limits, by its own widths.

    The same as `chance_in_band`, for numpy arrays that fit one another. A width of less than a
    tenth of a micrometre is reckoned with as that: nothing is divided by nothing.
    """
    widths = [width.clip(LEAST_WIDTH_NM) * 1.0 for width in widths]
    power, total = len(widths), 0.0
    below, above = low_nm - middle - 0.5, high_nm - middle
    for signs in product((1, -1), repeat=power):
        away = sum(sign * width for sign, width in zip(signs, widths, strict=True)) / 2
        total = total + prod(signs) * (_raised(above + away, power) - _raised(below + away, power))
    inside: Any = total / (factorial(power) * prod(widths))
    return inside.clip(0.0, 1.0)


SURE = 0.9
"""A chance from here on is sure enough, where the shop says nothing else (judgement)."""


def _raised(z: Any, power: int) -> Any:
    """Return what is above nothing to a small whole power, by multiplying."""
    above = z * (z > 0)
    raised = above
    for _time in range(power - 1):
        raised = raised * above
    return raised


RISK_STEPS = 300
"""Chances of another round nearer to each other than one in so many are told apart no more."""


def risk_of(chance: Any) -> Any:
    """Return the chance of another round in whole steps; takes a number or a numpy array."""
    steps = (1 - chance) * RISK_STEPS
    return steps.round().astype("int64") if hasattr(steps, "astype") else round(steps)
