"""Stacks run through changes of shim; lives, counters and pieces that are not what was left in."""

from datetime import date
from decimal import Decimal
from typing import Any

from plimb.core.lengths import mm
from plimb.core.measure.gap import Gap, none_below, point
from plimb.core.wear.stack import (
    Check,
    Piece,
    Seen,
    lives,
    other_pieces,
    past_of,
    present_life,
    runs_backwards,
)


def piece(thick: Any) -> Any:
    return Piece(thickness_nm=mm(thick), half_width_nm=mm("0.004"))


def check(year: Any, at: Any, seen: Any, **more: Any) -> Any:
    valves = {} if seen is None else {"V": seen}
    return Check(on=date(year, 5, 1), at=None if at is None else Decimal(at), valves=valves, **more)


def gap(text: Any) -> Any:
    return point(mm(text))


SET = Seen(
    found=gap("0.10"), piece=piece("2.80"), left=gap("0.20"), new=piece("2.70"), changed=True
)
PAST = (
    check(2020, 1000, Seen(found=gap("0.14"))),
    check(2021, 9000, SET),
    check(2022, 15000, Seen(found=gap("0.17"))),
)


def test_a_stack_runs_through_a_change_of_shim_and_a_piece_read_later_was_in_before() -> None:
    past = past_of(PAST, "V")
    assert [(one.run, one.stint, one.as_left) for one in past.seen] == [
        (0.0, 0, False), (8000.0, 0, False), (8000.0, 1, True), (14000.0, 1, False),
    ]  # fmt: skip
    middles = [sum(one.stack()) / 2 for one in past.seen]
    assert middles == [mm("2.94"), mm("2.90"), mm("2.90"), mm("2.87")]
    assert past.distances == 3


def test_what_has_no_two_ends_tells_nothing_and_an_unknown_piece_has_no_stack() -> None:
    loose = Gap(low_nm=mm("0.2"), high_nm=mm("0.2"), endless=True)
    past = past_of(
        [check(2020, 1, Seen(found=none_below(mm("0.03")))), check(2021, 2, Seen(found=loose)),
         check(2022, 3, Seen(found=gap("0.15")))], "V",
    )  # fmt: skip
    assert [one.stack() for one in past.seen] == [None]
    assert past_of((), "V").seen == ()
    changed = past_of([check(2020, 1, Seen(found=gap("0.1"), changed=True))], "V")
    assert not changed.gap_now_known


def test_head_work_and_a_counter_that_runs_backwards_begin_anew() -> None:
    anew = (*PAST, check(2023, 16000, Seen(found=gap("0.2")), new_life=True))
    assert [one.at for one in present_life(anew)] == [16000]
    back = (*PAST, check(2023, 200, Seen(found=gap("0.2"))), check(2024, None, None))
    assert [[one.at for one in life] for life in lives(back)] == [[1000, 9000, 15000], [200]]
    assert (runs_backwards(back), runs_backwards(anew)) == (True, False)
    assert present_life(()) == ()


def test_a_piece_that_cannot_be_the_one_left_in_is_told_and_begins_a_stint() -> None:
    odd = (*PAST, check(2023, 20000, Seen(found=gap("0.15"), piece=piece("2.75"))))
    assert other_pieces(odd, "V") == (date(2023, 5, 1),)
    assert past_of(odd, "V").seen[-1].stint == 2
    same = (*PAST, check(2023, 20000, Seen(found=gap("0.15"), piece=piece("2.703"))))
    assert other_pieces(same, "V") == ()
    assert past_of(same, "V").seen[-1].stint == 1
