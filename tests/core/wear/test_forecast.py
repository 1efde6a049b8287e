"""What a past says of what comes: rates, the first valve at its minimum, valves that are odd."""

from dataclasses import replace
from datetime import date
from decimal import Decimal
from typing import Any

import numpy as np
import pytest

from plimb.core.engine.machine import Measure
from plimb.core.lengths import Unit, mm
from plimb.core.measure.gap import none_below, point
from plimb.core.wear.due import By, Outlook, Promise, When, outlook_of, usual_use
from plimb.core.wear.evenness import evenness
from plimb.core.wear.forecast import CheckReason, Reach, forecast
from plimb.core.wear.odd import CLEARLY, Odd, how_much_likelier
from plimb.core.wear.sentences import head_words, next_check_words, twins, valve_words
from plimb.core.wear.stack import Check, Piece, Seen
from plimb.files.engine_file import EngineFile
from plimb.trials.report import engine_of

ENGINE = EngineFile.model_validate(engine_of(3, "0.05")).to_core()
CLEARANCES = ENGINE.clearances
FIRST = CLEARANCES[0]


def past(*at: Any, rates: Any = None, start: Any = None, new_life: Any = None) -> Any:
    """Return checks at these distances, each valve falling straight from the top of its range."""
    checks = []
    for place, run in enumerate(at):
        valves = {}
        for one in CLEARANCES:
            rate = (rates or {}).get(one.id, 2000)
            fell = rate * (run - at[0]) / 1000
            valves[one.key] = Seen(found=point(round((start or one.check.high_nm) - fell)))
        checks.append(
            Check(on=date(2020 + place, 3, 1), at=Decimal(run), valves=valves,
                  new_life=place == new_life)
        )  # fmt: skip
    return tuple(checks)


def test_without_checks_nothing_is_said_and_one_says_the_makers_interval() -> None:
    nothing = forecast(CLEARANCES, (), Decimal(10_000))
    assert (nothing.next_check.why, nothing.next_check.at) == (CheckReason.UNKNOWN, None)
    one = forecast(CLEARANCES, past(12_000), Decimal(10_000))
    assert (one.next_check.why, one.next_check.at) == (CheckReason.INTERVAL, 22_000)
    assert all(valve.rate is None for valve in one.valves)
    assert forecast(CLEARANCES, past(12_000)).next_check.why is CheckReason.UNKNOWN


def test_the_rate_holds_what_is_true_and_two_checks_are_surer_than_nothing() -> None:
    two, five = (forecast(CLEARANCES, past(*range(1000, 1000 + 6000 * n, 6000))) for n in (2, 5))
    for seen in (two, five):
        for one in seen.valves:
            assert one.rate.low_nm < 2000 < one.rate.high_nm
            assert one.to_minimum.early <= one.to_minimum.best
    wide = [one.rate.high_nm - one.rate.low_nm for one in two.valves]
    close = [one.rate.high_nm - one.rate.low_nm for one in five.valves]
    assert max(close) < min(wide)
    assert forecast(CLEARANCES, past(1000, 7000)) == two  # the same past has the same forecast


def test_the_next_check_is_never_after_the_makers_interval() -> None:
    checks = past(1000, 7000, 13_000)
    by_wear = forecast(CLEARANCES, checks).next_check
    assert by_wear.why is CheckReason.WEAR
    sooner = Decimal(by_wear.at - 13_000 - 500)
    held = forecast(CLEARANCES, checks, sooner).next_check
    assert (held.why, held.at) == (CheckReason.INTERVAL, by_wear.at - 500)
    assert forecast(CLEARANCES, checks, sooner + 5000).next_check == by_wear


@pytest.mark.parametrize(
    ("rate", "odd"), [(12_000, Odd.FAST), (-4000, Odd.OPENS), (2000, None), (2600, None)]
)
def test_a_valve_that_wears_unlike_its_kind(rate: Any, odd: Any) -> None:
    checks = past(1000, 7000, 13_000, rates={FIRST.id: rate}, start=mm("0.4"))
    assert forecast(CLEARANCES, checks).by_name[FIRST.id].odd is odd


def test_one_that_jumped_is_no_fast_one() -> None:
    checks = list(past(1000, 7000, 13_000, 19_000, start=mm("0.4")))
    for place in (2, 3):
        seen = checks[place].valves[FIRST.key]
        dropped = replace(seen, found=point(seen.found.high_nm - mm("0.09")))
        checks[place] = replace(checks[place], valves={**checks[place].valves, FIRST.key: dropped})
    assert forecast(CLEARANCES, checks).by_name[FIRST.id].odd is Odd.JUMPED


def test_a_valve_left_too_tight_is_due_now_and_one_without_a_gap_has_no_reach() -> None:
    checks = past(1000, 7000)
    none = Seen(found=none_below(mm("0.03")))
    last = replace(checks[1], valves={**checks[1].valves, FIRST.key: none})
    seen = forecast(CLEARANCES, (checks[0], last), Decimal(9000))
    assert (seen.next_check.why, seen.next_check.first) == (CheckReason.NOW, FIRST.id)
    assert seen.by_name[FIRST.id].rate is None
    assert "was left too tight" in next_check_words(seen.next_check, Measure.KM)


def test_a_new_life_forgets_the_wear_of_the_one_before() -> None:
    checks = past(1000, 7000, 13_000, new_life=2)
    seen = forecast(CLEARANCES, checks, Decimal(8000))
    assert (seen.next_check.why, seen.next_check.at) == (CheckReason.INTERVAL, 21_000)


def test_a_change_of_shim_changes_no_rate() -> None:
    """The stack is the same before and after: the forecast goes by the gap with the new piece."""
    checks = list(past(1000, 7000, 13_000))
    old, new = (Piece(thickness_nm=mm(t), half_width_nm=mm("0.004")) for t in ("2.50", "2.45"))
    before = checks[1].valves[FIRST.key].found.high_nm
    changed = Seen(
        found=point(before), piece=old, left=point(before + mm("0.05")), new=new, changed=True
    )
    after = Seen(found=point(checks[2].valves[FIRST.key].found.high_nm + mm("0.05")))
    plain = forecast(CLEARANCES, checks).by_name[FIRST.id]
    checks[1] = replace(checks[1], valves={**checks[1].valves, FIRST.key: changed})
    checks[2] = replace(checks[2], valves={**checks[2].valves, FIRST.key: after})
    seen = forecast(CLEARANCES, checks).by_name[FIRST.id]
    assert abs(seen.rate.best_nm - plain.rate.best_nm) < 300
    assert seen.to_minimum.best > plain.to_minimum.best + 10_000


def test_due_by_whatever_comes_first_and_on_the_day_that_its_use_says() -> None:
    checks = past(1000, 7000, 13_000)
    assert usual_use(checks) == pytest.approx(12_000 / 730)
    seen = forecast(CLEARANCES, checks, Decimal(3650))
    due = outlook_of(CLEARANCES, seen, Measure.KM, Promise(), checks)
    assert (due.by, due.at, due.on) == (By.INTERVAL, 16_650, date(2022, 10, 9))
    assert due.when(date(2022, 10, 9)) is When.OVERDUE
    assert due.when(date(2022, 9, 20)) is When.SOON
    assert due.when(date(2022, 5, 1)) is When.LATER
    signed = outlook_of(CLEARANCES, seen, Measure.KM, Promise(at=Decimal(14_000)), checks)
    assert (signed.by, signed.at) == (By.SIGNED, 14_000)
    day = outlook_of(CLEARANCES, seen, Measure.KM, Promise(on=date(2022, 4, 1)), checks)
    assert (day.by, day.on, day.words) == (By.SIGNED, date(2022, 4, 1), "by 1 Apr 2022: as signed")
    later = outlook_of(CLEARANCES, seen, Measure.KM, Promise(at=Decimal(99_000)), checks)
    assert later == due
    assert Outlook().when(date(2022, 1, 1)) is When.UNDATED
    assert usual_use(checks[:1]) is None
    anew = (*checks, replace(checks[0], on=date(2023, 3, 1), at=Decimal(10)))
    assert usual_use(anew) is None  # the counter was changed: nobody knows how far it ran


def test_what_is_said_is_true_by_the_figures() -> None:
    checks = past(1000, 7000, 13_000, rates={FIRST.id: 12_000}, start=mm("0.4"))
    seen = forecast(CLEARANCES, checks)
    one = seen.by_name[FIRST.id]
    words = valve_words(one, Measure.MILES, Unit.MM)
    assert words.startswith(f"{FIRST.id}: closes by 0.0")
    assert "in 1\u202f000 miles" in words
    assert "far faster than its kind" in words
    for early, best, said in (
        (0, 0, "; likely at its minimum already"), (0, None, "; it may be at its minimum already"),
        (0, 900, "already, likely in 900 miles"), (500, 900, "in 500 miles at the earliest, "),
    ):  # fmt: skip
        near = replace(one, to_minimum=Reach(early=early, best=best, late=None))
        assert said in valve_words(near, Measure.MILES, Unit.MM)
    left = {one.id: point(mm("0.20")) for one in CLEARANCES} | {FIRST.id: point(mm("0.17"))}
    pairs = twins(CLEARANCES, left)
    assert (pairs[0].apart_nm, FIRST.id in pairs[0].valves) == (mm("0.03"), True)
    told = head_words(CLEARANCES, seen, pairs, Measure.KM, Unit.MM)
    assert "exhausts close by 0.002 mm" in told[0]
    assert "within 0.03 mm of one another" in told[1]


def test_evenness_is_told_of_twins_and_of_each_kind_where_all_were_read() -> None:
    def left(gaps: Any) -> Any:
        return {key: Seen(found=point(mm(text))) for key, text in gaps.items()}

    keys = {one.id: one.key for one in CLEARANCES}
    one, other = (one.id for one in CLEARANCES[:2])
    everyone = {one.key: "0.20" for one in CLEARANCES}
    checks = (
        Check(on=None, at=Decimal(1000), valves=left({keys[one]: "0.15", keys[other]: "0.18"})),
        Check(on=None, at=None, valves=left(everyone)),
        Check(on=None, at=Decimal(9000), valves=left({**everyone, keys[one]: "0.15"})),
        Check(on=None, at=Decimal(9500), valves=left({keys[one]: "0.15"})),
    )
    rows = evenness(CLEARANCES, checks)
    pair = next(row for row in rows if row.valves == (one, other))
    assert [(seen.at, seen.apart_nm) for seen in pair.checks] == [
        (1000, mm("0.03")), (9000, mm("0.05")),
    ]  # fmt: skip
    side = next(row for row in rows if not row.twins)
    assert [(seen.at, seen.apart_nm) for seen in side.checks] == [(9000, mm("0.05"))]
    assert evenness(CLEARANCES, ()) == ()


@pytest.mark.parametrize(
    ("rates", "doubt", "called"),
    [
        ([30, 32, 29, 95], 5, [3]),  # µm over the run, of one kind
        ([30, 32, 29, 95], 60, []),  # nobody can tell
        ([30, 32, 29, 50], 5, []),  # rates of a kind differ by as much
        ([30, 400, 29, 31], 5, [1]),
        ([-20, -18, -22, -19], 5, []),
        ([30], 5, []),
    ],
)
def test_a_valve_is_called_fast_where_that_is_far_likelier(
    rates: Any, doubt: Any, called: Any
) -> None:
    likelier = how_much_likelier(
        np.array(rates, float), np.full(len(rates), float(doubt)), np.zeros(len(rates), int)
    )
    assert list(np.flatnonzero(likelier > CLEARLY)) == called


def test_of_two_valves_the_other_side_helps_to_tell() -> None:
    def with_others(other: Any) -> Any:
        rates = np.array([30.0, 110.0, other, other])
        return how_much_likelier(rates, np.full(4, 4.0), np.array([0, 0, 1, 1]))[1]

    assert with_others(33.0) > with_others(100.0) + 0.5
