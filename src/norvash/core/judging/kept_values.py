"""What was measured at a visit as it is kept with its signature: every value once in each sight that it was read in."""

from collections.abc import Iterator

from norvash.core.judging.measuring import measured_at
from norvash.core.judging.rests_on import stands_on
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.given import Given, Sight
from norvash.core.sheet.kept_value import KeptValue
from norvash.core.sheet.measured import NAMES, Measured
from norvash.core.sheet.sheet import Sheet
from norvash.core.stages.catalogue import STAGES, field_of
from norvash.core.text.words import figure_said
from norvash.core.visit.named import field_words, place_words, said_words

_MOST_TYPED = 60
# What of a value is kept beside its columns.
_REST = ("of", "derived", "notch", "before", "findings", "answer")


def kept_of(m: Measured, sheet: Sheet, rules: MotorRules, stage: str, sight: Sight) -> KeptValue:
    """Return a measured value as it is kept, by whom its newest entry is."""
    plain, given = m.as_plain(), _newest(m, sheet)
    return KeptValue(
        stage=stage,
        id=m.id,
        spot=m.spot,
        sight=sight,
        what=_called(m, sheet),
        said=_said(m, given),
        value=m.value,
        unit=m.unit,
        low=m.low,
        high=m.high,
        basis=m.basis,
        standing=m.standing,
        grade=m.grade,
        words=m.words,
        by=given.person if given is not None else "",
        at=given.at if given is not None else None,
        rest={n: plain[n] for n in _REST} | {"rests_on": dict(stands_on(m, sheet, rules))},
    )


def kept_values(sheet: Sheet, rules: MotorRules, worn_mm: tuple[float, ...] = ()) -> Iterator[KeptValue]:
    """Yield what was measured on a sheet in the order of the work: as it was found, then what was read as left.

    Units: worn_mm [mm] of every brush since new.
    """
    before = sheet.as_found
    for stage in STAGES:
        yield from (kept_of(m, before, rules, stage.id, "found") for m in measured_at(stage, before, rules, worn_mm))
        for m in measured_at(stage, sheet, rules, worn_mm) if before is not sheet else ():
            if any(g.sight == "left" for e in m.of if (g := sheet.entries.get(e)) is not None):
                yield kept_of(m, sheet, rules, stage.id, "left")


def _newest(m: Measured, sheet: Sheet) -> Given | None:
    """Return the newest entry of those that a value is made of."""
    read = [g for e in m.of if (g := sheet.entries.get(e)) is not None]
    return max(read, key=lambda g: (g.at, g.seq), default=None)


def _called(m: Measured, sheet: Sheet) -> str:
    """Return what a value is called, and on what it was measured."""
    field_id, place = m.of[-1]
    at, labels = field_of(field_id), {p.number: p.label for p in sheet.facts.positions}
    if at is None:
        return NAMES.get(m.id, m.id)
    where = place_words(at, place, labels) if m.id == field_id or m.spot == place else ""
    return f"{NAMES.get(m.id) or field_words(at)}{where}"


def _said(m: Measured, given: Given | None) -> str:
    """Return a value as it was typed, with its unit; what follows from several, or is long, by its figure."""
    at = field_of(m.of[-1][0])
    if given is None or at is None or not (m.id == at.id and len(given.typed) <= _MOST_TYPED):
        return figure_said(m.value, m.unit) if m.value is not None else ""
    return said_words(at, given)
