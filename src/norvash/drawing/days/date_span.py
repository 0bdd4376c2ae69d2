"""One motor's dates on a time axis that all rows of the bench share."""

from dataclasses import dataclass
from datetime import date, timedelta
from functools import cached_property

from norvash.core.text.words import day_words
from norvash.drawing.svg import Drawing, Element, el, label, line

_HEIGHT = 44.0


@dataclass(frozen=True)
class TimeAxis:
    """A stretch of days drawn over a width [px]."""

    first: date
    last: date
    width: float

    def x(self, day: date) -> float:
        """Return where a day stands, held within the axis."""
        share = (day - self.first).days / max((self.last - self.first).days, 1)
        return min(max(share, 0.0), 1.0) * (self.width - 14) + 4

    @cached_property
    def grid(self) -> str:
        """Return the strokes of the months as one path."""
        return "".join(f"M{self.x(m):.5g} 0v{_HEIGHT:g}" for m in self.months())

    def months(self) -> list[date]:
        """Return the first days of the months on the axis."""
        made, day = [], date(self.first.year, self.first.month, 1)
        while day <= self.last:
            if day >= self.first:
                made.append(day)
            day = (day + timedelta(days=32)).replace(day=1)
        return made


def axis_head(axis: TimeAxis) -> Drawing:
    """Draw the months above the rows."""
    made: list[Element] = []
    free = 0.0
    for i, month in enumerate(axis.months()):
        x = axis.x(month)
        made.append(line("rule", x, 14, x, 24))
        told = month.month == 1 or (i % 2 == 0 and x >= free)
        if told and x < axis.width - 22:
            words = f"{month:%b}" if month.month != 1 else f"{month:%Y}"
            made.append(label("text-soft", x + 2, 12, words))
            free = x + 34
    return Drawing(
        name="date-head",
        width=axis.width,
        height=24,
        title="Months",
        description=f"From {day_words(axis.first)} to {day_words(axis.last)}",
        elements=tuple(made),
    )


def date_span(
    axis: TimeAxis,
    look_on: date | None,
    limit_on: date | None,
    early_on: date | None = None,
    late_on: date | None = None,
) -> Drawing:
    """Draw the band in which a motor's limit falls eight times in ten, its middle as a peg, and the next look as a
    foot.
    """
    made: list[Element] = [el("path", "rule", d=axis.grid)]
    if limit_on is None:
        return Drawing(
            name="date-span",
            width=axis.width,
            height=_HEIGHT,
            title="Dates",
            description="No date yet.",
            elements=tuple(made),
        )
    end, low, high = axis.x(limit_on), axis.x(early_on or limit_on), axis.x(late_on or limit_on)
    beyond = limit_on > axis.last
    made.append(el("rect", "span", x=low, y=8.0, width=max(high - low, 1.0), height=12.0))
    if look_on and look_on <= axis.last:
        foot = axis.x(look_on)
        made.append(el("path", "peg", d=f"M{foot:.1f} 20l-4.5 8h9z"))
    if beyond:
        made.append(el("path", "peg", d=f"M{end - 5:.1f} 7l7 7l-7 7z"))
    else:
        made.append(el("rect", "peg", x=end - 1.75, y=3.0, width=3.5, height=22.0))
    words = (
        f"{limit_on.day} {limit_on:%b}" if (limit_on - axis.first).days < 250 and not beyond else f"{limit_on:%b %Y}"
    )
    anchor = "end" if end > axis.width - 60 else "start" if end < 40 else "middle"
    made.append(label("text-date", end, 40, words, anchor))
    band = f", 8 times in 10 from {day_words(early_on)} to {day_words(late_on)}" if early_on and late_on else ""
    said = f"Limit about {day_words(limit_on)}{band}" + (f", look again by {day_words(look_on)}" if look_on else "")
    return Drawing(
        name="date-span", width=axis.width, height=_HEIGHT, title="Dates", description=said, elements=tuple(made)
    )
