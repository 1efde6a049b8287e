"""The power goes off at any moment: what was acknowledged is there, and nothing is half done."""

import json
import os
import random
import select
import signal
import subprocess
import sys
from concurrent.futures import ThreadPoolExecutor
from http.client import HTTPConnection, HTTPException
from pathlib import Path
from typing import Any

import pytest
import sqlalchemy as sa

from plimb.demo.load import load_demo
from plimb.record.database import Database
from plimb.record.journal import journal_faults
from plimb.record.shims import audit
from plimb.record.tables.card import CardRow, EventRow
from plimb.record.tables.reading import GapRow, ShimReadingRow

CUTS = 50 if os.environ.get("PLIMB_LONG") else 1
SERVE = """
import os, signal, sys
from pathlib import Path
import scipy.optimize
from werkzeug.serving import make_server
from plimb.record.database import Database
from plimb.web.server.application import create_app

signal.signal(signal.SIGCHLD, signal.SIG_IGN)
for line in sys.stdin:
    if os.fork() == 0:
        app = create_app(Database(Path(line.strip())))
        server = make_server("127.0.0.1", 0, app, threaded=True)
        print(os.getpid(), server.server_port, flush=True)
        server.serve_forever()
"""
"""Everything is imported once; each server is a process of its own, forked from that."""


@pytest.fixture
def stable() -> Any:
    """Return a function that starts a server in a process of its own."""
    process = subprocess.Popen(
        [sys.executable, "-c", SERVE], stdin=subprocess.PIPE, stdout=subprocess.PIPE, text=True
    )

    def start(record: Any) -> Any:
        return Server(record, process)

    yield start
    process.stdin.close()
    process.wait(timeout=10)
    process.stdout.close()


class Server:
    """A server in a process of its own, to be cut off."""

    def __init__(self, record: Path, stable: subprocess.Popen) -> None:
        stable.stdin.write(f"{record}\n")
        stable.stdin.flush()
        # it says where it listens once it does
        self.child, self.port = (int(part) for part in stable.stdout.readline().split())
        self.there = True

    def send(self, method: Any, path: Any, body: Any) -> Any:
        wire = HTTPConnection("127.0.0.1", self.port, timeout=5)
        try:
            wire.request(method, path, json.dumps(body), {"Content-Type": "application/json"})
            answer = wire.getresponse()
            return answer.status, json.loads(answer.read() or b"{}")
        finally:
            wire.close()

    def cut(self) -> None:
        gone = os.pidfd_open(self.child)
        os.kill(self.child, signal.SIGKILL)
        select.select([gone], [], [])
        os.close(gone)
        self.there = False


def acts(dice: Any, cut: Any) -> Any:
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
            yield "POST", "acts/gap", mark, body
        elif kind == "piece":
            text = f"2.{dice.randrange(450, 460)}"
            yield "POST", "acts/shim", mark, {"valve": valve, "text": text, "condition": "sound"}
        elif kind == "plan":
            yield "POST", "acts/take-plan", mark, {}
        else:
            yield "POST", "acts/choose", mark, {"valve": valve, "thickness_nm": None}


def written(session: Any, row: Any, acts: Any) -> Any:
    """Return how many lines of a kind there are, and how many acts that each write one."""
    lines = session.scalar(sa.select(sa.func.count()).select_from(row))
    done = sa.select(sa.func.count()).where(EventRow.kind == acts)
    return lines, session.scalar(done)


KINDS = ((GapRow, "gap"), (ShimReadingRow, "shim"))


def test_power_cuts_lose_nothing_acknowledged_and_leave_nothing_half_done(
    tmp_path: Path, stable: Any
) -> None:
    record, dice = tmp_path / "record.sqlite3", random.Random(50)
    load_demo(record)
    known = set()
    database = Database(record)
    with database.reading() as session:
        begun = [written(session, *kind) for kind in KINDS]
    database.close()
    for cut in range(CUTS):
        server = stable(record)
        last, version = dice.randint(1, 30), None
        for number, (method, where, mark, body) in enumerate(acts(dice, cut)):
            key = f"cut-{mark}"
            try:
                if version is None:
                    version = server.send("GET", "/api/cards/3", None)[1]["version"]
                if number == last:
                    # cut in the middle: the request is on its way when the power goes
                    wire = HTTPConnection("127.0.0.1", server.port, timeout=5)
                    sent = json.dumps({"version": version, "key": key, **body})
                    wire.request(method, f"/api/cards/3/{where}", sent,
                                 {"Content-Type": "application/json"})  # fmt: skip
                    # at any moment until it is answered
                    select.select([wire.sock], [], [], dice.uniform(0, 0.03))
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
                sa.select(EventRow).where(EventRow.card_id == 3).order_by(EventRow.version)
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


EIGHT = 100 if os.environ.get("PLIMB_LONG") else 4


@pytest.mark.long
def test_eight_who_write_when_the_power_goes_find_all_that_was_acknowledged(
    tmp_path: Path, stable: Any
) -> None:
    """And the journal holds together, whichever write was cut in two."""
    record, dice = tmp_path / "record.sqlite3", random.Random(8)
    load_demo(record)
    known: list[str] = []

    def technician(server: Any, cut: Any, number: Any) -> None:
        card = 2 + number % 3
        for turn in range(400):
            key = f"eight-{cut}-{number}-{turn}"
            try:
                version = server.send("GET", f"/api/cards/{card}", None)[1]["version"]
                body = {"turns": turn % 9, "version": version, "key": key}
                if server.send("POST", f"/api/cards/{card}/acts/turn-by-hand", body)[0] == 200:
                    known.append(key)
            except (OSError, HTTPException, ValueError):
                return

    for cut in range(EIGHT):
        server = stable(record)
        with ThreadPoolExecutor(8) as pool:
            for number in range(8):
                pool.submit(technician, server, cut, number)
            wanted = len(known) + dice.randint(3, 20)
            for _moment in range(2000):
                if len(known) >= wanted:
                    break
                select.select([], [], [], 0.01)
            select.select([], [], [], dice.uniform(0, 0.05))
            server.cut()
        database = Database(record)
        with database.reading() as session:
            there = set(session.scalars(sa.select(EventRow.key)))
            assert set(known) <= there
            assert journal_faults(session.connection()) == []
            assert audit(session) == []
        database.close()
    assert len(known) > 2 * EIGHT
