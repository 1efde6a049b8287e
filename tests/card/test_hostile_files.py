"""Card files with a value that cannot be: refused whole, or shown by every view."""

import copy
import json
import os
import random
from typing import Any

import pytest
from flask.testing import FlaskClient

from plimb.books.bench import read_shop
from plimb.card.build import read_card
from plimb.card.transfer import import_card
from plimb.core.errors import BadValue, PlimbError
from plimb.record.database import Database
from plimb.record.engines import list_engines

from ..conftest import NOON, some
from ..guest import card_text

FILES = 2500 if os.environ.get("PLIMB_LONG") else 10
VIEWS = [
    f"/api/cards/{{0}}{view}"
    for view in ("", "/plan", "/sheet", "/sheet.pdf", "/blank.pdf", "/buy.csv", "/card.json",
                 "/readings.csv", "/bill.csv")
] + ["/api/history/card/{0}"]  # fmt: skip
"""Everything that is made of a card."""
WRONG: tuple[object, ...] = (
    "x", "", -1, 0, 1e9, None, "x" * 4000, "1e999", True, [], {}, "2026-13-40T00:00:00Z",
    "=1+1", "\u202etxet", "\x00",
)  # fmt: skip


def leaves(value: Any, path: Any = ()) -> Any:
    """Give the path of every value in a file, of lists the first two."""
    if isinstance(value, dict):
        for key, inner in value.items():
            yield from leaves(inner, (*path, key))
    elif isinstance(value, list):
        for place, inner in enumerate(value[:2]):
            yield from leaves(inner, (*path, place))
    else:
        yield path


def changed(document: Any, path: Any, value: Any) -> Any:
    made = copy.deepcopy(document)
    at = made
    for step in path[:-1]:
        at = at[step]
    at[path[-1]] = value
    return made


def cards_of(school: Database) -> Any:
    counts = read_shop(school).counts
    return counts.open + counts.signed + counts.away


@pytest.mark.long
@pytest.mark.parametrize("seed", range(4))  # four hands work at it
def test_a_file_is_refused_whole_or_every_view_shows_what_it_brought(
    school: Database, client: FlaskClient, seed: Any
) -> None:
    with school.reading() as session:
        documents = [json.loads(card_text(session, number)) for number in (1, 2, 3)]
    places = [(one, path) for one in documents for path in leaves(one)]
    dice, taken, refused = random.Random(20261126 + seed), 0, 0
    for _file in range(FILES):
        document, path = dice.choice(places)
        value = dice.choice(WRONG)
        before = cards_of(school)
        try:
            number = import_card(school, json.dumps(changed(document, path, value)), now=NOON)
        except PlimbError:
            refused += 1
            assert cards_of(school) == before
            continue
        taken += 1
        asked = [view for view in VIEWS if "pdf" not in view or not taken % 20]
        said = {view: client.get(view.format(number)).status_code for view in asked}
        assert said == dict.fromkeys(asked, 200), (path, value)
        engine = client.get(f"/api/cards/{number}").json["engine_id"]
        for view in (f"/api/engines/{engine}", f"/api/engines/{engine}/years"):
            assert client.get(view).status_code == 200, (path, value)
    assert min(taken, refused) > FILES // 20
    assert cards_of(school) == taken + len({id(one) for one in documents}) + 1


@pytest.mark.parametrize(
    ("name", "value"),
    [
        ("rested_hours", "x"),
        ("temperature_c", ""),
        ("variant", "x"),
        ("opened_by", "y" * 201),
        ("signed_by", "Oda"),
    ],
)
def test_what_a_view_would_trip_over_is_refused_at_the_door(
    school: Database, name: Any, value: Any
) -> None:
    with school.reading() as session:
        document = json.loads(card_text(session, 2))
    document["job"][name] = value
    with pytest.raises(PlimbError) as said:
        import_card(school, json.dumps(document), now=NOON)
    assert said.value.field in ("$.job", f"$.job.{name}")


def test_a_shim_measured_with_no_doubt_at_all_is_refused(school: Database) -> None:
    """Nothing is weighed against it: what the years say would be divided by nothing."""
    with school.reading() as session:
        document = json.loads(card_text(session, 1))
    pieces = [piece for round_ in document["rounds"] for piece in round_["history"]["pieces"]]
    pieces[0]["doubt_nm"] = 0
    with pytest.raises(BadValue, match="greater than 0"):
        import_card(school, json.dumps(document), now=NOON)


def test_a_card_that_comes_in_changes_no_engine_here(school: Database) -> None:
    with school.reading() as session:
        text = card_text(session, 1)
        before = {one.label: one.revisions[-1].document for one in list_engines(session)}
        label = read_card(session, 1).label
    import_card(school, text, now=NOON)  # its own engine, as it was: nothing new
    older = json.loads(text)
    older["engine"]["spec"] = {"intake": {"min": 0.31, "max": 0.37}}
    for _twice in range(2):
        import_card(school, json.dumps(older), now=NOON)
    with school.reading() as session:
        after = {one.label: one.revisions[-1].document for one in list_engines(session)}
    assert {name: after[name] for name in before} == before
    assert set(after) - set(before) == {f"{label} (from a file)"}


@pytest.mark.parametrize(
    "action",
    some(["took back act x", "took back act 99999999999999999999", "took back act",
          "took back act -1", "round x", "sign", "found {valve.__class__}", "\u202e", ""], 0, 6),
)  # fmt: skip
@pytest.mark.parametrize("payload", [None, {}, {"which": 3, "valve": ["1 IN L"]}])
def test_a_card_with_strange_words_in_its_history_stays_readable(
    school: Database, client: FlaskClient, action: Any, payload: Any
) -> None:
    """What an act of an unknown kind says, and words without what was said, are only shown."""
    with school.reading() as session:
        document = json.loads(card_text(session, 2))
    if action == "sign" and payload is not None:
        return
    document["job"]["events"][-1] |= {"action": action, "payload": payload}
    number = import_card(school, json.dumps(document), now=NOON)
    assert client.get(f"/api/cards/{number}").status_code == 200
    assert client.get(f"/api/history/card/{number}").status_code == 200
    said = {"version": document["job"]["version"], "key": "after-the-file", "valve": "1 IN L",
            "purpose": "found", "text": "16", "unit": "mm"}  # fmt: skip
    written = client.post(f"/api/cards/{number}/acts/gap", json=said)
    assert written.json["last_act"]["valve"] == "1 IN L"


@pytest.mark.parametrize(
    ("kind", "payload"),
    [("take-back", {"which": "x"}), ("take-back", {}), ("sign", {}), ("gap", {"valve": "1 IN L"}),
     ("tick", {"item": "x", "done": True, "more": 1})],
)  # fmt: skip
def test_an_act_that_says_what_its_kind_does_not_is_refused_with_its_place(
    school: Database, kind: Any, payload: Any
) -> None:
    with school.reading() as session:
        document = json.loads(card_text(session, 2))
    document["job"]["events"][0] |= {"action": kind, "payload": payload}
    with pytest.raises(BadValue) as said:
        import_card(school, json.dumps(document), now=NOON)
    assert said.value.field.startswith("$.job.events[0].payload")


def twice(lines: Any) -> None:
    lines.append(copy.deepcopy(lines[-1]))


ADDED = {
    "key": "a-key-of-its-own", "written_by": "Ida", "text": "Ticks.",
    "written_at": "2026-11-20T10:00:00Z",
}  # fmt: skip
BREAKS = {
    "a field parts do not know": lambda file: file["engine"].update(
        parts=[{"what": "Gasket", "colour": "red"}]
    ),
    "a field bolts do not know": lambda file: file["engine"].update(
        bolts=[{"name": "Cover", "places": [[0, 0]], "torque": "9", "unit": "N·m", "thread": "M6",
                "colour": "red"}]
    ),
    "a size below nothing": lambda file: file["job"].update(
        forbidden=[[file["engine"]["valves"][0]["id"], -5]]
    ),
    "an act twice": lambda file: twice(file["job"]["events"]),
    "an act from later": lambda file: file["job"]["events"][-1].update(version=10_000),
    "an added line twice": lambda file: file["job"].update(amendments=[ADDED, ADDED]),
}  # fmt: skip


@pytest.mark.parametrize("breaks", BREAKS.values(), ids=BREAKS)
def test_what_the_record_could_not_hold_is_refused_with_its_path(
    school: Database, client: FlaskClient, breaks: Any
) -> None:
    with school.reading() as session:
        document = json.loads(card_text(session, 2))
    breaks(document)
    before = cards_of(school)
    refused = client.post("/api/cards/file", json={"text": json.dumps(document)})
    assert refused.status_code == 422
    assert refused.json["field"].startswith("$.")
    assert cards_of(school) == before


def test_an_engine_that_brings_a_field_parts_do_not_know_is_refused_in_a_sentence(
    client: FlaskClient,
) -> None:
    kept = client.get("/api/engines/1").json
    document = json.loads(kept["document"])
    document["engine"]["parts"] = [{"what": "Gasket", "colour": "red"}]
    for send, path, more in (
        (client.post, "/api/engines/draft", {}),
        (client.put, "/api/engines/1", {k: kept[k] for k in ("revision", "label", "note")}),
    ):
        refused = send(path, json={**more, "document": json.dumps(document)})
        assert (refused.status_code, refused.json["field"]) == (422, "$.engine.parts[0]")
        assert "knows no field “colour”" in refused.json["sentence"]


def test_a_signed_card_with_an_added_line_is_taken_in_twice_and_one_key_serves_two_cards(
    school: Database, client: FlaskClient
) -> None:
    said = {"key": "one-key-for-two", "written_by": "Ida", "text": "Ticks."}
    assert client.post("/api/cards/1/amendments", json=said).status_code == 201
    with school.reading() as session:
        text = card_text(session, 1)
    copies = [import_card(school, text, now=NOON) for _twice in range(2)]
    for number in copies:
        again = client.post(f"/api/cards/{number}/amendments", json=said)
        assert again.status_code == 201  # it came with the file: written once
        sheet = client.get(f"/api/cards/{number}/sheet").json
        assert len([one for one in sheet["amendments"] if "Ticks." in str(one)]) == 1
    other = client.post(f"/api/cards/{copies[0]}/amendments", json={**said, "text": "Else."})
    assert other.status_code == 409
