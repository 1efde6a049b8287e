"""Take the pictures in docs/screenshots from the demo, in Debian's Chromium."""

import os
import sys
import tempfile
from contextlib import contextmanager
from datetime import UTC, datetime, timedelta
from pathlib import Path
from threading import Thread
from typing import Any

import scipy.optimize  # noqa: F401  # the first plan would wait for it
from playwright.sync_api import sync_playwright
from werkzeug.middleware.dispatcher import DispatcherMiddleware
from werkzeug.serving import make_server

from plimb.books.backup import copy_of_the_day
from plimb.demo.load import fill
from plimb.practice.application import beside
from plimb.record.database import Database, copies_of
from plimb.standins.counter import run_counter
from plimb.web.server.application import create_app

FOLDER = Path(__file__).parent.parent / "docs" / "screenshots"
WIDE, PHONE = (1280, 800), (390, 844)
SHOTS = {
    "bench": ("/", WIDE, "light"),
    "quick-sum": ("/sum", WIDE, "light"),
    "new-engine": ("/engines/new", WIDE, "light"),
    "ready": ("/cards/4/ready", (1280, 1500), "light"),
    "turn": ("/cards/3/turn", WIDE, "light"),
    "years": ("/engines/1/years", WIDE, "light"),
    "shop": ("/shop", WIDE, "light"),
    "handbook": ("/handbook/sums", WIDE, "light"),
    "practice": ("/practice/cards/1/feel", WIDE, "light"),
    "feel": ("/cards/2/feel", WIDE, "light"),
    "choose": ("/cards/3/choose", WIDE, "light"),
    "fit": ("/cards/4/fit", WIDE, "light"),
    "prove": ("/cards/4/prove", WIDE, "light"),
    "sign": ("/cards/1/sign", WIDE, "light"),
    "feel-phone": ("/cards/2/feel", PHONE, "light"),
    "drawer": ("/drawer", WIDE, "light"),
    "choose-phone": ("/cards/3/choose", PHONE, "light"),
    "read-night": ("/cards/3/read", WIDE, "dark"),
}


SUM = ("0.10-0.15", (("8", "2.65"), ("12", "2.63"), ("9-10", "2.70"), ("17", "2.715")))
"""An allowed gap, and gaps with their shims."""


@contextmanager
def served() -> Any:
    """Serve a fresh demo on a free port and give its address."""
    with tempfile.TemporaryDirectory() as folder:
        database = Database(Path(folder) / "demo.sqlite3")
        fill(database)
        for days in (9, 2, 1, 0):
            made = datetime.now(UTC) - timedelta(days=days, hours=2)
            copy = copy_of_the_day(database.path, made.replace(tzinfo=None))
            if copy:
                place = copies_of(database.path) / copy.name
                os.utime(place, (made.timestamp(), made.timestamp()))
        mounts = beside(database, "127.0.0.1", ())
        application = create_app(database, counter=run_counter())
        app = DispatcherMiddleware(application, dict(mounts))
        server = make_server("127.0.0.1", 0, app, threaded=True)
        Thread(target=server.serve_forever, daemon=True).start()
        yield f"http://127.0.0.1:{server.server_port}"
        server.shutdown()
        database.close()
        for one in mounts.values():
            one.close()


def take(folder: Path, shots: dict) -> None:
    """Write one PNG a shot into the folder."""
    folder.mkdir(parents=True, exist_ok=True)
    with served() as address, sync_playwright() as play:
        browser = play.chromium.launch(executable_path="/usr/bin/chromium", args=["--no-sandbox"])
        for name, shot in shots.items():
            picture(browser, address, folder / f"{name}.png", *shot)
        browser.close()


def picture(browser: Any, address: Any, file: Any, path: Any, size: Any, scheme: Any) -> None:
    """Take one picture of a place."""
    page = browser.new_page(
        base_url=address, viewport={"width": size[0], "height": size[1]}, color_scheme=scheme
    )
    if file.stem == "practice":
        page.request.post("/practice/api/practice", data={"lesson": "go"})
        acts = {"act": "turn", "what": [30]}
        page.request.post("/practice/api/practice/1/acts", data=acts)
    page.goto(path)
    page.wait_for_timeout(1500)
    page.evaluate("document.fonts.ready")
    if file.stem == "practice":
        page.get_by_role("button", name="Push it in").click()
        page.wait_for_timeout(500)
    if file.stem == "quick-sum":
        page.get_by_label("Allowed gap").press_sequentially(SUM[0])
        page.get_by_text("by 0.05", exact=True).click()
        for nth, pair in enumerate(SUM[1]):
            for column, text in zip(("gap", "shim"), pair, strict=True):
                page.locator(f"#quick-{nth}-{column}").press_sequentially(text)
        page.wait_for_timeout(700)
    page.screenshot(path=file)
    page.close()


if __name__ == "__main__":
    take(Path(sys.argv[1]) if len(sys.argv) > 1 else FOLDER, SHOTS)
