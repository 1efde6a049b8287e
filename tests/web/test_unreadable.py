"""One damaged card takes nothing else down: it is shown as such, taken out, laid aside."""

import json
import sqlite3
from typing import Any

import pytest

from plimb.card.build import read_card
from plimb.card.transfer import import_card
from plimb.record.database import Database
from plimb.web.server.application import create_app

from ..conftest import NOON
from ..guest import card_text

DAMAGES = [
    "UPDATE card SET notes = '{' WHERE id = 2",
    "UPDATE card SET summary = '{\"at\": 7}' WHERE id = 2",
    "UPDATE card SET kind = 'robot' WHERE id = 2",
    "UPDATE card SET opened_at = 'noon' WHERE id = 2",
    "UPDATE card SET bill = '[{}]', reason = CAST(x'FF41' AS TEXT) WHERE id = 2",
    "UPDATE engine_revision SET document = '{}' WHERE id = (SELECT engine_revision_id FROM card "
    "WHERE id = 2)",
]


@pytest.fixture
def damaged(school: Database) -> Any:
    def damage(statement: Any) -> Any:
        school.close()
        raw = sqlite3.connect(school.path)
        raw.execute(statement)
        raw.commit()
        raw.close()
        return create_app(Database(school.path)).test_client()

    return damage


@pytest.mark.parametrize("statement", DAMAGES)
def test_the_bench_comes_up_with_all_the_others(damaged: Any, statement: Any) -> None:
    client = damaged(statement)
    bench = client.get("/api/shop").json
    assert [one["id"] for one in bench["unreadable"]] == [2]
    assert {one["id"] for one in bench["cards"]} == {1, 3, 4}
    assert client.get("/api/cards/3").status_code == 200
    assert client.get("/api/cards/2").status_code in (422, 500, 503)
    out = client.get("/api/unreadable/2/rows.json")
    assert out.status_code == 200
    assert len(json.loads(out.text)["tables"]["gap_reading"]) > 3
    after = client.put("/api/unreadable/2/away", json={"away": True}).json
    assert after["unreadable"][0]["away"] is True
    assert client.put("/api/unreadable/99/away", json={"away": True}).status_code == 404


def test_moments_with_an_offset_and_proofs_without_a_history_come_in_as_they_are(
    school: Database,
) -> None:
    with school.reading() as session:
        document = json.loads(card_text(session, 1))
    document["job"]["opened_at"] = "2026-03-04T01:30:00+02:00"
    for one in document["rounds"]:
        del one["history"]
    number = import_card(school, json.dumps(document), now=NOON)
    with school.reading() as session:
        card = read_card(session, number)
    assert f"{card.opened_at:%Y-%m-%d %H:%M}" == "2026-03-03 23:30"
    goes = {one["valve"]: one["goes"][0] for one in document["rounds"][0]["proofs"]}
    assert len(goes) == 2
    for valve, mm in goes.items():
        assert card.status.valves[valve].record.proof.gap.best_nm == round(mm * 1_000_000)
