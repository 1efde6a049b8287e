"""What was true, beside what was written: a lesson's score, and how one hand feels over time."""

import math
from collections.abc import Sequence
from dataclasses import dataclass
from statistics import fmean, stdev

from plimb.core.engine.engine import Clearance
from plimb.core.job.sheet import Round
from plimb.core.lengths import mm
from plimb.core.measure.blades import BladeSet, Tried, next_blade
from plimb.core.measure.gap import Gap, none_below, point
from plimb.core.measure.limits import Verdict, judge
from plimb.practice.caps import FINAL
from plimb.practice.rig import Rig
from plimb.practice.session import Begun, LessonRun
from plimb.standins.simulated import Truth

SLIP_NM = mm("0.03")
"""A reading that is further off is a slip (judgement)."""


@dataclass(frozen=True, slots=True, kw_only=True)
class Read:
    """One gap that was written down, beside the true one. Lengths in nanometres.

    `error_nm` is read less true, None where no figure was read.
    """

    valve: str
    purpose: str
    gap: Gap
    true_nm: int
    error_nm: int | None
    said: Verdict
    verdict: Verdict

    @property
    def right(self) -> bool:
        """Whether what was judged is so, or left open where no more was known."""
        return self.honest or self.said is self.verdict or {self.said, self.verdict} == {
            Verdict.TIGHT, Verdict.NONE,
        }  # fmt: skip

    @property
    def honest(self) -> bool:
        """Whether it was left open, and the true gap does lie where it was said to lie."""
        low = -math.inf if self.gap.low_nm is None else self.gap.low_nm
        high = math.inf if self.gap.endless else self.gap.high_nm
        return self.said is Verdict.UNSETTLED and low <= self.true_nm <= high


@dataclass(frozen=True, slots=True, kw_only=True)
class Score:
    """A lesson by its truth. What another hand read before it began is not in `reads`.

    `fewest` is how many blades would have settled every valve.

    `bolts` is what is said of the caps' bolts, empty where none were turned.
    """

    reads: tuple[Read, ...]
    in_spec: int
    valves: int
    rounds: int
    tries: int
    fewest: int
    slips: tuple[str, ...]
    empty: tuple[str, ...]
    bolts: str = ""

    @property
    def right(self) -> int:
        """How many verdicts are right."""
        return sum(read.right for read in self.reads)


def score_of(session: LessonRun, rounds: Sequence[Round]) -> Score:
    """Return how a lesson went, by what is true in its engine."""
    engine, rig = session.rig.engine, session.rig
    truth = Truth(rig.simulated)
    now = {
        clearance.id: truth.gap_nm(clearance.id)
        for clearance in engine.clearances
        if clearance.id not in rig.empty
    }  # a valve that stands empty has no gap
    reads = []
    first, last = rounds[0].status.valves, rounds[-1].status.valves
    for clearance in engine.clearances:
        found, proof = first[clearance.id].record.found, last[clearance.id].record.proof
        if found is not None and not session.by_others:
            reads.append(_read(clearance, "found", found.gap, session.first[clearance.id]))
        if proof is not None and clearance.id in now:
            reads.append(_read(clearance, "proof", proof.gap, now[clearance.id]))
    return Score(
        reads=tuple(reads),
        in_spec=sum(truth.in_spec(valve) for valve in now),
        valves=len(engine.clearances),
        rounds=len(rounds),
        tries=rig.tries - session.by_others,
        fewest=sum(
            _fewest(session.first[clearance.id], clearance, rig.blades)
            for clearance in engine.clearances
            if first[clearance.id].record.found is not None and not session.by_others
        ),
        slips=tuple(
            read.valve
            for read in reads
            if read.error_nm is not None and abs(read.error_nm) > SLIP_NM
        ),
        empty=tuple(sorted(rig.empty)),
        bolts=_bolts(rig),
    )


def _bolts(rig: Rig) -> str:
    """Return what is true of the caps' bolts, in words."""
    caps = rig.caps
    if caps is None or not caps.touched:
        return ""
    if caps.off:
        return "The caps lie on the bench still."
    right = sum(turns == FINAL for turns in caps.turned)
    said = f"{right} of {caps.many} bolts at the manual's {FINAL:g} N·m"
    over = sum(turns is not None and turns > FINAL for turns in caps.turned)
    more = [f"{over} beyond it"] if over else []
    more += [f"the thread of {len(caps.gave)} gave"] if caps.gave else []
    more += [f"one pulled ahead of the others {caps.ahead} times"] if caps.ahead else []
    return "; ".join((said, *more)) + "."


def _read(one: Clearance, purpose: str, gap: Gap, true_nm: float) -> Read:
    assert one.check is not None
    known = gap.both_ends
    true = point(max(1, round(true_nm))) if true_nm > 0 else none_below(mm("0.001"))
    return Read(
        valve=one.id,
        purpose=purpose,
        gap=gap,
        true_nm=round(true_nm),
        error_nm=round(gap.best_nm - true_nm) if known else None,
        said=judge(gap, one.check),
        verdict=judge(true, one.check),
    )


def _fewest(true_nm: float, one: Clearance, blades: BladeSet) -> int:
    """Return how many blades settle a gap when each is the best to try next."""
    assert one.check is not None
    known, tries = Tried(), 0
    while (blade := next_blade(known, one.check, blades)) is not None:
        known = known.with_answer(blade, blade.thickness_nm <= true_nm)
        tries += 1
    return tries


@dataclass(frozen=True, slots=True, kw_only=True)
class FeelScore:
    """How one hand feels, from all its readings: off on the whole, and from time to time."""

    readings: int
    bias_nm: int | None
    spread_nm: int | None


def feel_of(sessions: Sequence[Begun | LessonRun]) -> FeelScore:
    """Return the feel of the hand that did these lessons; slips are left out."""
    errors = [e for session in sessions for e in session.errors_nm if abs(e) <= SLIP_NM]
    return FeelScore(
        readings=len(errors),
        bias_nm=round(fmean(errors)) if len(errors) >= 5 else None,
        spread_nm=round(stdev(errors)) if len(errors) >= 5 else None,
    )


def errors_of(score: Score) -> list[float]:
    """Return how far off the readings were that this hand took."""
    return [float(read.error_nm) for read in score.reads if read.error_nm is not None]
