"""Records of every earlier schema open, with everything in them as it was."""

import hashlib
import json
import sqlite3
from decimal import Decimal
from pathlib import Path
from typing import Any

import pytest

import plimb.record
from plimb.books.bench import read_shop
from plimb.card.acting import Change
from plimb.card.acts.feel import write_down_gap
from plimb.card.acts.opening import open_card
from plimb.card.build import read_card
from plimb.card.document import fingerprint_of
from plimb.core.errors import BadValue
from plimb.core.job.slips import Slip
from plimb.core.lengths import Unit
from plimb.record.cards import get_card
from plimb.record.database import Database
from plimb.record.shims import audit
from plimb.shop.engines import read_engine_view, revise

from ..conftest import NOON, earlier_records, some
from ..guest import card_text

RECORDS = earlier_records()
FOURTH = {1: "71d4ab10e5e1", 2: "5d430f3ce6c4", 3: "16ffe814eb74", 4: "8d5ad3ac8602"}
"""How the card files of the fourth schema's record began to be hashed when they were written."""


@pytest.fixture
def opened(tmp_path: Path) -> Any:
    """Return a function that opens the record in a file of SQL, brought to the newest schema."""
    databases = []

    def open_it(stem: str) -> Database:
        path = tmp_path / f"{stem}.sqlite3"
        raw = sqlite3.connect(path)
        raw.executescript(RECORDS[stem])
        raw.close()
        databases.append(Database(path))
        return databases[-1]

    yield open_it
    for database in databases:
        database.close()


def cards_of(database: Database) -> Any:
    raw = sqlite3.connect(database.path)
    numbers = [number for (number,) in raw.execute("SELECT id FROM card ORDER BY id")]
    raw.close()
    return numbers


@pytest.mark.parametrize("stem", some(RECORDS, 0, 10, -1))
def test_every_earlier_record_opens_whole_and_is_written_on(
    opened: Any, hand: Any, stem: Any
) -> None:
    """The gaps, shims and choices that stood are those that stand."""
    before = sqlite3.connect(":memory:")
    before.executescript(RECORDS[stem])
    typed = "SELECT typed FROM gap_reading ORDER BY id"
    written = before.execute(typed).fetchall()
    before.close()
    database = opened(stem)
    raw = sqlite3.connect(database.path)
    assert raw.execute(typed).fetchall() == written
    assert raw.execute("PRAGMA foreign_key_check").fetchall() == []
    raw.close()
    with database.reading() as session:
        assert audit(session) == []
        cards = {number: read_card(session, number) for number in cards_of(database)}
    assert sorted(line.id for line in read_shop(database).cards) == sorted(cards)
    card = next(card for card in cards.values() if card.signed_at is None)
    valve = card.status.order[0]
    done = write_down_gap(
        database, hand(card.id, card.version).change(), valve=valve, purpose="found",
        text="17", unit=Unit.MM,
    )  # fmt: skip
    with database.reading() as session:
        found = read_card(session, card.id).status.valves[valve].record.found
    assert (done.version, found.typed) == (card.version + 1, "17")


@pytest.mark.parametrize("stem", ["0004-closing", "0004-closing-before-as-signed"])
def test_card_files_and_so_the_fingerprints_of_signed_cards_stay(opened: Any, stem: Any) -> None:
    database = opened(stem)
    with database.reading() as session:
        files = {number: card_text(session, number) for number in cards_of(database)}
        signed = fingerprint_of(session, get_card(session, 1))
    hashes = {n: hashlib.sha256(text.encode()).hexdigest()[:12] for n, text in files.items()}
    assert hashes == FOURTH
    assert signed is not None


def test_a_line_that_points_nowhere_is_not_upgraded_but_left_as_it_was(tmp_path: Path) -> None:
    path = tmp_path / "torn.sqlite3"
    raw = sqlite3.connect(path)
    raw.executescript(next(iter(RECORDS.values())))
    raw.execute("DELETE FROM card WHERE id = 1")
    raw.commit()
    before = list(raw.iterdump())
    with pytest.raises(BadValue, match="points to one that is not there"):
        Database(path)
    assert list(raw.iterdump()) == before
    raw.close()


def test_a_renamed_valve_is_still_compared_with_what_was_left_in_it(
    school: Database, seen: Any
) -> None:
    """A key stays where the name goes: the card that was signed under the old name is known."""
    signed, still_open = seen(school, 1), seen(school, 3)
    valve = signed.status.order[0]
    with school.reading() as session:
        engine = read_engine_view(session, get_card(session, 1).revision.engine_id)

    def asked(name: str) -> set[Slip]:
        opened = open_card(
            school, engine_id=engine.id, opened_by="Edda", reason="Interval", distance=None,
            now=NOON,
        )  # fmt: skip
        change = Change(card_id=opened.id, version=1, key=f"asked-{name}", now=NOON)
        write_down_gap(school, change, valve=name, purpose="found", text="16", unit=Unit.MM)
        view = next(v for v in seen(school, opened.id).valves if v.status.valve == name)
        return {question.slip for question in view.questions}

    document = json.loads(engine.document)
    of = next(part for part in document["engine"]["valves"] if part["id"] == valve)
    of |= {"id": "NEW", "key": of.get("key", valve)}
    before = asked(valve)
    revise(
        school, engine_id=engine.id, seen=engine.revision, label=engine.label, note=engine.note,
        document=json.dumps(document), now=NOON,
    )  # fmt: skip
    assert Slip.LOOSENED in before
    assert asked("NEW") == before
    assert seen(school, 1) == signed
    assert seen(school, 3) == still_open


def test_whole_hours_of_before_are_the_same_hours(tmp_path: Path) -> None:
    path = tmp_path / "hours.sqlite3"
    raw = sqlite3.connect(path)
    raw.executescript(RECORDS["0006-guess"])
    raw.execute("UPDATE card SET hours = 62 WHERE id = 2")
    raw.commit()
    raw.close()
    database = Database(path)
    with database.reading() as session:
        assert read_card(session, 2).hours == Decimal(62)
        assert json.loads(card_text(session, 2))["job"]["hours"] == 62
    database.close()


def test_a_migration_that_has_landed_is_never_edited() -> None:
    """A new one is added to the list by hand; one that is listed stays as it is."""
    folder = Path(plimb.record.__file__).parent / "migrations" / "versions"
    sums = Path(__file__).parents[1] / "records" / "migrations.sha256"
    lines = map(str.split, sums.read_text("utf-8").splitlines())
    listed = {name: digest for digest, name in lines}
    found = {
        path.name: hashlib.sha256(path.read_bytes()).hexdigest() for path in folder.glob("0*.py")
    }
    assert found == listed


@pytest.mark.parametrize(
    ("change", "says"),
    [
        ("UPDATE alembic_version SET version_num = '0999'", "later version"),
        ("DROP TABLE alembic_version", "no record of Plimb's"),
    ],
)
def test_what_this_version_cannot_read_is_refused_and_left_alone(
    tmp_path: Path, change: Any, says: Any
) -> None:
    path = tmp_path / "other.sqlite3"
    raw = sqlite3.connect(path)
    raw.executescript(next(reversed(RECORDS.values())))
    raw.execute(change)
    raw.commit()
    before = list(raw.iterdump())
    with pytest.raises(BadValue, match=says):
        Database(path)
    assert list(raw.iterdump()) == before
    raw.close()


def values_of(raw: Any) -> Any:
    """Return every value of every table by table, line and column."""
    raw.row_factory = sqlite3.Row
    tables = [
        name
        for (name,) in raw.execute("SELECT name FROM sqlite_schema WHERE type = 'table'")
        if name not in ("alembic_version", "sqlite_sequence")
        and not name.startswith("finding")  # the search's own, made from the cards
    ]
    return {
        table: {row["id"]: dict(row) for row in raw.execute(f'SELECT * FROM "{table}"')}
        for table in tables
    }


RENAMED = {("card_event", "action"): "said"}
RECKONED_ANEW = {"summary", "hours", "next_check_hours", "digest"}
"""What lists show is made anew, whole hours are written as decimals; a digest is no more needed."""


@pytest.mark.parametrize("stem", some(list(RECORDS)[5:], 0, -1))
def test_every_value_that_stood_stands(opened: Any, stem: Any) -> None:
    """From the fifth schema on each value is where it was, but for what an act was called.

    The journal notes that the record was brought to a newer schema, and nothing else is added.
    """
    before = sqlite3.connect(":memory:")
    before.executescript(RECORDS[stem])
    after = sqlite3.connect(opened(stem).path)
    then, now = values_of(before), values_of(after)
    for table, rows in then.items():
        if table == "shop":  # by name since: what is not as usual
            continue
        added = set(now[table]) - set(rows)
        assert set(rows) <= set(now[table])
        assert not added or table in ("entry", "change")
        for line, row in rows.items():
            was = {RENAMED.get((table, name), name): value for name, value in row.items()}
            kept = {name: now[table][line][name] for name in was if name not in RECKONED_ANEW}
            assert kept == {name: was[name] for name in kept}
    before.close()
    after.close()
