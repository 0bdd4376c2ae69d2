"""The likeliest causes as a sum."""

from dataclasses import dataclass

from norvash.core.diagnosis.causes import CAUSES, SURROUNDINGS
from norvash.core.diagnosis.checks import STATES
from norvash.core.diagnosis.ranking import Diagnosis, Situation, diagnose
from norvash.core.diagnosis.sign import NOT_SO
from norvash.core.diagnosis.signs import SIGNS
from norvash.core.edges import under
from norvash.core.motor.classes import TEMPLATES
from norvash.core.rules.book import MotorRules
from norvash.core.sums.registry import Sum, ask, gives
from norvash.errors import InputError


@dataclass(frozen=True, slots=True, kw_only=True)
class CauseIn:
    """What is noticed on a machine: signs that are there as “sign” or “sign=answer”, and signs that are not."""

    motor_class: str = ask("Class", "word", choices=tuple((c, c) for c in TEMPLATES))
    seen: list[str] = ask(
        "Noticed",
        "word",
        choices=tuple(
            (f"{s.id}={a.id}", a.words if len(s.answers) == 1 else f"{s.words}: {a.words}")
            for s in SIGNS
            for a in s.answers
        ),
    )
    not_seen: list[str] | None = ask(
        "Looked at, and no",
        "word",
        default=None,
        choices=tuple((s.id, s.not_so if s.not_so != "no" else f"not: {s.words}") for s in SIGNS if s.not_so),
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
    first_cause: str = gives("first to think of")
    reasons_for: tuple[str, ...] = gives("for it")
    reasons_against: tuple[str, ...] = gives("against it")
    upstream_chance: float = gives("the fault lies before the motor", share=True)
    entropy_bits: float
    next_check: str = gives("next check")
    next_check_minutes: float | None = gives("takes about")
    next_check_bits: float | None
    next_check_worth: str = gives("it is worth")
    checks: tuple[str, ...]
    danger: str = gives("mind")
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
            raise InputError(f"{known[name].words}: say what.", f"Use one of {one_of}.", "seen")
        if found.get(name, answer or "yes") != (answer or "yes"):
            raise InputError(f"“{name}” has two answers.", "Keep the one that is right.", "seen")
        found[name] = answer or "yes"
    for name in given.not_seen or []:
        if name in found:
            raise InputError(f"“{name}” is noticed and not noticed.", "Keep the one that is right.", "not_seen")
        found[name] = NOT_SO
    return found


def found_cause(given: CauseIn, rules: MotorRules) -> Diagnosis:
    """Return the ranking for what was given; raises as `find_cause` does.

    Raises: InputError that names the field which cannot be so.
    """
    if given.motor_class not in TEMPLATES:
        raise InputError(f"“{given.motor_class}” is not a class.", "Use " + ", ".join(TEMPLATES) + ".", "motor_class")
    if given.state not in STATES:
        raise InputError(f"“{given.state}” is not a state.", "Use " + ", ".join(STATES) + ".", "state")
    unknown = [s for s in given.surroundings or [] if s not in SURROUNDINGS]
    if unknown:
        raise InputError(f"“{unknown[0]}” is not known.", "Use " + ", ".join(SURROUNDINGS) + ".", "surroundings")
    return diagnose(
        given.motor_class,
        seen_of(given),
        rules,
        surroundings=given.surroundings or (),
        ruled_out=given.ruled_out or (),
        now=Situation(
            given.state,
            given.power_allowed,
            unloaded=TEMPLATES[given.motor_class].lends["construction"] != "series" or given.motor_class == "starter",
        ),
    )


def find_cause(given: CauseIn, rules: MotorRules) -> CauseOut:
    """Return the ranking of causes with the next check.

    Raises: InputError for words that are not known, at their field.
    """
    found = found_cause(given, rules)
    first, best = found.first, found.checks[0] if found.checks else None
    upstream = found.share("upstream")
    closed = (
        "leave the motor closed, the fault lies before it; " if not under(upstream, rules["diagnosis.upstream"]) else ""
    )
    sure = "likely" if not under(first.chance, rules["diagnosis.sure"]) else "first to think of"
    advice = f"{closed}{sure}: {first.cause.words} ({first.chance:.0%})" + (
        f"; next, {best.check.words}" if best else ""
    )
    return CauseOut(
        causes=tuple(r.cause.id for r in found.ranked),
        cause_words=tuple(r.cause.words for r in found.ranked),
        chances=tuple(r.chance for r in found.ranked),
        first_cause=first.cause.words,
        reasons_for=tuple(r.words for r in first.speaks_for),
        reasons_against=tuple(r.words for r in first.speaks_against),
        upstream_chance=upstream,
        entropy_bits=found.entropy_bits,
        next_check=best.check.words if best else "",
        next_check_minutes=best.check.minutes if best else None,
        next_check_bits=best.drop_bits if best else None,
        next_check_worth=best.worth if best else "",
        checks=tuple(c.check.id for c in found.checks),
        danger=best.check.danger if best else "",
        advice=advice,
        rules=(
            "diagnosis.strong",
            "diagnosis.for",
            "diagnosis.weak",
            "diagnosis.neutral",
            "diagnosis.alone",
            "diagnosis.alone-neutral",
            "diagnosis.sure",
            "diagnosis.upstream",
        ),
    )


SUMS = (
    Sum(
        name="find-cause",
        title="Find the cause",
        words="From what is noticed to the likely cause, and to the check that tells most per minute.",
        inputs=CauseIn,
        compute=find_cause,
        example={"motor_class": "tool", "seen": ["start=dead", "tapped=yes"]},
    ),
)
