"""One line of log a request, with an id that a person sees where something went wrong."""

import logging
import secrets
import time

from apiflask import APIFlask
from flask import Response, g, request

LOG = logging.getLogger("plimb.requests")


def init_app(app: APIFlask) -> None:
    """Give each request its id, and write its line when it is answered."""
    app.before_request(_begin)
    app.after_request(_end)


def request_id() -> str:
    """Return the id of the request that is being answered."""
    return str(getattr(g, "request_id", "unknown"))


def _begin() -> None:
    g.request_id, g.begun = secrets.token_hex(4), time.perf_counter()


def _end(response: Response) -> Response:
    took_ms = (time.perf_counter() - getattr(g, "begun", time.perf_counter())) * 1000
    LOG.info(
        "%s %s %s %d %.1f ms",
        request_id(), request.method, request.path, response.status_code, took_ms,
    )  # fmt: skip
    response.headers["X-Request-Id"] = request_id()
    return response
