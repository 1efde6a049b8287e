"""A whole card written into the record, every line with its place in the history."""

from collections.abc import Iterable, Sequence
from dataclasses import replace
from typing import Any

from sqlalchemy import select
from sqlalchemy.orm import Session

from plimb.core.job.summary import ShopThings
from plimb.core.measure.blades import BladeSet
from plimb.core.shim.shim import Instrument
from plimb.record.rows import columns_of, value_of
from plimb.record.shop import core_set, put_blade_set, set_of
from plimb.record.tables.card import AmendmentRow, CardRow, EventRow, RoundRow, StripTrayRow
from plimb.record.tables.engine import EngineRevisionRow
from plimb.record.tables.reading import ChoiceRow, GapRow, ShimReadingRow
from plimb.record.tables.shop import BladeSetRow, InstrumentRow


def shop_things(card: CardRow) -> ShopThings:
    """Return what a card takes from the shop, as it now is."""
    engine = card.revision.engine
    return ShopThings(
        label=engine.label,
        note=engine.note,
        blade_set=set_of(card),
        instrument=value_of(Instrument, card.instrument) if card.instrument else None,
    )


def events_of(session: Session, card: CardRow) -> Sequence[EventRow]:
    """Return every act on a card, the first one first."""
    query = select(EventRow).where(EventRow.card_id == card.id).order_by(EventRow.version)
    return session.scalars(query).all()


def add_record(
    session: Session, revision: EngineRevisionRow, *, job: Any, policy: Any, rounds: Iterable[Any]
) -> CardRow:
    """Write a whole card into the record, as it stood where it came from.

    Args:
        session: The record.
        revision: The engine as it was.
        job: The job: its values have the names of the card's columns.
        policy: How the card decides.
        rounds: Every round with its lines, each with the place of the line it supersedes.
    """
    card = CardRow(
        revision=revision,
        **columns_of(CardRow, job, "blade_set_id", "instrument_id"),
        aim=policy.aim,
        rounding=policy.round,
        act=policy.act,
        trust=policy.trust,
        reuse=policy.reuse,
        blade_set=_blade_set(session, job.things.blade_set),
        instrument=_instrument(session, job.things.instrument),
        as_signed=job.things if job.signed_at else None,
        trays=[StripTrayRow(**columns_of(StripTrayRow, tray)) for tray in job.trays],
        amendments=[
            AmendmentRow(**columns_of(AmendmentRow, amendment)) for amendment in job.amendments
        ],
        rounds=[],
    )
    session.add(card)
    session.flush()
    session.add_all(
        EventRow(
            card_id=card.id, version=event.version, key=event.key, recorded_at=event.recorded_at,
            said=event.action if event.payload is None else "",
            kind=None if event.payload is None else event.action, payload=event.payload,
        )
        for event in job.events
    )  # fmt: skip
    for number, round_ in enumerate(rounds, 1):
        row = RoundRow(card_id=card.id, **columns_of(RoundRow, round_, "number"), number=number)
        card.rounds.append(row)
        session.flush()
        for kind, lines in (
            (GapRow, round_.history.gaps),
            (ShimReadingRow, round_.history.pieces),
            (ChoiceRow, round_.history.choices),
        ):
            _add_lines(session, kind, row.id, lines)
        session.refresh(row)
    return card


def _add_lines(session: Session, kind: Any, round_id: int, lines: Iterable[Any]) -> None:
    ids: list[int] = []
    for line in lines:
        before = line.supersedes
        row = kind(
            round_id=round_id,
            supersedes_id=ids[before] if before is not None and before < len(ids) else None,
            **columns_of(kind, line, "shim_id"),
        )
        session.add(row)
        session.flush()
        ids.append(row.id)


def _blade_set(session: Session, wanted: BladeSet | None) -> BladeSetRow | None:
    """Return the shop's set if it has just this one, else a set of its own for the card."""
    if wanted is None:
        return None
    known = session.scalars(select(BladeSetRow)).all()
    for row in known:
        if core_set(row) == wanted:
            return row
    made = BladeSetRow()
    name = free_name(wanted.name, {row.name for row in known})
    put_blade_set(session, made, replace(wanted, name=name))
    return made


def _instrument(session: Session, wanted: Instrument | None) -> InstrumentRow | None:
    if wanted is None:
        return None
    known = session.scalars(select(InstrumentRow)).all()
    for row in known:
        if value_of(Instrument, row) == wanted:
            return row
    name = free_name(wanted.name, {row.name for row in known})
    return InstrumentRow(name=name, doubt_nm=wanted.doubt_nm)


def free_name(name: str, taken: set[str]) -> str:
    """Return the name, with a number behind it where it is taken."""
    free, number = name, 2
    while free in taken:
        free, number = f"{name} ({number})", number + 1
    return free
