"""No server: the page opens, shows what it knows, takes readings, and loses none of them."""

import re
from typing import Any

import pytest
from playwright.sync_api import Page, expect

from .conftest import BENCH
from .slowly import keyed


@pytest.fixture
def own_browser(chromium: Any, own_server: Any) -> Any:
    context = chromium.new_context(base_url=own_server.address, viewport=BENCH)
    yield context
    context.close()


def opened(context: Any, path: Any = "/cards/2/feel") -> Any:
    page = context.new_page()
    page.set_default_timeout(20_000)
    page.goto(path)
    return page


def kept_by_now(page: Page) -> None:
    """Wait until the page keeps itself and the card in the browser."""
    page.wait_for_function("() => navigator.serviceWorker.controller !== null")
    page.reload()
    page.wait_for_function(
        "async () => (await (await caches.open('plimb-data')).keys())"
        ".some((one) => new URL(one.url).pathname === '/api/cards/2')"
    )


def write(page: Page, valve: str, text: Any) -> None:
    page.locator(f"[data-valve='{valve}']").click()
    keyed(page.locator("#entry"), text)
    page.keyboard.press("Enter")


def found(page: Page) -> Any:
    card = page.request.get("/api/cards/2").json()
    return {one["valve"]: one["found"] and one["found"]["typed"] for one in card["valves"]}


@pytest.mark.long
def test_two_tabs_without_a_server_lose_nothing_though_both_are_closed(
    own_browser: Any, own_server: Any
) -> None:
    """Readings written in either come through once the server is there again."""
    first = opened(own_browser)
    kept_by_now(first)
    second = opened(own_browser)
    expect(second.locator("#entry")).to_be_visible()
    own_server.kill()
    write(first, "3 IN L", "17")
    expect(first.get_by_text("1 entry waits")).to_be_visible()
    write(second, "3 EX L", "27")
    write(first, "4 IN L", "16")
    expect(first.get_by_text("3 entries wait")).to_be_visible()
    first.close()
    second.close()
    third = opened(own_browser)  # the page, and the card as it was, without any server
    expect(third.get_by_text("The server does not answer.", exact=True)).to_be_visible()
    expect(third.get_by_text("3 entries wait")).to_be_visible()
    own_server.start()
    expect(third.get_by_text(re.compile("entr(y|ies) wait"))).to_have_count(0, timeout=60_000)
    expect(third.get_by_text("The server does not answer.", exact=True)).to_have_count(0)
    written = found(third)
    assert [written[v] for v in ("3 IN L", "3 EX L", "4 IN L")] == ["17", "27", "16"]


@pytest.mark.long
def test_a_tick_a_note_and_how_cold_it_is_wait_too_over_a_closed_page(
    own_browser: Any, own_server: Any
) -> None:
    first = opened(own_browser, "/cards/2/ready")
    kept_by_now(first)
    expect(first.get_by_label("Hours since it ran")).to_be_visible()
    own_server.kill()
    first.get_by_label("Hours since it ran").click()
    first.keyboard.press("ControlOrMeta+a")
    first.keyboard.type("14", delay=30)
    first.keyboard.press("Enter")
    tick = first.get_by_role("checkbox").first
    was = tick.is_checked()
    tick.focus()
    first.keyboard.press("Space")
    first.get_by_text("Notes here").click()
    note = first.get_by_label("On this card")
    note.click()
    note.press_sequentially("Left stud turns", delay=20)
    first.get_by_role("button", name="Write the note").click()
    expect(first.get_by_text(re.compile("3 entries wait"))).to_be_visible()
    expect(first.get_by_text(re.compile("the note: Left stud turns"))).to_be_visible()
    first.close()
    second = opened(own_browser, "/cards/2/ready")
    expect(second.get_by_text(re.compile("3 entries wait"))).to_be_visible()
    own_server.start()
    expect(second.get_by_text(re.compile("entr(y|ies) wait"))).to_have_count(0, timeout=60_000)
    card = second.request.get("/api/cards/2").json()
    assert (card["conditions"]["rested_hours"], card["notes"]["ready"]) == ("14", "Left stud turns")
    assert second.get_by_role("checkbox").first.is_checked() is not was


@pytest.mark.long
def test_a_card_that_was_never_seen_here_comes_by_itself_once_the_server_answers(
    own_browser: Any, own_server: Any
) -> None:
    page = opened(own_browser)
    kept_by_now(page)
    own_server.kill()
    page.evaluate(
        "history.pushState({}, '', '/cards/4/feel'); dispatchEvent(new Event('popstate'))"
    )
    expect(page.get_by_text(re.compile("The server does not answer")).first).to_be_visible()
    own_server.start()
    expect(page.locator("#entry, [data-valve]").first).to_be_visible(timeout=60_000)
    expect(page.get_by_text("The server does not answer.", exact=True)).to_have_count(0)


@pytest.mark.long
def test_what_two_tablets_wrote_meanwhile_is_shown_and_both_are_kept(
    own_browser: Any, own_server: Any, chromium: Any
) -> None:
    here = opened(own_browser)
    kept_by_now(here)
    own_browser.set_offline(True)
    write(here, "3 IN L", "17")
    expect(here.get_by_text("1 entry waits")).to_be_visible()
    other = chromium.new_context(base_url=own_server.address, viewport=BENCH)
    there = opened(other)
    write(there, "3 IN L", "19")
    expect(there.locator("[data-valve='3 IN L']")).to_contain_text("0.19")
    other.close()
    own_browser.set_offline(False)
    expect(here.get_by_text("was written meanwhile, as 19")).to_be_visible(timeout=60_000)
    here.get_by_role("button", name="Both are readings").click()
    expect(here.get_by_text("1 entry waits")).to_have_count(0)
    card = here.request.get("/api/cards/2").json()
    valve = next(one for one in card["valves"] if one["valve"] == "3 IN L")
    assert valve["found"]["typed"] == "17"
    assert len(valve["repeats"]) == 2


def test_a_page_older_than_the_server_says_so(open_page: Any) -> None:
    page = open_page("/")
    expect(page.get_by_role("heading", level=1)).to_be_visible()
    expect(page.get_by_text("Plimb was updated.")).to_have_count(0)
    page.context.route(
        "**/api/shop",
        lambda route: route.fulfill(
            response=(answer := route.fetch()),
            headers={**answer.headers, "x-plimb-page": "index-newer.js"},
        ),
    )
    page.reload()
    expect(page.get_by_text("Plimb was updated.")).to_be_visible()
