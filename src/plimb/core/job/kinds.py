"""The kinds of job: one row each with everything that differs from kind to kind."""

from dataclasses import dataclass
from enum import StrEnum
from typing import assert_never

from plimb.core.job.stages import Stage
from plimb.core.plan.needs import WhichToSet


class JobKind(StrEnum):
    """What a card is opened for."""

    SET = "set"
    CHECK = "check"
    BENCH = "bench"
    HEAD_WORK = "head-work"
    HEAD_WORK_BENCH = "head-work-bench"
    ONE = "one-valve"
    EVERY = "set-every"


@dataclass(frozen=True, slots=True, kw_only=True)
class KindOfJob:
    """Everything that differs between kinds of job.

    `stages` are those there are, in their order; `on_bench` that the head is off the machine and
    no crank is turned; `reference` that known pieces go in and are written down before the gaps;
    `sets` which valves are set, where the kind says it and not the shop; `one` that it is about
    one valve and a known amount.
    """

    label: str
    means: str
    stages: tuple[Stage, ...] = tuple(Stage)
    on_bench: bool = False
    reference: bool = False
    sets: WhichToSet | None = None
    one: bool = False

    @property
    def opens(self) -> bool:
        """Whether anything is taken apart."""
        return Stage.READ in self.stages


_FIRST_READ = (Stage.READY, Stage.READ, Stage.TURN, Stage.FEEL, *tuple(Stage)[4:])

SET = KindOfJob(label="check and set", means="In the machine; what is out is put right.")
CHECK = KindOfJob(
    label="check only",
    means="Gaps are measured and judged, nothing is taken apart.",
    stages=(Stage.READY, Stage.TURN, Stage.FEEL, Stage.SIGN),
)
BENCH = KindOfJob(
    label="head on the bench",
    means="The head is off; each camshaft is turned by its gear.",
    on_bench=True,
)
HEAD_WORK = KindOfJob(
    label="after head work, in the machine",
    means="Nothing is known: reference shims go in and are written down, then the gaps.",
    stages=_FIRST_READ,
    reference=True,
)
HEAD_WORK_BENCH = KindOfJob(
    label="after head work, on the bench",
    means="The head is off; reference shims go in and are written down, then the gaps.",
    stages=_FIRST_READ,
    on_bench=True,
    reference=True,
)
ONE = KindOfJob(
    label="one valve by a known amount",
    means="That valve only; the others are left alone.",
    sets=WhichToSet.EVERY,
    one=True,
)
EVERY = KindOfJob(
    label="set everything while it is apart",
    means="Every valve to the aim, also those in range.",
    sets=WhichToSet.EVERY,
)


def kind_of_job(kind: JobKind) -> KindOfJob:
    """Return the row of a kind of job."""
    match kind:
        case JobKind.SET:
            return SET
        case JobKind.CHECK:
            return CHECK
        case JobKind.BENCH:
            return BENCH
        case JobKind.HEAD_WORK:
            return HEAD_WORK
        case JobKind.HEAD_WORK_BENCH:
            return HEAD_WORK_BENCH
        case JobKind.ONE:
            return ONE
        case JobKind.EVERY:
            return EVERY
        case _:
            assert_never(kind)
