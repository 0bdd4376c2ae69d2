"""Run-out rose: readings round the circle with the deviation magnified, the fitted curve and the limit as a ring."""

from math import cos, radians, sin

from norvash.core.commutator.run_out import RunOut
from norvash.drawing.svg import Drawing, Element, el, label, line, nice_step, polyline

_MARGIN, _SHARE = 46.0, 0.34


def run_out_rose(found: RunOut, diameter_mm: float | None, per_bar: bool, width: float) -> Drawing:
    """Draw a circle of readings clockwise from the top, in the direction of turning.

    Units: width [px]. The ring is as wide as the run-out allowed, round the fitted circle's mean.
    """
    size = min(width, 400.0)
    centre, outer = size / 2, size / 2 - _MARGIN
    reach = max(*(abs(x - found.fit.mean_mm) for x in found.readings_mm if x is not None), found.tir_limit_mm / 2) * 1.1
    base, px = outer * (1 - _SHARE), outer * _SHARE / reach
    count, what = len(found.readings_mm), "bar" if per_bar else "reading"

    def at(deg: float, mm: float) -> tuple[float, float]:
        r = base + (mm - found.fit.mean_mm) * px
        return centre + r * sin(radians(deg)), centre - r * cos(radians(deg))

    half = found.tir_limit_mm / 2 * px
    made: list[Element] = [
        el("circle", "limit-ring", cx=centre, cy=centre, r=base, stroke_width=f"{2 * half:.1f}"),
        el("circle", "axis", cx=centre, cy=centre, r=base),
    ]
    made += [
        el(
            "path",
            "copper-line",
            d="M" + "L".join("{:.1f} {:.1f}".format(*at(d, _curve(found, d))) for d in range(0, 361, 3)) + "Z",
        )
    ]
    odd = {n for n, _ in found.odd_mm}
    for i, x in enumerate(found.readings_mm):
        deg = 360 * i / count
        if x is not None:
            px_x, px_y = at(deg, x)
            made.append(
                el(
                    "circle",
                    "dot-doubt" if i + 1 in odd else "dot",
                    cx=px_x,
                    cy=px_y,
                    r=5.0 if i + 1 in odd else (3.4 if count <= 72 else 1.8),
                )
            )
        named = count <= 16 or i % max(count // 12, 1) == 0 or i + 1 in odd
        if named and (i == 0 or count - i >= max(count // 24, 1)):
            out_x, out_y = centre + (outer + 14) * sin(radians(deg)), centre - (outer + 14) * cos(radians(deg))
            made.append(
                label(
                    "text-tag" if i + 1 in odd else "text-soft",
                    out_x,
                    out_y + 4,
                    f"{i + 1}{'▲' if i + 1 in odd else ''}",
                    "middle",
                )
            )
    if found.fit.leans:
        made += _high_point(found, centre, outer)
    step = nice_step(2 * reach, 5)
    bar = step * px
    made += [
        line("track", 10, size - 12, 10 + bar, size - 12),
        line("track", 10, size - 16, 10, size - 8),
        line("track", 10 + bar, size - 16, 10 + bar, size - 8),
        label("text", 18 + bar, size - 8, f"{step * 1000:g} µm{_magnified(px, base, diameter_mm)}"),
        label(
            "text-copper",
            size - 8,
            size - 8,
            f"→ high point {found.fit.high_point_deg:.0f}°" if found.fit.leans else "on centre",
            "end",
        ),
    ]
    rows = tuple(
        (
            f"{i}",
            "not measured" if x is None else f"{x:.4f}",
            "" if r is None else f"{r:+z.4f}",
            "stands out ▲" if i in odd else "",
        )
        for i, (x, r) in enumerate(zip(found.readings_mm, found.fit.remainders_mm, strict=True), start=1)
    )
    words = f"total run-out {found.tir_mm:.3f} mm, allowed {found.tir_limit_mm:g} mm; {found.fit.words}; {found.words}"
    return Drawing(
        name="run-out-rose",
        width=size,
        height=size,
        title="Run-out rose",
        description=f"{words}.",
        elements=tuple(made),
        head=(what, "reading, mm", "left after the fit, mm", ""),
        rows=rows,
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
