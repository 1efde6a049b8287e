"""Run the server on this machine."""

import gc
import json
import logging
import socket
from contextlib import nullcontext
from pathlib import Path
from threading import Thread
from time import sleep

import waitress

from plimb.actions.backup import copy_of_the_day
from plimb.actions.clock import utc_now
from plimb.actions.shop import kept_by
from plimb.core.errors import BadValue
from plimb.core.lengths import mm
from plimb.standins.counter import run_counter
from plimb.standins.instrument import SimulatedMicrometer
from plimb.store.database import Database, is_writable
from plimb.store.held import held
from plimb.web.application import create_app

DEMO_ZERO_NM = mm("0.003")
"""Where the simulated micrometer's zero stands, so that checking it is worth something."""


def run_server(
    path: Path,
    *,
    host: str,
    port: int,
    as_json: bool = False,
    counter: str | None = None,
    standins: bool = False,
) -> None:
    """Serve the record until stopped.

    Args:
        path: The record.
        host: Where to serve.
        port: Where to serve.
        as_json: Say where as JSON.
        counter: Address of a parts counter to order from.
        standins: Serve the simulated parts counter and micrometer beside it.

    Raises:
        BadValue: The port is taken.
    """
    try:
        listener = socket.create_server((host, port))
    except OSError as error:
        raise BadValue(
            f"port {port} on {host} cannot be used ({error.strerror}); stop what uses it or "
            "set PLIMB_PORT to another.",
            field="port",
        ) from None
    place = f"http://{host}:{port}"
    # what cannot be written is looked at only, and held by nobody
    written = is_writable(path) or not path.exists()
    alone = held(path, f"it is served at {place}") if written else nullcontext()
    with listener, alone:
        _serve(path, listener, place, host, as_json, counter, standins)


def _serve(
    path: Path,
    listener: socket.socket,
    place: str,
    host: str,
    as_json: bool,
    counter: str | None,
    standins: bool,
) -> None:
    import scipy.optimize  # noqa: F401  # before the first request, which would wait for it

    logging.basicConfig(format="%(asctime)s %(message)s", level=logging.WARNING)
    logging.getLogger("plimb").setLevel(logging.INFO)
    database = Database(path)
    app = create_app(
        database,
        host=host,
        counter=run_counter() if standins and counter is None else counter,
        instrument=SimulatedMicrometer(zero_nm=DEMO_ZERO_NM) if standins else None,
    )
    if is_writable(path):
        Thread(target=_copy_each_day, args=(database,), daemon=True).start()
    else:
        logging.getLogger("plimb").warning("the record cannot be written: it is looked at only")
    ready = f"Plimb is ready at {place} (record: {path.name}). Stop with Ctrl-C."
    print(json.dumps({"url": place, "record": str(path)}) if as_json else ready, flush=True)
    gc.freeze()
    waitress.serve(app, sockets=[listener], threads=8, ident="", _quiet=True)


def _copy_each_day(database: Database) -> None:
    """Make the day's copy of the record, today and as long as it is served."""
    while True:
        try:
            copy_of_the_day(database.path, utc_now(), kept_by(database))
        except BadValue as refusal:  # the next hour tries again; Shop shows how old the last is
            logging.getLogger("plimb").warning("no copy made: %s", refusal.sentence)
        sleep(3600)
