"""Rules of repair or buy: share, labour, tax and freight, what is left of a life, how money is written."""

from norvash.core.rules.book import Rule, School

_TRADE = "practice of the trade: over 60 % of a new one a repair is not worth it, unless lives say otherwise"
_OWN = "set by the site; while it is 0 nothing is counted for it"
_LIFE = "practice of the trade: what of the life of a set is left to it in such a machine"


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
    Rule(
        id="money.tax",
        words="tax on a price that is said to be without it, as a share",
        unit="",
        default=0.0,
        source=_OWN,
        low=0,
        high=1,
    ),
    Rule(
        id="money.freight",
        words="freight of an order where it comes on top and no sum is named",
        unit="",
        default=0.0,
        source=_OWN,
        low=0,
        high=100_000,
    ),
    Rule(
        id="money.downtime",
        words="cost of an hour in which the machine stands still",
        unit="",
        default=0.0,
        source=_OWN,
        low=0,
        high=1_000_000,
    ),
    Rule(
        id="money.condition.skimmed",
        words="share of a set's life on copper near its least diameter",
        unit="",
        default=0.7,
        source=_LIFE,
        low=0.05,
        high=1,
    ),
    Rule(
        id="money.condition.burnt",
        words="share of a set's life where burnt bars stay",
        unit="",
        default=0.4,
        source=_LIFE,
        low=0.05,
        high=1,
    ),
    Rule(
        id="money.condition.untested",
        words="share of a set's life where insulation is not known",
        unit="",
        default=0.5,
        source=_LIFE,
        low=0.05,
        high=1,
    ),
    Rule(
        id="money.price-age",
        words="age from which a price is asked again",
        unit="d",
        default=365,
        source="practice of the trade: a price holds for about a year",
        low=1,
        high=3650,
    ),
    Rule(
        id="money.outlives",
        words="years left in a fitted set from which one spare set is held and no more",
        unit="years",
        default=10,
        source="practice of the trade: such carbon outlives most machines",
        low=1,
        high=100,
    ),
)
SCHOOLS = (
    School(
        id="school.money-decimals",
        question="How many decimals has money here?",
        options=(("two", "two, like 12.50"), ("none", "none, like 1250"), ("three", "three, like 12.500")),
        default="two",
        why="most currencies have two; a sum with more is refused where it is typed",
        of_site=True,
    ),
    School(
        id="school.money-mark",
        question="How is 1,250 read here, and 1.250?",
        options=(
            ("asked", "neither is taken: both readings are named and it is typed again"),
            ("comma", "a comma parts thousands: 1,250 is 1250, and 1.250 is 1.25"),
            ("point", "a point parts thousands: 1.250 is 1250, and 1,250 is 1.25"),
        ),
        default="asked",
        why="whoever guesses is wrong by a thousand; once it is said here nobody is asked again",
        of_site=True,
    ),
)
