"""An engine drawn from its layout, a feeler set changed: what is set up before measuring."""

from typing import Any

import pytest
from playwright.sync_api import expect

from .slowly import keyed


@pytest.mark.long
def test_an_engine_from_a_layout_is_drawn_at_once_and_saved(
    open_page: Any, no_barriers: Any
) -> None:
    page = open_page("/engines/new")
    page.get_by_label("Cylinders:").click()
    page.get_by_role("option", name="straight six").click()
    # nobody has said yet when its cylinders fire
    expect(page.get_by_text("6 positions to turn to: T1 (4), T2 (4)")).to_be_visible()
    page.get_by_text("More: make and model").click()
    page.get_by_label("Firing order:").click()
    page.get_by_role("option", name="1-5-3-6-2-4").click()
    expect(page.get_by_text("2 positions to turn to: T1 (12), T6 (12).")).to_be_visible()
    spec = page.get_by_label("Intake allowed gap, as printed")
    expect(spec).to_have_value("")
    keyed(spec, "0.30-0.12")
    expect(page.get_by_role("alert")).to_contain_text("above its maximum")
    page.get_by_role("button", name="Save the engine").click()
    expect(page.get_by_role("alert").last).to_contain_text("Intake allowed gap:")
    keyed(spec, "0.12-0.30")
    expect(page.get_by_role("alert").first).to_be_hidden()
    keyed(page.get_by_label("Name of this machine"), "No. 20")
    no_barriers(page, "engine editor")
    page.get_by_role("button", name="Save the engine").click()
    expect(page.get_by_role("button", name="Open a card", exact=True)).to_be_visible()
    page.get_by_role("link", name="Engines").click()
    page.get_by_role("link", name="No. 20").click()
    expect(page.get_by_label("Intake allowed gap, as printed")).to_have_value("0.12-0.3")
    no_barriers(page, "engine")


@pytest.mark.long
def test_a_feeler_set_is_changed_and_counts_at_the_next_reading(
    open_page: Any, no_barriers: Any
) -> None:
    page = open_page("/shop")
    page.get_by_label("State of 0.28").click()
    page.get_by_role("option", name="broken").click()
    keyed(page.get_by_label("Measured thickness of 0.25"), "0.252")
    keyed(page.get_by_label("Add blades"), "0.27 0.29")
    page.get_by_role("button", name="Save the set").click()
    expect(page.get_by_text("Saved.")).to_be_visible()
    no_barriers(page, "shop")
    page.goto("/cards/2/feel")
    fan = page.get_by_role("group", name="Feeler blades")
    expect(fan.get_by_role("button", name="Blade 0.29")).to_be_visible()
    expect(fan.get_by_role("button", name="Blade 0.28")).to_have_count(0)
