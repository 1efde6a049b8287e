"""The JSON interface: its answers, its refusals, and the document that describes it."""

import gzip
import inspect
import json
import re
from pathlib import Path
from typing import Any

import pytest
from flask.testing import FlaskClient

from plimb.core import errors as facts
from plimb.practice.application import practice_app
from plimb.record.database import Database
from plimb.web.server import page
from plimb.web.server.application import create_app
from plimb.web.wire.errors import STATUS

FRONT = Path(__file__).parents[2] / "frontend" / "src" / "api"


def gap(**changed: Any) -> Any:
    body = {
        "version": 1,
        "key": "a-key-of-its-own",
        "valve": "3 IN L",
        "purpose": "found",
        "text": "15",
        "unit": "mm",
    }
    return {**body, **changed}


def version(client: Any, card: Any = 2) -> Any:
    return client.get(f"/api/cards/{card}").json["version"]


def test_health(client: FlaskClient) -> None:
    answer = client.get("/api/health")
    assert (answer.status_code, answer.json["status"]) == (200, "ok")


def test_a_reading_comes_back_judged_on_the_card(client: FlaskClient) -> None:
    seen = version(client)
    answer = client.post("/api/cards/2/acts/gap", json=gap(version=seen, text="15-18"))
    assert answer.status_code == 200
    assert answer.json["version"] == seen + 1
    valve = next(v for v in answer.json["valves"] if v["valve"] == "3 IN L")
    assert valve["verdict"] == "in"
    assert valve["found"]["mm"] == "0.15 mm goes, 0.18 mm refuses"
    assert valve["found"]["gap"]["low"] == {
        "nm": 150_000,
        "mm": "0.15",
        "thou": "5.9",
        "inch": "0.00591",
    }


def test_the_same_key_is_done_once(client: FlaskClient) -> None:
    body = gap(version=version(client))
    first, again = (client.post("/api/cards/2/acts/gap", json=body) for _ in range(2))
    assert first.json == again.json


@pytest.mark.parametrize(
    ("kind", "said", "clashes"),
    [
        ("gap", {"valve": "3 IN L", "purpose": "found", "text": "15", "unit": "mm"}, True),
        ("keep", {"valve": "3 IN L", "purpose": "found", "slips": []}, True),
        ("gap", {"valve": "3 IN R", "purpose": "found", "text": "15", "unit": "mm"}, False),
        ("shim", {"valve": "3 IN L", "text": "2.50"}, False),
        ("note", {"stage": "feel", "text": "Left one is worn."}, False),
        ("take-plan", {}, True),
    ],
)
def test_what_touches_another_thing_is_done_as_if_it_had_seen_what_came_meanwhile(
    client: FlaskClient, kind: Any, said: Any, clashes: Any
) -> None:
    seen = version(client)
    meanwhile = gap(version=seen, key="meanwhile", text="18", reason="again")
    assert client.post("/api/cards/2/acts/gap", json=meanwhile).status_code == 200
    mine = {"version": seen, "key": "mine-of-before", **said}
    answer = client.post(f"/api/cards/2/acts/{kind}", json=mine)
    assert (answer.json.get("code") == "conflict") is clashes, answer.json
    if not clashes:
        assert answer.json["version"] == seen + 2


def test_the_whole_of_one_valve_over_the_wire(client: FlaskClient) -> None:
    card = client.post(
        "/api/cards",
        json={"engine_id": 2, "opened_by": "Ada", "reason": "Noise", "distance": 12},
    ).json
    place = f"/api/cards/{card['id']}"

    def send(method: Any, where: Any, **body: Any) -> Any:
        nonlocal card
        key = f"{where}-{card['version']:08}"
        answer = getattr(client, method)(
            f"{place}/{where}", json={"version": card["version"], "key": key, **body}
        )
        assert answer.status_code == 200, answer.json
        card = answer.json
        return next(v for v in card["valves"] if v["valve"] == "IN C")

    found = {"purpose": "found", "unit": "mm"}
    for valve, typed in {"IN L": "12", "IN R": "12", "EX L": "20", "EX R": "20"}.items():
        send("post", "acts/gap", valve=valve, text=typed, **found)
    assert send("post", "acts/gap", valve="IN C", text="8", **found)["need"] == "open"
    assert card["at"] == "read"
    valve = send("post", "acts/shim", valve="IN C", text="185 1.848")
    moves = client.get(f"{place}/plan").json["moves"]
    move = next(move for move in moves if move["valve"] == "IN C")
    assert move["sum"][-1] == "Fit 1.80 from the drawer: 1.928 − 1.80 = gap 0.128."
    ladder = move["options"]
    assert {"1.70", "1.75", "1.80", "1.85"} <= {one["thickness"]["mm"] for one in ladder}
    valve = send("post", "acts/choose", valve="IN C", thickness_nm=1_800_000)
    assert valve["predicted"]["mm"] == "0.128"
    send("post", "acts/policy", aim="middle", rounding="nearest", act="out", trust="measured",
         reuse=True)  # fmt: skip
    valve = send("post", "acts/gap", valve="IN C", purpose="proof", text="13", unit="mm")
    assert (valve["left"], valve["residual"]["mm"], card["at"]) == ("in", "0.002", "sign")
    send("post", "acts/sign", signed_by="Ada", remarks="", next_distance=4000)
    refused = client.post(
        f"{place}/acts/gap", json=gap(version=card["version"], valve="IN C", key="one-more-key")
    )
    assert (refused.status_code, refused.json["code"]) == (409, "card_signed")


ENGINE = {"label": "x", "note": "", "document": "{"}
REFUSED = [
    ("post", "/api/cards/2/acts/gap", gap(version=0), 409, "conflict", "version"),
    ("post", "/api/cards/2/acts/gap", gap(text="abc"), 422, "bad_value", "gap"),
    ("post", "/api/cards/2/acts/gap", gap(valve="9 XX"), 422, "bad_value", "valve"),
    ("post", "/api/cards/2/acts/gap", gap(version="1"), 422, "bad_request", "version"),
    ("post", "/api/cards/2/acts/gap", gap(version=True), 422, "bad_request", "version"),
    ("post", "/api/cards/2/acts/gap", gap(unit="furlong"), 422, "bad_request", "unit"),
    ("post", "/api/cards/2/acts/gap", gap(extra=1), 422, "bad_request", "extra"),
    ("post", "/api/cards/2/acts/gap", gap(key="short"), 422, "bad_request", "key"),
    ("post", "/api/cards/2/acts/gap", gap(text="1" * 201), 422, "bad_request", "text"),
    ("post", "/api/cards/99/acts/gap", gap(), 404, "not_found", "card"),
    ("get", "/api/cards/99", None, 404, "not_found", "card"),
    ("get", "/api/nowhere", None, 404, "not_found", None),
    ("delete", "/api/cards/2", None, 405, "method_not_allowed", None),
    ("post", "/api/engines", ENGINE | {"label": ""}, 422, "bad_value", "label"),
    ("post", "/api/engines", ENGINE, 422, "bad_value", "$"),
]  # fmt: skip


@pytest.mark.parametrize(
    ("method", "path", "body", "status", "code", "field"),
    REFUSED,
    ids=[f"{code}-{n}" for n, (*_, code, _field) in enumerate(REFUSED)],
)
def test_every_refusal_has_one_shape(
    client: FlaskClient, method: Any, path: Any, body: Any, status: Any, code: Any, field: Any
) -> None:
    if body and body.get("version") == 1 and body["version"] is not True:
        body = {**body, "version": version(client)}
    answer = getattr(client, method)(path, **({"json": body} if body is not None else {}))
    assert answer.status_code == status
    assert set(answer.json) == {"code", "sentence", "field", "offers"}
    assert (answer.json["code"], answer.json["field"]) == (code, field)
    assert answer.json["sentence"].endswith(".")


@pytest.mark.parametrize(
    ("data", "kind", "status"),
    [("{", "application/json", 400), ("{}", "text/plain", 415), ("a=1", None, 415)],
)
def test_what_is_no_json_is_refused_in_the_same_shape(
    client: FlaskClient, data: Any, kind: Any, status: Any
) -> None:
    answer = client.post("/api/cards/2/acts/gap", data=data, content_type=kind)
    assert answer.status_code == status
    assert set(answer.json) == {"code", "sentence", "field", "offers"}


def test_a_fault_of_our_own_is_told_without_its_insides(
    school: Database, monkeypatch: pytest.MonkeyPatch
) -> None:
    monkeypatch.setattr("plimb.web.api.shop.read_shop", lambda _database: 1 / 0)
    answer = create_app(school).test_client().get("/api/shop")
    assert (answer.status_code, answer.json["code"]) == (500, "fault")
    assert "division" not in answer.json["sentence"]
    # what is seen leads to the line in the log, and does not say that nothing was saved
    assert answer.headers["X-Request-Id"] in answer.json["sentence"]
    assert "nothing was changed" not in answer.json["sentence"]


def test_every_refusal_of_the_core_has_a_status() -> None:
    classes = {
        one
        for _name, one in inspect.getmembers(facts, inspect.isclass)
        if issubclass(one, facts.PlimbError) and one is not facts.PlimbError
    }
    assert classes == set(STATUS)


def test_what_is_typed_is_read_back_without_being_written(client: FlaskClient) -> None:
    seen = version(client)
    body = {"kind": "gap", "valve": "3 IN L", "text": "5-6", "unit": "in"}
    answer = client.post("/api/cards/2/understand", json=body).json
    assert answer == {
        "words": "5 thou goes, 6 thou refuses",
        "verdict": "unsettled",
        "next_blade": answer["next_blade"],
    }
    assert answer["next_blade"]["typed"] == "9+5"  # 0.14 mm, the minimum: the set has no such blade
    assert version(client) == seen


def test_an_engine_file_is_taken_in_once(client: FlaskClient) -> None:
    document = json.dumps(
        {
            "format": "plimb-engine",
            "version": 1,
            "engine": {
                "name": "One lung",
                "follower": "bucket-over",
                "crank": {"cylinders": [{"number": 1, "fires_at": 0}]},
                "camshafts": [{"id": "CAM"}],
                "valves": [{"id": "IN", "cylinder": 1, "side": "intake", "camshaft": "CAM"}],
                "spec": {"intake": {"min": 0.1, "max": 0.2}, "exhaust": {"min": 0.1, "max": 0.2}},
                "family": {"runs": [{"from": 2, "to": 3, "step": 0.05}]},
            },
        }
    )
    body = {"label": "No. 1", "note": "", "document": document}
    added = client.post("/api/engines", json=body)
    assert added.status_code == 201
    assert [e["valves"] for e in added.json["engines"] if e["label"] == "No. 1"] == [1]
    assert client.post("/api/engines", json=body).json["field"] == "label"


def test_the_page_is_sent_for_every_place_and_its_files_for_ever(
    client: FlaskClient, tmp_path: Path, monkeypatch: pytest.MonkeyPatch
) -> None:
    (tmp_path / "assets").mkdir()
    (tmp_path / "index.html").write_text("<title>Plimb</title>")
    (tmp_path / "assets" / "app-1.js").write_text("1")
    monkeypatch.setattr(page, "APP", tmp_path)
    for place in ("/", "/cards/3/feel"):
        with client.get(place) as answer:
            assert b"Plimb" in answer.data
            assert "no-cache" in answer.headers["Cache-Control"]
            assert "default-src 'self'" in answer.headers["Content-Security-Policy"]
    with client.get("/assets/app-1.js") as asset:
        assert "immutable" in asset.headers["Cache-Control"]


def test_the_document_kept_for_the_front_end_is_the_one_the_server_writes(
    school: Database, tmp_path: Path
) -> None:
    """With practice in it, which is served beside the shop's own."""
    kept = json.loads((FRONT / "openapi.json").read_text("utf-8"))
    client = practice_app(school, tmp_path).test_client()
    assert client.get("/api/openapi.json").json == kept


def test_the_first_screen_loads_at_most_150_kb_of_script_and_style_compressed(
    school: Database,
) -> None:
    client = create_app(school).test_client()
    with client.get("/") as answer:
        shown = answer.get_data(as_text=True)
    waiting, sizes = re.findall(r"/assets/([\w.-]+\.(?:js|css))", shown), {}
    while waiting:
        name = waiting.pop()
        if name in sizes:
            continue
        answer = client.get(f"/assets/{name}", headers={"Accept-Encoding": "gzip"})
        assert (answer.status_code, answer.headers["Content-Encoding"]) == (200, "gzip")
        sizes[name] = len(answer.data)
        text = gzip.decompress(answer.data).decode()
        # what is imported at once, not what is fetched when it is opened
        waiting += re.findall(r"""(?:^|[;}\s])import(?:[^;("']*from)?["']\./([\w.-]+)["']""", text)
    assert len(sizes) >= 3
    assert sum(sizes.values()) <= 150_000
