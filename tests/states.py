"""A motor as the core sees it, in a few words: twenty hours a week, one set, rounds by week."""

from dataclasses import replace
from datetime import date, datetime, timedelta

from norvash.core.brush.motor_limit import motor_limit
from norvash.core.forecast.model import forecast
from norvash.core.motor.classes import TEMPLATES
from norvash.core.motor.figures import Figures
from norvash.core.motor.positions import even_positions
from norvash.core.planning.forecast_of_motor import ahead_of, case_of
from norvash.core.rules.book import MotorRules, Override
from norvash.core.rules.catalogue import shipped
from norvash.core.sheet.life import KeptLife, Told
from norvash.core.stages.catalogue import FINDINGS
from norvash.core.state.findings import Findings
from norvash.core.state.motor_state import BrushSet, MotorState
from norvash.core.state.round import Measured, Round
from norvash.core.use.log_entry import Entry
from norvash.core.use.rate import rate_of_use
from norvash.core.verdict.judging import findings
from norvash.core.verdict.sentence import Verdict, verdict

T0 = datetime(2026, 1, 5, 9)
TODAY = date(2026, 6, 1)
FITTED: dict[str, float | str] = {"new_mm": 22.0, "limit_mm": 8.0, "limit_source": "maker"}


def a_round(
    weeks: float,
    *lengths: float | None,
    kind: str = "check",
    doubt: str = "",
    seen: tuple[tuple[int, str], ...] = (),
    sd: float = 0.05,
    lines: int | None = None,
) -> Round:
    readings = {
        i: Measured(
            length_mm=mm,
            sd_mm=sd,
            low_mm=mm,
            high_mm=mm,
            lines=lines,
            doubt=doubt,
            doubt_rule="doubt.noise" if doubt else "",
        )
        for i, mm in enumerate(lengths, start=1)
        if mm is not None
    }
    return Round(
        id=f"r{weeks}",
        at=T0 + timedelta(weeks=weeks),
        total_units=weeks * 20,
        kind=kind,
        finished=True,
        readings=readings,
        seen=tuple((n, FINDINGS[i]) for n, i in seen),
    )


def foreseen(given: MotorState) -> MotorState:
    """Return a motor with its forecast, as the store keeps it."""
    rules = shipped()
    case = case_of(given, motor_limit(given.figures, rules), (), rules)
    return replace(given, ahead=ahead_of(forecast(case), case, given))


def state(
    *rounds: Round, own: dict[str, float | str] | None = None, known: bool = True, weeks: int = 40, brushes: int = 2
) -> MotorState:
    entries = tuple(Entry(T0 + timedelta(weeks=w), w * 20.0, w * 20.0 + 100) for w in range(weeks + 1))
    figures = Figures(FITTED if own is None else own, {}, TEMPLATES["tool"].lends)
    fitted = BrushSet(
        number=1,
        fitted_at=T0,
        fitted_units=0.0,
        fitted_known=known,
        ended_at=None,
        ended_units=None,
        end_reason="",
        rounds=tuple(rounds),
    )
    made = MotorState(
        figures=figures,
        positions=even_positions(brushes),
        sets=(fitted,),
        entries=entries,
        rate=rate_of_use(entries, None, shipped()),
    )
    newest = max((i for i, r in enumerate(rounds) if r.readings), default=0)
    return standing(made, *((n, f.id) for r in rounds[newest:] for n, f in r.seen if f.grave))


def standing(given: MotorState, *found: tuple[int, str]) -> MotorState:
    """Return a motor on which findings stand from an earlier visit."""
    kept = tuple(KeptLife(id=f"{n}.{i}", sheet_id="before", position=n, finding=FINDINGS[i]) for n, i in found)
    places = {p.number: f"Brush {p.label}" for p in given.positions}
    return replace(given, told=Told(kept=(*given.told.kept, *kept), places=places))


def judge(given_state: MotorState, rules: MotorRules | None = None) -> tuple[Findings, Verdict]:
    rules, given_state = rules or shipped(), foreseen(given_state)
    found = findings(given_state, rules, TODAY)
    return found, verdict(found, given_state, rules, TODAY)


def ruled(rule_id: str, value: float = 0.0, *, scope: str = "site", scope_id: str = "", word: str = "") -> Override:
    """A figure, or a school by its word, as somebody set it."""
    return Override(
        rule_id=rule_id,
        scope=scope,
        scope_id=scope_id,
        value=value,
        person="Ines",
        day="2026-11-24",
        why="tried",
        word=word,
    )


def whole(said: Verdict) -> str:
    """Return all that a verdict says: its line with the figures, its word, its flags and its reasons."""
    figures = (f"{f.value} {f.words}: {f.beside}" for f in said.figures)
    return "\n".join([said.sentence, *figures, said.word, *said.flags, *(r.text for r in said.reasons)])
