"""What stands at “Close up” says, keeps shut and waits for."""

from collections.abc import Iterable, Iterator
from dataclasses import replace

from norvash.core.edges import under
from norvash.core.judging import stacks
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.measured import Measured, by_rule, judged
from norvash.core.sheet.sheet import Sheet
from norvash.core.stages.close import FAN_NEAR, FIELDS, LATCHED, SHROUD, STAGE, TURNS_FREE
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


def _measure(sheet: Sheet, rules: MotorRules, _worn_mm: tuple[float, ...]) -> Iterable[Measured]:
    yield from stacks.measured(sheet, rules)
    yield from _fan(sheet, rules)


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
