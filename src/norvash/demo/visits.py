"""Whole visits in the playhouse's record: each a bench sheet entered as people enter it."""

from collections.abc import Callable, Mapping
from datetime import datetime, timedelta
from math import cos, radians

from norvash.core.sheet.gate import Gate
from norvash.core.sheet.gates import POWER, SAFE, SERVICE, usual_method
from norvash.core.sheet.stages.windings.measured import to_part
from norvash.store import entries, rounds
from norvash.store.database import Connection
from norvash.work.acting import Act
from norvash.work.context import load
from norvash.work.measuring import note, record
from norvash.work.opening import open_sheet
from norvash.work.settling import settle_doubt
from norvash.work.sheets import enter
from norvash.work.signing import add_to_signed, sign

Acting = Callable[[datetime], Act]


class Visit:
    """One sheet, entered minute by minute; lengths are as read, by position from 1."""

    def __init__(self, conn: Connection, acting: Acting, motor_id: str, when: datetime, counter: str) -> None:
        self.conn, self.acting, self.motor_id, self.now = conn, acting, motor_id, when
        self.sheet_id = open_sheet(conn, self._act(), motor_id, kind="full", counter=counter)

    def _act(self) -> Act:
        self.now += timedelta(minutes=1)
        return self.acting(self.now)

    def put(self, field: str, text: str, place: int = 0, **more: str) -> "Visit":
        """Enter one thing."""
        there = entries.list_entries(self.conn, self.sheet_id).get((field, place))
        enter(
            self.conn,
            self._act(),
            self.sheet_id,
            field_id=field,
            place=place,
            text=text,
            replaces=there.id if there else "",
            more=more,
        )
        return self

    def gate(self, gate: Gate) -> "Visit":
        """Tick every step of a gate."""
        context = load(self.conn, self.motor_id)
        for step in gate.steps(context.facts, context.rules):
            self.put(gate.step(step.id).id, "yes")
        return self.put(gate.how.id, usual_method(context.facts)) if gate.how is not None else self

    def measure(self, lengths: Mapping[int, str], *, sure: bool = False) -> "Visit":
        """Measure brushes; somebody who is sure has every doubtful reading stand."""
        for place, text in lengths.items():
            reading = record(self.conn, self._act(), self.sheet_id, position=place, text=text)
            if sure and rounds.fetch_reading(self.conn, reading)[0].doubt:
                settle_doubt(self.conn, self._act(), reading, "right")
        return self

    def see(self, place: int, finding: str) -> "Visit":
        """Note what is seen on a brush."""
        note(self.conn, self._act(), self.sheet_id, place, finding)
        return self

    def insulation(self, megohm: str, temperature: str) -> "Visit":
        """Part what leads to the case, and enter a test of insulation."""
        context = load(self.conn, self.motor_id)
        for tick in to_part(context.facts, context.rules):
            self.put(tick.id, "yes")
        return self.put("insulation-mohm", megohm).put("insulation-c", temperature)

    def permit(self, why: str) -> "Visit":
        """Open a test with power on."""
        return self.put(
            "permit.open", why, 1, who="Bram Aldous", barriers="rope, second person at the plug", minutes="15"
        )

    def sign(self, why: str = "") -> "Visit":
        """Sign it."""
        sign(self.conn, self._act(), self.sheet_id, why)
        return self

    def add(self, text: str) -> "Visit":
        """Add something below the signature, a week later."""
        self.now += timedelta(days=1)
        add_to_signed(self.conn, self._act(), self.sheet_id, text)
        return self


def left_open(visit: Visit, lengths: Mapping[int, str]) -> None:
    """Half done: the call, the gate, what was seen from outside, all brushes but the last."""
    visit.put("complaint", "runs slow and crackles since last week").put("urgency", "today")
    visit.put("sign.weak", "yes").put("sign.crackles", "yes").put("sign.onset", "gradual").gate(SAFE)
    visit.put("sign.by-hand", "no").put("state", "opened")
    visit.measure(dict(list(lengths.items())[:-1])).see(1, "face.burnt")


def upstream(visit: Visit, _lengths: Mapping[int, str]) -> None:
    """Not opened: one speed setting is dead, its neighbours are good."""
    visit.put("complaint", "dead on the third setting, good on the others").put("urgency", "week").put(
        "sign.onset", "sudden"
    ).gate(SAFE)
    visit.permit("voltage at every setting").put("supply-v", "229")
    for place, volts in enumerate(("104", "141", "2", "228"), start=1):
        visit.put("tap-v", volts, place)
    visit.put("permit.close", "yes", 1).put("upstream", "upstream").put("outcome", "upstream").put(
        "parts", "LP-S 118 rotary switch, 1"
    )
    visit.sign()


def stuck(visit: Visit, lengths: Mapping[int, str]) -> None:
    """After the dark summer: a brush seized in its holder; a poor terminal is put off."""
    visit.put("complaint", "dead after the summer, came back when the case was tapped").put("urgency", "now")
    visit.put("sign.start", "dead").put("sign.tapped", "yes").put("sign.idle", "yes").gate(SAFE)
    visit.put("rest-v", "12.7").put("state", "opened").put("marks", "yes").put(
        "stack", "washer, wave washer, shim 0.2, insulator"
    )
    visit.measure(lengths).see(2, "brush.seized").see(3, "terminal.poor").put("dust-g", "1.1")
    visit.put("seen.commutator.black", "yes").put("sound.windings", "yes").put("sound.drive", "yes")
    visit.put("decide.brush.seized", "done", 2).put("decide.commutator.black", "done")
    visit.put(
        "decide.terminal.poor", "deferred", 3, who="Maud Celliers", day=f"{visit.now + timedelta(weeks=10):%Y-%m-%d}"
    )
    visit.put("remark.rework", "freed dry, all holders cleaned, brush drops by its own weight").put(
        "latched", "yes"
    ).put("free", "yes")
    visit.gate(POWER).put("bump", "right").put("sparks", "1").put("outcome", "deferred").gate(SERVICE).sign()


def originals(visit: Visit, lengths: Mapping[int, str]) -> None:
    """A rare old motor: the original brushes stay, by their figures; something is added after signing."""
    visit.put("urgency", "routine").gate(SAFE).put("state", "opened").measure(lengths).see(1, "brush.chip-small").see(
        1, "face.satin"
    )
    visit.put("sound.commutator", "yes").put("sound.windings", "yes").put("sound.drive", "yes")
    visit.put("remark.decide", "original carbon kept: more than 40 % usable, even wear, no such grade made any more")
    visit.put("outcome", "service").put("parts", "none").gate(SERVICE).sign()
    visit.add("ran a full evening, no sparks seen through the vents")


def _to_copper(visit: Visit, lengths: Mapping[int, str], said: str) -> Visit:
    """The call, the gate, the brushes."""
    visit.put("complaint", said).put("urgency", "week").gate(SAFE).put("state", "opened").measure(lengths)
    return visit.put("sound.drive", "yes")


def _done(visit: Visit, outcome: str = "service") -> None:
    visit.put("latched", "yes").put("free", "yes").gate(POWER).put("bump", "right").put("sparks", "1")
    visit.put("outcome", outcome).gate(SERVICE).sign()


def insulation_tested(visit: Visit, lengths: Mapping[int, str], megohm: str, temperature: str) -> None:
    """A test of insulation in between, with the brushes measured and nothing else found."""
    visit.put("urgency", "routine").gate(SAFE).put("state", "opened").measure(lengths, sure=True)
    visit.put("sound.commutator", "yes").insulation(megohm, temperature)
    visit.put("sound.drive", "yes").sign("tested between two shows")


def pitch_marked(visit: Visit, lengths: Mapping[int, str]) -> None:
    """Burnt once for each pole on an armature of 87 bars; the cause is put off to the refit."""
    _to_copper(visit, lengths, "growls at full speed, sparks at all arms").put(
        "bar-map", "burnt 5, 27, 49, 70; dark 71"
    )
    visit.put("run-out", _around(87, 0.011, 40, 0.004, noise=0.0011)).put("run-out-on", "bearings")
    visit.insulation("34", "22").put("insulation-10", "61")
    day = f"{visit.now + timedelta(weeks=11):%Y-%m-%d}"
    visit.put("decide.commutator.pitch", "deferred", who="Bram Aldous", day=day)
    visit.put("remark.windings", "coupling to be looked at in the refit")
    _done(visit, "deferred")


def open_coil(visit: Visit, lengths: Mapping[int, str]) -> None:
    """Burnt at two places of a wave winding: the bar test names the open coil.

    The sheet is left open for the motor shop.
    """
    _to_copper(visit, lengths, "crackles and pulls unevenly, ring of fire").put(
        "bar-map", "burnt-leading 36, 95; burnt-trailing 37, 96"
    )
    readings = [f"{84 + 1.6 * cos(1.7 * i) + 0.7 * cos(5.1 * i):.1f}" for i in range(1, 118)]
    for reading in (36, 95):
        readings[reading - 1] = f"{2480 + reading}"
    visit.put("bar-test", "\n".join(readings)).put("bar-test-how", "drop").put("bar-test-noise", "1 %").put(
        "bar-test-fed", "bars"
    ).put("bar-test-lifted", "yes")
    visit.insulation("118", "24")


def last_cut(visit: Visit, lengths: Mapping[int, str]) -> None:
    """Grooved and out of round, it cleans up with one further cut to follow; the cut is made, the holders wait."""
    _to_copper(visit, lengths, "brushes chip and chatter").put("bar-map", "grooved 1-69; pitted 12-14")
    visit.put("run-out", _around(69, 0.008, 200, 0.058, noise=0.002)).put("run-out-on", "seats").put(
        "true-setup", "yes"
    )
    visit.put("track-d", "108.36\n108.40\n108.38").put("shoulder-d", "108.72").put("groove", "0.18").put(
        "pit", "0.16"
    ).put("slot-depth", "0.9")
    visit.put("lathe-speeds", "90; 185; 355; 560").put(
        "bar-test", "\n".join(f"{41 + 0.6 * cos(2.3 * i):.1f}" for i in range(69))
    ).put("bar-test-lifted", "yes")
    visit.put("cut-done", "108.18").put("slot-minutes", "88").put("cut-slots", "yes").put("cut-chamfer", "yes").put(
        "cut-again", "yes"
    ).put("cut-vacuumed", "yes")
    visit.insulation("9", "31")
    day = f"{visit.now + timedelta(weeks=2):%Y-%m-%d}"
    for finding in ("gap.cut", "face.cut"):
        visit.put(f"decide.{finding}", "deferred", who="Maud Celliers", day=day)
    _done(visit, "deferred")


def under_least(visit: Visit, lengths: Mapping[int, str]) -> None:
    """Cut too often: the copper is under its least diameter; the motor is sent away."""
    _to_copper(visit, lengths, "blue flashes, smells hot").put("bar-map", "burnt 1-31; pitted 3, 9, 17")
    visit.put("track-d", "36.05\n36.1").put("pit", "0.2").put("sound.windings", "yes")
    visit.put("b-number", "608-2Z", 1).put("b-feel", "rough", 1).put("b-noise", "hiss", 1).put(
        "b-number", "608-2Z", 2
    ).put("b-feel", "smooth", 2)


def _around(count: int, eccentric: float, high: float, oval: float, noise: float) -> str:
    """Return dial readings round a commutator [mm], one a line."""
    turn = [360 * i / count for i in range(count)]
    ripple = [noise * cos(radians(7 * t)) * cos(radians(31 * t + 20)) for t in turn]
    return "\n".join(
        f"{0.1 + eccentric * cos(radians(t - high)) + oval * cos(radians(2 * t - 70)) + r:.4f}"
        for t, r in zip(turn, ripple, strict=True)
    )


VISITS: Mapping[str, Callable[[Visit, Mapping[int, str]], None]] = {
    "half done": left_open,
    "new set": upstream,
    "stuck": stuck,
    "originals": originals,
    "pitch marking": pitch_marked,
    "open coil": open_coil,
    "one cut left": last_cut,
    "under least": under_least,
}

# Insulation of earlier years, MΩ and °C, by a motor's state: one test for every fourth round.
TESTED: dict[str, tuple[tuple[str, str], ...]] = {
    "open coil": (("410", "19"), ("370", "18"), ("292", "21"), ("206", "20")),
    "pitch marking": (("52", "21"), ("47", "23"), ("44", "20")),
    "one cut left": (("21", "24"), ("16", "26")),
}
