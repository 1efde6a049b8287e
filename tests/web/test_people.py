"""Who works here: set up, signed in, let do what is theirs, found in what they wrote."""

from datetime import timedelta
from typing import Any

import pytest

from plimb.record.database import Database
from plimb.record.people import PersonRole
from plimb.shop.people import IDLE, WHOLE_STAY, add_person
from plimb.web.server.application import create_app

from ..conftest import NOON


class Clock:
    now = NOON

    def __call__(self) -> Any:
        return self.now


@pytest.fixture
def clock() -> Any:
    return Clock()


@pytest.fixture
def app(school: Database, clock: Any) -> Any:
    add_person(school, name="Oda Ferrin", role=PersonRole.OWNER, code="hill-climb", now=NOON)
    add_person(school, name="Pim Ostrel", role=PersonRole.TECHNICIAN, code="4711", now=NOON)
    return create_app(school, clock=clock)


@pytest.fixture
def bench(app: Any) -> Any:
    return app.test_client()


def here(client: Any, person: Any = 2, code: Any = "4711") -> Any:
    return client.post("/api/people/here", json={"person_id": person, "code": code})


def open_card(client: Any, key: Any = "opened-01") -> Any:
    return client.post("/api/cards", json={"engine_id": 1, "opened_by": "Anybody",
                                           "reason": "Interval"})  # fmt: skip


def settings(client: Any) -> Any:
    return client.patch("/api/settings", json={"hand_turns": 3})


def test_whoever_changes_something_is_somebody_and_anybody_may_look(bench: Any) -> None:
    assert bench.get("/api/cards/3").status_code == 200
    refused = open_card(bench)
    assert (refused.status_code, refused.json["code"]) == (401, "who")
    said = here(bench)
    assert said.json["here"]["name"] == "Pim Ostrel"
    cookie = said.headers["Set-Cookie"]
    assert "HttpOnly" in cookie
    assert "SameSite=Strict" in cookie
    opened = open_card(bench)
    assert (opened.status_code, opened.json["opened_by"]) == (201, "Pim Ostrel")
    (last, *_rest) = bench.get(f"/api/history/card/{opened.json['id']}").json["happened"]
    assert (last["who"], last["what"]) == ("Pim Ostrel", "card opened")
    assert bench.delete("/api/people/here").json["here"] is None
    assert open_card(bench).status_code == 401


def test_settings_people_and_copies_are_the_owners(bench: Any) -> None:
    here(bench)
    for refused in (
        settings(bench),
        bench.post("/api/people", json={"name": "X", "role": "owner", "code": "long-enough"}),
        bench.put("/api/people/1/code", json={"code": "taken-over"}),
        bench.put("/api/people/2/role", json={"role": "owner"}),
        bench.post("/api/copies/put-back", json={"name": "x.sqlite3"}),
        bench.post("/api/keys", json={"name": "x", "public": "A" * 43}),
    ):
        assert (refused.status_code, refused.json["code"]) == (403, "owners_only")
    here(bench, 1, "hill-climb")
    assert settings(bench).status_code == 200


def test_who_may_is_said_at_every_address(app: Any) -> None:
    """A right that was lost with a view that was renamed or written anew fails here."""
    app = getattr(app, "app", app)
    marked = {"may": set(), "before_who": set()}
    for rule in app.url_map.iter_rules():
        view = app.view_functions[rule.endpoint]
        for name, places in marked.items():
            if getattr(view, name, None) not in (None, PersonRole.TECHNICIAN):
                (verb,) = rule.methods - {"HEAD", "OPTIONS"}
                places.add(f"{verb} {rule.rule}")
    assert marked["may"] == {
        "PATCH /api/settings", "POST /api/copies/put-back",
        "POST /api/people", "PUT /api/people/<int:person_id>/role",
        "PUT /api/people/<int:person_id>/gone", "POST /api/keys", "DELETE /api/keys/<int:key_id>",
        "POST /api/calendar",
    }  # fmt: skip
    assert marked["before_who"] == {
        "GET /api/health", "GET /api/people", "POST /api/people/here", "DELETE /api/people/here",
        "GET /api/address/authority.pem", "GET /api/calendar/<secret>.ics",
    }  # fmt: skip


def test_a_code_of_ones_own_is_changed_and_ends_every_other_screen(app: Any, bench: Any) -> None:
    other = app.test_client()
    here(bench)
    here(other)
    assert bench.put("/api/people/2/code", json={"code": "90210"}).status_code == 200
    assert open_card(other).status_code == 401
    assert here(other).status_code == 403
    assert here(other, code="90210").status_code == 200


def test_wrong_codes_cost_time_and_a_right_one_before_it_is_up_too(bench: Any, clock: Any) -> None:
    for _try in range(3):
        assert here(bench, code="0000").json["sentence"] == "That is not the code."
    assert "try again in 2 s" in here(bench).json["sentence"]
    clock.now += timedelta(seconds=2)
    assert here(bench, code="1111").json["sentence"] == "That is not the code."
    assert "try again in 4 s" in here(bench).json["sentence"]
    assert here(bench, 1, "hill-climb").status_code == 200  # nobody else waits
    clock.now += timedelta(seconds=4)
    assert here(bench).status_code == 200
    assert here(bench, 99, "4711").json["sentence"] == "That is not the code."


def test_a_screen_left_alone_for_a_day_and_one_used_for_a_week_sign_out(
    bench: Any, clock: Any
) -> None:
    here(bench)
    clock.now += IDLE - timedelta(minutes=1)
    assert open_card(bench).status_code == 201
    clock.now += IDLE - timedelta(minutes=11)
    assert open_card(bench).status_code == 201
    clock.now += IDLE + timedelta(minutes=1)
    assert open_card(bench).status_code == 401
    here(bench)
    begun = clock.now
    while clock.now - begun < WHOLE_STAY - IDLE:
        clock.now += IDLE / 2
        assert settings(bench).status_code == 403
    clock.now = begun + WHOLE_STAY + timedelta(minutes=1)
    assert settings(bench).status_code == 401


def test_who_leaves_is_out_at_once_and_what_they_wrote_stays_theirs(app: Any, bench: Any) -> None:
    pim = app.test_client()
    here(pim)
    card = open_card(pim).json["id"]
    here(bench, 1, "hill-climb")
    assert bench.put("/api/people/2/gone", json={"gone": True}).status_code == 200
    assert open_card(pim).status_code == 401
    assert here(pim).status_code == 403
    assert bench.get(f"/api/cards/{card}").json["opened_by"] == "Pim Ostrel"
    bench.put("/api/people/2/gone", json={"gone": False})
    assert here(pim).status_code == 200


@pytest.mark.parametrize("how", [("role", {"role": "technician"}), ("gone", {"gone": True})])
def test_one_owner_is_always_left(bench: Any, how: Any) -> None:
    here(bench, 1, "hill-climb")
    said = bench.put(f"/api/people/1/{how[0]}", json=how[1])
    assert (said.status_code, "only owner" in said.json["sentence"]) == (409, True)


@pytest.mark.parametrize(
    ("name", "role", "code", "field"),
    [
        ("", "technician", "4812", "name"),
        ("oda FERRIN", "technician", "4812", "name"),
        ("Udo", "technician", "481", "code"),
        ("Udo", "technician", "1111", "code"),
        ("Udo", "technician", "4567", "code"),
        ("Udo", "owner", "4812999", "code"),
        ("Udo", "technician", "x" * 65, "json.code"),
    ],
)
def test_who_cannot_be_set_up_so(bench: Any, name: Any, role: Any, code: Any, field: Any) -> None:
    here(bench, 1, "hill-climb")
    said = bench.post("/api/people", json={"name": name, "role": role, "code": code})
    assert said.status_code == 422
    assert said.json["field"] in (field, field.removeprefix("json."))
    assert len(bench.get("/api/people").json["people"]) == 2


def test_the_first_one_is_an_owner_and_set_up_by_anybody_at_this_machine(school: Database) -> None:
    client = create_app(school).test_client()
    said = client.post("/api/people", json={"name": "Udo", "role": "technician", "code": "4812"})
    assert (said.status_code, said.json["field"]) == (422, "role")
    assert open_card(client).json["opened_by"] == "Anybody"
    made = client.post("/api/people", json={"name": "Udo", "role": "owner", "code": "4812-4812"})
    assert made.status_code == 201
    assert open_card(client).status_code == 401


def test_codes_and_tokens_are_kept_as_hashes_and_leave_with_no_file(
    app: Any, bench: Any, school: Database
) -> None:
    token = here(bench).headers["Set-Cookie"].split("plimb=")[1].split(";")[0]
    with school.reading() as session:
        raw = session.connection()
        codes = [code for (code,) in raw.exec_driver_sql("SELECT code FROM person")]
        tokens = [one for (one,) in raw.exec_driver_sql("SELECT token FROM sitting")]
        noted = raw.exec_driver_sql("SELECT group_concat(new) FROM change").scalar()
    assert all(code.startswith("$argon2id$") for code in codes)
    assert token not in tokens
    assert "argon2" not in noted


def test_a_change_of_every_kind_is_in_the_history_with_what_was_before(bench: Any) -> None:
    here(bench, 1, "hill-climb")
    settings(bench)
    (last, *_rest) = bench.get("/api/history/shop/1").json["happened"]
    assert (last["who"], last["what"]) == ("Oda Ferrin", "settings changed")
    assert last["changes"] == [{"name": "Full turns by hand", "was": "2", "now": "3"}]
    card = bench.get("/api/cards/2").json
    bench.post("/api/cards/2/acts/conditions", json={
        "rested_hours": "15", "temperature_c": "11", "reason": "", "version": card["version"],
        "key": "cold-one-1"})  # fmt: skip
    happened = bench.get("/api/history/card/2").json["happened"]
    assert happened[0]["who"] == "Oda Ferrin"
    said = {one["name"]: (one["was"], one["now"]) for one in happened[0]["changes"]}
    assert said == {"rested, hours": ("14", "15"), "°C": ("9", "11")}
    assert any(one["what"] == "card opened" for one in happened)
    whats = {one["what"] for n in (1, 2, 3, 4)
             for one in bench.get(f"/api/history/card/{n}").json["happened"]}  # fmt: skip
    assert {"gap written down", "signed", "list ticked", "shim chosen"} <= whats
    assert not {what for what in whats if what.split()[-1] in ("True", "False")}
    assert bench.get("/api/history/engine/1").json["happened"][0]["what"] == "engine entered"
    pieces = bench.get("/api/history/piece/1").json["happened"]
    assert any(change["name"] == "where" for one in pieces for change in one["changes"])
    assert bench.get("/api/history/card/99").status_code == 404
    assert bench.get("/api/history/moon/1").status_code == 404
