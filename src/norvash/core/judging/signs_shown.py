"""From a sheet to the signs that a diagnosis rests on: what was picked, and what follows from measurements and
findings.
"""

from collections.abc import Iterable, Mapping
from dataclasses import replace
from datetime import datetime
from types import MappingProxyType

from norvash.core.diagnosis.ranking import Diagnosis, Situation, diagnose
from norvash.core.diagnosis.sign import NOT_SO
from norvash.core.diagnosis.signs import AT_THE_CALL, BY_ID
from norvash.core.edges import over, under
from norvash.core.judging.prove.output import output_answer
from norvash.core.motor.figure_fields import CONSTRUCTION
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.facts import Facts
from norvash.core.sheet.field import Field
from norvash.core.sheet.finding import Finding
from norvash.core.sheet.life import Life
from norvash.core.sheet.sheet import Sheet
from norvash.core.stages.brushes.carbon import BRUSH_FREE
from norvash.core.stages.catalogue import STAGES
from norvash.core.stages.commutator.bar_test import BAR_SHAFT
from norvash.core.stages.commutator.cut import CUT_DONE, SURFACE_WITH
from norvash.core.stages.commutator.seen import COMMUTATOR_BLACK, COMMUTATOR_ROUGH
from norvash.core.stages.decide import RULED_OUT
from norvash.core.stages.gates import SAFE
from norvash.core.stages.prove.complaint import complaint_gone
from norvash.core.stages.windings.insulation import INSULATION_MOHM
from norvash.core.state.findings import Findings
from norvash.core.visit.gate_ticked import ticked
from norvash.core.visit.walk import how_far_open, open_permits

# Answers to what was measured that ask for no cause.
_RIGHT = (NOT_SO, "right")
_STRONG = 3
_ON_COPPER: Mapping[Field, tuple[Finding, ...]] = MappingProxyType(
    {CUT_DONE: (COMMUTATOR_ROUGH,), SURFACE_WITH: (COMMUTATOR_ROUGH, COMMUTATOR_BLACK)}
)
_CALL = frozenset(s.id for s in AT_THE_CALL)


def signs_shown(sheet: Sheet, before: Mapping[str, str], found: Findings, rules: MotorRules) -> dict[str, str]:
    """Return the answers by sign; what was picked by hand stands over what follows from figures.

    `before` are those of what was measured before opening. Where two findings answer one sign, the graver one does.
    Source: rule diagnosis.earth
    """
    signs = dict(before)
    for stage in STAGES:
        if stage.sound is not None and stage.sound.of(sheet):
            signs |= dict.fromkeys(stage.clears, NOT_SO)
    signs |= _from_brushes(found, rules)
    for condition in reversed(found.conditions):  # they come the worst first
        if condition.finding.shows is not None:
            sign, answer = condition.finding.shows
            signs[sign] = answer
    output = output_answer(sheet, rules)
    if output:
        signs["residual-none"] = "yes" if output == "dead" else NOT_SO
    if signs.get("insulation") == "yes" and _next_to_nothing(sheet, rules):
        signs["insulation"] = "none"
    picked = {p.sign.id: p.of(sheet) for s in STAGES for p in s.noticed}
    return signs | {sign: answer for sign, answer in picked.items() if answer}


def _next_to_nothing(sheet: Sheet, rules: MotorRules) -> bool:
    """Tell whether insulation was measured so low that an earth fault alone explains it."""
    places = (INSULATION_MOHM.of(sheet, n) for n in INSULATION_MOHM.places(sheet))
    read = [x for x in (*places, BAR_SHAFT.of(sheet)) if x is not None]
    return bool(read) and under(min(read), rules["diagnosis.earth"])


def _from_brushes(found: Findings, rules: MotorRules) -> dict[str, str]:
    """Return what the last round says: whether a brush is at its limit, and whether the set is uneven.

    A brush at its limit is one that was read so; carbon to spare is what is left by now of what was read.
    """
    if found.round is None:
        return {}
    signs: dict[str, str] = {}
    worst = min((b.usable for b in found.brushes if b.usable is not None), default=None)
    if worst is not None and worst <= 0:
        signs["short-brush"] = "yes"
    elif worst is not None and not found.missing:
        left = [x for b in found.brushes if (x := found.usable_by_now(b)) is not None]
        if over(min(left), rules["diagnosis.carbon-left"]):
            signs["short-brush"] = NOT_SO
    if found.spread is not None:
        signs["uneven"] = "yes" if found.spread.uneven else NOT_SO
    if any(c.finding.id == BRUSH_FREE.id for c in found.conditions):
        signs["held"] = NOT_SO
    return signs


def causes_of(finding: Finding) -> tuple[str, ...]:
    """Return the causes that a finding is: those of which its sign speaks most strongly."""
    if finding.cause or finding.shows is None:
        return (finding.cause,) if finding.cause else ()
    sign, word = finding.shows
    weights: dict[str, int] = next((dict(a.weights) for a in BY_ID[sign].answers if a.id == word), {})
    most = max(weights.values(), default=0)
    return tuple(c for c, w in weights.items() if w == most) if most >= _STRONG else ()


def causes_mended(lives: Iterable[Life]) -> list[str]:
    """Return the causes that were mended at a visit, by the findings that were worked on; what came with the work was
    no cause of what it was called for.
    """
    mended = (x for x in lives if x.done and x.state != "withdrawn" and not x.came)
    return list(dict.fromkeys(c for x in mended for c in causes_of(x.finding)))


def complained(signs: Mapping[str, str], before: Mapping[str, str]) -> bool:
    """Tell whether there is a cause to seek: somebody complains, or something measured before opening is not right."""
    called = any(signs.get(s.id, NOT_SO) != NOT_SO and not s.silent for s in AT_THE_CALL)
    return called or any(a not in _RIGHT for a in before.values())


def may_complain(sheet: Sheet, before: Mapping[str, str], lives: Iterable[Life]) -> bool:
    """Tell whether a complaint is possible: a sign is picked, something before opening is not right, or something found
    is a sign at the call. Where it is not, no cause is sought, and nothing has to be known for that.
    """
    picked = any(f.of(sheet) not in ("", NOT_SO) for s in STAGES for f in s.noticed if not f.sign.silent)
    shown = (x.finding.shows for x in lives)
    return picked or any(a not in _RIGHT for a in before.values()) or any(s and s[0] in _CALL for s in shown)


def mended_causes(sheet: Sheet) -> tuple[str, ...]:
    """Return the causes of which somebody says that they were found and mended."""
    return tuple(cause for cause, mended in RULED_OUT.items() if mended.of(sheet))


def may_have_been(sheet: Sheet, lives: Iterable[Life]) -> tuple[str, ...]:
    """Return the causes of which it may be said that a complaint is gone by them: those that were mended at this visit,
    by a finding that was worked on or by name, since it was last said to be still there.
    """
    return tuple(cause for cause, at in _mended_at(sheet, lives) if sheet.still_at is None or at > sheet.still_at)


def _mended_at(sheet: Sheet, lives: Iterable[Life]) -> tuple[tuple[str, datetime], ...]:
    """Return every cause that was mended at this visit, with when it was last: by a finding that was worked on, by
    name, by a cut or work on the surface, of which often only figures have shown the cause.
    """
    made: dict[str, datetime] = {}

    def mended(cause: str, at: datetime) -> None:
        made[cause] = max(made.get(cause, at), at)

    for x in lives:
        for cause in causes_mended([x]):
            mended(cause, max(g.at for g in x.done))
    for cause in mended_causes(sheet):
        given = RULED_OUT[cause].given(sheet)
        mended(cause, given.at if given is not None else sheet.at)
    for field, seen in _ON_COPPER.items():
        given = field.given(sheet)
        for cause in (c for f in seen for c in causes_of(f)) if given is not None else ():
            mended(cause, given.at if given is not None else sheet.at)
    return tuple(made.items())


def not_in_it(facts: Facts) -> tuple[str, ...]:
    """Return the causes that a motor cannot have by its construction, where that is stated."""
    if not CONSTRUCTION.stated(facts.figures):
        return ()
    return ("field", "neutral", "residual") if facts.magnets else ("magnet",)


def diagnosis_of(
    sheet: Sheet,
    signs: dict[str, str],
    rules: MotorRules,
    lives: Iterable[Life] = (),
    cases: Mapping[str, int] | None = None,
) -> Diagnosis:
    """Return the causes and the next checks that are possible and allowed on this sheet now.

    What was mended before the complaint was said to be still there is ruled out, and the search goes on; once it is
    gone no check is asked for. Ruled out is what is not in the motor. `cases` are the causes proven at this site.
    """
    safe = not ticked(SAFE, sheet, rules).is_open
    isolated = safe and not open_permits(sheet)
    now = Situation(how_far_open(sheet) if safe else "assembled", not isolated, safe, sheet.facts.may_run_free)
    out = list(not_in_it(sheet.facts))
    if sheet.still_at is not None:
        out += [cause for cause, at in _mended_at(sheet, lives) if at <= sheet.still_at]
    around = set(sheet.facts.surroundings) | ({"wet"} if signs.get("water") == "yes" else set())
    found = diagnose(
        sheet.facts.motor_class,
        signs,
        rules,
        surroundings=sorted(around),
        ruled_out=out,
        now=now,
        cases=cases,
        said=_by_look(sheet, signs),
    )
    return replace(found, checks=()) if complaint_gone(sheet) else found


def _by_look(sheet: Sheet, signs: Mapping[str, str]) -> dict[str, str]:
    """Return by sign that it is only not so because a part was looked at and nothing found: nobody has said more."""
    looked = (s for s in STAGES if s.sound is not None and s.sound.of(sheet))
    return {
        sign: f"{stage.words.lower()} looked at, nothing found"
        for stage in looked
        for sign in stage.clears
        if signs.get(sign) == NOT_SO
    }
