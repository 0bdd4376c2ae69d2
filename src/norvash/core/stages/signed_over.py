"""What a sheet was signed over as it went back to service: it stays open with the motor until a later sheet does it."""

from norvash.core.sheet.finding import finding
from norvash.core.sheet.part import RELEASE
from norvash.core.sheet.task import Task

MAKE_UP = Task(
    id="make-up",
    what="Do what its sheet was signed over",
    done="what its sheet was signed over done",
    minutes=20,
    tools="as the gate or the test asks",
    steps=("made safe, closed up", "measure what was not measured", "pass the gates and run it"),
    caution="nobody has proven it since: not in use before that",
    runs=True,
)

FINDINGS = (
    OVER_POWER := finding(
        "signed.power",
        "signed with the gate before power open",
        "change",
        "not in use before that gate is passed and it has run",
        RELEASE,
        MAKE_UP,
        proof="value",
    ),
    OVER_CLOSE := finding(
        "signed.close",
        "signed without being closed up after the last work inside",
        "change",
        "let the brushes go, turn it by hand, then run it",
        RELEASE,
        MAKE_UP,
        proof="value",
    ),
    OVER_SERVICE := finding(
        "signed.service",
        "signed with the gate back to service open",
        "change",
        "guards, covers and earth back first, then tick that gate",
        RELEASE,
        MAKE_UP,
        proof="value",
    ),
    OVER_RUN := finding(
        "signed.run",
        "signed without a proof run",
        "plan",
        "run it at the next call, and judge what it shows",
        RELEASE,
        MAKE_UP,
        proof="value",
    ),
    OVER_COUNTS := finding(
        "signed.counts",
        "signed with parts that are not back as they came off",
        "plan",
        "put the right ones in and look at them",
        RELEASE,
        MAKE_UP,
        proof="look",
    ),
    OVER_INSULATION := finding(
        "signed.insulation",
        "insulation not measured",
        "plan",
        "measure it as soon as there is an instrument",
        RELEASE,
        MAKE_UP,
        proof="value",
    ),
    OVER_FIELD := finding(
        "signed.field", "field not measured", "plan", "measure it at the next call", RELEASE, MAKE_UP, proof="value"
    ),
)
