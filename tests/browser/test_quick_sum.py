"""A quick sum, from an empty record: typed, pasted, kept, handed on, made an engine of."""

from typing import Any

import pytest
from playwright.sync_api import Page, expect

from plimb.core.engine.engine import Side
from plimb.record.database import Database
from plimb.web.server.application import create_app

from ..guest import Job
from .slowly import keys, paste, until


@pytest.fixture
def application(database: Database) -> Any:
    """Serve an empty record."""
    return create_app(database)


def answer(page: Page, nth: int) -> Any:
    return page.get_by_role("main").get_by_role("listitem").nth(nth).get_by_role("status")


def test_which_shim_is_answered_with_three_taps_and_twenty_keys(
    open_page: Any, no_barriers: Any
) -> None:
    page = open_page("/")
    page.get_by_role("link", name="Quick sum").first.click()
    expect(page.get_by_label("Allowed gap")).to_be_focused()
    keys(page, "0.12-0.17⏎")
    expect(page.get_by_label("Gap", exact=True)).to_be_focused()
    keys(page, "9⏎260⏎")
    page.get_by_text("by 0.05", exact=True).click()  # the second tap; sixteen keys
    expect(answer(page, 0)).to_contain_text("Too tight. Take 2.55: gap 0.14.")
    expect(answer(page, 0)).to_contain_text("2.50 would give 0.19: too loose.")
    page.locator("#quick-1-gap").click()
    keys(page, "14⏎2.605⏎")
    expect(answer(page, 1)).to_contain_text("In range: keep 2.605.")
    expect(page.get_by_text("Order: 1 × 2.55 mm")).to_be_visible()
    no_barriers(page, "a quick sum")
    page.reload()  # it stays until it is cleared
    expect(answer(page, 1)).to_contain_text("In range: keep 2.605.")
    page.get_by_role("button", name="Keep it: make an engine of it").click()
    expect(page.get_by_label("Intake allowed gap, as printed")).to_have_value("0.12-0.17")
    sizes = page.get_by_label("or type them: smallest-largest/step")
    expect(sizes).to_have_value("1.00-5.00/0.05")
    page.go_back()
    page.get_by_role("button", name="Clear").click()
    expect(page.get_by_label("Allowed gap")).to_have_value("")
    expect(page.get_by_role("main").get_by_role("listitem")).to_have_count(1)


@pytest.mark.long
def test_a_table_is_pasted_and_a_lost_network_keeps_what_was_typed(open_page: Any) -> None:
    page = open_page("/sum", phone=True)
    keys(page, ".005-.007")
    page.get_by_role("group", name="Gaps are in").get_by_text("thou").tap()
    table = "valve\tgap\tshim\n1 IN\t4\t265\n1 EX\t6\t2,70\n2 IN\t9-10\t280\n"
    paste(page.locator("#quick-0-gap"), table)
    expect(page.locator("#quick-2-valve")).to_have_value("2 IN")
    expect(answer(page, 0)).to_contain_text("Too tight. It needs")
    expect(answer(page, 1)).to_contain_text("In range: keep 2.70.")
    expect(answer(page, 2)).to_contain_text("Too loose. It needs")
    page.route("**/api/quick-sum", lambda route: route.abort())
    page.locator("#quick-3-gap").tap()
    keys(page, "5⏎255")
    expect(page.get_by_text("The server does not answer.").first).to_be_visible()
    page.unroute("**/api/quick-sum")
    page.locator("#quick-3-shim").press("0")
    expect(page.locator("#quick-3-shim")).to_have_value("2550")
    page.locator("#quick-3-shim").press("Backspace")
    expect(answer(page, 3)).to_contain_text("In range: keep 2.55.")


FIRST = {
    "Brannoch Boxer 24": ("flat four", "2", "1", "finger or rocker", "0.14-0.2", "0.22-0.3"),
    "Tarrowick": ("V-twin", None, None, None, "0.09-0.17", "0.19-0.27"),
    "Quenby 376": ("single", "4", "1", "finger or rocker", "0.13-0.18", "0.28-0.33"),
    "Peverell": (None, None, None, "bucket without shim", "0.15-0.25", "0.25-0.35"),
}


SINGLE = "Quenby 376"


@pytest.mark.parametrize(
    ("name", "phone"),
    [pytest.param(name, phone, marks=[] if name == "Tarrowick" and phone else pytest.mark.long)
     for name in FIRST for phone in (False, True)],
)  # fmt: skip
def test_from_an_empty_record_to_the_first_judged_reading(
    open_page: Any, name: Any, phone: Any
) -> None:
    layout, valves, camshafts, follower, intake, exhaust = FIRST[name]
    page = open_page("/", phone=phone)
    taps, typed = 0, 0

    def tap(what: Any) -> None:
        nonlocal taps
        what.tap() if phone else what.click()
        taps += 1

    def write(text: str) -> None:
        nonlocal typed
        keys(page, text)
        typed += len(text)

    def pick(label: str, item: Any) -> None:
        if item is not None:
            tap(page.get_by_label(f"{label}:"))
            tap(page.get_by_role("option", name=item).first)

    tap(page.get_by_role("link", name="Add your engine"))
    expect(page.get_by_label("Name of this machine")).to_be_focused()
    write(name if not phone else name[:4])
    pick("Cylinders", layout)
    asked = {"Valves a cylinder": valves, "Camshafts a bank": camshafts}
    for label in filter(asked.get, asked):
        tap(page.get_by_role("group", name=label).get_by_text(asked[label], exact=True))
    tap(page.get_by_label("Intake allowed gap, as printed"))
    write(intake)
    page.keyboard.press("Tab")
    typed += 1
    write(exhaust)
    pick("Where they sit", follower)
    tap(page.get_by_text("by 0.05", exact=True))
    tap(page.get_by_role("button", name="Save and open a card"))
    expect(page.get_by_label("Technician")).to_be_focused()
    write("Oda⏎")
    page.wait_for_url("**/cards/1/**")
    tap(page.get_by_role("navigation", name="Stages").get_by_role("link", name="Feel"))
    page.locator("#entry").wait_for()

    def measure(gap: str) -> None:
        if phone:
            for sign in gap:
                tap(page.get_by_role("group", name="Keypad").get_by_text(sign, exact=True))
            tap(page.get_by_role("button", name="Write"))
        else:
            write(f"{gap}⏎")

    measure("15")
    until(page, "/api/cards/1", "(said) => said.valves.some((one) => one.verdict !== null)")
    print(f"{name}, {'phone' if phone else 'desk'}: {taps} taps, {typed} keys")
    assert taps <= (20 if phone else 12)
    assert typed <= (40 if phone else 60)
    if name == SINGLE:
        before = taps
        signed(page, tap, write, measure)
        print(f"{name} to a signed check: {taps - before} taps more")
        assert taps - before <= 25


def signed(page: Page, tap: Any, write: Any, measure: Any) -> None:
    """Measure the valves that are left, all in range, and sign the check."""
    entry = page.locator("#entry")
    for valve in ("IN R", "EX L", "EX R"):
        expect(entry).to_have_attribute("aria-label", f"Gap of {valve}")
        measure("15" if "IN" in valve else "30")
        until(page, "/api/cards/1", "(said, valve) => said.valves.some((one) =>"
              " one.valve === valve && one.verdict === 'in')", valve)  # fmt: skip
    tap(page.get_by_role("navigation", name="Stages").get_by_role("link", name="Sign"))
    tap(page.get_by_label("Name", exact=True))
    write("Oda")
    tap(page.get_by_role("button", name="Sign", exact=True))
    expect(page.get_by_text("signed this card")).to_be_visible()


def test_a_shop_without_blades_is_asked_for_them_where_it_measures(
    open_page: Any, database: Database
) -> None:
    job = Job(database)
    job.spec(Side.INTAKE, "0.10-0.15")
    page = open_page("/cards/1/feel")
    page.get_by_text("Which blades have you?").click()
    page.get_by_role("button", name="mm, 0.05 to 1.00 by 0.05").click()
    fan = page.get_by_role("group", name="Feeler blades")
    expect(fan.get_by_role("button", name="Blade 0.15")).to_be_visible()
    expect(page.get_by_text("Which blades have you?")).to_have_count(0)
    assert page.request.get("/api/cards/1").json()["blade_set"]["name"].startswith("mm, 0.05")


def test_one_tab_from_the_top_leads_to_what_is_to_be_done_and_each_place_has_its_title(
    open_page: Any, database: Database
) -> None:
    page = open_page("/")
    page.get_by_role("link", name="Add your engine").wait_for()  # an empty record
    page.keyboard.press("Tab")
    page.keyboard.press("Enter")
    assert page.evaluate("document.activeElement.closest('main') !== null")
    job = Job(database)
    job.spec(Side.INTAKE, "0.10-0.15")
    page.goto("/cards/1/ready")
    page.get_by_role("checkbox").first.wait_for()
    page.keyboard.press("Tab")
    expect(page.get_by_text("To what is to be done")).to_be_focused()
    page.keyboard.press("Enter")
    assert page.evaluate("document.activeElement.closest('main') !== null")
    titles = set()
    for path in ("/", "/sum", "/engines", "/drawer", "/shop", "/cards/1/ready", "/cards/1/feel"):
        page.goto(path)
        page.get_by_role("heading").first.wait_for()
        titles.add(page.title())
    assert len(titles) == 7
