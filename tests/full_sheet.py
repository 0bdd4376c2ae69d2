"""A sheet on which everything is entered that its class offers."""

from collections.abc import Iterable, Iterator
from datetime import timedelta

from conftest import Shop
from norvash.core.sheet.field import Pick
from norvash.core.stages.catalogue import FIELD_BY_ID, STAGES
from norvash.core.stages.gates import POWER, SAFE, usual_run
from norvash.work.on_sheet.measuring import note, record
from norvash.work.on_sheet.opening import open_sheet
from norvash.work.on_sheet.sheets import enter
from norvash.work.reading.context import Context
from norvash.work.reading.loading import load

LEFT_OUT = (
    "waive.",
    "waiver.",
    "insulation-of",
    "confirm.",
    "skip.",
    "ruled-out.",
    "also-was.",
    "overrule.",
    "outcome",
    "next-look",
    "upstream",
    "complaint-now",
    "cause-was",
)
SAID = {
    "tick": "yes",
    "quantity": "1.5",
    "text": "as seen",
    "map": "even 1-44; burnt 7, 30; loose 45",
    "column": "1.5\n1.6\n-\n1.4",
}
ROUND = "\n".join(f"{0.02 + 0.001 * (i % 5):.3f}" for i in range(45))
OWN = {
    "bar-test-noise": "2 %",
    "print": "60 %",
    "run-in-points": "90 V",
    "output-found": "900 r/min 5 V",
    "torque-screws": "4",
    "rod": "57",
    "rod-paper": "0.1",
    "rough-cut": "0.1",
    "cut-speed": "120",
    "finish-cut": "0.03",
    "feed-rough": "0.08",
    "feed-finish": "0.05",
    "cut-travel": "4",
    "slot-seconds": "60",
    "run-out-total": "0.05",
    "bar-step": "0.003",
    "run-out": ROUND,
    "bar-test": ROUND,
    "track-d": "57.1\n57",
    "shoulder-d": "60",
    "cut-done": "56.5",
    "run-out-step": "0.001",
    "terminal-step": "0.01",
    "insulation-mohm": "300",
    "insulation-10": "300",
    "insulation-c": "40",
    "earth-ohm": "0.05",
    "tap-v": "0.75",
}
SECOND = {"tap-v": "1.5"}
# What is entered before power, so that the gate opens.
FIRST = ("run-where", "parted-", "insulation-", "earth-ohm", "field-ohm", "withstand-after")


def everything(context: Context) -> Iterator[tuple[str, str, int]]:
    """Yield every plain field that is offered to a motor, with something to enter.

    What runs it comes before what forbids that.
    """
    two = [1, 2]
    places = {"": [0], "position": two, "tap": two, "bearing": two, "side": two, "number": [], "circuit": [0, 1]}
    offered = [f for stage in STAGES for f in stage.offered(context.facts, context.rules)]
    for field in sorted(offered, key=lambda f: f.needs != "power"):
        if not field.id.startswith(LEFT_OUT):
            text = _choice(field, context) if isinstance(field, Pick) else OWN.get(field.id, SAID.get(field.kind, ""))
            at = [0] if field.per == "number" and field.whole else places[field.per]
            yield from ((field.id, SECOND.get(field.id, text) if place == 2 else text, place) for place in at)


def _choice(field: Pick, context: Context) -> str:
    forbidden = field.forbids(context.facts, context.rules)
    return next(key for key, _ in field.choices if key not in forbidden)


def ticks(context: Context) -> list[str]:
    """Return every step of the gates that are passed before it runs."""
    return [gate.step(s.id).id for gate in (SAFE, POWER) for s in gate.steps(context.facts, context.rules)]


def filled(shop: Shop, motor_class: str) -> str:
    """Return a sheet on which every field is entered that is offered to this class."""
    figures = {
        "speed_taps": "0.5; 1",
        "rated_v": "230",
        "rated_a": "9",
        "thickness_mm": "8",
        "width_mm": "16",
        "commutator_d_mm": "60",
        "bars": "45",
        "grade_family": "electrographite",
        "mass_kg": "60",
        "capacitors": "yes",
        "form_wound": "yes",
        "field_a": "1.5",
    }
    if motor_class == "starter":
        figures["construction"] = "permanent-magnet"
    motor = shop.motor(motor_class=motor_class, figures=figures)
    sheet = open_sheet(shop.conn, shop.later(minutes=1).act(), motor, kind="full", counter="")

    def put(field: str, text: str, place: int = 0, **more: str) -> None:
        enter(
            shop.conn,
            shop.later(seconds=5).act(),
            sheet,
            field_id=field,
            place=place,
            text=text,
            replaces="",
            more=more,
        )

    def put_all(rows: Iterable[tuple[str, str, int]]) -> None:
        for row in rows:
            put(*row)

    soon = f"{shop.now + timedelta(days=9):%Y-%m-%d}"
    put("waive.safe", "shown in a test")
    rest = list(everything(load(shop.conn, motor)))
    first = [e for e in rest if e[0].startswith(FIRST)]
    with_power = [e for e in rest if FIELD_BY_ID[e[0]].needs == "permit"]
    put_all(first)
    put("permit.open", "volts", 1, who="Ines", barriers="rope", minutes="30", turns="still")
    put_all((*with_power, ("permit.close", "yes", 1)))
    context = load(shop.conn, motor)
    put_all((step, "yes", 0) for step in ticks(context))
    put("safe.method", "on-bench")
    put("run-how", usual_run(context.facts))
    with_power += [*first, *(e for e in rest if e[0] in ("run-how", "safe.method"))]
    for place, mm in ((1, "9.1"), (2, "15")):
        record(shop.conn, shop.later(seconds=5).act(), sheet, position=place, text=mm)
    put_all(e for e in rest if e not in with_power)
    for seen in ("lead.taut", "terminal.poor", "face.glazed", "brush.sticky"):
        note(shop.conn, shop.later(seconds=5).act(), sheet, 1, seen)
    put("overrule.brushes", "watch", why="the scale is wrong")
    put("ruled-out.stuck", "yes")
    put("temporary", "tied up", 1, who="Bram", day=soon)
    put("decide.lead.taut", "waits", 1, part="brush set LP-B 4", day=soon)
    put("decide.terminal.poor", "left", 1, why="it was dust", who="Ines", day=soon)
    put("decide.windings.burnt", "waits", 0, part="armature LP-A 2", day=soon)
    put("decide.brush.sticky", "deferred", 1, who="Bram", day=soon)
    put("next-look", soon)
    put("skip.rework", "no time")
    return sheet
