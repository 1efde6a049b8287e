"""What the bench shows: the shop, its engines, and its cards by what was kept of each."""

import logging
from collections.abc import Mapping
from contextlib import suppress
from dataclasses import dataclass
from datetime import datetime

from sqlalchemy.orm import Session

from plimb.actions.card_view import NumberedSet
from plimb.actions.cards import keep_summary
from plimb.actions.views import drawn
from plimb.core.engine.engine import Engine
from plimb.core.engine.layout import HeadDrawing
from plimb.core.engine.machine import Measure
from plimb.core.job.summary import CardSummary, NextCheck
from plimb.core.lengths import Unit
from plimb.core.measure.limits import Verdict
from plimb.files.engine_file import parsed_engine
from plimb.store.cards import get_card, list_cards, without_summary
from plimb.store.database import Database
from plimb.store.engines import list_engines
from plimb.store.raw import card_as_it_lies, card_numbers
from plimb.store.rows import value_of
from plimb.store.shop import core_set, get_shop, list_blade_sets, list_instruments
from plimb.store.tables.card import CardRow
from plimb.store.tables.engine import EngineRow

LOG = logging.getLogger("plimb")


@dataclass(frozen=True, slots=True, kw_only=True)
class EngineLine:
    """One engine in the list."""

    id: int
    label: str
    note: str
    engine: Engine
    unit: Unit
    counter: Measure | None
    drawing: HeadDrawing

    @property
    def valves(self) -> int:
        """How many clearances it has."""
        return len(self.engine.clearances)


@dataclass(frozen=True, slots=True, kw_only=True)
class CardLine:
    """One card in the list. `verdicts` go by the valves' names as the engine is drawn now."""

    id: int
    engine_id: int
    label: str
    engine: str
    reason: str
    opened_at: datetime
    opened_by: str
    signed_at: datetime | None
    signed_by: str | None
    next_check: str
    put_away_at: datetime | None
    summary: CardSummary
    verdicts: Mapping[str, Verdict | None]


@dataclass(frozen=True, slots=True, kw_only=True)
class InstrumentLine:
    """One micrometer or calliper, and what it is good to."""

    id: int
    name: str
    doubt_nm: int


@dataclass(frozen=True, slots=True, kw_only=True)
class Unreadable:
    """A card that cannot be read: what can be said of it all the same, and why."""

    id: int
    label: str
    reason: str
    why: str
    away: bool


@dataclass(frozen=True, slots=True, kw_only=True)
class ShopView:
    """The shop, its engines by label and its cards, newest first.

    What cannot be read stands by itself, and keeps nothing else from being shown.
    """

    name: str
    engines: tuple[EngineLine, ...]
    cards: tuple[CardLine, ...]
    unreadable: tuple[Unreadable, ...]
    lost_engines: tuple[str, ...]
    blade_sets: tuple[NumberedSet, ...]
    instruments: tuple[InstrumentLine, ...]
    hand_turns: int
    wrench: str
    round_cost: str | None
    sure: int


def read_shop(database: Database) -> ShopView:
    """Return the shop for the bench; cards are shown by what was kept of them when changed."""
    _keep_missing_summaries(database)
    with database.reading() as session:
        shop = get_shop(session)
        engines, lost = _engine_lines(session)
        cards, unreadable = _card_lines(session)
        return value_of(
            ShopView,
            shop,
            engines=engines,
            lost_engines=lost,
            cards=cards,
            unreadable=unreadable,
            blade_sets=tuple(
                NumberedSet(id=row.id, blades=core_set(row)) for row in list_blade_sets(session)
            ),
            instruments=tuple(value_of(InstrumentLine, row) for row in list_instruments(session)),
        )


def _keep_missing_summaries(database: Database) -> None:
    """Make up for cards that were last changed before summaries were kept."""
    with database.reading() as session:
        missing = without_summary(session)
    for number in missing:
        with suppress(Exception), database.writing("what lists show made up for") as session:
            keep_summary(get_card(session, number))  # one that cannot be read is said below


def _engine_lines(session: Session) -> tuple[tuple[EngineLine, ...], tuple[str, ...]]:
    lines, lost = [], []
    for row in list_engines(session):
        try:
            lines.append(_engine_line(row))
        except Exception as error:
            LOG.exception("engine %d cannot be read", row.id, exc_info=error)
            lost.append(row.label)
    return tuple(lines), tuple(lost)


def _card_lines(session: Session) -> tuple[tuple[CardLine, ...], tuple[Unreadable, ...]]:
    """Return the cards in the list; one by one where they cannot be read together."""
    try:
        return tuple(_card_line(row) for row in list_cards(session)), ()
    except Exception:
        session.expunge_all()
    lines, unreadable = [], []
    for number in card_numbers(session):
        try:
            lines.append(_card_line(get_card(session, number)))
        except Exception as error:
            LOG.exception("card %d cannot be read", number, exc_info=error)
            lies = card_as_it_lies(session, number) or {}
            unreadable.append(
                Unreadable(
                    id=number,
                    label=str(lies.get("label") or "an engine"),
                    reason=str(lies.get("reason") or ""),
                    why=type(error).__name__,
                    away=bool(lies.get("away")),
                )
            )
    return tuple(lines), tuple(unreadable)


def _engine_line(row: EngineRow) -> EngineLine:
    engine, drawing, _turning = drawn(row.revisions[-1].document)
    file = parsed_engine(row.revisions[-1].document)[0]
    return value_of(
        EngineLine, row, engine=engine, unit=file.unit, counter=file.machine.counter,
        drawing=drawing,
    )  # fmt: skip


def _card_line(card: CardRow) -> CardLine:
    if card.summary is None:  # kept with each change, and made up for above
        raise ValueError("nothing is kept of it")
    engine = card.revision.engine
    now = parsed_engine(engine.revisions[-1].document)[1]
    return value_of(
        CardLine,
        card,
        engine_id=engine.id,
        label=card.as_signed.label if card.as_signed else engine.label,
        engine=parsed_engine(card.revision.document)[1].name,
        next_check=value_of(NextCheck, card).words(),
        verdicts={name: card.summary.verdicts.get(key) for key, name in now.names.items()},
    )
