"""What is seen on windings and magnets."""

from norvash.core.sheet.finding import finding
from norvash.core.sheet.part import WINDINGS
from norvash.core.sheet.stages.shared import DRY_INSULATION, RENEW_ARMATURE, VACUUM
from norvash.core.sheet.stages.windings.coils import RENEW_COIL, SCRAP_MAGNET
from norvash.core.sheet.task import Task

BAND_ARMATURE = Task(
    id="band",
    what="Have the armature banded or wedged again",
    done="armature banded or wedged again",
    minutes=120,
    tools="motor shop",
    steps=("not turned under power before", "weigh repair against a new machine"),
    schools=("school.repair",),
    caution="it flies: nobody in its plane",
)
FIND_RUB = Task(
    id="find-rub",
    what="Find why the core rubs",
    done="cause of the rub found",
    minutes=40,
    tools="feeler gauges, dial gauge",
    steps=("air gap at every pole", "bearings, shaft, bolts of the poles", "short test of the armature"),
    looks=True,
)
SET_POLES = Task(
    id="poles",
    what="Set the poles",
    done="poles set",
    minutes=40,
    tools="feeler gauges, torque wrench",
    steps=("set to an even air gap", "tighten, lock"),
)
CHECK_INTERPOLES = Task(
    id="interpole",
    what="Check the interpoles",
    done="interpoles checked",
    minutes=40,
    tools="ohmmeter, compass",
    steps=("joints tight and clean", "polarity", "turns against each other"),
)
LOOKED = (
    WINDINGS_BURNT := finding(
        "windings.burnt",
        "burnt, melted or smelling",
        "stop",
        "armature or coil is out: renew or rewind it",
        WINDINGS,
        RENEW_ARMATURE,
        shows=("burnt", "yes"),
    ),
    WINDINGS_LOOSE := finding(
        "windings.loose", "turns loose or rubbed", "change", "secure and varnish, or renew", WINDINGS, RENEW_ARMATURE
    ),
    WINDINGS_EARTH := finding(
        "windings.earth",
        "earth fault",
        "stop",
        "no power; clean and dry, test again before it is condemned",
        WINDINGS,
        DRY_INSULATION,
        shows=("insulation", "yes"),
        by_test=True,
        before_power=True,
    ),
    WINDINGS_FIELD := finding(
        "windings.field",
        "field coils differ",
        "change",
        "renew the odd coil",
        WINDINGS,
        RENEW_COIL,
        shows=("field-odd", "yes"),
        by_test=True,
    ),
    WINDINGS_BINDING := finding(
        "windings.binding",
        "a binding or wedge of the armature lifted",
        "stop",
        "it flies: not to be turned under power, re-band or re-wedge it, or renew the armature",
        WINDINGS,
        BAND_ARMATURE,
        never_runs=True,
        before_power=True,
    ),
    WINDINGS_BROKEN := finding(
        "windings.broken",
        "a wire of a winding broken",
        "stop",
        "re-join it if both ends can be reached, else rewind",
        WINDINGS,
        RENEW_ARMATURE,
        shows=("wire-broken", "yes"),
    ),
    WINDINGS_CORE := finding(
        "windings.core",
        "core of armature or pole rubbed",
        "change",
        "find why it rubbed: bearing, shaft, pole; test for shorts, varnish bared steel",
        WINDINGS,
        FIND_RUB,
        shows=("core-rubbed", "yes"),
    ),
    WINDINGS_POLES := finding(
        "windings.poles",
        "bolts of a pole loose",
        "stop",
        "not to be run, a pole comes into the armature: set the pole and tighten it, measure the air gap all round",
        WINDINGS,
        SET_POLES,
    ),
    WINDINGS_INTERPOLE := finding(
        "windings.interpole",
        "an interpole hot or coloured by heat",
        "change",
        "check its joints, its turns and its polarity",
        WINDINGS,
        CHECK_INTERPOLES,
        shows=("interpole-hot", "yes"),
    ),
    WINDINGS_DUST := finding(
        "windings.dust",
        "covered with carbon dust",
        "watch",
        "vacuum it, then test the insulation again",
        WINDINGS,
        VACUUM,
        DRY_INSULATION,
    ),
    MAGNETS_CRACKED := finding(
        "magnets.cracked",
        "a magnet cracked, crumbling or loose",
        "stop",
        "out of service: fragments jam the gap",
        WINDINGS,
        SCRAP_MAGNET,
        shows=("magnets", "yes"),
    ),
)
