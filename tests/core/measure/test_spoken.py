"""What is said aloud is heard as it was meant, or asked: never as another figure.

The utterances are made by a grammar of their own, from readings that are known; nothing of the
code that hears them is used. Forms of speech are common practice.
"""

import random
from dataclasses import dataclass
from fractions import Fraction
from typing import Any

import pytest

from plimb.core.errors import BadValue, TwoMeanings
from plimb.core.lengths import NM_PER_THOU, Unit, mm
from plimb.core.measure.shorthand import parse_reading

from ...conftest import LONG

UTTERANCES = 100_000 if LONG else 4_000
ONES = [
    "zero",
    "one",
    "two",
    "three",
    "four",
    "five",
    "six",
    "seven",
    "eight",
    "nine",
    "ten",
    "eleven",
    "twelve",
    "thirteen",
    "fourteen",
    "fifteen",
    "sixteen",
    "seventeen",
    "eighteen",
    "nineteen",
]
TENS = {20: "twenty", 30: "thirty", 40: "forty", 50: "fifty"}


@dataclass(frozen=True)
class Meant:
    """A reading as the hand has it: blades in nanometres."""

    goes: tuple[int, ...] | None
    refuses: tuple[int, ...] | None
    called: int | None = None


def in_words(number: Any, dice: Any) -> Any:
    """Say a whole number below sixty in one of the ways that people do."""
    way = dice.random()
    if way < 0.2:
        return str(number)
    if way < 0.35 and number > 9:
        return " ".join(ONES[int(digit)] for digit in str(number))
    if number < 20:
        return ONES[number]
    tens, rest = divmod(number, 10)
    return TENS[tens * 10] + (f"{dice.choice(' -')}{ONES[rest]}" if rest else "")


def figure(number: Any, unit: Any, dice: Any) -> Any:
    """Return a blade as it is said, and its thickness in nanometres."""
    thou = unit is Unit.INCH
    whole_nm = number * (NM_PER_THOU if thou else mm("0.01"))
    way = dice.random()
    if way < 0.12 and not thou:
        point = "point " + " ".join(ONES[int(digit)] for digit in f"{number:02}")
        return dice.choice(("", "zero ", "nought ", "oh ")) + point, whole_nm
    if way < 0.18 and not thou:
        return f"{dice.choice(('0', ''))}.{number:02}", whole_nm
    if way < 0.24 and number < 10:
        return f"{dice.choice(('oh', 'zero'))} {ONES[number]}", whole_nm
    if way < 0.28:
        return f"{in_words(number, dice)} and a half", whole_nm + (12_700 if thou else 5_000)
    return in_words(number, dice), whole_nm


def utterance(unit: Any, dice: Any) -> Any:
    """Return something said about a gap, and what is meant by it."""
    thin, thick = sorted(dice.sample(range(2, 59), 2))
    low, low_nm = figure(thin, unit, dice)
    high, high_nm = figure(thick, unit, dice)
    goes = dice.choice(
        ("goes", "drags", "goes loosely", "is tight", "goes with light drag", "fits")
    )
    no = dice.choice(("refuses", "does not go", "won't go", "doesn't go", "refused"))
    pause = dice.choice((", ", " ", " and ", ", but ", " then "))
    both = Meant((low_nm,), (high_nm,))
    forms = (
        (f"{low} {goes}{pause}{high} {no}", both),
        (f"{high} {no}{pause}{low} {goes}", both),
        (f"{low} to {high}", both),
        (f"between {low} and {high}", both),
        (f"{low}{dice.choice((', ', ' '))}not {high}", both),
        (f"goes {low}{pause}refuses {high}", both),
        (f"{low} {goes}", Meant((low_nm,), None)),
        (low, Meant((low_nm,), None)),
        (f"{dice.choice(('tight', 'loose'))} {high}", Meant((high_nm,), None)),
        (f"{low} {no}", Meant(None, (low_nm,))),
        (f"nothing goes{dice.choice((', ', ' '))}{low} refuses", Meant(None, (low_nm,))),
        (f"{low} plus {high}", Meant((low_nm, high_nm), None)),
        (f"{low} {goes}{pause}{high} {goes}", Meant((high_nm,), None)),
        (f"{low} {goes}{pause}{high}", None),
        (f"{low} {high}", None),
        (f"{low} and {high}", None),
        (f"{low} {no}{pause}{high} {no}", None),
    )
    said, meant = dice.choice(forms)
    if meant is both and dice.random() < 0.2 and thick - thin > 1:
        called = dice.randrange(thin + 1, thick)
        size = NM_PER_THOU if unit is Unit.INCH else mm("0.01")
        said = f"{said}, call it {in_words(called, dice)}"
        meant = Meant(both.goes, both.refuses, called * size)
    if dice.random() < 0.1:
        said = f"{dice.choice(('about', 'maybe'))} {said}"
    return said, meant


@pytest.mark.slow
@pytest.mark.parametrize("half", [0, 1])
def test_of_all_that_is_said_nothing_is_kept_as_another_figure(half: Any) -> None:
    dice, kept, asked = random.Random(20261201 + half), 0, 0
    for _one in range(UTTERANCES // 2):
        unit = dice.choice((Unit.MM, Unit.INCH))
        said, meant = utterance(unit, dice)
        try:
            heard = parse_reading(said, unit, thinnest_nm=mm("0.02"), spoken=True)
        except TwoMeanings:
            asked += 1
            continue
        except BadValue:
            continue
        kept += 1
        assert meant is not None, said
        assert (heard.goes, heard.refuses) == (meant.goes, meant.refuses), said
        assert heard.called_nm == meant.called, said
    print(f"of {UTTERANCES // 2}: {kept} kept, {asked} asked")
    assert kept > UTTERANCES // 2 * 0.5


@pytest.mark.parametrize(
    ("said", "unit", "typed", "mm_goes"),
    [
        ("five drags, six refuses", Unit.MM, "5d-6", "0.05"),
        ("five drags six refuses", Unit.MM, "5d-6", "0.05"),
        ("six thou", Unit.MM, "6", "0.1524"),
        ("thirteen hundredths", Unit.INCH, "13", "0.13"),
        ("six to seven thou", Unit.MM, "6-7", "0.1524"),
        ("two and a half thou", Unit.MM, "2.5", "0.0635"),
        ("twelve not fifteen", Unit.MM, "12-15", "0.12"),
        ("tight eight", Unit.MM, "8t", "0.08"),
        ("one three to one five", Unit.MM, "13-15", "0.13"),
        ("13 a little loose, 15 refuses, call it 14", Unit.MM, "13l-15=14", "0.13"),
        ("five goes,6 refuses", Unit.MM, "5-6", "0.05"),
        ("oh five", Unit.MM, "5", "0.05"),
    ],
)
def test_what_can_be_told_is_taken(said: Any, unit: Any, typed: str, mm_goes: Any) -> None:
    heard = parse_reading(said, unit)
    assert (heard.typed, heard.goes) == (typed, (mm(mm_goes),))


@pytest.mark.parametrize(
    ("said", "offers"),
    [
        ("thirteen goes fifteen goes", ("13-15", "15")),
        ("thirteen goes fifteen", ("13-15", "15")),
        ("five six refuses", ("5-6", "-56")),
        ("five eight", ("58", "5-8")),
        ("thirteen and fifteen", ("13+15", "13-15")),
        ("two point five", ("0.025", "2.5 thou")),
        ("fifteen millimetres", ("15",)),
    ],
)
def test_what_cannot_be_told_apart_is_asked_and_each_answer_is_read(said: Any, offers: Any) -> None:
    with pytest.raises(TwoMeanings) as asked:
        parse_reading(said, Unit.MM)
    assert asked.value.offers == offers
    for offer in offers:
        parse_reading(offer, Unit.MM)


def test_the_blades_at_hand_tell_apart_what_the_ear_cannot() -> None:
    has = frozenset(("5", "6", "13", "15"))
    assert parse_reading("one three goes", Unit.MM, blades=has).goes == (mm("0.13"),)
    assert parse_reading("five six refuses", Unit.MM, blades=has).typed == "5-6"
    with pytest.raises(TwoMeanings):  # it may be 56 all the same, where nothing says refuses
        parse_reading("five six", Unit.MM, blades=has)


@pytest.mark.parametrize(
    "said", ["no, fourteen", "six thou to 0.18 mm", "x tight", "fifteen goes thirteen refuses",
             "zero", "one " * 40, "thirteen wobbles", "to", "not tight fifteen"],
)  # fmt: skip
def test_what_is_no_reading_is_refused(said: Any) -> None:
    with pytest.raises(BadValue) as refusal:
        parse_reading(said, Unit.MM, spoken=True)
    assert not isinstance(refusal.value, TwoMeanings)


def test_half_a_hundredth_is_exact() -> None:
    assert Fraction(parse_reading("0.135", Unit.MM).gap.best_nm, 1000) == 135
