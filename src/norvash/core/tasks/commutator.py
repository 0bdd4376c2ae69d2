"""Tasks on the commutator and its armature."""

from norvash.core.tasks.task import Task

ON_COMMUTATOR: tuple[Task, ...] = (
    Task(
        id="clean-track",
        what="Clean the track",
        minutes=15,
        tools="as the site's school says",
        steps=("clean it with the least removal", "clean the slots after", "vacuum"),
        schools=("school.cleaning", "school.shiny"),
        caution="gloves off near turning parts; no emery, no steel wool",
    ),
    Task(
        id="bar-test",
        what="Make the bar test",
        minutes=20,
        tools="current source, millivoltmeter",
        steps=("measure from bar to bar all round", "mark what is high or low"),
    ),
    Task(
        id="skim",
        what="Plan a cut",
        minutes=60,
        tools="lathe, dial gauge, micrometer",
        steps=("measure diameter and run-out", "see what is left above the least diameter", "cut, undercut, chamfer"),
        schools=("school.skim",),
        caution="covered windings, chuck key out, no cloth or gloves",
    ),
    Task(
        id="true-up",
        what="Check set-up and bearing seats",
        minutes=20,
        tools="dial gauge, vee blocks",
        steps=("run it on its bearing seats", "measure the run-out again"),
    ),
    Task(
        id="balance",
        what="Look for what comes once a turn",
        minutes=40,
        tools="dial gauge, feeler gauges, vibration meter",
        steps=(
            "balance and coupling",
            "air gap at every pole",
            "field coils against each other",
            "joints of the armature",
        ),
    ),
    Task(
        id="neutral",
        what="Check neutral, grade and load",
        minutes=20,
        tools="millivoltmeter",
        steps=("neutral mark", "grade and pressure of the brushes", "load"),
    ),
    Task(
        id="undercut",
        what="Undercut the mica",
        minutes=30,
        tools="slotting tool, chamfer tool",
        steps=("undercut to depth", "chamfer", "clean the slots"),
        caution="eye protection, mask",
    ),
    Task(
        id="armature",
        what="Renew the armature or send it out",
        minutes=120,
        tools="new or exchange armature",
        steps=("weigh repair against a new machine", "renew or send out"),
        schools=("school.repair",),
    ),
    Task(
        id="band",
        what="Have the armature banded or wedged anew",
        minutes=120,
        tools="motor shop",
        steps=("not turned under power before", "weigh repair against a new machine"),
        schools=("school.repair",),
        caution="it flies: nobody in its plane",
    ),
    Task(
        id="flash",
        what="Clean up after the flashover",
        minutes=40,
        tools="vacuum, stone, insulation tester",
        steps=(
            "take every bridge of copper off",
            "bar test and insulation",
            "find what flashed: neutral, overload, dust",
        ),
    ),
)
