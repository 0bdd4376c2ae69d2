"""Bearings and bushes, worn and new."""

from norvash.core.sheet.field import Field, Quantity
from norvash.core.sheet.fields_made import pick, quantity, text
from norvash.core.sheet.finding import finding
from norvash.core.sheet.part import DRIVE
from norvash.core.sheet.stages.drive.seen import (
    BEARING_DRY,
    BEARING_LOCKED,
    BEARING_LOOSE,
    BEARING_ROUGH,
    BEARING_SEAL,
    BEARING_SPUN,
    BUSH_DRY,
)
from norvash.core.sheet.stages.shared import RENEW_BEARING
from norvash.core.sheet.task import Task

GET_PART_THAT_FITS = Task(
    id="kit-part",
    what="Get the part that fits",
    done="the part that fits obtained",
    minutes=15,
    tools="micrometer, catalogue",
    steps=("measure shaft and housing", "order by size, not by kit"),
    schools=("school.kit",),
)


def _of_kit(field_id: str, label: str, high: float) -> Quantity:
    """Return the field of a size that is measured before the old part comes out."""
    return quantity(
        field_id,
        "Kit, before the old part comes out",
        label,
        "length",
        needs="safe",
        per="bearing",
        low=0.1,
        high=high,
        judged=True,
        tells=(KIT_MISMATCH,),
    )


# fmt: off
FINDINGS = (
    BEARING_NOISY := finding(
        "bearing.noisy",
        "a bearing hisses, rumbles or clicks",
        "plan",
        "renew it when it is reached; look for the cause",
        DRIVE,
        RENEW_BEARING,
        shows=("bearing-bad", "yes"),
    ),
    BEARING_CORRODED := finding(
        "bearing.corroded", "a bearing corroded", "change", "renew it, find the water", DRIVE, RENEW_BEARING, shows=("bearing-bad", "yes")
    ),
    BEARING_GREASE := finding(
        "bearing.grease", "grease dark, gone or washed out", "plan", "clean and grease an open bearing; renew a sealed one", DRIVE, RENEW_BEARING
    ),
    BEARING_AGED := finding("bearing.aged", "a sealed bearing at half its life", "watch", "renew it while it is in reach", DRIVE, RENEW_BEARING),
    BUSH_WORN := finding(
        "bush.worn",
        "a bush worn",
        "change",
        "renew it only with the right tool and centring; on small starters a good old one beats a bad new one",
        DRIVE,
        RENEW_BEARING,
        shows=("bearing-bad", "yes"),
    ),
    KIT_MISMATCH := finding(
        "kit.mismatch", "a part of the kit does not fit", "change", "do not take the old part out: get the right one first", DRIVE, GET_PART_THAT_FITS
    ),
)
FIELDS: tuple[Field, ...] = (
    BEARING_NUMBER := text("b-number", "Ball bearing", "Number on its ring", needs="safe", per="bearing", hint="like 6204-2RS", judged=True),
    BEARING_FEEL := pick(
        "b-feel",
        "Ball bearing",
        "Feels",
        ("smooth", "smooth"),
        ("dry", "dry"),
        ("rough", "rough"),
        ("notchy", "notchy"),
        ("locked", "locked"),
        needs="safe",
        per="bearing",
        judged=True,
        finds={"dry": BEARING_DRY, "rough": BEARING_ROUGH, "notchy": BEARING_ROUGH, "locked": BEARING_LOCKED},
    ),
    BEARING_NOISE := pick(
        "b-noise",
        "Ball bearing",
        "Sounds",
        ("none", "nothing"),
        ("hiss", "hiss"),
        ("rumble", "rumble"),
        ("click", "click"),
        needs="safe",
        per="bearing",
        judged=True,
        finds={"hiss": BEARING_NOISY, "rumble": BEARING_NOISY, "click": BEARING_NOISY},
    ),
    BEARING_PLAY := pick(
        "b-play",
        "Ball bearing",
        "Radial play",
        ("none", "none"),
        ("just", "just felt"),
        ("clear", "clear"),
        needs="safe",
        per="bearing",
        judged=True,
        finds={"clear": BEARING_LOOSE},
    ),
    BEARING_SEALS := pick(
        "b-seal",
        "Ball bearing",
        "Seals",
        ("sound", "sound"),
        ("hard", "hard"),
        ("torn", "torn"),
        needs="safe",
        per="bearing",
        judged=True,
        finds={"hard": BEARING_SEAL, "torn": BEARING_SEAL},
    ),
    BEARING_GREASE_SEEN := pick(
        "b-grease",
        "Ball bearing",
        "Grease",
        ("clean", "clean"),
        ("dark", "dark"),
        ("none", "none"),
        ("washed", "washed out"),
        needs="safe",
        per="bearing",
        judged=True,
        finds={"dark": BEARING_GREASE, "none": BEARING_GREASE, "washed": BEARING_GREASE},
    ),
    BEARING_GREASED := pick(
        "b-greased",
        "Ball bearing",
        "Greased with",
        ("grease", "grease of its kind, by weight"),
        ("oil", "oil"),
        ("silicone", "silicone grease or spray"),
        needs="safe",
        per="bearing",
        refused={"oil": "oil washes the grease out and creeps to the brushes", "silicone": "silicone vapour destroys the film under the brushes"},
    ),
    BEARING_SEAT := pick(
        "b-seat",
        "Ball bearing",
        "Its seat",
        ("sound", "sound"),
        ("spun", "spun in it"),
        ("corroded", "corroded"),
        needs="safe",
        per="bearing",
        judged=True,
        finds={"spun": BEARING_SPUN, "corroded": BEARING_CORRODED},
    ),
    BEARING_HOURS := quantity("b-hours", "Ball bearing", "Hours it has run", "hours", needs="safe", per="bearing", judged=True, tells=(BEARING_AGED,)),
    BEARING_LIFE := quantity(
        "b-life",
        "Ball bearing",
        "Hours it should last",
        "hours",
        needs="safe",
        per="bearing",
        high=1e7,
        hint="by the sum of its life",
        judged=True,
        tells=(BEARING_AGED,),
    ),
    BEARING_YEARS := quantity("b-years", "Ball bearing", "Its age, years", "count", needs="safe", per="bearing", high=100, judged=True, tells=(BEARING_AGED,)),
    JOURNAL := quantity("journal", "Plain bush", "Journal", "length", needs="safe", per="bearing", low=0.1, high=1000, judged=True, tells=(BUSH_WORN,)),
    BUSH_BORE := quantity("bush", "Plain bush", "Bush", "length", needs="safe", per="bearing", low=0.1, high=1000, judged=True, tells=(BUSH_WORN,)),
    BUSH_STATE := pick(
        "bush-state", "Plain bush", "It is", ("oiled", "oiled"), ("dry", "dry"), needs="safe", per="bearing", judged=True, finds={"dry": BUSH_DRY}
    ),
    KIT_SHAFT := _of_kit("kit-shaft", "Shaft", 1000),
    KIT_BORE := _of_kit("kit-bore", "New bearing, bore", 1000),
    KIT_HOUSING := _of_kit("kit-housing", "Housing", 2000),
    KIT_OUTSIDE := _of_kit("kit-outside", "New bearing, outside", 2000),
)
# fmt: on
