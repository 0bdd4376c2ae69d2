"""The gap between a face and its copper, magnified: how far the contact has grown when so much has worn off."""

from math import inf, sqrt

from norvash.drawing.svg import Drawing, Element, el, label, line, polyline

_SIDE, _TOP, _HIGH, _STEPS = 30.0, 30.0, 110.0, 40
_SHARES = (0.25, 0.5, 0.75, 1.0)
_LETTERS = 12.0
_WHOLE = (1, 2, 5, 10, 20, 50, 100, 200, 500)


def gap_profile(commutator_d_mm: float, thickness_mm: float, face_radius_mm: float, width: float) -> Drawing:
    """Draw the gap over the thickness of a brush, its height magnified by a round factor that is said: what must wear
    off for a quarter, a half, three quarters and all of the face to touch are lines at their heights.

    Units: width [px]; sizes [mm], the radius infinite for a flat face.
    """
    half, px = thickness_mm / 2, (width - 2 * _SIDE) / thickness_mm
    most = _gap(commutator_d_mm, face_radius_mm, half)
    fits = [n for n in _WHOLE if most * px * n <= _HIGH] or [1]
    up = px * fits[-1]
    base = _TOP + most * up
    points = [(-half + thickness_mm * i / _STEPS) for i in range(_STEPS + 1)]
    copper = [(_SIDE + (x + half) * px, _TOP + _gap(commutator_d_mm, face_radius_mm, x) * up) for x in points]
    low = base + 16
    shape = "L".join(f"{x:.5g} {y:.5g}" for x, y in [*copper, (width - _SIDE, low), (_SIDE, low)])
    made: list[Element] = [
        el("rect", "carbon", x=_SIDE, y=_TOP - 20, width=width - 2 * _SIDE, height=20.0),
        el("path", "copper", d=f"M{shape}z"),
        polyline("copper-line", copper),
    ]
    rows, said_y = [], 0.0
    for share in _SHARES:
        worn = _gap(commutator_d_mm, face_radius_mm, share * half)
        y, reach = _TOP + worn * up, share * half * px
        said_y = max(y + 4, said_y + _LETTERS)
        made += [
            line("axis", width / 2 - reach, y, width / 2 + reach, y),
            label("text-soft", width - _SIDE + 4, said_y, f"{share:.0%}"),
        ]
        rows.append((f"{share:.0%}", f"{worn:.3f} mm"))
    made.append(label("text-soft", _SIDE, low + 18, f"height × {fits[-1]}, t {thickness_mm:g} mm"))
    return Drawing(
        name="gap-profile",
        width=width + 14,
        height=low + 26,
        title="The gap under a flat face" if face_radius_mm == inf else "The gap under the face",
        description="; ".join(f"{share} touches once {worn} have worn off the middle" for share, worn in rows) + ".",
        elements=tuple(made),
        head=("touches", "worn off the middle"),
        rows=tuple(rows),
    )


def _gap(diameter_mm: float, face_radius_mm: float, x_mm: float) -> float:
    """Return the gap [mm] at a distance from the middle [mm]."""
    return _depth(diameter_mm / 2, x_mm) - _depth(face_radius_mm, x_mm)


def _depth(radius_mm: float, x_mm: float) -> float:
    return 0.0 if radius_mm == inf else radius_mm - sqrt(radius_mm**2 - x_mm**2)
