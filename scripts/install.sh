#!/bin/sh
# Install the locked requirements named, and plimb itself in place.
set -eu
.venv/bin/uv pip install --quiet --python .venv/bin/python --require-hashes -r "$1" || {
    echo "plimb: the Python packages could not be installed; check that the Python registry can be reached." >&2
    exit 1
}
.venv/bin/uv pip install --quiet --python .venv/bin/python --no-deps --no-build-isolation -e .
