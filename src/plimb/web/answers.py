"""Turn core values into what goes over the wire; nothing is worked out here."""

from __future__ import annotations

from datetime import datetime

from plimb.actions.views import CardView, ShopView
from plimb.core.layout import BORE_RADIUS, HeadDrawing, draw_head
from plimb.core.lengths import Unit
from plimb.core.piece import DISAGREES_OVER_NM, Piece
from plimb.core.shim import Fitted, rungs
from plimb.core.shorthand import Reading
from plimb.core.survey import Need, ValveState
from plimb.core.working import conclusion, working
from plimb.web.schemas import (
    BankOut,
    BarOut,
    BoreOut,
    CardLineOut,
    CardOut,
    DrawingOut,
    EngineLineOut,
    FittedOut,
    GapOut,
    LengthOut,
    PieceOut,
    ReadingOut,
    ShopOut,
    SpecOut,
    SpotOut,
    TodoOut,
    ValveOut,
    WorkedOutOut,
)


def card_out(card: CardView) -> CardOut:
    """Return the card for the screen."""
    seen = card.survey
    return CardOut(
        id=card.id,
        version=card.version,
        label=card.label,
        engine=card.engine.name,
        source=card.source,
        opened_at=_moment(card.opened_at),
        opened_by=card.opened_by,
        reason=card.reason,
        distance_km=card.distance_km,
        aim=card.aim,
        rounding=card.rounding,
        act=card.act,
        signed_at=_moment(card.signed_at) if card.signed_at else None,
        signed_by=card.signed_by,
        remarks=card.remarks,
        next_check_km=card.next_check_km,
        drawing=drawing_out(draw_head(card.engine)),
        valves=[valve_out(seen.valves[valve], card) for valve in seen.order],
        todo=[
            TodoOut(stage=todo.stage, applies=todo.applies, waiting=list(todo.waiting))
            for todo in seen.todo
        ],
        at=seen.at,
        not_in_spec=list(seen.not_in_spec),
    )


def valve_out(state: ValveState, card: CardView) -> ValveOut:
    """Return one valve with every line its plate carries."""
    clearance, sheet = state.clearance, state.sheet
    spec = clearance.spec

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
            set_low=_length(spec.set_.low_nm if spec.set_ else None),
            set_high=_length(spec.set_.high_nm if spec.set_ else None),
        ),
        found=reading("found", sheet.found),
        verdict=state.verdict,
        near_edge=state.near_edge,
        need=state.need,
        reason=state.reason,
        piece=sheet.piece and _piece_out(sheet.piece, card.typed[clearance.id, "piece"]),
        worked=_worked_out(state),
        chosen=_length(sheet.chosen_nm),
        touched=state.touched,
        predicted=state.predicted and GapOut.of(state.predicted),
        predicted_verdict=state.predicted_verdict,
        predicted_chance=state.predicted_chance,
        proof=reading("proof", sheet.proof),
        proof_verdict=state.proof_verdict,
        residual=_length(state.residual_nm),
        was=_length(state.was_nm),
        as_left=GapOut.of(state.as_left.gap) if state.as_left else None,
        left=state.left,
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
                follower=line.follower,
                valves=len(line.engine.clearances),
                drawing=drawing_out(draw_head(line.engine)),
            )
            for line in shop.engines
        ],
        cards=[_card_line(card) for card in shop.cards],
    )


def _card_line(card: CardView) -> CardLineOut:
    states = [card.survey.valves[valve] for valve in card.survey.order]
    return CardLineOut(
        id=card.id,
        label=card.label,
        engine=card.engine.name,
        reason=card.reason,
        opened_at=_moment(card.opened_at),
        opened_by=card.opened_by,
        signed_at=_moment(card.signed_at) if card.signed_at else None,
        signed_by=card.signed_by,
        next_check_km=card.next_check_km,
        at=card.survey.at,
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
                        valve=spot.valve, u=spot.u, v=spot.v, radius=spot.radius, plate=spot.plate
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
        thin=_length(worked.window.thin_nm if worked.window else None),
        thick=_length(worked.window.thick_nm if worked.window else None),
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
    apart_nm = piece.disagreement_nm
    return PieceOut(
        typed=typed,
        thickness=LengthOut.of(piece.thickness_nm()),
        marked=piece.marked,
        measured=_length(piece.measured_nm),
        words=piece.words(),
        disagrees=apart_nm is not None and abs(apart_nm) > DISAGREES_OVER_NM,
    )


def _length(nm: int | None) -> LengthOut | None:
    return None if nm is None else LengthOut.of(nm)


def _moment(moment: datetime) -> str:
    return f"{moment:%Y-%m-%dT%H:%M:%S}Z"
