"""The parts of a motor with their voices: the worst voice of each, and what somebody decided over it."""

from collections.abc import Iterable
from dataclasses import replace

from norvash.core.grades import GRADES, Graded, worst
from norvash.core.sheet.life import Life
from norvash.core.sheet.numbered import place_of
from norvash.core.sheet.part import BRUSHES, COMPLAINT, LOOK, PARTS
from norvash.core.stages.brushes.carbon import SET_WORN
from norvash.core.state.component import Component, Condition
from norvash.core.state.motor_state import MotorState, Overrule
from norvash.core.state.round import Round

MOTOR = "motor"


def conditions_of(
    state: MotorState, rounds: Iterable[Round], lives: Iterable[Life], by_use: Graded | None
) -> tuple[Condition, ...]:
    """Return what stands on a motor, each once, the worst first: the findings that live, and lesser ones that were seen
    since the last measured round or noted on the sheet. A worn set speaks by its own carbon, `by_use`, until another is
    in its place and not measured, or where what stands of it is graver than that.
    """
    carbon = by_use.rank if by_use is not None else -1
    labels = places_of(state)
    lesser = ((n, f) for r in rounds for n, f in r.seen if not f.grave)
    noted = ((n, f) for (n, _), f in state.told.now.items() if not f.grave)
    living = (
        (x.position, x.finding)
        for x in lives
        if x.stands
        and (x.finding.id != SET_WORN.id or x.state == "done not proven" or GRADES.index(x.finding.grade) > carbon)
    )
    made = [Condition(place_of(f, n, labels), f, n) for n, f in dict.fromkeys((*living, *lesser, *noted))]
    return tuple(sorted(made, key=_gravest_first))


def _gravest_first(condition: Condition) -> tuple[int, bool]:
    """Return the place of what stands in a list, the worst first; what was found comes before what is complained of."""
    return -GRADES.index(condition.finding.grade), condition.finding.part is COMPLAINT


def places_of(state: MotorState) -> dict[int, str]:
    """Return the name of every brush position."""
    return {p.number: f"Brush {p.label}" for p in state.positions}


def components_of(
    by_length: Graded | None,
    conditions: Iterable[Condition],
    overrules: Iterable[Overrule],
    overdue: Graded | None = None,
) -> tuple[Component, ...]:
    """Return the verdict on every part that counts: its worst voice wins; an overruled one keeps what it was before.

    Units: by_length is the grade of the worst brush, its use and its tables counted in; overdue is how grave a look is
    that is overdue by use, with its words as the rule, None where it is not.
    """
    ruled = {o.component: o for o in overrules}
    said: dict[str, Component] = {p.id: Component(part=p, grade=None, by="", rule_id="") for p in PARTS}
    if by_length is not None:
        said[BRUSHES.id] = Component(part=BRUSHES, grade=by_length.grade, by="length", rule_id=by_length.rule_id)
    if overdue is not None:
        said[LOOK.id] = Component(part=LOOK, grade=overdue.grade, by=overdue.rule_id, rule_id="")
    for c in conditions:
        name = c.finding.part.id
        said.setdefault(name, Component(part=c.finding.part, grade=None, by="", rule_id=""))
        if said[name].grade is None or GRADES.index(c.finding.grade) > said[name].rank:
            said[name] = Component(
                part=c.finding.part,
                grade=c.finding.grade,
                by=f"{c.place}: {c.finding.words}",
                rule_id=c.finding.id,
                renews=c.finding.renews,
            )
    return tuple(_decided(c, ruled[c.id]) if c.id in ruled else c for c in said.values())


def _decided(part: Component, over: Overrule) -> Component:
    """Return a part with what somebody decided over it; a stop is never softened: that counts no longer."""
    if part.grade == "stop" and over.grade != "stop":
        return replace(part, fallen=over)
    return replace(part, grade=over.grade, overruled=over, before=part.grade)


def counted(components: Iterable[Component]) -> tuple[Component, ...]:
    """Return the parts by which the motor itself is judged: all but what lies outside it."""
    return tuple(c for c in components if not c.part.outside)


def motor_grade(
    components: Iterable[Component], overrules: Iterable[Overrule]
) -> tuple[Graded | None, Overrule | None]:
    """Return the motor's grade, the worst of its parts that count; what lies outside it is graded beside it.

    And who decided otherwise for the whole motor on a sheet of the time when that could be.
    """
    graded = worst([Graded(c.grade, c.rule_id) for c in counted(components) if c.grade])
    whole = next((o for o in overrules if o.component == MOTOR), None)
    whole = None if graded is not None and graded.grade == "stop" else whole
    return (Graded(whole.grade, graded.rule_id if graded else ""), whole) if whole else (graded, None)
