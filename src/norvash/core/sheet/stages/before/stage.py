"""Before opening: supply, speed settings, drops, battery, terminals, current."""

from collections.abc import Iterable

from norvash.core.diagnosis.signs import BEFORE_OPENING
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.finding import Noted
from norvash.core.sheet.sheet import Sheet
from norvash.core.sheet.stage import Stage
from norvash.core.sheet.stages import call_in
from norvash.core.sheet.stages.before.fields import FIELDS, PERMIT_CLOSE, PERMIT_OPEN

_TRIED_AGAIN = ("tapped", "sparks")


def _judge(sheet: Sheet, rules: MotorRules, _worn_mm: tuple[float, ...]) -> Iterable[Noted]:
    from norvash.core.sheet.stages.before.findings import findings

    return findings(sheet, rules)


STAGE = Stage(
    id="before",
    name="before",
    words="Before opening",
    fields=(*FIELDS, PERMIT_OPEN, PERMIT_CLOSE),
    again=tuple(p for p in call_in.STAGE.picked if p.sign.id in _TRIED_AGAIN),
    signs=BEFORE_OPENING,
    judge=_judge,
)
