"""Parts that are offered, at “Decide” and “Rework”: each with the old one, what became of it, and what proves it."""

from types import MappingProxyType

from norvash.core.parts.sizes import Kind
from norvash.core.sheet.fields_made import pick, quantity, tick
from norvash.core.sheet.fields_of_parts import Offered
from norvash.core.sheet.finding import Finding, finding
from norvash.core.sheet.part import BRUSHES, DRIVE, HOLDERS, SPRINGS, WINDINGS, Part
from norvash.core.sheet.task import Task

MOST_OFFERS = 20
FITTED, BACK, OUT = "fitted", "back", "out"
TAKE_OUT = Task(
    id="take-out",
    what="Take the refused part out, fit the right one",
    done="refused part taken out",
    minutes=30,
    tools="the part that is right, as the comparison says",
    steps=("take it out", "compare the right one before it goes in", "say here that the refused one is out"),
    caution="isolated first",
)
_OF_KIND: MappingProxyType[Kind, Part] = MappingProxyType(
    {
        "brush set": BRUSHES,
        "spring": SPRINGS,
        "bearing": DRIVE,
        "bush": DRIVE,
        "needle": DRIVE,
        "seal": DRIVE,
        "pinion": DRIVE,
        "brush plate": HOLDERS,
        "armature": WINDINGS,
    }
)


def _refused(part: Part, *, stops: bool) -> Finding:
    """Return the finding on a part of the motor that was refused and is fitted all the same."""
    name, words = (
        ("wrong", "of another voltage or variant, and fitted") if stops else ("refused", "refused, and fitted")
    )
    return finding(
        f"part.{name}.{part.id}",
        f"a part that is {words}",
        "stop" if stops else "change",
        "take it out",
        part,
        TAKE_OUT,
    )


FINDINGS = (
    REFUSED_BRUSHES := _refused(BRUSHES, stops=False),
    REFUSED_SPRINGS := _refused(SPRINGS, stops=False),
    REFUSED_HOLDERS := _refused(HOLDERS, stops=False),
    REFUSED_WINDINGS := _refused(WINDINGS, stops=False),
    REFUSED_DRIVE := _refused(DRIVE, stops=False),
    WRONG_BRUSHES := _refused(BRUSHES, stops=True),
    WRONG_HOLDERS := _refused(HOLDERS, stops=True),
    WRONG_WINDINGS := _refused(WINDINGS, stops=True),
)
# What a part of the motor has where a refused one is fitted, and where that is of another voltage or variant.
REFUSED = {f.part: f for f in (REFUSED_BRUSHES, REFUSED_SPRINGS, REFUSED_HOLDERS, REFUSED_WINDINGS, REFUSED_DRIVE)}
WRONG = {f.part: f for f in (WRONG_BRUSHES, WRONG_HOLDERS, WRONG_WINDINGS)}
OFFER = Offered(id="offer", group="Parts offered", label="A part that is offered", per="number", placed=True)
BECAME = pick(
    "offer-became",
    "Parts offered",
    "What became of it",
    (FITTED, "this one is fitted"),
    (BACK, "sent back, not fitted"),
    (OUT, "it came out again"),
    per="number",
    placed=True,
    judged=True,
    tells=FINDINGS,
    touched_by=(TAKE_OUT,),
)
DRESSED_T = quantity(
    "offer-dressed-t",
    "Parts offered",
    "Dressed, along the rotation",
    "length",
    per="number",
    placed=True,
    low=0.1,
    high=500,
    work=True,
)
DRESSED_A = quantity(
    "offer-dressed-a",
    "Parts offered",
    "Dressed, along the shaft",
    "length",
    per="number",
    placed=True,
    low=0.1,
    high=500,
    work=True,
)
JOINT = tick(
    "offer-joint", "Parts offered", "Joint looked at: sound, no soft solder", per="number", placed=True, work=True
)
FIELDS = (OFFER, BECAME, DRESSED_T, DRESSED_A, JOINT)


def part_of_kind(kind: Kind) -> Part:
    """Return the part of a motor that a kind of part belongs to."""
    return _OF_KIND[kind]
