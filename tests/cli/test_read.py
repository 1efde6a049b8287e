"""`plimb read`: the contract of a reading as the field, or the ear, understands it."""

import json
from pathlib import Path
from typing import Any

import pytest

from plimb.record.database import Database
from plimb.record.shop import list_blade_sets


@pytest.fixture
def answer(plimb: Any) -> Any:
    """Return a function that gives what is answered as JSON."""

    def ask(*said: Any) -> Any:
        done = plimb("read", *said, "--json")
        assert done.exit_code == 0, done.stderr
        return json.loads(done.stdout)

    return ask


def test_a_reading_is_answered_in_millimetres(answer: Any) -> None:
    assert answer("13-15=14") == {
        "goes": [0.13], "refuses": [0.15], "feel": None, "called": 0.14, "guess": False,
        "words": "0.13 mm goes, 0.15 mm refuses, called 0.14 mm", "asks": None, "offers": [],
    }  # fmt: skip
    said = answer("about six thou")
    assert (said["goes"], said["feel"], said["guess"]) == ([0.1524], "drag", True)
    assert answer("15+2")["goes"] == [0.15, 0.02]
    assert answer("6", "--unit", "in")["goes"] == [0.1524]


def test_two_meanings_are_asked_and_none_is_refused(answer: Any, plimb: Any) -> None:
    said = answer("13 15", "--spoken")
    assert (said["goes"], said["refuses"], said["offers"]) == (None, None, ["13-15"])
    assert "do you mean 13-15" in said["asks"]
    for wrong in (("13 15",), ("it wobbles", "--spoken"), ("x",)):
        refused = plimb("read", *wrong, "--json")
        assert (refused.exit_code, refused.stdout) == (2, "")
        assert refused.stderr.startswith("plimb: gap “")


def test_a_set_of_the_shop_says_what_is_thinnest_and_what_exists(
    answer: Any, plimb: Any, school: Database, tmp_path: Path
) -> None:
    with school.reading() as session:
        name = list_blade_sets(session)[0].name
    school.close()
    asked = ("--set", name, "--database", str(school.path))
    assert answer("x", *asked)["refuses"] == [0.03]
    refused = plimb("read", "x", "--set", "Nobody's", "--database", str(school.path))
    assert refused.exit_code == 2
    assert "Nobody's" in refused.stderr
    refused = plimb("read", "x", "--set", name, "--database", str(tmp_path / "none.sqlite3"))
    assert refused.exit_code == 2
