"""Who is let in: the address that was typed is this one's, and changes come from its own pages.

A page elsewhere can send requests here from a technician's browser, and a name that is made to
point here afterwards reads what it likes. Neither knows the address by which Plimb is served.
"""

from ipaddress import ip_address

from apiflask import APIFlask
from flask import Response, request

from plimb.web.wire.errors import refusal

CHANGES = frozenset({"POST", "PUT", "PATCH", "DELETE"})


def init_app(app: APIFlask, host: str, names: tuple[str, ...] = ()) -> None:
    """Let in what is asked of the address it is served at.

    Args:
        app: The application.
        host: Where it is served; only its own names are answered.
        names: By which other names this machine is reached.
    """
    own = {"localhost", "127.0.0.1", "[::1]", host, *(name.lower() for name in names)}

    def look() -> tuple[Response, int] | None:
        if _name(request.host.lower()) not in own:
            return refusal(
                "elsewhere", "Plimb is not served at this address; use the one that it said when "
                "it started.", None, 403,
            )  # fmt: skip
        if request.method in CHANGES and not _from_own_page():
            return refusal(
                "elsewhere", "This came from a page that is not Plimb's: nothing was changed.",
                None, 403,
            )  # fmt: skip
        return None

    app.before_request(look)


def is_loopback(host: str) -> bool:
    """Return whether only this machine reaches an address."""
    try:
        return ip_address(host).is_loopback
    except ValueError:
        return host == "localhost"


def _name(host: str) -> str:
    return host[: host.rfind(":")] if host.rpartition(":")[2].isdigit() else host


def _from_own_page() -> bool:
    """Return whether nothing says that a change comes from another page than its own."""
    origin, site = request.headers.get("Origin"), request.headers.get("Sec-Fetch-Site")
    if site is not None and site not in ("same-origin", "none"):
        return False
    return origin is None or origin in (f"http://{request.host}", f"https://{request.host}")
