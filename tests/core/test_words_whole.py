"""Every word that is said of states at the edges of what is known: idle spells, past sets, other units, wear
lines, what was overruled.
"""

from collections.abc import Iterator
from dataclasses import replace
from datetime import timedelta

from norvash.core.motor.positions import even_positions
from norvash.core.rules.book import MotorRules
from norvash.core.state.motor_state import BrushSet, MotorState, Overrule
from norvash.core.state.policy import Policy
from norvash.core.state.round import Round
from norvash.core.state.ruler import ruler_of
from norvash.core.text.words import counted, listed, rounded
from norvash.core.use.log_entry import Entry
from norvash.core.use.rate import Rate
from norvash.core.use.season import Season
from norvash.core.verdict.components import MOTOR
from norvash.core.verdict.judging import findings
from norvash.core.verdict.proportion import remarks
from norvash.core.verdict.sentence import verdict
from states import FITTED, T0, TODAY, a_round, foreseen, standing, state
from whole import assert_no_word_moved

RUBBED: dict[str, float | str] = {
    **FITTED,
    "thickness_mm": 6.4,
    "width_mm": 12.5,
    "commutator_d_mm": 30.0,
    "rated_rpm": 9000.0,
}
LINED: dict[str, float | str] = {
    "new_mm": 22.0,
    "wear_line_1_mm": 18.0,
    "wear_line_2_mm": 14.0,
    "wear_line_3_mm": 10.0,
    "method": "wear line",
}
WORN = state(a_round(10, 18, 19), a_round(20, 15, 16))
SEASON = Season(frozenset({9, 10, 11, 12, 1, 2, 3}), (), "as declared")


def idle(days: int, *, at: int = 100, to: int = 280) -> MotorState:
    """A motor whose log stands still for some days, and runs before and after."""
    shown = state(a_round(14, 18, 19), a_round(20, 15, 16))
    uses = [(0, 0.0), (at, 290.0), (at + days, 290.0), (to, 800.0)]
    return replace(shown, entries=tuple(Entry(T0 + timedelta(days=d), use, use + 100) for d, use in uses))


def without(**figures: float | str) -> dict[str, float | str]:
    return {k: v for k, v in RUBBED.items() if k not in figures}


def second_set(*rounds: Round, known: bool = True) -> MotorState:
    """A motor that had a set before, the second one fitted at 300 h."""
    first = BrushSet(
        number=1,
        fitted_at=T0,
        fitted_units=0.0,
        fitted_known=True,
        ended_at=T0 + timedelta(weeks=15),
        ended_units=300.0,
        end_reason="worn",
        rounds=(a_round(0, 22, 22), a_round(14, 9, 9.5)),
        id="one",
    )
    later = BrushSet(
        number=2,
        fitted_at=T0 + timedelta(weeks=15),
        fitted_units=300.0,
        fitted_known=known,
        ended_at=None,
        ended_units=None,
        end_reason="",
        rounds=rounds,
        id="two",
    )
    return replace(state(), sets=(first, later))


def overruled(*, component: str, stage: str, noted: bool = True) -> MotorState:
    said = Overrule(component, stage, "Ines", "seen by the winder", TODAY)  # type: ignore[arg-type]
    return replace(standing(WORN, (0, "windings.burnt")) if noted else WORN, overrules=(said,))


STATES: dict[str, MotorState] = {
    "idle 59 days": idle(59),
    "idle 60 days": idle(60),
    "idle 61 days": idle(61),
    "idle in two steps": replace(
        idle(80), entries=(*idle(80).entries[:2], Entry(T0 + timedelta(days=140), 290.0, 390.0), *idle(80).entries[2:])
    ),
    "idle long ago": idle(80, at=10, to=480),
    "idle to the end": idle(180),
    "idle in its season": replace(
        idle(90), rate=Rate(per_week=20.0, weeks=12.0, logged_units=300.0, declared=None, season=SEASON)
    ),
    "idle, no rate": replace(idle(90), rate=None),
    "two entries": replace(WORN, entries=WORN.entries[:1] + WORN.entries[-1:]),
    "one entry": replace(WORN, entries=WORN.entries[:1]),
    "two that stand still": replace(
        WORN,
        entries=(Entry(T0, 400.0, 500.0), Entry(T0 + timedelta(days=90), 400.0, 500.0)),
        rate=Rate(per_week=20.0, weeks=12.0, logged_units=300.0, declared=None),
    ),
    "a long log, idle now": replace(
        idle(80, at=480, to=600),
        entries=(
            Entry(T0, 0.0, 100.0),
            Entry(T0 + timedelta(days=40), 30.0, 130.0),
            *idle(80, at=480, to=600).entries[1:],
        ),
    ),
    "speeding up": state(a_round(15, 20.5, 20.6), a_round(20, 17, 17.2)),
    "one week of log": replace(WORN, rate=Rate(per_week=20.0, weeks=1.0, logged_units=20.0, declared=None)),
    "declared only": replace(WORN, rate=Rate(per_week=20.0, weeks=0.0, logged_units=0.0, declared=20.0)),
    "second set, not measured": second_set(),
    "second set, measured": second_set(a_round(25, 20, 20.5)),
    "second set, from before": second_set(a_round(25, 20, 20.5), known=False),
    "not measured, in inches": state(own={**FITTED, "length_unit": "in"}),
    "in inches": state(a_round(20, 9, 16), own={**FITTED, "length_unit": "in"}),
    "a complete round before": state(a_round(10, 20, 20), a_round(20, 19, None)),
    "no complete round": state(a_round(10, None, 20), a_round(20, 19, None)),
    "a pair apart": state(a_round(20, 12, 19)),
    "four apart": state(a_round(10, 18, 20, 18, 20), a_round(20, 12, 19, 12, 19), brushes=4),
    "motor overruled down": overruled(component=MOTOR, stage="watch"),
    "motor overruled up": overruled(component=MOTOR, stage="stop", noted=False),
    "brushes overruled": overruled(component="brushes", stage="stop"),
    "windings overruled": overruled(component="windings", stage="fit"),
    "a part as grave": standing(state(a_round(20, 9.2, 9.4)), (0, "windings.burnt")),
    "a part less grave": standing(state(a_round(20, 7.5, 9)), (0, "spring.off")),
    "spring noted": standing(WORN, (2, "spring.off")),
    "under its limit": state(a_round(20, 7.5, 9)),
    "just over its limit": state(a_round(20, 8.5, 12)),
    "line seen": state(a_round(20, 16, 20, lines=1), own=LINED),
    "no line seen": state(a_round(20, 20, 20, lines=0), own=LINED),
    "lines 1 and 2": state(a_round(10, 16, 20, lines=1), a_round(20, 12, 20, lines=2), own=LINED),
    "lines 2 and 3": state(
        a_round(5, 16, 20, lines=1), a_round(10, 12, 20, lines=2), a_round(20, 9, 20, lines=3), own=LINED
    ),
    "lines 1 and 3": state(a_round(10, 16, 20, lines=1), a_round(20, 9, 20, lines=3), own=LINED),
    "two lines at once": state(
        a_round(20, 16, 20, lines=1), replace(a_round(20, 12, 20, lines=2), id="again"), own=LINED
    ),
    "a line, one brush missing before": state(
        a_round(5, None, 20), a_round(10, 16, 20, lines=1), a_round(20, 12, 20, lines=2), own=LINED
    ),
    "rubbed": state(a_round(20, 15, 16), own=RUBBED),
    "rubbed, its metal": state(a_round(20, 15, 16), own={**RUBBED, "grade_family": "high-metal"}),
    "rubbed, in starts": state(a_round(20, 15, 16), own={**RUBBED, "unit_of_use": "starts"}),
    "rubbed, no speed": state(a_round(20, 15, 16), own=without(rated_rpm=0)),
    "rubbed, no width": state(a_round(20, 15, 16), own=without(width_mm=0)),
    "rubbed, no section": state(a_round(20, 15, 16), own=without(width_mm=0, thickness_mm=0)),
    "rubbed, no diameter": state(a_round(20, 15, 16), own=without(commutator_d_mm=0)),
    "rubbed, from before": state(a_round(5, 18, 18), a_round(20, 15, 16), own=RUBBED, known=False),
    "rubbed, one missing": state(a_round(20, 15, None), own=RUBBED),
    "rubbed, no wear": state(a_round(20, 22, 22.1), own=RUBBED),
    "rubbed, not measured": state(own=RUBBED),
    "rubbed, past its limit": state(a_round(20, 7, 16), own=RUBBED),
    "by rule, under a policy": replace(
        state(a_round(20, 15, 16, sd=0.4)),
        policies=(
            Policy("p", "interval", "card", {"every": 500.0}),
            Policy("q", "calendar", "spring", {"months": 6}, of_type=True),
        ),
    ),
    "a policy without a day": replace(WORN, policies=(Policy("p", "interval", "card", {"every": 500.0}),), rate=None),
    "a policy long past": replace(WORN, policies=(Policy("p", "interval", "card", {"every": 50.0}),)),
    "out of line, two visits": state(a_round(10, 19, 19), a_round(20, 10, 10)),
    "a little out of line": state(a_round(10, 19, 19), a_round(20, 12.6, 13)),
    "whole runs": state(a_round(20, 15, 16), own={**FITTED, "run_length_units": 190.0}),
    "eight brushes, one low": state(a_round(20, 19, 19, 19, 19, 9.3, 19, 19, 19), brushes=8),
    "two doubts": state(a_round(20, 9, 19, doubt="fell sharply")),
    "three arms": replace(state(a_round(20, 15, 16, 17), brushes=3), positions=even_positions(3)),
}


def said(shown: MotorState, rules: MotorRules) -> Iterator[str]:
    """Yield all that is said of a motor, each reason with its rules, a line each."""
    found = findings(shown, rules, TODAY)
    made = verdict(found, shown, rules, TODAY)
    figures = [f"{f.value} {f.words} {f.beside}".strip() for f in made.figures]
    yield f"{made.word}: {made.sentence} {figures} {made.flags}"
    yield from (f"reason: {r.text} {' '.join(f.rule_id for f in r.figures)}" for r in made.reasons)
    yield from (f"remark: {line}" for line in remarks(found, shown, rules))
    yield f"ruler: {ruler_of(found, shown).as_plain()}"


def test_no_word_moves_in_what_is_said_at_the_edges(rules: MotorRules) -> None:
    lines: list[str] = []
    for name, shown in STATES.items():
        lines += [f"== {name}", *said(foreseen(shown), rules)]
    taught = foreseen(WORN)
    assert taught.ahead is not None
    for sets in (1, 2):
        lines += [f"== after {sets} sets", *said(replace(taught, ahead=replace(taught.ahead, past_sets=sets)), rules)]
    dayless = {
        "early": replace(taught.ahead, p10_on=None),
        "middle": replace(taught.ahead, p50_on=None),
        "late": replace(taught.ahead, p90_on=None),
    }
    for gone, ahead in dayless.items():
        lines += [f"== {gone} day not known", *said(replace(taught, ahead=ahead), rules)]
    lines += ["== no forecast", *said(WORN, rules), "== no forecast, not measured", *said(state(), rules)]
    lines += [
        f"{counted(n)} {rounded(n, n)}" for n in (0, 0.4, 1, 9.5, 10, 99.5, 100, 104, 995, 1000, 1234, 99999.5, 1234567)
    ]
    lines += [listed(names) for names in (["A"], ["A", "B"], ["A", "B", "C"])]
    assert_no_word_moved("words.txt", "\n".join(lines) + "\n")
