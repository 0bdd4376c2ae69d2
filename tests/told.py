"""What a page tells somebody who reads it or hears it read: its words, and what its fields hold."""

import re
from html.parser import HTMLParser

_SILENT = ("script", "style", "head", "title")
_ASKS = {"input", "textarea", "select", "option", "button"}
_NEXT_LINE = {"p", "li", "tr", "h1", "h2", "h3", "form", "section", "summary", "svg", "legend", "dt", "option", "label"}


class _Reader(HTMLParser):
    def __init__(self) -> None:
        super().__init__()
        self.parts: list[str] = []
        self.silent = 0

    def handle_starttag(self, tag: str, attrs: list[tuple[str, str | None]]) -> None:
        given = dict(attrs)
        if tag in _SILENT:
            self.silent += 1
        if tag in _NEXT_LINE:
            self.parts.append("\n")
        if given.get("aria-label"):
            self.parts.append(f" {given['aria-label']}: ")
        if tag in _ASKS and given.get("type") != "hidden":
            on: list[str] = [k for k in ("checked", "selected", "disabled") if k in given]
            on += ["pressed"] if given.get("aria-pressed") == "true" else []
            held = given.get("value") if tag == "input" and given.get("type") != "checkbox" else None
            self.parts.append(f" [{' '.join(filter(None, (given.get('name'), held, *on)))}] ")

    def handle_endtag(self, tag: str) -> None:
        self.silent -= tag in _SILENT
        self.parts.append("\n" if tag in _NEXT_LINE else " ")

    def handle_data(self, data: str) -> None:
        if not self.silent:
            self.parts.append(re.sub(r"\s+", " ", data))


def told(html: str, first: str = "<main", end: str = "</main>") -> str:
    """Return the words of a part of a page, a line for each line, and of each field its name and what it holds."""
    reader = _Reader()
    begins, ends = (html.rindex("<", 0, html.index(mark) + 1) for mark in (first, end))
    reader.feed(html[begins:ends])
    lines = (re.sub(r"\s+", " ", line).strip() for line in "".join(reader.parts).split("\n"))
    return "\n".join(line for line in lines if line)
