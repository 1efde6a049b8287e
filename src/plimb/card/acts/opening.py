"""Open a card: which engine, who, why, at what run, and what kind of job it is."""

from dataclasses import dataclass
from datetime import datetime

from sqlalchemy.orm import Session

from plimb.card.acting import OnCard, Written, keep_summary
from plimb.card.acts.remembering import remember
from plimb.card.said import Brief, inside
from plimb.core.engine.engine import Engine
from plimb.core.engine.machine import Measure
from plimb.core.engine.run import Distance, distance_in, hours_in
from plimb.core.errors import BadValue, NotReady, required
from plimb.core.job.kinds import JobKind, kind_of_job
from plimb.core.lengths import Unit, mm, parse_length
from plimb.core.shim.sum import Aim
from plimb.files.engine_file import parsed_engine
from plimb.record.cards import add_card
from plimb.record.database import Database
from plimb.record.engines import newest_revision
from plimb.record.idempotency import note_done
from plimb.record.shop import list_blade_sets, list_instruments
from plimb.record.tables.card import CardRow
from plimb.record.tables.shop import BladeSetRow
from plimb.shop.settings import settings_of


@dataclass(frozen=True, slots=True, kw_only=True)
class Amount:
    """What one valve is to be changed by: `by` as typed in the unit, `wider` or narrower."""

    valve: str
    by: str
    wider: bool
    unit: Unit


AmountPart = inside("AmountPart", Amount, by=Brief)


def open_card(
    database: Database,
    *,
    engine_id: int,
    opened_by: str,
    reason: str,
    now: datetime,
    distance: Distance = None,
    measure: Measure | None = None,
    hours: str | None = None,
    kind: JobKind = JobKind.SET,
    amount: Amount | None = None,
) -> Written:
    """Open a card for an engine, with the shop's own schools and what the engine remembers.

    The `measure` of the distance is kept with the engine.

    Raises:
        NotFound: No such engine.
        BadValue: No name, a run that cannot be, or one valve without its amount.
    """
    opened_by = required(opened_by, "opened_by", "Write the technician's name.")
    run = distance_in(distance, measure or Measure.KM)
    hours_run = hours_in(hours)
    with database.writing("card opened", now) as session:
        shop, newest = settings_of(session), newest_revision(session, engine_id)
        file, engine = parsed_engine(newest.document)
        makers = any(
            clearance.spec and clearance.spec.aim_nm is not None for clearance in engine.clearances
        )
        card = add_card(
            session,
            newest,
            opened_by=opened_by,
            reason=reason.strip(),
            **run,
            hours=hours_run,
            blade_set=_usual_set(session, file.machine.blades),
            aim=Aim.MAKER if makers else shop.aim,
            rounding=shop.rounding,
            act=shop.act,
            instrument=next(iter(list_instruments(session)), None),
            tightening=file.engine.bolts,
            now=now,
        )
        become(card, engine, kind, amount, shop.room_nm)
        on = OnCard(session=session, card=card, now=now)
        if file.machine.counter is None and distance is not None and measure is not None:
            remember(on, counter=measure)
        keep_summary(card)
        note_done(session, card.id)
        return Written(id=card.id, version=card.version)


def _usual_set(session: Session, called: str) -> BladeSetRow | None:
    """Return the feeler set that was last used on an engine, else the shop's first."""
    sets = list_blade_sets(session)
    return next((set_ for set_ in sets if set_.name == called), next(iter(sets), None))


def amount_in(text: str, unit: Unit, field: str) -> int:
    """Return by how much a gap is to change, or may be off: in inches a whole figure is thou.

    Raises:
        BadValue: It is no length.
    """
    nm = parse_length(text, unit, field=field)
    whole = unit is Unit.INCH and not text.strip().startswith((".", "0.", ",", "0,"))
    return nm // 1000 if whole else nm


def become(
    card: CardRow, engine: Engine, kind: JobKind, amount: Amount | None, room_nm: int | None
) -> None:
    """Make of a card one of that kind; one valve comes with the amount it is changed by.

    How near is near enough there is `room_nm`, the shop's own room, until somebody says otherwise.

    Raises:
        BadValue: One valve is meant, and which or by how much is not said.
        NotReady: Pieces are out, and a check only takes none out.
    """
    row = kind_of_job(kind)
    card.only_valve = card.change_nm = None
    if row.one:
        if amount is None or not amount.valve or not amount.by.strip():
            raise BadValue("Say which valve, and by how much.", field="amount")
        by_nm = amount_in(amount.by, amount.unit, "amount")
        if not 0 < by_nm <= mm("1"):
            raise BadValue("A change lies between 0 and 1 mm; check the unit.", field="amount")
        card.only_valve = engine.clearance(amount.valve).key
        card.change_nm = by_nm if amount.wider else -by_nm
        if card.near_enough_nm is None:
            card.near_enough_nm = room_nm
    if not row.opens and any(piece.superseded_at is None for piece in card.rounds[-1].pieces):
        raise NotReady("Shims are out already: this is no check only any more.", field="kind")
    card.kind = kind
