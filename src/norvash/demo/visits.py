"""Whole visits in the playhouse's record: each a bench sheet entered as people enter it."""

from collections.abc import Callable, Mapping
from datetime import datetime, timedelta

from norvash.core.sheet.gates import steps_of, usual_method
from norvash.store import sheets
from norvash.store.database import Connection
from norvash.work.acting import Act
from norvash.work.context import load
from norvash.work.measuring import note, record
from norvash.work.sheets import enter, open_sheet
from norvash.work.signing import add_to_signed, sign

Acting = Callable[[datetime], Act]


class Visit:
    """One sheet, entered minute by minute; lengths are as read, by position from 1."""

    def __init__(self, conn: Connection, acting: Acting, motor_id: str, when: datetime, counter: str) -> None:
        self.conn, self.acting, self.motor_id, self.now = conn, acting, motor_id, when
        self.sheet_id = open_sheet(conn, self._act(), motor_id, "full", counter)

    def _act(self) -> Act:
        self.now += timedelta(minutes=1)
        return self.acting(self.now)

    def put(self, field: str, text: str, place: int = 0, **more: str) -> "Visit":
        """Enter one thing."""
        there = sheets.list_entries(self.conn, self.sheet_id).get((field, place))
        enter(self.conn, self._act(), self.sheet_id, field, place, text, there.id if there else "", more)
        return self

    def gate(self, name: str) -> "Visit":
        """Tick every step of a gate."""
        context = load(self.conn, self.motor_id)
        for step in steps_of(name, context.facts, context.rules):
            self.put(f"step.{name}.{step.id}", "yes")
        return self.put("safe.method", usual_method(context.facts)) if name == "safe" else self

    def measure(self, lengths: Mapping[int, str]) -> "Visit":
        """Measure brushes."""
        for place, text in lengths.items():
            record(self.conn, self._act(), self.sheet_id, place, text)
        return self

    def see(self, place: int, finding: str) -> "Visit":
        """Note what is seen on a brush."""
        note(self.conn, self._act(), self.sheet_id, place, finding)
        return self

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
    visit.put("sign.weak", "yes").put("sign.crackles", "yes").put("sign.onset", "gradual").gate("safe")
    visit.put("sign.by-hand", "no").put("state", "opened")
    visit.measure(dict(list(lengths.items())[:-1])).see(1, "face.burnt")


def upstream(visit: Visit, _lengths: Mapping[int, str]) -> None:
    """Not opened: one speed setting is dead, its neighbours are good."""
    visit.put("complaint", "dead on the third setting, good on the others").put("urgency", "week").put(
        "sign.onset", "sudden"
    ).gate("safe")
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
    visit.put("sign.start", "dead").put("sign.tapped", "yes").put("sign.idle", "yes").gate("safe")
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
    visit.gate("power").put("bump", "right").put("sparks", "1").put("outcome", "deferred").gate("service").sign()


def originals(visit: Visit, lengths: Mapping[int, str]) -> None:
    """A rare old motor: the original brushes stay, by their figures; something is added after signing."""
    visit.put("urgency", "routine").gate("safe").put("state", "opened").measure(lengths).see(1, "brush.chip-small").see(
        1, "face.satin"
    )
    visit.put("sound.commutator", "yes").put("sound.windings", "yes").put("sound.drive", "yes")
    visit.put("remark.decide", "original carbon kept: more than 40 % usable, even wear, no such grade made any more")
    visit.put("outcome", "service").put("parts", "none").gate("service").sign()
    visit.add("ran a full evening, no sparks seen through the vents")


VISITS: Mapping[str, Callable[[Visit, Mapping[int, str]], None]] = {
    "half done": left_open, "new set": upstream, "stuck": stuck, "originals": originals,
}  # fmt: skip
