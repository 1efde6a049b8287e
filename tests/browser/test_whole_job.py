"""The whole job of a triple with two rounds, in the browser, from the bench to the PDF."""

import json
import re
from pathlib import Path
from typing import Any

import pypdfium2
import pytest
from playwright.sync_api import Page, expect

from plimb.files.starting_point import Layout, Start, starting_point
from plimb.record.database import Database
from plimb.shop.engines import register_engine

from ..conftest import NOON
from .slowly import keyed
from .test_story import entry, in_hand, plate

FOUND = {"1 IN L": "7", "2 IN R": "8"}


def held(page: Page) -> Any:
    return page.locator("[data-valve][aria-pressed=true]").get_attribute("data-valve")


def write_all(page: Page, typed: Any, count: Any) -> None:
    """Write a reading for each valve as it comes to hand."""
    for _valve in range(count):
        expect(entry(page)).to_be_focused()
        valve = held(page)
        text = typed(valve)
        page.keyboard.type(text)
        page.keyboard.press("Enter")
        expect(entry(page)).to_have_value("")
        expect(plate(page, valve)).not_to_contain_text("…")


def fit_and_turn(page: Page) -> None:
    """Fit every piece, go to the proof and turn by hand."""
    for step in range(page.get_by_text("1 of 2").count() + 1):
        expect(page.get_by_text(f"{step + 1} of 2", exact=True)).to_be_visible()
        page.locator("#is-in").click()
    page.locator("#next-stage").click()
    for turn in range(2):
        expect(page.get_by_text(f"{turn} of 2 full turns")).to_be_visible()
        page.locator("#one-turn").click()
    expect(page.get_by_text("Turned by hand 2 times.")).to_be_visible()


def prove(page: Page, typed: Any) -> None:
    for valve, text in typed.items():
        plate(page, valve).click()
        in_hand(page, valve)
        expect(entry(page)).to_be_focused()
        page.keyboard.type(text)
        page.keyboard.press("Enter")
        expect(plate(page, valve)).to_contain_text("proved")


@pytest.mark.long
def test_a_triple_goes_round_twice_and_is_signed(
    open_page: Any, no_barriers: Any, tmp_path: Path
) -> None:
    page = open_page("/")
    page.keyboard.press("o")
    page.get_by_label("Engine:").click()
    page.get_by_role("option", name="No. 3").click()
    keyed(page.get_by_label("Technician"), "Edda Brannoch")
    page.get_by_role("button", name="Open the card").click()

    keyed(page.get_by_label("Hours since it ran"), "20")
    keyed(page.get_by_label("Coolant or head, °C"), "8")
    page.get_by_role("button", name="Save", exact=True).click()
    page.get_by_role("link", name="Turn to the first position").click()
    page.get_by_role("link", name="Feel").click()
    write_all(page, lambda v: FOUND.get(v, "15" if "IN" in v else "25"), 12)
    expect(page.get_by_text("2 of 12 are to be opened.")).to_be_visible()

    page.locator("#next-stage").click()
    write_all(page, {"1 IN L": "250 2.500", "2 IN R": "260 2.600"}.get, 2)
    page.locator("#next-stage").click()
    expect(plate(page, "1 IN L")).to_contain_text("2.40")
    expect(plate(page, "2 IN R")).to_contain_text("2.50")
    page.locator("#take-plan").click()
    expect(page.get_by_role("region", name="The plan").get_by_text("Taken")).to_be_visible()
    page.locator("#next-stage").click()

    # caps down by the picture
    page.get_by_role("button", name="Lay out bolts").last.click()
    keyed(page.get_by_label("Torque from the manual"), "88")
    page.get_by_role("button", name="It is 88.0 lbf·in").click()
    page.get_by_role("button", name="Lay them out").click()
    tighten = page.get_by_role("region", name="Tightening").first
    for turn in range(1, 9):
        tighten.get_by_role("button", name=f"Turned, {turn} of 8").click()
    expect(tighten).to_contain_text("4.97 N·m")
    no_barriers(page, "fit with bolts")
    fit_and_turn(page)

    # the two pieces went into each other's places
    expect(plate(page, "1 IN L")).not_to_contain_text("expect")
    prove(page, {"1 IN L": "7", "2 IN R": "28", "1 IN R": "15", "2 IN L": "15"})
    expect(page.get_by_text("Two shims changed places")).to_be_visible()
    expect(page.get_by_text("Take the shims of")).to_be_visible()
    no_barriers(page, "prove, explained")
    page.locator("#next-round").click()
    expect(page).to_have_url(re.compile("/read$"))

    # round 2: read again what is really in, and put them right
    for valve, text in {"1 IN L": "2.500", "2 IN R": "2.40"}.items():
        plate(page, valve).click()
        in_hand(page, valve)
        expect(entry(page)).to_be_focused()
        page.keyboard.type(text)
        page.keyboard.press("Enter")
        expect(plate(page, valve)).to_contain_text(text.rstrip("0"))
    page.locator("#next-stage").click()
    expect(plate(page, "1 IN L")).to_contain_text("from 2 IN R")
    expect(plate(page, "2 IN R")).to_contain_text("from 1 IN L")
    page.locator("#take-plan").click()
    expect(page.get_by_role("region", name="The plan").get_by_text("Taken")).to_be_visible()
    page.locator("#next-stage").click()
    fit_and_turn(page)
    prove(page, {"1 IN L": "15-18", "2 IN R": "18"})
    expect(page.get_by_text("As predicted, within doubt")).to_be_visible()
    page.locator("#next-stage").click()

    expect(page.get_by_text("Every valve is in range.")).to_be_visible()
    sheet = page.get_by_role("article")
    expect(sheet).to_contain_text("Round 2: Two shims changed places")
    row = page.get_by_role("row", name="1 IN L")
    for figure in ("0.07", "2.50", "2.40", "0.15–0.18"):
        expect(row).to_contain_text(figure)
    keyed(page.get_by_label("Next check at, km"), "24000")
    page.get_by_role("button", name="Sign", exact=True).click()
    expect(page.get_by_role("heading", name="Signed")).to_be_visible()

    place = page.get_by_role("link", name="PDF").get_attribute("href")
    pdf = tmp_path / "sheet.pdf"
    pdf.write_bytes(page.request.get(place).body())
    document = pypdfium2.PdfDocument(pdf)
    text = document[0].get_textpage().get_text_range()
    for said in ("No. 3", "Round 2", "2.50", "2.40", "Edda Brannoch", "Cam caps", "24 000"):
        assert said in " ".join(text.split()), said
    assert len(document) <= 2  # what was not done stands at length on the second
    page.locator("#check-pdf").set_input_files(pdf)
    expect(page.get_by_text("The sheet agrees with the record as it stands.")).to_be_visible()
    keyed(page.get_by_label("Something to add?"), "Chain measured: fine.")
    page.get_by_role("button", name="Save", exact=True).click()
    expect(sheet).to_contain_text("Chain measured: fine.")
    page.locator("#check-pdf").set_input_files(pdf)
    expect(page.get_by_text("before 1 later amendment")).to_be_visible()
    no_barriers(page, "signed")


COUNTED = """() => {
  window.counted = {keys: 0, taps: 0};
  addEventListener("keydown", () => (window.counted.keys += 1), true);
  addEventListener("pointerdown", () => (window.counted.taps += 1), true);
}"""
TO_SET = {"1 IN L": "9", "2 EX R": "16", "3 IN R": "8", "4 EX L": "17"}


@pytest.mark.long
def test_keys_and_taps_of_a_whole_job_of_sixteen_valves_are_few(
    open_page: Any, school: Database, capsys: pytest.CaptureFixture[str]
) -> None:
    document = starting_point(Start(layout=Layout.INLINE_FOUR, firing="1-3-4-2"))
    document["engine"] |= {
        "rotation": "clockwise",
        "spec": {"intake": {"min": 0.14, "max": 0.22}, "exhaust": {"min": 0.21, "max": 0.29}},
        "family": {"diameter": 9.48, "runs": [{"from": 1.2, "to": 3.5, "step": 0.05}]},
    }
    register_engine(school, label="Sixteen", note="", document=json.dumps(document), now=NOON)
    page = open_page("/")
    page.evaluate(COUNTED)
    page.keyboard.press("o")
    page.get_by_label("Engine:").click()
    page.get_by_role("option", name="Sixteen").click()
    page.get_by_label("Technician").click()
    page.keyboard.type("Oda")
    page.keyboard.press("Enter")
    for box in ("Hours since it ran", "Coolant or head, °C"):
        page.get_by_label(box).click()
        page.keyboard.type("9")
    page.keyboard.press("Enter")
    expect(page.get_by_role("button", name="Save", exact=True)).to_be_visible()
    for box in page.get_by_role("checkbox").all():
        box.focus()
        page.keyboard.press("Space")
    expect(page.get_by_text("all done", exact=True)).to_be_visible()
    page.get_by_role("link", name="Turn to the first position").click()
    page.get_by_role("link", name="Feel").click()
    expect(entry(page)).to_be_focused()
    before = page.evaluate("counted.keys")
    write_all(page, lambda valve: TO_SET.get(valve, "18" if "IN" in valve else "25"), 16)
    felt = page.evaluate("counted.keys") - before
    page.locator("#next-stage").click()
    write_all(page, lambda _valve: "250", 4)
    page.locator("#next-stage").click()
    page.locator("#take-plan").click()
    expect(page.get_by_role("region", name="The plan").get_by_text("Taken")).to_be_visible()
    page.locator("#next-stage").click()
    for step in range(1, 5):
        expect(page.get_by_text(f"{step} of 4", exact=True)).to_be_visible()
        page.keyboard.press("Enter")
    page.locator("#next-stage").click()
    for turn in range(2):
        expect(page.get_by_text(f"{turn} of 2 full turns")).to_be_visible()
        page.locator("#one-turn").click()
    expect(page.get_by_text("Turned by hand 2 times.")).to_be_visible()
    number = page.url.split("/")[-2]
    card = page.request.get(f"/api/cards/{number}").json()
    expected = {one["valve"]: one["predicted"] for one in card["valves"] if one["touched"]}
    assert len(expected) >= 4
    entry(page).focus()
    write_all(page, lambda valve: expected[valve]["mm"].split(" ")[0][2:4], len(expected))
    page.locator("#next-stage").click()
    expect(page.get_by_text("Every valve is in range.")).to_be_visible()
    page.get_by_role("button", name="Sign", exact=True).click()
    expect(page.get_by_role("heading", name="Signed")).to_be_visible()
    counted = page.evaluate("counted")
    with capsys.disabled():
        print(f"\n[figures] sixteen valves, four to set, from bench to signed sheet: {counted}; "
              f"{felt / 16:.1f} keys a reading")  # fmt: skip
    assert felt <= 3 * 16
    assert counted["keys"] <= 110
    assert counted["taps"] <= 40
