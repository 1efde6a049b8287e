"""Cards: find, list, open, and change one under its version."""

from collections.abc import Mapping, Sequence
from datetime import datetime
from decimal import Decimal
from typing import Any

from sqlalchemy import ColumnElement, Select, bindparam, func, select
from sqlalchemy.orm import Session, joinedload, load_only
from sqlalchemy.orm.attributes import set_committed_value

from plimb.core.errors import CardSigned, KeyReused
from plimb.core.job.kinds import JobKind
from plimb.core.job.summary import CardState
from plimb.core.plan.needs import WhichToSet
from plimb.core.shim.sum import Aim, Rounding
from plimb.record.rows import numbered
from plimb.record.tables.card import AmendmentRow, CardRow, EventRow, RoundRow, StripTrayRow
from plimb.record.tables.engine import EngineRevisionRow, EngineRow
from plimb.record.tables.reading import ChoiceRow, GapRow, ShimReadingRow
from plimb.record.tables.shop import BladeSetRow, InstrumentRow

_CARD: Any = bindparam("card")
_ONE = (
    joinedload(CardRow.revision).joinedload(EngineRevisionRow.engine),
    joinedload(CardRow.blade_set).selectinload(BladeSetRow.blades),
    joinedload(CardRow.instrument),
)


def _of_card(kind: Any) -> Any:
    return select(kind).where(kind.card_id == _CARD).order_by(kind.id)


def _of_rounds(kind: Any) -> Any:
    query = select(kind).join(RoundRow, RoundRow.id == kind.round_id)
    return query.where(RoundRow.card_id == _CARD).order_by(kind.id)


_OF_CARD = {
    "rounds": select(RoundRow).where(RoundRow.card_id == _CARD).order_by(RoundRow.number),
    "trays": _of_card(StripTrayRow),
    "amendments": _of_card(AmendmentRow),
}
_OF_ROUNDS = {
    "gaps": _of_rounds(GapRow),
    "pieces": _of_rounds(ShimReadingRow),
    "choices": _of_rounds(ChoiceRow),
}
"""What is on a card, asked for in queries made once: half the time of the mapper's own way."""


def get_card(session: Session, card_id: int, *, whole: bool = True) -> CardRow:
    """Return the card, with everything on it unless its `whole` is not wanted.

    Raises:
        NotFound: There is none of that number.
    """
    card = numbered(session, CardRow, card_id, _ONE if whole else ())
    if not whole or "rounds" in card.__dict__:
        return card
    this = {"card": card_id}
    for name, query in _OF_CARD.items():
        set_committed_value(card, name, list(session.scalars(query, this)))
    for name, query in _OF_ROUNDS.items():
        lines: dict[int, list[Any]] = {round_.id: [] for round_ in card.rounds}
        for line in session.scalars(query, this):
            lines[line.round_id].append(line)
        for round_ in card.rounds:
            set_committed_value(round_, name, lines[round_.id])
    return card


_IN_STATE = {
    CardState.OPEN: (CardRow.signed_at.is_(None), CardRow.put_away_at.is_(None)),
    CardState.SIGNED: (CardRow.signed_at.is_not(None),),
    CardState.AWAY: (CardRow.signed_at.is_(None), CardRow.put_away_at.is_not(None)),
    None: (),
}


def in_state(state: CardState | None) -> tuple[ColumnElement[bool], ...]:
    """Return what holds for cards of a state; of all where none is meant."""
    return _IN_STATE[state]


def line_query() -> Select[CardRow]:
    """Return the query for cards as lists show them, with their engines."""
    revision = joinedload(CardRow.revision).options(
        load_only(EngineRevisionRow.engine_id, EngineRevisionRow.document),
        joinedload(EngineRevisionRow.engine).load_only(EngineRow.label),
    )
    return select(CardRow).options(revision)


def cards_in(
    session: Session, state: CardState | None, *, skip: int, most: int
) -> Sequence[CardRow]:
    """Return so many cards of a state, the newest first."""
    query = line_query().where(*_IN_STATE[state])
    query = query.order_by(CardRow.opened_at.desc(), CardRow.id.desc())
    return session.scalars(query.offset(skip).limit(most)).all()


def count_cards(session: Session, state: CardState | None) -> int:
    """Return how many cards are in a state."""
    query = select(func.count()).select_from(CardRow).where(*_IN_STATE[state])
    return session.scalar(query) or 0


def open_numbers(session: Session) -> Sequence[int]:
    """Return the numbers of all open cards."""
    return session.scalars(select(CardRow.id).where(*_IN_STATE[CardState.OPEN])).all()


def without_summary(session: Session) -> Sequence[int]:
    """Return the numbers of cards that were last changed before summaries were kept."""
    return session.scalars(select(CardRow.id).where(CardRow.summary.is_(None))).all()


def card_before(session: Session, card: CardRow) -> int | None:
    """Return the number of the same engine's last card signed before this one was opened."""
    query = (
        select(CardRow.id)
        .join(CardRow.revision)
        .where(
            EngineRevisionRow.engine_id == card.revision.engine_id,
            CardRow.id != card.id,
            CardRow.signed_at <= card.opened_at,
        )
        .order_by(CardRow.signed_at.desc())
    )
    return session.scalars(query).first()


def signed_at(session: Session, card_id: int) -> datetime | None:
    """Return when a card was signed."""
    return session.scalar(select(CardRow.signed_at).where(CardRow.id == card_id))


def add_card(
    session: Session,
    revision: EngineRevisionRow,
    *,
    opened_by: str,
    reason: str,
    aim: Aim,
    rounding: Rounding,
    act: WhichToSet,
    now: datetime,
    hours: Decimal | None = None,
    blade_set: BladeSetRow | None = None,
    instrument: InstrumentRow | None = None,
    **more: Any,
) -> CardRow:
    """Add an open card with its first round; `more` are columns that need not be said."""
    card = CardRow(
        **{
            "kind": JobKind.SET,
            "distance_km": None,
            "distance_mi": None,
            "symptoms": "",
            "notes": {},
            "bill": (),
            "tightening": (),
        }
        | more,
        revision=revision,
        version=1,
        opened_at=now,
        opened_by=opened_by,
        reason=reason,
        aim=aim,
        rounding=rounding,
        act=act,
        hours=hours,
        warm_reason="",
        method="marks",
        seen_to=[],
        blade_set=blade_set,
        instrument=instrument,
        trust="measured",
        reuse=True,
        variant="best",
        forbidden=(),
        opened_too=(),
        shafts_aside=(),
        recalled={},
        rounds=[RoundRow(number=1, opened_at=now, reason="", hand_turns=0)],
    )
    session.add(card)
    session.flush()
    return card


def done_before(
    session: Session, card: CardRow, key: str, kind: str, payload: Mapping[str, Any]
) -> bool:
    """Return whether the act with this key was carried out already.

    Raises:
        KeyReused: Something else was carried out with it.
    """
    query = select(EventRow).where(EventRow.card_id == card.id, EventRow.key == key)
    event = session.scalars(query).first()
    if event is not None and not event.said and (event.kind, event.payload) != (kind, payload):
        raise KeyReused
    return event is not None


def acts_since(session: Session, card: CardRow, version: int) -> Sequence[EventRow] | None:
    """Return the acts on a card after a version; None where they are not all on record."""
    query = select(EventRow).where(EventRow.card_id == card.id, EventRow.version > version)
    found = session.scalars(query).all()
    return found if 0 < version == card.version - len(found) else None


def refuse_signed(card: CardRow) -> None:
    """Refuse to change a signed card: CardSigned."""
    if card.signed_at is not None:
        raise CardSigned(
            f"Card {card.id} was signed by {card.signed_by}; a signed card does not change.",
            field="card",
        )


def step(
    session: Session, card: CardRow, *, key: str, kind: str, payload: Mapping[str, Any],
    now: datetime,
) -> None:  # fmt: skip
    """Move the card to its next version and note which act did so."""
    card.version += 1
    session.add(
        EventRow(
            card_id=card.id, version=card.version, key=key, said="", kind=kind,
            payload=dict(payload), recorded_at=now,
        )
    )  # fmt: skip
