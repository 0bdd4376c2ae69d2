"""The mark of a grade: five slots that empty."""

from norvash.drawing.svg import Drawing, el

_FULL = {"fit": 5, "watch": 4, "plan": 3, "change": 1, "stop": 0}


def grade_mark(grade: str | None, word: str) -> Drawing:
    """Draw the slots of a grade; without a grade they are hollow and struck through."""
    full = _FULL.get(grade or "", 0)
    slots = [
        el("rect", "slot-full" if i < full else "slot-empty", x=0.8 + i * 7.0, y=1.0, width=5.0, height=14.0)
        for i in range(5)
    ]
    if grade is None:
        slots.append(el("path", "slot-empty", d="M0 17L35 -1"))
    if grade == "stop":
        slots.append(el("path", "slot-empty", d="M0 0L35 16M35 0L0 16"))
    return Drawing(name="stage-mark", width=35.5, height=16, title="Grade", description=word, elements=tuple(slots))
