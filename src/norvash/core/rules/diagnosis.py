"""Rules about finding causes."""

from norvash.core.rules.book import Family, Rule

_HOUSE = "set by this rulebook, to be changed by the site"

STRENGTH = Family("diagnosis.{}", ("neutral", "weak", "for", "strong", "alone", "alone-neutral"))
RULES = (
    Rule("diagnosis.strong", "times as likely a strong sign is under its cause", "", 8.0, _HOUSE, 1, 9),
    Rule("diagnosis.for", "times as likely a clear sign is under its cause", "", 3.0, _HOUSE, 1, 9),
    Rule("diagnosis.weak", "times as likely a weak sign is under its cause", "", 1.5, _HOUSE, 1, 9),
    Rule("diagnosis.neutral", "chance of a sign under a cause that it does not speak of", "", 0.1, _HOUSE, 0.01, 0.3),
    Rule("diagnosis.alone", "times as likely a finding is under a cause that explains it alone", "", 30.0, _HOUSE, 1, 32),
    Rule("diagnosis.alone-neutral", "chance of such a finding under any other cause", "", 0.03, _HOUSE, 0.001, 0.03),
    Rule("diagnosis.earth", "insulation under which an earth fault alone explains it", "MΩ", 0.05, _HOUSE, 0.0001, 1),
    Rule("diagnosis.sure", "chance from which a cause is called the likely one", "", 0.6, _HOUSE, 0.3, 0.99),
    Rule("diagnosis.upstream", "chance that the fault lies before the motor from which opening is advised against", "", 0.8, _HOUSE, 0.5, 0.99),
)  # fmt: skip
