"""Draw the house from its import contracts; with --check fail where picture or sizes are off.

The picture stands in `docs/architecture.md` as Mermaid. No hand-written file may pass 400 lines
and no function of the product 60.
"""

import ast
import re
import subprocess
import sys
import tomllib
from pathlib import Path

ROOT = Path(__file__).parent.parent
PAGE = ROOT / "docs" / "architecture.md"
BEGIN, END = "<!-- drawn by scripts/house.py -->", "<!-- end of the picture -->"
MOST_LINES, MOST_IN_FUNCTION = 400, 60
GENERATED = re.compile(r"schema\.d\.ts$|migrations/versions/")


def contracts() -> list[dict]:
    """Return the layers that import-linter holds."""
    config = tomllib.loads((ROOT / "pyproject.toml").read_text("utf-8"))
    return [one for one in config["tool"]["importlinter"]["contracts"] if one["type"] == "layers"]


def picture() -> str:
    """Return the layers as Mermaid: a box a layer, each arrow pointing down."""
    lines = ["```mermaid", "flowchart TD"]
    for number, contract in enumerate(contracts()):
        inside = (contract.get("containers") or ["plimb"])[0]
        lines.append(f'    subgraph s{number}["{inside}"]')
        layers = [layer.replace("plimb.", "") for layer in contract["layers"]]
        lines += [f'        s{number}_{place}["{layer}"]' for place, layer in enumerate(layers)]
        lines += [f"        s{number}_{n} --> s{number}_{n + 1}" for n in range(len(layers) - 1)]
        lines.append("    end")
    return "\n".join([*lines, "```"])


def page() -> str:
    """Return the page with the picture as the contracts have it now."""
    text = PAGE.read_text("utf-8")
    before, after = text.split(BEGIN)[0], text.split(END)[1]
    return f"{before}{BEGIN}\n\n{picture()}\n\n{END}{after}"


def too_long() -> list[str]:
    """Return the hand-written files and functions that are asking to be two."""
    wanted = ("*.py", "*.ts", "*.svelte", "*.css")
    listed = subprocess.run(
        ["git", "ls-files", *wanted], cwd=ROOT, capture_output=True, text=True, check=True
    )
    found = []
    for name in listed.stdout.split():
        if GENERATED.search(name) or not (ROOT / name).exists():
            continue
        text = (ROOT / name).read_text("utf-8")
        if (many := text.count("\n")) > MOST_LINES:
            found.append(f"{name} has {many} lines")
        if name.endswith(".py") and name.startswith("src/"):
            for node in ast.walk(ast.parse(text)):
                if isinstance(node, ast.FunctionDef):
                    many = (node.end_lineno or node.lineno) - node.lineno + 1
                    if many > MOST_IN_FUNCTION:
                        found.append(f"{name}: {node.name} has {many} lines")
    return found


if __name__ == "__main__":
    if "--check" not in sys.argv:
        PAGE.write_text(page(), "utf-8")
    elif faults := too_long():
        sys.exit("\n".join(faults))
    elif PAGE.read_text("utf-8") != page():
        sys.exit("docs/architecture.md is stale: run .venv/bin/python scripts/house.py")
