"""Simulated slips, with and without a check before: how many are asked about, printed.

An honest check: left anywhere in range, twins near each other, closed by 0.012 ± 0.012 mm with now
and then much more; felt to ± 0.006 mm, as a number or between two blades (common practice).
"""

import os
import random
from collections import Counter
from typing import Any

import pytest

from plimb.core.engine.engine import Side
from plimb.core.job.evidence import card_questions
from plimb.core.job.slips import Before, Slip, questions
from plimb.core.lengths import NM_PER_THOU, Unit, mm
from plimb.core.measure.gap import Gap, none_below, point
from plimb.core.measure.shorthand import Reading

from .test_slips import FOUR, THIN

LONG = bool(os.environ.get("PLIMB_LONG"))
CHECKS = 2000 if LONG else 200
BLADES = [n * 10_000 for n in (*range(3, 11), 13, 15, 18, 20, 23, 25, 28, 30, 33, 35, 40, 45)]
PAIRS = [[v.id for v in FOUR.along(n, side)] for n in (1, 2, 3, 4) for side in Side]


def honest(dice: Any) -> Any:
    """Return the true gaps of a check by valve, and what the check before left."""
    true, left = {}, {}
    for pair in PAIRS:
        limits = FOUR.clearance(pair[0]).spec.check
        middle = dice.uniform(limits.low_nm, limits.high_nm)
        wear = max(0.0, dice.gauss(12_000, 12_000)) * (4 if dice.random() < 0.01 else 1)
        for valve in pair:
            was = min(max(dice.gauss(middle, 15_000), limits.low_nm), limits.high_nm)
            left[valve] = round(was / 10_000) * 10_000
            true[valve] = was - max(0.0, dice.gauss(wear, 5_000))
    return true, left


def felt(true_nm: Any, dice: Any, *, number: Any = None) -> Any:
    """Return an honest reading of a true gap, of a number by chance."""
    nm = true_nm + dice.gauss(0, 4_000)
    goes = max((b for b in BLADES if b <= nm), default=None)
    refuses = next((b for b in BLADES if b > nm), 450_000)
    if goes is None:
        return Reading(goes=None, refuses=(refuses,), feel=None, gap=none_below(refuses))
    gap = Gap(low_nm=goes, high_nm=refuses, open_above=True)
    if number or (number is None and dice.random() < 0.5):
        gap = point(max(10_000, round(nm / 10_000) * 10_000))
    return Reading(goes=(goes,), refuses=None, feel=None, gap=gap)


def scaled(reading: Any, factor: Any) -> Any:
    """Return a reading whose keys were taken for another unit."""
    gap = reading.gap
    if gap.low_nm is None:
        return reading
    low, high = (max(1, round(nm * factor)) for nm in (gap.low_nm, gap.high_nm))
    return Reading(goes=(low,), refuses=None, feel=None,
                   gap=Gap(low_nm=low, high_nm=high, open_above=low < high))  # fmt: skip


def thou(dice: Any, true: Any, readings: Any) -> Any:
    """Thou typed where hundredths are meant: 6 for 0.15 mm."""
    for valve, nm in true.items():
        readings[valve] = scaled(felt(round(nm / NM_PER_THOU) * NM_PER_THOU, dice, number=True),
                                 mm("0.01") / NM_PER_THOU)  # fmt: skip
    return set(true)


def sides(dice: Any, true: Any, readings: Any) -> Any:
    """Intake and exhaust of one cylinder written down for each other."""
    n = dice.randrange(1, 5)
    for one, other in zip(FOUR.along(n, Side.INTAKE), FOUR.along(n, Side.EXHAUST), strict=True):
        readings[one.id], readings[other.id] = readings[other.id], readings[one.id]
    return {v.id for side in Side for v in FOUR.along(n, side)}


def wrong_tdc(dice: Any, true: Any, readings: Any) -> Any:
    """One cylinder at overlap: both sides lifted, or one of them and the other all but."""
    n = dice.randrange(1, 5)
    lifted = [side for side in Side if dice.random() < 0.7] or [dice.choice(list(Side))]
    for side in Side:
        for valve in FOUR.along(n, side):
            nm = -1 if side in lifted else true[valve.id] - dice.uniform(0, 30_000)
            readings[valve.id] = felt(nm, dice)
    return {v.id for side in Side for v in FOUR.along(n, side)}


def stuck(dice: Any, true: Any, readings: Any) -> Any:
    """A thin blade sticks to the other: it reads that much too small."""
    valve, thin = dice.choice(list(true)), dice.choice(THIN)
    number = felt(true[valve], dice, number=True).gap.best_nm - thin
    if number < 30_000:
        return set()
    readings[valve] = Reading(goes=(number,), refuses=None, feel=None, gap=point(number))
    return {valve}


def twins(dice: Any, true: Any, readings: Any) -> Any:
    """Left and right of a pair that differ by 0.03 or more."""
    apart = [p for p in PAIRS if abs(true[p[0]] - true[p[1]]) >= 30_000]
    if not apart:
        return set()
    one, other = dice.choice(apart)
    readings[one], readings[other] = readings[other], readings[one]
    return {one, other}


def asked(readings: Any, left: Any) -> Any:
    """Return what is asked, by valve, of readings and of the card."""
    before = {valve: Before(gap=point(nm)) for valve, nm in left.items()}
    found = {valve: list(questions(FOUR, valve, readings, before=before)) for valve in readings}
    for valve, more in card_questions(FOUR, readings, before=before, thin_blades_nm=THIN).items():
        found[valve] += more
    return {valve: one for valve, one in found.items() if one}


def caught(slip: Any, known: Any, seed: Any) -> Any:
    dice, hit, tried = random.Random(seed), 0, 0
    why = Counter()
    for _check in range(CHECKS):
        true, left = honest(dice)
        readings = {valve: felt(nm, dice) for valve, nm in true.items()}
        about = slip(dice, true, readings)
        if not about:
            continue
        tried += 1
        found = asked(readings, left if known else {})
        hit += bool(about & set(found))
        why.update({q.slip.value for v in about & set(found) for q in found[v]})
    return hit / tried, why


TABLE = [
    (thou, 0.95, 0.85), (sides, 0.95, 0.85), (wrong_tdc, 0.95, 0.85), (stuck, 0.60, None),
    (twins, 0.60, None),
]  # fmt: skip


@pytest.mark.slow
@pytest.mark.parametrize(
    ("slip", "with_check", "without"), TABLE, ids=[row[0].__name__ for row in TABLE]
)
def test_simulated_slips_are_asked_about(slip: Any, with_check: Any, without: Any) -> None:
    for known, wanted in ((True, with_check), (False, without)):
        share, why = caught(slip, known, 11)
        print(f"\n[figures] {slip.__name__}, {'with' if known else 'without'} a check before: "
              f"{share:.1%} asked about {dict(why)}")  # fmt: skip
        assert wanted is None or share >= wanted


@pytest.mark.parametrize("known", [True, False])
def test_honest_readings_are_questioned_less_than_once_in_two_hundred(known: Any) -> None:
    dice, total, why = random.Random(5), 0, Counter()
    for _check in range(CHECKS):
        true, left = honest(dice)
        readings = {valve: felt(nm, dice) for valve, nm in true.items()}
        total += len(readings)
        for one in asked(readings, left if known else {}).values():
            why.update(q.slip.value for q in one[:1])
    questioned = sum(why.values())
    print(f"\n[figures] honest readings questioned, {'with' if known else 'without'} a check "
          f"before: {questioned} of {total} {dict(why)}")  # fmt: skip
    assert questioned / total < 1 / 200


def test_a_card_typed_in_the_other_unit_says_which() -> None:
    typed = {"1 IN L": "0.06", "1 IN R": "0.06", "1 EX L": "0.1"}
    readings = {
        valve: Reading(goes=None, refuses=None, feel=None, gap=point(mm(nm)))
        for valve, nm in typed.items()
    }
    found = card_questions(FOUR, readings)
    assert set(found) == set(readings)
    assert {one.slip for asked_ in found.values() for one in asked_} == {Slip.UNIT}
    assert "thou" in found["1 IN L"][0].sentence
    alone = {"1 IN L": readings["1 IN L"]}
    assert card_questions(FOUR, alone) == {}
    assert card_questions(FOUR, readings, unit=Unit.INCH) == {}
