"""Cause bars: how likely each cause is, the likeliest on top, with the line from which one is called likely."""

from collections.abc import Sequence

from norvash.drawing.svg import Drawing, Element, el, label, line

_PITCH, _RIGHT, _TOP, _LINE = 30.0, 52.0, 8.0, 5.6


def cause_bars(causes: Sequence[tuple[str, float]], sure: float, width: float) -> Drawing:
    """Draw the chances of the causes as bars on a common scale from nothing to certain.

    Units: chances and sure [1], width [px]. Shape: likeliest first.
    """
    left = min(max((len(words) for words, _ in causes), default=0) * _LINE + 18.0, width * 0.55)
    px = width - left - _RIGHT
    bottom = _TOP + len(causes) * _PITCH
    made: list[Element] = [
        el("rect", "brass", x=left + sure * px, y=_TOP - 4, width=(1 - sure) * px, height=bottom - _TOP + 4)
    ]
    for i, (words, chance) in enumerate(causes):
        y = _TOP + i * _PITCH
        lines = _two_lines(words, left)
        made += [
            label(
                "text" if len(lines) == 1 else "text-soft",
                left - 10,
                y + 17 - 6 * (len(lines) - 1) + 13 * n,
                part,
                "end",
            )
            for n, part in enumerate(lines)
        ]
        made += [
            el("rect", "carbon", x=left, y=y + 5, width=max(chance * px, 1.0), height=_PITCH - 14),
            label("text", left + chance * px + 7, y + 17, f"{chance:.0%}"),
        ]
    made.append(line("axis", left, _TOP - 4, left, bottom))
    rows = tuple((words, f"{chance:.1%}") for words, chance in causes)
    said = "; ".join(f"{words} {share}" for words, share in rows)
    return Drawing(
        name="cause-bars",
        width=width,
        height=bottom + 4,
        title=f"How likely each cause is; the band begins at {sure:.0%}",
        description=f"{said}.",
        elements=tuple(made),
        head=("cause", "chance"),
        rows=rows,
    )


def _two_lines(words: str, left: float) -> list[str]:
    """Return words on one line, or broken in two where they are too long for the margin."""
    if len(words) * 6.4 <= left - 10:
        return [words]
    middle = len(words) // 2
    breaks = [i for i, c in enumerate(words) if c == " "]
    at = min(breaks, key=lambda i: abs(i - middle)) if breaks else middle
    return [words[:at], words[at:].strip()]
