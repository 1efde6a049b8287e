"""One valve by an amount without a spec; a valve at its limit that the card leaves alone."""

from typing import Any

import pytest

from plimb.card.acts.choose import take_plan
from plimb.card.acts.correct import say_near_enough
from plimb.card.acts.feel import understand_gap, write_down_gap
from plimb.card.acts.fit import fit_piece
from plimb.card.acts.next_round import next_round
from plimb.card.acts.opening import Amount
from plimb.card.acts.read import recall_shim
from plimb.card.planning import read_plan
from plimb.core.errors import BadValue
from plimb.core.job.kinds import JobKind
from plimb.core.job.stages import Stage
from plimb.core.lengths import Unit, mm
from plimb.core.measure.limits import Limits, Verdict
from plimb.record.database import Database

from ..guest import Job
from .test_kinds import known


def test_one_valve_by_an_amount_needs_no_spec_and_is_judged_by_what_is_near_enough(
    database: Database,
) -> None:
    def no_spec(engine: Any) -> None:
        known(engine)
        del engine["spec"]

    amount = Amount(valve="EX L", by="0.05", wider=True, unit=Unit.MM)
    job = Job(database, change=no_spec, opened={"kind": JobKind.ONE, "amount": amount})
    job.gap("EX L", "20")
    assert job.view.at is Stage.FEEL  # which asks how near is near enough
    with pytest.raises(BadValue, match=r"between 0 and 0\.1 mm"):
        job.act(say_near_enough, near="2", unit=Unit.MM)
    job.act(say_near_enough, near="0.03", unit=Unit.MM)
    valve = job.view.status.valves["EX L"]
    assert (valve.reason, valve.opens) == ("its gap is to become 0.25", True)
    job.shim("EX L", "270 2.700")
    with database.reading() as session:
        plan = read_plan(session, job.card.id)
    assert [(one.move.thickness_nm, one.why) for one in plan.moves] == [
        (
            mm("2.65"),
            "Nothing at hand lands in range. Buy 2.65: 0.20 + 2.70 − 2.65 = 0.25, in range.",
        )
    ]
    job.act(take_plan)
    assert job.todo(Stage.CHOOSE).waiting == ()  # what was decided is not called overtaken
    job.act(fit_piece, valve="EX L", fitted=True, measured="")
    typed = understand_gap(database, job.card.id, "EX L", "29", Unit.MM, "proof")
    assert typed.verdict is Verdict.LOOSE  # while it is typed, as when it is written down
    job.act(write_down_gap, valve="EX L", purpose="proof", text="29", unit=Unit.MM)
    assert job.view.status.not_in_spec == ("EX L",)
    job.act(next_round, reason="Once more")
    assert job.view.status.valves["EX L"].clearance.check == Limits(
        low_nm=mm("0.22"), high_nm=mm("0.28")
    )  # still from the gap that was found first


def test_a_valve_at_its_limit_is_left_by_the_plan_as_by_the_card(database: Database) -> None:
    """Its chance is worth a camshaft, but the shop sets what is out, and a person may open it."""
    job = Job(database, change=known)
    for valve, gap in (("IN L", "20"), ("IN R", "15"), ("EX L", "25"), ("EX R", "25")):
        job.gap(valve, gap)
        job.act(recall_shim, valve=valve, text="2.65")
    assert job.view.status.valves["IN L"].in_doubt
    with database.reading() as session:
        assert [one.move.changes for one in read_plan(session, job.card.id).moves] == [False] * 4
