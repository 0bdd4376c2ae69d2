"""The mark of a grade: a scribed line with chisel cuts, more of them the more there is to do."""

from html import escape

from norvash.drawing.svg import Element, el

_CUTS = {"fit": 0, "watch": 1, "plan": 2, "change": 3, "stop": 0}
_STEP = 8.0


def grade_mark(grade: str | None, word: str) -> str:
    """Return the mark of a grade for a page: it shows the line that the page holds once."""
    shown = f'<use href="#grade-{grade or "none"}"/>'
    return f'<svg class="stage-mark" role="img" aria-label="{escape(word)}">{shown}</svg>'


def marks_of_all() -> Element:
    """Return the line of every grade, for a page to hold once: what takes a motor out of service is a cross, what is
    not measured a broken line.
    """
    return el(
        "defs",
        children=[
            el("symbol", children=_scribed(g), id=f"grade-{g or 'none'}", viewBox="0 0 35.5 16") for g in (*_CUTS, None)
        ],
    )


def _scribed(grade: str | None) -> list[Element]:
    line = el("path", "scribed", d="M1 12H34.5" if grade is not None else "M1 12h6m4.5 0h6m4.5 0h6m4.5 0h2")
    if grade == "stop":
        return [line, el("path", "cuts", d="M11 2.5L25 14.5M25 2.5L11 14.5")]
    cuts = _CUTS.get(grade or "", 0)
    left = 17.75 - (cuts - 1) * _STEP / 2
    return (
        [line, el("path", "cuts", d="".join(f"M{left + i * _STEP - 1.5:.5g} 2.5l3 12" for i in range(cuts)))]
        if cuts
        else [line]
    )
