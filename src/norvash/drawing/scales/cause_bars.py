"""Cause bars: how likely each cause is, the likeliest on top, with the line from which one is called likely."""

from collections.abc import Sequence

from norvash.drawing.svg import Drawing, Element, el, label, line

_PITCH, _RIGHT, _TOP, _LINE, _HEAD = 30.0, 52.0, 8.0, 5.6, 20.0
# Up to this width the words of a cause stand over its bar [px].
_NARROW = 420.0
_LETTER, _GAP = 6.6, 7.0


def cause_bars(causes: Sequence[tuple[str, float]], sure: float, width: float) -> Drawing:
    """Draw the chances of the causes as bars on a common scale from nothing to certain, with the line from which one is
    called likely.

    Units: chances and sure [1], width [px]. Shape: likeliest first.
    """
    narrow = width < _NARROW
    margin = min(max((len(words) for words, _ in causes), default=0) * _LINE + 18.0, width * 0.55)
    left = 1.0 if narrow else margin
    px = width - left - _RIGHT
    at = left + sure * px
    made: list[Element] = []
    y = _TOP + _HEAD
    for words, chance in causes:
        lines = _lines(words, width if narrow else left - 10)
        over = 15.0 * len(lines) if narrow else 0.0
        for n, part in enumerate(lines):
            if narrow:
                made.append(label("text", left, y + 10 + 15 * n, part))
                continue
            ink = "text" if len(lines) == 1 else "text-soft"
            made.append(label(ink, left - 10, y + 17 - 6 * (len(lines) - 1) + 13 * n, part, "end"))
        shown, end = f"{chance:.0%}", left + chance * px
        crossed = end < at < end + _GAP + len(shown) * _LETTER
        made += [
            line("copper-line", at, y + over + 1, at, y + over + _PITCH - 5),
            el("rect", "carbon", x=left, y=y + over + 5, width=max(chance * px, 1.0), height=_PITCH - 14),
            label("text", (at if crossed else end) + _GAP, y + over + 17, shown),
        ]
        y += _PITCH + over
    likely = f"likely from {sure:.0%}"
    made += [
        line("axis", left, _TOP + _HEAD - 4, left, y),
        label("text-copper", min(at, width - len(likely) * _LETTER / 2), _TOP + 8, likely, "middle"),
    ]
    rows = tuple((words, f"{chance:.1%}") for words, chance in causes)
    said = "; ".join(f"{words} {share}" for words, share in rows)
    return Drawing(
        name="cause-bars",
        width=width,
        height=y + 4,
        title=f"How likely each cause is; one is called likely from {sure:.0%}",
        description=f"{said}.",
        elements=tuple(made),
        head=("cause", "chance"),
        rows=rows,
    )


def _lines(words: str, room: float) -> list[str]:
    """Return words on one line, or broken in two where they are too long for the room [px]."""
    if len(words) * _LETTER <= room:
        return [words]
    middle = len(words) // 2
    breaks = [i for i, c in enumerate(words) if c == " "]
    at = min(breaks, key=lambda i: abs(i - middle)) if breaks else middle
    return [words[:at], words[at:].strip()]
