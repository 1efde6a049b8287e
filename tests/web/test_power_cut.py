"""The power goes off at any moment: what was acknowledged is there, and nothing is half done."""

import json
import os
import random
import signal
import socket
import subprocess
import sys
import time
from http.client import HTTPConnection, HTTPException
from pathlib import Path

import pytest
from sqlalchemy import func, select

from plimb.demo.load import load_demo
from plimb.store.database import Database
from plimb.store.shims import audit
from plimb.store.tables.card import CardRow, EventRow
from plimb.store.tables.reading import GapRow, ShimReadingRow

CUTS = 50
SERVE = """
import os, signal, sys
from pathlib import Path
import scipy.optimize
import waitress
import plimb.web.api_closing
from plimb.store.database import Database
from plimb.web.application import create_app

signal.signal(signal.SIGCHLD, signal.SIG_IGN)
for line in sys.stdin:
    record, port = line.split()
    child = os.fork()
    if child:
        print(child, flush=True)
        continue
    app = create_app(Database(Path(record)))
    waitress.serve(app, host="127.0.0.1", port=int(port), threads=4, _quiet=True)
"""
"""Everything is imported once; each server is a process of its own, forked from that."""


@pytest.fixture
def stable():
    """Return a function that starts a server in a process of its own."""
    process = subprocess.Popen(
        [sys.executable, "-c", SERVE], stdin=subprocess.PIPE, stdout=subprocess.PIPE, text=True
    )

    def start(record):
        return Server(record, process)

    yield start
    process.stdin.close()
    process.wait(timeout=10)
    process.stdout.close()


class Server:
    """A server in a process of its own, to be cut off."""

    def __init__(self, record: Path, stable: subprocess.Popen) -> None:
        with socket.socket() as free:
            free.bind(("127.0.0.1", 0))
            self.port = free.getsockname()[1]
        stable.stdin.write(f"{record} {self.port}\n")
        stable.stdin.flush()
        self.child, self.there = int(stable.stdout.readline()), True
        for _wait in range(2000):
            with socket.socket() as probe:
                if probe.connect_ex(("127.0.0.1", self.port)) == 0:
                    return
            time.sleep(0.005)
        raise AssertionError("the server did not come up")

    def send(self, method, path, body):
        wire = HTTPConnection("127.0.0.1", self.port, timeout=5)
        try:
            wire.request(method, path, json.dumps(body), {"Content-Type": "application/json"})
            answer = wire.getresponse()
            return answer.status, json.loads(answer.read() or b"{}")
        finally:
            wire.close()

    def cut(self):
        os.kill(self.child, signal.SIGKILL)
        self.there = False
        while Path(f"/proc/{self.child}").exists():
            time.sleep(0.001)


def acts(dice, cut):
    """Give what a technician does one after the other, each with a mark of its own."""
    number = 0
    while True:
        number += 1
        mark = f"{cut:03}{number:04}"
        kind = dice.choice(["gap", "gap", "piece", "plan", "choice"])
        valve = dice.choice(["1 IN L", "1 EX R", "2 IN R", "3 IN L"])
        if kind == "gap":
            body = {"valve": valve, "purpose": "proof", "text": f"0.{dice.randrange(100, 300)}",
                    "unit": "mm"}  # fmt: skip
            yield "POST", "gaps", mark, body
        elif kind == "piece":
            text = f"2.{dice.randrange(450, 460)}"
            yield "POST", "pieces", mark, {"valve": valve, "text": text, "condition": "sound"}
        elif kind == "plan":
            yield "POST", "plan", mark, {}
        else:
            yield "POST", "choices", mark, {"valve": valve, "thickness_nm": None}


def written(session, row, acts):
    """Return how many lines of a kind there are, and how many acts that each write one."""
    lines = session.scalar(select(func.count()).select_from(row))
    done = select(func.count()).where(EventRow.action.startswith(acts))
    return lines, session.scalar(done)


KINDS = ((GapRow, "proof "), (ShimReadingRow, "piece "))


def test_fifty_power_cuts_lose_nothing_acknowledged_and_leave_nothing_half_done(tmp_path, stable):
    record, dice = tmp_path / "record.sqlite3", random.Random(50)
    load_demo(record)
    known = set()
    database = Database(record)
    with database.reading() as session:
        begun = [written(session, *kind) for kind in KINDS]
    database.close()
    for cut in range(CUTS):
        server = stable(record)
        until = time.monotonic() + dice.uniform(0.02, 0.6)
        version = None
        for method, where, mark, body in acts(dice, cut):
            key = f"cut-{mark}"
            try:
                if version is None:
                    version = server.send("GET", "/api/cards/3", None)[1]["version"]
                if time.monotonic() > until:
                    # cut in the middle: the request is on its way when the power goes
                    wire = HTTPConnection("127.0.0.1", server.port, timeout=5)
                    sent = json.dumps({"version": version, "key": key, **body})
                    wire.request(method, f"/api/cards/3/{where}", sent,
                                 {"Content-Type": "application/json"})  # fmt: skip
                    time.sleep(dice.uniform(0, 0.03))
                    server.cut()
                    wire.close()
                    break
                status, answer = server.send(
                    method, f"/api/cards/3/{where}", {"version": version, "key": key, **body}
                )
            except (OSError, HTTPException):
                break
            if status == 200:
                known.add(key)
                version = answer["version"]
        if server.there:
            server.cut()
        database = Database(record)
        with database.reading() as session:
            card = session.get(CardRow, 3)
            events = session.scalars(
                select(EventRow).where(EventRow.card_id == 3).order_by(EventRow.version)
            ).all()
            assert known <= {event.key for event in events}
            assert [event.version for event in events][-1] == card.version
            assert audit(session) == []
            for kind, (lines, done) in zip(KINDS, begun, strict=True):
                now_lines, now_done = written(session, *kind)
                assert now_lines - lines == now_done - done  # no act without its line, none alone
        check = database.engine.raw_connection()
        assert check.execute("PRAGMA integrity_check").fetchone()[0] == "ok"
        assert check.execute("PRAGMA foreign_key_check").fetchall() == []
        check.close()
        database.close()
    assert len(known) > CUTS
