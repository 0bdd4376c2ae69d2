"""Springs, leads, terminals and wear indicators of brushes."""

from norvash.core.sheet.field import Field
from norvash.core.sheet.fields_made import quantity, tick
from norvash.core.sheet.finding import finding
from norvash.core.sheet.part import SPRINGS
from norvash.core.sheet.task import Task
from norvash.core.stages.shared import FIT_SET

MEND_TERMINAL = Task(
    id="terminal",
    what="Clean and retension the terminals",
    done="terminals cleaned and retensioned",
    minutes=10,
    tools="contact file, pliers, ohmmeter",
    steps=("clean to metal", "retension", "measure again"),
)
RENEW_LEAD = Task(
    id="lead",
    what="Renew the lead with its brush",
    done="lead renewed with its brush",
    minutes=15,
    tools="new brush, crimp or solder tool",
    steps=("renew the brush with its lead", "look at the spring for heat"),
    caution="no soft solder on a brush that runs hot",
    within=("fit-set",),
)
LAY_LEAD = Task(
    id="lay-lead",
    what="Lay the lead clear of what turns",
    done="lead laid clear",
    minutes=10,
    tools="light, clip or lacing",
    steps=("turn by hand through the whole float", "lay and hold it clear", "look at its strands where it rubbed"),
)
SEAT_SPRING = Task(
    id="seat-spring",
    what="Put the spring in its place",
    done="spring put in its place",
    minutes=10,
    tools="hook, pull gauge",
    steps=("set it in hook, notch and on its coil side", "measure its force at working length"),
    caution="springs fly: eye protection",
    within=("springs",),
)
RENEW_SPRINGS = Task(
    id="springs",
    what="Renew the springs as a set",
    done="springs renewed as a set",
    minutes=15,
    tools="new springs, pull gauge",
    steps=("renew all", "measure each force at working length"),
    caution="springs fly: eye protection",
)
MEND_INDICATOR = Task(
    id="indicator",
    what="Mend the wear indicator",
    done="wear indicator mended",
    minutes=15,
    tools="ohmmeter",
    steps=("find the break", "mend, measure open or closed as it should be"),
)
LEAD = (
    LEAD_STRANDS_10 := finding(
        "lead.strands-10",
        "a tenth or more of the strands broken",
        "plan",
        "renew before the current goes through the spring",
        SPRINGS,
        RENEW_LEAD,
        kinds={"of-brush"},
    ),
    LEAD_STRANDS_25 := finding(
        "lead.strands-25",
        "a quarter or more of the strands broken",
        "change",
        "renew now: a failing lead sends the current through the spring",
        SPRINGS,
        FIT_SET,
        shows=("lead-bad", "yes"),
        kinds={"of-brush"},
    ),
    LEAD_HEAT := finding(
        "lead.heat",
        "lead discoloured by heat",
        "change",
        "renew now and find where the current goes",
        SPRINGS,
        FIT_SET,
        MEND_TERMINAL,
        shows=("lead-bad", "yes"),
        kinds={"of-brush"},
    ),
    LEAD_TAUT := finding(
        "lead.taut",
        "lead taut, the brush hangs on it",
        "stop",
        "renew, whatever the length says",
        SPRINGS,
        FIT_SET,
        kinds={"of-brush", "holds-brush"},
    ),
    LEAD_LOOSE := finding(
        "lead.loose",
        "lead loose in the carbon or pulled out",
        "stop",
        "renew the set",
        SPRINGS,
        FIT_SET,
        shows=("lead-bad", "yes"),
        kinds={"of-brush"},
    ),
    LEAD_TOUCHES := finding(
        "lead.touches",
        "lead against what turns",
        "stop",
        "lay it clear before it turns: it wears through, earths and is torn off",
        SPRINGS,
        LAY_LEAD,
    ),
    TERMINAL_POOR := finding(
        "terminal.poor",
        "terminal dirty, loose or oxidised",
        "plan",
        "clean to metal and retension, then test again: this alone can stop a motor",
        SPRINGS,
        MEND_TERMINAL,
        shows=("terminal-bad", "yes"),
    ),
    INDICATOR_DEAD := finding(
        "indicator.dead",
        "lead of the wear indicator open or earthed",
        "plan",
        "repair it, or the warning is lost",
        SPRINGS,
        MEND_INDICATOR,
    ),
)
SPRING = (
    SPRING_HEAT := finding(
        "spring.heat",
        "spring discoloured by heat",
        "change",
        "it has carried current: mend lead or terminal, renew spring and set",
        SPRINGS,
        RENEW_SPRINGS,
        MEND_TERMINAL,
        FIT_SET,
        shows=("spring-heat", "yes"),
        mended_by=(RENEW_SPRINGS,),
    ),
    SPRING_BROKEN := finding(
        "spring.broken",
        "spring corroded, broken, cracked or missing",
        "stop",
        "renew it: the brush was not pressed",
        SPRINGS,
        RENEW_SPRINGS,
        shows=("spring-weak", "yes"),
    ),
    SPRING_OFF := finding(
        "spring.off",
        "spring force over a tenth off",
        "plan",
        "renew the springs as a set",
        SPRINGS,
        RENEW_SPRINGS,
        shows=("spring-weak", "yes"),
    ),
    SPRING_FAR_OFF := finding(
        "spring.far-off",
        "spring force over a fifth off",
        "change",
        "renew the springs as a set now",
        SPRINGS,
        RENEW_SPRINGS,
        shows=("spring-weak", "yes"),
    ),
    SPRING_SEAT := finding(
        "spring.seat",
        "spring beside its hook, notch or coil seat",
        "change",
        "put it in its place: it does not press the brush as it should",
        SPRINGS,
        SEAT_SPRING,
    ),
    SPRING_TRAVEL := finding(
        "spring.travel",
        "under 2 mm of spring travel left",
        "change",
        "treat it as at its limit",
        SPRINGS,
        FIT_SET,
        kinds={"of-brush"},
        proof="look",
    ),
)
FINDINGS = (
    SPRING_DEAD := finding(
        "spring.dead",
        "spring force under half",
        "stop",
        "not to be run: renew all springs",
        SPRINGS,
        RENEW_SPRINGS,
        shows=("spring-weak", "yes"),
    ),
    SPRING_UNLIKE := finding(
        "spring.unlike", "spring under half of its fellow", "watch", "look at both", SPRINGS, RENEW_SPRINGS
    ),
    TERMINAL_MEASURED := finding(
        "terminal.measured",
        "terminal drops or resists too much",
        "plan",
        "clean to metal, retension, test again: this alone can stop a motor",
        SPRINGS,
        MEND_TERMINAL,
        shows=("terminal-bad", "yes"),
        per="side",
    ),
)
FIELDS: tuple[Field, ...] = (
    SPRING_FORCE := quantity(
        "force",
        "Springs",
        "Spring force",
        "force",
        needs="safe",
        per="position",
        high=1000,
        hint="0 where it presses nothing",
        judged=True,
        tells=(SPRING_OFF, SPRING_FAR_OFF, SPRING_DEAD, SPRING_UNLIKE),
        proves=(SPRING_HEAT, SPRING_BROKEN),
    ),
    SPRINGS_LOOKED := tick("looked.springs", "Looked at", "springs, leads and terminals looked at", needs="safe"),
)
