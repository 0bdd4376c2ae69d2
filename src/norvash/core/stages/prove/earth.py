"""The protective earth and the plug: measured before power, and a finding where they are not as they must be."""

from norvash.core.rules.book import MotorRules
from norvash.core.sheet.facts import Facts
from norvash.core.sheet.field import Field
from norvash.core.sheet.fields_made import pick, quantity
from norvash.core.sheet.finding import finding
from norvash.core.sheet.part import WINDINGS
from norvash.core.sheet.task import Task
from norvash.core.stages.shared import RENEW_CORD

JOIN_EARTH = Task(
    id="earth",
    what="Join the protective earth again",
    done="protective earth joined again",
    minutes=15,
    tools="ohmmeter, star washer",
    steps=("clean to metal", "join", "measure with the lead taken off"),
    caution="isolated first, the plug in sight",
)


def _is_earthed(facts: Facts, _rules: MotorRules) -> bool:
    return facts.earthed


def _has_plug(facts: Facts, _rules: MotorRules) -> bool:
    return facts.plugged


def _is_double(facts: Facts, _rules: MotorRules) -> bool:
    return facts.protection == "double insulated"


def no_earth(facts: Facts, _rules: MotorRules) -> str:
    """Return why its protective earth is not asked for: by design it has none."""
    if facts.protection:
        return f"It has no protective earth by design, it is {facts.protection}: none is measured, and none is added."
    return "It has no protective earth that is known of: say first how it protects against shock."


FINDINGS = (
    EARTH_OPEN := finding(
        "earth.open",
        "protective earth too high",
        "stop",
        "no power until the earth is joined again",
        WINDINGS,
        JOIN_EARTH,
        kinds={"before-power", "bars-tests"},
        cause="earth",
    ),
    PLUG_TWO_CORES := finding(
        "plug.two-cores",
        "an earthed plug on a two-core cord",
        "stop",
        "no power: its earth ends in the plug, renew the cord",
        WINDINGS,
        RENEW_CORD,
        kinds={"before-power", "bars-tests"},
    ),
    EARTH_JOINED := finding(
        "earth.joined",
        "an earth wire joined to the metal of a double insulated machine",
        "stop",
        "no power: take it off, and fit a two-core cord; a plug whose earth pin is blank or unused is right there",
        WINDINGS,
        RENEW_CORD,
        kinds={"before-power", "bars-tests"},
    ),
)
FIELDS: tuple[Field, ...] = (
    EARTH_OHM := quantity(
        "earth-ohm",
        "Earth",
        "Protective earth, lead taken off",
        "resistance",
        needs="dead",
        hint="with its cord where that is stated under Figures",
        offered=_is_earthed,
        why_not=no_earth,
        judged=True,
        after_work=True,
        tells=(EARTH_OPEN,),
    ),
    PLUG := pick(
        "plug",
        "Earth",
        "Plug and cord",
        ("three", "earthed plug, three cores"),
        ("two", "plug without earth, two cores"),
        ("odd", "earthed plug, two cores"),
        offered=_has_plug,
        judged=True,
        tells=(PLUG_TWO_CORES,),
    ),
    EARTH_ADDED := pick(
        "earth-added",
        "Earth",
        "An earth wire on its metal",
        ("none", "none"),
        ("joined", "joined to its metal"),
        offered=_is_double,
        finds={"joined": EARTH_JOINED},
        plainly=True,
    ),
)
