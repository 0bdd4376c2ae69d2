"""The ground of a judgement: the figures and rules that a motor is judged on, now and before somebody changed them."""

from collections.abc import Iterable, Mapping, Sequence
from dataclasses import dataclass, field, replace

from norvash.core.commutator.figures_after_cut import Mark, figures_since
from norvash.core.grades import GRADES
from norvash.core.motor.figure import Number
from norvash.core.motor.figure_fields import BY_NAME
from norvash.core.motor.figure_reading import variant_of
from norvash.core.motor.figures import Figures
from norvash.core.motor.in_force import figures_in_force
from norvash.core.rules.book import MotorRules, Override, Rulebook
from norvash.core.rules.catalogue import RULES, SCHOOLS_BY_ID
from norvash.core.sheet.finding import Finding
from norvash.core.sheet.life import At, Then
from norvash.core.sheet.moved import Moved, Value
from norvash.core.text.quantities import UNITS
from norvash.core.text.words import figure_said
from norvash.errors import InputError

Stated = Mapping[str, float | str]


@dataclass(frozen=True, slots=True)
class Ground:
    """What a motor was judged on before some changes: its figures in force, and the rules as they applied to it."""

    moves: tuple[Moved, ...]
    figures: Figures
    rules: MotorRules


@dataclass(frozen=True, slots=True, kw_only=True)
class Standing:
    """What stands for a motor today: the figures that it and its type state, its marks of rework, and its rules."""

    motor_class: str
    own: Stated
    of_type: Stated
    marks: Sequence[Mark]
    rules: MotorRules


def grounds_before(now: Standing, moves: Sequence[Moved]) -> tuple[Ground, ...]:
    """Return the grounds before each of some changes, and before all of them where there are several; one on which
    nothing can be judged is left out.
    """
    made = [_before(now, (m,)) for m in moves]
    if len(moves) > 1:
        made.append(_before(now, tuple(moves)))
    return tuple(g for g in made if g is not None)


def _before(now: Standing, moves: tuple[Moved, ...]) -> Ground | None:
    own = _put_back(now.own, [m for m in moves if m.kind == "figure" and m.scope == "motor"])
    of_type = _put_back(now.of_type, [m for m in moves if m.kind == "figure" and m.scope == "type"])
    try:
        stated = figures_in_force(now.motor_class, own, of_type)
        figures = figures_since(stated, now.marks)
    except InputError:
        return None
    ruled = [m for m in moves if m.kind != "figure"]
    book = _book_before(now.rules.book, ruled) if ruled else now.rules.book
    return Ground(moves, figures, replace(now.rules, book=book, variant=variant_of(now.motor_class, stated)))


def _put_back(stated: Stated, moves: Iterable[Moved]) -> Stated:
    made = dict(stated)
    for m in moves:
        made.pop(m.name, None)
        if m.before is not None:
            made[m.name] = m.before
    return made


def _book_before(book: Rulebook, moves: Iterable[Moved]) -> Rulebook:
    made = dict(book.overrides)
    for m in moves:
        made.pop((m.name, m.scope, m.scope_id), None)
        if m.before is not None:
            made[m.name, m.scope, m.scope_id] = _override(m)
    return Rulebook(book.rules, made.values(), book.schools)


def _override(m: Moved) -> Override:
    return Override(
        rule_id=m.name,
        scope=m.scope,
        scope_id=m.scope_id,
        value=m.before if isinstance(m.before, float) else 0.0,
        person=m.person,
        day=m.at.date().isoformat(),
        why="",
        word=m.before if isinstance(m.before, str) else "",
    )


@dataclass
class ThenMade:
    """Gathers what earlier grounds find graver than today's does, by place; the first ground that does names it."""

    made: dict[At, Then] = field(default_factory=dict)

    def add(self, ground: Ground, at: At, *, found: Finding | None, now: Finding | None) -> None:
        """Keep what a ground finds at a place as the motor was found and as it is now, None where that is no graver."""
        before = self.made.get(at)
        known_alone = before is not None and len(ground.moves) > 1
        if known_alone or not (found or now):
            return
        moves = ground.moves if before is None else (*before.moves, *ground.moves)
        self.made[at] = Then(
            found=_graver_of(found, before.found if before is not None else None),
            now=_graver_of(now, before.now if before is not None else None),
            moves=moves,
        )


def graver(then: Finding | None, now: Finding | None) -> Finding | None:
    """Return what an earlier ground finds where it is grave, and graver than what today's finds there."""
    if then is None or not then.grave:
        return None
    return then if now is None or GRADES.index(then.grade) > GRADES.index(now.grade) else None


def _graver_of(one: Finding | None, other: Finding | None) -> Finding | None:
    return one if graver(one, other) is not None else other


def said(m: Moved) -> str:
    """Return a change in words: what it was, what it is, and where that comes from."""
    words, before, after = _named(m.kind, m.name, m.before, m.after)
    how = {"read": "read again from ", "first": "first stated from ", "ours": "decided by us: "}.get(m.answer, "")
    source = f", {how}{m.source}" if m.source else ""
    confirmed = f"; confirmed by {m.confirmed_how}" if m.confirmed_how else f"; {m.left}" if m.left else ""
    return f"{words} {before} → {after}{source}, {m.person}{confirmed}"


def _named(kind: str, name: str, before: Value, after: Value) -> tuple[str, str, str]:
    if kind == "figure":
        figure = BY_NAME.get(name)
        unit = next(iter(UNITS.get(figure.dimension, ())), "") if isinstance(figure, Number) else ""
        return (figure.label.lower() if figure is not None else name), _plain(before, ""), _plain(after, unit)
    if kind == "school":
        school = SCHOOLS_BY_ID.get(name)
        options = dict(school.options) if school is not None else {}
        return (
            school.question if school is not None else name,
            options.get(str(before), "the usual"),
            options.get(str(after), "the usual"),
        )
    rule = RULES.get(name)
    if rule is None:
        return name, _plain(before, ""), _plain(after, "")
    return rule.words, _ruled(before, rule.unit), _ruled(after, rule.unit)


def _ruled(value: Value, unit: str) -> str:
    return figure_said(value, unit) if isinstance(value, float) else "the default"


def _plain(value: Value, unit: str) -> str:
    if value is None:
        return "none"
    return f"{value:g} {unit}".strip() if isinstance(value, float) else value
