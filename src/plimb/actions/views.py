"""What the bench shows: a card, an engine or the list of them, as frozen answers."""

from __future__ import annotations

from dataclasses import dataclass
from datetime import datetime
from functools import lru_cache

from sqlalchemy.orm import Session

from plimb.core.engine import Engine
from plimb.core.shim import Aim, Rounding, School
from plimb.core.survey import Act, Survey, survey
from plimb.files.engine_file import EngineFile, read_engine
from plimb.store.cards import get_card, list_cards
from plimb.store.engines import get_shop, list_engines
from plimb.store.lines import sheets, typed
from plimb.store.models import CardRow


@dataclass(frozen=True, slots=True, kw_only=True)
class EngineLine:
    """One engine in the list."""

    id: int
    label: str
    note: str
    engine: Engine
    follower: str


@dataclass(frozen=True, slots=True, kw_only=True)
class CardView:
    """A card as it now stands."""

    id: int
    version: int
    label: str
    engine: Engine
    source: str | None
    opened_at: datetime
    opened_by: str
    reason: str
    distance_km: int | None
    aim: Aim
    rounding: Rounding
    act: Act
    signed_at: datetime | None
    signed_by: str | None
    remarks: str | None
    next_check_km: int | None
    survey: Survey
    typed: dict[tuple[str, str], str]


@dataclass(frozen=True, slots=True, kw_only=True)
class ShopView:
    """The shop, its engines and its cards."""

    name: str
    engines: tuple[EngineLine, ...]
    cards: tuple[CardView, ...]


@lru_cache(maxsize=256)
def parsed_engine(document: str) -> tuple[EngineFile, Engine]:
    """Return the engine in a stored document; a revision never changes, so it is kept."""
    file = read_engine(document)
    return file, file.to_core()


def card_view(card: CardRow) -> CardView:
    """Return the card as it now stands."""
    file, engine = parsed_engine(card.revision.document)
    round_ = card.rounds[-1]
    school = School(aim=Aim(card.aim), rounding=Rounding(card.rounding))
    return CardView(
        id=card.id,
        version=card.version,
        label=card.revision.engine.label,
        engine=engine,
        source=file.engine.source,
        opened_at=card.opened_at,
        opened_by=card.opened_by,
        reason=card.reason,
        distance_km=card.distance_km,
        aim=Aim(card.aim),
        rounding=Rounding(card.rounding),
        act=Act(card.act),
        signed_at=card.signed_at,
        signed_by=card.signed_by,
        remarks=card.remarks,
        next_check_km=card.next_check_km,
        survey=survey(engine, sheets(round_), school, Act(card.act)),
        typed=typed(round_),
    )


def read_card(session: Session, card_id: int) -> CardView:
    """Return the card of that number.

    Raises:
        NotFound: There is none.
    """
    return card_view(get_card(session, card_id))


def read_shop(session: Session) -> ShopView:
    """Return the shop with its engines by label and its cards, newest first."""
    return ShopView(
        name=get_shop(session).name,
        engines=tuple(
            EngineLine(
                id=row.id,
                label=row.label,
                note=row.note,
                engine=(engine := parsed_engine(row.revisions[-1].document)[1]),
                follower=engine.follower,
            )
            for row in list_engines(session)
        ),
        cards=tuple(card_view(card) for card in list_cards(session)),
    )
