"""Whole jobs of each kind on engines that nobody knows, by hand, from an empty record."""

import pytest
from playwright.sync_api import Page, expect

from plimb.web.application import create_app


@pytest.fixture
def application(database):
    """Serve an empty record."""
    return create_app(database)


class Hand:
    """Somebody at the bench: taps and typed figures, counted."""

    def __init__(self, open_page, name: str) -> None:
        self.page: Page = open_page("/engines/new")
        self.page.get_by_role("heading", name="A new engine").wait_for()
        self.name, self.taps, self.keys = name, 0, 0

    def tap(self, what) -> None:
        what.click()
        self.taps += 1

    def button(self, name: str, **more) -> None:
        self.tap(self.page.get_by_role("button", name=name, exact=True, **more))

    def pick(self, label: str, item: str) -> None:
        self.tap(self.page.get_by_label(f"{label}:"))
        self.tap(self.page.get_by_role("option", name=item).first)

    def type(self, label: str, text: str, *, within=None) -> None:
        (within or self.page).get_by_label(label, exact=True).fill(text)
        self.keys += len(text)

    def sizes(self, low: str, high: str, step: str) -> None:
        self.button("Shim sizes that are made")
        for end, figure in (("from", low), ("to", high), ("by", step)):
            self.type(f"Shim sizes {end}", figure)

    def open_card(self, kind: str | None = None, **typed: str) -> None:
        """Save the engine and open a card of that kind."""
        self.type("What the shop calls it", self.name)
        self.button("Save the engine")
        self.button("Open a card")
        if kind:
            self.pick("Kind of job", kind)
        self.type("Who does the work", "Nessa")
        for label, text in typed.items():
            self.type(label.replace("_", " "), text)
        self.button("Open the card")
        expect(self.page.locator("header")).to_contain_text(self.name)

    def go(self, stage: str) -> None:
        self.tap(self.page.get_by_role("navigation", name="Stages").get_by_text(stage, exact=True))

    def enter(self, valve: str, text: str) -> None:
        """Type something for a valve; that it is written is seen on the record."""
        entry = self.page.locator("#entry")
        self.page.locator(f"[data-valve='{valve}']").click()
        expect(entry).to_have_attribute("aria-label", f"{self.what} of {valve}")
        entry.fill(text)
        entry.press("Enter")
        self.keys += len(text) + 1
        expect(entry).to_have_value("")

    what = "Gap"

    @property
    def card(self):
        return self.page.request.get("/api/cards/1").json()

    def valve(self, name: str):
        return next(one for one in self.card["valves"] if one["valve"] == name)

    def sheet(self) -> str:
        """Go to the sheet and return what it says."""
        self.go("Sign")
        article = self.page.locator("article.sheet")
        expect(article).to_contain_text("Signed")
        return article.inner_text()

    def sign(self, remarks: str = "") -> None:
        self.type("Name", "Nessa")
        if remarks:
            self.type("Remarks", remarks)
        self.button("Sign")
        expect(self.page.get_by_text("signed this card")).to_be_visible()
        print(f"{self.name}: {self.taps} taps, {self.keys} keys")


def test_a_v_twin_with_two_marks_and_cues_and_no_timing(open_page, no_barriers):
    hand = Hand(open_page, "Guest V")
    page = hand.page
    hand.pick("Layout", "V-twin")
    hand.type("Intake spec, as printed", "0.08-0.16")
    hand.type("Exhaust spec, as printed", "0.18-0.26")
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
    expect(page.get_by_text("Proof one: mark R at its pointer.")).to_be_visible()
    expect(page.get_by_text("Proof two: rear lobes up and inwards.")).to_be_visible()
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
    expect(page.get_by_text("No piece changes in this round.")).to_be_visible()
    assert "R: rear lobes up and inwards" not in str(hand.card["closing"])  # nothing is apart yet
    said = hand.sheet()
    assert "check and set" in said
    assert "by the marks" in said
    hand.sign("1 IN L waits for its shim")


def test_a_flat_four_on_the_bench_after_head_work(open_page, no_barriers):
    hand = Hand(open_page, "Guest boxer")
    page = hand.page
    hand.pick("Layout", "flat four")
    hand.pick("Valves a cylinder", "2")
    hand.pick("Camshafts a bank", "1")
    hand.pick("Followers", "finger or rocker")
    hand.type("Intake spec, as printed", "0.13 ± 0.03")
    hand.type("Exhaust spec, as printed", "0.24 ± 0.03")
    hand.sizes("1.90", "2.60", "0.02")
    hand.open_card("after head work, on the bench")
    expect(page.get_by_text("The head stands on blocks")).to_be_visible()
    for never in ("battery", "Fuel", "Spark plugs", "Hours since"):
        expect(page.get_by_text(never)).to_have_count(0)
    no_barriers(page, "ready on the bench")
    hand.tap(page.get_by_role("link", name="Write the reference pieces down"))
    hand.what = "Reference piece that goes in"
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
    for _ in steps:
        hand.tap(page.locator("#is-in"))
    assert not any(
        word in str(hand.card["closing"]) for word in ("ensioner", "rank at", "over bolts")
    )
    said = hand.sheet()
    assert "after head work, on the bench" in said
    assert "each camshaft by its gear" in said
    hand.sign("proved on the machine")


def test_one_figure_with_the_shops_own_room(open_page):
    hand = Hand(open_page, "Guest 48")
    page = hand.page
    hand.pick("Layout", "parallel twin")
    hand.pick("Crank offset", "180")
    hand.pick("Valves a cylinder", "2")
    hand.pick("Camshafts a bank", "1")
    for side in ("Intake", "Exhaust"):
        hand.type(f"{side} spec, as printed", "0.18")
        hand.type(f"{side}, the shop’s own room", "0.03")
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


def test_a_shim_on_top_single_in_miles(open_page):
    hand = Hand(open_page, "Guest courier")
    page = hand.page
    hand.pick("Layout", "single")
    hand.pick("Valves a cylinder", "2")
    hand.pick("Camshafts a bank", "1")
    hand.pick("Followers", "bucket, shim on top")
    hand.tap(page.get_by_role("group", name="Unit of the gaps in the manual").get_by_text("inch"))
    hand.type("Intake spec, as printed", ".004-.008")
    hand.type("Exhaust spec, as printed", ".006-.010")
    hand.type("Shim diameter", "29")
    hand.sizes("2.00", "3.20", "0.05")
    hand.type("What the shop calls it", hand.name)
    hand.button("Save the engine")
    hand.button("Open a card")
    hand.type("Who does the work", "Nessa")
    hand.tap(page.get_by_role("group", name="The counter counts").get_by_text("miles"))
    hand.type("Distance", "14 120")
    hand.button("Open the card")
    expect(page.get_by_text("at 14120 miles")).to_be_visible()
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
    assert "14120 miles" in said
    hand.type("Next check at, miles", "28000")
    hand.sign()
    expect(page.locator("article.sheet")).to_contain_text("at 28000 miles")
    page.goto("/")
    hand.button("Open a card")
    miles = page.get_by_role("group", name="The counter counts").get_by_text("miles")
    expect(miles).to_have_attribute("data-state", "on")


def test_check_only_of_sixteen_valves_by_two_scale_blades_at_the_very_limits(
    open_page, no_barriers
):
    hand = Hand(open_page, "Guest sixteen")
    page = hand.page
    hand.tap(page.get_by_role("group", name="Unit of the gaps in the manual").get_by_text("inch"))
    hand.type("Intake spec, as printed", ".006-.010")
    hand.type("Exhaust spec, as printed", ".010-.014")
    hand.type("What the shop calls it", hand.name)
    hand.button("Save the engine")
    expect(page.get_by_role("button", name="Open a card")).to_be_visible()
    page.goto("/shop")
    hand.tap(page.get_by_role("button", name="two scales"))
    hand.button("Save the set")
    expect(page.get_by_text("Saved.")).to_be_visible()
    no_barriers(page, "a set with two scales")
    page.goto("/")
    hand.button("Open a card")
    hand.pick("Kind of job", "check only")
    hand.type("Who does the work", "Nessa")
    hand.button("Open the card")
    expect(page.get_by_role("navigation", name="Stages").get_by_role("link")).to_have_count(5)
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
    expect(page.get_by_text("Every valve is in spec: nothing to open.")).to_be_visible()
    hand.go("Fit")
    for box in page.get_by_role("checkbox").all():
        box.check(force=True)
    expect(page.get_by_text("all done", exact=True)).to_be_visible()
    assert hand.card["at"] == "sign"
    assert "check only" in hand.sheet()
    hand.sign()


def test_one_valve_by_two_thou_and_what_was_found_corrected_with_its_reason(open_page):
    hand = Hand(open_page, "Guest by two thou")
    page = hand.page
    hand.pick("Layout", "single")
    hand.tap(page.get_by_role("group", name="Unit of the gaps in the manual").get_by_text("inch"))
    hand.type("Exhaust spec, as printed", ".006-.014")
    hand.sizes("2.00", "3.20", "0.05")
    hand.type("What the shop calls it", hand.name)
    hand.button("Save the engine")
    hand.button("Open a card")
    hand.pick("Kind of job", "one valve by a known amount")
    hand.type("Who does the work", "Nessa")
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
    expect(page.get_by_text("Pieces are out.")).to_be_visible()
    entry = page.locator("#entry")
    entry.fill("9")
    entry.press("Enter")
    expect(page.locator("#understood")).to_contain_text("can only be corrected now")
    page.get_by_label("Why it is corrected").fill("Read the wrong scale")
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
    expect(page.get_by_text("Every valve is in spec as left.")).to_be_visible()
    hand.sign()


def test_kind_instrument_and_feeler_set_are_put_right_and_the_engine_remembers(
    open_page, no_barriers
):
    hand = Hand(open_page, "Guest to correct")
    page = hand.page
    hand.pick("Layout", "single")
    hand.type("What the shop calls it", hand.name)
    hand.button("Save the engine")
    expect(page.get_by_role("button", name="Open a card")).to_be_visible()
    page.goto("/shop")
    hand.tap(page.get_by_role("button", name="mm, 0.05 to 1.00"))
    hand.button("Save the set")
    expect(page.get_by_text("Saved.")).to_be_visible()
    hand.type("One more", "Old calliper")
    hand.button("Add it")
    expect(page.get_by_text("Old calliper")).to_be_visible()
    page.goto("/")
    hand.button("Open a card")
    hand.type("Who does the work", "Nessa")
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
    hand.tap(page.get_by_text("The machine", exact=True))
    hand.type("Whose machine it is", "Ilse Varn")
    hand.button("Keep with the engine", disabled=False)
    expect(page.get_by_text("Ilse Varn", exact=True)).to_be_visible()
    hand.type("One of its own, kept with the engine", "Long 8 mm socket")
    page.keyboard.press("Enter")
    hand.button("Cover gasket")
    hand.type("The shop’s number", "G-7")
    page.keyboard.press("Enter")
    expect(page.get_by_text("price not known")).to_be_visible()
    hand.tap(page.get_by_text("Symptoms and side checks"))
    hand.type("dry", "11.5")
    hand.button("Write them down")
    expect(page.get_by_label("Compression of each cylinder", exact=False)).to_be_visible()
    no_barriers(page, "ready with tools and parts")
    hand.go("Feel")
    hand.tap(page.get_by_text("Notes here"))
    page.get_by_label("On this card").fill("Blade 0.15 is worn")
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
