"""Run the server on this machine."""

import json
import logging
import socket
from collections.abc import Callable, Iterator, Mapping
from contextlib import closing, contextmanager, nullcontext
from dataclasses import dataclass
from functools import partial
from pathlib import Path
from time import sleep
from typing import Any

import segno
from apiflask import APIFlask
from werkzeug.middleware.dispatcher import DispatcherMiddleware

from plimb.books.backup import copy_of_the_day, kept_by
from plimb.core.errors import BadValue
from plimb.core.lengths import mm
from plimb.record.database import Database, is_writable
from plimb.record.instrument import keep_line
from plimb.record.lock import record_lock
from plimb.record.people import PersonRole
from plimb.shop.clock import utc_now
from plimb.shop.people import read_people
from plimb.standins.counter import run_counter
from plimb.standins.instrument import SimulatedMicrometer, listen
from plimb.web.server.application import create_app
from plimb.web.server.workers import Workers, beside
from plimb.web.tls import Certificate, fingerprint, names_in, own_certificate, own_names, utc
from plimb.web.wire.origin import is_loopback

DEMO_ZERO_NM = mm("0.003")
"""Where the simulated micrometer's zero stands, so that checking it is worth something."""


Mounts = Callable[[Database, str, tuple[str, ...]], Mapping[str, Any]]
Make = Callable[[Database], APIFlask]


@dataclass(frozen=True, slots=True, kw_only=True)
class GivenCertificate:
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
    given: GivenCertificate | None = None,
    mounts: Mounts | None = None,
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
        mounts: Makes what is served beside it, by where; it is given the record, host and names.

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
    alone = record_lock(path, f"it is served at {places[0]}") if written else nullcontext()
    with _listening(host, port) as listener, alone:
        with closing(Database(path)) as database:  # up to date, before anybody reads it
            if beyond:
                _refuse_unknown(database)
        tls = _certificate(path, names, given) if beyond else None
        others = tuple(at for name, at in zip(names, places, strict=True) if not is_loopback(name))
        standins_here = _standins(path, counter) if standins else (counter, None)
        make = partial(
            create_app,
            host=host,
            names=names,
            addresses=others,
            authority=tls.authority if tls else None,
            counter=standins_here[0],
            instrument=standins_here[1],
        )
        if written:
            beside(copy_each_day, path)
        _say_ready(path, places[0], tls, as_json)
        import scipy.optimize  # noqa: F401  # before the first request, which would wait for it

        certificate, key = (tls.certificate, tls.key) if tls else (None, None)
        workers = Workers(listener, certificate=certificate, key=key)
        workers.run(partial(application, path, make, mounts, host, names))


def application(
    path: Path, make: Make, mounts: Mounts | None, host: str, names: tuple[str, ...]
) -> Any:
    """Return the application that serves a record, with what is served beside it."""
    database = Database(path, settled=True)
    app = make(database)
    more = mounts(database, host, names) if mounts is not None else {}
    app.wsgi_app = DispatcherMiddleware(app.wsgi_app, dict(more))  # type: ignore[method-assign]
    return app


def _standins(path: Path, counter: str | None) -> tuple[str, int]:
    """Start the simulated parts counter and micrometer; return where they are reached."""
    ports = [_free_port(), _free_port()]
    beside(run_standins, path, *ports)
    return counter or f"http://127.0.0.1:{ports[0]}", ports[1]


def _free_port() -> int:
    with socket.create_server(("127.0.0.1", 0)) as free:
        port: int = free.getsockname()[1]
    return port


def run_standins(path: Path, counter: int, micrometer: int) -> None:
    """Serve the stand-ins at these ports, until the process ends."""
    run_counter(counter)
    SimulatedMicrometer(zero_nm=DEMO_ZERO_NM, port=micrometer)
    keep_readings(path, micrometer)
    while True:
        sleep(3600)


def keep_readings(path: Path, port: int) -> None:
    """Have every line that an instrument sends kept in the record."""

    def keep(text: str) -> None:
        with (
            closing(Database(path, settled=True)) as database,
            database.writing("a reading came") as session,
        ):
            keep_line(session, text)

    listen(port, keep)


def _names_given(given: GivenCertificate) -> tuple[str, ...]:
    """Return the names of a certificate from elsewhere; BadValue where it is not there."""
    for file in (given.certificate, given.key):
        if not file.exists():
            raise BadValue(f"certificate: {file} is not there.", field="certificate")
    return names_in(given.certificate)


def _refuse_unknown(database: Database) -> None:
    """Refuse to be reached from elsewhere while nobody who could sign in is set up."""
    owners = [
        person
        for person in read_people(database)
        if person.role is PersonRole.OWNER and person.has_code
    ]
    if not any(owner.left_at is None for owner in owners):
        raise BadValue(
            "host: other machines would reach this record, and nobody is set up to work here. "
            "Set up an owner first: plimb people add NAME --owner.",
            field="host",
        )


def _certificate(path: Path, names: tuple[str, ...], given: GivenCertificate | None) -> Certificate:
    if given is None:
        return own_certificate(path, list(names), utc())
    return Certificate(certificate=given.certificate, key=given.key, authority=None)


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
    if not is_writable(path):
        logging.getLogger("plimb").warning("the record cannot be written: it is looked at only")
    if as_json:
        print(json.dumps({"url": place, "record": str(path)}), flush=True)
        return
    print(f"Plimb is ready at {place} (record: {path.name}). Stop with Ctrl-C.", flush=True)
    if tls is not None:
        segno.make(place, error="m").terminal(compact=True, border=2)
    if tls is not None and tls.authority is not None:
        print(f"A tablet trusts it with {place}/api/address/authority.pem, whose SHA-256 is\n"
              f"{fingerprint(tls.authority)}", flush=True)  # fmt: skip


def copy_each_day(path: Path) -> None:
    """Make the day's copy of the record, today and as long as it is served."""
    while True:
        try:
            with closing(Database(path, settled=True)) as database:
                kept = kept_by(database)
            copy_of_the_day(path, utc_now(), kept)
        except BadValue as refusal:  # the next hour tries again; Shop shows how old the last is
            logging.getLogger("plimb").warning("no copy made: %s", refusal.sentence)
        sleep(3600)
