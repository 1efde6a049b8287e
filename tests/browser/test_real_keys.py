"""Typed key by key, at a finger's pace, at a server that takes a second: nothing is lost."""

import re
from typing import Any

import pytest
from playwright.sync_api import expect

from plimb.core.engine.engine import Side
from plimb.record.database import Database

from ..guest import Job
from .slowly import keys, pick, slow, typed, unfold, until

FIRST = "**/api/cards/1"


@pytest.fixture
def application(database: Database) -> Any:
    """Serve an empty record slowly."""
    return slow(database)


def job_with(database: Database, spec: Any = True, **engine: Any) -> Any:
    """Open a card on a twin of a guest's, with a spec."""
    job = Job(database, change=lambda file: file.update(engine))
    if spec:
        job.spec(Side.INTAKE, "0.10-0.15")
        job.spec(Side.EXHAUST, "0.20-0.25")
    return job


@pytest.mark.parametrize(
    ("inch", "figure", "room", "plus_minus"),
    [
        (False, "0,17", ".03", 0.03),
        pytest.param(False, "0.17", "0.03", 0.03, marks=pytest.mark.long),
        pytest.param(True, ".006", ".001", 0.001, marks=pytest.mark.long),
    ],
)
def test_the_tolerance_of_a_one_figure_spec_is_typed_key_by_key(
    open_page: Any, inch: Any, figure: Any, room: Any, plus_minus: Any
) -> None:
    page = open_page("/engines/new")
    if inch:
        page.get_by_role("group", name="Unit of the gaps in the manual").get_by_text("inch").click()
    typed(page, "Name of this machine", "Hesk")
    typed(page, "Intake allowed gap, as printed", figure)
    allow = page.get_by_label("Intake, how much more or less")
    expect(allow).to_be_visible()
    allow.click()
    keys(page, room)
    expect(allow).to_have_value(room)
    page.get_by_role("button", name="Save the engine").click()
    expect(page.get_by_role("button", name="Open a card", exact=True)).to_be_visible()
    until(page, "/api/engines/1",
          "(said, want) => JSON.parse(said.document).engine.spec.intake.room === want",
          plus_minus)  # fmt: skip


@pytest.mark.long
def test_a_spec_that_is_typed_with_its_unit_says_what_the_manual_is_in(open_page: Any) -> None:
    page = open_page("/engines/new")
    typed(page, "Name of this machine", "Quenby")
    typed(page, "Intake allowed gap, as printed", ".007 ± .001 in")
    unit = page.get_by_role("group", name="Unit of the gaps in the manual")
    expect(unit.get_by_role("radio", name="inch")).to_be_checked()
    typed(page, "Exhaust allowed gap, as printed", ".011 ± .001")
    page.get_by_role("button", name="Save the engine").click()
    expect(page.get_by_role("button", name="Open a card", exact=True)).to_be_visible()
    until(page, "/api/engines/1",
          "(said) => { const { unit, shim_unit, engine: { spec } } = JSON.parse(said.document);"
          " return unit === 'in' && shim_unit === 'mm' && spec.intake.nominal === 0.007"
          " && spec.exhaust.nominal === 0.011; }")  # fmt: skip


@pytest.mark.long
def test_a_spec_that_can_mean_two_things_is_asked_about_and_a_tap_answers(open_page: Any) -> None:
    page = open_page("/engines/new")
    typed(page, "Name of this machine", "Courier")
    typed(page, "Intake allowed gap, as printed", ".004-.008")
    page.get_by_role("button", name=".004-.008 in").click()
    typed(page, "Exhaust allowed gap, as printed", "15-25")
    page.get_by_role("button", name="Save the engine").click()
    expect(page.get_by_role("alert").first).to_contain_text("is no usual gap in mm")
    page.get_by_role("button", name="0.15-0.25 mm").click()
    page.get_by_text("More: make and model").click()
    typed(page, "Check every (from the manual)", "14,000")
    page.get_by_role("button", name="Save the engine").click()
    expect(page.get_by_role("button", name="Open a card", exact=True)).to_be_visible()
    until(page, "/api/engines/1", """(said) => {
        const { spec, interval } = JSON.parse(said.document).engine;
        return spec.intake.min === 0.1016 && spec.exhaust.max === 0.25 && interval === 14000;
    }""")  # fmt: skip
    page.goto("/engines/1")
    field = page.get_by_label("Check every (from the manual)")
    expect(field).to_have_value("14000")
    field.click()
    page.keyboard.press("ControlOrMeta+a")
    keys(page, "12.000")
    page.get_by_role("button", name="12 000", exact=True).click()
    expect(field).to_have_value("12 000")
    page.get_by_role("button", name="Save the engine").click()
    until(page, "/api/engines/1", "(said) => JSON.parse(said.document).engine.interval === 12000")


def test_what_was_filled_in_for_somebody_is_typed_over(open_page: Any, database: Database) -> None:
    job_with(database)
    page = open_page("/")
    page.get_by_role("button", name="Open a card", exact=True).click()
    pick(page, "Engine", "Guest")
    typed(page, "Reason for the job", "It ticks")
    typed(page, "Technician", "Nessa")
    page.get_by_role("button", name="Open the card").click()
    page.wait_for_url("**/cards/2/**")
    card = page.request.get("/api/cards/2").json()
    assert (card["reason"], card["opened_by"]) == ("It ticks", "Nessa")
    page.goto("/cards/2/sign")
    typed(page, "Name", "Ilse")
    expect(page.get_by_label("Name", exact=True)).to_have_value("Ilse")


def test_what_is_taken_already_stays_taken_when_it_is_tapped_again(
    open_page: Any, database: Database
) -> None:
    page = open_page(f"/cards/{job_with(database).card.id}/feel")
    unit = page.get_by_role("group", name="Gaps in").get_by_role("radio", name="mm")
    expect(unit).to_be_checked()
    unit.click()
    expect(unit).to_be_checked()
    page.get_by_role("radio", name="thou").click()
    expect(unit).not_to_be_checked()


@pytest.mark.long
def test_a_distance_is_read_as_a_meter_shows_it_and_asked_about(
    open_page: Any, database: Database
) -> None:
    job_with(database)
    page = open_page("/")
    page.get_by_role("button", name="Open a card", exact=True).click()
    pick(page, "Engine", "Guest")
    typed(page, "Technician", "Nessa")
    typed(page, "Distance", "12.000")
    keys(page, "⏎")
    dialog = page.get_by_role("dialog")
    expect(dialog).to_contain_text("12.000” can be 12 or 12 000")
    dialog.get_by_role("button", name="12 000").click()
    expect(dialog.get_by_label("Distance")).to_have_value("12 000")
    dialog.get_by_role("button", name="Open the card").click()
    expect(page).to_have_url(re.compile("/cards/2/"))
    until(page, "/api/cards/2", "(said) => said.distance === 12000")


@pytest.mark.parametrize("stage", ["feel", pytest.param("prove", marks=pytest.mark.long)])
def test_with_a_question_open_the_next_reading_goes_to_the_next_valve(
    open_page: Any, database: Database, stage: Any
) -> None:
    """In Prove as in Feel: typed ahead, before the server has answered, too."""
    job = job_with(database)
    page = open_page(f"/cards/{job.card.id}/{stage}")
    order = [one.status.clearance.id for one in job.view.valves]
    expect(page.locator("#entry")).to_be_focused()
    in_hand = page.locator("[data-valve][aria-pressed=true]").get_attribute("data-valve")
    assert in_hand == order[0]
    keys(page, "128-152⏎")  # tenfold: hundredths where thousandths were read
    if stage == "feel":
        keys(page, "12⏎22⏎23⏎")
    asked = page.get_by_role("alert")
    expect(asked).to_contain_text(f"{order[0]}:")
    expect(asked).to_contain_text("ten times")
    name = "found" if stage == "feel" else "proof"
    if stage == "feel":
        until(page, "/api/cards/1", f"""(said) => said.valves.every((one) => one.{name})
            && said.valves[0].{name}.typed === '128-152'""")  # fmt: skip
    page.reload()
    expect(asked).to_contain_text(f"{order[0]}:")  # it waits in its list
    asked.get_by_role("button", name="It is 0.128–0.152").click()
    expect(asked).to_be_hidden()
    until(page, "/api/cards/1", f"(said) => said.valves[0].{name}.typed === '0.128-0.152'")


def test_what_is_entered_one_after_the_other_quickly_is_all_kept(
    open_page: Any, database: Database
) -> None:
    job = job_with(database)
    page = open_page(f"/cards/{job.card.id}/ready")
    unfold(page, "Tools for this job", "Parts to renew", "Parts removed")
    tool = page.get_by_label("One of its own, kept with the engine")
    tool.click()
    keys(page, "Strap⏎Lamp⏎Magnet⏎")
    expect(tool).to_have_value("")
    page.get_by_label("Part", exact=True).click()
    keys(page, "Cover gasket⏎Plug seals⏎")
    page.get_by_placeholder("Part that came off").click()
    keys(page, "Tank⏎Seat⏎Cover⏎")
    board = page.get_by_role("button", name="Add a pocket to Cover")
    for x in (40, 120, 200):
        board.click(position={"x": x, "y": 60})
    ticks = page.locator("label:has(input[type=checkbox])").all()
    for line in ticks:
        line.click()
    unfold(page, "Symptoms and side checks")
    typed(page, "What it did: hard cold start, noise, lost power", "Ticks⏎")
    keys(page, " when cold⏎")
    until(page, "/api/cards/1", """(said, ticks) =>
        said.machine.tools.join() === 'Strap,Lamp,Magnet'
        && said.machine.parts.map((one) => one.what).join() === 'Cover gasket,Plug seals'
        && said.tray.map((one) => one.name).join() === 'Tank,Seat,Cover'
        && said.tray[2].pockets.length === 3
        && said.safety.every((one) => one.done) && said.safety.length === ticks
        && said.symptoms === 'Ticks when cold'""", len(ticks))  # fmt: skip


@pytest.mark.long
def test_every_bolt_and_every_turn_that_is_tapped_counts(
    open_page: Any, database: Database
) -> None:
    job = job_with(database)
    page = open_page(f"/cards/{job.card.id}/fit")
    page.get_by_role("button", name="Lay out bolts").first.click()
    page.get_by_role("button", name="Lay them out").click()
    turned = page.get_by_role("button", name=re.compile("^Turned,"))
    for _bolt in range(5):
        turned.click()
    until(page, "/api/cards/1", "(said) => said.bolts[0].turned === 5")
    page.goto(f"/cards/{job.card.id}/prove")
    for _turn in range(2):
        page.get_by_role("button", name="One turn").click()
    keys(page, "12⏎")  # with no tap on the field between
    until(page, "/api/cards/1", """(said) => said.hand_turns === 2
        && said.valves[0].proof?.typed === '12'""")  # fmt: skip


@pytest.mark.long
def test_a_field_that_is_typed_in_stands_while_something_else_is_saved(
    open_page: Any, database: Database
) -> None:
    job = job_with(database)
    page = open_page(f"/cards/{job.card.id}/ready")
    unfold(page, "Parts removed")
    page.get_by_placeholder("Part that came off").click()
    keys(page, "Cover⏎")
    called = page.get_by_label("Called", exact=True)
    called.click()
    page.keyboard.press("ControlOrMeta+a")
    keys(page, "Head cover, outer half")  # the part itself is saved meanwhile
    expect(called).to_have_value("Head cover, outer half")
    keys(page, "⏎")
    until(page, "/api/cards/1", "(said) => said.tray[0].name === 'Head cover, outer half'")


def test_a_swap_with_an_empty_drawer_is_made_on_the_screen(
    open_page: Any, database: Database
) -> None:
    job = job_with(database, family={"runs": []})
    for valve, gap in (("IN L", "5"), ("IN R", "18"), ("EX L", "23"), ("EX R", "23")):
        job.gap(valve, gap)
    job.shim("IN L", "2.80")
    job.shim("IN R", "2.50")
    page = open_page(f"/cards/{job.card.id}/choose")
    for valve, other in (("IN L", "IN R"), ("IN R", "IN L")):
        page.locator(f"[data-valve='{valve}']").click()
        page.get_by_role("radio", name=re.compile(f"out of {other}")).click()
        page.get_by_role("button", name=re.compile(f"Take .* for {valve}")).click()
        said = page.get_by_role("region", name="The plan")
        # while it is worked out anew, the plan on the screen is of before
        expect(said).to_contain_text("without a shim" if valve == "IN L" else "out of range")
    page.locator("[data-valve='IN R']").click()
    expect(page.get_by_text("out of range, it would hold the valve open")).to_be_visible()


@pytest.mark.long
def test_a_plan_that_is_worked_out_anew_says_that_it_is_of_before(
    open_page: Any, database: Database
) -> None:
    job = job_with(database, family={"runs": [{"from": 2.0, "to": 3.0, "step": 0.05}]})
    for valve, gap in (("IN L", "5"), ("IN R", "13"), ("EX L", "23"), ("EX R", "23")):
        job.gap(valve, gap)
    job.shim("IN L", "2.80")
    page = open_page(f"/cards/{job.card.id}/choose")
    strip = page.get_by_role("region", name="The plan")
    expect(strip).to_contain_text("to buy")
    held = []
    page.route("**/api/cards/1/plan", lambda route: held.append(route))
    page.get_by_role("radio", name=re.compile("^2.75")).first.click()
    page.get_by_role("button", name=re.compile("Not this one")).click()
    expect(strip).to_contain_text("Plan of before")
    expect(page.get_by_text("The plan below is of before.")).to_be_visible()
    expect(page.locator("#take-plan")).to_be_disabled()
    held[0].abort()
    expect(page.get_by_role("button", name="Try again")).to_be_visible()
    page.unroute("**/api/cards/1/plan")
    page.get_by_role("button", name="Try again").click()
    expect(strip).not_to_contain_text("Plan of before")


@pytest.mark.long
def test_the_shop_is_named_and_what_was_not_touched_stays(
    open_page: Any, database: Database
) -> None:
    job = job_with(database)
    page = open_page("/shop")
    typed(page, "Name of the shop", "Kestrel Lane⏎")
    expect(page.get_by_text("Saved.").first).to_be_visible()
    turns = typed(page, "Full turns by hand", "")
    page.keyboard.press("ControlOrMeta+a")
    keys(page, "6")
    typed(page, "One more", "Old calliper⏎")  # another form of the page is saved meanwhile
    expect(page.get_by_text("Old calliper")).to_be_visible()
    expect(turns).to_have_value("6")
    page.locator("form", has=turns).get_by_role("button", name="Save").click()
    until(
        page,
        "/api/settings",
        """({ settings }) => {
            const at = (name) => settings.find((one) => one.name === name).value;
            return at("name") === "Kestrel Lane" && at("hand_turns") === "6" && at("sure") === "90";
        }""",
    )
    page.goto(f"/cards/{job.card.id}/sign")
    expect(page.locator("article.sheet")).to_contain_text("Kestrel Lane")
    page.goto("/")
    expect(page.get_by_role("heading", name="Kestrel Lane")).to_be_visible()


def test_every_valve_in_range_is_said_only_where_every_valve_was_measured(
    open_page: Any, database: Database
) -> None:
    job = job_with(database, spec=False)
    job.spec(Side.INTAKE, "0.10-0.15")
    for valve, gap in (("IN L", "13"), ("IN R", "12"), ("EX L", "23"), ("EX R", "23")):
        job.gap(valve, gap)
    page = open_page(f"/cards/{job.card.id}/feel")
    expect(page.get_by_text("Every valve is in range")).to_have_count(0)
    job.spec(Side.EXHAUST, "0.20-0.25")
    page.reload()
    expect(page.get_by_text("Every valve is in range. Nothing to open.")).to_be_visible()


@pytest.mark.long
def test_what_is_said_with_two_meanings_is_asked_at_the_field(
    open_page: Any, database: Database
) -> None:
    job = job_with(database)
    page = open_page(f"/cards/{job.card.id}/feel")
    expect(page.locator("#entry")).to_be_focused()
    keys(page, "thirteen goes fifteen goes⏎")
    which = page.get_by_role("group", name="Which one is it")
    which.get_by_role("button", name="13-15").click()
    until(page, "/api/cards/1", "(said) => said.valves[0].found?.typed === '13-15'")
    keys(page, "six thou⏎")
    until(page, "/api/cards/1", "(said) => said.valves[1].found?.goes?.[0]?.nm === 152400"
                                " || said.valves[1].found?.gap.low.nm === 152400")  # fmt: skip


@pytest.mark.long
def test_what_was_typed_ahead_of_a_reading_that_is_refused_waits_at_its_own_valve(
    open_page: Any, database: Database
) -> None:
    job = job_with(database)
    page = open_page(f"/cards/{job.card.id}/feel")
    expect(page.locator("#entry")).to_be_focused()
    keys(page, "x⏎22⏎")  # nobody has said which set it is: x is refused
    expect(page.locator("#understood")).to_contain_text("choose the feeler set")
    second = job.view.valves[1].status.clearance.id
    expect(page.locator(f"[data-valve='{second}']")).to_contain_text("22")
    page.locator("#entry").press("Backspace")
    keys(page, "-3⏎")
    expect(page.locator("#entry")).to_have_value("22")
    keys(page, "⏎")
    until(page, "/api/cards/1", "(said) => said.valves[0].found?.typed === '-3'"
                                " && said.valves[1].found?.typed === '22'")  # fmt: skip
