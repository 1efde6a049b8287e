"""A spec is read as a manual prints it; what its figures could mean twice is asked, never kept."""

from typing import Any

import pytest

from plimb.core.errors import BadValue, TwoMeanings
from plimb.core.lengths import Unit, mm
from plimb.core.measure.printed import parse_spec


@pytest.mark.parametrize(
    ("text", "unit", "room", "low", "high"),
    [
        ("0.09–0.17", Unit.MM, "", "0.09", "0.17"),
        ("0,10-0,15", Unit.MM, "", "0.10", "0.15"),
        ("0.25 ± 0.03", Unit.MM, "", "0.22", "0.28"),
        (".021 ± .001", Unit.INCH, "", "0.508", "0.5588"),
        (".006 ± .001 in", Unit.MM, "", "0.127", "0.1778"),
        ("0.17", Unit.MM, "0.03", "0.14", "0.20"),
        ("0.00-0.15", Unit.MM, "", "0.00", "0.15"),  # a closer's
        ("0.01-0.05", Unit.MM, "", "0.01", "0.05"),
        ("0.00-0.03", Unit.MM, "", "0.00", "0.03"),
        ("0.08 to 0.22", Unit.MM, "", "0.08", "0.22"),
        ("0.13 +0.02 −0.03", Unit.MM, "", "0.10", "0.15"),
        ("0,14 +0,04/-0,02", Unit.MM, "", "0.12", "0.18"),
        ("0.13 -0.03 +0.02 mm", Unit.INCH, "", "0.10", "0.15"),
        ("０．１０－０．１５", Unit.MM, "", "0.10", "0.15"),
    ],
)
def test_what_a_manual_prints_is_read_as_it_stands(
    text: str, unit: Any, room: Any, low: Any, high: Any
) -> None:
    check = parse_spec(text, unit, room).check
    assert (check.low_nm, check.high_nm) == (mm(low), mm(high))


@pytest.mark.parametrize(
    ("text", "unit", "offers"),
    [
        ("10-15", Unit.MM, ("0.10-0.15 mm", "0.010-0.015 in")),
        ("6 ± 1", Unit.MM, ("0.06 ± 0.01 mm", "0.006 ± 0.001 in")),
        ("4-8", Unit.INCH, ("0.004-0.008 in", "0.04-0.08 mm")),
        (".004-.008", Unit.MM, (".004-.008 in", ".004-.008 mm")),
        (".012±.001", Unit.MM, (".012±.001 in", ".012±.001 mm")),
        ("0.14-0.22", Unit.INCH, ("0.14-0.22 mm",)),
        ("17", Unit.MM, ("0.17 mm", "0.017 in")),
        ("0.16 ± 3", Unit.MM, ("0.16 ± 0.03 mm",)),
        ("0-15", Unit.MM, ("0-0.15 mm",)),
    ],
)
def test_what_could_be_meant_twice_is_asked_and_each_answer_is_read(
    text: str, unit: Any, offers: Any
) -> None:
    with pytest.raises(TwoMeanings) as asked:
        parse_spec(text, unit)
    assert asked.value.offers == offers
    for offer in offers:
        parse_spec(offer, unit, "0.001")  # an answer is not asked about again


@pytest.mark.parametrize("room", ["0", "0.", "0.0", "0.00"])
def test_a_tolerance_of_nothing_is_refused_on_the_way_to_a_real_one(room: Any) -> None:
    with pytest.raises(BadValue, match="With ± 0") as refusal:
        parse_spec("0.17", Unit.MM, room)
    assert refusal.value.field == "room"
    assert parse_spec("0.17", Unit.MM, f"{room.rstrip('0.') or '0'}.03").plus_minus_nm == mm("0.03")


def test_a_tolerance_larger_than_the_gap_is_asked_about_at_its_own_field() -> None:
    with pytest.raises(TwoMeanings, match=r"0\.03") as asked:
        parse_spec("0.17", Unit.MM, "3")
    assert (asked.value.field, asked.value.offers) == ("room", ("0.03",))


@pytest.mark.parametrize("text", ["a-b", "0.2-0.1", "10-15 mm", "0.30 ± 0.5", "-", "±"])
def test_what_is_no_clearance_in_any_reading_is_refused(text: str) -> None:
    with pytest.raises(BadValue) as refusal:
        parse_spec(text, Unit.MM)
    assert not isinstance(refusal.value, TwoMeanings)
