"""A server that takes its time over every change, and somebody who types key by key."""

import time
from typing import Any

from playwright.sync_api import Page

from plimb.record.database import Database
from plimb.web.server.application import create_app

A_SECOND = 1.0
KEY_MS = 20
"""As long as a quick finger takes from key to key."""


def slow(database: Database, seconds: Any = A_SECOND) -> Any:
    """Return the application as a server that takes so long over whatever is changed."""
    return late(create_app(database), seconds, ("POST", "PUT", "PATCH", "DELETE"))


def late(app: Any, seconds: float, methods: Any) -> Any:
    """Let an application wait before it answers such a request of its interface."""

    def answered(environ: Any, start_response: Any) -> Any:
        if environ["REQUEST_METHOD"] in methods and "/api/" in environ["PATH_INFO"]:
            time.sleep(seconds)
        return app(environ, start_response)

    return answered


def keys(page: Page, text: Any) -> None:
    """Type a text key by key into whatever has the focus; `⏎` is Enter."""
    for key in text:
        page.keyboard.press("Enter") if key == "⏎" else page.keyboard.type(key)
        page.evaluate(f"() => new Promise((resume) => setTimeout(resume, {KEY_MS}))")


def keyed(field: Any, text: Any) -> None:
    """Tap a field and write a text over what stands in it, key by key."""
    field.click()
    field.press("ControlOrMeta+a")
    if text:
        field.press_sequentially(text, delay=KEY_MS)
    else:
        field.press("Backspace")


def typed(page: Page, label: Any, text: Any) -> Any:
    """Tap a field and type into it key by key."""
    field = page.get_by_label(label, exact=True)
    field.click()
    keys(page, text)
    return field


def pick(page: Page, label: Any, item: Any) -> None:
    """Open a list of answers and tap one."""
    page.get_by_label(f"{label}:").click()
    page.get_by_role("option", name=item).first.click()


def paste(field: Any, text: str) -> None:
    """Paste a text into a field, as a spreadsheet hands it over."""
    field.evaluate(
        """(field, text) => {
            const data = new DataTransfer();
            data.setData("text/plain", text);
            field.dispatchEvent(new ClipboardEvent("paste",
                { clipboardData: data, bubbles: true, cancelable: true }));
        }""",
        text,
    )


def unfold(page: Page, *titles: str) -> None:
    """Tap the line that a part of the page is folded behind."""
    for title in titles:
        page.locator("details:not([open]) > summary").filter(has_text=title).click()


def until(page: Page, path: Any, holds: Any, arg: Any = None) -> None:
    """Wait until what the server says at a path holds; the screen may show it before.

    What is asked of something that is not there yet does not hold.
    """
    page.wait_for_function(
        f"async ([path, arg]) => {{ const said = await (await fetch(path)).json();"
        f" try {{ return ({holds})(said, arg); }} catch {{ return false; }} }}",
        arg=[path, arg],
    )
