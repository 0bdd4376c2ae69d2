"""A set that wears unevenly: the side that wears most is looked at, whatever set comes in."""

from collections.abc import Mapping, Sequence
from dataclasses import replace

from norvash.core.brush.motor_limit import motor_limit
from norvash.core.brush.spread import Spread, set_spread
from norvash.core.edges import over
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.finding import Finding
from norvash.core.sheet.life import At, Told
from norvash.core.stages.brushes.side import SET_UNEVEN, side_looked_at
from norvash.core.state.findings import BrushNow
from norvash.core.state.motor_state import MotorState
from norvash.core.verdict.before_work import sets_as_found
from norvash.core.verdict.brush_now import brush_now


def spread_of(brushes: Sequence[BrushNow], state: MotorState, rules: MotorRules) -> Spread | None:
    """Return how evenly the set has worn, None unless every brush is read."""
    wear = [b.wear_mm for b in brushes if b.wear_mm is not None]
    if len(wear) < max(2, len(brushes)):
        return None
    read = [b.last for b in brushes if b.last]
    spread = set_spread(wear, max(m.sd_mm for m in read), rules, [p.polarity for p in state.positions])
    if any(m.lines is not None for m in read) and not over(max(m.low_mm for m in read), min(m.high_mm for m in read)):
        # Between two wear lines nobody knows where: brushes at lines that follow each other may be alike.
        return replace(spread, uneven=False, outliers=(), polarity_note=False, above_noise=False)
    return spread


def uneven_now(spread: Spread | None, state: MotorState) -> Mapping[At, Finding]:
    """Return by its place that a set wears unevenly and nobody has looked why, on a whole sheet; else nothing."""
    sheet = state.told.sheet
    asked = sheet is not None and sheet.kind == "full" and not side_looked_at(sheet)
    if not asked or spread is None or not spread.uneven:
        return {}
    at = state.positions[spread.most_worn_position - 1].number
    share = "" if spread.spread is None else f" by {spread.spread:.0%} of its mean"
    return {(at, SET_UNEVEN.id): SET_UNEVEN.worded(f"wears most, the set is uneven{share}")}


def uneven_as_found(state: MotorState, rules: MotorRules, now: Mapping[At, Finding]) -> Mapping[At, Finding]:
    """Return that of the set which the open sheet found, where another is in the motor now."""
    if not state.told.new:
        return now
    found = replace(state, sets=sets_as_found(state.sets, state.told), told=Told(), ahead=None)
    limit, current = motor_limit(found.figures, rules), found.current
    latest = next((r for r in reversed(current.rounds) if r.readings), None)
    if latest is None or current.stands_for(latest):
        return {}
    brushes = [brush_now(found, current, i, limit, rules) for i in range(len(found.positions))]
    whole = all(b.in_round for b in brushes)
    return uneven_now(spread_of(brushes, found, rules) if whole else None, state)
