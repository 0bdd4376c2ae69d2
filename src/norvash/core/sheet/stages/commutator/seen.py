"""What is seen on a commutator."""

from norvash.core.sheet.finding import finding
from norvash.core.sheet.part import COMMUTATOR
from norvash.core.sheet.stages.shared import (
    CLEAN_TRACK,
    MAKE_BAR_TEST,
    PLAN_CUT,
    RENEW_ARMATURE,
    SEEK_CAUSE,
    UNDERCUT_MICA,
    VACUUM,
)
from norvash.core.sheet.task import Task

CLEAN_AFTER_FLASHOVER = Task(
    id="flash",
    what="Clean up after the flashover",
    done="cleaned up after the flashover",
    minutes=40,
    tools="vacuum, stone, insulation tester",
    steps=("take every bridge of copper off", "bar test and insulation", "find what flashed: neutral, overload, dust"),
)
# fmt: off
LOOKED = (
    COMMUTATOR_BLACK := finding(
        "commutator.black",
        "black all over",
        "plan",
        "clean it and its slots, then look for the cause",
        COMMUTATOR,
        CLEAN_TRACK,
        SEEK_CAUSE,
        shows=("track", "black"),
    ),
    COMMUTATOR_TWO_BARS := finding(
        "commutator.two-bars",
        "black at two bars",
        "stop",
        "not to be run until the bar test: an open coil burns its two bars",
        COMMUTATOR,
        MAKE_BAR_TEST,
        shows=("track", "two-bars"),
        never_runs=True,
    ),
    COMMUTATOR_BURNT := finding(
        "commutator.burnt",
        "bars burnt",
        "change",
        "measure run-out, make the bar test, plan a cut",
        COMMUTATOR,
        MAKE_BAR_TEST,
        PLAN_CUT,
        shows=("surface", "yes"),
    ),
    COMMUTATOR_ROUGH := finding(
        "commutator.rough",
        "rough, grooved or pitted",
        "plan",
        "measure it and plan a cut within its least diameter",
        COMMUTATOR,
        PLAN_CUT,
        shows=("surface", "yes"),
        ends_in_cut=True,
    ),
    COMMUTATOR_RAISED := finding(
        "commutator.raised",
        "a raised or loose bar",
        "stop",
        "not to be run: it tears the brushes and may fly",
        COMMUTATOR,
        RENEW_ARMATURE,
        shows=("surface", "yes"),
        never_runs=True,
    ),
    COMMUTATOR_MICA := finding(
        "commutator.mica", "mica level with the copper, or high", "plan", "undercut it", COMMUTATOR, UNDERCUT_MICA, shows=("mica", "yes")
    ),
    COMMUTATOR_SLOTS := finding(
        "commutator.slots", "slots full of dust", "watch", "clean the slots: the dust conducts", COMMUTATOR, VACUUM, shows=("slots", "yes")
    ),
    COMMUTATOR_RISER := finding(
        "commutator.riser",
        "a riser broken or unsoldered",
        "stop",
        "not to be run: re-solder it or send the armature out",
        COMMUTATOR,
        RENEW_ARMATURE,
        shows=("bars", "riser"),
        never_runs=True,
    ),
    COMMUTATOR_FLASHOVER := finding(
        "commutator.flashover",
        "marks of a flashover",
        "change",
        "clean off every bridge, test bar to bar and to earth, find what flashed: neutral, overload, dust",
        COMMUTATOR,
        CLEAN_AFTER_FLASHOVER,
        shows=("flashed", "yes"),
    ),
    COMMUTATOR_OPEN := finding(
        "commutator.open",
        "one bar high in the bar test",
        "stop",
        "not to be run, open coil: re-solder the riser if that is all, else renew the armature",
        COMMUTATOR,
        RENEW_ARMATURE,
        shows=("bars", "open"),
        by_test=True,
        never_runs=True,
    ),
    COMMUTATOR_SHORT := finding(
        "commutator.short",
        "one bar low in the bar test",
        "stop",
        "not to be run, shorted turns: renew or rewind the armature",
        COMMUTATOR,
        RENEW_ARMATURE,
        shows=("bars", "shorted"),
        by_test=True,
        never_runs=True,
    ),
)
# fmt: on
