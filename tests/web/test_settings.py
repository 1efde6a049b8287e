"""The shop's settings: its name, what is not sent, and where the name stands."""

import io
import json

import pytest
from pypdf import PdfReader

from plimb.web.application import create_app

from ..guest import Job


def settings(client):
    shop = client.get("/api/shop").json
    return {k: shop[k] for k in ("name", "hand_turns", "wrench", "round_cost", "sure", "hand")}


@pytest.mark.parametrize(
    "sent",
    [
        {"name": "Kestrel Lane"}, {"hand_turns": 5}, {"wrench": "lbf·in"}, {"round_cost": "75"},
        {"sure": 95}, {"hand": "0.006"}, {"hand": "", "round_cost": ""}, {},
    ],
)  # fmt: skip
def test_what_is_not_sent_keeps_its_value(client, sent):
    first = {"hand_turns": 4, "wrench": "lbf·ft", "round_cost": "120", "sure": 85, "hand": "0.005"}
    assert client.put("/api/shop/closing", json=first).status_code == 200
    before = settings(client)
    assert client.put("/api/shop/closing", json=sent).status_code == 200
    after = settings(client)
    assert {k: v for k, v in after.items() if k not in sent} == {
        k: v for k, v in before.items() if k not in sent
    }
    assert all(after[k] != before[k] for k in sent)


@pytest.mark.parametrize("wrong", [{"name": " "}, {"sure": 20}, {"hand_turns": 1}, {"hand": "9"}])
def test_one_that_cannot_be_is_refused_and_nothing_else_is_changed(client, wrong):
    before = settings(client)
    refused = client.put("/api/shop/closing", json={"wrench": "lbf·in", **wrong})
    assert (refused.status_code, refused.json["field"]) == (422, next(iter(wrong)))
    assert settings(client) == before


def test_the_shops_name_stands_on_sheets_and_files_and_none_is_made_up(database):
    job = Job(database)
    client = create_app(database).test_client()
    assert settings(client)["name"] == ""
    number = job.card.id
    blank = PdfReader(io.BytesIO(client.get(f"/api/cards/{number}/blank.pdf").data))
    assert "My shop" not in blank.pages[0].extract_text()
    client.put("/api/shop/closing", json={"name": "Kestrel Lane"})
    assert client.get(f"/api/cards/{number}/sheet").json["shop"] == "Kestrel Lane"
    for name in ("sheet.pdf", "blank.pdf"):
        pdf = PdfReader(io.BytesIO(client.get(f"/api/cards/{number}/{name}").data))
        assert "Kestrel Lane" in pdf.pages[0].extract_text()
    said = json.loads(client.get(f"/api/cards/{number}/card.json").data)
    assert said["origin"]["shop"] == "Kestrel Lane"
