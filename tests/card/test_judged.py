"""What was decided from other figures, what is known beforehand, what was not done."""

import json
from typing import Any

import pytest

from plimb.books.bench import read_shop
from plimb.card.acts.choose import choose_piece, open_too, take_plan
from plimb.card.acts.correct import change_kind
from plimb.card.acts.feel import write_down_gap
from plimb.card.acts.fit import fit_piece
from plimb.card.acts.next_round import next_round
from plimb.card.acts.read import recall_shim, write_down_shim
from plimb.card.acts.ready import set_policy
from plimb.card.acts.sign import sign_card
from plimb.card.acts.undo import take_back
from plimb.card.build import read_card
from plimb.card.planning import read_plan
from plimb.card.rejudge import change_settings
from plimb.card.transfer import import_card
from plimb.core.errors import BadValue, NotReady
from plimb.core.job.kinds import JobKind
from plimb.core.job.torque import TorqueUnit
from plimb.core.lengths import Unit, mm, show_mm
from plimb.core.measure.blades import Blade, BladeSet
from plimb.core.measure.limits import Verdict
from plimb.core.plan.advice import AdviceKind
from plimb.core.plan.needs import Need, WhichToSet
from plimb.core.shim.shim import Condition, Source, Trust
from plimb.core.shim.sum import Aim, Rounding
from plimb.record.database import Database
from plimb.record.shims import audit, shims_in
from plimb.shop.tools import save_blade_set

from ..conftest import NOON
from ..guest import Job, card_text


def engine(document: Any) -> None:
    document["spec"] = {
        "intake": {"min": 0.13, "max": 0.19, "set_min": 0.15, "set_max": 0.17},
        "exhaust": {"min": 0.22, "max": 0.28},
    }
    document["family"] = {
        "diameter": 9.48,
        "price": 8,
        "runs": [{"from": 2, "to": 3, "step": 0.05}],
    }


@pytest.fixture
def job(database: Database) -> Any:
    blades = tuple(Blade(nominal_nm=n * mm("0.01")) for n in (5, 8, 10, 13, 15, 18, 20, 25))
    save_blade_set(database, set_id=None, blades=BladeSet(name="Few", blades=blades))
    return Job(database, change=engine)


def shim(job: Any, valve: str, text: Any, condition: Any = Condition.SOUND) -> None:
    job.act(write_down_shim, valve=valve, text=text, condition=condition)


def plan_of(job: Any) -> Any:
    with job.database.reading() as session:
        return read_plan(session, job.card.id)


def proof(job: Any, valve: str, text: Any) -> None:
    job.act(write_down_gap, valve=valve, purpose="proof", text=text, unit=Unit.MM)


def apart(job: Any) -> None:
    """One intake tight, the others in range, the shim read and the plan taken."""
    for valve in job.view.status.order:
        job.gap(valve, "15-18" if "IN" in valve else "25")
    job.gap("IN L", "8")
    shim(job, "IN L", "2.500")
    job.act(take_plan)


def test_a_corrected_reading_overtakes_what_was_decided_and_one_tap_plans_again(job: Any) -> None:
    apart(job)
    state = job.view.status.valves["IN L"]
    assert (state.record.choice.thickness_nm, state.overtaken) == (mm("2.40"), False)
    job.act(write_down_gap, valve="IN L", purpose="found", text="5", unit=Unit.MM, reason="Misread")
    view = job.view
    assert view.status.valves["IN L"].overtaken
    assert [step.overtaken for step in view.fit] == [True]
    assert view.at.value == "choose"
    with pytest.raises(NotReady, match="Plan again"):
        job.act(fit_piece, valve="IN L", fitted=True, measured="")
    job.act(take_plan)
    state = job.view.status.valves["IN L"]
    assert (state.record.choice.thickness_nm, state.overtaken) == (mm("2.40"), False)
    job.act(fit_piece, valve="IN L", fitted=True, measured="")
    assert job.view.at.value == "prove"


def test_a_giver_that_is_read_anew_overtakes_the_valve_that_takes_its_piece(job: Any) -> None:
    apart(job)
    job.act(write_down_gap, valve="IN R", purpose="found", text="8", unit=Unit.MM, reason="Again")
    shim(job, "IN R", "2.420")
    job.act(choose_piece, valve="IN L", thickness_nm=mm("2.42"), source=Source.ENGINE,
            from_valve="IN R")  # fmt: skip
    assert not job.view.status.valves["IN L"].overtaken
    shim(job, "IN R", "2.380")
    assert job.view.status.valves["IN L"].overtaken


def test_a_scrap_piece_replaced_by_its_own_size_is_fitted_and_proved(job: Any) -> None:
    for valve in job.view.status.order:
        job.gap(valve, "15-18" if "IN" in valve else "25")
    shim(job, "IN L", "2.500", Condition.SCRAP)
    job.act(choose_piece, valve="IN L", thickness_nm=mm("2.50"), source=Source.COUNTER)
    view = job.view
    assert [step.valve for step in view.fit] == ["IN L"]
    assert view.status.valves["IN L"].touched


def test_what_ends_outside_the_set_range_is_said_as_such(job: Any) -> None:
    apart(job)
    shim(job, "IN L", "2.480")  # 2.40 then gives 0.16
    job.act(take_plan)
    job.act(fit_piece, valve="IN L", fitted=True, measured="")
    proof(job, "IN L", "18")
    state = job.view.status.valves["IN L"]
    assert (state.proof_verdict, state.left_unset) == (Verdict.LOOSE, True)
    assert job.view.status.not_in_spec == ("IN L",)
    proof(job, "IN L", "16")
    state = job.view.status.valves["IN L"]
    assert (state.left, state.left_unset) == (Verdict.IN, False)


def test_one_end_of_a_gap_is_no_sum_and_waits_for_the_blade_that_tells(job: Any) -> None:
    job.gap("IN L", "15l")
    job.gap("IN R", "-10")
    job.gap("EX L", "-5")
    with pytest.raises(BadValue, match="called number"):
        job.gap("IN L", "13-15=15")
    job.gap("EX R", "25?")
    assert job.view.status.valves["EX R"].need is Need.FINER
    seen = job.view.status.valves
    assert (seen["IN L"].verdict, seen["IN L"].need) == (Verdict.UNSETTLED, Need.FINER)
    assert (seen["IN R"].verdict, seen["IN R"].need) == (Verdict.TIGHT, Need.FINER)
    assert (seen["EX L"].verdict, seen["EX L"].need) == (Verdict.NONE, Need.OPEN)
    assert seen["IN L"].record.found.gap.words() == "≥ 0.15"
    shim(job, "IN L", "2.500")
    moves = {one.move.valve: one for one in plan_of(job).moves}
    assert "one end only" in moves["IN R"].why
    assert not moves["IN L"].move.changes


def test_before_anything_is_open_the_record_makes_a_plan_but_none_to_take(job: Any) -> None:
    apart(job)
    assert not plan_of(job).remembered
    job.act(fit_piece, valve="IN L", fitted=True, measured="2.402")
    proof(job, "IN L", "16")
    job.act(sign_card, signed_by="Oda", remarks="")
    job.open()
    for valve in job.view.status.order:
        job.gap(valve, "15-18" if "IN" in valve else "25")
    job.gap("IN L", "9")
    view = plan_of(job)
    assert view.remembered == ("IN L",)
    move = next(one.move for one in view.moves if one.move.valve == "IN L")
    assert move.thickness_nm == mm("2.35")  # 2.402 + 0.09 − 2.35 = 0.142 ... the likeliest
    with pytest.raises(NotReady, match="from the record alone"):
        job.act(take_plan)
    change = job.view.status.valves["IN L"].change
    assert (change.thin_nm, change.thick_nm) == (-mm("0.08"), -mm("0.06"))
    shim(job, "IN L", "2.402")
    assert not plan_of(job).remembered
    job.act(take_plan)


def test_shims_from_memory_make_a_plan_and_no_reading(job: Any) -> None:
    for valve in job.view.status.order:
        job.gap(valve, "15-18" if "IN" in valve else "25")
    job.gap("IN L", "9")
    job.act(recall_shim, valve="IN L", text="240")
    view = plan_of(job)
    assert (view.remembered, view.plan.move("IN L").changes) == (("IN L",), True)
    assert job.view.status.valves["IN L"].record.piece is None
    assert not job.view.apart
    with pytest.raises(NotReady, match="from the record alone"):
        job.act(take_plan)
    with pytest.raises(BadValue, match="cannot be read"):
        job.act(recall_shim, valve="IN L", text="thick")
    job.act(recall_shim, valve="IN L", text="")
    assert not plan_of(job).remembered


def test_what_was_not_done_is_shown_and_stands_on_the_sheet(job: Any) -> None:
    apart(job)
    said = job.view.not_done
    assert any(one.startswith("Closing up: ") for one in said)
    assert "IN L not re-measured" in said
    assert any(one.startswith("turned by hand 0 of 2") for one in said)
    below = {fact.name: fact.says for fact in job.sheet.lines}
    assert below["Not done"] == "; ".join(said)


def test_a_valve_on_its_limit_is_looked_at_where_its_camshaft_is_out_anyway(job: Any) -> None:
    apart(job)
    job.act(write_down_gap, valve="IN R", purpose="found", text="13", unit=Unit.MM, reason="Again")
    state = job.view.status.valves["IN R"]
    assert (state.verdict, state.opens) == (Verdict.IN, True)
    assert "close to its limit (50 % sure)" in state.reason
    job.act(write_down_gap, valve="EX L", purpose="found", text="22", unit=Unit.MM, reason="Again")
    assert not job.view.status.valves["EX L"].opens  # its camshaft stays in
    change_settings(job.database, hand_turns=2, wrench=TorqueUnit.NM, sure=50)
    assert not job.view.status.valves["IN R"].opens  # half a chance is sure enough here


def test_what_straddles_a_limit_is_looked_at_too_once_its_camshaft_is_out(job: Any) -> None:
    for valve in job.view.status.order:
        job.gap(valve, "15-18" if "IN" in valve else "25")
    job.gap("IN R", "18-20")
    assert not job.view.status.valves["IN R"].opens
    job.gap("IN L", "8")
    state = job.view.status.valves["IN R"]
    # the set has no blade between 0.18 and 0.20: nothing finer is asked for
    assert (state.verdict, state.need, state.opens) == (Verdict.UNSETTLED, Need.OPEN, True)


def test_a_valve_in_doubt_is_opened_where_somebody_wants_it(job: Any) -> None:
    """A reading on its limit stays shut by itself: what it would gain is said, one tap opens it."""
    for valve in job.view.status.order:
        job.gap(valve, "15-18" if "IN" in valve else "25")
    job.gap("EX L", "28")
    state = job.view.status.valves["EX L"]
    assert (state.opens, state.in_doubt) == (False, True)
    assert state.reason == "in range, but close to its limit (50 % sure)"
    (help_,) = plan_of(job).helps
    assert (help_.kind, help_.valve, help_.shaft) == (AdviceKind.OPEN_TOO, "EX L", "EX")
    assert 0.9 < help_.then <= 1
    assert help_.sentence.startswith("Open EX L too, the EX camshaft comes out for it: in range")
    job.gap("EX R", "18")  # now it comes out anyway, and EX L is looked at with it
    assert job.view.status.opened == ("EX L", "EX R")
    assert not plan_of(job).helps
    job.gap("EX R", "25")
    job.act(open_too, valve="EX L", opened=True)
    assert not plan_of(job).helps
    state = job.view.status.valves["EX L"]
    assert (state.need, state.opens, state.in_doubt) == (Need.OPEN, True, False)
    assert job.view.status.opened == ("EX L",)
    shim(job, "EX L", "2.500")
    planned = plan_of(job)
    assert planned.plan.camshafts_out == ("EX",)
    # 0.28 + 2.50 − 2.55 = 0.23
    (changed,) = [one.move for one in planned.moves if one.move.changes]
    assert (changed.valve, changed.thickness_nm) == ("EX L", mm("2.55"))
    assert changed.chance > 0.9

    def text() -> Any:
        with job.database.reading() as session:
            return card_text(session, job.card.id)

    assert json.loads(text())["job"]["opened_too"] == ["EX L"]
    number = import_card(job.database, text(), now=NOON)
    with job.database.reading() as session:
        assert read_card(session, number).status.opened == ("EX L",)
    job.act(take_back, which=job.view.last_act.version)  # the shim first
    job.act(take_back, which=job.view.last_act.version)
    assert not job.view.status.opened
    assert "opened_too" not in text()


def test_a_valve_that_is_not_measured_or_not_the_jobs_is_not_opened(job: Any) -> None:
    with pytest.raises(NotReady, match="Measure IN L first"):
        job.act(open_too, valve="IN L", opened=True)
    job.gap("IN L", "15-18")
    job.act(change_kind, kind=JobKind.CHECK, amount=None)
    with pytest.raises(NotReady, match="does not open IN L"):
        job.act(open_too, valve="IN L", opened=True)


def test_a_blade_in_between_is_advised_only_while_it_can_be_tried(job: Any) -> None:
    for valve in job.view.status.order:
        job.gap(valve, "15-18" if "IN" in valve else "25")
    job.gap("EX L", "13-20")
    job.act(recall_shim, valve="EX L", text="2.500")
    assert AdviceKind.FINER in {one.kind for one in plan_of(job).helps}
    shim(job, "EX L", "2.500")
    assert AdviceKind.FINER not in {one.kind for one in plan_of(job).helps}


def test_a_hand_of_its_own_counts_in_every_chance_and_on_the_bench(job: Any) -> None:
    apart(job)
    job.act(write_down_gap, valve="IN R", purpose="found", text="13-15", unit=Unit.MM,
            reason="Again")  # fmt: skip

    def said() -> Any:
        view, planned = job.view, plan_of(job)
        moves = {one.move.valve: one for one in planned.moves}
        sizes = {(one.thickness_nm, one.source): one.chance for one in moves["IN L"].options}
        worked = view.status.valves["IN L"].worked.likeliest
        line = next(one for one in read_shop(job.database).cards if one.id == job.card.id)
        assert line.summary.opened == len(view.status.opened)
        return planned.plan.chance, sizes, worked.chance

    usual = said()
    closing = {"hand_turns": 2, "wrench": TorqueUnit.NM}
    change_settings(job.database, **closing, hand_nm="0.012")
    coarse = said()
    assert coarse[0] < usual[0]
    assert any(coarse[1][one] < usual[1][one] for one in usual[1] if usual[1][one])
    assert coarse[2] <= usual[2]
    change_settings(job.database, **closing, hand_nm="0.004")
    assert said() == usual  # the usual hand, said
    change_settings(job.database, **closing)
    assert said() == usual
    for wrong in ("0.0005", "0.05", "much"):
        with pytest.raises(BadValue):
            change_settings(job.database, **closing, hand_nm=wrong)


def test_the_shops_own_figures_reach_the_plan(job: Any) -> None:
    change_settings(job.database, hand_turns=2, wrench=TorqueUnit.NM, round_cost="0", sure=60)
    apart(job)
    job.act(set_policy, aim=Aim.LOOSE, rounding=Rounding.NEAREST, act=WhichToSet.OUT,
            trust=Trust.MEASURED, reuse=True)  # fmt: skip
    assert plan_of(job).plan.sure_at == 0.6
    for wrong in ({"sure": 20}, {"round_cost": "much"}):
        with pytest.raises(BadValue):
            change_settings(job.database, **{"hand_turns": 2, "wrench": TorqueUnit.NM, **wrong})


def test_a_shim_struck_out_is_in_no_valve_and_what_it_made_way_for_is_in_again(job: Any) -> None:
    def inside() -> Any:
        with job.database.reading() as session:
            return [show_mm(row.thickness_nm) for row in shims_in(session, job.engine_id)]

    shim(job, "IN L", "2.50")
    assert inside() == ["2.50"]
    shim(job, "IN L", "")
    assert inside() == []
    shim(job, "IN L", "2.50")
    job.open()
    shim(job, "IN L", "2.30")  # a try, out of the drawer by mistake
    assert inside() == ["2.30"]
    shim(job, "IN L", "")
    assert inside() == ["2.50"]
    with job.database.reading() as session:
        assert audit(session) == []


def test_a_shim_once_called_scrap_opens_no_valve_in_spec_until_it_is_read_again(job: Any) -> None:
    for valve in job.view.status.order:
        job.gap(valve, "15-18" if "IN" in valve else "25")
    shim(job, "IN L", "2.500", Condition.SCRAP)
    job.act(sign_card, signed_by="Oda", remarks="No piece was there for it.")
    job.open()
    for valve in job.view.status.order:
        job.gap(valve, "15-18" if "IN" in valve else "25")
    assert plan_of(job).remembered == ("IN L",)
    assert not plan_of(job).plan.changed
    assert job.view.status.valves["IN L"].need is Need.LEAVE
    shim(job, "IN L", "2.500", Condition.SCRAP)
    assert plan_of(job).plan.move("IN L").changes
    assert job.view.status.valves["IN L"].need is Need.OPEN  # type: ignore[comparison-overlap]


def test_what_the_round_before_proved_in_range_stays_shut_unless_somebody_opens_it(
    job: Any,
) -> None:
    """13 lies on the limit, its camshaft is out again: it would be opened were it not proved."""
    for valve in job.view.status.order:
        job.gap(valve, "8" if "IN" in valve else "25")
    for valve in ("IN L", "IN R"):
        shim(job, valve, "2.500")
    job.act(take_plan)
    for valve, proof in (("IN L", "10"), ("IN R", "13")):
        job.act(fit_piece, valve=valve, fitted=True, measured="")
        job.act(write_down_gap, valve=valve, purpose="proof", text=proof, unit=Unit.MM)
    job.act(next_round, reason="IN L is tight")
    states = job.view.status.valves
    assert (states["IN L"].opens, states["IN R"].opens) == (True, False)
    assert states["IN R"].reason == "in range, as the round before proved"
    job.act(set_policy, aim=Aim.LOOSE, rounding=Rounding.NEAREST, act=WhichToSet.ALL,
            trust=Trust.MEASURED, reuse=True)  # fmt: skip
    moves = {one.move.valve: one.move for one in plan_of(job).moves}
    assert [moves[v].changes for v in ("IN L", "IN R")] == [True, False]
    assert not moves["IN R"].pinned
    job.act(open_too, valve="IN R", opened=True)
    assert job.view.status.valves["IN R"].opens
    moves = {one.move.valve: one.move for one in plan_of(job).moves}
    assert moves["IN R"].changes
