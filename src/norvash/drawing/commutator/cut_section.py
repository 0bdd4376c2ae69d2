"""Cut section: the profile along the shaft as it is, every pass, what is cut to, and the least that must stay."""

from dataclasses import dataclass

from norvash.core.commutator.cut import Plan
from norvash.drawing.svg import Drawing, Element, el, label, line, polyline

_LEFT, _RIGHT, _TOP, _HEIGHT = 122.0, 112.0, 30.0, 190.0
_SHOULDER = 0.16
_FAR = 2.4


@dataclass(frozen=True, slots=True, kw_only=True)
class _Frame:
    """The paper [px]: the ends of the shaft's stretch, its foot, and how a radial depth is drawn [px/mm] below the
    least that is shown; `broken` where what must stay, shown at `deep_mm`, is farther off than drawn.
    """

    x0: float
    x1: float
    floor: float
    px: float
    above_mm: float
    tir_mm: float
    broken: bool
    deep_mm: float

    def y(self, depth_mm: float) -> float:
        """Return where a radial depth lies."""
        return _TOP + (depth_mm - self.above_mm + self.tir_mm / 2) * self.px


def _framed(plan: Plan, width: float) -> _Frame:
    copper = plan.copper
    deep = (copper.diameter_mm - plan.least_diameter_mm) / 2
    near = max(plan.chosen.radial_mm, plan.full.radial_mm, copper.groove_radial_mm, copper.pit_radial_mm, 0.05)
    broken, above = deep > _FAR * near, min(deep, 0.0)
    bottom_mm = (_FAR * near if broken else max(deep, near)) * 1.18
    px = _HEIGHT / (bottom_mm + copper.tir_mm - above)
    shown_mm = _FAR * near if broken else deep
    return _Frame(
        x0=_LEFT,
        x1=width - _RIGHT,
        floor=_TOP + _HEIGHT,
        px=px,
        above_mm=above,
        tir_mm=copper.tir_mm,
        broken=broken,
        deep_mm=shown_mm,
    )


def cut_section(plan: Plan, width: float) -> Drawing:
    """Draw half a section: along the shaft to the right, radial depth downwards and magnified.

    Units: width [px]. All depths in it are radial and say so.
    """
    copper, chosen, frame = plan.copper, plan.chosen, _framed(plan, width)
    made = [*_body(plan, frame), *_cuts(plan, frame)]
    scale = _scale(copper.track_axial_mm, frame.x0, frame.x1, frame.px)
    about = [f"track {copper.track_axial_mm:g} mm along the shaft"] if copper.track_axial_mm is not None else []
    about.append(f"depths {scale}{', cut short at the zigzag' if frame.broken else ''}")
    made += [label("text-soft", 4.0, frame.floor + 36 + 16 * i, line_of) for i, line_of in enumerate(about)]
    return Drawing(
        name="cut-section",
        width=width,
        height=frame.floor + 28 + 16 * len(about),
        title="Section of the cut, depths radial",
        description=f"{_said(plan)}.",
        elements=tuple(made),
        head=_HEAD,
        rows=pass_rows(plan) if chosen.allowed else (),
    )


_HEAD = (
    "pass",
    "kind",
    "infeed, mm radial",
    "from first touch, mm radial",
    "diameter after, mm",
    "r/min",
    "feed, mm/rev",
    "min",
)


def _body(plan: Plan, frame: _Frame) -> list[Element]:
    """Return the copper as it is, with its groove and its deepest pit."""
    copper, x0, x1, y = plan.copper, frame.x0, frame.x1, frame.y
    rest = (x1 - x0) * _SHOULDER
    g0, g1, groove, foot = x0 + rest, x1 - rest, y(copper.groove_radial_mm), frame.floor + 18
    profile = [(x0, y(0)), (g0, y(0)), (g0 + 4, groove), (g1 - 4, groove), (g1, y(0)), (x1, y(0))]
    body = "M" + "L".join(f"{a:.1f} {b:.1f}" for a, b in [*profile, (x1, foot), (x0, foot)]) + "Z"
    made: list[Element] = [el("path", "copper", d=body)]
    if copper.pit_radial_mm > 0:
        middle, pit = (g0 + g1) / 2, y(copper.pit_radial_mm)
        corners = ((middle - 9, groove), (middle, pit), (middle + 9, groove))
        made.append(el("path", "ground", d="M" + "L".join(f"{a:.1f} {b:.1f}" for a, b in corners) + "Z"))
    return made


def _cuts(plan: Plan, frame: _Frame) -> list[Element]:
    """Return the passes, what is cut to and what must stay, with their words."""
    x0, x1, chosen = frame.x0, frame.x1, plan.chosen
    low, cut, foot = frame.y(frame.deep_mm), frame.y(chosen.radial_mm), frame.floor + 18
    at = [frame.y(p.total_radial_mm - frame.tir_mm / 2) for p in plan.passes[:-1] if chosen.allowed]
    made: list[Element] = [line("pass-line", x0 - 8, y, x1 + 8, y) for y in at]
    made += [
        el("rect", "limit-below", x=x0, y=low, width=x1 - x0, height=max(foot - low, 0.0)),
        line("track-hot", x0 - 16, low, x1 + 16, low),
        line("track", x0 - 16, cut, x1 + 16, cut),
    ]
    if frame.broken:
        made.append(_break(x0, x1, (cut + low) / 2))
    made += _words(plan, x0, x1, top=frame.y(0), cut=cut, low=low)
    if plan.leaving is not None:
        full = frame.y(plan.full.radial_mm)
        made.append(line("ahead", x0 - 8, full, x1 + 8, full))
    return made


def _said(plan: Plan) -> str:
    copper, chosen = plan.copper, plan.chosen
    under = f"; {chosen.under_by_diameter_mm:.3f} mm under the least diameter: not to be cut"
    return (
        f"smallest diameter {copper.diameter_mm:.2f} mm, groove {copper.groove_radial_mm:g}, pit"
        f" {copper.pit_radial_mm:g} mm radial; cut to"
        f" {chosen.diameter_after_mm:.2f} mm, least {plan.least_diameter_mm:.2f} mm{'' if chosen.allowed else under}"
    )


def pass_rows(plan: Plan) -> tuple[tuple[str, ...], ...]:
    """Return the passes as the lines of the table that goes to the lathe."""
    return tuple(
        (
            str(p.number),
            p.kind,
            f"{p.infeed_radial_mm:.3f}",
            f"{p.total_radial_mm:.3f}",
            f"{p.diameter_mm:.3f}",
            "–" if p.speed_rpm is None else f"{p.speed_rpm:.0f}",
            f"{p.feed_mm_per_rev:g}",
            "–" if p.takes_min is None else f"{p.takes_min:.1f}",
        )
        for p in plan.passes
    )


def _break(x0: float, x1: float, y: float) -> Element:
    """Return the mark that what lies below is farther off than drawn."""
    steps = int((x1 - x0) / 12)
    return polyline("break", [(x0 + (x1 - x0) * i / steps, y + (4 if i % 2 else -4)) for i in range(steps + 1)])


def _words(plan: Plan, x0: float, x1: float, *, top: float, cut: float, low: float) -> list[Element]:
    """Return the diameters at the left and the radial depths at the right, moved apart where they would meet."""
    chosen, least = plan.chosen, "guess" if plan.provisional else "least"
    lines = _apart(
        [
            (top, f"now ⌀ {plan.copper.diameter_mm:.2f}"),
            (cut, f"cut to ⌀ {chosen.diameter_after_mm:.2f}"),
            (low, f"{least} ⌀ {plan.least_diameter_mm:.2f}"),
        ]
    )
    depth = _apart(
        [
            (cut, f"{chosen.radial_mm:.3f} radial"),
            (low, f"{plan.deepest_radial_mm:.3f} at most" if plan.deepest_radial_mm else "no copper left"),
        ]
    )
    made = [label("text-tag", x0 - 20, y + 4, text, "end") for y, text in lines]
    made += [label("text-copper", x1 + 20, y + 4, text) for y, text in depth]
    arrow = x1 + 10
    return [*made, polyline("axis", [(arrow, top), (arrow, cut)])]


def _apart(at: list[tuple[float, str]]) -> list[tuple[float, str]]:
    made: list[tuple[float, str]] = []
    for y, text in sorted(at):
        made.append((max(y, made[-1][0] + 16) if made else y, text))
    return made


def _scale(track: float | None, x0: float, x1: float, px: float) -> str:
    if track is None:
        return "magnified"
    along = (x1 - x0) / (track / (1 - 2 * _SHOULDER))
    return f"drawn × {float(f'{px / along:.2g}'):g} against it"
