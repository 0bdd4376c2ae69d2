"""The three gates: before it is opened, before power, back to service; each with the cautions of its class and act."""

from collections.abc import Iterable

from norvash.core.rules.book import MotorRules
from norvash.core.sheet.facts import Facts
from norvash.core.sheet.fields_made import pick
from norvash.core.sheet.finding import Finding
from norvash.core.sheet.gate import Gate, Step
from norvash.core.stages.power_steps import EVERY_POWER_STEP, before_power
from norvash.core.stages.prove.run_fields import RUN_HOW
from norvash.core.stages.safe_steps import EVERY_SAFE_STEP, to_be_safe
from norvash.core.stages.signed_over import OVER_SERVICE

COMPETENT = (
    "This is decision support for competent people: the maker's manual, local electrical and safety rules and licensed "
    "practice come first; work on mains or high-energy circuits may be reserved to licensed persons where you are."
)
METHODS = {
    "unplugged": "unplugged, plug in sight",
    "battery-out": "battery taken out",
    "earth-lead": "battery earth lead off",
    "disconnected": "battery disconnected",
    "locked": "own lock and tag",
    "fuses": "fuses drawn and kept",
    "on-bench": "on the bench, joined to nothing",
}
_USUAL = {
    "plug": "unplugged",
    "pack": "battery-out",
    "fixed": "locked",
    "line": "disconnected",
    "battery": "disconnected",
    "engine": "disconnected",
}


_SERVICE = (
    Step("whole", "All guards and covers back in place, and earth where it has one", "tools and rags counted", "work"),
    Step("own", "Own lock and tag taken off, users told", "nobody else takes them off", "work"),
)


def unfit(noted: Iterable[tuple[int, Finding]]) -> Finding | None:
    """Return the first of what was found on a motor with which nothing runs, None where nothing forbids it."""
    return next((f for _, f in noted if "never-runs" in f.kinds), None)


def usual_run(facts: Facts) -> str:
    """Return the usual way to run a motor of this class and construction."""
    if facts.motor_class in ("starter", "generator"):
        return "clamped" if facts.motor_class == "starter" else "driven"
    return "load" if facts.runs_away else "free"


def usual_method(facts: Facts) -> str:
    """Return the usual way to isolate a motor, by what feeds it."""
    return "earth-lead" if facts.motor_class == "starter" else _USUAL[facts.feed]


def _back_to_service(_facts: Facts, _rules: MotorRules) -> tuple[Step, ...]:
    return _SERVICE


_WORKED = "work was done until"
METHOD = pick("safe.method", "Isolation", "Isolated by", *METHODS.items())


SAFE = Gate(
    id="safe",
    words="Make safe",
    every=EVERY_SAFE_STEP,
    steps=to_be_safe,
    how=METHOD,
    how_words="how it is isolated",
    how_undone_by="feed",
    anew_words="power was on until",
    whole=True,
)
POWER = Gate(
    id="power",
    words="Before power",
    every=EVERY_POWER_STEP,
    steps=before_power,
    how=RUN_HOW,
    how_words="how it is run",
    anew_words=_WORKED,
)
SERVICE = Gate(
    id="service",
    words="Back to service",
    every=_SERVICE,
    steps=_back_to_service,
    anew_words=_WORKED,
    proves=(OVER_SERVICE,),
    by_hold=True,
)
GATES = {g.id: g for g in (SAFE, POWER, SERVICE)}
