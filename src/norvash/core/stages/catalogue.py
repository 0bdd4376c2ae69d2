"""The stages of a bench sheet, in the order of the work; everything that a sheet can hold follows from them."""

from functools import lru_cache
from types import MappingProxyType

from norvash.core.kept_names import name_now
from norvash.core.sheet.field import Field
from norvash.core.sheet.stage import Stage
from norvash.core.stages import call_in, close, decide, record, rework, safe, sign
from norvash.core.stages.before import stage as before
from norvash.core.stages.brushes import stage as brushes
from norvash.core.stages.commutator import stage as commutator
from norvash.core.stages.drive import stage as drive
from norvash.core.stages.prove import stage as prove
from norvash.core.stages.windings import stage as windings

STAGES: tuple[Stage, ...] = (
    call_in.STAGE,
    safe.STAGE,
    before.STAGE,
    record.STAGE,
    brushes.STAGE,
    commutator.STAGE,
    windings.STAGE,
    drive.STAGE,
    decide.STAGE,
    rework.STAGE,
    close.STAGE,
    prove.STAGE,
    sign.STAGE,
)
STAGE_BY_ID = MappingProxyType({s.id: s for s in STAGES})
FIELDS: tuple[Field, ...] = tuple(f for s in STAGES for f in s.all_fields)
FIELD_BY_ID = MappingProxyType({f.id: f for f in FIELDS})
FINDINGS = MappingProxyType({f.id: f for s in STAGES for f in (*s.looked, *s.findings)})
TASKS = MappingProxyType({t.id: t for s in STAGES for t in s.tasks})
# Where each finding stands in the order of the work; what only another version knows comes last.
ORDER = MappingProxyType({finding_id: n for n, finding_id in enumerate(FINDINGS)})
# The findings that a new value proves mended, though no value can be them.
ONLY_PROVED = frozenset(t.id for f in FIELDS for t in f.proves)
# The findings that are picked by sight, on the motor or on a brush.
SEEN = frozenset((*(f.id for s in STAGES for f in s.looked), *brushes.BY_SIGHT))
# By finding the fields that tell it, or prove it mended, and by field the one that it is read with.
TOLD_BY = MappingProxyType(
    {i: tuple(f for f in FIELDS if any(t.id == i for t in (*f.tells, *f.proves))) for i in FINDINGS}
)
# By finding the tick that says that its stage was looked at and nothing found.
SOUND_OF = MappingProxyType({f.id: s.sound for s in STAGES if s.sound is not None for f in s.looked})
# By task the field that records it where it has one: that is entered, and not the task ticked.
RECORDED_BY = MappingProxyType({t.id: f for f in FIELDS for t in f.does})
TOGETHER = MappingProxyType({f.id: f.tested for f in FIELDS if f.tested})
# Those that are read anew at one place without the others.
APART = frozenset(f.id for f in FIELDS if f.per == "circuit")
_OWNER = MappingProxyType({f.id: s for s in STAGES for f in s.all_fields})


@lru_cache(maxsize=4096)
def field_of(field_id: str) -> Field | None:
    """Return a field by its id, an earlier one too; steps of gates, decisions and what was put off are named as they
    come.
    """
    name = name_now("field", field_id)
    if name in FIELD_BY_ID:
        return FIELD_BY_ID[name]
    return next((found for s in STAGES if (found := s.named_field(name)) is not None), None)


@lru_cache(maxsize=4096)
def stage_of(field_id: str) -> Stage | None:
    """Return the stage at which a field is entered, None where there is no such field."""
    name = name_now("field", field_id)
    if name in _OWNER:
        return _OWNER[name]
    return next((s for s in STAGES if s.named_field(name) is not None), None)
