"""Rules with their defaults, and the resolution of what applies to one motor."""

from collections.abc import Iterable, Mapping
from dataclasses import dataclass, field
from functools import cached_property
from types import MappingProxyType

from norvash.core.text.words import figure_said
from norvash.errors import InputError, NotFound

GEARED = "geared starter"
CLASSES = ("appliance", "tool", "starter", "industrial", "traction", "generator")


@dataclass(frozen=True, slots=True, kw_only=True)
class Rule:
    """One figure of the trade: what it decides, its unit, its default and where that comes from."""

    id: str
    words: str
    unit: str
    default: float
    source: str
    low: float = 0.0
    high: float = 1e6
    by_class: Mapping[str, float] = field(default_factory=lambda: MappingProxyType({}))

    def default_for(self, motor_class: str | None, variant: str = "") -> float:
        """Return the shipped figure for a class of machine, or a variant of it, in the rule's unit."""
        return self.by_class.get(variant, self.by_class.get(motor_class or "", self.default))


@dataclass(frozen=True, slots=True)
class Family:
    """Rules that differ in one word of their ids: the only place where an id is put together."""

    pattern: str
    members: tuple[str, ...]

    def of(self, member: str) -> str:
        """Return the id of a member's rule.

        Raises: NotFound for a word that has none.
        """
        if member not in self.members:
            raise NotFound(
                f"The rulebook has no “{self.pattern.format(member)}”.", "Use " + ", ".join(self.members) + "."
            )
        return self.pattern.format(member)

    @property
    def ids(self) -> tuple[str, ...]:
        """Return the ids of all its rules."""
        return tuple(self.of(m) for m in self.members)


@dataclass(frozen=True, slots=True, kw_only=True)
class School:
    """A question with several good answers: its options as (key, words), the default and why, and what a class
    refuses. One `of_site` has one answer for all.
    """

    id: str
    question: str
    options: tuple[tuple[str, str], ...]
    default: str
    why: str
    refused: Mapping[str, tuple[str, ...]] = field(default_factory=lambda: MappingProxyType({}))
    of_site: bool = False

    def words(self, key: str) -> str:
        """Return an option in words."""
        return dict(self.options)[key]

    def check(self, key: str, motor_class: str | None) -> None:
        """Refuse an option that is not known, or that a class of machine must not take.

        Raises: InputError.
        """
        if key not in dict(self.options):
            raise InputError(f"“{key}” is not an answer here.", "Choose one from the list.", "value")
        if key in self.refused.get(motor_class or "", ()):
            raise InputError(
                f"“{self.words(key)}” is refused for class {motor_class}.",
                "Such a machine hurts people when it fails: choose another.",
                "value",
            )


@dataclass(frozen=True, slots=True)
class Choice:
    """A school as it applies, with the place it was chosen."""

    school: School
    key: str
    basis: str

    @property
    def words(self) -> str:
        """Return what was chosen, in words."""
        return self.school.words(self.key)


@dataclass(frozen=True, slots=True, kw_only=True)
class Override:
    """A figure, or a school's word, that replaces the default: for the site, one class of it, a type or a motor."""

    rule_id: str
    scope: str
    scope_id: str
    value: float
    person: str
    day: str
    why: str
    word: str = ""


@dataclass(frozen=True, slots=True)
class Figure:
    """A rule's figure as it was used, with the place it came from."""

    rule_id: str
    words: str
    value: float
    unit: str
    basis: str

    @property
    def is_default(self) -> bool:
        """Tell whether nobody set it otherwise here."""
        return self.basis.startswith("default")


class Rulebook:
    """All rules with the overrides in force; the narrowest scope wins: motor, type, site, default."""

    def __init__(
        self, rules: Mapping[str, Rule], overrides: Iterable[Override] = (), schools: Mapping[str, School] | None = None
    ) -> None:
        self.rules, self.schools = rules, schools or {}
        self.overrides = {(o.rule_id, o.scope, o.scope_id): o for o in overrides}
        self._ruled = {o.rule_id for o in self.overrides.values()}
        self._single = {o.scope_id for o in self.overrides.values() if o.scope in ("type", "motor")}
        self._known: dict[tuple[str | None, str, str, str], dict[str, Figure]] = {}

    def rule(self, rule_id: str) -> Rule:
        """Return the rule with this id.

        Raises: NotFound if the rulebook has no such rule.
        """
        try:
            return self.rules[rule_id]
        except KeyError:
            raise NotFound(
                f"The rulebook has no rule “{rule_id}”.", "Open the rulebook and pick one from its list."
            ) from None

    def figure(
        self, rule_id: str, motor_class: str | None = None, type_id: str = "", motor_id: str = "", variant: str = ""
    ) -> Figure:
        """Return the figure that applies, with its basis in words."""
        rule = self.rule(rule_id)
        found, words = self._override(rule_id, motor_class, type_id, motor_id)
        if found is not None:
            return _held(rule, found, words)
        if not rule.by_class:
            return Figure(rule.id, rule.words, rule.default, rule.unit, "default")
        known = next((name for name in (variant, motor_class or "") if name in rule.by_class), "")
        basis = f"default for {'' if known == variant else 'class '}{known}" if known else "default"
        return Figure(rule.id, rule.words, rule.default_for(motor_class, variant), rule.unit, basis)

    def choice(self, school_id: str, motor_class: str | None = None, type_id: str = "", motor_id: str = "") -> Choice:
        """Return the school that applies, with its basis in words; one that the class refuses, or that only another
        version knows, does not.

        Raises: NotFound.
        """
        school = self.school(school_id)
        found, words = self._override(school_id, motor_class, type_id, motor_id)
        holds = found is not None and found.word in dict(school.options)
        if found is not None and holds and found.word not in school.refused.get(motor_class or "", ()):
            return Choice(school, found.word, f"{words}, {found.person}, {found.day}")
        return Choice(school, school.default, "default")

    def school(self, school_id: str) -> School:
        """Return the school with this id.

        Raises: NotFound.
        """
        try:
            return self.schools[school_id]
        except KeyError:
            raise NotFound(f"The rulebook has no school “{school_id}”.", "Open the rulebook and pick one.") from None

    def _override(
        self, rule_id: str, motor_class: str | None, type_id: str, motor_id: str
    ) -> tuple[Override | None, str]:
        """Return the narrowest override in force with the words for its scope."""
        if rule_id not in self._ruled:
            return None, ""
        for scope, scope_id, words in (
            ("motor", motor_id, "set for this motor"),
            ("type", type_id, "set for this type"),
            ("class", motor_class or "", f"site figure for class {motor_class}"),
            ("site", "", "site figure"),
        ):
            found = self.overrides.get((rule_id, scope, scope_id))
            if found is not None and (scope_id or scope == "site"):
                return found, words
        return None, ""

    def known_for(self, motor_class: str | None, type_id: str, motor_id: str, variant: str) -> dict[str, Figure]:
        """Return the figures asked for so far, shared by all motors of a class for which nothing of their own
        is set.
        """
        own = tuple(i if i in self._single else "" for i in (type_id, motor_id))
        return self._known.setdefault((motor_class, own[0], own[1], variant), {})

    def check(self, rule_id: str, value: float) -> None:
        """Refuse a figure that the rule cannot have.

        Raises: InputError outside the rule's bounds, NaN included.
        """
        rule = self.rule(rule_id)
        if not rule.low <= value <= rule.high:
            low, high = figure_said(rule.low, rule.unit), figure_said(rule.high, rule.unit)
            raise InputError(
                f"{figure_said(value, rule.unit)} is outside what this rule can be.",
                f"Give a figure from {low} to {high}.",
                "value",
            )


def _held(rule: Rule, found: Override, words: str) -> Figure:
    """Return a figure that a shop has set for itself; one beyond what its rule may be holds at the bound, said so."""
    value = min(max(found.value, rule.low), rule.high)
    beyond = "" if value == found.value else f"; set at {figure_said(found.value, rule.unit)}, held at its bound"
    return Figure(rule.id, rule.words, value, rule.unit, f"{words}, {found.person}, {found.day}{beyond}")


@dataclass(frozen=True)
class MotorRules:
    """The rulebook as it applies to one motor: figures by id, and which of them were asked for.

    `variant` is a kind of machine inside its class whose defaults differ: a starter with a gear reduction.
    """

    book: Rulebook
    motor_class: str | None = None
    type_id: str = ""
    motor_id: str = ""
    variant: str = ""

    @cached_property
    def _known(self) -> dict[str, Figure]:
        return self.book.known_for(self.motor_class, self.type_id, self.motor_id, self.variant)

    @property
    def asked(self) -> tuple[str, ...]:
        """Return the ids of the rules that were asked for so far, by all motors for which the same figures hold."""
        return tuple(self._known)

    def figure(self, rule_id: str) -> Figure:
        """Return the figure in force with its basis."""
        if rule_id not in self._known:
            self._known[rule_id] = self.book.figure(
                rule_id, self.motor_class, self.type_id, self.motor_id, self.variant
            )
        return self._known[rule_id]

    def usual(self, rule_id: str) -> float:
        """Return what a rule says where nobody set it otherwise."""
        return self.book.rule(rule_id).default_for(self.motor_class, self.variant)

    def choice(self, school_id: str) -> Choice:
        """Return the school in force with its basis."""
        return self.book.choice(school_id, self.motor_class, self.type_id, self.motor_id)

    def __getitem__(self, rule_id: str) -> float:
        return self.figure(rule_id).value
