"""Who works here: names, codes, roles, and at which screen each is signed in."""

import hashlib
import secrets
from dataclasses import dataclass
from datetime import datetime, timedelta
from functools import cache
from itertools import pairwise

from argon2 import PasswordHasher
from argon2.exceptions import VerificationError
from sqlalchemy.orm import Session

from plimb.core.errors import BadValue, NotFound, NotReady, WrongCode
from plimb.record.database import Database
from plimb.record.idempotency import note_done
from plimb.record.people import (
    PersonRole,
    add_sitting,
    count_wrong,
    drop_sittings,
    forget_wrong,
    get_person,
    list_people,
    people_at_work,
    sitting_of,
    somebody_at_work,
    wrong_codes,
)
from plimb.record.tables.people import PersonRow

SHORTEST = {PersonRole.TECHNICIAN: 4, PersonRole.OWNER: 8}
"""How long a code is at least; a short one holds because wrong ones cost time."""
LONGEST = 64
IDLE, WHOLE_STAY = timedelta(hours=12), timedelta(days=7)
"""After a working day without a touch, and after a week in any case, one signs in again."""
FREE_TRIES, LONGEST_WAIT, MOST_COUNTED = 3, 300, 1000


@dataclass(frozen=True, slots=True, kw_only=True)
class Person:
    """Somebody who works here; `has_code` says whether they can sign in."""

    id: int
    name: str
    role: PersonRole
    has_code: bool
    left_at: datetime | None


@dataclass(frozen=True, slots=True, kw_only=True)
class SignedIn:
    """Who signed in, and the token that the screen keeps for it."""

    person: Person
    token: str


@cache
def _hasher() -> PasswordHasher:
    return PasswordHasher()  # argon2id (RFC 9106), the second recommended setting


@cache
def _no_ones() -> str:
    """Return a hash that no code has, so that an unknown name takes as long as a known one."""
    return _hasher().hash(secrets.token_hex(16))


def _wait_s(session: Session, who: str, now: datetime) -> int:
    """Return for how many seconds no code of somebody's is looked at.

    After a few wrong ones each one more costs twice the time, up to a limit.
    """
    count, last = wrong_codes(session, who)
    if count < FREE_TRIES or last is None:
        return 0
    wait_s: int = min(2 ** min(count - FREE_TRIES + 1, 20), LONGEST_WAIT)
    return max(0, wait_s - int((now - last).total_seconds()))


def read_people(database: Database) -> tuple[Person, ...]:
    """Return everybody who works or worked here, by name."""
    with database.reading() as session:
        return tuple(_person(row) for row in list_people(session))


def anybody_here(session: Session) -> bool:
    """Return whether anybody is set up: from then on every change is somebody's."""
    return somebody_at_work(session)


def _person(row: PersonRow) -> Person:
    return Person(
        id=row.id, name=row.name, role=row.role, has_code=row.code is not None, left_at=row.left_at
    )


def add_person(
    database: Database, *, name: str, role: PersonRole, code: str, now: datetime
) -> Person:
    """Set somebody up with a code.

    Raises:
        BadValue: No name or one that is taken, a code too short or too plain, or the first one
            is no owner.
    """
    name = " ".join(name.split())
    if not 0 < len(name) <= 80:
        raise BadValue("Write a name of at most 80 letters.", field="name")
    hashed = _hashed(code, role)
    with database.writing("person set up", now) as session:
        known = list_people(session)
        if any(person.name.casefold() == name.casefold() for person in known):
            raise BadValue(f"There is a “{name}” already.", field="name")
        if role is not PersonRole.OWNER and not _owners(known):
            raise BadValue("The first one is an owner: somebody has to set up the others.",
                           field="role")  # fmt: skip
        row = PersonRow(name=name, role=role, code=hashed, made_at=now)
        session.add(row)
        session.flush()
        note_done(session, row.id)
        return _person(row)


def _owners(rows: list[PersonRow]) -> list[PersonRow]:
    return [row for row in rows if row.role is PersonRole.OWNER and row.left_at is None]


def _hashed(code: str, role: PersonRole) -> str:
    """Return a code as it is kept; BadValue where it is too short, too long or too plain."""
    least = SHORTEST[role]
    if not least <= len(code) <= LONGEST:
        whose = "an owner" if role is PersonRole.OWNER else "a technician"
        raise BadValue(f"A code of {whose} has {least} to {LONGEST} signs.", field="code")
    steps = {ord(after) - ord(before) for before, after in pairwise(code)}
    if steps <= {0} or steps <= {1} or steps <= {-1}:
        raise BadValue("This code is the first that anybody tries; take another.", field="code")
    return _hasher().hash(code)


def change_code(database: Database, *, person_id: int, code: str, now: datetime) -> None:
    """Give somebody another code; wherever they are signed in they sign in again.

    Raises:
        NotFound: There is nobody of that number.
        BadValue: It is too short or too plain.
    """
    with database.reading() as session:
        role = get_person(session, person_id).role
    hashed = _hashed(code, role)
    with database.writing("code changed", now) as session:
        row = get_person(session, person_id)
        row.code = hashed
        drop_sittings(session, row.id)


def change_role(database: Database, *, person_id: int, role: PersonRole, now: datetime) -> None:
    """Make somebody an owner or a technician.

    Raises:
        NotFound: There is nobody of that number.
        NotReady: No owner would be left.
    """
    with database.writing("role changed", now) as session:
        row = get_person(session, person_id)
        if role is not PersonRole.OWNER:
            _refuse_last_owner(session, row)
        row.role = role
        drop_sittings(session, row.id)


def set_gone(database: Database, *, person_id: int, gone: bool, now: datetime) -> None:
    """Say that somebody works here no more, or again; what they wrote stays theirs.

    Raises:
        NotFound: There is nobody of that number.
        NotReady: No owner would be left.
    """
    with database.writing("left" if gone else "back again", now) as session:
        row = get_person(session, person_id)
        if gone:
            _refuse_last_owner(session, row)
            drop_sittings(session, row.id)
        row.left_at = now if gone else None


def _refuse_last_owner(session: Session, row: PersonRow) -> None:
    if row in (owners := _owners(list_people(session))) and len(owners) == 1:
        raise NotReady(f"{row.name} is the only owner; make somebody else one first.",
                       field="person")  # fmt: skip


def sign_in(database: Database, *, person_id: int, code: str, now: datetime) -> SignedIn:
    """Sign somebody in at a screen.

    Raises:
        WrongCode: It is not their code, or wrong ones came too fast.
    """
    who = str(person_id)
    with database.writing("a code is tried", now) as session:
        if wait_s := _wait_s(session, who, now):
            raise WrongCode(f"Too many wrong codes: try again in {wait_s} s.")
        # counted before it is looked at: many at once are many
        count_wrong(session, who, now, most=MOST_COUNTED)
        row = next((person for person in people_at_work(session) if person.id == person_id), None)
        kept = row.code if row else None
    try:
        _hasher().verify(kept or _no_ones(), code)
    except VerificationError:
        raise WrongCode("That is not the code.") from None
    token = secrets.token_urlsafe(32)
    with database.writing("signed in", now) as session:
        forget_wrong(session, who)
        row = get_person(session, person_id)
        add_sitting(session, row, _kept(token), now, longest=WHOLE_STAY)
        return SignedIn(person=_person(row), token=token)


def sign_out(database: Database, token: str) -> None:
    """End what a screen's token stands for; nothing happens where it stands for nothing."""
    with database.writing("signed out") as session:
        sitting = sitting_of(session, _kept(token))
        if sitting is not None:
            session.delete(sitting)


SEEN_EVERY = timedelta(minutes=10)


@dataclass(frozen=True, slots=True, kw_only=True)
class Here:
    """Who is signed in at a screen; `unseen` says that it was not used for some minutes."""

    person: Person
    unseen: bool


def who_is(session: Session, token: str, now: datetime) -> Here | None:
    """Return who is signed in with a token, None where nobody is any more."""
    sitting = sitting_of(session, _kept(token))
    if sitting is None or sitting.person.left_at is not None:
        return None
    if now - sitting.seen_at > IDLE or now - sitting.begun_at > WHOLE_STAY:
        return None
    return Here(person=_person(sitting.person), unseen=now - sitting.seen_at >= SEEN_EVERY)


def note_seen(database: Database, token: str, now: datetime) -> None:
    """Note that a screen is used now."""
    with database.writing("seen", now) as session:
        sitting = sitting_of(session, _kept(token))
        if sitting is not None:
            sitting.seen_at = now


def _kept(token: str) -> str:
    return hashlib.sha256(token.encode()).hexdigest()


def person_called(database: Database, name: str) -> Person:
    """Return who is called so here; NotFound where nobody is."""
    for person in read_people(database):
        if person.name.casefold() == name.strip().casefold():
            return person
    raise NotFound(f"Nobody here is called “{name}”.", field="name")
