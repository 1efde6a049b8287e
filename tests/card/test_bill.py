"""What was used: what went in and stayed, wherever it came from; what only lay in is none of it."""

from datetime import timedelta
from typing import Any

import pytest

from plimb.books.bench import find_due
from plimb.card.acts.choose import choose_piece
from plimb.card.acts.feel import write_down_gap
from plimb.card.acts.fit import fit_piece
from plimb.card.acts.next_round import next_round
from plimb.card.acts.opening import open_card
from plimb.card.acts.sign import sign_card
from plimb.core.engine.engine import Side
from plimb.core.errors import NotReady
from plimb.core.lengths import Unit, mm
from plimb.core.shim.shim import Source
from plimb.record.database import Database
from plimb.record.families import families
from plimb.shop.drawer import add_pieces, read_drawer

from ..conftest import NOON
from ..guest import Job

SIZES = {"diameter": 9.48, "price": 7.4, "runs": [{"from": 1.2, "to": 3.5, "step": 0.05}]}


@pytest.fixture
def job(database: Database) -> Job:
    def change(engine: Any) -> None:
        engine.update(family=SIZES, counter="h", interval=30)

    job = Job(database, change=change, opened={"hours": "100"})
    for side in Side:
        job.spec(side, "0.10-0.15")
    return job


def put_in(job: Job, valve: str, thickness: str, **said: Any) -> None:
    swapped = said.pop("swapped", False)
    job.act(choose_piece, valve=valve, thickness_nm=mm(thickness), **said)
    job.act(fit_piece, valve=valve, fitted=True, measured="", anyway=True, swapped=swapped)


def test_what_went_in_for_a_while_stands_on_no_bill(job: Job) -> None:
    job.gap("IN L", "-3")
    job.shim("IN L", "250")
    put_in(job, "IN L", "2.30")
    assert job.line("Used") == "1 × Shim 2.30 mm, 9.48 across"
    job.act(write_down_gap, valve="IN L", purpose="proof", text="25", unit=Unit.MM)
    job.act(next_round, reason="A temporary shim was in")
    put_in(job, "IN L", "2.40")
    assert job.line("Used") == "1 × Shim 2.40 mm, 9.48 across"


def test_a_piece_out_of_the_drawer_and_a_swapped_one_say_so(database: Database, job: Job) -> None:
    with database.writing("terms") as session:
        families(session)[0].swap_price = "2.50"
    with database.reading() as session:
        family = read_drawer(session).families[0].id
    add_pieces(database, family_id=family, text="2.40", now=NOON)
    for valve in ("IN L", "IN R"):
        job.gap(valve, "8")
    for valve in ("IN L", "IN R"):
        job.shim(valve, "245")
    put_in(job, "IN L", "2.40", source=Source.DRAWER)
    with pytest.raises(NotReady, match="nothing is bought"):
        put_in(job, "IN L", "2.40", source=Source.DRAWER, swapped=True)
    put_in(job, "IN L", "2.40", source=Source.DRAWER)
    job.act(choose_piece, valve="IN R", thickness_nm=mm("2.40"), source=Source.COUNTER)
    assert [step.may_swap for step in job.view.fit] == [False, True]
    put_in(job, "IN R", "2.40", source=Source.COUNTER, swapped=True)
    assert job.line("Used") == (
        "1 × Shim 2.40 mm, 9.48 across, out of the drawer, "
        "1 × Shim 2.40 mm, 9.48 across, an old one given for it"
    )
    assert job.line("Comes to") == "9.90"
    for valve, text in (("IN L", "12"), ("IN R", "12")):
        job.act(write_down_gap, valve=valve, purpose="proof", text=text, unit=Unit.MM)
    for valve in ("EX L", "EX R"):
        job.gap(valve, "12")
    job.act(sign_card, signed_by="Oda", remarks="")
    with database.reading() as session:
        pockets = read_drawer(session).families[0].pockets
    # of the two old ones the counter has one
    assert [(one.nominal_nm, one.count) for one in pockets if one.count] == [(mm("2.45"), 1)]


def test_the_next_check_is_proposed_and_who_is_on_the_bench_is_known(
    database: Database, job: Job
) -> None:
    assert job.sheet.proposed.words == "at 130 h: the manual's interval"
    for valve in job.view.status.order:
        job.gap(valve, "12")
    job.act(sign_card, signed_by="Oda", remarks="", next_hours="130")
    assert job.sheet.proposed is None
    (due,) = find_due(database, NOON.date(), 0).due
    assert (due.words, due.card) == ("at 130 h: as signed", None)
    card = open_card(
        database, engine_id=job.engine_id, opened_by="Oda", reason="Due",
        now=NOON + timedelta(days=40),
    )  # fmt: skip
    (due,) = find_due(database, NOON.date(), 0).due
    assert due.card == card.id
