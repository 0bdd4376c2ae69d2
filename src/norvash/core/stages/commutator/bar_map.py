"""The map of the bars, and what its pattern says."""

from norvash.core.motor.figure_fields import BARS
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.facts import Facts
from norvash.core.sheet.field import Field, Painted
from norvash.core.sheet.fields_made import tick
from norvash.core.sheet.finding import finding
from norvash.core.sheet.part import COMMUTATOR
from norvash.core.stages.commutator.seen import LOOKED
from norvash.core.stages.shared import (
    CHECK_NEUTRAL,
    CLEAN_TRACK,
    PLAN_CUT,
    RE_SOLDER,
    RENEW_ARMATURE,
    SEEK_CAUSE,
    SEEK_ONCE_A_TURN,
    UNDERCUT_MICA,
)


def _has_bars(facts: Facts, _rules: MotorRules) -> bool:
    return BARS.stated(facts.figures) is not None


FINDINGS = (
    COMMUTATOR_PITCH := finding(
        "commutator.pitch",
        "marked once a turn",
        "plan",
        "look for imbalance, misalignment, an uneven air gap, unequal fields, a bad armature joint",
        COMMUTATOR,
        SEEK_ONCE_A_TURN,
    ),
    COMMUTATOR_SLOT_MARKS := finding(
        "commutator.slot-marks",
        "marked slot by slot",
        "watch",
        "commutation is at its limit: check neutral, grade and load; not the armature's health",
        COMMUTATOR,
        CHECK_NEUTRAL,
    ),
    COMMUTATOR_DRAG := finding(
        "commutator.drag",
        "copper drag",
        "plan",
        "chamfer the edges; look at vibration, pressure and grade",
        COMMUTATOR,
        UNDERCUT_MICA,
        SEEK_CAUSE,
    ),
    COMMUTATOR_THREADS := finding(
        "commutator.threads",
        "threads or streaks",
        "watch",
        "think of low current, low pressure, abrasive dust or oil",
        COMMUTATOR,
        SEEK_CAUSE,
    ),
)
FIELDS: tuple[Field, ...] = (
    BAR_MAP := Painted(
        id="bar-map",
        group="Bar map",
        label="Bar map",
        needs="safe",
        offered=_has_bars,
        judged=True,
        tells=(*FINDINGS, *LOOKED),
        touched_by=(PLAN_CUT, CLEAN_TRACK, RE_SOLDER, RENEW_ARMATURE),
    ),
    ALL_SEEN := tick(
        "all-seen",
        "Bar map",
        "Every bar is looked at: the map is whole",
        needs="safe",
        offered=_has_bars,
        judged=True,
        tested=BAR_MAP.id,
    ),
)
