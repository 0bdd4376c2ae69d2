"""Numbers and dates as they stand in a sentence."""

from datetime import date
from math import floor, inf, log10

from norvash.core.edges import same, whole_down
from norvash.core.text.quantities import shown

# The most of what is left that the digits of a figure may cost.
_MOST_LOST, _TENTH, _HAIR = 0.02, 0.1, 1e-9
_DIGITS = {"mm": 1, "in": 3, "thou": 0}
UNIT_WORDS = {"hours": "h", "starts": "starts", "years": "years"}
_ORDINALS = ("first", "second", "third", "fourth", "fifth", "sixth", "seventh", "eighth", "ninth", "tenth")
MONTHS = (
    "January",
    "February",
    "March",
    "April",
    "May",
    "June",
    "July",
    "August",
    "September",
    "October",
    "November",
    "December",
)


def grouped(value: float, digits: int = 0) -> str:
    """Return a number with thin spaces between thousands.

    >>> grouped(5425.2).replace("\\u202f", " ")
    '5 425'
    """
    return f"{value:,.{digits}f}".replace(",", "\u202f").replace("-", "−")


def figure_words(value: float) -> str:
    """Return a rule's figure to three digits, or whole when it is large.

    >>> figure_words(2 / 3), figure_words(2000.0).replace("\\u202f", " ")
    ('0.667', '2 000')
    """
    return f"{value:.3g}".replace("-", "−") if abs(value) < 1000 else grouped(value)


def figure_said(value: float, unit: str) -> str:
    """Return a rule's figure as it is said, with its unit: a share in per cent.

    >>> figure_said(0.4, "share"), figure_said(2.0, "mm"), figure_said(3.0, "")
    ('40%', '2 mm', '3')
    """
    return f"{100 * value:.3g}%" if unit == "share" else f"{figure_words(value)} {unit}".strip()


def length_words(mm: float, unit: str = "mm") -> str:
    """Return a length in the person's unit, to the digits that a reading can carry.

    >>> length_words(12.43), length_words(12.43, "in"), length_words(12.43, "thou")
    ('12.4 mm', '0.489 in', '489 thou')
    """
    unit = unit or "mm"
    return f"{grouped(shown(mm, unit), _DIGITS[unit])} {unit}"


def use_words(units: float, unit_of_use: str) -> str:
    """Return an amount of use with its unit: h or starts; years to the tenth.

    >>> use_words(4.53, "years"), use_words(90.0, "hours")
    ('4.5 years', '90 h')
    """
    return f"{use_number(units, unit_of_use)} {UNIT_WORDS[unit_of_use]}"


def use_number(units: float, unit_of_use: str) -> str:
    """Return an amount of use without its unit.

    >>> use_number(4.53, "years"), use_number(90.0, "hours")
    ('4.5', '90')
    """
    return grouped(units, _use_digits(unit_of_use))


def step_of(unit_of_use: str) -> float:
    """Return the least step of use that is said: whole hours and starts, hundredths of a year.

    >>> step_of("hours"), step_of("years")
    (1.0, 0.01)
    """
    return 0.01 if unit_of_use == "years" else 1.0


def _use_digits(unit_of_use: str) -> int:
    return 1 if unit_of_use == "years" else 0


def line_words(units: float, unit_of_use: str) -> str:
    """Return an amount of use of a straight line with its unit: years to the hundredth.

    >>> line_words(3.3099, "years"), line_words(882.0, "hours")
    ('3.31 years', '882 h')
    """
    return f"{line_number(units, unit_of_use)} {UNIT_WORDS[unit_of_use]}"


def line_number(units: float, unit_of_use: str) -> str:
    """Return the same without its unit.

    >>> line_number(4.5, "years"), line_number(882.4, "hours")
    ('4.50', '882')
    """
    return grouped(units, 2 if unit_of_use == "years" else 0)


def adds_up(now: float, end: float, unit_of_use: str) -> str:
    """Return how an end is reached from what the counter shows now, so that what is printed adds up: now rounded up,
    the end as it is said, what is left their difference.

    >>> adds_up(411.6, 452.0, "hours"), adds_up(3.0, 3.31, "years"), adds_up(455.2, 452.0, "hours")
    ('412 + 40', '3.00 + 0.31', '456 − 4')
    """
    step = step_of(unit_of_use)
    shown = -whole_down(-now / step) * step
    sign = "−" if shown > end + step / 2 else "+"
    return f"{line_number(shown, unit_of_use)} {sign} {line_number(abs(end - shown), unit_of_use)}"


def use_figure(units: float, unit_of_use: str, left: float) -> str:
    """Return an amount of use that a forecast can carry, without its unit: rounded down, by little of what is `left`
    until then.

    >>> use_figure(12487.2, "hours", 12487.2), use_figure(12487.2, "hours", 187.0), use_figure(9.37, "years", 1.2)
    ('12\u202f400', '12\u202f487', '9.37')
    """
    if unit_of_use != "years":
        return grouped(rounded(units, left))
    digits = 1 if _MOST_LOST * left >= _TENTH else 2
    return grouped(rounded(units, left, 10.0**-digits), digits)


def rate_figure(mm_per_kh: float, unit_of_use: str) -> float:
    """Return a wear rate as it is said: in mm per 1000 h or starts, of use in years per year.

    Units: mm_per_kh [mm per 1000 units of use] -> [mm per 1000 units, or mm per year]
    Source: a thousand years are no measure of wear

    >>> rate_figure(1400.0, "years")
    1.4
    """
    return mm_per_kh / 1000 if unit_of_use == "years" else mm_per_kh


def rate_words(mm_per_kh: float, unit_of_use: str, worn_mm: float, sd_mm: float) -> str:
    """Return a wear rate to the digits that the wear and the reading can carry, two to four.

    Units: mm_per_kh [mm per 1000 units], worn_mm, sd_mm [mm]
    Source: no digit beyond what a reading tells

    >>> rate_words(4.63, "hours", 0.31, 0.05), rate_words(63.6364, "hours", 10.5, 0.05)
    ('4.6', '63.6')
    """
    value = rate_figure(mm_per_kh, unit_of_use)
    share = abs(sd_mm / worn_mm) if worn_mm else 1.0
    told = max(2, min(4, floor(-log10(max(share, 1e-6))) + 1))
    first = floor(log10(abs(value))) if value else 0
    return f"{round(value, told - 1 - first):.{max(told - 1 - first, 0)}f}"


def rate_unit(unit_of_use: str) -> str:
    """Return the unit in which a wear rate is said.

    >>> rate_unit("hours"), rate_unit("years")
    ('mm per 1000 hours', 'mm per year')
    """
    return "mm per year" if unit_of_use == "years" else f"mm per 1000 {unit_of_use}"


def ordinal(number: int) -> str:
    """Return which one it is, in words up to ten.

    >>> ordinal(3), ordinal(22), ordinal(113)
    ('third', '22nd', '113th')
    """
    if number <= len(_ORDINALS):
        return _ORDINALS[number - 1]
    ending = "th" if 10 <= number % 100 <= 20 else {1: "st", 2: "nd", 3: "rd"}.get(number % 10, "th")
    return f"{number}{ending}"


def rounded(units: float, left: float, step: float = 1.0) -> float:
    """Return use rounded down to a figure that a forecast can carry: three digits, or more where they would cost over
    2 % of what is `left` until then; never less than whole units or another step.

    >>> rounded(12487.2, 9000.0), rounded(12487.2, 187.0), rounded(882.9, 882.9), rounded(47.3, 47.3)
    (12400.0, 12487.0, 882.0, 47.0)
    """
    while units / step >= 1000 and step * 10 <= _MOST_LOST * left:
        step *= 10
    return floor(units / step + _HAIR) * step


def counted(units: float) -> str:
    """Return an amount of use with the tenth that it may have."""
    return grouped(units, 0 if units == int(units) else 1)


def counter_words(units: float, unit_of_use: str) -> str:
    """Return what a counter shows, with the tenth that it may show.

    >>> counter_words(112.5, "hours"), counter_words(112.0, "starts")
    ('112.5 h', '112 starts')
    """
    return f"{counted(units)} {UNIT_WORDS[unit_of_use]}"


def minutes_words(minutes: float) -> str:
    """Return a time as it is said of work.

    Units: minutes [min]

    >>> minutes_words(45), minutes_words(161), minutes_words(120)
    ('45 min', '2 h 41 min', '2 h')
    """
    hours, rest = divmod(round(minutes), 60)
    return " ".join(filter(None, (f"{hours} h" if hours else "", f"{rest} min" if rest or not hours else "")))


def day_words(day: date) -> str:
    """Return a date for a sentence.

    >>> day_words(date(2027, 3, 4))
    '4 March 2027'
    """
    return f"{day.day} {MONTHS[day.month - 1]} {day.year}"


def short_day(day: date) -> str:
    """Return a date for a drawing.

    >>> short_day(date(2027, 3, 4))
    '4 Mar 2027'
    """
    return f"{day.day} {MONTHS[day.month - 1][:3]} {day.year}"


def listed(names: list[str]) -> str:
    """Return names as a list in words.

    >>> listed(["A1", "A2", "B1"])
    'A1, A2 and B1'
    """
    return names[0] if len(names) == 1 else f"{', '.join(names[:-1])} and {names[-1]}" if names else ""


def band_said(low: float | None, high: float | None, unit: str) -> str:
    """Return between what a value may lie, empty where nothing says so.

    >>> band_said(2, 4.5, "mm"), band_said(0, 0.1, "Ω"), band_said(10, None, "V"), band_said(7, 7, "N·m")
    ('2 to 4.5 mm', 'at most 0.1 Ω', 'at least 10 V', '7 N·m')
    """
    if low and same(low, high if high is not None else inf):
        return figure_said(low, unit)
    if low and high is not None:
        return f"{figure_said(low, unit) if unit == 'share' else figure_words(low)} to {figure_said(high, unit)}"
    if high is not None:
        return f"at most {figure_said(high, unit)}"
    return f"at least {figure_said(low, unit)}" if low is not None else ""
