"""The sheet of a card, put together for print: what another shop needs to trust the job."""

from __future__ import annotations

from collections.abc import Mapping
from typing import Any

from sqlalchemy.orm import Session

from plimb.actions.transfer import fingerprint_of
from plimb.actions.views import BoltsView, CardView, RoundView, card_view
from plimb.core.gap import Gap
from plimb.core.layout import draw_head
from plimb.core.lengths import show_mm
from plimb.core.proof import Cause
from plimb.core.proving import within_doubt
from plimb.core.sheet import Sheet, SheetRound, SheetRow
from plimb.core.survey import ValveState
from plimb.core.tightening import STAGES
from plimb.core.torque import TorqueUnit
from plimb.store.cards import get_card
from plimb.store.engines import get_shop
from plimb.store.records import of_the_shop


def read_sheet(session: Session, card_id: int) -> Sheet:
    """Return the sheet of the card of that number.

    Raises:
        NotFound: There is none.
    """
    card = get_card(session, card_id)
    view = card_view(session, card)
    kept = card.as_signed or of_the_shop(card)
    first, last = view.rounds[0], view.rounds[-1]
    order = view.survey.order
    done = [item.does for item, ticked in (*view.safety, *view.pull, *view.closing) if ticked]
    left = [item.does for item, ticked in (*view.safety, *view.closing) if not ticked]
    return Sheet(
        shop=get_shop(session).name,
        label=kept["label"],
        engine=view.engine.name,
        card=view.id,
        facts=_facts(view, kept),
        drawing=draw_head(view.engine),
        rows=tuple(_row(view, valve, first, last) for valve in order),
        rounds=tuple(_round(one) for one in view.rounds[1:]),
        acknowledged=tuple(done),
        not_acknowledged=tuple(left) if done else (),
        torques=tuple(_torque(one) for one in view.bolts if one.torque),
        explained=tuple(_explained(view)),
        remarks=view.remarks or "",
        next_check="" if view.next_check_km is None else f"at {view.next_check_km} km",
        signed_by=view.signed_by,
        signed_at=view.signed_at,
        amendments=tuple(
            f"{one.written_at:%Y-%m-%d %H:%M} UTC, {one.written_by}: {one.text}"
            for one in view.amendments
        ),
        fingerprint=fingerprint_of(session, card),
    )


def _facts(view: CardView, kept: Mapping[str, Any]) -> tuple[tuple[str, str], ...]:
    run = [
        f"{view.distance_km} km" if view.distance_km is not None else "",
        f"{view.hours} h" if view.hours is not None else "",
    ]
    cold = view.conditions
    state = [
        f"rested {cold.rested_hours:f} h" if cold.rested_hours is not None else "",
        f"{cold.temperature_c:f} °C" if cold.temperature_c is not None else "",
        f"warm: {cold.reason}" if cold.warm else "",
    ]
    zero = "" if view.zero_nm is None else f", zero {show_mm(view.zero_nm)}"
    tool = kept["instrument"]["name"] if kept["instrument"] else "not noted"
    facts = (
        ("Why", view.reason),
        ("At", ", ".join(filter(None, run)) or "not noted"),
        ("Opened", f"{view.opened_at:%Y-%m-%d}, {view.opened_by}"),
        ("Spec", view.source or "source not noted"),
        ("State", ", ".join(filter(None, state)) or "not noted"),
        ("Turned", "by the marks" if view.method.value == "marks" else "by the lobe"),
        ("Blades", kept["blade_set"]["name"] if kept["blade_set"] else "not noted"),
        (
            "Measured with",
            f"{tool}{zero}",
        ),
        ("Rounds", str(len(view.rounds))),
    )
    return facts


def _row(view: CardView, valve: str, first: RoundView, last: RoundView) -> SheetRow:
    begun, ended = first.survey.valves[valve], last.survey.valves[valve]
    found = begun.sheet.found
    out = begun.sheet.piece
    touched = [one.survey.valves[valve] for one in view.rounds if one.survey.valves[valve].touched]
    newest = touched[-1] if touched else None
    marked = f" ({out.marked})" if out and out.marked else ""
    spec = begun.clearance.spec.check
    return SheetRow(
        valve=valve,
        spec=f"{show_mm(spec.low_nm)}–{show_mm(spec.high_nm)}",
        found=gap_words(found.gap) if found else "",
        piece_out=f"{show_mm(out.thickness_nm())}{marked}" if out else "",
        piece_in=_piece_in(newest) if newest else ("kept" if out else ""),
        predicted=gap_words(newest.predicted) if newest and newest.predicted else "",
        left=gap_words(ended.as_left.gap) if ended.as_left else "",
        residual=_signed(newest.residual_nm) if newest else "",
        verdict=ended.left,
    )


def _piece_in(state: ValveState) -> str:
    choice = state.sheet.choice
    return show_mm(choice.goes_in_nm) if choice else ""


def _round(one: RoundView) -> SheetRound:
    rows = []
    for valve in one.survey.order:
        state = one.survey.valves[valve]
        if not state.touched and state.sheet.proof is None:
            continue
        spec, piece, found = state.clearance.spec.check, state.sheet.piece, state.sheet.found
        rows.append(
            SheetRow(
                valve=valve,
                spec=f"{show_mm(spec.low_nm)}–{show_mm(spec.high_nm)}",
                found=gap_words(found.gap) if found else "",
                piece_out=show_mm(piece.thickness_nm()) if piece else "",
                piece_in=_piece_in(state) if state.touched else "kept",
                predicted=gap_words(state.predicted) if state.predicted and state.touched else "",
                left=gap_words(state.as_left.gap) if state.as_left else "",
                residual=_signed(state.residual_nm),
                verdict=state.left,
            )
        )
    return SheetRound(number=one.number, reason=one.reason, rows=tuple(rows))


def gap_words(gap: Gap) -> str:
    """Return a gap as the sheet writes it, in millimetres."""
    if gap.low_nm is None:
        return f"under {show_mm(gap.high_nm)}"
    if gap.is_point:
        return show_mm(gap.high_nm)
    if gap.called_nm is not None:
        return f"about {show_mm(gap.called_nm)}"
    return f"{show_mm(gap.low_nm)}–{show_mm(gap.high_nm)}"


def _signed(nm: int | None) -> str:
    return "" if nm is None else f"+{show_mm(nm)}" if nm > 0 else show_mm(nm)


def _torque(one: BoltsView) -> str:
    assert one.torque is not None
    words = one.torque.words()
    if one.torque.unit is not TorqueUnit.NM:
        words += f" ({one.torque.to(TorqueUnit.NM).words()})"
    whole = one.turned == len(one.places) * len(STAGES)
    how = "all stages done" if whole else f"{one.turned} turns done"
    return f"{one.name}, {len(one.places)} {one.thread.value}: {words}, {how}"


def _explained(view: CardView) -> list[str]:
    """Return what each round's proof said, the likeliest cause of one that was off."""
    said: list[str] = []
    if view.explained is None:
        return said
    if view.explained.fine:
        beyond = [one.valve for one in view.rounds[-1].proved if within_doubt(one) is False]
        if not beyond:
            return ["Every gap came out within the instruments' doubt."]
        return [f"Within doubt but for {', '.join(beyond)}; no one cause explains it."]
    for one in view.explained.ranked[:2]:
        likely = "" if one.cause is Cause.HELD_OPEN else f" ({one.chance:.0%})"
        said.append(f"{CAUSE_WORDS[one.cause]}{likely}: {one.evidence}")
    return said


CAUSE_WORDS = {
    Cause.DOUBT: "Within doubt",
    Cause.SWAPPED: "Two pieces changed places",
    Cause.HELD_OPEN: "Held open before",
    Cause.DIRT: "Dirt, or a shim not seated",
    Cause.CAM: "A cam not at its mark, or a tooth out",
    Cause.MARKING: "A piece not what its marking says",
    Cause.WRONG_TDC: "Measured at the wrong top dead centre",
    Cause.UNKNOWN: "Nothing known explains it",
}
