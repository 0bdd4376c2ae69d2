"""Pages in parts: a browser that says which parts it has is sent those that are different now, and no others.

A part is an element with an id between `{% call part() %}` and `{% endcall %}`. It carries a mark of what stands in
it outside the parts that it holds itself, so that one changed row is sent as one row.
"""

import re
from collections.abc import Callable
from dataclasses import dataclass, field
from zlib import crc32

from fastapi import Request
from jinja2 import pass_context
from jinja2.runtime import Context
from markupsafe import Markup

HAS = "norvash-has"
_OPENING = re.compile(r'\s*<[a-z][a-z0-9]*(?=[^>]*?\sid="([^"]+)")')


@dataclass(slots=True, eq=False)
class Fragment:
    """One part as it was rendered: its id, the mark of what is its own, its text, and the parts that it holds."""

    id: str
    mark: str
    text: str
    held: list["Fragment"]

    def changed(self, has: dict[str, str]) -> list[str]:
        """Return the texts to send to a browser that has these marks."""
        if has.get(self.id) != self.mark:
            return [self.text]
        return [text for part in self.held for text in part.changed(has)]


@dataclass(slots=True, eq=False)
class Parts:
    """The parts of one page, as they come; `passing` is what differs at each rendering and does not count."""

    passing: str = ""
    outermost: list[Fragment] = field(default_factory=list)

    def add(self, drawn: Callable[[], str]) -> str:
        """Keep what is drawn as a part, which holds the parts that are kept meanwhile, and return it with its mark.

        Raises: ValueError for an element without an id.
        """
        before = len(self.outermost)
        text = str(drawn())
        opening = _OPENING.match(text)
        if opening is None:
            raise ValueError(f"a part of a page is one element with an id, not {text[:80]!r}")
        held = self.outermost[before:]
        mark = f"{crc32(self._own(text, held).encode()):08x}"
        marked = f'{text[: opening.end()]} data-part="{mark}"{text[opening.end() :]}'
        self.outermost[before:] = [Fragment(opening[1], mark, marked, held)]
        return marked

    def _own(self, text: str, held: list[Fragment]) -> str:
        """Return what stands in a part outside the parts that it holds, in their order."""
        own, at = [], 0
        for part in held:
            begins = text.index(part.text, at)
            own += [text[at:begins], f"<{part.id}>"]
            at = begins + len(part.text)
        whole = "".join([*own, text[at:]])
        return whole.replace(self.passing, "") if self.passing else whole

    def fragment(self, has: dict[str, str]) -> str:
        """Return the texts of all parts that a browser does not have as they are now."""
        return "".join(text for part in self.outermost for text in part.changed(has))


@pass_context
def part(context: Context, caller: Callable[[], str]) -> Markup:
    """Make an element of a page a part of it: called around it by the template."""
    return Markup(context["parts"].add(caller))  # noqa: S704  (rendered by the template)


def had(request: Request) -> dict[str, str] | None:
    """Return the parts that a browser says it has, by their ids; None where it asks for a whole page."""
    said = request.headers.get(HAS)
    if said is None:
        return None
    return dict(one.split("=", 1) for one in said.split(",") if "=" in one)
