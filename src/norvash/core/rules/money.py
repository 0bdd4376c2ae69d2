"""Rules of repair or buy: the share, what an hour costs, tax and freight."""

from norvash.core.rules.book import Rule

_TRADE = "practice of the trade: over 60 % of a new one a repair is not worth it, unless lives say otherwise"


RULES = (
    Rule(
        id="money.share",
        words="most that a repair may cost, of the new one landed and fitted",
        unit="",
        default=0.6,
        source=_TRADE,
        low=0.05,
        high=2,
    ),
    Rule(
        id="money.labour",
        words="cost of an hour of labour where a way names none",
        unit="",
        default=0.0,
        source="set by the site; while it is 0 labour is not counted",
        low=0,
        high=100_000,
    ),
)
