"""Coils, heat, the growler, chains of sensors."""

from norvash.core.sheet.field import Field
from norvash.core.sheet.fields_made import column, pick, quantity, text
from norvash.core.sheet.finding import finding
from norvash.core.sheet.part import WINDINGS
from norvash.core.sheet.stages.shared import RENEW_ARMATURE
from norvash.core.sheet.task import Task

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
)
SCRAP_MAGNET = Task(
    id="scrap-magnet",
    what="Take the case out of service",
    done="case taken out of service",
    minutes=10,
    tools="tag",
    steps=("tag it out", "weigh repair against a new machine"),
    schools=("school.repair",),
    caution="magnets snatch and chip",
)
# fmt: off
FINDINGS = (
    WINDINGS_GROWLER := finding(
        "windings.growler",
        "a slot answers on the growler",
        "stop",
        "not to be run, shorted turns: rewind or renew the armature",
        WINDINGS,
        RENEW_ARMATURE,
        shows=("bars", "shorted"),
        never_runs=True,
    ),
    WINDINGS_SHORT := finding(
        "windings.short",
        "a coil low or high against the others",
        "change",
        "shorted turns if low, a poor joint if high: renew or re-solder",
        WINDINGS,
        RENEW_COIL,
        shows=("field-odd", "yes"),
    ),
    MAGNETS_WEAK := finding(
        "magnets.weak", "runs free too fast and draws too much: magnets weak", "change", "renew the case with its magnets", WINDINGS, SCRAP_MAGNET
    ),
    CHAIN_DEAD := finding(
        "chain.dead", "a sensor or wear-indicator chain is not as it should be", "plan", "mend it, or its warning is lost", WINDINGS, MEND_CHAIN
    ),
)
FIELDS: tuple[Field, ...] = (
    COILS := column(
        "coils", "Field coils", "Resistance of each coil", "resistance", needs="safe", hint="one for each pole", judged=True, tells=(WINDINGS_SHORT,)
    ),
    COILS_C := quantity("coils-c", "Field coils", "At a temperature of", "temperature", needs="safe", low=-40, high=200, judged=True, tested="coils"),
    COLD_OHM := quantity("cold-ohm", "Heat, by resistance", "A winding cold", "resistance", needs="safe", judged=True),
    COLD_C := quantity("cold-c", "Heat, by resistance", "Its temperature then", "temperature", needs="safe", low=-40, high=100, judged=True),
    HOT_OHM := quantity("hot-ohm", "Heat, by resistance", "The same winding hot", "resistance", needs="safe", judged=True),
    AIR_C := quantity("air-c", "Heat, by resistance", "Air while it was hot", "temperature", needs="safe", low=-40, high=80, judged=True),
    GROWLER_TEST := pick(
        "growler",
        "Growler",
        "Short test of the armature",
        ("pass", "no slot answers"),
        ("fail", "a slot answers"),
        needs="safe",
        judged=True,
        tells=(WINDINGS_GROWLER,),
    ),
    GROWLER_SLOTS := text("growler-slots", "Growler", "Slots that answer", needs="safe", hint="their numbers, like 4, 11-12", judged=True, tested="growler"),
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
# fmt: on
