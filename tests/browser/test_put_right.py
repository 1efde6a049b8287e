"""What is put right on an open card, and what an engine then remembers, by hand."""

from typing import Any

import pytest
from playwright.sync_api import expect

from plimb.card.acting import Written
from plimb.card.acts.choose import take_plan
from plimb.card.acts.feel import write_down_gap
from plimb.card.acts.fit import fit_piece
from plimb.card.acts.read import write_down_shim
from plimb.core.lengths import Unit
from plimb.record.database import Database
from plimb.web.server.application import create_app

from ..guest import Job
from .hand import Hand
from .slowly import keyed, unfold


@pytest.fixture
def application(database: Database) -> Any:
    """Serve an empty record."""
    return create_app(database)


@pytest.mark.long
def test_kind_instrument_and_feeler_set_are_put_right_and_the_engine_remembers(
    open_page: Any, no_barriers: Any
) -> None:
    hand = Hand(open_page, "Guest to correct")
    page = hand.page
    hand.pick("Cylinders", "single")
    hand.type("Name of this machine", hand.name)
    hand.button("Save the engine")
    expect(page.get_by_role("button", name="Open a card", exact=True)).to_be_visible()
    page.goto("/shop")
    hand.tap(page.get_by_role("button", name="mm, 0.05 to 1.00"))
    hand.button("Save the set")
    expect(page.get_by_text("Saved.")).to_be_visible()
    hand.type("One more", "Old calliper")
    hand.button("Add it")
    expect(page.get_by_text("Old calliper")).to_be_visible()
    page.goto("/")
    hand.button("Open a card")
    hand.pick("Engine", "Guest to correct")
    hand.type("Technician", "Nessa")
    hand.button("Open the card")
    hand.button("Correct")
    hand.pick("Kind of job", "check only")
    hand.button("Put it right")
    expect(page.get_by_text("Check only.")).to_be_visible()
    hand.pick("Shims measured with", "none said")
    hand.pick("Feeler set", "none said")
    expect(page.get_by_label("Feeler set: none said")).to_be_visible()
    assert (hand.card["blade_set"], hand.card["instrument_id"]) == (None, None)
    hand.pick("Feeler set", "mm, 0.05")
    unfold(page, "The machine", "Tools for this job", "Parts to renew")
    hand.type("Whose machine it is", "Ilse Varn")
    hand.button("Keep with the engine", disabled=False)
    expect(page.get_by_text("Ilse Varn", exact=True)).to_be_visible()
    hand.type("One of its own, kept with the engine", "Long 8 mm socket")
    page.keyboard.press("Enter")
    hand.button("Cover gasket")
    hand.type("The shop’s number", "G-7")
    page.keyboard.press("Enter")
    expect(page.get_by_text("price not known")).to_be_visible()
    unfold(page, "Symptoms and side checks")
    hand.type("dry", "11.5")
    hand.button("Write them down")
    expect(page.get_by_label("Compression of each cylinder", exact=False)).to_be_visible()
    no_barriers(page, "ready with tools and parts")
    hand.go("Feel")
    hand.tap(page.get_by_text("Notes here"))
    keyed(page.get_by_label("On this card"), "Blade 0.15 is worn")
    page.reload()
    hand.tap(page.get_by_text("Notes here"))
    expect(page.get_by_label("On this card")).to_have_value("Blade 0.15 is worn")
    hand.button("Write the note")
    fan = page.get_by_role("group", name="Feeler blades")
    fan.get_by_role("button", name="Blade 0.15", exact=True).click()
    hand.tap(page.get_by_text("has snapped: out of the set"))
    expect(fan.get_by_role("button", name="Blade 0.15", exact=True)).to_have_count(0)
    said = hand.sheet()
    for one in ("Ilse Varn", "Blade 0.15 is worn", "cylinder 1: dry 11.5 bar"):
        assert one in said
    empty = page.request.get("/api/cards/1/blank.pdf")
    assert empty.body().startswith(b"%PDF")


@pytest.mark.long
def test_a_piece_that_would_be_out_is_asked_about_and_goes_in_all_the_same(
    open_page: Any, database: Database
) -> None:
    job = Job(database, change=with_spec_and_sizes)
    for valve in job.view.status.order:
        job.gap(valve, "15" if "IN" in valve else "25")
    job.gap("IN L", "8")
    job.act(write_down_shim, valve="IN L", text="2.500")
    job.act(take_plan)
    page = open_page(f"/cards/{job.card.id}/fit")
    keyed(page.get_by_label("Measured, if you do"), "2.48")
    page.locator("#is-in").click()
    expect(page.get_by_text("2.48 instead of 2.40 gives 0.10, out of range")).to_be_visible()
    page.get_by_role("button", name="It goes in all the same").click()
    expect(page.get_by_text("It is in, measured 2.48")).to_be_visible()
    job.card = Written(id=job.card.id, version=job.view.version)
    job.act(fit_piece, valve="IN L", fitted=False, measured="")
    job.act(write_down_gap, valve="IN L", purpose="found", text="5", unit=Unit.MM, reason="Misread")
    page.reload()
    page.get_by_role("button", name="Plan again").click()
    expect(page.locator("#is-in")).to_be_visible()
    assert not job.view.status.valves["IN L"].overtaken


def test_what_was_done_last_is_undone_by_key_and_by_hand_at_any_stage(
    open_page: Any, database: Database
) -> None:
    job = Job(database, change=with_spec_and_sizes)
    for valve in job.view.status.order:
        job.gap(valve, "15" if "IN" in valve else "25")
    page = open_page(f"/cards/{job.card.id}/feel")
    undo = page.locator("#undo")
    last = job.view.status.order[-1]
    expect(undo).to_have_attribute("aria-label", f"Undo the gap of {last}")
    page.locator("[data-valve='IN L']").click()
    keyed(page.locator("#entry"), "8")
    page.keyboard.press("Enter")
    expect(page.locator("[data-valve='IN L']")).to_contain_text("tight")
    expect(undo).to_have_attribute("aria-label", "Undo the gap of IN L")
    page.keyboard.press("ControlOrMeta+z")
    expect(page.locator("[data-valve='IN L']")).to_contain_text("in range")
    expect(page.locator("[data-valve='IN L']")).to_have_attribute("aria-pressed", "true")
    expect(page.get_by_text("Taken back: the gap of IN L.")).to_be_attached()
    expect(page.locator("#entry")).to_be_focused()
    page.goto(f"/cards/{job.card.id}/ready")
    page.get_by_role("checkbox").first.press("Space")
    expect(undo).to_have_attribute("aria-label", "Undo a tick")
    undo.click()
    expect(page.get_by_role("checkbox").first).not_to_be_checked()
    expect(undo).to_have_attribute("aria-label", f"Undo the gap of {last}")


@pytest.mark.long
def test_a_valve_on_its_limit_is_opened_where_it_is_felt_and_where_it_is_advised(
    open_page: Any, database: Database, no_barriers: Any
) -> None:
    job = Job(database, change=with_spec_and_sizes)
    for valve in job.view.status.order:
        job.gap(valve, "15" if "IN" in valve else "28" if valve == "EX L" else "25")
    page = open_page(f"/cards/{job.card.id}/feel")
    page.locator("[data-valve='EX L']").click()
    expect(page.get_by_text("close to its limit (50 % sure)")).to_be_visible()
    page.get_by_role("button", name="Change this one too").click()
    expect(page.get_by_text("Opened with the others")).to_be_visible()
    no_barriers(page, "a valve opened too")
    page.get_by_role("button", name="Leave it shut").click()
    expect(page.get_by_role("button", name="Change this one too")).to_be_visible()
    assert not job.view.status.opened
    page.goto(f"/cards/{job.card.id}/choose")
    page.locator("[data-valve='EX L']").click()
    expect(page.get_by_text("Open EX L too, the EX camshaft comes out for it")).to_be_visible()
    page.get_by_role("button", name="Open EX L").click()
    expect(page.get_by_text("Read the shim that is in first")).to_be_visible()
    assert job.view.status.opened == ("EX L",)


def with_spec_and_sizes(engine: Any) -> None:
    engine["spec"] = {"intake": {"min": 0.13, "max": 0.19}, "exhaust": {"min": 0.22, "max": 0.28}}
    engine["family"] = {"diameter": 9.48, "runs": [{"from": 2, "to": 3, "step": 0.05}]}
