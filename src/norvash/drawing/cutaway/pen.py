"""What draws the parts of a section: areas and strokes in mm, inked once somebody has looked, else a pencil outline."""

from collections.abc import Iterable, Sequence
from dataclasses import dataclass, field

from norvash.drawing.svg import Element, el

Points = Sequence[tuple[float, float]]
PENCIL = "pencil"


@dataclass(slots=True)
class Pen:
    """Draws one part at a scale [px per mm], the axis level at 0 and radii upwards; what is seen of its outline is kept
    for its ring and for the hand.
    """

    px: float
    inked: bool
    drawn: list[tuple[str, str]] = field(default_factory=list)
    outline: list[str] = field(default_factory=list)

    def area(self, ink: str, points: Points, *, inside: bool = False) -> None:
        """Draw an area; one that lies `inside` another of its part is only there once it is inked."""
        path = self._path(points) + "Z"
        if not inside:
            self.outline.append(path)
        if self.inked or not inside:
            self.drawn.append((f"{ink} part" if self.inked else PENCIL, path))

    def both(self, ink: str, points: Points, *, inside: bool = False) -> None:
        """Draw an area above the axis, and the same below it."""
        self.area(ink, points, inside=inside)
        self.area(ink, [(x, -r) for x, r in points], inside=inside)

    def box(self, ink: str, x: tuple[float, float], r: tuple[float, float], *, inside: bool = False) -> None:
        """Draw a level rectangle on one side of the axis."""
        self.area(ink, ((x[0], r[0]), (x[1], r[0]), (x[1], r[1]), (x[0], r[1])), inside=inside)

    def boxes(self, ink: str, x: tuple[float, float], r: tuple[float, float], *, inside: bool = False) -> None:
        """Draw a level rectangle above the axis, and the same below it."""
        self.box(ink, x, r, inside=inside)
        self.box(ink, x, (-r[0], -r[1]), inside=inside)

    def strokes(self, ink: str, strokes: Iterable[Points]) -> None:
        """Draw strokes, which are only there once it is inked."""
        if self.inked:
            self.drawn += [(ink, self._path(points)) for points in strokes]

    def dashes(self, ink: str, strokes: Iterable[Points]) -> None:
        """Draw strokes that are there whether somebody has looked or not."""
        self.drawn += [(ink, self._path(points)) for points in strokes]

    def disc(self, ink: str, x: float, r: float, radius: float) -> None:
        """Draw a round thing above the axis, and the same below it, once it is inked."""
        for at in (r, -r):
            steps = f"a{radius * self.px:.1f} {radius * self.px:.1f} 0 1 0"
            across = 2 * radius * self.px
            path = f"M{(x - radius) * self.px:.1f} {-at * self.px:.1f}{steps} {across:.1f} 0{steps} {-across:.1f} 0"
            if self.inked:
                self.drawn.append((f"{ink} part", path))

    def _path(self, points: Points) -> str:
        return "M" + "L".join([f"{x * self.px:.1f} {-r * self.px:.1f}" for x, r in points])

    def elements(self) -> list[Element]:
        """Return what was drawn; what follows one another in one ink is one element."""
        made: list[tuple[str, list[str]]] = []
        for ink, path in self.drawn:
            if made and made[-1][0] == ink:
                made[-1][1].append(path)
            else:
                made.append((ink, [path]))
        return [el("path", ink, d="".join(paths)) for ink, paths in made]
