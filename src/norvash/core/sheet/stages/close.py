"""Close up: nothing latched, nothing left over, it turns."""

from collections.abc import Iterator

from norvash.core.sheet.field import Field
from norvash.core.sheet.fields_made import quantity, tick
from norvash.core.sheet.stage import Stage, Visit
from norvash.core.sheet.stages.record import HOW_FAR_OPEN

FIELDS: tuple[Field, ...] = (
    LATCHED := tick(
        "latched", "Closed up", "Nothing holds a brush back: latches and hooks off", needs="safe", after_work=True
    ),
    MARKS_MET := tick("marks-met", "Closed up", "Witness marks meet", needs="safe", after_work=True, record=True),
    TURNS_FREE := tick(
        "free", "Closed up", "Turns freely by hand, no scrape", needs="safe", after_work=True, record=True
    ),
    NOTHING_LEFT := tick("nothing-left", "Closed up", "No part left over", needs="safe", after_work=True, record=True),
    TORQUE_NM := quantity(
        "torque-nm",
        "Closed up",
        "Torque of the through-bolts",
        "torque",
        needs="safe",
        high=1000,
        hint="maker's figure first",
        record=True,
    ),
)


def _before_power(visit: Visit) -> Iterator[str]:
    """Yield that nobody has said that the brushes are let go, where new ones came in or the armature was out."""
    from norvash.core.sheet.done import last_work

    sheet, let_go = visit.sheet, LATCHED.given(visit.sheet)
    if visit.found.new or HOW_FAR_OPEN.of(sheet) == "stripped":
        if let_go is None:
            yield "nobody has said that nothing holds a brush back: latches and hooks"
        elif let_go.at < last_work(sheet):
            yield "latches and hooks were looked at before the last work: look again"


def _is_done(visit: Visit) -> bool:
    """Tell whether it was closed up since the last work on it."""
    from norvash.core.sheet.done import last_work

    closed = [given.at for f in FIELDS if (given := f.given(visit.sheet)) is not None]
    return max(closed, default=visit.sheet.at) >= last_work(visit.sheet) and bool(closed)


STAGE = Stage(
    id="close",
    name="close",
    words="Close up",
    fields=FIELDS,
    inside=True,
    schools=("school.torque", "school.order"),
    holds={"power": _before_power},
    is_done=_is_done,
)
