"""Pieces over the wire: read, planned, taken, ordered, received, and at rest when signed."""

from time import sleep
from typing import Any

import pytest

from plimb.core.lengths import mm
from plimb.record.database import Database
from plimb.record.shims import audit
from plimb.standins.counter import run_counter
from plimb.standins.instrument import SimulatedMicrometer
from plimb.web.server.application import create_app
from plimb.web.server.serving import keep_readings

from ..conftest import NOON


class Card:
    """One card over the wire; each act with a key of its own."""

    def __init__(self, client: Any, number: Any) -> None:
        self.client, self.place, self.acts = client, f"/api/cards/{number}", 0
        self.now = client.get(self.place).json

    def send(self, method: Any, where: Any, *, status: Any = 200, **body: Any) -> Any:
        self.acts += 1
        key = f"act-{self.acts:08}"
        answer = getattr(self.client, method)(
            f"{self.place}/{where}", json={"version": self.now["version"], "key": key, **body}
        )
        assert answer.status_code == status, answer.json
        if status == 200 and "valves" in answer.json:
            self.now = answer.json
        return answer.json

    def valve(self, name: Any) -> Any:
        return next(one for one in self.now["valves"] if one["valve"] == name)

    def plan(self) -> Any:
        return self.client.get(f"{self.place}/plan").json

    def move(self, name: Any) -> Any:
        return next(one for one in self.plan()["moves"] if one["valve"] == name)


@pytest.fixture
def card(school: Database) -> Any:
    counter = run_counter()
    return Card(create_app(school, clock=lambda: NOON, counter=counter).test_client(), 3)


def pieces(card: Any, nominal_nm: Any) -> Any:
    family = pockets(card)["id"]
    place = f"/api/families/{family}/pocket?nominal_nm={nominal_nm}"
    return card.client.get(place).json["pieces"]


def pockets(card: Any, name: Any = "8.90 mm") -> Any:
    drawer = card.client.get("/api/drawer").json
    return next(one for one in drawer["families"] if one["name"] == name)


def test_an_ambiguous_marking_is_asked_about_with_what_it_could_be(card: Any) -> None:
    refused = card.send("post", "acts/shim", status=422, valve="3 EX L", text="25?")
    assert refused["code"] == "ambiguous"
    assert [mm(one.removeprefix("25?=")) for one in refused["offers"]] == [
        mm(f"2.{n}") for n in ("50", "525", "55", "575")
    ]
    card.send("post", "acts/shim", valve="3 EX L", text=refused["offers"][0])
    assert card.valve("3 EX L")["piece"]["marked_as"]["nm"] == mm("2.50")


def test_a_disagreement_is_answered_once_and_counts_in_the_sum(card: Any) -> None:
    piece = card.valve("3 IN L")["piece"]
    assert (piece["disagrees"], piece["answered"]) == (True, False)
    assert "3 IN L" in next(t for t in card.now["todo"] if t["stage"] == "read")["waiting"]
    before = card.move("3 IN L")
    card.send("post", "acts/trust", valve="3 IN L", trust="marked")
    piece = card.valve("3 IN L")["piece"]
    assert (piece["answered"], piece["thickness"]["mm"]) == (True, "2.40")
    assert "3 IN L" not in next(t for t in card.now["todo"] if t["stage"] == "read")["waiting"]
    assert card.move("3 IN L")["why"] != before["why"]
    refused = card.send("post", "acts/trust", status=409, valve="1 IN R", trust="marked")
    assert refused["code"] == "not_ready"


def test_the_zero_is_taken_off_and_the_instrument_says_what_it_is_good_to(card: Any) -> None:
    card.send("post", "acts/zero", instrument_id=1, zero="-0.004")
    assert card.now["zero"]["nm"] == -4000
    card.send("post", "acts/shim", valve="1 IN R", text="2.444 2.446", condition="worn")
    piece = card.valve("1 IN R")["piece"]
    assert (piece["thickness"]["mm"], piece["condition"]) == ("2.449", "worn")
    assert piece["spread"]["mm"] == "0.002"
    for zero in ("0.2", "abc"):
        card.send("post", "acts/zero", status=422, instrument_id=1, zero=zero)
    card.send("post", "acts/zero", status=404, instrument_id=99, zero="")


def test_the_plan_is_taken_whole_and_what_it_takes_is_kept_back(card: Any) -> None:
    plan = card.plan()
    assert (plan["optimal"], plan["taken"]) == (True, False)
    from_drawer = [m for m in plan["moves"] if m["source"] == "drawer"]
    assert from_drawer
    lying = pockets(card)["pieces"]
    card.send("post", "acts/take-plan")
    family = pockets(card)
    assert family["pieces"] == lying - len(from_drawer)
    assert family["on_trays"] == len(from_drawer)
    again = card.plan()
    assert again["taken"]
    assert [m["thickness"] for m in again["moves"]] == [m["thickness"] for m in plan["moves"]]
    for move in plan["moves"]:
        if move["changes"]:
            assert card.valve(move["valve"])["chosen"]["thickness"]["nm"] == move["thickness"]["nm"]


def test_a_pin_holds_and_the_plan_goes_round_it(card: Any) -> None:
    plan = card.plan()
    rung = next(r for r in card.move("1 EX R")["options"] if r["source"] == "drawer")
    card.send("post", "acts/choose", valve="1 EX R", thickness_nm=rung["thickness"]["nm"],
              source="drawer", from_valve=None)  # fmt: skip
    move = card.move("1 EX R")
    assert move["source"] == "drawer"
    assert move["why"].startswith("Decided by hand.")
    card.send("post", "acts/choose", valve="1 EX R", thickness_nm=None)
    assert card.plan()["moves"] == plan["moves"]


def test_a_piece_that_went_from_the_drawer_meanwhile_is_not_taken(card: Any) -> None:
    shim = pieces(card, mm("2.65"))[0]
    gone = {"where": "gone"}
    body = {"seen": shim["place"], "to": gone, "why": "lost"}
    assert card.client.post(f"/api/shims/{shim['id']}/moves", json=body).status_code == 201
    refused = card.send("post", "acts/choose", status=409, valve="2 EX R", thickness_nm=mm("2.65"),
                        source="drawer", from_valve=None)  # fmt: skip
    assert "drawer any more" in refused["sentence"]
    again = card.client.post(f"/api/shims/{shim['id']}/moves", json=body)
    assert (again.status_code, again.json["code"]) == (409, "piece_moved")


@pytest.mark.parametrize(
    ("body", "field"),
    [
        ({"thickness_nm": mm("2.46"), "source": "counter"}, "thickness_nm"),
        ({"thickness_nm": mm("2.5"), "source": "engine", "from_valve": "2 IN R"}, "from_valve"),
        ({"thickness_nm": mm("2.5"), "source": "engine", "from_valve": "9 XX"}, "valve"),
        ({"thickness_nm": mm("0.1"), "source": "drawer"}, "shim"),
    ],
)
def test_a_choice_that_cannot_be_is_refused(card: Any, body: Any, field: Any) -> None:
    refused = card.send("post", "acts/choose", status=422, valve="1 EX R", **body)
    assert refused["field"] == field


def test_a_forbidden_piece_is_left_out_and_allowed_again(card: Any) -> None:
    nm = card.move("1 EX R")["thickness"]["nm"]
    card.send("post", "acts/rule-out", valve="1 EX R", thickness_nm=nm, forbidden=True)
    assert card.move("1 EX R")["thickness"]["nm"] != nm
    card.send("post", "acts/rule-out", valve="1 EX R", thickness_nm=nm, forbidden=False)
    assert card.move("1 EX R")["thickness"]["nm"] == nm


def test_the_alternatives_are_one_choice_away_and_priced(card: Any) -> None:
    variants = {one["name"]: one for one in card.plan()["variants"]}
    assert float(variants["best"]["cost"]) <= float(variants["only-new"]["cost"])
    card.send("post", "acts/variant", variant="only-new")
    plan = card.plan()
    assert (plan["variant"], plan["cost"]) == ("only-new", variants["only-new"]["cost"])
    assert all(m["source"] in ("same", "counter") for m in plan["moves"])
    card.send("post", "acts/variant", status=422, variant="cheapest")


def test_what_is_bought_is_ordered_once_received_once_and_ends_in_its_valve(
    card: Any, school: Database
) -> None:
    card.send("post", "acts/trust", valve="3 IN L", trust="measured")
    card.send("post", "acts/variant", variant="only-new")
    card.send("post", "acts/take-plan")
    wanted = sum(line["count"] for line in card.plan()["buy"])
    quotes = card.client.post(f"{card.place}/quotes")
    assert sum(line["count"] for line in quotes.json["lines"]) == wanted
    listed = card.client.get(f"{card.place}/buy.csv").text.split("\r\n")
    assert listed[0].startswith("thickness_mm,diameter_mm,count,price,must_measure_mm,")
    assert len(listed) == len(quotes.json["lines"]) + 2
    for _sent_twice in range(2):
        plan = card.client.post(f"{card.place}/orders", json={"key": "order-000001"})
        assert plan.status_code == 201
    orders = plan.json["orders"]
    assert len(orders) == 1
    assert pockets(card)["on_order"] == sum(
        line["count"] for line in orders[0]["lines"] if line["state"] != "refused"
    )
    here = [line for line in orders[0]["lines"] if line["state"] != "refused"]
    for line in here:
        for _told_twice in range(2):
            answer = card.client.post(f"{card.place}/received/{line['id']}")
            assert answer.status_code == 200
    assert pockets(card)["on_order"] == 0
    assert pockets(card)["on_trays"] == sum(line["count"] for line in here)
    if len(here) == len(orders[0]["lines"]):
        nothing = card.client.post(f"{card.place}/quotes")
        assert (nothing.status_code, nothing.json["code"]) == (409, "not_ready")
    chosen = {
        v["valve"]: v["chosen"]["thickness"]["nm"] for v in card.now["valves"] if v["touched"]
    }
    card.send("post", "acts/sign", signed_by="Ada", remarks="no proof here")
    with school.reading() as session:
        assert audit(session) == []
        from plimb.record.tables.shim import ShimRow

        fitted = session.query(ShimRow).where(ShimRow.engine_id == 1)
        assert {one.valve: one.thickness_nm for one in fitted if one.valve in chosen} == chosen
    assert pockets(card)["on_trays"] == 0


def test_swapped_pieces_end_in_each_others_valves_and_nothing_is_lost(
    card: Any, school: Database
) -> None:
    card.send("post", "acts/trust", valve="3 IN L", trust="measured")
    before = pockets(card)
    there = before["pieces"] + before["in_engines"]
    moves = [m for m in card.plan()["moves"] if m["changes"]]
    assert any(m["source"] == "engine" for m in moves)
    card.send("post", "acts/take-plan")
    card.send("post", "acts/sign", signed_by="Ada", remarks="no proof here")
    after = pockets(card)
    assert after["pieces"] + after["in_engines"] == there
    assert (after["in_engines"], after["on_trays"]) == (before["in_engines"], 0)
    with school.reading() as session:
        assert audit(session) == []


def test_without_a_counter_the_list_is_taken_along(school: Database) -> None:
    card = Card(create_app(school, clock=lambda: NOON).test_client(), 3)
    card.send("post", "acts/variant", variant="only-new")
    card.send("post", "acts/take-plan")
    answer = card.client.post(f"{card.place}/orders", json={"key": "order-000001"})
    assert (answer.status_code, answer.json["code"]) == (503, "counter_away")
    assert not card.plan()["counter"]


def test_the_micrometers_readings_reach_the_screen(school: Database) -> None:
    micrometer = SimulatedMicrometer()
    keep_readings(school.path, micrometer.port)
    app = create_app(school, clock=lambda: NOON, instrument=micrometer.port)
    client = app.test_client()
    assert client.get("/api/instrument/readings/0").json["connected"]
    body = {"card_id": 3, "valve": "1 IN R"}
    client.post("/api/instrument/press", json=body)
    for _try in range(400):  # the reading comes by another way than the answer
        said = client.get("/api/instrument/readings/0").json
        if said["count"]:
            break
        sleep(0.05)
    assert said["lines"][0].endswith(" mm")
    assert client.get(f"/api/instrument/readings/{said['count']}").json["lines"] == []
    assert client.post("/api/instrument/press", json=body | {"valve": "9"}).status_code == 422
    micrometer.close()
    plain = create_app(school, clock=lambda: NOON).test_client()
    assert plain.post("/api/instrument/press", json=body).status_code == 409


def test_instruments_are_added_once(card: Any) -> None:
    body = {"name": "Thimble", "doubt": "0.002"}
    shop = card.client.post("/api/instruments", json=body)
    assert shop.json["instruments"][0]["name"] == "Thimble"
    for wrong in (body, {"name": "", "doubt": "0.1"}, {"name": "x", "doubt": "0"}):
        assert card.client.post("/api/instruments", json=wrong).status_code == 422


def test_the_drawer_over_the_wire(card: Any) -> None:
    family = pockets(card)
    place = f"/api/families/{family['id']}"
    added = card.client.post(f"{place}/pieces", json={"text": "2.655x2", "condition": "worn"})
    assert (added.status_code, added.json["added"]) == (201, 2)
    count = {"nominal_nm": mm("2.65"), "counted": 1, "seen": 3}
    assert card.client.put(f"{place}/count", json=count).status_code == 200
    assert card.client.put(f"{place}/count", json=count).status_code == 409
    text = card.client.get("/api/drawer.csv")
    assert text.mimetype == "text/csv"
    back = card.client.post("/api/drawer/csv", json={"text": text.text})
    assert back.json["added"] > 0
    first = next(p["nominal"]["nm"] for p in family["pockets"] if p["count"])
    shim = pieces(card, first)[0]
    history = card.client.get(f"/api/shims/{shim['id']}/history").json["moves"]
    assert history[0].endswith("nowhere → drawer: put into the drawer")
    body = {k: "" for k in ("name", "diameter", "price", "kit_price", "supplier")} | {
        "seen": 0, "runs": [], "code": "auto", "kit_each": 3, "low_stock": 0,
    }  # fmt: skip
    assert card.client.post("/api/families", json=body).json["field"] == "name"
    body |= {"name": "New", "runs": [{"low": "2", "high": "3", "step": "0.05"}]}
    assert card.client.post("/api/families", json=body).status_code == 201
