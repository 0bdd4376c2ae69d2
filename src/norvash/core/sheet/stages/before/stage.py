"""Before opening: supply, speed settings, drops, battery, terminals, current."""

from collections.abc import Iterable, Iterator

from norvash.core.diagnosis.signs import BEFORE_OPENING
from norvash.core.motor.figure_fields import RATED_A, RATED_V, SPEED_TAPS
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.finding import Noted
from norvash.core.sheet.sheet import Sheet
from norvash.core.sheet.stage import Stage, Visit
from norvash.core.sheet.stages import call_in
from norvash.core.sheet.stages.before.fields import FIELDS, PERMIT_CLOSE, PERMIT_OPEN
from norvash.core.sheet.stages.before.outside import FINDINGS, SEEN
from norvash.core.sheet.stages.prove.run_fields import RUN_WHERE

_TRIED_AGAIN = ("tapped", "sparks")


def _judge(sheet: Sheet, rules: MotorRules, _worn_mm: tuple[float, ...]) -> Iterable[Noted]:
    from norvash.core.sheet.stages.before.findings import findings

    return findings(sheet, rules)


def _before_signing(visit: Visit) -> Iterator[str]:
    """Yield every test with power on that is not closed."""
    from norvash.core.sheet.walk import open_permits

    yield from (f"Test with power on no. {n} is not closed" for n in open_permits(visit.sheet))


STAGE = Stage(
    id="before",
    name="before",
    words="Before opening",
    fields=(*FIELDS, PERMIT_OPEN, PERMIT_CLOSE),
    looked=SEEN,
    findings=FINDINGS,
    again=(*(p for p in call_in.STAGE.picked if p.sign.id in _TRIED_AGAIN), RUN_WHERE),
    signs=BEFORE_OPENING,
    asks=(SPEED_TAPS, RATED_V, RATED_A),
    holds={"sign": _before_signing},
    judge=_judge,
)
