"""The built front end: hashed files for ever, the page itself never cached."""

import gzip
import re
from functools import cache, lru_cache
from pathlib import Path

from apiflask import APIBlueprint
from flask import Response, abort, request, send_from_directory
from werkzeug.security import safe_join

APP = Path(__file__).parents[1] / "app"

blueprint = APIBlueprint("page", __name__, enable_openapi=False)


@cache
def page_now() -> str:
    """Return the name of the script that the page loads, which changes with its content."""
    page = APP / "index.html"
    found = re.search(r"index-[\w-]+\.js", page.read_text("utf-8")) if page.is_file() else None
    return found.group() if found else ""


@blueprint.get("/assets/<path:name>")
def asset(name: str) -> Response:
    """Send a file whose name changes with its content, compressed where that is asked for."""
    kind = COMPRESSED.get(Path(name).suffix)
    path = safe_join(str(APP / "assets"), name)
    if kind and path and request.accept_encodings["gzip"] and Path(path).is_file():
        response = Response(_compressed(path), mimetype=kind)
        response.content_encoding = "gzip"
        response.cache_control.max_age = 31_536_000
    else:
        response = send_from_directory(APP / "assets", name, max_age=31_536_000)
    if kind:
        response.vary.add("Accept-Encoding")
    response.cache_control.public = True
    response.cache_control.immutable = True
    return response


COMPRESSED = {".js": "text/javascript", ".css": "text/css"}
"""What is sent compressed; fonts and pictures are already."""


@lru_cache(maxsize=64)
def _compressed(path: str) -> bytes:
    return gzip.compress(Path(path).read_bytes(), mtime=0)


@blueprint.get("/")
@blueprint.get("/<path:place>")
def page(place: str = "") -> Response:
    """Send the page for every place in it; what is under /api answers for itself."""
    if place == "api" or place.startswith("api/"):
        abort(404)
    if not (APP / "index.html").is_file():
        abort(503)
    if place and "/" not in place and (APP / place).is_file():
        kind = "application/manifest+json" if place.endswith(".webmanifest") else None
        response = send_from_directory(APP, place, mimetype=kind)
        response.cache_control.no_cache = True
        return response
    response = send_from_directory(APP, "index.html")
    response.cache_control.no_cache = True
    return response
