"""The machines that guests bring, from an empty record to a signed sheet, typed key by key.

What is typed is what their pages print and no more. The PDF is held, valve by valve and line by
line, against what was typed.
"""

import re
from dataclasses import dataclass, field
from typing import Any

import pypdfium2
import pytest
from playwright.sync_api import expect

from plimb.record.database import Database
from plimb.web.server.application import create_app

from .hand import Hand

PHONE = {"phone": True}
TABLET = {"viewport": {"width": 820, "height": 1180}, "has_touch": True}


@pytest.fixture
def application(database: Database) -> Any:
    """Serve an empty record."""
    return create_app(database)


@dataclass(frozen=True, kw_only=True)
class Guest:
    """One machine as its page prints it, and what is found in it, by valve.

    `picks` are chosen from lists, `typed` fields of the engine, `found` the gaps of the valves
    that are out, `shims` what lies in them; every other gap is `inside` its range.
    """

    picks: dict[str, str]
    typed: dict[str, str]
    sizes: tuple[str, str, str]
    found: dict[str, str]
    shims: dict[str, str]
    inside: dict[str, str]
    inch: bool = False
    kind: str | None = None
    card: dict[str, str] = field(default_factory=dict)
    size: dict[str, Any] = field(default_factory=dict)
    own: Any = None


def specs(intake: str, exhaust: str) -> dict[str, str]:
    return {"Intake allowed gap, as printed": intake, "Exhaust allowed gap, as printed": exhaust}


def marks(*said: tuple[str, str, str]) -> Any:
    """Return how marks are entered: name, where the crank is, what to look for."""

    def enter(hand: Hand) -> None:
        for name, degrees, cue in said:
            hand.button("Add a mark")
            mark = hand.page.get_by_role("group", name="Mark").last
            hand.type("Mark", name, within=mark)
            if degrees:
                hand.type("at °, if known", degrees, within=mark)
            if cue:
                hand.type("What to look for there", cue, within=mark)

    return enter


def closers(hand: Hand) -> None:
    """Give the closers what their page prints of them."""
    hand.tap(hand.page.get_by_role("button", name="Allowed gap of the closers").first)
    for side in ("Intake", "Exhaust"):
        hand.type(f"{side}: range after setting", "0.12-0.16")
        hand.type(f"{side} closer allowed gap, as printed", "0.00-0.15")
        hand.type(f"{side} closer: range after setting", "0.01-0.05")
    hand.button("Give the closers their own sizes")
    hand.type("Closer diameter", "7")
    hand.button("Closer sizes that are made")
    for end, figure in (("from", "2.00"), ("to", "4.50"), ("by", "0.05")):
        hand.type(f"Closer sizes {end}", figure)


GUESTS = {
    "Quenby 376": Guest(
        picks={"Cylinders": "single", "Camshafts a bank": "1",
               "Where they sit": "finger or rocker"},
        typed={**specs(".006 ± .001 in", ".012 ± .001 in"), "Shim diameter": "7.48"},
        sizes=("1.20", "2.60", "0.05"), inch=True, size=PHONE,
        found={"IN L": "3-4"}, shims={"IN L": "215"}, inside={"IN": "6", "EX": "12"},
    ),
    "Tarrowick 640": Guest(
        picks={"Cylinders": "V-twin"}, typed=specs("0.09–0.17", "0.19–0.27"),
        sizes=("2.00", "3.20", "0.05"),
        own=marks(("R", "", "rear lobes up and towards each other"),
                  ("F", "", "one more turn and a quarter: front lobes up and away")),
        found={"1 IN L": "6", "2 EX R": "12-13"}, shims={"1 IN L": "255", "2 EX R": "270"},
        inside={"IN": "13", "EX": "23"},
    ),
    "Brannoch Boxer 24": Guest(
        picks={"Cylinders": "flat four", "Valves a cylinder": "2", "Camshafts a bank": "1",
               "Where they sit": "finger or rocker"},
        typed={**specs("0.14 ± 0.03", "0.25 ± 0.03"), "Shim diameter": "5.6"},
        sizes=("1.90", "2.60", "0.02"), kind="head on the bench",
        found={"2 IN": "8"}, shims={"2 IN": "230 2.300"}, inside={"IN": "14", "EX": "25"},
    ),
    "Hesk 48": Guest(
        picks={"Cylinders": "parallel twin", "Crank offset": "180", "Valves a cylinder": "2",
               "Camshafts a bank": "1"},
        typed={**specs("0.17", "0.17"), "Intake, how much more or less": "0.03",
               "Exhaust, how much more or less": "0.03", "Shim diameter": "9.48"},
        sizes=("1.20", "3.50", "0.05"), own=marks(("1", "0", ""), ("2", "180", "")),
        found={"2 EX": "8-10"}, shims={"2 EX": "265"}, inside={"IN": "17", "EX": "18"},
    ),
    "Ysolde Courier": Guest(
        picks={"Cylinders": "single", "Valves a cylinder": "2", "Camshafts a bank": "1",
               "Where they sit": "bucket, shim on top"},
        typed={**specs(".004–.008 in", ".006–.010 in"), "Shim diameter": "29"},
        sizes=("2.00", "3.20", "0.05"), inch=True,
        found={"EX": "4"}, shims={"EX": "270 2.698"}, inside={"IN": "6", "EX": "8"},
    ),
    "Carrec Six": Guest(
        picks={"Cylinders": "straight six", "Valves a cylinder": "2"},
        typed={**specs(".015 ± .001 in", ".021 ± .001 in"), "Shim diameter": "33"},
        sizes=("2.50", "4.00", "0.05"), inch=True, size=TABLET,
        found={"4 IN": "11", "2 EX": "24-25"}, shims={"4 IN": "320", "2 EX": "3.10 3.101"},
        inside={"IN": "15", "EX": "21"},
    ),
    "Ombersel Duo": Guest(
        picks={"Cylinders": "L-twin", "Where they sit": "opener and closer",
               "Valves a cylinder": "2"},
        typed={**specs("0.08-0.22", "0.08-0.22"), "Shim diameter": "8"},
        sizes=("2.00", "4.50", "0.05"), own=closers,
        found={"1 IN op": "5"}, shims={"1 IN op": "310"},
        inside={"IN": "14", "EX": "14", "c": "3"},
    ),
    "Peverell 16": Guest(
        picks={"Where they sit": "bucket without shim"}, typed=specs("0.15–0.25", "0.25–0.35"),
        sizes=("5.10", "5.74", "0.02"), kind="head on the bench",
        found={"3 IN L": "8-10", "1 EX R": "38"}, shims={"3 IN L": "46", "1 EX R": "60"},
        inside={"IN": "20", "EX": "30"},
    ),
}  # fmt: skip


def entered(hand: Hand, guest: Guest) -> None:
    """Enter the engine as its page prints it, and open the card."""
    for label, item in guest.picks.items():
        hand.pick(label, item)
    if guest.inch:
        unit = hand.page.get_by_role("group", name="Unit of the gaps in the manual")
        hand.tap(unit.get_by_text("inch"))
    for label, text in guest.typed.items():
        hand.type(label, text)
    hand.sizes(*guest.sizes)
    if guest.own:
        guest.own(hand)
    hand.open_card(guest.kind, **guest.card)


def ticked(hand: Hand) -> None:
    """Tick every list on the page, each at once."""
    hand.page.get_by_role("checkbox").first.wait_for()
    if hand.page.get_by_role("checkbox").count() == 1:
        hand.page.locator("label", has=hand.page.get_by_role("checkbox")).click()
    for more in hand.page.get_by_role("button", name=re.compile(r"^All \d+ steps$")).all():
        more.click()
    button = hand.page.get_by_role("button", name=re.compile(r"^All \d+ are done$"))
    while button.count():
        many = button.count()
        button.first.click()
        expect(button).to_have_count(many - 1)


def measured(hand: Hand, guest: Guest) -> dict[str, str]:
    """Type every gap, and return what was typed by valve."""
    typed = {}
    for one in hand.card["valves"]:
        valve = one["valve"]
        side = "c" if one["action"] == "close" else "IN" if "IN" in valve else "EX"
        typed[valve] = guest.found.get(valve) or guest.inside[side]
        hand.enter(valve, typed[valve])
    return typed


def proof_of(one: Any, *, inch: bool) -> str:
    """Return what is felt of a gap as it was predicted: whole hundredths, or thou."""
    gap = one["predicted"]
    low, high = gap["low"]["nm"], gap["high"]["nm"]
    return str(round((low + high) / 2 / (25_400 if inch else 10_000)))


def lines_of(hand: Hand, tmp_path: Any) -> list[str]:
    """Return the lines of the signed sheet's PDF."""
    pdf = tmp_path / "sheet.pdf"
    pdf.write_bytes(hand.page.request.get("/api/cards/1/sheet.pdf").body())
    document = pypdfium2.PdfDocument(pdf)
    text = "\n".join(page.get_textpage().get_text_range() for page in document)
    return text.replace("\r", "").split("\n")


@pytest.mark.long
@pytest.mark.parametrize("name", GUESTS)
def test_a_guest_s_machine_from_an_empty_record_to_a_signed_sheet(
    open_page: Any, tmp_path: Any, name: str
) -> None:
    guest = GUESTS[name]
    hand = Hand(open_page, name, **guest.size)
    page = hand.page
    entered(hand, guest)
    ticked(hand)
    hand.go("Feel")
    typed = measured(hand, guest)
    many = len(typed)
    out = len(guest.found)
    assert sum(one["opens"] for one in hand.card["valves"]) == out
    hand.go("Read")
    ticked(hand)
    hand.what = "Shim that is in"
    for valve, text in guest.shims.items():
        hand.enter(valve, text)
    hand.go("Choose")
    hand.tap(page.locator("#take-plan"))
    expect(page.get_by_role("region", name="The plan").get_by_text("Taken")).to_be_visible()
    hand.tap(page.locator("#next-stage"))
    for step in hand.card["fit"]:
        expect(page.get_by_role("heading", name=step["valve"], exact=True)).to_be_visible()
        hand.tap(page.locator("#is-in"))
    expect(page.get_by_text("It is in", exact=True)).to_be_visible()
    ticked(hand)
    hand.go("Prove")
    proofs = {}
    hand.what = "Gap after fitting"
    for valve in guest.found:
        one = hand.valve(valve)
        proofs[valve] = proof_of(one, inch=guest.inch)
        hand.enter(valve, proofs[valve])
    card = hand.card
    assert card["not_in_spec"] == []
    hand.go("Sign")
    if guest.kind is None:  # a head on the bench has no cover
        ticked(hand)
    hand.sign()
    lines = lines_of(hand, tmp_path)
    whole = "\n".join(lines)
    assert f"{many} valves measured: {out} not in range before." in whole
    assert f"Gap after: all {many} in range." in whole
    assert name in whole
    for one in card["valves"]:
        valve = one["valve"]
        (line,) = [line for line in lines if line.startswith(f"{valve} ") and "in range" in line]
        for figure in figures(one, guest.inch):
            assert figure in line, (valve, figure, line)
    assert "not ticked" not in whole


def figures(one: Any, inch: bool) -> list[str]:
    """Return what must stand in a valve's line: as found, the shims, as left."""
    unit = "thou" if inch else "mm"
    said = [plain(one["found"]["gap"][unit])]
    if one["touched"]:
        said += [plain(one["proof"]["gap"][unit]), one["chosen"]["goes_in"]["mm"]]
    return said


def plain(text: str) -> str:
    return text.replace(" thou", "").replace(" mm", "")
