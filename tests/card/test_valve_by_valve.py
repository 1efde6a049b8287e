"""Measured, opened, read and set in any order: only what was really lifted is past."""

import pytest

from plimb.card.acts.choose import choose_piece
from plimb.card.acts.feel import write_down_gap
from plimb.card.acts.fit import fit_piece, lay_aside
from plimb.card.acts.opening import open_card
from plimb.core.engine.engine import Side
from plimb.core.engine.followers import Follower
from plimb.core.errors import BadValue, NotReady
from plimb.core.job.kinds import JobKind
from plimb.core.job.stages import Stage
from plimb.core.lengths import Unit, mm
from plimb.core.shim.shim import Source
from plimb.files.starting_point import Layout
from plimb.record.database import Database

from ..guest import Job


def job_of(database: Database, follower: Follower) -> Job:
    sizes = {"diameter": 29, "runs": [{"from": 2.0, "to": 3.0, "step": 0.05}]}
    out = follower is Follower.BUCKET_UNDER
    job = Job(
        database, Layout.SINGLE, follower=follower,
        change=lambda engine: engine.update(camshaft_out=out, family=sizes),
    )  # fmt: skip
    job.spec(Side.INTAKE, "0.10-0.15")
    job.spec(Side.EXHAUST, "0.20-0.25")
    return job


def at(job: Job) -> Stage:
    return job.view.status.at


def test_shims_on_top_are_set_one_after_another(database: Database) -> None:
    job = job_of(database, Follower.BUCKET_OVER)
    job.gap("IN L", "8")
    assert at(job) is Stage.FEEL
    job.shim("IN L", "250")
    assert job.view.status.past == {"IN L"}
    assert at(job) is Stage.CHOOSE  # what is open is done first
    job.act(choose_piece, valve="IN L", source=Source.COUNTER, thickness_nm=mm("2.45"))
    job.act(fit_piece, valve="IN L", fitted=True, measured="")
    job.act(write_down_gap, valve="IN L", purpose="proof", text="13", unit=Unit.MM)
    assert at(job) is Stage.FEEL  # then the next one
    job.gap("IN R", "9")
    with pytest.raises(NotReady, match="IN L was opened"):
        job.gap("IN L", "9")
    job.shim("IN R", "255")
    assert at(job) is Stage.CHOOSE
    assert job.view.status.past == {"IN L", "IN R"}


def test_a_camshaft_that_comes_out_ends_as_found_for_its_valves_alone(database: Database) -> None:
    job = job_of(database, Follower.BUCKET_UNDER)
    job.gap("IN L", "8")
    job.gap("IN R", "12")
    job.shim("IN L", "250")
    with pytest.raises(NotReady):
        job.gap("IN R", "13")
    job.gap("EX L", "22")  # the other camshaft is in
    assert job.view.status.past == {"IN L", "IN R"}


def test_a_camshaft_out_for_another_job_has_its_lists_though_all_is_in_range(
    database: Database,
) -> None:
    job = job_of(database, Follower.BUCKET_UNDER)
    for valve in job.view.status.order:
        job.gap(valve, "12" if "IN" in valve else "22")
    assert (at(job), job.view.closing) == (Stage.SIGN, ())
    job.act(lay_aside, camshaft="EX", aside=True)
    view = job.view
    stages = {todo.stage: todo for todo in view.status.todo}
    assert stages[Stage.FIT].applies
    assert not stages[Stage.FIT].waiting
    assert {"pull-caps", "pull-lift"} <= {line.item.id for line in view.reach}
    assert {"close-caps", "close-turns"} <= {line.item.id for line in view.closing}
    assert {"EX L", "EX R"} == set(view.status.past)
    job.act(lay_aside, camshaft="EX", aside=False)
    assert job.view.closing == ()
    with pytest.raises(BadValue):
        job.act(lay_aside, camshaft="EX 9", aside=True)


def test_a_check_lays_nothing_aside(database: Database) -> None:
    job = job_of(database, Follower.BUCKET_UNDER)
    job.card = open_card(
        database, engine_id=job.engine_id, opened_by="Oda", reason="Due", kind=JobKind.CHECK,
        now=job.view.opened_at,
    )  # fmt: skip
    with pytest.raises(NotReady, match="opens nothing"):
        job.act(lay_aside, camshaft="EX", aside=True)
