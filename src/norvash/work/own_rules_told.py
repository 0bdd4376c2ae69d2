"""The rules that a shop set for itself and that something on a sheet rests on, as they are told once it is signed."""

from collections.abc import Iterator

from norvash.core.rules.catalogue import RULES
from norvash.core.sheet.stages.brushes.carbon import SET_WORN
from norvash.core.text.words import figure_said
from norvash.work.sheet_page import SheetPage


def own_rules_told(page: SheetPage) -> list[str]:
    """Return the own rules on which a value or a length of a sheet rests, each with what is usual."""
    return list(_own(page))


def _own(page: SheetPage) -> Iterator[str]:
    rules, lengths = page.context.rules, SET_WORN.rests_on if page.visit.read_here else ()
    named = {n for m in page.measured for n in m.rests_on} | set(lengths)
    for rule_id in dict.fromkeys(o.rule_id for o in rules.book.overrides.values() if o.rule_id in RULES):
        figure = rules.figure(rule_id)
        rests = rule_id in named or any(n.endswith(".") and rule_id.startswith(n) for n in named)
        if rests and not figure.is_default:
            usual = figure_said(rules.usual(rule_id), figure.unit)
            yield f"{figure.words} {figure_said(figure.value, figure.unit)}, usual {usual}"
