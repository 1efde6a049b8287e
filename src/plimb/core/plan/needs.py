"""Which valves are opened, and why: asked by the card and by the plan alike."""

from dataclasses import dataclass, replace
from enum import StrEnum
from typing import Any

from plimb.core.engine.engine import Clearance
from plimb.core.measure.gap import Gap
from plimb.core.measure.limits import Limits, Verdict, judge
from plimb.core.measure.uncertainty import USUAL_DOUBT, Doubt, kept_chance
from plimb.core.shim.shim import Condition
from plimb.core.words import percent


class WhichToSet(StrEnum):
    """Which valves a shop sets.

    Those out, those near the tight edge too, all whose camshaft comes out, or every one.
    """

    OUT = "out"
    NEAR = "near"
    ALL = "all"
    EVERY = "every"

    @property
    def aim_first(self) -> bool:
        """Whether valves that are in are set as well, so that the way to the aim comes first."""
        return self in (WhichToSet.ALL, WhichToSet.EVERY)

    def sets_with(self, clearance: Clearance) -> bool:
        """Return whether a valve that is in is set once its camshaft is out."""
        return self is WhichToSet.EVERY or (self is WhichToSet.ALL and clearance.camshaft_out)


class Need(StrEnum):
    """What a valve asks for next."""

    MEASURE = "measure"
    FINER = "finer"
    LEAVE = "leave"
    SPEC = "spec"
    OPEN = "open"


NEAR_EDGE_SHARE = 5
"""A valve in the tightest fifth of its range is near the edge (common practice)."""


@dataclass(frozen=True, slots=True, kw_only=True)
class ValveNeed:
    """What a valve asks for, why in a few words, and whether it is opened.

    `in_doubt` says that it stays shut, reads in range and is less sure of it than the shop asks.
    """

    need: Need
    reason: str
    opens: bool
    in_doubt: bool = False


def near_edge(gap_nm: Any, low_nm: Any, high_nm: Any) -> Any:
    """Return whether a gap lies in the tightest fifth of a range, ends included.

    Takes whole nanometres or numpy arrays of them, and answers in kind.
    """
    return (gap_nm >= low_nm) & ((gap_nm - low_nm) * NEAR_EDGE_SHARE <= high_nm - low_nm)


def near_tight_edge(gap: Gap, limits: Limits) -> bool:
    """Return whether the best number lies in the tightest fifth of the range, ends included."""
    return bool(near_edge(gap.best_nm, limits.low_nm, limits.high_nm))


def needs_setting(
    clearance: Clearance, gap: Gap | None, condition: Condition, which: WhichToSet
) -> bool:
    """Return whether a valve asks for another piece for its own sake."""
    check = clearance.check
    if gap is None or check is None:
        return False
    verdict = judge(gap, check)
    if verdict is Verdict.IN:
        near = which is WhichToSet.NEAR and near_tight_edge(gap, check)
        return near or condition is Condition.SCRAP
    if verdict is Verdict.UNSETTLED:
        # a blade in between is cheaper than a camshaft: by its best number until then
        return not check.holds(gap.best_nm)
    return True


def comes_along(clearance: Clearance, which: WhichToSet, shafts_out: frozenset[str]) -> bool:
    """Return whether a valve that is in is set all the same: every one is, or its shaft is out."""
    out = which is WhichToSet.EVERY or clearance.camshaft in shafts_out
    return which.sets_with(clearance) and out


def doubtful(
    clearance: Clearance, gap: Gap, shafts_out: frozenset[str], sure: float, doubt: Doubt
) -> float | None:
    """Return the chance of a valve that is in by its reading without being sure, its shaft out.

    What lies on a limit, or about it, is in by its best number, but out as likely as in: where the
    camshaft comes out anyway it is looked at with the rest. None for any other valve.
    """
    if clearance.check is None or clearance.camshaft not in shafts_out:
        return None
    chance = kept_chance(gap, clearance.check, doubt)
    return chance if chance is not None and chance < sure else None


def opened_too(need: ValveNeed) -> ValveNeed:
    """Return what a valve asks for that somebody wants to open with the others."""
    if need.opens or need.need not in (Need.LEAVE, Need.FINER):
        return need
    if need.need is Need.FINER:
        return replace(need, opens=True)
    return ValveNeed(need=Need.OPEN, reason="in range, but opened too", opens=True)


_ENDS = {
    True: "refused: try thinner blades until one goes",
    False: "loose: try thicker blades until one refuses",
}
_WORDS = {
    Verdict.UNSETTLED: "the reading crosses a limit: try a blade in between",
    Verdict.NONE: "no gap found: it may be held open",
    Verdict.TIGHT: "tighter than the minimum",
    Verdict.LOOSE: "looser than the maximum",
}


def valve_need(
    clearance: Clearance,
    gap: Gap | None,
    condition: Condition,
    which: WhichToSet,
    shafts_out: frozenset[str],
    sure: float,
    doubt: Doubt = USUAL_DOUBT,
    *,
    tries_left: bool = True,
) -> ValveNeed:
    """Return what one valve asks for, the camshafts that come out anyway being known.

    `sure` is the chance from which on the shop takes a valve for sure, `doubt` what its readings
    are worth; `tries_left` says whether a blade at hand would tell more of one about a limit.
    """
    if gap is None:
        return ValveNeed(need=Need.MEASURE, reason="not measured yet", opens=False)
    if clearance.check is None:
        return ValveNeed(need=Need.SPEC, reason="not judged: no spec is entered", opens=False)
    verdict = judge(gap, clearance.check)
    opens = needs_setting(clearance, gap, condition, which)
    chance = doubtful(clearance, gap, shafts_out, sure, doubt)
    if verdict is Verdict.UNSETTLED and not gap.open_ended and not tries_left:
        return _about_a_limit(clearance.check, gap, doubt, opens=opens or chance is not None)
    if gap.open_ended or verdict is Verdict.UNSETTLED:
        how = _ENDS[gap.low_nm is None] if gap.open_ended else ""
        words = how or _WORDS[verdict]
        return ValveNeed(need=Need.FINER, reason=words, opens=opens or chance is not None)
    if gap.guess:
        return ValveNeed(need=Need.FINER, reason="a guess: measure it again", opens=opens)
    if verdict is not Verdict.IN:
        return ValveNeed(need=Need.OPEN, reason=_WORDS[verdict], opens=True)
    why = _why_opened(clearance, which, condition, shafts_out, chance, opens=opens)
    if why:
        return ValveNeed(need=Need.OPEN, reason=f"in range, but {why}", opens=True)
    chance = kept_chance(gap, clearance.check, doubt)
    if chance is not None and chance < sure:
        near = f"in range, but close to its limit ({percent(chance)} sure)"
        return ValveNeed(need=Need.LEAVE, reason=near, opens=False, in_doubt=True)
    return ValveNeed(need=Need.LEAVE, reason="in range", opens=False)


def _why_opened(
    clearance: Clearance,
    which: WhichToSet,
    condition: Condition,
    shafts_out: frozenset[str],
    chance: float | None,
    *,
    opens: bool,
) -> str:
    """Return why a valve that is in range is opened all the same; nothing where it is not."""
    if opens:
        return "its shim is scrap" if condition is Condition.SCRAP else "in the tightest fifth"
    if comes_along(clearance, which, shafts_out):
        return "every valve is set" if which is WhichToSet.EVERY else "its camshaft comes out"
    if chance is not None:
        return f"close to its limit ({percent(chance)} sure), and its camshaft comes out"
    return ""


def _about_a_limit(check: Limits, gap: Gap, doubt: Doubt, *, opens: bool) -> ValveNeed:
    """Return what a valve asks for that is about a limit where no blade lies between."""
    chance = kept_chance(gap, check, doubt)
    likely = "" if chance is None else f" ({percent(chance)} sure in range)"
    reason = f"the reading crosses a limit, and your set has no blade between{likely}"
    need = Need.OPEN if opens else Need.LEAVE
    return ValveNeed(need=need, reason=reason, opens=opens, in_doubt=not opens)
