"""Every name that a database, a file, a queue or a program may hold, by kind."""

from collections.abc import Iterable, Iterator

from norvash.core.diagnosis.causes import CAUSES
from norvash.core.kept_names import Kind, split_field
from norvash.core.motor.figure import Word
from norvash.core.motor.figure_fields import FIELDS as FIGURES
from norvash.core.planning.policies import KINDS
from norvash.core.rules.catalogue import RULES
from norvash.core.rules.schools import SCHOOLS
from norvash.core.sheet.field import Field, Noticed, Pick
from norvash.core.sheet.measured import NAMES as MEASURED
from norvash.core.sheet.part import BESIDE, PARTS
from norvash.core.stages.catalogue import FIELDS, FINDINGS, STAGES, TASKS
from norvash.core.stages.gates import GATES
from norvash.core.sums.catalogue import SUMS


def every_name() -> dict[Kind, tuple[str, ...]]:
    """Return all names of today, in order; fields that are named by what they speak of follow from those."""
    return {
        "finding": _sorted(FINDINGS),
        "task": _sorted(TASKS),
        "field": _sorted(f.id for f in FIELDS if not split_field(f.id)[0]),
        "answer": _sorted(a for f in FIELDS for a in _answers(f)),
        "figure": _sorted(f.name for f in FIGURES),
        "word": _sorted(f"{f.name}={w}" for f in FIGURES if isinstance(f, Word) for w in f.choices),
        "rule": _sorted(RULES),
        "school": _sorted(s.id for s in SCHOOLS),
        "option": _sorted(f"{s.id}={key}" for s in SCHOOLS for key, _ in s.options),
        "policy": _sorted(KINDS),
        "cause": _sorted(c.id for c in CAUSES),
        "sign": _sorted(n.sign.id for s in STAGES for n in s.noticed),
        "gate": _sorted(GATES),
        "step": _sorted(f"{g.id}.{step.id}" for g in GATES.values() for step in g.every),
        "sum": _sorted(SUMS),
        "part": _sorted(p.id for p in (*PARTS, *BESIDE)),
        "stage": _sorted(s.id for s in STAGES),
        "measured": _sorted(MEASURED),
    }


def _sorted(names: Iterable[str]) -> tuple[str, ...]:
    return tuple(sorted(set(names)))


def _answers(field: Field) -> Iterator[str]:
    if isinstance(field, Noticed):
        yield from (f"{field.id}={answer}" for answer in field.sign.known)
    elif isinstance(field, Pick):
        yield from (f"{field.id}={answer}" for answer, _ in field.choices)
