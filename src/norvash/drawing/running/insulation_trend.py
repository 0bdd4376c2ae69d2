"""Insulation over the years at one temperature, on a scale of tenfolds, against its least and against a fall since last
time.
"""

from collections.abc import Callable, Sequence
from datetime import date, timedelta
from math import ceil, floor, log10

from norvash.core.judging.windings.measured import InsulationTest
from norvash.core.text.words import day_words
from norvash.drawing.svg import Drawing, Element, el, label, line, polyline

_LEFT, _RIGHT, _TOP, _BOTTOM, _HEIGHT = 46.0, 104.0, 22.0, 26.0, 190.0
_LEAST_YEAR_PX, _ROW = 40.0, 15.0
Place = Callable[[float], float]


def insulation_trend(
    tests: Sequence[InsulationTest], least: float, fall: float, width: float, *, at_40: bool
) -> Drawing:
    """Draw every test of insulation by its day; one without a temperature stands hollow, as it was measured.

    Units: least [MΩ], fall [1], width [px]. Shape: two tests or more, the oldest first, all above nothing.
    """
    values = [t.r40_megohm or t.megohm for t in tests]
    before = next((t for t in reversed(tests[:-1]) if t.r40_megohm is not None), None)
    warn = before.r40_megohm * fall if before is not None and before.r40_megohm is not None else None
    low, high = _bounds([*values, least, *([warn] if warn else [])])
    first, last = tests[0].on, max(tests[-1].on, tests[0].on + timedelta(days=1))
    bottom = _HEIGHT - _BOTTOM

    def x(on: date) -> float:
        return _LEFT + (on - first).days / (last - first).days * (width - _LEFT - _RIGHT)

    def y(megohm: float) -> float:
        return bottom - (log10(megohm) - log10(low)) / (log10(high) - log10(low)) * (bottom - _TOP)

    right = width - _RIGHT
    made = [*_scale(low, high, y, right), *_years(first, last, x, bottom), line("axis", _LEFT, bottom, right, bottom)]
    made.append(line("copper-line", _LEFT, y(least), right, y(least)))
    beside = [(y(least), "text-copper", f"least {least:g}"), (y(values[-1]), "text-tag", f"{values[-1]:.3g}")]
    if warn is not None and before is not None:
        made.append(line("copper-dash", x(before.on), y(warn), right, y(warn)))
        beside.append((y(warn), "text-soft", f"{fall:.0%} of last: {warn:.3g}"))
    made += _beside(beside, right + 8)
    known = [(x(t.on), y(t.r40_megohm)) for t in tests if t.r40_megohm]
    made += [polyline("past", known)] if len(known) > 1 else []
    made += [
        el("circle", "dot" if t.r40_megohm else "dot-past", cx=x(t.on), cy=y(v), r=4.5)
        for t, v in zip(tests, values, strict=True)
    ]
    rows = tuple(
        (
            f"{t.on:%Y-%m-%d}",
            f"{t.sheet}",
            f"{t.megohm:.3g} MΩ",
            "not known" if t.temperature_c is None else f"{t.temperature_c:g} °C",
            "–" if t.r40_megohm is None else f"{t.r40_megohm:.3g} MΩ",
        )
        for t in reversed(tests)
    )
    held = "" if at_40 else "; the least holds for the value as measured"
    said = (
        f"{len(tests)} tests from {day_words(first)} to {day_words(tests[-1].on)}: {values[0]:.3g} to {values[-1]:.3g}"
        f" MΩ, least {least:g} MΩ{held}."
    )
    return Drawing(
        name="insulation-trend",
        width=width,
        height=_HEIGHT,
        title="Insulation at 40 °C over the years, MΩ",
        description=said,
        elements=tuple(made),
        head=("day", "sheet", "measured", "at", "at 40 °C"),
        rows=rows,
    )


def _beside(words: list[tuple[float, str, str]], x: float) -> list[Element]:
    """Return words beside their heights, moved down where they would touch."""
    made, last = list[Element](), 0.0
    for height, ink, text in sorted(words):
        last = max(height, last + _ROW)
        made.append(label(ink, x, last + 4, text))
    return made


def _bounds(values: Sequence[float]) -> tuple[float, float]:
    """Return whole tenfolds round all values, in halves (1, 3, 10)."""
    return _half(min(values) / 1.15, floor), _half(max(values) * 1.3, ceil)


def _half(value: float, rounded: Callable[[float], int]) -> float:
    return float(10 ** (rounded(2 * log10(value)) / 2))


def _scale(low: float, high: float, y: Place, right: float) -> list[Element]:
    made: list[Element] = [label("text-soft", _LEFT - 8, 12, "MΩ", "end")]
    for tens in range(floor(log10(low)) - 1, ceil(log10(high)) + 1):
        for ones in (1, 2, 5):
            value = float(ones * 10.0**tens)
            if low <= value * 1.001 and value <= high * 1.001:
                made += [
                    line("rule", _LEFT, y(value), right, y(value)),
                    label("text-soft", _LEFT - 8, y(value) + 4, f"{value:g}", "end"),
                ]
    return made


def _years(first: date, last: date, x: Callable[[date], float], bottom: float) -> list[Element]:
    """Return a stroke at each new year, named where there is room; the first and last day where no year changes."""
    years = [date(n, 1, 1) for n in range(first.year + 1, last.year + 1)]
    made, at = list[Element](), -_LEAST_YEAR_PX
    for day in years or [first, last]:
        made.append(line("axis", x(day), bottom, x(day), bottom + 5))
        if x(day) - at >= _LEAST_YEAR_PX:
            made.append(
                label("text-soft", x(day), bottom + 19, f"{day:%Y}" if years else f"{day.day} {day:%b}", "middle")
            )
            at = x(day)
    return made
