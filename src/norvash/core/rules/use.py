"""Rules about hours, starts and the rate of use."""

from norvash.core.rules.book import Rule

_CLOCK = "the length of a day"
_HOUSE = "set by this rulebook, to be changed by the site"

RULES = (
    Rule("use.hours-a-day", "hours that a motor can run in a day", "h", 24.0, _CLOCK, 1, 24),
    Rule("use.starts-a-day", "starts that a motor can make in a day", "starts", 2000.0, _HOUSE, 1, 100000),
    Rule("use.least-days", "days of log before a rate of use is worked out", "days", 7.0, _HOUSE, 1, 365),
    Rule("use.window", "weeks of log that a rate of use looks back over", "weeks", 52.0, _HOUSE, 1, 520),
    Rule("use.declared-weight", "weeks of log that a declared use counts for", "weeks", 20.0, _HOUSE, 0, 200),
    Rule("use.season-log", "weeks of log before a season is read from it", "weeks", 104.0, _HOUSE, 52, 520),
    Rule("use.idle-share", "share of the mean use under which a month counts as idle", "", 0.25, _HOUSE, 0, 0.9),
    Rule("use.slip", "log standard deviation when a lower counter reading is explained", "", 0.35, _HOUSE, 0.05, 3),
    Rule(
        "look.calendar", "months after which a motor is looked at whatever it has run", "months", 24.0, _HOUSE, 1, 240
    ),
    Rule("look.calendar-hard", "the same where it is wet, salt or mostly idle", "months", 12.0, _HOUSE, 1, 240),
    Rule("bench.ahead", "days ahead in which a due look puts a motor on the bench", "days", 14.0, _HOUSE, 0, 365),
)
