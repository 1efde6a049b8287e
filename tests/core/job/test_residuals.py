"""A proof against its prediction: within doubt or beyond, at both sides of the line."""

from dataclasses import replace
from typing import Any

import pytest

from plimb.core.engine.engine import Side
from plimb.core.job.residuals import Proved, beyond_doubt, proved_from
from plimb.core.job.status import job_status
from plimb.core.job.valve import Choice, ValveRecord
from plimb.core.lengths import Unit, mm
from plimb.core.measure.gap import between, none_below, point
from plimb.core.measure.shorthand import parse_reading
from plimb.core.plan.needs import WhichToSet
from plimb.core.shim.shim import ShimReading, Source, Trust, parse_shim
from plimb.core.shim.sum import SizePolicy
from plimb.files.engine_file import EngineFile
from plimb.files.starting_point import Layout, Start, starting_point

ENGINE = EngineFile.model_validate(starting_point(Start(layout=Layout.SINGLE))).to_core()
FIRST = ENGINE.clearances[0].id


def read(text: Any) -> Any:
    return parse_reading(text, Unit.MM, thinnest_nm=mm("0.03"))


def proved(found: Any = "10", proof: Any = "20", piece: Any = "2.50", **choice: Any) -> Any:
    sheet = ValveRecord(
        found=read(found),
        piece=parse_shim(piece),
        choice=Choice(**{"thickness_nm": mm("2.40"), "source": Source.DRAWER, **choice}),
        proof=read(proof),
    )
    (one,) = proved_from(job_status(ENGINE, {FIRST: sheet}, SizePolicy(), WhichToSet.OUT))
    return one


def test_what_went_in_is_what_the_prediction_is_made_from() -> None:
    one = proved(measured_nm=mm("2.396"))
    assert one.new_nm == mm("2.396")
    assert one.residual_nm == -mm("0.004")
    assert (proved().residual_nm, proved().before_nm) == (0, mm("0.10"))


@pytest.mark.parametrize(
    ("choice", "by_marking", "doubt"),
    [
        ({}, False, "0.004"),
        ({"by_marking": True}, True, "0.02"),
        ({"by_marking": True, "measured_nm": mm("2.401")}, False, "0.004"),
    ],
)
def test_a_piece_nobody_measured_is_doubted_more(choice: Any, by_marking: Any, doubt: Any) -> None:
    one = proved(**choice)
    assert (one.by_marking, one.new_doubt_nm) == (by_marking, mm(doubt))


def test_a_kept_piece_brings_no_change_and_no_doubt_of_its_own() -> None:
    one = proved(source=Source.SAME, thickness_nm=mm("2.50"), proof="10")
    assert (one.changed, one.residual_nm, one.old_nm == one.new_nm) == (False, 0, True)


def base(found: Any, proof: Any) -> Any:
    return Proved(
        valve="A", cylinder=1, side=Side.INTAKE, camshaft="IN", found=found, proof=proof,
        old_nm=mm("2.50"), new_nm=mm("2.50"), old_doubt_nm=0, new_doubt_nm=0, changed=False,
    )  # fmt: skip


@pytest.mark.parametrize(
    ("found", "proof", "fine"),
    [
        (point(mm("0.10")), point(mm("0.10")), True),
        (point(mm("0.10")), point(mm("0.134")), True),
        (point(mm("0.10")), point(mm("0.135")), False),
        (point(mm("0.10")), point(mm("0.066")), True),
        (point(mm("0.10")), point(mm("0.065")), False),
        (between(mm("0.10"), mm("0.15")), point(mm("0.15")), True),
        (between(mm("0.10"), mm("0.15")), point(mm("0.175")), False),
        (none_below(mm("0.05")), point(mm("0.10")), True),
        (point(mm("0.10")), none_below(mm("0.05")), True),
    ],
)
def test_the_line_of_one_valve_measured_alone(found: Any, proof: Any, fine: Any) -> None:
    assert (beyond_doubt([base(found, proof)]) == ()) is fine


def test_the_more_valves_are_measured_the_further_off_is_no_more_than_doubt() -> None:
    off = base(point(mm("0.10")), point(mm("0.136")))
    still = replace(off, proof=point(mm("0.10")), valve="other")
    assert beyond_doubt([off]) == (off.valve,)
    assert beyond_doubt([off, *[still] * 15]) == ()


def test_unmeasured_pieces_widen_the_line_where_they_changed() -> None:
    off = base(point(mm("0.10")), point(mm("0.137")))
    doubted = replace(off, changed=True, old_doubt_nm=mm("0.02"), new_doubt_nm=mm("0.02"))
    assert (beyond_doubt([off]), beyond_doubt([doubted])) == ((off.valve,), ())


@pytest.mark.parametrize(
    ("piece", "doubt"),
    [
        (ShimReading(marked="250", marked_nm=mm("2.5"), measured_nm=None), "0.02"),
        (ShimReading(marked=None, marked_nm=None, measured_nm=mm("2.5")), "0.004"),
        (
            ShimReading(marked=None, marked_nm=None, measured_nm=mm("2.5"), doubt_nm=mm("0.01")),
            "0.01",
        ),
        (
            ShimReading(
                marked="250", marked_nm=mm("2.5"), measured_nm=mm("2.51"), trust=Trust.MARKED
            ),
            "0.02",
        ),
    ],
)
def test_a_pieces_doubt_is_its_instruments_or_its_markings(piece: Any, doubt: Any) -> None:
    assert piece.half_width_nm == mm(doubt)
