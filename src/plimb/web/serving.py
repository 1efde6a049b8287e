"""Run the server on this machine."""

from __future__ import annotations

import gc
import json
import socket
from pathlib import Path

import waitress
from platformdirs import user_data_path

from plimb.core.errors import BadValue
from plimb.store.database import Database
from plimb.web.application import create_app


def shop_database(name: str) -> Path:
    """Return where this user's record of that name is kept."""
    return user_data_path("plimb", appauthor=False) / f"{name}.sqlite3"


def run_server(path: Path, *, host: str, port: int, as_json: bool = False) -> None:
    """Serve the record until stopped.

    Raises:
        BadValue: The port is taken.
    """
    with socket.socket() as probe:
        probe.setsockopt(socket.SOL_SOCKET, socket.SO_REUSEADDR, 1)
        try:
            probe.bind((host, port))
        except OSError as error:
            raise BadValue(
                f"port {port} on {host} cannot be used ({error.strerror}); stop what uses it or "
                "set PLIMB_PORT to another.",
                field="port",
            ) from None
    app = create_app(Database(path))
    place = f"http://{host}:{port}"
    ready = f"Plimb is ready at {place} (record: {path.name}). Stop with Ctrl-C."
    print(json.dumps({"url": place, "record": str(path)}) if as_json else ready, flush=True)
    gc.freeze()
    waitress.serve(app, host=host, port=port, threads=8, _quiet=True)
