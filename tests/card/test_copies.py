"""Copies of the record: whole or not at all, never from under a server, let go in turn."""

import json
import sqlite3
import subprocess
import sys
from datetime import date, datetime, timedelta
from pathlib import Path
from typing import Any

import pytest
from hypothesis import given
from hypothesis import strategies as some

from plimb.books.backup import (
    Kept,
    back_up,
    copy_now,
    copy_of_the_day,
    kept_by,
    list_copies,
    put_back,
    restore,
    start_anew,
    staying,
)
from plimb.books.checking import check_record
from plimb.card.acting import Change
from plimb.card.acts.fit import turn_by_hand
from plimb.card.rejudge import change_settings
from plimb.core.errors import BadValue, NotFound
from plimb.record.database import Database, copies_of
from plimb.record.lock import record_lock

from ..conftest import NOON, earlier_records

pytestmark = pytest.mark.slow

SCHOOL = "Ostrel Hill Climb School"


def turns_of(path: Any) -> Any:
    raw = sqlite3.connect(path)
    turns = raw.execute("SELECT hand_turns FROM round WHERE card_id = 2").fetchall()[-1][0]
    raw.close()
    return turns


def turn(database: Database, turns: Any) -> None:
    raw = sqlite3.connect(database.path)
    version = raw.execute("SELECT version FROM card WHERE id = 2").fetchone()[0]
    raw.close()
    change = Change(card_id=2, version=version, key=f"turn-{version:05}", now=NOON)
    turn_by_hand(database, change, turns=turns)


@pytest.mark.slow
def test_a_served_record_is_not_put_back_nor_thrown_away(school: Database, tmp_path: Path) -> None:
    copy = tmp_path / "copy.sqlite3"
    back_up(school.path, copy)
    before = school.path.stat().st_ino
    with record_lock(school.path, "it is served at http://127.0.0.1:8017"):
        for take in (lambda: restore(copy, school.path), lambda: start_anew(school.path, SCHOOL)):
            with pytest.raises(BadValue, match=r"served at http://127\.0\.0\.1:8017 .*Stop that"):
                take()
    turn(school, 5)
    assert (school.path.stat().st_ino, turns_of(school.path)) == (before, 5)
    restore(copy, school.path)  # let go of, it can be
    assert turns_of(school.path) != 5


def test_a_server_that_died_holds_nothing(tmp_path: Path) -> None:
    record = tmp_path / "shop.sqlite3"
    code = (
        "import os, sys; from pathlib import Path; from plimb.record.lock import record_lock\n"
        f"with record_lock(Path({str(record)!r}), 'it is served'): os._exit(1)"
    )
    subprocess.run([sys.executable, "-c", code], check=False)
    with record_lock(record, "next"):
        assert json.loads(Path(f"{record}.open").read_text())["what"] == "next"


def test_only_the_demo_is_loaded_anew(school: Database) -> None:
    with pytest.raises(BadValue, match="not the demo's"):
        start_anew(school.path, "Another Shop")
    assert turns_of(school.path) >= 0
    start_anew(school.path, SCHOOL)
    assert not school.path.exists()


@pytest.mark.parametrize("fault", ["later", "foreign", "torn", "points nowhere", "plain", "absent"])
def test_what_is_no_sound_copy_changes_nothing(
    school: Database, tmp_path: Path, fault: Any
) -> None:
    copy = tmp_path / "copy.sqlite3"
    back_up(school.path, copy)
    raw = sqlite3.connect(copy)
    if fault == "later":
        raw.execute("UPDATE alembic_version SET version_num = '0999'")
    elif fault == "foreign":
        raw.execute("DROP TABLE alembic_version")
    elif fault == "points nowhere":
        raw.execute("DELETE FROM card WHERE id = 1")
    raw.commit()
    raw.close()
    if fault == "torn":
        whole = copy.read_bytes()
        copy.write_bytes(whole[: len(whole) // 2])
    elif fault == "plain":
        copy.write_text("a letter", "utf-8")
    elif fault == "absent":
        copy.unlink()
    held_before = school.path.read_bytes()
    with pytest.raises(BadValue) as said:
        restore(copy, school.path)
    assert {"later": "later version", "points nowhere": "not there"}.get(fault, "") in str(
        said.value.sentence
    )
    assert school.path.read_bytes() == held_before
    assert not list(school.path.parent.glob("*.part"))


def test_a_full_disk_leaves_the_record_as_it_was(
    school: Database, tmp_path: Path, monkeypatch: pytest.MonkeyPatch
) -> None:
    copy = tmp_path / "copy.sqlite3"
    back_up(school.path, copy)

    class Full(sqlite3.Connection):
        def backup(self, *_args: Any, **_said: Any) -> None:
            raise sqlite3.OperationalError("database or disk is full")

    usual = sqlite3.connect
    monkeypatch.setattr(sqlite3, "connect", lambda *a, **k: usual(*a, **k, factory=Full))
    for make in (lambda: restore(copy, school.path), lambda: copy_now(school.path, NOON)):
        with pytest.raises(BadValue, match="not enough room"):
            make()
    monkeypatch.undo()
    assert check_record(school.path) == []
    assert not list(tmp_path.rglob("*.part"))


def test_a_copy_is_put_back_under_a_server_that_goes_on(school: Database) -> None:
    copy = copy_now(school.path, NOON)
    turn(school, 6)
    aside = put_back(school, copy.name)
    assert turns_of(school.path) != 6
    assert turns_of(school.path.with_name(aside)) == 6
    turn(school, 3)  # what is written now is written into the record, not into the one aside
    assert turns_of(school.path) == 3
    assert turns_of(school.path.with_name(aside)) == 6
    with pytest.raises(NotFound):
        put_back(school, "../school.sqlite3")


@pytest.mark.long
def test_a_copy_a_day_is_made_and_the_old_ones_go(school: Database) -> None:
    change_settings(school, keep_days=3, keep_weeks=2, keep_months=2)
    day = datetime(2026, 9, 1, 6)
    for _day in range(60):
        assert copy_of_the_day(school.path, day, kept_by(school)) is not None
        assert copy_of_the_day(school.path, day + timedelta(hours=9), kept_by(school)) is None
        day += timedelta(days=1)
    names = sorted(one.name[:10] for one in list_copies(school.path))
    assert names == ["2026-09-30", "2026-10-25", "2026-10-28", "2026-10-29", "2026-10-30"]


@given(some.sets(some.dates(date(2024, 1, 1), date(2027, 1, 1)), max_size=80))
def test_the_newest_stays_and_no_more_than_are_kept(days: Any) -> None:
    kept = Kept()
    stay = staying(days, kept)
    assert stay <= days
    assert not days or max(days) in stay
    assert len(stay) <= kept.days + kept.weeks + kept.months
    assert stay >= set(sorted(days)[-kept.days :])


def test_a_copy_is_kept_from_before_an_upgrade(tmp_path: Path) -> None:
    path = tmp_path / "old.sqlite3"
    raw = sqlite3.connect(path)
    raw.executescript(earlier_records()["0009-what-it-costs"])
    raw.close()
    Database(path).close()
    (copy,) = copies_of(path).glob("before-*-from-0009.sqlite3")
    raw = sqlite3.connect(copy)
    assert raw.execute("SELECT version_num FROM alembic_version").fetchall() == [("0009",)]
    raw.close()


def test_what_is_not_well_is_found(school: Database) -> None:
    assert check_record(school.path) == []
    with school.writing("tried") as session:
        session.connection().exec_driver_sql(
            "UPDATE card SET summary = json_set(summary, '$.opened', 77) WHERE id = 2"
        )
        session.connection().exec_driver_sql("UPDATE round SET number = 9 WHERE card_id = 3")
        session.connection().exec_driver_sql(
            "UPDATE shim SET place = 'drawer', engine_id = NULL, valve = NULL, card_id = NULL "
            "WHERE id = (SELECT min(id) FROM shim WHERE place = 'engine')"
        )
    faults = " ".join(check_record(school.path))
    assert "card 2 is shown in lists otherwise than it stands" in faults
    assert "its moves say otherwise" in faults
