"""The processes that answer: workers all alike, one listener, and who looks after them.

One server runs on every system. What the workers share lies in the record. A worker that dies is
replaced by the server itself; one that hangs is found by its missing heartbeat, and killed. A
worker whose parent is gone ends.
"""

import ctypes
import gc
import logging
import multiprocessing
import os
import signal
import socket
import sys
from collections.abc import Callable
from contextlib import suppress
from functools import partial
from pathlib import Path
from threading import Lock, Thread
from time import monotonic, sleep
from typing import Any

from granian._granian import SocketHolder
from granian.constants import Interfaces, SSLProtocols
from granian.http import HTTP1Settings
from granian.server.mp import MPServer, WorkerProcess

LOG = logging.getLogger("plimb")
MOST = 4
"""More workers than this only take one another's cores and memory."""
THREADS = 4
"""So many requests are under way in a worker at once; SQLite and numpy share the interpreter."""
BEAT_S, SILENT_S, LOOK_S, LOADING_S = 0.5, 4.0, 0.5, 20.0
HEAD_MS, LARGEST_HEAD, BACKLOG = 30_000, 32_768, 1024
"""Who says nothing for half a minute is cut off."""

Beats = Any
"""When each worker was last seen, in seconds of this machine's own clock, as they share it."""
Loader = Callable[[], Any]


def how_many() -> int:
    """Return how many workers serve here: one a core, one where processes share no listener."""
    if sys.platform == "win32":
        return 1
    cores = len(os.sched_getaffinity(0)) if hasattr(os, "sched_getaffinity") else os.cpu_count()
    return max(1, min(cores or 1, MOST))


class Workers(MPServer):
    """A server whose workers share one listener, so that one that stands still takes nothing in."""

    def __init__(
        self,
        listener: socket.socket,
        *,
        certificate: Path | None = None,
        key: Path | None = None,
    ) -> None:
        host, port = listener.getsockname()[:2]
        super().__init__(
            "plimb",
            address=host,
            port=port,
            interface=Interfaces.WSGI,
            workers=how_many(),
            blocking_threads=THREADS,
            backlog=BACKLOG,
            http1_settings=HTTP1Settings(header_read_timeout=HEAD_MS, max_buffer_size=LARGEST_HEAD),
            log_enabled=False,
            ssl_cert=certificate,
            ssl_key=key,
            ssl_protocol_min=SSLProtocols.tls12,
            respawn_failed_workers=True,
            workers_kill_timeout=1,
        )
        self._listener = listener
        self._beats: Beats = multiprocessing.Array("d", self.workers, lock=False)

    def run(self, load: Loader) -> None:
        """Serve until stopped; `load` makes the application in each worker."""
        Thread(target=self._look_after, daemon=True, name="heartbeats").start()
        super().serve(target_loader=load, wrap_loader=False)

    def _init_shared_socket(self) -> None:
        # an answer goes out at once: a short one would wait for the last one's receipt, some 40 ms
        self._listener.setsockopt(socket.IPPROTO_TCP, socket.TCP_NODELAY, 1)
        self._listener.listen(BACKLOG)
        self._listener.set_inheritable(True)
        self._sso = self._listener
        holder: Any = SocketHolder
        self._shd = holder(self._listener.fileno(), False, BACKLOG)

    def _drop_shared_socket(self) -> None:
        self._listener.close()

    def _spawn_worker(  # type: ignore[override]
        self, idx: int, target: Any, callback_loader: Loader
    ) -> WorkerProcess:
        self._beats[idx] = monotonic() + LOADING_S
        load = partial(_in_worker, callback_loader, self._beats, idx, os.getpid())
        return super()._spawn_worker(idx=idx, target=target, callback_loader=load)

    def _look_after(self) -> None:
        """Kill a worker that has not been seen for a while: another takes its place."""
        while not self.interrupt_signal:
            sleep(LOOK_S)
            for worker in list(self.wrks):
                if monotonic() - self._beats[worker.idx] > SILENT_S and worker.inner.is_alive():
                    LOG.warning("worker %d does not answer; it is replaced", worker.idx + 1)
                    self._beats[worker.idx] = monotonic() + LOADING_S
                    self.respawned_wrks.pop(worker.idx, None)  # it did not end by itself
                    with suppress(OSError):
                        os.kill(worker.inner.pid, signal.SIGKILL)


def beside(target: Callable[..., None], *args: Any) -> None:
    """Run something for as long as this process does, in one of its own.

    Not in a thread: workers are forked from here, and what a thread holds at that moment (a lock
    of SQLite's, say) would be held in the worker for ever.
    """
    run = partial(_beside, target, os.getpid(), *args)
    context = multiprocessing.get_context("fork" if sys.platform == "linux" else None)
    context.Process(target=run, daemon=True, name=target.__name__).start()


def _beside(target: Callable[..., None], parent: int, *args: Any) -> None:
    signal.signal(signal.SIGINT, signal.SIG_IGN)
    _end_with(parent)
    target(*args)


def _in_worker(load: Loader, beats: Beats, idx: int, parent: int) -> Any:
    """Make the application in a worker, which is seen from then on for as long as it runs."""
    signal.signal(signal.SIGINT, signal.SIG_IGN)  # Ctrl-C is the server's
    _end_with(parent)
    application = load()
    gc.freeze()
    Thread(target=_beat, args=(beats, idx, parent), daemon=True, name="heartbeat").start()
    return _letting_go(application)


def _letting_go(application: Any) -> Any:
    """Let a client go while another one waits here: it comes back, and to a worker that is free.

    Connections stay open, and the first worker that is free takes every one that comes: four
    clients would wait for one worker, and the others stand by.
    """
    under, lock = [0], Lock()

    def answered(environ: Any, start_response: Any) -> Any:
        with lock:
            under[0] += 1

        def start(status: str, headers: list[tuple[str, str]], *more: Any) -> Any:
            if under[0] > 1:
                headers = [*headers, ("Connection", "close")]
            return start_response(status, headers, *more)

        try:
            return application(environ, start)
        finally:
            with lock:
                under[0] -= 1

    return answered


def _end_with(parent: int) -> None:
    """Have this process end as soon as its parent does, where the system can."""
    if sys.platform == "linux":
        ctypes.CDLL(None).prctl(1, signal.SIGKILL)  # PR_SET_PDEATHSIG
    if os.getppid() != parent:
        os._exit(1)


def _beat(beats: Beats, idx: int, parent: int) -> None:
    while os.getppid() == parent:
        beats[idx] = monotonic()
        sleep(BEAT_S)
    os._exit(1)
