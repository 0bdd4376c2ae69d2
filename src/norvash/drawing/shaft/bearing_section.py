"""Bearing section: a ball bearing cut along its axis, to scale, with its dimensions."""

from norvash.drawing.svg import Drawing, Element, el, label, line

_WIDTH_PX, _LEFT = 300.0, 70.0


def bearing_section(bore_mm: float, outside_mm: float, width_mm: float, seal: str, width: float) -> Drawing:
    """Draw both halves of a section over and under the shaft's axis.

    Units: lengths [mm], width [px]
    """
    height = min(width, _WIDTH_PX)
    px = height * 0.8 / outside_mm
    w, ring = width_mm * px, (outside_mm - bore_mm) / 2 * px
    x, top = _LEFT + 30, height * 0.1
    made: list[Element] = []
    for y in (top, top + outside_mm * px - ring):
        upper = y == top
        race = ring * 0.26
        middle = y + ring / 2
        made += [
            el("rect", "steel", x=x, y=y, width=w, height=race),
            el("rect", "steel", x=x, y=y + ring - race, width=w, height=race),
            el("circle", "box", cx=x + w / 2, cy=middle, r=ring * 0.29),
        ]
        for side in (x + 1.5, x + w - 4.0) if "both" in seal else (x + 1.5,) if seal != "open" else ():
            made.append(
                el(
                    "rect",
                    "carbon" if "seal" in seal else "brass",
                    x=side,
                    y=y + race,
                    width=2.5,
                    height=ring - 2 * race,
                )
            )
        if upper:
            made.append(label("text", x + w / 2, y - 8, f"B {width_mm:g} mm", "middle"))
    axis = top + outside_mm * px / 2
    made.append(line("straight", x - 24, axis, x + w + 24, axis))
    edge = x + w
    for value, name, gap in ((outside_mm, "D", 34.0), (bore_mm, "d", 14.0)):
        half = value * px / 2
        made += [
            line("axis", edge + 4, axis - half, edge + gap + 4, axis - half),
            line("axis", edge + 4, axis + half, edge + gap + 4, axis + half),
            line("axis", edge + gap, axis - half, edge + gap, axis + half),
            label(
                "text-tag",
                edge + gap + (6 if name == "D" else -6),
                axis + (18 if name == "D" else -8),
                f"{name} {value:g} mm",
                "start" if name == "D" else "end",
            ),
        ]
    said = f"bore {bore_mm:g} mm, outside {outside_mm:g} mm, width {width_mm:g} mm, {seal}"
    return Drawing(
        name="bearing-section",
        width=edge + 130,
        height=height,
        title="Section of the bearing, to scale",
        description=f"{said}.",
        elements=tuple(made),
        head=("what", "mm"),
        rows=(("bore d", f"{bore_mm:g}"), ("outside D", f"{outside_mm:g}"), ("width B", f"{width_mm:g}")),
    )
