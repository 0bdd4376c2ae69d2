"""A run without a figure: what it must show, what it is worth later, and where it proves nothing."""

from dataclasses import replace
from typing import Any

import pytest

from norvash.core.judging.prove.first_run import PULL, agrees, first_run_words, throws_only
from norvash.core.judging.prove.points import judged_at, points_of
from norvash.core.judging.prove.run import judge_run
from norvash.core.rules.book import MotorRules
from norvash.core.rules.catalogue import shipped
from norvash.core.sheet.facts import Facts
from norvash.core.sheet.sheet import Baseline, Gone, Sheet
from norvash.core.text.words import grouped
from small_sheets import facts, sheet

RULES = shipped()
MIXER = facts("appliance", rated_v=230.0)
FAN = facts("industrial", rated_v=220.0, construction="shunt", hangs_load="no")
STARTER = facts("starter", 4, rated_v=12.0)
BARE = facts("tool", rated_v=230.0, construction="universal", noload_a_most=0.0)
# What a whole first run reads, of a mixer that is held in the hand.
HELD: dict[str, Any] = {
    "run_how": "free",
    "run_where": "machine",
    "plate_none": "yes",
    "bump": "right",
    "run_v": (231.0, 230.0),
    "run_a": (1.9, 2.0),
    "run_rpm": (9000.0, 9100.0),
    "sparks": ("1", "1"),
    "run_min": (2.0, 2.0),
    "run_rest": (0.0, 10.0),
    "noise": "even",
    "coast_s": 4.0,
}
LONG: dict[str, Any] = {
    "run_how": "free",
    "plate_none": "yes",
    "bump": "right",
    "run_v": 220.0,
    "run_a": 1.2,
    "run_rpm": 1500.0,
    "sparks": "1",
    "run_min": 15.0,
    "noise": "even",
    "coast_s": 20.0,
}
THROWN: dict[str, Any] = {
    "run_how": "clamped",
    "bump": "right",
    "pinion_throws": "yes",
    "run_v": (11.5, 11.4, 11.4),
    "run_a": (60.0, 61.0, 60.0),
    "sparks": ("1", "1", "1"),
    "run_s": (5.0, 5.0, 5.0),
    "run_rest": (0.0, 2.0, 2.0),
}
ON_ENGINE: dict[str, Any] = {
    "run_how": "load",
    "bump": "right",
    "run_v": 9.9,
    "run_a": 160.0,
    "sparks": "1",
    "engine_starts": "yes",
}
# fmt: off
# A motor, what its run read and what was left out or read otherwise, and what it lacks; nothing where it is proven.
RUNS: dict[str, tuple[Facts, dict[str, Any], dict[str, Any], str]] = {
    "held in the hand, twice two minutes": (MIXER, HELD, {}, ""),
    "nobody said that its plate gives none": (MIXER, HELD, {"plate_none": None}, "say “plate read: none given”"),
    "no rest between": (MIXER, HELD, {"run_rest": (0.0, 9.9)}, "2, rest 10, and 2 again"),
    "a spell too short": (MIXER, HELD, {"run_min": (2.0, 1.9)}, "2, rest 10, and 2 again"),
    "a spell at too few volts": (MIXER, HELD, {"run_v": (115.0, 230.0)}, "2, rest 10, and 2 again"),
    "bare, and nothing says its volts": (
        facts("tool", construction="universal"),
        HELD,
        {"run_where": "bare", "run_v": (24.0, 24.0)},
        "the volts of its plate, or its safe voltage",
    ),
    "once only": (MIXER, HELD, {"run_min": (2.0,), "run_rest": None}, "2, rest 10, and 2 again"),
    "one that may run on": (facts("appliance", rated_v=230.0, short_duty="no"), HELD, {}, "minutes that it ran: 15, or its case within 2 K"),
    "short duty, its time stated": (facts("appliance", rated_v=230.0, duty_min=5.0), HELD, {"run_min": (5.0,)}, ""),
    "short duty, shorter than that": (facts("appliance", rated_v=230.0, duty_min=5.0), HELD, {"run_c": 50.0, "run_c_before": 50.0}, "minutes that it ran: 5"),
    "a quarter of an hour": (FAN, LONG, {}, ""),
    "until it is as hot as it gets": (FAN, LONG, {"run_min": None, "run_c": 61.0, "run_c_before": 59.0}, ""),
    "still getting hotter": (FAN, LONG, {"run_min": None, "run_c": 61.1, "run_c_before": 59.0}, "minutes that it ran: 15"),
    "volts not read": (FAN, LONG, {"run_v": None}, "volts at its terminals"),
    "too few volts": (FAN, LONG, {"run_v": 197.0}, "it was run at less"),
    "its plate's volts not known": (facts("industrial", construction="shunt", hangs_load="no"), LONG, {}, "the volts of its plate"),
    "not heard": (FAN, LONG, {"noise": None}, "its sound"),
    "not let go": (FAN, LONG, {"coast_s": None}, "how long it coasts"),
    "sparks not seen": (FAN, LONG, {"sparks": None}, "sparks"),
    "a hung load": (facts("industrial", rated_v=220.0, construction="shunt", hangs_load="yes"), LONG, {}, "hangs a load or carries people"),
    "nobody says whether a load hangs on it": (facts("industrial", rated_v=220.0, construction="shunt"), LONG, {}, "nobody has said that it hangs no load"),
    "a plate that gives its power": (facts("appliance", rated_v=230.0, rated_w=500.0), HELD, {"plate_none": None, "run_min": None}, ""),
    "bare, at its safe volts": (
        facts("tool", rated_v=230.0, construction="universal", safe_noload_v=24.0),
        HELD,
        {"run_where": "bare", "run_v": (24.0, 24.0)},
        "",
    ),
    "bare, under them": (
        facts("tool", rated_v=230.0, construction="universal", safe_noload_v=24.0),
        HELD,
        {"run_where": "bare", "run_v": (20.0, 20.0)},
        "its safe volts: at most 24 V",
    ),
    "bare, a step not read": (
        facts("tool", rated_v=230.0, construction="universal", safe_noload_v=24.0),
        HELD,
        {"run_where": "bare", "run_v": (24.0, 24.0), "sparks": ("1",)},
        "at every step",
    ),
    "bare, its plate gives what it takes with load": (
        facts("tool", rated_v=230.0, rated_w=700.0, construction="universal", safe_noload_v=24.0),
        HELD,
        {"run_where": "bare", "run_v": (24.0, 24.0), "plate_none": None, "run_min": None},
        "",
    ),
    "a starter on the bench": (STARTER, THROWN, {}, PULL),
    "a starter on its engine": (STARTER, ON_ENGINE, {}, ""),
    "an engine that does not start": (STARTER, ON_ENGINE, {"engine_starts": None}, "that the engine starts"),
    "cranked with too few volts": (STARTER, ON_ENGINE, {"run_v": 9.5}, "9.5 V, at least 9.6 V"),
}
# fmt: on


def read_of(motor: Facts, whole: dict[str, Any], other: dict[str, Any]) -> Sheet:
    return sheet(motor, **{k: v for k, v in (whole | other).items() if v is not None})


@pytest.mark.parametrize(("motor", "whole", "other", "lacks"), RUNS.values(), ids=RUNS)
def test_what_a_run_without_a_figure_lacks(
    motor: Facts, whole: dict[str, Any], other: dict[str, Any], lacks: str
) -> None:
    run = judge_run(read_of(motor, whole, other), MotorRules(RULES.book, motor.motor_class))
    assert lacks in " ".join(run.lacks)
    assert lacks or run.lacks == ()
    assert not lacks or len(run.lacks) == 1


def test_a_figure_that_it_had_once_is_put_back_or_read_anew_by_somebody_else() -> None:
    gone = Gone(words="current 2.1 A", person="Ines")
    base = read_of(FAN, LONG, {})

    def lacks(made: Sheet) -> str:
        return " ".join(judge_run(made, MotorRules(RULES.book, "industrial")).lacks)

    assert "current 2.1 A, taken away by Ines: put it back" in lacks(replace(base, gone=(gone,)))
    anew = read_of(FAN, LONG, {"plate_anew": "worn smooth"})  # by Ines again
    assert "put it back" in lacks(replace(anew, gone=(gone,)))
    for taken in (replace(gone, person="Bruno"), replace(gone, alone=True)):
        assert lacks(replace(anew, gone=(taken,))) == ""
    loaded = replace(base, baseline=Baseline(sheet=3, how="load", amps=5.0))
    assert "its own baseline, sheet 3, it was run otherwise" in lacks(loaded)
    assert lacks(replace(base, baseline=Baseline(sheet=3, how="free", amps=1.2))) == ""


# What was first stated at this visit, of one whose run read 1.2 A and 1 500 r/min, and whether that alone proves it.
STATED: dict[str, tuple[dict[str, Any], tuple[str, ...], str, bool]] = {
    "its own reading": ({"noload_a": 1.2}, ("noload_a",), "", False),
    "within a twentieth of it": ({"noload_a": 1.14}, ("noload_a",), "", False),
    "further off": ({"noload_a": 1.1}, ("noload_a",), "", True),
    "from its maker's sheet": ({"noload_a": 1.2}, ("noload_a",), "maker", True),
    "said to be what was read": ({"noload_a": 1.2}, ("noload_a",), "reading", False),
    "stated long before": ({"noload_a": 1.2}, (), "", True),
    "beside the speed of before": ({"noload_a": 1.2, "noload_rpm": 1500.0}, ("noload_a",), "", True),
    "both as read": ({"noload_a": 1.2, "noload_rpm": 1500.0}, ("noload_a", "noload_rpm"), "", False),
    "of its plate": ({"rated_rpm": 1500.0}, ("rated_rpm",), "", False),
}


@pytest.mark.parametrize(("figures", "here", "source", "proves"), STATED.values(), ids=STATED)
def test_a_reading_typed_as_its_own_usual_never_proves_itself(
    figures: dict[str, Any], here: tuple[str, ...], source: str, *, proves: bool
) -> None:
    motor = facts("industrial", rated_v=220.0, construction="shunt", hangs_load="no", **figures)
    read = read_of(motor, LONG, {"plate_none": None, "usual_from": source or None})
    run = judge_run(replace(read, stated_here=frozenset(here)), MotorRules(RULES.book, "industrial"))
    assert (run.lacks == ()) is proves
    assert proves or "say where that comes from" in " ".join(run.lacks)


# How the first run was: amps, r/min, volts, way; whether today's agrees, None where the two are not compared.
FIRST: dict[str, tuple[dict[str, Any], bool | None]] = {
    "the same": ({}, True),
    "ten in a hundred less then": ({"amps": 1.2 / 1.1, "rpm": 1500 / 1.1}, True),
    "more than that": ({"rpm": 1500 / 1.101}, False),
    "one of the two only": ({"amps": 2.0}, False),
    "run with its load": ({"how": "load"}, None),
    "at other volts": ({"volts": 180.0}, None),
    "volts not read then": ({"volts": None}, None),
    "nothing to compare": ({"amps": None, "rpm": None}, None),
}


@pytest.mark.parametrize(("then", "fits"), FIRST.values(), ids=FIRST)
def test_a_first_run_is_a_figure_once_a_later_one_agrees(then: dict[str, Any], fits: bool | None) -> None:
    first = Baseline(**{"sheet": 1, "how": "free", "volts": 220.0, "amps": 1.2, "rpm": 1500.0, **then})
    rules = MotorRules(RULES.book, "industrial")
    now = replace(read_of(FAN, LONG, {}), first_run=first)
    at = judged_at(points_of(now))
    assert at is not None
    assert agrees(now, at, rules) is bool(fits)
    said = first_run_words(now, rules)
    assert said.startswith(
        "no figure to compare with (plate read, none given: Ines): 1.2 A, 1 500 r/min at 220 V".replace(
            "1 500", grouped(1500)
        )
    )
    assert ("it agrees with the first run, sheet 1" in said) is bool(fits)
    beside = [m for m in judge_run(now, rules).said if "the first run, sheet 1" in m.words]
    assert len(beside) == (fits is not None)
    assert first_run_words(replace(now, baseline=replace(first, sheet=2)), rules) == ""


@pytest.mark.parametrize(
    ("other", "so"),
    [
        ({}, True),
        ({"run_rest": (0.0, 2.0, 1.9)}, False),
        ({"pinion_throws": None}, False),
        ({"run_v": (11.5, 11.4), "run_a": (60.0, 60.0), "sparks": ("1", "1")}, False),
    ],
)
def test_three_throws_with_their_rests(*, other: dict[str, Any], so: bool) -> None:
    thrown, rules = read_of(STARTER, THROWN, other), MotorRules(RULES.book, "starter")
    assert throws_only(thrown, points_of(thrown), rules) is so
