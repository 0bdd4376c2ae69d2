"""Sums about length: usable carbon and the limit."""

from dataclasses import dataclass

from norvash.core.brush.carbon import DepthScale, check_length, usable_carbon
from norvash.core.edges import over, same, under
from norvash.core.grades import WORDS, Graded, grade_of
from norvash.core.rules.book import MotorRules
from norvash.core.sums.registry import Sum, ask, gives, together
from norvash.errors import InputError

_TENTH = 0.1


@dataclass(frozen=True, slots=True, kw_only=True)
class CarbonIn:
    """A length, or a depth, with its new value and its limit."""

    length_mm: float | None = ask("Length now", "length", default=None)
    new_mm: float | None = ask("New length", "length", default=None, above_low=True)
    limit_mm: float | None = ask("Limit", "length", default=None)
    depth_mm: float | None = ask("Depth now", "length", default=None, low=-1e3, hint="instead of a length")
    depth_new_mm: float | None = ask("Depth when new", "length", default=None, low=-1e3)
    depth_limit_mm: float | None = ask("Depth limit", "length", default=None, low=-1e3)
    depth_constant_mm: float | None = ask("Depth gauge constant", "length", default=None, hint="length plus depth")
    protrusion_mm: float | None = ask("Protrusion now", "length", default=None, low=-1e3, hint="may be negative")
    protrusion_constant_mm: float | None = ask("Protrusion constant", "length", default=None, low=-1e3)
    sunk_mm: float = ask("Surface sunk by", "length", default=0.0, hint="after a skim, holder not moved")


@dataclass(frozen=True, slots=True, kw_only=True)
class CarbonOut:
    """Usable carbon with its grade and the words for it."""

    usable: float | None = gives("usable carbon", share=True)
    length_share: float | None = gives("share of the length", share=True)
    length_mm: float | None = gives("length")
    wear_mm: float | None = gives("worn off")
    left_to_limit_mm: float | None = gives("left to the limit")
    stage: str | None
    stage_words: str | None = gives("stage")
    note: str
    rules: tuple[str, ...]


def _graded(usable: float | None, at_limit: bool, rules: MotorRules) -> Graded | None:
    if at_limit:
        return Graded("stop", "stage.stop")
    return None if usable is None else grade_of(usable, rules)


def given_or_refuse(name: str, value: float | None) -> float:
    """Return a figure that must be given.

    Raises: InputError at its field.
    """
    if value is None:
        raise InputError("A figure is missing.", "Give length, new length and limit, or the depths.", name)
    return value


def carbon(given: CarbonIn, rules: MotorRules) -> CarbonOut:
    """Return usable carbon from a length, a depth or a protrusion.

    Raises: InputError for figures that contradict each other, at the field.
    """
    if given.depth_mm is not None:
        return _from_depth(given, given.depth_mm, rules)
    if given.depth_new_mm is not None or given.depth_limit_mm is not None:
        raise InputError("There is no depth to compare with the depth when new.", "Give the depth now.", "depth_mm")
    length_mm, new_mm = _length_of(given), given_or_refuse("new_mm", given.new_mm)
    check_length(length_mm, new_mm, "length_mm" if given.length_mm is not None else "protrusion_mm", rules)
    limit_mm = given_or_refuse("limit_mm", given.limit_mm) + given.sunk_mm
    usable = usable_carbon(length_mm, new_mm, limit_mm)
    share = length_mm / new_mm
    graded = _graded(usable, not over(length_mm, limit_mm), rules)
    note = f"{share:.0%} of the length is left, but {max(usable, 0):.0%} of what may be used"
    if over(length_mm, new_mm + rules["new.tolerance"]):
        note = "longer than new beyond its tolerance: mistyped, or another brush?"
    return _carbon_out(
        usable, share, length_mm, wear_mm=new_mm - length_mm, left=length_mm - limit_mm, graded=graded, note=note
    )


def _length_of(given: CarbonIn) -> float:
    """Return the length as measured, or from the protrusion; both must agree where both are given."""
    together(given, "protrusion_mm", "protrusion_constant_mm")
    if given.protrusion_mm is None or given.protrusion_constant_mm is None:
        return given_or_refuse("length_mm", given.length_mm)
    by_it = given.protrusion_mm + given.protrusion_constant_mm + given.sunk_mm
    if given.length_mm is not None and not same(given.length_mm, by_it):
        raise InputError(
            f"By its protrusion the brush is {by_it:g} mm long, not {given.length_mm:g} mm.",
            "Keep the one that was measured.",
            "protrusion_mm",
        )
    return by_it


def _from_depth(given: CarbonIn, depth_mm: float, rules: MotorRules) -> CarbonOut:
    if given.depth_new_mm is None:
        raise InputError("A depth needs the depth when new.", "Give it in mm.", "depth_new_mm")
    if given.protrusion_mm is not None:
        raise InputError("A depth and a protrusion are given.", "Keep the one that was measured.", "protrusion_mm")
    scale = DepthScale(given.depth_new_mm, given.depth_limit_mm, given.depth_constant_mm, given.sunk_mm)
    length_mm = _checked_depth(given, scale, depth_mm, rules)
    usable, left = scale.usable(depth_mm), scale.left_mm(depth_mm)
    share = None
    if length_mm is not None and given.depth_constant_mm is not None:
        share = length_mm / (given.depth_constant_mm - given.depth_new_mm)
    graded = _graded(
        usable,
        left is not None and given.depth_limit_mm is not None and not under(depth_mm, given.depth_limit_mm),
        rules,
    )
    note = "the depth limit is compared with the raw reading; wear is without what the surface has sunk"
    if graded is None:
        note = (
            "there is no depth limit, so nothing is said of what may be used; wear is without what the surface has sunk"
        )
    return _carbon_out(usable, share, length_mm, wear_mm=scale.wear_mm(depth_mm), left=left, graded=graded, note=note)


def _checked_depth(given: CarbonIn, scale: DepthScale, depth_mm: float, rules: MotorRules) -> float | None:
    """Return the length that a depth means, None without the gauge's constant.

    Raises: InputError for a brush that has grown, or one that is gone, or a length that says otherwise.
    """
    new_mm, length_mm = given.new_mm, scale.length_mm(depth_mm)
    if given.depth_constant_mm is not None:
        new_by_it = given.depth_constant_mm - scale.new_mm
        if not new_by_it > 0:
            raise InputError(
                "The constant leaves no brush at the depth when new.", "It is length plus depth.", "depth_constant_mm"
            )
        if new_mm is not None and over(abs(new_mm - new_by_it), _TENTH * new_mm):
            raise InputError(
                f"By depth and constant a new brush is {new_by_it:g} mm, not {new_mm:g} mm.",
                "Check the three.",
                "depth_constant_mm",
            )
        new_mm = new_by_it
    if length_mm is not None and new_mm is not None:
        check_length(length_mm, new_mm, "depth_mm", rules)
    grown = -scale.wear_mm(depth_mm)
    if over(grown, _TENTH * (new_mm or abs(scale.new_mm))):
        raise InputError(
            f"A depth of {depth_mm:g} mm is {grown:g} mm less than when new: a brush does not grow.",
            "Check the two depths.",
            "depth_mm",
        )
    if given.length_mm is not None and (length_mm is None or not same(given.length_mm, length_mm)):
        raise InputError(
            "A length and a depth are given, and they do not agree.", "Keep the one that was measured.", "length_mm"
        )
    return length_mm


def _carbon_out(
    usable: float | None,
    share: float | None,
    length_mm: float | None,
    *,
    wear_mm: float,
    left: float | None,
    graded: Graded | None,
    note: str,
) -> CarbonOut:
    return CarbonOut(
        usable=usable,
        length_share=share,
        length_mm=length_mm,
        wear_mm=wear_mm,
        left_to_limit_mm=left,
        stage=graded.grade if graded else None,
        stage_words=WORDS[graded.grade] if graded else None,
        note=note,
        rules=(graded.rule_id,) if graded else (),
    )


SUMS = (
    Sum(
        name="usable-carbon",
        title="Usable carbon",
        words=(
            "How much of a brush may still be used, from its length or a depth. Half the length is not half the life."
        ),
        inputs=CarbonIn,
        compute=carbon,
        example={"length_mm": 13.1, "new_mm": 25.0, "limit_mm": 9.5},
    ),
)
