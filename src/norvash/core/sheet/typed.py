"""One entry as it was typed or picked, read by the kind of its field."""

from collections.abc import Callable, Mapping
from dataclasses import dataclass
from datetime import date, datetime

from norvash.core.commutator.bars import check_bars, read_map, write_map
from norvash.core.part_findings import BY_ID as FINDINGS
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.deciding import DECISIONS, RENEW
from norvash.core.sheet.facts import Facts
from norvash.core.sheet.field import BEARINGS, SheetField
from norvash.core.sheet.fields import MOST_TEXT
from norvash.core.sheet.part_fields import REFUSED
from norvash.core.sheet.sheet import YES
from norvash.core.text.columns import read_column
from norvash.core.text.quantities import parse
from norvash.core.text.texts import clean
from norvash.errors import InputError

_DAYS = ("%Y-%m-%d", "%d/%m/%Y", "%d.%m.%Y", "%d %B %Y")
_MOST_NUMBER = 99


@dataclass(frozen=True, slots=True)
class Read:
    """What an entry means: its word or its number in the SI unit, and what belongs to a decision."""

    typed: str
    word: str = ""
    number: float | None = None
    more: Mapping[str, str] | None = None


@dataclass(frozen=True, slots=True, kw_only=True)
class _Asked:
    """An entry before it is read: its field, what was typed, what belongs to it, and what it is read by."""

    field: SheetField
    text: str
    more: Mapping[str, str]
    facts: Facts
    rules: MotorRules
    today: date


def read_entry(
    field: SheetField, text: str, more: Mapping[str, str], *, facts: Facts, rules: MotorRules, today: date
) -> Read:
    """Return an entry as read; an empty text empties the place.

    Raises: InputError at “value”, or at the part of a decision that is missing.
    """
    cleaned = clean(text, "value", note=True)
    cleaned = cleaned if field.kind == "column" else " ".join(cleaned.split())
    if not cleaned:
        return Read("")
    return _READERS[field.kind](_Asked(field=field, text=cleaned, more=more, facts=facts, rules=rules, today=today))


def place_of(field: SheetField, place: int, facts: Facts) -> None:
    """Refuse a place at which a field cannot be entered.

    Raises: InputError.
    """
    numbers = {
        "": 0,
        "position": max((p.number for p in facts.positions), default=0),
        "tap": len(facts.taps),
        "number": _MOST_NUMBER,
        "bearing": len(BEARINGS),
    }
    low = 0 if field.per == "" or field.id.startswith("decide.") else 1
    if not low <= place <= numbers[field.per]:
        raise InputError("There is no such place on this motor.", "Choose one that is shown.", "place")


def _tick(asked: _Asked) -> Read:
    if asked.text != YES:
        raise InputError(f"“{asked.text[:40]}” is no tick.", "Tick it or leave it.", "value")
    return Read(asked.text, asked.text)


def _pick(asked: _Asked) -> Read:
    if asked.text not in dict(asked.field.choices):
        raise InputError(
            f"“{asked.text[:40]}” is no answer to “{asked.field.label}”.", "Choose one of those shown.", "value"
        )
    if asked.field.id == "surface-with" and asked.text in REFUSED:
        raise InputError(
            f"Refused: {REFUSED[asked.text]}.",
            "Use a commutator stone or non-conducting paper; clean every slot after.",
            "value",
        )
    if asked.field.id.startswith("overrule."):
        return Read(
            asked.text,
            asked.text,
            None,
            {"why": _part(asked.more, "why", "Say why: the reason stands beside the verdict")},
        )
    return Read(asked.text, asked.text)


def _quantity(asked: _Asked) -> Read:
    unit = asked.facts.figures.word("length_unit") if asked.field.dimension == "length" else None
    try:
        typed = parse(asked.text, asked.field.dimension, unit)
    except InputError as error:
        raise error.at("value") from None
    if not asked.field.low <= typed.value <= asked.field.high:
        raise InputError(
            f"{asked.field.label}: “{asked.text}” cannot be right.",
            f"Give a value from {asked.field.low:g} to {asked.field.high:g}.",
            "value",
        )
    return Read(asked.text, "", typed.value, _time_planned(asked))


def _time_planned(asked: _Asked) -> dict[str, str] | None:
    """Return the time that the slots were expected to take, beside the time that they took."""
    bars = asked.facts.figures.stated("bars")
    if asked.field.id != "slot-minutes" or bars is None:
        return None
    from norvash.core.commutator.after_cut import slot_minutes

    return {"estimated": f"{slot_minutes(int(bars), asked.rules):g}"}


def _column(asked: _Asked) -> Read:
    unit = asked.facts.figures.word("length_unit") if asked.field.dimension == "length" else None
    try:
        values = read_column(asked.text, asked.field.dimension, unit)
    except InputError as error:
        raise error.at("value") from None
    off = next(
        (i for i, x in enumerate(values, start=1) if x is not None and not asked.field.low <= x <= asked.field.high),
        None,
    )
    if off is not None:
        raise InputError(
            f"{asked.field.label}: reading {off} cannot be right.",
            f"Give values from {asked.field.low:g} to {asked.field.high:g}.",
            "value",
        )
    return Read(asked.text, ";".join("-" if x is None else f"{x:.9g}" for x in values))


def _map(asked: _Asked) -> Read:
    bars = asked.facts.figures.stated("bars")
    shown = read_map(asked.text, check_bars(None if bars is None else int(bars), "value"))
    return Read(asked.text, write_map(shown))


def _text(asked: _Asked) -> Read:
    if len(asked.text) > MOST_TEXT:
        raise InputError(
            f"{asked.field.label}: {len(asked.text)} characters are too many.", f"Use at most {MOST_TEXT}.", "value"
        )
    if asked.field.id == "next-look":
        return Read(asked.text, read_day(asked.text, asked.today, "value").isoformat())
    return Read(asked.text, asked.text)


def _decision(asked: _Asked) -> Read:
    return next(reader for start, reader in _DECISIONS.items() if asked.field.id.startswith(start))(asked)


def _decide(asked: _Asked) -> Read:
    finding = asked.field.id.removeprefix("decide.")
    if asked.text not in DECISIONS or (finding not in FINDINGS and finding != RENEW):
        raise InputError("This decision is not known.", "Choose one of " + ", ".join(DECISIONS.values()) + ".", "value")
    if asked.text == "deferred":
        return Read(asked.text, asked.text, None, _put_off(asked.more, asked.today))
    if asked.text == "dropped":
        return Read(asked.text, asked.text, None, {"why": _part(asked.more, "why", "Say why it is not needed")})
    return Read(asked.text, asked.text)


def _put_off(more: Mapping[str, str], today: date) -> dict[str, str]:
    who = _part(more, "who", "Say who sees to it")
    return {"who": who, "day": read_day(_part(more, "day", "Say by when"), today, "day").isoformat()}


def _temporary(asked: _Asked) -> Read:
    return Read(asked.text[:MOST_TEXT], asked.text[:MOST_TEXT], None, _put_off(asked.more, asked.today))


def _permit(asked: _Asked) -> Read:
    """Return a permit for a test with power on: why, who, barriers, how long. Source: rule permit.minutes"""
    kept = {
        "who": _part(asked.more, "who", "Say who makes the test"),
        "barriers": _part(asked.more, "barriers", "Say what keeps people away"),
    }
    try:
        minutes = parse(_part(asked.more, "minutes", "Say for how long"), "minutes").value
    except InputError as error:
        raise error.at("minutes") from None
    if not 0 < minutes <= asked.rules["permit.minutes"]:
        raise InputError(
            f"{minutes:g} min cannot be permitted.",
            f"Open it for at most {asked.rules['permit.minutes']:g} min, then anew.",
            "minutes",
        )
    return Read(asked.text[:MOST_TEXT], asked.text[:MOST_TEXT], None, {**kept, "minutes": f"{minutes:g}"})


def _part(more: Mapping[str, str], name: str, remedy: str) -> str:
    text = " ".join(clean(more.get(name, ""), name, note=True).split())
    if not text or len(text) > MOST_TEXT:
        raise InputError("Something is missing." if not text else "That is too long.", f"{remedy}.", name)
    return text


def read_day(text: str, today: date, field: str) -> date:
    """Return a day from today on.

    Raises: InputError for a day that cannot be read, or that has passed.
    """
    for form in _DAYS:
        try:
            day = datetime.strptime(text, form).date()
        except ValueError:
            continue
        if day < today:
            raise InputError(f"{text} has passed.", "Give a day from today on.", field)
        return day
    raise InputError(f"“{text[:40]}” is not a day.", f"Write it like {today:%Y-%m-%d} or {today:%d/%m/%Y}.", field)


_READERS: dict[str, Callable[[_Asked], Read]] = {
    "tick": _tick,
    "pick": _pick,
    "quantity": _quantity,
    "text": _text,
    "decision": _decision,
    "column": _column,
    "map": _map,
}
_DECISIONS: dict[str, Callable[[_Asked], Read]] = {"decide.": _decide, "temporary": _temporary, "permit.open": _permit}
