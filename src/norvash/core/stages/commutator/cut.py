"""A cut, planned and made, and surface work."""

from norvash.core.commutator.tools import TOOLS
from norvash.core.motor.figure_fields import BARS
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.facts import Facts
from norvash.core.sheet.field import Field
from norvash.core.sheet.fields_made import column, pick, quantity, tick
from norvash.core.sheet.finding import finding
from norvash.core.sheet.part import COMMUTATOR
from norvash.core.sheet.records import SlotTime
from norvash.core.stages.commutator import cut_limits
from norvash.core.stages.shared import (
    CLEAN_TRACK,
    CONTOUR_FACES,
    MAKE_BAR_TEST,
    PLAN_CUT,
    RENEW_ARMATURE,
    SET_HOLDERS,
    UNDERCUT_MICA,
    VACUUM,
)

REFUSED = {
    "emery": "emery leaves hard dust that conducts: it bridges slots and beds in copper",
    "carborundum": "silicon carbide stays in the copper and cuts the brush",
    "steel": "steel wool and metal brushes leave wires that bridge slots",
}


def _time_planned(facts: Facts, rules: MotorRules) -> SlotTime | None:
    """Return the time that the slots were expected to take, beside the time that they took."""
    bars = BARS.stated(facts.figures)
    if bars is None:
        return None
    from norvash.core.commutator.after_cut import slot_minutes

    return SlotTime(float(f"{slot_minutes(int(bars), rules):g}"))


FINDINGS = (
    COPPER_CUT := finding(
        "copper.cut",
        "cleans up with a cut",
        "plan",
        "cut it as planned, undercut, chamfer, set the holders",
        COMMUTATOR,
        PLAN_CUT,
        UNDERCUT_MICA,
        SET_HOLDERS,
        CONTOUR_FACES,
        proof="inside",
    ),
    CUT_CONDEMNED := finding(
        "copper.condemned",
        "cut though condemned",
        "change",
        "it proves nothing: mend that, make the bar test, then measure the diameter once more",
        COMMUTATOR,
        MAKE_BAR_TEST,
        RENEW_ARMATURE,
        kinds={"one-of"},
        proof="value",
    ),
    COPPER_REFUSED := finding(
        "copper.refused",
        "does not clean up above its least diameter",
        "change",
        "no full cut: leave shallow pits, or renew the armature",
        COMMUTATOR,
        RENEW_ARMATURE,
    ),
    COPPER_UNDER := finding(
        "copper.under",
        "under its least diameter",
        "stop",
        "renew it or send the armature out",
        COMMUTATOR,
        RENEW_ARMATURE,
    ),
    COPPER_LAST := finding(
        "copper.last",
        "no further cut left",
        "watch",
        "have a replacement in view before it is needed",
        COMMUTATOR,
        RENEW_ARMATURE,
    ),
    SURFACE_EMERGENCY := finding(
        "surface.emergency",
        "dressed with a file or a wire wheel",
        "plan",
        "clean every slot, make the bar test, look again early",
        COMMUTATOR,
        VACUUM,
        MAKE_BAR_TEST,
    ),
)
# What the size of the copper and its run-out lead to.
COPPER_PLANNED = (COPPER_CUT, COPPER_REFUSED, COPPER_UNDER)
FIELDS: tuple[Field, ...] = (
    CUT_TOOL := pick("cut-tool", "Plan of a cut", "Tool", *TOOLS.items(), needs="safe", judged=True),
    LATHE_SPEEDS := column(
        "lathe-speeds",
        "Plan of a cut",
        "Speeds of the machine",
        "speed",
        needs="safe",
        low=1,
        high=1e5,
        hint="kept for the next motor",
        judged=True,
    ),
    *cut_limits.LIMITS,
    PIT_LEFT := quantity(
        "pit-left", "Plan of a cut", "Leave pits up to, radial", "length", needs="safe", high=10, judged=True
    ),
    TRUE_SETUP := pick(
        "true-setup",
        "Plan of a cut",
        "Runs true on its bearing seats",
        ("yes", "yes"),
        ("no", "it cannot be set up so"),
        needs="safe",
        judged=True,
    ),
    CUT_DONE := quantity(
        "cut-done",
        "Cut",
        "Diameter after the cut, as measured",
        "length",
        needs="safe",
        low=0.1,
        high=5000,
        hint="records the cut: everything that it changes follows",
        judged=True,
        marks="cut",
        tells=(COPPER_CUT,),
        does=(PLAN_CUT,),
    ),
    CUT_SLOTS := tick(
        "cut-slots", "After the cut", "Every slot brushed clean of copper", needs="safe", judged=True, work=True
    ),
    CUT_CHAMFER := tick(
        "cut-chamfer", "After the cut", "Edges chamfered on both sides", needs="safe", judged=True, work=True
    ),
    CUT_AGAIN := tick(
        "cut-again", "After the cut", "Run-out and bar test made again", needs="safe", judged=True, work=True
    ),
    CUT_VACUUMED := tick(
        "cut-vacuumed", "After the cut", "Blown out or vacuumed", needs="safe", judged=True, work=True
    ),
    SLOT_MINUTES := quantity(
        "slot-minutes",
        "After the cut",
        "Time that the slots took",
        "minutes",
        needs="safe",
        low=0.1,
        high=6000,
        hint="teaches the site's own factor",
        judged=True,
        beside=_time_planned,
        work=True,
    ),
    CUT_MINUTES := quantity(
        "cut-minutes",
        "After the cut",
        "Time that the cut took, with its setting up",
        "minutes",
        needs="safe",
        low=0.1,
        high=6000,
        hint="teaches the site's own factor",
        judged=True,
        work=True,
        placed=True,
    ),
    SURFACE_WITH := pick(
        "surface-with",
        "Surface work",
        "Cleaned with",
        ("stone", "commutator stone"),
        ("stick", "rubber-bonded stick"),
        ("paper", "non-conducting paper, 240 to 400"),
        ("mild", "leather, eraser, non-metal scourer"),
        ("file", "file or wire wheel, emergency only"),
        ("emery", "emery"),
        ("carborundum", "silicon carbide"),
        ("steel", "steel wool or metal brush"),
        needs="safe",
        judged=True,
        refused=REFUSED,
        does=(CLEAN_TRACK,),
    ),
)
