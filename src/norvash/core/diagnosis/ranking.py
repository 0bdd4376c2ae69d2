"""Naive Bayes over the causes: their ranking, the reasons, and the next check by entropy per minute."""

from collections.abc import Iterable, Mapping
from dataclasses import dataclass, replace
from functools import lru_cache
from itertools import product
from math import log, log2, prod

from norvash.core.diagnosis.causes import BY_ID as CAUSES
from norvash.core.diagnosis.causes import Cause, base_rates
from norvash.core.diagnosis.checks import CHECKS, STATES, Check
from norvash.core.diagnosis.sign import NOT_SO, Answer
from norvash.core.diagnosis.signs import BY_ID as SIGNS
from norvash.core.diagnosis.signs import offered
from norvash.core.edges import under
from norvash.core.rules.book import MotorRules
from norvash.core.rules.diagnosis import STRENGTH
from norvash.core.text.words import listed
from norvash.errors import InputError

_CERTAIN = 0.97
# A cause is named as one that a check may leave as the likeliest where that comes at least so often; so many are named.
_NAMED_FROM, _MOST_NAMED = 0.1, 3
# How often somebody knows what a sign that may stay unknown asks for.
_KNOWN = 0.7


@dataclass(frozen=True, slots=True)
class Reason:
    """One thing noticed and how strongly it speaks for a cause against the others; over 1 for, under 1 against."""

    words: str
    ratio: float


@dataclass(frozen=True, slots=True)
class Ranked:
    """One cause with its chance, and what speaks for and against it, the strongest first."""

    cause: Cause
    chance: float
    speaks_for: tuple[Reason, ...]
    speaks_against: tuple[Reason, ...]


@dataclass(frozen=True, slots=True)
class NextCheck:
    """A check that could be made now, with the entropy it is expected to take away [bit], and the causes of which one
    would be the likeliest after it, by how often.
    """

    check: Check
    drop_bits: float
    leads: tuple[str, ...] = ()

    @property
    def per_minute(self) -> float:
        """Return the expected drop of entropy per minute [bit/min]."""
        return self.drop_bits / self.check.minutes

    @property
    def worth(self) -> str:
        """Return what it is worth in plain words: its minutes, and between which causes it decides."""
        minutes = f"{self.check.minutes:g} minute{'s' * (self.check.minutes != 1)}"
        named = [CAUSES[c].words for c in self.leads]
        if len(named) < 2:
            return f"{minutes}: confirms or clears {named[0]}" if named else minutes
        return f"{minutes}: decides between {listed(named)}"


@dataclass(frozen=True, slots=True)
class Diagnosis:
    """The causes by falling chance, the checks by falling worth, and the entropy now [bit]."""

    ranked: tuple[Ranked, ...]
    checks: tuple[NextCheck, ...]
    entropy_bits: float

    @property
    def first(self) -> Ranked:
        """Return the likeliest cause."""
        return self.ranked[0]

    def share(self, side: str) -> float:
        """Return the chance that the cause lies on a side of the machine."""
        return sum(r.chance for r in self.ranked if r.cause.side == side)


@dataclass(frozen=True, slots=True)
class Situation:
    """What may be done now: how far the motor is open, whether power may be on or hands in it, and whether it may run
    free.
    """

    state: str = "assembled"
    power: bool = True
    safe: bool = True
    unloaded: bool = True

    def allows(self, check: Check) -> bool:
        """Tell whether a check is possible and allowed now."""
        if STATES.index(check.state) > STATES.index(self.state):
            return False
        if check.unloaded and not self.unloaded:
            return False
        return self.power if check.power else self.safe


def strengths(rules: MotorRules) -> tuple[float, ...]:
    """Return what a sign's strengths mean: neutral chance, then how many times it for weak, clear, strong signs and
    those that explain alone.

    The last is the neutral chance of what explains alone. Source: rules diagnosis.*
    """
    ids = ("neutral", "weak", "for", "strong", "alone", "alone-neutral")
    return tuple(rules[STRENGTH.of(i)] for i in ids)


@lru_cache(maxsize=512)
def likelihoods(sign_id: str, means: tuple[float, ...]) -> dict[str, dict[str, float]]:
    """Return the chance of every answer of a sign under every cause; for each cause they sum to 1 with “not so”.

    Where one answer always holds they share the whole; where nobody may know, “not so” has one chance under every
    cause.
    """
    sign = SIGNS[sign_id]
    table: dict[str, dict[str, float]] = {}
    for cause_id in CAUSES:
        made = {a.id: _usual(a, means) * _times(a.weights.get(cause_id, 0), means) for a in sign.answers}
        total = sum(made.values())
        share = 1.0 if not sign.not_so else _KNOWN if sign.silent else min(total, _CERTAIN)
        made = {k: v * share / total for k, v in made.items()}
        table[cause_id] = {**made, NOT_SO: 1 - share} if sign.not_so else made
    return table


def _usual(answer: Answer, means: tuple[float, ...]) -> float:
    """Return the chance of an answer under a cause that it does not speak of."""
    if answer.usual is not None:
        return answer.usual
    return means[-1] if answer.alone else means[0]


def _times(weight: int, means: tuple[float, ...]) -> float:
    if weight == 0:
        return 1.0
    return means[weight] if weight > 0 else 1 / means[-weight]


def diagnose(
    motor_class: str,
    seen: Mapping[str, str],
    rules: MotorRules,
    *,
    surroundings: Iterable[str] = (),
    ruled_out: Iterable[str] = (),
    now: Situation | None = None,
    cases: Mapping[str, int] | None = None,
    said: Mapping[str, str] | None = None,
) -> Diagnosis:
    """Rank the causes from what was noticed, and the checks from what they would tell; no check where one is as good as
    settled.

    Units: seen holds the answer by sign, “no” where it is not so; ruled_out are causes found and mended before; cases
    are those proven at this site on motors of the class; said are other words for what a sign was seen by.
    Raises: InputError for a sign, an answer, a cause that is not known, or when nothing is left. Source: rule
    diagnosis.settled
    """
    given = tuple((sign_id, _checked(sign_id, answer)) for sign_id, answer in seen.items())
    out = tuple(ruled_out)
    for cause_id in out:
        if cause_id not in CAUSES:
            raise InputError(f"“{cause_id}” is not a cause.", "Use one of " + ", ".join(CAUSES) + ".", "ruled_out")
    rates = base_rates(motor_class, surroundings, cases, rules["diagnosis.cases"])
    base = tuple((rates | dict.fromkeys(out, 0.0)).items())
    words = tuple((said or {}).items())
    found = _diagnosis(motor_class, given, strengths(rules), base=base, now=now or Situation(), words=words)
    settled = not under(found.first.chance, rules["diagnosis.settled"])
    return replace(found, checks=()) if settled else found


@lru_cache(maxsize=128)
def _diagnosis(
    motor_class: str,
    seen: tuple[tuple[str, str], ...],
    means: tuple[float, ...],
    *,
    base: tuple[tuple[str, float], ...],
    now: Situation,
    words: tuple[tuple[str, str], ...],
) -> Diagnosis:
    """Return the diagnosis of what was checked; a sheet asks for the same one at each of its pages."""
    before, given = dict(base), dict(seen)
    said = {s: SIGNS[s].said(a) for s, a in seen} | dict(words)
    by_sign = {s: {c: row[a] for c, row in likelihoods(s, means).items()} for s, a in given.items()}
    chances = _normed({c: p * prod(by_sign[s][c] for s in given) for c, p in before.items()})
    ranked = tuple(
        _ranked(cause_id, chance, before, given, by_sign, said=said)
        for cause_id, chance in sorted(chances.items(), key=lambda pair: -pair[1])
        if chance > 0
    )
    checks = [
        worth_of(c, chances, given, motor_class, means)
        for c in CHECKS
        if now.allows(c) and any(s not in given and offered(SIGNS[s], motor_class) for s in c.signs)
    ]
    return Diagnosis(ranked, tuple(sorted(checks, key=lambda c: -c.per_minute)), entropy(chances.values()))


def _checked(sign_id: str, answer: str) -> str:
    if sign_id not in SIGNS:
        raise InputError(f"“{sign_id}” is not a sign.", "Use one of " + ", ".join(SIGNS) + ".", "seen")
    known = SIGNS[sign_id].known
    if answer not in known:
        raise InputError(f"“{answer}” is not an answer to {sign_id}.", "Use one of " + ", ".join(known) + ".", "seen")
    return answer


def _normed(chances: dict[str, float]) -> dict[str, float]:
    total = sum(chances.values())
    if total <= 0:
        raise InputError("Every cause is ruled out.", "Take one back: something must be wrong.", "ruled_out")
    return {c: p / total for c, p in chances.items()}


def entropy(chances: Iterable[float]) -> float:
    """Return the entropy of a distribution [bit].

    >>> entropy([0.25, 0.25, 0.25, 0.25])
    2.0
    """
    return -sum(p * log2(p) for p in chances if p > 0)


def worth_of(
    check: Check, chances: Mapping[str, float], given: Mapping[str, str], motor_class: str, means: tuple[float, ...]
) -> NextCheck:
    """Return what a check is expected to tell over all that its signs can show: by how much it lowers the entropy
    [bit], and which causes it may leave as the likeliest.
    """
    open_signs = [SIGNS[s] for s in check.signs if s not in given and offered(SIGNS[s], motor_class)]
    tables = [likelihoods(s.id, means) for s in open_signs]
    after, leads = 0.0, dict[str, float]()
    for shown in product(*(s.known for s in open_signs)):
        joint = {c: p * prod(t[c][a] for t, a in zip(tables, shown, strict=True)) for c, p in chances.items()}
        weight = sum(joint.values())
        if weight > 0:
            after += weight * entropy(p / weight for p in joint.values())
            first = max(joint, key=lambda c: joint[c])
            leads[first] = leads.get(first, 0.0) + weight
    named = sorted((c for c in leads if leads[c] >= _NAMED_FROM), key=lambda c: -leads[c])
    return NextCheck(check, entropy(chances.values()) - after, tuple(named[:_MOST_NAMED]))


def _ranked(
    cause_id: str,
    chance: float,
    base: Mapping[str, float],
    given: Mapping[str, str],
    by_sign: Mapping[str, Mapping[str, float]],
    *,
    said: Mapping[str, str],
) -> Ranked:
    """Return a cause with its reasons: each sign's chance under it over its mean chance under the others, at base
    rates; what is said in the same words once, by its strongest.
    """
    reasons: list[Reason] = []
    for sign_id in given:
        table = by_sign[sign_id]
        rest = sum(base.values()) - base[cause_id]
        others = sum(base[c] * table[c] for c in base if c != cause_id) / rest if rest > 0 else table[cause_id]
        reasons.append(Reason(said[sign_id], table[cause_id] / others))
    telling = sorted((r for r in reasons if abs(log(r.ratio)) > 0.1), key=lambda r: -abs(log(r.ratio)))
    telling = list({(r.words, r.ratio > 1): r for r in reversed(telling)}.values())[::-1]
    return Ranked(
        CAUSES[cause_id], chance, tuple(r for r in telling if r.ratio > 1), tuple(r for r in telling if r.ratio < 1)
    )
