"""A belt over two pulleys, to one scale, each with its speed."""

from norvash.core.text.words import grouped
from norvash.drawing.svg import Drawing, el, label, line

_HIGH, _SIDE, _LOW = 120.0, 10.0, 40.0


def belt_drive(driver_mm: float, driver_rpm: float, driven_mm: float, driven_rpm: float, width: float) -> Drawing:
    """Draw two pulleys to scale with their belt, the driving one left.

    Units: diameters [mm], speeds [r/min], width [px].
    """
    px = _HIGH / max(driver_mm, driven_mm)
    left, right = max(driver_mm * px / 2, 2.0), max(driven_mm * px / 2, 2.0)
    middle = _HIGH / 2 + 6
    x1, x2 = _SIDE + left, min(width - _SIDE - right, _SIDE + left + 220)
    made = [
        line("past", x1, middle - left, x2, middle - right),
        line("past", x1, middle + left, x2, middle + right),
        el("circle", "steel", cx=x1, cy=middle, r=left),
        el("circle", "copper", cx=x2, cy=middle, r=right),
        el("circle", "ground", cx=x1, cy=middle, r=min(left / 4, 6.0)),
        el("circle", "ground", cx=x2, cy=middle, r=min(right / 4, 6.0)),
    ]
    rows = (("driving", driver_mm, driver_rpm, x1), ("driven", driven_mm, driven_rpm, x2))
    for words, mm, rpm, x in rows:
        made.append(label("text-tag", x, _HIGH + 26, f"{grouped(round(rpm))} r/min", "middle"))
        made.append(label("text-soft", x, _HIGH + 42, f"{words}, {mm:g} mm", "middle"))
    return Drawing(
        name="belt-drive",
        width=width,
        height=_HIGH + _LOW + 10,
        title="The belt and its pulleys",
        description="; ".join(f"{words} {mm:g} mm at {rpm:.0f} r/min" for words, mm, rpm, _ in rows) + ".",
        elements=tuple(made),
        head=("pulley", "diameter", "speed"),
        rows=tuple((words, f"{mm:g} mm", f"{rpm:.0f} r/min") for words, mm, rpm, _ in rows),
    )
