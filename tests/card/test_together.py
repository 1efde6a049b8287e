"""Several cards over one drawer: every piece is promised once, and each card takes its share."""

from typing import Any

import pytest

from plimb.card.acts.together import read_together, take_together
from plimb.card.planning import read_plan
from plimb.core.engine.engine import Side
from plimb.core.errors import NotReady
from plimb.core.lengths import mm
from plimb.core.shim.shim import Source
from plimb.record.database import Database
from plimb.shop.drawer import add_pieces, read_drawer

from ..conftest import NOON
from ..guest import Job

pytestmark = pytest.mark.slow

FAMILY = {"diameter": 9.48, "runs": [{"from": 1.2, "to": 3.5, "step": 0.05}]}


def waiting(database: Database, label: Any, gap: Any) -> Any:
    """Return a single whose first intake valve wants another piece, all others being in."""
    one = Job(database, label=label, change=lambda engine: engine.update(family=FAMILY))
    one.spec(Side.INTAKE, "0.15-0.22")
    one.spec(Side.EXHAUST, "0.20-0.27")
    for number, valve in enumerate(one.view.status.order):
        one.gap(valve, "23" if "EX" in valve else "18" if number else gap)
    for valve in one.view.status.order:
        one.shim(valve, "2.60")
    return one


def drawn(database: Database, one: Any) -> Any:
    with database.reading() as session:
        moves = read_plan(session, one.card.id).plan.moves
    return [move.thickness_nm for move in moves if move.source is Source.DRAWER]


def test_two_cards_that_want_one_piece_are_planned_together_and_each_takes_its_share(
    database: Database,
) -> None:
    one, other = waiting(database, "One", "10"), waiting(database, "Other", "11")
    with database.reading() as session:
        family = read_drawer(session).families[0].id
    add_pieces(database, family_id=family, text="2.500", now=NOON)
    assert drawn(database, one) == drawn(database, other) == [mm("2.50")]  # both count on it
    both = read_together(database)
    sources = [move.source for card in both.cards for move in card.moves]
    assert sorted(sources) == [Source.COUNTER, Source.DRAWER]
    assert both.to_buy == 1
    assert sum(bool(card.otherwise) for card in both.cards) == 1
    lucky = next(card for card in both.cards if card.moves[0].source is Source.DRAWER)
    first, second = (one, other) if lucky.card_id == one.card.id else (other, one)
    second.act(take_together)  # whoever comes first, the piece stays for whom it was meant
    assert drawn(database, first) == [mm("2.50")]
    assert [card.card_id for card in read_together(database).cards] == [first.card.id]
    first.act(take_together)
    assert first.view.status.valves[lucky.moves[0].valve].record.choice.by_hand
    assert read_together(database).cards == ()
    with pytest.raises(NotReady, match="does not wait"):
        first.act(take_together)
