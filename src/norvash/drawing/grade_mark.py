"""The mark of a grade: five slots that empty."""

from html import escape

from norvash.drawing.svg import Element, el

_FULL = {"fit": 5, "watch": 4, "plan": 3, "change": 1, "stop": 0}


def grade_mark(grade: str | None, word: str) -> str:
    """Return the mark of a grade for a page: it shows the slots that the page holds once."""
    shown = f'<use href="#grade-{grade or "none"}"/>'
    return f'<svg class="stage-mark" role="img" aria-label="{escape(word)}">{shown}</svg>'


def slots_of_all() -> Element:
    """Return the slots of every grade, for a page to hold once: without a grade they are hollow and struck through."""
    return el(
        "defs",
        children=[
            el("symbol", children=_slots(g), id=f"grade-{g or 'none'}", viewBox="0 0 35.5 16") for g in (*_FULL, None)
        ],
    )


def _slots(grade: str | None) -> list[Element]:
    full, at = _FULL.get(grade or "", 0), [f"M{0.8 + i * 7.0:.5g} 1h5v14h-5z" for i in range(5)]
    inked = (("slot-full", at[:full]), ("slot-empty", at[full:]))
    slots = [el("path", ink, d="".join(some)) for ink, some in inked if some]
    if grade is None:
        slots.append(el("path", "slot-empty", d="M0 17L35 -1"))
    if grade == "stop":
        slots.append(el("path", "slot-empty", d="M0 0L35 16M35 0L0 16"))
    return slots
