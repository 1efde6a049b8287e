"""Jobs that hands do in another order: one valve after the other, a camshaft off, a swap."""

from typing import Any

import pytest
from playwright.sync_api import expect

from plimb.record.database import Database
from plimb.record.families import families
from plimb.web.server.application import create_app

from .hand import Hand
from .test_guests import ticked


@pytest.fixture
def application(database: Database) -> Any:
    """Serve an empty record."""
    return create_app(database)


def opened(open_page: Any, name: str, follower: str, **size: Any) -> Hand:
    """Enter a twin-valve single and open a card on it."""
    hand = Hand(open_page, name, **size)
    hand.pick("Cylinders", "single")
    hand.pick("Valves a cylinder", "2")
    hand.pick("Camshafts a bank", "1")
    hand.pick("Where they sit", follower)
    hand.type("Intake allowed gap, as printed", "0.11-0.17")
    hand.type("Exhaust allowed gap, as printed", "0.18-0.26")
    hand.type("Shim diameter", "29")
    hand.sizes("2.00", "3.20", "0.05")
    hand.open_card()
    ticked(hand)
    return hand


def write(hand: Hand, stage: str, what: str, valve: str, text: str) -> None:
    hand.go(stage)
    hand.what = what
    hand.enter(valve, text)


def put_in(hand: Hand, valve: str) -> None:
    hand.go("Fit")
    hand.page.locator(f"[data-valve='{valve}']").click()
    hand.tap(hand.page.locator("#is-in"))
    expect(hand.page.get_by_text("It is in")).to_be_visible()


@pytest.mark.long
def test_shims_on_top_are_set_one_after_another_on_a_phone(open_page: Any) -> None:
    hand = opened(open_page, "Guest one by one", "bucket, shim on top", phone=True)
    page = hand.page
    for valve, gap, shim, after in (("EX", "13", "265", "23"), ("IN", "6", "2.70 2.698", "15")):
        write(hand, "Feel", "Gap", valve, gap)
        write(hand, "Read", "Shim that is in", valve, shim)
        hand.go("Choose")
        hand.tap(page.locator("#take-plan"))
        expect(page.get_by_text("Taken", exact=True)).to_be_visible()
        put_in(hand, valve)
        write(hand, "Prove", "Gap after fitting", valve, after)
        assert hand.valve(valve)["proof_verdict"] == "in"
    # what was opened is past, and only that
    hand.go("Feel")
    page.locator("[data-valve='EX']").click()
    expect(page.get_by_text("This valve was opened.")).to_be_visible()
    hand.go("Fit")
    ticked(hand)
    said = hand.sheet()
    assert "all 2 in range" in said.replace("\n", " ")
    hand.sign()


@pytest.mark.long
def test_a_camshaft_off_for_another_job_has_its_lists_though_all_is_in_range(
    open_page: Any,
) -> None:
    hand = opened(open_page, "Guest gasket", "bucket, shim under")
    page = hand.page
    hand.go("Feel")
    hand.enter("IN", "14")
    hand.enter("EX", "22")
    expect(page.get_by_text("Every valve is in range. Nothing to open.")).to_be_visible()
    page.get_by_text("A camshaft out for another job?").click()
    (shaft,) = {one["camshaft"] for one in hand.card["valves"]}
    hand.button(shaft)
    expect(page.get_by_role("button", name=f"{shaft} is out")).to_be_visible()
    hand.go("Read")
    expect(page.get_by_text("Tensioner: its centre bolt first")).to_be_hidden()
    ticked(hand)
    hand.go("Fit")
    expect(page.get_by_text("No shim changes.")).to_be_visible()
    ticked(hand)
    hand.go("Sign")
    ticked(hand)
    hand.sign()
    said = page.locator("article.sheet").inner_text().replace("\n", " ")
    assert "2 valves measured: all 2 in range." in said
    assert "not ticked" not in said


@pytest.mark.long
def test_an_old_shim_is_given_at_the_counter_for_a_new_one(
    open_page: Any, database: Database
) -> None:
    hand = opened(open_page, "Guest swap", "bucket, shim on top")
    page = hand.page
    with database.writing("terms of the counter") as session:
        families(session)[0].swap_price = "2.20"
    write(hand, "Feel", "Gap", "EX", "13")
    hand.enter("IN", "14")
    write(hand, "Read", "Shim that is in", "EX", "265")
    hand.go("Choose")
    hand.tap(page.locator("#take-plan"))
    expect(page.get_by_text("Taken", exact=True)).to_be_visible()
    hand.go("Fit")
    page.get_by_label("The counter took the old one for it").check()
    hand.tap(page.locator("#is-in"))
    expect(page.get_by_text("It is in, the old one given for it")).to_be_visible()
    write(hand, "Prove", "Gap after fitting", "EX", "23")
    said = hand.sheet()
    assert "an old one given for it" in said
    assert "2.20" in said
    hand.sign()
    pockets = page.request.get("/api/drawer").json()["families"][0]["pieces"]
    assert pockets == 0  # the counter has it
