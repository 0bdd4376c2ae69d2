"""The stages laid along a brush's usable carbon: where each one begins, by the figures in force."""

from collections.abc import Mapping

from norvash.core.stages import STAGES, WORDS
from norvash.drawing.svg import Drawing, Element, el, label, line

_PAST, _RIGHT, _TOP, _HIGH = 124.0, 14.0, 26.0, 26.0


def stage_scale(edges: Mapping[str, float], width: float) -> Drawing:
    """Draw the carbon from its limit to new, cut where a stage ends.

    Units: edges are the usable carbon [1] at or under which a stage begins, by stage but `fit`; width [px].
    """
    across, bottom = width - _PAST - _RIGHT, _TOP + _HIGH

    def x(share: float) -> float:
        return _PAST + min(max(share, 0.0), 1.0) * across

    made: list[Element] = [
        el("rect", "gone", x=4.0, y=_TOP, width=_PAST - 4, height=_HIGH),
        el("rect", "carbon", x=_PAST, y=_TOP, width=across, height=_HIGH),
    ]
    ends = [edges.get(stage, 1.0) for stage in ("stop", "change", "plan", "watch", "fit")]
    starts = [None, *ends[:-1]]
    for stage, start, end in zip(reversed(STAGES), starts, ends, strict=True):
        left = 4.0 if start is None else x(start)
        made.append(label("text", left + 3, bottom + 18, WORDS[stage]))
        if stage != "fit":
            ink = "copper-line" if stage == "stop" else "slots"
            made += [
                line(ink, x(end), _TOP - 6, x(end), bottom),
                label("numeral", x(end), _TOP - 8, f"{end:.0%}", "middle"),
            ]
    rows = tuple(
        (WORDS[s], f"at or under {edges[s]:.0%}" if s in edges else f"over {edges['watch']:.0%}") for s in STAGES
    )
    words = "; ".join(f"{word} {at}" for word, at in rows)
    return Drawing("stage-scale", width, bottom + 24, "Usable carbon, from the limit to new", f"{words}.", tuple(made),
                   ("stage", "usable carbon"), rows)  # fmt: skip
