"""What bears of each face of a set: the dark part in its middle, the print that releases the load as notches."""

from collections.abc import Sequence

from norvash.drawing.svg import Drawing, Element, el, label, lines

_WIDE, _HIGH, _GAP, _TOP = 34.0, 62.0, 18.0, 26.0
_ROW = _HIGH + _TOP + 30.0


def face_prints(prints: Sequence[tuple[str, float | None]], release: float, width: float) -> Drawing:
    """Draw the faces of a set with what bears on each, flat ones in their middle first; the least is framed.

    Units: prints and release are shares [1], None where none was taken; width [px].
    """
    columns = max(int((width + _GAP) // (_WIDE + _GAP)), 1)
    known = [share for _, share in prints if share is not None]
    made: list[Element] = []
    for n, (name, share) in enumerate(prints):
        x, y = (n % columns) * (_WIDE + _GAP) + 2, (n // columns) * _ROW + _TOP
        made += _face(x, y, share, release, least=share is not None and share == min(known))
        made.append(label("text-tag", x + _WIDE / 2, y - 10, name, "middle"))
        made.append(label("text", x + _WIDE / 2, y + _HIGH + 18, "?" if share is None else f"{share:.0%}", "middle"))
    rows = tuple((name, "not taken" if s is None else f"{s:.0%}", f"{release:.0%}") for name, s in prints)
    return Drawing(
        name="face-prints",
        width=width,
        height=(-(-len(prints) // columns)) * _ROW,
        title="Prints of the faces",
        description="; ".join(f"{name} {share}" for name, share, _ in rows) + f"; {release:.0%} releases the load.",
        elements=tuple(made),
        head=("brush", "print", "releases at"),
        rows=rows,
    )


def _face(x: float, y: float, share: float | None, release: float, *, least: bool) -> list[Element]:
    middle = x + _WIDE / 2
    made = [el("rect", "gone" if share is None else "dark", x=x, y=y, width=_WIDE, height=_HIGH)]
    if share is not None:
        bears = share * _WIDE
        made.append(el("rect", "carbon", x=middle - bears / 2, y=y, width=bears, height=_HIGH))
    notches = [middle + side * release * _WIDE / 2 for side in (-1, 1)]
    made.append(lines("copper-line", [(n, y - 6, n, y + 4) for n in notches]))
    if least:
        made.append(el("rect", "copper-line", x=x - 3, y=y - 8, width=_WIDE + 6, height=_HIGH + 11))
    return made
