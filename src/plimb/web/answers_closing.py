"""Turn fitting, tightening and proofs into what goes over the wire; nothing is worked out here."""

from __future__ import annotations

from plimb.actions.sheet import CAUSE_WORDS
from plimb.actions.views import BoltsView, CardView, RoundView
from plimb.core.proof import Explained
from plimb.core.proving import within_doubt
from plimb.core.tightening import STAGES
from plimb.core.torque import Thread, Torque, TorqueUnit, doubt_of
from plimb.web.schemas_base import GapOut, LengthOut
from plimb.web.schemas_closing import (
    BoltsOut,
    ExplainedOut,
    ExplanationOut,
    FitStepOut,
    RoundLineOut,
    RoundOut,
    StageOut,
    TorqueOut,
)

STAGE_NAMES = ("finger tight", "half", "whole")


def _length(nm: int | None) -> LengthOut | None:
    return None if nm is None else LengthOut.of(nm)


def fit_out(card: CardView) -> list[FitStepOut]:
    """Return what is fitted, valve by valve, in order."""
    steps = []
    for step in card.fit:
        choice = card.survey.valves[step.valve].sheet.choice
        steps.append(
            FitStepOut(
                valve=step.valve,
                thickness=LengthOut.of(step.thickness_nm),
                source=step.source,
                from_valve=step.from_valve,
                old=LengthOut.of(step.old_nm),
                old_goes_to=step.old_goes_to,
                checks=list(step.checks),
                measured=_length(choice.measured_nm if choice else None),
                by_marking=choice is not None and choice.known_from_marking,
                fitted=choice is not None and choice.fitted,
            )
        )
    return steps


def torque_out(torque: Torque, thread: Thread) -> TorqueOut:
    """Return a torque in every unit, and what is asked about it."""
    doubt = doubt_of(torque, thread)
    likely = doubt.likely if doubt else None
    return TorqueOut(
        words={unit.value: torque.to(unit).words() for unit in TorqueUnit},
        doubt=doubt.sentence if doubt else None,
        likely=likely.words() if likely else None,
        likely_unit=likely.unit if likely else None,
    )


def bolts_out(view: BoltsView, wrench: TorqueUnit) -> BoltsOut:
    """Return bolts with their order and stages, in the unit of the shop's wrench."""
    stages = []
    for name, share in zip(STAGE_NAMES, STAGES, strict=True):
        shown = None
        if view.torque is not None and share:
            shown = view.torque.to(wrench).share(share).words()
        stages.append(StageOut(name=name, torque=shown))
    return BoltsOut(
        name=view.name,
        places=[list(place) for place in view.places],
        order=list(view.order),
        by_maker=view.by_maker,
        thread=view.thread,
        torque=torque_out(view.torque, view.thread) if view.torque else None,
        typed=f"{float(view.torque.value):g}" if view.torque else "",
        unit=view.torque.unit if view.torque else TorqueUnit.NM,
        stages=stages,
        turned=view.turned,
        turns=len(view.places) * len(STAGES),
    )


def explained_out(explained: Explained, view: RoundView) -> ExplainedOut:
    """Return what the proof says, the likeliest cause first."""
    return ExplainedOut(
        fine=explained.fine,
        ranked=[
            ExplanationOut(
                cause=one.cause,
                name=CAUSE_WORDS[one.cause],
                valves=list(one.valves),
                chance=one.chance,
                evidence=one.evidence,
                check=one.check,
            )
            for one in explained.ranked
        ],
        beyond=[one.valve for one in view.proved if within_doubt(one) is False],
    )


def round_out(view: RoundView) -> RoundOut:
    """Return one round, every valve as it was left."""
    proved = {one.valve: one for one in view.proved}
    lines = []
    for valve in view.survey.order:
        state = view.survey.valves[valve]
        sheet = state.sheet
        moved = state.touched and sheet.choice is not None
        lines.append(
            RoundLineOut(
                valve=valve,
                found=GapOut.of(sheet.found.gap) if sheet.found else None,
                piece=_length(sheet.piece.thickness_nm() if sheet.piece else None),
                marked=sheet.piece.marked if sheet.piece else None,
                went_in=_length(sheet.choice.goes_in_nm if moved and sheet.choice else None),
                predicted=GapOut.of(state.predicted) if state.predicted and moved else None,
                proof=GapOut.of(sheet.proof.gap) if sheet.proof else None,
                residual=_length(proved[valve].residual_nm if valve in proved else None),
                within_doubt=within_doubt(proved[valve]) if valve in proved else None,
                verdict=state.left,
            )
        )
    return RoundOut(
        number=view.number,
        opened_at=None if view.opened_at is None else f"{view.opened_at:%Y-%m-%dT%H:%M:%S}Z",
        reason=view.reason,
        hand_turns=view.hand_turns,
        lines=lines,
    )
