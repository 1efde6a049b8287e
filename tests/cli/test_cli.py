"""The command line, run as a person runs it."""

import json
import re
import shutil
import subprocess
import sys
from pathlib import Path
from typing import Any

import pytest
from click.testing import CliRunner

from plimb.cli.root import main

ENGINES = Path(__file__).parents[2] / "src" / "plimb" / "demo" / "engines"


def plimb(*words: Any) -> Any:
    return CliRunner().invoke(main, words)


def shim(*words: Any, gap: Any = "0.15", fitted: Any = "1.79", spec: Any = "0.17-0.22") -> Any:
    return plimb("shim", "--gap", gap, "--shim", fitted, "--spec", spec, *words)


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
def test_bad_input_is_one_plain_sentence_and_exit_code_2(words: Any, field: Any) -> None:
    refused = shim(*words.pop("more", ()), **words)
    assert refused.exit_code == 2
    assert refused.stdout == ""
    assert refused.stderr.count("\n") == 1
    assert refused.stderr.startswith("plimb: ")
    assert field in refused.stderr


def test_the_installed_command_answers() -> None:
    command = Path(sys.executable).parent / "plimb"
    words = ["shim", "--gap", "-3", "--shim", "2.10", "--spec", "0.10-0.20", "--json"]
    ran = subprocess.run([command, *words], capture_output=True, text=True, check=False)
    assert ran.returncode == 0, ran.stderr
    assert json.loads(ran.stdout)["provisional"] is True


def test_a_port_that_is_taken_is_told_plainly(tmp_path: Path) -> None:
    import socket

    with socket.socket() as taken:
        taken.bind(("127.0.0.1", 0))
        taken.listen()
        port = str(taken.getsockname()[1])
        refused = plimb("serve", "--database", str(tmp_path / "x.sqlite3"), "--port", port)
    assert refused.exit_code == 2
    assert "PLIMB_PORT" in refused.stderr


def test_turning_of_a_straight_six_and_of_a_card_file(tmp_path: Path) -> None:
    file = ENGINES / "halvern-six.json"
    answer = json.loads(plimb("turn", str(file), "--json").stdout)
    assert [(s["crank_degrees"], s["mark"]) for s in answer["stops"]] == [(0, "T1"), (360, "T6")]
    assert answer["turning_degrees"] == 360
    assert len(answer["stops"][0]["valves"]) == 12
    card = json.loads(file.read_text("utf-8")) | {"format": "plimb-card", "rounds": []}
    (tmp_path / "card.json").write_text(json.dumps(card))
    assert json.loads(plimb("turn", str(tmp_path / "card.json"), "--json").stdout) == answer
    assert "mark T6" in plimb("turn", str(file)).stdout


def test_timing_beside_the_engine_counts(tmp_path: Path) -> None:
    file = json.loads((ENGINES / "varrow-v4.json").read_text("utf-8"))
    file["events"] = {"intake": {"opens_btdc": 0, "closes_abdc": 10}, "ramp": 0}
    (tmp_path / "mild.json").write_text(json.dumps(file))
    mild = json.loads(plimb("turn", str(tmp_path / "mild.json"), "--json").stdout)
    usual = json.loads(plimb("turn", str(ENGINES / "varrow-v4.json"), "--json").stdout)
    assert mild != usual


@pytest.mark.parametrize("content", ["", "[]", "{", '{"format": "other"}', "[" * 9999, "\udcff"])
def test_a_file_that_is_no_engine_is_refused_in_one_sentence(tmp_path: Path, content: Any) -> None:
    file = tmp_path / "engine.json"
    file.write_bytes(content.encode("utf-8", "surrogateescape"))
    refused = plimb("turn", str(file))
    assert refused.exit_code == 2
    assert refused.stderr.count("\n") == 1


def card(
    tmp_path: Path,
    gaps: Any,
    pieces: Any,
    drawer: Any = (),
    unit: Any = "mm",
    name: Any = "ollerby-triple",
    **policy: Any,
) -> Any:
    """Write a card file and return its path."""
    engine = json.loads((ENGINES / f"{name}.json").read_text("utf-8"))["engine"]
    document = {
        "format": "plimb-card", "version": 1, "unit": unit, "engine": engine,
        "rounds": [{
            "gaps": [{"valve": valve, **gap} for valve, gap in gaps.items()],
            "pieces": [{"valve": valve, **piece} for valve, piece in pieces.items()],
        }],
        "drawer": list(drawer), "policy": policy,
    }  # fmt: skip
    path = tmp_path / "card.json"
    path.write_text(json.dumps(document), "utf-8")
    return path


def drag(blade: Any) -> Any:
    return {"goes": [blade], "feel": "drag"}


def planned(path: Any) -> Any:
    answer = json.loads(plimb("plan", str(path), "--json").stdout)
    return answer, {one["valve"]: one for one in answer["valves"]}


HAND = [
    # shim, gap, spec, policy, drawer, thickness, gap after
    (1.79, 0.15, (0.17, 0.22), {"aim": "loose"}, (), 1.75, 0.19),
    (2.95, 0.05, (0.14, 0.23), {"aim": "loose"}, (), 2.80, 0.20),
    (2.10, 0.10, (0.14, 0.18), {"aim": "middle"}, (), 2.05, 0.15),
    (1.75, 0.35, (0.20, 0.30), {"aim": "middle"}, (), 1.85, 0.25),
    (2.80, 0.10, (0.15, 0.22), {"aim": "least"}, (), 2.70, 0.20),  # 2.75: on the limit
    (2.80, 0.10, (0.15, 0.22), {"aim": "loose", "reuse": False}, (2.70,), 2.70, 0.20),
]


@pytest.mark.parametrize(("fitted", "gap", "spec", "policy", "drawer", "thick", "after"), HAND)
def test_the_worked_figures_through_the_plan(
    tmp_path: Path,
    fitted: Any,
    gap: Any,
    spec: Any,
    policy: Any,
    drawer: Any,
    thick: Any,
    after: Any,
) -> None:
    path = card(tmp_path, {"1 IN L": drag(gap)}, {"1 IN L": {"measured": fitted}},
                [{"thickness": nm} for nm in drawer], **policy)  # fmt: skip
    document = json.loads(path.read_text("utf-8"))
    document["engine"]["spec"]["intake"] = {"min": spec[0], "max": spec[1]}
    document["engine"]["family"] = {"runs": [{"from": 1.2, "to": 3.5, "step": 0.05}], "price": 8}
    path.write_text(json.dumps(document), "utf-8")
    answer, valves = planned(path)
    assert valves["1 IN L"]["piece"] == {"thickness": thick, "from": "counter"}
    assert (valves["1 IN L"]["gap"], valves["1 IN L"]["in_spec"]) == (after, True)
    assert (answer["optimal"], answer["camshafts_out"], answer["cannot"]) == (True, ["IN"], [])
    assert answer["order"] == [{"thickness": thick, "diameter": None, "count": 1, "price": 8.0}]
    assert answer["cost"] == 8
    assert f"= {after:.2f}" in valves["1 IN L"]["why"]


def test_pieces_change_places_and_the_drawer_is_used_before_the_counter(tmp_path: Path) -> None:
    gaps = {"1 IN L": drag(0.08), "2 IN L": drag(0.24), "3 IN L": {"called": 0.07}}
    pieces = {"1 IN L": {"marked": "250", "measured": 2.5}, "2 IN L": {"measured": 2.4},
              "3 IN L": {"measured": 2.5}}  # fmt: skip
    answer, valves = planned(card(tmp_path, gaps, pieces, [{"thickness": 2.4, "measured": 2.402}]))
    sources = {valve: valves[valve]["piece"] for valve in gaps}
    assert answer["cost"] == 0
    assert sorted(one["from"] for one in sources.values()) == ["drawer", "engine", "engine"]
    assert sources["2 IN L"]["from_valve"] in ("1 IN L", "3 IN L")
    assert valves["1 IN R"]["piece"] == {"thickness": None, "from": "same"}


def test_a_valve_without_a_gap_gets_a_piece_for_now_and_the_most_it_can_be(tmp_path: Path) -> None:
    gaps = {"2 EX R": {"goes": None, "refuses": [0.05]}}
    path = card(tmp_path, gaps, {"2 EX R": {"measured": 2.6}}, [{"thickness": 2.3}])
    _answer, valves = planned(path)
    one = valves["2 EX R"]
    assert (one["provisional"], one["gap"], one["in_spec"]) == (True, None, False)
    assert one["gap_at_most"] == pytest.approx(0.35)
    printed = plimb("plan", str(path)).stdout
    assert "Fit 2.30 from the drawer for now" in printed
    assert "100 %" not in printed


def test_a_valve_that_cannot_be_brought_in_is_named_with_what_it_needs(tmp_path: Path) -> None:
    answer, valves = planned(card(tmp_path, {"1 IN L": drag(0.05)}, {"1 IN L": {"measured": 1.2}}))
    assert answer["cannot"] == [{"valve": "1 IN L", "needs": [1.05, 1.14]}]
    assert "It needs 1.05 to 1.14." in valves["1 IN L"]["why"]


def test_inches_are_read_and_written(tmp_path: Path) -> None:
    path = card(tmp_path, {}, {}, unit="in", name="ollerby-triple")
    document = json.loads(path.read_text("utf-8"))
    document["engine"]["spec"] = {side: {"min": 0.006, "max": 0.008}
                                  for side in ("intake", "exhaust")}  # fmt: skip
    document["engine"]["family"] = {"runs": [{"from": 0.07, "to": 0.12, "step": 0.001}]}
    document["rounds"] = [{"gaps": [{"valve": "1 IN L", "goes": [0.004], "refuses": [0.005]}],
                           "pieces": [{"valve": "1 IN L", "measured": 0.1}]}]  # fmt: skip
    path.write_text(json.dumps(document), "utf-8")
    _answer, valves = planned(path)
    assert valves["1 IN L"]["piece"]["thickness"] == 0.097
    assert valves["1 IN L"]["gap_range"] == [0.007, 0.008]


BROKEN = [
    (
        '{"valve": "2 IN R", "goes"',
        '{"valve": "9 XX", "goes"',
        r"\$\.rounds\[0\]\.gaps\[1\]: valve “9 XX”",
    ),
    ('{"valve": "2 IN R"', '{"valve": "1 IN L"', r"gaps\[1\]: valve “1 IN L” stands twice"),
    ('"goes": [0.12]', '"goes": [1.2e1]', r"gaps\[0\]: a gap lies between 0 and 2 mm"),
    ('"goes": [0.12]', '"goes": [NaN]', "NaN"),
    ('"goes": [0.12]', '"goes": [Infinity]', "Infinity"),
    ('"goes": [0.12]', '"goes": []', r"\$\.rounds\[0\]\.gaps\[0\]\.goes"),
    ('"goes": [0.12]', '"goes": [0.12], "refuses": [0.10]', r"gaps\[0\].*refuses"),
    ('"feel": "drag"', '"feel": "odd"', r"gaps\[0\]\.feel"),
    ('"measured": 2.5', '"measured": 25', r"pieces\[0\].*0.50 to 15.00"),
    ('"marked": "250"', '"marked": "25?"', r"pieces\[0\].*more than one way"),
    ('"thickness": 2.4', '"thickness": -2.4', r"\$\.drawer\[0\]\.thickness"),
    ('"thickness": 2.4', '"thickness": 2.4, "count": 1e9', r"\$\.drawer\[0\]\.count"),
    ('"aim": "loose"', '"aim": "sideways"', r"\$\.policy\.aim"),
    ('"plimb-card"', '"plimb-engine"', r"\$\.format"),
    ('"version": 1', '"version": 2', r"\$\.version"),
    ('"rounds": [', '"rounds": [[', "not JSON"),
    ('"drawer": [', '"drawer": [{}, ', r"\$\.drawer\[0\]\.thickness"),
    ('"unit": "mm"', '"unit": "mm", "unit": "in"', "twice"),
]


@pytest.mark.parametrize(("old", "new", "says"), BROKEN, ids=[new[:30] for _o, new, _s in BROKEN])
def test_a_card_that_breaks_the_format_is_refused_whole_with_its_path(
    tmp_path: Path, old: Any, new: Any, says: Any
) -> None:
    gaps = {"1 IN L": drag(0.12), "2 IN R": drag(0.13)}
    piece = {"marked": "250"}
    path = card(tmp_path, gaps, {"1 IN L": piece, "2 IN R": {"measured": 2.5}},
                [{"thickness": 2.4}], aim="loose")  # fmt: skip
    text = path.read_text("utf-8")
    if '"measured"' in old:
        text = text.replace(', {"valve": "2 IN R", "measured": 2.5}', "").replace(
            '"marked": "250"', '"measured": 2.5'
        )
    assert old in text
    path.write_text(text.replace(old, new, 1), "utf-8")
    for words in (("plan", str(path)), ("plan", str(path), "--json")):
        result = plimb(*words)
        assert (result.exit_code, result.stdout) == (2, "")
        assert re.search(says, result.stderr), result.stderr
        assert result.stderr.count("\n") == 1


# files and copies --------------------------------------------------------------------


@pytest.fixture
def record(filled: Path, tmp_path: Path) -> Any:
    return Path(shutil.copy(filled, tmp_path / "record.sqlite3"))


def test_cards_go_out_as_json_csv_and_pdf_and_in_again(record: Any, tmp_path: Path) -> None:
    at = ("--database", str(record))
    out = plimb("export", *at, "--card", "1", "--card", "4", "--out", str(tmp_path), "--json")
    written = [Path(path) for path in json.loads(out.stdout)["written"]]
    assert [path.name for path in written] == ["card-1.json", "card-4.json"]
    for what, starts in (("csv", b"round,valve"), ("pdf", b"%PDF-")):
        path = tmp_path / f"x.{what}"
        plimb("export", *at, "--card", "1", "--what", what, "--out", str(path))
        assert path.read_bytes().startswith(starts)
    new = ("--database", str(tmp_path / "new.sqlite3"))
    taken = plimb("import", *map(str, written), *new, "--json")
    assert json.loads(taken.stdout) == {"cards": [1, 2]}
    again = tmp_path / "again.json"
    plimb("export", *new, "--card", "2", "--out", str(again))
    there, here = json.loads(again.read_text("utf-8")), json.loads(written[1].read_text("utf-8"))
    assert (there.pop("origin")["card"], here.pop("origin")["card"]) == (2, 4)
    assert there == here
    plan = plimb("plan", str(written[1]), "--json")
    assert json.loads(plan.stdout)["optimal"] is True


def test_a_whole_shop_goes_out_and_in(record: Any, tmp_path: Path) -> None:
    shop, new = tmp_path / "shop.json", ("--database", str(tmp_path / "new.sqlite3"))
    assert "Wrote" in plimb("export", "--database", str(record), "--out", str(shop)).stdout
    assert "the whole shop" in plimb("import", str(shop), *new).stdout
    again = tmp_path / "again.json"
    plimb("export", *new, "--out", str(again))
    assert again.read_bytes() == shop.read_bytes()


def test_a_copy_is_kept_and_put_back(record: Any, tmp_path: Path) -> None:
    copy = tmp_path / "copy.sqlite3"
    at = ("--database", str(record))
    assert json.loads(plimb("backup", str(copy), *at, "--json").stdout) == {"copy": str(copy)}
    record.write_bytes(b"broken")
    record.unlink()
    assert json.loads(plimb("restore", str(copy), *at, "--json").stdout) == {"aside": None}
    assert "The record before" in plimb("restore", str(copy), *at).stdout
    assert plimb("export", *at, "--card", "1", "--out", str(tmp_path / "c.json")).exit_code == 0


@pytest.mark.parametrize(
    ("words", "says"),
    [
        (("export", "--card", "99"), "no card number 99"),
        (("export", "--what", "pdf"), "card: say which"),
        (("export", "--card", "1", "--out", "/proc/nowhere/x"), "cannot be written"),
        (("import", "nowhere.json"), "cannot be read"),
        (("backup", "record.sqlite3"), "there already"),
        (("restore", "nowhere.sqlite3"), "is not there"),
    ],
)
def test_what_cannot_be_taken_out_or_in_is_refused(
    record: Any, monkeypatch: pytest.MonkeyPatch, words: Any, says: Any
) -> None:
    monkeypatch.chdir(record.parent)
    result = plimb(*words, "--database", str(record))
    assert (result.exit_code, result.stdout) == (2, "")
    assert says in result.stderr
    assert result.stderr.count("\n") == 1
    missing = plimb("export", "--card", "1", "--database", "not-there.sqlite3")
    assert (missing.exit_code, "is not there" in missing.stderr) == (2, True)


@pytest.mark.parametrize(
    "words", [("backup", "copy.sqlite3"), ("export", "--card", "1", "--what", "card")]
)
def test_files_and_copies_do_not_load_the_web(record: Any, tmp_path: Path, words: Any) -> None:
    """The commands that a shop runs from a script answer without a web server's weight."""
    code = (
        "import sys\nfrom plimb.cli.root import main\n"
        "main(sys.argv[1:], standalone_mode=False)\n"
        "heavy = {'flask', 'apiflask', 'granian', 'plimb.web'} & set(sys.modules)\n"
        "assert not heavy, heavy\n"
    )
    command = [sys.executable, "-c", code, *words, "--database", str(record)]
    done = subprocess.run(command, cwd=tmp_path, capture_output=True, text=True)
    assert done.returncode == 0, done.stderr
