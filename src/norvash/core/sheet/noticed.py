"""From a sheet to the signs that a diagnosis rests on: what was picked, and what follows from measurements and
findings.
"""

from norvash.core.diagnosis.ranking import Diagnosis, Situation, diagnose
from norvash.core.diagnosis.sign import NOT_SO
from norvash.core.diagnosis.signs import BY_ID as SIGNS
from norvash.core.edges import under
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.before import Before
from norvash.core.sheet.sheet import Sheet, gate
from norvash.core.verdict.values import Findings

# Findings that are signs: the sign and its answer.
_SHOWS = {
    "brush.sticky": ("held", "yes"),
    "brush.seized": ("held", "seized"),
    "brush.latched": ("held", "yes"),
    "face.glazed": ("glazed", "yes"),
    "face.one-side": ("one-side", "yes"),
    "holder.arms": ("arms-off", "yes"),
    "spring.heat": ("spring-heat", "yes"),
    "spring.broken": ("spring-weak", "yes"),
    "spring.off": ("spring-weak", "yes"),
    "spring.far-off": ("spring-weak", "yes"),
    "lead.loose": ("lead-bad", "yes"),
    "lead.strands-25": ("lead-bad", "yes"),
    "lead.heat": ("lead-bad", "yes"),
    "terminal.poor": ("terminal-bad", "yes"),
    "terminal.measured": ("terminal-bad", "yes"),
    "clearance.loose": ("wrong-part", "yes"),
    "commutator.black": ("track", "black"),
    "commutator.two-bars": ("track", "two-bars"),
    "commutator.burnt": ("surface", "yes"),
    "commutator.rough": ("surface", "yes"),
    "commutator.raised": ("surface", "yes"),
    "commutator.mica": ("mica", "yes"),
    "commutator.flashover": ("flashed", "yes"),
    "commutator.slots": ("slots", "yes"),
    "commutator.open": ("bars", "open"),
    "commutator.riser": ("bars", "riser"),
    "commutator.short": ("bars", "shorted"),
    "windings.burnt": ("burnt", "yes"),
    "windings.earth": ("insulation", "yes"),
    "insulation.low": ("insulation", "yes"),
    "windings.field": ("field-odd", "yes"),
    "magnets.cracked": ("magnets", "yes"),
    "windings.broken": ("wire-broken", "yes"),
    "windings.core": ("core-rubbed", "yes"),
    "windings.interpole": ("interpole-hot", "yes"),
    "bearing.rough": ("bearing-bad", "yes"),
    "bearing.loose": ("bearing-bad", "yes"),
    "bearing.locked": ("bearing-bad", "yes"),
    "bearing.dry": ("bearing-bad", "yes"),
    "bush.dry": ("bearing-bad", "yes"),
    "runout.over": ("surface", "yes"),
    "runout.far": ("surface", "yes"),
    "runout.bars": ("surface", "yes"),
    "runout.seats": ("bearing-bad", "yes"),
    "bartest.open": ("bars", "open"),
    "bartest.short": ("bars", "shorted"),
    "windings.growler": ("bars", "shorted"),
    "windings.short": ("field-odd", "yes"),
    "bush.worn": ("bearing-bad", "yes"),
    "bearing.noisy": ("bearing-bad", "yes"),
    "bearing.corroded": ("bearing-bad", "yes"),
    "drive.worn": ("drive-bad", "yes"),
    "drive.jammed": ("drive-bad", "yes"),
    "drive.belt": ("belt-bad", "yes"),
    "drive.fan": ("fan-bad", "yes"),
    "drive.shaft": ("shaft-bad", "yes"),
    "drive.keyway": ("shaft-bad", "yes"),
}
# Answers to what was measured that ask for no cause.
_RIGHT = (NOT_SO, "right")
# What a part that was looked at and found sound says: none of its signs.
_SOUND = {
    "commutator": ("track", "surface", "slots", "mica", "flashed"),
    "windings": ("burnt", "magnets", "wire-broken", "core-rubbed", "interpole-hot"),
    "drive": ("bearing-bad", "drive-bad", "belt-bad", "fan-bad", "shaft-bad"),
}


def noticed(sheet: Sheet, before: Before, found: Findings, rules: MotorRules) -> dict[str, str]:
    """Return the answers by sign; what was picked by hand stands over what follows from figures.

    Where two findings answer one sign, the graver one does. Source: rule diagnosis.earth
    """
    signs = dict(before.signs)
    for stage, sound in _SOUND.items():
        if sheet.has(f"sound.{stage}"):
            signs |= dict.fromkeys(sound, NOT_SO)
    signs |= _from_brushes(found)
    for condition in reversed(found.conditions):  # they come the worst first
        if condition.finding.id in _SHOWS:
            sign, answer = _SHOWS[condition.finding.id]
            signs[sign] = answer
    if signs.get("insulation") == "yes" and _next_to_nothing(sheet, rules):
        signs["insulation"] = "none"
    for sign_id in SIGNS:
        picked = sheet.word(f"sign.{sign_id}")
        if picked:
            signs[sign_id] = picked
    return signs


def _next_to_nothing(sheet: Sheet, rules: MotorRules) -> bool:
    """Tell whether insulation was measured so low that an earth fault alone explains it."""
    read = [x for x in (sheet.number_of("insulation-mohm"), sheet.number_of("bar-shaft")) if x is not None]
    return bool(read) and under(min(read), rules["diagnosis.earth"])


def _from_brushes(found: Findings) -> dict[str, str]:
    """Return what the last round says: whether a brush is at its limit, and whether the set is uneven."""
    if found.round is None:
        return {}
    signs: dict[str, str] = {}
    worst = min((b.usable for b in found.brushes if b.usable is not None), default=None)
    if worst is not None and worst <= 0:
        signs["short-brush"] = "yes"
    elif worst is not None and not found.missing and worst > 0.1:
        signs["short-brush"] = NOT_SO
    if found.spread is not None:
        signs["uneven"] = "yes" if found.spread.uneven else NOT_SO
    if "brush.free" in {c.finding.id for c in found.conditions}:
        signs["held"] = NOT_SO
    return signs


def complained(signs: dict[str, str], before: Before) -> bool:
    """Tell whether there is a cause to seek: somebody complains, or something measured before opening is not right."""
    called = any(SIGNS[s].stage == "call-in" and a != NOT_SO and not SIGNS[s].silent for s, a in signs.items())
    return called or any(a not in _RIGHT for a in before.signs.values())


def diagnosis_of(sheet: Sheet, signs: dict[str, str], rules: MotorRules) -> Diagnosis:
    """Return the causes and the next checks that are possible and allowed on this sheet now."""
    safe = gate(sheet, "safe", rules).state != "open"
    isolated = safe and not sheet.open_permits
    now = Situation(sheet.state if safe else "assembled", not isolated, safe, sheet.facts.may_run_free)
    out = [f.removeprefix("ruled-out.") for f, p in sheet.entries if f.startswith("ruled-out.") and sheet.has(f, p)]
    around = set(sheet.facts.surroundings) | ({"wet"} if signs.get("water") == "yes" else set())
    return diagnose(sheet.facts.motor_class, signs, rules, surroundings=sorted(around), ruled_out=out, now=now)
