"""Pieces: one place each, every move recorded, and the count adds up whoever writes."""

import os
import random
from concurrent.futures import ThreadPoolExecutor
from typing import Any

import pytest
from sqlalchemy.exc import IntegrityError

from plimb.core.errors import BadValue, NotReady, PieceMoved, StaleVersion
from plimb.core.lengths import mm
from plimb.core.shim.location import DRAWER, GONE, Location, Where
from plimb.core.shim.marking import Code
from plimb.record.database import Database
from plimb.record.shims import audit, place_of
from plimb.record.tables.shim import ShimMoveRow, ShimRow
from plimb.shop.drawer import (
    add_pieces,
    count_pocket,
    move_piece,
    piece_history,
    read_drawer,
    read_pocket,
)
from plimb.shop.drawer_csv import drawer_csv, import_drawer
from plimb.shop.families import save_family

from ..conftest import NOON

MOVES, WRITERS = (1000 if os.environ.get("PLIMB_LONG") else 160), 8


def triples_family(school: Database) -> Any:
    with school.reading() as session:
        return next(one for one in read_drawer(session).families if one.name == "8.90 mm")


def pocket(school: Database, thickness: Any) -> Any:
    return next(p for p in triples_family(school).pockets if p.nominal_nm == mm(thickness))


def pieces(school: Database, thickness: Any) -> Any:
    family = triples_family(school)
    with school.reading() as session:
        return read_pocket(session, family.id, mm(thickness))


def test_eight_writers_lose_double_and_misplace_nothing(school: Database) -> None:
    family = triples_family(school)
    add_pieces(school, family_id=family.id, text="200x20, 205x20", now=NOON)
    with school.reading() as session:
        ids = [row.id for row in session.query(ShimRow).where(ShimRow.family_id == family.id)]
        begun = session.query(ShimMoveRow).count()
        there = session.query(ShimRow).count()
    valves = [Location(where=Where.ENGINE, engine_id=4, valve=f"V{n}") for n in range(60)]
    trays = [Location(where=Where.CARD, card_id=n) for n in (1, 2, 3)]
    places = [DRAWER, GONE, *trays, *valves]

    def write(seed: Any) -> Any:
        dice, outcomes = random.Random(seed), {"moved": 0, "refused": 0}
        for _move in range(MOVES // WRITERS):
            shim_id, to = dice.choice(ids), dice.choice(places)
            with school.reading() as session:
                seen = place_of(session.get(ShimRow, shim_id))
            try:
                move_piece(school, shim_id=shim_id, seen=seen, to=to, why="test", now=NOON)
                outcomes["moved"] += 1
            except (BadValue, NotReady, PieceMoved):
                outcomes["refused"] += 1
        return outcomes

    with ThreadPoolExecutor(WRITERS) as pool:
        outcomes = list(pool.map(write, range(WRITERS)))
    moved = sum(one["moved"] for one in outcomes)
    assert moved + sum(one["refused"] for one in outcomes) == MOVES
    assert moved > MOVES // 4
    with school.reading() as session:
        assert audit(session) == []
        assert session.query(ShimRow).count() == there
        assert session.query(ShimMoveRow).count() == begun + moved


def test_the_audit_sees_a_piece_that_was_moved_without_a_record(school: Database) -> None:
    with school.writing("tried") as session:
        row = session.query(ShimRow).where(ShimRow.place == "drawer").first()
        row.place, row.engine_id, row.valve = Where.ENGINE, 4, "V1"
    with school.reading() as session:
        assert "its moves say" in audit(session)[0]


def test_two_pieces_never_share_a_valve(school: Database) -> None:
    here = Location(where=Where.ENGINE, engine_id=4, valve="V1")
    first, second = pieces(school, "2.55")
    move_piece(school, shim_id=first.id, seen=DRAWER, to=here, why="in", now=NOON)
    with pytest.raises(NotReady, match="already"):
        move_piece(school, shim_id=second.id, seen=DRAWER, to=here, why="in", now=NOON)
    with school.reading() as session:  # nor behind its back
        row = session.get(ShimRow, second.id)
        row.place, row.engine_id, row.valve = Where.ENGINE, 4, "V1"
        with pytest.raises(IntegrityError):
            session.flush()
    with school.reading() as session:
        assert audit(session) == []
        assert piece_history(session, first.id)[-1].endswith("drawer → engine 4, V1: in")


def test_a_piece_that_has_gone_meanwhile_is_not_moved_from_where_it_was_seen(
    school: Database,
) -> None:
    piece = pieces(school, "2.65")[0]
    tray = Location(where=Where.CARD, card_id=3)
    move_piece(school, shim_id=piece.id, seen=DRAWER, to=tray, why="one", now=NOON)
    with pytest.raises(PieceMoved) as refusal:
        move_piece(school, shim_id=piece.id, seen=DRAWER, to=GONE, why="two", now=NOON)
    assert refusal.value.place == "card 3"


@pytest.mark.parametrize(
    "to",
    [DRAWER, Location(where=Where.ORDER, order_line_id=1)],
    ids=["there already", "back in time"],
)
def test_ways_that_cannot_be_are_refused(school: Database, to: Any) -> None:
    piece = pieces(school, "2.65")[0]
    with pytest.raises(BadValue, match=r"there already|does not go"):
        move_piece(school, shim_id=piece.id, seen=DRAWER, to=to, why="no", now=NOON)


def test_a_place_names_just_what_it_is() -> None:
    with pytest.raises(BadValue):
        Location(where=Where.ENGINE, engine_id=1)
    with pytest.raises(BadValue):
        Location(where=Where.DRAWER, card_id=1)


def test_pieces_are_put_in_as_typed_or_not_at_all(school: Database) -> None:
    family = triples_family(school)
    added = add_pieces(school, family_id=family.id, text="275x3, 2.801 x 2; 290 2.897", now=NOON)
    assert added == 6
    assert len(pieces(school, "2.75")) == 3
    assert [p.measured_nm for p in pieces(school, "2.80")] == [mm("2.801")] * 2
    for text in ("275x3, abc", "275x0", "275x501", ""):
        with pytest.raises(BadValue):
            add_pieces(school, family_id=family.id, text=text, now=NOON)
    assert len(pieces(school, "2.75")) == 3


def test_a_count_adds_and_takes_away_and_sees_that_somebody_else_counted(school: Database) -> None:
    family = triples_family(school)
    assert len(pieces(school, "2.50")) == 3
    for counted, seen in ((5, 3), (1, 5)):
        count_pocket(school, family_id=family.id, nominal_nm=mm("2.50"), counted=counted,
                     seen=seen, now=NOON)  # fmt: skip
        assert len(pieces(school, "2.50")) == counted
    with pytest.raises(StaleVersion):
        count_pocket(school, family_id=family.id, nominal_nm=mm("2.50"), counted=2, seen=5,
                     now=NOON)  # fmt: skip
    with school.reading() as session:
        assert audit(session) == []


def test_the_drawer_goes_out_as_csv_and_comes_in_the_same(school: Database) -> None:
    with school.reading() as session:
        text = drawer_csv(session)
        before = {one.name: len(one.pockets) for one in read_drawer(session).families}
        for row in session.query(ShimRow).where(ShimRow.place == "drawer").all():
            piece, seen = row.id, place_of(row)
            move_piece(school, shim_id=piece, seen=seen, to=GONE, why="emptied", now=NOON)
    assert text.startswith("family,marked,measured_mm,condition,count\r\n")
    assert import_drawer(school, text, now=NOON) == text.count("\r\n") - 1 + sum(
        int(line.rsplit(",", 1)[1]) - 1 for line in text.split("\r\n")[1:] if line
    )
    with school.reading() as session:
        assert drawer_csv(session) == text
        assert {one.name: len(one.pockets) for one in read_drawer(session).families} == before
        assert audit(session) == []


@pytest.mark.parametrize(
    ("text", "place"),
    [
        ("", "row 1"),
        ("family,number\r\n", "row 1"),
        ("family,count\r\n8.90 mm,2,3\r\n", "row 2"),
        ("family,marked,count\r\n8.90 mm,245,2\r\n8.90 mm,abc,1\r\n", "row 3"),
        ("family,marked,count\r\nno such,245,2\r\n", "row 2"),
        ("family,marked,count\r\n8.90 mm,245,-2\r\n", "row 2"),
        ('family,marked,count\r\n"8.90 mm,245,2\r\n', "row"),
    ],
)
def test_a_bad_table_is_refused_whole_and_its_row_named(
    school: Database, text: str, place: Any
) -> None:
    with school.reading() as session:
        before = drawer_csv(session)
    with pytest.raises(BadValue) as refusal:
        import_drawer(school, text, now=NOON)
    assert refusal.value.field == place
    with school.reading() as session:
        assert drawer_csv(session) == before


FINE: dict[str, Any] = {
    "seen": 0, "name": "10 mm", "diameter": "10", "runs": [("2", "3", "0.02")],
    "code": Code.AUTO, "price": "6.5", "kit_price": "60", "kit_each": 2, "supplier": "",
    "low_stock": 1,
}  # fmt: skip


@pytest.mark.parametrize(
    ("changed", "field"),
    [
        ({}, None),
        ({"name": " "}, "name"),
        ({"name": "8.90 mm"}, "name"),
        ({"diameter": "8.9"}, "diameter"),
        ({"diameter": "80"}, "diameter"),
        ({"runs": []}, "run"),
        ({"runs": [("3", "2", "0.05")]}, "run"),
        ({"price": "NaN"}, "price"),
        ({"kit_each": 0}, "kit_each"),
    ],
)
def test_a_family_is_kept_or_refused_with_its_field(
    school: Database, changed: Any, field: Any
) -> None:
    if field is None:
        save_family(school, family_id=None, **FINE)
        with school.reading() as session:
            kept = next(one for one in read_drawer(session).families if one.name == "10 mm")
        assert len(kept.pockets) == 51
        with pytest.raises(StaleVersion):
            save_family(school, family_id=kept.id, **FINE)
        return
    with pytest.raises(BadValue) as refusal:
        save_family(school, family_id=None, **FINE | changed)
    assert refusal.value.field == field
