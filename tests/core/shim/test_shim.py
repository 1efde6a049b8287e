"""A shim's marking and its micrometer reading."""

from dataclasses import replace
from typing import Any

import pytest

from plimb.core.errors import Ambiguous, BadValue
from plimb.core.lengths import mm
from plimb.core.shim.family import COMMON_KIT, Family, Run
from plimb.core.shim.marking import Code
from plimb.core.shim.shim import Trust, parse_shim


@pytest.mark.parametrize(
    ("typed", "marked_nm", "measured_nm"),
    [
        ("275", mm("2.75"), None),
        ("2975", mm("2.975"), None),
        ("298 2.976", mm("2.975"), mm("2.976")),
        ("298 2.981", mm("2.98"), mm("2.981")),
        ("?? 2.897", None, mm("2.897")),
        ("290 2.896 2.898", mm("2.90"), mm("2.897")),
        ("3", mm("3.00"), None),
        ("2.897", None, mm("2.897")),
        ("290 2.897", mm("2.90"), mm("2.897")),
        ("2,897 / 290", mm("2.90"), mm("2.897")),
    ],
)
def test_marking_and_measurement_are_told_apart(
    typed: str, marked_nm: Any, measured_nm: Any
) -> None:
    piece = parse_shim(typed)
    assert (piece.marked_nm, piece.measured_nm) == (marked_nm, measured_nm)


@pytest.mark.parametrize(
    "typed", ["", "abc", "28", "0", "9999 1", "275 280", "2.8 2.9", "0.3", "40.0"]
)
def test_what_is_no_shim_or_two_things_is_refused(typed: str) -> None:
    with pytest.raises(BadValue) as refusal:
        parse_shim(typed)
    assert refusal.value.field == "shim"


@pytest.mark.parametrize(
    ("typed", "code", "could_be"),
    [
        ("298", Code.AUTO, ("2.975", "2.98")),
        ("2?5", Code.AUTO, ("2.05", "2.15", "2.25", "2.35", "2.45")),
        ("298", Code.ROUNDED, ("2.975",)),
        ("298", Code.HUNDREDTHS, ("2.98",)),
        ("2975", Code.THOUSANDTHS, ("2.975",)),
    ],
)
def test_a_marking_that_can_be_two_sizes_is_asked_about_and_never_guessed(
    typed: str, code: Any, could_be: Any
) -> None:
    fine = Run(from_nm=mm("2.90"), to_nm=mm("3.00"), step_nm=mm("0.025"))
    coarse = Run(from_nm=mm("1.20"), to_nm=mm("2.80"), step_nm=mm("0.05"))
    runs = (coarse, fine) if code is Code.ROUNDED else COMMON_KIT.runs
    family = Family(runs=runs, code=code)
    if len(could_be) == 1:
        assert parse_shim(typed, family).marked_nm == mm(could_be[0])
        return
    with pytest.raises(Ambiguous) as asked:
        parse_shim(typed, family)
    assert asked.value.could_be_nm[: len(could_be)] == tuple(mm(one) for one in could_be)


def test_the_zero_is_taken_off_every_reading() -> None:
    assert parse_shim("2.901 2.899", zero_nm=mm("0.003")).measured_nm == mm("2.897")


def test_the_trusted_term_goes_into_the_sum() -> None:
    both, marked = parse_shim("275 2.79"), parse_shim("275")
    assert both.thickness_nm == mm("2.79")
    assert replace(both, trust=Trust.MARKED).thickness_nm == mm("2.75")
    assert marked.thickness_nm == mm("2.75")


@pytest.mark.parametrize(("typed", "told"), [("275 2.77", False), ("275 2.771", True)])
def test_a_disagreement_over_two_hundredths_is_told(typed: str, told: Any) -> None:
    assert ("apart" in parse_shim(typed).words) is told
