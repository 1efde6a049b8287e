"""What a screen reader is told at each stage, in order; and that every figure stands out."""

from typing import Any

import pytest
from playwright.sync_api import expect

from ..conftest import some
from .slowly import keyed

PLACES = ["/", "/sum", "/engines/new", "/drawer", "/engines/1/years", "/due", *(
    f"/cards/{card}/{stage}" for card, stage in (
        (2, "ready"), (2, "turn"), (2, "feel"), (3, "read"), (3, "choose"), (4, "fit"),
        (4, "prove"), (1, "sign"),
    )
)]  # fmt: skip

FAINT = """() => {
  const paint = document.createElement("canvas").getContext("2d", { willReadFrequently: true });
  const parse = (colour) => {
    paint.clearRect(0, 0, 1, 1);
    paint.fillStyle = colour;
    paint.fillRect(0, 0, 1, 1);
    return [...paint.getImageData(0, 0, 1, 1).data];
  };
  const bright = (colour) => {
    const [r, g, b] = colour.map((one) => {
      const part = one / 255;
      return part <= 0.04045 ? part / 12.92 : ((part + 0.055) / 1.055) ** 2.4;
    });
    return 0.2126 * r + 0.7152 * g + 0.0722 * b;
  };
  const behind = (from) => {
    for (let one = from; one; one = one.parentElement) {
      const colour = parse(getComputedStyle(one).backgroundColor);
      if (colour[3] === 255) return colour;
    }
    return parse(getComputedStyle(document.documentElement).backgroundColor);
  };
  const found = [...document.querySelectorAll(".figures")].filter(
    // what stands on a drawn shape is light on dark, and has nothing behind it to be asked
    (one) => one.checkVisibility() && /[0-9]/.test(one.textContent) &&
      !one.closest("[disabled]") && !/fill-(paper|on-now)/.test(one.getAttribute("class")),
  );
  const faint = found.filter((one) => {
    const style = getComputedStyle(one);
    let through = 1;
    for (let up = one; up; up = up.parentElement) through *= getComputedStyle(up).opacity;
    const back = behind(one);
    const front = parse(one instanceof SVGElement ? style.fill : style.color)
      .slice(0, 3).map((part, n) => part * through + back[n] * (1 - through));
    const [dark, light] = [bright(front), bright(back)].sort((a, b) => a - b);
    return (light + 0.05) / (dark + 0.05) < 7;
  });
  return [found.length, faint.map((one) => one.textContent.trim())];
}"""


@pytest.mark.long
@pytest.mark.parametrize("colours", ["light", "dark"])
def test_no_place_has_a_barrier_and_every_figure_stands_out_seven_to_one(
    open_page: Any, no_barriers: Any, colours: Any
) -> None:
    """WCAG 2.2, 1.4.6 (contrast, enhanced), for what is measured and reckoned with."""
    page = open_page("/", color_scheme=colours)
    seen = 0
    for place in PLACES:
        page.goto(place)
        expect(page.get_by_role("heading", level=1)).to_be_attached()
        page.locator(".figures").first.wait_for(state="attached")
        many, faint = page.evaluate(FAINT)
        assert faint == [], place
        no_barriers(page, f"{place}, {colours}")
        seen += many
    assert seen > 150


RAIL = """
- navigation "Stages":
  - link /Ready/
  - link /Turn/
  - link /Feel/
  - link /Read/
  - link /Choose/
  - link /Fit/
  - link /Prove/
  - link /Sign/
- status
- main:
  - heading /{name}. {stage}/ [level=1]
"""
HEAD = """
  - group /The head from above/:
    - button /1 IN L/
    - button /1 IN R/
    - button /1 EX L/
"""
HEARD = {
    ("ready", 2): """
  - region "Safe all done":
    - heading "Safe all done" [level=2]
    - list:
      - listitem:
        - checkbox /Ignition off/ [checked]
  - region "Cold":
    - heading "Cold" [level=2]
    - textbox "Hours since it ran"
    - textbox "Coolant or head, °C"
    - button "Save"
  - region "This job":
    - heading "This job" [level=2]
""",
    ("feel", 2): HEAD + """
  - region "The valve in hand":
    - heading /EX|IN/ [level=2]
    - group "How to measure this valve":
      - radio "blades" [checked]
    - textbox /Gap of/
    - status
    - group /Feeler blades/:
      - button "Blade 0.03"
    - button "Write"
""",
    ("read", 3): HEAD + """
  - region "The valve in hand":
    - heading /EX|IN/ [level=2]
    - textbox /Shim that is in of/
    - status
    - group "The shim is":
      - radio "sound" [checked]
    - group "Keypad":
      - button "Write"
""",
    ("choose", 3): HEAD + """
  - region "The plan":
    - radiogroup "What can be had instead":
      - radio /The plan/ [checked]
    - button "Take the plan"
  - region "The valve in hand":
    - heading /EX|IN/ [level=2]
    - radiogroup /Shims that can be had/:
      - radio /is in now/
""",
    ("turn", 2): """
  - group /The head from above/:
    - button /2 IN L in range measure/
    - button /2 EX L not measured lifted/
  - slider "Crank, degrees of the cycle"
  - region "The valve in hand":
    - group "How to turn":
      - radio "by the marks" [checked]
    - list:
      - listitem:
        - button /T1 first/ [pressed]
        - button "Measure here"
""",
    ("fit", 4): HEAD + """
  - region "Tightening":
    - img /Cam caps. bolt \\d+ now/
    - button /Turned, \\d+ of 12/
    - button "Back by one bolt"
  - region "The valve in hand":
    - heading /EX|IN/ [level=2]
    - paragraph: It is in
    - button "Not yet"
""",
    ("prove", 4): HEAD + """
  - region "The valve in hand":
    - heading /EX|IN/ [level=2]
    - paragraph: /Expected .* more than the instruments/
    - region "What explains it":
      - article: /Two shims changed places/
    - textbox /Gap after fitting of/
    - status
    - group "Feeler blades of Bench set"
    - button "Write"
""",
    ("sign", 1): """
  - article:
    - heading /Tindle Pentad/ [level=2]
    - region "What came of the job":
      - paragraph: /5 valves measured/
      - paragraph: /2 shims changed/
      - paragraph: /Gap after. all 5 in range/
    - region "Every valve":
      - table /Gaps in mm/:
        - rowgroup:
          - row /Valve Gap before/:
            - columnheader "Valve"
        - rowgroup:
          - row /IN L .* in range/:
            - rowheader "IN L"
    - term: Job
    - definition: check and set
"""
}  # fmt: skip


@pytest.mark.parametrize("heard", some(HEARD, 1, 3, -1), ids=lambda one: f"{one[0]}-{one[1]}")
def test_a_screen_reader_is_told_the_stages_the_valves_and_what_to_do_in_order(
    open_page: Any, heard: Any
) -> None:
    stage, card = heard
    page = open_page(f"/cards/{card}/{stage}")
    name = {1: "Tindle Pentad", 2: "Varrow Quartet", 3: "Ollerby Trefoil", 4: "Corrie Offbeat"}[
        card
    ]
    told = RAIL.format(name=name, stage=stage.title()) + HEARD[stage, card].lstrip("\n")
    expect(page.locator("#app")).to_match_aria_snapshot(told)
    rail = page.get_by_role("navigation", name="Stages")
    here = rail.get_by_role("link").and_(page.locator("[aria-current=step]"))
    expect(here).to_have_count(1)
    expect(here).to_contain_text(stage.title())


def test_what_was_written_and_what_was_undone_is_said_aloud(open_page: Any) -> None:
    page = open_page("/cards/2/feel")
    aloud = page.locator("[role=status][aria-live=polite]").first
    valve = page.locator("[data-valve][aria-pressed=true]").get_attribute("data-valve")
    keyed(page.locator("#entry"), "25")
    page.keyboard.press("Enter")
    expect(aloud).to_contain_text(f"{valve}: in range")
    page.keyboard.press("ControlOrMeta+z")
    expect(aloud).to_have_text(f"Taken back: the gap of {valve}.")
