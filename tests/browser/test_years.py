"""Over the years in the browser: checks, a shim change, a seat cut; what is due; the next card."""

import re
from datetime import timedelta
from typing import Any

import pytest
from playwright.sync_api import expect

from plimb.card.acting import Change
from plimb.card.acts.choose import choose_piece
from plimb.card.acts.feel import write_down_gap
from plimb.card.acts.fit import fit_piece
from plimb.card.acts.opening import open_card
from plimb.card.acts.read import write_down_shim
from plimb.card.acts.sign import sign_card
from plimb.core.job.kinds import JobKind
from plimb.core.lengths import Unit, mm
from plimb.record.database import Database
from plimb.web.server.application import create_app

from ..card.test_years import VALVES, known
from ..conftest import NOON
from ..guest import Job
from .slowly import keyed, pick


@pytest.fixture
def application(database: Database) -> Any:
    """Serve a record with one engine: a check with a shim change, then one after a seat was cut."""
    job = Job(database, label="Guest")
    job.revise(known)
    _checked(database, job.engine_id, 700, 1000, ("15", "10", "24", "25"), JobKind.SET, True)
    _checked(database, job.engine_id, 400, 6000, ("19", "18", "27", "26"), JobKind.HEAD_WORK, False)
    return create_app(database, clock=lambda: NOON)


def _checked(
    database: Database, engine: Any, days: Any, distance: Any, gaps: Any, kind: Any, changes: Any
) -> None:
    now = NOON - timedelta(days=days)
    card = open_card(database, engine_id=engine, opened_by="Oda", reason="Interval", now=now,
                     distance=distance, kind=kind)  # fmt: skip

    def act(do: Any, **said: Any) -> None:
        nonlocal card
        key = f"act-{card.id}-{card.version:06}"
        card = do(database, Change(card_id=card.id, version=card.version, key=key, now=now), **said)

    def gaps_felt() -> None:
        for valve, text in zip(VALVES, gaps, strict=True):
            act(write_down_gap, valve=valve, purpose="found", text=text, unit=Unit.MM)

    def shims_read() -> None:
        for valve in VALVES:
            act(write_down_shim, valve=valve, text="250 2.500")

    # after head work known pieces go in and are read before anything is felt
    for do in (gaps_felt, shims_read) if kind is JobKind.SET else (shims_read, gaps_felt):
        do()
    if changes:
        act(choose_piece, valve="IN R", thickness_nm=mm("2.45"))
        act(fit_piece, valve="IN R", fitted=True, measured="2.451")
        act(write_down_gap, valve="IN R", purpose="proof", text="15", unit=Unit.MM)
    act(sign_card, signed_by="Oda", remarks="As it is")


@pytest.mark.long
def test_checks_over_two_years_say_what_comes_and_the_next_card_knows_its_pieces(
    open_page: Any, no_barriers: Any
) -> None:
    page = open_page("/")
    expect(page.get_by_role("heading", name="Due", exact=True)).to_be_visible()
    page.keyboard.press("/")
    page.keyboard.type("after head")
    expect(page.get_by_role("status")).to_contain_text("1 card")
    page.keyboard.type("ache")
    expect(page.get_by_text("No such card.")).to_be_visible()
    no_barriers(page, "bench with nothing found")
    page.keyboard.press("Escape")

    # the third check, by hand
    page.get_by_role("button", name="Open a card", exact=True).click()
    pick(page, "Engine", "Guest")
    keyed(page.get_by_label("Technician"), "Oda")
    keyed(page.get_by_label("Distance"), "12000")
    page.get_by_role("button", name="Open the card").click()
    expect(page.locator("header")).to_contain_text("Guest")
    page.get_by_role("navigation", name="Stages").get_by_text("Feel", exact=True).click()
    for valve, text in zip(VALVES, ("17", "16", "24", "23"), strict=True):
        entry = page.locator("#entry")
        page.locator(f"[data-valve='{valve}']").click()
        expect(entry).to_have_attribute("aria-label", f"Gap of {valve}")
        keyed(entry, text)
        entry.press("Enter")
        expect(entry).to_have_value("")
    page.get_by_role("navigation", name="Stages").get_by_text("Sign", exact=True).click()
    keyed(page.get_by_label("Name", exact=True), "Oda")
    keyed(page.get_by_label("Remarks", exact=True), "All good")
    page.get_by_role("button", name="Sign", exact=True).click()
    expect(page.locator("article.sheet")).to_contain_text("All good")

    page.goto("/engines/1/years")
    expect(page.get_by_role("heading", name="Guest over the years")).to_be_visible()
    expect(page.get_by_text("Check by").first).to_be_visible()
    expect(page.get_by_role("img", name=" in 1 000 km")).to_have_count(4)
    even = page.get_by_role("img", name="IN L and IN R: apart by")
    expect(even).to_have_accessible_name(re.compile(r"apart by 0\.\d\d at [\d,]+.* km"))
    expect(page.get_by_role("img", name="IN R: closes by 0.00")).to_be_visible()
    expect(page.get_by_text("to 2.451")).to_be_visible()
    rows = page.get_by_role("row")
    expect(rows).to_have_count(4)
    expect(rows.nth(2)).to_contain_text("head work")
    expect(rows.nth(3)).to_contain_text("0.10 → 0.15")
    no_barriers(page, "an engine over the years")

    page.goto("/due")
    expect(page.get_by_role("link", name="Guest")).to_be_visible()
    page.get_by_role("button", name="Make the address").click()
    address = page.get_by_text("/api/calendar/").inner_text()
    calendar = page.request.get(address)
    assert calendar.headers["content-type"].startswith("text/calendar")
    assert "Check valve clearances: Guest" in calendar.text()
    no_barriers(page, "what is due")

    page.goto("/")
    page.get_by_role("button", name="Open a card", exact=True).click()
    pick(page, "Engine", "Guest")
    page.get_by_role("button", name="Open the card").click()
    expect(page.locator("header")).to_contain_text("Guest")
    known_now = page.request.get("/api/cards/5/plan")
    assert known_now.ok
    page.goto("/engines/1/years")
    page.get_by_role("row").nth(1).get_by_role("link", name="Sheet").click()
    expect(page.locator("article.sheet")).to_contain_text("All good")


@pytest.mark.long
def test_an_old_notebook_is_read_in_and_taken_back(open_page: Any, no_barriers: Any) -> None:
    page = open_page("/engines/1/years")
    page.get_by_role("button", name="Old notebook").click()
    keyed(
        page.get_by_label("or its text"),
        "date,counter,valve,gap\n2023-05-01,500,IN L,17\n2023-05-01,500,IN R,soon\n",
    )
    page.get_by_role("button", name="Look what is understood").click()
    expect(page.get_by_text("1 May 2023 at 500 km: IN L, gap 0.17 mm")).to_be_visible()
    no_barriers(page, "an old notebook looked into")
    keyed(page.get_by_label("Who takes it in"), "Oda")
    page.get_by_role("button", name="Keep 1 row, leave 1 out").click()
    last = page.get_by_role("row").last
    expect(last).to_contain_text("1 May 2023")
    last.get_by_role("button", name="Take back").click()
    expect(page.get_by_text("1 May 2023")).to_have_count(0)
