.DEFAULT_GOAL := help
.PHONY: help setup demo test check axe anew laws mutants bench proof demo-data screenshots rules styles lock
PORT ?= 8000

help: ## this list
	@grep -E '^[a-z-]+:.*##' $(MAKEFILE_LIST) | sed 's/:.*## /\t/' | expand -t 14
setup: ## prepare .venv, so that .venv/bin/norvash is there
	@scripts/setup run
demo: setup ## the application with the playhouse's motors (PORT=8000, RESET=1 starts over)
	@exec .venv/bin/norvash demo --port $(PORT) $(if $(RESET),--reset)
test: ## everything, the browser included
	@scripts/setup dev
	@scripts/browser
	@scripts/lint
	@PYTHONDONTWRITEBYTECODE= .venv/bin/pytest -n 2
check: ## what a commit needs
	@scripts/check
axe: ## the accessibility checker on the playhouse's pages, each in both themes and both widths
	@scripts/setup dev
	@scripts/browser
	@NORVASH_AXE_ALL=1 .venv/bin/pytest -n 2 tests/browser/test_accessible.py
anew: ## every frozen answer written anew, and what moved, word by word
	@scripts/setup dev
	@scripts/anew
laws: ## the laws with many examples and a fresh seed (SEED=… replays one)
	@scripts/setup dev
	@seed=$(or $(SEED),$$(od -An -N4 -tu4 /dev/urandom | tr -d ' ')); echo "Seed $$seed; replayed by: make laws SEED=$$seed"; \
	.venv/bin/pytest -n 2 -m hypothesis --hypothesis-profile=laws --hypothesis-seed=$$seed
mutants: ## which faults in the core no test would notice (PART=limits, ENDING=7 tries a tenth, TABLES=300 so many of its tables)
	@scripts/setup dev
	@.venv/bin/python scripts/mutants.py $(or $(PART),limits) $(if $(ENDING),--ending $(ENDING)) $(if $(TABLES),--tables --most $(TABLES))
bench: ## speed, as ratios in one run, into docs/performance.md
	@scripts/setup dev
	@scripts/browser
	@.venv/bin/python -m norvash.bench
proof: ## the forecast on simulated fleets, into docs/method/forecast.md
	@scripts/setup run
	@.venv/bin/norvash prove --into docs/method/forecast.md
demo-data: ## the playhouse played anew, job by job, and packed where it ships from
	@scripts/setup run
	@.venv/bin/python scripts/demo_data.py
screenshots: ## the pictures in docs/screenshots, from the demo data
	@scripts/setup dev
	@scripts/browser
	@.venv/bin/python scripts/screenshots.py
rules: ## the lists in docs/rules.md and docs/visits.md, from the code
	@scripts/setup dev
	@.venv/bin/python -c "from norvash.core.rules.listing import listing; print(listing(), end='')" > docs/rules.md
	@.venv/bin/python -c "from norvash.exchange.visit_documented import documented; print(documented(), end='')" > docs/visits.md
styles: ## the colours and inks of the pages, from the drawings' list, and the rules of the vendored stylesheet that they use
	@scripts/setup dev
	@.venv/bin/python -c "from norvash.drawing.inks import stylesheet; print(stylesheet(), end='')" > src/norvash/web/static/styles/inks.css
	@.venv/bin/python scripts/vendor.py --used
lock: ## write the pins anew
	@scripts/lock
