"""The stages of a card, in the order of work: one row each with what it asks for."""

from collections.abc import Callable, Iterable, Mapping, Sequence
from dataclasses import dataclass
from enum import StrEnum
from typing import assert_never

from plimb.core.job.valve import ValveRecord, ValveStatus
from plimb.core.plan.needs import Need
from plimb.core.shim.shim import Source


class Stage(StrEnum):
    """The stages of a card, in the order of work."""

    READY = "ready"
    TURN = "turn"
    FEEL = "feel"
    READ = "read"
    CHOOSE = "choose"
    FIT = "fit"
    PROVE = "prove"
    SIGN = "sign"


STAGE_NAMES = {stage: stage.value.capitalize() for stage in Stage}


@dataclass(frozen=True, slots=True, kw_only=True)
class StageFacts:
    """What the stages look at: every valve in measuring order, and the lists.

    `closing` is asked for only where nothing is taken apart, `reference` where known pieces go
    in and are written down before the gaps are measured. With an `only` valve the job is about
    that one; `aside` are the camshafts that are out for another job.
    """

    valves: Mapping[str, ValveStatus]
    safety: tuple[str, ...] = ()
    unseen: tuple[str, ...] = ()
    closing: tuple[str, ...] = ()
    unclosed: tuple[str, ...] = ()
    reference: bool = False
    only: str | None = None
    aside: frozenset[str] = frozenset()

    def those(self, wanted: Callable[[ValveStatus], bool]) -> tuple[str, ...]:
        """Return the valves of which that is so, in measuring order."""
        return tuple(valve for valve, state in self.valves.items() if wanted(state))


def given_away(records: Iterable[ValveRecord]) -> frozenset[str]:
    """Return the valves whose piece is to go into another."""
    choices = (record.choice for record in records)
    return frozenset(
        choice.from_valve
        for choice in choices
        if choice and choice.source is Source.ENGINE and choice.from_valve
    )


_Lists = Callable[[StageFacts], tuple[str, ...]]


def _nothing(_job: StageFacts) -> tuple[str, ...]:
    return ()


def _every(job: StageFacts) -> tuple[str, ...]:
    return tuple(job.valves)


@dataclass(frozen=True, slots=True, kw_only=True)
class StageKind:
    """What a stage asks for in all, what of it still waits, and for whose sake it is there.

    A stage that is there for nobody does not apply and is passed by.
    """

    asks: _Lists = _nothing
    waits: _Lists = _nothing
    there_for: _Lists = _every


def _opened(job: StageFacts) -> tuple[str, ...]:
    return job.those(lambda one: one.opens)


def _touched(job: StageFacts) -> tuple[str, ...]:
    return job.those(lambda one: one.touched)


def _aside(job: StageFacts) -> tuple[str, ...]:
    return job.those(lambda one: one.clearance.camshaft in job.aside)


def _unread(job: StageFacts) -> tuple[str, ...]:
    """Give the valves whose shim is to be read, or marking and micrometer to be told apart."""

    def waits(one: ValveStatus) -> bool:
        piece = one.record.piece
        if piece is None:
            return job.reference or one.opens
        return piece.disagrees and not piece.answered

    return job.those(waits)


def _undecided(job: StageFacts) -> tuple[str, ...]:
    """Give the valves whose piece is still to be decided; one given away leaves its valve empty."""
    given = given_away(state.record for state in job.valves.values())
    return job.those(
        lambda one: (
            (one.valve in given and not one.touched)
            or (one.opens and one.record.choice is None)
            or one.overtaken
        )
    )


def _unfitted(job: StageFacts) -> tuple[str, ...]:
    """Give the valves whose piece is still to go in; one that was proved is in."""
    return job.those(lambda one: one.touched and not one.record.fitted and one.record.proof is None)


READY = StageKind(asks=lambda job: job.safety, waits=lambda job: job.unseen)
TURN = StageKind()
FEEL = StageKind(
    asks=lambda job: _every(job) if job.only is None else (job.only,),
    waits=lambda job: job.those(lambda one: one.need in (Need.MEASURE, Need.FINER, Need.SPEC)),
)
READ = StageKind(
    asks=lambda job: job.those(lambda one: job.reference or one.opens or one.valve in _unread(job)),
    waits=_unread,
    there_for=lambda job: _every(job) if job.reference else _opened(job),
)
CHOOSE = StageKind(
    asks=lambda job: job.those(lambda one: one.opens or one.valve in _undecided(job)),
    waits=_undecided,
    there_for=_opened,
)
FIT = StageKind(
    asks=_touched,
    waits=_unfitted,
    there_for=lambda job: _touched(job) or _aside(job),
)
PROVE = StageKind(
    asks=_touched,
    waits=lambda job: job.those(lambda one: one.touched and one.record.proof is None),
    there_for=lambda job: _touched(job) or _opened(job) or _aside(job),
)
SIGN = StageKind(asks=lambda job: job.closing, waits=lambda job: job.unclosed)


def kind_of(stage: Stage) -> StageKind:
    """Return the row of a stage."""
    match stage:
        case Stage.READY:
            return READY
        case Stage.TURN:
            return TURN
        case Stage.FEEL:
            return FEEL
        case Stage.READ:
            return READ
        case Stage.CHOOSE:
            return CHOOSE
        case Stage.FIT:
            return FIT
        case Stage.PROVE:
            return PROVE
        case Stage.SIGN:
            return SIGN
        case _:
            assert_never(stage)


@dataclass(frozen=True, slots=True, kw_only=True)
class Todo:
    """What one stage asks for and still waits for: valves in measuring order, or list lines."""

    stage: Stage
    applies: bool
    asks: tuple[str, ...]
    waiting: tuple[str, ...]


def todo_list(job: StageFacts, stages: Sequence[Stage] = tuple(Stage)) -> tuple[Todo, ...]:
    """Return each stage's list; a check with everything in range goes from Feel to Sign."""
    return tuple(
        Todo(
            stage=stage,
            applies=bool(kind.there_for(job)),
            asks=kind.asks(job),
            waiting=kind.waits(job),
        )
        for stage in stages
        for kind in (kind_of(stage),)
    )


NOTED_FIRST = (Stage.READY, Stage.TURN)
"""Stages that nothing holds up: a card stands at the first of the others that waits."""
