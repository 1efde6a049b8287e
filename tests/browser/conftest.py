"""The real interface in Debian's Chromium against a served copy of the demo."""

import json
import os
import socket
import subprocess
import sys
from pathlib import Path
from threading import Thread
from typing import Any
from urllib.request import Request, urlopen

import pytest
from playwright.sync_api import Page, expect, sync_playwright
from werkzeug.serving import make_server

from plimb.record.database import Database
from plimb.web.server.application import create_app

from .slowly import late

AXE = Path(__file__).parents[2] / "frontend" / "node_modules" / "axe-core" / "axe.min.js"
ANSWERS_AFTER = float(os.environ.get("PLIMB_ANSWERS_AFTER", "0"))
"""How many seconds the server takes over every answer: `make test-long` asks for one."""
PATIENCE_MS = 20_000
"""How long something is waited for that a busy machine shows late."""

expect.set_options(timeout=PATIENCE_MS)

BENCH, PHONE = {"width": 1280, "height": 800}, {"width": 390, "height": 844}


@pytest.fixture(scope="session")
def chromium() -> Any:
    with sync_playwright() as play:
        browser = play.chromium.launch(
            executable_path="/usr/bin/chromium",
            args=["--no-sandbox", "--disable-background-networking", "--disable-component-update"],
        )
        yield browser
        browser.close()


@pytest.fixture
def application(school: Database) -> Any:
    """Return what is served; a test module may put something beside it."""
    return create_app(school)


@pytest.fixture
def address(application: Any) -> Any:
    if ANSWERS_AFTER:
        application = late(application, ANSWERS_AFTER, ("GET", "POST", "PUT", "PATCH", "DELETE"))
    server: Any = make_server("127.0.0.1", 0, application, threaded=True)
    server.daemon_threads, server.block_on_close = True, False
    thread = Thread(target=server.serve_forever, daemon=True)
    thread.start()
    yield f"http://127.0.0.1:{server.server_port}"
    server.shutdown()
    server.server_close()
    thread.join(timeout=5)


@pytest.fixture
def open_page(chromium: Any, address: Any) -> Any:
    """Return a function that opens a place; faults on the page fail the test."""
    contexts, faults = [], []

    def opened(path: str = "/", *, phone: bool = False, **more: Any) -> Page:
        size = more.pop("viewport", PHONE if phone else BENCH)
        # what a service worker keeps is for test_offline alone
        context = chromium.new_context(
            base_url=address, viewport=size, is_mobile=phone, service_workers="block",
            **{"has_touch": phone, **more},
        )  # fmt: skip
        contexts.append(context)
        page = context.new_page()
        page.set_default_timeout(PATIENCE_MS)
        page.on("pageerror", lambda error: faults.append(str(error)))
        page.goto(path)
        return page

    yield opened
    for context in contexts:
        context.close()
    assert faults == []


@pytest.fixture
def no_barriers() -> Any:
    """Return a check that axe-core finds nothing that is more than minor on the page."""
    source = AXE.read_text("utf-8")

    def check(page: Page, where: str) -> None:
        page.evaluate(source)
        found = page.evaluate("() => axe.run()")["violations"]
        serious = [
            f"{one['id']}: {one['nodes'][0]['html'][:200]} {one['nodes'][0]['failureSummary']}"
            for one in found
            if one["impact"] != "minor"
        ]
        assert serious == [], where

    return check


class OwnServer:
    """The demo served by a process of its own, as `make demo` serves it."""

    def __init__(self, record: Path) -> None:
        self.record = record
        with socket.socket() as free:
            free.bind(("127.0.0.1", 0))
            self.port = free.getsockname()[1]
        self.address = f"http://127.0.0.1:{self.port}"

    def start(self) -> None:
        plimb = Path(sys.executable).parent / "plimb"
        command = [
            str(plimb),
            "demo",
            "--json",
            "--database",
            str(self.record),
            "--port",
            str(self.port),
        ]
        self.process = subprocess.Popen(
            command, stdout=subprocess.PIPE, stderr=subprocess.DEVNULL, text=True
        )
        assert json.loads(self.process.stdout.readline())["url"] == self.address
        # it listens before it says where: what is asked meanwhile waits
        with urlopen(Request(f"{self.address}/api/health"), timeout=60) as answer:
            assert answer.status == 200

    def kill(self) -> None:
        """Stop it as a power cut would."""
        self.process.kill()
        self.process.wait()
        self.process.stdout.close()


@pytest.fixture
def own_server(tmp_path: Path) -> Any:
    server = OwnServer(tmp_path / "own.sqlite3")
    try:
        server.start()
        yield server
    finally:
        server.kill()
