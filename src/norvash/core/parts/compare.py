"""A part that is offered against the old one and the machine: each kind by what decides it."""

from collections.abc import Iterator
from dataclasses import dataclass, field

from norvash.core.bearings.designation import CLEARANCES, Bearing, decode
from norvash.core.bearings.fitting import (
    FitLine,
    housing_line,
    lip_line,
    needle_line,
    new_bush_line,
    recess_line,
    shaft_line,
    worn_bush_lines,
)
from norvash.core.brush.loading import judge_spring
from norvash.core.edges import over, same, under
from norvash.core.parts.answer import Answered, Point, answered
from norvash.core.parts.brush_set import of_set
from norvash.core.parts.machine import Machine
from norvash.core.parts.sizes import LABELS, OF_KIND, Kind, Sizes
from norvash.core.rules.book import MotorRules
from norvash.errors import InputError

# How far two sizes of what is not fitted by a band may lie apart [mm], and the shares of its interference by which the
# bore of a bush closes when it is pressed in.
_ALIKE_MM, _CLOSES = 0.1, (0.5, 0.8)
_CLEARANCES = (CLEARANCES["C2"], CLEARANCES["CN"], CLEARANCES["C3"], CLEARANCES["C4"], CLEARANCES["C5"])
_HOT_GREASE = "it takes no grease and bears less heat than an open one"


@dataclass(frozen=True, slots=True, kw_only=True)
class Offer:
    """A part that is offered: its kind, the old one, the new one, and the machine that it goes into."""

    kind: Kind
    old: Sizes
    new: Sizes
    machine: Machine = field(default_factory=Machine)


def compared(offer: Offer, rules: MotorRules) -> Answered:
    """Return whether a part is the right one.

    Raises: InputError for a size that cannot be, or one over its table. Source: rules fit.*, seal.*, spring.*,
    offered.slack
    """
    return answered(_OF[offer.kind](offer, rules))


def _spring(offer: Offer, rules: MotorRules) -> Iterator[Point]:
    nominal, force = offer.machine.force_nominal_n or offer.old.force_n, offer.new.force_n
    if force is None or nominal is None:
        yield Point(words="force", unknown=True)
    else:
        judged = judge_spring(force, None, (0.0, 0.0), nominal, rules)
        right = judged.grade == "fit"
        yield Point(
            words=f"force {force:g} N, {judged.reason}",
            answer="drop-in" if right else "do not use",
            rules=("spring.plan",),
        )
    yield from _alike(offer, "free_mm")


def _bearing(offer: Offer, rules: MotorRules) -> Iterator[Point]:
    yield from _numbers(offer)
    machine = offer.machine
    bore, outside = offer.new.bore_mm, offer.new.outside_mm
    c3 = "C3" in offer.new.number.upper()
    if machine.shaft_mm is not None and bore is not None:
        yield _fitting(shaft_line(machine.shaft_mm, bore, rules, c3=c3), press=True)
    if machine.housing_mm is not None and outside is not None:
        yield _fitting(housing_line(machine.housing_mm, outside, rules, located=machine.located), press=False)
    if machine.shaft_mm is None or bore is None:
        yield Point(words="its fit on the shaft: shaft and bore are not measured", unknown=True)


def _numbers(offer: Offer) -> Iterator[Point]:
    new, old = _decoded(offer.new.number, "number"), _decoded(offer.old.number, "old number")
    if new is None or old is None:
        yield Point(words="number", unknown=True)
        return
    yield from compare_numbers(new, old)


def compare_numbers(new: Bearing, old: Bearing) -> Iterator[Point]:
    """Yield what the numbers of two bearings say of each other: size, clearance, seals; another size ends it.

    Source: the part offered against type and motor
    """
    if new.size != old.size:
        yield Point(words=f"{_size(new)} where {_size(old)} was", answer="do not use")
        return
    yield Point(words=f"{_size(new)}, as the old one")
    if new.clearance != old.clearance:
        yield _clearance(new.clearance, old.clearance)
    if (new.sealed, new.rubbing) != (old.sealed, old.rubbing):
        opened = not new.sealed and old.sealed
        words = f"{new.seal} where {old.seal} was"
        yield Point(
            about="seal",
            words=f"{words}: carbon dust gets in" if opened else f"{words}: {_HOT_GREASE}",
            answer="do not use" if opened else "fits by what is known",
        )


def _clearance(new: str, old: str) -> Point:
    """Return what another clearance says: less jams when it gets warm, more only where the fit asks for it."""
    words = f"clearance {new} where {old} was"
    if _CLEARANCES.index(new) < _CLEARANCES.index(old):
        return Point(about="clearance", words=f"{words}: less of it jams once it is warm", answer="do not use")
    return Point(
        about="clearance",
        words=f"{words}: louder, and only right where the fit on the shaft takes it up",
        answer="fits by what is known",
    )


def _size(bearing: Bearing) -> str:
    return f"{bearing.bore_mm:g} × {bearing.outside_mm:g} × {bearing.width_mm:g} mm"


def _decoded(number: str, what: str) -> Bearing | None:
    if not number:
        return None
    try:
        return decode(number)
    except InputError as error:
        raise InputError(f"{what}: {error.problem}", error.remedy, "number") from None


def _bush(offer: Offer, rules: MotorRules) -> Iterator[Point]:
    """Yield whether a bush will run: by its bore pressed in, else by its free bore less what pressing it in closes."""
    machine, new = offer.machine, offer.new
    bore, outside = new.bore_mm, new.outside_mm
    if machine.shaft_mm is None or (bore is None and new.pressed_mm is None):
        yield Point(words="how it runs: shaft and bore are not measured", unknown=True)
    elif new.pressed_mm is not None or bore is None:
        yield _fitting(
            new_bush_line(machine.shaft_mm, new.pressed_mm or 0.0, rules, starter=machine.starter), press=True
        )
    elif machine.housing_mm is None or outside is None:
        line = new_bush_line(machine.shaft_mm, bore, rules, starter=machine.starter)
        yield Point(words=f"free bore {line.clearance_mm:+.3f} mm over the shaft", rules=line.rules)
        yield Point(words="how far pressing closes it: housing and outside are not measured", unknown=True)
    else:
        yield from _pressed(machine, bore, outside - machine.housing_mm, rules)
    if machine.shaft_mm is not None and offer.old.bore_mm is not None:
        yield _old_one(worn_bush_lines(machine.shaft_mm, offer.old.bore_mm, None, rules)[0])
    yield from _alike(offer, "length_mm")


def _old_one(line: FitLine) -> Point:
    """Return whether what is in there may go on: that decides nothing of the new one."""
    words = f"the old one has {line.clearance_mm:+.3f} mm, {line.low_mm:+.3f} to {line.high_mm:+.3f} is right"
    return Point(words=f"{words}: {'refit it' if line.fits else 'renew it'}", rules=line.rules)


def _pressed(machine: Machine, bore: float, tight: float, rules: MotorRules) -> Iterator[Point]:
    if not over(tight, 0):
        yield Point(words=f"loose in its housing by {-tight:.3f} mm: it would turn", answer="do not use")
        return
    shaft = machine.shaft_mm or 0.0
    lines = [new_bush_line(shaft, bore - share * tight, rules, starter=machine.starter) for share in _CLOSES]
    least, most = sorted(x.clearance_mm for x in lines)
    words = (
        f"pressed in {least:+.3f} to {most:+.3f} mm where {lines[0].low_mm:+.3f} to {lines[0].high_mm:+.3f} is right"
    )
    if all(x.fits for x in lines):
        yield Point(words=words, rules=lines[0].rules)
    elif any(x.fits for x in lines):
        yield Point(words=words, answer="fits by what is known", rules=lines[0].rules)
        yield Point(words="its bore pressed in: measure it before the shaft goes in", unknown=True)
    else:
        says = next(x.says for x in lines if not x.fits)
        yield Point(words=f"{words}: {says}; do not take the old part out", answer="do not use", rules=lines[0].rules)


def _needle(offer: Offer, rules: MotorRules) -> Iterator[Point]:
    if offer.machine.shaft_mm is None or offer.new.bore_mm is None:
        yield Point(words="how it runs: shaft and bore, pressed in, are not measured", unknown=True)
    else:
        yield _fitting(needle_line(offer.machine.shaft_mm, offer.new.bore_mm, rules), press=False)
    if offer.machine.shaft_mm is not None and offer.old.bore_mm is not None:
        yield _old_one(needle_line(offer.machine.shaft_mm, offer.old.bore_mm, rules))
    yield from _alike(offer, "outside_mm")
    yield from _alike(offer, "length_mm")


def _seal(offer: Offer, rules: MotorRules) -> Iterator[Point]:
    machine, new = offer.machine, offer.new
    if machine.shaft_mm is None or new.bore_mm is None:
        yield Point(words="its lip: shaft and free lip are not measured", unknown=True)
    else:
        yield _fitting(lip_line(machine.shaft_mm, new.bore_mm, rules), press=False)
    if machine.housing_mm is None or new.outside_mm is None:
        yield Point(words="its seat: recess and outside are not measured", unknown=True)
    else:
        yield _fitting(recess_line(machine.housing_mm, new.outside_mm, rules, metal=machine.metal_case), press=True)
    yield from _alike(offer, "width_mm")


def _by_features(offer: Offer, _rules: MotorRules) -> Iterator[Point]:
    """Yield what differs of a part that must be alike in all that is known of it."""
    for name in OF_KIND[offer.kind]:
        if name not in ("part", "batch"):
            yield from _alike(offer, name)


def _alike(offer: Offer, name: str) -> Iterator[Point]:
    """Yield whether one size or name is alike, or that it is not known of both."""
    old, new = getattr(offer.old, name), getattr(offer.new, name)
    label, dimension = LABELS[name]
    if old in (None, "") or new in (None, ""):
        yield Point(words=label, unknown=True)
        return
    if isinstance(old, str) or isinstance(new, str):
        right = str(old).casefold() == str(new).casefold()
    elif dimension == "length":
        right = not over(abs(new - old), _ALIKE_MM)
    else:
        right = same(new, old)
    said, was = (x if isinstance(x, str) else f"{x:g}" for x in (new, old))
    yield Point(
        words=f"{label} {said}, as the old one" if right else f"{label} {said} where {was} was",
        answer="drop-in" if right else "do not use",
        stops=name == "volts" and not right,
    )


def _fitting(line: FitLine, *, press: bool) -> Point:
    """Return what one fit says; a press fit that is refused says that the old part stays in."""
    words = (
        f"{line.words.lower()}: {line.clearance_mm:+.3f} mm where {line.low_mm:+.3f} to {line.high_mm:+.3f} is right"
    )
    if line.fits:
        return Point(words=words, rules=line.rules)
    stays = "; do not take the old part out" if press and under(line.clearance_mm, line.low_mm) else ""
    return Point(words=f"{words}: {line.says}{stays}", answer="do not use", rules=line.rules)


_OF = {
    "brush set": lambda offer, rules: of_set(offer.old, offer.new, offer.machine, rules),
    "spring": _spring,
    "bearing": _bearing,
    "bush": _bush,
    "needle": _needle,
    "seal": _seal,
    "pinion": _by_features,
    "brush plate": _by_features,
    "armature": _by_features,
}
