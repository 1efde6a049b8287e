"""Every address, stage, dialog and link opens, of the demo and of an empty record."""

import re
from collections import deque
from typing import Any

import pytest
from playwright.sync_api import Page, expect

from plimb.core.engine.engine import Side
from plimb.core.engine.followers import Follower
from plimb.core.job.kinds import JobKind
from plimb.core.lengths import Unit
from plimb.files.starting_point import Layout
from plimb.record.database import Database
from plimb.web.server.application import create_app

from ..conftest import some
from ..guest import Job

DIALOGS = {
    "/": ("Open a card", "Engine from a file", "This screen", "Help"),
    "/engines": ("From a file",),
    "/engines/1/years": ("Old notebook",),
    "/drawer": ("New family",),
    "/shop": ("Set up the first",),
    "/cards/4/fit": ("Lay out bolts",),
}
TOO_WIDE = """Math.max(
    document.documentElement.scrollWidth, ...document.querySelectorAll("#app .h-dvh").values()
        .map((page) => page.scrollWidth)) - innerWidth"""
"""By how much the page, or what scrolls in it, is wider than the screen."""

EMPTY = ("/", "/sum", "/engines", "/engines/new", "/drawer", "/due", "/together", "/shop",
         "/handbook", "/history/shop/1")  # fmt: skip

INCH, MM = Unit.INCH, Unit.MM
GUESTS: tuple[Any, ...] = (
    (Layout.SINGLE, JobKind.SET, {"follower": Follower.FINGER, "camshafts": 1},
     (".005-.007", ".011-.013"), INCH),
    (Layout.V_TWIN, JobKind.SET, {}, ("0.09-0.17", "0.19-0.27"), MM),
    (Layout.FLAT_FOUR, JobKind.BENCH, {"follower": Follower.FINGER}, ("0.11-0.17", "0.22-0.28"),
     MM),
    (Layout.PARALLEL_TWIN, JobKind.SET, {"valves": 2, "camshafts": 1}, ("0.17",), MM),
    (Layout.SINGLE, JobKind.SET, {"follower": Follower.BUCKET_OVER}, (".004-.008", ".006-.010"),
     INCH),
    (Layout.STRAIGHT_SIX, JobKind.SET, {"valves": 2}, (".014-.016", ".020-.022"), INCH),
    (Layout.L_TWIN, JobKind.CHECK, {"valves": 2}, (), MM),
    (Layout.INLINE_FOUR, JobKind.SET, {}, ("0.15-0.25", "0.25-0.35"), MM),
)  # fmt: skip
"""Layout, kind of job, what it has, intake and exhaust spec as printed, and their unit."""


def opened(page: Page, path: Any) -> None:
    """Open an address; something is to be read there."""
    page.goto(path)
    page.wait_for_load_state("networkidle")
    expect(page.locator("main").first).to_be_visible()
    text = page.locator("main").first.inner_text()
    assert len(text) > 20, f"{path} says only {text!r}"
    assert "Plimb itself went wrong" not in text, path


def links(page: Page) -> Any:
    """Return where the links of the page lead, as addresses without what stands behind them."""
    found = page.evaluate(
        "[...document.querySelectorAll('a[href^=\"/\"]')].map((one) => one.getAttribute('href'))"
    )
    return {one.split("#")[0].split("?")[0] for one in found}


SIZES: dict[str, dict[str, Any]] = {
    "bench": {},
    "phone": {"phone": True},
    "tablet": {"viewport": {"width": 820, "height": 1180}, "has_touch": True},
}


def crawled(open_page: Any, size: Any) -> Any:
    """Open whatever is linked from the bench on; return the places and the files."""
    page = open_page("/", **SIZES[size])
    seen, waits, files = {"/"}, deque(["/"]), set()
    while waits:
        path = waits.popleft()
        opened(page, path)
        wide = page.evaluate(TOO_WIDE)
        assert wide <= 1, f"{path} is {wide} pixels wider than the screen"
        for link in links(page):
            if link.startswith(("/api/", "/practice", "/school")):
                files.add(link)
            elif link not in seen:
                seen.add(link)
                waits.append(link)
    for file in files:
        if file.startswith("/api/"):
            assert page.request.get(file).status == 200, file
    return seen


@pytest.mark.long
@pytest.mark.parametrize("size", SIZES)
def test_whatever_is_linked_from_the_bench_on_opens(open_page: Any, size: Any) -> None:
    seen = crawled(open_page, size)
    stages = {one for one in seen if one.startswith("/cards/")}
    engines = {one for one in seen if one.startswith("/engines/") and one.count("/") == 2}
    assert len(stages) >= 25
    assert len(engines) >= 7


class TestGuests:
    """Machines that nobody knows, each as its manual has it, each with a card begun."""

    @pytest.fixture
    def application(self, database: Database) -> Any:
        for number, (layout, kind, start, specs, unit) in enumerate(GUESTS, 1):
            job = Job(database, layout, label=f"Guest {number}", opened={"kind": kind}, **start)
            for side, text in zip((Side.INTAKE, Side.EXHAUST), specs, strict=False):
                job.spec(side, text, unit=unit, room="0.03" if "-" not in text else "")
            for valve in list(job.view.status.valves)[:3]:
                job.gap(valve, "8", unit)
        return create_app(database)

    @pytest.mark.long
    @pytest.mark.parametrize("size", SIZES)
    def test_whatever_is_linked_from_the_bench_on_opens(self, open_page: Any, size: Any) -> None:
        stages = {one for one in crawled(open_page, size) if one.startswith("/cards/")}
        assert len(stages) >= 4 * len(GUESTS)


@pytest.mark.parametrize("path", some(DIALOGS, 0, -1))
def test_every_dialog_opens_and_closes(open_page: Any, path: Any) -> None:
    page = open_page(path)
    for name in DIALOGS[path]:
        page.get_by_role("button", name=name).first.click()
        dialog = page.get_by_role("dialog")
        expect(dialog).to_contain_text(re.compile(r"\S[\s\S]{20,}"))
        page.keyboard.press("Escape")
        expect(dialog).to_be_hidden()


@pytest.mark.long
def test_every_engine_opens_whatever_its_file_leaves_out_and_is_saved_as_it_was(
    open_page: Any,
) -> None:
    page = open_page("/")
    for engine in page.request.get("/api/shop").json()["engines"]:
        place = f"/api/engines/{engine['id']}"
        before = page.request.get(place).json()
        opened(page, f"/engines/{engine['id']}")
        expect(page.get_by_label("Name of this machine")).to_have_value(before["label"])
        expect(page.get_by_label("Intake allowed gap, as printed").first).to_be_visible()
        page.get_by_role("button", name="Save the engine").click()
        expect(page.get_by_text("Saved.")).to_be_visible()
        after = page.request.get(place).json()
        assert after["revision"] == before["revision"], engine["label"]  # nothing was changed
        page.get_by_label("Manual", exact=True).press_sequentially(" ed. 2", delay=20)
        page.get_by_role("button", name="Save the engine").click()
        page.wait_for_function(
            "async (place) => (await (await fetch(place)).json()).document.includes(' ed. 2')",
            arg=place,
        )


class TestAnEmptyRecord:
    @pytest.fixture
    def application(self, database: Database) -> Any:
        return create_app(database)

    @pytest.mark.long
    @pytest.mark.parametrize("size", SIZES)
    def test_every_place_says_something(self, open_page: Any, size: Any) -> None:
        page = open_page("/", **SIZES[size])
        for path in EMPTY:
            opened(page, path)

    def test_what_is_not_there_is_said_with_a_way_back(self, open_page: Any) -> None:
        page = open_page("/")
        for path in ("/cards/77", "/cards/77/feel", "/engines/77", "/engines/77/years", "/nowhere"):
            opened(page, path)
            assert "/" in links(page), path
