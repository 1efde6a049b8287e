"""Each slip is caught, a right reading near it is not accused, and honest ones seldom are."""

from decimal import Decimal
from typing import Any

import pytest

from plimb.core.engine.conditions import Conditions
from plimb.core.job.evidence import card_questions
from plimb.core.job.slips import Before, Slip, questions
from plimb.core.lengths import Unit, mm
from plimb.core.measure.gap import point
from plimb.core.measure.shorthand import parse_reading
from plimb.files.engine_file import EngineFile
from plimb.files.starting_point import Layout, Start, starting_point

FILE = starting_point(Start(layout=Layout.INLINE_FOUR))
FILE["engine"]["spec"] = {
    "intake": {"min": 0.11, "max": 0.20},
    "exhaust": {"min": 0.22, "max": 0.30},
}
FOUR = EngineFile.model_validate(FILE).to_core()
THIN = (mm("0.03"), mm("0.04"), mm("0.05"))


def read(text: Any, unit: Any = Unit.MM) -> Any:
    return parse_reading(text, unit, thinnest_nm=mm("0.03"))


def asked(valve: str, typed: Any, *, unit: Any = Unit.MM, before: Any = None, **more: Any) -> Any:
    readings = {name: read(text, unit) for name, text in typed.items()}
    left = {name: Before(gap=point(mm(gap))) for name, gap in (before or {}).items()}
    found = questions(FOUR, valve, readings, unit=unit, before=left, **more)
    whole = card_questions(FOUR, readings, unit=unit, before=left, thin_blades_nm=THIN)
    found += whole.get(valve, ())
    return {one.slip: one for one in found}


IN, EX = "1 IN L", "1 EX L"

CAUGHT = {
    "tenfold too large": (IN, {IN: "1.27"}, {}, Slip.TENFOLD, "0.127"),
    "tenfold too small": (IN, {IN: ".015"}, {}, Slip.TENFOLD, "0.15"),
    "hundredfold too small": (EX, {EX: ".0025"}, {}, Slip.TENFOLD, "0.25"),
    "thou typed as mm": (IN, {IN: ".0059"}, {}, Slip.TENFOLD, None),
    "mm typed as thou": (IN, {IN: "15"}, {"unit": Unit.INCH}, Slip.UNIT, "5.9"),
    "intake in the exhaust spec": (IN, {IN: "25"}, {}, Slip.OTHER_SIDE, None),
    "both sides mixed up": (EX, {EX: "15", IN: "25"}, {}, Slip.OTHER_SIDE, None),
    "overlap": (IN, {IN: "x", EX: "x"}, {}, Slip.OVERLAP, None),
    "twins far apart": (IN, {IN: "6", "1 IN R": "18"}, {}, Slip.TWINS, None),
    "two blades stuck": (
        IN, {IN: "10", "1 IN R": "14"}, {"before": {IN: "0.14", "1 IN R": "0.14"}},
        Slip.STUCK, "0.14",
    ),
    "loosened": (IN, {IN: "18"}, {"before": {IN: "0.14"}}, Slip.LOOSENED, None),
    "a jump": (EX, {EX: "15"}, {"before": {EX: "0.27"}}, Slip.JUMP, None),
    "warm": (IN, {IN: "15"}, {"warm": True}, Slip.WARM, None),
}  # fmt: skip


@pytest.mark.parametrize(
    ("valve", "typed", "more", "slip", "suggestion"), CAUGHT.values(), ids=CAUGHT
)
def test_the_slip_is_caught_with_its_reason(
    valve: str, typed: str, more: Any, slip: Any, suggestion: Any
) -> None:
    found = asked(valve, typed, **more)
    assert slip in found
    assert found[slip].sentence[-1] in ".?"
    if suggestion:
        assert found[slip].suggestion == suggestion
        unit = more.get("unit", Unit.MM)
        assert read(suggestion, unit).gap.best_nm == pytest.approx(
            found[slip].suggested.best_nm, abs=2_000
        )


RIGHT = {
    "tight but real": (IN, {IN: "6"}, {}),
    "loose but real": (EX, {EX: "38"}, {}),
    "no gap at all": (IN, {IN: "x"}, {}),
    "six thou": (IN, {IN: "6"}, {"unit": Unit.INCH}),
    "an exhaust closed up": (EX, {EX: "18", "1 EX R": "23"}, {}),
    "both exhausts closed up": (EX, {EX: "18", "1 EX R": "18", IN: "15"}, {}),
    "no gap on one side only": (IN, {IN: "x", EX: "23"}, {}),
    "no gap on another cylinder": (IN, {IN: "x", "2 EX L": "x"}, {}),
    "twins a little apart": (IN, {IN: "10", "1 IN R": "18"}, {}),
    "both twins down by as much": (
        IN, {IN: "10", "1 IN R": "10"}, {"before": {IN: "0.14", "1 IN R": "0.14"}},
    ),
    "down by what is no blade": (
        IN, {IN: "7", "1 IN R": "14"}, {"before": {IN: "0.14", "1 IN R": "0.14"}},
    ),
    "a feel wider": (IN, {IN: "15"}, {"before": {IN: "0.14"}}),
    "a bracket around what it was": (IN, {IN: "13-18"}, {"before": {IN: "0.14"}}),
    "worn as usual": (EX, {EX: "20"}, {"before": {EX: "0.27"}}),
    "cold": (IN, {IN: "15"}, {"warm": False}),
}  # fmt: skip


@pytest.mark.parametrize(("valve", "typed", "more"), RIGHT.values(), ids=RIGHT)
def test_a_right_reading_near_a_slip_is_not_accused(valve: str, typed: str, more: Any) -> None:
    assert asked(valve, typed, **more) == {}


@pytest.mark.parametrize(
    ("rested", "degrees", "warm"),
    [("4", "35", False), ("3.9", "20", True), ("10", "35.1", True), (None, None, False)],
)
def test_over_35_degrees_or_under_4_hours_is_warm(rested: Any, degrees: Any, warm: Any) -> None:
    hours, temperature = (text and Decimal(text) for text in (rested, degrees))
    assert Conditions(rested_hours=hours, temperature_c=temperature).warm is warm


def test_questions_come_one_at_a_time_where_the_size_itself_is_off() -> None:
    found = asked(IN, {IN: "1.5", "1 IN R": "15"}, before={IN: "0.15"})
    assert list(found) == [Slip.TENFOLD]
