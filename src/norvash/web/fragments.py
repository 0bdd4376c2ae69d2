"""Pages in parts: a browser that says which parts it has is sent those that are different now, and no others.

A part is an element with an id between `{% call part() %}` and `{% endcall %}`. It carries a mark of what stands in
it outside the parts that it holds itself, so that one changed row is sent as one row.
"""

import re
from collections.abc import Callable
from dataclasses import dataclass, field
from hashlib import blake2s

from fastapi import Request
from jinja2 import pass_context
from jinja2.runtime import Context
from markupsafe import Markup

HAS = "norvash-has"
_OPENING = re.compile(r'\s*<[a-z][a-z0-9]*(?=[^>]*?\sid="([^"]+)")')


@dataclass(slots=True)
class Part:
    """One part as it was rendered: its id, the mark of what is its own, its text, and the parts that it holds."""

    id: str
    mark: str
    text: str
    held: list["Part"]

    def changed(self, has: dict[str, str]) -> list[str]:
        """Return the texts to send to a browser that has these marks."""
        if has.get(self.id) != self.mark:
            return [self.text]
        return [text for part in self.held for text in part.changed(has)]


@dataclass(slots=True)
class Parts:
    """The parts of one page, as they come; `passing` is what differs at each rendering and does not count."""

    passing: str = ""
    outermost: list[Part] = field(default_factory=list)

    def add(self, text: str) -> str:
        """Keep a part, and return it with its mark.

        Raises: ValueError for an element without an id.
        """
        opening = _OPENING.match(text)
        if opening is None:
            raise ValueError(f"a part of a page is one element with an id, not {text[:80]!r}")
        held = [p for p in self.outermost if p.text in text]
        own = text.replace(self.passing, "") if self.passing else text
        for part in held:
            own = own.replace(part.text.replace(self.passing, "") if self.passing else part.text, f"<{part.id}>")
        mark = blake2s(own.encode(), digest_size=4).hexdigest()
        marked = f'{text[: opening.end()]} data-part="{mark}"{text[opening.end() :]}'
        self.outermost = [p for p in self.outermost if p not in held] + [Part(opening[1], mark, marked, held)]
        return marked

    def fragment(self, has: dict[str, str]) -> str:
        """Return the texts of all parts that a browser does not have as they are now."""
        return "".join(text for part in self.outermost for text in part.changed(has))


@pass_context
def part(context: Context, caller: Callable[[], str]) -> Markup:
    """Make an element of a page a part of it: called around it by the template."""
    return Markup(context["parts"].add(str(caller())))  # noqa: S704  (rendered by the template)


def had(request: Request) -> dict[str, str] | None:
    """Return the parts that a browser says it has, by their ids; None where it asks for a whole page."""
    said = request.headers.get(HAS)
    if said is None:
        return None
    return dict(one.split("=", 1) for one in said.split(",") if "=" in one)
