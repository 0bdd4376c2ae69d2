"""What a sheet says of the motor's parts: findings seen, and findings that follow from what was measured."""

from collections.abc import Iterable

from norvash.core.brush.holders import clearances_mm, gap_reason, side_fit
from norvash.core.brush.loading import judge_spring, pressure_kpa, usual_force_n
from norvash.core.brush.wear_measures import dust_g
from norvash.core.edges import over, under
from norvash.core.findings import Finding
from norvash.core.part_findings import BY_ID, PARTS
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.facts import Facts
from norvash.core.sheet.sheet import Sheet
from norvash.core.supply.cables import Terminal, terminal_by_drop, terminal_by_ohm

Voice = tuple[int, Finding]
_GONE = ("done", "dropped")
_TWO_BARS = "commutator.two-bars"


def voices(sheet: Sheet, rules: MotorRules, worn_mm: Iterable[float] = ()) -> tuple[Voice, ...]:
    """Return the findings of a sheet that still stand, each with its position, 0 for the whole motor.

    Units: worn_mm [mm] of every brush since new, for the dust that is to be expected. What was measured stands over
    what was only seen.
    """
    found = [*_seen(sheet), *_springs(sheet, rules), *_holders(sheet, rules), *_measured(sheet, rules)]
    if any(sheet.touched(stage) for stage in (*PARTS, "before")):
        found += _of_parts(sheet, rules)
    found += _dust(sheet, rules, tuple(worn_mm))
    answered = _answered(sheet, rules)
    once = {(n, f.id): f for n, f in found if f.id not in answered}
    return tuple((n, f) for (n, _), f in once.items() if sheet.word(f"decide.{f.id}", n) not in _GONE)


def _of_parts(sheet: Sheet, rules: MotorRules) -> list[Voice]:
    """Return what was measured on commutator, windings and drive; its modules are only loaded where something was."""
    from norvash.core.sheet.part_voices import part_voices

    return part_voices(sheet, rules)


def _seen(sheet: Sheet) -> list[Voice]:
    return [(0, BY_ID[f.removeprefix("seen.")]) for f, p in sheet.entries if f.startswith("seen.") and sheet.has(f, p)]


def _answered(sheet: Sheet, rules: MotorRules) -> frozenset[str]:
    """Return the findings by sight that a measurement on this sheet has answered: black at two bars, by a bar test that
    releases.
    """
    if not sheet.has(f"seen.{_TWO_BARS}") or not sheet.column("bar-test"):
        return frozenset()
    from norvash.core.sheet.copper import copper_now

    tested = copper_now(sheet, rules).tested
    return frozenset((_TWO_BARS,)) if tested is not None and tested.release else frozenset()


def _springs(sheet: Sheet, rules: MotorRules) -> list[Voice]:
    """Return what the spring forces say: against the nominal or the band, and against the median of the set's sound
    ones.
    """
    forces = {p: f for p in sheet.places("force") if (f := sheet.number_of("force", p)) is not None}
    usual = usual_force_n(list(forces.values()), rules) if forces else 0.0
    found: list[Voice] = []
    for position, force in forces.items():
        grade = spring_grade(force, sheet.facts, rules)
        if len(forces) > 1 and grade == "fit" and not under(abs(force / usual - 1), rules["spring.plan"]):
            grade = "plan"
        if grade != "fit":
            found.append((position, BY_ID["spring.far-off" if grade == "change" else "spring.off"]))
    return found


def spring_grade(force_n: float, facts: Facts, rules: MotorRules) -> str:
    """Return how grave a spring's force is, by the nominal force, or by the band of the class where the section is
    stated.
    """
    thickness, width = facts.figures.need("thickness_mm"), facts.figures.need("width_mm")
    band = (rules["pressure.low"], rules["pressure.high"])
    nominal = facts.figures.number("force_nominal_n")
    if nominal is None and facts.figures.stated("thickness_mm") is None:
        return "fit"
    return judge_spring(force_n, pressure_kpa(force_n, thickness, width), band, nominal, rules).grade


def _holders(sheet: Sheet, rules: MotorRules) -> list[Voice]:
    found: list[Voice] = []
    for plan in sheet.facts.positions:
        gap = sheet.number_of("gap", plan.number)
        if gap is not None and not gap_reason(gap, rules)[0]:
            found.append((plan.number, BY_ID["gap.wide" if over(gap, rules["gap.high"]) else "gap.narrow"]))
        for axis, words in (("t", "along the rotation"), ("a", "along the shaft")):
            box, brush = sheet.number_of(f"box-{axis}", plan.number), sheet.number_of(f"brush-{axis}", plan.number)
            if box is None or brush is None:
                continue
            fit = side_fit(words, brush, box, rules)
            if fit.fit != "fits":
                loose = fit.clearance_mm > clearances_mm(brush, rules)[0]
                found.append((plan.number, BY_ID["clearance.loose" if loose else "clearance.tight"]))
    return list(dict.fromkeys(found))


def _measured(sheet: Sheet, rules: MotorRules) -> list[Voice]:
    found: list[Voice] = []
    earth = sheet.number_of("earth-ohm")
    if earth is not None and over(earth, rules["earth.ohm"]):
        found.append((0, BY_ID["earth.open"]))
    if any(t.right is False for t in terminals_of(sheet, rules)):
        found.append((0, BY_ID["terminal.measured"]))
    return found


def terminals_of(sheet: Sheet, rules: MotorRules) -> tuple[Terminal, ...]:
    """Return the worst terminal as it was measured, judged by its drop and by its resistance.

    Source: rules terminal.*
    """
    ohm, volt, figures = sheet.number_of("terminal-ohm"), sheet.number_of("terminal-v"), sheet.facts.figures
    made = []
    if ohm is not None:
        step = sheet.number_of("terminal-step")
        made.append(
            terminal_by_ohm(
                ohm,
                figures.stated("rated_a"),
                sheet.facts.rated_v,
                kind=figures.word("terminal_kind"),
                step_ohm=step,
                rules=rules,
            )
        )
    if volt is not None:
        made.append(terminal_by_drop(volt, rules))
    return tuple(made)


def dust_expected_g(facts: Facts, worn_mm: tuple[float, ...], rules: MotorRules) -> float | None:
    """Return the dust that the wear of the set made [g], None where the section is not stated."""
    thickness, width = facts.figures.stated("thickness_mm"), facts.figures.stated("width_mm")
    if thickness is None or width is None or not worn_mm:
        return None
    return dust_g(thickness * width, list(worn_mm), facts.figures.word("grade_family"), rules)


def _dust(sheet: Sheet, rules: MotorRules, worn_mm: tuple[float, ...]) -> list[Voice]:
    found, expected = sheet.number_of("dust-g"), dust_expected_g(sheet.facts, worn_mm, rules)
    if found is None or expected is None or not over(found, rules["dust.much"] * expected):
        return []
    return [(0, BY_ID["dust.much"])]
