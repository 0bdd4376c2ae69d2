"""The list of rules as a document."""

from norvash.core.rules.book import Rule
from norvash.core.rules.catalogue import GROUPS
from norvash.core.rules.schools import SCHOOLS

_HEAD = """# Rules

Every figure of the trade that the code uses, by its id. Made from the code by `make rules`; do not edit by hand.
The narrowest figure wins: a motor's, its type's, the site's for the class, the site's, the class's default, the \
default.
"""


def listing() -> str:
    """Return all rules by subject as Markdown."""
    parts = [_HEAD]
    for name, rules in GROUPS:
        parts.append(
            f"\n## {name}\n\n| id | what it decides | default | unit | by class | source |\n|---|---|---|---|---|---|\n"
        )
        parts.extend(_row(rule) for rule in rules)
    parts.append(
        "\n## Schools\n\n| id | question | default | other answers | why the default |\n|---|---|---|---|---|\n"
    )
    for school in SCHOOLS:
        others = "; ".join(words for key, words in school.options if key != school.default)
        parts.append(
            f"| {school.id} | {school.question} | {school.words(school.default)} | {others} | {school.why} |\n"
        )
    return "".join(parts)


def _figure(value: float) -> str:
    """Return a figure as the code holds it."""
    return f"{value:.10g}"


def _row(rule: Rule) -> str:
    by_class = ", ".join(f"{c} {_figure(v)}" for c, v in rule.by_class.items())
    return f"| {rule.id} | {rule.words} | {_figure(rule.default)} | {rule.unit} | {by_class} | {rule.source} |\n"
