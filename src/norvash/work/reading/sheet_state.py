"""A sheet put together from the record, and what it tells of its motor beyond the readings."""

from collections.abc import Iterable, Mapping, Sequence
from dataclasses import dataclass, field, replace
from datetime import date

from norvash.core.judging.brushes.fitted import differences
from norvash.core.judging.measuring import measured_on
from norvash.core.judging.noted import answered, by_place, noted
from norvash.core.motor.figure_fields import NEW_MM
from norvash.core.motor.figures import Figures
from norvash.core.motor.positions import PositionPlan
from norvash.core.record.record import SheetRow
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.facts import Facts
from norvash.core.sheet.finding import Finding
from norvash.core.sheet.given import Earlier, Given
from norvash.core.sheet.ground import Ground, ThenMade, graver
from norvash.core.sheet.life import At, KeptLife, Then, Told
from norvash.core.sheet.measured import unjudged
from norvash.core.sheet.sheet import Baseline, Gone, Lent, Sheet, Spot
from norvash.core.stages.catalogue import APART, FIELDS, TOGETHER
from norvash.core.stages.decide import AWAY, MOTOR_OVERRULED, OUTCOME, OVERRULED
from norvash.core.stages.prove.complaint import COMPLAINT_NOW
from norvash.core.stages.prove.run_fields import FIELDS as RUN_FIELDS
from norvash.core.stages.prove.run_fields import RUN_HOW, stands_at
from norvash.core.stages.prove.unstated import PLATE_NONE
from norvash.core.stages.record import HOW_FAR_OPEN
from norvash.core.stages.sign import NEXT_LOOK, NEXT_LOOK_AT
from norvash.core.stages.stacks import LENT_FIELDS
from norvash.core.state.motor_state import BrushSet, Overrule
from norvash.core.state.round import Round
from norvash.store.file.database import Connection
from norvash.store.record import entries
from norvash.work.reading.lending import lent_to
from norvash.work.reading.runs_before import NO_RUNS, runs_before

# What is held against the last sheet that has it.
_COMPARED = tuple(f.id for f in FIELDS if f.compared)
# A stack that is begun, or a motor that lies open, is lent what others of its type had.
_STACKED = frozenset((*LENT_FIELDS, HOW_FAR_OPEN.id))
_OF_RUN = frozenset((RUN_HOW.id, PLATE_NONE.id, *(f.id for f in RUN_FIELDS)))


@dataclass(frozen=True, slots=True, kw_only=True)
class Compared:
    """What earlier visits left to compare with: the last values of fields that are compared, what they lend to the
    stacks, and how it ran after the last good repair; and how it was answered whether the complaint is gone.
    """

    earlier: Mapping[tuple[str, int], Earlier] = field(default_factory=dict)
    lent: Mapping[tuple[str, int], Lent] = field(default_factory=dict)
    baseline: Baseline | None = None
    first_run: Baseline | None = None
    gone: tuple[Gone, ...] = ()
    stated_here: frozenset[str] = frozenset()
    answers: tuple[Given, ...] = ()


NOT_COMPARED = Compared()


def compared_with(conn: Connection, row: SheetRow, written: Mapping[Spot, Given]) -> Compared:
    """Return what earlier visits left to compare with, as far as what is written on a sheet asks for it."""
    fields = {f for f, _, _ in written}
    earlier = entries.list_earlier(conn, row.motor_id, row.number, _COMPARED) if fields.intersection(_COMPARED) else {}
    run = runs_before(conn, row) if fields & _OF_RUN else NO_RUNS
    return Compared(
        earlier=earlier,
        lent=lent_to(conn, row, fields),
        baseline=run.baseline,
        first_run=run.first_run,
        gone=run.gone,
        stated_here=run.stated_here,
        answers=_answers(conn, row.id, written) if COMPLAINT_NOW.id in fields else (),
    )


def _answers(conn: Connection, sheet_id: str, written: Mapping[Spot, Given]) -> tuple[Given, ...]:
    """Return how it was answered whether the complaint is gone, in order: those in the record, and one that is new."""
    kept, stood = entries.list_answers(conn, sheet_id, COMPLAINT_NOW.id)
    now = next((g for (f, _, _), g in written.items() if f == COMPLAINT_NOW.id), None)
    is_new = now is not None and all(g.id != now.id for g in kept)
    gone = stood if now is None or (stood != now.id and (not is_new or now.slip)) else ""  # taken back, or a slip
    return tuple(g for g in (*kept, *([now] if now is not None and is_new else [])) if g.id != gone)


def compares(field_id: str) -> bool:
    """Tell whether something in a field is compared with what earlier visits left."""
    return field_id in _COMPARED or field_id in _OF_RUN or field_id in _STACKED or field_id == COMPLAINT_NOW.id


def sheet_from(row: SheetRow, facts: Facts, written: Mapping[Spot, Given], compared: Compared) -> Sheet:
    """Return a sheet with what stands on it."""
    return Sheet(
        id=row.id,
        number=row.number,
        kind=row.kind,
        at=row.at,
        person=row.person,
        facts=replace(facts, stands=stands_at(written)),
        written=written,
        signed_at=row.signed_at,
        together=TOGETHER,
        apart=APART,
        earlier=compared.earlier,
        lent=compared.lent,
        baseline=compared.baseline,
        first_run=compared.first_run,
        gone=compared.gone,
        stated_here=compared.stated_here,
        answers=compared.answers,
    )


def put_together(conn: Connection, row: SheetRow, facts: Facts) -> Sheet:
    """Return a sheet with its entries as they are in the record."""
    written = entries.list_entries(conn, row.id)
    return sheet_from(row, facts, written, compared_with(conn, row, written))


@dataclass(frozen=True, slots=True)
class SinceWithdrawn:
    """What is read of a motor of which something was withdrawn: the newest value of each place over all its sheets, and
    the places in the order of writing
    at which its brushes were measured on the newest one.
    """

    newest: Mapping[Spot, Given]
    measured_at: tuple[int, ...]


@dataclass(frozen=True, slots=True)
class Beside:
    """What sheets say of a motor beside its readings: findings, what was overruled, a look by day or by counter.

    One that is `away` stays out of service, or was sent out.
    """

    told: Told
    overrules: tuple[Overrule, ...] = ()
    look_on: date | None = None
    look_at: float | None = None
    away: bool = False


def beside(
    row: SheetRow | None,
    sheet: Sheet | None,
    kept: tuple[KeptLife, ...],
    *,
    figures: Figures,
    positions: Sequence[PositionPlan],
    sets: Sequence[BrushSet],
    rules: MotorRules,
    grounds: tuple[Ground, ...] = (),
    since: SinceWithdrawn | None = None,
) -> Beside:
    """Return what stands beside the readings by the newest sheet.

    What was overruled or asked for lasts until the next visit. `grounds` are those before unconfirmed changes.
    """
    places = {p.number: f"Brush {p.label}" for p in positions}
    if row is None or sheet is None:
        return Beside(Told(kept=kept, places=places))
    back = _back(sheet, kept, since.newest, rules) if since is not None else {}
    if row.signed_at is None:
        told = _told(sheet, kept, places, figures=figures, sets=sets, rules=rules)
        then = _then(sheet, told, sets, grounds) if grounds else told.then
        measured_at = since.measured_at if since is not None else ()
        told = replace(told, then=then, back=back, measured_at=measured_at)
        sooner = NEXT_LOOK.of(sheet)
        asked_on = date.fromisoformat(sooner) if sooner else None
        return Beside(told, _overrules(sheet), asked_on, NEXT_LOOK_AT.of(sheet))
    told, latest = (
        Told(kept=kept, places=places, back=back),
        max((r.at for s in sets for r in s.rounds), default=row.at),
    )
    away = OUTCOME.of(sheet) in AWAY
    last = [r.at for s in sets for r in s.rounds if r.sheet_id == row.id]
    if max(last, default=row.at) < latest:
        return Beside(told, away=away)
    sooner, at = str(row.signed.get("sooner") or ""), row.signed.get("sooner_at")
    asked_at = float(at) if isinstance(at, int | float) else None
    return Beside(told, _overrules(sheet), date.fromisoformat(sooner) if sooner else None, asked_at, away)


def _told(
    sheet: Sheet,
    kept: tuple[KeptLife, ...],
    places: Mapping[int, str],
    *,
    figures: Figures,
    sets: Sequence[BrushSet],
    rules: MotorRules,
) -> Told:
    """Return what an open sheet tells of its motor, in both sights."""
    here, before = [r for s in sets for r in s.rounds if r.sheet_id == sheet.id], sheet.as_found
    found, now = _sights(sheet, here, sets, kept, figures=figures, rules=rules)
    done = answered(sheet, rules) | (answered(before, rules) if before is not sheet else frozenset())
    return Told(
        sheet=sheet,
        kept=kept,
        found=found,
        now=now,
        answered=done,
        places=places,
        new=new_brushes(sheet.id, sets, places),
        unjudged=unjudged(measured_on(sheet, rules, worn_mm(sets, figures))),
        seen_again=frozenset(at for r in here for at in r.seen_left),
        measured=any(all(n in r.readings for n in places) for r in here if r in sets[-1].rounds),
    )


def _sights(
    sheet: Sheet,
    here: Sequence[Round],
    sets: Sequence[BrushSet],
    kept: tuple[KeptLife, ...],
    *,
    figures: Figures,
    rules: MotorRules,
) -> tuple[dict[At, Finding], dict[At, Finding]]:
    """Return what is found on a sheet, its rounds and by what its set states, as it was found and as it is now."""
    worn, old = worn_mm(sets, figures), [s for s in sets if s.sheet_id != sheet.id] or sets[:1]
    stated = [(0, f) for f in differences(sets[-1], sheet, figures, rules)]
    now = by_place([*noted(sheet, rules, worn), *(n for r in here for n in r.seen), *stated], kept)
    before = sheet.as_found
    if before is sheet and not any(r.seen_left for r in here) and old[-1] is sets[-1]:
        return now, now
    stated = [(0, f) for f in differences(old[-1], before, figures, rules)]
    return by_place([*noted(before, rules, worn), *(n for r in here for n in r.as_found.seen), *stated], kept), now


def _then(sheet: Sheet, told: Told, sets: Sequence[BrushSet], grounds: tuple[Ground, ...]) -> Mapping[At, Then]:
    """Return what the grounds before unconfirmed changes find graver than today's, by place."""
    here, gathered = [r for s in sets for r in s.rounds if r.sheet_id == sheet.id], ThenMade()
    for ground in grounds:
        as_then = replace(sheet, facts=replace(sheet.facts, figures=ground.figures))
        found, now = _sights(as_then, here, sets, told.kept, figures=ground.figures, rules=ground.rules)
        for at in dict.fromkeys((*found, *now)):
            gathered.add(
                ground, at, found=graver(found.get(at), told.found.get(at)), now=graver(now.get(at), told.now.get(at))
            )
    return gathered.made


def _back(
    sheet: Sheet, kept: tuple[KeptLife, ...], newest: Mapping[Spot, Given], rules: MotorRules
) -> Mapping[At, Finding]:
    """Return what today's figures find in the newest values of the places at which something was withdrawn."""
    gone = {k.at for k in kept if k.withdrawn is not None}
    if not gone:
        return {}
    of_today = replace(sheet, written={**newest, **sheet.written}, signed_at=None)
    return {at: f for at, f in by_place(noted(of_today, rules), kept).items() if at in gone}


def new_brushes(sheet_id: str, sets: Sequence[BrushSet], positions: Iterable[int]) -> dict[int, bool]:
    """Return the positions with a brush that came new on a sheet, each with whether its first length is known."""
    current = sets[-1]
    read = {n for r in current.rounds if r.sheet_id == sheet_id for n in r.readings}
    if current.sheet_id == sheet_id:
        return {n: n in read or n in current.nominal for n in positions}
    made = {}
    for renewal in current.renewed:
        if renewal.sheet_id == sheet_id:
            left = any(renewal.position in r.left for r in current.rounds if r.sheet_id == sheet_id)
            made[renewal.position] = renewal.length_mm is not None or left
    return made


def _overrules(sheet: Sheet) -> tuple[Overrule, ...]:
    """Return what was overruled; of the whole motor only where that was signed so."""
    fields = OVERRULED if sheet.signed_at is None else {**OVERRULED, "motor": MOTOR_OVERRULED}
    given = [(part, field.given(sheet)) for part, field in fields.items()]
    return tuple(
        Overrule(part, g.word, g.person, g.why, g.at.date())  # type: ignore[arg-type]
        for part, g in given
        if g is not None
    )


def worn_mm(sets: Sequence[BrushSet], figures: Figures) -> tuple[float, ...]:
    """Return what each brush of the fitted set has lost by its newest reading [mm], nothing for a set of
    unknown age.
    """
    current = sets[-1]
    if not current.fitted_known:
        return ()
    newest: dict[int, float] = {}
    for a_round in current.rounds:
        newest.update({n: m.length_mm for n, m in a_round.readings.items()})
    return tuple(max(NEW_MM.need(figures) - mm, 0.0) for mm in newest.values())
