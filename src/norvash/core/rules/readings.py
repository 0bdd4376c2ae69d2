"""Rules about instruments and about readings that cannot be right."""

from norvash.core.rules.book import Family, Rule

_SHOP = "usual error of the instrument in a workshop"
_HOUSE = "set by this rulebook, to be changed by the site"

INSTRUMENT = Family("instrument.{}", ("digital-caliper", "vernier", "micrometer", "rule", "eye"))
# fmt: off
RULES = (
    Rule(id="instrument.digital-caliper", words="digital caliper, standard uncertainty", unit="mm", default=0.05, source=_SHOP, low=0.001, high=5),
    Rule(id="instrument.vernier", words="vernier caliper, standard uncertainty", unit="mm", default=0.05, source=_SHOP, low=0.001, high=5),
    Rule(id="instrument.micrometer", words="micrometer or depth micrometer, standard uncertainty", unit="mm", default=0.02, source=_SHOP, low=0.001, high=5),
    Rule(id="instrument.rule", words="steel rule, standard uncertainty", unit="mm", default=0.4, source=_SHOP, low=0.001, high=5),
    Rule(id="instrument.eye", words="by eye against a new brush, share of the new length", unit="share", default=0.08, source=_SHOP, low=0.001, high=0.5),
    Rule(id="reading.believable", words="longest believable reading, times the new length", unit="", default=1.3, source=_HOUSE, low=1, high=5),
    Rule(
        id="doubt.unused",
        words="share of a new brush that may be gone at no use before its hours are asked for",
        unit="share",
        default=0.1,
        source=_HOUSE,
        low=0.01,
        high=0.5,
    ),
    Rule(id="doubt.noise", words="times its own error before a reading is doubted", unit="", default=3.0, source=_HOUSE, low=1, high=10),
    Rule(
        id="doubt.renewed-prior",
        words="chance beforehand that a brush was changed without a record",
        unit="share",
        default=0.03,
        source=_HOUSE,
        low=0.001,
        high=0.5,
    ),
    Rule(id="doubt.renewed-ask", words="chance of new carbon from which it is asked about", unit="share", default=0.1, source=_HOUSE, low=0.01, high=0.9),
    Rule(
        id="doubt.renewed-sure", words="chance of new carbon over which new brushes are proposed", unit="share", default=0.9, source=_HOUSE, low=0.1, high=0.999
    ),
    Rule(id="doubt.fall", words="times the expected wear before a sharp fall is asked about", unit="", default=3.0, source=_HOUSE, low=1, high=20),
    Rule(
        id="doubt.partner",
        words="share of the partners' wear that a brush may differ before it is asked about",
        unit="share",
        default=0.8,
        source=_HOUSE,
        low=0.1,
        high=10,
    ),
)
# fmt: on
