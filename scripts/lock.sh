#!/bin/sh
# Write the hashed requirements files from pyproject.toml. Run after changing a dependency.
set -eu
cd "$(dirname "$0")/.."
lock() { .venv/bin/uv pip compile -q --universal --generate-hashes --no-header --no-annotate \
    --python-version 3.11 pyproject.toml "$@"; }
lock --extra build -o requirements/run.txt
lock --extra build --extra dev -o requirements/dev.txt
