"""Which motors run without a figure to hold them against, for how long they do, and what is entered of such a run."""

from norvash.core.motor.figure_fields import (
    DUTY_MIN,
    NOLOAD_A_MOST,
    NOLOAD_RPM_LEAST,
    PERMITTED_RPM,
    RATED_A,
    RATED_RPM,
    RATED_W,
    SHORT_DUTY,
    USUAL_NOLOAD_A,
    USUAL_NOLOAD_RPM,
)
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.facts import Facts
from norvash.core.sheet.fields_made import pick, quantity, text, tick
from norvash.core.stages.prove.volts import fed_by_battery

OF_STARTER = (NOLOAD_A_MOST, NOLOAD_RPM_LEAST, USUAL_NOLOAD_A, USUAL_NOLOAD_RPM)
_OF_PLATE = (RATED_A, RATED_RPM)
# What a run is held against; power counts by the volts of the plate, of what idles in its machine.
OF_RUN = (*OF_STARTER, PERMITTED_RPM, *_OF_PLATE, RATED_W)


def runs_first(facts: Facts) -> bool:
    """Tell whether neither plate nor type gives a current or a speed that a run is held against."""
    if facts.motor_class == "generator":
        return False
    figures = facts.figures
    if any(f.of(figures) for f in OF_STARTER):
        return False
    if facts.motor_class == "starter":
        return True
    by_power = facts.idles and RATED_W.stated(figures) is not None and facts.rated_v is not None
    return not (by_power or PERMITTED_RPM.of(figures) or any(f.stated(figures) for f in _OF_PLATE))


def _starts_engine(facts: Facts, _rules: MotorRules) -> bool:
    return facts.starts_engine


def in_spells(facts: Facts) -> bool:
    """Tell whether a motor is run for short spells with a rest between: made for short duty with no time stated; held
    in the hand or on the table, a tool, a vehicle's, of which nobody says that it may run on.
    """
    if DUTY_MIN.stated(facts.figures) is not None:
        return False
    said = SHORT_DUTY.stated(facts.figures)
    return said == "yes" or (not said and (facts.idles or fed_by_battery(facts)))


def spells(facts: Facts, rules: MotorRules) -> tuple[int, float]:
    """Return how often a motor without a figure is run, and how long each time [min]; of one made for short duty whose
    time is stated that, once.

    Source: rules run.first-min, run.first-spell
    """
    stated = DUTY_MIN.stated(facts.figures)
    if stated is not None:
        return 1, stated
    return (2, rules["run.first-spell"]) if in_spells(facts) else (1, rules["run.first-min"])


def _is_powered(facts: Facts, _rules: MotorRules) -> bool:
    return facts.motor_class != "generator"


def rests(facts: Facts, _rules: MotorRules) -> bool:
    """Tell whether it is run in spells with a rest between: a motor of which no figure is known and that is made for
    short ones; a starter of which nobody states what it is held against.
    """
    return runs_first(facts) and (facts.motor_class == "starter" or in_spells(facts))


def _runs_on(facts: Facts, _rules: MotorRules) -> bool:
    return facts.motor_class not in ("generator", "starter")


def _gets_steady(facts: Facts, rules: MotorRules) -> bool:
    return _runs_on(facts, rules) and SHORT_DUTY.of(facts.figures) != "yes"


def _says_none(facts: Facts, _rules: MotorRules) -> bool:
    return runs_first(facts) and facts.motor_class != "starter"


READING = "reading"
USUAL_FROM = pick(
    "usual-from",
    "Plate",
    "Where its figure comes from that was stated at this visit",
    ("plate", "its plate"),
    ("maker", "its maker's sheet"),
    ("type", "others of its type, measured"),
    (READING, "what was read in this run: proves nothing"),
    offered=_is_powered,
    judged=True,
    placed=True,
)
PLATE_NONE = tick(
    "plate-none",
    "Plate",
    "Plate read: none given, neither current nor speed",
    offered=_says_none,
    judged=True,
    placed=True,
)
PLATE_ANEW = text(
    "plate-anew",
    "Plate",
    "Its plate was read again, by somebody else: what it shows",
    offered=_says_none,
    judged=True,
    placed=True,
)
RUN_MIN = quantity(
    "run-min",
    "Run",
    "Ran for",
    "minutes",
    needs="power",
    per="number",
    whole=True,
    low=0.1,
    high=6000,
    offered=_runs_on,
    judged=True,
)
RUN_REST = quantity(
    "run-rest",
    "Run",
    "Rest before it",
    "minutes",
    needs="power",
    per="number",
    whole=True,
    high=6000,
    offered=rests,
    judged=True,
)
RUN_C_BEFORE = quantity(
    "run-c-before",
    "Run",
    "The same place 5 min before",
    "temperature",
    needs="power",
    low=-40,
    high=300,
    offered=_gets_steady,
    judged=True,
)
ENGINE_STARTS = tick(
    "engine-starts",
    "Run",
    "On its engine: it cranks, and the engine starts",
    needs="power",
    classes=("starter",),
    offered=_starts_engine,
    after_work=True,
    judged=True,
)
