"""Which measured figures are over what is wanted, and why: it stands at the head of what is written of them."""

import re
from collections.abc import Iterable, Iterator

# What limits the figures whose words begin so; the first that fits.
_WHY = (
    ("sheet", "its page is a hundred macros and forty forms, each rendered by itself; rows of fewer would lift it"),
    ("the same, over the bare page between", "five people share one interpreter: each waits for the others' pages"),
    (
        ("motor", "register", "outlook", "hours"),
        "a bare page has neither session nor rights nor SQL; what is left is the template and the rows read",
    ),
    ("a rule changed", "each motor is forecast and judged whole; only what the rule touches would lift it"),
    ("start", "routes and templates are there before the first page; making them when asked for would lift it"),
    ("the answer to that point", "ids and marks of the parts that change are a third of it"),
    ("a site's rule", "each of the motors behind it is judged again, twice, to list what would end"),
    ("largest paint", "the browser's own work on a page that is longer than the bare one"),
)


def over_wanted(rows: Iterable[str]) -> list[str]:
    """Return the head of the table's page: what is over what is wanted, each kind with what limits it."""
    found: dict[str, list[str]] = {}
    for what, measured, wanted in _over(rows):
        why = next((why for begins, why in _WHY if what.startswith(begins)), "not known")
        found.setdefault(why, []).append(f"{what.partition(', over ')[0]} {measured} ({wanted})")
    if not found:
        return ["Nothing is over what is wanted.\n"]
    return ["Over what is wanted:\n", *(f"- {'; '.join(names)}: {why}." for why, names in found.items()), ""]


def _over(rows: Iterable[str]) -> Iterator[tuple[str, str, str]]:
    """Yield what is worse than wanted: what, measured, wanted."""
    for row in rows:
        what, measured, wanted = ([c.strip() for c in row.strip("|").split("|")] + ["", ""])[:3]
        is_, least = (float(m[0]) if (m := re.search(r"\d+(\.\d+)?", x)) else None for x in (measured, wanted))
        if is_ is None or least is None:
            continue
        if is_ < least if wanted.startswith("at least") else is_ > least:
            yield what, measured, wanted
