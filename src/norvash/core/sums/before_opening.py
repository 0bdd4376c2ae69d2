"""Sums before the motor is opened: speed ladder, cable drop, battery, cause."""

from dataclasses import dataclass

from norvash.core.cables import Laid, cable_drop_v, carried, drop_allowed_v
from norvash.core.classes import TEMPLATES
from norvash.core.diagnosis.causes import CAUSES, SURROUNDINGS
from norvash.core.diagnosis.checks import STATES
from norvash.core.diagnosis.ranking import Diagnosis, Situation, diagnose
from norvash.core.diagnosis.signs import NOT_SO, SIGNS
from norvash.core.edges import over
from norvash.core.rules.book import MotorRules
from norvash.core.sums.registry import Sum, ask
from norvash.core.supply import Battery, Ladder, judge_battery, speed_ladder
from norvash.errors import InputError


@dataclass(frozen=True, slots=True, kw_only=True)
class LadderIn:
    """Measured voltages of the speed settings, lowest first, and the share of the supply that each should have."""

    supply_v: float = ask("Supply", "voltage", above_low=True, high=50000)
    steps_v: list[float] = ask("Volts at each setting", "voltage", high=50000, hint="lowest first")
    expected_share: list[float | None] | None = ask(
        "Expected of each, share of the supply", "share", default=None, high=2
    )


@dataclass(frozen=True, slots=True, kw_only=True)
class LadderOut(Ladder):
    """The ladder with its rules."""

    rules: tuple[str, ...]


def ladder(given: LadderIn, rules: MotorRules) -> LadderOut:
    """Return the ladder, judged."""
    expected = given.expected_share if given.expected_share is not None else [None] * len(given.steps_v)
    if any(e == 0 for e in expected):
        raise InputError("A setting cannot be expected to give nothing.", "Leave it out with a dash.", "expected_share")
    found = speed_ladder(given.supply_v, given.steps_v, expected, rules)
    values = {n: getattr(found, n) for n in Ladder.__dataclass_fields__}
    return LadderOut(**values, rules=("taps.top", "taps.step", "taps.dead"))


@dataclass(frozen=True, slots=True, kw_only=True)
class CableIn:
    """A copper cable that carries a current, for long or in bursts."""

    current_a: float = ask("Current", "current", high=50000)
    length_m: float = ask("Length, one way", "metres", above_low=True, high=10000)
    section_mm2: float = ask("Section of the copper", "area", above_low=True, high=5000)
    ways: int = ask("Ways: 2 there and back, 1 a single lead", "count", default=2, low=1, high=2)
    temperature_c: float = ask(
        "Temperature of the copper", "temperature", default=20.0, low=-60, high=250, also=("temp_c",)
    )
    rated_v: float = ask("Voltage of the circuit", "voltage", default=12.0, above_low=True, high=50000)
    burst_s: float | None = ask(
        "Seconds in one burst", "count", default=None, above_low=True, high=86400, hint="empty: it flows for long"
    )
    rest_s: float | None = ask(
        "Seconds of rest between", "count", default=None, above_low=True, high=86400, hint="empty: by the rulebook"
    )
    insulated: bool = ask("Laid in thermal insulation", "yes", default=False)
    circuits: int = ask("Circuits laid together", "count", default=1, low=1, high=3)
    air_c: float = ask("Air around it", "temperature", default=30.0, low=-60, high=60)


@dataclass(frozen=True, slots=True, kw_only=True)
class CableOut:
    """The drop of a cable, what it may carry, and whether both are allowed."""

    drop_v: float
    drop_share: float
    allowed_v: float
    drop_ok: bool
    loss_w: float
    steady_a: float
    load_a: float
    burst_section_mm2: float | None
    load_ok: bool
    advice: str
    rules: tuple[str, ...]


def cable(given: CableIn, rules: MotorRules) -> CableOut:
    """Return the drop of a cable and what it carries; a single lead may lose one side's share, a pair both.

    Raises: InputError for what the table of loads does not know.
    """
    if given.rest_s is not None and given.burst_s is None:
        raise InputError("A rest says nothing without a burst.", "Give the seconds of a burst, or neither.", "burst_s")
    drop = cable_drop_v(given.current_a, given.length_m, given.section_mm2, given.ways, given.temperature_c, rules)
    allowed = drop_allowed_v(given.rated_v, rules) * given.ways
    fine = not over(drop, allowed)
    rest = rules["cable.rest"] if given.rest_s is None else given.rest_s
    laid = Laid(given.insulated, given.circuits, given.air_c)
    load = carried(given.current_a, given.section_mm2, given.burst_s, rest, laid, rules)
    said = [] if fine else [f"it loses {drop:.2g} V, {allowed:.2g} V allowed: shorten it or take a thicker one"]
    if not load.enough:
        said.append(f"too thin: {load.words}")
    shown = (
        f"it loses {drop:.2g} V of {allowed:.2g} V allowed, and carries {load.steady_a:.3g} A of {load.load_a:.3g} A"
    )
    how = "for long" if load.burst_mm2 is None else "in such bursts"
    return CableOut(
        drop_v=drop,
        drop_share=drop / given.rated_v,
        allowed_v=allowed,
        drop_ok=fine,
        loss_w=drop * given.current_a,
        steady_a=load.steady_a,
        load_a=load.load_a,
        burst_section_mm2=load.burst_mm2,
        load_ok=load.enough,
        advice="; ".join(said) or f"thick enough {how}: {shown}",
        rules=(
            "drop.side",
            "drop.low-voltage",
            "drop.share",
            "copper.resistivity",
            "copper.coefficient",
            "cable.burst",
            "cable.rest",
        ),
    )


@dataclass(frozen=True, slots=True, kw_only=True)
class BatteryIn:
    """A battery at rest and while cranking."""

    rest_v: float | None = ask("Volts at rest", "voltage", default=None, high=1000)
    cranking_v: float | None = ask("Volts while cranking", "voltage", default=None, high=1000)
    current_a: float | None = ask("Current while cranking", "current", default=None, above_low=True, high=50000)
    rated_v: float = ask("Nominal voltage", "voltage", default=12.0, above_low=True, high=1000)
    temperature_c: float = ask(
        "Temperature of the battery", "temperature", default=20.0, low=-60, high=80, also=("temp_c",)
    )


@dataclass(frozen=True, slots=True, kw_only=True)
class BatteryOut(Battery):
    """The battery with its rules."""

    rules: tuple[str, ...]


def battery(given: BatteryIn, rules: MotorRules) -> BatteryOut:
    """Return the battery, judged."""
    if given.rest_v is None and given.cranking_v is None:
        raise InputError("Nothing is measured.", "Give the volts at rest or while cranking.", "rest_v")
    found = judge_battery(given.rated_v, given.rest_v, given.cranking_v, given.current_a, given.temperature_c, rules)
    values = {n: getattr(found, n) for n in Battery.__dataclass_fields__}
    return BatteryOut(
        **values,
        rules=("battery.rest", "battery.cranking", "battery.cranking-zero", "battery.cranking-frost", "battery.fall"),
    )


@dataclass(frozen=True, slots=True, kw_only=True)
class CauseIn:
    """What is noticed on a machine: signs that are there as “sign” or “sign=answer”, and signs that are not."""

    motor_class: str = ask("Class", "word", choices=tuple((c, c) for c in TEMPLATES))
    seen: list[str] = ask("Noticed", "word", choices=tuple(
        (f"{s.id}={a.id}", a.words if len(s.answers) == 1 else f"{s.words}: {a.words}") for s in SIGNS for a in s.answers))  # fmt: skip
    not_seen: list[str] | None = ask(
        "Looked at, and not so",
        "word",
        default=None,
        choices=tuple((s.id, s.not_so if s.not_so != "not so" else f"not: {s.words}") for s in SIGNS if s.not_so),
    )
    surroundings: list[str] | None = ask(
        "Where it stands", "word", default=None, choices=tuple((s, s) for s in SURROUNDINGS)
    )
    ruled_out: list[str] | None = ask(
        "Found and mended before", "word", default=None, choices=tuple((c.id, c.words) for c in CAUSES)
    )
    state: str = ask("The motor is", "word", default="assembled", choices=tuple((s, s) for s in STATES))
    power_allowed: bool = ask("Power may be on", "yes", default=True)


@dataclass(frozen=True, slots=True, kw_only=True)
class CauseOut:
    """Causes by falling chance, with reasons, and the checks that tell most per minute."""

    causes: tuple[str, ...]
    cause_words: tuple[str, ...]
    chances: tuple[float, ...]
    first_cause: str
    reasons_for: tuple[str, ...]
    reasons_against: tuple[str, ...]
    upstream_chance: float
    entropy_bits: float
    next_check: str
    next_check_minutes: float | None
    next_check_bits: float | None
    checks: tuple[str, ...]
    danger: str
    advice: str
    rules: tuple[str, ...]


def seen_of(given: CauseIn) -> dict[str, str]:
    """Return the answers by sign.

    Raises: InputError where one sign is both so and not so.
    """
    known = {s.id: s for s in SIGNS}
    found: dict[str, str] = {}
    for text in given.seen:
        name, _, answer = text.partition("=")
        if not answer and name in known and len(known[name].answers) > 1:
            one_of = ", ".join(f"{name}={a.id}" for a in known[name].answers)
            raise InputError(f"{known[name].words}: it is not said what.", f"Use one of {one_of}.", "seen")
        if found.get(name, answer or "yes") != (answer or "yes"):
            raise InputError(f"“{name}” has two answers.", "Keep the one that is right.", "seen")
        found[name] = answer or "yes"
    for name in given.not_seen or []:
        if name in found:
            raise InputError(f"“{name}” is noticed and not noticed.", "Keep the one that is right.", "not_seen")
        found[name] = NOT_SO
    return found


def found_cause(given: CauseIn, rules: MotorRules) -> Diagnosis:
    """Return the ranking for what was given; raises as `find_cause` does."""
    if given.motor_class not in TEMPLATES:
        raise InputError(f"“{given.motor_class}” is no class.", "Use " + ", ".join(TEMPLATES) + ".", "motor_class")
    if given.state not in STATES:
        raise InputError(f"“{given.state}” is no state.", "Use " + ", ".join(STATES) + ".", "state")
    unknown = [s for s in given.surroundings or [] if s not in SURROUNDINGS]
    if unknown:
        raise InputError(f"“{unknown[0]}” is not known.", "Use " + ", ".join(SURROUNDINGS) + ".", "surroundings")
    return diagnose(given.motor_class, seen_of(given), rules, surroundings=given.surroundings or (),
                    ruled_out=given.ruled_out or (), now=Situation(given.state, given.power_allowed, unloaded=TEMPLATES[given.motor_class].lends["construction"] != "series" or given.motor_class == "starter"))  # fmt: skip


def find_cause(given: CauseIn, rules: MotorRules) -> CauseOut:
    """Return the ranking of causes with the next check.

    Raises: InputError for words that are not known, at their field.
    """
    found = found_cause(given, rules)
    first, best = found.first, found.checks[0] if found.checks else None
    upstream = found.share("upstream")
    closed = "leave the motor closed, the fault lies before it; " if upstream >= rules["diagnosis.upstream"] else ""
    sure = "likely" if first.chance >= rules["diagnosis.sure"] else "first to think of"
    advice = f"{closed}{sure}: {first.cause.words} ({first.chance:.0%})" + (
        f"; next, {best.check.words}" if best else ""
    )
    return CauseOut(
        causes=tuple(r.cause.id for r in found.ranked), cause_words=tuple(r.cause.words for r in found.ranked),
        chances=tuple(r.chance for r in found.ranked), first_cause=first.cause.words,
        reasons_for=tuple(r.words for r in first.speaks_for), reasons_against=tuple(r.words for r in first.speaks_against),
        upstream_chance=upstream, entropy_bits=found.entropy_bits, next_check=best.check.words if best else "",
        next_check_minutes=best.check.minutes if best else None, next_check_bits=best.drop_bits if best else None,
        checks=tuple(c.check.id for c in found.checks), danger=best.check.danger if best else "", advice=advice,
        rules=("diagnosis.strong", "diagnosis.for", "diagnosis.weak", "diagnosis.neutral", "diagnosis.alone", "diagnosis.alone-neutral", "diagnosis.sure", "diagnosis.upstream"),
    )  # fmt: skip


SUMS = (
    Sum("speed-ladder", "Speed ladder", "The voltage of every speed setting against what it should be; names the bad step.",
        LadderIn, ladder, {"supply_v": 36.2, "steps_v": [16.4, 22.3, 28.8, 35.9], "expected_share": [0.45, 0.62, 0.8, 1.0]}),
    Sum("cable-drop", "Cable: drop and load", "Volts lost in a copper cable, what it may carry for long and in bursts, and whether that is too much.",
        CableIn, cable, {"current_a": 180, "length_m": 1.6, "section_mm2": 35, "burst_s": 8}),
    Sum("battery", "Battery while cranking", "Whether the battery holds up before a starter is condemned.",
        BatteryIn, battery, {"rest_v": 12.6, "cranking_v": 9.8, "current_a": 210, "temperature_c": 5}),
    Sum("find-cause", "Find the cause", "From what is noticed to the likely cause, and to the check that tells most per minute.",
        CauseIn, find_cause, {"motor_class": "tool", "seen": ["start=dead", "tapped=yes"]}),
)  # fmt: skip
