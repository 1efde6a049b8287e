"""The record: its schema, and lines that are superseded but never overwritten."""

import sqlite3
from concurrent.futures import ThreadPoolExecutor
from pathlib import Path
from typing import Any

import pytest
from alembic.autogenerate import compare_metadata
from alembic.migration import MigrationContext
from sqlalchemy import inspect, text
from sqlalchemy.exc import IntegrityError

from plimb.books.bench import read_shop
from plimb.card.acts.choose import choose_piece
from plimb.card.acts.feel import write_down_gap
from plimb.card.acts.opening import open_card
from plimb.card.acts.read import write_down_shim
from plimb.card.acts.sign import sign_card
from plimb.card.build import read_card
from plimb.core.errors import BadValue, CardSigned, NotFound, NotReady, StaleVersion
from plimb.core.lengths import Unit, mm
from plimb.record.cards import get_card
from plimb.record.database import Database
from plimb.record.tables.base import Base
from plimb.record.tables.engine import EngineRow


def test_the_migrations_from_empty_give_exactly_the_tables_of_the_models(
    database: Database,
) -> None:
    # two of one table are called the same: they are compared by their columns instead
    def by_name(what: Any, name: Any, kind: Any, _reflected: Any, _other: Any) -> Any:
        if kind == "table":
            return not name.startswith("finding")  # the full-text search is no model's
        return kind != "unique_constraint" or what.table.name != "card_event"

    with database.engine.connect() as connection:
        context = MigrationContext.configure(connection, opts={"include_object": by_name})
        assert compare_metadata(context, Base.metadata) == []
        events = inspect(connection).get_unique_constraints("card_event")
    assert sorted(one["column_names"] for one in events) == [
        ["card_id", "key"], ["card_id", "version"],
    ]  # fmt: skip


def test_opening_a_record_again_changes_nothing(school: Database, tmp_path: Path) -> None:
    before = sorted(sqlite3.connect(school.path).iterdump())
    again = Database(school.path)
    again.close()
    assert sorted(sqlite3.connect(school.path).iterdump()) == before


def test_foreign_keys_and_the_write_ahead_log_are_on(database: Database) -> None:
    with database.reading() as session:
        assert session.scalar(text("PRAGMA foreign_keys")) == 1
        assert session.scalar(text("PRAGMA journal_mode")) == "wal"
    orphan = text("INSERT INTO round (card_id, number) VALUES (999, 1)")
    with database.writing("tried") as session, pytest.raises(IntegrityError):
        session.execute(orphan)


def test_half_a_transaction_is_none(school: Database) -> None:
    def stop_half_way() -> None:
        with school.writing("tried") as session:
            get_card(session, 3).reason = "changed"
            session.flush()
            raise RuntimeError

    with pytest.raises(RuntimeError):
        stop_half_way()
    with school.reading() as session:
        assert get_card(session, 3).reason != "changed"


@pytest.fixture
def bench(school: Database, hand: Any) -> Any:
    card = open_card(
        school,
        engine_id=2,
        opened_by="Ada",
        reason="Noise",
        distance=1,
        now=hand(0, 0).change().now,
    )
    return school, hand(card.id, card.version)


def felt(bench: Any, valve: str, typed: Any, purpose: Any = "found") -> Any:
    database, hand = bench
    card = write_down_gap(
        database, hand.change(), valve=valve, purpose=purpose, text=typed, unit=Unit.MM
    )
    hand.version = card.version
    with database.reading() as session:
        return read_card(session, card.id)


def test_a_correction_supersedes_and_the_old_line_stays(bench: Any) -> None:
    felt(bench, "IN L", "12")
    card = felt(bench, "IN L", "13-15")
    assert card.status.valves["IN L"].record.found.gap.low_nm == mm("0.13")
    with bench[0].reading() as session:
        lines = get_card(session, card.id).rounds[0].gaps
        assert [line.typed for line in lines] == ["12", "13-15"]
        assert lines[0].superseded_at is not None
        assert lines[1].supersedes_id == lines[0].id


def test_striking_out_leaves_no_reading_but_keeps_the_line(bench: Any) -> None:
    felt(bench, "IN L", "12")
    card = felt(bench, "IN L", "")
    assert card.status.valves["IN L"].record.found is None
    with bench[0].reading() as session:
        assert len(get_card(session, card.id).rounds[0].gaps) == 2


def test_what_stands_in_the_record_is_what_was_read_back(bench: Any) -> None:
    written = felt(bench, "IN L", "13+2-18=16").status.valves["IN L"].record.found
    with bench[0].reading() as session:
        read = read_card(session, bench[1].card_id).status.valves["IN L"].record.found
    assert read == written


def test_the_later_write_with_an_old_version_is_a_conflict_and_changes_nothing(bench: Any) -> None:
    database, hand = bench
    old = hand.version
    felt(bench, "IN L", "12")
    hand.version = old
    with pytest.raises(StaleVersion) as refusal:
        felt(bench, "IN L", "14")
    assert (refusal.value.seen, refusal.value.current) == (old, old + 1)
    with database.reading() as session:
        found = read_card(session, hand.card_id).status.valves["IN L"].record.found
    assert found.gap.best_nm == mm("0.12")


def test_an_act_sent_twice_is_done_once(bench: Any) -> None:
    database, hand = bench
    change = hand.change()
    sent: Any = {"valve": "IN L", "purpose": "found", "text": "12", "unit": Unit.MM}
    first = write_down_gap(database, change, **sent)
    again = write_down_gap(database, change, **sent)
    assert again.version == first.version
    with database.reading() as session:
        assert len(get_card(session, hand.card_id).rounds[0].gaps) == 1


def test_a_refused_reading_writes_nothing(bench: Any) -> None:
    database, hand = bench
    with pytest.raises(BadValue):
        felt(bench, "IN L", "abc")
    with pytest.raises(BadValue, match="9 EX"):
        felt(bench, "9 EX", "12")
    with database.reading() as session:
        card = get_card(session, hand.card_id)
        assert (card.version, card.rounds[0].gaps) == (hand.version, [])


def test_a_choice_needs_the_shim_that_is_in_and_a_size_that_is_made(bench: Any, seen: Any) -> None:
    database, hand = bench
    felt(bench, "IN C", "8")
    with pytest.raises(NotReady, match="Read the shim"):
        choose_piece(database, hand.change(), valve="IN C", thickness_nm=mm("1.80"))
    hand.version = write_down_shim(database, hand.change(), valve="IN C", text="185").version
    with pytest.raises(BadValue, match="not made"):
        choose_piece(database, hand.change(), valve="IN C", thickness_nm=mm("1.81"))
    choose_piece(database, hand.change(), valve="IN C", thickness_nm=mm("1.80"))
    assert seen(database, hand.card_id).status.valves["IN C"].predicted.best_nm == mm("0.13")


def sign(bench: Any, remarks: Any = "", name: Any = "Ada") -> Any:
    return sign_card(bench[0], bench[1].change(), signed_by=name, remarks=remarks)


def test_signing_without_proof_wants_a_remark_and_then_nothing_changes(bench: Any) -> None:
    felt(bench, "IN L", "12")
    with pytest.raises(NotReady) as refusal:
        sign(bench)
    assert refusal.value.field == "remarks"
    with pytest.raises(BadValue, match="name"):
        sign(bench, "left for the owner", name=" ")
    bench[1].version = sign(bench, "left for the owner").version
    with pytest.raises(CardSigned):
        felt(bench, "IN L", "13")
    with pytest.raises(CardSigned):
        sign(bench, "again")


@pytest.mark.parametrize(
    ("field", "changed"),
    [
        ("opened_by", {"opened_by": " "}),
        ("distance", {"distance": -1}),
        ("distance", {"distance": 2_000_001}),
    ],
)
def test_a_card_that_cannot_be_opened_names_the_field(
    school: Database, hand: Any, field: Any, changed: Any
) -> None:
    given = {"engine_id": 1, "opened_by": "Ada", "reason": "Noise", "distance": None}
    with pytest.raises(BadValue) as refusal:
        open_card(school, **{**given, **changed}, now=hand(0, 0).change().now)
    assert refusal.value.field == field


def test_no_card_is_opened_for_an_engine_that_is_not_there(school: Database, hand: Any) -> None:
    with pytest.raises(NotFound):
        open_card(
            school, engine_id=99, opened_by="Ada", reason="x", distance=None,
            now=hand(0, 0).change().now,
        )  # fmt: skip


def test_an_empty_record_is_read_while_somebody_writes(database: Database) -> None:
    """A shop that nobody has named yet is made up for whoever looks, and written by nobody."""
    with ThreadPoolExecutor(1) as pool, database.writing("held up") as session:
        session.add(EngineRow(label="held", note=""))
        session.flush()
        assert pool.submit(read_shop, database).result(timeout=60).name == ""
