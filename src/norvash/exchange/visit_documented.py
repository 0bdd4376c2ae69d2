"""The documentation of a visit's file, made from what it can hold: entries, fields, findings, tasks, steps."""

from collections.abc import Iterator
from inspect import getdoc
from types import UnionType
from typing import Any, Literal, get_args, get_origin

from norvash.core.motor.figure import Number, Word
from norvash.core.motor.figure_fields import FIELDS as FIGURES
from norvash.core.sheet.field import Column, Field, Permit, Pick, Quantity, Repair, Tick
from norvash.core.sheet.records import TURNS
from norvash.core.stages.brushes.stage import BY_SIGHT
from norvash.core.stages.catalogue import FINDINGS, STAGES, TASKS
from norvash.core.stages.gates import GATES
from norvash.core.text.quantities import UNITS
from norvash.core.windings.circuits import CIRCUITS, PLACES
from norvash.exchange import visit_file as v
from norvash.exchange.visit_read import MOST_BYTES, MOST_ENTRIES

_HEAD = """# A visit as a file

One JSON file holds a visit to one motor: who, when, what, as it was typed. `norvash sheet export ID --db DB` writes
it from a sheet, and so does “This visit as a file” on the sheet's page; `norvash sheet play FILE --db DB --by NAME`
plays it through the jobs that the pages use, at the file's own times. Each act keeps its own person; `--by` is who
played it, and everything that was played is marked *from a file*. Made from the code by `make rules`.

```json
{"format": "norvash visit", "schema": 1,
 "people": ["Ada Quill"],
 "motor": {"tag": "W-09", "name": "Trap winch", "place": "under stage", "class": "industrial", "brushes": "2",
           "figures": {"new_mm": "22", "limit_mm": "8", "construction": "shunt"}},
 "entries": [
  {"at": "2026-05-04T08:00:00", "by": "Ada Quill", "do": "register", "counter": "100"},
  {"at": "2026-05-11T09:00:00", "by": "Ada Quill", "do": "open", "counter": "140"},
  {"at": "2026-05-11T09:01:00", "by": "Ada Quill", "stage": "safe", "field": "step.safe.dead", "value": "yes"},
  {"at": "2026-05-11T09:09:00", "by": "Ada Quill", "do": "measure", "place": 1, "value": "20.6"}]}
```

The file is checked whole before anything is written: its form, its names, its order; what is wrong is refused with
its place, and nothing is played. A motor with the tag is taken as it is; where there is none, an entry `register`
registers it. Everybody in it is listed under `people`, and made where missing; of one
whose name only looks like somebody else's it is said: `{"name": "…", "answer": "another"}`. A refusal by a job stops
there with exit code 3, its place and its words; with `--go-on` it is noted and the rest is played. The same file again
changes nothing, and a longer one goes on where the shorter one ended. After each stage it prints what the line, the
parts, the work list and the gates say, `--json` as plain values. A file has at most {entries} entries and {bytes}
bytes.

A value is what would be typed or picked; an empty one takes it back. An entry without a sight has the one that the
sheet proposes: *found* until work of the visit has touched its place, *left* after that. `answer` answers what the
job would ask: `mistyped` where the value before was a slip, `again` where it was measured again after work,
`second` where it was measured once more with no work between (of somebody else's value only a page or a program is
asked that), and what a counter asks.

Exported are the motor with its figures, the use since the set went in, and every entry of the sheet in its order;
what was taken back by undo is left out, and so are earlier visits. What was measured at a signed visit stands under
`measured` as it was kept with the signature: it is there to be read; playing never takes it, and says where it comes
to something else.
"""


_CONFIRMED = frozenset(g.confirmed for g in GATES.values())


def documented() -> str:
    """Return the documentation as Markdown."""
    head = _HEAD.replace("{entries}", str(MOST_ENTRIES)).replace("{bytes}", f"{MOST_BYTES:,}".replace(",", " "))
    parts = [head, *_entries(), *_fields(), *_lists(), *_figures()]
    return "\n".join(parts) + "\n"


def _entries() -> Iterator[str]:
    yield "## Entries\n"
    yield "Every entry has `at` (local time, ISO 8601) and `by`; `do` says what it is, `enter` where it is missing.\n"
    yield "| do | what it is | with |\n|---|---|---|"
    for name, model in v.ENTRIES.items():
        own = [
            f"`{f.alias or n}` {_kind(f.annotation)}{'' if f.is_required() else ', may be missing'}"
            for n, f in model.model_fields.items()
            if n not in ("at", "by", "do")
        ]
        yield f"| `{name}` | {' '.join((getdoc(model) or '').split())} | {'; '.join(own)} |"
    yield ""


def _kind(annotation: Any) -> str:
    """Return what a value of an entry can be."""
    if get_origin(annotation) is Literal:
        return "(" + ", ".join(f"`{x}`" if x else "empty" for x in get_args(annotation)) + ")"
    inner = get_args(annotation)[0] if get_args(annotation) and not isinstance(annotation, UnionType) else annotation
    origin = get_origin(annotation)
    if origin is dict:
        return "by name, texts"
    if origin is tuple:
        return "a list of texts"
    return {str: "text", int: "number", bool: "true or false"}.get(inner, "text")


def _fields() -> Iterator[str]:
    yield "## Fields\n"
    yield "`place` is the number of a brush, a speed setting, a bearing, a point of a run or a permit, else 0.\n"
    for stage in STAGES:
        yield f"### {stage.words} (`{stage.id}`)\n"
        yield "| field | what it is | kind | unit or choices | place |\n|---|---|---|---|---|"
        for field in stage.all_fields:
            look = ", of a look: a whole sheet takes its steps" if field in _CONFIRMED else ""
            yield f"| `{field.id}` | {field.label}{look} | {_what(field)} | {_choices(field)} | {_place(field)} |"
        yield ""


def _what(field: Field) -> str:
    for kind, words in ((Quantity, "a value"), (Column, "values, a line each"), (Tick, "`yes`"), (Pick, "one of")):
        if isinstance(field, kind):
            return words
    if isinstance(field, Permit):
        turns = ", ".join(f"`{key}` {words}" for key, words in TURNS.items())
        return f"text, with `who`, `barriers`, `minutes`; where it can run away `turns` ({turns}) and `volts`"
    return (
        "text, with `who` and `day`" if isinstance(field, Repair) else {"map": "a map of bars"}.get(field.kind, "text")
    )


def _choices(field: Field) -> str:
    if isinstance(field, Quantity | Column):
        return ", ".join(u for u in UNITS[field.dimension] if u) or "–"
    if isinstance(field, Pick):
        said = [f"`{key}`" + (f" {words}" if words != key else "") for key, words in field.choices]
        return ", ".join(said) + ("; with `why`" if field.why else "")
    return ""


def _place(field: Field) -> str:
    words = {"position": "brush", "tap": "setting", "bearing": "bearing", "side": "1 left, 2 right", "number": "number"}
    if field.per == "circuit":
        return ", ".join(f"{n} {CIRCUITS[c]}" for n, c in enumerate(PLACES))
    return words.get(field.per, "")


def _lists() -> Iterator[str]:
    yield "## Fields named as they come\n"
    yield "| field | what it is |\n|---|---|"
    yield "| `step.GATE.STEP` | a step of a gate: `yes` |"
    yield "| `again.GATE`, numbered | all that was said at a gate and undone since, said again: `yes` |"
    yield (
        "| `decide.FINDING` | what is decided there: `now`, of several ways with the task as `way`, `deferred` with"
        " `who` and `day`, `waits` with `part` and `day`, `dropped` with `why`; of what was grave on the last sheet"
        " and is right again `elsewhere` or `slip` with `why` |"
    )
    yield (
        "| `way` | what a way costs, by its place (1 brushes only, 2 with springs, 3 with the commutator, 4 kit, 5"
        " exchange armature, 6 new unit, 7 cheap substitute, 8 sent out, from 9 others): its name, with `bill` as"
        " `holder 42.00; brushes 15.50 x 2; carbons 2 for 6.90 or 4 for 10.20 x 2`, and where they are known `hours`,"
        " `rate`, `freight` and `tax` (a sum or a share, `in it`, `on top`), `consumables`, `downtime` in hours,"
        " `life` as `7 years`, `condition` and `redo` as shares, `said` with day and source of the prices |"
    )
    yield (
        "| `offer` | a part that is offered, by its number and its kind (`brush set`, `spring`, `bearing`, `bush`,"
        " `needle`, `seal`, `pinion`, `brush plate`, `armature`), with what is known of the new one as `new-…`, of the"
        " old one as `old-…` (`thickness_mm`, `width_mm`, `length_mm`, `face_angle_deg`, `hand`, `lead_mm`,"
        " `terminal`, `grade`, `volts`, `variant`, `force_n`, `number`, `bore_mm`, `outside_mm`, `pressed_mm`, `teeth`,"
        " `part`, `batch` and more), and of its place as `at-…` (`box_thickness_mm`, `box_width_mm`, `top_free`,"
        " `shaft_mm`, `housing_mm`, `located`, `metal_case`); what became of it is `offer-became` |"
    )
    yield (
        "| `off-STACK` | a part that came off, by its place in the order in which it came off, as `5 shims 0.2 x 26,"
        " stays`, `seal 5 x 28, lip in` or `6 hood screws M4 x 12`; what the text leaves out may come as `count`,"
        " `long`, `across`, `size`, `round`, `material`, `stays`; it lies `before` another place; counted again once it"
        " is back it needs `why`; `NAME: not there` of what is lent. STACK is `drive`, `other`, `post`, `post2`,"
        " `bolt`, or `machine` for counts without an order |"
    )
    yield (
        "| `back-STACK` | the same part back: `yes`, or how it differs (`4`, `M6 x 25`, `0.3 x 26, lip out`),"
        " `renewed`, or `left out` with `why` |"
    )
    yield (
        "| `own-task` | a task that is added, by its number, with `minutes` and the parts that it `touches`"
        " (`brushes`, `springs`, `holders`, `commutator`, `windings`, `drive`); it is done by `task.own-NUMBER` |"
    )
    yield (
        "| `second.FIELD` | a value that was measured once more, with no work between, and is milder than the one of"
        " its field: it counts once a third agrees |"
    )
    yield "| `drop.TASK` | why a task is dropped from the list; what asks for it stays open |"
    yield "| `work-order` | the tasks of the list in their order, parted by spaces |"
    yield "| `way-taken` | the way that is taken, by its place, with `why`, and of a new unit the `day` |"
    yield "| `task.TASK` | a task that is done: `yes`, with `minutes` and `parts` |"
    yield "| `gone.FINDING` | looked at again at its place, and gone: `yes` |"
    yield "| `settle.LIFE` | something of an earlier visit that is mended: `yes` |\n"
    for gate in GATES.values():
        steps = ", ".join(f"`step.{gate.id}.{s.id}`" for s in gate.every)
        yield f"Steps of “{gate.words}”: {steps}.\n"
    yield "## Findings\n\nThose on a brush are entered by `see`, others by `seen.FINDING` or by figures.\n"
    yield "| finding | what it is | grade | how |\n|---|---|---|---|"
    looked = {f.id for s in STAGES for f in s.looked}
    for f in FINDINGS.values():
        how = "`see`" if f.id in BY_SIGHT else f"`seen.{f.id}`" if f.id in looked else "by figures"
        yield f"| `{f.id}` | {f.words} | {f.grade} | {how} |"
    yield "\n## Tasks\n\n| task | what it is |\n|---|---|"
    yield from (f"| `{t.id}` | {t.what} |" for t in TASKS.values())
    yield ""


def _figures() -> Iterator[str]:
    yield "## Figures of a motor\n\n| figure | what it is | unit or choices |\n|---|---|---|"
    for f in FIGURES:
        if isinstance(f, Number):
            choices = ", ".join(u for u in UNITS.get(f.dimension, ()) if u) or "a number"
        else:
            choices = ", ".join(f"`{c}`" for c in f.choices) if isinstance(f, Word) and f.choices else "text"
            choices += "; several with `;` between" if isinstance(f, Word) and f.several else ""
        yield f"| `{f.name}` | {f.label} | {choices} |"
