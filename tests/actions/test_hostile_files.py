"""Card files with a value that cannot be: refused whole, or shown by every view."""

import copy
import json
import os
import random

import pytest

from plimb.actions.bench import read_shop
from plimb.actions.planning import read_plan
from plimb.actions.signing import read_sheet
from plimb.actions.transfer import import_card
from plimb.actions.views import read_card
from plimb.core.errors import PlimbError
from plimb.files.sheet_pdf import sheet_pdf
from plimb.store.engines import list_engines

from ..conftest import NOON
from ..guest import card_text

FILES = 1700 if os.environ.get("PLIMB_LONG") else 90
WRONG: tuple[object, ...] = (
    "x", "", -1, 0, 1e9, None, "x" * 4000, "1e999", True, [], {}, "2026-13-40T00:00:00Z",
    "=1+1", "\u202etxet", "\x00",
)  # fmt: skip


def leaves(value, path=()):
    """Give the path of every value in a file, of lists the first two."""
    if isinstance(value, dict):
        for key, inner in value.items():
            yield from leaves(inner, (*path, key))
    elif isinstance(value, list):
        for place, inner in enumerate(value[:2]):
            yield from leaves(inner, (*path, place))
    else:
        yield path


def changed(document, path, value):
    made = copy.deepcopy(document)
    at = made
    for step in path[:-1]:
        at = at[step]
    at[path[-1]] = value
    return made


def cards_of(school):
    counts = read_shop(school).counts
    return counts.open + counts.signed + counts.away


def test_a_file_is_refused_whole_or_every_view_shows_what_it_brought(school):
    with school.reading() as session:
        documents = [json.loads(card_text(session, number)) for number in (1, 2, 3)]
    places = [(one, path) for one in documents for path in leaves(one)]
    dice, taken, refused = random.Random(20261126), 0, 0
    for _file in range(FILES):
        document, path = dice.choice(places)
        text = json.dumps(changed(document, path, dice.choice(WRONG)))
        with school.reading() as session:
            before = cards_of(school)
        try:
            number = import_card(school, text, now=NOON)
        except PlimbError:
            refused += 1
            assert cards_of(school) == before
            continue
        taken += 1
        with school.reading() as session:
            read_card(session, number)
            read_plan(session, number)
            assert sheet_pdf(read_sheet(session, number))
    assert min(taken, refused) > FILES // 10
    assert cards_of(school) == taken + len({id(one) for one in documents}) + 1


@pytest.mark.parametrize(
    ("name", "value"),
    [("rested_hours", "x"), ("temperature_c", ""), ("variant", "x"), ("opened_by", "y" * 201)],
)
def test_what_a_view_would_trip_over_is_refused_at_the_door(school, name, value):
    with school.reading() as session:
        document = json.loads(card_text(session, 2))
    document["job"][name] = value
    with pytest.raises(PlimbError) as said:
        import_card(school, json.dumps(document), now=NOON)
    assert said.value.field == f"$.job.{name}"


def test_a_card_that_comes_in_changes_no_engine_here(school):
    with school.reading() as session:
        text = card_text(session, 1)
        before = {one.label: one.revisions[-1].document for one in list_engines(session)}
        label = read_card(session, 1).label
    import_card(school, text, now=NOON)  # its own engine, as it was: nothing new
    older = json.loads(text)
    older["engine"]["spec"] = {"intake": {"min": 0.31, "max": 0.37}}
    for _twice in range(2):
        import_card(school, json.dumps(older), now=NOON)
    with school.reading() as session:
        after = {one.label: one.revisions[-1].document for one in list_engines(session)}
    assert {name: after[name] for name in before} == before
    assert set(after) - set(before) == {f"{label} (from a file)"}
