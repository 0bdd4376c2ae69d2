"""What is sought in the rulebook: by words, by whether it is set here, and by where it is used."""

from collections.abc import Iterable, Mapping, Sequence
from dataclasses import dataclass

from norvash.core.rules.book import Rule, School
from norvash.core.text.texts import compared

SET_HERE = {"": "all", "ours": "set by us", "default": "default"}


@dataclass(frozen=True, slots=True, kw_only=True)
class RulesSought:
    """Words that must all stand in it, whether it is set here, and the sum that must use it; empty for any."""

    words: str = ""
    how: str = ""
    used: str = ""

    def fits(self, said: str, *, is_set: bool, used: Iterable[str]) -> bool:
        """Tell whether a rule is among what is sought."""
        if self.how and (self.how == "ours") != is_set:
            return False
        if self.used and self.used not in used:
            return False
        text = compared(said)
        return all(compared(w) in text for w in self.words.split())


def rules_found(
    groups: Sequence[tuple[str, Sequence[Rule]]],
    sought: RulesSought,
    changed: Mapping[str, object],
    used: Mapping[str, tuple[tuple[str, str], ...]],
) -> list[tuple[str, list[tuple[str, list[Rule]]]]]:
    """Return the rules that are sought by subject, in each by the source of their defaults, so that it is said once."""
    made = []
    for name, rules in groups:
        there = [
            r
            for r in rules
            if sought.fits(
                f"{name} {r.words} {r.id} {r.source}",
                is_set=r.id in changed,
                used=[title for _, title in used.get(r.id, ())],
            )
        ]
        if there:
            sources = dict.fromkeys(r.source for r in there)
            made.append((name, [(source, [r for r in there if r.source == source]) for source in sources]))
    return made


def schools_found(schools: Iterable[School], sought: RulesSought, changed: Mapping[str, object]) -> list[School]:
    """Return the schools that are sought."""
    return [
        s
        for s in schools
        if sought.fits(
            f"school {s.question} {s.id} {' '.join(w for _, w in s.options)}", is_set=s.id in changed, used=()
        )
    ]
