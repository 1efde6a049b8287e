"""Shop's copies: one made, one put back, with the server going on."""

import sqlite3
from typing import Any

import pytest
from playwright.sync_api import expect

from plimb.card.rejudge import change_settings
from plimb.record.database import Database


@pytest.mark.long
def test_a_copy_is_made_and_put_back_from_the_screen(
    open_page: Any, school: Database, no_barriers: Any
) -> None:
    page = open_page("/shop")
    expect(page.get_by_text("There is none yet.")).to_be_visible()
    page.get_by_role("button", name="Make one now").click()
    expect(page.get_by_text("Made, and looked at: it is whole.")).to_be_visible()
    expect(page.get_by_text("The last one is less than an hour old.")).to_be_visible()
    kept = page.get_by_role("region", name="How many copies are kept")
    for name, figure in (("Weekly copies", "0"), ("Daily copies", "0")):
        kept.get_by_label(name).click()
        page.keyboard.press("ControlOrMeta+a")
        page.keyboard.type(figure, delay=30)
    kept.get_by_role("button", name="Save").click()
    expect(page.get_by_text("Daily copies: between 1 and 400.").first).to_be_visible()
    kept.get_by_label("Daily copies").click()
    page.keyboard.press("ControlOrMeta+a")
    page.keyboard.type("9", delay=30)
    kept.get_by_role("button", name="Save").click()
    expect(page.get_by_text("Saved.")).to_be_visible()
    no_barriers(page, "shop with copies")

    change_settings(school, name="A slip of the hand")
    page.get_by_role("button", name="Put back the copy").click()
    expect(page.get_by_text("is gone from every screen")).to_be_visible()
    no_barriers(page, "put a copy back")
    page.get_by_role("button", name="Put it back").click()
    expect(page.get_by_role("heading", name="Ostrel Hill Climb School")).to_be_visible()
    (aside,) = school.path.parent.glob("*.before")
    raw = sqlite3.connect(aside)
    kept = dict(raw.execute("SELECT name, value FROM setting"))
    assert (kept["name"], kept["keep_days"]) == ('"A slip of the hand"', "9")
    raw.close()
