"""The application factory."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass
from datetime import UTC, datetime
from typing import Any

from apiflask import APIFlask
from flask import Response

from plimb import __version__
from plimb.standins.instrument import Readings, SimulatedMicrometer
from plimb.store.database import Database
from plimb.web import (
    api,
    api_closing,
    api_drawer,
    api_engines,
    api_measuring,
    api_pieces,
    errors,
    page,
    spec,
)

Clock = Callable[[], datetime]


def utc_now() -> datetime:
    """Return this moment as naive UTC, as the record keeps it."""
    return datetime.now(UTC).replace(tzinfo=None, microsecond=0)


@dataclass(frozen=True, slots=True, kw_only=True)
class Bench:
    """What the application works with: the record, the time, and what is connected to it."""

    database: Database
    clock: Clock
    counter: str | None = None
    instrument: SimulatedMicrometer | None = None
    readings: Readings | None = None


def create_app(
    database: Database,
    *,
    clock: Clock = utc_now,
    counter: str | None = None,
    instrument: SimulatedMicrometer | None = None,
) -> APIFlask:
    """Return the application that serves one shop's record.

    Args:
        database: The record.
        clock: Tells the time as naive UTC.
        counter: Address of a parts counter, if one is connected.
        instrument: A micrometer whose readings are taken in, if one is connected.
    """
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
    app.extensions["plimb"] = Bench(
        database=database,
        clock=clock,
        counter=counter,
        instrument=instrument,
        readings=Readings(instrument.port) if instrument else None,
    )
    for part in (api, api_measuring, api_pieces, api_closing, api_drawer, api_engines, page):
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
