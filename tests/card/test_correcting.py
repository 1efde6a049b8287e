"""An engine of which little is known, and what is put right on an open card."""

import json
from decimal import Decimal
from itertools import product
from typing import Any

import pypdfium2
import pytest

from plimb.books.bench import read_shop
from plimb.card.acts.correct import correct_card, put_away, take_over_engine
from plimb.card.acts.read import write_down_shim
from plimb.card.acts.sign import sign_card
from plimb.card.build import read_card
from plimb.card.planning import read_plan
from plimb.card.transfer import export_card, import_card
from plimb.core.engine.engine import Side
from plimb.core.engine.followers import Follower
from plimb.core.engine.machine import Measure
from plimb.core.errors import BadValue, NotReady
from plimb.core.job.stages import Stage
from plimb.core.lengths import Unit, mm
from plimb.core.measure.limits import Verdict
from plimb.core.plan.needs import Need
from plimb.files.sheet_pdf import sheet_pdf
from plimb.files.starting_point import Layout, Start, starting_point
from plimb.record.database import Database

from ..conftest import NOON
from ..guest import Job


@pytest.mark.parametrize(("layout", "follower"), list(product(Layout, Follower)))
def test_a_layout_brings_no_figure_that_nobody_entered(layout: Any, follower: Any) -> None:
    valves = 2 if follower is Follower.OPENER_CLOSER else 4
    document = starting_point(Start(layout=layout, follower=follower, valves=valves))
    engine = document["engine"]
    assert engine["spec"] == {"intake": {}, "exhaust": {}}
    assert engine["family"] == {"runs": []}
    assert not {"events", "price", "closer_family"} & engine.keys()
    assert "rotation" not in engine["crank"]
    assert engine["crank"]["marks"] == []


def test_without_a_spec_a_gap_is_kept_and_not_judged(database: Database) -> None:
    job = Job(database)
    job.gap("IN L", "13-15")
    one = job.view.valves[0]
    assert (one.status.verdict, one.status.left, one.status.need) == (None, None, Need.SPEC)
    assert one.next_blade is None
    assert job.view.at is Stage.FEEL
    with database.reading() as session:
        assert read_plan(session, job.card.id).plan.moves == ()
    assert [(one.name, one.mm) for one in job.sheet.specs] == [
        ("intake and exhaust", "not entered")
    ]
    assert sheet_pdf(job.sheet).startswith(b"%PDF")
    with pytest.raises(NotReady, match="not shown to be in range"):
        job.act(sign_card, signed_by="Oda", remarks="")


def test_a_spec_entered_on_the_card_goes_to_the_engine_and_judges_what_was_read(
    database: Database,
) -> None:
    job = Job(database)
    job.gap("IN L", "13")
    job.gap("EX L", "13")
    job.spec(Side.INTAKE, ".006 ± .001", unit=Unit.INCH)
    valves = {one.status.valve: one.status for one in job.view.valves}
    assert valves["IN L"].verdict is Verdict.IN
    assert valves["EX L"].verdict is None
    job.spec(Side.EXHAUST, "0.25", room="0.03")
    assert {s.status.verdict for s in job.view.valves if s.status.record.found} == {
        Verdict.IN, Verdict.TIGHT,
    }  # fmt: skip
    assert [(one.name, one.thou) for one in job.sheet.specs] == [
        ("intake", "5–7 (6 ± 1) thou"),
        ("exhaust", "8.7–11 (9.8, the shop’s own room 1.2) thou"),
    ]
    document = json.loads(job.document)
    assert document["unit"] == "in"  # the first spec's
    assert document["engine"]["spec"]["intake"] == {"nominal": 0.006, "plus_minus": 0.001}


def test_one_figure_without_a_room_is_refused_at_the_room(database: Database) -> None:
    job = Job(database)
    with pytest.raises(BadValue) as refusal:
        job.spec(Side.INTAKE, "0.16")
    assert refusal.value.field == "room"
    assert job.view.valves[0].status.clearance.spec is None


def test_a_corrected_engine_is_offered_said_and_judged_anew(database: Database) -> None:
    job = Job(database)
    job.spec(Side.INTAKE, "0.10-0.15")
    job.gap("IN L", "17")
    job.revise(lambda engine: engine["spec"]["intake"].update({"max": 0.18}), revision=2)
    assert job.view.engine_changes == ("Spec of IN L, IN R: 0.10–0.15 mm becomes 0.10–0.18 mm.",)
    assert job.view.valves[0].status.verdict is Verdict.LOOSE
    with pytest.raises(NotReady, match="Take that over first"):
        job.spec(Side.EXHAUST, "0.20-0.25")
    job.act(take_over_engine)
    assert job.view.engine_changes == ()
    assert job.view.valves[0].status.verdict is Verdict.IN  # type: ignore[comparison-overlap]
    with database.reading() as session:
        assert read_card(session, job.card.id).rounds[0].status.valves["IN L"].record.found


def test_a_valve_that_is_written_about_is_not_lost_with_a_correction(database: Database) -> None:
    job = Job(database)
    job.gap("EX R", "20")

    def without(engine: Any) -> None:
        engine["valves"] = [one for one in engine["valves"] if one["id"] != "EX R"]

    job.revise(without)
    assert job.view.engine_changes == ("EX R: not on the engine any more.",)
    with pytest.raises(NotReady, match="EX R"):
        job.act(take_over_engine)
    assert "EX R" in job.view.status.valves


def test_unknown_shims_are_nobody_elses_and_a_marking_can_be_read(database: Database) -> None:
    job = Job(database)
    job.spec(Side.INTAKE, "0.10-0.15")
    job.gap("IN L", "5")
    job.act(write_down_shim, valve="IN L", text="275 2.751")
    family = job.view.engine.clearance("IN L").family
    assert not family.known
    assert family.sizes() == ()
    with database.reading() as session:
        view = read_plan(session, job.card.id)
    plan = view.plan
    assert [move.thickness_nm for move in plan.moves if move.changes] == []
    assert plan.out_of_spec == ("IN L",)
    assert "Nobody has entered which sizes are made" in view.moves[0].why
    assert [(one.valve, one.thin_nm, one.thick_nm) for one in plan.cannot] == [
        ("IN L", mm("2.651"), mm("2.701"))
    ]


def test_what_a_card_says_of_the_job_is_corrected_by_an_act(database: Database) -> None:
    job = Job(database)
    job.act(
        correct_card,
        reason="After a seizure",
        distance=18200,
        measure=Measure.KM,
        hours=None,
        opened_by="Ida",
    )
    view = job.view
    assert (view.reason, view.distance, view.opened_by) == ("After a seizure", 18200, "Ida")
    with pytest.raises(BadValue):
        job.act(correct_card, reason="", distance=None, hours=None, opened_by=" ")
    assert job.view.reason == "After a seizure"
    job.act(correct_card, reason=" ", distance=None, hours=None, opened_by="Ida")
    assert job.line("Why") is None  # nobody need say why, and nothing stands in for it


def test_what_was_written_in_thou_stays_in_thou(database: Database) -> None:
    job = Job(database)
    job.spec(Side.INTAKE, ".004-.006", unit=Unit.INCH)
    job.gap("IN L", "4-5", Unit.INCH)
    found = job.view.valves[0].status.record.found
    assert (found.typed, found.unit, found.gap.low_nm) == ("4-5", Unit.INCH, 4 * 25_400)
    assert job.view.unit is Unit.INCH
    page = pypdfium2.PdfDocument(sheet_pdf(job.sheet))[0].get_textpage().get_text_range()
    assert "gaps in thou, shims in mm" in page
    assert "4–5" in page


def test_hours_keep_their_decimal_point_on_card_sheet_and_file(database: Database) -> None:
    job = Job(database)
    job.act(correct_card, reason="30 h", distance=None, hours="62,5", opened_by="Ida")
    assert job.view.hours == Decimal("62.5")
    assert ("At", "62.5 h") in [(fact.name, fact.says) for fact in job.sheet.facts]
    with database.reading() as session:
        text = export_card(session, job.card.id)
    assert json.loads(text)["job"]["hours"] == 62.5
    again = import_card(database, text, now=NOON)
    with database.reading() as session:
        assert read_card(session, again).hours == Decimal("62.5")
    with pytest.raises(BadValue) as refusal:
        job.act(correct_card, reason="30 h", distance=None, hours="6 2", opened_by="Ida")
    assert refusal.value.field == "hours"


def test_a_card_opened_by_mistake_is_put_away_and_brought_back_whole(database: Database) -> None:
    job = Job(database)
    job.gap("IN L", "13")
    job.act(put_away, away=True)
    assert [card.put_away_at for card in read_shop(database).cards] == [NOON]
    assert job.view.status.valves["IN L"].record.found
    job.act(put_away, away=False)
    assert [card.put_away_at for card in read_shop(database).cards] == [None]


def test_without_a_feeler_set_nobody_knows_which_blade_was_the_thinnest(database: Database) -> None:
    job = Job(database)
    with pytest.raises(BadValue, match="choose the feeler set"):
        job.gap("IN L", "x")
    job.gap("IN L", "-3")
    assert job.view.valves[0].status.record.found.gap.high_nm == mm("0.03")
