"""Somebody who does anything to one motor, sensible or not."""

from collections.abc import Callable
from dataclasses import replace
from datetime import timedelta
from random import Random

from conftest import Shop, readings_on
from norvash.core.sheet.moved import Explained
from norvash.core.stages.brushes.stage import BY_SIGHT as BY_ID
from norvash.core.use.happened import Happened
from norvash.store.record import entries, rounds, sheets
from norvash.work.act.acting import Act
from norvash.work.motors.changing_figures import change_figures
from norvash.work.motors.confirming import confirm
from norvash.work.motors.logging_use import log_use, take_back
from norvash.work.motors.policing import add_policy, end_policy
from norvash.work.motors.ruling import clear_rule, set_rule
from norvash.work.on_sheet.brushes_used import END_REASONS
from norvash.work.on_sheet.measuring import note, record
from norvash.work.on_sheet.new_set import Fitting, fit_new_set
from norvash.work.on_sheet.opening import open_sheet
from norvash.work.on_sheet.renewing import renew_brushes
from norvash.work.on_sheet.settling import settle_doubt, take_back_answer
from norvash.work.on_sheet.settling_sight import settle_sight
from norvash.work.on_sheet.sheets import enter
from norvash.work.on_sheet.sighting import Seeing
from norvash.work.on_sheet.signing import sign
from norvash.work.on_sheet.undoing import undo

ENTRIES = (
    ("gap", 1, "2.4"),
    ("gap", 1, "9"),
    ("gap", 1, ""),
    ("dust-g", 0, "40"),
    ("force", 2, "7 N"),
    ("seen.windings.burnt", 0, "yes"),
    ("decide.windings.burnt", 0, "done"),
    ("decide.face.glazed", 1, "done"),
    ("decide.face.glazed", 1, "deferred"),
    ("overrule.brushes", 0, "watch"),
    ("cut-done", 0, "59.2"),
    ("cut-done", 0, ""),
    ("holder-set", 0, "yes"),
    ("insulation-mohm", 0, "0.4"),
    ("insulation-mohm", 0, "80"),
    ("next-look", 0, "2027-01-01"),
    ("earth-ohm", 0, "4"),
    ("sign.weak", 0, "yes"),
    ("remark.brushes", 0, "seen"),
    ("waive.safe", 0, "tried"),
    ("task.armature", 0, "yes"),
    ("task.earth", 0, "yes"),
    ("task.springs", 0, "yes"),
    ("task.gap", 0, "yes"),
    ("task.gap", 0, ""),
    ("gone.windings.burnt", 0, "yes"),
    ("gone.brush.sticky", 1, "yes"),
    ("decide.gap.wide", 1, "now"),
    ("decide.gap.wide", 1, "left"),
    ("decide.set.worn", 0, "deferred"),
    ("earth-ohm", 0, "0.05"),
    ("outcome", 0, "service"),
    ("sign.start", 0, "dead"),
)


class Hand:
    """Somebody who does anything to one motor, sensible or not."""

    def __init__(self, shop: Shop, motor: str, seed: int, brushes: int) -> None:
        self.shop, self.motor, self.random, self.brushes = shop, motor, Random(seed), brushes
        self.used, self.length = 100.0, 22.0

    def job(self) -> Callable[[Act], str]:
        many = (self.log, self.measure, self.measure, self.measure, self.enter, self.enter, self.enter, self.see)
        return self.random.choice(
            (
                *many,
                *many,
                self.fit,
                self.undo,
                self.undo,
                self.police,
                self.settle,
                self.close,
                self.state,
                self.renew,
                self.reopen,
                self.say,
                self.ground,
                self.ground,
            )
        )()

    def _round(self) -> str:
        found = sheets.open_sheet_of(self.shop.conn, self.motor)
        return found.id if found else "no-round-here"

    def log(self) -> Callable[[Act], str]:
        self.used = max(0.0, self.used + self.random.choice((0, 3, 8, 20, 300, -40)))
        text, mode = self.random.choice(((f"{self.used:g}", "counter"), ("6", "increment"), ("much", "counter")))
        answer = self.random.choice(("", "", "", "replaced", "rolled over", "last was wrong", "slip"))
        day = self.random.choice(("", "", "", "yesterday", "2024-01-01", "2031-01-01"))
        return lambda act: log_use(
            self.shop.conn, act, self.motor, text=text, mode=mode, day=day, happened=Happened(answer=answer)
        )

    def measure(self) -> Callable[[Act], str]:
        found = rounds.open_round(self.shop.conn, self.motor)
        if found is None and sheets.open_sheet_of(self.shop.conn, self.motor):
            return self.close()
        if found is None:
            kind, look = self.random.choice(("check", "check", "bedded")), self.random.choice(("quick", "full"))
            return lambda act: open_sheet(
                self.shop.conn, act, self.motor, kind=look, counter="", round_kind=kind, safe=True
            )
        self.length = max(6.0, self.length - self.random.random() / 2)
        text = self.random.choice((f"{self.length:.2f}", f"{self.length / 25.4:.3f} in", "-3", "long"))
        position, there = self.random.randrange(1, self.brushes + 2), readings_on(self.shop.conn, found.id)
        replaces = there[position].id if position in there and self.random.random() < 0.8 else ""
        return lambda act: record(self.shop.conn, act, found.id, position=position, text=text, replaces=replaces)

    def fit(self) -> Callable[[Act], str]:
        self.length = 22.0
        reason, first = self.random.choice((*END_REASONS, "bored")), self.random.choice(("", "22.1", "no"))
        second, also = self.random.choice(("21.95", "nominal", "")), self.random.choice(((), ("springs",), ("gap",)))
        others = {n: self.random.choice(("22", "21.9", "nominal", "")) for n in range(3, self.brushes + 1)}
        return lambda act: fit_new_set(
            self.shop.conn,
            act,
            self.motor,
            counter="",
            reason=reason,
            lengths={1: first, 2: second, **others},
            stated=Fitting(also=also),
        )

    def undo(self) -> Callable[[Act], str]:
        sheet = self._round()
        return self.random.choice(
            (
                lambda act: take_back(self.shop.conn, act, self.motor),
                lambda act: undo(self.shop.conn, act, sheet),
                lambda act: undo(self.shop.conn, act, sheet),
            )
        )

    def police(self) -> Callable[[Act], str]:
        held = self.shop.page(self.motor).context.policies
        if held and self.random.random() < 0.5:
            return lambda act: end_policy(self.shop.conn, act, held[0].id)
        every = self.random.choice(("40", "9000", "never"))
        return lambda act: add_policy(
            self.shop.conn,
            act,
            "motor",
            scope_id=self.motor,
            kind="interval",
            typed={"name": "By the card", "every": every},
        )

    def see(self) -> Callable[[Act], str]:
        if self._shut():
            return self._way_in()
        round_id, seen = self._round(), self.random.choice((*BY_ID, "ghost"))
        position, gone = self.random.randrange(1, self.brushes + 2), self.random.random() < 0.3
        return lambda act: note(self.shop.conn, act, round_id, position, seen, gone=gone)

    def settle(self) -> Callable[[Act], str]:
        doubted = [r.id for r in readings_on(self.shop.conn, self._round()).values() if r.doubt]
        reading, answer = (
            (doubted or ["no-reading"])[0],
            self.random.choice(("right", "mistyped", "swapped 1", "swapped 2")),
        )
        return lambda act: settle_doubt(self.shop.conn, act, reading, answer)

    def reopen(self) -> Callable[[Act], str]:
        answered = [r.id for r in readings_on(self.shop.conn, self._round()).values() if r.doubt_answer]
        return lambda act: take_back_answer(self.shop.conn, act, (answered or ["no-reading"])[0])

    def renew(self) -> Callable[[Act], str]:
        lengths = {self.random.randrange(1, self.brushes + 2): self.random.choice(("", "21.9"))}
        return lambda act: renew_brushes(self.shop.conn, act, self.motor, counter="", reason="damaged", lengths=lengths)

    def enter(self) -> Callable[[Act], str]:
        if self._shut():
            return self._way_in()
        return self._entry(*self.random.choice(ENTRIES))

    def _shut(self) -> bool:
        """Tell whether nothing can be entered inside the motor; now and then it is tried all the same."""
        found = sheets.open_sheet_of(self.shop.conn, self.motor)
        given = entries.list_entries(self.shop.conn, found.id) if found else {}
        return ("waive.safe", 0, "found") not in given and self.random.random() < 0.8

    def _way_in(self) -> Callable[[Act], str]:
        """Open a sheet, or pass the gate before the motor is opened."""
        return self._entry("waive.safe", 0, "tried") if self._round() != "no-round-here" else self.measure()

    def _entry(self, field: str, place: int, text: str) -> Callable[[Act], str]:
        sheet = self._round()
        there = entries.list_entries(self.shop.conn, sheet).get((field, place, "found"))
        replaces = there.id if there and self.random.random() < 0.9 else ""
        more = {"who": "Ines", "day": f"{self.shop.now + timedelta(days=30):%Y-%m-%d}", "why": "so"}
        sight, touched = self.random.choice(("", "found", "left")), self.random.choice((None, True, False))
        answer = self.random.choice(("", "mistyped", "again"))
        seeing = Seeing(sight=sight, touched=touched, answer=answer, why="the wrong line")
        return lambda act: enter(
            self.shop.conn,
            act,
            sheet,
            field_id=field,
            place=place,
            text=text,
            replaces=replaces,
            more=more,
            seeing=seeing,
        )

    def say(self) -> Callable[[Act], str]:
        """Say of something that was kept as typed of which sight it speaks."""
        sheet, sight = self._round(), self.random.choice(("found", "left", "neither"))
        asked = [g.id for (_, _, s), g in entries.list_entries(self.shop.conn, sheet).items() if s == "asked"]
        if not asked and self.random.random() < 0.8:
            return self.enter()
        return lambda act: settle_sight(self.shop.conn, act, sheet, (asked or ["nothing"])[0], sight)

    def close(self) -> Callable[[Act], str]:
        round_id = self._round()
        return lambda act: sign(self.shop.conn, act, round_id, "left so", service=True)

    def state(self) -> Callable[[Act], str]:
        version = self.shop.page(self.motor).context.motor.version - (self.random.random() < 0.2)
        typed = {
            "new_mm": "22",
            "limit_mm": self.random.choice(("8", "9", "30", "x")),
            "label_1": self.random.choice("AN"),
        }
        said = self.explained()
        return lambda act: change_figures(self.shop.conn, replace(act, explained=said), self.motor, typed, version)

    def explained(self) -> Explained:
        answer = self.random.choice(("", "read", "read", "first", "ours"))
        return Explained(
            answer, self.random.choice(("its plate", "its plate", "")), self.random.choice(("", "", "old"))
        )

    def ground(self) -> Callable[[Act], str]:
        """Change what it is judged on, put it back, or confirm such a change."""
        conn, said, page = self.shop.conn, self.explained(), self.shop.page(self.motor)
        what = self.random.choice(("figures", "rule", "back", "confirm"))
        if what == "confirm" and page.rests:
            change = self.random.choice(page.rests).change.id
            return lambda act: confirm(conn, act, self.motor, change, said.source)
        rule = self.random.choice(("earth.ohm", "insulation.never", "limit.share"))
        if what == "rule":
            text = self.random.choice(("5", "0.3", "0.01"))
            return lambda act: set_rule(
                conn, replace(act, explained=said), rule, scope="motor", scope_id="X-01", text=text, why="so"
            )
        if what == "back":
            return lambda act: clear_rule(conn, replace(act, explained=said), rule, "motor", "X-01")
        own = page.context.stated.own_words
        figures = ("limit_mm=4", "limit_mm=9", "rated_v=24", "rated_v=400", "bars=20", "bars=45")
        changed = dict([self.random.choice(figures).split("=")])
        return lambda act: change_figures(
            conn, replace(act, explained=said), self.motor, {**own, **changed}, page.context.motor.version
        )
