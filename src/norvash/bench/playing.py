"""A visit of 120 entries as a file, and how long playing it takes."""

import json
import tempfile
import time
from collections.abc import Iterator
from datetime import datetime, timedelta
from pathlib import Path
from statistics import median

from norvash.core.motor.classes import TEMPLATES
from norvash.core.motor.figures import Figures
from norvash.core.motor.positions import even_positions
from norvash.core.rules.catalogue import shipped
from norvash.core.sheet.facts import Facts
from norvash.core.sheet.field import Noticed, Tick
from norvash.core.stages.catalogue import STAGES
from norvash.core.stages.gates import METHOD, SAFE, usual_method
from norvash.exchange.visit_play import play_file

ENTRIES, _BRUSHES, _TIMES = 120, 4, 3
_FORCES = ("force", "gap")


def played_s() -> float:
    """Return how long a whole job of 120 entries takes from its file to the record, with what it tells [s]."""
    with tempfile.TemporaryDirectory() as folder:
        file = Path(folder) / "visit.json"
        file.write_text(json.dumps(_visit()))
        took = []
        for number in range(_TIMES):
            started = time.perf_counter()
            played = play_file(file, Path(folder) / f"{number}.db", "Bench")
            took.append(time.perf_counter() - started)
            if played.refused or played.new != ENTRIES:
                raise SystemExit(f"{played.new} of {ENTRIES} entries were played: {played.refused[:2]}")
    return median(took)


def _visit() -> dict[str, object]:
    made = list(_entries())
    at = datetime(2025, 5, 5, 8)
    fill: list[dict[str, object]] = [
        {"stage": "open", "field": "stack", "value": f"washer {n}"} for n in range(ENTRIES - len(made) - 1)
    ]
    whole: list[dict[str, object]] = [*made, *fill, {"do": "sign", "why": "measured by make bench"}]
    return {
        "format": "norvash visit",
        "schema": 1,
        "people": ["Bench"],
        "motor": {"tag": "B-1", "name": "Winch", "place": "bench", "class": "industrial", "brushes": str(_BRUSHES)},
        "entries": [
            {"at": (at + timedelta(minutes=n)).isoformat(), "by": "Bench", **entry} for n, entry in enumerate(whole)
        ],
    }


def _entries() -> Iterator[dict[str, object]]:
    """Yield the gate, every length, force and gap, every sign at the call, and every look."""
    facts = Facts("industrial", Figures({}, {}, TEMPLATES["industrial"].lends), even_positions(_BRUSHES))
    rules = shipped()
    yield {"do": "register", "counter": "100"}
    yield {"do": "open"}
    for step in SAFE.steps(facts, rules):
        yield {"field": SAFE.step(step.id).id, "value": "yes"}
    yield {"field": METHOD.id, "value": usual_method(facts)}
    for place in range(1, _BRUSHES + 1):
        yield {"do": "measure", "place": place, "value": f"{29 + place / 10:.1f}"}
        yield from (
            {"field": field, "place": place, "value": value} for field, value in zip(_FORCES, ("8.4", "2"), strict=True)
        )
    for stage in STAGES:
        for field in stage.offered(facts, rules):
            plain = isinstance(field, Tick) and not field.tells and not field.placed and not field.does
            if isinstance(field, Noticed):
                yield {"field": field.id, "value": field.choices[-1][0]}
            elif plain and field.needs == "safe" and not field.work:
                yield {"field": field.id, "value": "yes"}
