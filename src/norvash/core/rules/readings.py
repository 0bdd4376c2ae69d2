"""Rules about instruments and about readings that cannot be right."""

from norvash.core.rules.book import Family, Rule

_SHOP = "usual accuracy of the instrument in a workshop, one standard deviation"
_HOUSE = "set by this rulebook, to be changed by the site"

INSTRUMENT = Family("instrument.{}", ("digital-caliper", "vernier", "micrometer", "rule", "eye"))
RULES = (
    Rule("instrument.digital-caliper", "digital caliper, standard uncertainty", "mm", 0.05, _SHOP, 0.001, 5),
    Rule("instrument.vernier", "vernier caliper, standard uncertainty", "mm", 0.05, _SHOP, 0.001, 5),
    Rule("instrument.micrometer", "micrometer or depth micrometer, standard uncertainty", "mm", 0.02, _SHOP, 0.001, 5),
    Rule("instrument.rule", "steel rule, standard uncertainty", "mm", 0.4, _SHOP, 0.001, 5),
    Rule("instrument.eye", "by eye against a new brush, share of the new length", "", 0.08, _SHOP, 0.001, 0.5),
    Rule("reading.believable", "longest believable reading, times the new length", "", 1.3, _HOUSE, 1, 5),
    Rule("doubt.noise", "standard deviations before a reading is doubted", "", 3.0, _HOUSE, 1, 10),
    Rule(
        "doubt.renewed-prior",
        "chance beforehand that a brush was changed without a record",
        "",
        0.03,
        _HOUSE,
        0.001,
        0.5,
    ),
    Rule("doubt.renewed-ask", "chance of new carbon from which it is asked about", "", 0.1, _HOUSE, 0.01, 0.9),
    Rule("doubt.renewed-sure", "chance of new carbon over which new brushes are proposed", "", 0.9, _HOUSE, 0.1, 0.999),
    Rule("doubt.fall", "times the expected wear before a sharp fall is asked about", "", 3.0, _HOUSE, 1, 20),
    Rule(
        "doubt.partner",
        "share of the partners' wear that a brush may differ before it is asked about",
        "",
        0.8,
        _HOUSE,
        0.1,
        10,
    ),
)
