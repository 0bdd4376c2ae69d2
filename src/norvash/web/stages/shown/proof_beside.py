"""Beside a proof run: found and left, a test at standstill, a safe voltage, what a generator is driven by."""

from dataclasses import dataclass

from norvash.core.judging.prove.before_after import before_after, output_found
from norvash.core.judging.prove.driven import driven_rpm, driven_told
from norvash.core.judging.prove.run import Run
from norvash.core.judging.prove.safe_volts import safe_by_runs, safe_lacks
from norvash.core.judging.prove.standstill import standstill_told
from norvash.core.motor.figure_fields import RATED_RPM, RATED_V
from norvash.core.sheet.field import Field
from norvash.core.sheet.measured import Measured
from norvash.core.stages.prove import driven, standstill
from norvash.drawing.running.output_curve import Output, output_curve
from norvash.drawing.scales.before_after import before_after_drawn
from norvash.drawing.shaft.belt_drive import belt_drive
from norvash.drawing.svg import Drawing
from norvash.web.stages.shown.fields import Entry, entry
from norvash.work.reading.sheet_now import SheetNow

_WIDE, _PULLEYS = 470.0, 300.0


@dataclass(frozen=True, slots=True, kw_only=True)
class ProofBeside:
    """Figures as found and as left, drawn; volts of a generator over its speed, its drive drawn; the fields of a test
    at standstill and of a drive, what follows from them; why there is no safe voltage by low runs, or what it is.
    """

    table: Drawing | None
    curve: Drawing | None
    pulleys: Drawing | None
    still: tuple[Entry, ...]
    still_says: tuple[Measured, ...]
    driven: tuple[Entry, ...]
    driven_says: tuple[Measured, ...]
    safe: str
    safe_lacks: str


def proof_beside(page: SheetNow, run: Run) -> ProofBeside:
    """Return what stands beside a proof run."""
    sheet, facts, rules = page.sheet, page.context.facts, page.context.rules
    rows = before_after(sheet, run, rules) if run.points or output_found(sheet) else ()
    safe = safe_by_runs(sheet, rules)

    def offered(fields: tuple[Field, ...]) -> tuple[Entry, ...]:
        made = (entry(page, f) for f in fields if f.is_offered(facts, rules))
        return tuple(e for e in made if e.given is not None or page.row.signed_at is None)

    return ProofBeside(
        table=before_after_drawn(rows, _WIDE) if rows else None,
        curve=_curve(page, run),
        pulleys=_pulleys(page),
        still=offered(standstill.FIELDS),
        still_says=tuple(standstill_told(sheet, rules)),
        driven=offered(driven.FIELDS),
        driven_says=tuple(driven_told(sheet, rules)) if facts.motor_class == "generator" else (),
        safe=safe.words if safe is not None else "",
        safe_lacks=safe_lacks(sheet, rules) if run.points or page.row.signed_at is None else "",
    )


def _curve(page: SheetNow, run: Run) -> Drawing | None:
    """Return the volts of a generator over its speed, None of a motor, and before anything was read."""
    sheet, rules = page.sheet, page.context.rules
    left = [(p.rpm, p.volts) for p in run.points if p.rpm is not None and p.volts is not None]
    found = [(n, v) for n, v in output_found(sheet) if n is not None and v is not None]
    if sheet.facts.motor_class != "generator" or not (left or found):
        return None
    volts, rpm = RATED_V.of(sheet.facts.figures), RATED_RPM.of(sheet.facts.figures)
    drawn = Output(
        found=found,
        left=left,
        plate=(rpm, volts) if volts and rpm else None,
        judged_from=rules["output.from"],
        band=(rules["output.low"], rules["output.high"]),
        near=(rules["output.full"], rules["output.over"]),
    )
    return output_curve(drawn, _WIDE)


def _pulleys(page: SheetNow) -> Drawing | None:
    driver, own = driven.DRIVER_D.of(page.sheet), driven.DRIVEN_D.of(page.sheet)
    rpm, there = driven.DRIVER_RPM.of(page.sheet), driven_rpm(page.sheet)
    return belt_drive(driver, rpm, own, there, _PULLEYS) if driver and own and rpm and there else None
