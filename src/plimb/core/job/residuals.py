"""A card's proof held against what was predicted, valve by valve."""

from collections.abc import Sequence
from dataclasses import dataclass
from functools import lru_cache
from math import sqrt
from statistics import NormalDist

from plimb.core.engine.engine import Side
from plimb.core.job.status import JobStatus
from plimb.core.lengths import mm
from plimb.core.measure.gap import Gap, point, residual
from plimb.core.measure.uncertainty import USUAL_DOUBT, gap_ends
from plimb.core.words import MILLIMETRES, Units

COARSE_NM = mm("0.0115")
"""How far a coarse hand's feel of one gap differs from time to time (judgement).

Nobody knows that this hand is not one: a mark holds for it, too.
"""

HONEST_ENGINES = 0.04
"""Of so many whole honest engines one valve or more may be marked as beyond doubt."""


@dataclass(frozen=True, slots=True, kw_only=True)
class Proved:
    """One valve that was measured again. Lengths in nanometres.

    `found` is the gap before with `old_nm` in, `proof` the one after with `new_nm`; equal where
    the piece stayed. The doubts are half-widths of each piece's thickness; `by_marking` says
    that the new piece was never measured.
    """

    valve: str
    cylinder: int
    side: Side
    camshaft: str
    found: Gap
    proof: Gap
    old_nm: int
    new_nm: int
    old_doubt_nm: int
    new_doubt_nm: int
    changed: bool
    by_marking: bool = False
    units: Units = MILLIMETRES

    @property
    def predicted(self) -> Gap:
        """The gap that should follow from the change of piece."""
        return self.found.shifted(self.old_nm - self.new_nm)

    @property
    def residual_nm(self) -> int | None:
        """Proof minus prediction, or None where one of them is not known."""
        if not (self.found.both_ends and self.proof.both_ends):
            return None
        return residual(self.proof, self.predicted)

    @property
    def before_nm(self) -> int | None:
        """The gap before, worked back from the proof; below zero it was held open."""
        return (
            None if not self.proof.both_ends else self.proof.best_nm - (self.old_nm - self.new_nm)
        )

    @property
    def before_range(self) -> tuple[int, int]:
        """From where to where the gap before lies by the proof, the pieces' doubt taken in."""
        low, high = gap_ends(self.proof if self.proof.both_ends else point(self.proof.high_nm))
        doubt_nm = self.old_doubt_nm + self.new_doubt_nm
        by_nm = self.old_nm - self.new_nm
        return round(low) - by_nm - doubt_nm, round(high) - by_nm + doubt_nm


def proved_from(status: JobStatus) -> tuple[Proved, ...]:
    """Return every valve that was measured again, with its gap and its pieces before and after."""
    proved = []
    for valve in status.order:
        state = status.valves[valve]
        record = state.record
        if record.proof is None or record.found is None:
            continue
        piece, choice = record.piece, record.choice
        old_nm = piece.thickness_nm if piece else 0
        changed = record.changes and choice is not None
        proved.append(
            Proved(
                valve=valve,
                cylinder=state.clearance.cylinder,
                side=state.clearance.side,
                camshaft=state.clearance.camshaft,
                found=record.found.gap,
                proof=record.proof.gap,
                old_nm=old_nm,
                new_nm=choice.goes_in_nm if changed and choice else old_nm,
                old_doubt_nm=piece.half_width_nm if piece else 0,
                new_doubt_nm=choice.half_width_nm if choice else USUAL_DOUBT.piece_nm,
                changed=bool(changed),
                units=status.around.units,
                by_marking=bool(changed and choice and choice.known_from_marking),
            )
        )
    return tuple(proved)


def beyond_doubt(proved: Sequence[Proved]) -> tuple[str, ...]:
    """Return the valves off by more than the instruments' doubt, by so much that it is rare.

    Of the valves of a whole honest engine together one is beyond it in fewer than one engine in
    twenty, even felt by a coarse hand: the more are measured, the further off is still no more
    than doubt.
    """
    measured = [proof for proof in proved if proof.residual_nm is not None]
    if not measured:
        return ()
    sigmas = _sigmas(len(measured))
    return tuple(
        proof.valve for proof in measured if abs(proof.residual_nm or 0) > sigmas * _doubt(proof)
    )


@lru_cache(maxsize=64)
def _sigmas(valves: int) -> float:
    return NormalDist().inv_cdf(1 - HONEST_ENGINES / (2 * valves))


def _doubt(one: Proved) -> float:
    """Return the standard uncertainty of a residual (JCGM 100, 5.1.2)."""
    pieces = (one.old_doubt_nm**2 + one.new_doubt_nm**2) / 3 if one.changed else 0.0
    return sqrt(pieces + _spread(one.found) + _spread(one.proof) + 2 * COARSE_NM**2)


def _spread(gap: Gap) -> float:
    """Return the variance of a reading taken as even over its interval."""
    low, high = gap_ends(gap if gap.both_ends else point(gap.high_nm))
    return (high - low) ** 2 / 12
