"""What has to be waited for on a sheet, by the clock: a solvent that dries, a starter that rests, a run-in."""

from collections.abc import Iterator
from dataclasses import dataclass
from datetime import datetime, timedelta

from norvash.core.judging.rework import dries_until, used_at
from norvash.core.judging.run_in import plan_of, ran_min, runs_now, turns_of
from norvash.core.rules.book import MotorRules
from norvash.core.running.plan import BURSTS
from norvash.core.sheet.sheet import Sheet
from norvash.core.stages.prove.run_fields import RUN_S
from norvash.core.stages.rework import SOLVENT
from norvash.core.stages.shared import FIT_SET
from norvash.core.visit.done import done_tasks


@dataclass(frozen=True, slots=True)
class Timer:
    """Something that is waited for: since when, until when, and what is done then."""

    words: str
    since: datetime
    until: datetime
    then: str


def timers(sheet: Sheet, rules: MotorRules, now: datetime) -> tuple[Timer, ...]:
    """Return what is waited for on a sheet: each until somebody has said what it waits for.

    Source: rules solvent.air, solvent.still, cable.rest, runin.*
    """
    return (*_solvent(sheet, rules), *_rest(sheet, rules), *_run_in(sheet, rules, now))


def _solvent(sheet: Sheet, rules: MotorRules) -> Iterator[Timer]:
    used, dry = SOLVENT.given(sheet), dries_until(sheet, rules)
    if used is not None and dry is not None:
        yield Timer(f"solvent ({SOLVENT.of(sheet)}) dries", used_at(used), dry, "look whether it is gone")


def _rest(sheet: Sheet, rules: MotorRules) -> Iterator[Timer]:
    """Yield the rest after the newest burst of a starter; it begins when the burst was entered, at the latest."""
    last = max((g.at for n in RUN_S.places(sheet) if (g := RUN_S.given(sheet, n)) is not None), default=None)
    if last is not None and sheet.facts.motor_class == "starter":
        until, burst = last + timedelta(seconds=rules["cable.rest"]), len(list(RUN_S.places(sheet)))
        of = f" of {BURSTS}, which bed its faces" if FIT_SET in done_tasks(sheet) and burst <= BURSTS else ""
        yield Timer(f"rest after burst {burst}{of}", last, until, "the next burst may follow")


def _run_in(sheet: Sheet, rules: MotorRules, now: datetime) -> Iterator[Timer]:
    """Yield what is left of the step in hand of a run-in, while its clock runs."""
    ran = ran_min(sheet, now) if runs_now(sheet) else None
    step = plan_of(sheet, rules).at(ran) if ran is not None else None
    if ran is not None and step is not None and ran < step.to_min:
        since = turns_of(sheet)[-1].at
        until = since + timedelta(minutes=step.to_min - (ran_min(sheet, since) or 0.0))
        yield Timer(f"run-in, {step.words}", since, until, "take the prints, look at faces and bars")
