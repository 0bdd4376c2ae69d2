"""The test from bar to bar, and from the bars to the shaft."""

from norvash.core.sheet.field import Field
from norvash.core.sheet.fields_made import column, pick, quantity, text
from norvash.core.sheet.finding import finding
from norvash.core.sheet.part import BRUSHES, COMMUTATOR, HOLDERS, WINDINGS
from norvash.core.stages.commutator.cut import CUT_CONDEMNED
from norvash.core.stages.commutator.seen import CLEAN_AFTER_FLASHOVER
from norvash.core.stages.shared import (
    CLEAN_TRACK,
    JOIN_WIRE,
    MAKE_BAR_TEST,
    PLAN_CUT,
    RE_SOLDER,
    RENEW_ARMATURE,
    SECURE_TURNS,
    UNDERCUT_MICA,
    VACUUM,
)
from norvash.core.stages.windings.insulation import INSULATION_AGAIN, INSULATION_FALLEN
from norvash.core.stages.windings.seen import WINDINGS_EARTH

FINDINGS = (
    BARTEST_OPEN := finding(
        "bartest.open",
        "open in the bar test",
        "stop",
        "no release: re-solder the riser if that is all, else renew or rewind",
        COMMUTATOR,
        RE_SOLDER,
        RENEW_ARMATURE,
        shows=("bars", "open"),
        kinds={"never-runs", "one-of"},
    ),
    BARTEST_SHORT := finding(
        "bartest.short",
        "shorted in the bar test",
        "stop",
        "no release: clean the slots and test again, then renew or rewind",
        COMMUTATOR,
        CLEAN_TRACK,
        RENEW_ARMATURE,
        shows=("bars", "shorted"),
        kinds={"never-runs"},
    ),
    BARTEST_SUSPECT := finding(
        "bartest.suspect",
        "suspect in the bar test",
        "change",
        "clean, test again; if it stays, no release without a waiver",
        COMMUTATOR,
        CLEAN_TRACK,
        MAKE_BAR_TEST,
    ),
)
FIELDS: tuple[Field, ...] = (
    WAIVE_BAR_TEST := text("waiver.bar-test", "Waived", "No bar test can be made here: waived because", placed=True),
    BAR_TEST := column(
        "bar-test",
        "Bar test",
        "Readings from bar to bar",
        "reading",
        needs="safe",
        high=1e9,
        hint="mΩ or mV, the first between bars 1 and 2; - where one is missing",
        judged=True,
        tells=(BARTEST_OPEN, BARTEST_SHORT, BARTEST_SUSPECT),
        proves=(CUT_CONDEMNED,),
        touched_by=(PLAN_CUT, UNDERCUT_MICA, CLEAN_AFTER_FLASHOVER, JOIN_WIRE),
        ends=(MAKE_BAR_TEST,),
    ),
    BAR_TEST_HOW := pick(
        "bar-test-how",
        "Bar test",
        "Measured as",
        ("resistance", "resistance"),
        ("drop", "voltage drop"),
        needs="safe",
        judged=True,
        tested="bar-test",
    ),
    BAR_TEST_FED := pick(
        "bar-test-fed",
        "Bar test",
        "Fed",
        ("bars", "from bar to bar"),
        ("fixed", "between two fixed bars"),
        needs="safe",
        judged=True,
        tested="bar-test",
    ),
    BAR_TEST_LIFTED := pick(
        "bar-test-lifted",
        "Bar test",
        "Brushes lifted",
        ("yes", "yes, or the armature was out"),
        ("no", "no"),
        needs="safe",
        hint="not said: no release",
        judged=True,
        tested="bar-test",
    ),
    BAR_TEST_NOISE := quantity(
        "bar-test-noise",
        "Bar test",
        "Scatter of a reading",
        "share",
        needs="safe",
        high=1,
        hint="how far two readings at one place differ, like 2 %",
        judged=True,
        tested="bar-test",
    ),
    BAR_SHAFT := quantity(
        "bar-shaft",
        "Bar test",
        "Lowest from a bar to the shaft",
        "insulation",
        needs="safe",
        high=1e7,
        judged=True,
        compared=True,
        tells=(WINDINGS_EARTH, INSULATION_AGAIN, INSULATION_FALLEN),
        hangs_on=(WINDINGS, COMMUTATOR, HOLDERS, BRUSHES),
        touched_by=(RENEW_ARMATURE, RE_SOLDER, JOIN_WIRE, SECURE_TURNS, CLEAN_TRACK, CLEAN_AFTER_FLASHOVER, VACUUM),
    ),
    BAR_SHAFT_C := quantity(
        "bar-shaft-c",
        "Bar test",
        "At a temperature of",
        "temperature",
        needs="safe",
        low=-40,
        high=200,
        judged=True,
        compared=True,
        tested="bar-shaft",
    ),
    BAR_SHAFT_BAR := quantity(
        "bar-shaft-bar", "Bar test", "At bar", "count", needs="safe", low=1, high=2000, judged=True, tested="bar-shaft"
    ),
)
