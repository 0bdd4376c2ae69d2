"""What was measured before opening: supply and the way from it, speed settings, terminals, a run without load."""

from collections.abc import Iterable, Iterator
from dataclasses import replace

from norvash.core.edges import over, under, within
from norvash.core.judging.before.battery import battery_measured
from norvash.core.judging.before.drops import drops_measured
from norvash.core.judging.before.terminals import terminals_measured
from norvash.core.judging.prove.points import Point
from norvash.core.judging.prove.run_figures import slower_told
from norvash.core.judging.prove.speed import current_told, speed_told
from norvash.core.known import all_known
from norvash.core.motor.figure_fields import USUAL_NOLOAD_A, USUAL_NOLOAD_RPM
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.measured import Derived, Measured, answers_of, by_rule, standing_of, value_of
from norvash.core.sheet.sheet import Sheet
from norvash.core.stages.before import outside
from norvash.core.stages.before.fields import NOLOAD_A, NOLOAD_RPM, SOURCE_V, SUPPLY_V, TAP_V, TAPS_V
from norvash.core.stages.windings.coils import MAGNETS_WEAK
from norvash.core.supply.settings import Ladder, speed_ladder

_RIGHT = ("no", "right")
_OF_RUN = ("rated_rpm", "permitted_rpm", "rated_a", "rated_v", "noload_rpm", "noload_a", "construction")


def measured(sheet: Sheet, rules: MotorRules, _worn_mm: tuple[float, ...]) -> Iterator[Measured]:
    """Yield what was measured before opening, in the order in which it is asked for."""
    yield from _supply(sheet, rules)
    yield from _settings(sheet, rules)
    yield from drops_measured(sheet, rules)
    yield from battery_measured(sheet, rules)
    yield from terminals_measured(sheet, rules)
    yield from _amps(sheet, rules)
    yield from _unloaded(sheet, rules)
    yield from _magnets(sheet, rules)


def signs_before(before: Iterable[Measured]) -> dict[str, str]:
    """Return the signs that what was measured before opening gives, each with its answer.

    Settings that are off say more of the switch than the supply before it does; low volts with their current count
    once, not twice.
    """
    signs = answers_of(before, _RIGHT)
    if signs.get("taps", "no") != "no":
        signs.pop("volts", None)
    if signs.get("volts") == "low" and signs.get("amps") in ("none", "low", "high"):
        signs["volts"] = "low-high" if signs.pop("amps") == "high" else "low-low"
    return signs


def _supply(sheet: Sheet, rules: MotorRules) -> Iterator[Measured]:
    """Yield what the volts at the motor's terminals are against its plate, and what is lost on the way there.

    Source: rules supply.low, supply.high, taps.dead
    """
    volts, rated = SUPPLY_V.of(sheet), sheet.facts.rated_v
    if volts is None:
        return
    way = _lost_on_the_way(sheet, volts, rules)
    if way is not None:
        yield way
    dead = volts <= 1 if rated is None else under(volts / rated, rules["taps.dead"])
    if rated is None:
        words = f"{volts:g} V at the terminals; the plate's voltage is not known"
        found = (outside.SUPPLY_OFF.worded(words),) if dead else ()
        shown = ("volts", "missing" if dead else "right")
        standing = standing_of(False) if dead else "not judged"
        yield value_of(SUPPLY_V, f"{words}.", standing, value=volts, unit="V", findings=found, answer=shown)
        return
    low, high = rules["supply.low"], rules["supply.high"]
    share = volts / rated
    answer = "missing" if dead else "low" if under(share, low) else "right"
    what = {
        "missing": "missing: look upstream",
        "low": "low: measure the drops and the supply under load",
        "right": "high: look at the supply" if over(share, high) else "right",
    }[answer]
    words = f"{volts:g} V at the terminals, {share:.0%} of the plate's {rated:g} V"
    right = within(low, share, high)
    off = (outside.SUPPLY_OFF.worded(f"{words}: {what.partition(':')[0]}"),)
    # What is lost on the way says where; the volts at the end of it say no more of the supply.
    lost = way.findings if way is not None else ()
    yield value_of(
        SUPPLY_V,
        f"{words}: {what}.",
        standing_of(right),
        value=volts,
        unit="V",
        low=low * rated,
        high=high * rated,
        basis=f"plate; {by_rule(rules, 'supply.low', 'supply.high')}",
        derived=(Derived("of the plate's", share, "share"),),
        findings=() if right else lost or off,
        answer=("volts", answer),
        rests_on=("taps.dead", "supply.low", "supply.high", "rated_v"),
    )


def _lost_on_the_way(sheet: Sheet, volts: float, rules: MotorRules) -> Measured | None:
    """Return what is lost in switch and cord, None where it was not measured. Source: rule supply.low"""
    source = SOURCE_V.of(sheet)
    if source is None:
        return None
    of = ((SUPPLY_V.id, 0), (SOURCE_V.id, 0))
    much = over(volts, source) or under(volts, rules["supply.low"] * source)
    share = f"{1 - volts / source:.1%}" if source else "nothing"
    then = "" if sheet.of_one_sight(*of) else ", as found"
    words = f"{source:g} V before switch and cord{then}, {source - volts:.3g} V lost on the way, {share}"
    way = "too much: switch, cord and joints" if much else "as it may"
    return Measured(
        id="way-lost",
        of=of,
        words=f"{words}: {way}.",
        standing=standing_of(not much),
        value=source - volts,
        unit="V",
        low=0.0,
        high=(1 - rules["supply.low"]) * source,
        basis=by_rule(rules, "supply.low"),
        findings=(outside.CORD_LOSS.worded(words),) if much else (),
        rests_on=("supply.low",),
    )


def ladder_of(sheet: Sheet, rules: MotorRules) -> Ladder | None:
    """Return the judged speed settings once supply and all settings are measured, None before; those that were measured
    without their shares go on being judged by themselves.
    """
    taps, supply = sheet.facts.taps, SUPPLY_V.of(sheet)
    if not supply:
        return None
    volts = [TAP_V.of(sheet, n) for n in range(1, len(taps) + 1)]
    if taps and all(v is not None for v in volts):
        return speed_ladder(supply, [v for v in volts if v is not None], taps, rules)
    read = [v or 0.0 for v in TAPS_V.of(sheet)]
    if not read:
        return None
    bare = speed_ladder(supply, read, (None,) * len(read), rules)
    # Shares that are stated later never take away what stands without them.
    return speed_ladder(supply, read, taps, rules) if len(taps) == len(read) and not bare.fault else bare


def _settings(sheet: Sheet, rules: MotorRules) -> Iterator[Measured]:
    """Yield what the speed settings show, each against its share, and all of them. Source: rules taps.*"""
    ladder, taps = ladder_of(sheet, rules), TAP_V.places(sheet)
    if ladder is None:
        if taps and SUPPLY_V.of(sheet):
            words = f"{len(taps)} of {len(sheet.facts.taps)} settings are measured: measure each."
            yield Measured(id="settings", of=tuple((TAP_V.id, n) for n in taps), words=words, standing="not whole")
        elif taps or TAPS_V.of(sheet):
            of = tuple((TAP_V.id, n) for n in taps) or ((TAPS_V.id, 0),)
            words = "Speed settings: not judged before the supply is measured."
            yield Measured(id="settings", of=of, words=words, standing="not judged")
        return
    fault = ladder.fault
    said = outside.TAPS_MISWIRED if fault == "miswired" else outside.TAPS_OFF.worded(ladder.advice)
    found = (said,) if fault else ()
    ids = ("taps.dead", "taps.step", "taps.top", "speed_taps", "rated_v")
    own = len(taps) == len(ladder.share)
    for n, (share, wanted, off) in enumerate(
        zip(ladder.share, ladder.expected_share, ladder.deviation, strict=True), start=1
    ):
        if own:
            bad = n in ladder.bad_steps
            against = f", expected {wanted:.0%}: {_signed(off)}" if wanted and off is not None else ""
            yield Measured(
                id=TAP_V.id,
                of=((TAP_V.id, n),),
                words=f"Setting {n}: {share:.0%} of the supply{against}.",
                standing=standing_of(not bad) if wanted or bad else "no band",
                value=TAP_V.of(sheet, n),
                unit="V",
                low=(1 - rules["taps.step"]) * wanted * (SUPPLY_V.of(sheet) or 0.0) if wanted else None,
                high=(1 + rules["taps.step"]) * wanted * (SUPPLY_V.of(sheet) or 0.0) if wanted else None,
                basis="type" if wanted else "",
                derived=(Derived("of the supply", share, "share"),),
                findings=found if bad else (),
                rests_on=ids,
            )
    last = (TAP_V.id, len(taps)) if own else (TAPS_V.id, 0)
    yield Measured(
        id="settings",
        of=((SUPPLY_V.id, 0), last),
        words=f"Speed settings: {ladder.advice}.",
        standing=standing_of(not fault and ladder.top_ok),
        findings=found,
        answer=("taps", fault if fault in ("one", "low", "miswired") else "low" if fault == "missing" else "no"),
        basis=by_rule(rules, "taps.step", "taps.top"),
        rests_on=ids,
    )


def _signed(share: float) -> str:
    return f"{share:+.1%}".replace("-0.0%", "+0.0%")


def _amps(sheet: Sheet, rules: MotorRules) -> Iterator[Measured]:
    """Yield what the current without load says against what is usual. Source: rules amps.none, amps.band"""
    amps, usual = NOLOAD_A.of(sheet), USUAL_NOLOAD_A.of(sheet.facts.figures)
    if amps is None:
        return
    if usual is None:
        words = f"{amps:g} A without load; what is usual is not known: keep this one as its own figure after a good"
        yield value_of(NOLOAD_A, f"{words} repair.", "no band", value=amps, unit="A")
        return
    off, band = amps / usual - 1 if usual else 0.0, rules["amps.band"]
    none = under(amps, rules["amps.none"] * usual)
    answer = "none" if none else "low" if under(off, -band) else "high" if over(off, band) else "no"
    words = {
        "none": "none: the circuit through the brushes is open",
        "low": "low: think of contact",
        "high": "high: think of drag or shorted turns",
        "no": "as usual",
    }[answer]
    yield value_of(
        NOLOAD_A,
        f"{amps:g} A without load, usual {usual:g} A: {words}.",
        standing_of(True if answer == "no" else None),
        value=amps,
        unit="A",
        low=(1 - band) * usual,
        high=(1 + band) * usual,
        basis=f"usual; {by_rule(rules, 'amps.band')}",
        answer=("amps", answer),
        rests_on=("amps.none", "amps.band", "noload_a"),
    )


def _unloaded(sheet: Sheet, rules: MotorRules) -> Iterator[Measured]:
    """Yield what a run without load before opening says of speed and current, by the same rules as a proof run."""
    facts, rpm, amps = sheet.facts, NOLOAD_RPM.of(sheet), NOLOAD_A.of(sheet)
    point = Point(place=0, volts=None, amps=amps, rpm=rpm, sparks=None)
    speed = (*speed_told(facts, (point,), rules, free=True), *slower_told(facts, rpm, rules))
    for field, told in ((NOLOAD_RPM, speed), (NOLOAD_A, tuple(current_told(facts, (point,), rules)))):
        for m in told:
            rests = (*m.rests_on, *(_OF_RUN if m.findings else ()))
            yield replace(m, id=field.id, of=((field.id, 0),), rests_on=rests)


def _magnets(sheet: Sheet, rules: MotorRules) -> Iterator[Measured]:
    """Yield weak magnets: no-load speed well over the type's, and current too.

    Source: rules magnet.speed, amps.band
    """
    figures = sheet.facts.figures
    read = all_known(NOLOAD_RPM.of(sheet), NOLOAD_A.of(sheet))
    usual = all_known(USUAL_NOLOAD_RPM.of(figures), USUAL_NOLOAD_A.of(figures))
    if not sheet.facts.magnets or read is None or usual is None:
        return
    (rpm, amps), (usual_rpm, usual_a) = read, usual
    weak = over(rpm, (1 + rules["magnet.speed"]) * usual_rpm) and over(amps, (1 + rules["amps.band"]) * usual_a)
    said = f"{rpm:.0f} r/min and {amps:g} A without load, {usual_rpm:.0f} and {usual_a:g} usual"
    yield Measured(
        id="magnets",
        of=((NOLOAD_RPM.id, 0), (NOLOAD_A.id, 0)),
        words=f"{said}: {'weak magnets' if weak else 'the magnets hold'}.",
        standing=standing_of(not weak),
        findings=(MAGNETS_WEAK.worded(f"{said}: weak magnets"),) if weak else (),
        basis=by_rule(rules, "magnet.speed", "amps.band"),
        rests_on=("magnet.speed", "amps.band", "noload_rpm", "noload_a", "construction"),
    )
