"""Current and speed of a run against plate, type and the motor's own baseline."""

from collections.abc import Iterator
from dataclasses import dataclass, replace
from typing import Any

from norvash.core.edges import over, under, within
from norvash.core.judging.prove.heat import rise_k
from norvash.core.judging.prove.points import Point
from norvash.core.known import all_known
from norvash.core.motor.figure_fields import (
    NOLOAD_A_MOST,
    NOLOAD_RPM_LEAST,
    RATED_A,
    RATED_RPM,
    RATED_W,
    USUAL_NOLOAD_A,
    USUAL_NOLOAD_RPM,
)
from norvash.core.motor.figures import OWN
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.facts import Facts
from norvash.core.sheet.finding import Finding
from norvash.core.sheet.measured import Measured, by_rule, told, unsure
from norvash.core.sheet.sheet import Baseline, Sheet
from norvash.core.stages.prove.run_fields import COAST_S, RUN_HOW
from norvash.core.stages.prove.run_findings import (
    RUN_AMPS,
    RUN_BASELINE,
    RUN_CONTACT,
    RUN_DRAG,
    RUN_SPEED,
    RUN_WEAK_FIELD,
)
from norvash.core.text.words import grouped

_LOW, _RIGHT, _HIGH = -1, 0, 1
# What current and speed say together.
_BOTH: dict[tuple[int, int], Finding] = {
    (_HIGH, _LOW): RUN_DRAG,
    (_LOW, _LOW): RUN_CONTACT,
    (_HIGH, _HIGH): RUN_WEAK_FIELD,
}
_WORDS = {_LOW: "under its band", _RIGHT: "within its band", _HIGH: "over its band"}


@dataclass(frozen=True, slots=True, kw_only=True)
class RunFigure:
    """A figure of a run held against what is usual or on the plate, and against what must not be passed.

    `part` is the share that it may be off, `rule` says so; `least` and `most` are as stated, without any allowance.
    """

    value: float
    unit: str
    usual: float | None
    basis: str
    part: float
    rule: str
    least: float | None = None
    most: float | None = None
    may_be_low: bool = False

    @property
    def known(self) -> bool:
        """Tell whether anything is known that it is held against."""
        return bool(self.usual) or self.most is not None or self.least is not None

    @property
    def words(self) -> str:
        """Return the figure with its unit."""
        return f"{grouped(self.value) if self.unit == 'r/min' else f'{self.value:g}'} {self.unit}"

    @property
    def where(self) -> int:
        """Return -1 under its band, 1 over it, 0 within."""
        off = self.value / self.usual - 1 if self.usual else 0.0
        if over(off, self.part) or (self.most is not None and over(self.value, self.most)):
            return _HIGH
        low = under(off, -self.part) and not self.may_be_low
        return _LOW if low or (self.least is not None and under(self.value, self.least)) else _RIGHT

    @property
    def band(self) -> tuple[float, float] | None:
        """Return its band, None where none is known."""
        return (self.usual * (1 - self.part), self.usual * (1 + self.part)) if self.usual else None

    def measured(self, found: Finding | None) -> Iterator[Measured]:
        """Yield where it lies, with what it is where it lies outside."""
        of: dict[str, Any] = {"value": self.value, "unit": self.unit}
        if self.band is not None and self.usual:
            usual = f"{grouped(self.usual) if self.unit == 'r/min' else f'{self.usual:g}'} {self.unit} {self.basis}"
            share, (low, high) = self.value / self.usual - 1, self.band
            right = not over(share, self.part) and (self.may_be_low or not under(share, -self.part))
            of |= {"low": 0.0 if self.may_be_low else low, "high": high, "basis": self.basis, "rests_on": (self.rule,)}
            words = f"{self.words}, {usual}: {_WORDS[_RIGHT if right else _HIGH if share > 0 else _LOW]}."
            yield told(words, right=right, off=None if right else found, **of)
        elif self.most is None and self.least is None:
            yield unsure(f"{self.words}; what is {self.basis} is not known.", **of)
        if self.most is not None:
            off = found if over(self.value, self.most) else None
            words = f"{self.words}, at most {self.most:g} {self.unit}."
            yield told(words, right=True, off=off, **of | {"low": 0.0, "high": self.most, "basis": "its own figure"})
        if self.least is not None:
            off = found if under(self.value, self.least) else None
            words = f"{self.words}, at least {grouped(self.least)} {self.unit}."
            yield told(words, right=True, off=off, **of | {"low": self.least, "high": None, "basis": "its own figure"})


def comparable(sheet: Sheet, at: Point, rules: MotorRules) -> bool:
    """Tell whether a point stands at the volts of the plate, or nobody read them."""
    rated = sheet.facts.rated_v
    if at.volts is None or rated is None:
        return True
    return within(rules["run.volts"], at.volts / rated, rules["supply.high"])


def held_amps(sheet: Sheet, at: Point, rules: MotorRules) -> RunFigure | None:
    """Return the current of a point as it is held against plate or type, None where none was read."""
    if at.amps is None:
        return None
    figures, part, rule = sheet.facts.figures, rules["amps.band"], "amps.band"
    most, usual = NOLOAD_A_MOST.of(figures), USUAL_NOLOAD_A.of(figures)
    in_machine = sheet.facts.asked_where and not sheet.facts.runs_away  # its own fan and gear are its load
    unknown = usual is None and most is None
    if RUN_HOW.of(sheet) == "load" or (in_machine and unknown):
        plate, basis = _plate_a(sheet.facts)
        return RunFigure(value=at.amps, unit="A", usual=plate, basis=basis, part=part, rule=rule, may_be_low=True)
    return RunFigure(value=at.amps, unit="A", usual=usual, basis="usual", part=part, rule=rule, most=most)


def _plate_a(facts: Facts) -> tuple[float | None, str]:
    """Return the current of the plate [A], of an appliance or a tool also by its power, and what says it."""
    stated, plate = RATED_A.stated(facts.figures), all_known(RATED_W.stated(facts.figures), facts.rated_v)
    if stated is None and facts.idles and plate is not None:
        return plate[0] / plate[1], "by the power on its plate"
    return stated, "on its plate"


def held_rpm(sheet: Sheet, at: Point, rules: MotorRules) -> RunFigure | None:
    """Return the speed of a point as it is held against plate or type, None where none was read."""
    if at.rpm is None:
        return None
    figures, part, rule = sheet.facts.figures, rules["run.speed"], "run.speed"
    if RUN_HOW.of(sheet) == "load":
        return RunFigure(
            value=at.rpm, unit="r/min", usual=RATED_RPM.stated(figures), basis="on its plate", part=part, rule=rule
        )
    usual, least = USUAL_NOLOAD_RPM.of(figures), NOLOAD_RPM_LEAST.of(figures)
    if own_speed(sheet.facts):
        part, rule = rules["run.finding"], "run.finding"
    return RunFigure(value=at.rpm, unit="r/min", usual=usual, basis="usual", part=part, rule=rule, least=least)


def own_speed(facts: Facts) -> bool:
    """Tell whether a motor states its usual speed without load itself: it is held to it closer than to its type's."""
    known = facts.figures.known.get(USUAL_NOLOAD_RPM.name)
    return known is not None and known.basis == OWN


def slower_told(facts: Facts, rpm: float | None, rules: MotorRules) -> Iterator[Measured]:
    """Yield how much slower than its own usual speed a motor runs without load.

    Source: rules run.sign, run.finding
    """
    usual = USUAL_NOLOAD_RPM.of(facts.figures)
    if rpm is None or not usual or not own_speed(facts):
        return
    share = 1 - rpm / usual
    if under(share, rules["run.sign"]):
        return
    words = f"{grouped(rpm)} r/min, usual {grouped(usual)}: {share:.1%} slower"
    bad = not under(share, rules["run.finding"])
    yield told(
        f"{words}; look at contact, supply and load.",
        right=True,
        off=RUN_SPEED.worded(f"slower than usual: {words}") if bad else None,
        value=rpm,
        unit="r/min",
        low=(1 - rules["run.finding"]) * usual,
        basis=f"its own usual speed; {by_rule(rules, 'run.finding')}",
        rests_on=("run.sign", "run.finding"),
    )


def figures_told(sheet: Sheet, at: Point, rules: MotorRules) -> Iterator[Measured]:
    """Yield what current and speed say, each and together, at the volts of the plate. Source: rules amps.band, run.*"""
    if not comparable(sheet, at, rules):
        yield unsure("Current and speed are not compared with plate and type at other volts.")
        return
    amps, rpm = held_amps(sheet, at, rules), held_rpm(sheet, at, rules)
    both = _BOTH.get((amps.where, rpm.where)) if amps is not None and rpm is not None else None
    joint = both.worded(f"{both.words}: {amps.words} at {rpm.words}") if both and amps and rpm else None
    for one, alone, what in ((amps, RUN_AMPS, "current"), (rpm, RUN_SPEED, "speed")):
        if one is not None:
            yield from one.measured(joint or alone.worded(f"{what} {_WORDS[one.where]}: {one.words}"))


def baseline_told(sheet: Sheet, at: Point, base: Baseline, rules: MotorRules) -> Iterator[Measured]:
    """Yield how a run differs from the motor's own after its last good repair.

    Source: rules run.sign, run.finding, run.hotter
    """
    if at.volts is not None and base.volts and over(abs(at.volts / base.volts - 1), rules["run.sign"]):
        yield unsure(f"At its own baseline, sheet {base.sheet}, it had {base.volts:g} V: not compared.")
        return
    every = [*_beside_baseline(sheet, at, base, rules)]
    off = RUN_BASELINE.worded("; ".join(said for said, _, bad in every if bad))
    for said, m, bad in every:
        words = f"{said[0].upper()}{said[1:]}."
        yield replace(m, words=words, standing="off" if bad else "right", findings=(off,) if bad else ())


def _beside_baseline(
    sheet: Sheet, at: Point, base: Baseline, rules: MotorRules
) -> Iterator[tuple[str, Measured, bool]]:
    """Yield each figure beside that of its baseline: in words, with its band, and whether it is off."""
    part = rules["run.finding"]
    figures = (
        ("current", at.amps, base.amps, "A"),
        ("speed", at.rpm, base.rpm, "r/min"),
        ("coasting", COAST_S.of(sheet), base.coast_s, "s"),
    )
    for words, value, then, unit in figures:
        if value is None or not then:
            continue
        share = value / then - 1
        more = (
            f"{abs(share):.0%} {'over' if share > 0 else 'under'}" if not under(abs(share), rules["run.sign"]) else ""
        )
        said = f"{words} {more or 'as at'} its own baseline, sheet {base.sheet}"
        band, basis = ((1 - part) * then, (1 + part) * then), f"its own baseline; {by_rule(rules, 'run.finding')}"
        m = told(
            "", value=value, unit=unit, low=band[0], high=band[1], basis=basis, rests_on=("run.sign", "run.finding")
        )
        yield said, m, not under(abs(share), part)
    rise, then_k = rise_k(sheet), base.rise_k
    if rise is not None and then_k is not None:
        hotter, most = rise - then_k, rules["run.hotter"]
        said = f"{abs(hotter):g} K {'hotter' if hotter > 0 else 'cooler'} than at its own baseline"
        basis = f"its own baseline; {by_rule(rules, 'run.hotter')}"
        m = told("", value=rise, unit="K", low=0.0, high=then_k + most, basis=basis, rests_on=("run.hotter",))
        yield said, m, not under(hotter, most)
