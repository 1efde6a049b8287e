"""What is noted of how a gap was felt."""

from typing import Any

from plimb.card.acts.choose import choose_piece
from plimb.card.acts.feel import ask_next_blade
from plimb.card.acts.remembering import set_method
from plimb.card.acts.sign import read_sheet
from plimb.card.transfer import import_card
from plimb.core.engine.turning import Method
from plimb.core.lengths import mm
from plimb.core.measure.blades import Blade, BladeSet, Tried
from plimb.core.measure.limits import Verdict
from plimb.record.database import Database
from plimb.shop.tools import save_blade_set

from ..conftest import NOON
from ..guest import Job, card_text


def test_a_valve_felt_with_another_set_says_so_on_the_sheet_and_in_the_file(
    database: Database, fresh: Any
) -> None:
    thin, other = (
        save_blade_set(
            database, set_id=None,
            blades=BladeSet(name=name, blades=tuple(Blade(nominal_nm=n * mm("0.01")) for n in at)),
        )
        for name, at in (("Thin", (12, 13, 14)), ("Other", (12, 15)))
    )  # fmt: skip
    job = Job(database)
    job.act(set_method, method=Method.MARKS, blade_set_id=other)
    job.gap("IN R", "12-15")
    job.act(set_method, method=Method.MARKS, blade_set_id=thin)
    job.gap("IN L", "13")
    assert job.line("Blades") == "Thin; IN R with Other"
    with database.reading() as session:
        text = card_text(session, job.card.id)
    there = fresh("there")
    number = import_card(there, text, now=NOON)
    with there.reading() as session:
        assert "IN R with Other" in str(read_sheet(session, number).facts)


def test_a_proof_is_guided_to_the_set_range_where_the_maker_has_one(database: Database) -> None:
    def set_range(engine: Any) -> None:
        side = {"min": 0.10, "max": 0.20, "set_min": 0.14, "set_max": 0.18}
        engine["spec"] = {"intake": side, "exhaust": side}
        engine["family"] = {"diameter": 9.48, "runs": [{"from": 2, "to": 3, "step": 0.05}]}

    every = tuple(Blade(nominal_nm=n * mm("0.01")) for n in range(4, 31))
    save_blade_set(database, set_id=None, blades=BladeSet(name="A", blades=every))
    job = Job(database, change=set_range)
    job.gap("IN L", "8")
    job.shim("IN L", "250 2.500")
    job.act(choose_piece, valve="IN L", thickness_nm=mm("2.40"))

    def settled(purpose: Any, true_nm: Any) -> Any:
        known = Tried()
        while True:
            advice = ask_next_blade(
                database, job.card.id, valve="IN L", tried=known, fine=False, purpose=purpose
            )
            if advice.next_blade is None:
                return advice.verdict
            known = known.with_answer(advice.next_blade, advice.next_blade.thickness_nm <= true_nm)

    assert settled("found", mm("0.195")) is Verdict.IN
    assert settled("proof", mm("0.195")) is Verdict.LOOSE  # it was to get into the set range
    assert settled("proof", mm("0.165")) is Verdict.IN
