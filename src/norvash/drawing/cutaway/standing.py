"""What stands in a section: brush gear, poles or magnets, frame and shields, terminals, solenoid."""

from norvash.drawing.cutaway.built import Built
from norvash.drawing.cutaway.pen import Pen


def gear(b: Built, pen: Pen) -> None:
    """Draw the brush gear: brushes at their worn length, the new one dashed, the limit a notch."""
    _, a, new = b.brush
    x, half = b.brush_x, a / 2
    wall, cap = 0.08 * b.d, b.track_r + 1.3 * new
    for side, length in zip((1.0, -1.0), b.stated.lengths, strict=True):
        top, box = b.track_r + (new if length is None else length), b.track_r + 0.2 * new
        corners = ((x - half, b.track_r), (x + half, b.track_r), (x + half, top), (x - half, top))
        pen.dashes("gone", [_mirror([(x - half, top), (x - half, b.track_r + new), (x + half, b.track_r + new)], side)])
        for left in (x - half - wall, x + half):
            wall_of = ((left, box), (left + wall, box), (left + wall, cap), (left, cap))
            pen.area("brass", _mirror(wall_of, side))
        pen.area("carbon" if length is not None else "carbon-old", _mirror(corners, side))
        pen.area("brass", _mirror(((x - half - wall, cap - 0.1 * new), *_over(x, half + wall, cap, 0.1 * new)), side))
        n = 6
        coil = [(x + half * 0.6 * (-1) ** i, top + (cap - 0.1 * new - top) * i / n) for i in range(n + 1)]
        pen.strokes("wire", [_mirror(coil, side)])
        if b.stated.limit is not None:
            at = b.track_r + b.stated.limit
            pen.dashes("notch", [_mirror([(x + half, at), (x + half + wall * 1.6, at)], side)])
        arm = b.track_r + 0.75 * new
        hung = ((b.frame_x[0] + 0.12 * b.d, arm), (x - half - wall, arm + 0.0))
        pen.area("steel-pale", _mirror((*hung, (hung[1][0], arm + 0.1 * b.d), (hung[0][0], arm + 0.1 * b.d)), side))


def _over(x: float, half: float, cap: float, thick: float) -> tuple[tuple[float, float], ...]:
    return ((x + half, cap - thick), (x + half, cap), (x - half, cap))


def _mirror(points: object, side: float) -> list[tuple[float, float]]:
    return [(x, side * r) for x, r in points]  # type: ignore[attr-defined]


def field(b: Built, pen: Pen) -> None:
    """Draw poles with their coils, or magnets."""
    low, high = b.pole_r[0], b.yoke_r[0]
    x0, x1 = b.core_x
    if b.stated.magnets:
        pen.boxes("carbon-old", (x0, x1), (low, max(min(high, low + 0.28 * b.d), low + 0.1 * b.d)))
        return
    pen.boxes("steel-pale", (x0, x1), (low, high))
    n = 20
    pen.strokes(
        "sheets",
        [((x0 + (x1 - x0) * i / n, s * low), (x0 + (x1 - x0) * i / n, s * high)) for s in (1, -1) for i in range(1, n)],
    )
    wide, deep = 0.22 * b.d, min(0.75 * (high - low), 0.34 * b.d)
    for left in (x0 - wide - 0.02 * b.d, x1 + 0.02 * b.d):
        foot = low + 0.14 * (high - low)
        pen.boxes("copper", (left, left + wide), (foot, foot + deep))
        pen.strokes(
            "wires",
            [
                ((left, s * (foot + deep * k / 4)), (left + wide, s * (foot + deep * k / 4)))
                for s in (1, -1)
                for k in (1, 2, 3)
            ],
        )


def frame(b: Built, pen: Pen) -> None:
    """Draw yoke, shields, feet; of a starter its nose."""
    low, high = b.yoke_r
    left, right = b.frame_x
    shell = high - 0.5 * (high - low)
    x0, x1 = b.core_x[0] - 0.42 * b.d, b.core_x[1] + 0.42 * b.d
    x0, x1 = max(x0, left + 0.13 * b.d), min(x1, right - 0.13 * b.d)
    pen.both("cast", ((x0, low), (x1, low), (x1, high), (x0, high)))
    wall = 0.12 * b.d
    hub = b.other.outside / 2
    pen.both("cast", ((left, hub), (left + wall, hub), (left + wall, shell), (x0, shell), (x0, high), (left, high)))
    pen.both("cast", ((0.0, hub), (b.other_x[1], hub), (b.other_x[1], hub + 0.1 * b.d), (0.0, hub + 0.1 * b.d)))
    hub = b.drive.outside / 2
    if b.stated.motor_class == "starter":
        _nose(b, pen, x1, shell)
        return
    pen.both("cast", ((right, hub), (right - wall, hub), (right - wall, shell), (x1, shell), (x1, high), (right, high)))
    ring = ((b.drive_x[0], hub), (b.drive_x[1], hub), (b.drive_x[1], hub + 0.1 * b.d), (b.drive_x[0], hub + 0.1 * b.d))
    pen.both("cast", ring)
    if b.stated.feet:
        for x in (b.core_x[0], b.core_x[1] - 0.55 * b.d):
            foot = ((x + 0.1 * b.d, -high), (x + 0.45 * b.d, -high), (x + 0.6 * b.d, -high - 0.28 * b.d))
            pen.area("cast", (*foot, (x - 0.05 * b.d, -high - 0.28 * b.d)))


def _nose(b: Built, pen: Pen, x1: float, shell: float) -> None:
    high, end, thick = b.yoke_r[1], b.drive_x[1], 0.12 * b.d
    tip = max(b.drive.outside / 2, b.seat_drive + 0.12 * b.d)
    turn = x1 + 0.45 * (end - x1)
    outer = [(x1, high), (turn, 0.95 * high), (b.drive_x[0] - 0.25 * b.d, tip + 0.35 * b.d), (end, tip + 0.15 * b.d)]
    inner = [(end, tip), (b.drive_x[0], tip), (turn, 0.95 * high - thick), (x1, shell)]
    pen.area("cast", (*outer, *inner))
    foot = ((x1, -shell), (x1 + 0.35 * b.d, -high), (x1 + 0.35 * b.d, -high - 0.4 * b.d))
    pen.area(
        "cast", ((x1, -high), (x1 + 0.1 * b.d, -high - 0.4 * b.d), foot[2], foot[1], (x1 + 0.35 * b.d, -shell), foot[0])
    )
    pen.area(
        "cast",
        ((b.drive_x[0], -tip), (end, -tip), (end, -tip - 0.15 * b.d), (b.drive_x[0] - 0.1 * b.d, -tip - 0.15 * b.d)),
    )


def terminals(b: Built, pen: Pen) -> None:
    """Draw the terminals: in their box, of a starter on its solenoid."""
    base = b.yoke_r[1]
    x = b.core_x[1] - 0.55 * b.d
    if b.stated.solenoid:
        x0, y = sole(b)
        for r in (y - 0.45 * b.d, y + 0.45 * b.d):
            pen.box("brass", (x0 - 0.34 * b.d, x0), (r - 0.1 * b.d, r + 0.1 * b.d))
        return
    pen.box("steel-pale", (x, x + 0.62 * b.d), (base, base + 0.32 * b.d))
    for i in range(3):
        pen.box(
            "copper", (x + (0.1 + 0.18 * i) * b.d, x + (0.17 + 0.18 * i) * b.d), (base, base + 0.2 * b.d), inside=True
        )


def sole(b: Built) -> tuple[float, float]:
    """Return where a solenoid begins along the axis, and how high its own axis lies [mm]."""
    return b.commutator_x[0] - 0.1 * b.d, b.yoke_r[1] + 0.85 * b.d


def solenoid(b: Built, pen: Pen) -> None:
    """Draw the solenoid with its plunger and the lever."""
    x, y = sole(b)
    long, r = min(2.2 * b.d, b.core_x[1] - x), 0.78 * b.d
    pen.box("steel-pale", (x, x + long), (y - r, y + r))
    for side in (1, -1):
        foot, head = y + side * 0.34 * b.d, y + side * 0.68 * b.d
        pen.area(
            "copper",
            ((x + 0.4 * b.d, foot), (x + long - 0.2 * b.d, foot), (x + long - 0.2 * b.d, head), (x + 0.4 * b.d, head)),
            inside=True,
        )
    pen.box("steel", (x + 0.9 * b.d, x + long + 0.25 * b.d), (y - 0.28 * b.d, y + 0.28 * b.d), inside=True)
    at = (b.drive_part_x[0] + 0.35 * b.d, 0.5 * b.d)
    top = (x + long + 0.3 * b.d, y)
    pen.area("steel-pale", (top, (top[0] + 0.16 * b.d, y), (at[0] + 0.14 * b.d, at[1]), (at[0], at[1])))
