#!/bin/sh
# Lines that are neither blank nor a lone comment, tests against product.
set -eu
cd "$(dirname "$0")/.."
count() { xargs -r cat | grep -cvE '^[[:space:]]*(#.*|//.*)?$' || true; }
product=$(git ls-files 'src/*.py' 'frontend/src/*.ts' 'frontend/src/*.svelte' 'frontend/src/*.css' \
    | grep -vE '\.test\.ts$|\.d\.ts$|migrations/versions' | count)
tests=$(git ls-files 'tests/*.py' 'frontend/src/*.test.ts' 'frontend/src/card/fake-server.ts' | count)
echo "tests $tests lines, product $product lines, ratio $(awk "BEGIN{printf \"%.2f\", $tests/$product}")"
