"""How brushes go in, on “Rework”: the plate with its polarity, the face on its copper, how they are held back."""

from dataclasses import dataclass
from math import inf

from norvash.core.brush.seating import Face, seating_method, widest_face_radius_mm
from norvash.core.edges import same
from norvash.core.motor.figure_fields import COMMUTATOR_D_MM, THICKNESS_MM
from norvash.core.motor.figure_reading import track_d_mm
from norvash.core.motor.positions import polarity_clashes
from norvash.core.stages.holding_back import WAYS
from norvash.core.stages.polarity import boxes, wrong_at
from norvash.core.stages.seating import LEADS_LIE, ROD, ROD_PAPER, SLIDES, SPRINGS_SIT, shaped_radius_mm
from norvash.core.visit.wires import wires_against, wires_at
from norvash.drawing.brush.face_contact import Contact, face_contact
from norvash.drawing.brush.gap_profile import gap_profile
from norvash.drawing.brush.plate_plan import plate_plan
from norvash.drawing.svg import Drawing
from norvash.web.stages.shown.fields import Entry, entry
from norvash.work.reading.sheet_now import SheetNow

_PLATE, _FACE, _FEWEST = 300.0, 300.0, 2


@dataclass(frozen=True, slots=True, kw_only=True)
class OnCopper:
    """A new face on the copper, flat or `shaped` on a rod: drawn to scale, its gap magnified; what must come off its
    middle [mm] and how, the thickest rod for it [mm].
    """

    drawn: Drawing
    gap: Drawing
    shaped: bool
    depth_mm: float
    way: str
    rod_most_mm: float


@dataclass(frozen=True, slots=True, kw_only=True)
class Fitting:
    """The plate as it is wired, `read` at its boxes or by the plan, what is wrong with it, and which recorded wires are
    `against` it; a flat face on its copper, None where that is not known; the steps by which brushes are held back, and
    the school that says so.
    """

    plate: Drawing
    read: bool
    wrong: str
    against: str
    face: OnCopper | None
    held: tuple[str, ...]
    by: str
    rod: tuple[Entry, ...]
    looks: tuple[Entry, ...]


def fitting_shown(page: SheetNow) -> Fitting | None:
    """Return how the brushes of a motor go in, None of one with a single brush."""
    facts, choice = page.context.facts, page.context.rules.choice("school.order")
    if len(facts.positions) < _FEWEST:
        return None
    read = boxes(page.sheet)
    plans = read or facts.positions
    wires = wires_at(page.sheet, plans)
    against = wires_against(plans, wires)
    crossed = frozenset(p.number for p in plans if p.label in against)
    return Fitting(
        plate=plate_plan(plans, polarity_clashes(plans) | crossed, _PLATE, wires),
        read=bool(read),
        wrong=wrong_at(page.sheet),
        against="; ".join(f"the wire of box {label} goes to {where}" for label, where in against.items()),
        face=_on_copper(page),
        held=WAYS.get(choice.key, ()),
        by=choice.words,
        rod=tuple(entry(page, f) for f in (ROD, ROD_PAPER)),
        looks=tuple(entry(page, f) for f in (LEADS_LIE, SPRINGS_SIT, SLIDES)),
    )


def _on_copper(page: SheetNow) -> OnCopper | None:
    """Return a new face on the copper as it is now, None where diameter or thickness are not stated."""
    facts, rules = page.context.facts, page.context.rules
    diameter, t = track_d_mm(facts.figures), THICKNESS_MM.stated(facts.figures)
    if COMMUTATOR_D_MM.stated(facts.figures) is None or diameter is None:
        return None
    if t is None or t >= diameter:
        return None
    radius = shaped_radius_mm(page.sheet) or inf
    depth = Face(diameter, t, radius).depth_mm()
    return OnCopper(
        drawn=face_contact(Contact(diameter, t, radius, 0.0, 1.0 if same(radius, diameter / 2) else 0.0), _FACE),
        gap=gap_profile(diameter, t, radius, _FACE),
        shaped=radius != inf,
        depth_mm=depth,
        way=seating_method(depth, len(facts.positions), rules),
        rod_most_mm=2 * widest_face_radius_mm(diameter, rules),
    )
