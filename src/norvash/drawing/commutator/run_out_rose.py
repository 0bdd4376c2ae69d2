"""Run-out rose: readings round the circle with the deviation magnified, the fitted curve and the limit as a ring."""

from dataclasses import dataclass
from math import cos, radians, sin

from norvash.core.commutator.run_out import RunOut
from norvash.drawing.svg import Drawing, Element, el, label, line, nice_step, polyline

_MARGIN, _SHARE = 46.0, 0.34


@dataclass(frozen=True, slots=True)
class _Rose:
    """The circle on the paper [px]: its centre, the ring of its names, the fitted circle, and how a deviation is drawn
    [px/mm] about the mean.
    """

    centre: float
    outer: float
    base: float
    px: float
    mean_mm: float

    def at(self, deg: float, mm: float) -> tuple[float, float]:
        """Return where a reading lies."""
        return self.on(deg, self.base + (mm - self.mean_mm) * self.px)

    def on(self, deg: float, r: float) -> tuple[float, float]:
        """Return a point at a radius, clockwise from the top."""
        return self.centre + r * sin(radians(deg)), self.centre - r * cos(radians(deg))


def run_out_rose(found: RunOut, diameter_mm: float | None, per_bar: bool, width: float) -> Drawing:
    """Draw a circle of readings clockwise from the top, in the direction of turning.

    Units: width [px]. The ring is as wide as the run-out allowed, round the fitted circle's mean.
    """
    size = min(width, 400.0)
    outer = size / 2 - _MARGIN
    reach = max(*(abs(x - found.fit.mean_mm) for x in found.readings_mm if x is not None), found.tir_limit_mm / 2) * 1.1
    rose = _Rose(size / 2, outer, outer * (1 - _SHARE), outer * _SHARE / reach, found.fit.mean_mm)
    curve = "L".join("{:.1f} {:.1f}".format(*rose.at(d, _curve(found, d))) for d in range(0, 361, 3))
    ring = f"{found.tir_limit_mm * rose.px:.1f}"
    made: list[Element] = [
        el("circle", "limit-ring", cx=rose.centre, cy=rose.centre, r=rose.base, stroke_width=ring),
        el("circle", "axis", cx=rose.centre, cy=rose.centre, r=rose.base),
        el("path", "copper-line", d=f"M{curve}Z"),
        *_readings(found, rose),
        *(_high_point(found, rose.centre, outer) if found.fit.leans else ()),
        *_foot(found, rose, size, reach, diameter_mm),
    ]
    words = f"total run-out {found.tir_mm:.3f} mm, allowed {found.tir_limit_mm:g} mm; {found.fit.words}; {found.words}"
    return Drawing(
        name="run-out-rose",
        width=size,
        height=size,
        title="Run-out rose",
        description=f"{words}.",
        elements=tuple(made),
        head=("bar" if per_bar else "reading", "reading, mm", "left after the fit, mm", ""),
        rows=_rows(found),
    )


def _readings(found: RunOut, rose: _Rose) -> list[Element]:
    """Return the readings as dots, those that stand out larger, and as many of their numbers as there is room for."""
    odd, count = {n for n, _ in found.odd_mm}, len(found.readings_mm)
    made: list[Element] = []
    for i, x in enumerate(found.readings_mm):
        deg, stands_out = 360 * i / count, i + 1 in odd
        if x is not None:
            dot_x, dot_y = rose.at(deg, x)
            r = 5.0 if stands_out else (3.4 if count <= 72 else 1.8)
            made.append(el("circle", "dot-doubt" if stands_out else "dot", cx=dot_x, cy=dot_y, r=r))
        named = count <= 16 or i % max(count // 12, 1) == 0 or stands_out
        if named and (i == 0 or count - i >= max(count // 24, 1)):
            out_x, out_y = rose.on(deg, rose.outer + 14)
            ink = "text-tag" if stands_out else "text-soft"
            made.append(label(ink, out_x, out_y + 4, f"{i + 1}{'▲' if stands_out else ''}", "middle"))
    return made


def _foot(found: RunOut, rose: _Rose, size: float, reach: float, diameter_mm: float | None) -> list[Element]:
    """Return the scale of the deviation, and where the high point is."""
    step = nice_step(2 * reach, 5)
    bar = step * rose.px
    high = f"→ high point {found.fit.high_point_deg:.0f}°" if found.fit.leans else "on centre"
    return [
        line("track", 10, size - 12, 10 + bar, size - 12),
        line("track", 10, size - 16, 10, size - 8),
        line("track", 10 + bar, size - 16, 10 + bar, size - 8),
        label("text", 18 + bar, size - 8, f"{step * 1000:g} µm{_magnified(rose.px, rose.base, diameter_mm)}"),
        label("text-copper", size - 8, 16, high, "end"),
    ]


def _rows(found: RunOut) -> tuple[tuple[str, ...], ...]:
    odd = {n for n, _ in found.odd_mm}
    return tuple(
        (
            f"{i}",
            "not measured" if x is None else f"{x:.4f}",
            "" if r is None else f"{r:+z.4f}",
            "stands out ▲" if i in odd else "",
        )
        for i, (x, r) in enumerate(zip(found.readings_mm, found.fit.remainders_mm, strict=True), start=1)
    )


def _curve(found: RunOut, deg: float) -> float:
    fit, t = found.fit, radians(deg)
    return (
        fit.mean_mm
        + fit.eccentricity_mm * cos(t - radians(fit.high_point_deg))
        + fit.ovality_mm * cos(2 * (t - radians(fit.oval_point_deg)))
    )


def _high_point(found: RunOut, centre: float, outer: float) -> list[Element]:
    t = radians(found.fit.high_point_deg)
    x, y = centre + outer * sin(t), centre - outer * cos(t)
    wings = [(x - 9 * sin(t + turn), y + 9 * cos(t + turn)) for turn in (0.5, -0.5)]
    return [
        line("copper-dash", centre, centre, x, y),
        polyline("copper-line", [wings[0], (x, y), wings[1]]),
        el("circle", "axis", cx=centre, cy=centre, r=3.0),
    ]


def _magnified(px: float, base: float, diameter_mm: float | None) -> str:
    if diameter_mm is None:
        return ""
    factor = px / (base / (diameter_mm / 2))
    return f", deviation drawn × {float(f'{factor:.2g}'):g}"
