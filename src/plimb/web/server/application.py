"""The application factory."""

from pathlib import Path
from typing import Any

from apiflask import APIFlask
from flask import Response, request
from flask.json.provider import DefaultJSONProvider
from pydantic_core import to_json
from werkzeug.routing import IntegerConverter, Map

from plimb import __version__
from plimb.card.said import MOST
from plimb.record.database import Database
from plimb.shop.clock import utc_now
from plimb.web.api import (
    acts,
    address,
    cards,
    copies,
    drawer,
    engines,
    finding,
    fitting,
    history,
    keys,
    people,
    plans,
    quick,
    readings,
    settings,
    sheets,
    shims,
    shop,
    together,
    years,
)
from plimb.web.server import page
from plimb.web.wire import document as spec
from plimb.web.wire import errors, log, origin
from plimb.web.wire.request import Bench, Clock


class _Number(IntegerConverter):
    """A number in an address: one that the record could not hold is nowhere."""

    def __init__(self, url_map: Map, **more: Any) -> None:
        super().__init__(url_map, max=MOST, **more)


class _Json(DefaultJSONProvider):
    """Answers are written by pydantic, several times faster than the standard library."""

    def response(self, *args: Any, **kwargs: Any) -> Response:
        """Return an answer with what is given as JSON."""
        body = to_json(self._prepare_response_obj(args, kwargs)) + b"\n"
        return Response(body, mimetype=self.mimetype)


PARTS = (
    acts,
    shop,
    settings,
    people,
    keys,
    address,
    history,
    copies,
    cards,
    readings,
    shims,
    plans,
    quick,
    together,
    fitting,
    sheets,
    drawer,
    engines,
    finding,
    years,
    page,
)
"""The nouns of the wire; the page answers whatever else is asked for."""


def create_app(
    database: Database,
    *,
    clock: Clock = utc_now,
    host: str = "127.0.0.1",
    names: tuple[str, ...] = (),
    addresses: tuple[str, ...] = (),
    authority: Path | None = None,
    counter: str | None = None,
    instrument: int | None = None,
) -> APIFlask:
    """Return the application that serves one shop's record.

    Args:
        database: The record.
        clock: Tells the time as naive UTC.
        host: Where it is served.
        names: By which names it is reached, where that is not this machine alone.
        addresses: Where it is opened from elsewhere, the likeliest first.
        authority: The certificate that those who open it are to trust.
        counter: Address of a parts counter, if one is connected.
        instrument: The port of a micrometer on this machine, if one is connected.
    """
    app = APIFlask(
        __name__,
        title="Plimb",
        version=__version__,
        spec_path="/api/openapi.json",
        docs_path=None,
        static_folder=None,  # type: ignore[arg-type]  # the page blueprint serves the files
    )
    app.json = _Json(app)
    app.url_map.converters["int"] = _Number
    app.config.update(
        AUTO_OPERATION_ID=True,
        AUTO_404_RESPONSE=False,
        OPENAPI_VERSION="3.1.0",
        SYNC_LOCAL_SPEC=False,
        MAX_CONTENT_LENGTH=1_000_000,
    )
    app.extensions["plimb"] = Bench(
        database=database,
        clock=clock,
        counter=counter,
        instrument=instrument,
        beyond=not origin.is_loopback(host),
        addresses=addresses,
        authority=authority,
    )
    for part in PARTS:
        app.register_blueprint(part.blueprint)
    log.init_app(app)
    origin.init_app(app, host, names)
    app.before_request(people.look_who)
    errors.init_app(app)
    spec.init_app(app)
    app.after_request(_harden)
    return app


def _harden(response: Response) -> Response:
    headers: dict[str, Any] = {
        "Content-Security-Policy": "default-src 'self'; img-src 'self' data:; "
        "style-src 'self' 'unsafe-inline'; frame-ancestors 'none'; base-uri 'none'; "
        "form-action 'self'",
        "X-Content-Type-Options": "nosniff",
        "Referrer-Policy": "no-referrer",
        "Server": "Plimb",
    }
    if request.path.startswith("/api/"):
        headers["Cache-Control"] = "no-store"
        headers["X-Plimb-Page"] = page.page_now()
    if request.is_secure:
        headers["Strict-Transport-Security"] = "max-age=31536000"
    for name, value in headers.items():
        response.headers.setdefault(name, value)
    return response
