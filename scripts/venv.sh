#!/bin/sh
# Make .venv with the first Python that is new enough, and put the installer into it.
set -eu
echo "plimb: making a Python environment in .venv"
for python in python3 python3.13 python3.12 python3.11; do
    if "$python" -c 'import sys, venv, ensurepip; sys.exit(sys.version_info < (3, 11))' 2>/dev/null; then
        rm -rf .venv
        "$python" -m venv .venv
        .venv/bin/python -m pip install --quiet --disable-pip-version-check uv==0.13.9 || {
            echo "plimb: the installer could not be fetched; check that the Python registry can be reached." >&2
            exit 1
        }
        exit 0
    fi
done
echo "plimb: Python 3.11 or newer with venv is needed; on Debian: apt-get install python3 python3-venv." >&2
exit 1
