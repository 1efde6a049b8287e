"""An engine over the years: what its signed cards and old notes say together."""

import json
from collections.abc import Mapping
from contextlib import suppress
from dataclasses import dataclass
from decimal import Decimal

from sqlalchemy.orm import Session

from plimb.card.build import engine_of, rounds_of
from plimb.core.engine.engine import Engine
from plimb.core.engine.machine import Machine, Measure
from plimb.core.job.kinds import kind_of_job
from plimb.core.job.status import JobStatus
from plimb.core.lengths import Unit
from plimb.core.wear.due import Outlook, Promise, outlook_of
from plimb.core.wear.forecast import forecast
from plimb.core.wear.stack import (
    Check,
    Piece,
    Seen,
)
from plimb.files.engine_file import parsed_engine
from plimb.files.history_file import history_as_json
from plimb.files.open_json import write_json
from plimb.record.cards import get_card
from plimb.record.database import Database
from plimb.record.engines import newest_revision
from plimb.record.tables.card import CardRow
from plimb.record.tables.engine import EngineRow
from plimb.record.years import (
    PastCard,
    counted_in,
    noted_checks,
    past_cards,
    without_outcome,
    without_outlook,
)

KM_PER_MILE = Decimal("1.609344")


@dataclass(frozen=True, slots=True, kw_only=True)
class EnginePast:
    """What is known of an engine's past: its checks in order of time, and what they are read by.

    Where nobody has said what its counter counts it is not `counted`, and no check has a figure.
    """

    engine: Engine
    machine: Machine
    unit: Unit
    shim_unit: Unit
    measure: Measure
    counted: bool
    checks: tuple[Check, ...]
    promised: Promise


def keep_outcome(card: CardRow) -> None:
    """Write on a signed card what it says for the years."""
    card.outcome = outcome_of(card) if card.signed_at else None


def outcome_of(card: CardRow) -> Mapping[str, Seen]:
    """Return what a card says of each valve, by its key: as found, and as left."""
    rounds = [round_.status for round_ in rounds_of(card)]
    return {clearance.key: _seen(clearance.id, rounds) for clearance in engine_of(card).clearances}


def _seen(valve: str, rounds: list[JobStatus]) -> Seen:
    first, last = rounds[0].valves[valve].record, rounds[-1].valves[valve]
    new: Piece | None = None
    changed = False
    for status in rounds:
        record = status.valves[valve].record
        if record.changes and record.choice is not None and (record.fitted or record.proof):
            changed = True
            new = Piece(
                thickness_nm=record.choice.goes_in_nm, half_width_nm=record.choice.half_width_nm
            )
    left = last.as_left.gap if last.as_left and (changed or last.record.proof) else None
    return Seen(
        found=first.found.gap if first.found else None,
        piece=Piece(
            thickness_nm=first.piece.thickness_nm, half_width_nm=first.piece.half_width_nm
        ) if first.piece else None,
        left=left,
        new=new,
        changed=changed,
    )  # fmt: skip


def past_of_engine(session: Session, engine_id: int) -> EnginePast:
    """Return an engine's past; NotFound where there is no engine of that number."""
    file, engine = parsed_engine(newest_revision(session, engine_id).document)
    cards, notes = past_cards(session, engine_id), noted_checks(session, engine_id)
    known = file.machine.counter or counted_in(session, engine_id)
    measure = known or Measure.KM
    checks = [
        Check(
            on=card.opened_at.date(), at=_at(card, measure), valves=card.outcome,
            new_life=kind_of_job(card.kind).reference, card=card.id,
        )
        for card in cards
    ]  # fmt: skip
    checks += [
        Check(on=note.on, at=note.at, valves=note.valves, new_life=note.new_life, note=note.id)
        for note in notes
    ]
    checks.sort(key=lambda one: (one.on is not None, one.on))
    return EnginePast(
        engine=engine,
        machine=file.machine,
        unit=file.unit,
        shim_unit=file.of_shims,
        measure=measure,
        counted=known is not None,
        checks=tuple(checks),
        promised=_promised(cards[-1], measure) if cards else Promise(),
    )


def _at(card: PastCard, measure: Measure) -> Decimal | None:
    return _in(measure, card.distance_km, card.distance_mi, card.hours)


def _in(
    measure: Measure, km: int | None, miles: int | None, hours: Decimal | None
) -> Decimal | None:
    """Return a counter's figure in what the engine counts, None where it was not written so."""
    if measure is Measure.HOURS:
        return hours
    if km is not None:
        return Decimal(km) / (KM_PER_MILE if measure is Measure.MILES else 1)
    if miles is not None:
        return Decimal(miles) * (KM_PER_MILE if measure is Measure.KM else 1)
    return None


def _promised(last: PastCard, measure: Measure) -> Promise:
    at = _in(measure, last.next_check_km, last.next_check_mi, last.next_check_hours)
    return Promise(at=at, on=last.next_check_on)


def keep_outlook(session: Session, engine_id: int) -> None:
    """Work out anew when an engine is due."""
    session.flush()
    past = past_of_engine(session, engine_id)
    seen = forecast(past.engine.clearances, past.checks, past.machine.interval)
    outlook = outlook_of(past.engine.clearances, seen, past.measure, past.promised, past.checks)
    row = session.get(EngineRow, engine_id)
    assert row is not None  # it has a revision
    row.outlook, row.due_on = outlook, outlook.on


def proposed_check(session: Session, card: CardRow) -> Outlook:
    """Return when an open card's engine is due next, by its wear and its maker's interval.

    The card counts as if it were signed as it stands.
    """
    past = past_of_engine(session, card.revision.engine_id)
    this = Check(
        on=card.opened_at.date(),
        at=_in(past.measure, card.distance_km, card.distance_mi, card.hours),
        valves=outcome_of(card),
        new_life=kind_of_job(card.kind).reference,
        card=card.id,
    )
    checks = (*past.checks, this)
    seen = forecast(past.engine.clearances, checks, past.machine.interval)
    return outlook_of(past.engine.clearances, seen, past.measure, Promise(), checks)


BACKFILLED_AT_ONCE = 40
"""So many engines are made up for at most when a list is asked for."""


def make_up_outcomes(database: Database, engine_id: int) -> None:
    """Make up for an engine's signed cards of before outcomes were kept."""
    with database.reading() as session:
        cards = without_outcome(session, engine_id)
    for number in cards:
        with suppress(Exception), database.writing("what the years say made up for") as session:
            keep_outcome(get_card(session, number))  # one that cannot be read is said on the bench


def backfill_outlooks(database: Database) -> None:
    """Make up for engines of which it was not worked out when they are due, or not anew."""
    with database.reading() as session:
        engines = without_outlook(session, BACKFILLED_AT_ONCE)
    for number in engines:
        make_up_outcomes(database, number)
        with suppress(Exception), database.writing("when it is due made up for") as session:
            keep_outlook(session, number)


def history_json(session: Session, engine_id: int) -> str:
    """Return an engine's past as a history file; NotFound where there is no such engine."""
    past = past_of_engine(session, engine_id)
    document = json.loads(newest_revision(session, engine_id).document)
    return write_json(
        history_as_json(
            document, past.engine.clearances, past.measure, past.checks, past.unit, past.shim_unit
        )
    )
