"""What a technician does to a card as a whole: one function an act, one transaction each."""

from collections.abc import Callable, Collection, Mapping
from dataclasses import dataclass
from datetime import datetime
from functools import wraps
from inspect import signature
from typing import Any, Concatenate, ParamSpec

from sqlalchemy.orm import Session, object_session

from plimb.card.build import engine_of, status_of
from plimb.card.registry import ACTS, Act, Payload, act_of, clash
from plimb.card.said import payload_of
from plimb.card.search import keep_words
from plimb.core.engine.engine import Clearance, Engine
from plimb.core.errors import StaleVersion
from plimb.core.job.summary import summary_of
from plimb.core.job.valve import ValveRecord
from plimb.record.cards import acts_since, done_before, get_card, refuse_signed, step
from plimb.record.database import Database
from plimb.record.readings import written
from plimb.record.tables.card import CardRow, RoundRow


@dataclass(frozen=True, slots=True, kw_only=True)
class Change:
    """Who changes which card, on the strength of which version, and when.

    `key` is the sender's own name for this act: sent twice, it is done once.
    """

    card_id: int
    version: int
    key: str
    now: datetime


@dataclass(frozen=True, slots=True, kw_only=True)
class Written:
    """The card that was written to, and its version now."""

    id: int
    version: int


@dataclass(frozen=True, slots=True, kw_only=True)
class OnCard:
    """What an act on a card works with: the record, the card, the moment."""

    session: Session
    card: CardRow
    now: datetime

    @property
    def round(self) -> RoundRow:
        """The round the card is in."""
        return self.card.rounds[-1]

    def tick(self, items: Collection[str], *, done: bool) -> None:
        """Tick lines of the card's lists, or take their ticks back."""
        without = [kept for kept in self.card.seen_to if kept not in items]
        self.card.seen_to = [*without, *items] if done else without

    @property
    def engine(self) -> Engine:
        """The engine the card was opened with."""
        return engine_of(self.card)

    @property
    def records(self) -> dict[str, ValveRecord]:
        """What stands written for each valve in this round."""
        return written(self.round, self.engine, self.card.trust)


Said = ParamSpec("Said")

Do = Callable[Concatenate[OnCard, Said], None]
Done = Callable[Concatenate[Database, Change, Said], Written]


@dataclass(frozen=True, slots=True, kw_only=True)
class Doing:
    """How an act is done: its row, the function, and what is sent for it besides the usual."""

    row: Act
    do: Callable[..., None]
    done: Callable[..., Written]
    payload: Callable[[dict[str, Any]], dict[str, Any]]
    sent: Mapping[str, Any]


DOING: dict[str, Doing] = {}
"""How each act is done, by its kind."""


def act(kind: str, **sent: Any) -> Callable[[Do[Said]], Done[Said]]:
    """Make of a function the act of a kind: one transaction, with what lists show of the card.

    What is said with it is what the function takes by name; `sent` are the kinds of what is sent
    in another form or length. Sent twice with one key an act is done once. Besides what the
    function says, each act raises StaleVersion, CardSigned or NotFound where the card cannot take
    it; then nothing is written.
    """
    row = ACTS[kind]

    def make(do: Do[Said]) -> Done[Said]:
        says, payload = signature(do), payload_of(do)

        @wraps(do)
        def done(
            database: Database, change: Change, /, *args: Said.args, **said: Said.kwargs
        ) -> Written:
            bound = says.bind(None, *args, **said)
            bound.apply_defaults()
            stored = payload(dict(list(bound.arguments.items())[1:]))
            with database.writing(kind, change.now) as session:
                card = get_card(session, change.card_id)
                if not done_before(session, card, change.key, kind, stored):
                    _step(session, card, change, row, stored)
                    do(OnCard(session=session, card=card, now=change.now), *args, **said)
                    session.flush()
                    keep_summary(card)
                return Written(id=card.id, version=card.version)

        DOING[kind] = Doing(row=row, do=do, done=done, payload=payload, sent=sent)
        return done

    return make


def _step(session: Session, card: CardRow, change: Change, row: Act, stored: Payload) -> None:
    """Move the card on by an act; StaleVersion where it clashes with what came meanwhile."""
    refuse_signed(card)
    if change.version != card.version:
        since = acts_since(session, card, change.version)
        if since is None or any(
            clash(row, stored, act_of(event.kind), event.payload or {}) for event in since
        ):
            raise StaleVersion(seen=change.version, current=card.version)
    step(session, card, key=change.key, kind=row.kind, payload=stored, now=change.now)


def keep_summary(card: CardRow) -> None:
    """Write on a card what lists show of it, and the words that it is found by."""
    card.summary = summary_of(status_of(card), signed=card.signed_at is not None)
    session = object_session(card)
    assert session is not None  # it is being written
    keep_words(session, card)


def known_valve(card: CardRow, valve: str) -> Clearance:
    """Return the clearance of that name on the card's engine.

    Raises:
        BadValue: The engine has none of that name.
    """
    return engine_of(card).clearance(valve)
