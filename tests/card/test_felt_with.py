"""What is noted of how a gap was felt."""

from typing import Any

from plimb.card.acts.remembering import set_method
from plimb.card.acts.sign import read_sheet
from plimb.card.transfer import import_card
from plimb.core.engine.turning import Method
from plimb.core.lengths import mm
from plimb.core.measure.blades import Blade, BladeSet
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
