"""States in which a motor hurts somebody, each as a visit played from a file: found, held from power, never waived,
never put off, never signed clean.
"""

import json
from dataclasses import dataclass
from datetime import datetime, timedelta
from pathlib import Path
from typing import Any

import pytest

from norvash.core.judging.windings.measured import to_part
from norvash.core.motor.classes import TEMPLATES
from norvash.core.motor.figure_reading import read_figure
from norvash.core.motor.figures import Figures
from norvash.core.motor.positions import even_positions
from norvash.core.rules.catalogue import shipped
from norvash.core.sheet.facts import Facts
from norvash.core.stages.catalogue import stage_of
from norvash.core.stages.gates import POWER, SAFE, SERVICE, usual_method, usual_run
from norvash.exchange.visit_play import Played, play_file
from run_cases import figures_of, rows_of

RULES, NOON = shipped(), datetime(2026, 3, 2, 8)
DRIVE = (
    "construction=shunt rated_v=220 rated_rpm=1500 rated_a=20 rated_w=4000 hangs_load=no protection=protective_earth"
)
TOOL = "construction=universal rated_v=230 rated_a=6 noload_rpm=12000 noload_a=2 protection=protective_earth"
FAN = "construction=universal rated_v=230 rated_a=5 protection=double_insulated"
MAGNET = "construction=permanent-magnet rated_v=24 rated_rpm=3000 rated_a=4"
DYNAMO = "construction=shunt rated_v=12 protection=extra-low_voltage"
LOW = "construction=series rated_v=12 noload_a_most=90 noload_rpm_least=4000 protection=extra-low_voltage"


@dataclass(frozen=True)
class State:
    """A motor with what is read of it in the order of the work, what that finds, how grave, and what must be refused;
    `runs` tells that the gate before power opens first: it is the run that shows it.
    """

    motor_class: str
    figures: str
    rows: str
    finds: str
    refused: str = ""
    runs: bool = False
    bare: bool = False


STATES = {
    "over its permitted speed, with load": State(
        "industrial", DRIVE, "run-how=load bump=right run-rpm=1801", "run.overspeed stop", runs=True
    ),
    "a shunt motor at 2 600 without load": State(
        "industrial", DRIVE, "bump=right run-rpm=2600", "run.overspeed stop", runs=True
    ),
    "a magnet motor at 5 000 without load": State(
        "appliance", MAGNET, "bump=right run-rpm=5000", "run.overspeed stop", runs=True
    ),
    "60 A without load on a plate of 20": State(
        "industrial", DRIVE, "bump=right run-a=60", "run.overload stop", runs=True
    ),
    "the same before it is opened": State(
        "industrial", DRIVE, "PERMIT noload-a=60 CLOSE", "run.overload stop", "60 A without load"
    ),
    "a bare universal motor on full volts": State(
        "appliance",
        FAN,
        "run-how=free bump=right run-v=230 run-rpm=26000",
        "",
        "at most 23 V without load",
        runs=True,
        bare=True,
    ),
    "nobody says where it runs": State(
        "tool", TOOL, "PERMIT noload-rpm=12000 CLOSE", "", "Nobody has said where it runs"
    ),
    "an open field coil among sound ones": State(
        "industrial", DRIVE, "coils=10;10;999999;10", "windings.open-coil stop", "coil 3: open"
    ),
    "a field coil half its fellows": State(
        "industrial", DRIVE, "coils=10;10;5;10", "windings.short stop", "shorted turns"
    ),
    "power before it is opened over an open coil": State(
        "industrial",
        DRIVE,
        "coils=10;10;OL;10 PERMIT noload-a=3 CLOSE",
        "windings.open-coil stop",
        "Power waits: field coils: coil 3: open",
    ),
    "a field with too little current": State(
        "industrial",
        f"{DRIVE} field_leads=yes field_a=1.2",
        "PERMIT field-a=0.9 CLOSE",
        "field.weak stop",
        "75.0% of 1.2 A",
    ),
    "a field that nobody has measured": State(
        "industrial", f"{DRIVE} field_leads=yes field_a=1.2", "", "", "field current is not measured"
    ),
    "a winding of 198 °C": State(
        "industrial", DRIVE, "cold-ohm=1 cold-c=20 hot-ohm=1.7 air-c=40", "windings.hot stop", "too hot"
    ),
    "220 V and 40 kW at 3.2 MΩ": State(
        "industrial", DRIVE, "insulation-mohm=3.2 insulation-c=18", "insulation.low stop", "0.696 MΩ at 40 °C"
    ),
    "an armature alone too low": State(
        "industrial", DRIVE, "insulation-mohm@1=4 insulation-c@1=40", "insulation.low stop", "armature alone"
    ),
    "a double insulated appliance at 1.4 MΩ": State(
        "appliance", FAN, "insulation-mohm=1.4", "insulation.low stop", "under its least of 2 MΩ"
    ),
    "an earth of 1 000 Ω": State("tool", TOOL, "earth-ohm=1000", "earth.open stop", "protective earth 1000 Ω"),
    "a line-fed traction motor without its earth": State(
        "traction", "construction=series rated_v=600 fed_by=line", "", "", "protective earth is not measured"
    ),
    "a generator of 220 V without its earth": State(
        "generator", "construction=shunt rated_v=220 rated_rpm=1500", "", "", "protective earth is not measured"
    ),
    "a cracked magnet": State(
        "appliance", MAGNET, "seen.magnets.cracked=yes", "magnets.cracked stop", "a magnet cracked"
    ),
    "a cracked fan": State("tool", TOOL, "seen.drive.fan=yes", "drive.fan stop", "fan cracked"),
    "loose poles": State(
        "industrial", DRIVE, "seen.windings.poles=yes", "windings.poles stop", "bolts of a pole loose"
    ),
    "a bearing that turns on its seat of a hoist": State(
        "industrial",
        DRIVE.replace("hangs_load=no", "hangs_load=yes"),
        "seen.bearing.spun=yes",
        "bearing.spun stop",
        "turning on its seat",
    ),
    "a dead spring of a pair": State(
        "tool", TOOL, "force@1=6 force@2=0.4", "spring.dead stop", "Brush B: spring force under half"
    ),
    "a spring that presses nothing": State("tool", TOOL, "force@1=0", "spring.dead stop", "no pressure"),
    "a dead dynamo whose plate speed nobody knows": State(
        "generator",
        DYNAMO,
        "turned=right run-rpm=1100 run-v=0.05 run-rpm@1=2200 run-v@1=0.1",
        "output.dead change",
        runs=True,
    ),
    "a dynamo that nobody can judge": State(
        "generator",
        DYNAMO,
        "turned=right run-rpm=900 run-v=5 run-rpm@1=1900 run-v@1=11",
        "",
        "the speed of its plate",
        runs=True,
    ),
    "a starter that runs away": State(
        "starter", LOW, "bump=right run-v=11 run-a=60 run-rpm=15500", "run.overspeed stop", runs=True
    ),
}


@dataclass
class File:
    """A visit's file as it is written, entry by entry, a minute after the one before."""

    state: State
    entries: list[dict[str, Any]]

    @property
    def facts(self) -> Facts:
        """Return what the motor is asked for."""
        own = {k: read_figure(k, v) for k, v in figures_of(self.state.figures).items()}
        motor_class = self.state.motor_class
        stands = "bare" if self.state.bare else "machine"
        return Facts(motor_class, Figures(own, {}, TEMPLATES[motor_class].lends), even_positions(2), stands)

    def add(self, **entry: Any) -> None:
        at = NOON + timedelta(minutes=len(self.entries))
        self.entries.append({"at": at.isoformat(), "by": "Maud Celliers", **entry})

    def put(self, field: str, value: str, place: int = 0, **more: str) -> None:
        stage = stage_of(field)
        assert stage is not None, field
        with_it = {"with": more} if more else {}
        self.add(stage=stage.id, field=field, value=value, **({"place": place} if place else {}), **with_it)

    def safe(self) -> None:
        for step in SAFE.steps(self.facts, RULES):
            self.put(SAFE.step(step.id).id, "yes")
        self.put("safe.method", usual_method(self.facts))

    def ready(self, rows: str) -> None:
        """Tick and measure what power asks for, but for what the state itself reads."""
        facts, own = self.facts, {field for field, _, _ in rows_of(rows.replace("PERMIT", "").replace("CLOSE", ""))}
        sound = {"insulation-mohm": "200", "insulation-c": "20", "earth-ohm": "0.05", "field-ohm": "180"}
        asked = {"earth-ohm": facts.earthed, "field-ohm": facts.own_field and facts.motor_class != "generator"}
        for tick, _ in to_part(facts, RULES):
            self.put(tick.id, "yes")
        if facts.asked_where:
            self.put("run-where", facts.stands)
        for field, value in sound.items():
            if asked.get(field, True) and not own & {field, field.replace("-c", "-mohm")} and "earth" not in rows:
                self.put(field, value)
        for step in POWER.steps(facts, RULES):
            self.put(POWER.step(step.id).id, "yes")
        self.put("run-how", usual_run(facts))

    def read(self, rows: str) -> None:
        for field, value, place in rows_of(
            rows.replace("PERMIT", "permit.open@1=volts").replace("CLOSE", "permit.close@1=yes")
        ):
            more = {"who": "Ines", "barriers": "rope", "minutes": "20"} if field == "permit.open" else {}
            self.put(field, value, place, **more)


def play(state: State, tmp_path: Path) -> Played:
    """Write the visit as a file, with everything that a hurried person would try, and play it."""
    file = File(state, [])
    file.add(do="register", counter="100")
    file.add(do="open", counter="101")
    file.safe()
    file.add(do="measure", place=1, value="20.6")
    file.add(do="measure", place=2, value="20.4")
    if state.runs:
        file.ready(state.rows)
        file.read(state.rows)
    else:
        file.read(state.rows)
        file.safe() if "PERMIT" in state.rows else None
        no_earth = "earth" in state.refused and not state.finds
        file.ready(state.rows if not no_earth else f"{state.rows} earth-ohm=0")
    found = state.finds.split(" ")[0]
    at = 2 if "Brush B" in state.refused else 1 if found.startswith("spring") else 0
    file.put("waive.power", "customer waits")
    if found:
        for decided in ("deferred", "dropped"):
            file.put(f"decide.{found}", decided, at, who="Bram Aldous", day="2027-03-01", why="customer waits")
    file.put("overrule.windings", "fit", 0, why="customer waits")
    file.put("bump" if file.facts.motor_class != "generator" else "turned", "right")
    file.put("run-a", "1")
    file.put("ran", "yes")
    file.put("outcome", "service")
    for step in SERVICE.steps(file.facts, RULES):
        file.put(SERVICE.step(step.id).id, "yes")
    file.add(do="sign", why="customer waits")
    motor = {
        "tag": "X-81",
        "name": "A motor",
        "place": "workshop",
        "class": state.motor_class,
        "brushes": "2",
        "figures": {"new_mm": "22", "limit_mm": "8", **figures_of(state.figures)},
    }
    whole = {"format": "norvash visit", "schema": 1, "people": ["Maud Celliers"], "motor": motor}
    path = tmp_path / "state.json"
    path.write_text(json.dumps({**whole, "entries": file.entries}))
    return play_file(path, tmp_path / "state.db", "Ines Torvald", go_on=True)


@pytest.mark.parametrize("state", STATES.values(), ids=STATES)
def test_a_dangerous_state_is_found_held_and_never_signed_clean(state: State, tmp_path: Path) -> None:
    played = play(state, tmp_path)
    last: Any = played.told[-1]
    found = {f["finding"]: f["state"] for f in last["findings"]}
    words = " ".join([*(f"{r.problem} {r.remedy}" for r in played.refused), *last["open"], json.dumps(last)])
    finding, _, grade = state.finds.partition(" ")
    assert last["signed_as"] == "not clean"
    assert state.refused.casefold() in words.casefold()
    assert "is not waived as a whole" in words
    if not finding:
        return
    assert found[finding] == "open"
    refused = [r.what for r in played.refused]
    assert any(x.startswith(f"decide.{finding}") for x in refused)
    assert sum(x.startswith(f"decide.{finding}") for x in refused) == 2  # neither put off so far nor dropped
    if grade == "stop":
        assert "Out of service" in json.dumps(last)
        assert any(w.startswith("Gate “Before power” is open") for w in last["open"])
        assert any(x.startswith("outcome") for x in refused)
        # A run that a file tells of is not made undone: it is refused, or kept as taken on a stop.
        assert state.runs or "run-a" in refused or found["run.on-stop"] == "open"
