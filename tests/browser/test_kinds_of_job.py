"""Whole jobs of each kind on engines that nobody knows, by hand, from an empty record."""

from typing import Any

import pytest
from playwright.sync_api import expect

from plimb.core.lengths import mm
from plimb.core.measure.blades import Blade, BladeSet
from plimb.record.database import Database
from plimb.shop.tools import save_blade_set
from plimb.web.server.application import create_app

from .hand import Hand
from .slowly import keyed, unfold


@pytest.fixture
def application(database: Database) -> Any:
    """Serve an empty record."""
    return create_app(database)


@pytest.mark.long
def test_a_v_twin_with_two_marks_and_cues_and_no_timing(open_page: Any, no_barriers: Any) -> None:
    hand = Hand(open_page, "Guest V")
    page = hand.page
    hand.pick("Cylinders", "V-twin")
    hand.type("Intake allowed gap, as printed", "0.08-0.16")
    hand.type("Exhaust allowed gap, as printed", "0.18-0.26")
    for name, cylinder, cue, count in (
        ("R", 2, "rear lobes up and inwards", "15 pins to figure 2"),
        ("F", 1, "one more turn and a quarter, front lobes outwards", ""),
    ):
        hand.button("Add a mark")
        mark = page.get_by_role("group", name="Mark").last
        hand.type("Mark", name, within=mark)
        hand.type("What to look for there", cue, within=mark)
        hand.type("What is counted for the timing", count, within=mark)
        hand.tap(mark.get_by_role("button", name=f"all of {cylinder}"))
    no_barriers(page, "marks of a new engine")
    hand.open_card()
    hand.go("Turn")
    expect(page.get_by_text("First sign: mark R at its pointer.")).to_be_visible()
    expect(page.get_by_text("Second sign: rear lobes up and inwards.")).to_be_visible()
    expect(page.get_by_role("slider")).to_have_count(0)  # no picture of a timing nobody entered
    no_barriers(page, "turning by the marks")
    assert [(s["mark"], s["degrees"], len(s["valves"])) for s in hand.card["turning"]["stops"]] == [
        ("R", None, 4), ("F", None, 4),
    ]  # fmt: skip
    hand.button("Measure here")
    expect(page.locator("#entry")).to_have_attribute("aria-label", "Gap of 2 IN L")
    for valve in (one["valve"] for one in hand.card["valves"]):
        hand.enter(valve, "8-10" if valve == "1 IN L" else "12" if "IN" in valve else "22")
    hand.enter("1 IN L", "6-7")
    expect(page.get_by_text("1 of 8 is to be opened.")).to_be_visible()
    hand.go("Read")
    hand.what = "Shim that is in"
    hand.enter("1 IN L", "250")
    hand.go("Fit")
    expect(page.get_by_text("No shim changes in this round.")).to_be_visible()
    assert "R: rear lobes up and inwards" not in str(hand.card["closing"])  # nothing is apart yet
    said = hand.sheet()
    assert "check and set" in said
    assert "by the marks" in said
    hand.sign("1 IN L waits for its shim")


@pytest.mark.long
def test_a_flat_four_on_the_bench_after_head_work(open_page: Any, no_barriers: Any) -> None:
    hand = Hand(open_page, "Guest boxer")
    page = hand.page
    hand.pick("Cylinders", "flat four")
    hand.pick("Valves a cylinder", "2")
    hand.pick("Camshafts a bank", "1")
    hand.pick("Where they sit", "finger or rocker")
    hand.type("Intake allowed gap, as printed", "0.13 ± 0.03")
    hand.type("Exhaust allowed gap, as printed", "0.24 ± 0.03")
    hand.sizes("1.90", "2.60", "0.02")
    hand.open_card("after head work, on the bench")
    expect(page.get_by_text("The head stands on blocks")).to_be_visible()
    for never in ("battery", "Fuel", "Spark plugs", "Hours since"):
        expect(page.get_by_text(never)).to_have_count(0)
    no_barriers(page, "ready on the bench")
    hand.tap(page.get_by_role("link", name="Write the reference shims down"))
    hand.what = "Reference shim that goes in"
    valves = [one["valve"] for one in hand.card["valves"]]
    for valve in valves:
        hand.enter(valve, "2.300")
    hand.go("Turn")
    expect(page.get_by_text("The head is on the bench: there is no crank.")).to_be_visible()
    no_barriers(page, "turning on the bench")
    hand.go("Feel")
    hand.what = "Gap"
    for valve in valves:
        hand.enter(valve, {"1 IN": "8", "3 EX": "30"}.get(valve, "13" if "IN" in valve else "24"))
    expect(page.get_by_text("2 of 8 are to be opened.")).to_be_visible()
    hand.go("Choose")
    hand.tap(page.locator("#take-plan"))
    expect(page.locator("[data-valve='3 EX']")).to_contain_text("2.3")
    hand.tap(page.locator("#next-stage"))
    expect(page.locator("#is-in")).to_be_visible()
    steps = hand.card["fit"]
    assert {one["valve"] for one in steps} == {"1 IN", "3 EX"}
    for step in steps:
        expect(page.get_by_role("heading", name=step["valve"], exact=True)).to_be_visible()
        hand.tap(page.locator("#is-in"))
    left = len(hand.card["closing"])
    expect(page.get_by_text(f"{left} of {left} steps on this page not ticked.")).to_be_visible()
    assert not any(
        word in str(hand.card["closing"]) for word in ("ensioner", "rank at", "over bolts")
    )
    said = hand.sheet()
    assert "after head work, on the bench" in said
    assert "each camshaft by its gear" in said
    hand.sign("proved on the machine")


@pytest.mark.long
def test_one_figure_with_the_shops_own_room(open_page: Any) -> None:
    hand = Hand(open_page, "Guest 48")
    page = hand.page
    hand.pick("Cylinders", "parallel twin")
    hand.pick("Crank offset", "180")
    hand.pick("Valves a cylinder", "2")
    hand.pick("Camshafts a bank", "1")
    for side in ("Intake", "Exhaust"):
        hand.type(f"{side} allowed gap, as printed", "0.18")
        hand.type(f"{side}, how much more or less", "0.03")
    for name, degrees in (("1", "0"), ("2", "180")):
        hand.button("Add a mark")
        mark = page.get_by_role("group", name="Mark").last
        hand.type("Mark", name, within=mark)
        hand.type("at °, if known", degrees, within=mark)
    hand.open_card()
    assert {one["mark"] for one in hand.card["turning"]["stops"]} == {"1", "2"}
    hand.go("Turn")
    expect(page.get_by_text("a mild cam timing that is assumed")).to_be_visible()
    hand.go("Feel")
    for valve, text in (("1 IN", "15"), ("1 EX", "21"), ("2 IN", "22"), ("2 EX", "18")):
        hand.enter(valve, text)
    assert [one["verdict"] for one in sorted(hand.card["valves"], key=lambda v: v["valve"])] == [
        "in", "in", "in", "loose",
    ]  # fmt: skip
    assert "the shop’s own room 0.03" in hand.sheet()
    hand.sign("2 IN is left for the spring")


@pytest.mark.long
def test_a_shim_on_top_single_in_miles(open_page: Any) -> None:
    hand = Hand(open_page, "Guest courier")
    page = hand.page
    hand.pick("Cylinders", "single")
    hand.pick("Valves a cylinder", "2")
    hand.pick("Camshafts a bank", "1")
    hand.pick("Where they sit", "bucket, shim on top")
    hand.tap(page.get_by_role("group", name="Unit of the gaps in the manual").get_by_text("inch"))
    hand.type("Intake allowed gap, as printed", ".004-.008")
    hand.type("Exhaust allowed gap, as printed", ".006-.010")
    hand.type("Shim diameter", "29")
    hand.sizes("2.00", "3.20", "0.05")
    hand.type("Name of this machine", hand.name)
    hand.button("Save and open a card")
    hand.type("Technician", "Nessa")
    hand.tap(page.get_by_role("group", name="The meter shows").get_by_text("miles"))
    hand.type("Distance", "14 120")
    hand.button("Open the card")
    expect(page.get_by_text("at 14 120 miles")).to_be_visible()
    unfold(page, "Tools for this job")
    expect(page.get_by_text("Holding-down tool for the buckets")).to_be_visible()
    hand.go("Feel")
    hand.enter("IN", "3")
    hand.enter("EX", "8")
    hand.go("Read")
    hand.what = "Shim that is in"
    hand.enter("IN", "265")
    hand.go("Choose")
    hand.tap(page.locator("#take-plan"))
    hand.tap(page.locator("#next-stage"))
    expect(page.locator("#is-in")).to_be_visible()
    hand.tap(page.locator("#is-in"))
    hand.go("Prove")
    hand.what = "Gap after fitting"
    hand.enter("IN", "7")
    said = hand.sheet()
    assert "14\u202f120 miles" in said
    hand.type("Next check at, miles", "28000")
    hand.sign()
    expect(page.locator("article.sheet")).to_contain_text("at 28\u202f000 miles")
    page.goto("/")
    hand.button("Open a card")
    hand.pick("Engine", "Guest courier")
    miles = page.get_by_role("group", name="The meter shows").get_by_text("miles")
    expect(miles).to_have_attribute("data-state", "on")


@pytest.mark.long
def test_check_only_of_sixteen_valves_by_two_scale_blades_at_the_very_limits(
    open_page: Any, no_barriers: Any
) -> None:
    hand = Hand(open_page, "Guest sixteen")
    page = hand.page
    hand.tap(page.get_by_role("group", name="Unit of the gaps in the manual").get_by_text("inch"))
    hand.type("Intake allowed gap, as printed", ".006-.010")
    hand.type("Exhaust allowed gap, as printed", ".010-.014")
    hand.type("Name of this machine", hand.name)
    hand.button("Save the engine")
    expect(page.get_by_role("button", name="Open a card", exact=True)).to_be_visible()
    page.goto("/shop")
    hand.tap(page.get_by_role("button", name="two scales"))
    hand.button("Save the set")
    expect(page.get_by_text("Saved.")).to_be_visible()
    no_barriers(page, "a set with two scales")
    page.goto("/")
    hand.button("Open a card")
    hand.pick("Engine", "Guest sixteen")
    hand.pick("Kind of job", "check only")
    hand.type("Technician", "Nessa")
    hand.button("Open the card")
    expect(page.get_by_role("navigation", name="Stages").get_by_role("link")).to_have_count(
        4
    )  # nothing to choose, nothing to fit
    hand.go("Feel")
    fan = page.get_by_role("group", name="Feeler blades")
    # whichever scale is read: the limit is met, and a blade that is at it is in
    for valve in (one["valve"] for one in hand.card["valves"]):
        page.locator(f"[data-valve='{valve}']").click()
        mm = valve.endswith("L")
        page.get_by_role("group", name="Gaps in").get_by_text("mm" if mm else "thou").click()
        limit = ("6", "0.152") if "IN" in valve else ("14", "0.356")
        blade = fan.get_by_role("button", name=f"Blade {limit[mm]}", exact=False).first
        blade.click()
        hand.button("Write")
        expect(page.locator("#entry")).to_have_value("")
    assert {one["verdict"] for one in hand.card["valves"]} == {"in"}
    expect(page.get_by_text("Every valve is in range. Nothing to open.")).to_be_visible()
    hand.go("Sign")
    for box in page.get_by_role("checkbox").all():
        box.check(force=True)
    expect(page.get_by_text("all done", exact=True)).to_be_visible()
    stages = page.get_by_role("navigation", name="Stages")
    expect(stages.get_by_role("link", name="Sign 3/3")).to_be_visible()
    assert "check only" in hand.sheet()
    hand.sign()


@pytest.mark.long
def test_one_valve_by_two_thou_and_what_was_found_corrected_with_its_reason(open_page: Any) -> None:
    hand = Hand(open_page, "Guest by two thou")
    page = hand.page
    hand.pick("Cylinders", "single")
    hand.tap(page.get_by_role("group", name="Unit of the gaps in the manual").get_by_text("inch"))
    hand.type("Exhaust allowed gap, as printed", ".006-.014")
    hand.sizes("2.00", "3.20", "0.05")
    hand.type("Name of this machine", hand.name)
    hand.button("Save and open a card")
    hand.pick("Kind of job", "one valve by a known amount")
    hand.type("Technician", "Nessa")
    hand.button("Open the card")
    expect(page.get_by_text("Say which valve, and by how much.")).to_be_visible()
    hand.pick("Which valve", "EX L")
    hand.type("by, thou", "2")
    hand.button("Open the card")
    expect(page.get_by_text("EX L, 2 thou")).to_be_visible()
    hand.go("Feel")
    hand.enter("EX L", "8")
    hand.go("Read")
    hand.what = "Shim that is in"
    hand.enter("EX L", "270 2.700")
    hand.go("Feel")
    expect(page.get_by_text("This valve was opened.")).to_be_visible()
    entry = page.locator("#entry")
    keyed(entry, "9")
    entry.press("Enter")
    expect(page.locator("#understood")).to_contain_text("can only be corrected now")
    keyed(page.get_by_label("Why it is corrected"), "Read the wrong scale")
    entry.press("Enter")
    expect(entry).to_have_value("")
    hand.go("Choose")
    hand.tap(page.locator("#take-plan"))
    expect(page.locator("[data-valve='EX L']")).to_contain_text("2.65")
    hand.tap(page.locator("#next-stage"))
    expect(page.locator("#is-in")).to_be_visible()
    hand.tap(page.locator("#is-in"))
    hand.go("Prove")
    hand.what = "Gap after fitting"
    hand.enter("EX L", "11")
    said = hand.sheet()
    assert "EX L found 8, corrected to 9: Read the wrong scale" in said
    expect(page.get_by_text("1 of 4 in range, 3 not measured.")).to_be_visible()
    hand.sign()


def test_one_valve_by_an_amount_on_an_engine_of_which_nothing_is_known(
    open_page: Any, tmp_path: Any
) -> None:
    hand = Hand(open_page, "Guest with no book")
    page = hand.page
    hand.pick("Cylinders", "single")
    hand.pick("Valves a cylinder", "2")
    hand.sizes("2.00", "3.00", "0.05")
    hand.type("Name of this machine", hand.name)
    hand.button("Save and open a card")
    hand.pick("Kind of job", "one valve by a known amount")
    hand.type("Technician", "Nessa")
    hand.pick("Which valve", "EX")
    hand.type("by, mm", "0.06")
    hand.button("Open the card")
    expect(page.get_by_text("EX, 0.06 mm")).to_be_visible()
    hand.go("Feel")
    hand.enter("EX", "17")
    expect(page.get_by_text("The allowed gap is not entered for EX.")).to_be_visible()
    keyed(page.get_by_label("More or less by, mm"), "0.02")
    hand.button("Judge by that")
    expect(page.get_by_text("its gap is to become 0.23")).to_be_visible()
    hand.go("Read")
    hand.what = "Shim that is in"
    hand.enter("EX", "2.53")
    hand.go("Choose")
    hand.tap(page.locator("#take-plan"))
    hand.tap(page.locator("#next-stage"))
    hand.tap(page.locator("#is-in"))
    hand.go("Prove")
    hand.what = "Gap after fitting"
    hand.enter("EX", "25")
    assert hand.valve("EX")["left"] == "in"
    said = hand.sheet()
    assert "1 valve measured: 1 without a range; 1 not measured." in said
    assert "EX, for this job\n0.21–0.25 (0.23 ± 0.02) mm" in said
    assert "one valve by a known amount: EX by 0.06 mm wider" in said
    assert "Why\n" not in said  # nobody said why
    hand.sign()


ANSWER = """([valve, gap]) => {
    const held = document.querySelector(`[data-valve='${valve}'][aria-pressed='true']`);
    const asked = held && document.querySelector("#asked-blade")?.innerText.trim();
    if (!asked) return "";
    const says = Number(asked) <= gap ? "Goes" : "Refuses";
    [...document.querySelectorAll("button")].find((one) => one.innerText === says).click();
    return asked;
}"""
"""Answer by a valve's true gap what is asked for it just now; which blade that was."""


@pytest.mark.long
def test_blades_a_twentieth_apart_on_a_range_as_wide_as_their_step(
    open_page: Any, database: Database
) -> None:
    every = tuple(Blade(nominal_nm=n * mm("0.05")) for n in range(1, 9))
    save_blade_set(database, set_id=None, blades=BladeSet(name="Coarse", blades=every))
    hand = Hand(open_page, "Guest coarse", phone=True)
    page = hand.page
    hand.pick("Cylinders", "single")
    hand.pick("Valves a cylinder", "2")
    hand.pick("Camshafts a bank", "1")
    hand.type("Intake allowed gap, as printed", "0.10-0.15")
    hand.type("Exhaust allowed gap, as printed", "0.20-0.25")
    hand.sizes("2.00", "3.20", "0.025")
    hand.open_card()

    def guided(stage: str, valve: str, true_nm: Any) -> int:
        """Try what is asked for until it is written down; how many blades that took."""
        hand.go(stage)
        page.locator(f"[data-valve='{valve}']").click()
        page.get_by_role("group", name="How to measure").get_by_text("guide me").click()
        key, tried = "proof" if stage == "Prove" else "found", set[str]()
        while hand.valve(valve)[key] is None:
            tried |= {page.evaluate(ANSWER, [valve, true_nm / 1_000_000])}
        return len(tried - {""})

    assert guided("Feel", "IN", mm("0.135")) == 2  # the minimum goes, the maximum refuses
    assert hand.valve("IN")["verdict"] == "in"
    assert guided("Feel", "EX", mm("0.17")) <= 3
    assert hand.valve("EX")["verdict"] == "tight"
    hand.go("Read")
    hand.what = "Shim that is in"
    hand.enter("EX", "2.55")
    hand.go("Choose")
    hand.tap(page.locator("#take-plan"))
    hand.tap(page.locator("#next-stage"))
    hand.tap(page.locator("#is-in"))
    assert guided("Prove", "EX", mm("0.22")) == 2
    assert hand.valve("EX")["proof_verdict"] == "in"
    said = hand.sheet()
    assert "Gap after: all 2 in range." in said
    hand.sign()
