"""The years of one motor of the playhouse, told through the jobs that its people do."""

from collections.abc import Iterator
from dataclasses import replace
from datetime import datetime, timedelta
from math import cos, pi
from random import Random

from norvash.core.forecast.simulation import Worn, read_with, simulate_set
from norvash.core.use.happened import NOTHING, Happened
from norvash.demo.fleet import DEMO_DAY, PEOPLE
from norvash.demo.machine import Machine
from norvash.demo.visit import PlayedVisit
from norvash.demo.visits import TESTED, VISITS, insulation_tested
from norvash.store.file.database import Connection
from norvash.store.record import rounds
from norvash.work.act.acting import Act
from norvash.work.motors.logging_use import log_use
from norvash.work.motors.moving import move
from norvash.work.motors.registering import NewMotor, add_motor
from norvash.work.on_sheet.measuring import record
from norvash.work.on_sheet.new_set import fit_new_set
from norvash.work.on_sheet.opening import open_sheet
from norvash.work.on_sheet.settling import settle_doubt
from norvash.work.on_sheet.signing import sign

_STEP = {"digital-caliper": 0.01, "vernier": 0.05, "rule": 0.5, "micrometer": 0.01}
_SD = {"digital-caliper": 0.05, "vernier": 0.05, "rule": 0.35, "micrometer": 0.02}
# The month in which the house is dark, and things are moved.
_SUMMER = 7
_CHANGED_AT = 0.88
_TESTED_EVERY = 4


def _lasting(worn: Worn, limit_mm: float, life_units: float) -> Worn:
    """Return the same set, worn at the pace at which its first brush reaches the limit after a given use."""
    crossing = worn.crossing(limit_mm)
    return worn if crossing is None else replace(worn, step_units=worn.step_units * life_units / crossing[0])


class Acts:
    """Gives every act an id and the person who has the rounds of that month, always the same ones."""

    def __init__(self, conn: Connection) -> None:
        self._conn, self._count = conn, 0

    def at(self, when: datetime) -> Act:
        """Return the next act, at a time."""
        self._count += 1
        return Act(f"demo-act-{self._count:06d}", f"person-{when.month % len(PEOPLE) + 1}-of-demo", when)


class Story:
    """One motor's record, week by week."""

    def __init__(self, conn: Connection, acts: Acts, machine: Machine, random: Random) -> None:
        self.conn, self.acts, self.machine, self.random = conn, acts, machine, random
        self.count = int(machine.brushes or (4 if machine.motor_class == "industrial" else 2))
        self.motor_id, self.shift, self.set_start, self.rounds, self.moved = "", 0.0, 0.0, 0, False
        limit = machine.limit_mm if machine.stated_limit else max(machine.new_mm / 3, 4)
        self.usable_mm = machine.new_mm - limit
        self.worn = self._new_set()

    def _new_set(self) -> Worn:
        worn = simulate_set(
            self.random, self.count, self.machine.new_mm, usable_mm=self.usable_mm, life_units=self.machine.life_units
        )
        worn = _lasting(worn, self.machine.new_mm - self.usable_mm, self.machine.life_units)
        if self.machine.state == "uneven":
            rows = tuple(
                (row[0], *(self.machine.new_mm - (self.machine.new_mm - x) * 0.58 for x in row[1:]))
                for row in worn.lengths_mm
            )
            return replace(worn, lengths_mm=rows)
        return worn

    def tell(self, kinds: dict[str, str]) -> None:
        """Tell it, from the motor's first week to its last; kinds are the ids of the types by name."""
        weeks = list(self._weeks())
        total = weeks[-1][1]
        changes = self._changes(total)
        self._add(weeks[0][0], kinds)
        last = len(weeks) - 1
        look = last - self.machine.looked_weeks_ago
        for i, (when, used) in enumerate(weeks[1:], start=1):
            if self.machine.moved_from and (when.year, when.month) == (DEMO_DAY.year, _SUMMER) and not self.moved:
                move(self.conn, self.acts.at(when), self.motor_id, place=self.machine.place)
                self.moved = True
            if changes and used >= changes[0]:
                self._change(when, used)
                changes.pop(0)
            elif i == look or (i % self.machine.every_weeks == 0 and look - i > 2):
                self._round(when, used, final=i == look)
            elif (i % 5 == 0 or i == last) and used > 0:
                log_use(self.conn, self.acts.at(when), self.motor_id, text=f"{used - self.shift:.0f}")

    def _weeks(self) -> Iterator[tuple[datetime, float]]:
        """Yield every week's time and total use; in July and August the house is dark."""
        start = (
            datetime.combine(DEMO_DAY, datetime.min.time()) + timedelta(hours=8) - timedelta(weeks=self.machine.weeks)
        )
        used = 0.0
        for i in range(self.machine.weeks + 1):
            when = start + timedelta(weeks=i, minutes=self.random.randrange(0, 50))
            yield when, used
            dark = self.machine.seasonal and when.month in (7, 8)
            wave = 1 + 0.15 * cos(2 * pi * i / 52)
            share = 0.0 if dark else wave * self.random.uniform(0.8, 1.2) * (1.2 if self.machine.seasonal else 1.0)
            used += min(self.machine.per_week * share, 160.0)

    def _changes(self, total: float) -> list[float]:
        """Return the use at which sets were changed, so that today's set has the carbon that the story wants."""
        in_use = (1 - self.machine.usable_now) * self.machine.life_units
        found: list[float] = []
        at = total - in_use
        while at > 0.05 * self.machine.life_units and len(found) < 6:
            found.append(at)
            at -= _CHANGED_AT * self.machine.life_units
        return sorted(found)

    def _add(self, when: datetime, kinds: dict[str, str]) -> None:
        m = self.machine
        own = {} if m.kind else {"new_mm": str(m.new_mm)}
        figures = {**m.figures, "instrument": m.figures.get("instrument", m.instrument)}
        limit = str(m.limit_mm) if m.stated_limit and not m.kind and m.state not in ("depth", "wear lines") else ""
        given = NewMotor(
            tag=m.tag,
            name=m.name,
            place=m.moved_from or m.place,
            motor_class=m.motor_class,
            type_id=kinds.get(m.kind, ""),
            brushes=m.brushes,
            new_length=own.get("new_mm", ""),
            limit=limit,
            limit_source="maker" if limit else "",
            unit_of_use="",
            use_now="0",
            set_is_new=True,
            figures=figures,
        )
        self.motor_id = add_motor(self.conn, self.acts.at(when), given)

    def _counter(self, used: float) -> str:
        return f"{used - self.shift:.0f}"

    def _change(self, when: datetime, used: float) -> None:
        happened = NOTHING
        if self.machine.state == "counter replaced" and self.shift == 0:
            happened = Happened(answer="replaced", old_last=f"{used:.0f}", new_first="1", said_by="the scene dock")
            self.shift = used - 1
        worn_out = (used - self.set_start) / self.machine.life_units > 0.75
        self.set_start, self.worn = used, self._new_set()
        lengths = {}
        if self.machine.figures.get("method", "length") == "length":
            lengths = {i + 1: self._typed(self._reading(i, used)) for i in range(self.count)}
        reason = self.random.choice(
            ("at its limit", "planned", "planned") if worn_out else ("damaged", "with other work")
        )
        fit_new_set(
            self.conn,
            self.acts.at(when),
            self.motor_id,
            counter=self._counter(used),
            reason=reason,
            lengths=lengths,
            happened=happened,
        )

    def _reading(self, index: int, used: float) -> float:
        true_mm = self.worn.length_mm(index, used - self.set_start)
        sd, step = _SD[self._instrument()], _STEP[self._instrument()]
        return max(read_with(self.random, true_mm, sd, step), 0.5)

    def _instrument(self) -> str:
        return self.machine.figures.get("instrument", self.machine.instrument)

    @staticmethod
    def _typed(value: float) -> str:
        return f"{value:.2f}".rstrip("0").rstrip(".")

    def _round(self, when: datetime, used: float, *, final: bool) -> None:
        if self.machine.state == "on the shelf" and final:
            return
        if self.machine.state in VISITS and final:
            self._visit(when, used)
            return
        self.rounds += 1
        tests = TESTED.get(self.machine.state, ())
        if not final and self.rounds % _TESTED_EVERY == 0 and self.rounds // _TESTED_EVERY <= len(tests):
            lengths = {i + 1: self._as_read(i, used, final=False) for i in range(self.count)}
            visit = PlayedVisit(self.conn, self.acts.at, self.motor_id, when, self._counter(used))
            insulation_tested(visit, lengths, *tests[self.rounds // _TESTED_EVERY - 1])
            return
        sheet_id = open_sheet(
            self.conn, self.acts.at(when), self.motor_id, kind="quick", counter=self._counter(used), safe=True
        )
        for i in range(self.count):
            at = when + timedelta(minutes=2 + i)
            reading = record(
                self.conn, self.acts.at(at), sheet_id, position=i + 1, text=self._as_read(i, used, final=final)
            )
            if not final and rounds.fetch_reading(self.conn, reading)[0].doubt:
                settle_doubt(self.conn, self.acts.at(at), reading, "right")
        sign(self.conn, self.acts.at(when + timedelta(minutes=30)), sheet_id, "looked at again next week", service=True)

    def _visit(self, when: datetime, used: float) -> None:
        """Make the last look a whole visit."""
        lengths = {i + 1: self._as_read(i, used, final=False) for i in range(self.count)}
        begun = when - timedelta(hours={"run in": 20, "dynamo": 2}.get(self.machine.state, 0))
        visit = PlayedVisit(self.conn, self.acts.at, self.motor_id, begun, self._counter(used))
        VISITS[self.machine.state](visit, lengths)

    def _as_read(self, index: int, used: float, *, final: bool) -> str:
        mm = self._reading(index, used)
        if self.machine.state == "abrupt wear" and final and index == 2:
            mm -= 0.16 * self.usable_mm
        if self.machine.state == "depth":
            return self._typed(float(self.machine.figures["depth_constant_mm"]) - mm)
        if self.machine.state == "wear lines":
            return str(sum(mm <= float(self.machine.figures[f"wear_line_{k}_mm"]) for k in (1, 2, 3)))
        return self._typed(mm)
