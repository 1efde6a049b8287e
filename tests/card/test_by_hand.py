"""What is decided by hand on a card is kept, said and asked about; what lies at hand is offered."""

from typing import Any

import pytest

from plimb.card.acts.choose import choose_piece, take_plan
from plimb.card.acts.fit import fit_piece
from plimb.card.planning import read_plan
from plimb.core.engine.engine import Side
from plimb.core.engine.followers import Follower
from plimb.core.errors import NotReady
from plimb.core.lengths import mm
from plimb.core.shim.shim import Source
from plimb.record.database import Database
from plimb.record.families import families
from plimb.shop.drawer import add_pieces

from ..conftest import NOON
from ..guest import Job

NOTHING_SAID: dict[str, list[object]] = {"runs": []}


def job_with(database: Database, family: Any, **more: Any) -> Any:
    job = Job(database, change=lambda engine: engine.update(family=family), **more)
    job.spec(Side.INTAKE, "0.10-0.15")
    job.spec(Side.EXHAUST, "0.20-0.25")
    for valve in job.view.status.order:
        job.gap(valve, "13" if "IN" in valve else "23")
    return job


def planned(job: Any) -> Any:
    with job.database.reading() as session:
        return read_plan(session, job.card.id)


def move_of(job: Any, valve: str) -> Any:
    return next(one for one in planned(job).moves if one.move.valve == valve)


def into_the_drawer(job: Any, text: Any) -> None:
    with job.database.reading() as session:
        (family,) = families(session)
    add_pieces(job.database, family_id=family.id, text=text, now=NOON)


@pytest.mark.parametrize(
    "family",
    [
        NOTHING_SAID,
        {"diameter": 9.48, "runs": []},
        {"runs": [{"from": 1.2, "to": 3.5, "step": 0.05}]},
    ],
    ids=["neither", "no sizes", "no diameter"],
)
def test_a_shim_in_the_drawer_that_fits_is_offered_and_taken(
    database: Database, family: Any
) -> None:
    job = job_with(database, family)
    job.gap("IN L", "5")
    job.shim("IN L", "2.80")
    into_the_drawer(job, "2.723, 2.31")
    offered = {(one.source, one.thickness_nm) for one in move_of(job, "IN L").options}
    assert (Source.DRAWER, mm("2.723")) in offered
    job.act(take_plan)
    chosen = job.view.status.valves["IN L"].record.choice
    assert (chosen.source, chosen.thickness_nm) == (Source.DRAWER, mm("2.723"))
    assert move_of(job, "IN L").move.thickness_nm == mm("2.723")  # it is kept back, and stands


def test_what_came_out_of_another_engine_is_not_offered_where_nobody_said_what_fits(
    database: Database,
) -> None:
    other = job_with(database, NOTHING_SAID, label="Other")
    other.gap("IN L", "5")
    other.shim("IN L", "2.80")
    into_the_drawer(other, "2.72")
    other.act(take_plan)  # 2.72 goes in, 2.80 comes out and is that engine's
    job = job_with(database, NOTHING_SAID, label="Mine")
    job.gap("IN L", "19")
    job.shim("IN L", "2.72")
    sources = {one.source for one in move_of(job, "IN L").options}
    assert sources == {Source.SAME}


def test_an_unknown_closers_shim_and_an_openers_are_not_taken_for_one_another(
    database: Database,
) -> None:
    job = Job(database, follower=Follower.OPENER_CLOSER, label="Duo", change=lambda engine:
              engine.update(family=NOTHING_SAID, closer_family=NOTHING_SAID))  # fmt: skip
    job.spec(Side.INTAKE, "0.08-0.22")
    job.gap("IN L op", "5")
    job.shim("IN L op", "2.80")
    into_the_drawer(job, "2.70")
    assert {one.source for one in move_of(job, "IN L op").options} == {Source.SAME}


def test_a_shim_by_hand_for_a_valve_without_a_gap_is_not_overwritten(database: Database) -> None:
    job = job_with(database, {"diameter": 9.48, "runs": [{"from": 2, "to": 3, "step": 0.05}]})
    job.gap("IN L", "-3")
    job.gap("IN R", "5")
    for valve in ("IN L", "IN R"):
        job.shim(valve, "2.80")
    for thickness in ("2.55", "2.90"):  # thinner, and thicker: with a warning
        job.act(choose_piece, valve="IN L", thickness_nm=mm(thickness), source=Source.COUNTER)
        assert move_of(job, "IN L").move.thickness_nm == mm(thickness)
        job.act(take_plan)
        assert job.view.status.valves["IN L"].record.choice.thickness_nm == mm(thickness)
    assert "is not thinner than what is in" in move_of(job, "IN L").why
    with pytest.raises(NotReady, match="hold the valve open"):
        job.act(fit_piece, valve="IN L", fitted=True, measured="")


def test_a_swap_with_an_empty_drawer_leaves_choose_open_and_is_not_taken_by_half(
    database: Database,
) -> None:
    job = job_with(database, NOTHING_SAID)
    job.gap("IN L", "5")
    job.gap("IN R", "18")
    job.shim("IN L", "2.80")
    job.shim("IN R", "2.50")
    job.act(choose_piece, valve="IN L", thickness_nm=mm("2.50"), source=Source.ENGINE,
            from_valve="IN R")  # fmt: skip
    plan = planned(job)
    assert (plan.plan.empty, plan.sure) == (("IN R",), "leaves IN R without a shim")
    assert not plan.taken
    with pytest.raises(NotReady, match="Choose a shim for IN R first"):
        job.act(take_plan)
    job.act(choose_piece, valve="IN R", thickness_nm=mm("2.80"), source=Source.ENGINE,
            from_valve="IN L")  # fmt: skip
    assert set(planned(job).plan.out_of_spec) == {"IN L", "IN R"}
    # a shim that would be out goes under no camshaft unasked, measured or not
    with pytest.raises(NotReady, match=r"2\.50 gives 0\.35, out of range"):
        job.act(fit_piece, valve="IN L", fitted=True, measured="")
    job.act(fit_piece, valve="IN L", fitted=True, measured="", anyway=True)
    assert job.view.status.valves["IN L"].record.choice.fitted
