"""What ends a card: the sheet, the signature, and what is added after it."""

from datetime import date, datetime
from typing import Annotated

from pydantic import Field
from sqlalchemy.orm import Session

from plimb.card.acting import OnCard, Written, act
from plimb.card.acts.remembering import keep_up
from plimb.card.billing import bill_for
from plimb.card.build import card_view, engine_of, machine_now, status_of
from plimb.card.custody import settle_pieces
from plimb.card.document import fingerprint_of
from plimb.card.said import Long
from plimb.card.search import keep_words
from plimb.card.view import CardView
from plimb.card.years import keep_outcome, keep_outlook, proposed_check
from plimb.core.engine.cycle import CycleStop
from plimb.core.engine.run import Distance, distance_in, hours_in
from plimb.core.engine.turning import Method
from plimb.core.errors import BadValue, KeyReused, NotReady, required
from plimb.core.job.kinds import kind_of_job
from plimb.core.job.sheet import (
    Fact,
    NextProposed,
    Sheet,
    SheetRound,
    explained_lines,
    result_of,
    round_rows,
    sheet_rows,
    sheet_specs,
    torque_line,
)
from plimb.core.job.stages import STAGE_NAMES, Stage
from plimb.core.job.summary import ShopThings
from plimb.core.lengths import show, show_mm
from plimb.core.words import day_words, grouped, moment_words
from plimb.files.starting_point import name_given
from plimb.record.cards import get_card
from plimb.record.database import Database
from plimb.record.records import shop_things
from plimb.record.seals import add_seal, seal_of
from plimb.record.tables.card import AmendmentRow, CardRow
from plimb.shop.settings import settings_of


@act("sign", remarks=Long, next_on=Annotated[date | None, Field(strict=False)])
def sign_card(
    on: OnCard, *, signed_by: str, remarks: str, next_distance: Distance = None,
    next_hours: str | None = None, next_on: date | None = None,
) -> None:  # fmt: skip
    """Sign the card; from then on nothing on it changes.

    The next check is due by distance in the card's own unit, by hours, by a date, or by none.

    Raises:
        BadValue: No name, or a next check that cannot be.
        NotReady: A valve is left without a reading in range and no remark says why.
    """
    card = on.card
    name = required(signed_by, "signed_by", "Write the name of who signs.")
    measure = machine_now(on.session, card).measure_of(card.distance_km, card.distance_mi)
    due = distance_in(next_distance, measure)
    hours = hours_in(next_hours)
    if next_on is not None and next_on <= on.now.date():
        raise BadValue("The next check lies in the future; write a later day.", field="next_on")
    left = status_of(card).not_in_spec
    if left and not remarks.strip():
        raise NotReady(
            f"{', '.join(left)} {'is' if len(left) == 1 else 'are'} not shown to be in range. "
            "Measure again, or write in the remarks why it is signed all the same.",
            field="remarks",
        )
    settle_pieces(on.session, card, on.now)
    keep_up(on)
    card.signed_by, card.signed_at = name, on.now
    card.as_signed = shop_things(card)
    card.remarks = remarks.strip() or None
    card.next_check_km, card.next_check_mi = due["distance_km"], due["distance_mi"]
    card.next_check_hours, card.next_check_on = hours, next_on
    on.session.flush()
    on.session.expire_all()
    keep_outcome(card)
    keep_outlook(on.session, card.revision.engine_id)
    fingerprint = fingerprint_of(on.session, card, amendments=0)
    assert fingerprint is not None  # it is signed
    add_seal(on.session, card, fingerprint, on.now)


def amend(
    database: Database, *, card_id: int, key: str, written_by: str, text: str, now: datetime
) -> Written:
    """Write a dated line on a signed card; sent twice with one key it is written once.

    Raises:
        NotReady: The card is not signed; correct it instead.
        BadValue: No name or no text.
        NotFound: There is no such card.
    """
    written_by = required(written_by, "written_by", "Write the name of who amends.")
    text = required(text, "text", "Write what is to be known.")
    with database.writing("amended", now) as session:
        card = get_card(session, card_id)
        if card.signed_at is None:
            raise NotReady("This card is not signed yet; correct it instead.", field="card")
        before = next((amendment for amendment in card.amendments if amendment.key == key), None)
        if before is not None and (before.written_by, before.text) != (written_by, text):
            raise KeyReused
        if before is None:
            line = AmendmentRow(key=key, written_by=written_by, text=text, written_at=now)
            card.amendments.append(line)
            session.flush()
            keep_words(session, card)
        return Written(id=card.id, version=card.version)


def read_sheet(session: Session, card_id: int) -> Sheet:
    """Return the sheet of the card of that number; NotFound where there is none."""
    card = get_card(session, card_id)
    view = card_view(session, card)
    kept = card.as_signed or shop_things(card)
    rows = sheet_rows(view.rounds)
    ticked = tuple(line.item.does for line in view.lists if line.done)
    return Sheet(
        shop=settings_of(session).name,
        label=kept.label,
        engine=name_given(view.engine.name),
        card=view.id,
        opened_at=view.opened_at,
        unit=view.unit,
        shim_unit=view.shim_unit,
        result=result_of(rows),
        facts=_facts(view, kept),
        specs=sheet_specs(view.engine, view.status),
        drawing=view.drawing,
        rows=rows,
        rounds=tuple(
            SheetRound(number=round_.number, reason=round_.reason, rows=round_rows(round_))
            for round_ in view.rounds[1:]
        ),
        lines=_below(session, card, view),
        ticked=ticked,
        unticked=tuple(line.item.does for line in view.lists if not line.done) if ticked else (),
        remarks=view.remarks or "",
        next_check=view.next_check.words(),
        proposed=_proposed(session, card),
        signed_by=view.signed_by,
        signed_at=view.signed_at,
        amendments=tuple(
            f"{moment_words(amendment.written_at)} UTC, {amendment.written_by}: {amendment.text}"
            for amendment in view.amendments
        ),
        fingerprint=fingerprint_of(session, card),
        key=seal.public if (seal := seal_of(session, card)) else None,
    )


def _proposed(session: Session, card: CardRow) -> NextProposed | None:
    """Return the next check to propose; None of a signed card, or where nothing says when."""
    if card.signed_at is not None:
        return None
    due = proposed_check(session, card)
    return NextProposed(at=due.at, measure=due.measure, words=due.words) if due.words else None


def _below(session: Session, card: CardRow, view: CardView) -> tuple[Fact, ...]:
    """Return what stands below the valves: what was looked at, used, corrected and done."""
    bill = bill_for(session, card, view.rounds)
    used = [f"{line.count} × {line.what}{f' ({line.number})' if line.number else ''}"
            for line in bill.lines]  # fmt: skip
    lines = (
        ("What was noticed", view.symptoms),
        ("Proof", " ".join(explained_lines(view.explained))),
        ("Also checked", "; ".join(view.checks.lines())),
        *((f"Note at {STAGE_NAMES[stage]}", view.notes.get(stage, "")) for stage in Stage),
        ("Corrected once apart", "; ".join(_corrections(card))),
        ("Used", ", ".join(used)),
        ("Comes to", bill.words()),
        ("Torques", "; ".join(filter(None, (torque_line(group) for group in view.bolts)))),
        ("Not done", "; ".join(view.not_done)),
    )
    return tuple(Fact(name=name, says=says) for name, says in lines if says)


def _corrections(card: CardRow) -> list[str]:
    """Return what was found and corrected once pieces were out, and why."""
    names = engine_of(card).names
    said = []
    for round_ in card.rounds:
        lines = {line.id: line for line in round_.gaps}
        for line in round_.gaps:
            if line.reason:
                before = lines[line.supersedes_id].typed if line.supersedes_id in lines else ""
                valve = names.get(line.valve, line.valve)
                said.append(
                    f"{valve} found {before or 'nothing'}, corrected to "
                    f"{line.typed or 'nothing'}: {line.reason}"
                )
    return said


def _facts(view: CardView, kept: ShopThings) -> tuple[Fact, ...]:
    run = [
        f"{grouped(view.distance)} {view.measure.words}" if view.distance is not None else "",
        f"{view.hours:f} h" if view.hours is not None else "",
    ]
    cold = view.conditions
    state = [
        f"rested {cold.rested_hours:f} h" if cold.rested_hours is not None else "",
        f"{cold.temperature_c:f} °C" if cold.temperature_c is not None else "",
        f"warm: {cold.reason}" if cold.warm else "",
    ]
    zero = "" if view.zero_nm is None else f", zero {show_mm(view.zero_nm)}"
    machine = view.machine
    whose = ", ".join(filter(None, (machine.owner, machine.plate)))
    facts = (
        ("Job", _job(view)),
        *((("Machine", whose),) if whose else ()),
        *((("Why", view.reason),) if view.reason else ()),
        *((("At", ", ".join(filter(None, run))),) if any(run) else ()),
        *((("Came in", view.origin),) if view.origin else ()),
        ("Opened", f"{day_words(view.opened_at)}, {view.opened_by}"),
        *((("Manual", view.source),) if view.source else ()),
        *((("State", ", ".join(filter(None, state))),) if any(state) else ()),
        ("Turned", TURNED[view.turning.method]),
        *((("Blades", _blades(view, kept.blade_set.name)),) if kept.blade_set else ()),
        *((("Shims measured with", f"{kept.instrument.name}{zero}"),) if kept.instrument else ()),
        *((("Rounds", str(len(view.rounds))),) if len(view.rounds) > 1 else ()),
    )
    return tuple(Fact(name=name, says=says) for name, says in facts)


def _blades(view: CardView, usual: str) -> str:
    """Return the feeler set, and which valves were felt with another one."""
    others: dict[str, list[str]] = {}
    for round_ in view.rounds:
        for valve, state in round_.status.valves.items():
            for reading in (state.record.found, state.record.proof):
                called = reading.about.blade_set if reading else ""
                if called not in ("", usual) and valve not in others.setdefault(called, []):
                    others[called].append(valve)
    return "; ".join(
        (usual, *(f"{', '.join(valves)} with {called}" for called, valves in others.items()))
    )


TURNED = {
    Method.MARKS: "by the marks",
    Method.LOBE: "by the lobe",
    Method.BENCH: "each camshaft by its gear",
}


def _job(view: CardView) -> str:
    """Return the kind of job in words; of one valve which, and by how much."""
    label = kind_of_job(view.kind).label
    if view.only_valve is None or view.change_nm is None:
        return label
    way = "wider" if view.change_nm > 0 else "narrower"
    return f"{label}: {view.only_valve} by {show(abs(view.change_nm), view.unit)} {way}"


def blank_sheet(session: Session, card_id: int) -> bytes:
    """Return an empty data sheet of a card's engine and job to print, before anything is opened.

    Raises:
        NotFound: There is no such card.
    """
    from plimb.files.blank_pdf import blank_pdf  # what draws is loaded with the first sheet

    view = card_view(session, get_card(session, card_id))
    return blank_pdf(
        label=view.label,
        engine=name_given(view.engine.name),
        shop=settings_of(session).name,
        job=_job(view),
        unit=view.unit,
        drawing=view.drawing,
        valves=view.status.order if view.only_valve is None else (view.only_valve,),
        specs=sheet_specs(view.engine, view.status),
        spec_of={
            clearance.id: clearance.check.words(view.unit) if clearance.check else ""
            for clearance in view.engine.clearances
        },
        stops=tuple(_stop_words(stop) for stop in view.turning.stops),
        tools=(*view.tools, *view.machine.tools),
    )


def _stop_words(stop: CycleStop) -> str:
    """Return where to turn to and what is measured there, as it is read from paper."""
    if stop.camshaft:
        where = f"camshaft {stop.camshaft}, these lobes away"
    elif stop.own:
        where = f"mark {stop.mark}"
    elif stop.mark:
        where = f"cylinder {stop.mark.removeprefix('T')} at top dead centre"
    else:
        where = "no mark, these lobes away"
    cue = f" ({stop.cue})" if stop.cue else ""
    return f"{where}{cue}: {', '.join(stop.valves)}"
