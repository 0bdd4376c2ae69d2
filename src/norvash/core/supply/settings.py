"""Before the motor is blamed: speed taps and battery."""

from collections.abc import Sequence
from dataclasses import dataclass
from itertools import pairwise

from norvash.core.edges import over, under
from norvash.core.rules.book import MotorRules
from norvash.core.text.words import listed
from norvash.errors import InputError

_MOST_NAMED = 6


@dataclass(frozen=True, slots=True, kw_only=True)
class Ladder:
    """Measured speed settings against what each should be.

    Shares are of the supply; deviation is share over expected − 1 where known; bad and dead steps count from 1.
    """

    share: tuple[float, ...]
    expected_share: tuple[float | None, ...]
    deviation: tuple[float | None, ...]
    rising: bool
    top_drop_share: float
    top_ok: bool
    bad_steps: tuple[int, ...]
    dead_steps: tuple[int, ...]
    fault: str
    advice: str


def speed_ladder(
    supply_v: float, steps_v: Sequence[float], expected_shares: Sequence[float | None], rules: MotorRules
) -> Ladder:
    """Judge the voltage of every speed setting, lowest first.

    Units: supply_v [V], steps_v [V], expected [1] share of the supply, None where nobody knows.
    Raises: InputError without steps, or when the two lists differ. Source: rules taps.*
    """
    if not supply_v > 0:
        raise InputError("There is no supply to measure against.", "Measure the supply first.", "supply_v")
    if not steps_v or len(expected_shares) != len(steps_v):
        raise InputError(
            f"{len(steps_v)} steps are measured and {len(expected_shares)} are expected.",
            "Give one of each for every setting, lowest first.",
            "steps_v",
        )
    share = tuple(v / supply_v for v in steps_v)
    off = tuple(s / e - 1 if e else None for s, e in zip(share, expected_shares, strict=True))
    dead = tuple(i for i, s in enumerate(share, start=1) if under(s, rules["taps.dead"]))
    top_drop = 1 - share[-1]
    top_ok = not over(abs(top_drop), rules["taps.top"])
    bad = [
        under(s, rules["taps.dead"]) or (o is not None and over(abs(o), rules["taps.step"]))
        for s, o in zip(share, off, strict=True)
    ]
    bad[-1] = bad[-1] or not top_ok
    rising = all(b > a for a, b in pairwise(share))
    bad_steps = tuple(i for i, wrong in enumerate(bad, start=1) if wrong)
    fault, advice = _ladder_words(share, off, bad_steps, dead, rising)
    return Ladder(
        share=share,
        expected_share=tuple(expected_shares),
        deviation=off,
        rising=rising,
        top_drop_share=top_drop,
        top_ok=top_ok,
        bad_steps=bad_steps,
        dead_steps=dead,
        fault=fault,
        advice=advice,
    )


def _ladder_words(
    share: tuple[float, ...], off: tuple[float | None, ...], bad: tuple[int, ...], dead: tuple[int, ...], rising: bool
) -> tuple[str, str]:
    """Return which fault the settings show, and what to look at: all of them first, then their order, then
    single ones.
    """
    count = len(share)
    if len(dead) == count:
        return "missing", "nothing on any setting: look at supply, fuse and switch, not at the motor"
    known = [o for o in off if o is not None]
    if len(bad) == count and all(o < 0 for o in known) and share[-1] < 1:
        what = "every setting is low" if count > 1 else "the one setting is low"
        return "low", f"{what}: look at the supply and its cable under load"
    live = [s for i, s in enumerate(share, start=1) if i not in set(dead)]
    jumbled = any(b <= a for a, b in pairwise(live)) and _out_of_order(share, bad)
    if not rising and (jumbled or len(bad) != 1):
        return "miswired", "the settings do not rise from step to step: the switch is wired wrongly"
    if bad:
        return "one", _off_words(bad, count, dead=bool(dead))
    return "", "the settings rise as they should"


def _off_words(bad: tuple[int, ...], count: int, *, dead: bool) -> str:
    if len(bad) == 1:
        beside = " and its neighbours are good" if count > 1 else ", the only one"
        step = f"step {bad[0]} is {'dead' if dead else 'off'}{beside}"
        return f"{step}: look at the switch or its resistor, not at the motor"
    steps = f"{listed([str(n) for n in bad[:_MOST_NAMED]])}{' and more' * (len(bad) > _MOST_NAMED)}"
    return f"steps {steps} are off: look at the switch and its resistors"


def _out_of_order(share: Sequence[float], bad: Sequence[int]) -> bool:
    """Tell whether the settings fall even where the one step that is off is left out."""
    if len(bad) != 1:
        return True
    rest = [s for i, s in enumerate(share, start=1) if i != bad[0]]
    return any(b <= a for a, b in pairwise(rest))
