"""Whatever is tapped and typed, no page breaks and every card can be brought to its end."""

import os
import random
import re
from contextlib import suppress
from typing import Any

import pytest
from playwright.sync_api import Error, Page

from plimb.files.starting_point import Layout
from plimb.record.database import Database
from plimb.web.server.application import create_app

from ..guest import Job
from .slowly import keyed

STEPS = 200 if os.environ.get("PLIMB_LONG") else 20
NEVER = re.compile(
    r"sign|put (it )?away|print|pdf|bench|check a|file|another engine", re.IGNORECASE
)
STAGES = ("Ready", "Turn", "Feel", "Read", "Choose", "Fit", "Prove", "Sign")
GAPS = ("15", "13-15", "20", "8", "x", "25l", "-10", "15t", "14?", "13-18=15", "30", "5 8", "38")
SHIMS = ("250", "2.512", "250 2.497", "240 2.38", "??", "2.71", "725")


@pytest.fixture
def application(database: Database) -> Any:
    """Serve an empty record."""
    return create_app(database)


def with_figures(engine: Any) -> None:
    engine["spec"] = {"intake": {"min": 0.13, "max": 0.18}, "exhaust": {"min": 0.22, "max": 0.28}}
    engine["family"] = {"diameter": 9.48, "runs": [{"from": 2.0, "to": 3.2, "step": 0.05}]}


def only_spec(engine: Any) -> None:
    engine["spec"] = {"intake": {"min": 0.13, "max": 0.18}, "exhaust": {"min": 0.22, "max": 0.28}}


def step(page: Page, dice: Any) -> None:
    """Do something at random that a tired person might: a stage, a valve, some keys, a button."""
    kind = dice.random()
    if page.locator("[role=dialog]").count():
        page.keyboard.press("Escape")
    elif kind < 0.15:
        page.get_by_role("navigation", name="Stages").get_by_text(
            dice.choice(STAGES), exact=True
        ).first.click(timeout=2000)
    elif kind < 0.3 and page.locator("[data-valve]").count():
        page.locator("[data-valve]").nth(
            dice.randrange(page.locator("[data-valve]").count())
        ).click(timeout=2000)
    elif kind < 0.75 and page.locator("#entry").count():
        keyed(page.locator("#entry"), dice.choice(SHIMS if "/read" in page.url else GAPS))
        page.keyboard.press("Enter")
    else:
        buttons = [
            one for one in page.get_by_role("button", disabled=False).all()
            if one.is_visible() and not NEVER.search(one.inner_text() or "x sign")
        ]  # fmt: skip
        if buttons:
            dice.choice(buttons).click(timeout=2000)


def finish(request: Any, place: Any) -> Any:  # noqa: C901 - one line a stage
    """Bring the card to its signature by what each stage still waits for."""
    number = 0

    def card() -> Any:
        return request.get(place).json()

    def send(method: Any, path: Any, **said: Any) -> Any:
        nonlocal number
        number += 1
        said |= {"version": card()["version"], "key": f"finish-{number:05}"}
        answer = getattr(request, method)(f"{place}/{path}", data=said)
        return answer.status

    for _round in range(12):
        now = card()
        if now["signed_at"]:
            return now
        waits = {one["stage"]: one["waiting"] for one in now["todo"]}
        for valve in waits.get("feel", []):
            send(
                "post",
                "acts/gap",
                valve=valve,
                purpose="found",
                text="16",
                unit="mm",
                reason="again",
            )
        for valve in waits.get("read", []):
            if send("post", "acts/trust", valve=valve, trust="measured") != 200:
                send("post", "acts/shim", valve=valve, text="2.50")
        send("post", "acts/take-plan")
        for valve in next(t["waiting"] for t in card()["todo"] if t["stage"] == "choose"):
            piece = next(one["piece"] for one in card()["valves"] if one["valve"] == valve)
            if piece:
                send("post", "acts/choose", valve=valve, thickness_nm=piece["thickness"]["nm"])
        for one in card()["fit"]:
            send("post", "acts/fit", valve=one["valve"], fitted=True, measured="", anyway=True)
        for valve in next(t["waiting"] for t in card()["todo"] if t["stage"] == "prove"):
            send("post", "acts/gap", valve=valve, purpose="proof", text="16", unit="mm")
        send("post", "acts/sign", signed_by="Nessa", remarks="left so", next_distance=None)
    return card()


@pytest.mark.parametrize(
    ("layout", "valves", "change", "seed"),
    [
        (Layout.STRAIGHT_SIX, 4, with_figures, 1),
        pytest.param(Layout.V_TWIN, 4, only_spec, 2, marks=pytest.mark.long),
        (Layout.SINGLE, 2, with_figures, 3),
    ],
    ids=["24 valves", "no sizes entered", "one valve a side"],
)
@pytest.mark.long
def test_no_run_of_taps_and_keys_ends_where_nothing_goes_on(
    open_page: Any, database: Database, layout: Any, valves: Any, change: Any, seed: int
) -> None:
    job, dice = Job(database, layout, change=change, valves=valves), random.Random(seed)
    place = f"/cards/{job.card.id}"
    page = open_page(f"{place}/feel")
    page.get_by_role("navigation", name="Stages").wait_for()
    for number in range(STEPS):
        with suppress(Error):  # what is gone by the time it is tapped was not there to be tapped
            step(page, dice)
        if f"{place}/" not in page.url:
            page.goto(f"{place}/feel")
        stages = page.get_by_role("navigation", name="Stages")
        stages.wait_for()
        assert page.get_by_role("button", disabled=False).count() > 3, number
        assert page.request.get(f"/api{place}").ok, number
        assert page.request.get(f"/api{place}/plan").ok, number
        assert page.request.get(f"/api{place}/sheet").ok, number
    ended = finish(page.request, f"/api{place}")
    assert ended["signed_at"], {one["stage"]: one["waiting"] for one in ended["todo"]}
    page.goto(f"{place}/sign")
    page.get_by_text("signed this card").wait_for()
