"""The command line, run as a person runs it."""

import json
import subprocess
import sys
from pathlib import Path

import pytest
from click.testing import CliRunner

from plimb.cli import main


def plimb(*words):
    return CliRunner().invoke(main, words)


def shim(*words, gap="0.15", fitted="1.79", spec="0.17-0.22"):
    return plimb("shim", "--gap", gap, "--shim", fitted, "--spec", spec, *words)


def test_the_first_worked_figure():
    answer = json.loads(shim("--run", "1.20-3.50/0.05", "--json").stdout)
    assert answer["window"] == [1.72, 1.77]
    assert (answer["pick"]["thickness"], answer["pick"]["gap"]) == (1.75, 0.19)
    assert (answer["stack"], answer["ideal"], answer["provisional"]) == (1.94, 1.72, False)
    assert (answer["thinner"]["thickness"], answer["thinner"]["in_spec"]) == (1.7, False)
    assert (answer["thicker"]["thickness"], answer["thicker"]["in_spec"]) == (1.75, True)


def test_never_over_the_maximum_to_serve_an_aim():
    words = ("--aim", "0.23", "--run", "1.20-3.50/0.05", "--json")
    answer = json.loads(shim(*words, gap="0.05", fitted="2.95", spec="0.14-0.23").stdout)
    assert (answer["pick"]["thickness"], answer["pick"]["gap"]) == (2.8, 0.2)


def test_a_bracket_gives_the_window_that_is_safe_for_all_of_it():
    answer = json.loads(shim("--json", gap="0.13..0.15").stdout)
    assert answer["stack"] == [1.92, 1.94]
    assert answer["window"] == [1.72, 1.75]
    wide = json.loads(shim("--json", gap="10-20").stdout)
    assert (wide["window"], wide["pick"]) == (None, None)


def test_no_gap_found_is_provisional():
    answer = json.loads(shim("--json", gap="none<0.03").stdout)
    assert answer["provisional"] is True
    assert answer["window"] is None
    assert answer["stack"] == [None, 1.82]
    assert (answer["at_most"], answer["pick"]["in_spec"]) == (1.65, False)


def test_inches_go_in_and_come_out():
    words = ("--unit", "in", "--run", "0.0700-0.1200/0.001", "--json")
    answer = json.loads(shim(*words, gap="6", fitted="0.0820", spec="0.006-0.008").stdout)
    assert (answer["stack"], answer["window"]) == (0.088, [0.08, 0.082])
    assert answer["pick"]["thickness"] == 0.08


def test_without_json_it_prints_the_sum_for_people():
    printed = shim().stdout
    assert "Read as: 0.15 mm goes with light drag." in printed
    assert "Stack: 0.15 + 1.79 = 1.94 mm." in printed
    assert "common kit" in printed


@pytest.mark.parametrize(
    ("words", "field"),
    [
        ({"spec": "0.22-0.17"}, "spec"),
        ({"spec": "narrow"}, "spec"),
        ({"fitted": "0"}, "shim"),
        ({"fitted": "40"}, "shim"),
        ({"fitted": "nan"}, "shim"),
        ({"gap": "abc"}, "gap"),
        ({"gap": "x"}, "gap"),
        ({"gap": "15-13"}, "gap"),
        ({"gap": "1e400"}, "gap"),
        ({"more": ("--run", "1.20-3.50/0")}, "run"),
        ({"more": ("--run", "3.50-1.20/0.05")}, "run"),
        ({"more": ("--aim", "0.5")}, "aim"),
        ({"more": ("--aim", "sideways")}, "aim"),
        ({"more": ("--round", "up")}, "--round"),
        ({"more": ("--unit", "ft")}, "--unit"),
        ({"more": ("--nonsense",)}, "--nonsense"),
    ],
)
def test_bad_input_is_one_plain_sentence_and_exit_code_2(words, field):
    refused = shim(*words.pop("more", ()), **words)
    assert refused.exit_code == 2
    assert refused.stdout == ""
    assert refused.stderr.count("\n") == 1
    assert refused.stderr.startswith("plimb: ")
    assert field in refused.stderr


def test_the_installed_command_answers():
    command = Path(sys.executable).parent / "plimb"
    words = ["shim", "--gap", "-3", "--shim", "2.10", "--spec", "0.10-0.20", "--json"]
    ran = subprocess.run([command, *words], capture_output=True, text=True, check=False)
    assert ran.returncode == 0, ran.stderr
    assert json.loads(ran.stdout)["provisional"] is True


def test_a_port_that_is_taken_is_told_plainly(tmp_path):
    import socket

    with socket.socket() as taken:
        taken.bind(("127.0.0.1", 0))
        taken.listen()
        port = str(taken.getsockname()[1])
        refused = plimb("serve", "--database", str(tmp_path / "x.sqlite3"), "--port", port)
    assert refused.exit_code == 2
    assert "PLIMB_PORT" in refused.stderr


ENGINES = Path(__file__).parents[1] / "src" / "plimb" / "demo" / "engines"


def test_turning_of_a_straight_six_and_of_a_card_file(tmp_path):
    file = ENGINES / "halvern-six.json"
    answer = json.loads(plimb("turn", str(file), "--json").stdout)
    assert [(s["crank_degrees"], s["mark"]) for s in answer["stops"]] == [(0, "T1"), (360, "T6")]
    assert answer["turning_degrees"] == 360
    assert len(answer["stops"][0]["valves"]) == 12
    card = json.loads(file.read_text("utf-8")) | {"format": "plimb-card", "rounds": []}
    (tmp_path / "card.json").write_text(json.dumps(card))
    assert json.loads(plimb("turn", str(tmp_path / "card.json"), "--json").stdout) == answer
    assert "mark T6" in plimb("turn", str(file)).stdout


def test_timing_beside_the_engine_counts(tmp_path):
    file = json.loads((ENGINES / "varrow-v4.json").read_text("utf-8"))
    file["events"] = {"intake": {"opens_btdc": 0, "closes_abdc": 10}, "ramp": 0}
    (tmp_path / "mild.json").write_text(json.dumps(file))
    mild = json.loads(plimb("turn", str(tmp_path / "mild.json"), "--json").stdout)
    usual = json.loads(plimb("turn", str(ENGINES / "varrow-v4.json"), "--json").stdout)
    assert mild != usual


@pytest.mark.parametrize("content", ["", "[]", "{", '{"format": "other"}', "[" * 9999, "\udcff"])
def test_a_file_that_is_no_engine_is_refused_in_one_sentence(tmp_path, content):
    file = tmp_path / "engine.json"
    file.write_bytes(content.encode("utf-8", "surrogateescape"))
    refused = plimb("turn", str(file))
    assert refused.exit_code == 2
    assert refused.stderr.count("\n") == 1
