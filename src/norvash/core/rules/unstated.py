"""Rules for what nobody states: a first run, heat of a case, end float, a field by its ohms, a fan in its shroud."""

from types import MappingProxyType

from norvash.core.rules.book import Rule

_TRADE = "usual trade practice where nobody states a figure"


def _kelvin(rule_id: str, words: str, default: float) -> Rule:
    return Rule(id=rule_id, words=words, unit="K", default=default, source=_TRADE, low=20, high=200)


def _touched(rule_id: str, words: str, default: float) -> Rule:
    return Rule(id=rule_id, words=words, unit="°C", default=default, source=_TRADE, low=40, high=90)


def _float(rule_id: str, words: str, default: float) -> Rule:
    return Rule(id=rule_id, words=words, unit="mm", default=default, source=_TRADE, low=0, high=5)


def _times(rule_id: str, words: str, default: float) -> Rule:
    return Rule(id=rule_id, words=words, unit="times", default=default, source=_TRADE, low=1, high=10)


def _share(rule_id: str, words: str, default: float, by_class: dict[str, float] | None = None) -> Rule:
    return Rule(
        id=rule_id,
        words=words,
        unit="share",
        default=default,
        source=_TRADE,
        low=0.0001,
        high=1,
        by_class=MappingProxyType(by_class or {}),
    )


RULES = (
    Rule(
        id="run.first-min",
        words="minutes of a first run, where neither plate nor type nor an earlier run gives a figure",
        unit="min",
        default=15.0,
        source=_TRADE,
        low=5,
        high=120,
    ),
    Rule(
        id="run.first-spell",
        words="minutes of each of its two spells, where it is made for short ones and nobody states how long",
        unit="min",
        default=2.0,
        source=_TRADE,
        low=0.5,
        high=30,
    ),
    Rule(
        id="run.first-rest",
        words="minutes of rest between the two spells",
        unit="min",
        default=10.0,
        source=_TRADE,
        low=2,
        high=60,
    ),
    Rule(
        id="run.first-steady",
        words="how far its case may differ from five minutes before, to be as hot as it gets",
        unit="K",
        default=2.0,
        source=_TRADE,
        low=0.5,
        high=5,
    ),
    Rule(
        id="run.first-agrees",
        words="how far a later run may be from a first one to make a figure of it",
        unit="share",
        default=0.10,
        source=_TRADE,
        low=0.01,
        high=0.3,
    ),
    Rule(
        id="run.throws",
        words="throws of a starter on the bench, where nobody states what they are compared with",
        unit="",
        default=3.0,
        source=_TRADE,
        low=1,
        high=10,
    ),
    Rule(
        id="run.throw-rest",
        words="minutes of rest between two bursts of a starter",
        unit="min",
        default=2.0,
        source=_TRADE,
        low=0.5,
        high=10,
    ),
    Rule(
        id="case.minutes",
        words="minutes that a motor ran before the heat of its case is judged",
        unit="min",
        default=15.0,
        source=_TRADE,
        low=5,
        high=120,
    ),
    _kelvin("case.plan", "how much hotter than the air a case is before somebody looks into it", 60.0),
    _kelvin("case.change", "the same, from which it is mended before it runs on", 80.0),
    _kelvin("case.stop", "the same, from which it must not run", 110.0),
    _touched("touch.metal", "how hot metal may be that is touched", 60.0),
    _touched("touch.other", "how hot anything else may be that is touched", 75.0),
    _float("float.starter-low", "end float of a starter, at least", 0.10),
    _float("float.starter-high", "end float of a starter, at most", 1.00),
    _float("float.bush-low", "end float in plain bushes, at least", 0.10),
    _float("float.bush-high", "end float in plain bushes, at most", 0.80),
    _float("float.ball-low", "end float in ball bearings, at least", 0.02),
    _float("float.ball-high", "end float in ball bearings, at most", 0.30),
    _times("float.plan", "times the most end float over which it is set", 2.0),
    _times("float.change", "the same, over which it does not run on", 4.0),
    _share("field.share-low", "share of the plate's current that a shunt field takes by its ohms, at least", 0.005),
    _share("field.share-high", "the same, at most", 0.20),
    _share("field.share-small", "the same of a motor under 1 kW", 0.40),
    Rule(
        id="fan.gap", words="least gap of a fan in its shroud", unit="mm", default=0.5, source=_TRADE, low=0.1, high=5
    ),
)
