"""The figures of the motor that a stage works with: asked for where one is lacking, the rest at the stage's foot."""

from dataclasses import dataclass, field

from norvash.core.motor.figure import Number, Word
from norvash.core.motor.figures import Figures


@dataclass(frozen=True, slots=True, kw_only=True)
class FigureAsked:
    """One figure as it is asked for: what the motor states itself, and what holds where it states nothing."""

    figure: Number | Word
    own: str
    else_known: str
    lacking: bool


@dataclass(slots=True)
class FiguresAsked:
    """The figures of a stage; a template draws some of them where they are needed."""

    asked: dict[str, FigureAsked]
    drawn: set[str] = field(default_factory=set)

    def lacking(self, name: str, anyway: bool = False) -> FigureAsked | None:
        """Return a figure that nobody states, to be drawn where it is needed; a stated one only `anyway`."""
        asked = self.asked.get(name)
        if asked is None or not (asked.lacking or anyway):
            return None
        self.drawn.add(name)
        return asked

    def left(self) -> list[FigureAsked]:
        """Return those that are not drawn yet."""
        return [a for name, a in self.asked.items() if name not in self.drawn]


def figures_asked(asks: tuple[Number | Word, ...], stated: Figures) -> FiguresAsked:
    """Return the figures that a stage asks for, as a motor states them."""
    own = stated.own_words
    return FiguresAsked({f.name: _asked(f, stated, own.get(f.name, "")) for f in asks})


def _asked(figure: Number | Word, stated: Figures, own: str) -> FigureAsked:
    known = stated.known.get(figure.name)
    return FigureAsked(
        figure=figure,
        own=own,
        else_known="" if known is None or own else f"{known.words}, {known.basis}",
        lacking=known is None or known.lent,
    )
