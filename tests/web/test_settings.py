"""The shop's settings: its name, what is not sent, and where the name stands."""

import io
import json
from pathlib import Path
from typing import Any

import pytest
from flask.testing import FlaskClient
from pypdf import PdfReader

from plimb.card.acts.choose import choose_piece
from plimb.card.acts.fit import fit_piece
from plimb.card.rejudge import change_settings
from plimb.core.engine.engine import Side
from plimb.core.errors import BadValue, NotReady
from plimb.core.lengths import Unit, mm
from plimb.core.shim.shim import Source
from plimb.record.database import Database
from plimb.web.server.application import create_app

from ..guest import Job


def settings(client: Any) -> Any:
    return {one["name"]: one["value"] for one in client.get("/api/settings").json["settings"]}


@pytest.mark.parametrize(
    "sent",
    [
        {"name": "Kestrel Lane"}, {"hand_turns": 5}, {"wrench": "lbf·in"}, {"round_cost": "75"},
        {"sure": 95}, {"hand_nm": "0.006"}, {"hand_nm": "", "round_cost": ""}, {}, {"unit": "in"},
        {"aim": "tight"}, {"rounding": "chance"}, {"act": "all"}, {"room_nm": "0.02"},
        {"keep_days": 3, "keep_weeks": 0}, {"keep_months": "2"}, {"shaft_cost": "40"},
        {"other_shim_nm": "0.02"},
    ],
)  # fmt: skip
def test_what_is_not_sent_keeps_its_value(client: FlaskClient, sent: Any) -> None:
    first = {"hand_turns": 4, "wrench": "lbf·ft", "round_cost": "120", "sure": 85,
             "hand_nm": "0.005"}  # fmt: skip
    assert client.patch("/api/settings", json=first).status_code == 200
    before = settings(client)
    assert client.patch("/api/settings", json=sent).status_code == 200
    after = settings(client)
    assert [after[k] for k in sent] == [str(v) for v in sent.values()]
    assert {k: v for k, v in after.items() if k not in sent} == {
        k: v for k, v in before.items() if k not in sent
    }
    assert all(after[k] != before[k] for k in sent)


@pytest.mark.parametrize(
    "wrong",
    [{"name": " "}, {"sure": 20}, {"sure": 100}, {"hand_turns": 1}, {"hand_turns": "2.5"},
     {"hand_nm": "9"}, {"keep_days": 0}, {"keep_weeks": -1}, {"keep_months": 9999}, {"aim": "up"},
     {"round_cost": "much"}, {"shaft_cost": "-1"}, {"room_nm": "2"}, {"unit": "furlong"}],
)  # fmt: skip
def test_one_that_cannot_be_is_refused_and_nothing_else_is_changed(
    client: FlaskClient, wrong: Any
) -> None:
    before = settings(client)
    refused = client.patch("/api/settings", json={"wrench": "lbf·in", **wrong})
    assert (refused.status_code, refused.json["field"]) == (422, next(iter(wrong)))
    assert settings(client) == before


def test_the_shops_name_stands_on_sheets_and_files_and_none_is_made_up(database: Database) -> None:
    job = Job(database)
    client = create_app(database).test_client()
    assert settings(client)["name"] == ""
    number = job.card.id
    blank = PdfReader(io.BytesIO(client.get(f"/api/cards/{number}/blank.pdf").data))
    assert "My shop" not in blank.pages[0].extract_text()
    client.patch("/api/settings", json={"name": "Kestrel Lane"})
    assert client.get(f"/api/cards/{number}/sheet").json["shop"] == "Kestrel Lane"
    for name in ("sheet.pdf", "blank.pdf"):
        pdf = PdfReader(io.BytesIO(client.get(f"/api/cards/{number}/{name}").data))
        assert "Kestrel Lane" in pdf.pages[0].extract_text()
    said = json.loads(client.get(f"/api/cards/{number}/card.json").data)
    assert said["origin"]["shop"] == "Kestrel Lane"


def test_new_cards_begin_with_what_the_shop_has_set_and_open_ones_stay(database: Database) -> None:
    job = Job(database)
    before = job.view
    change_settings(database, aim="tight", rounding="thinner", act="all", hand_turns=3)
    now = job.view
    assert (now.aim, now.rounding, now.act) == (before.aim, before.rounding, before.act)
    job.open()
    assert (job.view.aim, job.view.rounding, job.view.act) == ("tight", "thinner", "all")
    assert job.view.hand_turns_wanted == 3


def test_one_figure_takes_the_shops_room_and_is_asked_about_where_there_is_none(
    database: Database,
) -> None:
    job = Job(database)
    with pytest.raises(BadValue) as asked:
        job.spec(Side.INTAKE, "0.13")
    assert asked.value.field == "room"
    change_settings(database, room_nm="0.02")
    job.spec(Side.INTAKE, "0.13")
    spec = job.view.status.valves["IN L"].clearance.check
    assert (spec.low_nm, spec.high_nm) == (mm("0.11"), mm("0.15"))
    job.spec(Side.INTAKE, ".005", unit=Unit.INCH)
    spec = job.view.status.valves["IN L"].clearance.check
    assert spec.high_nm - spec.low_nm == pytest.approx(mm("0.04"), abs=mm("0.0005"))


def test_a_shim_is_asked_about_where_it_is_further_off_than_the_shop_has_set(
    database: Database,
) -> None:
    sizes = {"diameter": 9.48, "runs": [{"from": 2.0, "to": 3.0, "step": 0.05}]}
    job = Job(database, change=lambda engine: engine.update(family=sizes))
    job.spec(Side.INTAKE, "0.10-0.20")
    job.gap("IN L", "0.08")
    job.shim("IN L", "2.50")
    job.act(choose_piece, valve="IN L", thickness_nm=mm("2.45"), source=Source.COUNTER)
    change_settings(database, other_shim_nm="0.005")
    with pytest.raises(NotReady, match="is it the right shim"):
        job.act(fit_piece, valve="IN L", fitted=True, measured="2.456")
    change_settings(database, other_shim_nm="")
    job.act(fit_piece, valve="IN L", fitted=True, measured="2.456")
    assert job.view.fit[0].fitted


def test_the_history_of_the_shop_says_a_setting_in_its_words(client: FlaskClient) -> None:
    client.patch("/api/settings", json={"aim": "tight", "hand_nm": "0.006"})
    client.patch("/api/settings", json={"aim": ""})
    last, first, *_rest = client.get("/api/history/shop/1").json["happened"]
    aimed = {"name": "Aim at", "was": "tight side", "now": "wide side of the range"}
    assert (last["what"], last["changes"]) == ("settings changed", [aimed])
    felt = {"name": "My readings repeat within ±", "was": "0.004", "now": "0.006"}
    assert felt in first["changes"]


def test_every_setting_has_its_words_and_stands_in_the_list(client: FlaskClient) -> None:
    listed = (Path(__file__).parents[2] / "docs" / "settings.md").read_text("utf-8")
    for one in client.get("/api/settings").json["settings"]:
        assert one["says"], one["name"]
        assert f"| {one['says']} |" in listed
        assert (one["kind"] == "choice") == bool(one["choices"])
