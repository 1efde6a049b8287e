"""Measuring in the browser: keys and taps counted, slips answered, nothing lost."""

from typing import Any

import pytest
from flask.testing import FlaskClient
from playwright.sync_api import Page, expect

from .conftest import PATIENCE_MS
from .slowly import keyed, unfold

V_FOUR = "No. 5 · Varrow Quartet"


ASKED_ON = """([asked, valve]) => {
  const shown = document.querySelector('[data-hand] p.figures');
  const held = document.querySelector('[data-valve][aria-pressed=true]');
  return shown?.innerText !== asked || held?.dataset.valve !== valve;
}"""
"""The next blade is asked for, or the next valve is in hand."""


def entry(page: Page) -> Any:
    return page.locator("#entry")


def plate(page: Page, valve: str) -> Any:
    return page.locator(f"[data-valve='{valve}']")


def in_hand(page: Page) -> str:
    return page.locator("[data-valve][aria-pressed=true]").get_attribute("data-valve")


def fresh_card(client: Any, engine: Any = "No. 5") -> Any:
    """Open a card by the API and give its number."""
    shop = client.get("/api/shop").json
    number = next(e["id"] for e in shop["engines"] if e["label"].startswith(engine))
    body = {"engine_id": number, "opened_by": "Edda", "reason": "Interval", "distance": None}
    return client.post("/api/cards", json={**body, "hours": None}).json["id"]


@pytest.mark.long
@pytest.mark.parametrize(
    ("intake", "exhaust", "most"), [("15", "28", 3), ("15-18", "28-30", 6)], ids=["one", "bracket"]
)
def test_a_16_valve_engine_takes_few_keys_a_valve(
    open_page: Any, client: FlaskClient, intake: Any, exhaust: Any, most: Any
) -> None:
    page = open_page(f"/cards/{fresh_card(client)}/feel")
    expect(entry(page)).to_be_focused()
    page.evaluate("addEventListener('keydown', () => (window.keys = (window.keys ?? 0) + 1), true)")
    for _valve in range(16):
        valve = in_hand(page)
        for key in (*(intake if "IN" in valve else exhaust), "Enter"):
            page.keyboard.press(key)
        expect(plate(page, valve)).to_contain_text("in range")
    expect(page.locator("#next-stage")).to_contain_text("Sign")
    assert page.evaluate("window.keys") <= 16 * most


@pytest.mark.long
@pytest.mark.parametrize("bracket", [False, True], ids=["one blade", "goes and refuses"])
def test_a_16_valve_engine_takes_at_most_three_taps_a_valve(
    open_page: Any, client: FlaskClient, bracket: Any
) -> None:
    page = open_page(f"/cards/{fresh_card(client)}/feel", phone=True)
    page.evaluate("addEventListener('click', () => (window.taps = (window.taps ?? 0) + 1), true)")
    fan = page.get_by_role("group", name="Feeler blades")
    for _valve in range(16):
        valve = in_hand(page)
        goes, refuses = ("0.15", "0.18") if "IN" in valve else ("0.28", "0.30")
        fan.get_by_role("button", name=f"Blade {goes}").tap()
        if bracket:
            fan.get_by_role("button", name=f"Blade {refuses}").tap()
        page.get_by_role("button", name="Write", exact=True).tap()
        expect(plate(page, valve)).to_contain_text("in range")
    assert page.evaluate("window.taps") <= 16 * 3


def test_a_slip_is_asked_about_and_one_key_takes_the_right_value(
    open_page: Any, client: FlaskClient, no_barriers: Any
) -> None:
    page = open_page(f"/cards/{fresh_card(client)}/feel")
    valve = in_hand(page)
    entry(page).press_sequentially("2.")
    page.keyboard.press("Backspace")
    page.keyboard.press("Backspace")
    page.keyboard.type("1.5" if "IN" in valve else ".028")
    page.keyboard.press("Enter")
    alert = page.get_by_role("alert")
    expect(alert).to_contain_text(f"{valve}: ")
    expect(alert).to_contain_text("what this valve might have")
    following = in_hand(page)
    assert following != valve  # the question waits, and the next reading is the next valve's
    no_barriers(page, "a question")
    page.keyboard.press("ControlOrMeta+Enter")
    expect(plate(page, valve)).to_contain_text("in range")
    expect(alert).to_be_hidden()
    assert in_hand(page) == following


@pytest.mark.long
def test_a_correct_odd_reading_is_kept_with_one_more_key(
    open_page: Any, client: FlaskClient
) -> None:
    page = open_page(f"/cards/{fresh_card(client)}/feel")
    valve = in_hand(page)
    page.keyboard.type("1.5" if "IN" in valve else ".028")
    page.keyboard.press("Enter")
    expect(page.get_by_role("alert")).to_be_visible()
    page.keyboard.press("Enter")  # of the next valve nothing is typed: nothing is answered
    expect(page.get_by_role("alert")).to_be_visible()
    plate(page, valve).click()
    expect(plate(page, valve)).to_have_attribute("aria-pressed", "true")
    page.keyboard.press("Enter")
    expect(page.get_by_role("alert")).to_be_hidden()
    assert in_hand(page) != valve
    page.reload()
    expect(plate(page, valve)).to_contain_text("loose" if "IN" in valve else "tight")
    plate(page, valve).click()
    expect(page.get_by_role("alert")).to_have_count(0)


@pytest.mark.long
def test_asked_blade_by_blade_the_valve_is_settled(
    open_page: Any, client: FlaskClient, no_barriers: Any
) -> None:
    page = open_page(f"/cards/{fresh_card(client)}/feel")
    valve = in_hand(page)
    limits = (0.14, 0.20) if "IN" in valve else (0.24, 0.34)
    page.get_by_role("radio", name="guide me").click()
    no_barriers(page, "asked")
    true_gap = sum(limits) / 2
    for _try in range(4):
        asked = page.locator("[data-hand] p.figures").inner_text()
        thickness = sum(float(one) for one in asked.split("+"))
        name = "Goes" if thickness <= true_gap else "Refuses"
        page.get_by_role("button", name=name).click()
        page.wait_for_function(ASKED_ON, arg=[asked, valve])
        if in_hand(page) != valve:
            break
    expect(plate(page, valve)).to_contain_text("in range")


@pytest.mark.long
def test_one_more_reading_stands_beside_the_first_with_their_spread(
    open_page: Any, client: FlaskClient
) -> None:
    page = open_page(f"/cards/{fresh_card(client)}/feel")
    valve = in_hand(page)
    page.keyboard.type("15" if "IN" in valve else "28")
    page.keyboard.press("Enter")
    expect(plate(page, valve)).to_contain_text("in range")
    plate(page, valve).click()
    page.get_by_role("button", name="Once more").click()
    entry(page).focus()
    page.keyboard.type("16" if "IN" in valve else "29")
    page.keyboard.press("Enter")
    plate(page, valve).click()
    expect(page.get_by_text("Read 2 times")).to_contain_text("spread 0.01")


def test_what_is_typed_before_the_server_answers_goes_to_the_next_valve(
    open_page: Any, client: FlaskClient
) -> None:
    """Fingers are faster than a slow network: nothing lands on the wrong valve or is lost."""
    page = open_page(f"/cards/{fresh_card(client)}/feel")

    expect(entry(page)).to_be_focused()
    held = []
    page.route("**/gap", lambda route: held.append(route))
    typed = {}
    order = [
        one["valve"] for one in client.get(f"/api/cards/{page.url.split('/')[-2]}").json["valves"]
    ]
    for valve in order[:4]:
        typed[valve] = "15" if "IN" in valve else "28"
        page.keyboard.type(typed[valve])
        page.keyboard.press("Enter")
    for _answered in typed:  # each is answered only once all has been typed
        for _moment in range(PATIENCE_MS // 20):
            if held:
                break
            page.wait_for_timeout(20)
        assert held, "a reading was typed and never sent"
        held.pop().continue_()
    in_hand_after = page.locator(f"[data-valve='{order[4]}'][aria-pressed=true]")
    expect(in_hand_after).to_be_visible(timeout=8000)
    for valve, text in typed.items():
        expect(plate(page, valve)).to_contain_text(f"0.{text}")
    expect(entry(page)).to_have_value("")


@pytest.mark.long
def test_a_key_typed_right_after_backspace_replaces_what_it_brought_back(
    open_page: Any, client: FlaskClient
) -> None:
    """Both keys in one go, before the browser has drawn anything: `13`, never `3`."""
    page = open_page(f"/cards/{fresh_card(client)}/feel")
    valve = in_hand(page)
    page.keyboard.type("15")
    page.keyboard.press("Enter")
    expect(plate(page, valve)).to_contain_text("found")
    plate(page, valve).click()
    expect(entry(page)).to_be_focused()
    selected = entry(page).evaluate(
        """(field) => {
          field.dispatchEvent(
            new KeyboardEvent("keydown", { key: "Backspace", bubbles: true, cancelable: true }));
          return [field.value, field.selectionStart, field.selectionEnd];
        }"""
    )
    assert selected == ["15", 0, 2]
    page.keyboard.type("13")
    expect(entry(page)).to_have_value("13")


@pytest.mark.long
def test_hours_typed_in_ready_are_there_after_a_line_is_ticked(
    open_page: Any, client: FlaskClient
) -> None:
    number = fresh_card(client)
    page = open_page(f"/cards/{number}/ready")
    hours = page.get_by_label("Hours since it ran")
    keyed(hours, "9")
    page.get_by_role("checkbox").first.check(force=True)
    expect(page.get_by_role("checkbox").first).to_be_checked()
    expect(hours).to_have_value("9")
    with page.expect_response("**/conditions"):
        page.get_by_role("button", name="Save", exact=True).click()
    noted = client.get(f"/api/cards/{number}").get_json()
    assert noted["conditions"]["rested_hours"] == "9"
    page.reload()
    expect(hours).to_have_value("9")


@pytest.mark.long
def test_a_guess_is_marked_with_a_key_or_a_thumb_and_stands_on_the_plate(
    open_page: Any, client: FlaskClient
) -> None:
    number = fresh_card(client)
    page = open_page(f"/cards/{number}/feel")
    first = in_hand(page)
    page.keyboard.type("15?")
    expect(page.locator("#understood")).to_contain_text("a guess")
    page.keyboard.press("Enter")
    expect(plate(page, first)).to_contain_text("0.15?")
    second = in_hand(page)
    page.keyboard.type("1")
    page.get_by_role("button", name="Mark it as a guess").click()
    expect(entry(page)).to_have_value("1?")
    expect(entry(page)).to_be_focused()
    page.keyboard.press("Escape")
    page.keyboard.press("?")
    expect(page.get_by_role("dialog")).to_be_visible()
    assert second != first


@pytest.mark.long
def test_a_warm_engine_is_gone_on_with_only_for_a_reason(
    open_page: Any, client: FlaskClient, no_barriers: Any
) -> None:
    page = open_page(f"/cards/{fresh_card(client)}/ready")
    keyed(page.get_by_label("Coolant or head"), "48")
    page.get_by_role("button", name="Save", exact=True).click()
    expect(page.get_by_role("alert")).to_contain_text("48 °C is over 35 °C")
    keyed(page.get_by_label("Why it is measured warm"), "Rider waits on the ferry")
    page.get_by_role("button", name="Save", exact=True).click()
    expect(page.get_by_text("Readings are marked as warm")).to_be_visible()
    no_barriers(page, "warm")


@pytest.mark.long
def test_the_tray_keeps_a_pocket_a_bolt_and_reads_backwards(
    open_page: Any, client: FlaskClient
) -> None:
    page = open_page(f"/cards/{fresh_card(client)}/ready")
    unfold(page, "Parts removed")
    for part in ("Tank", "Cover"):
        page.get_by_role("button", name=part, exact=True).click()
        expect(page.locator("section ol li").filter(has_text=part)).to_be_visible()
    keyed(page.get_by_label("Length of the next bolt"), "45")
    outline = page.get_by_role("button", name="Add a pocket to Cover")
    outline.click(position={"x": 40, "y": 40})
    expect(page.get_by_role("button", name="Pocket 1, 45: take it away")).to_be_visible()
    keyed(page.get_by_label("How many in the next pocket"), "2")
    keyed(page.get_by_label("Note on the next bolt"), "copper washer")
    outline.click(position={"x": 160, "y": 40})
    expect(page.get_by_role("button", name="Pocket 2, 2×45*: take it away")).to_be_visible()
    expect(page.get_by_text("* 45: copper washer")).to_be_visible()
    page.get_by_role("radio", name="back on").click()
    expect(page.locator("section ol li").first).to_contain_text("Cover")
    page.reload()
    unfold(page, "Parts removed")
    expect(page.get_by_role("button", name="Pocket 1, 45: take it away")).to_be_visible()


@pytest.mark.long
def test_the_crank_turned_by_keys_lights_what_can_be_measured(open_page: Any) -> None:
    page = open_page("/cards/3/turn")
    expect(plate(page, "1 IN L")).to_contain_text("measure")
    expect(plate(page, "2 IN L")).to_contain_text("lifted")
    crank = page.get_by_role("slider", name="Crank")
    crank.focus()
    for _turn in range(3):
        page.keyboard.press("PageUp")
    expect(crank).to_have_attribute("aria-valuenow", "270")
    expect(plate(page, "2 IN L")).to_contain_text("measure")
    box = crank.bounding_box()
    page.mouse.click(box["x"] + 64 + (box["width"] - 78) / 3, box["y"] + box["height"] - 60)
    expect(crank).to_have_attribute("aria-valuenow", "240")
    page.get_by_role("radio", name="by the lobe").click()
    expect(page.locator("[data-hand] ol > li")).to_have_count(6)


def test_what_is_written_while_the_network_is_gone_is_kept_and_sent_once(
    open_page: Any, client: FlaskClient
) -> None:
    number = fresh_card(client)
    page = open_page(f"/cards/{number}/feel")
    page.clock.install()
    expect(entry(page)).to_be_focused()
    page.context.set_offline(True)
    written = []
    for _valve in range(3):
        valve = in_hand(page)
        written.append(valve)
        page.keyboard.type("15" if "IN" in valve else "28")
        page.keyboard.press("Enter")
        expect(plate(page, valve)).to_contain_text("waiting")
    expect(page.get_by_text("3 entries wait")).to_be_visible()
    page.keyboard.type("1")
    page.clock.fast_forward(5000)  # longer than it waits before asking again
    expect(page.get_by_text("3 entries wait")).to_be_visible()
    page.context.set_offline(False)
    expect(page.get_by_text("entries wait")).to_be_hidden(timeout=15_000)
    for valve in written:
        expect(plate(page, valve)).to_contain_text("in range")
    expect(entry(page)).to_have_value("1")
    assert client.get(f"/api/cards/{number}").json["version"] == 4


@pytest.mark.long
def test_a_reading_survives_a_killed_server_and_a_reload(chromium: Any, own_server: Any) -> None:
    context = chromium.new_context(base_url=own_server.address)
    page = context.new_page()
    page.goto("/cards/2/feel")
    expect(entry(page)).to_be_focused()
    own_server.kill()
    valve = in_hand(page)
    page.keyboard.type("28")
    page.keyboard.press("Enter")
    expect(plate(page, valve)).to_contain_text("waiting")
    page.keyboard.type("3")
    own_server.start()
    page.reload()
    expect(plate(page, valve)).to_contain_text("in range", timeout=15_000)
    expect(entry(page)).to_have_value("3")
    context.close()


@pytest.mark.long
@pytest.mark.parametrize(
    "path",
    ["/", "/engines", "/engines/new", "/engines/4", "/shop", "/cards/3/ready", "/cards/3/turn"],
)
def test_no_place_is_wider_than_a_phone(open_page: Any, no_barriers: Any, path: Any) -> None:
    page = open_page(path, phone=True)
    expect(page.get_by_role("button", name="Help")).to_be_in_viewport(ratio=1)
    page.wait_for_load_state("networkidle")
    assert page.evaluate("document.documentElement.scrollWidth - innerWidth") <= 0
    no_barriers(page, path)
