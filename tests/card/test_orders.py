"""Buying: refused lines, a counter that goes away, kits, and rounds that use what came out."""

from concurrent.futures import ThreadPoolExecutor
from decimal import Decimal
from typing import Any

import pytest

from plimb.card.acting import Change
from plimb.card.acts.choose import choose_piece, set_variant, take_plan
from plimb.card.acts.fit import fit_piece
from plimb.card.acts.next_round import next_round
from plimb.card.acts.read import answer_for_shim
from plimb.card.acts.sign import sign_card
from plimb.card.build import read_card, status_of
from plimb.card.custody import tray_of, valve_location
from plimb.card.orders import ask_counter, order_parts, receive, still_to_buy
from plimb.card.planning import read_plan, request_of
from plimb.core.errors import CounterAway, NotReady
from plimb.core.job.stages import Stage
from plimb.core.lengths import mm
from plimb.core.shim.shim import Source, Trust
from plimb.record.cards import get_card
from plimb.record.database import Database
from plimb.record.orders import list_orders
from plimb.record.shims import audit, shim_at, shims_at
from plimb.standins.counter import Counter, run_counter

from ..conftest import NOON


class Bench:
    """Somebody at card 3, who wants only new pieces."""

    def __init__(self, database: Database) -> None:
        self.database = database
        self.do(answer_for_shim, valve="3 IN L", trust=Trust.MEASURED)

    def do(self, act: Any, card_id: Any = 3, **more: Any) -> None:
        with self.database.reading() as session:
            version = read_card(session, card_id).version
        change = Change(card_id=card_id, version=version, key=f"a-{version:08}", now=NOON)
        act(self.database, change, **more)

    @property
    def view(self) -> Any:
        with self.database.reading() as session:
            return read_card(session, 3)


@pytest.fixture
def bench(school: Database) -> Any:
    return Bench(school)


def only_new(bench: Any) -> None:
    bench.do(set_variant, variant="only-new")
    bench.do(take_plan)


def test_a_line_the_counter_refuses_is_kept_with_its_reason_and_can_be_ordered_again(
    bench: Any,
) -> None:
    only_new(bench)
    wanted = len(still_to_buy(bench.database, 3))
    all_refused = run_counter(counter=Counter(refuses_one_in=1))
    order_parts(bench.database, all_refused, card_id=3, key="order-one-1", now=NOON)
    with bench.database.reading() as session:
        (order,) = list_orders(session, 3)
        assert {line.state for line in order.lines} == {"refused"}
        assert all(line.says for line in order.lines)
        refused = order.lines[0].id
    with pytest.raises(NotReady, match="refused"):
        receive(bench.database, line_id=refused, now=NOON)
    assert len(still_to_buy(bench.database, 3)) == wanted
    order_parts(bench.database, run_counter(), card_id=3, key="order-two-2", now=NOON)
    left = still_to_buy(bench.database, 3)
    assert len(left) < wanted
    with bench.database.reading() as session:
        assert audit(session) == []


def test_a_counter_that_goes_away_leaves_nothing_ordered(bench: Any) -> None:
    only_new(bench)
    for address in (None, "http://127.0.0.1:9"):
        with pytest.raises(CounterAway):
            ask_counter(bench.database, address, 3)
        with pytest.raises(CounterAway):
            order_parts(bench.database, address, card_id=3, key="order-one-1", now=NOON)
    with bench.database.reading() as session:
        assert list_orders(session) == []


def test_kit_or_singles_is_said_for_the_jobs_own_order(bench: Any) -> None:
    only_new(bench)
    with bench.database.reading() as session:
        view = read_plan(session, 3)
    (words,) = view.purchases
    singles = sum(Decimal(line.price) * line.count for line in view.plan.order)
    assert words.startswith(f"Take {view.plan.to_buy} singles for {singles:f}: the kit is")


def at_hand(session: Any, card_id: Any) -> Any:
    card = get_card(session, card_id)
    return request_of(session, card, status_of(card)).drawer


def test_what_came_out_in_one_round_is_at_hand_in_the_next(bench: Any) -> None:
    """Card 4 is at its proof: its old pieces lie on its tray once the next round begins."""
    bench.do(next_round, card_id=4, reason="again")
    with bench.database.reading() as session:
        card = get_card(session, 4)
        lying = {row.thickness_nm for row in shims_at(session, tray_of(card))}
        assert lying == {mm("2.602"), mm("2.641"), mm("2.52"), mm("2.561")}
        assert shim_at(session, valve_location(card, "1 IN R")).thickness_nm == mm("2.52")
        stocks = {one.thickness_nm for one in at_hand(session, 4)}
        assert lying <= stocks
        assert audit(session) == []
    bench.do(choose_piece, card_id=4, valve="1 IN R", thickness_nm=mm("2.602"),
             source=Source.DRAWER)  # fmt: skip
    with bench.database.reading() as session:
        stocks = {one.thickness_nm for one in at_hand(session, 4)}
        assert mm("2.602") in stocks  # it is kept for this card, and for no other
        assert mm("2.602") not in {one.thickness_nm for one in at_hand(session, 3)}
        assert audit(session) == []


def test_two_cards_never_plan_on_one_piece(bench: Any) -> None:
    with bench.database.reading() as session:
        moves = [m for m in read_plan(session, 3).plan.moves if m.source is Source.DRAWER]
        assert moves
    bench.do(take_plan)
    with bench.database.reading() as session:
        left = {one.thickness_nm: one.count for one in at_hand(session, 4)}
        mine = {one.thickness_nm: one.count for one in at_hand(session, 3)}
    for move in moves:
        assert left.get(move.thickness_nm, 0) == mine[move.thickness_nm] - 1


def test_taking_the_plan_again_changes_nothing_that_stands(bench: Any) -> None:
    bench.do(take_plan)
    with bench.database.reading() as session:
        before = [(row.id, row.shim_id) for row in get_card(session, 3).rounds[-1].choices]
    bench.do(take_plan)
    with bench.database.reading() as session:
        after = [(row.id, row.shim_id) for row in get_card(session, 3).rounds[-1].choices]
    assert after == before


def test_a_valve_that_gave_its_piece_away_waits_for_one_and_holds_up_the_signature(
    bench: Any,
) -> None:
    bench.do(choose_piece, valve="1 EX R", thickness_nm=mm("2.472"), source=Source.ENGINE,
             from_valve="2 IN R")  # fmt: skip
    waiting = next(t for t in bench.view.status.todo if t.stage is Stage.CHOOSE).waiting
    assert "2 IN R" in waiting
    with pytest.raises(NotReady, match="nothing goes into 2 IN R"):
        bench.do(sign_card, signed_by="Ada", remarks="as it is")
    bench.do(take_plan)
    bench.do(fit_piece, valve="1 EX R", fitted=True, measured="2.470")
    bench.do(sign_card, signed_by="Ada", remarks="as it is")
    with bench.database.reading() as session:
        row = shim_at(session, valve_location(get_card(session, 3), "1 EX R"))
        assert (row.marked, row.thickness_nm) == ("2475", mm("2.470"))
        assert audit(session) == []


@pytest.mark.slow
def test_asked_four_times_at_once_it_is_ordered_once(bench: Any) -> None:
    only_new(bench)
    wanted = sum(line.count for line in still_to_buy(bench.database, 3))
    counter = run_counter(counter=Counter(refuses_one_in=10**9))

    def ask(number: Any) -> Any:
        try:
            order_parts(bench.database, counter, card_id=3, key=f"order-at-once-{number}", now=NOON)
        except NotReady:
            return 0
        return 1

    with ThreadPoolExecutor(4) as pool:
        placed = list(pool.map(ask, range(4)))
    with bench.database.reading() as session:
        ordered = sum(line.count for order in list_orders(session, 3) for line in order.lines)
    assert (sum(placed), ordered) == (1, wanted)
