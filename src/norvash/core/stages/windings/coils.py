"""Coils, heat, the growler, chains of sensors."""

from norvash.core.rules.book import MotorRules
from norvash.core.sheet.facts import Facts
from norvash.core.sheet.field import Field
from norvash.core.sheet.fields_made import column, pick, quantity, text
from norvash.core.sheet.finding import finding
from norvash.core.sheet.part import WINDINGS
from norvash.core.sheet.task import Task
from norvash.core.stages.shared import JOIN_WIRE, RE_SOLDER, RENEW_ARMATURE
from norvash.core.stages.signed_over import OVER_FIELD

MEND_CHAIN = Task(
    id="chain",
    what="Mend the sensor chain",
    done="sensor chain mended",
    minutes=20,
    tools="ohmmeter",
    steps=("find the break", "mend, measure it as it should be"),
)
RENEW_COIL = Task(
    id="coil",
    what="Renew the field coil",
    done="field coil renewed",
    minutes=90,
    tools="new coil, ohmmeter",
    steps=("compare all coils", "renew the odd one"),
    caution="polarity before power; the winding kicks when its circuit is opened",
)
COOL_WINDING = Task(
    id="cool",
    what="Find why the winding runs hot",
    done="what made the winding hot mended",
    minutes=40,
    tools="clamp meter, thermometer",
    steps=(
        "load and volts against the plate",
        "air ways and fan",
        "field, brushes, bearings",
        "measure its heat again",
    ),
)
SCRAP_MAGNET = Task(
    id="scrap-magnet",
    what="Renew the case with its magnets, or retire the motor",
    done="case with its magnets renewed",
    minutes=40,
    tools="new case, puller",
    steps=("tag it out until then", "weigh repair against a new machine", "keep its magnets from each other"),
    schools=("school.repair",),
    caution="magnets snatch and chip",
)


def _has_field(facts: Facts, _rules: MotorRules) -> bool:
    return not facts.magnets


def _has_own_field(facts: Facts, _rules: MotorRules) -> bool:
    return facts.own_field


_HEAT = "Heat, by resistance"
FINDINGS = (
    WINDINGS_GROWLER := finding(
        "windings.growler",
        "a slot answers on the growler",
        "stop",
        "not to be run, shorted turns: rewind or renew the armature",
        WINDINGS,
        RENEW_ARMATURE,
        shows=("bars", "shorted"),
        kinds={"never-runs"},
    ),
    WINDINGS_SHORT := finding(
        "windings.short",
        "a field coil with shorted turns",
        "change",
        "renew the coil: a weak field makes it run too fast and too hot",
        WINDINGS,
        RENEW_COIL,
        shows=("field-odd", "yes"),
    ),
    WINDINGS_OPEN := finding(
        "windings.open-coil",
        "a field coil open",
        "stop",
        "no power: find the break, join it or renew the coil",
        WINDINGS,
        JOIN_WIRE,
        RENEW_COIL,
        shows=("field-odd", "yes"),
        kinds={"one-of"},
    ),
    WINDINGS_JOINT := finding(
        "windings.joint",
        "a field coil with a poor joint",
        "plan",
        "re-solder or tighten the joint, measure again",
        WINDINGS,
        JOIN_WIRE,
        RENEW_COIL,
        shows=("field-odd", "yes"),
        kinds={"one-of"},
    ),
    WINDINGS_COIL := finding(
        "windings.coil-off",
        "a field coil a little off the others",
        "watch",
        "measure it again at the next visit",
        WINDINGS,
        RENEW_COIL,
    ),
    FIELD_MUCH := finding(
        "windings.field-much",
        "the field takes more current than usual",
        "plan",
        "measure it coil by coil; no armature volts before its current was read",
        WINDINGS,
        RENEW_COIL,
    ),
    FIELD_THIN := finding(
        "windings.field-thin",
        "the field takes hardly any current: nearly open",
        "change",
        "find the poor joint or the break; renew the coil where it lies inside",
        WINDINGS,
        JOIN_WIRE,
        RENEW_COIL,
        kinds={"one-of"},
    ),
    WINDINGS_HOT := finding(
        "windings.hot",
        "a winding hotter than its class allows",
        "plan",
        "look at load, cooling, field and brushes before it runs on",
        WINDINGS,
        COOL_WINDING,
    ),
    MAGNETS_WEAK := finding(
        "magnets.weak",
        "runs free too fast and draws too much: magnets weak",
        "change",
        "renew the case with its magnets",
        WINDINGS,
        SCRAP_MAGNET,
    ),
    CHAIN_DEAD := finding(
        "chain.dead",
        "a sensor or wear-indicator chain is not as it should be",
        "change",
        "mend it, or its warning is lost",
        WINDINGS,
        MEND_CHAIN,
    ),
)
_OF_COIL = (WINDINGS_SHORT, WINDINGS_OPEN, WINDINGS_JOINT, WINDINGS_COIL, FIELD_MUCH, FIELD_THIN)
FIELDS: tuple[Field, ...] = (
    COILS := column(
        "coils",
        "Field coils",
        "Resistance of each coil",
        "resistance",
        needs="safe",
        hint="one for each pole, OL for an open one",
        offered=_has_field,
        judged=True,
        compared=True,
        tells=_OF_COIL,
        proves=(OVER_FIELD,),
    ),
    FIELD_WHOLE := quantity(
        "field-ohm",
        "Field coils",
        "Resistance of the whole field",
        "resistance",
        needs="safe",
        hint="OL where it is open",
        offered=_has_own_field,
        judged=True,
        compared=True,
        tells=_OF_COIL,
        proves=(OVER_FIELD,),
    ),
    COILS_C := quantity(
        "coils-c",
        "Field coils",
        "At a temperature of",
        "temperature",
        needs="safe",
        low=-40,
        high=200,
        offered=_has_field,
        judged=True,
        compared=True,
        tested="coils",
    ),
    COILS_STEP := quantity(
        "coils-step",
        "Field coils",
        "Finest step of the meter",
        "resistance",
        needs="safe",
        high=1000,
        offered=_has_field,
        judged=True,
        tested="coils",
    ),
    COLD_OHM := quantity(
        "cold-ohm", _HEAT, "A winding cold", "resistance", needs="safe", judged=True, tested="hot-ohm"
    ),
    COLD_C := quantity(
        "cold-c",
        _HEAT,
        "Its temperature then",
        "temperature",
        needs="safe",
        low=-40,
        high=100,
        judged=True,
        tested="hot-ohm",
    ),
    HOT_OHM := quantity(
        "hot-ohm",
        _HEAT,
        "The same winding hot",
        "resistance",
        needs="safe",
        hint="after a run at or near its rated load",
        judged=True,
        tells=(WINDINGS_HOT,),
        touched_by=(JOIN_WIRE, RENEW_COIL, RENEW_ARMATURE),
    ),
    WINDING_C := quantity(
        "winding-c",
        _HEAT,
        "or by thermometer on it",
        "temperature",
        needs="safe",
        low=-40,
        high=300,
        judged=True,
        tells=(WINDINGS_HOT,),
    ),
    AIR_C := quantity(
        "air-c",
        _HEAT,
        "Air while it was hot",
        "temperature",
        needs="safe",
        low=-40,
        high=80,
        judged=True,
        tested="hot-ohm",
    ),
    GROWLER_TEST := pick(
        "growler",
        "Growler",
        "Short test of the armature",
        ("pass", "no slot answers"),
        ("fail", "a slot answers"),
        needs="safe",
        judged=True,
        tells=(WINDINGS_GROWLER,),
        touched_by=(JOIN_WIRE, RE_SOLDER),
    ),
    GROWLER_SLOTS := text(
        "growler-slots",
        "Growler",
        "Slots that answer",
        needs="safe",
        hint="their numbers, like 4, 11-12",
        judged=True,
        tested="growler",
    ),
    WEAR_CHAIN := pick(
        "wear-chain",
        "Chains",
        "Wear indicators",
        ("right", "as they should be"),
        ("open", "open, should be closed"),
        ("closed", "closed, should be open"),
        needs="safe",
        judged=True,
        tells=(CHAIN_DEAD,),
    ),
    HEAT_CHAIN := pick(
        "heat-chain",
        "Chains",
        "Temperature sensors",
        ("right", "as they should be"),
        ("open", "open, should be closed"),
        ("closed", "closed, should be open"),
        needs="safe",
        judged=True,
        tells=(CHAIN_DEAD,),
    ),
)
