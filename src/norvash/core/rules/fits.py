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
        Rule(id=FIT_LOW.of(place), words=f"{words}, from", unit="mm", default=low, source=_TRADE, low=-1, high=1),
        Rule(id=FIT_HIGH.of(place), words=f"{words}, up to", unit="mm", default=high, source=_TRADE, low=-1, high=1),
    )


RULES = (
    *(rule for kind, bands in BANDS.items() for band in bands for rule in _of(kind, *band)),
    Rule(
        id="fit.located",
        words="interference in its housing of the bearing that holds the shaft, at most",
        unit="mm",
        default=0.010,
        source=_TRADE,
        low=0,
        high=0.5,
    ),
    Rule(
        id="fit.seat-most",
        words="clearance on a bearing seat over which another bearing or another shaft is needed",
        unit="mm",
        default=0.05,
        source=_TRADE,
        low=0,
        high=1,
    ),
    Rule(
        id="fit.shaft-asks-c3",
        words="interference on the shaft over which a large bearing needs clearance C3",
        unit="mm",
        default=0.030,
        source=_TRADE,
        low=0,
        high=0.5,
    ),
    Rule(
        id="fit.bush-starter-low",
        words="clearance of a new bush of a starter, from",
        unit="mm",
        default=0.03,
        source=_TRADE,
        low=0,
        high=1,
    ),
    Rule(
        id="fit.bush-starter-high",
        words="clearance of a new bush of a starter, up to",
        unit="mm",
        default=0.10,
        source=_TRADE,
        low=0,
        high=1,
    ),
    Rule(
        id="seal.lip-low",
        words="how much smaller than its shaft the free lip of a seal is, from",
        unit="mm",
        default=0.5,
        source=_TRADE,
        low=0,
        high=20,
    ),
    Rule(
        id="seal.lip-high",
        words="how much smaller than its shaft the free lip of a seal is, up to",
        unit="mm",
        default=2.0,
        source=_TRADE,
        low=0,
        high=20,
    ),
    Rule(
        id="seal.outside-low",
        words="how much larger than its recess a seal is outside, from",
        unit="mm",
        default=0.05,
        source=_TRADE,
        low=0,
        high=5,
    ),
    Rule(
        id="seal.outside-high",
        words="how much larger than its recess a seal is outside, up to",
        unit="mm",
        default=0.35,
        source=_TRADE,
        low=0,
        high=5,
    ),
    Rule(
        id="seal.outside-metal",
        words="the same of a seal with a metal case, up to",
        unit="mm",
        default=0.25,
        source=_TRADE,
        low=0,
        high=5,
    ),
)
