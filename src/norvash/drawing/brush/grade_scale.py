"""The grades laid along a brush's usable carbon: where each one begins, by the figures in force."""

from collections.abc import Mapping

from norvash.core.grades import GRADES, WORDS
from norvash.drawing.svg import Drawing, Element, el, label, line

_RIGHT, _TOP, _HIGH = 14.0, 26.0, 26.0
# On a narrow page each word stands on a line of its own, under where its grade begins.
_NARROW, _STEP = 500.0, 15.0


def grade_scale(edges: Mapping[str, float], width: float) -> Drawing:
    """Draw the carbon from its limit to new, cut where a grade ends.

    Units: edges are the usable carbon [1] at or under which a grade begins, by grade but `fit`; width [px].
    """
    narrow = width < _NARROW
    past = 60.0 if narrow else 124.0
    across, bottom = width - past - _RIGHT, _TOP + _HIGH

    def x(share: float) -> float:
        return past + min(max(share, 0.0), 1.0) * across

    made: list[Element] = [
        el("rect", "gone", x=4.0, y=_TOP, width=past - 4, height=_HIGH),
        el("rect", "carbon", x=past, y=_TOP, width=across, height=_HIGH),
    ]
    ends = [edges.get(grade, 1.0) for grade in ("stop", "change", "plan", "watch", "fit")]
    starts = [None, *ends[:-1]]
    for i, (grade, start, end) in enumerate(zip(reversed(GRADES), starts, ends, strict=True)):
        left = 4.0 if start is None else x(start)
        under = bottom + 18 + i * _STEP * narrow
        made.append(label("text", left + 3, under, WORDS[grade]))
        if narrow and i:
            made.append(line("rule", left, bottom, left, under))
        if grade != "fit":
            ink = "copper-line" if grade == "stop" else "slots"
            made += [
                line(ink, x(end), _TOP - 6, x(end), bottom),
                label("text-tag" if narrow else "numeral", x(end), _TOP - 8, f"{end:.0%}", "middle"),
            ]
    rows = tuple(
        (WORDS[s], f"at or under {edges[s]:.0%}" if s in edges else f"over {edges['watch']:.0%}") for s in GRADES
    )
    words = "; ".join(f"{word} {at}" for word, at in rows)
    return Drawing(
        name="stage-scale",
        width=width,
        height=bottom + 24 + (len(GRADES) - 1) * _STEP * narrow,
        title="Usable carbon, from the limit to new",
        description=f"{words}.",
        elements=tuple(made),
        head=("stage", "usable carbon"),
        rows=rows,
    )
