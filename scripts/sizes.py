"""Fail where a hand-written file passes 400 lines or a function of the product 60."""

import ast
import subprocess
import sys
from pathlib import Path

ROOT = Path(__file__).parent.parent
MOST_LINES, MOST_IN_FUNCTION = 400, 60


def too_long() -> list[str]:
    """Return the hand-written files and functions that are asking to be two."""
    wanted = ("*.py", "*.ts", "*.svelte", "*.css")
    listed = subprocess.run(
        ["git", "ls-files", *wanted], cwd=ROOT, capture_output=True, text=True, check=True
    )
    found = []
    for name in listed.stdout.split():
        if "migrations/versions/" in name or not (ROOT / name).exists():
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
    sys.exit("\n".join(too_long()) or 0)
