"""An open bench sheet, written on in few words."""

from conftest import Shop
from norvash.core.judging.prove.field_proof import field_lacks
from norvash.core.judging.windings.measured import to_part
from norvash.core.sheet.life import Life
from norvash.core.stages.catalogue import field_of
from norvash.core.stages.gates import POWER, usual_run
from norvash.core.stages.prove.earth import EARTH_OHM
from norvash.core.visit.done import done_tasks, sight_of
from norvash.work.on_sheet.measuring import note, record
from norvash.work.on_sheet.new_set import Fitting, fit_new_set
from norvash.work.on_sheet.opening import open_sheet
from norvash.work.on_sheet.sheets import enter
from norvash.work.on_sheet.sighting import Seeing
from norvash.work.on_sheet.signing import sign
from norvash.work.on_sheet.undoing import undo
from norvash.work.reading.loading import load
from norvash.work.reading.sheet_now import SheetNow, sheet_now


def slip_of(answer: str) -> str:
    """Return why something was mistyped, where it was."""
    return "the wrong line" if answer == "mistyped" else ""


class Bench:
    """One open sheet, written on in few words."""

    def __init__(self, shop: Shop, motor: str, kind: str = "full") -> None:
        self.shop, self.motor = shop, motor
        self.id = open_sheet(shop.conn, shop.act(), motor, kind=kind, counter="")

    def put(self, field_id: str, text: str, place: int = 0, answer: str = "", **more: str) -> str:
        """Enter one thing in the sight of which it speaks by now, over what stands there."""
        context, field = load(self.shop.conn, self.motor), field_of(field_id)
        sheet = context.open_sheet
        sight = sight_of(field, done_tasks(sheet), context.state.told.new, place) if field and sheet else "found"
        there = context.written.get((field_id, place, sight))
        return enter(
            self.shop.conn,
            self.shop.later(minutes=1).act(),
            self.id,
            field_id=field_id,
            place=place,
            text=text,
            replaces=there.id if there else "",
            more=more,
            seeing=Seeing(sight=sight, touched=sight == "left", answer=answer, why=slip_of(answer)),
        )

    def measure(self, *values: str, sight: str = "", answer: str = "") -> None:
        for place, value in enumerate(values, start=1):
            if value:
                seeing = Seeing(sight=sight, answer=answer, why=slip_of(answer))
                act = self.shop.later(minutes=1).act()
                record(self.shop.conn, act, self.id, position=place, text=value, seeing=seeing)

    def see(self, place: int, finding: str, *, gone: bool = False, answer: str = "") -> None:
        act = self.shop.later(minutes=1).act()
        note(self.shop.conn, act, self.id, place, finding, gone=gone, answer=answer, why=slip_of(answer))

    def fit(self, *lengths: str, also: tuple[str, ...] = (), reason: str = "at its limit", **said: str) -> None:
        act, typed = self.shop.later(minutes=1).act(), dict(enumerate(lengths, start=1))
        stated = Fitting(part=said.get("part", ""), variant=said.get("variant", ""), also=also)
        fit_new_set(self.shop.conn, act, self.motor, counter="", reason=reason, lengths=typed, stated=stated)

    def ready(self, *, tested: bool = True) -> None:
        """Prove insulation and earth, let the brushes go, tick the gate before power, and say how it is run; without a
        test of insulation where there is no instrument.
        """
        context = load(self.shop.conn, self.motor)
        facts, rules = context.facts, context.rules
        for tick, _ in to_part(facts, rules):
            self.put(tick.id, "yes")
        if facts.asked_where and not facts.stands:
            self.put("run-where", "machine")
        if field_lacks(self.page.sheet, rules):
            self.put("field-ohm", "180")
        if tested:
            self.put("insulation-mohm", "200")
            self.put("insulation-c", "20")
        if EARTH_OHM.is_offered(facts, rules):
            self.put("earth-ohm", "0.05")
        self.put("latched", "yes")
        self.put("free", "yes")
        for step in POWER.steps(facts, rules):
            self.put(POWER.step(step.id).id, "yes")
        self.put("run-how", usual_run(facts))

    def run(self, **figures: str) -> None:
        """Run it as it should, after the gate: `run_rpm` is the field “run-rpm”."""
        self.put("bump", "right")
        for field, text in figures.items():
            self.put(field.replace("_", "-"), text)
        self.put("sparks", "1")
        self.put("ran", "yes")

    def undo(self) -> str:
        return undo(self.shop.conn, self.shop.later(minutes=1).act(), self.id)

    def sign(self, why: str = "") -> str:
        return sign(self.shop.conn, self.shop.later(minutes=1).act(), self.id, why)

    @property
    def page(self) -> SheetNow:
        return sheet_now(self.shop.conn, self.id, self.shop.now.date())

    @property
    def states(self) -> dict[tuple[int, str], str]:
        """Return what has become of every finding, by place."""
        return {x.at: x.state for x in self.page.found.lives}

    def life(self, finding: str, place: int = 0) -> Life:
        return next(x for x in self.page.found.lives if x.at == (place, finding))
