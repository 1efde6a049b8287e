"""Hold a card's proof against what was predicted, valve by valve."""

from __future__ import annotations

from plimb.core.chance import USUAL_DOUBT, gap_ends
from plimb.core.gap import Gap, point
from plimb.core.piece import Piece
from plimb.core.proof import FEEL_NM, Proved
from plimb.core.survey import Survey, ValveState

SIGMAS = 2
"""A residual within so many standard uncertainties is no more than doubt (JCGM 100, 6.2)."""


def doubt_of_piece(piece: Piece | None) -> int:
    """Return the half-width of a piece's thickness, in nanometres."""
    if piece is None:
        return 0
    if piece.from_marking:
        return USUAL_DOUBT.marked_nm
    return USUAL_DOUBT.piece_nm if piece.doubt_nm is None else piece.doubt_nm


def proved_from(survey: Survey) -> tuple[Proved, ...]:
    """Return every valve that was measured again, with its gap and its pieces before and after."""
    proved = []
    for valve in survey.order:
        state = survey.valves[valve]
        sheet = state.sheet
        if sheet.proof is None or sheet.found is None:
            continue
        piece, choice = sheet.piece, sheet.choice
        old_nm = piece.thickness_nm() if piece else 0
        changed = sheet.changes and choice is not None
        proved.append(
            Proved(
                valve=valve,
                cylinder=state.clearance.cylinder,
                side=state.clearance.side,
                camshaft=state.clearance.camshaft,
                found=sheet.found.gap,
                proof=sheet.proof.gap,
                old_nm=old_nm,
                new_nm=choice.goes_in_nm if changed and choice else old_nm,
                old_doubt_nm=doubt_of_piece(piece),
                new_doubt_nm=_new_doubt(state),
                changed=bool(changed),
                by_marking=bool(changed and choice and choice.known_from_marking),
            )
        )
    return tuple(proved)


def _new_doubt(state: ValveState) -> int:
    choice = state.sheet.choice
    marked = choice is not None and choice.known_from_marking
    return USUAL_DOUBT.marked_nm if marked else USUAL_DOUBT.piece_nm


def within_doubt(one: Proved) -> bool | None:
    """Return whether a residual is no more than the instruments' doubt; None for no residual."""
    residual_nm = one.residual_nm
    if residual_nm is None:
        return None
    pieces = (one.old_doubt_nm**2 + one.new_doubt_nm**2) / 3 if one.changed else 0.0
    variance = pieces + _spread(one.found) + _spread(one.proof) + 2 * FEEL_NM**2
    return bool(residual_nm**2 <= SIGMAS**2 * variance)


def _spread(gap: Gap) -> float:
    """Return the variance of a reading taken as even over its interval."""
    low, high = gap_ends(gap if not gap.none_found else point(gap.high_nm))
    return (high - low) ** 2 / 12
