"""The built front end: hashed files for ever, the page itself never cached."""

from pathlib import Path

from apiflask import APIBlueprint
from flask import Response, abort, send_from_directory

APP = Path(__file__).parent / "app"

blueprint = APIBlueprint("page", __name__, enable_openapi=False)


@blueprint.get("/assets/<path:name>")
def asset(name: str) -> Response:
    """Send a file whose name changes with its content."""
    response = send_from_directory(APP / "assets", name, max_age=31_536_000)
    response.cache_control.immutable = True
    return response


@blueprint.get("/")
@blueprint.get("/<path:place>")
def page(place: str = "") -> Response:
    """Send the page for every place in it; what is under /api answers for itself."""
    if place == "api" or place.startswith("api/"):
        abort(404)
    if not (APP / "index.html").is_file():
        abort(503)
    if place and "/" not in place and (APP / place).is_file():
        return send_from_directory(APP, place)
    response = send_from_directory(APP, "index.html")
    response.cache_control.no_cache = True
    return response
