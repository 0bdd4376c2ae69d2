"""The rules that a shop set for itself and that something on a sheet rests on, as they are told once it is signed."""

from collections.abc import Iterator

from norvash.core.judging.rests_on import under
from norvash.core.rules.catalogue import RULES
from norvash.core.text.words import figure_said
from norvash.work.reading.sheet_now import SheetNow


def own_rules_told(page: SheetNow) -> list[str]:
    """Return the own rules on which a value or a length of a sheet rests, each with what is usual."""
    return list(_own(page))


def _own(page: SheetNow) -> Iterator[str]:
    rules, rests = page.context.rules, under(page.measured, lengths=bool(page.visit.read_here))
    for rule_id in dict.fromkeys(o.rule_id for o in rules.book.overrides.values() if o.rule_id in RULES):
        figure = rules.figure(rule_id)
        if rests(rule_id) and not figure.is_default:
            usual = figure_said(rules.usual(rule_id), figure.unit)
            yield f"{figure.words} {figure_said(figure.value, figure.unit)}, usual {usual}"
