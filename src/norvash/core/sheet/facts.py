"""What the sheet must know of a motor before anybody touches it."""

from dataclasses import dataclass

from norvash.core.figures import Figures, speed_taps
from norvash.core.positions import PositionPlan

_SURROUNDINGS = {"mostly idle": "idle"}


@dataclass(frozen=True, slots=True)
class Facts:
    """Class, construction and figures of a motor that decide what is offered, asked for and warned of."""

    motor_class: str
    figures: Figures
    positions: tuple[PositionPlan, ...]

    @property
    def construction(self) -> str:
        """Return the construction: universal, series, shunt, compound or permanent-magnet."""
        return self.figures.word("construction")

    @property
    def magnets(self) -> bool:
        """Tell whether there are permanent magnets in it."""
        return self.construction == "permanent-magnet"

    @property
    def runs_away(self) -> bool:
        """Tell whether it overspeeds when it runs without load at full voltage."""
        return self.construction in ("series", "universal", "compound")

    @property
    def may_run_free(self) -> bool:
        """Tell whether it may run without load at all; a series motor runs away, but for the short burst of a starter."""
        return self.construction != "series" or self.motor_class == "starter"

    @property
    def taps(self) -> tuple[float, ...]:
        """Return the expected shares of the supply of its speed settings."""
        return speed_taps(self.figures.word("speed_taps"))

    @property
    def rated_v(self) -> float | None:
        """Return the voltage of its plate [V]."""
        return self.figures.number("rated_v")

    @property
    def surroundings(self) -> tuple[str, ...]:
        """Return what is known of where it stands, in the words of the table of causes."""
        word = self.figures.word("conditions")
        return (_SURROUNDINGS.get(word, word),) if word else ()

    def place(self, position: int) -> str:
        """Return the label of a brush position."""
        return next((f"Brush {p.label}" for p in self.positions if p.number == position), "")
