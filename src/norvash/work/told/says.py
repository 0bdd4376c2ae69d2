"""What each stage of an open sheet works out from what stands on it, as lines for people, in the order of the work."""

from collections.abc import Callable, Iterable, Iterator

from norvash.core.judging.commutator.says import cut_says
from norvash.core.judging.drive.values import told_first as of_drive
from norvash.core.judging.prove.driven import driven_told
from norvash.core.judging.prove.safe_volts import safe_by_runs
from norvash.core.judging.prove.standstill import standstill_told
from norvash.core.judging.run_in import plan_of
from norvash.core.judging.windings.values import told_first as of_windings
from norvash.core.running.plan import RunIn
from norvash.core.sheet.measured import Measured
from norvash.core.sheet.stage import Stage
from norvash.core.stages.before.stage import STAGE as BEFORE
from norvash.core.stages.commutator.stage import STAGE as COMMUTATOR
from norvash.core.stages.drive.stage import STAGE as DRIVE
from norvash.core.stages.prove.stage import STAGE as PROVE
from norvash.core.stages.rework import STAGE as REWORK
from norvash.core.stages.windings.stage import STAGE as WINDINGS
from norvash.core.visit.walk import touched
from norvash.store.file.database import Connection
from norvash.work.reading.copper_bench import copper_of
from norvash.work.reading.sheet_now import SheetNow
from norvash.work.reading.slots_here import slots_here


def says_told(conn: Connection, page: SheetNow) -> list[str]:
    """Return what was worked out at every stage at which something was entered."""
    said: tuple[tuple[Stage, Callable[[Connection, SheetNow], Iterable[str]]], ...] = (
        (BEFORE, lambda _conn, page: _measured(page, BEFORE)),
        (COMMUTATOR, _copper),
        (WINDINGS, lambda _conn, page: (*of_windings(page.sheet, page.context.rules), *_measured(page, WINDINGS))),
        (DRIVE, lambda _conn, page: (*_measured(page, DRIVE), *of_drive(page.sheet, page.context.rules))),
        (REWORK, lambda _conn, page: run_in_words(plan_of(page.sheet, page.context.rules))),
        (PROVE, lambda _conn, page: _proof(page)),
    )
    return [f"{s.words}: {w}" for s, says in said if touched(page.sheet, s) for w in says(conn, page)]


def _measured(page: SheetNow, stage: Stage) -> Iterator[str]:
    return (m.words for m in page.at(stage))


def _words(said: Iterable[Measured]) -> Iterator[str]:
    return (s.words for s in said)


def _copper(conn: Connection, page: SheetNow) -> Iterator[str]:
    sheet, rules = page.sheet, page.context.rules
    now = copper_of(page)
    yield from _measured(page, COMMUTATOR)
    yield from _words(cut_says(sheet, now, slots_here(conn, rules), rules))


def run_in_words(plan: RunIn) -> Iterator[str]:
    """Yield how the faces are run in, each step with its volts and amps at most, and what releases the load."""
    most = (
        (s, f"{s.most_v:.3g} V" if s.most_v is not None else "", f"{s.most_a:.3g} A" if s.most_a is not None else "")
        for s in plan.steps
    )
    yield f"run-in: {plan.how}; release at a print of {plan.release:.0%}"
    for step, volts, amps in most:
        keep = " and ".join(filter(None, (volts, amps)))
        yield f"run-in, {step.from_min:.0f} to {step.to_min:.0f} min: {step.words}{f', at most {keep}' if keep else ''}"


def _proof(page: SheetNow) -> Iterator[str]:
    sheet, rules = page.sheet, page.context.rules
    safe = safe_by_runs(sheet, rules)
    yield from _words(standstill_told(sheet, rules))
    yield from _words(driven_told(sheet, rules))
    if safe is not None:
        yield f"without load at most {safe.volts:.3g} V, {safe.why}"
    yield from _measured(page, PROVE)
