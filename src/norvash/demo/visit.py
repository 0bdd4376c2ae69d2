"""One visit in the playhouse's record: a bench sheet, entered as people enter it."""

from collections.abc import Callable, Mapping
from dataclasses import replace
from datetime import datetime, timedelta

from norvash.core.judging.prove.field_proof import field_lacks
from norvash.core.judging.windings.measured import to_part
from norvash.core.motor.figure_fields import FIELD_A, FIELD_LEADS, FIELD_OHM
from norvash.core.sheet.gate import Gate
from norvash.core.sheet.life import Life
from norvash.core.sheet.moved import Explained
from norvash.core.stages.catalogue import field_of
from norvash.core.stages.gates import POWER, SAFE, usual_method, usual_run
from norvash.core.stages.prove.earth import EARTH_OHM
from norvash.core.stages.windings.insulation import INSULATION_MOHM
from norvash.core.visit.done import done_tasks, last_closing_of_case, sight_of
from norvash.store.file.database import Connection
from norvash.store.record import motors, people, rounds
from norvash.work.act.acting import Act
from norvash.work.motors.changing_figures import change_figures
from norvash.work.motors.confirming import confirm, rests_on
from norvash.work.on_sheet.measuring import note, record
from norvash.work.on_sheet.new_set import Fitting, fit_new_set
from norvash.work.on_sheet.opening import open_sheet
from norvash.work.on_sheet.settling import settle_doubt
from norvash.work.on_sheet.sheets import enter
from norvash.work.on_sheet.sighting import Seeing
from norvash.work.on_sheet.signing import add_to_signed, sign
from norvash.work.reading.loading import load
from norvash.work.reading.sheet_now import sheet_now
from norvash.work.reading.standing import judge

Acting = Callable[[datetime], Act]


class PlayedVisit:
    """One sheet, entered minute by minute; lengths are as read, by position from 1."""

    def __init__(self, conn: Connection, acting: Acting, motor_id: str, when: datetime, counter: str) -> None:
        self.conn, self.acting, self.motor_id, self.now = conn, acting, motor_id, when
        self.sheet_id = open_sheet(conn, self._act(), motor_id, kind="full", counter=counter)

    def _act(self) -> Act:
        self.now += timedelta(minutes=1)
        return self.acting(self.now)

    def put(self, field_id: str, text: str, place: int = 0, **more: str) -> "PlayedVisit":
        """Enter one thing, in the sight of which it speaks by now."""
        context = load(self.conn, self.motor_id)
        sheet, field = context.open_sheet, field_of(field_id)
        if sheet is None or field is None:
            raise LookupError(field_id)
        sight = sight_of(field, done_tasks(sheet), context.state.told.new, place)
        there = sheet.written.get((field_id, place, sight))
        enter(
            self.conn,
            self._act(),
            self.sheet_id,
            field_id=field_id,
            place=place,
            text=text,
            replaces=there.id if there else "",
            more=more,
            seeing=Seeing(sight=sight),
        )
        return self

    def way(self, place: int, name: str, bill: str, **more: str) -> "PlayedVisit":
        """Price one way to go on, by its place."""
        return self.put("way", name, place, bill=bill, **more)

    def offer(self, place: int, kind: str, became: str = "", **sizes: str) -> "PlayedVisit":
        """Compare a part that is offered, its sizes as `new_…`, `old_…`, `at_…`, and say what became of it."""
        more = {f"{which}-{name}": text for which, _, name, text in ((*n.partition("_"), t) for n, t in sizes.items())}
        self.put("offer", kind, place, **more)
        return self.put("offer-became", became, place) if became else self

    def gate(self, gate: Gate) -> "PlayedVisit":
        """Tick every step of a gate."""
        context = load(self.conn, self.motor_id)
        for step in gate.steps(context.facts, context.rules):
            self.put(gate.step(step.id).id, "yes")
        usual = {SAFE.id: usual_method, POWER.id: usual_run}.get(gate.id)
        return self.put(gate.how.id, usual(context.facts)) if gate.how is not None and usual is not None else self

    def measure(self, lengths: Mapping[int, str], *, sure: bool = False, sight: str = "found") -> "PlayedVisit":
        """Measure brushes; somebody who is sure has every doubtful reading stand."""
        for place, text in lengths.items():
            seeing = Seeing(sight=sight)
            reading = record(self.conn, self._act(), self.sheet_id, position=place, text=text, seeing=seeing)
            if sure and rounds.fetch_reading(self.conn, reading)[0].doubt:
                settle_doubt(self.conn, self._act(), reading, "right")
        return self

    def looked(self) -> "PlayedVisit":
        """Say that springs and holders were looked at, which no length says."""
        return self.put("looked.springs", "yes").put("looked.holders", "yes")

    def fit(self, lengths: Mapping[int, str], reason: str, *also: str, part: str = "") -> "PlayedVisit":
        """Fit a new set on the sheet, with what else was renewed."""
        fit_new_set(
            self.conn,
            self._act(),
            self.motor_id,
            counter="",
            reason=reason,
            lengths=dict(lengths),
            stated=Fitting(part=part, also=also),
        )
        return self

    def done(self, task: str, minutes: str, parts: str = "") -> "PlayedVisit":
        """Tick a task of the work list."""
        return self.put(f"task.{task}", "yes", minutes=minutes, parts=parts)

    def complaint(self, words: str) -> "PlayedVisit":
        """Say what is complained of in words, none of the kinds that have a grade of their own."""
        return self.put("complaint", words).put("complaint-kind", "none")

    def ready(self, megohm: str, temperature: str) -> "PlayedVisit":
        """Close it up, prove insulation and earth, and pass the gate before power."""
        self.put("latched", "yes").put("free", "yes")
        context = load(self.conn, self.motor_id)
        sheet = context.open_sheet
        read = INSULATION_MOHM.given(sheet) if sheet is not None else None
        if sheet is not None and (read is None or read.at < (last_closing_of_case(sheet) or sheet.at)):
            self.insulation(megohm, temperature)
        if EARTH_OHM.is_offered(context.facts, context.rules):
            self.put("earth-ohm", "0.06")
        if context.facts.asked_where and not context.facts.stands:
            self.put("run-where", "machine")
        sheet = load(self.conn, self.motor_id).open_sheet
        if sheet is not None and field_lacks(sheet, context.rules):
            self.field()
        return self.gate(POWER)

    def field(self) -> "PlayedVisit":
        """Prove its field before power: by the current that its plate gives where its leads come out, else by its
        resistance.
        """
        figures = load(self.conn, self.motor_id).figures
        current = FIELD_A.of(figures)
        if FIELD_LEADS.of(figures) != "yes" or current is None:
            return self.put("field-ohm", f"{FIELD_OHM.of(figures) or 180:g}")
        self.permit("field current, armature without volts").put("field-a", f"{0.97 * current:.3g}")
        return self.put("permit.close", "yes", 1).gate(SAFE)

    def run(
        self, rpm: str, amps: str, answer: str = "", cause: str = "", *, volts: str = "", insulation: str = "85"
    ) -> "PlayedVisit":
        """Pass the gate before power, run it as it should, and say whether the complaint is gone."""
        self.ready(insulation, "21").put("bump", "right")
        if volts:
            self.put("run-v", volts)
        self.put("run-rpm", rpm).put("run-a", amps).put("sparks", "1").put("ran", "yes")
        if answer:
            self.put("complaint-now", answer)
        return self.put("cause-was", cause) if cause else self

    def see(self, place: int, finding: str) -> "PlayedVisit":
        """Note what is seen on a brush."""
        note(self.conn, self._act(), self.sheet_id, place, finding)
        return self

    def insulation(self, megohm: str, temperature: str) -> "PlayedVisit":
        """Part what leads to the case, and enter a test of insulation."""
        context = load(self.conn, self.motor_id)
        for tick, _ in to_part(context.facts, context.rules):
            self.put(tick.id, "yes")
        return self.put("insulation-mohm", megohm).put("insulation-c", temperature)

    def permit(self, why: str) -> "PlayedVisit":
        """Open a test with power on."""
        return self.put(
            "permit.open", why, 1, who="Bram Aldous", barriers="rope, second person at the plug", minutes="15"
        )

    def read_again(self, name: str, text: str, source: str) -> "PlayedVisit":
        """Correct a figure of the motor that was mistyped, by its source."""
        own = load(self.conn, self.motor_id).stated.own_words
        version = motors.fetch_motor(self.conn, self.motor_id).version
        act = replace(self._act(), explained=Explained("read", source))
        change_figures(self.conn, act, self.motor_id, {**own, name: text}, version)
        return self

    def confirmed(self) -> "PlayedVisit":
        """Have the changes that something rests on confirmed by somebody else."""
        act = self._act()
        other = next(p.id for p in people.list_people(self.conn) if p.id != act.person_id)
        for rests in rests_on(self.conn, judge(load(self.conn, self.motor_id), act.at.date())):
            confirm(self.conn, replace(act, person_id=other), self.motor_id, rests.change.id)
        return self

    def sign(self, why: str = "") -> "PlayedVisit":
        """Sign it."""
        sign(self.conn, self._act(), self.sheet_id, why)
        return self

    def add(self, text: str) -> "PlayedVisit":
        """Add something below the signature, a week later."""
        self.now += timedelta(days=1)
        add_to_signed(self.conn, self._act(), self.sheet_id, text)
        return self

    @property
    def lives(self) -> tuple[Life, ...]:
        """Return the findings of the sheet as they stand."""
        return sheet_now(self.conn, self.sheet_id, self.now.date()).visit.lives
