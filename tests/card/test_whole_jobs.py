"""Whole jobs at random: any act at any time, and after each no two places disagree."""

import os
import shutil
from collections import Counter
from dataclasses import replace
from datetime import timedelta
from pathlib import Path
from typing import Any

import pytest
from hypothesis import HealthCheck, settings
from hypothesis import strategies as st
from hypothesis.stateful import (
    RuleBasedStateMachine,
    initialize,
    invariant,
    precondition,
    rule,
    run_state_machine_as_test,
)

from plimb.books.bench import read_shop
from plimb.card.acting import Change
from plimb.card.acts.choose import choose_piece, open_too, take_plan
from plimb.card.acts.feel import write_down_gap
from plimb.card.acts.fit import fit_piece, turn_by_hand
from plimb.card.acts.next_round import next_round
from plimb.card.acts.opening import open_card
from plimb.card.acts.read import write_down_shim
from plimb.card.acts.ready import see_to, see_to_all, set_policy
from plimb.card.acts.sign import read_sheet, sign_card
from plimb.card.acts.undo import take_back
from plimb.card.build import read_card
from plimb.card.planning import read_plan
from plimb.card.transfer import import_card
from plimb.card.view import CardView
from plimb.core.errors import PlimbError
from plimb.core.job.stages import Stage
from plimb.core.lengths import Unit
from plimb.core.measure.limits import Verdict
from plimb.core.plan.needs import WhichToSet
from plimb.core.shim.location import Where
from plimb.core.shim.shim import Condition, Source, Trust
from plimb.core.shim.sum import Aim, Rounding
from plimb.record.database import Database
from plimb.record.shims import audit, place_of
from plimb.record.tables.shim import ShimRow

from ..conftest import NOON
from ..guest import card_text

LONG = bool(os.environ.get("PLIMB_LONG"))
JOBS, ACTS = (60, 50) if LONG else (2, 25)

PLACES = st.integers(0, 23)
GAPS = st.one_of(
    st.integers(3, 40).map(str),
    st.tuples(st.integers(3, 38), st.integers(1, 4)).map(lambda p: f"{p[0]}-{p[0] + p[1]}"),
    st.sampled_from(["-3", "-4?", "12l", "14t?", ""]),
)
SHIMS = st.one_of(
    st.integers(0, 20).map(lambda n: f"2.{400 + 25 * n}"),
    st.integers(2400, 2900).map(lambda n: f"{n / 1000:.3f}"),
    st.just(""),
)


class Jobs(RuleBasedStateMachine):
    """One engine of the school, card after card, worked on by somebody who heeds no order."""

    record: Path
    """The filled record that each job starts from; set by the test."""

    def __init__(self) -> None:
        super().__init__()
        self.path = Path(shutil.copy(self.record, self.record.with_name("job.sqlite3")))
        self.database = Database(self.path)
        self.acts = 0
        self.done = Counter[str]()

    def teardown(self) -> None:
        self.database.close()

    def now(self) -> Any:
        return NOON + timedelta(minutes=self.acts)

    @initialize(engine=st.integers(1, 4))
    def open(self, engine: Any) -> None:
        opened = open_card(
            self.database, engine_id=engine, opened_by="Edda", reason="Interval",
            distance=None, now=self.now(),
        )  # fmt: skip
        self.engine, self.card = engine, opened.id
        self.before = []
        self.look()

    def look(self) -> CardView:
        with self.database.reading() as session:
            self.view = read_card(session, self.card)
        return self.view

    def act(self, action: Any, *args: Any, **says: Any) -> bool:
        """Carry out one act; whether it was done. A refusal is a sentence and changes nothing."""
        self.acts += 1
        version, before = self.view.version, self.all_of_it()
        change = Change(
            card_id=self.card, version=version, key=f"act-{self.acts:06}", now=self.now()
        )
        try:
            written = action(self.database, change, *args, **says)
        except PlimbError:
            written = None
        if written is None:  # refused with a sentence: nothing has changed
            assert self.look().version == version
            return False
        assert written.version == self.look().version == version + 1
        self.done[action.__name__] += 1
        if action in (next_round, sign_card):
            self.before = []
        elif action is not take_back:
            self.before.append((written.version, before))
        return True

    def all_of_it(self) -> Any:
        """Return all that the card says, and where each piece is."""
        said = replace(self.view, version=0, last_act=None)
        with self.database.reading() as session:
            there = session.query(ShimRow).filter(ShimRow.place != Where.GONE)
            return said, {row.id: (place_of(row), row.thickness_nm, row.marked_nm)
                          for row in there}  # fmt: skip

    @rule(many=st.integers(1, 3))
    def take_back(self, many: Any) -> None:
        """What the last act changed is as it was before it: on the card, and of every piece."""
        for _time in range(many):
            last = self.view.last_act
            assert (last and last.version) == (self.before[-1][0] if self.before else None)
            if last is None:
                return
            version, before = self.before.pop()
            assert self.act(take_back, which=version)
            assert self.all_of_it() == before

    def waiting(self) -> tuple[str, ...]:
        status = self.view.status
        return next(todo.waiting for todo in status.todo if todo.stage is status.at)

    def nothing_waits_at_prove(self) -> bool:
        status = self.view.status
        out = any(s.proof_verdict not in (None, Verdict.IN) for s in status.valves.values())
        return status.at is Stage.PROVE and out and not self.waiting()

    def valve(self, place: int) -> str:
        return self.view.status.order[place % len(self.view.status.order)]

    @rule(seed=st.integers(1, 99), off=st.integers(-3, 3), sign=st.booleans())
    def do_the_job(self, seed: Any, off: Any, sign: Any) -> None:
        """From card to proof in the right order, so that what comes after it is reached."""
        self.measure_all(seed % 12 + 6, seed % 4 + 3)
        self.read_all_opened(seed % 13)
        self.take()
        self.see_to_everything(True)
        self.fit_all()
        self.prove_all(off)
        if sign:
            self.sign_and_open_the_next()

    @rule(place=PLACES, text=GAPS, repeats=st.booleans())
    def measure(self, place: Any, text: Any, repeats: Any) -> None:
        self.act(write_down_gap, valve=self.valve(place), purpose="found", text=text,
                 unit=Unit.MM, repeats=repeats)  # fmt: skip

    @rule(seed=st.integers(1, 30), spread=st.integers(0, 3))
    def measure_all(self, seed: Any, spread: Any) -> None:
        for at, valve in enumerate(self.view.status.order):
            exhaust = "EX" in valve
            text = str(seed + exhaust * 9 + at % (spread + 1))
            self.act(write_down_gap, valve=valve, purpose="found", unit=Unit.MM, text=text)

    @rule(place=PLACES, text=GAPS)
    def prove(self, place: Any, text: Any) -> None:
        self.act(write_down_gap, valve=self.valve(place), purpose="proof", text=text, unit=Unit.MM)

    @rule(off=st.integers(-2, 2))
    def prove_all(self, off: Any) -> None:
        for valve, state in self.view.status.touched.items():
            if state.predicted:
                text = f"{max(state.predicted.best_nm // 10_000 + off, 2)}"
                self.act(write_down_gap, valve=valve, purpose="proof", text=text, unit=Unit.MM)

    @rule(place=PLACES, text=SHIMS, condition=st.sampled_from(Condition))
    def read(self, place: Any, text: Any, condition: Any) -> None:
        self.act(write_down_shim, valve=self.valve(place), text=text, condition=condition)

    @rule(seed=st.integers(0, 12))
    def read_all_opened(self, seed: Any) -> None:
        for at, valve in enumerate(self.view.status.opened):
            self.act(write_down_shim, valve=valve, text=f"2.{450 + 25 * ((seed + at * 5) % 13)}")

    @rule(aim=st.sampled_from(Aim), which=st.sampled_from(WhichToSet), reuse=st.booleans())
    def change_school(self, aim: Any, which: Any, reuse: Any) -> None:
        self.act(
            set_policy,
            aim=aim,
            rounding=Rounding.NEAREST,
            act=which,
            trust=Trust.MEASURED,
            reuse=reuse,
        )

    @rule()
    def take(self) -> None:
        with self.database.reading() as session:
            planned = read_plan(session, self.card) if self.view.signed_at is None else None
        if not self.act(take_plan):
            return
        for one in planned.moves:
            state = self.view.status.valves[one.move.valve]
            if one.move.changes and not one.move.provisional:
                assert state.record.choice.thickness_nm == one.move.thickness_nm
                assert state.predicted == one.move.gap
                assert one.move.thickness_nm in {option.thickness_nm for option in one.options}

    @rule(place=PLACES, giver=PLACES, size=st.integers(0, 20), source=st.sampled_from(Source))
    def choose(self, place: Any, giver: Any, size: Any, source: Any) -> None:
        self.act(choose_piece, valve=self.valve(place), thickness_nm=2_400_000 + 25_000 * size,
                 source=source,
                 from_valve=self.valve(giver) if source is Source.ENGINE else None)  # fmt: skip

    @rule(place=PLACES, opened=st.booleans())
    def open_too(self, place: Any, opened: Any) -> None:
        self.act(open_too, valve=self.valve(place), opened=opened)

    @rule(place=PLACES)
    def choose_nothing(self, place: Any) -> None:
        self.act(choose_piece, valve=self.valve(place), thickness_nm=None)

    @rule(place=PLACES, fitted=st.booleans())
    def fit(self, place: Any, fitted: Any) -> None:
        self.act(fit_piece, valve=self.valve(place), fitted=fitted, measured="")

    @rule()
    def fit_all(self) -> None:
        for step in self.view.fit:
            self.act(fit_piece, valve=step.valve, fitted=True, measured="")
        self.act(turn_by_hand, turns=2)

    @rule(done=st.booleans())
    def see_to_everything(self, done: Any) -> None:
        lines = [line.item.id for line in self.view.lists]
        for line in lines[:2]:
            self.act(see_to, item=line, done=done)
        self.act(see_to_all, items=lines, done=done)

    @rule()
    def go_round(self) -> None:
        stuck = self.view.signed_at is None and self.nothing_waits_at_prove()
        assert self.act(next_round, reason="Out of range") or not stuck

    @precondition(lambda self: self.acts > 12)
    @rule()
    def sign_and_open_the_next(self) -> None:
        if self.act(sign_card, signed_by="Edda", remarks="As it is"):
            self.open(self.engine)

    @invariant()
    def one_decision_tells_one_story(self) -> None:
        """Plan, sum, reason, ladder, order list, fitting step and sheet name the same shim."""
        if self.view.signed_at is not None:
            return
        with self.database.reading() as session:
            sheet = read_sheet(session, self.card)
            try:
                planned = read_plan(session, self.card)
            except PlimbError:
                return  # nothing can be planned yet
        ordered = Counter(v for buy in planned.buy for v in buy.line.valves)
        rows = {row.valve: row for row in sheet.rows}
        units = self.view.status.around.units
        for one in planned.moves:
            move, state = one.move, self.view.status.valves[one.move.valve]
            assert ordered[move.valve] == (move.source is Source.COUNTER)
            if move.thickness_nm is None or not move.changes:
                continue
            size = units.shim_figure(move.thickness_nm)
            assert size in one.why
            assert not one.sum or move.gap is None or size in one.sum[-1]
            (mine,) = [o for o in one.options if o.goes_to == move.valve] or [None]
            assert mine is None or (mine.thickness_nm, mine.source) == (
                move.thickness_nm, move.source
            )  # fmt: skip
            if planned.taken:
                assert state.record.choice.thickness_nm == move.thickness_nm
        for step in self.view.fit:
            choice = self.view.status.valves[step.valve].record.choice
            assert (step.thickness_nm, step.source) == (choice.thickness_nm, choice.source)
            assert rows[step.valve].piece_in_nm == choice.goes_in_nm

    @invariant()
    def no_piece_is_in_two_places(self) -> None:
        with self.database.reading() as session:
            assert audit(session) == []

    @invariant()
    def there_is_a_next_step(self) -> None:
        status = self.view.status
        if self.view.signed_at is None and status.at is not Stage.SIGN:
            # where every proof is there and one is out, the next step is another round
            assert self.waiting() or self.nothing_waits_at_prove(), status.at

    @invariant()
    def an_empty_valve_is_not_left_in_spec(self) -> None:
        """Its piece is in another valve, and nothing has come in."""
        states = self.view.status.valves
        gone = {
            state.record.choice.from_valve
            for state in states.values()
            if state.record.choice and state.record.choice.source is Source.ENGINE
            and state.record.choice.fitted
        }  # fmt: skip
        for valve in gone & set(states):
            record = states[valve].record
            filled = record.choice and record.changes and record.choice.fitted
            if not filled and record.proof is None:
                assert states[valve].left is not Verdict.IN

    @invariant()
    def the_plan_sets_what_the_card_asks_for(self) -> None:
        if self.view.signed_at is not None:
            return
        with self.database.reading() as session:
            try:
                planned = read_plan(session, self.card)
            except PlimbError:
                return  # nothing can be planned yet
        givers = {one.move.from_valve for one in planned.moves}
        for one in planned.moves:
            state = self.view.status.valves[one.move.valve]
            if one.move.changes and not one.move.pinned:
                assert state.opens or one.move.valve in givers
        wanted = Counter({one.line.thickness_nm: one.line.count for one in planned.buy})
        bought = (one.move for one in planned.moves if one.move.source is Source.COUNTER)
        assert wanted == Counter(move.thickness_nm for move in bought)

    @invariant()
    def the_sheet_and_the_bench_say_what_the_card_says(self) -> None:
        with self.database.reading() as session:
            sheet = read_sheet(session, self.card)
        states = self.view.status.valves
        off = {one.valve: one.residual_nm for one in self.view.rounds[-1].proved}
        for row in sheet.rows:
            state = states[row.valve]
            assert (row.spec, row.verdict) == (state.clearance.spec.check, state.left)
            assert state.residual_nm == off.get(row.valve)
            if state.record.choice and state.touched:
                assert row.piece_in_nm == state.record.choice.goes_in_nm
        line = next(one for one in read_shop(self.database).cards if one.id == self.card)
        assert line.summary.at is self.view.status.at
        assert line.summary.measured == sum(s.record.found is not None for s in states.values())

    @precondition(lambda self: self.acts > 20)
    @rule()
    def out_and_in_again(self) -> None:
        with self.database.reading() as session:
            text = card_text(session, self.card)
        empty = Database(self.path.with_name("taken.sqlite3"))
        try:
            taken = import_card(empty, text, now=NOON)
            with empty.reading() as session:
                assert card_text(session, taken) == text
        finally:
            empty.close()


@pytest.mark.slow
def test_any_act_at_any_time_leaves_a_card_that_holds_together(
    filled: Path, tmp_path: Path
) -> None:
    record = Path(shutil.copy(filled, tmp_path / "filled.sqlite3"))
    machine = type("JobsHere", (Jobs,), {"record": record})
    run_state_machine_as_test(
        machine,
        settings=settings(
            max_examples=JOBS,
            stateful_step_count=ACTS,
            deadline=None,
            suppress_health_check=list(HealthCheck),
        ),
    )
