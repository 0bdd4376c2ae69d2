"""The withstand test after a repair: optional, a permit of its own, once for each winding."""

from norvash.core.edges import over
from norvash.core.motor.figure_fields import RATED_W
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.facts import Facts
from norvash.core.sheet.field import Field
from norvash.core.sheet.fields_made import pick, quantity
from norvash.core.sheet.finding import finding
from norvash.core.sheet.part import WINDINGS
from norvash.core.sheet.sheet import Sheet
from norvash.core.stages.shared import JOIN_WIRE, RE_SOLDER, RENEW_ARMATURE, SECURE_TURNS
from norvash.core.stages.windings.coils import RENEW_COIL
from norvash.errors import InputError, JudgedAgainst

_AFTER = {"rewound": "rewound", "partly": "partly rewound", "overhauled": "overhauled"}


def _has_volts(facts: Facts, _rules: MotorRules) -> bool:
    """Tell whether it can be asked for: of a motor that is rewound, and whose plate's voltage is known."""
    return facts.rated_v is not None and facts.motor_class in ("industrial", "traction", "generator")


FINDINGS = (
    WITHSTAND_BROKE := finding(
        "withstand.broke",
        "broke down in the withstand test",
        "stop",
        "no power: rewind or renew what broke down",
        WINDINGS,
        RENEW_ARMATURE,
        RENEW_COIL,
        kinds={"before-power", "one-of", "bars-tests"},
        per="circuit",
    ),
)
FIELDS: tuple[Field, ...] = (
    WITHSTAND_AFTER := pick(
        "withstand-after",
        "Withstand test",
        "After it was",
        *_AFTER.items(),
        per="circuit",
        whole=True,
        offered=_has_volts,
        judged=True,
        tested="withstand-v",
    ),
    WITHSTAND_V := quantity(
        "withstand-v",
        "Withstand test",
        "Held for one minute at, a.c.",
        "voltage",
        needs="permit",
        per="circuit",
        whole=True,
        high=50000,
        hint="optional; electronics and capacitors off",
        offered=_has_volts,
        judged=True,
        compared=True,
        tells=(WITHSTAND_BROKE,),
        touched_by=(RENEW_ARMATURE, RENEW_COIL, JOIN_WIRE, RE_SOLDER, SECURE_TURNS),
    ),
    WITHSTAND := pick(
        "withstand",
        "Withstand test",
        "It",
        ("held", "held"),
        ("broke", "broke down"),
        needs="permit",
        per="circuit",
        whole=True,
        offered=_has_volts,
        judged=True,
        tested="withstand-v",
    ),
)


def asked_v(sheet: Sheet, place: int, rules: MotorRules) -> float | None:
    """Return the volts that a winding is held to [V], None where nobody says what was done to it."""
    from norvash.core.windings.withstand import withstand_v

    repaired, volts = WITHSTAND_AFTER.of(sheet, place), sheet.facts.rated_v
    if not repaired or volts is None:
        return None
    return withstand_v(volts, RATED_W.stated(sheet.facts.figures), repaired, rules)


def refuse_withstand(sheet: Sheet, place: int, volts: float, rules: MotorRules) -> None:
    """Refuse more volts than a winding is held to, and a second test of one that was not wound anew.

    Raises: InputError with the volts that are right. Source: rules withstand.*
    """
    asked = asked_v(sheet, place, rules)
    if asked is None:
        raise InputError("Nobody has said what was done to it.", "Say first: rewound, partly, overhauled.", "value")
    if over(volts, asked):
        raise JudgedAgainst(
            f"{volts:g} V is too much: it is held to {asked:g} V.", "Turn it down: it harms the winding.", "value"
        )
    then = WITHSTAND_V.earlier(sheet, place)
    if then is not None and WITHSTAND_AFTER.of(sheet, place) == "overhauled":
        raise JudgedAgainst(
            f"It was held to {then.given.typed} on sheet {then.sheet}: once for each winding.",
            "Measure its insulation instead; a winding that was rewound since is tested again.",
            "value",
        )
