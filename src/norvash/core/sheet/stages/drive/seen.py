"""What is seen on bearings, shaft and drive."""

from norvash.core.sheet.finding import finding
from norvash.core.sheet.part import BELT, DRIVE
from norvash.core.sheet.stages.shared import RENEW_BEARING
from norvash.core.sheet.task import Task

RENEW_SEAL = Task(
    id="seal",
    what="Renew the seal",
    done="seal renewed",
    minutes=15,
    tools="new seal, lubricant that suits it",
    steps=("note its direction", "renew", "no silicone near brushes"),
)
FIT_WASHER = Task(
    id="washer",
    what="Fit the washer or wave spring",
    done="washer or wave spring fitted",
    minutes=15,
    tools="parts drawing, dial gauge",
    steps=("as the maker stacks them, find the pieces of a broken one", "measure the end float"),
)
RENEW_SHAFT = Task(
    id="shaft",
    what="Renew the shaft, or the armature with it",
    done="shaft renewed, or the armature with it",
    minutes=120,
    tools="dial gauge, vee blocks",
    steps=("measure the run-out on its seats", "renew it or send it out"),
    schools=("school.repair",),
    caution="over what one person lifts a hoist, at marked points only",
)
RENEW_FAN = Task(
    id="fan",
    what="Renew the fan",
    done="fan renewed",
    minutes=20,
    tools="new fan of its type",
    steps=("renew it", "see that air goes through freely"),
    caution="it flies apart when it is cracked",
)
OIL_BUSH = Task(
    id="oil-bush",
    what="Oil the bush",
    done="bush oiled",
    minutes=10,
    tools="oil that suits sintered bushes",
    steps=("wipe", "oil sparingly", "none near brushes"),
    within=("bearing",),
)
MEND_DRIVE = Task(
    id="drive",
    what="Mend the drive",
    done="drive mended",
    minutes=40,
    tools="as the machine asks",
    steps=("renew the part with its mate checked", "turn by hand"),
    caution="stored energy: block it first",
)
LOOKED = (
    BEARING_ROUGH := finding(
        "bearing.rough",
        "a bearing rough or notchy",
        "change",
        "renew it, check shaft and seat",
        DRIVE,
        RENEW_BEARING,
        shows=("bearing-bad", "yes"),
    ),
    BEARING_LOOSE := finding(
        "bearing.loose",
        "clear play in a bearing",
        "change",
        "renew it, measure shaft and seat first",
        DRIVE,
        RENEW_BEARING,
        shows=("bearing-bad", "yes"),
    ),
    BEARING_SPUN := finding(
        "bearing.spun",
        "a bearing turning on its seat",
        "change",
        "renew it with its seat or shaft; not to be run where it hangs a load or carries people",
        DRIVE,
        RENEW_BEARING,
        shows=("bearing-bad", "yes"),
        stops_carried=True,
    ),
    BEARING_LOCKED := finding(
        "bearing.locked",
        "a bearing locked",
        "stop",
        "renew it before the motor turns again",
        DRIVE,
        RENEW_BEARING,
        shows=("bearing-bad", "yes"),
    ),
    BEARING_DRY := finding(
        "bearing.dry",
        "a rolling bearing dry",
        "change",
        "renew it: oil does not bring it back",
        DRIVE,
        RENEW_BEARING,
        shows=("bearing-bad", "yes"),
    ),
    BUSH_DRY := finding(
        "bush.dry",
        "a plain bush dry",
        "plan",
        "oil it: sintered, wick, cup or ring",
        DRIVE,
        OIL_BUSH,
        shows=("bearing-bad", "yes"),
    ),
    BEARING_SEAL := finding(
        "bearing.seal", "a seal hard or torn", "plan", "renew it, no silicone near brushes", DRIVE, RENEW_SEAL
    ),
    DRIVE_SHAFT := finding(
        "drive.shaft",
        "shaft bent",
        "stop",
        "renew or straighten the shaft before it turns under power",
        DRIVE,
        RENEW_SHAFT,
        shows=("shaft-bad", "yes"),
    ),
    DRIVE_KEYWAY := finding(
        "drive.keyway",
        "keyway worn",
        "change",
        "renew key and keyway, or the shaft",
        DRIVE,
        RENEW_SHAFT,
        shows=("shaft-bad", "yes"),
    ),
    DRIVE_FAN := finding(
        "drive.fan",
        "fan cracked or blades missing",
        "stop",
        "not to be run, it flies apart: renew it",
        DRIVE,
        RENEW_FAN,
        shows=("fan-bad", "yes"),
    ),
    DRIVE_WORN := finding(
        "drive.worn",
        "gear, pinion or coupling worn",
        "plan",
        "renew it with its mate checked",
        DRIVE,
        MEND_DRIVE,
        shows=("drive-bad", "yes"),
    ),
    DRIVE_BELT := finding(
        "drive.belt",
        "belt off, slack or glazed",
        "plan",
        "put it on, tension or renew it before the motor is blamed",
        BELT,
        MEND_DRIVE,
        shows=("belt-bad", "yes"),
    ),
    DRIVE_WASHER := finding(
        "drive.washer",
        "a fibre or thrust washer or a wave spring broken or lost",
        "change",
        "fit the right one before it is closed: it holds the end float",
        DRIVE,
        FIT_WASHER,
    ),
    DRIVE_JAMMED := finding(
        "drive.jammed",
        "gear, pinion or clutch jammed",
        "stop",
        "free or renew it before power",
        DRIVE,
        MEND_DRIVE,
        shows=("drive-bad", "yes"),
    ),
)
