"""Every refusal has one shape: a code, a sentence, the field at fault."""

import logging
from typing import Any

from apiflask import APIFlask, HTTPError
from flask import Response, jsonify, request
from werkzeug.exceptions import HTTPException, UnsupportedMediaType

from plimb.core.errors import (
    Ambiguous,
    BadValue,
    CardSigned,
    CounterAway,
    KeyReused,
    NobodyAtWork,
    NotFound,
    NotReady,
    OwnersOnly,
    PieceMoved,
    PlimbError,
    RecordGone,
    StaleVersion,
    TwoMeanings,
    WrongCode,
)
from plimb.record.database import trouble
from plimb.web.wire.log import request_id

STATUS: dict[type[PlimbError], int] = {
    BadValue: 422,
    Ambiguous: 422,
    TwoMeanings: 422,
    NotFound: 404,
    StaleVersion: 409,
    CardSigned: 409,
    NotReady: 409,
    PieceMoved: 409,
    KeyReused: 409,
    NobodyAtWork: 401,
    OwnersOnly: 403,
    WrongCode: 403,
    CounterAway: 503,
    RecordGone: 503,
}
"""HTTP status of each refusal; a test fails for a class without one."""

_SENTENCES = {
    404: "There is nothing at this address.",
    405: "This address does not take that method.",
    413: "That is too much to send at once.",
    415: "Send JSON, with the content type application/json.",
    400: "The request is not readable JSON.",
}


def init_app(app: APIFlask) -> None:
    """Answer every refusal of the application in the one shape."""
    app.register_error_handler(PlimbError, _refused)
    app.register_error_handler(HTTPException, _http)
    app.register_error_handler(Exception, _fault)
    app.error_processor(_invalid)
    app.before_request(_json_only)


def refusal(
    code: str, sentence: str, field: str | None, status: int, offers: tuple[str, ...] = ()
) -> tuple[Response, int]:
    """Return a refusal in the one shape."""
    body = {"code": code, "sentence": sentence, "field": field, "offers": list(offers)}
    return jsonify(body), status


def _json_only() -> None:
    sends = request.method in ("POST", "PUT", "PATCH")
    empty = not request.content_length and "Transfer-Encoding" not in request.headers
    pdf = request.path.endswith("/check-pdf")
    if (
        sends
        and not empty
        and not pdf
        and request.routing_exception is None
        and not request.is_json
    ):
        raise UnsupportedMediaType


def _refused(error: PlimbError) -> tuple[Response, int]:
    return refusal(error.code, error.sentence, error.field, STATUS[type(error)], error.offers)


def _http(error: HTTPException) -> tuple[Response, int]:
    status = error.code or 500
    sentence = _SENTENCES.get(status, f"{error.name}.")
    response, status = refusal(error.name.lower().replace(" ", "_"), sentence, None, status)
    for name, value in error.get_headers():
        if name == "Allow":
            response.headers[name] = value
    return response, status


def _fault(error: Exception) -> tuple[Response, int]:
    logging.getLogger("plimb").exception("request %s", request_id(), exc_info=error)
    if words := trouble(error):
        return refusal("trouble", words, None, 503)
    return refusal(
        "fault",
        f"Plimb itself went wrong here (request {request_id()}). What you did may have been saved: "
        "look before you do it again.",
        None,
        500,
    )


def _invalid(error: HTTPError) -> tuple[Any, int, Any]:
    """Say of a request that breaks the schema which field is at fault, and how."""
    field, message = _first_fault(error.detail)
    if field is None:
        body: dict[str, Any] = {
            "code": (error.message or "refused").lower().replace(" ", "_"),
            "sentence": _SENTENCES.get(error.status_code, error.message or "Refused."),
            "field": None,
        }
    else:
        body = {"code": "bad_request", "sentence": f"{field}: {message}.", "field": field}
    body["offers"] = []
    return body, error.status_code, error.headers


def _first_fault(detail: Any, path: str = "") -> tuple[str | None, str]:
    """Return the dotted path and the message of the first fault in a validation answer."""
    if isinstance(detail, dict) and detail:
        name, inner = next(iter(detail.items()))
        deeper = path if name in ("json", "_schema") else f"{path}.{name}".lstrip(".")
        return _first_fault(inner, deeper)
    if isinstance(detail, list) and detail:
        return _first_fault(detail[0], path)
    return (path or None, detail if isinstance(detail, str) else "")
