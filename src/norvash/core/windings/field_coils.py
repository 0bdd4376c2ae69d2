"""Field coils by their resistance: each against the median of all, two against each other, one against its type."""

from collections.abc import Sequence
from dataclasses import dataclass
from statistics import median, median_low
from typing import Literal

from norvash.core.edges import over, under
from norvash.core.grades import GRADES, Grade
from norvash.core.rules.book import MotorRules
from norvash.core.text.words import listed
from norvash.errors import InputError

# What a coil is: within its band, a little off, a poor joint, open, shorted turns, or not to be told.
CoilState = Literal["good", "low", "high", "joint", "open", "shorted", "not judged"]
# Over all that a meter shows.
OPEN_OHM = 1e6
_WATCH = ("low", "high")


@dataclass(frozen=True, slots=True, kw_only=True)
class CoilTest:
    """What field coils are judged by: the construction, the finest step of the meter [Ω], the resistance of one at
    20 °C by type or by the last sheet [Ω]; None where nobody states it.
    """

    construction: str = "universal"
    step_ohm: float | None = None
    usual_ohm: float | None = None


@dataclass(frozen=True, slots=True, kw_only=True)
class Coils:
    """Field coils at 20 °C [Ω], their deviation from what they are held against [1], what each of them is, the grade,
    and the greatest over the least of those that are not open [1].
    """

    at_20_ohm: tuple[float, ...]
    deviations: tuple[float, ...]
    states: tuple[CoilState, ...]
    grades: tuple[Grade, ...]
    spread: float

    @property
    def off(self) -> tuple[int, ...]:
        """Return every coil that is not good, from 1."""
        return tuple(n for n, state in enumerate(self.states, start=1) if state not in ("good", "not judged"))

    @property
    def closed(self) -> tuple[int, ...]:
        """Return the coils that are not open, from 1."""
        return tuple(n for n, state in enumerate(self.states, start=1) if state != "open")

    @property
    def grade(self) -> Grade:
        """Return the grade of the worst."""
        return max(self.grades, key=GRADES.index)

    @property
    def held_by(self) -> str:
        """Return what they are held against, in words."""
        return _BY.get(len(self.closed), "the median of all")

    def of(self, *states: CoilState) -> tuple[int, ...]:
        """Return the coils that are one of these, from 1."""
        return tuple(n for n, state in enumerate(self.states, start=1) if state in states)

    def called(self, n: int) -> str:
        """Return what one of them is, from 1, in words."""
        return _SAID.get(self.states[n - 1], "as the others")

    def said(self, *states: CoilState) -> str:
        """Return in words which coils are one of these; of two unlike ones it is said that the lower is only the
        suspect.
        """
        made = [
            f"coil{'s' * (len(which) > 1)} {listed([self._one(n) for n in which])}: {_SAID[state]}"
            for state in _SAID
            if state in states and (which := self.of(state))
        ]
        if len(self.closed) == 2 and set(states) & {"shorted", "low"} and self.of("shorted", "low"):
            made.append("the lower is the suspect; the other may have a poor joint")
        return "; ".join(made)

    def _one(self, n: int) -> str:
        told = self.states[n - 1] not in ("open", "not judged")
        return f"{n} ({self.deviations[n - 1]:+.1%} against {self.held_by})" if told else str(n)

    @property
    def words(self) -> str:
        """Return what they say in one sentence."""
        if not (off := self.of(*_SAID)):
            return "the coils agree" if len(self.states) > 1 else f"as by {self.held_by}"
        said = [self.said(*_SAID)]
        if self.of("not judged"):
            alone = len(self.closed) == 1
            said.append("say what one coil has by its type" if alone else COARSE)
        return "; ".join(said) if off else ""


def judge_coils(each_ohm: Sequence[float], temperature_c: float, test: CoilTest, rules: MotorRules) -> Coils:
    """Return field coils, judged: three or more against the median of those that are not open, of two the lower one is
    the suspect, one alone against its type or the last sheet.

    Units: [Ω], 1 MΩ or more for one that is open, [°C]. Raises: InputError without a coil, or for one without any
    resistance. Source: rules field.*
    """
    if not each_ohm or not min(each_ohm) > 0:
        raise InputError(
            "Each coil needs a resistance over 0.",
            "Give the resistance of every coil, OL for an open one.",
            "coils_ohm",
        )
    at_20 = tuple(x / (1 + rules["field.coefficient"] * (temperature_c - 20)) for x in each_ohm)
    opened = _open(each_ohm, rules)
    sound_ohm = [x for x, is_open in zip(at_20, opened, strict=True) if not is_open]
    against_ohm = _against(sound_ohm, test)
    steps = [_coarse_step(x, test.step_ohm, rules) * y / x for x, y in zip(each_ohm, at_20, strict=True)]
    states = tuple(_state(x, o, s, against_ohm, rules) for x, o, s in zip(at_20, opened, steps, strict=True))
    grades = tuple(_grade(s, test.construction) for s in states)
    off = tuple(x / against_ohm - 1 if against_ohm else 0.0 for x in at_20)
    spread = max(sound_ohm) / min(sound_ohm) - 1 if sound_ohm else 0.0
    return Coils(at_20_ohm=at_20, deviations=off, states=states, grades=grades, spread=spread)


def _open(each_ohm: Sequence[float], rules: MotorRules) -> tuple[bool, ...]:
    """Return which coils are open: over all that a meter shows, or over a hundred times the others."""
    times = rules["field.open-times"]
    left = [x for x in each_ohm if x < OPEN_OHM]
    most = OPEN_OHM
    while left and over(max(left), times * (least := min(left) if len(left) == 2 else median_low(left))):
        most = times * least
        left = [x for x in left if not over(x, most)]
    return tuple(x >= OPEN_OHM or over(x, most) for x in each_ohm)


def _against(sound_ohm: Sequence[float], test: CoilTest) -> float | None:
    """Return what coils are held against [Ω]; None for one alone of which nothing is known."""
    if len(sound_ohm) > 2:
        return median(sound_ohm)
    return max(sound_ohm) if len(sound_ohm) == 2 else test.usual_ohm


def _coarse_step(ohm: float, step_ohm: float | None, rules: MotorRules) -> float:
    """Return the step of a meter that is too coarse for a value [Ω], 0 for one that is fine enough."""
    return step_ohm if step_ohm is not None and over(step_ohm, ohm * rules["field.step"]) else 0.0


def _state(at_20_ohm: float, is_open: bool, step_ohm: float, against_ohm: float | None, rules: MotorRules) -> CoilState:
    """Return what one coil is; on a coarse meter only what is off by more than its step."""
    if is_open:
        return "open"
    if against_ohm is None:
        return "not judged"
    toward = (
        max(against_ohm - at_20_ohm, -step_ohm)
        if over(at_20_ohm, against_ohm)
        else min(against_ohm - at_20_ohm, step_ohm)
    )
    state = _held((at_20_ohm + toward) / against_ohm, rules)
    return "not judged" if step_ohm and state == "good" else state


def _held(ratio: float, rules: MotorRules) -> CoilState:
    if over(ratio, rules["field.open"]):
        return "open"
    bands: tuple[tuple[bool, CoilState], ...] = (
        (over(ratio, 1 + rules["field.joint"]), "joint"),
        (over(ratio, 1 + rules["field.spread"]), "high"),
        (under(ratio, 1 - rules["field.shorted"]), "shorted"),
        (under(ratio, 1 - rules["field.spread"]), "low"),
    )
    return next((state for off, state in bands if off), "good")


def _grade(state: CoilState, construction: str) -> Grade:
    """Return how grave it is: shorted turns weaken the field of a motor that runs away without it."""
    if state == "open":
        return "stop"
    if state == "shorted":
        return "change" if construction in ("series", "universal") else "stop"
    return "plan" if state == "joint" else "watch" if state in _WATCH else "fit"


COARSE = "the meter is too coarse: a tenth of the value at most"
_BY = {0: "its type or the last sheet", 1: "its type or the last sheet", 2: "the other"}
_SAID: dict[CoilState, str] = {
    "open": "open",
    "joint": "a poor joint",
    "high": "a little high",
    "shorted": "shorted turns",
    "low": "a little low",
    "not judged": "not judged",
}
