"""Lessons played through to the truth, by keyboard and by touch; the first run; help anywhere."""

from typing import Any

import pytest
from playwright.sync_api import Page, expect
from werkzeug.middleware.dispatcher import DispatcherMiddleware

from plimb.practice.application import beside
from plimb.record.database import Database
from plimb.web.server.application import create_app

from .slowly import keyed


@pytest.fixture
def application(database: Database) -> Any:
    """Return an empty record with practice and the demo school beside it."""
    mounts = beside(database, "127.0.0.1", ())
    yield DispatcherMiddleware(create_app(database), dict(mounts))
    for one in mounts.values():
        one.close()


def answered(page: Page, act: Any) -> Any:
    """Do something at the engine; return the word it answers with."""
    with page.expect_response(lambda answer: answer.url.endswith("/acts")) as got:
        act()
    return got.value.json().get("word")


def felt(page: Page, act: Any) -> Any:
    """Feel a valve by the blades at hand: return the bracket, as it is typed."""
    blade = page.get_by_role("spinbutton", name="Blade")
    goes, refuses = None, None
    while goes is None or refuses is None:
        face = round(float(blade.get_attribute("aria-valuetext")) * 100)
        refused = answered(page, lambda: act("push")) in ("refuses", "bends")
        if refused:
            refuses = face
        else:
            goes = face
        act("thinner" if refused else "thicker")
    return f"{goes}-{refuses}"


def by_keys(page: Page) -> Any:
    keys = {"push": "Enter", "thinner": "ArrowDown", "thicker": "ArrowUp"}

    def act(what: Any) -> None:
        page.get_by_role("spinbutton", name="Blade").focus()
        page.keyboard.press(keys[what])

    return act


def written(page: Page, text: Any) -> None:
    page.locator("#entry").focus()
    page.keyboard.type(text)
    with page.expect_response(lambda answer: answer.url.endswith("/gap")) as got:
        page.keyboard.press("Enter")
    assert got.value.ok
    expect(page.locator("#entry")).to_have_value("")


def begin(page: Page, title: Any) -> None:
    page.get_by_role("button", name=f"Begin: {title}").focus()
    page.keyboard.press("Enter")
    expect(page.get_by_role("region", name="The engine you practise on")).to_contain_text(title)


def ended(page: Page, *, finished: bool = True) -> None:
    page.get_by_role("button", name="End the lesson, see the truth").focus()
    page.keyboard.press("Enter")
    if not finished:
        expect(page.get_by_text("Not all is written down.")).to_be_visible()
        page.get_by_role("button", name="End it all the same").focus()
        page.keyboard.press("Enter")
    expect(page.get_by_role("heading", name="The truth:")).to_be_visible()


@pytest.mark.long
def test_three_lessons_by_keyboard_alone_through_to_the_truth(
    open_page: Any, no_barriers: Any
) -> None:
    page = open_page("/practice/")
    expect(page.get_by_text("Nothing here is the shop's record.")).to_be_visible()
    no_barriers(page, "lessons")
    begin(page, "Light drag")
    expect(page.get_by_role("slider", name="Crank")).to_be_visible()
    for _valve in range(2):
        written(page, felt(page, by_keys(page)))
    no_barriers(page, "a lesson")
    ended(page)
    no_barriers(page, "the truth")
    expect(page.locator("tbody tr")).to_have_count(2)

    page.get_by_role("link", name="All lessons").focus()
    page.keyboard.press("Enter")
    begin(page, "The two top dead centres")
    crank = page.get_by_role("slider", name="Crank")
    crank.focus()
    for _press in range(6):
        assert answered(page, lambda: page.keyboard.press("ArrowRight")) == "turned"
    expect(crank).to_have_attribute(
        "aria-valuetext", "mark T1 in the window; lobe of IN L presses on its follower"
    )
    page.keyboard.press("ArrowLeft")  # back is refused
    expect(page.get_by_text("Only onwards, in the engine's own direction")).to_be_visible()
    act = by_keys(page)
    assert answered(page, lambda: act("push")) == "refuses"
    crank.focus()
    for _press in range(12):
        answered(page, lambda: page.keyboard.press("PageUp"))
    expect(crank).to_have_attribute(
        "aria-valuetext", "mark T1 in the window; lobe of IN L points away from its follower"
    )
    for _valve in range(4):
        written(page, felt(page, act))
    ended(page)
    expect(page.get_by_text("4 of 4").or_(page.get_by_text("3 of 4")).first).to_be_visible()

    page.get_by_role("link", name="All lessons").focus()
    page.keyboard.press("Enter")
    begin(page, "A marking that lies")
    for name in ("Take it out", "Measure it"):
        button = page.get_by_role("button", name=name, exact=True)
        if button.is_visible():
            button.focus()
            answered(page, lambda: page.keyboard.press("Enter"))
    expect(page.get_by_role("img", name="The micrometer shows")).to_be_visible()
    ended(page, finished=False)
    page.keyboard.press("b")
    expect(page.get_by_role("heading", name="Practice", exact=True)).to_be_visible()


@pytest.mark.long
def test_a_lesson_by_touch_on_a_phone_and_the_shops_record_stays_empty(
    open_page: Any, no_barriers: Any
) -> None:
    page = open_page("/", phone=True)
    expect(page.get_by_text("Nothing is here yet.")).to_be_visible()
    no_barriers(page, "the first run")
    page.get_by_role("link", name="Practise", exact=False).first.tap()
    page.get_by_role("button", name="Begin: The blade between").tap()
    buttons = {"push": "Push it in", "thinner": "A thinner blade", "thicker": "A thicker blade"}

    def act(what: Any) -> None:
        page.get_by_role("button", name=buttons[what]).tap()

    answered(page, lambda: page.get_by_role("button", name="Turn on by 30 degrees").tap())
    bracket = felt(page, act)
    written(page, bracket)
    page.get_by_role("button", name="End the lesson, see the truth").tap()
    page.get_by_role("button", name="End it all the same").tap()
    expect(page.get_by_role("heading", name="The truth:")).to_be_visible()
    no_barriers(page, "the truth on a phone")
    page.get_by_role("link", name="Leave practice").tap()
    expect(page.get_by_text("Nothing is here yet.")).to_be_visible()
    shop = page.request.get("/api/shop").json()
    assert (shop["cards"], shop["engines"]) == ([], [])


@pytest.mark.long
def test_the_demo_school_is_looked_at_apart_and_help_opens_the_page_of_the_stage(
    open_page: Any, no_barriers: Any
) -> None:
    page = open_page("/")
    page.get_by_role("link", name="Look at the demo school").click()
    expect(page.get_by_role("heading", name="Ostrel Hill Climb School")).to_be_visible()
    expect(page.get_by_role("link", name="Back to your own")).to_be_visible()
    page.goto("/school/cards/3/read")
    expect(page.locator("#entry")).to_be_focused()
    page.get_by_role("button", name="Help").click()
    expect(page.get_by_role("dialog").get_by_role("heading", name="Read")).to_be_visible()
    no_barriers(page, "help")
    page.get_by_role("dialog").get_by_role("link", name="The whole handbook").click()
    expect(page).to_have_url("/school/handbook/read")
    keyed(page.get_by_label("Look for"), "zero error")
    expect(page.get_by_text("On 3 pages")).to_be_visible()
    no_barriers(page, "the handbook")
    page.get_by_role("button", name="This screen").click()
    page.get_by_label("Large print").check()
    page.keyboard.press("Escape")
    size = page.get_by_role("button", name="Print this page").bounding_box()
    assert size["height"] >= 56
    assert page.request.get("/api/shop").json()["engines"] == []
