"""Beyond this machine: only with people set up, only encrypted, only for who is signed in."""

import json
import shutil
import socket
import ssl
import subprocess
import sys
from datetime import UTC, datetime, timedelta
from http.client import HTTPSConnection
from pathlib import Path
from typing import Any

import pytest
from click.testing import CliRunner

from plimb.cli.root import main
from plimb.core.errors import BadValue
from plimb.record.database import Database
from plimb.record.people import PersonRole
from plimb.shop.people import add_person
from plimb.web.server.application import create_app
from plimb.web.tls import fingerprint, names_in, own_certificate, own_names

from ..conftest import NOON

AT = datetime(2026, 11, 24, 12, tzinfo=UTC)


@pytest.fixture
def known(filled: Path, tmp_path: Path) -> Any:
    """Return a record with an owner in it."""
    record = Path(shutil.copy(filled, tmp_path / "shop.sqlite3"))
    database = Database(record)
    add_person(database, name="Oda", role=PersonRole.OWNER, code="hill-climb", now=NOON)
    database.close()
    return record


def test_nobody_elsewhere_is_served_while_nobody_is_set_up(filled: Path, tmp_path: Path) -> None:
    record = shutil.copy(filled, tmp_path / "shop.sqlite3")
    words = ["serve", "--database", str(record), "--host", "0.0.0.0", "--port", "18942"]
    said = CliRunner().invoke(main, words)
    assert said.exit_code == 2
    assert "Set up an owner first: plimb people add" in said.output
    assert said.output.count("\n") == 1


@pytest.fixture
def network(known: Any) -> Any:
    """Return a function that asks a server that others reach, trusting the shop's authority."""
    with socket.create_server(("127.0.0.1", 0)) as free:
        port = free.getsockname()[1]
    command = [str(Path(sys.executable).parent / "plimb"), "serve", "--json", "--host", "0.0.0.0",
               "--database", str(known), "--port", str(port)]  # fmt: skip
    process = subprocess.Popen(command, stdout=subprocess.PIPE, stderr=subprocess.DEVNULL)
    assert json.loads(process.stdout.readline())["url"].startswith("https://")
    trust = ssl.create_default_context(cafile=str(known.with_name("shop-tls") / "authority.pem"))

    def ask(method: Any, path: Any, body: Any = None, **headers: Any) -> Any:
        wire = HTTPSConnection("127.0.0.1", port, timeout=30, context=trust)
        wire.request(method, path, None if body is None else json.dumps(body),
                     {"Content-Type": "application/json", **headers})  # fmt: skip
        answer = wire.getresponse()
        content = answer.read()
        wire.close()
        return answer, content

    yield ask, port
    process.terminate()
    process.wait(timeout=20)
    process.stdout.close()


def test_others_come_in_encrypted_and_signed_in(network: Any) -> None:
    ask, port = network
    for place in ("/api/shop", "/api/cards/3", "/api/cards/1/sheet.pdf", "/api/history/card/1"):
        assert ask("GET", place)[0].status == 401
    assert ask("GET", "/")[0].status == 200
    authority, content = ask("GET", "/api/address/authority.pem")
    assert authority.status == 200
    assert content.startswith(b"-----BEGIN CERTIFICATE-----")
    signed, _said = ask("POST", "/api/people/here", {"person_id": 1, "code": "hill-climb"})
    cookie = signed.headers["Set-Cookie"]
    assert all(word in cookie for word in ("Secure", "HttpOnly", "SameSite=Strict"))
    assert signed.headers["Strict-Transport-Security"]
    assert signed.headers["Server"] == "Plimb"  # and no version of anything
    mine = cookie.split(";")[0]
    assert ask("GET", "/api/shop", Cookie=mine)[0].status == 200
    address = json.loads(ask("GET", "/api/address", Cookie=mine)[1])
    assert address["code"].startswith("<svg")
    assert all("127.0.0.1" not in one for one in address["addresses"])
    assert ask("GET", "/api/shop", Cookie=mine, Host="evil.example")[0].status == 403
    with socket.create_connection(("127.0.0.1", port), timeout=20) as plain:
        plain.sendall(b"GET /api/health HTTP/1.1\r\nHost: 127.0.0.1\r\n\r\n")
        assert b"200" not in plain.recv(100)
    old = ssl.create_default_context()
    old.check_hostname, old.verify_mode = False, ssl.CERT_NONE
    with socket.create_connection(("127.0.0.1", port)) as wire, old.wrap_socket(wire) as spoken:
        assert spoken.version() in ("TLSv1.2", "TLSv1.3")


@pytest.mark.long
def test_connections_that_trickle_keep_nobody_out_of_the_encrypted_server(network: Any) -> None:
    """Half never finish their handshake, half send a request that never ends."""
    ask, port = network
    lax = ssl.create_default_context()
    lax.check_hostname, lax.verify_mode = False, ssl.CERT_NONE
    trickling = []
    try:
        for number in range(200):
            wire = socket.create_connection(("127.0.0.1", port), timeout=30)
            trickling.append(wire)
            if number % 2:
                trickling[-1] = spoken = lax.wrap_socket(wire)
                spoken.sendall(b"POST /api/cards HTTP/1.1\r\nHost: 127.0.0.1\r\nContent-Le")
            else:
                wire.sendall(b"\x16\x03\x01\x02")
        assert ask("GET", "/api/health")[0].status == 200
        assert (
            ask("POST", "/api/people/here", {"person_id": 1, "code": "hill-climb"})[0].status == 200
        )
    finally:
        for wire in trickling:
            wire.close()


def test_a_calendar_is_read_by_whoever_has_its_address_and_made_by_owners(known: Any) -> None:
    database = Database(known)
    add_person(database, name="Pim", role=PersonRole.TECHNICIAN, code="4711", now=NOON)
    app = create_app(database, clock=lambda: NOON, host="0.0.0.0", names=("shop.example",))
    elsewhere = {"base_url": "https://shop.example"}
    pim, oda, nobody = (app.test_client() for _one in range(3))
    for client, person, code in ((oda, 1, "hill-climb"), (pim, 2, "4711")):
        said = client.post(
            "/api/people/here", json={"person_id": person, "code": code}, **elsewhere
        )
        assert said.status_code == 200
    assert pim.post("/api/calendar", **elsewhere).status_code == 403
    path = oda.post("/api/calendar", **elsewhere).json["path"]
    read = nobody.get(path, **elsewhere)
    assert (read.status_code, read.mimetype) == (200, "text/calendar")
    assert nobody.get(path.replace(".ics", "x.ics"), **elsewhere).status_code == 404
    for closed in ("/api/due", "/api/due.ics", "/api/calendar", "/api/engines/1/past.csv"):
        assert nobody.get(closed, **elsewhere).status_code == 401
    database.close()


def test_on_the_network_nobody_set_up_reads_nothing(school: Database) -> None:
    client = create_app(school, host="0.0.0.0", names=("shed",)).test_client()
    assert client.get("/api/shop", base_url="https://shed:8017").status_code == 401
    assert client.get("/api/health", base_url="https://shed:8017").status_code == 200


def test_a_certificate_is_kept_while_it_holds_and_made_anew_when_it_does_not(
    tmp_path: Path,
) -> None:
    record = tmp_path / "shop.sqlite3"
    first = own_certificate(record, ["shed", "192.0.2.7"], AT)
    assert set(names_in(first.certificate)) == {"shed", "192.0.2.7"}
    was, authority = first.certificate.read_bytes(), fingerprint(first.authority)
    assert own_certificate(record, ["shed"], AT).certificate.read_bytes() == was
    moved = own_certificate(record, ["shed", "192.0.2.8"], AT)
    assert moved.certificate.read_bytes() != was
    later = moved.certificate.read_bytes()
    assert (
        own_certificate(record, ["shed"], AT + timedelta(days=380)).certificate.read_bytes()
        != later
    )
    assert fingerprint(moved.authority) == authority
    assert {path.stat().st_mode & 0o777 for path in first.certificate.parent.iterdir()} == {0o600}
    assert own_names("shed.example")[0] == "shed.example"


@pytest.mark.parametrize(
    ("more", "says"),
    [
        (["--certificate", "nothing.pem", "--key", "nothing.pem"], "is not there"),
        (["--certificate", "nothing.pem"], "give both or none"),
    ],
)
def test_a_certificate_that_cannot_be_is_one_sentence(known: Any, more: Any, says: Any) -> None:
    words = ["serve", "--database", str(known), "--host", "0.0.0.0", "--port", "18943", *more]
    said = CliRunner().invoke(main, words)
    assert (said.exit_code, says in said.output) == (2, True)


def test_a_file_that_is_no_certificate_is_said(tmp_path: Path) -> None:
    (tmp_path / "no.pem").write_text("none")
    with pytest.raises(BadValue, match="cannot be read"):
        names_in(tmp_path / "no.pem")


@pytest.mark.long
def test_people_are_set_up_from_the_command_line(tmp_path: Path) -> None:
    at = ["--database", str(tmp_path / "p.sqlite3")]
    run = CliRunner().invoke
    assert "Nobody is set up" in run(main, ["people", *at]).output
    assert run(main, ["people", *at, "add", "Pim"], input="4711\n").exit_code == 2
    assert run(main, ["people", *at, "add", "Oda", "--owner"], input="hill-climb\n").exit_code == 0
    assert run(main, ["people", *at, "add", "Pim"], input="4711\n").exit_code == 0
    assert run(main, ["people", *at, "code", "pim"], input="90210\n").exit_code == 0
    assert run(main, ["people", *at, "gone", "Pim"]).exit_code == 0
    assert run(main, ["people", *at, "gone", "Oda"]).exit_code == 2
    found = json.loads(run(main, ["people", *at, "--json"]).output)["people"]
    assert [(one["name"], one["left"]) for one in found] == [("Oda", False), ("Pim", True)]
    assert run(main, ["people", *at, "back", "Pim"]).exit_code == 0
    assert run(main, ["people", *at, "back", "Nobody"]).exit_code == 2
