"""What stands at “Rework” says, keeps shut and waits for."""

import re
from collections.abc import Iterator
from datetime import datetime, timedelta

from norvash.core.judging import prints, run_in
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.given import Given
from norvash.core.sheet.measured import Measured, judged
from norvash.core.sheet.part import COMPLAINT
from norvash.core.sheet.sheet import Sheet
from norvash.core.stages.decide import OUTCOME, STOPS
from norvash.core.stages.rework import REPAIR, SOLVENT, SOLVENT_DRIES, SOLVENT_GONE, STAGE, TEMPORARY
from norvash.core.text.words import day_words
from norvash.core.visit.proving import open_words
from norvash.core.visit.visit import Judging, Visit

_HOUR, _HOURS, _MINUTES = re.compile(r"\bat (\d{1,2})[:.](\d\d)\b"), 24, 60


def _measure(sheet: Sheet, rules: MotorRules, _worn_mm: tuple[float, ...]) -> Iterator[Measured]:
    """Yield the temporary repairs of a sheet, each at its own number, its prints, and what its run-in found."""
    for n in TEMPORARY.places(sheet):
        words = TEMPORARY.of(sheet, n)
        yield judged(TEMPORARY, words, n, spot=n, off=REPAIR.worded(words))
    yield from prints.measured(sheet, rules)
    yield from run_in.measured(sheet, rules)


def dry_from(sheet: Sheet, rules: MotorRules) -> datetime | None:
    """Return from when a solvent that was used counts as gone, None where none was.

    Source: rules solvent.air, solvent.still
    """
    used = SOLVENT.given(sheet)
    if used is None:
        return None
    minutes = rules["solvent.air"] if SOLVENT_DRIES.of(sheet) == "air" else rules["solvent.still"]
    return used_at(used) + timedelta(minutes=minutes)


def used_at(used: Given) -> datetime:
    """Return when a solvent was used: at the hour that its words state, like “at 10:00”, unless that is still to come;
    else when it was entered.
    """
    stated = _HOUR.search(used.word)
    hour, minute = (int(stated[1]), int(stated[2])) if stated is not None else (24, 0)
    if hour >= _HOURS or minute >= _MINUTES:
        return used.at
    at = used.at.replace(hour=hour, minute=minute, second=0, microsecond=0)
    return min(at, used.at)


def dries_until(sheet: Sheet, rules: MotorRules) -> datetime | None:
    """Return until when a solvent dries of which nobody has said that it is gone, or too early; None without one."""
    dry, gone = dry_from(sheet, rules), SOLVENT_GONE.given(sheet)
    return None if dry is None or (gone is not None and gone.at >= dry) else dry


def _before_power(visit: Visit) -> Iterator[str]:
    """Yield that a solvent still dries."""
    dry = dries_until(visit.sheet, visit.rules)
    if dry is not None:
        yield f"solvent ({SOLVENT.of(visit.sheet)}) dries until {dry:%H:%M} on {day_words(dry.date())}: look then"


def _before_signing(visit: Visit) -> Iterator[str]:
    """Yield every finding that was decided and is not done, or done and not proven; not what was handed over."""
    quick = visit.sheet.kind == "quick"
    if not quick and OUTCOME.of(visit.sheet) in STOPS:
        return
    for life in visit.lives:
        waits = life.state == "done not proven" or (life.state == "open" and life.decided is not None)
        if waits and life.finding.part is not COMPLAINT and not life.handed_over:
            yield open_words(life, quick=quick)


JUDGING = Judging(stage=STAGE, holds={"power": _before_power, "sign": _before_signing}, measure=_measure)
