"""An engine nobody has entered before, from an empty record to its first readings."""

from typing import Any

import pytest
from playwright.sync_api import Page, expect

from plimb.record.database import Database
from plimb.web.server.application import create_app

from .slowly import keyed, unfold


@pytest.fixture
def application(database: Database) -> Any:
    """Serve an empty record."""
    return create_app(database)


class Hand:
    """Whoever sits before the screen; every tap is counted, names and figures are typed."""

    def __init__(self, page: Page) -> None:
        self.page, self.taps = page, 0

    def tap(self, where: Any) -> None:
        where.tap()
        self.taps += 1

    def button(self, name: str) -> None:
        self.tap(self.page.get_by_role("button", name=name, exact=True))

    def pick(self, label: str, item: str) -> None:
        self.tap(self.page.get_by_label(f"{label}:"))
        self.tap(self.page.get_by_role("option", name=item))

    def type(self, label: str, text: str) -> None:
        keyed(self.page.get_by_label(label, exact=True), text)


@pytest.mark.long
def test_a_rocker_single_in_thou_with_millimetre_shims_is_entered_and_measured(
    open_page: Any, no_barriers: Any
) -> None:
    page = open_page("/", phone=True)
    hand = Hand(page)
    hand.tap(page.get_by_role("link", name="Add your engine"))
    hand.pick("Cylinders", "single")
    hand.tap(page.get_by_role("group", name="Camshafts a bank").get_by_text("1"))
    hand.pick("Where they sit", "finger or rocker")
    for label in ("Intake", "Exhaust"):
        expect(page.get_by_label(f"{label} allowed gap, as printed")).to_have_value("")
    hand.type("Name of this machine", "Guest single")
    units = page.get_by_role("group", name="Unit of the gaps in the manual")
    hand.tap(units.get_by_text("inch"))
    hand.type("Intake allowed gap, as printed", ".005 ± .001")
    hand.type("Exhaust allowed gap, as printed", ".009-.011")
    shims = page.get_by_role("group", name="Unit of the shims")
    hand.tap(shims.get_by_text("mm"))
    hand.tap(page.get_by_text("by 0.05"))
    no_barriers(page, "a new engine on a phone")
    hand.button("Save and open a card")
    hand.type("Technician", "Nessa")
    hand.tap(page.get_by_role("button", name="Open the card"))
    expect(page.locator("header")).to_contain_text("Guest single")
    hand.tap(page.get_by_role("link", name="Feel"))
    expect(page.locator("#entry")).to_be_visible()
    expect(page.get_by_text("thou", exact=True).last).to_be_visible()
    for key in ("4", "–", "5"):
        hand.tap(page.get_by_role("group", name="Keypad").get_by_text(key, exact=True))
    hand.button("Write")
    expect(page.locator("[data-valve='IN L']")).to_contain_text("4–5")
    print(f"{hand.taps} taps besides typing")
    assert hand.taps <= 20
    card = page.request.get("/api/cards/1").json()
    assert card["unit"] == "in"
    one = next(valve for valve in card["valves"] if valve["valve"] == "IN L")
    assert (one["found"]["gap"]["low"]["nm"], one["verdict"]) == (101_600, "in")


@pytest.mark.long
def test_what_was_written_in_thou_is_corrected_in_thou_whatever_is_shown(
    open_page: Any, database: Database
) -> None:
    page = open_page("/engines/new")
    hand = Hand(page)
    page.get_by_label("Cylinders:").click()
    page.get_by_role("option", name="single").click()
    keyed(page.get_by_label("Name of this machine"), "Guest")
    page.get_by_role("button", name="Save and open a card").click()
    hand.type("Technician", "Nessa")
    page.get_by_role("button", name="Open the card").dblclick()
    expect(page.locator("header")).to_contain_text("Guest")
    assert len(page.request.get("/api/shop").json()["cards"]) == 1
    page.goto("/cards/1/feel")
    entry = page.locator("#entry")
    expect(page.get_by_text("The allowed gap is not entered for intake.")).to_be_visible()
    keyed(page.get_by_label("Intake allowed gap, as printed"), "0.17")
    page.get_by_role("button", name="Judge by it").click()
    allow = page.get_by_label("The manual gives one figure. How much more or less do you allow?")
    allow.press_sequentially("0.03", delay=40)
    page.get_by_role("button", name="Judge by it").click()
    expect(page.locator("[data-valve='IN L']")).to_contain_text("0.14–0.20")
    page.get_by_role("group", name="Gaps in").get_by_text("thou").click()
    keyed(entry, "6-7")
    entry.press("Enter")
    expect(page.locator("[data-valve='IN L']")).to_contain_text("6–7")
    before = page.request.get("/api/cards/1").json()["valves"][0]["found"]
    page.get_by_role("group", name="Gaps in").get_by_text("mm").click()
    page.locator("[data-valve='IN L']").click()
    entry.press("Backspace")
    expect(entry).to_have_value("6-7")
    expect(page.locator("form[data-entry]")).to_contain_text("6 thou goes, 7 thou refuses")
    entry.press("Enter")
    expect(entry).to_have_value("")
    assert page.request.get("/api/cards/1").json()["valves"][0]["found"] == before


@pytest.mark.long
def test_a_corrected_engine_is_taken_over_and_the_card_put_right_by_hand(open_page: Any) -> None:
    page = open_page("/engines/new")
    hand = Hand(page)
    page.get_by_label("Cylinders:").click()
    page.get_by_role("option", name="single").click()
    hand.type("Name of this machine", "Guest")
    hand.type("Intake allowed gap, as printed", "0.10-0.15")
    page.get_by_role("button", name="Save and open a card").click()
    hand.type("Technician", "Nessa")
    page.get_by_role("button", name="Open the card").click()
    page.get_by_role("button", name="Correct", exact=True).click()
    hand.type("Reason for the job", "After a seizure")
    hand.type("Distance", "18 200")
    hand.type("or hours run", "41,5")
    hand.type("Technician", "Sanna")
    page.get_by_role("button", name="Put it right").click()
    expect(page.get_by_text("After a seizure, at 18 200 km, 41.5 h; Sanna.")).to_be_visible()
    page.goto("/cards/1/feel")
    keyed(page.locator("#entry"), "17")
    page.locator("#entry").press("Enter")
    expect(page.locator("[data-valve='IN L']")).to_contain_text("loose")
    page.goto("/engines/1")
    hand.type("Intake allowed gap, as printed", "0.10-0.18")
    page.get_by_role("button", name="Save the engine").click()
    expect(page.get_by_text("Saved.")).to_be_visible()
    page.goto("/cards/1/feel")
    expect(page.get_by_text("0.10–0.15 mm becomes 0.10–0.18 mm")).to_be_visible()
    page.get_by_role("button", name="Take it over, judge again").click()
    expect(page.locator("[data-valve='IN L']")).to_contain_text("in range")
    expect(page.get_by_text("The engine was corrected")).to_be_hidden()


def about_to_open_a_card(open_page: Any) -> Page:
    """Enter an engine of which nothing is known, and who works on it."""
    page = open_page("/engines/new")
    hand = Hand(page)
    hand.type("Name of this machine", "Guest")
    page.get_by_role("button", name="Save and open a card").click()
    hand.type("Technician", "Nessa")
    return page


@pytest.mark.long
def test_a_card_opened_by_mistake_goes_out_of_sight_and_remarks_outlive_a_reload(
    open_page: Any,
) -> None:
    page = about_to_open_a_card(open_page)
    keyed(page.get_by_label("or hours run", exact=True), "62.5")
    page.get_by_role("button", name="Open the card").click()
    expect(page.get_by_text("62.5 h")).to_be_visible()
    page.goto("/cards/1/sign")
    keyed(page.get_by_label("Remarks"), "Left as found")
    page.reload()
    expect(page.get_by_label("Remarks")).to_have_value("Left as found")
    page.goto("/cards/1/ready")
    page.get_by_role("button", name="Correct", exact=True).click()
    page.get_by_role("button", name="Opened by mistake: put it away").click()
    expect(page.get_by_text("This card is put away.")).to_be_visible()
    page.get_by_role("link", name="Back to the bench").click()
    expect(page.get_by_text("No card is open.")).to_be_visible()
    page.get_by_text("1 card is put away").click()
    page.get_by_role("link", name="Guest").click()
    page.get_by_role("button", name="Bring it back").click()
    expect(page.get_by_text("This card is put away.")).to_be_hidden()


@pytest.mark.long
def test_parts_of_the_tray_are_renamed_moved_and_taken_out_after_being_asked(
    open_page: Any,
) -> None:
    page = about_to_open_a_card(open_page)
    page.get_by_role("button", name="Open the card").click()

    def tray_is(*names: str) -> None:
        """Wait until the server has it so: the screen shows it before."""
        page.wait_for_function(
            "async (wanted) => (await (await fetch('/api/cards/1')).json()).tray"
            ".map((part) => part.name).join() === wanted",
            arg=",".join(names),
        )

    unfold(page, "Parts removed")
    names = page.get_by_role("region", name="Parts removed").get_by_role("listitem")
    for part in ("Tank", "Coils", "Cover"):
        page.get_by_role("button", name=part, exact=True).click()
        expect(names.last).to_contain_text(part)
    called = page.get_by_label("Called", exact=True)
    keyed(called, "Head cover")
    called.press("Enter")
    expect(names.last).to_contain_text("Head cover")
    page.get_by_role("button", name="Earlier").click()
    expect(names.last).to_contain_text("Coils")
    tray_is("Tank", "Head cover", "Coils")
    page.get_by_role("button", name="Take out", exact=True).click()
    tray_is("Tank", "Head cover", "Coils")
    page.get_by_role("button", name="Really take Head cover out").click()
    expect(names).to_have_count(2)
    tray_is("Tank", "Coils")
