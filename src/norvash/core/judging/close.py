"""What stands at “Close up” says, keeps shut and waits for."""

from collections.abc import Iterable, Iterator
from dataclasses import replace

from norvash.core.edges import over, under
from norvash.core.judging import stacks
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.field import Field
from norvash.core.sheet.measured import Measured, by_rule, judged, standing_of, value_of
from norvash.core.sheet.sheet import Sheet
from norvash.core.stacks.part import StackPart
from norvash.core.stacks.torque import Band, estimated, read_band
from norvash.core.stages.close import (
    FAN_NEAR,
    FIELDS,
    LATCHED,
    SCREWED_INTO,
    SHROUD,
    STAGE,
    TORQUE_NM,
    TORQUE_OFF,
    TORQUE_REACHED,
    TURNS_FREE,
)
from norvash.core.visit.done import last_inside, last_work
from norvash.core.visit.stacks import stacks_now
from norvash.core.visit.visit import Judging, Visit


def _before_power(visit: Visit) -> Iterator[str]:
    """Yield what was not looked at since the last work inside: latches and hooks, and that it turns by hand."""
    sheet, inside = visit.sheet, last_inside(visit.sheet)
    let_go, free = LATCHED.given(sheet), TURNS_FREE.given(sheet)
    if inside is not None:
        if let_go is None:
            yield "nobody has said that nothing holds a brush back: latches and hooks"
        elif let_go.at < inside:
            yield "latches and hooks were looked at before the last work: look again"
        if free is None:
            yield "nobody has turned it by hand since it was opened"
        elif free.at < inside:
            yield "it was turned by hand before the last work inside: turn it again"
    yield from stacks.not_closed(visit, "inside")
    yield from stacks.left_over(visit)
    yield from stacks.again_after_pause(visit)
    yield from stacks.turned_since(visit)
    yield from stacks.insulation_since(visit)


def _before_service(visit: Visit) -> Iterator[str]:
    """Yield what of the machine is not back as it came off, and the earth that was not measured since."""
    yield from stacks.not_closed(visit, "machine")
    yield from stacks.earth_since(visit)
    for life in visit.lives:
        if life.finding.id == TORQUE_OFF.id and life.finding.grade == "change" and life.stands:
            yield f"{life.finding.words}: {TORQUE_OFF.decision}"


def _measure(sheet: Sheet, rules: MotorRules, _worn_mm: tuple[float, ...]) -> Iterable[Measured]:
    yield from stacks.measured(sheet, rules)
    yield from _fan(sheet, rules)
    yield from _torque(sheet, rules)


def _fan(sheet: Sheet, rules: MotorRules) -> Iterator[Measured]:
    """Yield the least gap of the fan in its shroud. Source: rule fan.gap"""
    least, need = min((x for x in SHROUD.of(sheet) if x is not None), default=None), rules["fan.gap"]
    if least is None:
        return
    words = f"fan {least:g} mm from its shroud, at least {need:g} mm" if least else "the fan rubs in its shroud"
    off = replace(FAN_NEAR.worded(words), grade="plan" if least else "change") if under(least, need) else None
    yield judged(
        SHROUD, words, value=least, unit="mm", low=need, basis=by_rule(rules, "fan.gap"), off=off, rests_on=("fan.gap",)
    )


def _torque(sheet: Sheet, rules: MotorRules) -> Iterator[Measured]:
    """Yield the torque that was reached with what it is held against, or what is wanted while nobody has read it."""
    beside = tuple((f.id, 0) for f in (TORQUE_NM, SCREWED_INTO) if f.given(sheet) is not None)
    reached, wanted = TORQUE_REACHED.of(sheet), TORQUE_NM.given(sheet)
    if reached is not None:
        yield replace(_reached(reached, sheet, rules), of=(*beside, (TORQUE_REACHED.id, 0)))
    elif wanted is not None:
        words = f"{read_band(wanted.typed).words} wanted, not read yet"
        yield value_of(TORQUE_NM, words, "not whole")


def _reached(reached: float, sheet: Sheet, rules: MotorRules) -> Measured:
    """Return the torque that was reached [N·m], held against what is wanted; against an estimate it is only said.

    Source: rule closing.beyond
    """
    read, (band, stated) = f"{reached:.3g} N·m", torque_wanted(sheet, rules)
    said = value_of(TORQUE_REACHED, f"{read}: nobody says what is wanted", standing_of(None), value=reached, unit="N·m")
    if any(_since(f, sheet) for f in (TORQUE_NM, SCREWED_INTO)):
        words = f"{read}, reached before somebody said again what is wanted: read it again"
        return replace(said, words=words, standing="not judged")
    if band is None:
        return said
    low, high = band.low_nm, band.high_nm
    asked = f"{low:.3g} to {high:.3g} N·m" if high > low else f"{low:.3g} N·m"
    if not stated:
        return replace(said, words=f"{read}; {asked} by the thread, an estimate", basis="an estimate")
    off = None
    if under(reached, low) or over(reached, high):
        edge, side = (low, "under") if under(reached, low) else (high, "over")
        far = over(abs(reached - edge), rules["closing.beyond"] * edge)
        worse = far or (side == "over" and SCREWED_INTO.of(sheet) == "plastic")
        off = replace(TORQUE_OFF.worded(f"{read}, {side} the {asked} wanted"), grade="change" if worse else "plan")
    return judged(
        TORQUE_REACHED,
        f"{read}, {asked} wanted",
        value=reached,
        unit="N·m",
        low=low,
        high=high,
        basis="this sheet",
        off=off,
        rests_on=("closing.beyond",),
    )


def _since(field: Field, sheet: Sheet) -> bool:
    """Tell whether a field was entered after work, and the torque not read since: it would prove by words alone."""
    said, reached = field.given(sheet), TORQUE_REACHED.given(sheet)
    return said is not None and reached is not None and said.sight == "left" and reached.sight != "left"


def torque_wanted(sheet: Sheet, rules: MotorRules) -> tuple[Band | None, bool]:
    """Return how tight the bolts are wanted, and whether somebody stated it; else by their thread, an estimate."""
    given = TORQUE_NM.given(sheet)
    if given is not None:
        return read_band(given.typed), True
    bolts = bolts_off(sheet, rules)
    if bolts is None or rules.choice("school.torque").key != "table":
        return None, False
    return estimated(bolts.size.partition(" ")[0], SCREWED_INTO.of(sheet) or "steel", rules), False


def bolts_off(sheet: Sheet, rules: MotorRules) -> StackPart | None:
    """Return the bolts of the machine that hold it together: the longest ones with a thread."""
    parts = [p.part for s in stacks_now(sheet, rules) if s.where == "machine" for p in s.off]
    return max((p for p in parts if p.kind == "bolt" and p.size), key=lambda p: p.reach_mm, default=None)


def _left(visit: Visit) -> str:
    """Return how many of the parts that came off are back."""
    off = [p for s in stacks_now(visit.sheet, visit.rules) for p in s.off]
    back = sum(p.state in ("back", "renewed") for p in off)
    return f"{back} of {len(off)} back" if off and back < len(off) else ""


def _is_done(visit: Visit) -> bool:
    """Tell whether it was closed up since the last work on it."""
    closed = [given.at for f in FIELDS if (given := f.given(visit.sheet)) is not None]
    return max(closed, default=visit.sheet.at) >= last_work(visit.sheet) and bool(closed)


JUDGING = Judging(
    stage=STAGE,
    measure=_measure,
    holds={"power": _before_power, "service": _before_service},
    is_done=_is_done,
    left=_left,
)
