"""The figures of a motor: what it has of its own, what its type says, what its class lends."""

from collections.abc import Mapping
from dataclasses import dataclass

LENT = "class default"
OWN = "this motor"


def figure_words(value: float | str) -> str:
    """Return a figure as somebody would type it."""
    return f"{value:g}" if isinstance(value, float) else value


@dataclass(frozen=True, slots=True)
class Known:
    """A figure with the place it was taken from."""

    value: float | str
    basis: str

    @property
    def words(self) -> str:
        """Return its value as somebody would type it."""
        return figure_words(self.value)

    @property
    def lent(self) -> bool:
        """Tell whether nobody states it: the class lends it."""
        return self.basis == LENT


class Figures:
    """The figures in force for one motor: its own first, then its type's, then its class's defaults.

    `unread` are those that it or its type states and only another version can read; `kept` those of its own.
    """

    def __init__(
        self, own: Mapping[str, float | str], of_type: Mapping[str, float | str], lent: Mapping[str, float | str]
    ) -> None:
        self.unread: frozenset[str] = frozenset()
        self.kept: Mapping[str, float | str] = {}
        self.known: dict[str, Known] = {}
        for source, basis in ((lent, LENT), (of_type, "type"), (own, OWN)):
            self.known.update({name: Known(value, basis) for name, value in source.items()})

    @property
    def own(self) -> dict[str, float | str]:
        """Return what the motor states itself."""
        return {name: k.value for name, k in self.known.items() if k.basis == OWN} | dict(self.kept)

    @property
    def own_words(self) -> dict[str, str]:
        """Return what the motor states itself as somebody would type it."""
        return {name: known.words for name, known in self.known.items() if known.basis == OWN}

    def changed(self, values: Mapping[str, float | str], basis: str) -> "Figures":
        """Return the figures with some of them replaced, and where those come from."""
        made = Figures({}, {}, {})
        made.unread, made.kept = self.unread, self.kept
        made.known = {**self.known, **{name: Known(value, basis) for name, value in values.items()}}
        return made
