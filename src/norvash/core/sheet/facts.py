"""What the sheet must know of a motor before anybody touches it."""

from dataclasses import dataclass

from norvash.core.edges import over, under
from norvash.core.motor.classes import HEAVY
from norvash.core.motor.figure_fields import (
    AT_HEIGHT,
    BURNS,
    CAPACITORS,
    CONSTRUCTION,
    DRIVES_WHEELS,
    EARTHED_BRUSHES,
    FED_BY,
    HANGS_LOAD,
    HAS_PLUG,
    HAS_SOLENOID,
    IN_PUBLIC,
    IT_TURNS,
    PROTECTION,
    RATED_V,
    SPEED_TAPS,
    WHERE_IT_STANDS,
)
from norvash.core.motor.figure_tables import speed_taps
from norvash.core.motor.figures import Figures
from norvash.core.motor.positions import PositionPlan
from norvash.core.running.excitation import OWN_FIELD

_LOW_V, _VEHICLE_V = 50.0, 120.0
_SURROUNDINGS = {"mostly idle": "idle"}


@dataclass(frozen=True, slots=True)
class Facts:
    """Class, construction and figures of a motor that decide what is offered, asked for and warned of.

    `stands` says where it is at this visit: in its “machine”, with its own fan, gear or load, or “bare”; empty until
    somebody says so.
    """

    motor_class: str
    figures: Figures
    positions: tuple[PositionPlan, ...]
    stands: str = ""

    @property
    def construction(self) -> str:
        """Return the construction: universal, series, shunt, compound, separately excited or permanent-magnet."""
        return CONSTRUCTION.of(self.figures)

    @property
    def magnets(self) -> bool:
        """Tell whether there are permanent magnets in it."""
        return self.construction == "permanent-magnet"

    @property
    def series(self) -> bool:
        """Tell whether it has a series field; an industrial or traction motor of which nobody states otherwise counts
        as one.
        """
        if self.motor_class in ("industrial", "traction") and not CONSTRUCTION.stated(self.figures):
            return True
        return self.construction in ("series", "universal")

    @property
    def own_field(self) -> bool:
        """Tell whether a field of its own holds its speed, beside the armature, as far as somebody states it."""
        return self.construction in OWN_FIELD and not self.series

    @property
    def idles(self) -> bool:
        """Tell whether it is made to idle in the machine that it is built into, by its own fan and gear."""
        return self.motor_class in ("appliance", "tool")

    @property
    def asked_where(self) -> bool:
        """Tell whether it matters where it runs: a series motor, no starter, may idle in its machine, and not bare."""
        return self.series and self.motor_class not in ("starter", "generator")

    @property
    def runs_away(self) -> bool:
        """Tell whether it overspeeds without load at full voltage: a series motor that is bare, or not made to idle in
        its machine, and no starter in a short burst.
        """
        return self.asked_where and (not self.idles or self.stands == "bare")

    @property
    def may_run_free(self) -> bool:
        """Tell whether it may run without load at the voltage of its plate, a starter in short bursts."""
        return not self.runs_away and self.motor_class != "generator"

    @property
    def carries(self) -> bool:
        """Tell whether its record says that it hangs a load or carries people."""
        return HANGS_LOAD.of(self.figures) == "yes"

    @property
    def may_carry(self) -> bool:
        """Tell whether it carries people or loads, as industrial and traction machines do until its record says
        otherwise.
        """
        return self.carries or (self.motor_class in HEAVY and HANGS_LOAD.of(self.figures) != "no")

    @property
    def hangs(self) -> bool:
        """Tell whether something falls when it fails: what its record says, and what may carry without wheels."""
        return self.carries or (self.may_carry and not self.drives_wheels)

    @property
    def load_hangs(self) -> bool:
        """Tell whether a load may hang on it that is lowered or pinned first."""
        return self.hangs or self.turns == "hoist"

    @property
    def earthed(self) -> bool:
        """Tell whether it has a protective earth by design.

        Where nobody says, one is looked for on what a mains feeds.
        """
        return (self.protection or self._usual_protection) == "protective earth"

    @property
    def by_battery(self) -> bool:
        """Tell whether a battery feeds the vehicle that it drives, as it does up to 120 V until its record says
        otherwise.
        """
        if self.motor_class != "traction":
            return False
        said = FED_BY.of(self.figures)
        return said == "battery" or (not said and self.rated_v is not None and not over(self.rated_v, _VEHICLE_V))

    @property
    def low_voltage(self) -> bool:
        """Tell whether its plate's voltage is too low to hurt by touch: under 50 V, and up to 120 V in a vehicle that a
        battery feeds.
        """
        volts = self.rated_v
        return volts is not None and (under(volts, _LOW_V) or (self.by_battery and not over(volts, _VEHICLE_V)))

    @property
    def earthed_brushes(self) -> bool:
        """Tell whether a brush is earthed inside, as in starters and generators of low voltage until told otherwise."""
        said = EARTHED_BRUSHES.of(self.figures)
        usual = self.motor_class in ("starter", "generator") and (self.rated_v is None or self.low_voltage)
        return said == "yes" or (not said and usual)

    @property
    def field_to_case(self) -> bool:
        """Tell whether a field winding leads to the case, as it does where brushes are earthed; magnets have none."""
        return self.earthed_brushes and not self.magnets

    @property
    def solenoid(self) -> bool:
        """Tell whether a solenoid hangs on its post: on a starter until its record says otherwise."""
        return self.motor_class == "starter" and HAS_SOLENOID.of(self.figures) != "no"

    @property
    def turns(self) -> str:
        """Return what it turns, empty where nobody says; what hangs a load is a hoist."""
        return IT_TURNS.of(self.figures) or ("hoist" if self.carries else "")

    @property
    def plugged(self) -> bool:
        """Tell whether it has a plug: an appliance or a tool on a mains, until its record says otherwise."""
        said = HAS_PLUG.of(self.figures)
        return said == "yes" or (not said and self.motor_class in ("appliance", "tool") and not self.low_voltage)

    @property
    def starts_engine(self) -> bool:
        """Tell whether it starts an engine, as a starter does until its record says that it turns a pump."""
        return self.motor_class == "starter" and self.turns != "pump"

    @property
    def feed(self) -> str:
        """Return what feeds it: a plug, a pack, a fixed supply, a line, a battery, or the engine that drives it."""
        said = FED_BY.of(self.figures)
        if self.motor_class == "generator":
            return "engine"
        if said or self.motor_class in ("starter", "traction"):
            return said or "battery"
        if self.plugged:
            return "plug"
        return "pack" if self.motor_class in ("tool", "appliance") and self.low_voltage else "fixed"

    @property
    def arcs(self) -> bool:
        """Tell whether direct current feeds it at a voltage that draws an arc where it is opened."""
        direct = self.motor_class in ("industrial", "traction", "generator") and self.construction != "universal"
        return direct and self.rated_v is not None and over(self.rated_v, _VEHICLE_V)

    @property
    def burning_air(self) -> bool:
        """Tell whether dust or gas that burns may be round it."""
        return BURNS in WHERE_IT_STANDS.all_of(self.figures)

    @property
    def high_up(self) -> bool:
        """Tell whether it is worked on at height."""
        return AT_HEIGHT in WHERE_IT_STANDS.all_of(self.figures)

    @property
    def in_public(self) -> bool:
        """Tell whether people who do not work on it pass by."""
        return IN_PUBLIC in WHERE_IT_STANDS.all_of(self.figures)

    @property
    def wet(self) -> bool:
        """Tell whether it stands in the wet."""
        return not {"wet", "salt", "outdoor"}.isdisjoint(WHERE_IT_STANDS.all_of(self.figures))

    @property
    def drives_wheels(self) -> bool:
        """Tell whether it drives a vehicle on wheels, as a traction motor does until its record says otherwise."""
        return self.motor_class == "traction" and DRIVES_WHEELS.of(self.figures) != "no"

    @property
    def protection(self) -> str:
        """Return how it protects against shock, empty where nobody says."""
        return PROTECTION.of(self.figures)

    @property
    def _usual_protection(self) -> str:
        fed = self.motor_class in ("industrial", "generator") or (
            self.motor_class == "traction" and not self.by_battery
        )
        fed = self.plugged or (fed and not self.low_voltage)
        return "protective earth" if fed else ""

    @property
    def capacitors(self) -> bool:
        """Tell whether there are capacitors in its circuit: in appliances, traction and driven machines until told
        otherwise, but not with magnets at a low voltage.
        """
        said, small = CAPACITORS.of(self.figures), self.magnets and self.low_voltage
        usual = self.motor_class in ("appliance", "traction", "industrial") and not small
        return said == "yes" or (not said and usual)

    @property
    def taps(self) -> tuple[float, ...]:
        """Return the expected shares of the supply of its speed settings."""
        return speed_taps(SPEED_TAPS.of(self.figures))

    @property
    def rated_v(self) -> float | None:
        """Return the voltage of its plate [V]."""
        return RATED_V.of(self.figures)

    @property
    def surroundings(self) -> tuple[str, ...]:
        """Return what is known of where it stands, in the words of the table of causes."""
        return tuple(_SURROUNDINGS.get(word, word) for word in WHERE_IT_STANDS.all_of(self.figures))

    def place(self, position: int) -> str:
        """Return the label of a brush position."""
        return next((f"Brush {p.label}" for p in self.positions if p.number == position), "")
