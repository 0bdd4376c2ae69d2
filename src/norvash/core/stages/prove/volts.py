"""How much voltage a motor may get without load: a bare series motor runs away."""

from dataclasses import dataclass

from norvash.core.edges import over, under
from norvash.core.motor.figure_fields import RATED_V, SAFE_NOLOAD_V
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.facts import Facts


@dataclass(frozen=True, slots=True)
class Most:
    """The most volts without load [V], and why."""

    volts: float
    why: str

    @property
    def words(self) -> str:
        """Return it in words."""
        return f"at most {self.volts:.4g} V without load, {self.why}"


def unloaded_most(facts: Facts, rules: MotorRules, *, speed_read: bool, shown: Most | None = None) -> Most | None:
    """Return the most that a motor may get without load, None where nothing forbids its plate's voltage; of a stated
    safe voltage and the one that low runs of this visit have `shown` the lesser.

    Without either it begins at a tenth of its plate's, and goes up to a quarter once its speed is read
    at every step. Units: V. Raises: LookupError where it runs away and nothing says how much it may get.
    Source: rules run.start, run.most
    """
    if not facts.runs_away:
        return None
    stated, rated = SAFE_NOLOAD_V.of(facts.figures), RATED_V.of(facts.figures)
    if stated is not None and (shown is None or not under(shown.volts, stated)):
        return Most(stated, "its safe voltage")
    if shown is not None:
        return shown
    if rated is None:
        raise LookupError("no voltage of its plate")
    if speed_read:
        return Most(rules["run.most"] * rated, "a quarter of its plate's with r/min read at every step")
    return Most(rules["run.start"] * rated, "a tenth of its plate's until r/min is read at every step")


def run_free_words(facts: Facts, rules: MotorRules, *, speed_read: bool = True, shown: Most | None = None) -> str:
    """Return how much it may get without load, in words; empty where that is not known."""
    try:
        most = unloaded_most(facts, rules, speed_read=speed_read, shown=shown)
    except LookupError:
        return ""
    return most.words if most is not None else "without load at the volts of its plate"


def fed_by_battery(facts: Facts) -> bool:
    """Tell whether its volts are those of a battery, a pack or a vehicle, which charge above their nominal."""
    return facts.by_battery or facts.motor_class == "starter" or facts.low_voltage


def plate_most(facts: Facts, rules: MotorRules) -> tuple[str, float]:
    """Return the rule by which volts are over a plate, and how many times the plate's it allows [1].

    Source: rules supply.high, run.volts-battery
    """
    if fed_by_battery(facts):
        return "run.volts-battery", rules["run.volts-battery"]
    return "supply.high", rules["supply.high"]


def over_plate(volts: float, facts: Facts, rules: MotorRules) -> str:
    """Return why so many volts are over its plate, empty where they are not, or where its plate is not known.

    Units: [V]. Source: as `plate_most`
    """
    _, most = plate_most(facts, rules)
    if facts.rated_v is None or not over(volts, most * facts.rated_v):
        return ""
    of = "the nominal" if fed_by_battery(facts) else "the plate's"
    return f"{volts:g} V is over {most:g} times {of} {facts.rated_v:g} V"


def too_much(volts: float, facts: Facts, rules: MotorRules, *, speed_read: bool, shown: Most | None = None) -> str:
    """Return why a motor must not get so many volts without load, empty where it may. Units: V."""
    try:
        most = unloaded_most(facts, rules, speed_read=speed_read, shown=shown)
    except LookupError:
        return "it runs away, and nothing says how much it may get: state its plate's or its safe voltage"
    return f"{volts:g} V is too much: {most.words}" if most is not None and over(volts, most.volts) else ""
