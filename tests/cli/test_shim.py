"""The sum of one valve on the command line."""

import json
from typing import Any

import pytest
from click.testing import CliRunner

from plimb.cli.root import main


def shim(*words: Any, gap: Any = "0.15", fitted: Any = "1.79", spec: Any = "0.17-0.22") -> Any:
    return CliRunner().invoke(
        main, ("shim", "--gap", gap, "--shim", fitted, "--spec", spec, *words)
    )


def test_the_first_worked_figure() -> None:
    answer = json.loads(shim("--run", "1.20-3.50/0.05", "--json").stdout)
    assert answer["window"] == [1.72, 1.77]
    assert (answer["pick"]["thickness"], answer["pick"]["gap"]) == (1.75, 0.19)
    assert (answer["stack"], answer["ideal"], answer["provisional"]) == (1.94, 1.72, False)
    assert (answer["thinner"]["thickness"], answer["thinner"]["in_spec"]) == (1.7, False)
    assert (answer["thicker"]["thickness"], answer["thicker"]["in_spec"]) == (1.75, True)


def test_never_over_the_maximum_to_serve_an_aim() -> None:
    words = ("--aim", "0.23", "--run", "1.20-3.50/0.05", "--json")
    answer = json.loads(shim(*words, gap="0.05", fitted="2.95", spec="0.14-0.23").stdout)
    assert (answer["pick"]["thickness"], answer["pick"]["gap"]) == (2.8, 0.2)


def test_a_bracket_gives_the_window_that_is_safe_for_all_of_it() -> None:
    answer = json.loads(shim("--json", gap="0.13..0.15").stdout)
    assert answer["stack"] == [1.92, 1.94]
    assert answer["window"] == [1.72, 1.75]
    wide = json.loads(shim("--json", gap="10-20").stdout)
    assert (wide["window"], wide["pick"]) == (None, None)


def test_no_gap_found_is_provisional() -> None:
    answer = json.loads(shim("--json", gap="none<0.03").stdout)
    assert answer["provisional"] is True
    assert answer["window"] is None
    assert answer["stack"] == [None, 1.82]
    assert (answer["at_most"], answer["pick"]["in_spec"]) == (1.65, False)


def test_a_loose_blade_has_no_upper_end_and_makes_no_sum() -> None:
    answer = json.loads(shim("--json", gap="15l").stdout)
    assert (answer["provisional"], answer["window"], answer["pick"]) == (True, None, None)
    assert answer["stack"] == [1.94, None]
    assert "Find the one that refuses" in answer["working"]
    ended = json.loads(shim("--json", gap="15l-18").stdout)
    assert (ended["provisional"], ended["stack"]) == (False, [1.94, 1.97])
    assert "0.10 mm refuses" in shim(gap="-0.1").stdout


def test_inches_go_in_and_come_out() -> None:
    words = ("--unit", "in", "--run", "0.0700-0.1200/0.001", "--json")
    answer = json.loads(shim(*words, gap="6", fitted="0.0820", spec="0.006-0.008").stdout)
    assert (answer["stack"], answer["window"]) == (0.088, [0.08, 0.082])
    assert answer["pick"]["thickness"] == 0.081  # 0.080 lands on the limit: right one time in two


@pytest.mark.parametrize(
    ("words", "spec", "window"),
    [
        ((), "0.13+-0.03", [1.79, 1.85]),
        ((), "0.13 ± 0.03", [1.79, 1.85]),
        ((), "0.13+/-0.03", [1.79, 1.85]),
        (("--room", "0.03"), "0.13", [1.79, 1.85]),
    ],
)
def test_a_spec_is_taken_as_it_is_printed(words: Any, spec: Any, window: Any) -> None:
    answer = json.loads(shim(*words, "--json", gap="0.15", fitted="1.80", spec=spec).stdout)
    assert answer["window"] == window
    assert (answer["gap_unit"], answer["shim_unit"]) == ("mm", "mm")


def test_one_figure_without_a_room_is_refused() -> None:
    refused = shim(spec="0.16")
    assert refused.exit_code == 2
    assert "one figure" in refused.stderr


def test_gaps_in_thou_and_shims_in_millimetres_stand_on_one_sum() -> None:
    words = ("--unit", "in", "--shim-unit", "mm", "--run", "1.20-2.60/0.05", "--json")
    answer = json.loads(shim(*words, gap="4", fitted="2.05", spec=".006±.001").stdout)
    assert (answer["stack"], answer["window"]) == (2.1516, [1.9738, 2.0246])
    assert answer["pick"]["thickness"] == 2.0
    assert answer["pick"]["gap"] == pytest.approx(0.1516 / 25.4)
    assert (answer["gap_unit"], answer["shim_unit"]) == ("in", "mm")


def test_without_json_it_prints_the_sum_for_people() -> None:
    printed = shim().stdout
    assert "Read as: 0.15 mm goes with light drag." in printed
    assert "Stack: 0.15 + 1.79 = 1.94 mm." in printed
    assert "common kit" in printed
