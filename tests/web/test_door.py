"""Pages elsewhere change nothing and read nothing, with a body or without."""

from pathlib import Path
from typing import Any

import pytest
from flask.testing import FlaskClient

from plimb.record.database import Database
from plimb.web.server.application import create_app

PLACE = "http://127.0.0.1:8017"
ELSEWHERE = [
    {"Origin": "http://evil.example"},
    {"Origin": "null"},
    {"Origin": "http://127.0.0.1:9999"},
    {"Sec-Fetch-Site": "cross-site"},
    {"Sec-Fetch-Site": "same-site", "Origin": PLACE},
]


def copies(client: Any) -> Any:
    return len(client.get("/api/copies").get_json()["copies"])


@pytest.mark.parametrize("headers", ELSEWHERE, ids=str)
def test_a_page_elsewhere_changes_nothing(client: FlaskClient, headers: Any) -> None:
    for place, body in (("/api/copies", None), ("/api/people", {"name": "x"})):
        answer = client.post(place, json=body, headers=headers, base_url=PLACE)
        assert answer.status_code == 403
        assert "nothing was changed" in answer.get_json()["sentence"]
    assert copies(client) == 0


@pytest.mark.parametrize("headers", [{}, {"Origin": PLACE, "Sec-Fetch-Site": "same-origin"}])
def test_its_own_pages_and_programs_on_this_machine_do(client: FlaskClient, headers: Any) -> None:
    assert client.post("/api/copies", headers=headers, base_url=PLACE).status_code == 200
    assert copies(client) == 1


@pytest.mark.parametrize("host", ["evil.example", "evil.example:8017", "127.0.0.1.evil.example"])
def test_a_name_that_is_made_to_point_here_reads_nothing(client: FlaskClient, host: Any) -> None:
    assert client.get("/api/shop", base_url=f"http://{host}").status_code == 403
    assert client.get("/", base_url=f"http://{host}").status_code == 403


def test_names_of_this_machine_are_answered(client: FlaskClient, school: Database) -> None:
    for host in ("localhost", "127.0.0.1:8017", "[::1]:8017"):
        assert client.get("/api/health", base_url=f"http://{host}").status_code == 200
    wide = create_app(school, host="0.0.0.0", names=("shed.local",)).test_client()
    assert wide.get("/api/health", base_url="https://Shed.local:8017").status_code == 200
    assert wide.get("/api/health", base_url="https://evil.example:8017").status_code == 403


def test_data_is_not_kept_and_forms_go_nowhere_else(client: FlaskClient) -> None:
    answer = client.get("/api/shop")
    assert answer.headers["Cache-Control"] == "no-store"
    assert "form-action 'self'" in answer.headers["Content-Security-Policy"]


def test_a_record_is_for_its_owner_alone(tmp_path: Path) -> None:
    database = Database(tmp_path / "deep" / "shop.sqlite3")
    database.close()
    assert database.path.stat().st_mode & 0o777 == 0o600


def test_an_empty_record_has_no_copies_yet(database: Database) -> None:
    answer = create_app(database).test_client().get("/api/copies")
    assert answer.get_json() == {"copies": []}
