"""The output of a generator at two speeds or more, against what its plate promises there."""

from collections.abc import Iterator, Sequence
from typing import Any, NamedTuple

from norvash.core.edges import over, same, under, within
from norvash.core.judging.prove.points import points_of
from norvash.core.motor.figure_fields import EXCITATION, RATED_RPM, RATED_V
from norvash.core.rules.book import MotorRules
from norvash.core.running.output import judge_output
from norvash.core.sheet.measured import Measured, by_rule, told, unsure
from norvash.core.sheet.sheet import Sheet
from norvash.core.stages.prove.run_fields import REGULATOR, RUN_A
from norvash.core.stages.prove.run_findings import OUTPUT_DEAD, OUTPUT_FLAT, OUTPUT_HIGH, OUTPUT_LOW
from norvash.core.text.words import grouped

# Points as they were read: speed [r/min] and volts [V], None where one was not.
Points = Sequence[tuple[float | None, float | None]]


class _Row(NamedTuple):
    """Volts [V] at a speed [r/min], their share of what the plate promises there, and that [V]."""

    rpm: float
    volts: float
    share: float
    plate_v: float

    @property
    def words(self) -> str:
        of_plate = f"{self.share:.0%} of what its plate says there, {self.plate_v:.3g} V"
        return f"{self.volts:.4g} V at {grouped(self.rpm)} r/min, {of_plate}"


def _rated(sheet: Sheet) -> tuple[float, float] | None:
    """Return volts [V] and speed [r/min] of its plate, None unless both are known."""
    volts, rpm = RATED_V.of(sheet.facts.figures), RATED_RPM.of(sheet.facts.figures)
    return (volts, rpm) if volts and rpm else None


def _counting(sheet: Sheet, points: Points, rules: MotorRules) -> list[_Row]:
    """Return the points that count, by rising speed: below a share of its rated speed next to nothing is normal."""
    rated = _rated(sheet)
    if rated is None:
        return []
    volts, rpm = rated
    read = sorted((n, v) for n, v in points if n is not None and v is not None and n > 0)
    return [
        _Row(n, v, v / (volts * n / rpm), volts * n / rpm) for n, v in read if not under(n, rules["output.from"] * rpm)
    ]


def _answered(sheet: Sheet, points: Points, rules: MotorRules) -> str:
    """Return what its points answer against its plate."""
    rated = _rated(sheet)
    read = [(n, v) for n, v in points if n is not None and v is not None and n > 0]
    if rated is None:
        return "incomplete"
    plate = (rated[1], rated[0])
    loaded = any(RUN_A.of(sheet, p) for p in RUN_A.places(sheet))
    return judge_output(read, plate, self_excited=_excites_itself(sheet), loaded=loaded, rules=rules).answer


def _near(sheet: Sheet, rows: Sequence[_Row], rules: MotorRules) -> list[_Row]:
    """Return the points at which its share is judged: of one that excites itself those near its rated speed."""
    rated = _rated(sheet)
    if not _excites_itself(sheet) or rated is None:
        return list(rows)
    low, high = rules["output.full"] * rated[1], rules["output.over"] * rated[1]
    return [r for r in rows if within(low, r.rpm, high)]


def _excites_itself(sheet: Sheet) -> bool:
    apart = "separately excited" in (EXCITATION.of(sheet.facts.figures), sheet.facts.construction)
    return not apart and not sheet.facts.magnets


def output_lacks(sheet: Sheet, points: Points, rules: MotorRules) -> str:
    """Return what the output of a generator lacks to be judged, empty where nothing. Source: rules output.*"""
    rated, read = _rated(sheet), [p for p in points if p[0] is not None and p[1] is not None]
    if REGULATOR.of(sheet) == "in":
        return "its output with the regulator left out"
    if len(read) < rules["output.points"]:
        return f"volts and r/min at {rules['output.points']:g} speeds or more"
    if rated is None:
        return "" if _speed_unknown(sheet, read, rules)[0] in ("good", "dead", "flat") else _plate_lacking(sheet)
    rows = _counting(sheet, points, rules)
    if len(rows) < rules["output.points"]:
        return f"volts and r/min at {rules['output.points']:g} speeds or more, from 0.4 of its rated speed up"
    return "a point near its rated speed" if _answered(sheet, points, rules) == "incomplete" else ""


def output_answer(sheet: Sheet, rules: MotorRules) -> str:
    """Return what the output of a generator answers as a sign: good, dead, or nothing where it is neither, or could not
    be judged.
    """
    points = [(p.rpm, p.volts) for p in points_of(sheet)]
    if sheet.facts.motor_class != "generator" or output_lacks(sheet, points, rules):
        return ""
    every = list(output_told(sheet, points, rules))
    found = [f.id for m in every for f in m.findings]
    if found:
        return "dead" if found == [OUTPUT_DEAD.id] else ""
    return "good" if any(m.right for m in every) else ""


def output_told(sheet: Sheet, points: Points, rules: MotorRules) -> Iterator[Measured]:
    """Yield what the volts of a generator at its speeds say, unregulated. Source: rules output.*"""
    rows, read = _counting(sheet, points, rules), [p for p in points if p[0] is not None and p[1] is not None]
    lacks = output_lacks(sheet, points, rules)
    if not lacks and _rated(sheet) is None:
        yield from _told_by_volts(sheet, read, rules)
        return
    answer = "" if lacks else _answered(sheet, points, rules)
    if not lacks and answer not in ("dead", "does not rise"):
        yield from _shares(sheet, rows, rules)
        return
    yield from (told(f"{r.words}.", value=r.volts, unit="V") for r in rows)
    if lacks:
        yield from [unsure(f"Output not judged: it lacks {lacks}.")] if points else []
    else:
        yield _dead(f"no output: {rows[-1].words}") if answer == "dead" else _flat()


def _dead(words: str) -> Measured:
    off = OUTPUT_DEAD.worded(words)
    first = "Brushes, field circuit and direction first, then its residual field."
    return told(first, off=off, rests_on=("output.dead",))


def _flat() -> Measured:
    return told("Its volts do not rise with its speed.", off=OUTPUT_FLAT)


def _plate_lacking(sheet: Sheet) -> str:
    """Return what of the plate its output is not judged without."""
    known = RATED_V.of(sheet.facts.figures)
    return "the speed of its plate" if known else "the volts and the speed of its plate"


def _speed_unknown(sheet: Sheet, read: Points, rules: MotorRules) -> tuple[str, float, float]:
    """Return what the output says without the plate's speed: good, dead, flat or incomplete; with the speed [r/min] and
    the volts [V] that say so.

    Good is only what rises with speed and reaches the plate's volts at a tested speed. Source: rules output.dead,
    output.reached
    """
    rows = sorted((n, v) for n, v in read if n is not None and v is not None and n > 0)
    plate = RATED_V.of(sheet.facts.figures)
    if not rows or not plate:
        return "incomplete", 0.0, 0.0
    if all(under(v, rules["output.dead"] * plate) for _, v in rows):
        return "dead", *rows[-1]
    if rows[-1][1] <= rows[0][1] or same(rows[-1][1], rows[0][1]):
        return "flat", *rows[-1]
    reached = next(((n, v) for n, v in rows if not under(v, plate)), None)
    return ("good", *reached) if reached is not None else ("incomplete", *rows[-1])


def _told_by_volts(sheet: Sheet, read: Points, rules: MotorRules) -> Iterator[Measured]:
    """Yield what the output says where the plate's speed is not known."""
    answer, rpm, volts = _speed_unknown(sheet, read, rules)
    plate = RATED_V.of(sheet.facts.figures) or 0.0
    words = f"{volts:.4g} V at {grouped(rpm)} r/min, plate {plate:g} V"
    if answer == "dead":
        yield _dead(f"no output: {words}, under a tenth at every speed")
    elif answer == "flat":
        yield _flat()
    elif answer == "good":
        said = f"Its volts rise with speed and reach the plate's: {words}; its plate's speed is not known."
        yield told(said, right=True, value=volts, unit="V", low=plate, basis="plate")


def _shares(sheet: Sheet, rows: Sequence[_Row], rules: MotorRules) -> Iterator[Measured]:
    loaded = any(RUN_A.of(sheet, p) for p in RUN_A.places(sheet))
    most, rule = rules["output.high"], "output.high"
    if _excites_itself(sheet) and not loaded:
        most, rule = rules["output.high-self"], "output.high-self"
    near, least = _near(sheet, rows, rules), rules["output.low"]
    low = [r for r in near if under(r.share, least)]
    high = [r for r in near if over(r.share, most)]
    off = {
        **{r: OUTPUT_LOW.worded(f"low output: {low[0].words}") for r in low},
        **{r: OUTPUT_HIGH.worded(f"high output: {high[0].words}") for r in high},
    }
    for r in rows:
        band: dict[str, Any] = {"low": least * r.plate_v, "high": most * r.plate_v, "rests_on": ("output.low", rule)}
        basis = f"share of its plate; {by_rule(rules, 'output.low', rule)}"
        of = {"value": r.volts, "unit": "V"} | ({"basis": basis, **band} if r in near else {})
        yield told(f"{r.words}.", right=r in near, off=off.get(r), **of)
    if not off:
        yield told("Output as on its plate.", right=True, rests_on=("output.low", rule))
