"""The journal: whatever is changed past Plimb, in a line or in the journal itself, is found."""

import random
import sqlite3
from datetime import timedelta
from typing import Any

import pytest

from plimb.books.checking import check_record, faults_in
from plimb.card.acts.feel import write_down_gap
from plimb.card.acts.sign import sign_card
from plimb.card.rejudge import change_settings
from plimb.core.lengths import Unit
from plimb.record.cards import get_card
from plimb.record.database import Database
from plimb.record.journal import journal_faults, lift_triggers, noted_tables, work_of

from ..conftest import LONG, NOON

FLIPS = 200 if LONG else 25
OF_A_CARD = (
    *("card", "round", "gap_reading", "piece_reading", "choice", "strip_tray", "card_event"),
    *("engine_revision", "seal", "entry", "change"),
)


@pytest.fixture
def past(school: Database) -> Any:
    """Return a function that writes into the record as another program would, unnoted."""

    def write(*statements: str) -> None:
        school.close()
        raw = sqlite3.connect(school.path)
        for name, _text in raw.execute("SELECT name, 1 FROM sqlite_schema WHERE type='trigger'"):
            raw.execute(f'DROP TRIGGER "{name}"')
        for one in statements:
            raw.execute(one)
        raw.commit()
        raw.close()

    return write


def flipped(value: Any, dice: Any) -> Any:
    """Return a value with one bit of one byte of it the other way round."""
    if value is None:
        return 0
    if isinstance(value, int):
        return value ^ (1 << dice.randrange(8))
    raw = bytearray(value, "utf-8") or bytearray(b" ")
    raw[dice.randrange(len(raw))] ^= 1 << dice.randrange(7)
    return raw.decode("utf-8", "replace")


def test_a_flipped_byte_in_any_line_of_a_signed_card_is_found(school: Database) -> None:
    dice = random.Random(12)
    with school.engine.connect() as connection:
        lift_triggers(connection)
        own = {
            "card": "id = 1", "engine_revision": "id = 1", "round": "card_id = 1",
            "strip_tray": "card_id = 1", "card_event": "card_id = 1", "seal": "card_id = 1",
            "entry": "1", "change": "1",
        }  # fmt: skip
        of_round = "round_id IN (SELECT id FROM round WHERE card_id = 1)"
        cells = [
            (table, row._mapping["id"], name)
            for table in OF_A_CARD
            for found in [connection.exec_driver_sql(
                f'SELECT * FROM "{table}" WHERE {own.get(table, of_round)}')]
            for names in [list(found.keys())]
            for row in found.fetchall()
            for name in names if name != "summary"
        ]  # fmt: skip
        connection.commit()
        assert len({table for table, _row, _name in cells}) >= 9
        for table, row, name in dice.sample(cells, FLIPS):
            query = f'SELECT "{name}" FROM "{table}" WHERE id = {row}'
            before = connection.exec_driver_sql(query).scalar()
            connection.commit()
            connection.exec_driver_sql("PRAGMA foreign_keys=OFF")
            connection.exec_driver_sql("PRAGMA ignore_check_constraints=ON")
            try:
                connection.exec_driver_sql(
                    f'UPDATE "{table}" SET "{name}" = ? WHERE id = {row}', (flipped(before, dice),)
                )
            except Exception as refused:  # SQLite itself holds what is unique and not null
                assert "constraint" in str(refused)  # noqa: PT017
                connection.rollback()
                continue
            assert journal_faults(connection), (table, row, name, before)
            connection.rollback()
            assert not journal_faults(connection)


def test_what_lists_show_is_looked_at_though_the_journal_leaves_it_out(
    school: Database, past: Any
) -> None:
    past("UPDATE card SET summary = replace(summary, '\"measured\": 5', '\"measured\": 4')")
    assert any("shown in lists otherwise" in one for one in check_record(school.path))


@pytest.mark.parametrize(
    ("statement", "says"),
    [
        ("UPDATE entry SET who = 'Nobody' WHERE id = 20", "entry 20 of the journal was changed"),
        ("DELETE FROM entry WHERE id = 20", "journal is broken before entry 21"),
        ("DELETE FROM entry WHERE id > 60", "line(s) were written past Plimb"),
        ("DELETE FROM gap_reading WHERE id = 3", "line 3 of gap_reading was taken out past Plimb"),
        ("UPDATE setting SET value = 'x'", "line 1 of setting was changed past Plimb (value)"),
        ("UPDATE change SET new = '{' WHERE id = 9", "of the journal was changed"),
        ("DELETE FROM seal", "card 1 is signed, and was not sealed"),
        ("UPDATE seal SET signature = 'A' || substr(signature, 2)", "not under the shop's key"),
        ("UPDATE card SET remarks = 'All new' WHERE id = 1", "card 1 was changed after it was"),
    ],
)
def test_what_is_written_past_plimb_is_named(
    school: Database, past: Any, statement: Any, says: Any
) -> None:
    assert check_record(school.path) == []
    past(statement)
    assert any(says in one for one in check_record(school.path))


def test_another_program_that_heeds_the_triggers_is_owned_up_to(school: Database) -> None:
    raw = sqlite3.connect(school.path)
    raw.execute("UPDATE instrument SET doubt_nm = 9000 WHERE id = 1")
    raw.commit()
    raw.close()
    assert any("written past Plimb" in one for one in check_record(school.path))
    change_settings(school, hand_turns=3)
    found = check_record(school.path)
    assert len(found) == 1
    assert "was written past Plimb, by another program" in found[0]


def test_a_card_signed_again_is_found_whatever_the_clock_says(
    school: Database, past: Any, seen: Any, hand: Any
) -> None:
    past(
        "UPDATE card SET signed_at = NULL, signed_by = NULL, as_signed = NULL WHERE id = 1",
        "DELETE FROM seal",
        "UPDATE gap_reading SET typed = '14' WHERE id = 1",
    )
    again = Database(school.path)
    early = hand(1, seen(again, 1).version).change()
    sign_card(again, early, signed_by="Edda", remarks="As it is")
    again.close()
    found = " ".join(check_record(school.path))
    assert "sealed more than once" in found or "does not follow" in found


def test_a_signature_with_the_clock_set_back_is_found(
    school: Database, seen: Any, hand: Any
) -> None:
    with school.reading() as session:
        version = get_card(session, 4).version
    change = hand(4, version).change()
    with work_of("Edda"):
        sign_card(school, change, signed_by="Edda", remarks="As it is")
    assert check_record(school.path) == []
    late = hand(3, seen(school, 3).version)
    write_down_gap(school, late.change(), valve=seen(school, 3).status.order[0], purpose="found",
                   text="17", unit=Unit.MM, reason="Misread")  # fmt: skip
    back = late.change()
    early = type(back)(card_id=3, version=seen(school, 3).version, key="early-one",
                       now=NOON - timedelta(hours=2))  # fmt: skip
    sign_card(school, early, signed_by="Edda", remarks="As it is")
    assert any("card 3 was signed with the clock set back" in one
               for one in check_record(school.path))  # fmt: skip


def test_who_and_what_before_and_after_stand_in_the_journal(school: Database) -> None:
    with work_of("Oda", NOON):
        change_settings(school, hand_turns=3)
        change_settings(school, hand_turns=4)
    with school.reading() as session:
        line = session.connection().exec_driver_sql(
            'SELECT at, who, what, old, new FROM "entry" JOIN change ON entry_id = entry.id '
            "ORDER BY entry.id DESC LIMIT 1"
        ).first()  # fmt: skip
        assert list(faults_in(session)) == []
    assert tuple(line) == (
        "2026-11-24 12:00:00.000000", "Oda", "settings changed",
        '{"value":"3"}', '{"value":"4"}',
    )  # fmt: skip


def test_every_table_but_what_is_of_this_server_alone_is_noted(school: Database) -> None:
    names = {one.name for one in noted_tables()}
    with school.reading() as session:
        query = "SELECT DISTINCT tbl_name FROM sqlite_schema WHERE type = 'trigger'"
        watched = {name for (name,) in session.connection().exec_driver_sql(query)}
    assert watched == names
    assert not names & {"entry", "change", "sitting", "asked"}
