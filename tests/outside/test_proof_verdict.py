"""A judged proof against drawn gaps, and against the truth of engines that were made up."""

import numpy as np
import pytest

from plimb.core.job.proof_verdict import AMISS, ANYWHERE_NM, Expected, judge_proof
from plimb.core.lengths import mm
from plimb.core.measure.gap import between
from plimb.core.measure.limits import Limits, Verdict
from plimb.core.measure.uncertainty import SURE, USUAL_DOUBT, gap_ends

RANGE = Limits(low_nm=mm("0.18"), high_nm=mm("0.23"))


@pytest.mark.parametrize(
    ("goes", "refuses", "middle", "wide"),
    [("0.20", "0.25", "0.20", "0.02"), ("0.20", "0.25", "0.24", "0.03"),
     ("0.15", "0.20", "0.19", "0.05"), ("0.10", "0.30", "0.15", "0.05")],
)  # fmt: skip
def test_the_chance_is_that_of_drawn_gaps_which_the_proof_allows(
    goes: str, refuses: str, middle: str, wide: str
) -> None:
    """Rejection sampling of the same story (JCGM 101:2008 propagates by drawing)."""
    dice = np.random.default_rng(20261201)
    widths = (float(mm(wide)), float(mm("0.008")), float(mm("0.02")))
    spread = [dice.uniform(-width / 2, width / 2, 2_000_000) for width in widths]
    drawn = mm(middle) + np.sum(spread, axis=0)
    low, high = mm(goes), mm(refuses)
    stray = dice.random(drawn.size) < AMISS
    # a stray lies anywhere: of those that do only the share that meets the proof counts
    anywhere = dice.uniform(low, low + ANYWHERE_NM, drawn.size)
    gaps = np.where(stray, anywhere, drawn)
    left = gaps[(gaps >= low) & (gaps <= high)]
    inside = float(((left >= RANGE.low_nm) & (left <= RANGE.high_nm)).mean())
    judged = judge_proof(
        between(low, high), RANGE, Expected(middle_nm=float(mm(middle)), widths_nm=widths)
    )
    assert judged.chance == pytest.approx(inside, abs=0.005)


def test_what_is_settled_by_the_chance_is_true_of_made_up_valves() -> None:
    """Each gap is felt in steps of 0.05 before and after; the true one afterwards decides."""
    dice = np.random.default_rng(7)
    steps = [mm("0.05") * n for n in range(13)]
    sure, likely = [], []
    for _valve in range(6000):
        gap = dice.uniform(mm("0.06"), mm("0.34"))
        thinner = mm("0.05") * dice.integers(-2, 3) + mm("0.01") * dice.integers(-2, 3)
        pieces = dice.uniform(-mm("0.004"), mm("0.004")) + dice.uniform(-mm("0.01"), mm("0.01"))
        after = gap + thinner + pieces
        if not mm("0.05") < after < mm("0.55"):
            continue

        def felt(true: float) -> tuple[int, int]:
            place = int(np.searchsorted(steps, true + dice.normal(0, mm("0.002"))))
            return steps[place - 1], steps[place]

        low, high = gap_ends(between(*felt(gap)), USUAL_DOUBT, kept=False)
        widths = (high - low, float(mm("0.008")), float(mm("0.02")))
        expected = Expected(middle_nm=(low + high) / 2 + float(thinner), widths_nm=widths)
        proof = between(*felt(after))
        inside = RANGE.low_nm <= after <= RANGE.high_nm
        judged = judge_proof(proof, RANGE, expected)
        if judged.verdict is Verdict.IN:
            sure.append((judged.chance, inside))
        else:
            judged = judge_proof(proof, RANGE, expected, blades_known=True)
            if judged.verdict is Verdict.IN:
                likely.append((judged.chance, inside))
    for told, least in ((sure, SURE), (likely, 0.5)):
        claimed, true = np.array(told, dtype=float).mean(axis=0)
        assert len(told) > 150
        assert true > least
        assert true == pytest.approx(claimed, abs=0.06)
