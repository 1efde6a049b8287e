"""The whole card at a glance: what each valve says, what it needs, what is still to do."""

from collections.abc import Mapping
from dataclasses import dataclass, field

from plimb.core.engine.engine import Engine, measuring_order
from plimb.core.job.stages import NOTED_FIRST, Job, Stage, Todo, todo_list
from plimb.core.job.valve import ValveRecord, ValveStatus, need_of, valve_status
from plimb.core.measure.limits import Verdict
from plimb.core.plan.needs import WhichToSet, needs_setting
from plimb.core.shim.shim import Condition, Source
from plimb.core.shim.sum import School


@dataclass(frozen=True, slots=True, kw_only=True)
class ReadyState:
    """What the safety list asks for, what of it is not seen to, and whether anything was noted."""

    safety: tuple[str, ...] = ()
    unseen: tuple[str, ...] = ()
    noted: bool = True


@dataclass(frozen=True, slots=True, kw_only=True)
class JobStatus:
    """The card as it stands."""

    order: tuple[str, ...]
    valves: Mapping[str, ValveStatus]
    todo: tuple[Todo, ...]
    at: Stage
    not_in_spec: tuple[str, ...]
    ready: ReadyState = field(default_factory=ReadyState)

    @property
    def opened(self) -> tuple[str, ...]:
        """The valves that are opened, in measuring order."""
        return tuple(valve for valve in self.order if self.valves[valve].opens)

    @property
    def touched(self) -> dict[str, ValveStatus]:
        """The valves for which another piece was chosen."""
        return {valve: one for valve, one in self.valves.items() if one.touched}


def job_status(
    engine: Engine,
    records: Mapping[str, ValveRecord],
    school: School,
    which: WhichToSet,
    order: tuple[str, ...] | None = None,
    ready: ReadyState | None = None,
) -> JobStatus:
    """Return what every valve says and what each stage still waits for.

    `order` is the order of measuring; without one, cylinders come as they fire. Without a
    `ready` state the card has left Ready.
    """
    order = order or measuring_order(engine)
    ready = ready or ReadyState()
    written = {valve: records.get(valve, ValveRecord()) for valve in order}
    shafts_out = frozenset(
        engine.shafts_over(
            valve
            for valve, record in written.items()
            if needs_setting(
                engine.clearance(valve),
                record.found.gap if record.found else None,
                record.piece.condition if record.piece else Condition.SOUND,
                which,
            )
        )
    )
    given = {
        record.choice.from_valve
        for record in written.values()
        if record.choice and record.choice.source is Source.ENGINE
    }
    valves = {
        valve: valve_status(
            engine.clearance(valve),
            record,
            school,
            need_of(engine.clearance(valve), record, which, shafts_out),
            given_away=valve in given,
        )
        for valve, record in written.items()
    }
    todo = todo_list(Job(valves=valves, safety=ready.safety, unseen=ready.unseen))
    return JobStatus(
        order=order,
        valves=valves,
        todo=todo,
        at=_at(todo, valves, ready),
        not_in_spec=tuple(valve for valve in order if valves[valve].left is not Verdict.IN),
        ready=ready,
    )


def _at(todo: tuple[Todo, ...], valves: Mapping[str, ValveStatus], ready: ReadyState) -> Stage:
    """Return the first stage that waits; Ready until anything is noted or measured.

    A proof that is out keeps the card at Prove.
    """
    if not ready.noted and not any(one.record.found for one in valves.values()):
        return Stage.READY
    waits = next(
        (
            item.stage
            for item in todo
            if item.stage not in NOTED_FIRST and item.applies and item.waiting
        ),
        Stage.SIGN,
    )
    out = any(state.proof_verdict not in (None, Verdict.IN) for state in valves.values())
    return Stage.PROVE if waits is Stage.SIGN and out else waits
