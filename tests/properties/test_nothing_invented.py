"""Over random engines of which some is known: no figure stands anywhere that nobody entered."""

import json
import re
from decimal import Decimal
from itertools import count
from typing import Any

import pypdfium2
import pytest
from hypothesis import HealthCheck, given, settings
from hypothesis import strategies as st

from plimb.card.acts.sign import blank_sheet
from plimb.core.engine.followers import Follower
from plimb.core.lengths import show_mm
from plimb.files.sheet_pdf import sheet_pdf
from plimb.files.starting_point import Layout
from plimb.record.database import Database

from ..conftest import LONG
from ..guest import Job

NUMBERS = count(1)
FIGURE = re.compile(r"(?<![\d.:-])\d+\.\d+(?![\d.:-])")
"""A decimal figure; dates, times and counts are none."""


def hundredths(low: Any, high: Any) -> Any:
    return st.integers(low, high).map(lambda nth: nth / 100)


@st.composite
def specs(draw: Any) -> Any:
    """A side's spec as some manual prints it, or nothing."""
    how = draw(st.sampled_from(["none", "range", "tolerance", "room"]))
    if how == "none":
        return {}
    low = draw(st.integers(5, 30))
    wide = draw(st.integers(2, 12))
    if how == "range":
        return {"min": low / 100, "max": (low + wide) / 100}
    name = {"tolerance": "plus_minus", "room": "room"}[how]
    return {"nominal": (low + wide) / 100, name: wide / 100}


@st.composite
def engines(draw: Any) -> Any:
    """What somebody entered of an engine: any part of it, or none."""
    entered = {"spec": {"intake": draw(specs()), "exhaust": draw(specs())}}
    family = {"runs": []}
    if draw(st.booleans()):
        family["diameter"] = draw(hundredths(700, 3300))
    if draw(st.booleans()):
        low = draw(st.integers(100, 200))
        family["runs"] = [{"from": low / 100, "to": low / 100 + 1, "step": 0.05}]
    if draw(st.booleans()):
        family["price"] = draw(hundredths(100, 2000))
    entered["family"] = family
    if draw(st.booleans()):
        entered["rotation"] = draw(st.sampled_from(["clockwise", "anticlockwise"]))
    return entered


def figures_of(entered: Any) -> Any:
    """Return every decimal figure that may stand somewhere, as it is written."""
    known = set()

    def add(*values: Any) -> None:
        known.update(show_mm(round(value * 1_000_000)) for value in values)

    for spec in entered["spec"].values():
        add(*spec.values())
        if "nominal" in spec:
            off = spec.get("plus_minus", spec.get("room"))
            add(spec["nominal"] - off, spec["nominal"] + off)
    family = entered["family"]
    add(*(family[name] for name in ("diameter", "price") if name in family))
    for run in family["runs"]:
        add(*run.values())
    return known


def text_of(pdf: Any) -> Any:
    return "\n".join(page.get_textpage().get_text_range() for page in pypdfium2.PdfDocument(pdf))


@pytest.fixture(scope="module")
def record(tmp_path_factory: pytest.TempPathFactory) -> Any:
    opened = Database(tmp_path_factory.mktemp("guests") / "shop.sqlite3")
    yield opened
    opened.close()


@settings(
    max_examples=30 if LONG else 8,
    suppress_health_check=[HealthCheck.function_scoped_fixture],
    deadline=None,
)
@given(
    entered=engines(),
    layout=st.sampled_from(list(Layout)),
    follower=st.sampled_from([one for one in Follower if one is not Follower.OPENER_CLOSER]),
)
def test_no_figure_stands_anywhere_that_nobody_entered(
    record: Any, entered: Any, layout: Any, follower: Any
) -> None:
    def enter(engine: Any) -> None:
        engine["spec"], engine["family"] = entered["spec"], entered["family"]
        engine["crank"]["rotation"] = entered.get("rotation")

    label = f"Guest no. {next(NUMBERS)}"
    job = Job(record, layout, change=enter, label=label, follower=follower)
    view, sheet, known = job.view, job.sheet, figures_of(entered)
    for one in view.valves:
        clearance = one.status.clearance
        spec = entered["spec"][clearance.side.value]
        assert (clearance.spec is None) is not bool(spec)
        assert bool(clearance.family.sizes()) is bool(entered["family"]["runs"])
        price = entered["family"].get("price")
        assert clearance.family.price == (None if price is None else Decimal(str(price)))
        assert one.next_blade is None  # nobody said which blades there are
    assert view.turning.rotation == entered.get("rotation")
    assert view.turning.assumed
    assert (view.distance, view.hours, view.machine.interval) == (None, None, None)
    assert all(bolts.torque is None for bolts in view.bolts)
    with record.reading() as session:
        blank = text_of(blank_sheet(session, job.card.id))
    said = json.dumps([fact.says for fact in (*sheet.facts, *sheet.lines)])
    for where in (text_of(sheet_pdf(sheet)), blank, said):
        assert set(FIGURE.findall(where)) <= known, where
    if not any(entered["spec"].values()):
        assert "not entered" in text_of(sheet_pdf(sheet))
