"""Bench sheets in the core, in few words: what a motor is, and what was entered."""

from dataclasses import replace
from datetime import datetime
from typing import Any

from norvash.core.motor.classes import TEMPLATES
from norvash.core.motor.figures import Figures
from norvash.core.motor.positions import even_positions
from norvash.core.sheet.facts import Facts
from norvash.core.sheet.given import Given, Sight
from norvash.core.sheet.sheet import Sheet, Spot
from norvash.core.stages.catalogue import APART, TOGETHER, field_of
from norvash.core.stages.prove.run_fields import stands_at
from norvash.store.record.records import record_of

NOON = datetime(2026, 6, 1, 12)


def facts(motor_class: str = "tool", brushes: int = 2, **own: float | str) -> Facts:
    given: dict[str, float | str] = {"new_mm": 22.0, "limit_mm": 8.0, **own}
    return Facts(motor_class, Figures(given, {}, TEMPLATES[motor_class].lends), even_positions(brushes))


def sheet(about: Facts | None = None, kind: str = "full", /, **entries: Any) -> Sheet:
    """A sheet with entries, as words, numbers or entries; a tuple holds those of places 1, 2, ….

    A dot in a field is written as two underscores.
    """
    made: dict[tuple[str, int], Given] = {}
    for name, value in entries.items():
        field = name.replace("__", ".").replace("_", "-")
        many = value if isinstance(value, tuple) else (value,)
        for place, one in enumerate(many, start=1 if isinstance(value, tuple) else 0):
            if isinstance(one, Given):
                made[field, place] = one
                continue
            word, number = (one, None) if isinstance(one, str) else ("", float(one))
            made[field, place] = Given(
                id=f"{field}.{place}",
                typed=str(one),
                word=word,
                number=number,
                person="Ines",
                at=NOON,
                record=record_of(field, word, {}),
            )
    written: dict[Spot, Given] = {(f, p, _sight(f)): g for (f, p), g in made.items()}
    return Sheet(
        id="s",
        number=1,
        kind=kind,  # type: ignore[arg-type]
        at=NOON,
        person="Ines",
        facts=replace(about or facts(), stands=stands_at(written)),
        written=written,
        together=TOGETHER,
        apart=APART,
    )


def _sight(field_id: str) -> Sight:
    """Return the sight of a value that is entered before any work: what records work is always as left."""
    field = field_of(field_id)
    return "left" if field is not None and field.records_work else "found"


def cut(after: float, **more: str) -> Given:
    """A cut as it is recorded: from 118 mm, a quarter of a millimetre, to a diameter, with what it did to the rest."""
    kept = {
        "before": "118",
        "after": f"{after:g}",
        "radial": "0.25",
        "least": "110",
        "sunk": "0.25",
        "gap": "2.5",
        "slot": "0.9",
    }
    return Given(
        id="cut",
        typed=f"{after:g}",
        word="",
        number=after,
        person="Ines",
        at=NOON,
        record=record_of("cut-done", "", {**kept, **more}),
    )


BEFORE: dict[str, tuple[dict[str, object], dict[str, str], str]] = {
    "nothing at the terminals": ({"supply_v": 2.0}, {"volts": "missing"}, "look upstream"),
    "low": ({"supply_v": 180.0}, {"volts": "low"}, "measure the drops"),
    "right": ({"supply_v": 228.0}, {"volts": "right"}, "right"),
    "one setting dead": ({"supply_v": 230.0, "tap_v": (115.0, 0.0, 229.0)}, {"taps": "one"}, "step 2 is dead"),
    "a joint": ({"joint_v": 0.3}, {"joint": "yes"}, "clean it to metal"),
    "low with little current": ({"supply_v": 180.0, "noload_a": 0.5}, {"volts": "low-low"}, "low: think of contact"),
    "low with much current": ({"supply_v": 180.0, "noload_a": 2.0}, {"volts": "low-high"}, "drag or shorted"),
    "a terminal": ({"terminal_ohm": 0.2}, {"terminal-bad": "yes"}, "retension"),
    "a terminal by its drop": ({"terminal_v": 0.2}, {"terminal-bad": "yes"}, "retension"),
    "no current": ({"noload_a": 0.0}, {"amps": "none"}, "open"),
    "high current": ({"noload_a": 2.0}, {"amps": "high"}, "drag or shorted"),
    "low current": ({"noload_a": 0.5}, {"amps": "low"}, "contact"),
    "battery weak": (
        {"rest_v": 12.6, "cranking_v": 8.1, "cranking_a": 90.0},
        {"cranking": "yes"},
        "battery, cables and joints first",
    ),
    "battery good": ({"rest_v": 12.7, "cranking_v": 10.4, "cranking_a": 90.0}, {"cranking": "no"}, "holds up"),
    "volts rise": ({"rest_v": 11.0, "cranking_v": 12.0}, {}, "rise while cranking"),
}


def about_before(entries: dict[str, object]) -> Facts:
    """Return the motor that measurements before opening are made on: a starter where a battery is, else a tool."""
    rated = 12.0 if any("crank" in e or "rest" in e for e in entries) else 230.0
    return facts(
        "starter" if rated == 12 else "tool", rated_v=rated, noload_a=1.0, rated_a=2.0, speed_taps="0.5; 0.75; 1"
    )


SPRUNG = facts(thickness_mm=6.4, width_mm=12.5, force_nominal_n=9.0, grade_family="resin-bonded")
VOICES: dict[str, tuple[dict[str, object], list[tuple[int, str]]]] = {
    "springs even": ({"force": (9.0, 9.2)}, []),
    "one spring off its set": ({"force": (9.0, 7.0)}, [(2, "spring.far-off")]),
    "one spring a little off": ({"force": (9.0, 8.0)}, [(2, "spring.off")]),
    "gap": ({"gap": (1.2, 4.0)}, [(2, "gap.wide")]),
    "gap under": ({"gap": (0.3,)}, [(1, "gap.narrow")]),
    "brush tight": ({"box_t": (6.4,), "brush_t": (6.39,)}, [(1, "clearance.tight")]),
    "brush loose": ({"box_t": (7.4,), "brush_t": (6.4,)}, [(1, "clearance.loose")]),
    "brush right": ({"box_t": (6.55,), "brush_t": (6.4,)}, []),
    "insulation": ({"insulation_mohm": 0.2}, [(0, "insulation.low")]),
    "earth": ({"earth_ohm": 0.5}, [(0, "earth.open")]),
    "seen, and decided": (
        {"seen__commutator__black": "yes", "decide__commutator__black": "done"},
        [(0, "commutator.black")],
    ),
    "seen": ({"seen__bearing__rough": "yes"}, [(0, "bearing.rough")]),
    "much dust": ({"dust_g": 9.0}, [(0, "dust.much")]),
    "dust as worn": ({"dust_g": 0.5}, []),
}
