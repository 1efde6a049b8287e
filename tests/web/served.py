"""A server in processes of its own, as `plimb serve` runs it, and how it is asked."""

import json
import socket
import subprocess
import sys
import time
from http.client import HTTPConnection, HTTPException
from pathlib import Path
from typing import Any


def ask(port: Any, method: Any, path: Any, body: Any = None, **headers: Any) -> Any:
    wire = HTTPConnection("127.0.0.1", port, timeout=120)
    try:
        wire.request(method, path, None if body is None else json.dumps(body),
                     {"Content-Type": "application/json", **headers})  # fmt: skip
        answer = wire.getresponse()
        return answer.status, json.loads(answer.read() or b"{}")
    finally:
        wire.close()


class Served:
    """A server as `plimb serve` runs it, with its workers."""

    def __init__(self, record: Any) -> None:
        with socket.create_server(("127.0.0.1", 0)) as free:
            self.port = free.getsockname()[1]
        command = [str(Path(sys.executable).parent / "plimb"), "serve", "--json",
                   "--database", str(record), "--port", str(self.port)]  # fmt: skip
        self.process = subprocess.Popen(command, stdout=subprocess.PIPE, stderr=subprocess.DEVNULL)
        self.process.stdout.readline()
        self.ask("GET", "/api/health")
        self.helper = min(self.children)  # makes the copies; it was there before the workers

    def ask(self, method: Any, path: Any, body: Any = None) -> Any:
        return ask(self.port, method, path, body)

    def stop(self) -> None:
        self.process.terminate()
        self.process.wait(timeout=30)
        self.process.stdout.close()

    def name(self, _time: Any = 0) -> Any:
        return self.ask("GET", "/api/shop")[1]["name"]

    @property
    def workers(self) -> Any:
        return self.children - {self.helper}

    @property
    def children(self) -> Any:
        found = subprocess.run(["pgrep", "-P", str(self.process.pid)], capture_output=True,
                               text=True, check=False)  # fmt: skip
        return {int(one) for one in found.stdout.split()}

    def replaced(self, worker: Any, within_s: Any = 60) -> Any:
        """Wait until a worker is gone and another in its place; return the longest answer."""
        longest, until = 0.0, time.monotonic() + within_s
        while worker in self.workers or len(self.workers) < 2:
            assert time.monotonic() < until, "it was not replaced"
            begun = time.monotonic()
            try:
                assert self.ask("GET", "/api/cards/3")[0] == 200
            except (OSError, HTTPException):
                continue  # it was with that worker
            longest = max(longest, time.monotonic() - begun)
        return longest
