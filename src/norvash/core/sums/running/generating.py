"""Sums of a generator: its volts at several speeds against its plate."""

from dataclasses import dataclass

from norvash.core.rules.book import MotorRules
from norvash.core.running.output import judge_output
from norvash.core.sums.registry import Sum, ask, gives

SELF, MAGNETS, APART = "self", "magnets", "separate"
_SAID = {
    "incomplete": "two points or more from 0.4 of its rated speed up, one of them near it",
    "dead": "no output: brushes, field circuit and direction first, then flash its field, before anything is rewound",
    "does not rise": "its volts do not rise with its speed: field circuit and regulator",
    "low": "low output: brushes, field, coils",
    "high": "high output: its regulator, or another field than its plate's",
    "good": "as on its plate; good here and dead in its place: regulator or wiring",
}


@dataclass(frozen=True, slots=True, kw_only=True)
class OutputPoint:
    """One point of a generator. Units: rpm [r/min], v [V]."""

    rpm: float
    v: float


@dataclass(frozen=True, slots=True, kw_only=True)
class OutputIn:
    """A generator without its regulator, at several speeds."""

    excitation: str = ask(
        "Its field", "word", choices=((SELF, "excites itself"), (MAGNETS, "magnets"), (APART, "separately excited"))
    )
    rated_v: float = ask("Plate volts", "voltage", above_low=True, high=50_000)
    rated_rpm: float = ask("Plate speed", "speed", above_low=True, high=200_000)
    points: list[OutputPoint] = ask("Points", "rows", hint="rpm 450; v 26.1 | rpm 980; v 58.9")
    loaded: bool = ask("It carries a load", "yes", default=False)


@dataclass(frozen=True, slots=True, kw_only=True)
class OutputOut:
    """What its plate promises at each speed, the share that is reached, whether it rises, and the answer."""

    expected_v: tuple[float, ...] = gives("what its plate says there, V")
    share: tuple[float, ...] = gives("as a share", share=True)
    rises: bool = gives("it rises with speed")
    answer: str = gives("answer")
    advice: str
    rules: tuple[str, ...]


def generator_output(given: OutputIn, rules: MotorRules) -> OutputOut:
    """Return what the volts of a generator say."""
    judged = judge_output(
        [(p.rpm, p.v) for p in given.points],
        (given.rated_rpm, given.rated_v),
        self_excited=given.excitation == SELF,
        loaded=given.loaded,
        rules=rules,
    )
    return OutputOut(
        expected_v=judged.expected_v,
        share=judged.shares,
        rises=judged.rises,
        answer=judged.answer,
        advice=_SAID[judged.answer],
        rules=("output.from", "output.dead", "output.low", "output.high"),
    )


SUMS = (
    Sum(
        name="generator-output",
        title="Generator's output",
        words="Its volts at several speeds against its plate, the regulator left out.",
        inputs=OutputIn,
        compute=generator_output,
        example={
            "excitation": "magnets",
            "rated_v": 60.0,
            "rated_rpm": 1000.0,
            "points": [{"rpm": 450.0, "v": 26.1}, {"rpm": 700.0, "v": 41.5}, {"rpm": 980.0, "v": 58.9}],
        },
    ),
)
