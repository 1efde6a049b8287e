"""Write everything that is generated; with --check fail where a kept file is stale.

A row is a file and what makes it. Contracts and documents are kept in the repository; what only
the build and the tests need is made when it is needed (`--built`).
"""

import json
import sys
import tempfile
import tomllib
from collections.abc import Callable, Iterator, Mapping
from contextlib import contextmanager
from functools import cache, partial
from pathlib import Path
from typing import Any

from plimb.card.registry import ACTS
from plimb.core.engine.followers import Follower, kind_of
from plimb.core.job.kinds import JobKind, kind_of_job
from plimb.core.lengths import NM_PER_THOU, Unit, show_mm
from plimb.core.measure.blades import Blade
from plimb.core.measure.limits import Verdict
from plimb.core.measure.patterns import PATTERNS
from plimb.core.words import VERDICT_WORDS
from plimb.demo.load import fill
from plimb.files.engine_file import EngineFile
from plimb.files.history_file import HistoryFile
from plimb.files.records import CardRecord
from plimb.files.starting_point import FIRINGS
from plimb.practice.application import practice_app
from plimb.record.database import Database
from plimb.shop.settings import Settings, SettingView, rows, settings_view
from plimb.web.server.application import create_app

ROOT = Path(__file__).parent.parent
API = "frontend/src/api"
LARGEST = {
    "layout": "straight-six", "valves": 4, "camshafts": 2, "follower": "opener-closer",
    "angle": None, "reversed_head": False, "crank_along": False, "firing": None,
}  # fmt: skip
"""24 valves, each opened and closed by its cam: 48 clearances."""


@contextmanager
def record() -> Iterator[Database]:
    """Give an empty record."""
    with tempfile.TemporaryDirectory() as folder:
        database = Database(Path(folder) / "record.sqlite3")
        yield database
        database.close()


def openapi() -> str:
    """Return the server's own document."""
    with record() as database:
        app = practice_app(database, database.path.parent)
        with app.app_context():
            return json.dumps(app.spec, indent=1, sort_keys=True, ensure_ascii=False) + "\n"


def schema(model: Any) -> str:
    """Return the JSON Schema of an open format."""
    written = {
        "$schema": "https://json-schema.org/draft/2020-12/schema",
        **model.model_json_schema(by_alias=True),
    }
    return json.dumps(written, indent=1, ensure_ascii=False, sort_keys=True) + "\n"


def _blade(blade: Blade) -> dict[str, str | None]:
    """Return a blade of a pattern as it is typed."""
    stamped = None if blade.stamped_nm is None else show_mm(blade.stamped_nm)
    unit = Unit.INCH if blade.in_inches else Unit.MM
    thou = blade.nominal_nm / NM_PER_THOU
    marked = f"{thou / 1000:.3f}" if blade.in_inches else show_mm(blade.nominal_nm)
    return {"marked": marked, "unit": unit.value, "stamped": stamped}


def kinds() -> str:
    """Return the core's tables of kinds, for the front end."""
    tables = {
        "followers": [{"value": one.value, "label": kind_of(one).label} for one in Follower],
        "jobs": [
            {"value": one.value, "label": row.label, "means": row.means, "one": row.one}
            for one in JobKind
            for row in (kind_of_job(one),)
        ],
        "firings": {layout.value: " ".join(one) for layout, one in FIRINGS.items()},
        "blade_patterns": [
            {"name": one.name, "blades": [_blade(blade) for blade in one.blades]}
            for one in PATTERNS
        ],
        "verdicts": {one.value: VERDICT_WORDS[one] for one in Verdict},
        "acts": {
            row.kind: {
                "waits": bool(row.touches) and not row.rests,
                "words": row.undone or row.done,
            }
            for row in ACTS.values()
        },
        "policy": {name: _items(name) for name in ("aim", "rounding", "act")},
    }
    return json.dumps(tables, indent=2, ensure_ascii=False) + "\n"


def _items(name: str) -> dict[str, Any]:
    row = rows()[name]
    items = [{"value": one, "label": says} for one, says in row.choices.items()]
    return {"label": row.says, "items": items}


def settings() -> str:
    """Return the list of settings, from their table."""
    lines = [
        "# Settings", "",
        "Each is set in Shop, by an owner where people are set up. What is not set is as usual.",
        "`PATCH /api/settings` changes those that are sent.", "",
    ]  # fmt: skip
    group = ""
    for one in settings_view(Settings()):
        if one.group != group:
            group = one.group
            lines += ["", f"## {group}", "", "| Setting | Name | Usual | Can be | What it does |",
                      "| --- | --- | --- | --- | --- |"]  # fmt: skip
        lines.append(f"| {one.says} | `{one.name}` | {_usual(one)} | {_bounds(one)} | {one.help} |")
    return "\n".join(lines) + "\n"


def _usual(one: SettingView) -> str:
    chosen = next((choice.label for choice in one.choices if choice.value == one.value), one.value)
    unit = one.unit if any(map(str.isdigit, chosen or one.usual)) else ""
    return f"{chosen or one.usual or 'none'} {unit}".strip()


def _bounds(one: SettingView) -> str:
    row = rows()[one.name]
    if one.choices:
        return ", ".join(choice.label for choice in one.choices)
    if row.low is None or row.high is None:
        return "text" if one.kind == "text" else ""
    low, high = (show_mm(nm) if one.name.endswith("_nm") else str(nm) for nm in (row.low, row.high))
    return f"{low} to {high} {one.unit}".strip()


def house() -> str:
    """Return the page of the house with its picture as the import contracts have it."""
    begin, end = "<!-- drawn by scripts/generate.py -->", "<!-- end of the picture -->"
    text = (ROOT / "docs/architecture.md").read_text("utf-8")
    config = tomllib.loads((ROOT / "pyproject.toml").read_text("utf-8"))
    lines = ["```mermaid", "flowchart TD"]
    contracts = [one for one in config["tool"]["importlinter"]["contracts"] if "layers" in one]
    for number, contract in enumerate(contracts):
        inside = (contract.get("containers") or ["plimb"])[0]
        lines.append(f'    subgraph s{number}["{inside}"]')
        layers = [layer.replace("plimb.", "") for layer in contract["layers"]]
        lines += [f'        s{number}_{place}["{layer}"]' for place, layer in enumerate(layers)]
        lines += [f"        s{number}_{n} --> s{number}_{n + 1}" for n in range(len(layers) - 1)]
        lines.append("    end")
    picture = "\n".join([*lines, "```"])
    return f"{text.split(begin)[0]}{begin}\n\n{picture}\n\n{end}{text.split(end)[1]}"


@cache
def answers() -> Mapping[str, str]:
    """Return the demo's cards as the server answers them, for the front end's tests."""
    with record() as database:
        fill(database)
        client = create_app(database).test_client()
        said = {f"card-{card}": client.get(f"/api/cards/{card}").json for card in (1, 2, 3)}
        said["largest-engine"] = client.post("/api/engines/start", json=LARGEST).json
    return {
        name: json.dumps(one, indent=1, ensure_ascii=False) + "\n" for name, one in said.items()
    }


Made = Callable[[], str]
KEPT: Mapping[str, Made] = {
    f"{API}/openapi.json": openapi,
    "docs/formats/card.schema.json": partial(schema, CardRecord),
    "docs/formats/engine.schema.json": partial(schema, EngineFile),
    "docs/formats/history.schema.json": partial(schema, HistoryFile),
    "docs/settings.md": settings,
    "docs/architecture.md": house,
}
BUILT: Mapping[str, Made] = {f"{API}/kinds.json": kinds}
TRIED: Mapping[str, Made] = {
    f"{API}/answers/{name}.json": lambda name=name: answers()[name]  # type: ignore[misc]
    for name in ("card-1", "card-2", "card-3", "largest-engine")
}


def main(how: str) -> int:
    """Write all, or just what is built (`--built`) or tried with (`--tried`), or `--check`."""
    if how == "--check":
        there = {one: (ROOT / one).read_text("utf-8") for one in KEPT if (ROOT / one).exists()}
        stale = [name for name, made in KEPT.items() if there.get(name) != made()]
        for name in stale:
            print(f"{name} is stale: run `make generate`.", file=sys.stderr)
        return bool(stale)
    wanted = {"--built": BUILT, "--tried": TRIED}.get(how, {**KEPT, **BUILT, **TRIED})
    for name, made in wanted.items():
        (ROOT / name).parent.mkdir(parents=True, exist_ok=True)
        (ROOT / name).write_text(made(), "utf-8")
    return 0


if __name__ == "__main__":
    sys.exit(main("".join(sys.argv[1:])))
