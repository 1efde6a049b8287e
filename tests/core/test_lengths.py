"""Lengths are read exactly and written as people read them."""

from decimal import Decimal
from typing import Any

import pytest
from hypothesis import given
from hypothesis import strategies as st

from plimb.core.errors import BadValue, TwoMeanings
from plimb.core.lengths import (
    Unit,
    meter_in,
    mm,
    parse_length,
    show,
    show_inch,
    show_mm,
    show_thou,
)


@pytest.mark.parametrize(
    ("text", "unit", "nm"),
    [
        ("0.15", Unit.MM, 150_000),
        (".127", Unit.MM, 127_000),
        ("0,15", Unit.MM, 150_000),
        ("3", Unit.MM, 3_000_000),
        ("0.006", Unit.INCH, 152_400),
        ("0.0001", Unit.INCH, 2_540),
    ],
)
def test_a_decimal_number_is_read_exactly(text: str, unit: Any, nm: Any) -> None:
    assert parse_length(text, unit, field="gap") == nm


@pytest.mark.parametrize(
    "text", ["abc", "", "-1", "1e3", "nan", "inf", "1.2.3", "٣", "1 2", "9" * 30]
)
def test_what_is_no_plain_number_is_refused_by_name(text: str) -> None:
    with pytest.raises(BadValue, match="gap") as refusal:
        parse_length(text, Unit.MM, field="gap")
    assert refusal.value.field == "gap"


@pytest.mark.parametrize(
    ("nm", "in_mm", "in_thou", "in_inch"),
    [
        (150_000, "0.15", "5.9", "0.0059"),
        (152_400, "0.1524", "6", "0.0060"),
        (0, "0.00", "0", "0.0000"),
        (-40_000, "−0.04", "−1.6", "−0.00157"),
        (2_897_000, "2.897", "114.1", "0.11406"),
        (3_000_000, "3.00", "118.1", "0.11811"),
    ],
)
def test_a_length_is_written_in_each_unit(nm: Any, in_mm: Any, in_thou: Any, in_inch: Any) -> None:
    written = (show_mm(nm), show_thou(nm), show_inch(nm)[: len(in_inch)])
    assert written == (in_mm, in_thou, in_inch)


def test_a_length_too_small_to_show_has_no_sign() -> None:
    assert show(-1, Unit.MM) == "0.00 mm"


@given(st.integers(min_value=0, max_value=150_000))
def test_writing_and_reading_a_tenth_of_a_micrometre_changes_nothing(tenths: Any) -> None:
    nm = tenths * 100
    assert mm(show_mm(nm)) == nm


@pytest.mark.parametrize(
    ("typed", "read"),
    [
        ("14 000", "14000"), ("14,000", "14000"), ("14’000", "14000"), ("1.200.000", "1200000"),
        ("1,234.5", "1234.5"), ("1.234,5", "1234.5"), ("22.145", "22145"), ("62,5", "62.5"),
        ("0,125", "0.125"), ("30", "30"), ("", None),
    ],
)  # fmt: skip
def test_what_a_meter_counts_is_read_as_it_is_printed(typed: str, read: Any) -> None:
    assert meter_in(typed, "interval", decimals=False) == (None if read is None else Decimal(read))


@pytest.mark.parametrize(
    ("typed", "decimals", "offers"),
    [
        ("12.000", False, ("12", "12 000")), ("12.000", True, ("12", "12 000")),
        ("14,000", True, ("14", "14 000")), ("62,500", True, ("62.5", "62 500")),
    ],
)  # fmt: skip
def test_a_thousand_times_as_much_or_not_is_asked(typed: str, decimals: Any, offers: Any) -> None:
    with pytest.raises(TwoMeanings) as asked:
        meter_in(typed, "hours", decimals=decimals)
    assert asked.value.offers == offers
    assert [meter_in(one, "hours") for one in offers] == [
        Decimal(one.replace(" ", "")) for one in offers
    ]


@pytest.mark.parametrize("typed", ["6 2", "1 2345", "x", "1e3", "-5,000,"])
def test_what_no_meter_shows_is_refused(typed: str) -> None:
    with pytest.raises(BadValue):
        meter_in(typed, "hours")
