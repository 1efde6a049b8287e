"""Turn core values into what goes over the wire; nothing is worked out here."""

from __future__ import annotations

from collections.abc import Iterable
from datetime import datetime
from decimal import Decimal

from plimb.actions.views import CardView, EngineLine, ShopView
from plimb.core.blades import BladeSet, Known, Try, known_from, next_blade, next_finer
from plimb.core.engine import Engine, Side
from plimb.core.layout import BORE_RADIUS, HeadDrawing, draw_head
from plimb.core.lengths import Unit, mm, show_mm
from plimb.core.piece import Piece
from plimb.core.ready import SafetyItem
from plimb.core.shim import Fitted, rungs
from plimb.core.shorthand import Reading
from plimb.core.survey import Need, Stage, ValveState
from plimb.core.turning import COMFORT, Events, Method, TurnPlan, lobe_points
from plimb.core.working import conclusion, working
from plimb.web.answers_closing import bolts_out, explained_out, fit_out, round_out
from plimb.web.schemas import (
    BankOut,
    BarOut,
    BladeSetOut,
    BoreOut,
    CardLineOut,
    CardOut,
    ConditionsOut,
    DrawingOut,
    EngineLineOut,
    EngineOut,
    FittedOut,
    InstrumentOut,
    LaneOut,
    LobeOut,
    PartOut,
    PieceOut,
    QuestionOut,
    ReadingOut,
    SafetyOut,
    ShopOut,
    SpecOut,
    SpotOut,
    StopOut,
    TodoOut,
    TryOut,
    TurnOut,
    ValveOut,
    WorkedOutOut,
)
from plimb.web.schemas_base import GapOut, LengthOut
from plimb.web.schemas_closing import AmendmentOut

HUNDREDTH_NM = mm("0.01")


def card_out(card: CardView) -> CardOut:
    """Return the card for the screen."""
    seen = card.survey
    return CardOut(
        id=card.id,
        version=card.version,
        label=card.label,
        engine=card.engine.name,
        source=card.source,
        opened_at=moment_out(card.opened_at),
        opened_by=card.opened_by,
        reason=card.reason,
        distance_km=card.distance_km,
        hours=card.hours,
        conditions=ConditionsOut(
            rested_hours=_number(card.conditions.rested_hours),
            temperature_c=_number(card.conditions.temperature_c),
            reason=card.conditions.reason,
            warm=card.conditions.warm,
            warnings=list(card.conditions.warnings),
        ),
        safety=_list_out(card.safety),
        tray=[PartOut.model_validate(part) for part in card.tray],
        turning=turn_out(card.engine, card.events, card.method, card.turning),
        blade_set=blade_set_out(card.blade_set_id or 0, card.blades) if card.blades else None,
        aim=card.aim,
        rounding=card.rounding,
        act=card.act,
        trust=card.trust,
        reuse=card.reuse,
        variant=card.variant,
        instrument_id=card.instrument_id,
        instrument=card.instrument,
        zero=length_out(card.zero_nm),
        pull=_list_out(card.pull),
        signed_at=moment_out(card.signed_at) if card.signed_at else None,
        signed_by=card.signed_by,
        remarks=card.remarks,
        next_check_km=card.next_check_km,
        round=card.rounds[-1].number,
        hand_turns=card.rounds[-1].hand_turns,
        hand_turns_wanted=card.hand_turns,
        closing=_list_out(card.closing),
        rounds=[round_out(one) for one in card.rounds],
        fit=fit_out(card),
        bolts=[bolts_out(one, card.wrench) for one in card.bolts],
        explained=card.explained and explained_out(card.explained, card.rounds[-1]),
        amendments=[
            AmendmentOut(
                written_at=moment_out(one.written_at), written_by=one.written_by, text=one.text
            )
            for one in card.amendments
        ],
        drawing=drawing_out(draw_head(card.engine)),
        valves=[valve_out(seen.valves[valve], card) for valve in seen.order],
        todo=[
            TodoOut(
                stage=Stage.READY,
                applies=True,
                waiting=[item.id for item, done in card.safety if not done],
            ),
            TodoOut(stage=Stage.TURN, applies=True, waiting=[]),
            *(
                TodoOut(stage=todo.stage, applies=todo.applies, waiting=list(todo.waiting))
                for todo in seen.todo
            ),
        ],
        at=card.stage_now,
        not_in_spec=list(seen.not_in_spec),
    )


def _list_out(items: Iterable[tuple[SafetyItem, bool]]) -> list[SafetyOut]:
    return [
        SafetyOut(id=item.id, does=item.does, caution=item.caution, done=done)
        for item, done in items
    ]


def valve_out(state: ValveState, card: CardView) -> ValveOut:
    """Return one valve with every line its plate carries."""
    clearance, sheet = state.clearance, state.sheet
    spec, blades = clearance.spec, card.blades
    repeats = card.repeats.get((clearance.id, "found"), ())
    best = [one.gap.best_nm for one in repeats]
    known = known_from(sheet.found.gap) if sheet.found else Known()

    def reading(kind: str, value: Reading | None) -> ReadingOut | None:
        if value is None:
            return None
        return ReadingOut(
            typed=card.typed[clearance.id, kind],
            gap=GapOut.of(value.gap),
            mm=value.words(Unit.MM),
            thou=value.words(Unit.INCH),
        )

    return ValveOut(
        valve=clearance.id,
        cylinder=clearance.cylinder,
        side=clearance.side,
        position=clearance.position,
        camshaft=clearance.camshaft,
        spec=SpecOut(
            low=LengthOut.of(spec.check.low_nm),
            high=LengthOut.of(spec.check.high_nm),
            set_low=length_out(spec.set_.low_nm if spec.set_ else None),
            set_high=length_out(spec.set_.high_nm if spec.set_ else None),
        ),
        found=reading("found", sheet.found),
        verdict=state.verdict,
        near_edge=state.near_edge,
        need=state.need,
        reason=state.reason,
        piece=sheet.piece and _piece_out(sheet.piece, card.typed[clearance.id, "piece"]),
        worked=_worked_out(state),
        chosen=length_out(sheet.chosen_nm),
        chosen_from=sheet.choice.source if sheet.choice else None,
        chosen_from_valve=sheet.choice.from_valve if sheet.choice else None,
        by_hand=sheet.choice is not None and sheet.choice.by_hand,
        touched=state.touched,
        predicted=state.predicted and GapOut.of(state.predicted),
        predicted_verdict=state.predicted_verdict,
        predicted_chance=state.predicted_chance,
        proof=reading("proof", sheet.proof),
        proof_verdict=state.proof_verdict,
        residual=length_out(state.residual_nm),
        was=length_out(state.was_nm),
        as_left=GapOut.of(state.as_left.gap) if state.as_left else None,
        left=state.left,
        action=clearance.action,
        questions=[
            QuestionOut(
                slip=one.slip,
                sentence=one.sentence,
                suggestion=one.suggestion,
                suggested=length_out(one.suggested_nm),
            )
            for one in card.questions.get(clearance.id, ())
        ],
        repeats=[GapOut.of(one.gap) for one in repeats],
        spread=length_out(max(best) - min(best)) if len(best) > 1 else None,
        next_blade=try_out(next_blade(known, spec.check, blades)) if blades else None,
        next_finer=try_out(next_finer(known, spec.check, blades)) if blades else None,
        stop=next(
            place for place, stop in enumerate(card.turning.stops) if clearance.id in stop.valves
        ),
    )


def try_out(one: Try | None) -> TryOut | None:
    """Return a blade or stack to try, as it is typed in millimetres."""
    if one is None:
        return None
    return TryOut(
        typed="+".join(typed_blade(blade) for blade in one.blades),
        blades=[LengthOut.of(blade) for blade in one.blades],
        thickness=LengthOut.of(one.thickness_nm),
    )


def typed_blade(nm: int) -> str:
    """Return how a blade is typed in millimetres: hundredths where it is whole ones."""
    hundredths, rest = divmod(nm, HUNDREDTH_NM)
    return show_mm(nm) if rest else str(hundredths)


def blade_set_out(
    set_id: int, blades: BladeSet, states: dict[int, str] | None = None
) -> BladeSetOut:
    """Return a feeler set; without states the blades out of use are only said to be bent."""
    known = states or {b.nominal_nm: "sound" if b.in_use else "bent" for b in blades.blades}
    return BladeSetOut.model_validate(
        {
            "id": set_id,
            "name": blades.name,
            "stacking": blades.stacking,
            "blades": [
                {
                    "typed": typed_blade(blade.nominal_nm),
                    "marked": LengthOut.of(blade.nominal_nm),
                    "measured": length_out(blade.measured_nm),
                    "state": known[blade.nominal_nm],
                }
                for blade in blades.blades
            ],
        }
    )


def turn_out(engine: Engine, events: Events, method: Method, plan: TurnPlan) -> TurnOut:
    """Return the stops with where each lobe points, and a lane for each cylinder's side."""
    lanes = []
    for cylinder in sorted(engine.cylinders, key=lambda one: one.number):
        for side in Side:
            valves = engine.along(cylinder.number, side)
            if not valves:
                continue
            start, end = events.lift(side)
            opens, closes = events.opening(side)
            lanes.append(
                LaneOut(
                    cylinder=cylinder.number,
                    side=side,
                    valves=[valve.id for valve in valves],
                    fires_at=cylinder.fires_at,
                    lift_from=cylinder.fires_at + start,
                    lift_to=cylinder.fires_at + end,
                    opens=cylinder.fires_at + opens,
                    closes=cylinder.fires_at + closes,
                    peak=float(cylinder.fires_at + events.peak(side)),
                )
            )
    return TurnOut(
        method=method,
        rotation=engine.rotation,
        turning=float(plan.turning),
        stops=[
            StopOut(
                degrees=float(stop.degrees),
                mark=stop.mark,
                valves=list(stop.valves),
                margin=float(stop.margin),
                narrow=stop.margin < COMFORT,
                lobes=[
                    LobeOut(
                        valve=valve,
                        degrees=float(
                            lobe_points(engine, engine.clearance(valve), events, stop.degrees)
                        ),
                    )
                    for valve in stop.valves
                ],
            )
            for stop in plan.stops
        ],
        lanes=lanes,
    )


def engine_out(line: EngineLine) -> EngineOut:
    """Return an engine with its file."""
    return EngineOut(
        id=line.id,
        label=line.label,
        note=line.note,
        revision=line.revision,
        document=line.document,
        drawing=drawing_out(draw_head(line.engine)),
        turning=turn_out(line.engine, line.events, Method.MARKS, line.turning),
    )


def shop_out(shop: ShopView) -> ShopOut:
    """Return the shop with its engines and cards for the bench."""
    return ShopOut(
        name=shop.name,
        engines=[
            EngineLineOut(
                id=line.id,
                label=line.label,
                note=line.note,
                name=line.engine.name,
                follower=line.engine.follower,
                revision=line.revision,
                valves=len(line.engine.clearances),
                drawing=drawing_out(draw_head(line.engine)),
            )
            for line in shop.engines
        ],
        cards=[_card_line(card) for card in shop.cards],
        blade_sets=[blade_set_out(line.id, line.blades, line.states) for line in shop.blade_sets],
        hand_turns=shop.hand_turns,
        wrench=shop.wrench,
        instruments=[
            InstrumentOut(id=one.id, name=one.name, doubt=LengthOut.of(one.doubt_nm))
            for one in shop.instruments
        ],
    )


def _card_line(card: CardView) -> CardLineOut:
    states = [card.survey.valves[valve] for valve in card.survey.order]
    return CardLineOut(
        id=card.id,
        label=card.label,
        engine=card.engine.name,
        reason=card.reason,
        opened_at=moment_out(card.opened_at),
        opened_by=card.opened_by,
        signed_at=moment_out(card.signed_at) if card.signed_at else None,
        signed_by=card.signed_by,
        next_check_km=card.next_check_km,
        at=card.stage_now,
        measured=sum(state.sheet.found is not None for state in states),
        opened=sum(state.need is Need.OPEN for state in states),
        valves=len(states),
        verdicts=[state.left if card.signed_at else state.verdict for state in states],
    )


def drawing_out(drawing: HeadDrawing) -> DrawingOut:
    """Return the head from above for the screen."""
    return DrawingOut(
        crank="along" if drawing.crank == "along" else "across",
        bore_radius=BORE_RADIUS,
        banks=[
            BankOut(
                bank=bank.bank,
                length=bank.length,
                bores=[BoreOut(cylinder=bore.cylinder, u=bore.u) for bore in bank.bores],
                valves=[
                    SpotOut(
                        valve=spot.valve,
                        u=spot.u,
                        v=spot.v,
                        radius=spot.radius,
                        plate=spot.plate,
                        rank=spot.rank,
                    )
                    for spot in bank.valves
                ],
                camshafts=[
                    BarOut(camshaft=bar.camshaft, v=bar.v, start=bar.start, end=bar.end)
                    for bar in bank.camshafts
                ],
            )
            for bank in drawing.banks
        ],
    )


def _worked_out(state: ValveState) -> WorkedOutOut | None:
    worked = state.worked
    if worked is None:
        return None
    return WorkedOutOut(
        thin=length_out(worked.window.thin_nm if worked.window else None),
        thick=length_out(worked.window.thick_nm if worked.window else None),
        aim=LengthOut.of(worked.aim_nm),
        ideal=LengthOut.of(worked.ideal_nm),
        thinner=_fitted(worked.thinner),
        thicker=_fitted(worked.thicker),
        pick=_fitted(worked.pick),
        likeliest=_fitted(worked.likeliest),
        provisional=worked.provisional,
        fell_back=worked.fell_back,
        rungs=[_rung(rung) for rung in rungs(worked, state.clearance.family.sizes())],
        working=list(working(worked, Unit.MM)),
        conclusion=conclusion(worked, Unit.MM),
    )


def _rung(fitted: Fitted) -> FittedOut:
    return FittedOut(
        thickness=LengthOut.of(fitted.thickness_nm),
        gap=LengthOut.of(fitted.gap_nm),
        in_spec=fitted.in_spec,
        chance=fitted.chance,
    )


def _fitted(fitted: Fitted | None) -> FittedOut | None:
    return None if fitted is None else _rung(fitted)


def _piece_out(piece: Piece, typed: str) -> PieceOut:
    return PieceOut(
        typed=typed,
        thickness=LengthOut.of(piece.thickness_nm()),
        marked=piece.marked,
        measured=length_out(piece.measured_nm),
        marked_as=length_out(piece.marked_nm),
        words=piece.words(),
        disagrees=piece.disagrees,
        answered=piece.answered,
        trust=piece.trust,
        condition=piece.condition,
        spread=length_out(piece.spread_nm),
    )


def length_out(nm: int | None) -> LengthOut | None:
    """Return a length as it goes over the wire, None for none."""
    return None if nm is None else LengthOut.of(nm)


def _number(number: Decimal | None) -> str | None:
    return None if number is None else f"{number:f}"


def moment_out(moment: datetime) -> str:
    """Return a moment as ISO 8601 in UTC."""
    return f"{moment:%Y-%m-%dT%H:%M:%S}Z"
