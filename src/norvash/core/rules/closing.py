"""Rules about closing up: parts that went back, and how tight."""

from norvash.core.rules.book import Family, Rule

_HOUSE = "set by this rulebook, to be changed by the site"
_TABLE = "estimate, about six tenths of what a dry steel screw of strength 8.8 bears; the maker's figure comes first"
# What a thread is tightened to where no maker says it [N·m], into steel.
_TORQUE = {"M3": 0.7, "M4": 1.6, "M5": 3.2, "M6": 5.5, "M8": 13.0, "M10": 26.0, "M12": 45.0}
TORQUE = Family("torque.{}", tuple(_TORQUE))
RULES = (
    Rule(
        id="stack.alike",
        words="difference of size up to which a part that goes back is the one that came off",
        unit="share",
        default=0.02,
        source=_HOUSE,
        low=0,
        high=0.2,
    ),
    Rule(id="stack.alike-mm", words="the same, at least", unit="mm", default=0.02, source=_HOUSE, low=0, high=1),
    Rule(
        id="stack.aside",
        words="pause after which stacks that are not closed yet are gone through once more",
        unit="h",
        default=24,
        source=_HOUSE,
        low=1,
        high=240,
    ),
    Rule(
        id="closing.beyond",
        words="how far a torque is beyond the edge of what is wanted before it is tightened again at this visit",
        unit="share",
        default=0.1,
        source=_HOUSE,
        low=0,
        high=0.5,
    ),
    *(
        Rule(
            id=TORQUE.of(name),
            words=f"torque of {name} into steel",
            unit="N·m",
            default=nm,
            source=_TABLE,
            low=0.1,
            high=500,
        )
        for name, nm in _TORQUE.items()
    ),
    Rule(
        id="solvent.air",
        words="how long a solvent dries with air blown at it, before power",
        unit="min",
        default=30,
        source=_HOUSE,
        low=1,
        high=1440,
    ),
    Rule(
        id="solvent.still",
        words="how long a solvent dries by itself, before power",
        unit="min",
        default=240,
        source=_HOUSE,
        low=1,
        high=2880,
    ),
    Rule(
        id="dress.low",
        words="surface speed from which a stone in the hand cuts evenly",
        unit="m/s",
        default=2,
        source=_HOUSE,
        low=0.1,
        high=10,
    ),
    Rule(
        id="dress.high",
        words="surface speed up to which a stone may be held in the hand",
        unit="m/s",
        default=5,
        source=_HOUSE,
        low=0.5,
        high=15,
    ),
    Rule(
        id="torque.soft",
        words="share of it for long through-bolts into aluminium",
        unit="share",
        default=0.5,
        source=_TABLE,
        low=0.1,
        high=1,
    ),
)
