"""Processes beside the server that answer reads: whoever looks waits for fewer others.

One interpreter does one thing at a time. The server keeps every change, and all that is connected
to it; what only looks at the record is handed to a process of its own, one read at a time, in
the order in which they came. A process that dies is done without.
"""

import gc
import logging
import os
import signal
import sys
from collections.abc import Callable, Iterable, Iterator
from contextlib import contextmanager
from io import BytesIO
from multiprocessing import get_all_start_methods, get_context
from multiprocessing.connection import Connection
from pathlib import Path
from queue import SimpleQueue
from typing import Any

from apiflask import APIFlask
from werkzeug.test import run_wsgi_app

from plimb.actions.drawer import forget_widths
from plimb.actions.views import forget
from plimb.store.database import Database
from plimb.store.turns import Turns

LOG = logging.getLogger("plimb")

MOST = 4
"""So many at most: a shop has no more benches that look at the same moment."""

LOOKED_AFTER_S, PATIENCE_S = 0.5, 30
"""How often a reader that has not answered is looked at, and when it is given up."""

HERE = ("/api/health", "/api/instrument/")
"""What the server answers itself: it is asked of what is connected to it, not of the record."""

Wsgi = Callable[[dict[str, Any], Any], Iterable[bytes]]
Make = Callable[[Database], Wsgi]
Answer = tuple[str, list[tuple[str, str]], bytes]
Asked = dict[str, str | int]


def is_read(environ: dict[str, Any]) -> bool:
    """Return whether a request only looks at what is served."""
    place: str = environ["PATH_INFO"]
    return environ["REQUEST_METHOD"] == "GET" and place.startswith("/api/")


class Readers:
    """So many processes, made before anything else is open: they share no file with the server."""

    def __init__(self, many: int) -> None:
        self._idle: SimpleQueue[_Reader] = SimpleQueue()
        self._all = [_Reader() for _one in range(many)]
        self._turns = Turns()

    def let_go(self) -> None:
        """Have each of them close the record; it is opened again with the next read."""
        for one in self._all:
            one.ask(None)

    def answer_for(self, app: APIFlask, database: Database, make: Make) -> None:
        """Answer an application's reads from now on; it answers all else itself.

        Args:
            app: The application.
            database: Its record, which is up to date.
            make: Makes the same application in another process, so that it can be sent there.
        """
        for one in self._all:
            one.send((database.path, make))
            self._idle.put(one)
        database.before_alone(self.let_go)
        application: Wsgi = app.wsgi_app

        def answer(environ: dict[str, Any], start_response: Any) -> Iterable[bytes]:
            if not is_read(environ) or environ["PATH_INFO"].startswith(HERE):
                return application(environ, start_response)
            with database.entered():  # it is not put back meanwhile
                said = self._answer(environ)
            if said is None:
                return application(environ, start_response)
            status, headers, body = said
            start_response(status, headers)
            return [body]

        app.wsgi_app = answer  # type: ignore[method-assign]

    def _answer(self, environ: dict[str, Any]) -> Answer | None:
        """Return what a reader says, None where there is none any more."""
        with self._turns:  # whoever came first has the first that is free
            one = self._idle.get()
        try:
            return one.ask({key: at for key, at in environ.items() if isinstance(at, str | int)})
        finally:
            self._idle.put(one)

    def close(self) -> None:
        """Let them all end, the last one made first: it has a hand on the wires of those before."""
        for one in self._all:
            one.hang_up()
        for one in reversed(self._all):
            one.wait()


class _Reader:
    """One process, and the wire to it."""

    def __init__(self) -> None:
        beside = get_context("fork")
        self._wire, other = beside.Pipe()
        self._process = beside.Process(target=_answer_reads, args=(other, self._wire), daemon=True)
        self._process.start()
        other.close()
        self._lost = False

    def send(self, said: Any) -> None:
        try:
            self._wire.send(said)
        except OSError:
            self._lose()

    def ask(self, asked: Asked | None) -> Answer | None:
        """Return the answer to what is asked, None where the process is lost."""
        if self._lost:
            return None
        try:
            self._wire.send(asked)
            if not self._answers():
                self._lose()
                return None
            answer: Answer | None = self._wire.recv()
            return answer
        except (OSError, EOFError):
            self._lose()
            return None

    def _answers(self) -> bool:
        """Wait for its answer; False where it was stopped, or takes longer than anybody waits."""
        for _look in range(int(PATIENCE_S / LOOKED_AFTER_S)):
            if self._wire.poll(LOOKED_AFTER_S):
                return True
            if _stands_still(self._process.pid):
                return False
        return False

    def _lose(self) -> None:
        if not self._lost:
            LOG.warning("a process that answers reads was lost; the server answers itself")
            self._process.kill()  # one that was stopped would stay
        self._lost = True

    def hang_up(self) -> None:
        self._lost = True
        self._wire.close()

    def wait(self) -> None:
        if _stands_still(self._process.pid):
            self._process.kill()
        self._process.join(timeout=5)


def _stands_still(process: int | None) -> bool:
    """Return whether a process was stopped or has ended, where the system says so."""
    try:
        said = Path(f"/proc/{process}/stat").read_text("ascii", "replace")
    except OSError:
        return False
    return said.rpartition(")")[2].split()[:1] in (["T"], ["t"], ["Z"], ["X"])


def _answer_reads(wire: Connection, servers: Connection) -> None:
    """Answer reads until the server is gone."""
    servers.close()
    signal.signal(signal.SIGINT, signal.SIG_IGN)  # Ctrl-C is the server's
    try:
        record, make = wire.recv()
        database = Database(record)
        application = make(database)
        gc.freeze()
        while True:
            asked = wire.recv()
            if asked is None:
                database.let_go()
                forget()
                forget_widths()
                wire.send(None)
            else:
                wire.send(_answered(application, asked))
    except (EOFError, OSError):
        return


def _answered(application: Wsgi, asked: Asked) -> Answer:
    environ = {
        **asked,
        "wsgi.input": BytesIO(),
        "wsgi.errors": sys.stderr,
        "wsgi.version": (1, 0),
        "wsgi.multithread": False,
    }
    body, status, headers = run_wsgi_app(application, environ, buffered=True)
    return status, headers.to_wsgi_list(), b"".join(body)


@contextmanager
def readers() -> Iterator[Readers | None]:
    """Give as many readers as this machine has cores for; None where it has but one."""
    cores = len(os.sched_getaffinity(0)) if hasattr(os, "sched_getaffinity") else 1
    if cores < 2 or "fork" not in get_all_start_methods():
        yield None
        return
    made = Readers(min(cores, MOST))
    try:
        yield made
    finally:
        made.close()
