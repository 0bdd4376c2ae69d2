"""What has to be waited for on a sheet, by the clock: a solvent that dries, a starter that rests."""

from collections.abc import Iterator
from dataclasses import dataclass
from datetime import datetime, timedelta

from norvash.core.rules.book import MotorRules
from norvash.core.sheet.judging.rework import dries_until
from norvash.core.sheet.sheet import Sheet
from norvash.core.sheet.stages.prove.run_fields import RUN_S
from norvash.core.sheet.stages.rework import SOLVENT


@dataclass(frozen=True, slots=True)
class Timer:
    """Something that is waited for: since when, until when, and what is done then."""

    words: str
    since: datetime
    until: datetime
    then: str

    def left_s(self, now: datetime) -> float:
        """Return how long it is still waited for [s], 0 when it is over."""
        return max((self.until - now).total_seconds(), 0.0)


def timers(sheet: Sheet, rules: MotorRules) -> tuple[Timer, ...]:
    """Return what is waited for on a sheet: each until somebody has said what it waits for.

    Source: rules solvent.air, solvent.still, cable.rest
    """
    return (*_solvent(sheet, rules), *_rest(sheet, rules))


def _solvent(sheet: Sheet, rules: MotorRules) -> Iterator[Timer]:
    used, dry = SOLVENT.given(sheet), dries_until(sheet, rules)
    if used is not None and dry is not None:
        yield Timer(f"solvent ({SOLVENT.of(sheet)}) dries", used.at, dry, "look whether it is gone")


def _rest(sheet: Sheet, rules: MotorRules) -> Iterator[Timer]:
    """Yield the rest after the newest burst of a starter; it begins when the burst was entered, at the latest."""
    last = max((g.at for n in RUN_S.places(sheet) if (g := RUN_S.given(sheet, n)) is not None), default=None)
    if last is not None and sheet.facts.motor_class == "starter":
        until = last + timedelta(seconds=rules["cable.rest"])
        yield Timer(f"rest after burst {len(list(RUN_S.places(sheet)))}", last, until, "the next burst may follow")
