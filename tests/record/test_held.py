"""A record is held by what its file is; one that is gone acknowledges nothing."""

import os
import shutil
import subprocess
import sys
from pathlib import Path
from typing import Any

import pytest
from flask.testing import FlaskClient

from plimb.books.backup import copy_now, put_back
from plimb.card.rejudge import change_settings
from plimb.core.errors import BadValue, RecordGone
from plimb.record.database import Database
from plimb.record.lock import record_lock

from ..conftest import NOON

ASKS = """
import sys
from pathlib import Path
from plimb.record.lock import record_lock
with record_lock(Path(sys.argv[1]), "asked"):
    pass
"""


def refused_elsewhere(path: Any) -> Any:
    """Ask for a record in another process; what it says where it is refused."""
    asked = subprocess.run(
        [sys.executable, "-c", ASKS, str(path)], capture_output=True, text=True, check=False
    )
    return asked.stderr.splitlines()[-1] if asked.returncode else ""


def by_symlink(record: Any) -> Any:
    link = record.with_name("by-symlink.sqlite3")
    link.symlink_to(record)
    return link


def by_hard_link(record: Any) -> Any:
    link = record.with_name("by-hard-link.sqlite3")
    os.link(record, link)
    return link


def by_its_folder(record: Any) -> Any:
    folder = record.parent / "folder"
    folder.symlink_to(record.parent)
    return folder / record.name


def without_its_lock(record: Any) -> Any:
    record.with_name(f"{record.name}.lock").unlink()
    return record


ROADS = (by_symlink, by_hard_link, by_its_folder, without_its_lock)


@pytest.mark.parametrize("road", ROADS)
def test_a_second_one_is_refused_by_whatever_road_it_comes(school: Database, road: Any) -> None:
    record = school.path
    with record_lock(record, "it is served"):
        other = road(record)
        assert "is open" in refused_elsewhere(other)
        change_settings(school, name="Written all the same")  # SQLite's own locks are whole
    assert refused_elsewhere(other) == ""  # let go of, by that road too


@pytest.mark.parametrize("road", ROADS[:2])
@pytest.mark.long
def test_what_is_put_back_or_made_anew_is_held_as_well(
    school: Database, tmp_path: Path, road: Any
) -> None:
    copy = copy_now(school.path, NOON)
    with record_lock(school.path, "it is served"):
        put_back(school, copy.name)
        assert "is open" in refused_elsewhere(road(school.path))
    fresh = tmp_path / "new" / "fresh.sqlite3"
    with record_lock(fresh, "it is served"):
        made = Database(fresh)
        assert "is open" in refused_elsewhere(road(fresh))
        made.close()


def removed(record: Any) -> None:
    record.unlink()


def replaced(record: Any) -> None:
    shutil.copy2(record, f"{record}.other")
    os.replace(f"{record}.other", record)


def moved(record: Any) -> None:
    record.rename(f"{record}.elsewhere")


@pytest.mark.parametrize("goes", [removed, replaced, moved])
def test_a_record_that_is_gone_acknowledges_nothing_and_says_so(
    school: Database, client: FlaskClient, goes: Any
) -> None:
    assert client.patch("/api/settings", json={"name": "Before"}).status_code == 200
    goes(school.path)
    for _time in range(2):
        refused = client.patch("/api/settings", json={"name": "After"})
        assert (refused.status_code, refused.json["code"]) == (503, "record_gone")
        assert "Stop Plimb" in refused.json["sentence"]
    assert client.get("/api/shop").json["code"] == "record_gone"


def test_one_that_goes_while_something_is_written_keeps_nothing_of_it(school: Database) -> None:
    with pytest.raises(RecordGone), school.writing("too late"):
        replaced(school.path)
    other = Database(school.path)
    with other.reading() as session:
        assert session.connection().exec_driver_sql(
            "SELECT count(*) FROM entry WHERE what = 'too late'"
        ).scalar() == 0  # fmt: skip
    other.close()


def test_who_has_it_is_named(school: Database) -> None:
    again = record_lock(school.path, "again")
    with record_lock(school.path, "it is served at home"), pytest.raises(BadValue, match="at home"):
        again.__enter__()
