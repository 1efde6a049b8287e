"""The wheel, put into an environment of its own: it serves its screens and knows its schemas."""

import json
import os
import subprocess
import sys
import time
import zipfile
from pathlib import Path
from typing import Any
from urllib.request import urlopen

import pytest
from click.testing import CliRunner

from plimb.cli.root import main

ROOT = Path(__file__).parents[2]
UV = Path(sys.executable).parent / "uv"


@pytest.fixture(scope="module")
def installed(tmp_path_factory: pytest.TempPathFactory) -> Any:
    """Return the program of a new environment that the wheel was installed into."""
    folder = tmp_path_factory.mktemp("installed")
    built: list[str | Path] = [
        UV, "build", "--quiet", "--wheel", "--no-build-isolation", "--out-dir", folder,
        "--python", sys.executable, ROOT,
    ]  # fmt: skip
    subprocess.run(built, check=True)
    (wheel,) = folder.glob("*.whl")
    names = zipfile.ZipFile(wheel).namelist()
    assert any(name.startswith("plimb/web/app/assets/") for name in names)
    subprocess.run([UV, "venv", "--quiet", "--python", sys.executable, folder / "env"], check=True)
    put_in: list[str | Path] = [
        UV,
        "pip",
        "install",
        "--quiet",
        "--python",
        folder / "env/bin/python",
    ]
    subprocess.run([*put_in, "--no-deps", wheel], check=True)
    # what it needs is what this environment has, so that no registry is asked
    (site,) = (folder / "env/lib").glob("python3*/site-packages")
    (here,) = Path(sys.prefix).glob("lib/python3*/site-packages")
    (site / "needed.pth").write_text(f"{here}\n", "utf-8")
    return folder / "env/bin/plimb"


@pytest.mark.parametrize("command", ["serve", pytest.param("demo", marks=pytest.mark.long)])
def test_it_runs_without_node_and_shows_the_first_screen(
    installed: Any, tmp_path: Path, command: Any
) -> None:
    ready = [str(installed), command, "--database", str(tmp_path / "shop.sqlite3"), "--json"]
    env = {name: value for name, value in os.environ.items() if name != "PYTHONPATH"}
    port = {"serve": "18931", "demo": "18932"}[command]
    server = subprocess.Popen(
        [*ready, "--port", port], stdout=subprocess.PIPE, text=True, env={**env, "PATH": ""}
    )
    try:
        assert server.stdout is not None
        url = json.loads(server.stdout.readline())["url"]
        page = urlopen(url).read().decode()
        assert '<div id="app">' in page
        script = page.split('src="')[1].split('"')[0]
        assert len(urlopen(url + script).read()) > 10_000
        engines = json.loads(urlopen(f"{url}/api/shop").read())["engines"]
        assert bool(engines) is (command == "demo")
        until = time.monotonic() + 60
        while not json.loads(urlopen(f"{url}/api/copies").read())["copies"]:
            assert time.monotonic() < until, "the day's copy was not made"
            time.sleep(0.1)
        where = subprocess.run(
            [installed.parent / "python", "-c", "import plimb; print(plimb.__file__)"],
            capture_output=True, text=True, check=True,
        )  # fmt: skip
        assert str(installed.parent.parent) in where.stdout
    finally:
        server.terminate()
        server.wait(timeout=60)
        server.stdout.close()


def test_a_service_unit_serves_this_record(tmp_path: Path, monkeypatch: pytest.MonkeyPatch) -> None:
    program, record = tmp_path / "plimb", tmp_path / "a shop" / "100%.sqlite3"
    program.touch()
    monkeypatch.setattr(sys, "argv", [str(program)])
    said = CliRunner().invoke(
        main, ["service", "--database", str(record), "--user", "oda", "--port", "8020"]
    )
    assert said.exit_code == 0
    lines = dict(line.split("=", 1) for line in said.output.splitlines() if "=" in line)
    place = str(record).replace("%", "%%")
    assert lines["ExecStart"] == f"{program} serve --database '{place}' --port 8020"
    assert (lines["User"], lines["Restart"]) == ("oda", "on-failure")
