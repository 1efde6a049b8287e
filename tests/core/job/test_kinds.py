"""Kinds of job: which stages there are, what is listed, which valves are set and where to."""

from dataclasses import replace
from typing import Any

import pytest

from plimb.core.engine.followers import Follower
from plimb.core.engine.machine import Vehicle
from plimb.core.engine.turning import Method
from plimb.core.job.kinds import JobKind, kind_of_job
from plimb.core.job.lists import ListFacts, ListName, list_of
from plimb.core.job.stages import Stage
from plimb.core.job.status import JobContext, by_amount, job_status, judged_by
from plimb.core.job.tools import tool_list
from plimb.core.job.valve import Choice, ValveRecord
from plimb.core.lengths import Unit, mm
from plimb.core.measure.limits import Limits
from plimb.core.measure.shorthand import parse_reading
from plimb.core.plan.needs import Need, WhichToSet
from plimb.core.shim.shim import parse_shim
from plimb.core.shim.sum import SizePolicy
from plimb.files.engine_file import EngineFile
from plimb.files.starting_point import Layout, Start, starting_point

ALL = tuple(Stage)


def single(follower: Any = Follower.BUCKET_UNDER) -> Any:
    document = starting_point(Start(layout=Layout.SINGLE, follower=follower))
    document["engine"]["spec"] = {
        "intake": {"min": 0.10, "max": 0.20}, "exhaust": {"min": 0.20, "max": 0.30},
    }  # fmt: skip
    document["engine"]["family"] = {"diameter": 9.48, "runs": [{"from": 2, "to": 3, "step": 0.05}]}
    return EngineFile.model_validate(document).to_core()


ENGINE = single()


def record(text: Any, shim: Any = None, choice: Any = None) -> Any:
    family = ENGINE.clearances[0].family
    return ValveRecord(
        found=parse_reading(text, Unit.MM),
        piece=parse_shim(shim, family) if shim else None,
        choice=choice,
    )


GAPS = {"IN L": "15", "IN R": "15", "EX L": "25", "EX R": "25"}


def seen(kind: Any, changes: Any = None, which: Any = WhichToSet.OUT, **around: Any) -> Any:
    records = {valve: record(text) for valve, text in GAPS.items()} | (changes or {})
    said = JobContext(kind=kind_of_job(kind), **around)
    return job_status(ENGINE, records, SizePolicy(), which, around=said)


@pytest.mark.parametrize(
    ("kind", "stages"),
    [
        (JobKind.SET, ALL),
        (JobKind.CHECK, (Stage.READY, Stage.TURN, Stage.FEEL, Stage.SIGN)),
        (JobKind.BENCH, ALL),
        (JobKind.HEAD_WORK, (Stage.READY, Stage.READ, Stage.TURN, Stage.FEEL, *ALL[4:])),
        (JobKind.HEAD_WORK_BENCH, (Stage.READY, Stage.READ, Stage.TURN, Stage.FEEL, *ALL[4:])),
        (JobKind.ONE, ALL),
        (JobKind.EVERY, ALL),
    ],
)
def test_each_kind_has_its_own_stages_in_its_own_order(kind: Any, stages: Any) -> None:
    assert tuple(one.stage for one in seen(kind).todo) == stages
    assert kind_of_job(kind).label
    assert kind_of_job(kind).means.endswith(".")


def test_a_check_only_opens_nothing_and_still_asks_for_the_cover() -> None:
    closing = ("close-cover", "close-cover-torque")
    view = seen(JobKind.CHECK, {"IN L": record("8")}, closing=closing, unclosed=closing[1:])
    assert view.opened == ()
    assert view.valves["IN L"].need is Need.OPEN  # it is out all the same, and said so
    assert view.at is Stage.SIGN
    sign = next(one for one in view.todo if one.stage is Stage.SIGN)
    assert (sign.asks, sign.waiting) == (closing, closing[1:])


def test_after_head_work_every_reference_piece_is_written_down_before_the_gaps() -> None:
    nothing = {valve: ValveRecord() for valve in GAPS}
    view = seen(JobKind.HEAD_WORK_BENCH, nothing)
    read = next(one for one in view.todo if one.stage is Stage.READ)
    assert (view.at, set(read.waiting)) == (Stage.READ, set(GAPS))
    pieces = {v: ValveRecord(piece=record("15", "250").piece) for v in GAPS}
    assert seen(JobKind.HEAD_WORK_BENCH, pieces).at is Stage.FEEL


@pytest.mark.parametrize("kind", [JobKind.SET, JobKind.EVERY, JobKind.BENCH])
def test_once_a_piece_is_out_nothing_leads_back_to_feel(kind: Any) -> None:
    some = {"IN L": record("8", "250"), "EX R": ValveRecord()}
    assert seen(kind, some).at is not Stage.FEEL
    assert seen(kind, {"IN L": record("8"), "EX R": ValveRecord()}).at is Stage.FEEL


def test_set_everything_sets_what_is_in_spec_too() -> None:
    assert seen(JobKind.SET).opened == ()
    assert set(seen(JobKind.EVERY).opened) == set(GAPS)
    assert "every valve is set" in seen(JobKind.EVERY).valves["IN L"].reason


def test_one_valve_leaves_the_others_alone_without_a_remark() -> None:
    changes = {"EX L": ValveRecord(), "IN R": record("7")}
    view = seen(JobKind.ONE, changes, only="IN L", wanted_nm=mm("0.20"))
    assert view.opened == ("IN L",)
    assert view.valves["IN L"].reason == "its gap is to become 0.20"
    assert next(one for one in view.todo if one.stage is Stage.FEEL).asks == ("IN L",)
    assert {v for v, one in view.valves.items() if one.need is Need.LEAVE} == set(GAPS) - {"IN L"}
    assert view.not_in_spec == ()
    assert view.at is Stage.READ


@pytest.mark.parametrize(
    ("wanted", "aim"),
    [
        ("0.18", "0.18"),
        ("0.20", "0.20"),  # to the limit itself
        ("0.21", "0.20"),  # never out of range to serve it
        ("0.07", "0.10"),
    ],
)
def test_the_gap_that_is_wanted_is_aimed_at_and_never_out_of_spec(wanted: Any, aim: Any) -> None:
    around = JobContext(only="IN L", wanted_nm=mm(wanted))
    assert by_amount(ENGINE.clearance("IN L"), around, SizePolicy()).aim == mm(aim)
    others = by_amount(ENGINE.clearance("IN R"), around, SizePolicy())
    assert others == SizePolicy()


def test_without_a_spec_a_valve_is_judged_by_the_gap_that_is_wanted() -> None:
    bare = replace(ENGINE.clearance("IN L"), spec=None)
    around = JobContext(only="IN L", wanted_nm=mm("0.18"))
    assert judged_by(bare, around) == bare  # nobody has said how near is near enough
    told = replace(around, near_enough_nm=mm("0.02"))
    assert judged_by(bare, told).check == Limits(low_nm=mm("0.16"), high_nm=mm("0.20"))
    assert judged_by(replace(bare, id="IN R"), told).spec is None  # left alone by the job
    assert judged_by(ENGINE.clearance("IN L"), told) == ENGINE.clearance("IN L")


def test_two_thou_wider_takes_a_piece_two_thou_thinner() -> None:
    choice = Choice(thickness_nm=mm("2.45"))
    changes = {"IN L": record("15", "250 2.500", choice)}
    view = seen(JobKind.ONE, changes, only="IN L", wanted_nm=mm("0.20"))
    worked = view.valves["IN L"].worked
    assert (worked.ideal_nm, worked.pick.thickness_nm) == (mm("2.45"), mm("2.45"))
    assert view.valves["IN L"].predicted.best_nm == mm("0.20")


NEVER_ON_A_BENCH = {"power", "stand", "fuel", "plugs-out", "direction"}


@pytest.mark.parametrize("kind", JobKind)
def test_lists_name_what_belongs_to_the_kind_and_nothing_else(kind: Any) -> None:
    row = kind_of_job(kind)
    method = Method.BENCH if row.on_bench else Method.MARKS
    facts = ListFacts(engine=ENGINE, kind=row, method=method, opened=("IN L",))
    ready = {one.id for one in list_of(ListName.SAFE, facts)}
    assert ready.isdisjoint(NEVER_ON_A_BENCH) is row.on_bench
    assert ("reference" in ready) is row.reference
    closing = [one.id for one in list_of(ListName.CLOSE, facts)]
    assert ("close-tensioner" in closing) is not row.on_bench
    assert bool(list_of(ListName.COVER, facts)) is not row.on_bench
    reached = [one.id for one in list_of(ListName.REACH, facts)]
    assert ("pull-tensioner" in reached) is not row.on_bench
    assert "pull-lift" in reached
    turns = next(one for one in list_of(ListName.CLOSE, facts) if "turns" in one.id)
    assert ("camshaft" in turns.does) is row.on_bench
    tools = " ".join(tool_list(facts))
    assert ("crank bolt" in tools) is not row.on_bench
    assert ("Micrometer" in tools) is row.opens
    assert ("Reference shims" in tools) is row.reference


def test_the_cover_closes_every_engine_once_it_is_proved() -> None:
    facts = ListFacts(engine=ENGINE)
    closing = [one.id for one in list_of(ListName.COVER, facts)]
    assert closing == ["close-cover", "close-cover-torque", "close-rest"]
    assert list_of(ListName.COVER, replace(facts, round=2))[0].id == "close2-cover"


@pytest.mark.parametrize("vehicle", Vehicle)
def test_only_a_motorcycle_is_told_of_a_stand_a_tank_and_a_rear_wheel(vehicle: Vehicle) -> None:
    facts = ListFacts(engine=ENGINE, vehicle=vehicle, opened=("IN L",))
    said = " ".join(
        f"{line.does} {line.caution}" for which in ListName for line in list_of(which, facts)
    )
    said += " ".join(tool_list(facts))
    motorcycle = vehicle is Vehicle.MOTORCYCLE
    for word in ("stand,", "tank", "rear wheel"):
        assert (word in said) is motorcycle, word
    assert ("chain wrench" in said) is not motorcycle
    assert "vessel" in said
    # what is ticked goes by the lines' names, which hang on neither the vehicle nor the turns
    other = replace(facts, vehicle=Vehicle.OTHER, hand_turns=9)
    for which in ListName:
        names = [line.id for line in list_of(which, facts)]
        assert names == [line.id for line in list_of(which, other)]


def test_a_camshaft_that_is_out_for_another_job_is_put_back_by_the_lists() -> None:
    facts = ListFacts(engine=ENGINE, aside=frozenset({"EX"}), hand_turns=4)
    reached = [one.id for one in list_of(ListName.REACH, facts)]
    assert reached == ["pull-plug", "pull-mark", "pull-tensioner", "pull-caps", "pull-lift"]
    closing = {one.id: one.does for one in list_of(ListName.CLOSE, facts)}
    assert {"close-caps", "close-marks", "close-tensioner"} <= set(closing)
    assert closing["close-lay"].startswith("EX laid in")
    assert "4 full turns" in closing["close-turns"]
    none = ListFacts(engine=ENGINE)
    assert not list_of(ListName.REACH, none) + list_of(ListName.CLOSE, none)


def test_tools_follow_the_follower_and_the_way_of_turning() -> None:
    over = single(Follower.BUCKET_OVER)
    kind = kind_of_job(JobKind.SET)
    on_top = tool_list(ListFacts(engine=over, kind=kind))
    assert "Holding-down tool for the buckets" in on_top
    assert not any("Ties" in one or "vessel" in one for one in on_top)
    assert any("Ties" in one for one in tool_list(ListFacts(engine=ENGINE, kind=kind)))
    by_the_lobe = tool_list(ListFacts(engine=ENGINE, kind=kind, method=Method.LOBE))
    assert any("mirror" in one for one in by_the_lobe)
