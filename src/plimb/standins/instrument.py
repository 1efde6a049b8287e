"""A simulated micrometer that sends its readings over a local stream, one a line.

It stands in for a micrometer with a data cable: whoever connects gets every reading from then
on, as text like `2.897 mm`. A reading is the true thickness, plus where the zero stands, plus
what the instrument is off by.
"""

import random
import socket
from collections.abc import Callable
from contextlib import suppress
from threading import Lock, Thread

from plimb.core.lengths import mm, show_mm

STEP_NM = mm("0.001")


class SimulatedMicrometer:
    """The instrument, and the stream it serves."""

    def __init__(
        self,
        *,
        zero_nm: int = 0,
        off_by_nm: int = mm("0.004"),
        seed: int = 1,
        port: int = 0,
    ) -> None:
        self.zero_nm, self.off_by_nm = zero_nm, off_by_nm
        self._dice = random.Random(seed)
        self._listeners: list[socket.socket] = []
        self._lock = Lock()
        self._server = socket.create_server(("127.0.0.1", port))
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
            Thread(target=self._heed, args=(connected,), daemon=True, name="micrometer").start()

    def _heed(self, connected: socket.socket) -> None:
        """Close on what somebody who is connected puts in: a thickness a line, in nanometres."""
        try:
            with connected.makefile("r", encoding="ascii", errors="replace") as lines:
                for line in lines:
                    if line.strip().isdigit():
                        self.measure(int(line))
        except OSError:
            return

    def measure(self, true_nm: int) -> str:
        """Close on a piece of this thickness and send what it shows; return that too."""
        error_nm = self._dice.uniform(-self.off_by_nm, self.off_by_nm)
        shown_nm = round((true_nm + self.zero_nm + error_nm) / STEP_NM) * STEP_NM
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


def press(port: int, true_nm: int) -> None:
    """Put a piece of this thickness in the micrometer at a port, and close it."""
    with socket.create_connection(("127.0.0.1", port), timeout=5) as connected:
        connected.sendall(f"{true_nm}\n".encode())
        connected.recv(64)


def listen(port: int, keep: Callable[[str], None]) -> None:
    """Have every line that the instrument at a port sends kept, until it is closed."""
    connected = socket.create_connection(("127.0.0.1", port), timeout=5)
    connected.settimeout(None)

    def heed() -> None:
        lines = connected.makefile("r", encoding="ascii", errors="replace")
        with connected, lines, suppress(OSError):
            for line in lines:
                keep(line.strip())

    Thread(target=heed, daemon=True, name="readings").start()
