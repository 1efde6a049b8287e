"""Open formats of engines: read exactly, refused with the path of the first fault."""

import json
from decimal import Decimal
from typing import Any

import pytest
from hypothesis import given
from hypothesis import strategies as st

from plimb.core.engine.followers import Follower, kind_of
from plimb.core.errors import BadValue
from plimb.core.lengths import Unit, mm
from plimb.files.engine_file import parsed_engine, read_engine
from plimb.files.open_json import LARGEST_FILE
from plimb.files.readings import GapPart, gap_as_json
from plimb.files.starting_point import Layout, Start, starting_point


def document(layout: Any = "triple", **more: Any) -> Any:
    return json.loads(json.dumps(starting_point(Start(layout=Layout(layout), **more)), default=str))


def text_of(file: Any) -> Any:
    return json.dumps(file)


def put(file: Any, path: Any, value: Any) -> Any:
    *way, last = path
    part = file
    for step in way:
        part = part[step]
    part[last] = value
    return text_of(file)


@pytest.mark.parametrize("follower", Follower)
@pytest.mark.parametrize("layout", Layout)
def test_every_layout_with_every_kind_of_follower_is_an_engine(layout: Any, follower: Any) -> None:
    many = layout in (Layout.V_EIGHT, Layout.V_TWELVE) and kind_of(follower).closers
    engine = parsed_engine(text_of(document(layout, follower=follower, valves=2 if many else 4)))[1]
    assert engine.follower is follower
    roles = {one.action for one in engine.clearances}
    assert (len(roles) == 2) is kind_of(follower).closers
    assert {one.key for one in engine.clearances} == {one.id for one in engine.clearances}
    assert len(engine.names) == len(engine.clearances)


@pytest.mark.parametrize("follower", Follower)
def test_every_kind_of_follower_says_what_to_do(follower: Any) -> None:
    kind = kind_of(follower)
    assert kind.label
    assert {"read"} <= {line[0] for line in kind.reach}
    assert kind.fit
    assert bool(kind.fit_closer) is kind.closers


@pytest.mark.parametrize(
    ("path", "value", "field", "says"),
    [
        (("unit",), "cubits", "$.unit", "mm"),
        (("engine", "spec", "intake", "min"), -1, "$.engine.spec.intake.min", "greater"),
        (("engine", "spec", "intake"), {"min": 0.9, "max": 0.2}, "$.engine.spec.intake",
         "above its maximum"),
        (("engine", "spec", "intake"), {"min": 0.1}, "$.engine.spec.intake", "its maximum"),
        (("engine", "spec", "intake"), {"nominal": 0.16}, "$.engine.spec.intake", "one figure"),
        (("engine", "spec", "intake"), {"aim": 0.16}, "$.engine.spec.intake", "check range"),
        (("engine", "valves", 0, "cylinder"), 9, "$.engine", "on cylinder 9"),
        (("engine", "valves", 1, "id"), "1 IN L", "$.engine", "1 IN L"),
        (("engine", "crank", "cylinders", 0, "fires_at"), 720,
         "$.engine.crank.cylinders[0].fires_at", "720"),
    ],
)  # fmt: skip
def test_a_fault_is_named_by_its_path(path: Any, value: Any, field: Any, says: Any) -> None:
    with pytest.raises(BadValue) as refusal:
        parsed_engine(put(document(), path, value))
    assert refusal.value.field == field
    assert says in refusal.value.sentence


@pytest.mark.parametrize(
    ("text", "says"),
    [
        ("{", "not JSON"),
        ('{"format": NaN}', "NaN"),
        ('{"format": Infinity}', "Infinity"),
        ('{"format": "plimb-engine", "format": "plimb-engine"}', "twice"),
        ("[" * 100_000, "not JSON"),
        (" " * (LARGEST_FILE + 1), "at most"),
    ],
)
def test_what_is_no_open_json_is_refused_in_one_sentence(text: str, says: Any) -> None:
    with pytest.raises(BadValue) as refusal:
        read_engine(text)
    assert says in refusal.value.sentence
    assert "\n" not in refusal.value.sentence


@given(st.integers(10, 78_000).map(lambda n: Decimal(n) / 1_000_000))
def test_lengths_are_read_to_the_last_figure_in_either_unit(length: Any) -> None:
    for unit in Unit:
        part = GapPart.model_validate({"valve": "IN", "goes": [length]})
        assert part.to_core(unit).best_nm == round(length * unit.nm)


LENGTHS = st.integers(3, 60).map(lambda n: mm("0.01") * n)


@given(
    st.lists(LENGTHS, min_size=1, max_size=2),
    st.one_of(st.none(), st.integers(1, 5)),
    st.booleans(),
    st.sampled_from([None, "loose", "tight", "drag"]),
)
def test_a_reading_goes_out_and_in_the_same(goes: Any, more: Any, guess: Any, feel: Any) -> None:
    """What the card format says of a reading is all there is to it."""
    shown = [nm / 1_000_000 for nm in goes]
    part = {"valve": "IN L", "goes": shown, "guess": guess}
    if more:
        part["refuses"] = [round(sum(shown) + more / 100, 6)]
    else:
        part["feel"] = feel or "drag"
    reading = GapPart.model_validate(part).reading(Unit.MM)
    written = gap_as_json("IN L", reading, Unit.MM)
    again = GapPart.model_validate_json(json.dumps(written)).reading(Unit.MM)
    assert again == reading
    assert ("guess" in written) is guess
    assert reading.typed.endswith("?") is guess
