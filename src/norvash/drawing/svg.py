"""One maker of SVG elements: classes inside a page, presentation attributes in a saved file."""

import re
from collections.abc import Iterable, Sequence
from dataclasses import dataclass
from functools import cached_property
from html import escape
from math import ceil, floor
from typing import NamedTuple

from norvash.drawing.inks import printed

_SPECIAL = re.compile("[&<>\"']")


class Element(NamedTuple):
    """One element with its ink, its attributes, and its text or children."""

    tag: str
    ink: str = ""
    attributes: tuple[tuple[str, object], ...] = ()
    text: str = ""
    children: tuple["Element", ...] = ()

    def render(self, standalone: bool) -> str:
        """Return the element as text."""
        written = _inked(self.ink, self.attributes) if standalone else f' class="{self.ink}"' if self.ink else ""
        for name, value in self.attributes:
            if isinstance(value, float):
                written += f' {name}="{value:.5g}"'
            elif value is not None:
                written += f' {name}="{_escaped(str(value))}"'
        inner = _escaped(self.text) if self.text else ""
        if self.children:
            inner += "".join([c.render(standalone) for c in self.children])
        return f"<{self.tag}{written}>{inner}</{self.tag}>" if inner else f"<{self.tag}{written}/>"


def _inked(ink: str, attributes: tuple[tuple[str, object], ...]) -> str:
    """Return the presentation attributes of an ink, but for those that the element states itself."""
    own = {name for name, _ in attributes}
    styled = {k: v for name in ink.split() for k, v in printed(name).items() if k not in own}
    return "".join(f' {k}="{v}"' for k, v in styled.items())


def _value(value: object) -> str:
    return f"{value:.5g}" if isinstance(value, float) else _escaped(str(value))


def _escaped(text: str) -> str:
    return escape(text, quote=True) if _SPECIAL.search(text) else text


def el(tag: str, ink: str = "", text: str = "", children: Sequence[Element] = (), **attributes: object) -> Element:
    """Return an element; underscores in attribute names become hyphens."""
    named = tuple([(k.replace("_", "-") if "_" in k else k, v) for k, v in attributes.items()])
    return Element(tag, ink, named, text, tuple(children))


def line(ink: str, x1: float, y1: float, x2: float, y2: float) -> Element:
    """Return a straight stroke."""
    return el("path", ink, d=f"M{x1:.5g} {y1:.5g}L{x2:.5g} {y2:.5g}")


def lines(ink: str, strokes: Iterable[tuple[float, float, float, float]]) -> Element:
    """Return straight strokes of one ink as one element."""
    return el("path", ink, d="".join([f"M{x1:.5g} {y1:.5g}L{x2:.5g} {y2:.5g}" for x1, y1, x2, y2 in strokes]))


def polyline(ink: str, points: Sequence[tuple[float, float]]) -> Element:
    """Return a stroke through points."""
    return el("path", ink, d="M" + "L".join([f"{x:.5g} {y:.5g}" for x, y in points]))


def label(ink: str, x: float, y: float, text: str, anchor: str = "start") -> Element:
    """Return a piece of text."""
    return el("text", ink, text, x=x, y=y, text_anchor=anchor if anchor != "start" else None)


# Slanted strokes for what will be gone; a page holds this once for all its drawings, a saved file brings its own.
HATCHING = el(
    "defs",
    children=[
        el(
            "pattern",
            children=[line("hatch", 0, 0, 0, 6)],
            id="hatching",
            width=4.4,
            height=6,
            patternUnits="userSpaceOnUse",
            patternTransform="rotate(45)",
        )
    ],
)


@dataclass(frozen=True, kw_only=True)
class Drawing:
    """A finished drawing with its text alternative and the table that says the same."""

    name: str
    width: float
    height: float
    title: str
    description: str
    elements: tuple[Element, ...]
    head: tuple[str, ...] = ()
    rows: tuple[tuple[str, ...], ...] = ()
    interactive: bool = False

    def svg(self) -> str:
        """Return the drawing for a page, inked by the page's style sheet."""
        return self._for_a_page

    @cached_property
    def _for_a_page(self) -> str:
        return self._write(standalone=False)

    def beside_words(self) -> str:
        """Return it for a place where words beside it say the same: nobody is told twice."""
        body = "".join([e.render(standalone=False) for e in self.elements])
        hidden = ' aria-hidden="true"' if "<text" in body else ""  # without words it says nothing to anybody
        return f"<svg {self._view}{hidden}>{body}</svg>"

    @property
    def _view(self) -> str:
        return f'viewBox="0 0 {_value(self.width)} {_value(self.height)}"'

    def file(self) -> str:
        """Return the drawing as a file of its own."""
        return '<?xml version="1.0" encoding="UTF-8"?>\n' + self._write(standalone=True)

    def _write(self, *, standalone: bool) -> str:
        size = self._view
        if standalone:
            size += f' width="{_value(self.width)}" height="{_value(self.height)}" xmlns="http://www.w3.org/2000/svg"'
        words = f"<title>{_escaped(self.title)}</title>"
        if standalone:
            words += f"<desc>{_escaped(self.description)}</desc>"
        body = "".join([e.render(standalone) for e in self.elements])
        if standalone and "url(#hatching)" in body:
            body = HATCHING.render(standalone=True) + body
        role = f'role="img" aria-label="{_escaped(f"{self.title}. {self.description}")}"'
        if self.interactive:
            role = f'role="group" aria-label="{_escaped(self.title)}"'
        return f'<svg class="drawing {self.name}" {size} {role}>{words}{body}</svg>'


def nice_step(span: float, most: int) -> float:
    """Return a round step that divides a span into at most `most` parts.

    >>> nice_step(32, 8)
    5.0
    """
    step = 10.0**-3
    for factor in (1, 2, 5) * 9:
        candidate = factor * step
        if span / candidate <= most:
            return candidate
        if factor == 5:
            step *= 10
    return span


def ticks(low: float, high: float, most: int) -> list[float]:
    """Return the round figures from low to high that divide it into at most `most` parts.

    >>> ticks(95, 420, 4)
    [100.0, 200.0, 300.0, 400.0]
    """
    step = nice_step(high - low, most)
    return [i * step for i in range(ceil(low / step - 1e-9), floor(high / step + 1e-9) + 1)]
