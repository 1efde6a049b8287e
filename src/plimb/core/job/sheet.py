"""The sheet of a card: everything another shop needs to trust the job, as plain values.

Screen and PDF are drawn from these rows and say the same.
"""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from datetime import datetime

from plimb.core.engine.engine import Clearance, Engine, Side
from plimb.core.engine.followers import Role
from plimb.core.engine.layout import HeadDrawing
from plimb.core.engine.machine import Measure
from plimb.core.job.bolts import Tightening
from plimb.core.job.causes import Cause
from plimb.core.job.proof import Explained, explain
from plimb.core.job.residuals import Proved
from plimb.core.job.status import JobStatus
from plimb.core.job.valve import ValveStatus
from plimb.core.lengths import Unit
from plimb.core.measure.gap import Gap
from plimb.core.measure.limits import Limits, Spec, Verdict
from plimb.core.words import VERDICT_WORDS, percent

CAUTION = (
    "The manufacturer's manual and the law of the place come before anything on this sheet. "
    "The spec is for a cold engine."
)


@dataclass(frozen=True, slots=True, kw_only=True)
class Round:
    """One pass of measuring, setting and proving, as it was left."""

    number: int
    opened_at: datetime | None
    reason: str
    hand_turns: int
    status: JobStatus
    proved: tuple[Proved, ...]


@dataclass(frozen=True, slots=True, kw_only=True)
class Fact:
    """A name and what stands beside it."""

    name: str
    says: str


@dataclass(frozen=True, slots=True, kw_only=True)
class SheetSpec:
    """The maker's ranges of all valves that share them."""

    name: str
    spec: Spec | None

    def words(self, unit: Unit = Unit.MM) -> str:
        """Return the ranges in words as they were printed, with their unit."""
        if self.spec is None:
            return "not entered"
        return f"{self.spec.words(unit)} {unit.of_gaps}"

    @property
    def mm(self) -> str:
        """The ranges in millimetres."""
        return self.words(Unit.MM)

    @property
    def thou(self) -> str:
        """The ranges in thou."""
        return self.words(Unit.INCH)


@dataclass(frozen=True, slots=True, kw_only=True)
class SheetRow:
    """One valve's line. Lengths in nanometres, None where there is nothing to say.

    `kept` says that the piece that was read stayed in, `by_marking` that the one that came out is
    known by its marking alone; `beyond` that the residual is more than the instruments' doubt.
    """

    valve: str
    spec: Limits | None
    found: Gap | None
    found_verdict: Verdict | None
    piece_out_nm: int | None
    marked: str | None
    piece_in_nm: int | None
    kept: bool
    by_marking: bool
    predicted: Gap | None
    left: Gap | None
    residual_nm: int | None
    beyond: bool
    verdict: Verdict | None

    @property
    def word(self) -> str:
        """How the valve is left, in a word or two."""
        return "not measured" if self.found is None else VERDICT_WORDS[self.verdict]


@dataclass(frozen=True, slots=True, kw_only=True)
class SheetRound:
    """One round's lines, and why it was gone round."""

    number: int
    reason: str
    rows: tuple[SheetRow, ...]


@dataclass(frozen=True, slots=True, kw_only=True)
class NextProposed:
    """When the next check is due by wear and interval: for whoever signs to take, or not."""

    at: int | None
    measure: Measure
    words: str


@dataclass(frozen=True, slots=True, kw_only=True)
class Sheet:
    """The whole sheet: what came of the job first.

    `facts` are names and what stands beside them, in order: how it was measured. `lines` are
    what was used and noted, in the same way; `ticked` and `unticked` the lines of the lists.

    `proposed` is when the next check is due, while the card is not signed.

    `unit` is the engine's own for gaps, `shim_unit` for shims; the printed sheet shows them so.
    """

    shop: str
    label: str
    engine: str
    card: int
    opened_at: datetime
    unit: Unit
    shim_unit: Unit
    result: tuple[str, ...]
    facts: tuple[Fact, ...]
    specs: tuple[SheetSpec, ...]
    drawing: HeadDrawing
    rows: tuple[SheetRow, ...]
    rounds: tuple[SheetRound, ...]
    lines: tuple[Fact, ...]
    ticked: tuple[str, ...]
    unticked: tuple[str, ...]
    remarks: str
    next_check: str
    proposed: NextProposed | None
    signed_by: str | None
    signed_at: datetime | None
    amendments: tuple[str, ...]
    fingerprint: str | None
    key: str | None = None


def sheet_rows(rounds: Sequence[Round]) -> tuple[SheetRow, ...]:
    """Return each valve's line over all rounds, by cylinder: as found, as last set, as left."""
    first, last = rounds[0].status, rounds[-1].status
    return tuple(_over_all(valve, rounds, first, last) for valve in _by_cylinder(last))


def _by_cylinder(status: JobStatus) -> list[str]:
    """Return the valves as they are looked up on paper: by cylinder, intake first."""
    sides = list(Side)

    def place(valve: str) -> tuple[int, int]:
        clearance = status.valves[valve].clearance
        return clearance.cylinder, sides.index(clearance.side)

    return sorted(status.order, key=place)


def _over_all(valve: str, rounds: Sequence[Round], first: JobStatus, last: JobStatus) -> SheetRow:
    set_in = [round_ for round_ in rounds if round_.status.valves[valve].touched]
    begun, ended = first.valves[valve], last.valves[valve]
    newest = set_in[-1] if set_in else None
    return _row(begun, newest.status.valves[valve] if newest else None, ended, newest)


def round_rows(one: Round) -> tuple[SheetRow, ...]:
    """Return the lines of one round: the valves that were set or proved in it."""
    states = (one.status.valves[valve] for valve in _by_cylinder(one.status))
    return tuple(
        _row(state, state if state.touched else None, state, one)
        for state in states
        if state.touched or state.record.proof is not None
    )


def _row(
    begun: ValveStatus, set_: ValveStatus | None, ended: ValveStatus, at: Round | None
) -> SheetRow:
    found, out = begun.record.found, begun.record.piece
    choice = set_.record.choice if set_ else None
    beyond = explain(at.proved).beyond if at and set_ else ()
    return SheetRow(
        valve=begun.valve,
        spec=begun.clearance.check,
        found=found.gap if found else None,
        found_verdict=begun.verdict,
        piece_out_nm=out.thickness_nm if out else None,
        marked=out.marked if out else None,
        piece_in_nm=choice.goes_in_nm if choice else None,
        kept=choice is None and out is not None,
        by_marking=out is not None and out.measured_nm is None,
        predicted=set_.predicted if set_ else None,
        left=ended.as_left.gap if ended.as_left else None,
        residual_nm=set_.residual_nm if set_ else None,
        beyond=begun.valve in beyond,
        verdict=ended.left,
    )


MOST_NAMED = 5
"""So many valves are named in one sentence."""


def result_of(rows: Sequence[SheetRow]) -> tuple[str, ...]:
    """Return what came of the job: how the valves were found, what was changed, how they are left.

    Each sentence is counted from the rows; of valves that nobody measured nothing more is said.
    """
    measured = [row for row in rows if row.found is not None]
    if not measured:
        return ("No valve is measured.",)
    changed = [row.valve for row in rows if row.piece_in_nm is not None]
    missing = len(rows) - len(measured)
    rest = f"; {missing} not measured" if missing else ""
    many = "1 valve" if len(measured) == 1 else f"{len(measured)} valves"
    if not changed:
        found = _standing({row.valve: _word(row, row.found_verdict) for row in measured})
        return (f"{many} measured: {found}{rest}.",)
    found = _as_found([row.found_verdict for row in measured])
    shims = "1 shim" if len(changed) == 1 else f"{len(changed)} shims"
    left = _standing({row.valve: _word(row, row.verdict) for row in measured})
    return (
        f"{many} measured: {found}{rest}.",
        f"{shims} changed: {', '.join(changed)}.",
        f"Gap after: {left}.",
    )


def _as_found(verdicts: Sequence[Verdict | None]) -> str:
    """Return how many valves were out as found, and how many nobody can judge as found."""
    bare = sum(verdict is None for verdict in verdicts)
    out = sum(verdict not in (None, Verdict.IN) for verdict in verdicts)
    said = [f"{out} not in range before"] if out else []
    said += [f"{bare} without a range"] if bare else []
    return "; ".join(said) or "all in range before"


def _word(row: SheetRow, verdict: Verdict | None) -> str:
    if row.spec is None:
        return "without a range"
    return VERDICT_WORDS[verdict]


def _standing(words: Mapping[str, str]) -> str:
    """Return how valves stand, those that are not in range by name."""
    if set(words.values()) == {"in range"}:
        return "in range" if len(words) == 1 else f"all {len(words)} in range"
    others: dict[str, list[str]] = {}
    for valve, word in words.items():
        if word != "in range":
            others.setdefault(word, []).append(valve)
    inside = sum(word == "in range" for word in words.values())
    said = [f"{inside} in range"] if inside else []
    said += [f"{_named(valves)} {word}" for word, valves in others.items()]
    return "; ".join(said)


def _named(valves: Sequence[str]) -> str:
    """Return valves by name, or how many they are where the names would run on."""
    if len(valves) > MOST_NAMED:
        return str(len(valves))
    *first, last = valves
    return f"{', '.join(first)} and {last}" if first else last


def sheet_specs(engine: Engine, status: JobStatus) -> tuple[SheetSpec, ...]:
    """Return the engine's ranges, each once with the valves that have it, and a job's own."""
    shared: dict[Spec | None, list[Clearance]] = {}
    for clearance in engine.clearances:
        shared.setdefault(clearance.spec, []).append(clearance)
    own = [
        SheetSpec(name=f"{valve}, for this job", spec=state.clearance.spec)
        for valve, state in status.valves.items()
        if state.clearance.spec != engine.clearance(valve).spec
    ]
    makers = (
        SheetSpec(name=_name_of(engine, valves), spec=spec) for spec, valves in shared.items()
    )
    return (*makers, *own)


def _name_of(engine: Engine, valves: Sequence[Clearance]) -> str:
    """Return what these valves have in common: their side and part, or else their names."""
    closers = any(clearance.action is Role.CLOSE for clearance in engine.clearances)
    kinds = dict.fromkeys((valve.side, valve.action) for valve in valves)
    alike = [
        clearance for clearance in engine.clearances if (clearance.side, clearance.action) in kinds
    ]
    if len(alike) != len(valves):
        return ", ".join(valve.id for valve in valves)
    parts = {Role.OPEN: " opener", Role.CLOSE: " closer"} if closers else {}
    return " and ".join(f"{side.value}{parts.get(role, '')}" for side, role in kinds)


def torque_line(group: Tightening) -> str | None:
    """Return what was tightened and how far, None where no torque was noted."""
    if group.torque is None:
        return None
    how = "all stages done" if group.done else f"{group.turned} turns done"
    figures = " = ".join(group.torque.words.values())
    return f"{group.name}, {len(group.places)} {group.thread.value}: {figures}, {how}"


def explained_lines(explained: Explained | None) -> tuple[str, ...]:
    """Return what the last proof said, the likeliest causes of one that was off."""
    if explained is None:
        return ()
    if explained.fine:
        if not explained.beyond:
            return ("Every gap came out within the instruments' doubt.",)
        beyond = ", ".join(explained.beyond)
        return (f"Within doubt but for {beyond}; no one cause explains it.",)
    said = []
    for explanation in explained.ranked[:2]:
        sure = explanation.cause is Cause.HELD_OPEN
        likely = "" if sure else f" ({percent(explanation.chance)})"
        said.append(f"{explanation.name}{likely}: {explanation.evidence}")
    return tuple(said)
