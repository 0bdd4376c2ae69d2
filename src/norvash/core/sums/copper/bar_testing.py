"""The bar test as a sum."""

from dataclasses import dataclass

from norvash.core.commutator.armature import Armature
from norvash.core.commutator.bar_testing import FEEDS, BarTested, Taken, judge_bar_test
from norvash.core.commutator.result_words import bar_test_words
from norvash.core.rules.book import MotorRules
from norvash.core.sums.copper.commutator import WINDING_CHOICES
from norvash.core.sums.registry import Sum, ask, gives
from norvash.errors import InputError


@dataclass(frozen=True, slots=True, kw_only=True)
class BarTestIn:
    """Readings from bar to bar all round; reading 1 lies between bars 1 and 2, the last between the last and
    the first.
    """

    readings_milliohm: list[float | None] = ask(
        "Readings, one unit for all", "reading", high=1e9, hint="mΩ or mV; a dash where one is missing"
    )
    bars: int = ask("Bars", "count", low=5, high=400)
    pole_pairs: int | None = ask("Pole pairs", "count", default=None, low=1, high=50)
    winding: str = ask("Winding", "word", default="unknown", choices=WINDING_CHOICES)
    commutator_pitch: int | None = ask("Commutator pitch", "count", default=None, low=1, high=400)
    slots: int | None = ask("Slots of the armature", "count", default=None, low=2, high=400)
    fed: str = ask("Fed", "word", default="unknown", choices=tuple(FEEDS.items()))
    lifted: bool | None = ask("Brushes lifted", "yes", default=None, hint="not said: no release")
    coil_turns: int | None = ask("Turns of one coil", "count", default=None, low=1, high=2000)
    noise: float = ask("Scatter of a reading", "share", default=0.01, high=1, hint="as a share: 0.01 or 1 %")
    industrial_drop: bool = ask(
        "Voltage drops, on an industrial machine", "yes", default=False, hint="held to a finer band"
    )


@dataclass(frozen=True, slots=True, kw_only=True)
class BarTestOut:
    """The bar test, judged."""

    median_milliohm: float = gives("median")
    pass_band: float = gives("may differ from it by", share=True)
    deviations: tuple[float | None, ...]
    high_readings: tuple[int, ...] = gives("high readings")
    low_readings: tuple[int, ...] = gives("low readings")
    suspect_readings: tuple[int, ...] = gives("suspect readings")
    missing_readings: tuple[int, ...] = gives("missing readings")
    largest_other_deviation: float = gives("most that another differs", share=True)
    open_coils: int = gives("open coils")
    coil_from_bar: int | None = gives("from bar")
    coil_to_bar: int | None = gives("to bar")
    faults: tuple[str, ...]
    even: bool = gives("every reading even")
    release: bool = gives("may run")
    shorts_excluded: bool = gives("single shorted turns excluded")
    advice: str
    rules: tuple[str, ...]


def tested_of(given: BarTestIn, rules: MotorRules) -> BarTested:
    """Return the given readings, judged.

    Raises: InputError that names the field which cannot be so.
    """
    pitch = given.commutator_pitch
    pairs = given.pole_pairs or 1
    wave = given.winding == "wave" and pairs > 1
    if wave and pitch is not None and abs(pitch * pairs - given.bars) != 1:
        raise InputError(
            f"A commutator pitch of {pitch} does not close a wave on {given.bars} bars.",
            "It is (bars ± 1) over the pole pairs.",
            "commutator_pitch",
        )
    return judge_bar_test(
        given.readings_milliohm,
        Armature(
            bars=given.bars,
            pole_pairs=pairs,
            winding=given.winding,
            pitch=pitch,
            slots=given.slots,
            turns=given.coil_turns,
        ),
        Taken(given.noise, given.fed, given.lifted, given.industrial_drop),
        rules,
    )


def bar_test(given: BarTestIn, rules: MotorRules) -> BarTestOut:
    """Return the bar test with the coil or riser at fault.

    Raises: InputError that names the field which cannot be so.
    """
    found = tested_of(given, rules)
    opened = [f for f in found.faults if f.kind == "open"]
    first = found.faults[0] if found.faults else None
    odd = {*found.high, *found.low}
    others = [abs(d) for i, d in enumerate(found.deviations, start=1) if d is not None and i not in odd]
    return BarTestOut(
        median_milliohm=found.median,
        pass_band=found.band,
        deviations=found.deviations,
        high_readings=found.high,
        low_readings=found.low,
        suspect_readings=found.suspect,
        missing_readings=found.missing,
        largest_other_deviation=max(others, default=0.0),
        open_coils=len(opened),
        coil_from_bar=first.from_bar if first else None,
        coil_to_bar=first.to_bar if first else None,
        faults=tuple(f.words for f in found.faults),
        even=found.even,
        release=found.release,
        shorts_excluded=found.even and found.turns_known and found.hidden is None,
        advice=bar_test_words(found),
        rules=(found.pass_rule, "bartest.high", "bartest.low", "bartest.bridge", "bartest.noise", "bartest.scatter"),
    )


_EXAMPLE_TEST = [
    85.3,
    83.5,
    85.5,
    81.7,
    83.9,
    1120.3,
    84.8,
    82.1,
    85.1,
    83.7,
    85.2,
    83.4,
    83.2,
    84.7,
    85.5,
    83.0,
    85.5,
    85.3,
    82.2,
    84.0,
    1138.8,
    85.3,
    84.2,
    82.0,
    83.5,
    83.5,
    83.5,
    85.4,
    82.9,
]


SUMS = (
    Sum(
        name="bar-test",
        title="Bar test",
        words="Readings from bar to bar: the coil that is open or shorted, and whether the armature may run.",
        inputs=BarTestIn,
        compute=bar_test,
        example={
            "readings_milliohm": _EXAMPLE_TEST,
            "bars": 29,
            "pole_pairs": 2,
            "winding": "wave",
            "commutator_pitch": 14,
            "lifted": True,
        },
    ),
)
