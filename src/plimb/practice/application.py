"""The practice application: the same screens on a record of their own, and the lessons."""

from collections.abc import Callable, Iterable, Mapping
from pathlib import Path
from typing import Any

from apiflask import APIFlask
from filelock import FileLock
from flask import request

from plimb.core.errors import NobodyAtWork
from plimb.demo.load import load_demo
from plimb.practice.session import Practice
from plimb.practice.web import blueprint
from plimb.record.database import Database
from plimb.shop.clock import utc_now
from plimb.shop.people import who_is
from plimb.web.api.people import COOKIE
from plimb.web.server.application import create_app
from plimb.web.wire.origin import is_loopback
from plimb.web.wire.request import Clock

AT, SCHOOL = "/practice", "/school"
"""Where practice, and the demo school to look at, are mounted beside the shop's own record."""


def practice_app(
    database: Database,
    folder: Path,
    *,
    shop: Database | None = None,
    host: str = "127.0.0.1",
    names: tuple[str, ...] = (),
    clock: Clock = utc_now,
) -> APIFlask:
    """Return the application that serves the practice record.

    Args:
        database: The practice record: nothing in it is the shop's.
        folder: Where the acts on its engines are kept.
        shop: The shop's own record; who may practise on the network, and on which engines.
        host: Where it is served.
        names: By which other names this machine is reached.
        clock: Tells the time as naive UTC.
    """
    own = "127.0.0.1"
    app = create_app(database, clock=clock, host=own, names=(host, *names))
    app.register_blueprint(blueprint)
    app.extensions["plimb-practice"] = Practice(database, folder, shop, clock)
    if shop is not None and not is_loopback(host):
        app.before_request(lambda: _only_who_works_here(shop, clock))
    return app


def _only_who_works_here(shop: Database, clock: Clock) -> None:
    """Refuse, from elsewhere, whoever is not signed in at the shop."""
    if not request.path.startswith("/api/"):
        return
    token = request.cookies.get(COOKIE, "")
    with shop.reading() as session:
        if not token or who_is(session, token, clock()) is None:
            raise NobodyAtWork("Choose who works here first.", field="person")


Wsgi = Callable[[dict[str, Any], Any], Iterable[bytes]]


class SideShop:
    """An application beside a shop's record, made when it is first asked for."""

    def __init__(self, make: Callable[[], APIFlask], lock: Path) -> None:
        self._make, self._lock = make, FileLock(lock)  # of all workers: it makes a record
        self._app: APIFlask | None = None

    def __call__(self, environ: dict[str, Any], start_response: Any) -> Iterable[bytes]:
        """Answer what is asked of it."""
        if self._app is None:
            with self._lock:
                self._app = self._app or self._make()
        answer: Iterable[bytes] = self._app(environ, start_response)
        return answer

    def close(self) -> None:
        """Close its record, if it was ever asked for."""
        if self._app is not None:
            self._app.extensions["plimb"].database.close()


def beside(shop: Database, host: str, names: tuple[str, ...]) -> Mapping[str, SideShop]:
    """Return what is served beside a shop's own record, by where: practice, the demo school."""
    path = shop.path

    def practice() -> APIFlask:
        return practice_app(
            Database(path.with_name(f"{path.stem}-practice{path.suffix}")),
            path.with_name(f"{path.stem}-practice-engines"),
            shop=shop, host=host, names=names,
        )  # fmt: skip

    def school() -> APIFlask:
        own = path.with_name(f"{path.stem}-school{path.suffix}")
        load_demo(own, fresh=False)
        app = create_app(Database(own), host="127.0.0.1", names=(host, *names))
        if not is_loopback(host):
            app.before_request(lambda: _only_who_works_here(shop, utc_now))
        return app

    making = path.with_name(f"{path.stem}-beside.lock")
    return {AT: SideShop(practice, making), SCHOOL: SideShop(school, making)}
