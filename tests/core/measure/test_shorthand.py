"""What is typed is understood, and said back in words."""

from typing import Any

import pytest

from plimb.core.errors import BadValue
from plimb.core.lengths import Unit, mm
from plimb.core.measure.blades import Blade, BladeSet
from plimb.core.measure.shorthand import parse_reading


@pytest.mark.parametrize(
    ("typed", "unit", "words"),
    [
        ("15", Unit.MM, "0.15 mm goes with light drag"),
        ("5", Unit.MM, "0.05 mm goes with light drag"),
        ("13-15", Unit.MM, "0.13 mm goes, 0.15 mm refuses"),
        ("0.13..0.15", Unit.MM, "0.13 mm goes, 0.15 mm refuses"),
        ("13l", Unit.MM, "0.13 mm goes loosely"),
        ("15t", Unit.MM, "0.15 mm goes tightly"),
        ("13L-15", Unit.MM, "0.13 mm goes loosely, 0.15 mm refuses"),
        ("15+2", Unit.MM, "0.15 + 0.02 mm goes with light drag"),
        ("13-13+2", Unit.MM, "0.13 mm goes, 0.13 + 0.02 mm refuses"),
        ("-3", Unit.MM, "nothing goes: 0.03 mm refuses"),
        ("−3", Unit.MM, "nothing goes: 0.03 mm refuses"),
        ("none<0.03", Unit.MM, "nothing goes: 0.03 mm refuses"),
        ("x", Unit.MM, "nothing goes: 0.04 mm refuses"),
        (".127", Unit.MM, "0.127 mm goes with light drag"),
        ("0.127", Unit.MM, "0.127 mm goes with light drag"),
        ("13-15=14", Unit.MM, "0.13 mm goes, 0.15 mm refuses, called 0.14 mm"),
        ("14?", Unit.MM, "0.14 mm goes with light drag, a guess"),
        ("13-15?", Unit.MM, "0.13 mm goes, 0.15 mm refuses, a guess"),
        ("-3?", Unit.MM, "nothing goes: 0.03 mm refuses, a guess"),
        ("6", Unit.INCH, "6 thou goes with light drag"),
        ("6-7", Unit.INCH, "6 thou goes, 7 thou refuses"),
        ("2.5", Unit.INCH, "2.5 thou goes with light drag"),
        (".006", Unit.INCH, "6 thou goes with light drag"),
    ],
)
def test_each_form_is_said_back(typed: str, unit: Any, words: Any) -> None:
    assert parse_reading(typed, unit, thinnest_nm=mm("0.04")).words(unit) == words


@pytest.mark.parametrize(
    "typed",
    [
        "abc", "", "15-13", "15-15", "13-", "-", "--3", "1.27.3", "15++2", "0", "0.00", "300",
        "15x", "?", "1?4", "14??",
        "13-15-18", "13l15", "13-15=16", "=14", "1e2", "none<", "15 mm", "-0",
    ],
)  # fmt: skip
def test_what_cannot_be_a_gap_is_refused(typed: str) -> None:
    with pytest.raises(BadValue) as refusal:
        parse_reading(typed, Unit.MM, thinnest_nm=mm("0.03"))
    assert refusal.value.field in ("gap", "called")


def test_nothing_goes_needs_a_blade_to_be_below() -> None:
    with pytest.raises(BadValue, match="thinnest blade"):
        parse_reading("x", Unit.MM)


def test_a_stack_is_the_sum_of_its_blades() -> None:
    gap = parse_reading("15+2", Unit.MM).gap
    assert gap.is_point
    assert gap.best_nm == mm("0.17")


def test_the_called_number_is_the_best_guess() -> None:
    assert parse_reading("13-18=14", Unit.MM).gap.best_nm == mm("0.14")
    assert parse_reading("13-18", Unit.MM).gap.best_nm == mm("0.155")


def test_a_drag_with_a_refused_blade_is_still_the_blade() -> None:
    assert parse_reading("13d-15", Unit.MM).gap.is_point


def test_zero_is_a_number_only_where_a_sum_is_asked_for() -> None:
    assert parse_reading("0.00", Unit.MM, zero_is_number=True).gap.best_nm == 0


def test_a_measured_blade_counts_as_what_it_measures_and_is_named_as_marked() -> None:
    measured = BladeSet(
        name="own",
        blades=(
            Blade(nominal_nm=mm("0.15"), measured_nm=mm("0.148")),
            Blade(nominal_nm=mm("0.18"), measured_nm=mm("0.181")),
        ),
    )
    reading = parse_reading("15-18", Unit.MM, thick=measured.thickness)
    assert (reading.gap.low_nm, reading.gap.high_nm) == (mm("0.148"), mm("0.181"))
    assert reading.words(Unit.MM) == "0.15 mm goes, 0.18 mm refuses"
    assert parse_reading("15+2", Unit.MM, thick=measured.thickness).gap.best_nm == mm("0.168")


@pytest.mark.parametrize("text", ["5 8", "1 3-15", "0.1 3", "13-1 5"])
def test_a_blank_inside_a_figure_is_refused_and_not_swallowed(text: str) -> None:
    with pytest.raises(BadValue, match="blank inside"):
        parse_reading(text, Unit.MM, thinnest_nm=mm("0.03"))


@pytest.mark.parametrize(
    ("said", "typed"),
    [
        ("Fifteen.", "15"), ("twenty-five tight", "25t"), ("thirteen to fifteen", "13-15"),
        ("13 to 15", "13-15"), ("between thirteen and fifteen", "13-15"),
        ("thirteen goes, fifteen refuses", "13-15"),
        ("thirteen loose, then fifteen refuses", "13l-15"),
        ("thirteen to fifteen, call it fourteen", "13-15=14"), ("fifteen plus two", "15+2"),
        ("zero point one five", "0.15"), ("fifteen with light drag", "15"),
        ("nothing goes", "x"), ("nothing goes, three refuses", "-3"), ("three doesn’t go", "-3"),
        ("about fourteen", "14?"),
    ],
)  # fmt: skip
def test_a_reading_that_is_said_aloud_is_the_one_that_would_be_typed(said: Any, typed: str) -> None:
    thinnest = mm("0.03")
    heard = parse_reading(said, Unit.MM, thinnest_nm=thinnest)
    assert heard == parse_reading(typed, Unit.MM, thinnest_nm=thinnest)
    assert heard.typed == typed


@pytest.mark.parametrize(
    "said", ["five eight", "it does not go", "a bit wide", "fifteen tight two"]
)
def test_what_is_said_and_not_understood_is_refused_in_its_own_words(said: Any) -> None:
    with pytest.raises(BadValue, match=f"“{said}”"):
        parse_reading(said, Unit.MM, thinnest_nm=mm("0.03"))
