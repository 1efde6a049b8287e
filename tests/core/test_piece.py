"""A shim's marking and its micrometer reading."""

import pytest

from plimb.core.errors import BadValue
from plimb.core.lengths import mm
from plimb.core.piece import Trust, parse_piece


@pytest.mark.parametrize(
    ("typed", "marked_nm", "measured_nm"),
    [
        ("275", mm("2.75"), None),
        ("2975", mm("2.975"), None),
        ("298", mm("2.98"), None),
        ("3", mm("3.00"), None),
        ("2.897", None, mm("2.897")),
        ("290 2.897", mm("2.90"), mm("2.897")),
        ("2,897 / 290", mm("2.90"), mm("2.897")),
    ],
)
def test_marking_and_measurement_are_told_apart(typed, marked_nm, measured_nm):
    piece = parse_piece(typed)
    assert (piece.marked_nm, piece.measured_nm) == (marked_nm, measured_nm)


@pytest.mark.parametrize(
    "typed", ["", "abc", "28", "0", "9999 1", "275 280", "2.8 2.9", "0.3", "40.0"]
)
def test_what_is_no_shim_or_two_things_is_refused(typed):
    with pytest.raises(BadValue) as refusal:
        parse_piece(typed)
    assert refusal.value.field == "shim"


def test_the_trusted_term_goes_into_the_sum():
    both, marked = parse_piece("275 2.79"), parse_piece("275")
    assert both.thickness_nm() == mm("2.79")
    assert both.thickness_nm(Trust.MARKED) == mm("2.75")
    assert marked.thickness_nm() == mm("2.75")


@pytest.mark.parametrize(("typed", "told"), [("275 2.77", False), ("275 2.771", True)])
def test_a_disagreement_over_two_hundredths_is_told(typed, told):
    assert ("apart" in parse_piece(typed).words()) is told
