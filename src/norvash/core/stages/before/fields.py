"""What is measured before a motor is opened."""

from norvash.core.edges import over
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.facts import Facts
from norvash.core.sheet.field import Field, Permit
from norvash.core.sheet.fields_made import column, pick, quantity, tick
from norvash.core.sheet.fields_of_parts import Log
from norvash.core.sheet.part import BATTERY, BRUSHES, HOLDERS, SPRINGS, SUPPLY, SWITCH
from norvash.core.stages.before.outside import (
    BATTERY_LOW,
    BATTERY_WEAK,
    CABLE_BOTH,
    CABLE_JOINT,
    CABLE_RETURN,
    CABLE_SUPPLY,
    CHARGE_BATTERY,
    CORD_LOSS,
    MEND_JOINTS,
    MEND_SWITCH,
    SUPPLY_OFF,
    SWITCH_HURT,
    TAPS_MISWIRED,
    TAPS_OFF,
)
from norvash.core.stages.brushes.springs import TERMINAL_MEASURED
from norvash.core.stages.prove.run_findings import RUN_AMPS, RUN_OVERLOAD, RUN_OVERSPEED, RUN_SPEED
from norvash.core.stages.prove.volts import run_free_words
from norvash.core.stages.windings.coils import MAGNETS_WEAK


def _has_taps(facts: Facts, _rules: MotorRules) -> bool:
    return bool(facts.taps)


def _no_taps(facts: Facts, _rules: MotorRules) -> bool:
    return not facts.taps and facts.motor_class not in ("starter", "generator")


def _may_run_free(facts: Facts, _rules: MotorRules) -> bool:
    return facts.may_run_free


def _runs_away(facts: Facts, rules: MotorRules) -> str:
    """Return why it is not run before it is opened, with what it may get."""
    most = run_free_words(facts, rules) or "state its plate's volts or its safe voltage first"
    return f"Without load this motor runs away: {most}; it is run under “Prove”, step by step."


def _judged_by_ohm(facts: Facts, rules: MotorRules) -> bool:
    """Tell whether a terminal may be judged by its resistance: of no starter, and of no machine of low voltage."""
    low = facts.rated_v is not None and not over(facts.rated_v, rules["terminal.low-voltage"])
    return facts.motor_class != "starter" and not low


# What the volts before and beside the motor hang on.
_FEEDS = (SUPPLY, SWITCH, BATTERY)


# fmt: off

FIELDS: tuple[Field, ...] = (
    SUPPLY_V := quantity(
        "supply-v",
        "Supply",
        "Supply at its terminals",
        "voltage",
        needs="permit",
        high=50000,
        hint="under load where that is safe",
        judged=True,
        tells=(SUPPLY_OFF, CORD_LOSS),
        hangs_on=_FEEDS,
    ),
    SOURCE_V := quantity(
        "source-v", "Supply", "Supply before switch and cord", "voltage", needs="permit", high=50000, judged=True, tells=(CORD_LOSS,), hangs_on=_FEEDS
    ),
    SWITCH_APART := pick(
        "switch-apart",
        "Supply",
        "Its switch, tried apart from the motor",
        ("opens", "it lets go every time, ten times"),
        ("sticks", "it sticks, or does not open"),
        needs="safe",
        judged=True,
        finds={"sticks": SWITCH_HURT},
        touched_by=(MEND_SWITCH,),
    ),
    TAP_V := quantity(
        "tap-v",
        "Speed settings",
        "Setting",
        "voltage",
        needs="permit",
        per="tap",
        high=50000,
        offered=_has_taps,
        judged=True,
        tells=(TAPS_MISWIRED, TAPS_OFF),
        hangs_on=_FEEDS,
    ),
    TAPS_V := column(
        "taps-v",
        "Speed settings",
        "Volts at each setting, lowest first",
        "voltage",
        needs="permit",
        high=50000,
        hint="a line each; what each should be is not known",
        offered=_no_taps,
        judged=True,
        tells=(TAPS_MISWIRED, TAPS_OFF),
        hangs_on=_FEEDS,
    ),
    DROP_SUPPLY_V := quantity(
        "drop-supply-v",
        "Drops at working current",
        "Supply side",
        "voltage",
        needs="permit",
        high=50,
        classes=("starter", "traction", "generator"),
        judged=True,
        tells=(CABLE_SUPPLY,),
        touched_by=(CHARGE_BATTERY,),
        hangs_on=_FEEDS,
    ),
    DROP_RETURN_V := quantity(
        "drop-return-v",
        "Drops at working current",
        "Return side",
        "voltage",
        needs="permit",
        high=50,
        classes=("starter", "traction", "generator"),
        judged=True,
        tells=(CABLE_RETURN,),
        touched_by=(CHARGE_BATTERY,),
        hangs_on=_FEEDS,
    ),
    JOINT_V := quantity(
        "joint-v", "Drops at working current", "Worst joint", "voltage", needs="permit", high=50, judged=True, tells=(CABLE_JOINT,), hangs_on=_FEEDS
    ),
    REST_V := quantity(
        "rest-v", "Battery", "At rest", "voltage", high=1000, classes=("starter", "traction", "generator"), judged=True, tells=(BATTERY_LOW,), hangs_on=_FEEDS
    ),
    CRANKING_V := quantity(
        "cranking-v",
        "Battery",
        "While cranking",
        "voltage",
        needs="permit",
        high=1000,
        classes=("starter",),
        judged=True,
        tells=(BATTERY_WEAK, CABLE_BOTH),
        hangs_on=_FEEDS,
    ),
    STARTER_V := quantity(
        "starter-v",
        "Battery",
        "At the starter while cranking",
        "voltage",
        needs="permit",
        high=1000,
        classes=("starter",),
        hint="between post and frame",
        judged=True,
        tells=(CABLE_BOTH,),
        touched_by=(CHARGE_BATTERY,),
        hangs_on=_FEEDS,
    ),
    CRANKING_A := quantity(
        "cranking-a", "Battery", "Current while cranking", "current", needs="permit", high=50000, classes=("starter",), touched_by=(CHARGE_BATTERY, MEND_JOINTS)
    ),
    BATTERY_C := quantity("battery-c", "Battery", "Its temperature", "temperature", low=-60, high=80, classes=("starter",)),
    TERMINAL_OHM := quantity(
        "terminal-ohm",
        "Terminals",
        "Terminal, dead",
        "resistance",
        needs="dead",
        per="side",
        whole=True,
        high=1000,
        hint="meter leads taken off",
        offered=_judged_by_ohm,
        judged=True,
        tells=(TERMINAL_MEASURED,),
    ),
    TERMINAL_STEP := quantity(
        "terminal-step",
        "Terminals",
        "Finest step of the meter",
        "resistance",
        high=1000,
        hint="leads zeroed first",
        offered=_judged_by_ohm,
        judged=True,
        tells=(TERMINAL_MEASURED,),
    ),
    TERMINAL_V := quantity(
        "terminal-v",
        "Terminals",
        "Terminal, at working current",
        "voltage",
        needs="permit",
        per="side",
        whole=True,
        high=50,
        judged=True,
        tells=(TERMINAL_MEASURED,),
        hangs_on=(SPRINGS, BRUSHES, HOLDERS),
    ),
    NOLOAD_RPM := quantity(
        "noload-rpm",
        "Current",
        "Speed without load",
        "speed",
        needs="permit",
        high=1e5,
        offered=_may_run_free,
        why_not=_runs_away,
        judged=True,
        tells=(MAGNETS_WEAK, RUN_OVERSPEED, RUN_SPEED),
    ),
    NOLOAD_A := quantity(
        "noload-a",
        "Current",
        "Without load, at the voltage allowed",
        "current",
        needs="permit",
        high=50000,
        offered=_may_run_free,
        why_not=_runs_away,
        judged=True,
        tells=(MAGNETS_WEAK, RUN_OVERLOAD, RUN_AMPS),
    ),
    OUTPUT_FOUND := Log(
        id="output-found",
        group="Supply",
        label="Its volts as found, with r/min",
        needs="permit",
        classes=("generator",),
        hint="900 r/min 5.6 V; 1900 r/min 13.4 V",
    ),
    OUTCOME_BEFORE := pick(
        "upstream", "Outcome", "Outcome", ("upstream", "the fault lies before the motor: do not open it"), ("open", "go on, open the motor"), judged=True
    ),
)
# fmt: on


PERMIT_OPEN = Permit(id="permit.open", group="Test with power on", label="Opened", per="number", placed=True)
PERMIT_CLOSE = tick("permit.close", "Test with power on", "Closed", per="number", placed=True)
