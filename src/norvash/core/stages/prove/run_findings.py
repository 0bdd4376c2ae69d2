"""What a proof run can find, each to be decided as any other finding."""

from norvash.core.grades import Grade
from norvash.core.sheet.finding import Finding, finding
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


FLASH_FIELD = Task(
    id="flash-field",
    what="Flash the field",
    done="field flashed",
    minutes=20,
    tools="battery of at most field volts, rheostat, diode or resistor",
    steps=(
        "brushes lifted or armature parted, regulator off",
        "right polarity, at most field volts, for a moment",
        "turn the current down to nothing before the lead is taken off",
        "drive it and read its volts again",
    ),
    caution="the field kicks when it is opened: a diode or resistor across it first",
)


def _of_run(finding_id: str, words: str, grade: Grade, decision: str, *tasks: Task) -> Finding:
    """Return a finding of the run: it is mended by what its figures speak for."""
    return finding(finding_id, words, grade, decision, RUN, MEND_RUN, *tasks)


FINDINGS = (
    RUN_WRONG_WAY := _of_run(
        "run.wrong-way", "turns the wrong way", "stop", "off: change its leads or its brush gear back"
    ),
    RUN_RUBS := _of_run("run.rubs", "something rubs while it turns", "stop", "off: open it, find what rubs"),
    RUN_SPARKING := _of_run(
        "run.sparking",
        "strong sparks round the commutator",
        "stop",
        "shut down: look at bars, neutral, brushes and seating first",
    ),
    RUN_ON_STOP := _of_run(
        "run.on-stop",
        "run, or fed, while a stop stood",
        "change",
        "mend what stopped it, look for what that run has hurt, then run it again",
    ),
    RUN_OVERSPEED := _of_run(
        "run.overspeed", "faster than it may turn", "stop", "off at once: load, field and volts first"
    ),
    RUN_SPARKS := _of_run(
        "run.sparks", "more sparks than it may have", "plan", "look at seating, pressure and surface, run it in longer"
    ),
    RUN_DRAG := _of_run("run.drag", "high current at low speed", "change", "think of drag, then of shorted turns"),
    RUN_CONTACT := _of_run(
        "run.contact", "low current at low speed", "change", "think of brush contact: springs, leads, surface"
    ),
    RUN_WEAK_FIELD := _of_run(
        "run.weak-field", "high current at high speed", "change", "think of a weak field or weak magnets"
    ),
    RUN_OVERLOAD := _of_run(
        "run.overload",
        "more current without load than its plate allows with it",
        "stop",
        "off at once: field, shorted turns, drag and volts first",
    ),
    RUN_VOLTS := _of_run(
        "run.volts",
        "run over the volts of its plate",
        "change",
        "set the supply; measure insulation again, and make the bar test where there is one, then run it again",
    ),
    RUN_HEAVY := _of_run(
        "run.heavy",
        "a steady current far over that of its plate",
        "change",
        "off: load, drag, shorted turns and volts first",
    ),
    RUN_AMPS := _of_run("run.amps", "current outside its band", "plan", "find why before it goes back"),
    RUN_SPEED := _of_run("run.speed", "speed outside its band", "plan", "find why before it goes back"),
    RUN_BASELINE := _of_run("run.baseline", "not as at its own baseline", "plan", "find what has changed since"),
    RUN_HOT := _of_run("run.hot", "hotter than allowed", "change", "look at load, cooling, bearings and brushes"),
    RUN_TOUCHED := _of_run(
        "run.touched", "too hot where it is touched", "plan", "look at load, air ways and what lies under the grip"
    ),
    OUTPUT_DEAD := _of_run(
        "output.dead",
        "no output",
        "change",
        "brushes, field circuit and direction first, then the residual field",
        FLASH_FIELD,
    ),
    OUTPUT_FLAT := _of_run(
        "output.flat", "its volts do not rise with speed", "change", "field circuit and brush contact first"
    ),
    OUTPUT_LOW := _of_run("output.low", "low output", "change", "brush contact, field and armature, one after another"),
    OUTPUT_HIGH := _of_run(
        "output.high", "high output", "plan", "the regulator is left out of it? Then look at field and speed"
    ),
)
