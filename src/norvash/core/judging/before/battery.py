"""What a battery holds at rest and while cranking."""

from collections.abc import Iterator

from norvash.core.judging.before.drops import rated_of
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.measured import Derived, Measured, by_rule, judged, standing_of, value_of
from norvash.core.sheet.sheet import Sheet
from norvash.core.stages.before import outside
from norvash.core.stages.before.fields import BATTERY_C, CRANKING_A, CRANKING_V, REST_V
from norvash.core.supply.battery import Battery, judge_battery
from norvash.errors import InputError

_LIMIT_FOR_V = 12.0
_AT_REST = ("battery.rest", "battery.most", "battery.least", "rated_v")
_CRANKING = (
    *("battery.cranking", "battery.cranking-zero", "battery.cranking-frost", "battery.fall"),
    *("battery.most", "battery.least", "rated_v"),
)


def battery_of(sheet: Sheet, rules: MotorRules) -> Battery | None:
    """Return a battery judged, None where it was not measured.

    Raises: InputError for volts that are no battery's of this circuit. Source: rules battery.*
    """
    rest, cranking, warm = REST_V.of(sheet), CRANKING_V.of(sheet), BATTERY_C.of(sheet)
    if rest is None and cranking is None:
        return None
    return judge_battery(
        rated_of(sheet.facts),
        rest,
        cranking,
        current_a=CRANKING_A.of(sheet),
        temperature_c=20.0 if warm is None else warm,
        rules=rules,
    )


def battery_measured(sheet: Sheet, rules: MotorRules) -> Iterator[Measured]:
    """Yield what a battery holds at rest, and what while cranking, each by itself. Source: rules battery.*"""
    rest, cranking = REST_V.of(sheet), CRANKING_V.of(sheet)
    try:
        found = battery_of(sheet, rules)
    except InputError as error:
        of = tuple((f.id, 0) for f in (REST_V, CRANKING_V) if f.of(sheet) is not None)
        words = f"{error.problem} {error.remedy}"
        yield Measured(id="battery", of=of, words=words, standing="not judged", rests_on=_CRANKING)
        return
    if found is None:
        return
    if rest is not None:
        least = rated_of(sheet.facts) * rules["battery.rest"] / _LIMIT_FOR_V
        low = outside.BATTERY_LOW.worded(f"battery {rest:g} V at rest, under {least:.3g} V")
        fine = found.rest_ok is not False
        words = f"Battery {rest:g} V at rest, from {least:.3g} V up: right." if fine else _does(low.words, low.decision)
        yield judged(
            REST_V,
            words,
            value=rest,
            unit="V",
            low=least,
            basis=by_rule(rules, "battery.rest"),
            off=None if fine else low,
            rests_on=_AT_REST,
        )
    if cranking is None:
        return
    inner = () if found.inner_mohm is None else (Derived("inner resistance", found.inner_mohm, "mΩ"),)
    more = "".join(f"; inner resistance {d.value:.1f} mΩ" for d in inner)
    bad = found.cranking_ok is False and found.least_v is not None
    weak = outside.BATTERY_WEAK.worded(f"battery {cranking:g} V while cranking, at least {found.least_v or 0:.3g} V")
    said = f"battery {cranking:g} V while cranking"
    if found.cranking_ok and found.least_v is not None:
        said += f", at least {found.least_v:.3g} V"
    yield value_of(
        CRANKING_V,
        _does(f"{weak.words if bad else said}", f"{weak.decision if bad else found.advice}{more}"),
        "not judged" if found.cranking_ok is None else standing_of(found.cranking_ok),
        value=cranking,
        unit="V",
        low=found.least_v,
        basis=by_rule(rules, "battery.cranking"),
        derived=inner,
        findings=(weak,) if bad else (),
        answer=None if found.cranking_ok is None else ("cranking", "no" if found.cranking_ok else "yes"),
        rests_on=_CRANKING,
    )


def _does(words: str, decision: str) -> str:
    return f"{words[0].upper()}{words[1:]}: {decision}."
