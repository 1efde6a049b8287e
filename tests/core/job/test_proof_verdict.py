"""Proofs that straddle a limit, judged by what was expected of them."""

from typing import Any

import pytest

from plimb.core.job.proof_verdict import Expected, judge_proof
from plimb.core.lengths import mm
from plimb.core.measure.gap import Gap, between, none_below, point
from plimb.core.measure.limits import Limits, Verdict, judge

RANGE = Limits(low_nm=mm("0.18"), high_nm=mm("0.23"))


def expected(middle: str) -> Expected:
    return Expected(middle_nm=mm(middle), widths_nm=(mm("0.02"), mm("0.008"), mm("0.02")))


@pytest.mark.parametrize(
    ("middle", "blades_known", "verdict"),
    [
        ("0.20", False, Verdict.IN),
        ("0.22", False, Verdict.UNSETTLED),
        ("0.22", True, Verdict.IN),
        ("0.24", True, Verdict.LOOSE),
        ("0.10", True, Verdict.UNSETTLED),  # the prediction is somewhere else: it settles nothing
    ],
)
def test_a_bracket_about_a_limit_is_settled_by_what_was_expected(
    middle: str, blades_known: Any, verdict: Verdict
) -> None:
    proof = between(mm("0.20"), mm("0.25"))
    judged = judge_proof(proof, RANGE, expected(middle), blades_known=blades_known)
    assert judged.verdict is verdict
    assert judge_proof(proof, RANGE, None, blades_known=blades_known).verdict is Verdict.UNSETTLED


def test_the_called_number_counts_as_it_does_before() -> None:
    proof = Gap(low_nm=mm("0.20"), high_nm=mm("0.25"), open_above=True, called_nm=mm("0.21"))
    assert judge_proof(proof, RANGE, expected("0.22")).verdict is Verdict.IN


@pytest.mark.parametrize(
    "proof",
    [between(mm("0.18"), mm("0.23")), between(mm("0.05"), mm("0.10")),
     between(mm("0.30"), mm("0.35")), point(mm("0.18")), none_below(mm("0.05"))],
)  # fmt: skip
def test_what_blades_alone_settle_no_prediction_overrules(proof: Gap) -> None:
    for middle in ("0.10", "0.20", "0.30"):
        assert judge_proof(proof, RANGE, expected(middle)).verdict is judge(proof, RANGE)
