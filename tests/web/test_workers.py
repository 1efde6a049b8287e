"""Workers all alike: what one writes all see, one that dies or hangs is replaced, none is left."""

import json
import os
import shutil
import signal
import socket
import subprocess
import sys
import time
from concurrent.futures import ThreadPoolExecutor
from http.client import HTTPConnection, HTTPException
from pathlib import Path

import pytest


class Served:
    """A server as `plimb serve` runs it, with its workers."""

    def __init__(self, record):
        with socket.create_server(("127.0.0.1", 0)) as free:
            self.port = free.getsockname()[1]
        command = [str(Path(sys.executable).parent / "plimb"), "serve", "--json",
                   "--database", str(record), "--port", str(self.port)]  # fmt: skip
        self.process = subprocess.Popen(command, stdout=subprocess.PIPE, stderr=subprocess.DEVNULL)
        self.process.stdout.readline()
        self.ask("GET", "/api/health")
        self.helper = min(self.children)  # makes the copies; it was there before the workers

    def ask(self, method, path, body=None):
        wire = HTTPConnection("127.0.0.1", self.port, timeout=60)
        try:
            wire.request(method, path, None if body is None else json.dumps(body),
                         {"Content-Type": "application/json"})  # fmt: skip
            answer = wire.getresponse()
            return answer.status, json.loads(answer.read() or b"{}")
        finally:
            wire.close()

    def name(self, _time=0):
        return self.ask("GET", "/api/shop")[1]["name"]

    @property
    def workers(self):
        return self.children - {self.helper}

    @property
    def children(self):
        found = subprocess.run(["pgrep", "-P", str(self.process.pid)], capture_output=True,
                               text=True, check=False)  # fmt: skip
        return {int(one) for one in found.stdout.split()}

    def replaced(self, worker, within_s=60):
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


@pytest.fixture
def served(filled, tmp_path):
    made = Served(shutil.copy(filled, tmp_path / "workers.sqlite3"))
    yield made
    made.process.terminate()
    made.process.wait(timeout=30)
    made.process.stdout.close()


several = pytest.mark.skipif(len(os.sched_getaffinity(0)) < 2, reason="one worker serves here")


@several
def test_what_was_written_and_what_was_put_back_is_what_all_read_from_then_on(served):
    before = served.name()
    copies = served.ask("POST", "/api/copies")[1]["copies"]
    for name in ("One", "Two", "Three"):
        assert served.ask("PATCH", "/api/settings", {"name": name})[0] == 200
        with ThreadPoolExecutor(8) as pool:
            assert set(pool.map(served.name, range(16))) == {name}
    put = served.ask("POST", "/api/copies/put-back", {"name": copies[0]["name"]})
    assert (put[0], put[1]["aside"].startswith("workers.sqlite3.before")) == (200, True)
    with ThreadPoolExecutor(8) as pool:
        assert set(pool.map(served.name, range(16))) == {before}
    assert served.ask("PATCH", "/api/settings", {"name": "Anew"})[0] == 200
    with ThreadPoolExecutor(8) as pool:
        assert set(pool.map(served.name, range(16))) == {"Anew"}


@several
@pytest.mark.parametrize("how", [signal.SIGKILL, signal.SIGSTOP])
def test_a_worker_that_dies_or_hangs_is_replaced_and_others_are_answered_meanwhile(served, how):
    worker = min(served.workers)
    os.kill(worker, how)
    print(f"{how.name}: longest answer meanwhile {served.replaced(worker):.2f} s")
    assert served.name()


@several
def test_wrong_codes_are_counted_by_all_of_them_together(served):
    served.ask("POST", "/api/people", {"name": "Oda", "role": "owner", "code": "hill-climb"})
    wrong = {"person_id": 1, "code": "hill-climx"}
    with ThreadPoolExecutor(6) as pool:
        said = list(pool.map(lambda _n: served.ask("POST", "/api/people/here", wrong), range(12)))
    assert all(status == 403 for status, _body in said)
    assert sum("Too many wrong codes" in body["sentence"] for _status, body in said) >= 8


def test_the_server_ends_at_once_and_leaves_nobody_behind_though_one_is_stopped(served):
    children = served.children
    os.kill(max(children), signal.SIGSTOP)
    served.process.send_signal(signal.SIGINT)
    assert served.process.wait(timeout=30) == 0
    assert not [one for one in children if Path(f"/proc/{one}").exists()]


def test_workers_end_with_their_server(served):
    children = served.children
    served.process.kill()
    served.process.wait(timeout=30)
    until = time.monotonic() + 30
    while any(Path(f"/proc/{one}").exists() for one in children):
        assert time.monotonic() < until
        time.sleep(0.05)
