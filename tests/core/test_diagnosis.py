"""From symptom to cause: the known chains, and laws that hold for every table that somebody may put in place."""

from dataclasses import replace
from typing import Any

import pytest
from hypothesis import given
from hypothesis import strategies as st

from norvash.core.diagnosis.causes import CAUSES, SURROUNDINGS, base_rates
from norvash.core.diagnosis.checks import CHECKS
from norvash.core.diagnosis.first_signs import first_signs
from norvash.core.diagnosis.ranking import Situation, diagnose, entropy, likelihoods, strengths, worth_of
from norvash.core.diagnosis.sign import NOT_SO
from norvash.core.diagnosis.signs import AT_THE_CALL, SIGNS, offered
from norvash.core.motor.classes import TEMPLATES
from norvash.core.rules.book import MotorRules
from norvash.core.rules.catalogue import shipped
from norvash.errors import InputError
from whole import assert_no_word_moved, assert_nothing_moved

RULES = shipped()
OPEN = Situation("stripped", power=True, safe=True)

CHAINS: dict[str, tuple[str, dict[str, str], set[str]]] = {
    "dead, tapping revives it": ("appliance", {"start": "dead", "tapped": "yes"}, {"stuck", "worn"}),
    "the same after a long stand": ("industrial", {"start": "dead", "tapped": "yes", "idle": "yes"}, {"stuck"}),
    "slow with low current": ("starter", {"weak": "yes", "amps": "low"}, {"terminal", "dirty", "cable", "worn"}),
    "slow with high current": ("tool", {"weak": "yes", "amps": "high"}, {"bearing", "short", "load"}),
    "one setting missing": ("appliance", {"taps": "one"}, {"switch"}),
    "settings do not rise": ("appliance", {"taps": "miswired"}, {"switch"}),
    "all settings low": ("appliance", {"taps": "low"}, {"supply"}),
    "no voltage": ("tool", {"start": "dead", "volts": "missing"}, {"supply", "switch"}),
    "low while cranking": ("starter", {"start": "clicks", "cranking": "yes"}, {"cable"}),
    "clicks, volts right, no current": (
        "starter",
        {"start": "clicks", "cranking": "no", "amps": "none"},
        {"worn", "stuck", "lead"},
    ),
    "heavy current, does not turn": ("starter", {"amps": "high", "by-hand": "locked"}, {"load", "bearing"}),
    "hums, tool stands": ("appliance", {"hums": "yes"}, {"load"}),
    "noise stays while it coasts": ("tool", {"loud": "yes", "coasting": "stays"}, {"bearing", "load"}),
    "noise stops with the power": ("tool", {"new-noise": "yes", "coasting": "stops"}, {"wrong-brush", "rough"}),
    "stops hot, returns cold": ("appliance", {"stops-hot": "yes"}, {"cutout"}),
    "no residual": ("generator", {"low-output": "yes", "residual-none": "yes"}, {"residual"}),
    "black at two bars": ("industrial", {"sparks": "place", "track": "two-bars"}, {"open-coil"}),
    "low volts and little current": ("industrial", {"weak": "yes", "volts": "low-low"}, {"supply", "cable"}),
    "the same in a hand": ("tool", {"weak": "yes", "volts": "low-low"}, {"supply", "cable"}),
    "low volts and much current": ("industrial", {"weak": "yes", "volts": "low-high"}, {"short", "bearing", "load"}),
    "the same while cranking": ("starter", {"volts": "low-high", "by-hand": "rough"}, {"short", "bearing", "load"}),
    "a ring of fire": ("industrial", {"sparks": "ring"}, {"open-coil"}),
    "one arm sparks": ("industrial", {"sparks": "place"}, {"spring", "lead", "stuck"}),
    "good on the bench, dead in place": ("generator", {"good-here": "yes"}, {"regulator"}),
    "volts too high": ("generator", {"volts-high": "yes"}, {"regulator"}),
    "hot, stops hot": ("appliance", {"hot": "yes", "stops-hot": "yes"}, {"cooling", "cutout", "cutout-inside"}),
    "sparks at all edges after work on the brush gear": (
        "industrial",
        {"gear-work": "yes", "sparks": "little"},
        {"neutral"},
    ),
    "the same in a tool": ("tool", {"gear-work": "yes", "sparks": "little"}, {"neutral"}),
    "faster one way than the other": ("traction", {"by-direction": "yes"}, {"neutral"}),
    "the load stands": ("appliance", {"belt-stands": "yes"}, {"belt"}),
    "the starter spins, the engine stands": ("starter", {"spins": "yes"}, {"load", "solenoid"}),
    "rapid chatter": ("starter", {"start": "chatter"}, {"cable"}),
    "a single click": ("starter", {"start": "clicks"}, {"solenoid"}),
    "a dead spot": ("industrial", {"dead-spot": "yes"}, {"open-coil"}),
    "wears fast and glazed": ("industrial", {"wears-fast": "yes", "glazed": "yes"}, {"contamination"}),
    "no way through a series machine, but through its armature": (
        "traction",
        {"start": "dead", "ohms-all": "yes", "ohms": "no"},
        {"field"},
    ),
    "a cracked magnet": ("tool", {"weak": "yes", "magnets": "yes"}, {"magnet"}),
    "a broken lead": ("industrial", {"start": "dead", "lead-bad": "yes"}, {"lead"}),
    "a seized brush": ("industrial", {"start": "dead", "held": "seized"}, {"stuck"}),
    "an open riser": ("industrial", {"sparks": "ring", "bars": "riser"}, {"open-coil"}),
    "no insulation left": ("appliance", {"trips": "yes", "insulation": "none"}, {"earth"}),
    "after water it trips": ("appliance", {"water": "yes", "trips": "yes"}, {"earth", "tracking"}),
}


@pytest.mark.parametrize(("motor_class", "seen", "firsts"), CHAINS.values(), ids=CHAINS.keys())
def test_the_known_chains(motor_class: str, seen: dict[str, str], firsts: set[str]) -> None:
    found = diagnose(motor_class, seen, RULES)
    assert found.first.cause.id in firsts
    assert found.first.speaks_for
    assert all(r.ratio > 1 for r in found.first.speaks_for)
    assert all(r.ratio < 1 for r in found.first.speaks_against)


WHERE: dict[str, dict[str, Any]] = {
    "closed": {},
    "open, safe": {"now": OPEN},
    "closed, no power": {"now": Situation(power=False)},
    "not to run free": {"now": Situation(unloaded=False)},
    "wet and long idle": {"surroundings": ("wet", "idle")},
    "cleaned before": {"ruled_out": ("dirty", "stuck")},
}


def test_nothing_moves_in_what_is_told_of_a_cause() -> None:
    told: list[str] = []
    for name, (motor_class, seen, _) in CHAINS.items():
        for where, known in WHERE.items():
            found = diagnose(motor_class, {**seen, "smell": NOT_SO}, RULES, **known)
            told.append(f"== {name}, {where}: {found.entropy_bits:.4f} bits, {found.share('upstream'):.4f} upstream")
            for r in found.ranked[:4]:
                reasons = ", ".join(f"{x.words} {x.ratio:.4g}" for x in (*r.speaks_for, *r.speaks_against))
                told.append(f"{r.cause.id} {r.chance:.4f}, {len(r.speaks_for)} for it: {reasons}")
            told.append("; ".join(f"{c.check.id} {c.drop_bits:.4f}" for c in found.checks[:6]))
    assert_no_word_moved("diagnosis.txt", "\n".join(told) + "\n")


def test_entropy_counts_the_questions_that_are_left() -> None:
    assert [entropy(x) for x in ([1.0], [0.5, 0.5], [0.25] * 4, [1.0, 0.0])] == [0.0, 1.0, 2.0, 0.0]


def test_volts_right_and_no_way_through_is_the_motors_side_and_no_volts_is_upstream() -> None:
    for motor_class in TEMPLATES:
        inside = diagnose(motor_class, {"start": "dead", "volts": "right", "ohms": "infinite"}, RULES)
        assert inside.share("upstream") < 0.02
        before = diagnose(motor_class, {"start": "dead", "volts": "missing"}, RULES)
        assert before.share("upstream") > RULES["diagnosis.upstream"]


def test_every_cause_can_win_and_every_answer_moves_something() -> None:
    means = strengths(RULES)
    for cause in (c for c in CAUSES if any(c.common.values())):
        motor_class = max(TEMPLATES, key=lambda c, x=cause: base_rates(c)[x.id])  # type: ignore[misc]
        seen = {}
        for sign in SIGNS:
            table = likelihoods(sign.id, means)
            answers = sign.known
            if offered(sign, motor_class):
                seen[sign.id] = max(answers, key=lambda a, t=table: t[cause.id][a] / sum(r[a] for r in t.values()))  # type: ignore[misc]
        assert diagnose(motor_class, seen, RULES).first.cause.id == cause.id
    for sign in SIGNS:
        for answer in sign.known:
            column = {row[answer] for row in likelihoods(sign.id, means).values()}
            told = max(column) / min(column)
            assert told == pytest.approx(1) if sign.silent and answer == NOT_SO else told > 1.05, (sign.id, answer)
    assert {s for c in CHECKS for s in c.signs} <= {s.id for s in SIGNS}


@st.composite
def signs_shown(draw: st.DrawFn) -> tuple[str, dict[str, str]]:
    motor_class = draw(st.sampled_from(sorted(TEMPLATES)))
    signs = draw(
        st.lists(st.sampled_from([s for s in SIGNS if offered(s, motor_class)]), max_size=7, unique_by=lambda s: s.id)
    )
    return motor_class, {s.id: draw(st.sampled_from(s.known)) for s in signs}


@given(signs_shown(), st.sampled_from(["assembled", "opened", "stripped"]), st.booleans(), st.booleans())
def test_laws_of_the_ranking(case: tuple[str, dict[str, str]], state: str, power: bool, safe: bool) -> None:
    motor_class, seen = case
    now = Situation(state, power, safe)
    found = diagnose(motor_class, seen, RULES, now=now)
    assert sum(r.chance for r in found.ranked) == pytest.approx(1)
    turned_round = dict(reversed(seen.items()))
    assert diagnose(motor_class, turned_round, RULES, now=now).first.chance == pytest.approx(found.first.chance)
    for check in found.checks:
        assert now.allows(check.check)
        assert -1e-9 <= check.drop_bits <= found.entropy_bits + 1e-9
    assert [c.per_minute for c in found.checks] == sorted((c.per_minute for c in found.checks), reverse=True)
    out = diagnose(motor_class, seen, RULES, ruled_out=[found.first.cause.id], now=now)
    assert found.first.cause.id not in {r.cause.id for r in out.ranked}


def test_the_expected_drop_is_the_mean_over_the_answers(rules: MotorRules) -> None:
    """One sign, worked out here by hand: the mean of what each answer would leave."""
    seen = {"start": "dead"}
    found = diagnose("tool", seen, rules, now=OPEN)
    tap = next(c for c in found.checks if c.check.id == "tap")
    chances = {r.cause.id: r.chance for r in found.ranked}
    left = 0.0
    for answer in ("yes", NOT_SO):
        likely = sum(p * likelihoods("tapped", strengths(rules))[c][answer] for c, p in chances.items())
        left += likely * diagnose("tool", {**seen, "tapped": answer}, rules).entropy_bits
    assert tap.drop_bits == pytest.approx(found.entropy_bits - left)
    assert worth_of(tap.check, chances, seen, "tool", strengths(rules)).drop_bits == pytest.approx(tap.drop_bits)


def test_the_proven_causes_of_the_house_count_beside_the_table_from_twenty_on() -> None:
    table = base_rates("tool")
    assert base_rates("tool", (), {"stuck": 12, "worn": 7}) == table
    cases = {"stuck": 15, "worn": 5, "residual": 9}
    house = base_rates("tool", (), cases)
    assert sum(house.values()) == pytest.approx(1)
    assert house["residual"] == table["residual"] == 0  # no tool has one, whoever says so
    for cause in table:
        counted = cases.get(cause, 0) if table[cause] else 0
        assert house[cause] == pytest.approx((20 * table[cause] + counted) / 40), cause
    seen = {"start": "dead"}
    told = diagnose("tool", seen, RULES, cases=cases)
    alone = diagnose("tool", seen, RULES)
    stuck = [next(r.chance for r in d.ranked if r.cause.id == "stuck") for d in (told, alone)]
    assert stuck[0] > stuck[1]
    assert diagnose("tool", seen, RULES, cases={"stuck": 19}).ranked == alone.ranked


def test_where_a_motor_stands_turns_the_odds_by_its_table() -> None:
    base, around = base_rates("tool"), base_rates("tool", ("wet", "idle", "nowhere"))
    assert sum(around.values()) == pytest.approx(1)
    turned = {c: around[c] / base[c] / (around["load"] / base["load"]) for c in base if base[c]}
    wanted = {
        "stuck": 6.0,
        "dirty": 2.0,
        "terminal": 1.5,
        "earth": 2.0,
        "tracking": 1.5,
        "bearing": 1.3,
        "spring": 2.25,
        "residual": 2.0,
    }
    assert turned == pytest.approx({c: wanted.get(c, 1.0) for c in turned})


def test_a_check_is_only_proposed_where_it_may_be_made() -> None:
    plain, bold = (
        next(c for c in CHECKS if c.power is p and not c.unloaded and c.state == "assembled") for p in (False, True)
    )
    free = next(c for c in CHECKS if c.unloaded)
    inside = next(c for c in CHECKS if c.state == "stripped" and not c.power)
    everything = Situation("stripped")
    assert all(everything.allows(c) for c in CHECKS)
    assert [replace(everything, state=s).allows(inside) for s in ("assembled", "opened", "stripped")] == [
        False,
        False,
        True,
    ]
    assert [replace(everything, unloaded=False).allows(c) for c in (free, plain, bold)] == [False, True, True]
    assert [replace(everything, power=False).allows(c) for c in (plain, bold)] == [True, False]
    assert [replace(everything, safe=False).allows(c) for c in (plain, bold)] == [False, True]


def test_a_weak_a_clear_and_a_strong_sign_weigh_as_the_rules_say() -> None:
    means = strengths(RULES)
    for sign in SIGNS:
        for cause_id, row in likelihoods(sign.id, means).items():
            usual = {a.id: a.usual or (0.03 if 4 in a.weights.values() else 0.1) for a in sign.answers}
            raw = {a.id: usual[a.id] * _weighed(a.weights.get(cause_id, 0), means) for a in sign.answers}
            whole = 0.7 if sign.silent else min(0.97, sum(raw.values())) if sign.not_so else 1.0
            scale = whole / sum(raw.values())
            assert {a: row[a] for a in raw} == pytest.approx({a: v * scale for a, v in raw.items()})
            assert sum(row.values()) == pytest.approx(1)


def _weighed(weight: int, means: tuple[float, ...]) -> float:
    """Return what a strength means: none leaves the chance as it is, one below nothing divides it."""
    return {
        0: 1.0,
        1: means[1],
        2: means[2],
        3: means[3],
        4: 30.0,
        -1: 1 / means[1],
        -2: 1 / means[2],
        -3: 1 / means[3],
    }[weight]


def test_nobody_knows_is_no_evidence() -> None:
    for seen in ({"start": "dead"}, {"weak": "yes", "amps": "high"}):
        before, after = diagnose("tool", seen, RULES), diagnose("tool", {**seen, "onset": NOT_SO}, RULES)
        assert {r.cause.id: r.chance for r in after.ranked} == pytest.approx(
            {r.cause.id: r.chance for r in before.ranked}
        )


def test_nothing_left_is_refused() -> None:
    with pytest.raises(InputError, match="Every cause"):
        diagnose("tool", {}, RULES, ruled_out=[c.id for c in CAUSES])


def test_no_rate_moves_by_surroundings() -> None:
    rates = [base_rates(c, (around,)) for c in TEMPLATES for around in SURROUNDINGS]
    assert_nothing_moved("surroundings.json", list(rates), rel=1e-6)


SAID = {
    "it sparks and smells": ({"sparks", "smell"}, "spins"),
    "blows the breaker, gives a shock": ({"shock"}, "spins"),
    "shakes and is loud": ({"shakes", "loud"}, "spins"),
    "": ({"start"}, "new-noise"),
}


@pytest.mark.parametrize(("words", "named", "never"), [(k, *v) for k, v in SAID.items()], ids=[k or "-" for k in SAID])
def test_what_a_complaint_names_is_asked_about_first(
    rules: MotorRules, words: str, named: set[str], never: str
) -> None:
    signs = [s for s in AT_THE_CALL if offered(s, "appliance")]
    first = first_signs(signs, words, base_rates("appliance"), strengths(rules))
    assert len(first) == 8
    assert named <= set(first)
    assert never not in first
    assert list(first) == [s.id for s in signs if s.id in first], "in their own order"
    assert first_signs(signs[:5], words, base_rates("appliance"), strengths(rules)) == tuple(s.id for s in signs[:5])
