"""A set of brushes that is offered: voltage, variant and grade, section, length, face, lead, terminal, spring."""

from collections.abc import Iterator
from dataclasses import replace

from norvash.core.brush.holders import clearances_mm, side_fit
from norvash.core.brush.loading import judge_spring
from norvash.core.edges import over, under
from norvash.core.motor.matrix import alike_v, belonging, misfits
from norvash.core.parts.answer import Answer, Point
from norvash.core.parts.machine import Machine
from norvash.core.parts.sizes import Sizes
from norvash.core.rules.book import MotorRules
from norvash.errors import InputError

_FITS: dict[str, Answer] = {"fits": "drop-in", "fits after dressing": "after dressing", "do not use": "do not use"}
_FACE_DEG, _LENGTH_MM = 0.5, 0.05
_HEAT = "mind the heat, and no soft solder on a brush that runs hot"


def of_set(old: Sizes, new: Sizes, machine: Machine, rules: MotorRules) -> Iterator[Point]:
    """Yield what decides of a set that is offered.

    Raises: InputError where old and new look swapped. Source: rules fit.*, offered.slack, spring.plan
    """
    parts: tuple[tuple[str, Iterator[Point]], ...] = (
        ("voltage", _belongs(old, new, machine)),
        ("variant", _named("variant", new.variant, old.variant, stops=True, asked=not machine.matrix)),
        ("grade", _named("grade family", new.grade, old.grade)),
        ("thickness", _side("thickness", new.thickness_mm, old.thickness_mm, machine.box_thickness_mm, rules)),
        ("width", _side("width", new.width_mm, old.width_mm, machine.box_width_mm, rules)),
        ("length", _length(old, new, machine)),
        ("face", _face(old, new)),
        ("lead", _lead(old, new, machine, rules)),
        ("terminal", _terminal(old, new)),
        ("spring", _spring(old, new, machine, rules)),
    )
    for about, points in parts:
        yield from (replace(p, about=about) for p in points)


def _belongs(old: Sizes, new: Sizes, machine: Machine) -> Iterator[Point]:
    """Yield whether it is of this voltage, variant and build."""
    volts, name = machine.volts or old.volts, new.part or new.variant
    if machine.matrix and name:
        yield _by_matrix(name, machine)
    elif machine.matrix:
        yield Point(words="its name in the table of supply and build", unknown=True)
    if new.volts is not None and volts is not None:
        right = alike_v(new.volts, volts)
        words = f"for {new.volts:g} V" + ("" if right else f", the machine has {volts:g} V")
        yield Point(words=words, answer="drop-in" if right else "do not use", stops=not right)
    elif not machine.matrix:
        yield Point(words="voltage", unknown=True)


def _by_matrix(name: str, machine: Machine) -> Point:
    where = f"{machine.volts:g} V" if machine.volts is not None else "a voltage that nobody states"
    place = f"{where}, build {machine.build or 'not stated'}"
    wanted = belonging(machine.matrix, machine.volts, machine.build)
    if wanted is None:
        return Point(words=f"no row of its type's table is for {place}", answer="do not use", stops=True)
    wrong = misfits(machine.matrix, name, machine.volts, machine.build)
    if not wrong:
        return Point(words=f"{name} is the set for {place}")
    if not any(r.part.casefold() == name.casefold() for r in machine.matrix):
        return Point(words=f"{name} is not in its type's table: {place} takes {wanted.part}", answer="do not use")
    return Point(
        words=f"{name} is of another {' and '.join(wrong)}: {place} takes {wanted.part}",
        answer="do not use",
        stops=True,
    )


def _named(label: str, new: str, old: str, *, stops: bool = False, asked: bool = True) -> Iterator[Point]:
    """Yield whether two names agree."""
    if not new or not old:
        if asked:
            yield Point(words=label, unknown=True)
    elif new.casefold() == old.casefold():
        yield Point(words=f"{label} {new}, as the old one")
    else:
        yield Point(words=f"{label} {new} where {old} was", answer="do not use", stops=stops)


def _side(name: str, new: float | None, old: float | None, box: float | None, rules: MotorRules) -> Iterator[Point]:
    """Yield how one side of the section goes into its box; without the box only what the old one tells."""
    if new is None:
        yield Point(words=name, unknown=True)
    elif box is not None:
        found = side_fit(name, new, box, rules)
        yield Point(words=found.reason, answer=_FITS[found.fit], rules=("fit.clearance-least", "fit.dressing"))
    else:
        yield from _by_old(name, new, old, rules)


def _by_old(name: str, new: float, old: float | None, rules: MotorRules) -> Iterator[Point]:
    yield Point(words=f"box for its {name}", unknown=True)
    if old is None:
        return
    least, most = clearances_mm(new, rules)
    reach = most - least
    if over(new - old, reach + rules["fit.dressing"]):
        words = f"{name} {new:g} mm where {old:g} mm was: too much to dress whatever the box, send it back"
        yield Point(words=words, answer="do not use", rules=("fit.dressing",))
    elif over(old - new, reach):
        yield Point(words=f"{name} {new:g} mm where {old:g} mm was: it would tilt in the box", answer="do not use")
    else:
        yield Point(words=f"{name} {new:g} mm where {old:g} mm was")


def _length(old: Sizes, new: Sizes, machine: Machine) -> Iterator[Point]:
    """Yield what another length means: a longer one is dressed at its top where nothing sits there, a shorter one lasts
    less.
    """
    if new.length_mm is None or old.length_mm is None:
        yield Point(words="length", unknown=True)
        return
    more = new.length_mm - old.length_mm
    if over(more, _LENGTH_MM):
        words = f"{more:.2f} mm longer than the old one was new"
        if machine.top_free is None:
            yield Point(words=f"{words}: whether lead or spring sit on its top", unknown=True)
            yield Point(words=words, answer="fits by what is known")
        elif machine.top_free:
            yield Point(words=f"{words}: dress its top", answer="after dressing")
        else:
            yield Point(words=f"{words}, and lead or spring sit on its top", answer="do not use")
    elif over(-more, _LENGTH_MM):
        yield Point(words=f"{-more:.2f} mm shorter than the old one was new{_lost(old, new, machine)}")
    else:
        yield Point(words=f"length {new.length_mm:g} mm, as the old one was new")


def _lost(old: Sizes, new: Sizes, machine: Machine) -> str:
    limit, was, now = machine.limit_mm, old.length_mm or 0.0, new.length_mm or 0.0
    if limit is None or not under(limit, was):
        return ""
    if not under(limit, now):
        raise InputError(
            "The new one is no longer than the limit.", "Check old and new: are they swapped?", "length_mm"
        )
    return f": {(was - now) / (was - limit):.1%} of the usable carbon less"


def _face(old: Sizes, new: Sizes) -> Iterator[Point]:
    """Yield whether angle and hand of the face agree."""
    if new.face_angle_deg is None or old.face_angle_deg is None:
        if (new.face_angle_deg or 0.0) != (old.face_angle_deg or 0.0):
            yield Point(words="face angle", unknown=True)
    else:
        right = not over(abs(new.face_angle_deg - old.face_angle_deg), _FACE_DEG)
        words = f"face at {new.face_angle_deg:g}°" + ("" if right else f" where {old.face_angle_deg:g}° was")
        yield Point(words=words, answer="drop-in" if right else "do not use")
    if new.hand or old.hand:
        yield from _named("hand", new.hand, old.hand)


def _lead(old: Sizes, new: Sizes, machine: Machine, rules: MotorRules) -> Iterator[Point]:
    """Yield whether the lead follows the brush down to its limit."""
    length = new.length_mm or old.length_mm
    if new.lead_mm is None or length is None or machine.limit_mm is None:
        yield Point(words="lead: its length, or the travel of the brush, is not known", unknown=True)
        return
    asked = length - machine.limit_mm + rules["offered.slack"]
    right = not under(new.lead_mm, asked)
    words = f"lead {new.lead_mm:g} mm, {asked:.1f} mm asked: its travel and {rules['offered.slack']:g} mm of slack"
    yield Point(words=words, answer="drop-in" if right else "do not use", rules=("offered.slack",))


def _terminal(old: Sizes, new: Sizes) -> Iterator[Point]:
    if not new.terminal or not old.terminal:
        yield Point(words="terminal", unknown=True)
    elif new.terminal.casefold() == old.terminal.casefold():
        yield Point(words=f"terminal {new.terminal}, as the old one")
    else:
        words = f"terminal {new.terminal} where {old.terminal} was: transfer it; {_HEAT}"
        yield Point(words=words, answer="after transfer")


def _spring(old: Sizes, new: Sizes, machine: Machine, rules: MotorRules) -> Iterator[Point]:
    """Yield which spring to use where one comes with the set."""
    nominal = machine.force_nominal_n or old.force_n
    if new.force_n is None or nominal is None:
        return
    judged = judge_spring(new.force_n, None, (0.0, 0.0), nominal, rules)
    right = judged.grade == "fit"
    keep = "" if right else ": keep the old spring where it is in its band and clean, else another one"
    words = f"its spring {new.force_n:g} N, {judged.reason}{keep}"
    yield Point(words=words, answer="drop-in" if right else "after transfer", rules=("spring.plan",))
