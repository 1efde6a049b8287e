"""Cards: find, list, open, and change one under its version."""

from collections.abc import Sequence
from datetime import datetime
from decimal import Decimal
from typing import Any

from sqlalchemy import select
from sqlalchemy.orm import Session, joinedload, selectinload

from plimb.core.errors import CardSigned, StaleVersion
from plimb.core.job.kinds import JobKind
from plimb.core.plan.needs import WhichToSet
from plimb.core.shim.sum import Aim, Rounding
from plimb.store.rows import numbered
from plimb.store.tables.card import CardRow, EventRow, RoundRow
from plimb.store.tables.engine import EngineRevisionRow
from plimb.store.tables.shop import BladeSetRow, InstrumentRow

_WHOLE = (
    joinedload(CardRow.revision).joinedload(EngineRevisionRow.engine),
    selectinload(CardRow.rounds).selectinload(RoundRow.gaps),
    selectinload(CardRow.rounds).selectinload(RoundRow.pieces),
    selectinload(CardRow.rounds).selectinload(RoundRow.choices),
    selectinload(CardRow.trays),
    selectinload(CardRow.amendments),
    joinedload(CardRow.blade_set).selectinload(BladeSetRow.blades),
    joinedload(CardRow.instrument),
)


def get_card(session: Session, card_id: int, *, whole: bool = True) -> CardRow:
    """Return the card, with everything on it unless its `whole` is not wanted.

    Raises:
        NotFound: There is none of that number.
    """
    return numbered(session, CardRow, card_id, _WHOLE if whole else ())


def list_cards(session: Session) -> Sequence[CardRow]:
    """Return all cards with their engines, the newest first, and nothing of what is on them."""
    engine = joinedload(CardRow.revision).joinedload(EngineRevisionRow.engine)
    return session.scalars(
        select(CardRow).options(engine).order_by(CardRow.opened_at.desc(), CardRow.id.desc())
    ).all()


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
        recalled={},
        rounds=[RoundRow(number=1, opened_at=now, reason="", hand_turns=0)],
    )
    session.add(card)
    session.flush()
    return card


def done_before(session: Session, card: CardRow, key: str) -> bool:
    """Return whether the action with this key was carried out already."""
    query = select(EventRow.id).where(EventRow.card_id == card.id, EventRow.key == key)
    return session.scalar(query) is not None


def step(
    session: Session, card: CardRow, *, seen: int, key: str, action: str, now: datetime
) -> None:
    """Move the card to its next version and note which action did so.

    Raises:
        CardSigned: A signed card does not change.
        StaleVersion: The card has moved on since `seen`.
    """
    if card.signed_at is not None:
        raise CardSigned(
            f"Card {card.id} was signed by {card.signed_by}; a signed card does not change.",
            field="card",
        )
    if card.version != seen:
        raise StaleVersion(seen=seen, current=card.version)
    card.version += 1
    session.add(
        EventRow(card_id=card.id, version=card.version, key=key, action=action, recorded_at=now)
    )
