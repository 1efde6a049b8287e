"""Many at once: writers beside a long import, the same asked twice, connections that trickle."""

import shutil
import socket
import time
from concurrent.futures import ThreadPoolExecutor
from pathlib import Path
from typing import Any

import pytest
from flask.testing import FlaskClient

from plimb.record.database import Database
from plimb.record.idempotency import asked_with
from plimb.record.shims import add_shims, audit
from plimb.shop import drawer_csv
from plimb.shop.drawer_csv import import_drawer

from ..conftest import NOON
from .served import Served, ask

ROWS = "".join(f"7.48 mm,{170 + 5 * (n % 10)},,sound,1\r\n" for n in range(1000))
DRAWER = f"family,marked,measured_mm,condition,count\r\n{ROWS}"


@pytest.fixture
def serving(filled: Path, tmp_path: Path) -> Any:
    """Return the port of a server in a process of its own."""
    served = Served(shutil.copy(filled, tmp_path / "many.sqlite3"))
    yield served.port
    served.stop()


@pytest.mark.long
def test_eight_write_on_one_card_while_a_thousand_rows_are_read_in(serving: Any) -> None:
    """Nobody is refused for the record's sake, and no act waits for the whole file."""
    waits, codes = [], []

    def technician(number: Any) -> None:
        for turn in range(6):
            for attempt in range(200):
                seen = ask(serving, "GET", "/api/cards/2")[1]["version"]
                begun = time.monotonic()
                code, _said = ask(serving, "POST", "/api/cards/2/acts/turn-by-hand", {
                    "turns": (number + turn) % 9, "version": seen,
                    "key": f"many-{number}-{turn}-{attempt}"})  # fmt: skip
                waits.append(time.monotonic() - begun)
                codes.append(code)
                if code == 200:
                    break
            else:
                raise AssertionError(f"technician {number} never came through")

    with ThreadPoolExecutor(9) as pool:
        reading = pool.submit(ask, serving, "POST", "/api/drawer/csv", {"text": DRAWER})
        for done in [pool.submit(technician, number) for number in range(8)]:
            done.result()
        status, lies = reading.result()
    assert status == 201
    assert set(codes) == {200, 409}
    assert codes.count(200) == 48
    lying = sum(pocket["count"] for family in lies["families"]
                for pocket in family["pockets"])  # fmt: skip
    assert lying >= 1000
    print(f"longest wait {max(waits):.2f} s")


@pytest.mark.long
def test_connections_that_trickle_keep_nobody_out(serving: Any) -> None:
    trickling = []
    try:
        for _one in range(200):
            wire = socket.create_connection(("127.0.0.1", serving), timeout=20)
            wire.sendall(b"POST /api/cards HTTP/1.1\r\nHost: 127.0.0.1\r\nContent-Le")
            trickling.append(wire)
        assert ask(serving, "GET", "/api/health")[0] == 200
        assert ask(serving, "GET", "/api/cards/3")[0] == 200
    finally:
        for wire in trickling:
            wire.close()


@pytest.mark.long
def test_what_is_far_too_long_is_refused_before_it_is_kept(serving: Any) -> None:
    wire = socket.create_connection(("127.0.0.1", serving), timeout=20)
    head = (
        b"POST /api/cards HTTP/1.1\r\nHost: 127.0.0.1\r\nContent-Type: application/json\r\n"
        b"Content-Length: 900000000\r\n\r\n{"
    )
    wire.sendall(head)
    assert b" 413 " in wire.recv(200)
    wire.close()


CREATES = [
    ("/api/cards", {"engine_id": 1, "opened_by": "Oda", "reason": "Interval"}, "cards"),
    ("/api/blade-sets", {"name": "New", "stacking": False, "blades": [
        {"marked": "0.10", "measured": None, "state": "sound"}]}, "blade_sets"),
    ("/api/instruments", {"name": "Another", "doubt": "0.005"}, "instruments"),
]  # fmt: skip


@pytest.mark.parametrize(("place", "body", "of"), CREATES, ids=lambda one: str(one)[:20])
def test_what_is_made_is_made_once_and_its_key_is_for_nothing_else(
    client: FlaskClient, place: Any, body: Any, of: Any
) -> None:
    before = len(client.get("/api/shop").json[of])
    key = {"Idempotency-Key": "made-once-001"}
    first = client.post(place, json=body, headers=key)
    again = client.post(place, json=body, headers=key)
    assert (first.status_code, again.status_code) == (201, 201)
    assert again.json.get("id") == first.json.get("id")
    assert len(client.get("/api/shop").json[of]) == before + 1
    name = "reason" if "reason" in body else "name"
    other = client.post(place, json={**body, name: "Other"}, headers=key)
    assert (other.status_code, other.json["code"]) == (409, "key_reused")
    fresh = client.post(place, json={**body, name: "Other"}, headers={"Idempotency-Key": "x" * 9})
    assert fresh.status_code == 201
    assert client.post(place, json=body, headers={"Idempotency-Key": "x"}).status_code == 422


def test_an_act_whose_key_was_used_for_another_is_refused(client: FlaskClient) -> None:
    def act(turns: Any) -> Any:
        version = client.get("/api/cards/2").json["version"]
        body = {"turns": turns, "version": version, "key": "turned-01"}
        return client.post("/api/cards/2/acts/turn-by-hand", json=body)

    assert act(2).status_code == 200
    assert act(2).status_code == 200
    assert (act(3).status_code, act(3).json["code"]) == (409, "key_reused")


def test_a_file_cut_off_while_it_is_written_goes_on_from_there(
    school: Database, monkeypatch: pytest.MonkeyPatch
) -> None:
    class Cut(Exception):
        pass

    whole, calls = add_shims, []

    def cut_off(*args: Any) -> Any:
        calls.append(1)
        if len(calls) == 3:
            raise Cut
        return whole(*args)

    with school.reading() as session:
        count = session.connection().exec_driver_sql("SELECT count(*) FROM shim").scalar()
    monkeypatch.setattr(drawer_csv, "add_shims", cut_off)
    with asked_with("cut-off-01", "d", NOON), pytest.raises(Cut):
        import_drawer(school, DRAWER, now=NOON)
    with asked_with("cut-off-01", "d", NOON):
        assert import_drawer(school, DRAWER, now=NOON) == 1000
        assert import_drawer(school, DRAWER, now=NOON) == 1000
    with school.reading() as session:
        after = session.connection().exec_driver_sql("SELECT count(*) FROM shim").scalar()
        assert audit(session) == []
    assert after == count + 1000
