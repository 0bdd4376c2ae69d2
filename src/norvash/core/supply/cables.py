"""Cables: what they drop, what they may carry for long and in bursts; terminals and solenoid contacts."""

from dataclasses import dataclass, replace
from math import sqrt

from norvash.core.edges import over, under
from norvash.core.rules.book import MotorRules
from norvash.core.rules.supply import AIR, CABLE, CIRCUITS, CORD, CORDS, IN_AIR, SECTIONS, TOGETHER
from norvash.errors import InputError

_USUAL_AIR_C = 30.0


def cable_drop_v(
    current_a: float, length_m: float, section_mm2: float, *, ways: int, temp_c: float, rules: MotorRules
) -> float:
    """Return the drop in a copper cable; ways 2 for there and back, 1 for a single lead.

    Units: current_a [A], length_m [m], section_mm2 [mm²], temp_c [°C] -> [V]
    Source: rules copper.resistivity, copper.coefficient
    """
    warm = 1 + rules["copper.coefficient"] * (temp_c - 20)
    return ways * current_a * rules["copper.resistivity"] * warm * length_m / section_mm2


def drop_allowed_v(rated_v: float, rules: MotorRules) -> float:
    """Return the drop allowed on each side of a circuit while starting.

    Units: [V] -> [V]. Source: rules drop.side, drop.low-voltage, drop.share

    >>> from norvash.core.rules.catalogue import shipped
    >>> drop_allowed_v(12, shipped()), drop_allowed_v(200, shipped())
    (0.5, 4.0)
    """
    if over(rated_v, rules["drop.low-voltage"]):
        return rules["drop.share"] * rated_v / 2
    return rules["drop.side"] * rated_v / 12


def burst_mm2(current_a: float, on_s: float, rules: MotorRules) -> float:
    """Return the section that a burst warms no further than copper may be warmed.

    Units: [A], [s] -> [mm²]. Source: rule cable.burst
    """
    return current_a * sqrt(on_s) / rules["cable.burst"]


def steady_a(current_a: float, on_s: float, rest_s: float) -> float:
    """Return the current that warms a cable alike when it flows for long.

    Units: [A], [s], [s] -> [A]. Source: equal heat over burst and rest
    """
    return current_a * sqrt(on_s / (on_s + rest_s))


@dataclass(frozen=True, slots=True)
class Laid:
    """How a cable is laid: with one side in thermal insulation, how many circuits together, temperature of the air
    [°C]; wholly `surrounded` by insulation over more than half a metre; as a `cord` of two cores in air.
    """

    insulated: bool = False
    circuits: int = 1
    air_c: float = _USUAL_AIR_C
    surrounded: bool = False
    cord: bool = False


def load_a(section_mm2: float, laid: Laid, rules: MotorRules) -> float:
    """Return the current that a copper cable may carry for long: that of the largest section of the table which is not
    over it.

    Units: [mm²] -> [A]. Raises: InputError for what the table does not know. Source: rules cable.*

    >>> from norvash.core.rules.catalogue import shipped
    >>> load_a(1.5, Laid(), shipped()), round(load_a(5.0, Laid(True, 2), shipped()), 6)
    (17.0, 19.2)
    """
    if laid.cord and replace(laid, cord=False, air_c=_USUAL_AIR_C) != Laid():
        raise InputError("A cord lies in air, alone.", "Leave insulation and other circuits out.", "cord")
    known = CORDS if laid.cord else SECTIONS
    fitting = [s for s in known if not under(section_mm2, float(s))]
    if not fitting:
        raise InputError(
            f"A {'cord' if laid.cord else 'cable'} of {section_mm2:g} mm² is under the table.",
            f"Look its load up; the table begins at {known[0]} mm².",
            "section_mm2",
        )
    if over(laid.air_c, float(AIR[-1])):
        raise InputError(
            f"Air of {laid.air_c:g} °C is over the table.", f"Look it up; the table ends at {AIR[-1]} °C.", "air_c"
        )
    if not 1 <= laid.circuits <= 1 + len(CIRCUITS):
        raise InputError(
            f"{laid.circuits} circuits together are not in the table.",
            "Look them up; the table ends at three.",
            "circuits",
        )
    load = rules[(CORD if laid.cord else CABLE).of(fitting[-1])]
    if laid.surrounded or laid.insulated:
        load *= rules["cable.surrounded" if laid.surrounded else "cable.insulated"]
    if laid.circuits > 1:
        load *= rules[TOGETHER.of(CIRCUITS[laid.circuits - 2])]
    if over(laid.air_c, _USUAL_AIR_C):
        load *= rules[IN_AIR.of(next(a for a in AIR if not over(laid.air_c, float(a))))]
    return load


@dataclass(frozen=True, slots=True)
class Carried:
    """What a cable has to carry [A] against what it may [A], its least section for a burst [mm²], and whether that is
    enough.
    """

    steady_a: float
    load_a: float
    burst_mm2: float | None
    enough: bool
    words: str


def carried(
    current_a: float, section_mm2: float, burst_s: float | None, *, rest_s: float, laid: Laid, rules: MotorRules
) -> Carried:
    """Return whether a cable carries a current, for long or in bursts with a rest between them; both must hold.

    Units: [A], [mm²], [s]. Raises: InputError for what the table does not know. Source: rules cable.*
    """
    load, steady = load_a(section_mm2, laid, rules), current_a
    least: float | None = None
    if burst_s is not None and not over(burst_s, rules["cable.longest-burst"]):
        least, steady = burst_mm2(current_a, burst_s, rules), steady_a(current_a, burst_s, rest_s)
    hot = over(steady, load)
    thin = least is not None and under(section_mm2, least)
    said = []
    if hot:
        said.append(f"it may carry {load:.3g} A, and {steady:.3g} A flow{'' if least is None else ' on average'}")
    if thin:
        said.append(f"a burst of {burst_s:g} s asks for {least:.3g} mm²")
    return Carried(steady, load, least, not (hot or thin), "; ".join(said))


@dataclass(frozen=True, slots=True, kw_only=True)
class Terminal:
    """The worst terminal, judged: the limit in the unit measured, whether it holds, None where it cannot be judged, and
    why.
    """

    value: float
    unit: str
    limit: float | None
    right: bool | None
    words: str
    rules: tuple[str, ...]


def terminal_by_drop(drop_v: float, rules: MotorRules) -> Terminal:
    """Return a terminal judged by its drop at working current; of a starter this alone decides.

    Units: [V]. Source: rule terminal.volt
    """
    most = rules["terminal.volt"]
    right = not over(drop_v, most)
    return Terminal(
        value=drop_v, unit="V", limit=most, right=right, words=_terminal_words(right), rules=("terminal.volt",)
    )


def terminal_by_ohm(
    ohm: float,
    current_a: float | None,
    *,
    kind: str,
    step_ohm: float | None,
    rules: MotorRules,
    most_ohm: float | None = None,
) -> Terminal:
    """Return a terminal judged by its resistance: by what is stated for it, else by the current; where that is not
    known only the least and the most are.

    Units: ohm, step_ohm (finest step of the meter), most_ohm (as stated) [Ω], current_a [A]; kind press-in or bolted.
    Source: rules terminal.*
    """
    if most_ohm is not None:
        right = not over(ohm, most_ohm)
        found = Terminal(value=ohm, unit="Ω", limit=most_ohm, right=right, words=_terminal_words(right), rules=())
    elif current_a is None or not current_a > 0:
        found = _current_unknown(ohm, rules)
    else:
        limit, ids = _ohm_limit(current_a, kind, rules)
        right = not over(ohm, limit)
        found = Terminal(value=ohm, unit="Ω", limit=limit, right=right, words=_terminal_words(right), rules=ids)
    coarse = step_ohm if found.limit is not None and step_ohm is not None and over(step_ohm, found.limit / 3) else 0.0
    # Only what is off by more than its own step is off on a coarse meter.
    if coarse and found.right is not None and not over(ohm - coarse, found.limit or 0.0):
        return Terminal(
            value=ohm,
            unit="Ω",
            limit=found.limit,
            right=None,
            words=f"not judged: a meter with steps of {step_ohm:g} Ω is too coarse",
            rules=found.rules,
        )
    return found


def _current_unknown(ohm: float, rules: MotorRules) -> Terminal:
    small, most, up_to = rules["terminal.unknown"], rules["terminal.ohm"], rules["terminal.unknown-current"]
    right = True if not over(ohm, small) else False if over(ohm, most) else None
    words = {
        True: f"counts up to {up_to:g} A",
        None: "the current is not known: measure the drop at working current",
        False: _terminal_words(right=False),
    }[right]
    ids = ("terminal.unknown", "terminal.unknown-current", "terminal.ohm")
    return Terminal(value=ohm, unit="Ω", limit=most if right is False else small, right=right, words=words, rules=ids)


def _ohm_limit(current_a: float, kind: str, rules: MotorRules) -> tuple[float, tuple[str, ...]]:
    heat = "terminal.heat-bolted" if kind == "bolted" else "terminal.heat"
    limits = (rules["terminal.volt"] / current_a, rules[heat] / current_a**2, rules["terminal.ohm"])
    return min(limits), ("terminal.volt", heat, "terminal.ohm")


def _terminal_words(right: bool) -> str:
    return "right" if right else "clean, retension, test again; a bad contact alone stops a motor"


def solenoid_allowed_v(current_a: float | None, rules: MotorRules) -> tuple[float, str]:
    """Return the drop allowed over the contact of a solenoid while cranking, and the rule it comes from.

    Units: [A] -> [V]. Source: rules solenoid.drop, solenoid.drop-heavy, solenoid.heavy
    """
    heavy = current_a is not None and over(current_a, rules["solenoid.heavy"])
    allowed = rules.figure("solenoid.drop-heavy" if heavy else "solenoid.drop")
    return allowed.value, allowed.rule_id
