"""One valve of a card: what has been written down for it, and what that says."""

from dataclasses import dataclass

from plimb.core.engine.engine import Clearance
from plimb.core.measure.gap import Gap, residual
from plimb.core.measure.limits import Verdict, judge
from plimb.core.measure.shorthand import Reading
from plimb.core.measure.uncertainty import USUAL_DOUBT, thickness_doubt
from plimb.core.plan.needs import Need, ValveNeed, WhichToSet, near_tight_edge, valve_need
from plimb.core.shim.shim import Condition, ShimReading, Source
from plimb.core.shim.sum import SizePolicy, Window, WorkedOut, change_needed, work_out

MadeFrom = tuple[int | None, ...]
"""The gap, the piece and the spec that a decision was made from, in nanometres."""


@dataclass(frozen=True, slots=True, kw_only=True)
class Choice:
    """The piece decided on for a valve, and whether a person decided it against the plan.

    `measured_nm` is what an instrument good to `doubt_nm` said as it went in; `by_marking` that
    nobody ever measured it; `fitted` that it is in. `made_from` is what it was decided from.
    """

    thickness_nm: int
    source: Source = Source.COUNTER
    from_valve: str | None = None
    by_hand: bool = True
    by_marking: bool = False
    measured_nm: int | None = None
    fitted: bool = False
    doubt_nm: int | None = None
    made_from: MadeFrom | None = None

    @property
    def goes_in_nm(self) -> int:
        """The thickness that what follows is predicted with."""
        return self.thickness_nm if self.measured_nm is None else self.measured_nm

    @property
    def known_from_marking(self) -> bool:
        """Whether the piece was never measured."""
        return self.by_marking and self.measured_nm is None

    @property
    def half_width_nm(self) -> int:
        """How far the thickness that goes in may be off, either way."""
        if self.known_from_marking and self.source is Source.COUNTER:
            return USUAL_DOUBT.bought_nm
        return thickness_doubt(by_marking=self.known_from_marking, instrument_nm=self.doubt_nm)


@dataclass(frozen=True, slots=True, kw_only=True)
class ValveRecord:
    """What has been written down for one valve in one round."""

    found: Reading | None = None
    piece: ShimReading | None = None
    choice: Choice | None = None
    proof: Reading | None = None

    @property
    def fitted(self) -> bool:
        """Whether the chosen piece is in."""
        return self.choice is not None and self.choice.fitted

    def made_from(self, clearance: Clearance) -> MadeFrom:
        """Return what a decision for the valve is made from by now."""
        gap = self.found.gap if self.found else None
        ends = (None, None, None) if gap is None else (gap.low_nm, gap.high_nm, gap.called_nm)
        spec = clearance.spec
        ranges = (spec.check, spec.target) if spec else ()
        limits = (nm for range_ in ranges for nm in (range_.low_nm, range_.high_nm))
        return (*ends, self.piece.thickness_nm if self.piece else None, *limits)

    def overtaken(self, clearance: Clearance) -> bool:
        """Return whether what was decided on, and is not in yet, was made from other figures."""
        choice = self.choice
        return (
            choice is not None
            and not choice.fitted
            and choice.made_from is not None
            and choice.made_from != self.made_from(clearance)
        )

    @property
    def chosen_nm(self) -> int | None:
        """The thickness decided on."""
        return None if self.choice is None else self.choice.thickness_nm

    @property
    def changes(self) -> bool:
        """Whether another piece than the one that was in has been chosen.

        One may be as thick: where what was in is scrap, or goes into another valve. A decision
        of an earlier version names the counter where the piece just stayed.
        """
        if self.choice is None or self.piece is None or self.choice.source is Source.SAME:
            return False
        brought = self.choice.source in (Source.ENGINE, Source.DRAWER)
        scrap = self.piece.condition is Condition.SCRAP
        decided = brought or scrap or self.choice.made_from is not None
        return decided or self.choice.thickness_nm != self.piece.thickness_nm


@dataclass(frozen=True, slots=True, kw_only=True)
class ValveStatus:
    """One valve as it stands. Lengths in nanometres.

    `predicted` is the gap to expect once the chosen piece is in. `residual_nm` is the
    proof minus that, or minus the gap as found where the piece stayed. `was_nm` is the gap
    before, worked back from the proof where none could be felt: below zero the valve was held
    open by that much. `as_left` is the newest reading and `left` its verdict; a valve that was
    set is held to the set range, if it was to get there. `overtaken` says that the piece was
    decided on from figures that have changed since; `in_doubt` that it stays shut, reads in range
    and is not sure to be.
    """

    clearance: Clearance
    record: ValveRecord
    verdict: Verdict | None
    near_edge: bool
    need: Need
    reason: str
    opens: bool
    worked: WorkedOut | None
    predicted: Gap | None
    proof_verdict: Verdict | None
    residual_nm: int | None
    was_nm: int | None
    as_left: Reading | None
    left: Verdict | None
    overtaken: bool = False
    in_doubt: bool = False

    @property
    def change(self) -> Window | None:
        """By how much the piece must be thicker, or thinner, for a valve that is opened."""
        found, spec = self.record.found, self.clearance.spec
        if not self.opens or found is None or spec is None or self.record.piece is not None:
            return None
        return change_needed(found.gap, spec.target)

    @property
    def left_unset(self) -> bool:
        """Whether it was set, and is in the check range but not in the set range."""
        check, as_left = self.clearance.check, self.as_left
        if self.left in (None, Verdict.IN) or check is None or as_left is None:
            return False
        return judge(as_left.gap, check) is Verdict.IN

    @property
    def valve(self) -> str:
        """The valve's name."""
        return self.clearance.id

    @property
    def touched(self) -> bool:
        """Whether another piece than the one that was in has been chosen."""
        return self.record.changes


def need_of(
    clearance: Clearance,
    record: ValveRecord,
    which: WhichToSet,
    shafts_out: frozenset[str],
    sizing: SizePolicy,
) -> ValveNeed:
    """Return what the valve asks for by what has been written down."""
    gap = record.found.gap if record.found else None
    condition = record.piece.condition if record.piece else Condition.SOUND
    return valve_need(clearance, gap, condition, which, shafts_out, sizing.sure, sizing.doubt)


def valve_status(
    clearance: Clearance,
    record: ValveRecord,
    sizing: SizePolicy,
    need: ValveNeed,
    *,
    given_away: bool = False,
    overtaken: bool = False,
) -> ValveStatus:
    """Return one valve as it stands; one whose piece is given away stands empty."""
    check = clearance.check
    gap = record.found.gap if record.found else None
    worked = predicted = residual_nm = was_nm = None
    if gap and record.piece:
        piece = record.piece
        shim_nm, old_nm = piece.thickness_nm, piece.half_width_nm
        sizes = clearance.family.sizes()
        if clearance.spec:
            worked = work_out(gap, shim_nm, clearance.spec, sizes, sizing, old_nm)
        if record.choice is not None:
            thinner_by_nm = shim_nm - record.choice.goes_in_nm if record.changes else 0
            if gap.both_ends:
                predicted = gap.shifted(thinner_by_nm)
            elif record.proof and record.proof.gap.both_ends:
                was_nm = record.proof.gap.best_nm - thinner_by_nm
    expected = predicted if record.changes else gap
    if record.proof and expected and record.proof.gap.both_ends and expected.both_ends:
        residual_nm = residual(record.proof.gap, expected)
    wanted = check
    if record.changes and predicted and clearance.spec:
        target = clearance.spec.target
        wanted = target if target.holds(predicted.best_nm) else check
    as_left = record.proof or record.found
    unproved = record.proof is None and (record.changes or given_away)
    verdict = judge(gap, check) if gap and check else None
    return ValveStatus(
        clearance=clearance,
        record=record,
        verdict=verdict,
        near_edge=bool(gap and check and verdict is Verdict.IN and near_tight_edge(gap, check)),
        need=need.need,
        reason=need.reason,
        opens=need.opens,
        worked=worked,
        predicted=predicted,
        proof_verdict=judge(record.proof.gap, wanted) if record.proof and wanted else None,
        residual_nm=residual_nm,
        was_nm=was_nm,
        as_left=None if unproved else as_left,
        left=judge(as_left.gap, wanted) if as_left and wanted and not unproved else None,
        overtaken=overtaken,
        in_doubt=need.in_doubt,
    )
