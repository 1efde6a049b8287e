"""Measuring over the wire: conditions, safety, tray, turning, blades, questions, engines."""

import itertools
import json
from typing import Any

import pytest
from flask.testing import FlaskClient


@pytest.fixture
def card(client: FlaskClient) -> Any:
    """Return a function that changes card 2 and gives the answer."""

    count = itertools.count(1)

    def send(verb: Any, where: Any, expect: Any = 200, **body: Any) -> Any:
        version = client.get("/api/cards/2").json["version"]
        key = f"measuring-{next(count):04}"
        answer = getattr(client, verb)(
            f"/api/cards/2/{where}", json={"version": version, "key": key, **body}
        )
        assert answer.status_code == expect, answer.json
        return answer.json

    return send


def valve(answer: Any, name: Any) -> Any:
    return next(one for one in answer["valves"] if one["valve"] == name)


def found(card: Any, name: Any, text: Any, **more: Any) -> Any:
    body = {"valve": name, "purpose": "found", "text": text, "unit": "mm", "repeats": False}
    return valve(card("post", "acts/gap", **{**body, **more}), name)


def test_warm_wants_a_reason_marks_the_readings_and_asks_once(card: Any) -> None:
    warm = {"rested_hours": "2", "temperature_c": "40,5", "reason": ""}
    assert card("post", "acts/conditions", 409, **warm)["field"] == "reason"
    noted = card("post", "acts/conditions", **{**warm, "reason": "ferry"})["conditions"]
    assert (noted["warm"], noted["temperature_c"], len(noted["warnings"])) == (True, "40.5", 2)
    assert [one["slip"] for one in found(card, "3 EX L", "28")["questions"]] == ["warm"]
    card("post", "acts/keep", valve="3 EX L", purpose="found", slips=["warm"])
    assert found(card, "3 EX R", "28")["questions"] == []


@pytest.mark.parametrize(
    ("conditions", "field"),
    [
        ({"temperature_c": "cold"}, "temperature"),
        ({"temperature_c": "300"}, "temperature"),
        ({"rested_hours": "-1"}, "rested"),
        ({"rested_hours": "nan"}, "rested"),
    ],
)
def test_conditions_that_cannot_be_are_refused(card: Any, conditions: Any, field: Any) -> None:
    body = {"rested_hours": None, "temperature_c": None, "reason": ""}
    assert card("post", "acts/conditions", 422, **{**body, **conditions})["field"] == field


def test_a_line_that_is_not_on_the_safety_list_is_refused(card: Any) -> None:
    assert card("post", "acts/tick", 422, item="umbrella", done=True)["field"] == "item"


def test_the_safety_list_is_ticked_and_unticked(card: Any) -> None:
    def done(answer: Any) -> Any:
        return {item["id"] for item in answer["safety"] if item["done"]}

    off = done(card("post", "acts/tick", item="power", done=False))
    assert "power" not in off
    assert done(card("post", "acts/tick", item="power", done=True)) == off | {"power"}


def test_a_tray_is_kept_and_one_off_its_outline_refused(card: Any) -> None:
    pocket = {"x": 0.25, "y": 1, "length": "45", "note": "", "count": 2}
    part = {"name": "Cover", "note": "", "pockets": [pocket]}
    assert card("post", "acts/tray", parts=[part])["tray"] == [part]
    wrong = {**part, "pockets": [{**pocket, "x": 1.2}]}
    assert card("post", "acts/tray", 422, parts=[wrong])["code"] == "bad_request"
    assert card("post", "acts/tray", 422, parts=[{**part, "name": " "}])["field"] == "parts"


def test_turning_says_where_each_lobe_points(card: Any) -> None:
    turning = card("post", "acts/method", method="marks", blade_set_id=1)["turning"]
    assert [stop["mark"] for stop in turning["stops"]] == ["T1", "T3"]
    assert turning["stops"][0]["narrow"] is True
    assert len(turning["lanes"]) == 8
    lobe = card("post", "acts/method", method="lobe", blade_set_id=None)
    peaks = {lane["peak"] for lane in lobe["turning"]["lanes"]}
    straight_away = {(peak + 360) % 720 for peak in peaks}
    assert {stop["degrees"] for stop in lobe["turning"]["stops"]} == straight_away
    assert lobe["blade_set"] is None
    assert card("post", "acts/method", 404, method="marks", blade_set_id=77)["field"] == "blades"


def test_a_slip_is_asked_about_until_it_is_answered(card: Any) -> None:
    asked = found(card, "4 IN L", "1.5")["questions"]
    assert [(one["slip"], one["suggestion"]) for one in asked] == [("tenfold", "0.15")]
    kept = card("post", "acts/keep", valve="4 IN L", purpose="found", slips=["tenfold"])
    assert valve(kept, "4 IN L")["questions"] == []
    assert found(card, "4 IN L", "1.6")["questions"] != []


def test_a_repeat_stands_beside_the_first_and_a_correction_does_not(card: Any) -> None:
    found(card, "4 IN L", "15")
    twice = found(card, "4 IN L", "17", repeats=True)
    assert [gap["mm"] for gap in twice["repeats"]] == ["0.17", "0.15"]
    assert twice["spread"]["mm"] == "0.02"
    assert [gap["mm"] for gap in found(card, "4 IN L", "16")["repeats"]] == ["0.16"]


def test_the_next_blade_settles_step_by_step(client: FlaskClient) -> None:
    known = {"goes_nm": None, "refuses_nm": None}
    for _try in range(4):
        answer = client.post(
            "/api/cards/2/next-blade", json={"valve": "4 IN L", "fine": False, **known}
        ).json
        if answer["next_blade"] is None:
            break
        nm = answer["next_blade"]["thickness"]["nm"]
        known["goes_nm" if nm <= 160_000 else "refuses_nm"] = nm
    assert answer["verdict"] == "in"
    assert answer["reading"] == "14-20"


def blade_set(**changed: Any) -> Any:
    blades = [{"marked": mark, "measured": None, "state": "sound"} for mark in ("0.10", "0.15")]
    return {"name": "Second", "stacking": False, "blades": blades, **changed}


def test_a_feeler_set_is_added_and_changed(client: FlaskClient) -> None:
    added = client.post("/api/blade-sets", json=blade_set())
    assert added.status_code == 201
    number = next(one["id"] for one in added.json["blade_sets"] if one["name"] == "Second")
    blades = [
        {"marked": "0.10", "measured": "0.102", "state": "sound"},
        {"marked": "0.20", "measured": None, "state": "broken"},
    ]
    changed = client.put(f"/api/blade-sets/{number}", json=blade_set(blades=blades)).json
    kept = next(one for one in changed["blade_sets"] if one["id"] == number)
    assert [
        (b["typed"], b["state"], b["measured"] and b["measured"]["mm"]) for b in kept["blades"]
    ] == [
        ("10", "sound", "0.102"),
        ("20", "broken", None),
    ]


@pytest.mark.parametrize(
    ("changed", "field"),
    [
        ({"name": " "}, "name"),
        ({"name": "Bench set"}, "name"),
        ({"blades": []}, "blades"),
        ({"blades": [{"marked": "0.10", "measured": None, "state": "bent"}]}, "blades"),
        ({"blades": [{"marked": "10", "measured": None, "state": "sound"}]}, "blade"),
        ({"blades": [{"marked": "x", "measured": None, "state": "sound"}]}, "blade"),
        ({"blades": [{"marked": "0.1", "measured": None, "state": "sound"}] * 2}, "blade"),
    ],
)
def test_a_set_that_cannot_be_is_refused_and_nothing_kept(
    client: FlaskClient, changed: Any, field: Any
) -> None:
    before = client.get("/api/shop").json["blade_sets"]
    answer = client.post("/api/blade-sets", json=blade_set(**changed))
    assert (answer.status_code, answer.json["field"]) == (422, field)
    assert client.get("/api/shop").json["blade_sets"] == before


def start(client: Any, **changed: Any) -> Any:
    body = {
        "layout": "triple", "valves": 4, "camshafts": 2, "follower": "bucket-under",
        "angle": None, "reversed_head": False, "crank_along": False, "firing": None,
        **changed,
    }  # fmt: skip
    return client.post("/api/engines/start", json=body)


def test_an_engine_is_started_corrected_and_its_old_cards_keep_the_old(client: FlaskClient) -> None:
    card_before = client.get("/api/cards/2").json
    number = next(
        one["id"]
        for one in client.get("/api/shop").json["engines"]
        if one["label"].startswith("No. 5")
    )
    engine = client.get(f"/api/engines/{number}").json
    document = json.loads(engine["document"])
    document["engine"]["spec"]["intake"] = {"min": 0.01, "max": 0.02}
    body = {
        "revision": engine["revision"],
        "label": engine["label"],
        "note": "",
        "document": json.dumps(document),
    }
    assert client.put(f"/api/engines/{number}", json=body).json["revision"] == 2
    assert client.put(f"/api/engines/{number}", json=body).json["code"] == "conflict"
    now = client.get("/api/cards/2").json
    assert now.pop("engine_changes")
    card_before.pop("engine_changes")
    assert now == card_before


def test_a_draft_is_drawn_and_a_broken_one_refused_with_its_place(client: FlaskClient) -> None:
    draft = start(client).json
    assert len(draft["drawing"]["banks"][0]["valves"]) == len(draft["valves"]) == 12
    document = json.loads(draft["document"])
    document["engine"]["events"] = {"intake": {"opens_btdc": 999}}
    answer = client.post("/api/engines/draft", json={"document": json.dumps(document)})
    assert answer.json["field"] == "$.engine.events.intake.opens_btdc"
    assert start(client, valves=7).json["field"] == "valves"


def test_the_largest_engine_kept_for_the_front_ends_tests_is_the_servers(
    client: FlaskClient,
) -> None:
    from pathlib import Path

    kept = Path(__file__).parents[2] / "frontend/src/api/answers/largest-engine.json"
    made = start(client, layout="straight-six", follower="opener-closer").json
    assert json.loads(kept.read_text("utf-8")) == made
