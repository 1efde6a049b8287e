"""A simulated micrometer that sends its readings over a local stream, one a line.

It stands in for a micrometer with a data cable: whoever connects gets every reading from then
on, as text like `2.897 mm`. A reading is the true thickness, plus where the zero stands, plus
what the instrument is off by.
"""

import random
import socket
from threading import Lock, Thread

from plimb.core.lengths import mm, show_mm

STEP_NM = mm("0.001")


class SimulatedMicrometer:
    """The instrument, and the stream it serves."""

    def __init__(self, *, zero_nm: int = 0, off_by_nm: int = mm("0.004"), seed: int = 1) -> None:
        self.zero_nm, self.off_by_nm = zero_nm, off_by_nm
        self._dice = random.Random(seed)
        self._listeners: list[socket.socket] = []
        self._lock = Lock()
        self._server = socket.create_server(("127.0.0.1", 0))
        self.port: int = self._server.getsockname()[1]
        Thread(target=self._accept, daemon=True, name="micrometer").start()

    def _accept(self) -> None:
        while True:
            try:
                connected, _address = self._server.accept()
            except OSError:  # closed
                return
            with self._lock:
                self._listeners.append(connected)

    def measure(self, true_nm: int) -> str:
        """Close on a piece of this thickness and send what it shows; return that too."""
        off = self._dice.uniform(-self.off_by_nm, self.off_by_nm)
        shown_nm = round((true_nm + self.zero_nm + off) / STEP_NM) * STEP_NM
        line = f"{show_mm(shown_nm)} mm"
        with self._lock:
            for listener in [*self._listeners]:
                try:
                    listener.sendall(f"{line}\r\n".encode())
                except OSError:
                    self._listeners.remove(listener)
        return line

    def close(self) -> None:
        """Stop serving."""
        self._server.close()
        with self._lock:
            for listener in self._listeners:
                listener.close()


class Readings:
    """What an instrument has sent, kept for the screen that asks for it."""

    def __init__(self, port: int, *, kept: int = 200) -> None:
        self._kept = kept
        self._lines: list[str] = []
        self._lock = Lock()
        self._from = socket.create_connection(("127.0.0.1", port), timeout=5)
        self._from.settimeout(None)
        Thread(target=self._listen, daemon=True, name="readings").start()

    def _listen(self) -> None:
        with self._from, self._from.makefile("r", encoding="ascii", errors="replace") as lines:
            try:
                for line in lines:
                    with self._lock:
                        self._lines.append(line.strip())
            except OSError:
                return

    def after(self, seen: int) -> tuple[int, list[str]]:
        """Return how many readings have come in all, and those after the first `seen`."""
        with self._lock:
            return len(self._lines), self._lines[max(seen, len(self._lines) - self._kept) :]
