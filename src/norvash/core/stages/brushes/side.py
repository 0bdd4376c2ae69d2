"""The side of a set that wears most: its spring, holder and lead are looked at, and no new set ends that."""

from norvash.core.sheet.finding import finding
from norvash.core.sheet.part import SPRINGS
from norvash.core.sheet.sheet import Sheet
from norvash.core.sheet.task import Task
from norvash.core.stages.brushes.holders import HOLDER_GAP, HOLDERS_LOOKED
from norvash.core.stages.brushes.springs import SPRING_FORCE

LOOK_AT_SIDE = Task(
    id="side",
    what="Look at spring, holder and lead of the uneven side",
    done="spring, holder and lead of the uneven side looked at",
    minutes=15,
    tools="pull gauge, feeler gauge, light",
    steps=(
        "measure the force of every spring",
        "measure the gap, or look at every holder",
        "look at lead and terminal for heat and play",
        "mend what is found, then say that it is gone",
    ),
    caution="springs fly: eye protection",
    looks=True,
)
FINDINGS = (
    SET_UNEVEN := finding(
        "set.uneven",
        "wears most, the set is uneven",
        "plan",
        "look at its spring, holder and lead before another set goes the same way",
        SPRINGS,
        LOOK_AT_SIDE,
        kinds={"of-lengths"},
        proof="look",
        rests_on=("spread.pair", "spread.set", "spread.noise", "spread.outlier", "new_mm"),
    ),
)


def side_looked_at(sheet: Sheet) -> bool:
    """Tell whether the sides were compared: every force measured, and every gap too, or the holders looked at."""
    places = {p.number for p in sheet.facts.positions}
    gaps = places <= set(HOLDER_GAP.places(sheet)) or HOLDERS_LOOKED.of(sheet)
    return gaps and places <= set(SPRING_FORCE.places(sheet))
