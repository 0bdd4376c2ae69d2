"""Whether a part was looked at, or renewed, as a whole: what ends a finding that only another version knows."""

from collections.abc import Mapping
from types import MappingProxyType

from norvash.core.sheet.given import Given
from norvash.core.sheet.part import BRUSHES, COMMUTATOR, SPRINGS, WINDINGS, Part
from norvash.core.sheet.sheet import Sheet
from norvash.core.sheet.stage import Stage
from norvash.core.sheet.task import Task
from norvash.core.stages.brushes.springs import RENEW_SPRINGS
from norvash.core.stages.catalogue import STAGES
from norvash.core.stages.shared import FIT_SET, RENEW_ARMATURE
from norvash.core.stages.windings.coils import RENEW_COIL

# The work after which nothing of a part is what it was; of a part that is not here some always stays.
_RENEWED_BY: Mapping[Part, tuple[Task, ...]] = MappingProxyType(
    {
        BRUSHES: (FIT_SET,),
        SPRINGS: (FIT_SET, RENEW_SPRINGS),
        COMMUTATOR: (RENEW_ARMATURE,),
        WINDINGS: (RENEW_ARMATURE, RENEW_COIL),
    }
)


def looked_at_whole(sheet: Sheet, part: Part, *, measured: bool) -> bool:
    """Tell whether somebody has looked at a part as a whole on a sheet; of a part that no stage looks at, at them all.

    `measured` tells that every brush was.
    """
    stages = [s for s in STAGES if part in s.parts] or [s for s in STAGES if s.parts]
    return all(_at_stage(s, sheet, part, measured=measured) for s in stages)


def _at_stage(stage: Stage, sheet: Sheet, part: Part, *, measured: bool) -> bool:
    ticks = dict(stage.looks)
    if part in ticks:
        return ticks[part].of(sheet)
    looked = measured if stage.measures else stage.looked_at(sheet)
    return looked and (part in stage.parts or all(tick.of(sheet) for tick in ticks.values()))


def renewing(part: Part) -> tuple[Task, ...]:
    """Return the work after which nothing of a part is what it was, none where some of it always stays."""
    return _RENEWED_BY.get(part, ())


def renewed_whole(part: Part, done: Mapping[Task, tuple[Given, ...]]) -> tuple[Given, ...]:
    """Return what says that a part was renewed as a whole, empty where it was not."""
    asked = renewing(part)
    if not asked or not all(done.get(task) for task in asked):
        return ()
    return tuple(dict.fromkeys(given for task in asked for given in done[task]))
