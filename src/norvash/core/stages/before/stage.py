"""Before opening: supply, speed settings, drops, battery, terminals, current."""

from norvash.core.diagnosis.signs import BEFORE_OPENING
from norvash.core.motor.figure_fields import RATED_A, RATED_V, SPEED_TAPS
from norvash.core.sheet.stage import Stage
from norvash.core.stages import call_in
from norvash.core.stages.before.fields import FIELDS, PERMIT_CLOSE, PERMIT_OPEN
from norvash.core.stages.before.outside import FINDINGS, SEEN
from norvash.core.stages.prove.run_fields import RUN_WHERE

_TRIED_AGAIN = ("tapped", "sparks")


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
)
