"""What the bench shows: a card, an engine or the list of them, as frozen answers."""

from __future__ import annotations

from dataclasses import dataclass
from datetime import datetime
from decimal import Decimal
from functools import lru_cache
from typing import Any

from sqlalchemy.orm import Session

from plimb.core.blades import BladeSet
from plimb.core.engine import Engine
from plimb.core.fitting import FitStep, closing_list, fit_steps
from plimb.core.lengths import Unit
from plimb.core.piece import Trust
from plimb.core.proof import Explained, Proved, explain
from plimb.core.proving import proved_from
from plimb.core.pull import pull_list
from plimb.core.ready import Conditions, SafetyItem, safety_list
from plimb.core.shim import Aim, Rounding, School
from plimb.core.shorthand import Reading
from plimb.core.slips import Before, Question, Slip, questions
from plimb.core.survey import Act, Need, Stage, Survey, survey
from plimb.core.tightening import tightening_order
from plimb.core.torque import Thread, Torque, TorqueDoubt, TorqueUnit, doubt_of, parse_torque
from plimb.core.turning import Events, Method, TurnPlan, order_by_plan, plan_turning
from plimb.files.engine_file import EngineFile, read_engine
from plimb.store.blades import core_set, list_blade_sets
from plimb.store.cards import card_before, get_card, list_cards
from plimb.store.engines import get_shop, list_engines, newest_revision
from plimb.store.instruments import list_instruments
from plimb.store.lines import kept_slips, repeated, sheets, typed
from plimb.store.models import CardRow, EngineRow, RoundRow


@dataclass(frozen=True, slots=True, kw_only=True)
class EngineLine:
    """One engine in the list."""

    id: int
    label: str
    note: str
    revision: int
    document: str
    engine: Engine
    events: Events
    turning: TurnPlan


@dataclass(frozen=True, slots=True, kw_only=True)
class BoltsView:
    """Bolts to tighten: where they lie, in which order, how hard, and how far it has got.

    `turned` counts bolts through all stages; `doubt` is what is asked about the torque.
    """

    name: str
    places: tuple[tuple[float, float], ...]
    order: tuple[int, ...]
    by_maker: bool
    thread: Thread
    torque: Torque | None
    doubt: TorqueDoubt | None
    turned: int


@dataclass(frozen=True, slots=True, kw_only=True)
class RoundView:
    """One pass of measuring, setting and proving, as it was left."""

    number: int
    opened_at: datetime | None
    reason: str
    hand_turns: int
    survey: Survey
    proved: tuple[Proved, ...]


@dataclass(frozen=True, slots=True, kw_only=True)
class AmendmentLine:
    """A dated line written after the card was signed."""

    written_at: datetime
    written_by: str
    text: str


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
    hours: int | None
    conditions: Conditions
    method: Method
    events: Events
    turning: TurnPlan
    safety: tuple[tuple[SafetyItem, bool], ...]
    tray: tuple[dict[str, Any], ...]
    blade_set_id: int | None
    blades: BladeSet | None
    aim: Aim
    rounding: Rounding
    act: Act
    trust: Trust
    reuse: bool
    variant: str
    forbidden: tuple[tuple[str, int], ...]
    instrument_id: int | None
    instrument: str | None
    zero_nm: int | None
    pull: tuple[tuple[SafetyItem, bool], ...]
    signed_at: datetime | None
    signed_by: str | None
    remarks: str | None
    next_check_km: int | None
    rounds: tuple[RoundView, ...]
    fit: tuple[FitStep, ...]
    closing: tuple[tuple[SafetyItem, bool], ...]
    hand_turns: int
    wrench: TorqueUnit
    bolts: tuple[BoltsView, ...]
    explained: Explained | None
    amendments: tuple[AmendmentLine, ...]
    survey: Survey
    typed: dict[tuple[str, str], str]
    repeats: dict[tuple[str, str], tuple[Reading, ...]]
    questions: dict[str, tuple[Question, ...]]

    @property
    def stage_now(self) -> Stage:
        """The stage to work at: Ready until something is noted or measured."""
        started = any(state.sheet.found for state in self.survey.valves.values())
        noted = self.conditions.noted or any(done for _item, done in self.safety)
        return self.survey.at if started or noted else Stage.READY


@dataclass(frozen=True, slots=True, kw_only=True)
class BladeSetLine:
    """One feeler set, with each blade's state."""

    id: int
    blades: BladeSet
    states: dict[int, str]


@dataclass(frozen=True, slots=True, kw_only=True)
class InstrumentLine:
    """One micrometer or calliper, and what it is good to."""

    id: int
    name: str
    doubt_nm: int


@dataclass(frozen=True, slots=True, kw_only=True)
class ShopView:
    """The shop, its engines and its cards."""

    name: str
    engines: tuple[EngineLine, ...]
    cards: tuple[CardView, ...]
    blade_sets: tuple[BladeSetLine, ...]
    instruments: tuple[InstrumentLine, ...]
    hand_turns: int
    wrench: str


@lru_cache(maxsize=256)
def parsed_engine(document: str) -> tuple[EngineFile, Engine]:
    """Return the engine in a stored document; a revision never changes, so it is kept."""
    file = read_engine(document)
    return file, file.to_core()


@lru_cache(maxsize=256)
def turning_of(document: str, method: Method) -> TurnPlan:
    """Return where to turn a stored engine to."""
    file, engine = parsed_engine(document)
    return plan_turning(engine, file.timing(), method)


def conditions_of(card: CardRow) -> Conditions:
    """Return how cold the engine was, as noted on the card."""
    return Conditions(
        rested_hours=None if card.rested_hours is None else Decimal(card.rested_hours),
        temperature_c=None if card.temperature_c is None else Decimal(card.temperature_c),
        reason=card.warm_reason,
    )


def card_view(session: Session, card: CardRow) -> CardView:
    """Return the card as it now stands."""
    document = card.revision.document
    file, engine = parsed_engine(document)
    round_ = card.rounds[-1]
    school = School(aim=Aim(card.aim), rounding=Rounding(card.rounding))
    method = Method(card.method)
    turning = turning_of(document, method)
    blades = core_set(card.blade_set) if card.blade_set else None
    trust = Trust(card.trust)
    shop = get_shop(session)
    order = order_by_plan(engine, turning)
    rounds = tuple(
        _round_view(one, survey(engine, sheets(one, trust), school, Act(card.act), order))
        for one in card.rounds
    )
    seen, proved = rounds[-1].survey, rounds[-1].proved
    touched = {v: s for v, s in seen.valves.items() if s.touched}
    opened = tuple(valve for valve in seen.order if seen.valves[valve].need is Need.OPEN)
    return CardView(
        id=card.id,
        version=card.version,
        label=(card.as_signed or {}).get("label", card.revision.engine.label),
        engine=engine,
        source=_source(file),
        events=file.timing(),
        opened_at=card.opened_at,
        opened_by=card.opened_by,
        reason=card.reason,
        distance_km=card.distance_km,
        hours=card.hours,
        conditions=conditions_of(card),
        method=method,
        turning=turning,
        safety=tuple((item, item.id in card.seen_to) for item in safety_list(engine, method)),
        tray=tuple(card.trays[-1].document) if card.trays else (),
        blade_set_id=card.blade_set_id,
        blades=blades,
        aim=Aim(card.aim),
        rounding=Rounding(card.rounding),
        act=Act(card.act),
        trust=trust,
        reuse=card.reuse,
        variant=card.variant,
        forbidden=tuple((valve, nm) for valve, nm in card.forbidden),
        instrument_id=card.instrument_id,
        instrument=card.instrument.name if card.instrument else None,
        zero_nm=card.zero_nm,
        pull=tuple(
            (step, step.id in card.seen_to) for step in pull_list(engine, opened, len(card.rounds))
        ),
        rounds=rounds,
        fit=fit_steps(
            engine,
            {v: s.sheet.choice for v, s in touched.items() if s.sheet.choice},
            {v: s.sheet.piece.thickness_nm() for v, s in touched.items() if s.sheet.piece},
        ),
        closing=tuple(
            (step, step.id in card.seen_to)
            for step in closing_list(engine, _shafts_out(seen), shop.hand_turns, len(card.rounds))
        ),
        hand_turns=shop.hand_turns,
        wrench=TorqueUnit(shop.wrench),
        bolts=tuple(_bolts_view(one) for one in card.tightening),
        explained=explain(proved) if proved else None,
        amendments=tuple(
            AmendmentLine(written_at=n.written_at, written_by=n.written_by, text=n.text)
            for n in card.amendments
        ),
        signed_at=card.signed_at,
        signed_by=card.signed_by,
        remarks=card.remarks,
        next_check_km=card.next_check_km,
        survey=seen,
        typed=typed(round_),
        repeats={
            (valve, purpose): chain
            for purpose in ("found", "proof")
            for valve, chain in repeated(round_, purpose).items()
        },
        questions=_questions(session, card, engine, seen, blades),
    )


def _round_view(row: RoundRow, seen: Survey) -> RoundView:
    return RoundView(
        number=row.number,
        opened_at=row.opened_at,
        reason=row.reason,
        hand_turns=row.hand_turns,
        survey=seen,
        proved=proved_from(seen),
    )


def _shafts_out(seen: Survey) -> tuple[str, ...]:
    """Return the camshafts that the chosen pieces need out."""
    return tuple(
        dict.fromkeys(
            state.clearance.camshaft
            for state in seen.valves.values()
            if state.touched and state.clearance.camshaft_out
        )
    )


def _bolts_view(entry: dict[str, Any]) -> BoltsView:
    places = tuple((float(x), float(y)) for x, y in entry["places"])
    thread = Thread(entry["thread"])
    unit = TorqueUnit(entry["unit"])
    torque = parse_torque(entry["torque"], unit) if entry["torque"] else None
    order = entry["order"]
    return BoltsView(
        name=entry["name"],
        places=places,
        order=tightening_order(places) if order is None else tuple(order),
        by_maker=order is not None,
        thread=thread,
        torque=torque,
        doubt=doubt_of(torque, thread) if torque else None,
        turned=entry["turned"],
    )


def _source(file: EngineFile) -> str | None:
    """Return where the spec stands: the book, and its page if that is given."""
    page = f"page {file.engine.page}" if file.engine.page else None
    return ", ".join(filter(None, (file.engine.source, page))) or None


def _questions(
    session: Session, card: CardRow, engine: Engine, seen: Survey, blades: BladeSet | None
) -> dict[str, tuple[Question, ...]]:
    """Return what is worth asking about each reading as found and was not answered yet."""
    if card.signed_at or len(card.rounds) > 1:  # what a proof left is not asked about again
        return {}
    round_ = card.rounds[-1]
    readings = {
        valve: state.sheet.found for valve, state in seen.valves.items() if state.sheet.found
    }
    kept = kept_slips(round_, "found")
    earlier = card_before(session, card)
    before = _left_before(session, earlier) if earlier is not None else {}
    units = {gap.valve: Unit(gap.unit) for gap in round_.gaps if gap.superseded_at is None}
    thin = [blade.thickness_nm for blade in blades.usable] if blades else []
    # that the engine is warm is asked once a card, not once a valve
    ask_warm = conditions_of(card).warm and not any(Slip.WARM in slips for slips in kept.values())
    asked = {}
    for valve in readings:
        found = questions(
            engine,
            valve,
            readings,
            unit=units.get(valve, Unit.MM),
            before=before,
            thin_blades_nm=thin,
            warm=ask_warm,
        )
        asked[valve] = tuple(one for one in found if one.slip not in kept.get(valve, ()))
    return asked


_LEFT: dict[tuple[str, int], dict[str, Before]] = {}
"""What signed cards left, by record and card: a signed card never changes."""


def _left_before(session: Session, card_id: int) -> dict[str, Before]:
    """Return the gaps that the check before left, by valve."""
    key = (str(session.connection().engine.url), card_id)
    if key not in _LEFT:
        seen = read_card(session, card_id).survey
        _LEFT[key] = {
            valve: Before(gap=state.as_left.gap)
            for valve, state in seen.valves.items()
            if state.as_left and not state.as_left.gap.none_found
        }
    return _LEFT[key]


def read_card(session: Session, card_id: int) -> CardView:
    """Return the card of that number.

    Raises:
        NotFound: There is none.
    """
    return card_view(session, get_card(session, card_id))


def read_shop(session: Session) -> ShopView:
    """Return the shop with its engines by label and its cards, newest first."""
    shop = get_shop(session)
    return ShopView(
        name=shop.name,
        hand_turns=shop.hand_turns,
        wrench=shop.wrench,
        engines=tuple(engine_line(row) for row in list_engines(session)),
        cards=tuple(card_view(session, card) for card in list_cards(session)),
        blade_sets=tuple(
            BladeSetLine(
                id=row.id,
                blades=core_set(row),
                states={blade.nominal_nm: blade.state for blade in row.blades},
            )
            for row in list_blade_sets(session)
        ),
        instruments=tuple(
            InstrumentLine(id=row.id, name=row.name, doubt_nm=row.doubt_nm)
            for row in list_instruments(session)
        ),
    )


def engine_line(row: EngineRow) -> EngineLine:
    """Return an engine as its newest revision has it."""
    newest = row.revisions[-1]
    file, engine = parsed_engine(newest.document)
    return EngineLine(
        id=row.id,
        label=row.label,
        note=row.note,
        revision=newest.number,
        document=newest.document,
        engine=engine,
        events=file.timing(),
        turning=turning_of(newest.document, Method.MARKS),
    )


def read_engine_line(session: Session, engine_id: int) -> EngineLine:
    """Return the engine of that number.

    Raises:
        NotFound: There is none.
    """
    return engine_line(newest_revision(session, engine_id).engine)
