"""Rules about fits by size: each kind of pair has its own bands, clearance positive, interference negative."""

from norvash.core.rules.book import Family, Rule

_TRADE = "trade practice; the maker's figure comes first"
# By kind: the size up to which a band holds [mm], then the clearance from and up to [mm].
BANDS: dict[str, tuple[tuple[float, float, float], ...]] = {
    "shaft": ((10, -0.012, 0.002), (18, -0.013, 0.003), (30, -0.021, 0.0), (50, -0.025, 0.0), (80, -0.035, 0.0)),
    "shaft-c3": ((10, -0.015, 0.002), (18, -0.017, 0.003), (30, -0.021, 0.0), (50, -0.025, 0.0), (80, -0.035, 0.0)),
    "housing": (
        (30, 0.0, 0.030),
        (50, 0.0, 0.036),
        (80, 0.0, 0.043),
        (120, 0.0, 0.050),
        (150, 0.0, 0.058),
        (180, 0.0, 0.065),
    ),
    "needle": ((10, 0.010, 0.040), (18, 0.015, 0.045), (30, 0.020, 0.055), (50, 0.025, 0.066)),
    "bush": ((10, 0.010, 0.035), (18, 0.015, 0.050), (30, 0.020, 0.070)),
}
WORDS = {
    "shaft": "ball bearing on its shaft",
    "shaft-c3": "ball bearing with clearance C3 on its shaft",
    "housing": "ball bearing in its housing",
    "needle": "needle bearing over its shaft, measured after it is pressed in",
    "bush": "new bush on its shaft, measured after it is pressed in",
}
_PLACES = tuple(f"{kind}.{to:g}" for kind, bands in BANDS.items() for to, _, _ in bands)
FIT_LOW, FIT_HIGH = Family("fit.{}.low", _PLACES), Family("fit.{}.high", _PLACES)


def _of(kind: str, to: float, low: float, high: float) -> tuple[Rule, Rule]:
    place, words = f"{kind}.{to:g}", f"clearance of a {WORDS[kind]}, up to {to:g} mm"
    return (
        Rule(FIT_LOW.of(place), f"{words}, from", "mm", low, _TRADE, -1, 1),
        Rule(FIT_HIGH.of(place), f"{words}, up to", "mm", high, _TRADE, -1, 1),
    )


RULES = (
    *(rule for kind, bands in BANDS.items() for band in bands for rule in _of(kind, *band)),
    Rule(
        "fit.located",
        "interference in its housing of the bearing that holds the shaft, at most",
        "mm",
        0.010,
        _TRADE,
        0,
        0.5,
    ),
    Rule(
        "fit.shaft-asks-c3",
        "interference on the shaft over which a large bearing needs clearance C3",
        "mm",
        0.030,
        _TRADE,
        0,
        0.5,
    ),
    Rule("fit.bush-starter-low", "clearance of a new bush of a starter, from", "mm", 0.03, _TRADE, 0, 1),
    Rule("fit.bush-starter-high", "clearance of a new bush of a starter, up to", "mm", 0.10, _TRADE, 0, 1),
    Rule("seal.lip-low", "how much smaller than its shaft the free lip of a seal is, from", "mm", 0.5, _TRADE, 0, 20),
    Rule("seal.lip-high", "how much smaller than its shaft the free lip of a seal is, up to", "mm", 2.0, _TRADE, 0, 20),
    Rule("seal.outside-low", "how much larger than its recess a seal is outside, from", "mm", 0.05, _TRADE, 0, 5),
    Rule("seal.outside-high", "how much larger than its recess a seal is outside, up to", "mm", 0.35, _TRADE, 0, 5),
    Rule("seal.outside-metal", "the same of a seal with a metal case, up to", "mm", 0.25, _TRADE, 0, 5),
)
