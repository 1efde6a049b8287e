"""The simulated parts counter and micrometer, as what connects to them sees them."""

import json
import os
from typing import Any
from urllib.error import HTTPError
from urllib.request import Request, urlopen

import pytest

from plimb.core.errors import CounterAway
from plimb.core.lengths import mm
from plimb.standins.counter import Counter, run_counter
from plimb.standins.counter_client import Wanted, ask_prices, place_order
from plimb.standins.instrument import SimulatedMicrometer, listen, press

WIDE = mm("8.9")
SIZES = [mm("2.00") + n * mm("0.025") for n in range(40)]


def wanted(count: Any = 1, sizes: Any = SIZES) -> Any:
    return [Wanted(diameter_nm=WIDE, thickness_nm=size, count=count) for size in sizes]


@pytest.fixture(scope="module")
def address() -> Any:
    return run_counter()


def test_some_sizes_are_ready_some_come_later_and_now_and_then_one_is_refused(address: Any) -> None:
    lines = ask_prices(address, wanted())
    states = [line.state for line in lines]
    assert {"ready", "back-ordered", "refused"} == set(states)
    assert states.count("refused") < 5
    assert all((line.price is None) == (line.state == "refused") for line in lines)
    assert all(line.days == (7 if line.state == "back-ordered" else 0) for line in lines)
    assert ask_prices(address, wanted()) == lines


def test_an_order_sent_twice_is_taken_once_and_comes_off_the_shelf() -> None:
    shelves = Counter()
    size = next(size for size in SIZES if shelves.stock(WIDE, size) == 3)
    first = shelves.order("key-1", [(WIDE, size, 2)])
    assert shelves.order("key-1", [(WIDE, size, 2)]) == first
    assert shelves.stock(WIDE, size) == 1
    assert shelves.order("key-2", [(WIDE, size, 2)])["lines"][0]["state"] == "back-ordered"


def test_the_order_gets_a_number(address: Any) -> None:
    number, lines = place_order(address, "order-key-1", wanted(sizes=SIZES[:3]))
    assert number.startswith("C")
    assert len(lines) == 3
    assert place_order(address, "order-key-1", wanted(sizes=SIZES[:3])) == (number, lines)


@pytest.mark.parametrize(
    "body", [{}, {"lines": "x"}, {"key": "k", "lines": [{"count": 1}]}, [1], {"key": 1}]
)
def test_what_is_no_order_is_refused(address: Any, body: Any) -> None:
    sent = Request(f"{address}/orders", data=json.dumps(body).encode(), method="POST",
                   headers={"Content-Type": "application/json"})  # fmt: skip
    with pytest.raises(HTTPError) as refusal:
        urlopen(sent)
    refusal.value.close()
    assert refusal.value.code == 400


@pytest.mark.parametrize("where", [None, "http://127.0.0.1:9", "address/nowhere"])
def test_a_counter_that_is_not_there_is_said_so(address: Any, where: Any) -> None:
    place = f"{address}/nowhere" if where == "address/nowhere" else where
    with pytest.raises(CounterAway, match="CSV"):
        ask_prices(place, wanted(sizes=SIZES[:1]))


def test_the_micrometer_sends_what_it_shows_over_its_stream() -> None:
    micrometer = SimulatedMicrometer(zero_nm=mm("0.003"))
    lines = []
    listen(micrometer.port, lines.append)
    while not lines:  # until it is listened to
        micrometer.measure(mm("2.50"))
    shown = [micrometer.measure(mm("2.50")) for _time in range(50)]
    while lines[-50:] != shown:  # until all has come
        os.sched_yield()
    values = [mm(line.removesuffix(" mm")) for line in shown]
    assert all(abs(value - mm("2.503")) <= mm("0.0045") for value in values)
    assert len(set(values)) > 3
    assert sum(values) / 50 == pytest.approx(mm("2.503"), abs=mm("0.0015"))
    press(micrometer.port, mm("1.25"))  # whoever is connected closes it on a piece
    while not lines[-1].startswith("1.2"):  # whatever it is off by
        os.sched_yield()
    micrometer.close()
