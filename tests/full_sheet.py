"""A sheet on which everything is entered that its class offers."""

from collections.abc import Iterator
from datetime import timedelta

from conftest import Shop
from norvash.core.sheet.field import Pick
from norvash.core.sheet.stages.catalogue import FIELD_BY_ID, STAGES
from norvash.work.context import Context
from norvash.work.loading import load
from norvash.work.measuring import note, record
from norvash.work.opening import open_sheet
from norvash.work.sheets import enter

LEFT_OUT = (
    "waive.",
    "confirm.",
    "skip.",
    "ruled-out.",
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
    "rough-cut": "0.1",
    "run-out": ROUND,
    "bar-test": ROUND,
    "track-d": "57.1\n57",
    "shoulder-d": "60",
    "cut-done": "56.5",
    "run-out-step": "0.001",
    "terminal-step": "0.01",
}


def everything(context: Context) -> Iterator[tuple[str, str, int]]:
    """Yield every plain field that is offered to a motor, with something to enter.

    What runs it comes before what forbids that.
    """
    places = {"": [0], "position": [1, 2], "tap": [1, 2], "bearing": [1, 2], "side": [1, 2], "number": []}
    offered = [f for stage in STAGES for f in stage.offered(context.facts, context.rules)]
    for field in sorted(offered, key=lambda f: f.needs != "power"):
        if not field.id.startswith(LEFT_OUT):
            text = _choice(field, context) if isinstance(field, Pick) else OWN.get(field.id, SAID.get(field.kind, ""))
            at = [0] if field.per == "number" and field.whole else places[field.per]
            yield from ((field.id, text, place) for place in at)


def _choice(field: Pick, context: Context) -> str:
    forbidden = field.forbids(context.facts, context.rules)
    return next(key for key, _ in field.choices if key not in forbidden)


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

    soon = f"{shop.now + timedelta(days=9):%Y-%m-%d}"
    for gate in ("safe", "power", "service"):
        put(f"waive.{gate}", "shown in a test")
    put("permit.open", "volts", 1, who="Ines", barriers="rope", minutes="30", turns="still")
    rest = list(everything(load(shop.conn, motor)))
    closed = ("permit.close", "yes", 1)
    with_power = [e for e in rest if FIELD_BY_ID[e[0]].needs == "permit"]
    for entry in (*with_power, closed):
        put(*entry)
    for place, mm in ((1, "9.1"), (2, "15")):
        record(shop.conn, shop.later(seconds=5).act(), sheet, position=place, text=mm)
    for seen in ("lead.taut", "terminal.poor", "face.glazed", "brush.sticky"):
        note(shop.conn, shop.later(seconds=5).act(), sheet, 1, seen)
    for entry in [e for e in rest if e not in with_power]:
        put(*entry)
    put("overrule.brushes", "watch", why="the scale is wrong")
    put("ruled-out.stuck", "yes")
    put("temporary", "tied up", 1, who="Bram", day=soon)
    put("decide.lead.taut", "deferred", 1, who="Bram", day=soon)
    put("decide.terminal.poor", "dropped", 1, why="it was dust")
    put("decide.brush.sticky", "done", 1)
    put("decide.windings.burnt", "deferred", 0, who="Bram", day=soon)
    put("next-look", soon)
    put("skip.rework", "no time")
    return sheet
