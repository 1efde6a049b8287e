"""A full disk, a damaged record, a folder that is not there: one sentence, and what to do."""

from pathlib import Path
from typing import Any

import pytest
from click.testing import CliRunner
from sqlalchemy import event

from plimb.cli.root import main
from plimb.core.errors import BadValue
from plimb.record.database import Database
from plimb.record.faults import plain_words
from plimb.record.lock import record_lock
from plimb.web.server.application import create_app
from plimb.web.server.serving import run_server


def full(database: Database) -> None:
    """Let a record grow no further."""
    with database.reading() as session:
        pages = session.connection().exec_driver_sql("PRAGMA page_count").scalar()
    database.engine.dispose()

    @event.listens_for(database.engine, "connect")
    def limit(connection: Any, _record: Any) -> None:
        connection.execute(f"PRAGMA max_page_count={pages}")


def test_a_full_disk_is_said_so_and_what_was_written_before_stands(school: Database) -> None:
    full(school)
    client = create_app(school).test_client()
    document = client.get("/api/engines/1").get_json()["document"]
    before = len(client.get("/api/shop").get_json()["engines"])
    answers = [
        client.post(
            "/api/engines", json={"label": f"No. {n}", "note": "n" * 200, "document": document}
        )
        for n in range(90, 120)
    ]
    refused = [one for one in answers if one.status_code == 503]
    assert refused
    assert {one.get_json()["sentence"] for one in refused} == {
        "The disk is full: nothing was saved. Make room, then do it again."
    }
    engines = len(client.get("/api/shop").get_json()["engines"])
    assert engines == before + sum(one.status_code < 300 for one in answers)


def test_a_record_that_cannot_be_written_is_looked_at_and_exported(
    school: Database, tmp_path: Path, monkeypatch: pytest.MonkeyPatch
) -> None:
    school.close()
    # whoever runs the tests may write anything: the record says that nobody may
    monkeypatch.setattr("plimb.record.database.is_writable", lambda _path: False)
    before = {path.name for path in tmp_path.iterdir()}
    database = Database(school.path)
    client = create_app(database).test_client()
    for place in ("shop", "cards/2", "cards/3/plan", "drawer", "cards/1/sheet.pdf", "copies"):
        assert client.get(f"/api/{place}").status_code == 200
    version = client.get("/api/cards/2").get_json()["version"]
    said = client.post("/api/cards/2/acts/turn-by-hand", json={"turns": 3, "version": version,
                                                       "key": "read-only-1"})  # fmt: skip
    assert said.status_code == 503
    assert "cannot be written: nothing was saved" in said.get_json()["sentence"]
    database.close()
    out = tmp_path / "out.json"
    told = CliRunner().invoke(main, ["export", "--database", str(school.path), "--out", str(out)])
    assert told.exit_code == 0, told.output
    assert {path.name for path in tmp_path.iterdir()} - before == {"out.json"}


@pytest.mark.parametrize("command", ["check", "export", "serve"])
def test_a_damaged_record_is_one_sentence_on_the_command_line(
    school: Database, tmp_path: Path, command: Any
) -> None:
    school.close()
    torn = tmp_path / "torn.sqlite3"
    whole = school.path.read_bytes()
    torn.write_bytes(whole[:4096] + b"\0" * 3000 + whole[8192 : len(whole) // 2])
    more = {"export": ["--out", str(tmp_path / "out.json")], "serve": ["--port", "18999"]}
    said = CliRunner().invoke(main, [command, "--database", str(torn), *more.get(command, [])])
    assert said.exit_code == (1 if command == "check" else 2)
    assert "Traceback" not in said.output
    assert command == "check" or "damaged" in said.output


def test_a_record_that_cannot_be_made_is_one_sentence(tmp_path: Path) -> None:
    (tmp_path / "file").write_text("in the way", "utf-8")
    said = CliRunner().invoke(main, ["serve", "--database", str(tmp_path / "file" / "a.sqlite3")])
    assert said.exit_code == 2
    assert said.output.startswith("plimb: ")
    assert said.output.count("\n") == 1


@pytest.mark.parametrize(
    ("fault", "says"),
    [
        (OSError(28, "No space left on device"), "disk is full"),
        (OSError(30, "Read-only file system"), "cannot be written"),
        (OSError("attempt to write a readonly database"), "cannot be written"),
        (OSError("database is locked"), "writing to the record for too long"),
        (OSError("disk I/O error"), "another disk"),
    ],
)
def test_troubles_are_worded(fault: Any, says: Any) -> None:
    assert says in plain_words(fault)


def test_what_is_no_trouble_of_the_record_has_no_words() -> None:
    assert plain_words(ValueError("no such valve")) == ""


def test_a_record_is_held_from_its_first_start_on(
    tmp_path: Path, monkeypatch: pytest.MonkeyPatch
) -> None:
    record, said = tmp_path / "not there yet" / "shop.sqlite3", []

    def serve(*_args: Any, **_more: Any) -> None:
        with pytest.raises(BadValue, match="it is served at"), record_lock(record, "another"):
            pass
        said.append("refused")

    monkeypatch.setattr("plimb.web.server.serving.Workers.run", serve)
    run_server(record, host="127.0.0.1", port=18941)
    assert said == ["refused"]
