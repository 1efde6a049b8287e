"""What a card carries besides its gaps: its kind, the machine, side checks, notes, the bill."""

import json
from datetime import date
from decimal import Decimal
from typing import Any

import pypdfium2
import pytest

from plimb.books.bench import read_shop
from plimb.card.acts import note, remembering
from plimb.card.acts.choose import choose_piece, take_plan
from plimb.card.acts.correct import change_instrument, change_kind
from plimb.card.acts.feel import write_down_gap
from plimb.card.acts.fit import fit_piece, lay_bolts, turn_bolts
from plimb.card.acts.opening import Amount
from plimb.card.acts.remembering import set_method
from plimb.card.acts.sign import blank_sheet, sign_card
from plimb.card.billing import bill_csv
from plimb.card.planning import read_plan
from plimb.card.transfer import import_card
from plimb.core.engine.machine import Measure, RenewedPart
from plimb.core.engine.turning import Method
from plimb.core.errors import BadValue, NotReady
from plimb.core.job.checks import BillLine, CylinderCheck, SideChecks
from plimb.core.job.kinds import JobKind
from plimb.core.job.stages import Stage
from plimb.core.job.torque import Thread, TorqueUnit
from plimb.core.lengths import Unit, mm
from plimb.core.measure.blades import Blade, BladeSet, BladeState, Stack
from plimb.files.sheet_pdf import sheet_pdf
from plimb.files.starting_point import Layout
from plimb.record.database import Database
from plimb.shop.tools import add_instrument, save_blade_set, set_blade_state

from ..conftest import NOON
from ..guest import Job, card_text


def known(engine: Any) -> None:
    """Enter a spec and sizes."""
    engine["spec"] = {"intake": {"min": 0.10, "max": 0.20}, "exhaust": {"min": 0.20, "max": 0.30}}
    engine["family"] = {
        "diameter": 9.48, "runs": [{"from": 2, "to": 3, "step": 0.05}], "price": 7.4,
    }  # fmt: skip


def test_one_valve_by_two_thou_from_opening_to_the_signed_sheet(database: Database) -> None:
    def inches(engine: Any) -> None:
        known(engine)
        engine["spec"]["exhaust"] = {"min": 0.15, "max": 0.40}

    amount = Amount(valve="EX L", by="2", wider=True, unit=Unit.INCH)
    job = Job(database, change=inches, opened={"kind": JobKind.ONE, "amount": amount})
    assert (job.view.only_valve, job.view.change_nm) == ("EX L", 50_800)
    assert [stop.valves for stop in job.view.turning.stops] == [("EX L",)]
    job.gap("EX L", "20")
    job.shim("EX L", "270 2.700")
    with database.reading() as session:
        moves = read_plan(session, job.card.id).plan.moves
    assert [(one.valve, one.thickness_nm) for one in moves] == [("EX L", mm("2.65"))]
    job.act(take_plan)
    job.act(fit_piece, valve="EX L", fitted=True, measured="")
    job.act(write_down_gap, valve="EX L", purpose="proof", text="25", unit=Unit.MM)
    job.act(sign_card, signed_by="Oda", remarks="")
    assert job.line("Job") == "one valve by a known amount: EX L by 0.0508 mm wider"
    assert [one.valve for one in job.sheet.rows if one.left] == ["EX L"]


@pytest.mark.parametrize(
    ("amount", "field"),
    [
        (None, "amount"),
        (Amount(valve="EX L", by="0", wider=True, unit=Unit.MM), "amount"),
        (Amount(valve="EX L", by="2", wider=True, unit=Unit.MM), "amount"),
        (Amount(valve="EX 9", by="2", wider=True, unit=Unit.INCH), "valve"),
        (Amount(valve="EX L", by="two", wider=True, unit=Unit.INCH), "amount"),
    ],
)
def test_one_valve_without_a_valve_or_an_amount_that_can_be_is_refused(
    database: Database, amount: Any, field: Any
) -> None:
    job = Job(database)
    with pytest.raises(BadValue) as refusal:
        job.act(change_kind, kind=JobKind.ONE, amount=amount)
    assert refusal.value.field == field
    assert job.view.kind is JobKind.SET


def test_the_kind_is_corrected_on_the_open_card_but_no_check_only_once_pieces_are_out(
    database: Database,
) -> None:
    job = Job(database, change=known)
    job.act(change_kind, kind=JobKind.CHECK, amount=None)
    job.gap("IN L", "8")
    assert job.view.status.opened == ()
    job.act(change_kind, kind=JobKind.EVERY, amount=None)
    for valve, text in (("IN R", "15"), ("EX L", "25"), ("EX R", "25")):
        job.gap(valve, text)
    assert len(job.view.status.opened) == 4
    job.shim("IN L", "250")
    with pytest.raises(NotReady, match="Shims are out"):
        job.act(change_kind, kind=JobKind.CHECK, amount=None)
    assert job.line("Job") == "set everything while it is apart"


def test_on_the_bench_there_is_no_crank_on_card_sheet_or_paper(database: Database) -> None:
    job = Job(database, Layout.FLAT_FOUR, opened={"kind": JobKind.BENCH})
    turning = job.view.turning
    assert (turning.method, turning.lanes) == (Method.BENCH, ())
    assert all(stop.degrees is None and stop.camshaft for stop in turning.stops)
    assert sorted(v for stop in turning.stops for v in stop.valves) == sorted(job.view.status.order)
    assert job.line("Turned") == "each camshaft by its gear"
    with database.reading() as session:
        assert blank_sheet(session, job.card.id).startswith(b"%PDF")


def test_what_was_found_changes_only_with_a_reason_once_pieces_are_out(database: Database) -> None:
    job = Job(database, change=known)
    for valve, text in (("IN L", "8"), ("IN R", "15"), ("EX L", "25"), ("EX R", "25")):
        job.gap(valve, text)
    job.shim("IN L", "250")
    with pytest.raises(NotReady) as refusal:
        job.gap("IN L", "9")
    assert refusal.value.field == "correction"
    assert job.view.apart
    job.act(write_down_gap, valve="IN L", purpose="found", text="9", unit=Unit.MM,
            reason="Read the wrong scale")  # fmt: skip
    assert job.line("Corrected once apart") == (
        "IN L found 8, corrected to 9: Read the wrong scale"
    )
    assert job.view.at is Stage.CHOOSE
    with database.reading() as session:
        again = import_card(Database(database.path.parent / "other.sqlite3"),
                            card_text(session, job.card.id), now=NOON)  # fmt: skip
    assert again == 1


def test_the_engine_remembers_what_was_entered_where_it_was_met(database: Database) -> None:
    job = Job(database, opened={"distance": 4100, "measure": Measure.MILES})
    job.act(
        remembering.note_machine, owner="Ilse Varn", plate="OS 114", counter=Measure.MILES,
        interval="14000", caps="arrow to the front", tensioner="centre screw out first",
    )  # fmt: skip
    job.act(remembering.note_tools, tools=["8 mm long socket", " ", "8 mm long socket"])
    seal = RenewedPart(what="Plug-hole seal", number="S-4", count=2, price=Decimal("3.20"))
    job.act(remembering.note_parts, parts=[seal])
    job.act(remembering.note_for_next_time, stage=Stage.FIT, text="Left cap binds")
    laid = {
        "name": "Cam caps", "places": ((0.2, 0.2), (0.8, 0.8)), "torque": "120",
        "unit": TorqueUnit.LBF_IN, "thread": Thread.M6,
    }  # fmt: skip
    job.act(lay_bolts, **laid)
    job.act(turn_bolts, name="Cam caps", turned=2)
    set_id = save_blade_set(
        database, set_id=None, blades=BladeSet(name="B", blades=(Blade(nominal_nm=mm("0.1")),))
    )
    save_blade_set(
        database, set_id=None, blades=BladeSet(name="A", blades=(Blade(nominal_nm=mm("0.2")),))
    )
    job.act(set_method, method=Method.MARKS, blade_set_id=set_id)
    first = job.view.machine
    job.open()
    assert job.view.machine == first
    assert first.owner == "Ilse Varn"
    assert (first.interval, first.tools, first.parts) == (
        Decimal(14000), ("8 mm long socket",), (seal,),
    )  # fmt: skip
    assert first.notes == {"fit": "Left cap binds"}
    assert [(one.name, one.turned) for one in job.view.bolts] == [("Cam caps", 0)]
    assert job.view.blade_set.id == set_id
    assert job.view.measure is Measure.MILES
    assert job.line("Machine") == "Ilse Varn, OS 114"
    assert not job.view.engine_changes


def test_miles_stay_miles_on_card_sheet_and_file(database: Database) -> None:
    job = Job(database, change=known, opened={"distance": 14000, "measure": Measure.MILES})
    assert job.line("At") == "14\u202f000 miles"
    with database.reading() as session:
        assert json.loads(card_text(session, job.card.id))["job"]["distance_mi"] == 14000
    job.act(sign_card, signed_by="Oda", remarks="as found", next_distance=28000)
    assert job.sheet.next_check == "at 28\u202f000 miles"
    assert read_shop(database).cards[0].next_check == "at 28\u202f000 miles"


def test_the_next_check_is_by_distance_hours_or_a_day_that_lies_ahead(database: Database) -> None:
    job = Job(database)
    with pytest.raises(BadValue) as refusal:
        job.act(sign_card, signed_by="Oda", remarks="x", next_on=NOON.date())
    assert refusal.value.field == "next_on"
    job.act(
        sign_card, signed_by="Oda", remarks="x", next_distance=9000, next_hours="62,5",
        next_on=date(2027, 4, 1),
    )  # fmt: skip
    assert job.sheet.next_check == "at 9\u202f000 km or at 62.5 h or by 1 Apr 2027"


def test_side_checks_and_notes_stand_on_the_sheet_and_beside_the_next_ones(
    database: Database,
) -> None:
    job = Job(database, Layout.PARALLEL_TWIN)
    checks = SideChecks(
        cylinders=(CylinderCheck(cylinder=1, dry="11,5", wet="13", leak="8"),
                   CylinderCheck(cylinder=2)),
        plugs="dark",
    )  # fmt: skip
    job.act(note.note_checks, checks=checks)
    job.act(note.note_symptoms, text=" Hard cold start ")
    job.act(note.note_at, stage=Stage.FEEL, text="Blade 0.10 bent")
    job.act(note.note_at, stage=Stage.TURN, text="x")
    job.act(note.note_at, stage=Stage.TURN, text=" ")
    assert job.line("Also checked") == (
        "cylinder 1: dry 11,5 bar, wet 13 bar, leak-down 8 %; plugs: dark"
    )
    assert (job.line("What was noticed"), job.line("Note at Feel")) == (
        "Hard cold start", "Blade 0.10 bent",
    )  # fmt: skip
    assert job.line("Note at Turn") is None
    job.act(sign_card, signed_by="Oda", remarks="as found")
    job.open()
    assert job.view.checks_before == checks
    assert job.view.checks == SideChecks()


@pytest.mark.parametrize(
    ("one", "field"),
    [
        (CylinderCheck(cylinder=1, dry="31"), "dry-1"),
        (CylinderCheck(cylinder=1, wet="x"), "wet-1"),
        (CylinderCheck(cylinder=1, leak="101"), "leak-1"),
    ],
)
def test_a_compression_that_cannot_be_is_refused_at_its_field(
    database: Database, one: Any, field: Any
) -> None:
    job = Job(database)
    with pytest.raises(BadValue) as refusal:
        job.act(note.note_checks, checks=SideChecks(cylinders=(one,)))
    assert refusal.value.field == field


def test_the_bill_has_the_pieces_that_were_bought_and_what_was_written_besides(
    database: Database,
) -> None:
    job = Job(database, change=known)
    for valve, text in (("IN L", "8"), ("IN R", "7"), ("EX L", "25"), ("EX R", "25")):
        job.gap(valve, text)
    for valve in ("IN L", "IN R"):
        job.shim(valve, "250")
        job.act(choose_piece, valve=valve, thickness_nm=mm("2.40"))
    assert job.line("Used") is None  # nothing is in yet
    for valve in ("IN L", "IN R"):
        job.act(fit_piece, valve=valve, fitted=True, measured="", anyway=True)
    gasket = BillLine(what="Cover gasket", number="G-7", price=Decimal("12.5"))
    job.act(note.note_bill, lines=[gasket, BillLine(what="Sealant")])
    assert job.line("Used") == "2 × Shim 2.40 mm, 9.48 across, 1 × Cover gasket (G-7), 1 × Sealant"
    assert job.line("Comes to") == "27.30 without Sealant, whose price is not known"
    with database.reading() as session:
        rows = bill_csv(session, job.card.id).splitlines()
    assert rows[1:] == [
        '"Shim 2.40 mm, 9.48 across",,2,7.40,14.80', "Cover gasket,G-7,1,12.50,12.50",
        "Sealant,,1,,",
    ]  # fmt: skip
    with pytest.raises(BadValue):
        job.act(note.note_bill, lines=[BillLine(what=" ")])


def test_everything_a_card_carries_goes_out_and_comes_in_again(
    database: Database, fresh: Any
) -> None:
    job = Job(database, change=known, opened={"kind": JobKind.CHECK, "distance": 7})
    job.act(note.note_symptoms, text="Ticks")
    job.act(note.note_at, stage=Stage.READY, text="Cover weeps")
    job.act(note.note_checks, checks=SideChecks(chain="slack"))
    job.act(note.note_bill, lines=[BillLine(what="Gasket", price=Decimal("9.99"))])
    with database.reading() as session:
        text = card_text(session, job.card.id)
    other = fresh("other")
    number = import_card(other, text, now=NOON)
    with other.reading() as session:
        assert card_text(session, number) == text


def test_the_instrument_is_corrected_and_a_snapped_blade_leaves_from_where_it_is_used(
    database: Database,
) -> None:
    calliper = add_instrument(database, name="Calliper", doubt="0.02")
    blades = BladeSet(
        name="Set",
        blades=(Blade(nominal_nm=mm("0.1")), Blade(nominal_nm=mm("0.05"))),
        stacks=(Stack(blades=(mm("0.1"), mm("0.05")), measured_nm=mm("0.153")),),
    )
    set_id = save_blade_set(database, set_id=None, blades=blades)
    job = Job(database, change=known)
    job.act(change_instrument, instrument_id=None)
    assert job.line("Shims measured with") is None
    job.act(change_instrument, instrument_id=calliper)
    assert job.line("Shims measured with") == "Calliper"
    job.gap("IN L", "10+5")
    assert job.view.valves[0].status.record.found.gap.best_nm == mm("0.153")
    set_blade_state(database, set_id=set_id, nominal_nm=mm("0.05"), state=BladeState.BROKEN)
    assert [one.nominal_nm for one in job.view.blades.usable] == [mm("0.1")]
    with pytest.raises(BadValue, match="at least one sound"):
        set_blade_state(database, set_id=set_id, nominal_nm=mm("0.1"), state=BladeState.BENT)
    with pytest.raises(BadValue, match="no such blade"):
        set_blade_state(database, set_id=set_id, nominal_nm=mm("0.2"), state=BladeState.BENT)


# units apart --------------------------------------------------------------------------------


def in_units(gap: Any, shim: Any) -> Any:
    """Enter a spec of 4 to 8 thou, and shims of about a tenth of an inch."""

    def enter(engine: Any) -> None:
        step = {"mm": 25.4, "in": 1}
        engine["spec"]["intake"] = {
            "min": 0.004 * step[gap], "max": 0.008 * step[gap],
        }  # fmt: skip
        run = {"from": 0.090, "to": 0.120, "step": 0.002}
        engine["family"]["runs"] = [{end: value * step[shim] for end, value in run.items()}]

    return enter


def guest_in(database: Database, gap: Any, shim: Any) -> Any:
    units = {"unit": gap, "shim_unit": shim}
    return Job(database, change=in_units(gap, shim), units=units)


@pytest.mark.parametrize(
    ("gap", "shim", "typed", "stack", "why"),
    [
        ("mm", "mm", "2.794", "Stack: 0.0762 + 2.794 = 2.8702 mm.", "0.0762 + 2.794 − 2.6924"),
        ("in", "mm", "2.794", "Stack: 0.0762 (3 thou) + 2.794 = 2.8702 mm.", "(3 thou) + 2.794 −"),
        ("in", "in", ".1100", "Stack: 0.0030 + 0.1100 = 0.1130 in.", "0.0030 + 0.1100 − 0.1060"),
        ("mm", "in", ".1100", "Stack: 0.0030 (0.0762 mm) + 0.1100 = 0.1130 in.", "(0.0762 mm) +"),
    ],
)
def test_sum_plan_and_sheet_are_in_the_units_of_the_card(
    database: Database, gap: Any, shim: Any, typed: str, stack: Any, why: Any
) -> None:
    job = guest_in(database, gap, shim)
    job.gap("IN L", "3", Unit.INCH)
    job.shim("IN L", typed)
    view = job.view
    one = view.valves[0]
    assert one.status.record.piece.thickness_nm == mm("2.794")
    assert (view.unit.value, view.shim_unit.value) == (gap, shim)
    with database.reading() as session:
        move = read_plan(session, job.card.id).moves[0]
    assert move.sum[0] == stack
    assert move.move.thickness_nm == mm("2.6924")  # 106 thou: the loose end of the spec
    assert why in move.why
    job.act(take_plan)
    page = pypdfium2.PdfDocument(sheet_pdf(job.sheet))[0].get_textpage().get_text_range()
    assert f"gaps in {'thou' if gap == 'in' else 'mm'}, shims in {shim}" in page
    assert ("0.1060" if shim == "in" else "2.6924") in page


@pytest.mark.parametrize(("marking", "nm"), [("110", 2_794_000), ("1100", 2_794_000)])
def test_a_marking_in_inches_is_read_in_inches(database: Database, marking: Any, nm: Any) -> None:
    job = guest_in(database, "in", "in")
    job.shim("IN L", marking)
    piece = job.view.valves[0].status.record.piece
    assert (piece.marked_nm, piece.words) == (nm, f"marked {marking}, that is 0.1100 in")
    with pytest.raises(BadValue, match="fits no size"):
        job.shim("IN R", "111")


def test_two_open_cards_of_one_engine_keep_what_the_other_entered(database: Database) -> None:
    first, second = Job(database), None
    card = first.card
    first.open()
    second, first.card = first.card, card
    first.act(remembering.note_tools, tools=["Long socket"])
    first.card, card = second, first.card
    assert first.view.machine.tools == ("Long socket",)
    assert first.view.engine_changes == ()
    first.act(remembering.note_for_next_time, stage=Stage.FIT, text="Left cap binds")
    assert first.view.machine.tools == ("Long socket",)
    first.card = card
    first.act(sign_card, signed_by="Oda", remarks="as found")
    assert first.view.machine.notes == {"fit": "Left cap binds"}
