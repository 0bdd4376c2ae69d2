"""What a proof run can find, each to be decided as any other finding."""

from norvash.core.sheet.finding import finding
from norvash.core.sheet.part import RUN
from norvash.core.sheet.task import Task

MEND_RUN = Task(
    id="mend-run",
    what="Find what the run shows and mend it",
    done="what the run showed found and mended",
    minutes=30,
    tools="as the finding says",
    steps=("take power off, make safe again", "follow what the figures speak for", "close up, run it again"),
    caution="nothing is touched inside while it can turn",
)
FINDINGS = (
    RUN_WRONG_WAY := finding(
        "run.wrong-way", "turns the wrong way", "stop", "off: change its leads or its brush gear back", RUN, MEND_RUN
    ),
    RUN_RUBS := finding(
        "run.rubs", "something rubs while it turns", "stop", "off: open it, find what rubs", RUN, MEND_RUN
    ),
    RUN_SPARKING := finding(
        "run.sparking",
        "strong sparks round the commutator",
        "stop",
        "shut down: look at bars, neutral, brushes and seating first",
        RUN,
        MEND_RUN,
    ),
    RUN_OVERSPEED := finding(
        "run.overspeed", "faster than it may turn", "stop", "off at once: load, field and volts first", RUN, MEND_RUN
    ),
    RUN_SPARKS := finding(
        "run.sparks",
        "more sparks than it may have",
        "plan",
        "look at seating, pressure and surface, run it in longer",
        RUN,
        MEND_RUN,
    ),
    RUN_DRAG := finding(
        "run.drag", "high current at low speed", "change", "think of drag, then of shorted turns", RUN, MEND_RUN
    ),
    RUN_CONTACT := finding(
        "run.contact",
        "low current at low speed",
        "change",
        "think of brush contact: springs, leads, surface",
        RUN,
        MEND_RUN,
    ),
    RUN_WEAK_FIELD := finding(
        "run.weak-field", "high current at high speed", "change", "think of a weak field or weak magnets", RUN, MEND_RUN
    ),
    RUN_AMPS := finding("run.amps", "current outside its band", "plan", "find why before it goes back", RUN, MEND_RUN),
    RUN_SPEED := finding("run.speed", "speed outside its band", "plan", "find why before it goes back", RUN, MEND_RUN),
    RUN_BASELINE := finding(
        "run.baseline", "not as at its own baseline", "plan", "find what has changed since", RUN, MEND_RUN
    ),
    RUN_HOT := finding(
        "run.hot", "hotter than it may be", "change", "look at load, cooling, bearings and brushes", RUN, MEND_RUN
    ),
    OUTPUT_DEAD := finding(
        "output.dead",
        "no output",
        "change",
        "brushes, field circuit and direction first, then the residual field",
        RUN,
        MEND_RUN,
    ),
    OUTPUT_FLAT := finding(
        "output.flat",
        "its volts do not rise with speed",
        "change",
        "field circuit and brush contact first",
        RUN,
        MEND_RUN,
    ),
    OUTPUT_LOW := finding(
        "output.low", "low output", "change", "brush contact, field and armature, one after another", RUN, MEND_RUN
    ),
    OUTPUT_HIGH := finding(
        "output.high",
        "high output",
        "plan",
        "the regulator is left out of it? Then look at field and speed",
        RUN,
        MEND_RUN,
    ),
)
