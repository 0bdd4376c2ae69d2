"""What a sheet says of its motor beyond the readings: findings seen, picked and measured that still stand."""

from collections.abc import Iterable, Iterator

from norvash.core.grades import GRADES
from norvash.core.judging.catalogue import JUDGING
from norvash.core.judging.measuring import measured_on
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.finding import Finding, Noted
from norvash.core.sheet.life import KeptLife
from norvash.core.sheet.measured import findings_of
from norvash.core.sheet.numbered import numbered
from norvash.core.sheet.sheet import Sheet
from norvash.core.stages.catalogue import FINDINGS


def noted(sheet: Sheet, rules: MotorRules, worn_mm: Iterable[float] = ()) -> tuple[Noted, ...]:
    """Return the findings of a sheet in its view, each with its position, 0 for the whole motor, whatever was decided.

    Units: worn_mm [mm] of every brush since new, for the dust that is to be expected. What was measured stands over
    what was only seen.
    """
    worn, done = tuple(worn_mm), answered(sheet, rules)
    measured = _joined(findings_of(measured_on(sheet, rules, worn)))
    spots = {i for n, i in measured if n}  # what was only seen says not where
    found = {(0, f.id): f for f in _seen(sheet) if not (f.per and f.id in spots)} | measured
    hangs, wheels = sheet.facts.hangs, sheet.facts.drives_wheels
    return tuple((n, f.carried(hangs=hangs, wheels=wheels)) for (n, i), f in found.items() if i not in done)


def _seen(sheet: Sheet) -> Iterator[Finding]:
    return (f for i, _ in sheet.entries for f in _SEEN.get(i, ()) if f.seen(sheet))


_SEEN = {f"seen.{f.id}": (f,) for f in FINDINGS.values()}


def by_place(noted: Iterable[Noted], kept: Iterable[KeptLife]) -> dict[tuple[int, str], Finding]:
    """Return findings by their place; what is kept joined from before takes those of all spots into itself."""
    every, joined = {(n, f.id): f for n, f in noted}, {k.finding.id for k in kept if k.joined}
    if not joined:
        return every
    return _joined(_told(n, f) if f.id in joined else (n, f) for (n, _), f in every.items())


def _told(number: int, finding: Finding) -> Noted:
    """Return a finding of one spot as that of all of them says it."""
    return 0, finding.worded(f"{numbered(finding.per, number)}: {finding.words}") if number else finding


def _joined(noted: Iterable[Noted]) -> dict[tuple[int, str], Finding]:
    """Return each finding once at its position, with the words of all that found it."""
    made: dict[tuple[int, str], Finding] = {}
    for position, finding in noted:
        before = made.setdefault((position, finding.id), finding)
        if before.words != finding.words:
            graver = max(before, finding, key=lambda f: GRADES.index(f.grade))
            made[position, finding.id] = graver.worded(f"{before.words}; {finding.words}")
    return made


def answered(sheet: Sheet, rules: MotorRules) -> frozenset[str]:
    """Return the findings by sight that a measurement on this sheet has answered."""
    return frozenset(f.id for j in JUDGING.values() for f in j.answered(sheet, rules))
