"""What to do with a surface: the work that takes least copper off, and what may be used for it."""

from collections.abc import Collection
from dataclasses import dataclass

from norvash.core.rules.book import MotorRules


@dataclass(frozen=True, slots=True)
class Work:
    """One way to treat a surface, the least first: what, how, and what to mind."""

    id: str
    rank: int
    what: str
    how: str
    mind: str


WORKS: dict[str, Work] = {
    w.id: w
    for w in (
        Work(
            "wait",
            0,
            "Find the fault first",
            "make the bar test and mend the coil or riser; then look at the surface again",
            "a cut or a clean hides it for a week",
        ),
        Work(
            "leave",
            0,
            "Leave the film",
            "wipe the dust off, nothing else",
            "a healthy film is what the brush runs on: never clean it off",
        ),
        Work(
            "clean",
            1,
            "Dry wipe, then clean without metal",
            "commutator stone, or fine non-conducting paper round the track in the direction of turning",
            "clean the slots after, vacuum",
        ),
        Work(
            "stone",
            2,
            "Stone it at slow speed",
            "flexible or hand stone at 2 to 5 m/s of surface speed, or light paper turning in a lathe",
            "hand-held only on an insulated handle, turned by an outside drive or a permitted reduced direct supply,"
            " never a mains-fed universal motor, by somebody competent",
        ),
        Work(
            "undercut",
            2,
            "Undercut the slots",
            "cut the mica back to its depth, chamfer both edges, brush every slot clean",
            "high mica keeps the brush off the copper: no cleaning helps before it is down",
        ),
        Work(
            "skim",
            3,
            "Cut it",
            "cut, undercut, chamfer, clean every slot, polish",
            "runs true on its bearing seats first; winding covered, no gloves or cloth near it",
        ),
        Work("replace", 4, "Renew it or send the armature out", "no surface work helps", "do not run it"),
    )
}
ABRASIVES = (
    ("commutator stone", "allowed", "cuts copper and burn alike and leaves no grit that conducts"),
    ("rubber-bonded stick", "allowed", "takes least off"),
    ("glass, garnet or aluminium oxide paper, 240 to 400", "allowed", "does not conduct; clean the slots after"),
    ("leather, eraser, non-metal scourer", "allowed", "for light dirt only"),
    ("emery", "refused", "its dust is hard and conducts: it bridges slots and beds in copper"),
    ("silicon carbide", "refused", "its grains stay in the copper and cut the brush"),
    ("steel wool, metal brush", "refused", "leaves wires that bridge slots"),
    (
        "file, wire wheel",
        "emergency only",
        "digs in and rounds edges; then clean every slot, make the bar test, look again early",
    ),
)
_NEEDS: tuple[tuple[str, frozenset[str], str], ...] = (
    (
        "replace",
        frozenset({"loose", "melted", "lifted", "under-least", "high-again"}),
        "loose or lifted bars, melted insulation or copper under its least diameter",
    ),
    ("wait", frozenset({"fault"}), "a local burn, a fault of a coil or riser, or a bar test that is not passed"),
    (
        "skim",
        frozenset({"groove", "step", "pitted", "tir-over", "raised", "flat"}),
        "groove, step, pits, flat or high bars, or run-out over its limit",
    ),
    ("undercut", frozenset({"mica"}), "mica level with the copper, or high"),
    ("stone", frozenset({"burnt-all", "rough"}), "burnt or rough, but shallow and within its run-out"),
    ("clean", frozenset({"dirt", "black", "light-rough", "drag"}), "light dirt, light black or slight roughness"),
)


def least_work(seen: Collection[str], rules: MotorRules) -> tuple[Work, str, str]:
    """Return the work that takes least off for what was seen, the reason, and how this site cleans.

    Shape: seen are words of the table: loose, groove, step, pitted, tir-over, burnt-all, dirt, black and their like.
    Source: schools school.cleaning, school.shiny
    """
    school = rules.choice("school.cleaning").words
    for work, signs, why in _NEEDS:
        if signs & set(seen):
            return WORKS[work], why, school
    return WORKS["leave"], "nothing that asks for work", school
