"""Closing over the wire: fit, tighten, turn, prove, go round, sign, amend; sheets and files."""

import csv
import io
import json
from typing import Any

import pypdfium2
import pytest

from plimb.card.document import fingerprint_of
from plimb.core.lengths import mm
from plimb.record.cards import get_card
from plimb.record.database import Database
from plimb.record.shims import audit
from plimb.web.server.application import create_app

from ..conftest import NOON
from .test_pieces import Card


@pytest.fixture
def served(school: Database) -> Any:
    return create_app(school, clock=lambda: NOON).test_client()


@pytest.fixture
def card(served: Any) -> Any:
    return Card(served, 4)


def test_a_piece_is_fitted_measured_and_taken_out_again(card: Any) -> None:
    card.send("post", "acts/fit", valve="1 IN R", fitted=False, measured="")
    assert not next(s for s in card.now["fit"] if s["valve"] == "1 IN R")["fitted"]
    card.send("post", "acts/fit", valve="1 IN R", fitted=True, measured="2.517")
    step = next(s for s in card.now["fit"] if s["valve"] == "1 IN R")
    assert (step["fitted"], step["measured"]["mm"], step["by_marking"]) == (True, "2.517", False)
    assert card.valve("1 IN R")["predicted"]["mm"] == "0.155"
    wrong = {"valve": "1 IN R", "fitted": True, "measured": "2.44"}
    refused = card.send("post", "acts/fit", status=409, **wrong)
    assert refused["sentence"] == "2.44 instead of 2.52 gives 0.232, out of range: not this one?"
    assert card.valve("1 IN R")["predicted"]["mm"] == "0.155"  # nothing was written
    card.send("post", "acts/fit", **wrong, anyway=True)
    assert card.valve("1 IN R")["predicted"]["mm"] == "0.232"
    card.send("post", "acts/fit", valve="1 IN R", fitted=True, measured="2.517")
    refused = card.send("post", "acts/fit", status=409, valve="1 IN L", fitted=True, measured="")
    assert "keeps its shim" in refused["sentence"]


BOLTS = {
    "name": "Cover", "places": [[0.1, 0.1], [0.5, 0.1], [0.9, 0.1]], "torque": "88",
    "unit": "lbf·in", "thread": "M6", "order": None,
}  # fmt: skip


def test_bolts_are_laid_out_and_turned_stage_by_stage(card: Any) -> None:
    card.send("post", "acts/bolts", **BOLTS)
    cover = next(one for one in card.now["bolts"] if one["name"] == "Cover")
    assert sorted(cover["order"]) == [0, 1, 2]
    assert (cover["turns"], cover["by_maker"]) == (9, False)
    assert cover["torque"]["words"] == {
        "N·m": "9.94 N·m", "lbf·ft": "7.33 lbf·ft", "lbf·in": "88.0 lbf·in",
    }  # fmt: skip
    assert [one["torque"] for one in cover["stages"]] == [None, "4.97 N·m", "9.94 N·m"]
    card.send("post", "acts/tighten", name="Cover", turned=9)
    card.send("post", "acts/tighten", status=422, name="Cover", turned=10)
    card.send("post", "acts/tighten", status=422, name="Sump", turned=1)
    card.send("post", "acts/bolts", **BOLTS | {"order": [2, 0, 1]})
    cover = next(one for one in card.now["bolts"] if one["name"] == "Cover")
    assert (cover["order"], cover["by_maker"], cover["turned"]) == ([2, 0, 1], True, 0)


@pytest.mark.parametrize(
    ("changed", "field"),
    [
        ({"name": " "}, "name"),
        ({"places": []}, "bolts"),
        ({"places": [[0.1, 1.5]]}, "bolts"),
        ({"places": [[0.1]]}, "places.0.1"),
        ({"order": [0, 1, 1]}, "order"),
        ({"torque": "0"}, "torque"),
        ({"torque": "abc"}, "torque"),
    ],
)
def test_bolts_that_cannot_be_are_refused(card: Any, changed: Any, field: Any) -> None:
    assert card.send("post", "acts/bolts", status=422, **BOLTS | changed)["field"] == field


def test_a_torque_in_the_wrong_unit_is_asked_about(served: Any) -> None:
    said = served.post("/api/torque", json={"torque": "88", "unit": "lbf·ft", "thread": "M6"}).json
    assert (said["likely"], said["likely_unit"]) == ("88.0 lbf·in", "lbf·in")


def test_turns_by_hand_are_counted_and_the_shop_says_how_many(card: Any, served: Any) -> None:
    assert (card.now["hand_turns"], card.now["hand_turns_wanted"]) == (2, 2)
    card.send("post", "acts/turn-by-hand", turns=3)
    assert card.now["hand_turns"] == 3
    card.send("post", "acts/turn-by-hand", status=422, turns=-1)
    body = {"hand_turns": 4, "wrench": "lbf·in"}
    assert served.patch("/api/settings", json=body).status_code == 200
    again = Card(served, 4)
    assert again.now["hand_turns_wanted"] == 4
    assert again.now["bolts"][0]["stages"][2]["torque"] == "88.5 lbf·in"


def test_the_proof_is_explained_and_another_round_keeps_the_first(
    card: Any, school: Database, seen: Any
) -> None:
    top = card.now["explained"]["ranked"][0]
    assert (top["cause"], set(top["valves"])) == ("swapped", {"1 IN R", "2 IN R"})
    assert card.now["explained"]["beyond"] == ["1 IN R", "2 IN R"]
    assert card.now["at"] == "prove"
    card.send("post", "acts/next-round", status=422, reason=" ")
    card.send("post", "acts/next-round", reason="Pieces changed places")
    assert (card.now["round"], card.now["at"]) == (2, "choose")
    first, second = (one.status.valves for one in seen(school, 4).rounds)
    assert first["1 IN R"].record.proof.gap.words() == "0.18–0.20"
    assert second["1 IN R"].record.found.gap.words() == "0.18–0.20"
    assert second["1 IN R"].record.piece.thickness_nm == mm("2.52")
    assert second["2 EX R"].record.found.gap.words() == "0.23–0.25"
    assert card.now["hand_turns"] == 0
    assert all(not one["done"] for one in card.now["reach"])
    # the pieces that came out lie on the tray and are planned with
    sources = {m["valve"]: m for m in card.plan()["moves"]}
    assert sources["1 IN R"]["changes"]
    card.send("post", "acts/next-round", status=409, reason="again")
    card.send("post", "acts/take-plan")
    with school.reading() as session:
        assert audit(session) == []


def test_a_round_of_nothing_but_doubt_is_fine(card: Any) -> None:
    for valve, typed in {"1 IN R": "15", "2 IN R": "12"}.items():
        card.send("post", "acts/gap", valve=valve, purpose="proof", text=typed, unit="mm")
    assert card.now["explained"]["fine"]
    assert card.now["explained"]["ranked"] == []
    assert (card.now["at"], card.now["not_in_spec"]) == ("sign", [])


def sign(card: Any) -> None:
    for valve, typed in {"1 IN R": "15", "2 IN R": "12"}.items():
        card.send("post", "acts/gap", valve=valve, purpose="proof", text=typed, unit="mm")
    card.send("post", "acts/sign", signed_by="Ada Lund", remarks="Smooth", next_distance=24000)


def test_a_signed_sheet_can_be_checked_and_amended_but_not_changed(card: Any, served: Any) -> None:
    place = card.place
    early = served.get(f"{place}/sheet.pdf").data
    assert served.post(f"{place}/check-pdf", data=early).status_code == 422
    amend = {"key": "amend-0001", "written_by": "Ada", "text": "Chain was renewed too."}
    assert served.post(f"{place}/amendments", json=amend).status_code == 409
    sign(card)
    pdf = served.get(f"{place}/sheet.pdf").data
    assert "as it stands" in served.post(f"{place}/check-pdf", data=pdf).json["says"]
    assert served.get(f"{place}/sheet.pdf").data == pdf
    # what the shop changes later does not touch what was signed
    engine = served.get("/api/engines/4").json
    relabelled = {k: engine[k] for k in ("revision", "note", "document")} | {"label": "No. 77"}
    assert served.put("/api/engines/4", json=relabelled).status_code == 200
    blades = [{"marked": "0.10", "measured": "0.102", "state": "sound"}]
    worn = {"name": "Worn set", "stacking": False, "blades": blades}
    assert served.put("/api/blade-sets/1", json=worn).status_code == 200
    assert "as it stands" in served.post(f"{place}/check-pdf", data=pdf).json["says"]
    for _sent_twice in range(2):
        amended = served.post(f"{place}/amendments", json=amend)
        assert amended.status_code == 201
        assert len(served.get(f"{place}/sheet").json["amendments"]) == 1
    assert "before 1 later" in served.post(f"{place}/check-pdf", data=pdf).json["says"]
    newer = served.get(f"{place}/sheet.pdf").data
    assert newer != pdf
    assert all(name in text_of(newer)[1] for name in ("No. 11", "Bench set", "Chain was renewed"))
    assert "as it stands" in served.post(f"{place}/check-pdf", data=newer).json["says"]
    another = served.get("/api/cards/1/sheet.pdf").data
    assert "does not agree" in served.post(f"{place}/check-pdf", data=another).json["says"]
    assert served.post("/api/cards/3/check-pdf", data=newer).status_code == 409
    for where in ("fit", "turn-by-hand", "bolts"):
        body: Any = {"fit": {"valve": "1 IN R", "fitted": True, "measured": ""},
                "turn-by-hand": {"turns": 9}, "bolts": BOLTS}[where]  # fmt: skip
        assert card.send("post", f"acts/{where}", status=409, **body)["code"] == "card_signed"


def text_of(pdf: Any) -> Any:
    document = pypdfium2.PdfDocument(pdf)
    said = " ".join(page.get_textpage().get_text_range() for page in document)
    return len(document), " ".join(said.split())


def test_the_pdf_says_all_of_it_and_its_text_can_be_found(card: Any, served: Any) -> None:
    sign(card)
    card.client.post(f"{card.place}/amendments", json={
        "key": "amend-0001", "written_by": "Šárka", "text": "Žluťoučký ≤ 0.2"})  # fmt: skip
    pages, text = text_of(served.get(f"{card.place}/sheet.pdf").data)
    with served.application.extensions["plimb"].database.reading() as session:
        fingerprint = fingerprint_of(session, get_card(session, card.now["id"]))
    assert pages == 1
    for said in ("No. 11", "Corrie Offbeat 690", "Ostrel Hill Climb School", "page 77", "1 IN R",
                 "2.602 (marked 260)", "2.52", "0.152", "−0.002", "in range", "10.0 N·m",
                 "Ada Lund", "Cam caps", "Smooth", "24 000 km", "Šárka", "at most 0.2",
                 "manufacturer's manual", fingerprint):  # fmt: skip
        assert said in text, said


@pytest.mark.parametrize(("engine", "valves"), [(2, 5), (3, 16), (5, 24), (6, 16)])
@pytest.mark.long
def test_up_to_sixteen_valves_go_on_one_page(served: Any, engine: Any, valves: Any) -> None:
    body = {"engine_id": engine, "opened_by": "Ada", "reason": "Interval", "distance": 1}
    opened = served.post("/api/cards", json=body)
    card = Card(served, opened.json["id"])
    for one in card.now["valves"]:
        card.send("post", "acts/gap", valve=one["valve"], purpose="found", text="15-18", unit="mm")
    pages, text = text_of(served.get(f"{card.place}/sheet.pdf").data)
    assert len(card.now["valves"]) == valves
    assert pages == 1 or valves > 16
    assert all(one["valve"] in text for one in card.now["valves"])
    with_fonts = served.get(f"{card.place}/sheet.pdf").data
    assert b"/FontFile2" in with_fonts
    assert b"Archivo" in with_fonts


def test_readings_go_out_as_csv_superseded_ones_too(card: Any, served: Any) -> None:
    card.send("post", "acts/gap", valve="1 IN R", purpose="proof", text="15", unit="mm")
    answer = served.get(f"{card.place}/readings.csv")
    rows = list(csv.DictReader(io.StringIO(answer.text, newline="")))
    proofs = [r for r in rows if r["valve"] == "1 IN R" and r["kind"] == "proof"]
    assert [(r["typed"], r["stands"]) for r in proofs] == [("18-20", "no"), ("15", "yes")]
    assert answer.text.count("\r\n") == len(rows) + 1
    assert {r["thickness_mm"] for r in rows if r["kind"] == "piece"} >= {"2.602", "2.561"}


def test_a_guess_stays_one_on_the_card_in_its_files_and_back_again(card: Any, served: Any) -> None:
    now = card.send("post", "acts/gap", valve="1 IN R", purpose="proof", text="15?", unit="mm")
    valve = next(v for v in now["valves"] if v["valve"] == "1 IN R")
    assert (valve["proof"]["guess"], valve["found"]["guess"]) == (True, False)
    rows = csv.DictReader(io.StringIO(served.get(f"{card.place}/readings.csv").text, newline=""))
    assert [r["guess"] for r in rows if r["typed"] == "15?"] == ["yes"]
    text = served.get(f"{card.place}/card.json").text
    assert text.count('"guess": true') == 2  # as it stands, and in the history
    taken = served.post("/api/cards/file", json={"text": text}).json
    assert next(v for v in taken["valves"] if v["valve"] == "1 IN R")["proof"]["guess"]


def test_a_card_file_is_taken_in_and_is_the_same_card(card: Any, served: Any) -> None:
    text = served.get(f"{card.place}/card.json").text
    taken = served.post("/api/cards/file", json={"text": text})
    assert taken.status_code == 201
    assert taken.json["valves"] == card.now["valves"]
    again = served.get(f"/api/cards/{taken.json['id']}/card.json").text
    there, here = json.loads(again), json.loads(text)
    assert there.pop("origin")["card"] == taken.json["id"]
    broken = here | {"origin": None}
    del here["origin"]
    assert there == here
    broken["rounds"][0]["history"]["gaps"][0]["valve"] = "9 XX"
    refused = served.post("/api/cards/file", json={"text": json.dumps(broken)})
    assert (refused.status_code, refused.json["field"]) == (
        422, "$.rounds[0].history.gaps[0]",
    )  # fmt: skip


def test_the_sheet_on_the_screen_has_every_line_that_is_printed(card: Any, served: Any) -> None:
    """Screen and PDF are one sheet: the same rows, the same figures, the same ranges."""
    sheet = served.get(f"{card.place}/sheet").json
    _pages, printed = text_of(served.get(f"{card.place}/sheet.pdf").data)
    assert [row["valve"] for row in sheet["rows"]] == [one["valve"] for one in card.now["valves"]]
    for row in sheet["rows"]:
        shown = [row["found"], row["left"], row["predicted"]]
        said = [gap["mm"] for gap in shown if gap]
        said += [row[piece]["mm"] for piece in ("piece_out", "piece_in") if row[piece]]
        for figure in (row["valve"], *said):
            assert figure in printed
    for spec in sheet["specs"]:
        assert spec["name"] in printed


def test_an_engine_with_openers_and_closers_has_its_range_for_each_on_the_sheet(
    served: Any,
) -> None:
    start = {
        "layout": "v-twin", "valves": 2, "camshafts": 1, "follower": "opener-closer",
        "angle": None, "reversed_head": False, "crank_along": False, "firing": None,
    }  # fmt: skip
    file = json.loads(served.post("/api/engines/start", json=start).json["document"])
    file["engine"]["spec"] = {
        "intake": {"min": 0.11, "max": 0.16}, "exhaust": {"min": 0.16, "max": 0.21},
        "closer": {"intake": {"min": 0.01, "max": 0.06}, "exhaust": {"min": 0.02, "max": 0.07}},
    }  # fmt: skip
    made = {"label": "No. 40", "note": "", "document": json.dumps(file)}
    assert served.post("/api/engines", json=made).status_code == 201
    engines = served.get("/api/shop").json["engines"]
    number = next(one["id"] for one in engines if one["label"] == "No. 40")
    opened = {"engine_id": number, "opened_by": "E", "reason": "R", "distance": None}
    place = f"/api/cards/{served.post('/api/cards', json={**opened, 'hours': None}).json['id']}"
    specs = served.get(f"{place}/sheet").json["specs"]
    _pages, printed = text_of(served.get(f"{place}/sheet.pdf").data)
    assert [spec["name"] for spec in specs] == [
        "intake opener", "intake closer", "exhaust opener", "exhaust closer",
    ]  # fmt: skip
    for figure in ("0.11–0.16", "0.01–0.06", "0.16–0.21", "0.02–0.07"):
        assert figure in printed


def test_the_bench_shows_each_verdict_at_its_own_valve(card: Any, served: Any) -> None:
    line = next(one for one in served.get("/api/shop").json["cards"] if one["id"] == 4)
    assert line["verdicts"] == {one["valve"]: one["verdict"] for one in card.now["valves"]}
    assert len(set(line["verdicts"].values())) > 1
