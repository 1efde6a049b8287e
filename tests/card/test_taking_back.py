"""The last act taken back: what stood stands again, and what was written stays on record."""

import json
import re
from inspect import signature
from typing import Any

import pytest

from plimb.books.history import read_history
from plimb.card.acts.choose import choose_piece
from plimb.card.acts.feel import keep_odd_reading, write_down_gap
from plimb.card.acts.fit import turn_by_hand
from plimb.card.acts.next_round import next_round
from plimb.card.acts.ready import see_to, see_to_all
from plimb.card.acts.remembering import note_tools
from plimb.card.acts.undo import take_back
from plimb.card.doing import DOING
from plimb.card.registry import ACTS
from plimb.card.transfer import export_card, import_card
from plimb.core.engine.engine import Side
from plimb.core.errors import BadValue, NotReady
from plimb.core.job.lists import turns_line
from plimb.core.lengths import Unit, mm
from plimb.core.shim.shim import Source
from plimb.record.database import Database
from plimb.record.journal import journal_faults

from ..conftest import NOON
from ..guest import Job


def test_every_act_is_done_and_has_words() -> None:
    assert set(DOING) == set(ACTS)
    said = {"valve": "IN L", "purpose": "proof", "name": "Cam caps", "stage": "feel", "item": "x"}
    for row in ACTS.values():
        taken = signature(DOING[row.kind].do).parameters
        filled = {name for one in (*row.touches, row.undone or "")
                  for name in re.findall(r"{(\w+)}", one)}  # fmt: skip
        assert filled <= set(taken), row.kind
        assert row.done
        assert "…" not in row.to_undo(said)
    assert ACTS["gap"].to_undo(said) == "the proof of IN L"
    assert ACTS["tighten"].to_undo(said) == "the turns at Cam caps"
    assert ACTS["gap"].to_undo({}) == "the … of a valve"


def specified(engine: Any) -> None:
    engine["spec"] = {"intake": {"min": 0.13, "max": 0.19}, "exhaust": {"min": 0.22, "max": 0.28}}


@pytest.fixture
def job(database: Database) -> Any:
    return Job(database, change=specified)


def undo(job: Any) -> Any:
    """Take the last act back; return what it was called."""
    last = job.view.last_act
    job.act(take_back, which=last.version)
    return last.what


def found(job: Any, valve: str = "IN L") -> Any:
    record = job.view.status.valves[valve].record.found
    return record and record.typed


def test_readings_go_back_one_by_one_and_stay_on_record(job: Any, database: Database) -> None:
    for text in ("15", "16", ""):
        job.gap("IN L", text)
    assert [(undo(job), found(job)) for _time in range(3)] == [
        ("the gap of IN L", "16"), ("the gap of IN L", "15"), ("the gap of IN L", None)
    ]  # fmt: skip
    assert job.view.last_act is None
    job.gap("IN L", "17")
    assert (found(job), undo(job), found(job)) == ("17", "the gap of IN L", None)
    said = read_history(database, "card", job.card.id, None).happened
    assert sum(one.what == "taken back" for one in said) == 4
    with database.engine.connect() as connection:
        assert journal_faults(connection) == []


def test_both_readings_of_one_gap_stand_again(job: Any) -> None:
    job.gap("IN L", "15")
    job.act(write_down_gap, valve="IN L", purpose="found", text="16", unit=Unit.MM, repeats=True)
    both = job.view.valves[job.view.status.order.index("IN L")].repeats
    job.gap("IN L", "30")
    undo(job)
    assert job.view.valves[job.view.status.order.index("IN L")].repeats == both
    job.act(keep_odd_reading, valve="IN L", purpose="found", slips=["warm"])
    job.gap("IN L", "31")
    asked = [undo(job), undo(job)]
    assert asked == ["the gap of IN L", "the answer for IN L"]
    assert job.view.valves[job.view.status.order.index("IN L")].repeats == both


def test_a_whole_list_is_ticked_at_once_and_goes_back_at_once(job: Any) -> None:
    items = [line.item.id for line in job.view.lists]
    job.act(see_to, item=items[0], done=True)
    job.act(see_to_all, items=items, done=True)
    assert all(line.done for line in job.view.lists)
    with pytest.raises(BadValue, match="is not on this card"):
        job.act(see_to_all, items=[items[0], "nothing"], done=False)
    assert undo(job) == "several ticks"
    assert [line.item.id for line in job.view.lists if line.done] == items[:1]


def test_the_turns_by_hand_are_counted_once_wherever_they_are_noted(database: Database) -> None:
    sizes = {"diameter": 9.48, "runs": [{"from": 2.0, "to": 3.0, "step": 0.05}]}
    job = Job(database, change=lambda engine: engine.update(family=sizes))
    line = turns_line(1)
    job.gap("IN L", "2")
    for valve in job.view.status.order:
        job.shim(valve, "2.50")
    job.spec(Side.INTAKE, "0.10-0.20")
    job.act(choose_piece, valve="IN L", thickness_nm=mm("2.40"), source=Source.COUNTER)

    def noted() -> Any:
        ticked = next(one.done for one in job.view.lists if one.item.id == line)
        return (
            ticked,
            job.view.hand_turns,
            any("turned by hand" in one for one in job.view.not_done),
        )

    assert noted() == (False, 0, True)
    job.act(see_to, item=line, done=True)
    assert noted() == (True, 2, False)
    assert undo(job) == "a tick"
    assert noted() == (False, 0, True)
    for turns, said in ((1, (False, 1, True)), (3, (True, 3, False)), (0, (False, 0, True))):
        job.act(turn_by_hand, turns=turns)
        assert noted() == said


def test_what_went_to_the_engine_comes_off_it_again(job: Any) -> None:
    before = job.document
    job.spec(Side.INTAKE, "0.10-0.20")
    job.act(note_tools, tools=["A bent key"])
    assert [undo(job), undo(job)] == ["the tools", "the allowed gap"]
    assert json.loads(job.document) == json.loads(before)
    job.spec(Side.INTAKE, "0.10-0.20")
    job.revise(lambda engine: engine.update(name="Corrected"), revision=6)
    with pytest.raises(NotReady, match="corrected since; put it right there"):
        undo(job)


def test_only_the_last_act_goes_back_and_a_round_is_where_it_ends(job: Any) -> None:
    job.gap("IN L", "15")
    first = job.view.last_act.version
    job.gap("IN R", "15")
    with pytest.raises(NotReady, match="Look again"):
        job.act(take_back, which=first)
    job.act(write_down_gap, valve="IN L", purpose="proof", text="15", unit=Unit.MM)
    job.act(next_round, reason="Once more")
    assert job.view.last_act is None
    with pytest.raises(NotReady):
        job.act(take_back, which=job.view.version)


def test_what_was_done_elsewhere_is_not_taken_back_here(
    job: Any, database: Database, fresh: Any
) -> None:
    job.gap("IN L", "15")
    with database.reading() as session:
        text = export_card(session, job.card.id)
    other = fresh("other")
    job.database, job.card = other, type(job.card)(id=import_card(other, text, now=NOON), version=2)
    assert job.view.last_act is None
    job.gap("IN R", "16")
    assert undo(job) == "the gap of IN R"
    assert job.view.last_act is None
    other.close()
