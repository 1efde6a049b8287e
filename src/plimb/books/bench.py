"""What the bench shows: the shop, its cards by what was kept of each, what is due; in pages."""

import logging
from collections.abc import Mapping, Sequence
from contextlib import suppress
from dataclasses import dataclass
from datetime import date, datetime

from sqlalchemy.orm import Session

from plimb.card.acting import keep_summary
from plimb.card.view import NumberedSet
from plimb.card.years import BACKFILLED_AT_ONCE, backfill_outlooks
from plimb.core.engine.engine import Engine
from plimb.core.engine.layout import HeadDrawing
from plimb.core.engine.machine import Measure
from plimb.core.job.summary import CardState, CardSummary, NextCheck, Sought
from plimb.core.lengths import Unit
from plimb.core.measure.limits import Verdict
from plimb.core.wear.due import When
from plimb.files.engine_file import parsed_engine
from plimb.record.cards import (
    cards_in,
    count_cards,
    get_card,
    without_summary,
)
from plimb.record.database import Database
from plimb.record.engines import count_engines, engines_like, newest_documents
from plimb.record.raw import card_as_it_lies, card_numbers
from plimb.record.rows import value_of
from plimb.record.shop import core_set, list_blade_sets, list_instruments
from plimb.record.tables.card import CardRow
from plimb.record.tables.engine import EngineRow
from plimb.record.years import (
    count_dated,
    count_due,
    due_engines,
    found_by,
    open_card_of,
    without_words,
)
from plimb.shop.clock import utc_now
from plimb.shop.engines import drawn
from plimb.shop.settings import settings_of

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
    drawing: HeadDrawing


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
class DueLine:
    """One engine in the list of what is due; `card` is its open one, if it is on the bench now."""

    id: int
    label: str
    when: When
    words: str
    on: date | None
    odd: tuple[str, ...]
    card: int | None


@dataclass(frozen=True, slots=True, kw_only=True)
class Counts:
    """How many there are of everything that is shown in pages."""

    engines: int
    open: int
    signed: int
    away: int
    dated: int


@dataclass(frozen=True, slots=True, kw_only=True)
class ShopView:
    """The shop, its first engines by label, the newest cards of each kind, and what is due first.

    What cannot be read stands by itself, and keeps nothing else from being shown. Whatever is
    not on the first page is counted.
    """

    name: str
    engines: tuple[EngineLine, ...]
    cards: tuple[CardLine, ...]
    due: tuple[DueLine, ...]
    counts: Counts
    unreadable: tuple[Unreadable, ...]
    lost_engines: tuple[str, ...]
    blade_sets: tuple[NumberedSet, ...]
    instruments: tuple[InstrumentLine, ...]
    unit: Unit


@dataclass(frozen=True, slots=True, kw_only=True)
class CardPage:
    """Some cards, and how many there are in all."""

    count: int
    cards: tuple[CardLine, ...]


@dataclass(frozen=True, slots=True, kw_only=True)
class DuePage:
    """Some of what is due, and how much there is in all."""

    count: int
    due: tuple[DueLine, ...]


@dataclass(frozen=True, slots=True, kw_only=True)
class EnginePage:
    """Some engines, and how many there are in all."""

    count: int
    engines: tuple[EngineLine, ...]


PAGE = 20
"""So many lines come at once where a list goes on."""
FIRST = {CardState.OPEN: 40, CardState.SIGNED: 12, CardState.AWAY: 12}
"""So many cards of each state stand on the bench."""


def read_shop(database: Database, today: date | None = None) -> ShopView:
    """Return the shop for the bench; cards are shown by what was kept of them when changed."""
    today = today or utc_now().date()
    backfill(database)
    with database.reading() as session:
        shop = settings_of(session)
        lines, lost = _engine_lines(session, engines_like(session, "", skip=0, most=PAGE))
        cards, unreadable = _first_cards(session)
        return value_of(
            ShopView,
            shop,
            engines=lines,
            lost_engines=lost,
            cards=cards,
            unreadable=unreadable,
            due=_dated(session, due_engines(session, most=PAGE), today),
            counts=_counts(session),
            blade_sets=tuple(
                NumberedSet(id=row.id, blades=core_set(row)) for row in list_blade_sets(session)
            ),
            instruments=tuple(value_of(InstrumentLine, row) for row in list_instruments(session)),
        )


def _counts(session: Session) -> Counts:
    return Counts(
        engines=count_engines(session, ""),
        open=count_cards(session, CardState.OPEN),
        signed=count_cards(session, CardState.SIGNED),
        away=count_cards(session, CardState.AWAY),
        dated=count_dated(session),
    )


def find_cards(database: Database, sought: Sought, skip: int) -> CardPage:
    """Return a page of cards, the newest first."""
    with database.reading() as session:
        count, rows = found_by(session, sought, skip=skip, most=PAGE)
        cards, _unreadable = _card_lines(session, rows)
        return CardPage(count=count, cards=cards)


def find_engines(database: Database, text: str, skip: int) -> EnginePage:
    """Return a page of engines by label: those whose label, note or owner says what was typed."""
    with database.reading() as session:
        rows = engines_like(session, text, skip=skip, most=PAGE)
        return EnginePage(
            count=count_engines(session, text), engines=_engine_lines(session, rows)[0]
        )


def find_due(database: Database, today: date, skip: int) -> DuePage:
    """Return a page of what is due, the earliest first."""
    backfill(database)
    with database.reading() as session:
        rows = due_engines(session, skip=skip, most=PAGE)
        return DuePage(count=count_due(session), due=_due_lines(session, rows, today))


def read_dated(database: Database, today: date) -> tuple[DueLine, ...]:
    """Return all that is due on a known day, the earliest first."""
    backfill(database)
    with database.reading() as session:
        return _dated(session, due_engines(session), today)


def _dated(session: Session, rows: Sequence[EngineRow], today: date) -> tuple[DueLine, ...]:
    """Return the lines of engines that are due on a known day."""
    return tuple(line for line in _due_lines(session, rows, today) if line.on)


def _due_lines(session: Session, rows: Sequence[EngineRow], today: date) -> tuple[DueLine, ...]:
    """Return the lines of engines that something says of when they are due."""
    lines, open_cards = [], open_card_of(session, [row.id for row in rows])
    for row in rows:
        if row.outlook is not None and row.outlook.words:
            outlook = row.outlook
            lines.append(
                value_of(
                    DueLine, row, when=outlook.when(today), words=outlook.words, on=outlook.on,
                    odd=outlook.odd, card=open_cards.get(row.id),
                )
            )  # fmt: skip
    return tuple(lines)


def backfill(database: Database) -> None:
    """Make up for what is kept of cards and engines, where an earlier version did not keep it."""
    if not database.backfilled:
        with database.reading() as session:
            missing = {*without_summary(session), *without_words(session, BACKFILLED_AT_ONCE)}
        for number in sorted(missing):
            with (
                suppress(Exception),  # one that cannot be read is said on the bench
                database.writing("what lists show made up for") as session,
            ):
                keep_summary(get_card(session, number))
        database.backfilled = len(missing) < BACKFILLED_AT_ONCE
    backfill_outlooks(database)


def _engine_lines(
    session: Session, rows: Sequence[EngineRow]
) -> tuple[tuple[EngineLine, ...], tuple[str, ...]]:
    lines, lost = [], []
    documents = newest_documents(session, [row.id for row in rows])
    for row in rows:
        try:
            lines.append(_engine_line(row, documents[row.id]))
        except Exception as error:
            LOG.exception("engine %d cannot be read", row.id, exc_info=error)
            lost.append(row.label)
    return tuple(lines), tuple(lost)


def _first_cards(session: Session) -> tuple[tuple[CardLine, ...], tuple[Unreadable, ...]]:
    """Return the first cards of each state; one by one where they cannot be read together."""
    try:
        rows = [
            row
            for state, most in FIRST.items()
            for row in cards_in(session, state, skip=0, most=most)
        ]
    except Exception:
        session.expunge_all()
        return _card_lines(session, [_or_number(session, n) for n in card_numbers(session)])
    return _card_lines(session, rows)


def _or_number(session: Session, number: int) -> CardRow | int:
    try:
        return get_card(session, number)
    except Exception:
        return number


def _card_lines(
    session: Session, rows: Sequence[CardRow | int]
) -> tuple[tuple[CardLine, ...], tuple[Unreadable, ...]]:
    engines = {row.revision.engine_id for row in rows if isinstance(row, CardRow)}
    documents = newest_documents(session, engines)
    lines, unreadable = [], []
    for row in rows:
        number = row if isinstance(row, int) else row.id
        try:
            card = get_card(session, row) if isinstance(row, int) else row
            lines.append(_card_line(card, documents[card.revision.engine_id]))
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


def _engine_line(row: EngineRow, document: str) -> EngineLine:
    engine, drawing, _turning = drawn(document)
    file = parsed_engine(document)[0]
    return value_of(
        EngineLine, row, engine=engine, unit=file.unit, counter=file.machine.counter,
        drawing=drawing,
    )  # fmt: skip


def _card_line(card: CardRow, document: str) -> CardLine:
    if card.summary is None:  # kept with each change, and made up for above
        raise ValueError("nothing is kept of it")
    engine = card.revision.engine
    now, drawing, _turning = drawn(document)
    return value_of(
        CardLine,
        card,
        engine_id=engine.id,
        label=card.as_signed.label if card.as_signed else engine.label,
        engine=parsed_engine(card.revision.document)[1].name,
        next_check=value_of(NextCheck, card).words(),
        drawing=drawing,
        verdicts={name: card.summary.verdicts.get(key) for key, name in now.names.items()},
    )
