"""One valve of a card: what has been written down for it, and what that says."""

from dataclasses import dataclass, replace

from plimb.core.engine.engine import Clearance
from plimb.core.job.proof_verdict import Expected, Judged, judge_proof
from plimb.core.measure.blades import BladeSet, Gauge, known_from, next_blade
from plimb.core.measure.gap import Gap, residual
from plimb.core.measure.limits import Limits, Verdict, judge
from plimb.core.measure.shorthand import Reading
from plimb.core.measure.uncertainty import USUAL_DOUBT, band_widths, gap_ends, thickness_doubt
from plimb.core.plan.needs import Need, ValveNeed, WhichToSet, near_tight_edge, valve_need
from plimb.core.shim.shim import Condition, ShimReading, Source
from plimb.core.shim.sum import SizePolicy, Window, WorkedOut, change_needed, work_out
from plimb.core.words import percent

MadeFrom = tuple[int | None, ...]
"""The gap, the piece and the spec that a decision was made from, in nanometres."""


@dataclass(frozen=True, slots=True, kw_only=True)
class Choice:
    """The piece decided on for a valve, and whether a person decided it against the plan.

    `measured_nm` is what an instrument good to `doubt_nm` said as it went in; `by_marking` that
    nobody ever measured it; `fitted` that it is in; `swapped` that the counter took the valve's
    old piece for it. `made_from` is what it was decided from.
    """

    thickness_nm: int
    source: Source = Source.COUNTER
    from_valve: str | None = None
    by_hand: bool = True
    by_marking: bool = False
    measured_nm: int | None = None
    fitted: bool = False
    swapped: bool = False
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
    set is held to the set range, if it was to get there, and `by_check` is the verdict by the
    other. `proof_sure` is the chance that a proof is in range by all that is known, `proof_next`
    the blade at hand that would tell more. `overtaken` says that the piece was decided on from
    figures that have changed since; `in_doubt` that it stays shut, reads in range and is not sure
    to be.
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
    proof_sure: float | None
    proof_next: Gauge | None
    residual_nm: int | None
    was_nm: int | None
    as_left: Reading | None
    left: Verdict | None
    by_check: Verdict | None
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
        return self.left not in (None, Verdict.IN) and self.by_check is Verdict.IN

    @property
    def proof_sure_words(self) -> str | None:
        """How sure a proof is in range, in per cent, where its blades alone do not settle it."""
        proof, limits = self.record.proof, self.held_to
        if proof is None or limits is None or self.proof_sure is None:
            return None
        straddles = judge(proof.gap, limits) is Verdict.UNSETTLED
        return percent(self.proof_sure) if straddles else None

    @property
    def held_to(self) -> Limits | None:
        """The range that a proof is judged by."""
        return _held_to(self.clearance, self.predicted if self.record.changes else None)

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
    blades: BladeSet | None = None,
) -> ValveNeed:
    """Return what the valve asks for by what has been written down, with the blades at hand."""
    gap = record.found.gap if record.found else None
    condition = record.piece.condition if record.piece else Condition.SOUND
    return valve_need(
        clearance, gap, condition, which, shafts_out, sizing.sure, sizing.doubt,
        tries_left=gap is None or _tries_left(gap, clearance.check, blades),
    )  # fmt: skip


def _tries_left(gap: Gap, limits: Limits | None, blades: BladeSet | None) -> bool:
    """Return whether a blade at hand would tell more; nobody knows it without a feeler set."""
    if blades is None or limits is None or judge(gap, limits) is not Verdict.UNSETTLED:
        return True
    return next_blade(known_from(gap), limits, blades) is not None


def valve_status(
    clearance: Clearance,
    record: ValveRecord,
    sizing: SizePolicy,
    need: ValveNeed,
    *,
    check: Limits | None,
    blades: BladeSet | None = None,
    given_away: bool = False,
    overtaken: bool = False,
) -> ValveStatus:
    """Return one valve as it stands, with the blades at hand; one that gave its piece is empty.

    `check` is the maker's range, by which it is judged as found; how it is left is judged by the
    clearance that is given, which a job may have of its own.
    """
    gap, piece = record.found.gap if record.found else None, record.piece
    worked = predicted = was_nm = None
    if gap and piece:
        sizes, old_nm = clearance.family.sizes(), piece.half_width_nm
        if clearance.spec:
            worked = work_out(gap, piece.thickness_nm, clearance.spec, sizes, sizing, old_nm)
        if record.choice is not None:
            thinner_by_nm = piece.thickness_nm - record.choice.goes_in_nm if record.changes else 0
            if gap.both_ends:
                predicted = gap.shifted(thinner_by_nm)
            elif record.proof and record.proof.gap.both_ends:
                was_nm = record.proof.gap.best_nm - thinner_by_nm
    residual_nm = _residual(record, predicted if record.changes else gap)
    wanted = _held_to(clearance, predicted if record.changes else None)
    as_left = record.proof or record.found
    unproved = record.proof is None and (record.changes or given_away)
    verdict = judge(gap, check) if gap and check else None
    proved = by_check = None
    if record.proof and wanted and (kept := clearance.check):
        proved = _judged(record, wanted, sizing, blades)
        by_check = proved if wanted == kept else _judged(record, kept, sizing, blades)
    by_reading = judge(as_left.gap, wanted) if as_left and wanted else None
    left = None if unproved else proved.verdict if proved else by_reading
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
        proof_verdict=proved.verdict if proved else None,
        proof_sure=proved.chance if proved else None,
        proof_next=proved.next_try if proved else None,
        residual_nm=residual_nm,
        was_nm=was_nm,
        as_left=None if unproved else as_left,
        left=left,
        by_check=None if unproved else by_check.verdict if by_check else verdict,
        overtaken=overtaken,
        in_doubt=need.in_doubt,
    )


def _residual(record: ValveRecord, expected: Gap | None) -> int | None:
    """Return by how much the proof is off what was expected, None where nobody can say."""
    proof = record.proof.gap if record.proof else None
    if proof is None or expected is None or not (proof.both_ends and expected.both_ends):
        return None
    return residual(proof, expected)


def _held_to(clearance: Clearance, predicted: Gap | None) -> Limits | None:
    """Return what a valve is held to: the set range where it was to get there."""
    target = clearance.spec.target if clearance.spec else None
    there = predicted is not None and target is not None and target.holds(predicted.best_nm)
    return target if there else clearance.check


def _judged(
    record: ValveRecord, limits: Limits, sizing: SizePolicy, blades: BladeSet | None
) -> Judged:
    """Return what a proof says of its valve, by all that is known of it."""
    assert record.proof is not None
    proof = record.proof.gap
    return judge_proof(
        proof, limits, _expected(record, sizing), sure=sizing.sure, doubt=sizing.doubt,
        next_try=next_blade(known_from(proof), limits, blades) if blades else None,
        blades_known=blades is not None,
    )  # fmt: skip


def as_proof(
    state: ValveStatus, reading: Reading, sizing: SizePolicy, blades: BladeSet | None
) -> Judged:
    """Return what a reading would say as the proof of a valve that has a spec."""
    assert state.held_to is not None
    return _judged(replace(state.record, proof=reading), state.held_to, sizing, blades)


def _expected(record: ValveRecord, sizing: SizePolicy) -> Expected | None:
    """Return where the gap should lie after the change of piece, if that can be said."""
    gap = record.found.gap if record.found else None
    piece, choice = record.piece, record.choice
    if gap is None or not gap.both_ends:
        return None
    low, high = gap_ends(gap, sizing.doubt, kept=not record.changes)
    if not record.changes or piece is None or choice is None:
        return Expected(middle_nm=(low + high) / 2, widths_nm=(high - low,))
    widths = band_widths(gap, sizing.doubt, old_nm=piece.half_width_nm, new_nm=choice.half_width_nm)
    thinner_by_nm = piece.thickness_nm - choice.goes_in_nm
    return Expected(middle_nm=(low + high) / 2 + thinner_by_nm, widths_nm=widths)
