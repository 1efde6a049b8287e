"""What a technician does to a card as a whole: one function an act, one transaction each."""

from collections.abc import Callable, Mapping, Sequence
from dataclasses import dataclass
from datetime import datetime
from decimal import Decimal
from functools import wraps
from inspect import signature
from typing import Annotated, Any, Concatenate, ParamSpec

from pydantic import Field
from sqlalchemy.orm import Session, object_session

from plimb.actions.acts import ACTS, Act, Payload, act_of, clash
from plimb.actions.finding import keep_words
from plimb.actions.said import Brief, Reason, inside, listed, payload_of
from plimb.actions.views import card_view, engine_of, status_of
from plimb.core.engine.conditions import noted_from
from plimb.core.engine.engine import Clearance, Engine
from plimb.core.engine.machine import Measure
from plimb.core.errors import BadValue, NotReady, StaleVersion
from plimb.core.job.summary import summary_of
from plimb.core.job.tray import Part, Pocket, check_tray
from plimb.core.job.valve import ValveRecord
from plimb.core.lengths import meter_in
from plimb.core.plan.needs import WhichToSet
from plimb.core.shim.shim import Trust
from plimb.core.shim.sum import Aim, Rounding
from plimb.store.cards import acts_since, done_before, get_card, refuse_signed, step
from plimb.store.database import Database
from plimb.store.readings import written
from plimb.store.tables.card import CardRow, RoundRow, StripTrayRow

FAR_KM = 2_000_000


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
            told = payload(dict(list(bound.arguments.items())[1:]))
            with database.writing(kind, change.now) as session:
                card = get_card(session, change.card_id)
                if not done_before(session, card, change.key, kind, told):
                    _step(session, card, change, row, told)
                    do(OnCard(session=session, card=card, now=change.now), *args, **said)
                    session.flush()
                    keep_summary(card)
                return Written(id=card.id, version=card.version)

        DOING[kind] = Doing(row=row, do=do, done=done, payload=payload, sent=sent)
        return done

    return make


def _step(session: Session, card: CardRow, change: Change, row: Act, told: Payload) -> None:
    """Move the card on by an act; StaleVersion where it clashes with what came meanwhile."""
    refuse_signed(card)
    if change.version != card.version:
        since = acts_since(session, card, change.version)
        if since is None or any(
            clash(row, told, act_of(one.kind), one.payload or {}) for one in since
        ):
            raise StaleVersion(seen=change.version, current=card.version)
    step(session, card, key=change.key, kind=row.kind, payload=told, now=change.now)


def keep_summary(card: CardRow) -> None:
    """Write on a card what lists show of it, and the words that it is found by."""
    card.summary = summary_of(status_of(card), signed=card.signed_at is not None)
    session = object_session(card)
    assert session is not None  # it is being written
    keep_words(session, card)


@act("conditions", rested_hours=Brief | None, temperature_c=Brief | None, reason=Reason)
def note_conditions(
    on: OnCard, *, rested_hours: str | None, temperature_c: str | None, reason: str
) -> None:
    """Note how cold the engine is; warm is gone on with only for a written reason.

    Raises:
        BadValue: Hours or degrees that are no number, or cannot be.
        NotReady: The engine is warm and no reason is written.
    """
    conditions = noted_from(rested_hours, temperature_c, reason)
    if conditions.warm and not conditions.reason:
        raise NotReady(
            f"{conditions.warnings[0]} To go on all the same, write the reason.", field="reason"
        )
    on.card.rested_hours = _text(conditions.rested_hours)
    on.card.temperature_c = _text(conditions.temperature_c)
    on.card.warm_reason = conditions.reason


@act("tick")
def see_to(on: OnCard, *, item: str, done: bool) -> None:
    """Tick one line of a list, or take the tick back; BadValue where there is no such line."""
    view = card_view(on.session, on.card)
    if item not in {line.item.id for line in (*view.safety, *view.reach, *view.closing)}:
        raise BadValue(f"“{item}” is not on this card's lists.", field="item")
    without = [other for other in on.card.seen_to if other != item]
    on.card.seen_to = [*without, item] if done else without


_Share = Annotated[float, Field(ge=0, le=1, strict=False)]
_PocketPart = inside(
    "PocketPart", Pocket, whole=True, x=_Share, y=_Share,
    length=Annotated[str, Field(max_length=40)], count=Annotated[int, Field(ge=1, le=99)],
)  # fmt: skip
_PartPart = inside("PartPart", Part, whole=True, pockets=listed(_PocketPart, 60))


@act("tray", parts=listed(_PartPart, 40))
def lay_out_tray(on: OnCard, parts: Sequence[Part]) -> None:
    """Note what came off, in order, and where each fastener lies. The trays before stay.

    Raises:
        BadValue: Too many parts or pockets, a part without a name, a pocket off the outline.
    """
    on.card.trays.append(StripTrayRow(document=check_tray(tuple(parts)), recorded_at=on.now))


@act("policy")
def set_policy(
    on: OnCard, *, aim: Aim, rounding: Rounding, act: WhichToSet, trust: Trust, reuse: bool
) -> None:
    """Set which way this card leans, which valves it sets, what it trusts and may use."""
    on.card.aim, on.card.rounding, on.card.act = aim, rounding, act
    on.card.trust, on.card.reuse = trust, reuse


def known_valve(card: CardRow, valve: str) -> Clearance:
    """Return the clearance of that name on the card's engine.

    Raises:
        BadValue: The engine has none of that name.
    """
    return engine_of(card).clearance(valve)


def hours_in(text: str | None) -> Decimal | None:
    """Return hours as typed, `62.5`, None where none are; BadValue if they cannot be."""
    hours = meter_in(text, "hours")
    if hours is not None and not 0 <= hours <= FAR_KM:
        raise BadValue(f"A run lies between 0 and {FAR_KM} hours.", field="hours")
    return hours


def required(text: str, field: str, sentence: str) -> str:
    """Return the text without the blanks around it; there must be some.

    Raises:
        BadValue: There is none.
    """
    if not text.strip():
        raise BadValue(sentence, field=field)
    return text.strip()


Distance = int | str | None
"""What a machine has run: counted, or as somebody typed it; None where nobody noted it."""


def distance_in(distance: Distance, measure: Measure) -> dict[str, int | None]:
    """Return a distance as the card keeps it, by its unit; BadValue where it cannot be."""
    if isinstance(distance, str):
        typed = meter_in(distance, "distance", decimals=False)
        if typed is not None and typed != int(typed):
            raise BadValue("Write the distance as a whole number, such as 14000.", field="distance")
        distance = None if typed is None else int(typed)
    if distance is not None and not 0 <= distance <= FAR_KM:
        raise BadValue(f"A distance lies between 0 and {FAR_KM} {measure.words}.", field="distance")
    miles = measure is Measure.MILES
    return {"distance_km": None if miles else distance, "distance_mi": distance if miles else None}


def _text(number: Decimal | None) -> str | None:
    return None if number is None else f"{number:f}"
