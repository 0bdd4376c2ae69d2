"""What is right is said once, with its day: years, counters that began on no day, past sets, tables and torque."""

import pytest

from conftest import Shop
from norvash.core.use.since import NO_DAY, fitted_words
from norvash.errors import InputError
from norvash.exchange.interval_tables import table_from_csv
from norvash.work.loading import load
from norvash.work.stating import SinceTyped

HEADS = "hours;{};{}\n400;700;420\n800;1100;640\n"
# What is said of when a set was new, and when it is said to have been fitted.
SAID = {
    "a counter without a day": ({"counter": "0"}, "hours", NO_DAY),
    "a month": ({"day": "March 2025"}, "hours", "March 2025"),
    "a day and a counter": ({"day": "2025-03-14", "counter": "0"}, "hours", "14 March 2025"),
    "years": ({"ran": "4.5"}, "years", "about March 2021"),
    "nothing": ({}, "hours", "before the record"),
}


@pytest.mark.parametrize(("since", "unit", "said"), SAID.values(), ids=SAID)
def test_a_set_was_fitted_on_the_day_that_somebody_said(
    shop: Shop, since: dict[str, str], unit: str, said: str
) -> None:
    now = {"use_now": ""} if unit == "years" else {"use_now": "1340"}
    typed = SinceTyped(**since)
    motor = shop.motor(new_length="22", limit="8", unit_of_use=unit, set_is_new=False, since=typed, **now)
    state = load(shop.conn, motor).state
    assert fitted_words(state.current, state) == said
    told = " ".join(line.words for line in shop.page(motor).history)
    assert (f"since {said}" in told) == bool(since)


def test_years_are_said_with_their_parts(shop: Shop) -> None:
    since = SinceTyped(ran="3.5")
    motor = shop.motor(new_length="13", limit="4.5", unit_of_use="years", set_is_new=False, use_now="", since=since)
    shop.measure(motor, "", "8", "9")
    line = shop.page(motor).found.line
    assert line is not None
    assert line.do_not_exceed_h == pytest.approx(5.95)
    reasons = " ".join(r.text for r in shop.page(motor).said.reasons)
    assert "do not exceed 5.95 years (" in reasons


@pytest.mark.parametrize(("reason", "agrees"), [("at its limit", True), ("planned", False)])
def test_a_set_that_was_pulled_early_bounds_no_life(shop: Shop, reason: str, agrees: bool) -> None:
    motor = shop.motor(new_length="22", limit="8")
    shop.later(weeks=10).log(motor, "400")
    shop.later(weeks=3).new_set(motor, "600", "22", "22", reason=reason)
    shop.later(weeks=10).log(motor, "900")
    shop.measure(motor, "", "15", "15.2")
    said = " ".join(r.text for r in shop.page(motor).said.reasons)
    assert ("came out before it was worn" in said) is not agrees


def test_headings_of_a_table_say_how_they_are_read() -> None:
    read = table_from_csv(HEADS.format("<= 9.20", "≤9.60").encode(), "depth", None)
    assert read.columns_mm == (9.2, 9.6)
    assert table_from_csv(HEADS.format(">= 18", ">=14").encode(), "length", None).columns_mm == (18.0, 14.0)
    with pytest.raises(InputError, match="not how a depth is read"):
        table_from_csv(HEADS.format(">= 9.20", "9.60").encode(), "depth", None)
