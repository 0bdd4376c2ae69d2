"""What the volts of a generator at its speeds say, its regulator left out."""

from collections.abc import Sequence
from dataclasses import dataclass

from norvash.core.edges import over, same, under, within
from norvash.core.rules.book import MotorRules


@dataclass(frozen=True, slots=True, kw_only=True)
class OutputJudged:
    """The volts that its plate promises at each speed [V], the share that is reached [1], whether its volts rise with
    speed, and the answer: incomplete, dead, does not rise, low, high, good.
    """

    expected_v: tuple[float, ...]
    shares: tuple[float, ...]
    rises: bool
    answer: str


def judge_output(
    points: Sequence[tuple[float, float]],
    plate: tuple[float, float],
    *,
    self_excited: bool,
    loaded: bool,
    rules: MotorRules,
) -> OutputJudged:
    """Judge the points of a generator; of one that excites itself only those near its rated speed, for its volts bend.

    Units: points and plate as speed [r/min] and volts [V]. Source: rules output.*
    """
    rpm, volts = plate
    read = sorted(points)
    expected = tuple(volts * n / rpm for n, _ in read)
    shares = tuple(v / e if e else 0.0 for (_, v), e in zip(read, expected, strict=True))
    rises = len(read) > 1 and read[-1][1] > read[0][1] and not same(read[-1][1], read[0][1])
    counting = [(n, s) for (n, _), s in zip(read, shares, strict=True) if not under(n, rules["output.from"] * rpm)]
    answer = _answer(counting, rpm, rules, rises=rises, self_excited=self_excited, loaded=loaded)
    return OutputJudged(expected_v=expected, shares=shares, rises=rises, answer=answer)


def _answer(
    counting: Sequence[tuple[float, float]],
    rpm: float,
    rules: MotorRules,
    *,
    rises: bool,
    self_excited: bool,
    loaded: bool,
) -> str:
    if len(counting) < rules["output.points"]:
        return "incomplete"
    if all(under(s, rules["output.dead"]) for _, s in counting):
        return "dead"
    low, high = rules["output.full"] * rpm, rules["output.over"] * rpm
    near = [(n, s) for n, s in counting if within(low, n, high)] if self_excited else counting
    if under(counting[-1][0], low) or not near:
        return "incomplete"
    if not rises:
        return "does not rise"
    most = rules["output.high-self"] if self_excited and not loaded else rules["output.high"]
    if any(under(s, rules["output.low"]) for _, s in near):
        return "low"
    return "high" if any(over(s, most) for _, s in near) else "good"
