"""A card read off the record: what it is worth now, for the screen and the sheet."""

from dataclasses import replace
from datetime import datetime
from decimal import Decimal
from fractions import Fraction
from typing import Literal

from sqlalchemy.orm import Session, object_session

from plimb.card.beside import corrected, fit_of, origin_words
from plimb.card.last_act import last_act
from plimb.card.lists import list_facts, lists_of, method_of
from plimb.card.view import Amendment, CardView, NumberedSet, ValveView
from plimb.core.engine.conditions import Conditions
from plimb.core.engine.cycle import cycle_of
from plimb.core.engine.engine import Clearance, Engine
from plimb.core.engine.layout import draw_head
from plimb.core.engine.machine import Machine
from plimb.core.engine.turning import TurnPlan, order_by_plan
from plimb.core.job.again import is_out, next_tasks
from plimb.core.job.bolts import tightening_of
from plimb.core.job.checks import SideChecks
from plimb.core.job.evidence import card_questions
from plimb.core.job.kinds import kind_of_job
from plimb.core.job.lists import ListName, list_of
from plimb.core.job.proof import explain
from plimb.core.job.residuals import proved_from
from plimb.core.job.sheet import Round
from plimb.core.job.slips import Before, Question, Slip, questions
from plimb.core.job.status import JobContext, JobStatus, job_status, judged_by, past_valves
from plimb.core.job.summary import NextCheck
from plimb.core.job.tools import tool_list
from plimb.core.job.valve import ValveRecord
from plimb.core.lengths import Unit
from plimb.core.measure.blades import BladeSet, Tried, known_from, next_blade
from plimb.core.measure.limits import Verdict
from plimb.core.shim.sum import SizePolicy
from plimb.core.shim.worksheet import worksheet_of
from plimb.core.words import Units
from plimb.files.engine_file import parsed_engine, turning_of
from plimb.record.cards import card_before, get_card, signed_at
from plimb.record.engines import newest_revision
from plimb.record.readings import gaps_of, repeated, written
from plimb.record.records import shop_things
from plimb.record.rows import value_of
from plimb.record.shims import shims_in
from plimb.record.shop import set_of
from plimb.record.tables.card import CardRow, RoundRow
from plimb.record.tables.engine import EngineRevisionRow
from plimb.shop.settings import settings_of, sizing_of


def engine_of(card: CardRow) -> Engine:
    """Return the engine that a card was opened with."""
    return parsed_engine(card.revision.document)[1]


def conditions_of(card: CardRow) -> Conditions:
    """Return how cold the engine was, as noted on the card."""
    return Conditions(
        rested_hours=None if card.rested_hours is None else Decimal(card.rested_hours),
        temperature_c=None if card.temperature_c is None else Decimal(card.temperature_c),
        reason=card.warm_reason,
    )


def units_of(card: CardRow) -> Units:
    """Return the units that a card is written in."""
    return parsed_engine(card.revision.document)[0].units


def turning_for(card: CardRow) -> TurnPlan:
    """Return where the engine of a card is turned to."""
    return turning_of(card.revision.document, method_of(card))


def _reached(card: CardRow, engine: Engine) -> TurnPlan:
    """Return where it is turned to: of one valve that it is about just the place of that one."""
    plan, only = turning_for(card), engine.names.get(card.only_valve or "")
    if only is None:
        return plan
    stops = (replace(stop, valves=(only,)) for stop in plan.stops if only in stop.valves)
    return replace(plan, stops=tuple(stops), turning=Fraction(0))


def machine_now(session: Session, card: CardRow) -> Machine:
    """Return what is remembered of a card's machine: by now, or as it was when it was signed."""
    return parsed_engine(_revision_now(session, card).document)[0].machine


def _revision_now(session: Session, card: CardRow) -> EngineRevisionRow:
    """Return the engine as it is by now; a signed card keeps the one it was signed with."""
    if card.signed_at:
        return card.revision
    return newest_revision(session, card.revision.engine_id)


def size_policy_of(card: CardRow) -> SizePolicy:
    """Return how a card leans, how sure is sure enough in its shop, what its hand is worth."""
    session = object_session(card)
    assert session is not None  # a card is read in one
    return sizing_of(settings_of(session), card.aim, card.rounding)


def past_of(card: CardRow) -> frozenset[str]:
    """Return the valves of a card whose gap as found can be felt no more."""
    engine, round_ = engine_of(card), card.rounds[-1]
    records = written(round_, engine, card.trust)
    kind, later = kind_of_job(card.kind), round_.number > 1
    return past_valves(engine, records, kind, card.shafts_aside, later=later)


def status_of(
    card: CardRow, round_: RoundRow | None = None, before: JobStatus | None = None
) -> JobStatus:
    """Return what every valve of a card says and what is still to do, in one of its rounds.

    `before` is how the round before it was left, where that is known already.
    """
    engine, kind, round_ = engine_of(card), kind_of_job(card.kind), round_ or card.rounds[-1]
    facts = list_facts(card, engine, round_.number)  # for the lines' names: their words are others'
    safety, closing = (
        tuple(item.id for item in list_of(which, facts))
        for which in (ListName.SAFE, ListName.COVER)
    )
    unseen = tuple(item for item in safety if item not in card.seen_to)
    wanted_nm, near_nm = _amount_of(card, engine)
    return job_status(
        engine,
        written(round_, engine, card.trust),
        size_policy_of(card),
        card.act,
        order_by_plan(engine, turning_for(card)),
        JobContext(
            safety=safety,
            unseen=unseen,
            noted=conditions_of(card).noted or len(unseen) < len(safety),
            closing=closing,
            unclosed=tuple(item for item in closing if item not in card.seen_to),
            kind=kind,
            only=engine.names.get(card.only_valve or ""),
            wanted_nm=wanted_nm,
            near_enough_nm=near_nm,
            opened_too=engine.named(card.opened_too),
            **_told_before(card, round_, engine, before),
            aside=facts.aside,
            later=round_.number > 1,
            blades=set_of(card),
            units=units_of(card),
        ),
    )


def _amount_of(card: CardRow, engine: Engine) -> tuple[int | None, int | None]:
    """Return the gap that the one valve of a job is to have, and how near to it is near enough.

    It is reckoned from the gap as the first round found it, however often it is set again.
    """
    only = engine.names.get(card.only_valve or "")
    if only is None or card.change_nm is None:
        return None, None
    found = written(card.rounds[0], engine, card.trust).get(only, ValveRecord()).found
    return (
        None if found is None else max(0, found.gap.best_nm + card.change_nm),
        card.near_enough_nm,
    )


def clearance_of(card: CardRow, valve: str) -> Clearance:
    """Return a valve of a card with what it is judged by.

    Raises:
        BadValue: The engine has none of that name.
    """
    engine = engine_of(card)
    clearance = engine.clearance(valve)
    only = engine.names.get(card.only_valve or "")
    wanted_nm, near_nm = _amount_of(card, engine)
    around = JobContext(only=only, wanted_nm=wanted_nm, near_enough_nm=near_nm)
    return judged_by(clearance, around)


def _told_before(
    card: CardRow, round_: RoundRow, engine: Engine, before: JobStatus | None
) -> dict[str, frozenset[str]]:
    """Return the valves that the round before proved in range, and out of it, until read anew."""
    earlier = next((one for one in card.rounds if one.number == round_.number - 1), None)
    if earlier is None:
        return {}
    now = written(round_, engine, card.trust)
    states = [
        state
        for valve, state in (before or status_of(card, earlier)).valves.items()
        if (proof := state.record.proof) and (seen := now[valve].found) and seen.gap == proof.gap
    ]
    return {
        "proved": frozenset(one.valve for one in states if one.by_check is Verdict.IN),
        "failed": frozenset(one.valve for one in states if is_out(one)),
    }


def rounds_of(card: CardRow) -> tuple[Round, ...]:
    """Return every round of a card as it was left."""
    rounds: list[Round] = []
    for row in card.rounds:
        status = status_of(card, row, rounds[-1].status if rounds else None)
        rounds.append(value_of(Round, row, status=status, proved=proved_from(status)))
    return tuple(rounds)


def card_view(session: Session, card: CardRow) -> CardView:
    """Return the card as it now stands."""
    file, engine = parsed_engine(card.revision.document)
    events = file.timing
    blades = set_of(card)
    shop = settings_of(session)
    rounds = rounds_of(card)
    status, proved = rounds[-1].status, rounds[-1].proved
    touched, explained = status.touched, explain(proved) if proved else None
    names = engine.names
    newest, earlier = _revision_now(session, card), card_before(session, card)
    machine = parsed_engine(newest.document)[0].machine
    facts = replace(
        list_facts(card, engine, len(card.rounds)),
        vehicle=machine.vehicle,
        hand_turns=shop.hand_turns,
    )
    return value_of(
        CardView,
        card,
        label=(card.as_signed or shop_things(card)).label,
        engine=engine,
        engine_id=card.revision.engine_id,
        unit=file.unit,
        shim_unit=file.of_shims,
        engine_changes=corrected(card, engine, newest),
        source=file.spec_source,
        conditions=conditions_of(card),
        turning=cycle_of(engine, events, method_of(card), _reached(card, engine)),
        **lists_of(card, facts, status.opened, touched),
        only_valve=names.get(card.only_valve or ""),
        machine=machine,
        next_check=value_of(NextCheck, card),
        tools=tool_list(facts),
        checks=card.checks or SideChecks(),
        checks_before=get_card(session, earlier, whole=False).checks if earlier else None,
        apart=bool(status.past),
        shafts_aside=tuple(sorted(facts.aside)),
        tray=card.trays[-1].document if card.trays else (),
        blade_set=NumberedSet(id=card.blade_set_id or 0, blades=blades) if blades else None,
        forbidden=tuple((names.get(key, key), nm) for key, nm in card.forbidden),
        instrument=card.instrument.name if card.instrument else None,
        rounds=rounds,
        fit=fit_of(session, engine, _reached(card, engine).stops, touched),
        hand_turns_wanted=shop.hand_turns,
        bolts=tuple(tightening_of(group, shop.wrench) for group in card.tightening),
        explained=explained,
        next_tasks=next_tasks(status, explained),
        origin=origin_words(session, card),
        amendments=tuple(value_of(Amendment, amendment) for amendment in card.amendments),
        drawing=draw_head(engine),
        status=status,
        valves=_valves(session, card, rounds[-1], blades, earlier),
        last_act=last_act(session, card, card.version),
    )


def _valves(
    session: Session, card: CardRow, last: Round, blades: BladeSet | None, earlier: int | None
) -> tuple[ValveView, ...]:
    engine = engine_of(card)
    stops = _reached(card, engine).stops
    chains = repeated(card.rounds[-1], engine, "found")
    slips = _questions(session, card, engine, last.status, blades, earlier)
    proved = _questions(session, card, engine, last.status, blades, earlier, "proof")
    beyond = explain(last.proved).beyond if last.proved else ()
    doubts = {
        proof.valve: None if proof.residual_nm is None else proof.valve not in beyond
        for proof in last.proved
    }
    left = _left_before(session, earlier) if earlier is not None else {}
    pieces = {} if card.signed_at else {
        row.valve: row.measured_nm or row.marked_nm
        for row in shims_in(session, card.revision.engine_id)
    }  # fmt: skip
    views = []
    for valve in last.status.order:
        status = last.status.valves[valve]
        found, check = status.record.found, status.clearance.check
        tried = known_from(found.gap) if found else Tried()
        before = left.get(status.clearance.key)
        views.append(
            ValveView(
                status=status,
                worked=worksheet_of(status.worked) if status.worked else None,
                questions=slips.get(valve, ()),
                proof_questions=proved.get(valve, ()),
                repeats=tuple(reading.gap for reading in chains.get(valve, ())),
                next_blade=next_blade(tried, check, blades) if blades and check else None,
                stop=next((n for n, stop in enumerate(stops) if valve in stop.valves), 0),
                within_doubt=doubts.get(valve),
                last=before.gap if before else None,
                kept_nm=None if status.record.piece else pieces.get(status.clearance.key),
                opened_too=valve in last.status.around.opened_too,
                past=valve in last.status.past,
            )
        )
    return tuple(views)


def _questions(
    session: Session,
    card: CardRow,
    engine: Engine,
    seen: JobStatus,
    blades: BladeSet | None,
    earlier: int | None,
    purpose: Literal["found", "proof"] = "found",
) -> dict[str, tuple[Question, ...]]:
    """Return what is worth asking about each reading of one purpose and was not answered yet.

    A proof, and what a later round finds, is not held against the check before.
    """
    if card.signed_at:
        return {}
    written_down = {
        valve: state.record.found if purpose == "found" else state.record.proof
        for valve, state in seen.valves.items()
    }
    readings = {valve: reading for valve, reading in written_down.items() if reading is not None}
    if not readings:
        return {}
    lines = gaps_of(card.rounds[-1], engine, purpose)
    kept = {valve: frozenset(line.kept) for valve, line in lines.items()}
    first = purpose == "found" and len(card.rounds) == 1
    left = _left_before(session, earlier) if earlier is not None and first else {}
    names = engine.names
    before = {names[key]: gap for key, gap in left.items() if key in names}
    thin = [blade.thickness_nm for blade in blades.usable] if blades else []
    # that the engine is warm is asked once a card, not once a valve
    warm = conditions_of(card).warm and first
    ask_warm = warm and not any(Slip.WARM in slips for slips in kept.values())
    units = [line.unit for line in lines.values()]
    of_card = card_questions(
        engine,
        readings,
        unit=max(set(units), key=units.count) if units else Unit.MM,
        before=before,
        thin_blades_nm=thin,
    )
    # what the whole card says is answered for all of it at once
    answered = frozenset[str]().union(*kept.values())
    answered -= {Slip.STUCK}
    of_card = {
        valve: tuple(question for question in found if question.slip not in answered)
        for valve, found in of_card.items()
    }
    by_valve = {}
    for valve in readings:
        unit = lines[valve].unit
        found = questions(engine, valve, readings, unit=unit, before=before, warm=ask_warm)
        found += of_card.get(valve, ())
        by_valve[valve] = tuple(question for question in found if question.slip not in kept[valve])
    return by_valve


_LEFT: dict[tuple[str, int, datetime | None], dict[str, Before]] = {}
"""What signed cards left, by record, card and signature: a signed card never changes."""


def _left_before(session: Session, card_id: int) -> dict[str, Before]:
    """Return the gaps that the check before left, by the clearances' keys."""
    key = (str(session.connection().engine.url), card_id, signed_at(session, card_id))
    if key not in _LEFT:
        status = status_of(get_card(session, card_id))
        _LEFT[key] = {
            state.clearance.key: Before(gap=state.as_left.gap)
            for state in status.valves.values()
            if state.as_left and not state.as_left.gap.none_found
        }
    return _LEFT[key]


def read_card(session: Session, card_id: int) -> CardView:
    """Return the card of that number; NotFound where there is none."""
    return card_view(session, get_card(session, card_id))
