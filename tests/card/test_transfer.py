"""Cards and shops out and in again, byte for byte; bad files refused whole; safe copies."""

import json
import os
import random
import sqlite3
import threading
from pathlib import Path
from typing import Any

import pytest
from jsonschema import Draft202012Validator

from plimb.books.backup import back_up, restore
from plimb.books.whole_shop import export_shop, import_shop
from plimb.card.acting import Change
from plimb.card.acts.choose import take_plan
from plimb.card.acts.feel import write_down_gap
from plimb.card.acts.fit import fit_piece, turn_by_hand
from plimb.card.acts.next_round import next_round
from plimb.card.acts.sign import sign_card
from plimb.card.build import read_card
from plimb.card.transfer import import_card
from plimb.core.errors import BadValue, NotReady, PlimbError
from plimb.core.lengths import Unit
from plimb.files.starting_point import Layout, Start, starting_point
from plimb.record.database import Database
from plimb.record.shims import audit

from ..conftest import NOON
from ..guest import card_text

pytestmark = pytest.mark.slow

LONG = bool(os.environ.get("PLIMB_LONG"))
CARDS, TRIES = (200, 300) if LONG else (8, 40)
FORMATS = Path(__file__).parents[2] / "docs" / "formats"


def random_file(dice: Any, number: Any) -> Any:
    """Return a card file as another program may write it: no history, no job."""
    document = starting_point(
        Start(layout=dice.choice(list(Layout)), valves=dice.choice([2, 3, 4]))
    )
    unit = document["unit"]
    valves = [valve["id"] for valve in document["engine"]["valves"]]
    gaps, pieces = [], []
    for valve in valves:
        goes = dice.randrange(8, 30) / 100
        gaps.append(
            dice.choice(
                [
                    {"valve": valve, "goes": [goes],
                     "feel": dice.choice(["drag", "loose", "tight"])},
                    {"valve": valve, "goes": [goes], "refuses": [goes + 0.02]},
                    {"valve": valve, "goes": [goes, 0.04], "refuses": [goes + 0.06]},
                    {"valve": valve, "goes": [goes], "refuses": [goes + 0.03],
                     "called": goes + 0.01},
                    {"valve": valve, "called": goes},
                    {"valve": valve, "goes": None, "refuses": [0.03]},
                ]
            )
        )  # fmt: skip
        nominal = dice.randrange(30, 60) * 5
        pieces.append(
            dice.choice(
                [
                    {"valve": valve, "marked": str(nominal), "measured": nominal / 100 - 0.003},
                    {"valve": valve, "measured": nominal / 100 + 0.001},
                    {"valve": valve, "marked": str(nominal), "marked_as": nominal / 100},
                    {"valve": valve, "measured": nominal / 100,
                     "condition": dice.choice(["worn", "scrap"])},
                ]
            )
        )  # fmt: skip
    document["engine"]["name"] = f"Made-up {number}"
    return json.dumps(
        document
        | {
            "format": "plimb-card",
            "unit": unit,
            "rounds": [{"gaps": gaps, "pieces": dice.sample(pieces, dice.randint(0, len(pieces)))}],
            "policy": {
                "aim": dice.choice(["loose", "middle", "tight", "maker", "least"]),
                "round": dice.choice(["nearest", "thinner", "thicker"]),
                "act": dice.choice(["out", "near", "all"]),
                "trust": dice.choice(["measured", "marked"]),
                "reuse": dice.random() < 0.8,
            },
        }
    )


def go_on(dice: Any, database: Database, card_id: Any, seen: Any) -> None:
    """Carry a card further, as far as it goes: plan, fit, prove, round, sign."""
    with database.reading() as session:
        card: Any = read_card(session, card_id)
        order = card.status.order

    def change() -> Any:
        return Change(card_id=card_id, version=card.version, key=f"key-{card.version:06}", now=NOON)

    try:
        card = take_plan(database, change())
        for step in seen(database, card_id).fit:
            card = fit_piece(database, change(), valve=step.valve, fitted=True, measured="")
        card = turn_by_hand(database, change(), turns=dice.randint(2, 6))
        for valve in order:
            text = str(dice.randrange(8, 30))
            card = write_down_gap(database, change(), valve=valve, purpose="proof", text=text,
                                  unit=Unit.MM)  # fmt: skip
        if dice.random() < 0.5:
            card = next_round(database, change(), reason="To be sure")
        if dice.random() < 0.5:
            sign_card(database, change(), signed_by="Ada", remarks="as it is", next_distance=9)
    except NotReady:
        return  # no shim was read: there is nothing to plan


@pytest.mark.slow
def test_cards_go_out_in_and_out_again_byte_for_byte(fresh: Any, seen: Any) -> None:
    dice = random.Random(200)
    here = fresh("here")
    for number in range(CARDS):
        taken = import_card(here, random_file(dice, number), now=NOON)
        if number % 4 == 0:
            go_on(dice, here, taken, seen)
    with here.reading() as session:
        texts = [card_text(session, number) for number in range(1, CARDS + 1)]
        assert audit(session) == []
    assert len(texts) == CARDS
    there = fresh("there")
    for text in texts:
        number = import_card(there, text, now=NOON)
        with there.reading() as session:
            assert card_text(session, number) == text


def test_a_whole_school_goes_out_and_in_the_same(school: Database, fresh: Any) -> None:
    there = fresh("whole")
    with school.reading() as session:
        text = export_shop(session)
    import_shop(there, text)
    with there.reading() as session:
        assert export_shop(session) == text
        assert audit(session) == []
    with pytest.raises(NotReady, match="empty record"):
        import_shop(there, text)


@pytest.mark.parametrize(
    ("change", "place"),
    [
        (lambda d: d.update(format="plimb-card"), "$.format"),
        (lambda d: d.update(revision="0001"), "$.revision"),
        (lambda d: d.update(tables=[]), "$.tables"),
        (lambda d: d["tables"].update(robots=[]), "$.tables.robots"),
        (lambda d: d["tables"]["card"][0].pop("reason"), "$.tables.card"),
        (lambda d: d["tables"]["card"][0].update(opened_at="noon"), "$.tables"),
        (lambda d: d["tables"]["card"][0].update(engine_revision_id=999), "$.tables"),
        (lambda d: d["tables"]["shim"][0].update(place="moon"), "$.tables"),
    ],
)
def test_a_damaged_shop_file_is_refused_whole(
    school: Database, fresh: Any, change: Any, place: Any
) -> None:
    with school.reading() as session:
        document = json.loads(export_shop(session))
    change(document)
    there = fresh("damaged")
    with there.reading() as session:
        before = export_shop(session)
    with pytest.raises(BadValue) as refusal:
        import_shop(there, json.dumps(document))
    assert refusal.value.field == place
    with there.reading() as session:
        assert export_shop(session) == before


@pytest.mark.parametrize("number", [1, 2, 3, 4])
def test_what_goes_out_keeps_to_the_schema_beside_the_format(school: Database, number: Any) -> None:
    schema = json.loads((FORMATS / "card.schema.json").read_text("utf-8"))
    with school.reading() as session:
        document = json.loads(card_text(session, number))
    Draft202012Validator(schema).validate(document)
    document["rounds"][0]["gaps"][0]["goes"] = "0.15"
    assert not Draft202012Validator(schema).is_valid(document)


def damaged(text: Any, dice: Any) -> Any:
    """Return the text with something wrong in it: cut, flipped, or a value put out of place."""
    kind = dice.randrange(4)
    if kind == 0:
        return text[: dice.randrange(1, len(text) - 3)]
    if kind == 1:
        place = dice.randrange(len(text))
        return text[:place] + dice.choice('{}[]",:\x00') + text[place + 1 :]
    document = json.loads(text)
    spots = []

    def walk(node: Any, path: Any) -> None:
        items = node.items() if isinstance(node, dict) else enumerate(node)
        for key, value in items:
            spots.append((node, key))
            if isinstance(value, dict | list) and value:
                walk(value, (*path, key))

    walk(document, ())
    node, key = dice.choice(spots)
    node[key] = dice.choice([None, -1, 1e9, "x" * 5000, [], {}, [[[]]], True, float("nan")])
    return json.dumps(document)


def test_a_hostile_card_file_never_gets_half_in(school: Database, fresh: Any) -> None:
    """Fuzzed: refused whole with a sentence, or taken in whole; never a fault, never a half."""
    dice = random.Random(9)
    with school.reading() as session:
        texts = [card_text(session, number) for number in (1, 3, 4)]
    there, refused = fresh("hostile"), 0
    with there.reading() as session:
        before = export_shop(session)
    for _try in range(TRIES):
        text = damaged(dice.choice(texts), dice)
        try:
            import_card(there, text, now=NOON)
        except PlimbError as refusal:
            refused += bool(refusal.sentence)
            with there.reading() as session:
                assert export_shop(session) == before
        else:
            there = fresh("again")
            with there.reading() as session:
                before = export_shop(session)
    assert refused > TRIES / 2


def test_a_huge_and_a_deep_file_are_refused_unread(fresh: Any) -> None:
    for text in ("[" * 200_000, '{"format": "' + "x" * 5_000_000 + '"}'):
        with pytest.raises(BadValue, match=r"^\$"):
            import_card(fresh("huge"), text, now=NOON)


def test_a_copy_made_while_somebody_writes_is_whole(school: Database, tmp_path: Path) -> None:
    stop, wrote = threading.Event(), threading.Condition()
    written = []

    def write() -> None:
        with school.reading() as session:
            version = read_card(session, 2).version
        while not stop.is_set():
            change = Change(card_id=2, version=version, key=f"busy-{version:06}", now=NOON)
            turn_by_hand(school, change, turns=version % 50)
            version += 1
            with wrote:
                written.append(version)
                wrote.notify_all()

    busy = threading.Thread(target=write)
    busy.start()
    try:
        for number in range(5):
            with wrote:  # something is written between any two copies
                wrote.wait()
            back_up(school.path, tmp_path / f"copy-{number}.sqlite3")
    finally:
        stop.set()
        busy.join()
    assert len(written) >= 5
    for number in range(5):
        copy = Database(tmp_path / f"copy-{number}.sqlite3")
        with copy.reading() as session:
            assert audit(session) == []
            card = read_card(session, 2)
            assert card.rounds[-1].hand_turns == (card.version - 1) % 50 or card.version < 40
        copy.close()


def test_a_copy_is_put_back_and_the_record_before_laid_aside(
    school: Database, tmp_path: Path
) -> None:
    copy = tmp_path / "copy.sqlite3"
    back_up(school.path, copy)
    with pytest.raises(BadValue, match="never writes over"):
        back_up(school.path, copy)
    with school.reading() as session:
        before = export_shop(session)
        version = read_card(session, 2).version
    turn_by_hand(school, Change(card_id=2, version=version, key="later-001", now=NOON), turns=7)
    school.close()
    aside = restore(copy, school.path)
    again = Database(school.path)
    with again.reading() as session:
        assert export_shop(session) == before
    again.close()
    laid = Database(aside)
    with laid.reading() as session:
        assert read_card(session, 2).rounds[-1].hand_turns == 7
    laid.close()


def test_what_is_no_copy_is_not_put_back(school: Database, tmp_path: Path) -> None:
    plain, other = tmp_path / "plain.sqlite3", tmp_path / "other.sqlite3"
    plain.write_text("not a record", "utf-8")
    sqlite3.connect(other).close()
    for copy in (plain, other, tmp_path / "nowhere"):
        with pytest.raises(BadValue):
            restore(copy, school.path)
    with school.reading() as session:
        assert read_card(session, 2)
