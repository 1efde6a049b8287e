"""The whole card: what each valve needs and what each stage waits for."""

from dataclasses import replace
from importlib import resources
from typing import Any

import pytest

from plimb.core.engine.engine import measuring_order
from plimb.core.engine.layout import draw_head
from plimb.core.errors import BadValue
from plimb.core.job.stages import Stage
from plimb.core.job.status import job_status
from plimb.core.job.valve import Choice, ValveRecord
from plimb.core.lengths import Unit, mm
from plimb.core.measure.shorthand import parse_reading
from plimb.core.plan.needs import Need, WhichToSet
from plimb.core.shim.shim import parse_shim
from plimb.core.shim.sum import SizePolicy
from plimb.files.engine_file import read_engine


def engine(name: Any) -> Any:
    text = (resources.files("plimb.demo") / "engines" / f"{name}.json").read_text("utf-8")
    return read_engine(text).to_core()


TRIPLE, SINGLE, V_FOUR = (engine(name) for name in ("ollerby-triple", "tindle-single", "varrow-v4"))


def gap(text: Any) -> Any:
    return parse_reading(text, Unit.MM, thinnest_nm=mm("0.03"))


IN_SPEC = {v: gap("12" if "IN" in v else "20") for v in measuring_order(SINGLE)}


def seen(changes: Any = None, act: Any = WhichToSet.OUT) -> Any:
    sheets = {valve: ValveRecord(found=reading) for valve, reading in IN_SPEC.items()}
    return job_status(SINGLE, {**sheets, **(changes or {})}, SizePolicy(), act)


def stage(view: Any, name: Any) -> Any:
    return next(todo for todo in view.todo if todo.stage is name)


def test_cylinders_come_in_firing_order_intake_first_left_to_right() -> None:
    assert measuring_order(V_FOUR)[:8] == (
        "1 IN L", "1 IN R", "1 EX L", "1 EX R", "3 IN L", "3 IN R", "3 EX L", "3 EX R",
    )  # fmt: skip
    assert measuring_order(SINGLE) == ("IN L", "IN C", "IN R", "EX L", "EX R")


def test_a_check_with_everything_in_spec_goes_straight_to_sign() -> None:
    view = seen()
    assert view.at is Stage.SIGN
    assert view.not_in_spec == ()
    assert not any(stage(view, name).applies for name in (Stage.READ, Stage.CHOOSE, Stage.PROVE))


def test_an_unmeasured_or_unsettled_valve_keeps_the_card_at_feel() -> None:
    view = seen({"IN C": ValveRecord(), "EX L": ValveRecord(found=gap("15-18"))})
    assert view.at is Stage.FEEL
    assert stage(view, Stage.FEEL).waiting == ("IN C", "EX L")
    assert view.valves["EX L"].need is Need.FINER


@pytest.mark.parametrize("typed", ["8", "x", "20", "6-8"])
def test_a_valve_that_is_out_is_opened(typed: str) -> None:
    view = seen({"IN C": ValveRecord(found=gap(typed))})
    assert view.valves["IN C"].need is Need.OPEN
    assert stage(view, Stage.READ).waiting == ("IN C",)


def test_near_the_tight_edge_is_opened_only_by_the_school_that_does() -> None:
    change = {"IN C": ValveRecord(found=gap("11"))}
    assert seen(change).valves["IN C"].need is Need.LEAVE
    assert seen(change).valves["IN C"].near_edge
    assert seen(change, WhichToSet.NEAR).valves["IN C"].need is Need.OPEN
    assert (
        seen({"IN C": ValveRecord(found=gap(".1101"))}, WhichToSet.NEAR).valves["IN C"].need
        is Need.LEAVE
    )


def test_setting_all_opens_what_lies_under_a_camshaft_that_comes_out() -> None:
    view = seen({"IN C": ValveRecord(found=gap("8"))}, WhichToSet.ALL)
    opened = [valve for valve in view.order if view.valves[valve].need is Need.OPEN]
    assert opened == ["IN L", "IN C", "IN R"]


def whole(proof: Any = None, found: Any = "8", chosen: Any = "1.80") -> Any:
    return ValveRecord(
        found=gap(found),
        piece=parse_shim("185 1.848"),
        choice=Choice(thickness_nm=mm(chosen)),
        proof=proof and gap(proof),
    )


def test_a_changed_valve_is_unproved_until_it_is_measured_again() -> None:
    view = seen({"IN C": whole()})
    assert view.at is Stage.FIT
    fitted = replace(whole(), choice=replace(whole().choice, fitted=True))
    assert seen({"IN C": fitted}).at is Stage.PROVE
    assert view.valves["IN C"].predicted.best_nm == mm("0.128")
    assert view.valves["IN C"].left is None
    assert view.not_in_spec == ("IN C",)


def test_the_proof_is_held_against_what_was_predicted() -> None:
    state = seen({"IN C": whole("13")}).valves["IN C"]
    assert state.residual_nm == mm("0.002")
    assert seen({"IN C": whole("13")}).not_in_spec == ()


def test_a_failed_proof_is_not_in_spec() -> None:
    failed = seen({"IN C": whole("9")})
    assert failed.not_in_spec == ("IN C",)
    assert failed.at is Stage.PROVE


def test_a_valve_held_open_is_worked_back_from_its_proof() -> None:
    """Gap before = gap now + (piece now − piece before): 0.05 + 1.70 − 1.848 = −0.098."""
    state = seen({"IN C": whole("5", found="x", chosen="1.70")}).valves["IN C"]
    assert state.was_nm == -mm("0.098")
    assert state.residual_nm is None


def test_keeping_the_piece_needs_no_proof() -> None:
    kept = ValveRecord(
        found=gap("8"), piece=parse_shim("1.85"), choice=Choice(thickness_nm=mm("1.85"))
    )
    assert seen({"IN C": kept}).at is Stage.SIGN
    assert seen({"IN C": kept}).not_in_spec == ("IN C",)
    # decided on now it is another piece as thick: the one that was in goes into another valve
    clearance = seen({"IN C": kept}).valves["IN C"].clearance
    bought = replace(kept.choice, made_from=kept.made_from(clearance))
    status = seen({"IN C": replace(kept, choice=bought)})
    assert (status.at, status.valves["IN C"].touched) == (Stage.FIT, True)


@pytest.mark.parametrize(
    ("machine", "banks", "plates"),
    [(TRIPLE, 1, (6, 6)), (SINGLE, 1, (3, 2)), (V_FOUR, 2, (8, 8))],
    ids=["triple", "five-valve single", "V-four"],
)
def test_the_drawing_shows_every_valve_on_its_own_side(
    machine: Any, banks: Any, plates: Any
) -> None:
    drawing = draw_head(machine)
    spots = [spot for bank in drawing.banks for spot in bank.valves]
    assert len(drawing.banks) == banks
    assert sorted(spot.valve for spot in spots) == sorted(measuring_order(machine))
    assert len({(spot.u, spot.v, spot.plate) for spot in spots}) >= len(spots) // banks
    sides = [machine.clearance(spot.valve).side.value for spot in spots]
    assert (sides.count("intake"), sides.count("exhaust")) == plates
    for bank in drawing.banks:
        for one in bank.valves:
            for other in bank.valves:
                apart = ((one.u - other.u) ** 2 + (one.v - other.v) ** 2) ** 0.5
                assert one is other or apart >= one.radius + other.radius


def test_the_v_fours_intakes_face_each_other() -> None:
    front, rear = draw_head(V_FOUR).banks
    intake = {spot.valve: spot.v for bank in (front, rear) for spot in bank.valves}
    assert intake["2 IN L"] > 0 > intake["1 IN L"]


def broken(old: Any, new: Any) -> Any:
    text = (resources.files("plimb.demo") / "engines" / "tindle-single.json").read_text("utf-8")
    assert old in text
    return text.replace(old, new, 1)


@pytest.mark.parametrize(
    ("old", "new", "path"),
    [
        ('"version": 1', '"version": 2', "$.version"),
        ('"id": "IN C"', '"id": "IN L"', "$.engine"),
        ('"cylinder": 1, "side": "intake"', '"cylinder": 2, "side": "intake"', "$.engine"),
        ('"camshaft": "IN"}', '"camshaft": "XX"}', "$.engine"),
        ('"min": 0.10', '"min": NaN', "$"),
        ('"min": 0.10', '"min": 1e9', "$.engine.spec.intake.min"),
        ('"min": 0.10', '"min": 0.16', "$.engine.spec.intake"),
        ('"step": 0.05', '"step": 0', "$.engine.family"),
        ('"cylinders": [1]', '"cylinders": [1, 1]', "$.engine"),
        ('"cylinders": [1]', '"cylinders": [2]', "$.engine"),
        ('"side": "intake"', '"side": "up"', "$.engine.camshafts[0].side"),
        ('"min": 0.10', '"min": 0.10, "min": 0.11', "$"),
        ('"min": 0.10', '"min": ' + "9" * 5000, "$"),
        ('"min": 0.10', '"min": ' + "[" * 100_000, "$"),
        ("{", "", "$"),
    ],
)  # fmt: skip
def test_a_broken_engine_file_is_refused_with_its_place(old: Any, new: Any, path: Any) -> None:
    with pytest.raises(BadValue) as refusal:
        read_engine(broken(old, new)).to_core()
    assert refusal.value.field == path
