# One door to everything. `make help` lists what there is.
.DEFAULT_GOAL := help
.SUFFIXES:
SHELL := /bin/sh
PORT := $(or $(PLIMB_PORT),8017)
BIN := .venv/bin
export UV_COMPILE_BYTECODE = 1
export PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD = 1

FRONT := $(shell find frontend/src frontend/public docs/handbook frontend/index.html frontend/vite.config.ts -type f ! -path "*/answers/*" ! -name schema.d.ts 2>/dev/null)
APP := src/plimb/web/app/index.html
API := frontend/src/api
PRODUCT := $(shell find src/plimb -name '*.py' -o -name '*.json' -path '*demo*' 2>/dev/null)

.PHONY: help
help: ## List the targets
	@grep -E '^[a-z-]+:.*## ' $(MAKEFILE_LIST) | sed 's/:.*## /\t/' | expand -t 14

.PHONY: demo
demo: .venv/.run $(APP) ## Set everything up and serve the made-up shop at 127.0.0.1:8017
	@echo "plimb: serving the demo at http://127.0.0.1:$(PORT)"
	@PLIMB_PORT=$(PORT) $(BIN)/plimb demo

.PHONY: serve
serve: .venv/.run $(APP) ## The same with the shop's own record, empty at first
	@PLIMB_PORT=$(PORT) $(BIN)/plimb serve

.PHONY: test
test: .venv/.dev $(APP) $(API)/answers/.done chromium ## Set up what the tests need and run them all
	@echo "plimb: testing the front end's parts"
	@cd frontend && PATH="$(CURDIR)/$(BIN):$$PATH" npm run --silent test
	@echo "plimb: testing core, record, API, command line and the interface in a browser"
	@$(BIN)/python -m compileall -q src # where no bytecode is written each server would compile it
	@$(BIN)/python -m pytest

.PHONY: quick
quick: .venv/.dev ## The sums, and what is done to a card: in about a minute
	@$(BIN)/python -m pytest tests/core tests/card -m "not slow"

.PHONY: test-long
test-long: .venv/.dev $(APP) $(API)/answers/.done chromium ## All of it, and every simulation whole: 2,000 engines by brute force, 500 proofs a cause
	@PLIMB_LONG=1 $(BIN)/python -m pytest tests --timeout 7200
	@echo "plimb: once more in the browser, at a server that takes a second over every answer"
	@PLIMB_LONG=1 PLIMB_ANSWERS_AFTER=1 $(BIN)/python -m pytest tests/browser --ignore=tests/browser/test_every_place.py --timeout 7200

.PHONY: check
check: .venv/.dev frontend/node_modules/.done $(API)/kinds.json $(API)/schema.d.ts $(API)/answers/.done ## Lint, types, layers, generated files
	@$(BIN)/ruff check src tests scripts
	@$(BIN)/ruff format --check src tests scripts
	@$(BIN)/mypy
	@$(BIN)/lint-imports
	@$(BIN)/python scripts/generate.py --check
	@$(BIN)/python scripts/sizes.py
	@$(BIN)/python scripts/words.py
	@cd frontend && PATH="$(CURDIR)/$(BIN):$$PATH" npm run --silent check

.PHONY: words
words: .venv/.dev ## Collect every text that people read, and fail where one is not in plain words
	@$(BIN)/python scripts/words.py

.PHONY: fmt
fmt: .venv/.dev frontend/node_modules/.done ## Write everything in the house's format
	@$(BIN)/ruff check --fix -q src tests scripts; $(BIN)/ruff format -q src tests scripts
	@cd frontend && PATH="$(CURDIR)/$(BIN):$$PATH" npm run --silent fmt

.PHONY: generate
generate: .venv/.dev frontend/node_modules/.done ## Write all that is generated: contracts, documents, types, answers
	@$(BIN)/python scripts/generate.py
	@cd frontend && PATH="$(CURDIR)/$(BIN):$$PATH" npm run --silent types

.PHONY: dist
dist: .venv/.run $(APP) ## Build a wheel with the screens in it, which runs without Node
	@$(BIN)/uv build --quiet --wheel --no-build-isolation --python $(BIN)/python --out-dir dist
	@echo "plimb: built $$(ls dist/*.whl)"

.PHONY: record
record: .venv/.dev ## Keep the demo's record before a schema changes (NAME=0017-what-came)
	@$(BIN)/python scripts/record.py $(NAME)

.PHONY: screenshots
screenshots: .venv/.dev $(APP) chromium ## Take the pictures in docs/screenshots anew
	@$(BIN)/python scripts/shots.py

.PHONY: bench
bench: .venv/.run ## Measure the sums, a served plan, and every place with 10, 1,000 and 10,000 cards
	@$(BIN)/python scripts/bench.py
	@$(BIN)/python scripts/many.py

.PHONY: truth
truth: .venv/.run ## Work simulated engines and print what is true in them afterwards (JOBS=500)
	@$(BIN)/python scripts/truth.py $(or $(JOBS),500) $(or $(SEED),1)

.PHONY: ratio
ratio: ## Lines of test code against lines of product code
	@sh scripts/ratio.sh

.PHONY: lock
lock: .venv/.dev ## Write the locked requirements after changing a dependency
	@scripts/lock.sh

.PHONY: chromium
chromium:
	@sh scripts/chromium.sh

.venv/bin/uv:
	@sh scripts/venv.sh

.venv/.run: requirements/run.txt pyproject.toml | .venv/bin/uv
	@echo "plimb: installing what the application needs"
	@sh scripts/install.sh requirements/run.txt
	@touch $@

.venv/.dev: requirements/dev.txt pyproject.toml | .venv/bin/uv
	@echo "plimb: installing what the application and its tests need"
	@sh scripts/install.sh requirements/dev.txt
	@touch $@ .venv/.run

frontend/node_modules/.done: frontend/package-lock.json | .venv/.run
	@echo "plimb: installing the front end's parts (Node comes with the Python wheel)"
	@cd frontend && PATH="$(CURDIR)/$(BIN):$$PATH" npm ci --loglevel=error || \
		{ echo "plimb: the front end's parts could not be installed; check that the npm registry can be reached." >&2; exit 1; }
	@touch $@

$(API)/kinds.json: scripts/generate.py $(PRODUCT) | .venv/.run
	@$(BIN)/python scripts/generate.py --built
	@touch $@

$(API)/schema.d.ts: $(API)/openapi.json frontend/node_modules/.done
	@cd frontend && PATH="$(CURDIR)/$(BIN):$$PATH" npm run --silent types
	@touch $@

$(API)/answers/.done: scripts/generate.py $(PRODUCT) | .venv/.run
	@$(BIN)/python scripts/generate.py --tried
	@touch $@

$(APP): frontend/node_modules/.done $(API)/kinds.json $(FRONT)
	@echo "plimb: building the front end"
	@cd frontend && PATH="$(CURDIR)/$(BIN):$$PATH" npm run --silent build -- --logLevel error
