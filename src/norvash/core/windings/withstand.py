"""The withstand test after a repair: the volts that a winding is held to once, for one minute."""

from norvash.core.edges import under
from norvash.core.rules.book import MotorRules


def withstand_v(rated_v: float, rated_w: float | None, repaired: str, rules: MotorRules) -> float:
    """Return the volts of a withstand test, a.c. r.m.s., to earth, for one minute, of what was “rewound”, “partly”
    rewound, or “overhauled”.

    Units: rated_v [V], rated_w [W], None where nobody states it: then as of a small machine, the lesser volts -> [V].
    Source: rules withstand.*

    >>> from norvash.core.rules.catalogue import shipped
    >>> [withstand_v(440, 30000, repaired, shipped()) for repaired in ("rewound", "partly", "overhauled")]
    [1880.0, 1410.0, 1000.0]
    """
    low = under(rated_v, rules["withstand.low-voltage"])
    if repaired == "overhauled":
        least = rules["withstand.overhauled-low"] if low else rules["withstand.overhauled"]
        return max(rules["withstand.overhauled-times"] * rated_v, least)
    small = rated_w is None or under(rated_w, 1000 * rules["withstand.small"])
    volts = 2 * rated_v + rules["withstand.added-small"]
    if not (small and low):
        volts = max(2 * rated_v + rules["withstand.added"], rules["withstand.least"])
    return volts * (rules["withstand.partly"] if repaired == "partly" else 1.0)
