"""What happened to a counter: it was replaced, reset or stood still, with what is known of its ends."""

from dataclasses import asdict, dataclass

from norvash.core.edges import over, under
from norvash.core.text.quantities import parse
from norvash.core.text.texts import clean
from norvash.core.text.words import counter_words
from norvash.core.use.log_entry import Entry
from norvash.errors import InputError

UNKNOWN = "?"
# What is said of the ends of a counter, and since when it stood still.
ENDS = ("old_last", "new_first", "said_by", "since")
CHANGED, STOOD_STILL = ("replaced", "reset"), "stood still"
_LONGEST = 80


@dataclass(frozen=True, slots=True, kw_only=True)
class Happened:
    """What is said of a counter since it was read, as it is typed: which it is (`answer`); the last figure of the old
    one, nothing or “?” where nobody knows it, and the first of the new one, nothing for 0; who says so, or may know;
    since when it stood still.
    """

    answer: str = ""
    old_last: str = ""
    new_first: str = ""
    said_by: str = ""
    since: str = ""

    @property
    def typed(self) -> dict[str, str]:
        """Return what was typed of it, but for the answer."""
        return {k: v.strip() for k, v in asdict(self).items() if k in ENDS and v.strip()}

    @property
    def told(self) -> dict[str, str]:
        """Return what was said of a counter to which something happened, as it would be said again."""
        return {"answer": self.answer, **self.typed} if self.answer else {}

    @property
    def names_an_end(self) -> bool:
        """Tell whether anything is said of where one counter ended and the other began, “?” included."""
        return bool(self.old_last.strip() or self.new_first.strip())

    def check(self) -> None:
        """Refuse figures of a changed counter where nobody says that it was changed, and a day of one that ran.

        Raises: InputError at the field.
        """
        told = {"old_last": self.names_an_end and self.answer not in CHANGED}
        told["since"] = bool(self.since.strip()) and self.answer != STOOD_STILL
        at = next((name for name, is_told in told.items() if is_told), "")
        if at:
            raise InputError(
                "It is said where a counter ended, and not that it was changed."
                if at == "old_last"
                else "It is said since when a counter stood still, and not that it did.",
                "Say what happened to it, or leave this empty.",
                at,
            )


NOTHING = Happened()


def across(value: float, before: Entry, said: Happened, unit: str) -> tuple[float, bool]:
    """Return the use from an entry to a value of the next counter, and whether it is known: each part inside one
    counter, at least what is left where one end of the two is not known.

    Units: the motor's unit of use.
    Raises: InputError at the field where a counter would end before it starts.
    """
    last = _end(said.old_last, unit, "old_last")
    first = _end(said.new_first.strip() or "0", unit, "new_first")
    if last is not None and under(last, before.counter_units):
        raise InputError(
            f"The old one showed {counter_words(before.counter_units, unit)} on {before.at:%Y-%m-%d}: it cannot have"
            f" ended at {counter_words(last, unit)}.",
            f"Correct it, or type {UNKNOWN} where nobody knows.",
            "old_last",
        )
    if first is not None and over(first, value):
        raise InputError(
            f"It shows {counter_words(value, unit)}: it cannot have begun at {counter_words(first, unit)}.",
            f"Correct it, or type {UNKNOWN} where nobody knows.",
            "new_first",
        )
    of_old = 0.0 if last is None else last - before.counter_units
    of_new = 0.0 if first is None else value - first
    return of_old + of_new, last is not None and first is not None


def _end(text: str, unit: str, name: str) -> float | None:
    """Return the figure at one end of a counter, None where nobody knows it."""
    if not text.strip() or text.strip() == UNKNOWN:
        return None
    try:
        found = parse(text, unit).value
    except InputError as refused:
        raise refused.at(name) from None
    if found < 0:
        raise InputError(f"“{text.strip()[:30]}” is below 0.", "Type what the counter showed.", name)
    return found


def said_by(said: Happened) -> str:
    """Return who says what happened to a counter, or may know. Raises: InputError"""
    words = " ".join(clean(said.said_by, "said_by", note=True).split())
    if len(words) > _LONGEST:
        raise InputError("That is too long.", f"Use at most {_LONGEST} characters.", "said_by")
    return words
