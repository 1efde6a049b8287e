"""People over the wire: who works here, signing in and out, and what only owners may do."""

import logging
from typing import Annotated

from apiflask import APIBlueprint
from flask import Response, g, jsonify, request
from pydantic import Field

from plimb.card.said import Sent, sent_to
from plimb.core.errors import NobodyAtWork, OwnersOnly, WrongCode
from plimb.record.journal import begin_work
from plimb.record.people import PersonRole
from plimb.shop import people
from plimb.shop.people import Person, anybody_here
from plimb.web.wire.idempotency import idempotent
from plimb.web.wire.origin import CHANGES
from plimb.web.wire.read_off import Answer, answer_of
from plimb.web.wire.request import bench, now, record
from plimb.web.wire.rights import before_who, owners_only, said_of

blueprint = APIBlueprint("people", __name__, url_prefix="/api/people")

LOG = logging.getLogger("plimb.people")
COOKIE = "plimb"
PersonOut = answer_of(Person, "PersonOut")


class PeopleOut(Answer):
    """Everybody who works or worked here, and who is at work at this screen."""

    people: list[PersonOut]  # type: ignore[valid-type]
    here: PersonOut | None  # type: ignore[valid-type]


def look_who() -> None:
    """Find who asks, and refuse what they may not: for every request, before it is done.

    Raises:
        NobodyAtWork: People are set up, and nobody is signed in at this screen.
        OwnersOnly: It is the owners' to do.
    """
    g.person = None
    if not request.path.startswith("/api/"):
        return
    begin_work("", now())
    with record().reading() as session:
        if not anybody_here(session):
            if bench().beyond and not said_of("before_who"):
                raise NobodyAtWork("Nobody is set up to work here; see plimb people.")
            return
        token = request.cookies.get(COOKIE, "")
        here = people.who_is(session, token, now()) if token else None
    if here is None:
        if not said_of("before_who") and (bench().beyond or request.method in CHANGES):
            raise NobodyAtWork("Choose who works here first.", field="person")
        return
    g.person = here.person
    begin_work(g.person.name, now())
    if here.unseen:
        people.note_seen(record(), token, now())
    own_code = request.endpoint == "people.change_code" and (
        (request.view_args or {}).get("person_id") == g.person.id
    )
    owners = said_of("may") is PersonRole.OWNER or (
        request.endpoint == "people.change_code" and not own_code
    )
    if owners and g.person.role is not PersonRole.OWNER:
        raise OwnersOnly("Only an owner of the shop may do this; let one choose their name here.")


def whoever(typed: str) -> str:
    """Return who is at work at this screen; where nobody is set up, the name that was typed."""
    return g.person.name if getattr(g, "person", None) else typed


def _everybody() -> PeopleOut:
    return PeopleOut(people=people.read_people(record()), here=g.person)


@blueprint.get("")
@blueprint.output(PeopleOut)
@before_who
def get_people() -> PeopleOut:
    """Return who works here, and who is at work at this screen."""
    return _everybody()


Code = Annotated[str, Field(max_length=people.LONGEST)]


@blueprint.post("")
@blueprint.input(sent_to("PersonIn", people.add_person, now=None, code=Code))
@blueprint.output(PeopleOut, status_code=201)
@idempotent(lambda _made: _everybody())
@owners_only
def add_person(json_data: Sent) -> PeopleOut:
    """Set somebody up."""
    people.add_person(record(), **json_data.said(), now=now())
    return _everybody()


@blueprint.put("/<int:person_id>/code")
@blueprint.input(sent_to("CodeIn", people.change_code, now=None, person_id=None, code=Code))
@blueprint.output(PeopleOut)
def change_code(person_id: int, json_data: Sent) -> PeopleOut:
    """Give somebody another code."""
    people.change_code(record(), person_id=person_id, **json_data.said(), now=now())
    return _everybody()


@blueprint.put("/<int:person_id>/role")
@blueprint.input(sent_to("RoleIn", people.change_role, now=None, person_id=None))
@blueprint.output(PeopleOut)
@owners_only
def change_role(person_id: int, json_data: Sent) -> PeopleOut:
    """Make somebody an owner or a technician."""
    people.change_role(record(), person_id=person_id, **json_data.said(), now=now())
    return _everybody()


@blueprint.put("/<int:person_id>/gone")
@blueprint.input(sent_to("GoneIn", people.set_gone, now=None, person_id=None))
@blueprint.output(PeopleOut)
@owners_only
def set_gone(person_id: int, json_data: Sent) -> PeopleOut:
    """Say that somebody works here no more, or again."""
    people.set_gone(record(), person_id=person_id, **json_data.said(), now=now())
    return _everybody()


class SignInIn(Sent):
    """Who it is, and their code."""

    person_id: int
    code: Code


@blueprint.post("/here")
@blueprint.input(SignInIn)
@blueprint.output(PeopleOut)
@before_who
def sign_in(json_data: SignInIn) -> Response:
    """Sign somebody in at this screen."""
    _end_here()
    try:
        done = people.sign_in(record(), **json_data.said(), now=now())
    except WrongCode:
        LOG.warning("wrong code for person %d from %s", json_data.person_id, request.remote_addr)
        raise
    LOG.info("person %d signed in from %s", done.person.id, request.remote_addr)
    g.person = done.person
    answer = jsonify(_everybody().model_dump(mode="json"))
    answer.set_cookie(
        COOKIE, done.token, httponly=True, samesite="Strict", secure=request.is_secure,
        max_age=int(people.WHOLE_STAY.total_seconds()),
    )  # fmt: skip
    return answer


@blueprint.delete("/here")
@blueprint.output(PeopleOut)
@before_who
def sign_out() -> Response:
    """Sign out at this screen."""
    _end_here()
    g.person = None
    answer = jsonify(_everybody().model_dump(mode="json"))
    answer.delete_cookie(COOKIE, httponly=True, samesite="Strict", secure=request.is_secure)
    return answer


def _end_here() -> None:
    if token := request.cookies.get(COOKIE):
        people.sign_out(record(), token)
