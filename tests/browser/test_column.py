"""A column pasted into the reading field, at a server that takes a second over every reading."""

from typing import Any

import pytest
from playwright.sync_api import expect

from plimb.record.database import Database

from .slowly import keys, paste, slow, until
from .test_real_keys import job_with


@pytest.fixture
def application(database: Database) -> Any:
    return slow(database)


def test_a_pasted_column_is_asked_about_once_and_goes_to_valve_after_valve(
    open_page: Any, database: Database
) -> None:
    job = job_with(database)
    page = open_page(f"/cards/{job.card.id}/feel")
    field = page.locator("#entry")
    paste(field, "gap\r\n0.12\r\n0.1o3\r\n\r\n23\r\n0.30\r\n")
    asked = page.get_by_role("alert").filter(has_text="Write these 3 lines?")
    expect(asked).to_contain_text("1 more in the column than valves that wait here")
    asked.get_by_role("button", name="Do not write").click()
    expect(asked).to_have_count(0)
    paste(field, "0.12\r\n0.1o3\r\n\r\n23\r\n")
    page.get_by_role("button", name="Write all of them").click()
    # the one that cannot be read comes into hand with what was pasted for it
    expect(field).to_have_value("0.1o3")
    expect(page.locator("#understood")).to_contain_text("0.1o3")
    page.keyboard.press("ControlOrMeta+a")
    keys(page, "13⏎")
    until(
        page,
        "/api/cards/1",
        "(said) => said.valves.map((one) => one.found?.typed ?? '').join() === '0.12,13,,'",
    )
    page.locator("button", has_text="EX R").first.click()
    expect(field).to_have_value("23")
    keys(page, "⏎")
    until(
        page,
        "/api/cards/1",
        "(said) => said.valves.map((one) => one.found?.typed ?? '').join() === '0.12,13,,23'",
    )
