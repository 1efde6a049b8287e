"""Run the server on this machine."""

import asyncio
import gc
import json
import logging
import socket
from collections.abc import Callable, Iterator
from contextlib import contextmanager, nullcontext
from dataclasses import dataclass
from functools import partial
from pathlib import Path
from threading import Thread
from time import sleep
from typing import Any

import segno
import waitress
from apiflask import APIFlask
from hypercorn.asyncio import serve
from hypercorn.config import Config
from werkzeug.middleware.dispatcher import DispatcherMiddleware

from plimb.actions.backup import copy_of_the_day
from plimb.actions.clock import utc_now
from plimb.actions.people import read_people
from plimb.actions.shop import kept_by
from plimb.core.errors import BadValue
from plimb.core.lengths import mm
from plimb.standins.counter import run_counter
from plimb.standins.instrument import SimulatedMicrometer
from plimb.store.database import Database, is_writable
from plimb.store.held import held
from plimb.store.people import PersonRole
from plimb.web.application import create_app
from plimb.web.door import is_loopback
from plimb.web.readers import Readers, readers
from plimb.web.tls import Certificate, fingerprint, names_in, own_certificate, own_names, utc

DEMO_ZERO_NM = mm("0.003")
"""Where the simulated micrometer's zero stands, so that checking it is worth something."""


CONNECTIONS, SILENT_S, LARGEST_BODY, LARGEST_HEAD = 1000, 30, 2_000_000, 32_768
"""Who says nothing for half a minute is cut off, and who sends too much is before it is kept."""


Beside = Callable[[Database, str, tuple[str, ...]], dict[str, Any]]


@dataclass(frozen=True, slots=True, kw_only=True)
class Given:
    """A certificate that the shop has from elsewhere, and its key."""

    certificate: Path
    key: Path


def run_server(
    path: Path,
    *,
    host: str,
    port: int,
    as_json: bool = False,
    counter: str | None = None,
    standins: bool = False,
    given: Given | None = None,
    beside: Beside | None = None,
) -> None:
    """Serve the record until stopped.

    Args:
        path: The record.
        host: Where to serve; other machines than this only with people and encrypted.
        port: Where to serve.
        as_json: Say where as JSON.
        counter: Address of a parts counter to order from.
        standins: Serve the simulated parts counter and micrometer beside it.
        given: A certificate to serve with, instead of one of the shop's own authority.
        beside: Makes what is served beside it, by where; it is given the record, host and names.

    Raises:
        BadValue: The port is taken, or other machines would reach it with nobody set up.
    """
    known = _names_given(given) if given else ()
    logging.basicConfig(format="%(asctime)s %(message)s", level=logging.WARNING)
    logging.getLogger("plimb").setLevel(logging.INFO)
    beyond = not is_loopback(host)
    names = (*known, *own_names(host)) if beyond else (host,)
    places = tuple(f"http{'s' * beyond}://{name}:{port}" for name in names)
    # what cannot be written is looked at only, and held by nobody
    written = is_writable(path) or not path.exists()
    alone = held(path, f"it is served at {places[0]}") if written else nullcontext()
    # the readers are made first: they hold neither its address nor its lock
    with readers() as reading, _listening(host, port) as listener, alone:
        database = Database(path)
        if beyond:
            with _closed_if_refused(database):
                _refuse_unknown(database)
        tls = _certificate(path, names, given) if beyond else None
        others = tuple(at for name, at in zip(names, places, strict=True) if not is_loopback(name))
        make = partial(
            create_app,
            host=host,
            names=names,
            addresses=others,
            authority=tls.authority if tls else None,
            counter=run_counter() if standins and counter is None else counter,
        )
        mounts = beside(database, host, names) if beside is not None else {}
        app = _application(database, make, standins, reading, mounts)
        _say_ready(path, places[0], tls, as_json)
        gc.freeze()
        if tls is None:
            _serve_plain(app, listener)
        else:
            _serve_encrypted(app, listener, tls)


def _names_given(given: Given) -> tuple[str, ...]:
    """Return the names of a certificate from elsewhere; BadValue where it is not there."""
    for file in (given.certificate, given.key):
        if not file.exists():
            raise BadValue(f"certificate: {file} is not there.", field="certificate")
    return names_in(given.certificate)


@contextmanager
def _closed_if_refused(database: Database) -> Iterator[None]:
    try:
        yield
    except BadValue:
        database.close()
        raise


def _refuse_unknown(database: Database) -> None:
    """Refuse to be reached from elsewhere while nobody who could sign in is set up."""
    owners = [one for one in read_people(database) if one.role is PersonRole.OWNER and one.has_code]
    if not any(one.left_at is None for one in owners):
        raise BadValue(
            "host: other machines would reach this record, and nobody is set up to work here. "
            "Set up an owner first: plimb people add NAME --owner.",
            field="host",
        )


def _certificate(path: Path, names: tuple[str, ...], given: Given | None) -> Certificate:
    if given is None:
        return own_certificate(path, list(names), utc())
    return Certificate(certificate=given.certificate, key=given.key, authority=None)


def _application(
    database: Database,
    make: Callable[..., APIFlask],
    standins: bool,
    reading: Readers | None,
    mounts: dict[str, Any],
) -> APIFlask:
    """Return the application that keeps the record, with what is connected to it and beside it."""
    import scipy.optimize  # noqa: F401  # before the first request, which would wait for it

    app = make(database, instrument=SimulatedMicrometer(zero_nm=DEMO_ZERO_NM) if standins else None)
    if is_writable(database.path):
        Thread(target=_copy_each_day, args=(database,), daemon=True).start()
    else:
        logging.getLogger("plimb").warning("the record cannot be written: it is looked at only")
    if reading is not None and is_writable(database.path):
        reading.answer_for(app, database, make)
    app.wsgi_app = DispatcherMiddleware(app.wsgi_app, mounts)  # type: ignore[method-assign]
    return app


@contextmanager
def _listening(host: str, port: int) -> Iterator[socket.socket]:
    try:
        listener = socket.create_server((host, port))
    except OSError as error:
        raise BadValue(
            f"port {port} on {host} cannot be used ({error.strerror}); stop what uses it or "
            "set PLIMB_PORT to another.",
            field="port",
        ) from None
    with listener:
        yield listener


def _say_ready(path: Path, place: str, tls: Certificate | None, as_json: bool) -> None:
    if as_json:
        print(json.dumps({"url": place, "record": str(path)}), flush=True)
        return
    print(f"Plimb is ready at {place} (record: {path.name}). Stop with Ctrl-C.", flush=True)
    if tls is not None:
        segno.make(place, error="m").terminal(compact=True, border=2)
    if tls is not None and tls.authority is not None:
        print(f"A tablet trusts it with {place}/api/address/authority.pem, whose SHA-256 is\n"
              f"{fingerprint(tls.authority)}", flush=True)  # fmt: skip


def _serve_plain(app: APIFlask, listener: socket.socket) -> None:
    waitress.serve(
        app, sockets=[listener], threads=8, ident="", connection_limit=CONNECTIONS,
        channel_timeout=SILENT_S, cleanup_interval=5,
        max_request_header_size=LARGEST_HEAD, max_request_body_size=LARGEST_BODY,
        _quiet=True,
    )  # fmt: skip


def _serve_encrypted(app: APIFlask, listener: socket.socket, tls: Certificate) -> None:
    config = Config()
    config.bind = [f"fd://{listener.fileno()}"]
    config.certfile, config.keyfile = str(tls.certificate), str(tls.key)
    config.include_server_header = False
    config.read_timeout = SILENT_S
    config.ssl_handshake_timeout = SILENT_S
    config.wsgi_max_body_size = LARGEST_BODY
    config.alpn_protocols = ["http/1.1"]
    config.accesslog = config.errorlog = None
    asyncio.run(serve(app, config, mode="wsgi"))


def _copy_each_day(database: Database) -> None:
    """Make the day's copy of the record, today and as long as it is served."""
    while True:
        try:
            copy_of_the_day(database.path, utc_now(), kept_by(database))
        except BadValue as refusal:  # the next hour tries again; Shop shows how old the last is
            logging.getLogger("plimb").warning("no copy made: %s", refusal.sentence)
        sleep(3600)
