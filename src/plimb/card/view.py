"""A card as it now stands, as frozen values that the screen, the sheet and the tests read."""

from collections.abc import Mapping
from dataclasses import dataclass
from datetime import datetime
from decimal import Decimal

from plimb.core.engine.checklist import ChecklistItem
from plimb.core.engine.conditions import Conditions
from plimb.core.engine.cycle import Cycle
from plimb.core.engine.engine import Engine
from plimb.core.engine.layout import HeadDrawing
from plimb.core.engine.machine import Machine, Measure
from plimb.core.engine.turning import Method
from plimb.core.job.bolts import Tightening
from plimb.core.job.checks import BillLine, SideChecks
from plimb.core.job.fitting import FitStep
from plimb.core.job.kinds import JobKind, kind_of_job
from plimb.core.job.proof import Explained
from plimb.core.job.sheet import Round
from plimb.core.job.slips import Question
from plimb.core.job.stages import Stage
from plimb.core.job.status import JobStatus
from plimb.core.job.summary import NextCheck
from plimb.core.job.tray import Part
from plimb.core.job.valve import ValveStatus
from plimb.core.lengths import Unit
from plimb.core.measure.blades import BladeSet, Gauge
from plimb.core.measure.gap import Gap
from plimb.core.plan.needs import WhichToSet
from plimb.core.shim.shim import Trust
from plimb.core.shim.sum import Aim, Rounding
from plimb.core.shim.worksheet import Worksheet


@dataclass(frozen=True, slots=True, kw_only=True)
class TickLine:
    """One line of a list, and whether it was seen to."""

    item: ChecklistItem
    done: bool


@dataclass(frozen=True, slots=True, kw_only=True)
class NumberedSet:
    """A feeler set of the shop."""

    id: int
    blades: BladeSet


@dataclass(frozen=True, slots=True, kw_only=True)
class Amendment:
    """A dated line written after the card was signed."""

    written_at: datetime
    written_by: str
    text: str


@dataclass(frozen=True, slots=True, kw_only=True)
class ValveView:
    """One valve with what is asked about it, what was read before, and which blade comes next.

    `last` is what the check before left; `kept_nm` the piece that the record says is in, while
    nobody has read it on this card; `opened_too` that somebody wants it opened with the others;
    `past` that its gap as found can be felt no more.
    """

    status: ValveStatus
    worked: Worksheet | None
    questions: tuple[Question, ...]
    proof_questions: tuple[Question, ...]
    repeats: tuple[Gap, ...]
    next_blade: Gauge | None
    stop: int
    within_doubt: bool | None
    last: Gap | None = None
    kept_nm: int | None = None
    opened_too: bool = False
    past: bool = False

    @property
    def spread_nm(self) -> int | None:
        """How far apart repeated readings of the gap lie."""
        best = [gap.best_nm for gap in self.repeats]
        return max(best) - min(best) if len(best) > 1 else None


@dataclass(frozen=True, slots=True, kw_only=True)
class LastAct:
    """The last act on a card that can be taken back: the version it made, and what it was.

    `key` is its sender's own name for it; `valve` the one that it was about, None where it was
    about more.
    """

    version: int
    key: str
    what: str
    valve: str | None


@dataclass(frozen=True, slots=True, kw_only=True)
class CardView:
    """A card as it now stands."""

    id: int
    version: int
    label: str
    engine: Engine
    engine_id: int
    unit: Unit
    shim_unit: Unit
    engine_changes: tuple[str, ...]
    source: str | None
    opened_at: datetime
    opened_by: str
    reason: str
    distance_km: int | None
    distance_mi: int | None
    hours: Decimal | None
    kind: JobKind
    only_valve: str | None
    change_nm: int | None
    near_enough_nm: int | None
    machine: Machine
    tools: tuple[str, ...]
    symptoms: str
    checks: SideChecks
    checks_before: SideChecks | None
    notes: Mapping[Stage, str]
    bill: tuple[BillLine, ...]
    apart: bool
    shafts_aside: tuple[str, ...]
    put_away_at: datetime | None
    origin: str
    conditions: Conditions
    method: Method
    turning: Cycle
    safety: tuple[TickLine, ...]
    tray: tuple[Part, ...]
    blade_set: NumberedSet | None
    aim: Aim
    rounding: Rounding
    act: WhichToSet
    trust: Trust
    reuse: bool
    variant: str
    forbidden: tuple[tuple[str, int], ...]
    instrument_id: int | None
    instrument: str | None
    zero_nm: int | None
    reach: tuple[TickLine, ...]
    signed_at: datetime | None
    signed_by: str | None
    remarks: str | None
    next_check: NextCheck
    rounds: tuple[Round, ...]
    fit: tuple[FitStep, ...]
    closing: tuple[TickLine, ...]
    cover: tuple[TickLine, ...]
    hand_turns_wanted: int
    bolts: tuple[Tightening, ...]
    explained: Explained | None
    next_tasks: tuple[str, ...]
    amendments: tuple[Amendment, ...]
    drawing: HeadDrawing
    status: JobStatus
    valves: tuple[ValveView, ...]
    last_act: LastAct | None = None

    @property
    def reference_first(self) -> bool:
        """Whether known pieces are written down before the gaps are felt."""
        return kind_of_job(self.kind).reference

    @property
    def measure(self) -> Measure:
        """The unit of the card's distance: as written, else as the machine's counter counts."""
        return self.machine.measure_of(self.distance_km, self.distance_mi)

    @property
    def distance(self) -> int | None:
        """The distance run, in its measure."""
        return self.distance_km if self.distance_mi is None else self.distance_mi

    @property
    def lists(self) -> tuple[TickLine, ...]:
        """Every line that is ticked, in the order of work."""
        return (*self.safety, *self.reach, *self.closing, *self.cover)

    @property
    def not_done(self) -> tuple[str, ...]:
        """What was not done, in the order of work: it stands on the sheet that is signed."""
        said = []
        for name, lines in (("Before opening", self.safety), ("Dismantling", self.reach),
                            ("Closing up", (*self.closing, *self.cover))):  # fmt: skip
            left = sum(not line.done for line in lines)
            if left:
                said.append(f"{name}: {left} of {len(lines)} steps not ticked")
        touched = self.status.touched
        unproved = [valve for valve, state in touched.items() if state.record.proof is None]
        if unproved:
            said.append(f"{', '.join(unproved)} not re-measured")
        if touched and self.hand_turns < self.hand_turns_wanted:
            said.append(f"turned by hand {self.hand_turns} of {self.hand_turns_wanted} times")
        said += [
            f"{group.name}: {group.turned} of {group.turns} turns"
            for group in self.bolts
            if not group.done
        ]
        return tuple(said)

    @property
    def round(self) -> int:
        """The number of the round it is in."""
        return self.rounds[-1].number

    @property
    def hand_turns(self) -> int:
        """How many turns were made by hand in this round."""
        return self.rounds[-1].hand_turns

    @property
    def at(self) -> Stage:
        """The stage to work at."""
        return self.status.at

    @property
    def blades(self) -> BladeSet | None:
        """The feeler set in use."""
        return self.blade_set.blades if self.blade_set else None
