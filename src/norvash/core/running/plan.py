"""The plan of a run-in: its steps with minutes, volts and amps, what is normal, when to stop, when to look again."""

from dataclasses import dataclass

from norvash.core.edges import under
from norvash.core.rules.book import MotorRules
from norvash.core.running.bedding import bedding, most_a

_SECONDS = 60
# So many short bursts bed the faces of a starter.
BURSTS = 5


@dataclass(frozen=True, slots=True, kw_only=True)
class ToBed:
    """What is known of a motor with new faces; None where nobody states or has measured it.

    Units: [V], [A], prints and shares [1], minutes [min], permitted speed [r/min]. `least_print` is the least of the
    set, `estimate_min` how long the faces need by their wear, `idles` whether it is made to idle where it is,
    `built_in` whether it stands in its machine, `lowered` whether volts can be lowered here.
    """

    motor_class: str
    construction: str
    rated_v: float | None
    rated_a: float | None
    noload_a: float | None = None
    least_print: float | None = None
    stated_share: float | None = None
    stated_min: float | None = None
    stated_print: float | None = None
    estimate_min: float | None = None
    safe_v: float | None = None
    built_in: bool = True
    reverses: bool = False
    lowered: bool = True


@dataclass(frozen=True, slots=True, kw_only=True)
class Step:
    """One step: from which minute to which, the most volts [V] and amps [A], None where nothing says it.

    One that `waits` depends on the print that is taken before it.
    """

    words: str
    from_min: float
    to_min: float
    most_v: float | None
    most_a: float | None
    waits: bool = False


@dataclass(frozen=True, slots=True, kw_only=True)
class RunIn:
    """A plan: how it is done, its steps, the print that releases the load [1], the least print that it counts with and
    whether that was only assumed; from where its volts and its minutes are.

    Without steps it is not run in here: `how` says what is done instead.
    """

    how: str
    steps: tuple[Step, ...]
    release: float
    contact: float
    assumed: bool
    basis: str
    minutes: float
    minutes_basis: str
    lacks: str = ""

    @property
    def most_v(self) -> float | None:
        """Return the volts of its first step [V]."""
        return self.steps[0].most_v if self.steps else None

    @property
    def most_a(self) -> float | None:
        """Return the amps of its first step [A]."""
        return self.steps[0].most_a if self.steps else None

    @property
    def reached(self) -> bool:
        """Tell whether the least print releases the load already."""
        return not self.assumed and not under(self.contact, self.release)

    def at(self, minute: float) -> Step | None:
        """Return the step in hand at a minute of the run, the last one after it; None without steps."""
        return next((s for s in self.steps if minute < s.to_min), self.steps[-1] if self.steps else None)


def run_in_plan(known: ToBed, rules: MotorRules) -> RunIn:
    """Return how the faces of a motor are run in.

    Units: [V], [A], [min]. Source: rules runin.*, seating.ready, cable.rest
    """
    way = bedding(
        known.motor_class, known.construction, rules, stated_share=known.stated_share, built_in=known.built_in
    )
    assumed = known.least_print is None
    contact = max(known.least_print or 0.0, rules["runin.least"])
    minutes, basis = _minutes(known, rules)
    volts, volts_basis = _volts(known, way.volts_share, rules)
    amps = None if known.rated_a is None else most_a(known.rated_a, contact, known.noload_a, rules)
    how, steps = way.how, _steps(known, volts, amps, minutes)
    if not known.lowered:
        how, steps = _fixed(known, amps, rules)
    if known.motor_class == "starter":
        rest = rules["cable.rest"]
        long_min = BURSTS * (rules["run.burst"] + rest) / _SECONDS
        words = f"{BURSTS} bursts of {rules['run.burst']:g} s at most, {rest:g} s of rest between"
        steps, minutes, basis = (
            (Step(words=words, from_min=0, to_min=long_min, most_v=volts, most_a=None),),
            long_min,
            "",
        )
    lacking = [
        words for x, words in ((known.rated_v, "the plate's volts"), (known.rated_a, "its current")) if x is None
    ]
    return RunIn(
        how=how,
        steps=steps,
        release=known.stated_print or way.release,
        contact=contact,
        assumed=assumed,
        basis=volts_basis,
        minutes=minutes,
        minutes_basis=basis,
        lacks=" and ".join(lacking) if steps and known.motor_class != "generator" else "",
    )


def _minutes(known: ToBed, rules: MotorRules) -> tuple[float, str]:
    if known.stated_min is not None:
        return known.stated_min, "the maker's"
    if known.estimate_min is not None:
        return known.estimate_min, "by the wear of its faces, estimated"
    return rules["runin.minutes"], "by the rulebook: thickness, diameter or wear is not known"


def _volts(known: ToBed, share: float | None, rules: MotorRules) -> tuple[float | None, str]:
    """Return the most volts and from where they are: of a series motor out of its machine the lesser of its share and
    its safe voltage.
    """
    if share is None:
        return None, "driven, it gets no power"
    stated = known.stated_share is not None
    basis = "the maker's share of the plate" if stated else f"{share:.0%} of the plate, by the rulebook"
    volts = None if known.rated_v is None else share * known.rated_v
    away = known.construction in ("series", "universal") and not known.built_in and known.motor_class != "starter"
    if away and volts is not None:
        least = min(volts, rules["runin.series"] * known.rated_v) if known.rated_v else volts
        if under(least, volts):
            volts, basis = least, "a quarter of the plate at most: without load it runs away"
        if known.safe_v is not None and under(known.safe_v, volts):
            volts, basis = known.safe_v, "its safe voltage"
    return volts, basis


def _steps(known: ToBed, volts: float | None, amps: float | None, minutes: float) -> tuple[Step, ...]:
    """Return the steps: unloaded, both ways where it reverses, then with more load as the prints allow."""
    half = minutes / 2
    first = "driven at half speed, no load" if known.motor_class == "generator" else "no load, or a light one"
    ways = (("forward", half), ("backward", half)) if known.reverses else ((first, minutes),)
    made, at = [], 0.0
    for words, long_min in ways:
        made.append(Step(words=words, from_min=at, to_min=at + long_min, most_v=volts, most_a=amps))
        at += long_min
    made.append(Step(words="part load", from_min=at, to_min=at + half, most_v=volts, most_a=amps, waits=True))
    full = Step(
        words="load in steps",
        from_min=at + half,
        to_min=at + 2 * half,
        most_v=known.rated_v,
        most_a=known.rated_a,
        waits=True,
    )
    return (*made, full)


def _fixed(known: ToBed, amps: float | None, rules: MotorRules) -> tuple[str, tuple[Step, ...]]:
    """Return what is done where volts cannot be lowered."""
    idles = known.motor_class in ("appliance", "tool") and known.built_in
    if known.construction == "permanent-magnet" or (known.construction == "universal" and idles):
        run = rules["runin.short"]
        words = f"unloaded runs of {run:g} min, cooled between, looked at after each"
        step = Step(words=words, from_min=0, to_min=5 * run, most_v=known.rated_v, most_a=amps)
        return "volts cannot be lowered here: short unloaded runs", (step,)
    return "volts cannot be lowered here: bed the faces by paper to the print that releases the load", ()
