"""Speed ladder: the voltage of every speed setting beside what it should be."""

from collections.abc import Sequence

from norvash.drawing.svg import Drawing, Element, el, label, line, ticks

_PITCH, _LEFT, _RIGHT, _TOP = 34.0, 62.0, 120.0, 26.0


def speed_ladder_drawn(
    share: Sequence[float], expected: Sequence[float | None], bad: Sequence[int], step: float, width: float
) -> Drawing:
    """Draw each setting as a rung, the highest on top; the brass band is what is expected of it.

    Units: share, expected and step (half the band, relative) of the supply [1], width [px]. Shape: bad counts from 1.
    """
    most = max(1.1, *share, *(e * (1 + step) for e in expected if e)) * 1.02
    px, count = (width - _LEFT - _RIGHT) / most, len(share)
    bottom, wrong = _TOP + count * _PITCH, set(bad)
    made: list[Element] = []
    for number in range(count, 0, -1):
        y, got, wanted = _TOP + (count - number) * _PITCH, share[number - 1], expected[number - 1]
        if wanted:
            made.append(
                el(
                    "rect",
                    "brass",
                    x=_LEFT + wanted * (1 - step) * px,
                    y=y + 2,
                    width=2 * step * wanted * px,
                    height=_PITCH - 4,
                )
            )
            made.append(line("copper-line", _LEFT + wanted * px, y + 2, _LEFT + wanted * px, y + _PITCH - 2))
        ink = "carbon-chosen" if number in wrong else "carbon"
        made += [
            el("rect", ink, x=_LEFT, y=y + 10, width=max(got * px, 1.5), height=_PITCH - 20),
            label("text", _LEFT - 10, y + _PITCH / 2 + 5, f"{number}", "end"),
            label(
                "text",
                max(_LEFT + got * px, _LEFT + (wanted or 0) * (1 + step) * px) + 8,
                y + _PITCH / 2 + 5,
                f"{got:.1%}{' ▲' if number in wrong else ''}",
            ),
        ]
    made += [line("axis", _LEFT, _TOP - 6, _LEFT, bottom), label("text-soft", _LEFT - 10, _TOP - 10, "setting", "end")]
    for tick in ticks(0.0, most, 6):
        made += [
            line("axis", _LEFT + tick * px, bottom, _LEFT + tick * px, bottom + 5),
            label("text-soft", _LEFT + tick * px, bottom + 19, f"{tick:.0%}", "middle"),
        ]
    rows = tuple(
        (str(i), f"{s:.1%}", f"{e:.1%}" if e else "not known", "off ▲" if i in wrong else "right")
        for i, (s, e) in enumerate(zip(share, expected, strict=True), start=1)
    )
    words = "; ".join(f"setting {r[0]} gives {r[1]}, expected {r[2]}, {r[3]}" for r in rows)
    return Drawing(
        name="speed-ladder",
        width=width,
        height=bottom + 26,
        title="Speed settings, share of the supply",
        description=f"{words}.",
        elements=tuple(made),
        head=("setting", "measured", "expected", ""),
        rows=rows,
    )
