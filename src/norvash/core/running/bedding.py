"""How new faces are bedded in: volts, amps and the print that releases the load."""

from dataclasses import dataclass

from norvash.core.rules.book import MotorRules


@dataclass(frozen=True, slots=True, kw_only=True)
class Bedding:
    """How a set is run in: at which share of the plate's volts, None where it is done otherwise, and how; the print
    that releases the load [1].
    """

    volts_share: float | None
    how: str
    release: float


def bedding(
    motor_class: str, construction: str, rules: MotorRules, *, stated_share: float | None = None, built_in: bool = True
) -> Bedding:
    """Return how the faces of a motor are bedded in; a maker's share of volts goes before the rules'.

    Units: shares [1]. Source: rules runin.share, runin.series, seating.ready
    """
    release = rules["seating.ready"]
    if motor_class == "generator":
        return Bedding(volts_share=None, how="driven at half speed without load, then load in steps", release=release)
    if motor_class == "starter":
        share = 1.0 if stated_share is None else stated_share
        return Bedding(volts_share=share, how="a few bursts at plate volts, clamped, with rests", release=release)
    if stated_share is not None:
        return Bedding(volts_share=stated_share, how="as the maker says, without load or lightly", release=release)
    idles = motor_class in ("appliance", "tool") and built_in
    if construction in ("series", "universal") and not idles:
        how = "coupled to its load, or at its safe voltage: without load it runs away"
        return Bedding(volts_share=rules["runin.series"], how=how, release=release)
    field = "; shunt field at full strength first" if construction in ("shunt", "compound") else ""
    return Bedding(volts_share=rules["runin.share"], how=f"without load or lightly{field}", release=release)


def most_a(rated_a: float, contact_share: float, noload_a: float | None, rules: MotorRules) -> float:
    """Return the current that a face bears while it touches with this share, never counted under the least; what it
    draws without load at those volts is always allowed.

    Units: [A], [1], [A] -> [A]. Source: rule runin.least
    """
    return max(rated_a * max(contact_share, rules["runin.least"]), noload_a or 0.0)
