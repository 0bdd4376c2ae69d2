"""Wear bars: what each brush of a set has lost, against the mean and the spread that is allowed."""

from collections.abc import Sequence

from norvash.drawing.svg import Drawing, Element, el, label, line, ticks

_PITCH, _LEFT, _RIGHT, _TOP = 24.0, 34.0, 64.0, 20.0


def wear_bars(
    wear_mm: Sequence[float], mean_mm: float, allowed: float, outliers: Sequence[int], width: float
) -> Drawing:
    """Draw the wear of a set; the copper line is the mean, the brass band the allowed spread about it.

    Units: wear_mm, mean_mm [mm], allowed as a share of the mean [1], width [px]. Shape: outliers count from 1.
    """
    band_mm = allowed * max(mean_mm, 0.0) / 2
    most = max(*wear_mm, mean_mm + band_mm, 1e-6)
    px = (width - _LEFT - _RIGHT) / most
    bottom = _TOP + len(wear_mm) * _PITCH
    made: list[Element] = [
        el(
            "rect",
            "brass",
            x=_LEFT + max(mean_mm - band_mm, 0.0) * px,
            y=_TOP - 4,
            width=2 * band_mm * px,
            height=bottom - _TOP + 8,
        )
    ]
    for i, mm in enumerate(wear_mm, start=1):
        y = _TOP + (i - 1) * _PITCH
        ink = "carbon-chosen" if i in outliers else "carbon"
        made += [
            el("rect", ink, x=_LEFT, y=y + 3, width=max(mm, 0.0) * px, height=_PITCH - 6),
            label("text", _LEFT - 8, y + _PITCH / 2 + 5, str(i), "end"),
            label("text", _LEFT + max(mm, 0.0) * px + 6, y + _PITCH / 2 + 5, f"{mm:.2f}{' ▲' * (i in outliers)}"),
        ]
    made.append(line("copper-line", _LEFT + mean_mm * px, _TOP - 6, _LEFT + mean_mm * px, bottom + 4))
    for tick in ticks(0.0, most, 5):
        made += [
            line("axis", _LEFT + tick * px, bottom + 4, _LEFT + tick * px, bottom + 9),
            label("text-soft", _LEFT + tick * px, bottom + 22, f"{tick:g}", "middle"),
        ]
    words = f"{len(wear_mm)} brushes, mean wear {mean_mm:.2f} mm; the band is {allowed:.0%} of the mean."
    rows = tuple(
        (str(i), f"{mm:.2f} mm", f"{mm - mean_mm:+.2f} mm", "stands out" if i in outliers else "")
        for i, mm in enumerate(wear_mm, start=1)
    )
    return Drawing(
        name="wear-bars",
        width=width,
        height=bottom + 28,
        title="Wear of each brush, mm",
        description=words,
        elements=tuple(made),
        head=("brush", "wear", "from the mean", ""),
        rows=rows,
    )
