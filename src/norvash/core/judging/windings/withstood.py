"""What a winding was held to after a repair, and whether it was."""

from collections.abc import Iterator

from norvash.core.edges import under
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.measured import Measured, Standing, by_rule
from norvash.core.sheet.sheet import Sheet
from norvash.core.stages.windings.withstand import WITHSTAND, WITHSTAND_AFTER, WITHSTAND_BROKE, WITHSTAND_V, asked_v
from norvash.core.windings.circuits import CIRCUITS, PLACES

_RULES = ("withstand.added", "withstand.overhauled-times")


def withstood(sheet: Sheet, rules: MotorRules) -> Iterator[Measured]:
    """Yield what each winding is held to, and whether it was; what broke down did so at any volts.

    Source: rules withstand.*
    """
    for place in sorted({p for f in (WITHSTAND_AFTER, WITHSTAND) for p in f.places(sheet)}):
        asked, volts, said = asked_v(sheet, place, rules), WITHSTAND_V.of(sheet, place), WITHSTAND.of(sheet, place)
        at = "" if volts is None else f" at {volts:g} V"
        broke = said == "broke"
        short = asked is not None and volts is not None and under(volts, asked)
        held = said == "held" and asked is not None and volts is not None and not short
        standing: Standing = "off" if broke else "right" if held else "not judged"
        more = "broke down" if broke else f"it had only {volts:g} V" if short else "held" if held else "not held yet"
        to = "" if asked is None else f": {asked:g} V a.c. for one minute, once"
        read = [(f.id, place) for f in (WITHSTAND_AFTER, WITHSTAND_V, WITHSTAND) if f.given(sheet, place)]
        off = WITHSTAND_BROKE.worded(f"broke down in the withstand test{at}")
        yield Measured(
            id="withstood",
            of=tuple(read),
            words=f"Withstand test, {CIRCUITS[PLACES[place]]}{to}: {more}.",
            standing=standing,
            spot=place,
            value=volts,
            unit="V",
            low=asked,
            basis=by_rule(rules, *_RULES),
            findings=(off,) if broke else (),
            rests_on=(*_RULES, "rated_v", "rated_w"),
        )
