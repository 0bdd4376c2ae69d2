"""Rules about finding causes."""

from norvash.core.rules.book import Family, Rule

_HOUSE = "set by this rulebook, to be changed by the site"

STRENGTH = Family("diagnosis.{}", ("neutral", "weak", "for", "strong", "alone", "alone-neutral"))
# fmt: off
RULES = (
    Rule(id="diagnosis.strong", words="times as likely a strong sign is under its cause", unit="", default=8.0, source=_HOUSE, low=1, high=9),
    Rule(id="diagnosis.for", words="times as likely a clear sign is under its cause", unit="", default=3.0, source=_HOUSE, low=1, high=9),
    Rule(id="diagnosis.weak", words="times as likely a weak sign is under its cause", unit="", default=1.5, source=_HOUSE, low=1, high=9),
    Rule(
        id="diagnosis.neutral", words="chance of a sign under a cause that it does not speak of", unit="share", default=0.1, source=_HOUSE, low=0.01, high=0.3
    ),
    Rule(id="diagnosis.alone", words="times as likely a finding is under a cause that explains it alone", unit="", default=30.0, source=_HOUSE, low=1, high=32),
    Rule(id="diagnosis.alone-neutral", words="chance of such a finding under any other cause", unit="share", default=0.03, source=_HOUSE, low=0.001, high=0.03),
    Rule(id="diagnosis.earth", words="insulation under which an earth fault alone explains it", unit="MΩ", default=0.05, source=_HOUSE, low=0.0001, high=1),
    Rule(
        id="diagnosis.carbon-left",
        words="usable carbon over which a short brush is ruled out as the cause",
        unit="share",
        default=0.1,
        source=_HOUSE,
        low=0,
        high=0.9,
    ),
    Rule(
        id="diagnosis.cases",
        words="proven causes of a class from which the house's own count, as that many of the table's",
        unit="",
        default=20,
        source=_HOUSE,
        low=1,
        high=1000,
    ),
    Rule(id="diagnosis.bring", words="chance from which something is brought for a cause", unit="share", default=0.08, source=_HOUSE, low=0.01, high=0.9),
    Rule(id="diagnosis.sure", words="chance from which a cause is called the likely one", unit="share", default=0.6, source=_HOUSE, low=0.3, high=0.99),
    Rule(
        id="diagnosis.upstream",
        words="chance that the fault lies before the motor from which opening is advised against",
        unit="share",
        default=0.8,
        source=_HOUSE,
        low=0.5,
        high=0.99,
    ),
)
# fmt: on
