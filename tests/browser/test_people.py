"""Somebody is set up, chooses their name with two taps, and what they do stands under it."""

from typing import Any

import pytest
from playwright.sync_api import Page, expect

from plimb.record.database import Database
from plimb.record.people import PersonRole
from plimb.shop.people import add_person

from ..conftest import NOON
from .slowly import keyed, pick


def tap(page: Page, name: Any) -> None:
    page.get_by_role("button", name=name, exact=True).click()


def set_up_first(page: Page) -> None:
    tap(page, "Set up the first")
    keyed(page.get_by_role("dialog").get_by_label("Name", exact=True), "Oda Ferrin")
    keyed(page.get_by_label("Code, 8 signs or more"), "12345678")
    tap(page, "Set up")
    expect(page.get_by_role("alert")).to_contain_text("the first that anybody tries")
    keyed(page.get_by_label("Code, 8 signs or more"), "hill-climb")
    tap(page, "Set up")


def sign_in(page: Page, name: Any, code: Any) -> None:
    page.get_by_role("dialog").get_by_role("button", name=name).click()
    keyed(page.get_by_label("Code"), code)
    page.keyboard.press("Enter")


@pytest.mark.long
def test_from_nobody_to_somebody_and_what_they_did(open_page: Any, no_barriers: Any) -> None:
    page = open_page("/shop")
    expect(page.get_by_text("Nobody is set up")).to_be_visible()
    set_up_first(page)
    expect(page.get_by_role("heading", name="Who works here?")).to_be_visible()
    sign_in(page, "Oda Ferrin", "hill-climb")
    tap(page, "Somebody new")
    keyed(page.get_by_role("dialog").get_by_label("Name", exact=True), "Pim Ostrel")
    keyed(page.get_by_label("Code, 4 signs or more"), "4711")
    tap(page, "Set up")
    expect(page.get_by_text("Pim Ostrel")).to_be_visible()
    no_barriers(page, "Shop with people")
    page.get_by_role("button", name="Oda Ferrin works here: change").click()
    sign_in(page, "Pim Ostrel", "1111")
    expect(page.get_by_role("alert")).to_contain_text("That is not the code.")
    keyed(page.get_by_label("Code"), "4711")
    page.keyboard.press("Enter")
    expect(page.get_by_role("button", name="Pim Ostrel works here: change")).to_be_visible()
    page.get_by_role("link", name="Bench", exact=True).click()
    tap(page, "Open a card")
    expect(page.get_by_text("Technician Pim Ostrel")).to_be_visible()
    pick(page, "Engine", "No. 5")
    tap(page, "Open the card")
    page.wait_for_url("**/cards/*/*")
    number = page.url.split("/")[-2]
    page.goto(f"/history/card/{number}")
    expect(page.get_by_text("card opened")).to_be_visible()
    expect(page.get_by_role("main").get_by_text("Pim Ostrel").first).to_be_visible()
    no_barriers(page, "What happened")
    page.goto("/shop")
    keyed(page.get_by_label("Full turns by hand"), "4")
    page.get_by_role("region", name="Closing up").get_by_role("button", name="Save").click()
    expect(page.get_by_text("Only an owner of the shop may do this")).to_be_visible()


@pytest.mark.long
def test_a_reading_written_while_nobody_is_signed_in_waits_for_a_name(
    open_page: Any, own_people: Any
) -> None:
    page = open_page("/cards/2/feel", phone=True)
    page.locator("[data-valve='3 IN L']").click()
    keyed(page.locator("#entry"), "17")
    page.keyboard.press("Enter")
    expect(page.get_by_role("heading", name="Who works here?")).to_be_visible()
    sign_in(page, "Oda", "hill-climb")
    expect(page.get_by_text("1 entry waits")).to_have_count(0)
    expect(page.locator("[data-valve='3 IN L']")).to_contain_text("0.17")


@pytest.fixture
def own_people(school: Database) -> None:

    add_person(school, name="Oda", role=PersonRole.OWNER, code="hill-climb", now=NOON)
