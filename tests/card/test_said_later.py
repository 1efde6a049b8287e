"""A family that nobody had told of, given its diameter or its sizes later, keeps its shims."""

from typing import Any

import pytest

from plimb.card.acts.choose import choose_piece
from plimb.card.acts.correct import take_over_engine
from plimb.card.custody import lying_for
from plimb.core.engine.engine import Side
from plimb.core.lengths import mm
from plimb.core.shim.shim import Source
from plimb.record.cards import get_card
from plimb.record.database import Database
from plimb.shop.drawer import add_pieces, read_drawer

from ..conftest import NOON
from ..guest import Job

SAID = {
    "a diameter": {"diameter": 9.48, "runs": []},
    "sizes": {"runs": [{"from": 2.0, "to": 3.0, "step": 0.05}]},
    "both": {"diameter": 9.48, "runs": [{"from": 2.0, "to": 3.0, "step": 0.05}]},
}


def families(database: Database) -> Any:
    with database.reading() as session:
        return {one.name: (one.id, one.pieces) for one in read_drawer(session).families}


def lying(job: Job, valve: str) -> list[int]:
    with job.database.reading() as session:
        card = get_card(session, job.card.id)
        clearance = job.view.engine.clearance(valve)
        return [piece.thickness_nm for piece in lying_for(session, card, clearance)]


@pytest.mark.parametrize("said", SAID.values(), ids=SAID)
def test_what_lies_there_is_offered_before_and_after(database: Database, said: Any) -> None:
    job = Job(database)
    for side in Side:
        job.spec(side, "0.10-0.15")
    ((name, (family, _none)),) = families(database).items()
    add_pieces(database, family_id=family, text="2.40", now=NOON)
    job.gap("IN L", "8")
    job.shim("IN L", "245")
    assert lying(job, "IN L") == [mm("2.40")]
    job.revise(lambda engine: engine.update(family=said), revision=3)
    job.act(take_over_engine)
    assert lying(job, "IN L") == [mm("2.40")]
    there = families(database)
    assert there.pop(name)[1] == 0
    assert [many for _id, many in there.values()] == [1]
    job.act(choose_piece, valve="IN L", thickness_nm=mm("2.40"), source=Source.DRAWER)
    assert job.view.valves[0].status.record.choice.source is Source.DRAWER


def test_what_was_put_there_for_another_engine_too_stays_there(database: Database) -> None:
    job = Job(database)
    Job(database, label="Other")
    ((name, (family, _none)),) = families(database).items()
    add_pieces(database, family_id=family, text="2.40", now=NOON)
    job.revise(lambda engine: engine.update(family=SAID["both"]))
    assert families(database)[name] == (family, 1)
