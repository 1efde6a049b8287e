"""The application factory."""

from __future__ import annotations

from collections.abc import Callable
from datetime import UTC, datetime
from typing import Any

from apiflask import APIFlask
from flask import Response

from plimb import __version__
from plimb.store.database import Database
from plimb.web import api, api_engines, api_measuring, errors, page, spec

Clock = Callable[[], datetime]


def utc_now() -> datetime:
    """Return this moment as naive UTC, as the record keeps it."""
    return datetime.now(UTC).replace(tzinfo=None, microsecond=0)


def create_app(database: Database, *, clock: Clock = utc_now) -> APIFlask:
    """Return the application that serves one shop's record."""
    app = APIFlask(
        __name__,
        title="Plimb",
        version=__version__,
        spec_path="/api/openapi.json",
        docs_path=None,
        static_folder=None,  # type: ignore[arg-type]  # the page blueprint serves the files
    )
    app.config.update(
        AUTO_OPERATION_ID=True,
        AUTO_404_RESPONSE=False,
        OPENAPI_VERSION="3.1.0",
        SYNC_LOCAL_SPEC=False,
        MAX_CONTENT_LENGTH=1_000_000,
    )
    app.extensions["plimb"] = (database, clock)
    for part in (api, api_measuring, api_engines, page):
        app.register_blueprint(part.blueprint)
    errors.init_app(app)
    spec.init_app(app)
    app.after_request(_harden)
    return app


def _harden(response: Response) -> Response:
    headers: dict[str, Any] = {
        "Content-Security-Policy": "default-src 'self'; img-src 'self' data:; "
        "style-src 'self' 'unsafe-inline'; frame-ancestors 'none'; base-uri 'none'",
        "X-Content-Type-Options": "nosniff",
        "Referrer-Policy": "no-referrer",
    }
    for name, value in headers.items():
        response.headers.setdefault(name, value)
    return response
