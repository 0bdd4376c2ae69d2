"""The volts of a generator over its speed, as found and as left, against the line of its plate."""

from collections.abc import Sequence
from dataclasses import dataclass

from norvash.core.text.words import grouped
from norvash.drawing.svg import Drawing, Element, el, label, line, lines, polyline

_LEFT, _RIGHT, _TOP, _HIGH, _FOOT = 36.0, 16.0, 16.0, 210.0, 40.0
_FOOT_Y = _TOP + _HIGH
_STEPS = (1, 2, 5, 10, 20, 50, 100, 200, 250, 500, 1000, 2000, 5000)
_DOT, _WIDEST, _MOST = 5.0, 6, 1.12


@dataclass(frozen=True, slots=True, kw_only=True)
class Output:
    """What is drawn: points as found and as left [r/min, V]; plate [r/min, V], None where its speed is not known; from
    which share of its speed volts are judged, and the band of shares there with the speeds between which it holds.
    """

    found: Sequence[tuple[float, float]]
    left: Sequence[tuple[float, float]]
    plate: tuple[float, float] | None
    judged_from: float
    band: tuple[float, float]
    near: tuple[float, float]


@dataclass(frozen=True, slots=True, kw_only=True)
class _Axes:
    """The scales of a drawing: the fastest speed [r/min], the most volts [V], how wide it is [px]."""

    top_rpm: float
    top_v: float
    width: float

    def at(self, rpm: float, volts: float) -> tuple[float, float]:
        across = self.width - _LEFT - _RIGHT
        return _LEFT + rpm / self.top_rpm * across, _FOOT_Y - min(volts / self.top_v, 1.0) * _HIGH


def output_curve(output: Output, width: float) -> Drawing:
    """Draw the volts of a generator over its speed. Units: width [px]; one scale for found and left."""
    every = [*output.found, *output.left, *([output.plate] if output.plate else [])]
    top_rpm, top_v = _MOST * max(x for x, _ in every) or 1.0, _MOST * max(v for _, v in every) or 1.0
    axes = _Axes(top_rpm=top_rpm, top_v=top_v, width=width)
    made = _grid(axes)
    if output.plate is not None:
        made += _plate(output, output.plate, axes)
    made += _series(output.found, "past", "as found", axes) + _series(output.left, "track", "as left", axes)
    return Drawing(
        name="output-curve",
        width=width,
        height=_FOOT_Y + _FOOT,
        title="Volts over speed",
        description=_said(output),
        elements=tuple(made),
        head=("r/min", "as found, V", "as left, V", "share of its plate"),
        rows=tuple(_row(output, rpm) for rpm in sorted({n for n, _ in (*output.found, *output.left)})),
    )


def _step(top: float) -> float:
    return next((s for s in _STEPS if top / s <= _WIDEST), top)


def _grid(axes: _Axes) -> list[Element]:
    step_v, step_rpm, end = _step(axes.top_v), _step(axes.top_rpm), axes.width - _RIGHT
    made = [label("text-tag", 0, _TOP, "V"), label("text-soft", end, _FOOT_Y + 34, "r/min", "end")]
    for n in range(int(axes.top_v / step_v) + 1):
        _, y = axes.at(0, n * step_v)
        made.append(line("rule", _LEFT, y, end, y))
        made.append(label("text-soft", _LEFT - 5, y + 4, f"{n * step_v:g}", "end"))
    speeds = [n * step_rpm for n in range(int(axes.top_rpm / step_rpm) + 1)]
    made += [label("text-soft", axes.at(s, 0)[0], _FOOT_Y + 17, grouped(s), "middle") for s in speeds]
    return [*made, line("axis", _LEFT, _FOOT_Y, end, _FOOT_Y)]


def _plate(output: Output, plate: tuple[float, float], axes: _Axes) -> list[Element]:
    """Return the line of the plate through nought, where little is right, and the band near its rated speed."""
    rpm, volts = plate
    (low, high), (under, over) = output.near, output.band
    edges = ((low, under), (high, under), (high, over), (low, over))
    corners = [axes.at(n * rpm, share * volts * n) for n, share in edges]
    dark, (x, y) = axes.at(output.judged_from * rpm, 0)[0], axes.at(0.62 * rpm, 0.62 * volts)
    return [
        el("rect", "dark", x=_LEFT, y=_TOP, width=dark - _LEFT, height=_FOOT_Y - _TOP),
        label("text-soft", _LEFT + 5, _TOP + 14, "next to nothing"),
        label("text-soft", _LEFT + 5, _TOP + 29, "is right here"),
        el("path", "fan", d="M" + "L".join(f"{a:.5g} {b:.5g}" for a, b in corners) + "z"),
        lines("gone", [(edge, _TOP, edge, _FOOT_Y) for edge, _ in corners[:2]]),
        polyline("copper-line", [axes.at(0, 0), axes.at(_MOST * rpm, _MOST * volts)]),
        label("text-copper", x - 8, y - 8, f"plate: {volts:g} V at {grouped(rpm)}", "end"),
    ]


def _series(points: Sequence[tuple[float, float]], ink: str, words: str, axes: _Axes) -> list[Element]:
    if not points:
        return []
    places = [axes.at(*p) for p in sorted(points)]
    dot = "dot-past" if ink == "past" else "dot"
    made = [polyline(ink, places)] if len(places) > 1 else []
    made += [el("circle", dot, cx=x, cy=y, r=_DOT) for x, y in places]
    (x, y), (_, volts), (named_x, named_y) = places[-1], max(points), places[min(1, len(places) - 1)]
    made.append(label("text-tag", named_x + 9, named_y + 16, words))
    return [*made, label("text-tag", x + 9, y + (16 if ink == "past" else -8), f"{volts:g}")]


def _row(output: Output, rpm: float) -> tuple[str, str, str, str]:
    found, left = (dict(p).get(rpm) for p in (output.found, output.left))
    now, share = left if left is not None else found, ""
    if output.plate is not None and now is not None and rpm:
        share = f"{now / (output.plate[1] * rpm / output.plate[0]):.1%}"
    return grouped(rpm), "" if found is None else f"{found:g}", "" if left is None else f"{left:g}", share


def _said(output: Output) -> str:
    told = []
    for words, points in (("as found", output.found), ("as left", output.left)):
        if points:
            told.append(f"{words} " + ", ".join(f"{v:g} V at {grouped(n)} r/min" for n, v in sorted(points)))
    if output.plate is None:
        return "; ".join([*told, "no line of its plate: its speed is not known"]) + "."
    return "; ".join([*told, f"plate {output.plate[1]:g} V at {grouped(output.plate[0])} r/min"]) + "."
