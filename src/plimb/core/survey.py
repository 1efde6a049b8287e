"""The whole card at a glance: what each valve says, what it needs, what is still to do."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass
from enum import StrEnum

from plimb.core.chance import USUAL_DOUBT, chance_in_spec
from plimb.core.engine import Clearance, Engine, measuring_order
from plimb.core.gap import Gap
from plimb.core.limits import Limits, Verdict, judge
from plimb.core.piece import Piece, Source
from plimb.core.shim import School, WorkedOut, work_out
from plimb.core.shorthand import Reading


class Act(StrEnum):
    """Which valves a shop sets: those out, those near the tight edge too, or all it opened."""

    OUT = "out"
    NEAR = "near"
    ALL = "all"


class Need(StrEnum):
    """What a valve asks for next."""

    MEASURE = "measure"
    FINER = "finer"
    LEAVE = "leave"
    OPEN = "open"


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


NEAR_EDGE_SHARE = 5
"""A valve in the tightest fifth of its range is near the edge (common practice)."""


@dataclass(frozen=True, slots=True, kw_only=True)
class Choice:
    """The piece decided on for a valve, and whether a person decided it against the plan.

    `measured_nm` is what a micrometer said as it went in; `by_marking` that nobody ever
    measured it; `fitted` that it is in.
    """

    thickness_nm: int
    source: Source = Source.COUNTER
    from_valve: str | None = None
    by_hand: bool = True
    by_marking: bool = False
    measured_nm: int | None = None
    fitted: bool = False

    @property
    def goes_in_nm(self) -> int:
        """The thickness that what follows is predicted with."""
        return self.thickness_nm if self.measured_nm is None else self.measured_nm

    @property
    def known_from_marking(self) -> bool:
        """Whether the piece was never measured."""
        return self.by_marking and self.measured_nm is None


@dataclass(frozen=True, slots=True, kw_only=True)
class Sheet:
    """What has been written down for one valve in one round."""

    found: Reading | None = None
    piece: Piece | None = None
    choice: Choice | None = None
    proof: Reading | None = None

    @property
    def chosen_nm(self) -> int | None:
        """The thickness decided on."""
        return None if self.choice is None else self.choice.thickness_nm

    @property
    def changes(self) -> bool:
        """Whether another piece than the one that was in has been chosen."""
        if self.choice is None or self.piece is None or self.choice.source is Source.SAME:
            return False
        brought = self.choice.source in (Source.ENGINE, Source.DRAWER)
        return brought or self.choice.thickness_nm != self.piece.thickness_nm()


@dataclass(frozen=True, slots=True, kw_only=True)
class ValveState:
    """One valve as it stands. Lengths in nanometres.

    `predicted` is the gap to expect once the chosen piece is in. `residual_nm` is the
    proof minus that. `was_nm` is the gap before, worked back from the proof where none
    could be felt: below zero the valve was held open by that much. `as_left` is the
    newest reading and `left` its verdict.
    """

    clearance: Clearance
    sheet: Sheet
    verdict: Verdict | None
    near_edge: bool
    need: Need
    reason: str
    worked: WorkedOut | None
    predicted: Gap | None
    predicted_verdict: Verdict | None
    predicted_chance: float | None
    proof_verdict: Verdict | None
    residual_nm: int | None
    was_nm: int | None
    as_left: Reading | None
    left: Verdict | None

    @property
    def touched(self) -> bool:
        """Whether another piece than the one that was in has been chosen."""
        return self.sheet.changes


@dataclass(frozen=True, slots=True, kw_only=True)
class Todo:
    """What one stage still waits for: valves in measuring order."""

    stage: Stage
    applies: bool
    waiting: tuple[str, ...]


@dataclass(frozen=True, slots=True, kw_only=True)
class Survey:
    """The card as it stands."""

    order: tuple[str, ...]
    valves: Mapping[str, ValveState]
    todo: tuple[Todo, ...]
    at: Stage
    not_in_spec: tuple[str, ...]


def survey(
    engine: Engine,
    sheets: Mapping[str, Sheet],
    school: School,
    act: Act,
    order: tuple[str, ...] | None = None,
) -> Survey:
    """Return what every valve says and what each stage still waits for.

    `order` is the order of measuring; without one, cylinders come as they fire.
    """
    order = order or measuring_order(engine)
    found = {valve: sheets.get(valve, Sheet()) for valve in order}
    shafts_out = {
        engine.clearance(valve).camshaft
        for valve, sheet in found.items()
        if _must_open(engine.clearance(valve), sheet, act)
    }
    valves = {
        valve: _state(engine.clearance(valve), sheet, school, act, shafts_out)
        for valve, sheet in found.items()
    }
    return Survey(
        order=order,
        valves=valves,
        todo=(todo := _todo(order, valves)),
        at=_at(todo, valves),
        not_in_spec=tuple(valve for valve in order if valves[valve].left is not Verdict.IN),
    )


def _at(todo: tuple[Todo, ...], valves: Mapping[str, ValveState]) -> Stage:
    """Return the first stage that waits for something; a proof that is out keeps one at Prove."""
    waits = next((item.stage for item in todo if item.applies and item.waiting), Stage.SIGN)
    out = any(state.proof_verdict not in (None, Verdict.IN) for state in valves.values())
    return Stage.PROVE if waits is Stage.SIGN and out else waits


def near_tight_edge(gap: Gap, limits: Limits) -> bool:
    """Return whether the best number lies in the tightest fifth of the range, ends included."""
    room_nm = gap.best_nm - limits.low_nm
    return 0 <= room_nm * NEAR_EDGE_SHARE <= limits.high_nm - limits.low_nm


def _must_open(clearance: Clearance, sheet: Sheet, act: Act) -> bool:
    """Return whether a valve needs opening for its own sake."""
    if sheet.found is None:
        return False
    limits = clearance.spec.check
    verdict = judge(sheet.found.gap, limits)
    if verdict is Verdict.IN:
        return act is Act.NEAR and near_tight_edge(sheet.found.gap, limits)
    return verdict is not Verdict.UNSETTLED


def _need(clearance: Clearance, sheet: Sheet, act: Act, shafts_out: set[str]) -> tuple[Need, str]:
    """Return what the valve asks for, and why in a few words."""
    if sheet.found is None:
        return Need.MEASURE, "not measured yet"
    limits = clearance.spec.check
    verdict = judge(sheet.found.gap, limits)
    if verdict is Verdict.UNSETTLED:
        return Need.FINER, "straddles a limit: try a blade in between"
    if verdict is Verdict.NONE:
        return Need.OPEN, "no gap found: it may be held open"
    if verdict is Verdict.TIGHT:
        return Need.OPEN, "tighter than the minimum"
    if verdict is Verdict.LOOSE:
        return Need.OPEN, "looser than the maximum"
    if _must_open(clearance, sheet, act):
        return Need.OPEN, "in spec, but in the tightest fifth"
    if act is Act.ALL and clearance.camshaft in shafts_out:
        return Need.OPEN, "in spec, but its camshaft comes out"
    return Need.LEAVE, "in spec"


def _state(
    clearance: Clearance, sheet: Sheet, school: School, act: Act, shafts_out: set[str]
) -> ValveState:
    check = clearance.spec.check
    gap = sheet.found.gap if sheet.found else None
    need, reason = _need(clearance, sheet, act, shafts_out)
    worked = predicted = chance = residual_nm = was_nm = None
    if gap and sheet.piece:
        shim_nm = sheet.piece.thickness_nm()
        worked = work_out(gap, shim_nm, clearance.spec, clearance.family.sizes(), school)
        if sheet.choice is not None:
            thinner_by_nm = shim_nm - sheet.choice.goes_in_nm if sheet.changes else 0
            if not gap.none_found:
                predicted = gap.shifted(thinner_by_nm)
                chance = chance_in_spec(
                    gap, thinner_by_nm, check, doubt=USUAL_DOUBT, kept=thinner_by_nm == 0
                )
            if sheet.proof and not sheet.proof.gap.none_found:
                if predicted:
                    residual_nm = sheet.proof.gap.best_nm - predicted.best_nm
                else:
                    was_nm = sheet.proof.gap.best_nm - thinner_by_nm
    as_left = sheet.proof or sheet.found
    unproved = sheet.proof is None and sheet.changes
    return ValveState(
        clearance=clearance,
        sheet=sheet,
        verdict=judge(gap, check) if gap else None,
        near_edge=bool(gap and judge(gap, check) is Verdict.IN and near_tight_edge(gap, check)),
        need=need,
        reason=reason,
        worked=worked,
        predicted=predicted,
        predicted_verdict=judge(predicted, check) if predicted else None,
        predicted_chance=chance,
        proof_verdict=judge(sheet.proof.gap, check) if sheet.proof else None,
        residual_nm=residual_nm,
        was_nm=was_nm,
        as_left=None if unproved else as_left,
        left=judge(as_left.gap, check) if as_left and not unproved else None,
    )


def _to_read(state: ValveState) -> bool:
    """Return whether a valve's shim is to be read, or marking and micrometer to be told apart."""
    piece = state.sheet.piece
    if piece is None:
        return state.need is Need.OPEN
    return piece.disagrees and not piece.answered


def _to_choose(state: ValveState, given_away: set[str | None]) -> bool:
    """Return whether a valve's piece is still to be decided; one given away leaves it empty."""
    if state.clearance.id in given_away and not state.touched:
        return True
    return state.need is Need.OPEN and state.sheet.choice is None


def _to_fit(sheet: Sheet) -> bool:
    """Return whether a chosen piece is still to go in; one that was proved is in."""
    return sheet.choice is not None and not sheet.choice.fitted and sheet.proof is None


def _todo(order: tuple[str, ...], valves: Mapping[str, ValveState]) -> tuple[Todo, ...]:
    """Return each stage's list; a check with everything in spec goes from Feel to Sign."""
    opened = [valve for valve in order if valves[valve].need is Need.OPEN]
    touched = [valve for valve in order if valves[valve].touched]
    given_away = {
        state.sheet.choice.from_valve
        for state in valves.values()
        if state.sheet.choice and state.sheet.choice.source is Source.ENGINE
    }

    def todo(stage: Stage, among: list[str], waits: list[str]) -> Todo:
        return Todo(stage=stage, applies=bool(among), waiting=tuple(waits))

    return (
        todo(
            Stage.FEEL,
            list(order),
            [v for v in order if valves[v].need in (Need.MEASURE, Need.FINER)],
        ),
        todo(Stage.READ, opened, [v for v in order if _to_read(valves[v])]),
        todo(
            Stage.CHOOSE,
            opened,
            [v for v in order if _to_choose(valves[v], given_away)],
        ),
        todo(Stage.FIT, touched, [v for v in touched if _to_fit(valves[v].sheet)]),
        todo(
            Stage.PROVE,
            touched or opened,
            [v for v in touched if valves[v].sheet.proof is None],
        ),
        todo(Stage.SIGN, list(order), []),
    )
