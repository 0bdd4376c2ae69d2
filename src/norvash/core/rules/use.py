"""Rules about hours, starts and the rate of use."""

from norvash.core.rules.book import Rule

_CLOCK = "the length of a day"
_HOUSE = "set by this rulebook, to be changed by the site"

# fmt: off
RULES = (
    Rule(id="use.hours-a-day", words="hours that a motor can run in a day", unit="h", default=24.0, source=_CLOCK, low=1, high=24),
    Rule(id="use.starts-a-day", words="starts that a motor can make in a day", unit="starts", default=2000.0, source=_HOUSE, low=1, high=100000),
    Rule(id="use.least-days", words="days of log before a rate of use is worked out", unit="days", default=7.0, source=_HOUSE, low=1, high=365),
    Rule(id="use.window", words="weeks of log that a rate of use looks back over", unit="weeks", default=52.0, source=_HOUSE, low=1, high=520),
    Rule(id="use.declared-weight", words="weeks of log that a declared use counts for", unit="weeks", default=20.0, source=_HOUSE, low=0, high=200),
    Rule(
        id="use.rate-sd", words="how far a rate of use stays unsure whatever is logged, as a logarithm", unit="", default=0.05, source=_HOUSE, low=0.001, high=1
    ),
    Rule(id="use.week-var", words="variance of the log of what one week runs", unit="", default=1.5, source=_HOUSE, low=0.01, high=20),
    Rule(id="use.season-log", words="weeks of log before a season is read from it", unit="weeks", default=104.0, source=_HOUSE, low=52, high=520),
    Rule(id="use.idle-share", words="share of the mean use under which a month counts as idle", unit="share", default=0.25, source=_HOUSE, low=0, high=0.9),
    Rule(
        id="use.slip",
        words="how far off a lower counter reading may be when it is explained, as a logarithm",
        unit="",
        default=0.35,
        source=_HOUSE,
        low=0.05,
        high=3,
    ),
    Rule(id="look.calendar", words="months after which a motor is looked at whatever it has run", unit="months", default=24.0, source=_HOUSE, low=1, high=240),
    Rule(id="look.calendar-hard", words="the same where it is wet, salt or mostly idle", unit="months", default=12.0, source=_HOUSE, low=1, high=240),
    Rule(id="bench.ahead", words="days ahead in which a due look puts a motor on the bench", unit="days", default=14.0, source=_HOUSE, low=0, high=365),
    Rule(
        id="act.lead-days",
        words="days before the early bound of a limit from which its change is planned at the latest",
        unit="days",
        default=14.0,
        source=_HOUSE,
        low=0,
        high=365,
    ),
    Rule(
        id="act.now-days",
        words="days before the early bound of a limit from which the set is changed or measured now",
        unit="days",
        default=7.0,
        source=_HOUSE,
        low=0,
        high=365,
    ),
)
# fmt: on
