"""The whole card at a glance: what each valve says, what it needs, what is still to do."""

from collections.abc import Collection, Mapping
from dataclasses import dataclass, field, replace

from plimb.core.engine.engine import Clearance, Engine, measuring_order
from plimb.core.job.kinds import SET, KindOfJob
from plimb.core.job.stages import NOTED_FIRST, Stage, StageFacts, Todo, given_away, todo_list
from plimb.core.job.valve import ValveRecord, ValveStatus, need_of, valve_status
from plimb.core.measure.blades import BladeSet
from plimb.core.measure.limits import Limits, Spec, Verdict, judge
from plimb.core.plan.needs import Need, ValveNeed, WhichToSet, needs_setting, opened_too
from plimb.core.shim.shim import Condition, Source
from plimb.core.shim.sum import SizePolicy
from plimb.core.words import MILLIMETRES, Units, figure


@dataclass(frozen=True, slots=True, kw_only=True)
class JobContext:
    """What a card says besides its valves.

    The safety list, what of it is not seen to, and whether anything was noted; what closes the
    engine in the end; the kind of job, and the valve it is about if it is about one, with the gap
    that it is to have, once that is known, and how near is near enough where no spec is entered
    for it; the valves that somebody wants to open too; the camshafts that are
    out for another job; whether it is a later round, that begins with proofs; those that the round
    before proved in range, and those that it found out of it; the blades at hand, if that is known;
    the units it is written in.
    """

    safety: tuple[str, ...] = ()
    unseen: tuple[str, ...] = ()
    noted: bool = True
    closing: tuple[str, ...] = ()
    unclosed: tuple[str, ...] = ()
    kind: KindOfJob = SET
    only: str | None = None
    wanted_nm: int | None = None
    near_enough_nm: int | None = None
    opened_too: frozenset[str] = frozenset()
    aside: frozenset[str] = frozenset()
    later: bool = False
    proved: frozenset[str] = frozenset()
    failed: frozenset[str] = frozenset()
    blades: BladeSet | None = None
    units: Units = MILLIMETRES


@dataclass(frozen=True, slots=True, kw_only=True)
class JobStatus:
    """The card as it stands; `past` are the valves whose gap as found can be felt no more."""

    order: tuple[str, ...]
    valves: Mapping[str, ValveStatus]
    todo: tuple[Todo, ...]
    at: Stage
    not_in_spec: tuple[str, ...]
    past: frozenset[str] = frozenset()
    around: JobContext = field(default_factory=JobContext)

    @property
    def opened(self) -> tuple[str, ...]:
        """The valves that are opened, in measuring order."""
        return tuple(valve for valve in self.order if self.valves[valve].opens)

    @property
    def shut(self) -> frozenset[str]:
        """The valves that stay shut because the round before proved them in range."""
        return frozenset(
            valve
            for valve, state in self.valves.items()
            if stays_shut(state.record, self.around, state.clearance)
        )

    @property
    def left_in_doubt(self) -> frozenset[str]:
        """The valves that are in range, not sure to be, and left alone all the same.

        One that is close to its limit is opened by a person, or where its camshaft is out anyway.
        """
        return frozenset(
            valve for valve, state in self.valves.items() if state.in_doubt and not state.opens
        )

    @property
    def touched(self) -> dict[str, ValveStatus]:
        """The valves for which another piece was chosen."""
        return {valve: state for valve, state in self.valves.items() if state.touched}


def job_status(
    engine: Engine,
    records: Mapping[str, ValveRecord],
    sizing: SizePolicy,
    which: WhichToSet,
    order: tuple[str, ...] | None = None,
    around: JobContext | None = None,
) -> JobStatus:
    """Return what every valve says and what each stage still waits for.

    `order` is the order of measuring; without one, cylinders come as they fire. With nothing
    `around` it the card has left Ready and checks and sets.
    """
    order = order or measuring_order(engine)
    around = around or JobContext()
    kind = around.kind
    which = kind.sets or which
    sizing = replace(sizing, first=sizing.sure if which.aim_first else None)
    written = {valve: records.get(valve, ValveRecord()) for valve in order}
    clearances = {valve: judged_by(engine.clearance(valve), around) for valve in order}
    shafts_out = _shafts_out(engine, clearances, written, which, around)
    given = given_away(written.values())
    valves = {
        valve: valve_status(
            clearances[valve],
            record,
            by_amount(clearances[valve], around, sizing),
            _need(clearances[valve], record, which, shafts_out, around, sizing),
            check=engine.clearance(valve).check,
            blades=around.blades,
            given_away=valve in given,
            overtaken=_overtaken(clearances[valve], record, written),
        )
        for valve, record in written.items()
    }
    job = StageFacts(
        valves=valves,
        safety=around.safety,
        unseen=around.unseen,
        closing=around.closing,
        unclosed=around.unclosed,
        reference=kind.reference,
        only=around.only,
        aside=around.aside,
    )
    todo = todo_list(job, kind.stages)
    past = past_valves(engine, written, kind, around.aside, later=around.later)
    return JobStatus(
        order=order,
        valves=valves,
        todo=todo,
        at=_at(todo, valves, around, past),
        past=past,
        not_in_spec=tuple(
            valve
            for valve in order
            if around.only in (None, valve) and valves[valve].left is not Verdict.IN
        ),
        around=around,
    )


def _overtaken(
    clearance: Clearance, record: ValveRecord, written: Mapping[str, ValveRecord]
) -> bool:
    """Return whether a decision was made from figures, or for a piece, that have changed."""
    choice = record.choice
    if choice is None or choice.fitted:
        return False
    if choice.source is Source.ENGINE and choice.from_valve and choice.made_from is not None:
        piece = written.get(choice.from_valve, ValveRecord()).piece
        scrap = piece is None or piece.condition is not Condition.SOUND
        if piece is None or scrap or piece.thickness_nm != choice.thickness_nm:
            return True
    return record.overtaken(clearance)


def judged_by(clearance: Clearance, around: JobContext) -> Clearance:
    """Return a valve with what it is judged by: where no spec is entered, the gap that is wanted.

    Then it is in range as near to that as somebody said is near enough.
    """
    wanted_nm, near_nm = around.wanted_nm, around.near_enough_nm
    if clearance.spec or around.only != clearance.id or wanted_nm is None or near_nm is None:
        return clearance
    check = Limits(low_nm=max(0, wanted_nm - near_nm), high_nm=wanted_nm + near_nm)
    return replace(clearance, spec=Spec(check=check, aim_nm=wanted_nm, plus_minus_nm=near_nm))


def by_amount(clearance: Clearance, around: JobContext, sizing: SizePolicy) -> SizePolicy:
    """Return the policy of a valve: the one that a job is about aims at the gap that is wanted.

    Never out of range.
    """
    wanted, check = around.wanted_nm, clearance.check
    if around.only != clearance.id or wanted is None or check is None:
        return sizing
    return replace(sizing, aim=min(max(wanted, check.low_nm), check.high_nm), first=ANY)


def _shafts_out(
    engine: Engine,
    clearances: Mapping[str, Clearance],
    written: Mapping[str, ValveRecord],
    which: WhichToSet,
    around: JobContext,
) -> frozenset[str]:
    """Return the camshafts that come out for the sake of valves that ask for it themselves."""

    def asks(valve: str, record: ValveRecord) -> bool:
        if valve in around.opened_too or valve in around.failed:
            return True
        if stays_shut(record, around, clearances[valve]):
            return False
        gap = record.found.gap if record.found else None
        condition = record.piece.condition if record.piece else Condition.SOUND
        return needs_setting(clearances[valve], gap, condition, which)

    return frozenset(
        engine.shafts_over(
            valve
            for valve, record in written.items()
            if around.only in (None, valve) and asks(valve, record)
        )
    )


ANY = 0.0
"""Where the amount is given, no chance is asked for: it is what somebody wants."""

LEFT_ALONE = ValveNeed(need=Need.LEAVE, reason="left alone by this job", opens=False)
FAILED = ValveNeed(need=Need.OPEN, reason="out of range, as the round before proved", opens=True)
PROVED = ValveNeed(need=Need.LEAVE, reason="in range, as the round before proved", opens=False)


def stays_shut(record: ValveRecord, around: JobContext, clearance: Clearance) -> bool:
    """Return whether a valve stays shut: proved in range before, and nobody wants it opened."""
    valve = clearance.id
    if valve not in around.proved or valve in around.opened_too or clearance.check is None:
        return False
    return record.found is not None and judge(record.found.gap, clearance.check) is Verdict.IN


def _need(
    clearance: Clearance,
    record: ValveRecord,
    which: WhichToSet,
    shafts_out: frozenset[str],
    around: JobContext,
    sizing: SizePolicy,
) -> ValveNeed:
    """Return what a valve asks for; one that the job is not about is left alone."""
    if around.only not in (None, clearance.id):
        return LEFT_ALONE
    if stays_shut(record, around, clearance):
        return PROVED
    need = need_of(clearance, record, which, shafts_out, sizing, around.blades)
    if need.need is Need.OPEN and around.wanted_nm is not None:
        wanted = figure(around.wanted_nm, around.units.gap)
        need = replace(need, reason=f"its gap is to become {wanted}")
    if clearance.id in around.failed and not need.opens:
        need = FAILED
    if clearance.id in around.opened_too:
        need = opened_too(need)
    return need if around.kind.opens else replace(need, opens=False)


def _at(
    todo: tuple[Todo, ...],
    valves: Mapping[str, ValveStatus],
    around: JobContext,
    past: frozenset[str],
) -> Stage:
    """Return the first stage that waits; Ready until anything is noted or measured.

    Of a valve that was opened nothing leads back to Feel: what was found then changes only as a
    correction. A proof that is out keeps the card at Prove.
    """
    if not around.noted and not any(state.record.found for state in valves.values()):
        return Stage.READY
    waiting = {
        item.stage: item.waiting for item in todo if item.stage not in NOTED_FIRST and item.applies
    }
    if past:
        waiting[Stage.FEEL] = tuple(one for one in waiting.get(Stage.FEEL, ()) if one not in past)
    waits = [stage for stage, valves_ in waiting.items() if valves_ and stage is not Stage.SIGN]
    # what is open is done first; then the next valves are felt
    waits.sort(key=lambda stage: stage is Stage.FEEL and bool(past))
    at = waits[0] if waits else Stage.SIGN
    out = any(state.proof_verdict not in (None, Verdict.IN) for state in valves.values())
    return Stage.PROVE if at is Stage.SIGN and out else at


def past_valves(
    engine: Engine,
    records: Mapping[str, ValveRecord],
    kind: KindOfJob,
    aside: Collection[str] = (),
    *,
    later: bool = False,
) -> frozenset[str]:
    """Return the valves whose gap as found is past: theirs, or their camshaft, was lifted.

    A valve that is opened by itself, by a finger or from the top, ends it for itself alone.
    Reference pieces are written down before the gaps are felt; there a decision says it. A
    camshaft that is out for another job ends it for all its valves, a later round for every one.
    """
    if later:
        return frozenset(engine.by_id)

    def lifted(record: ValveRecord) -> bool:
        return (record.choice if kind.reference else record.piece) is not None

    opened = [engine.clearance(valve) for valve, record in records.items() if lifted(record)]
    shafts = {one.camshaft for one in opened if one.camshaft_out}.union(aside)
    own = {one.id for one in opened}
    return frozenset(one.id for one in engine.clearances if one.id in own or one.camshaft in shafts)
