"""Read, Choose and the drawer in the browser, as a technician goes through them."""

import re
from typing import Any

import pytest
from playwright.sync_api import expect

from plimb.record.database import Database
from plimb.standins.counter import run_counter
from plimb.standins.instrument import SimulatedMicrometer
from plimb.web.server.application import create_app
from plimb.web.server.serving import keep_readings

from .slowly import keyed
from .test_story import entry, in_hand, plate


@pytest.fixture
def application(school: Database) -> Any:
    """Return the application with the stand-ins beside it, as the demo serves it."""
    micrometer = SimulatedMicrometer()
    keep_readings(school.path, micrometer.port)
    yield create_app(school, counter=run_counter(), instrument=micrometer.port)
    micrometer.close()


@pytest.mark.long
def test_reading_asks_what_cannot_be_known_and_takes_what_an_instrument_sends(
    open_page: Any, no_barriers: Any
) -> None:
    page = open_page("/cards/3/read")
    in_hand(page, "3 IN L")  # marking and micrometer disagree: asked first of all
    no_barriers(page, "read with a question")
    page.get_by_role("alert").get_by_role("button", name="Micrometer").click()
    expect(page.get_by_text("steps on this page not ticked.")).to_be_visible()
    plate(page, "3 IN L").click()
    expect(page.get_by_text("The micrometer counts, as you said.")).to_be_visible()

    plate(page, "3 EX L").click()
    in_hand(page, "3 EX L")
    expect(entry(page)).to_be_focused()
    page.keyboard.type("25?")
    page.keyboard.press("Enter")
    expect(page.locator("#understood")).to_contain_text("more than one way")
    page.get_by_role("group", name="Which one is it").get_by_role("button", name="2.550").click()
    expect(plate(page, "3 EX L")).to_contain_text("2.55")

    plate(page, "1 IN R").click()
    in_hand(page, "1 IN R")
    expect(entry(page)).to_be_focused()
    page.keyboard.type("250")
    expect(page.locator("#understood")).to_contain_text("2.50")
    page.get_by_role("button", name="Close the micrometer").click()
    expect(entry(page)).to_have_value(re.compile(r"^250 \d\.\d+$"))
    entry(page).focus()
    page.keyboard.press("Escape")
    expect(entry(page)).to_have_value("")
    # a keyboard wedge types all at once behind a marking that fingers typed
    page.keyboard.type("250")
    # fingers are slower than an instrument
    begun = page.evaluate("performance.now()")
    page.wait_for_function("begun => performance.now() > begun + 60", arg=begun)
    page.evaluate(
        """() => {
          const field = document.querySelector('#entry');
          for (const key of '2.497') {
            field.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true }));
            field.value += key;
            field.dispatchEvent(new InputEvent('input', { bubbles: true }));
          }
        }"""
    )
    page.keyboard.press("Enter")
    expect(plate(page, "1 IN R")).to_contain_text("2.497")

    steps = page.get_by_role("checkbox")
    steps.first.focus()
    page.keyboard.press("Space")
    expect(page.get_by_text("6 to do")).to_be_visible()
    keyed(page.get_by_label("Reads when closed"), "0.003")
    page.get_by_role("button", name="I checked the zero").click()
    expect(page.get_by_text("Its zero, 0.003, is taken off")).to_be_visible()


def test_the_plan_is_looked_at_changed_taken_and_ordered(open_page: Any, no_barriers: Any) -> None:
    page = open_page("/cards/3/choose")
    strip = page.get_by_role("region", name="The plan")
    expect(strip).to_contain_text("fewest out of range, then least cost and risk")
    no_barriers(page, "choose with a plan")
    expect(plate(page, "1 EX R")).to_contain_text("from 2 IN R")
    plate(page, "1 EX R").click()
    ladder = page.get_by_role("radiogroup", name="Shims that can be had for 1 EX R")
    expect(ladder.get_by_role("radio", checked=True)).to_contain_text("the plan")
    expect(page.get_by_text("2.548 − 2.472 = 0.256–0.276, in range")).to_be_visible()

    # one that is not wanted: the rest is planned anew around it, and it can be allowed again
    page.get_by_role("button", name="Not this one").click()
    expect(plate(page, "1 EX R")).not_to_contain_text("from 2 IN R")
    ladder.get_by_role("radio").filter(has_text="not this one").click()
    page.get_by_role("button", name="Allow").click()
    expect(plate(page, "1 EX R")).to_contain_text("from 2 IN R")

    # a piece decided by hand stays while the plan goes round it
    ladder.get_by_role("radio").filter(has_text="2.474").click()
    page.get_by_role("button", name="Take 2.474 for 1 EX R").click()
    expect(plate(page, "1 EX R")).to_have_attribute("aria-pressed", "false")  # the next one is up
    plate(page, "1 EX R").click()
    expect(page.get_by_text("By hand: 2.474")).to_be_visible()
    page.get_by_role("button", name="Leave it to the plan").click()
    expect(plate(page, "1 EX R")).to_contain_text("from 2 IN R")

    strip.get_by_role("radio", name="Fewest changes").click()
    expect(plate(page, "2 IN R")).to_contain_text("buy")
    expect(page.get_by_text("Take the plan first, then order for it.")).to_be_visible()
    page.locator("#take-plan").click()
    expect(strip.get_by_text("Taken")).to_be_visible()
    page.get_by_role("button", name="Ask the counter").click()
    expect(page.get_by_text("ready to fetch, ")).to_be_visible()
    page.get_by_role("button", name="Order 1").click()
    expect(page.get_by_text("Order C1001")).to_be_visible()
    page.get_by_role("button", name="It is here").click()
    expect(page.get_by_text("received")).to_be_visible()
    no_barriers(page, "choose, ordered")
    page.reload()
    expect(strip.get_by_text("Taken")).to_be_visible()


@pytest.mark.long
def test_the_drawer_shows_what_is_there_takes_in_counts_and_tells(
    open_page: Any, no_barriers: Any
) -> None:
    page = open_page("/drawer")
    expect(page.get_by_role("tab", selected=True)).to_contain_text("8.90 mm")
    no_barriers(page, "drawer")
    keyed(page.locator("#put-in"), "265x2, 2.651")
    page.keyboard.press("Enter")
    expect(page.get_by_text("3 put in.")).to_be_visible()
    pocket = page.get_by_role("button", name="2.65: 4 shims")
    pocket.click()
    no_barriers(page, "drawer with a pocket open")
    page.get_by_role("button", name="2.651").first.click()
    expect(page.get_by_text("nowhere → drawer: put into the drawer")).to_be_visible()
    page.get_by_role("button", name="Take out").first.click()
    expect(page.get_by_role("button", name="2.65: 3 shims")).to_be_visible()
    keyed(page.get_by_label("Counted in the pocket"), "1")
    page.get_by_role("button", name="So many").click()
    expect(page.get_by_role("button", name="2.65: 1 shim", exact=True)).to_be_visible()
    keyed(page.locator("#put-in"), "29x2")
    page.keyboard.press("Enter")
    expect(page.get_by_role("status")).to_contain_text("more than one way")
    page.get_by_role("button", name="Change the family").click()
    keyed(page.get_by_label("Price of one"), "abc")
    page.get_by_role("button", name="Save the family").click()
    expect(page.get_by_role("alert")).to_contain_text("no price")
    keyed(page.get_by_label("Price of one"), "9.10")
    page.get_by_role("button", name="Save the family").click()
    expect(page.get_by_text("9.10 each")).to_be_visible()
    phone = open_page("/drawer", phone=True)
    expect(phone.get_by_role("button", name="2.65: 1 shim", exact=True)).to_be_visible()
    assert phone.evaluate("document.documentElement.scrollWidth - innerWidth") <= 0
