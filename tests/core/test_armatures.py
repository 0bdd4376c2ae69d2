"""Armatures as networks of resistors: what a bar test would read of them, and whether its judge names the fault that
was built in.
"""

from dataclasses import dataclass
from random import Random

import numpy as np
import pytest

from norvash.core.commutator.armature import Armature
from norvash.core.commutator.bar_testing import BarTested, Taken, judge_bar_test
from norvash.core.rules.book import MotorRules

OPEN, SOLID = 1e6, 1e-3
WAVES = [
    (29, 2, 14),
    (29, 2, 15),
    (31, 3, 10),
    (35, 3, 12),
    (45, 2, 22),
    (87, 2, 43),
    (87, 2, 44),
    (93, 4, 23),
    (117, 2, 59),
]
LAPS = [(24, 2), (28, 1), (36, 2), (69, 2), (96, 3)]


@dataclass
class Network:
    """Coils from bar to bar by the pitch of the winding, and the riser of each bar; resistances in one unit."""

    bars: int
    pitch: int
    coils: list[float]
    risers: list[float]

    def readings(self) -> list[float | None]:
        """Return what a meter reads between neighbouring bars."""
        n = self.bars
        g = np.zeros((2 * n, 2 * n))

        def join(a: int, b: int, ohm: float) -> None:
            for x, y, s in ((a, a, 1), (b, b, 1), (a, b, -1), (b, a, -1)):
                g[x, y] += s / ohm

        for i, ohm in enumerate(self.coils):
            join(n + i, n + (i + self.pitch) % n, ohm)
        for i, ohm in enumerate(self.risers):
            join(i, n + i, ohm)
        inverse = np.linalg.pinv(g)
        made: list[float | None] = []
        for i in range(n):
            j = (i + 1) % n
            made.append(float(inverse[i, i] + inverse[j, j] - 2 * inverse[i, j]))
        return made


def sound(bars: int, pitch: int) -> Network:
    return Network(bars, pitch, [1.0] * bars, [SOLID] * bars)


def read(network: Network, armature: Armature, rules: MotorRules, noise: float = 0.0, seed: int = 1) -> BarTested:
    rnd = Random(seed)
    noisy = [None if x is None else x * (1 + noise * rnd.uniform(-1, 1)) for x in network.readings()]
    return judge_bar_test(noisy, armature, Taken(noise, lifted=True), rules)


@pytest.mark.parametrize(("bars", "pairs", "pitch"), WAVES)
def test_one_open_coil_of_a_wave_shows_at_as_many_places_as_there_are_pole_pairs(
    bars: int, pairs: int, pitch: int, rules: MotorRules
) -> None:
    armature = Armature(bars=bars, pole_pairs=pairs, winding="wave", pitch=pitch)
    for start in (1, bars // 2, bars):
        network = sound(bars, pitch)
        network.coils[start - 1] = OPEN
        found = read(network, armature, rules, noise=0.01)
        assert len(found.high) == pairs
        assert [(f.kind, f.from_bar, f.to_bar) for f in found.faults] == [
            ("open", start, (start + pitch - 1) % bars + 1)
        ]
        ratio = max(d for d in found.deviations if d is not None) + 1
        assert ratio == pytest.approx(bars / pairs, rel=0.15)


@pytest.mark.parametrize(("bars", "pairs", "pitch"), WAVES)
def test_a_short_of_a_wave_lowers_its_readings_by_one_part_in_the_pole_pairs(
    bars: int, pairs: int, pitch: int, rules: MotorRules
) -> None:
    network = sound(bars, pitch)
    network.coils[6] = 0.01
    found = read(network, Armature(bars=bars, pole_pairs=pairs, winding="wave", pitch=pitch), rules)
    assert [(f.kind, f.from_bar) for f in found.faults] == [("short", 7)]
    low = [d for d in found.deviations if d is not None and d < -0.15]
    assert low == pytest.approx([-1 / pairs] * pairs, abs=0.05)


@pytest.mark.parametrize(("bars", "pairs"), LAPS)
def test_an_open_coil_of_a_lap_reads_about_as_many_times_the_rest_as_there_are_bars(
    bars: int, pairs: int, rules: MotorRules
) -> None:
    network = sound(bars, 1)
    network.coils[10] = OPEN
    found = read(network, Armature(bars=bars, pole_pairs=pairs, winding="lap"), rules, noise=0.01)
    assert [(f.kind, f.from_bar, f.to_bar) for f in found.faults] == [("open", 11, 12)]
    assert max(d for d in found.deviations if d is not None) + 1 > bars / 2


@pytest.mark.parametrize(("bars", "pairs", "pitch"), [*WAVES[:5], *((b, p, 1) for b, p in LAPS)])
def test_a_broken_riser_shows_on_both_sides_of_its_bar(bars: int, pairs: int, pitch: int, rules: MotorRules) -> None:
    winding = "lap" if pitch == 1 else "wave"
    for bar in (1, 9, bars):
        network = sound(bars, pitch)
        network.risers[bar - 1] = 40.0
        found = read(
            network,
            Armature(bars=bars, pole_pairs=pairs, winding=winding, pitch=None if pitch == 1 else pitch),
            rules,
            noise=0.01,
        )
        assert [(f.kind, f.from_bar) for f in found.faults] == [("riser", bar)]
        assert set(found.high) == {(bar - 2) % bars + 1, bar}


def test_copper_across_a_slot_is_told_from_shorted_turns(rules: MotorRules) -> None:
    network = sound(24, 1)
    network.coils[4] = 0.01
    assert [f.kind for f in read(network, Armature(bars=24, pole_pairs=2, winding="lap"), rules).faults] == ["bridge"]
    network.coils[4] = 0.5
    assert [f.kind for f in read(network, Armature(bars=24, pole_pairs=2, winding="lap"), rules).faults] == ["short"]


@pytest.mark.long
def test_sound_armatures_are_released_and_noise_alone_condemns_none(rules: MotorRules) -> None:
    for bars, pairs, pitch in [*WAVES, *((b, p, 1) for b, p in LAPS)]:
        armature = Armature(
            bars=bars, pole_pairs=pairs, winding="lap" if pitch == 1 else "wave", pitch=None if pitch == 1 else pitch
        )
        for seed in range(5):
            assert read(sound(bars, pitch), armature, rules, noise=0.06, seed=seed).release


def test_two_faults_are_both_named(rules: MotorRules) -> None:
    network = sound(87, 43)
    network.coils[11] = 0.01
    network.coils[60] = OPEN
    found = read(network, Armature(bars=87, pole_pairs=2, winding="wave", pitch=43), rules)
    assert sorted((f.kind, f.from_bar) for f in found.faults) == [("open", 61), ("short", 12)]


def test_an_unknown_winding_is_read_both_ways(rules: MotorRules) -> None:
    wave, lap = sound(87, 43), sound(87, 1)
    wave.coils[19] = lap.coils[19] = OPEN
    armature = Armature(bars=87, pole_pairs=2)
    assert {(f.from_bar, f.to_bar) for f in read(wave, armature, rules).faults} >= {(20, 63)}
    assert [(f.from_bar, f.to_bar) for f in read(lap, armature, rules).faults] == [(20, 21)]
