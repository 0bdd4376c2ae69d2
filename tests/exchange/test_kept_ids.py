"""What devices and files hold of acts stays true: one that waits in a queue, or was played in, is known again.

`kept_ids.json` is never renewed; what is new is added to it.
"""

import json
import os
from collections.abc import Callable
from contextlib import suppress
from pathlib import Path

from conftest import Shop
from norvash.core.motor.notes import NotedRound, NotedUse
from norvash.core.sheet.moved import Explained
from norvash.errors import NorvashError
from norvash.exchange.visit_play import act_ids
from norvash.exchange.visit_read import read_visit
from norvash.work.act.acting import Act
from norvash.work.motors.changing_figures import change_figures, state_figures
from norvash.work.motors.logging_use import log_use, take_back
from norvash.work.motors.moving import move, rename
from norvash.work.motors.policing import add_policy, add_window, end_policy
from norvash.work.motors.retiring import take_back_into_use
from norvash.work.motors.ruling import clear_rule, set_rule, set_school
from norvash.work.motors.stating import SinceTyped, state_since
from norvash.work.notes.noting import enter_notes
from norvash.work.notes.noting_tables import take_back_notes
from norvash.work.on_sheet.measuring import note, record
from norvash.work.on_sheet.new_set import Fitting, fit_new_set
from norvash.work.on_sheet.opening import make_whole, open_sheet
from norvash.work.on_sheet.renewing import renew_brushes
from norvash.work.on_sheet.settling import settle_doubt, take_back_answer
from norvash.work.on_sheet.settling_sight import settle_sight
from norvash.work.on_sheet.sheets import enter
from norvash.work.on_sheet.sighting import Seeing
from norvash.work.on_sheet.signing import add_to_signed, sign
from norvash.work.on_sheet.undoing import undo

KEPT = Path(__file__).parent.parent / "data/kept_ids.json"
FILES = sorted((Path(__file__).parent.parent / "jobs").glob("*.json"))


def ids_of_files() -> dict[str, list[str]]:
    """Return the first and the last id of every file that is kept: each follows from all before it."""
    made = {}
    for file in FILES:
        ids = act_ids(read_visit(file.read_bytes()))
        made[file.stem] = [ids[0], ids[-1]]
    return made


def digests_of_jobs(shop: Shop) -> dict[str, str]:
    """Return the digest of each act of a walk through every job, by its number and its job."""
    motor = shop.motor(set_is_new=False, use_now="1340", since=SinceTyped(day="March 2025"))
    walk(shop, motor)
    rows = shop.conn.execute("select seq, job, digest from act order by seq")
    return {f"{r['seq']} {r['job']}": r["digest"] for r in rows}


def walk(shop: Shop, motor: str) -> None:
    conn, made = shop.conn, dict[str, str]()

    def did(name: str, job: Callable[[Act], str]) -> None:
        made[name] = "nothing"
        with suppress(NorvashError):
            made[name] = job(shop.later(days=4).act())

    def typed(sheet: str, field: str, text: str, **more: object) -> Callable[[Act], str]:
        return lambda act: enter(conn, act, sheet, field_id=field, place=0, text=text, **more)  # type: ignore[arg-type]

    noted = [NotedRound(line=1, day="2025-05-02", counter="500", readings={1: "21.9", 2: "21.9"})]
    did("notes", lambda act: enter_notes(conn, act, motor, [*noted, NotedUse(line=2, day="2025-06-01", counter="600")]))
    did("since", lambda act: state_since(conn, act, motor, SinceTyped(day="2 March 2025", counter="90")))
    did("no notes", lambda act: take_back_notes(conn, act, made["notes"]))
    did("use", lambda act: log_use(conn, act, motor, text="60", mode="increment", day="yesterday"))
    did("no use", lambda act: take_back(conn, act, motor))
    did("opened", lambda act: open_sheet(conn, act, motor, kind="quick", counter="1400", safe=True))
    sheet = made["opened"]
    did("length", lambda act: record(conn, act, sheet, position=1, text="23", method="length"))
    did("right", lambda act: settle_doubt(conn, act, made["length"], "right"))
    did("not right", lambda act: take_back_answer(conn, act, made["length"]))
    did("mistyped", lambda act: settle_doubt(conn, act, made["length"], "mistyped", "a slip"))
    did("seen", lambda act: note(conn, act, sheet, 1, "face.glazed"))
    did("whole", lambda act: make_whole(conn, act, sheet))
    did("figure", lambda act: state_figures(conn, act, sheet, {"bars": "45"}, {"bars": ""}))
    did("insulation", typed(sheet, "insulation-mohm", "0.4", seeing=Seeing(sight="found", touched=False)))
    did("undone", lambda act: undo(conn, act, sheet, made["insulation"], "it was another motor"))
    did("asked", typed(sheet, "earth-ohm", "4", seeing=Seeing(sight="left", touched=True)))
    did("sight", lambda act: settle_sight(conn, act, sheet, made["asked"], "found"))
    did("renewed", lambda act: renew_brushes(conn, act, motor, counter="", reason="damaged", lengths={1: "22"}))
    did("outcome", typed(sheet, "outcome", "retired", more={"why": "worn out"}))
    did("signed", lambda act: sign(conn, act, sheet, "for the test", service=True))
    did("added", lambda act: add_to_signed(conn, act, sheet, "one word more"))
    did("back", lambda act: take_back_into_use(conn, act, motor, "needed after all"))
    fitting = Fitting(part="LP-22", variant="B", also=("springs",))
    new = {1: "22", 2: "nominal"}
    did(
        "fitted",
        lambda act: fit_new_set(conn, act, motor, counter="1500", reason="damaged", lengths=new, stated=fitting),
    )
    act = shop.later(days=4).act()
    explained = Act(act.id, act.person_id, act.at, explained=Explained("read", "its plate"))
    with suppress(NorvashError):
        change_figures(conn, explained, motor, {"new_mm": "22", "limit_mm": "8", "label_1": "N"}, 2)
    did("rule", lambda act: set_rule(conn, act, "stage.watch", scope="site", scope_id="", text="0.6", why="tried"))
    did("no rule", lambda act: clear_rule(conn, act, "stage.watch", "site", ""))
    school = "school.old-or-new"
    did("school", lambda act: set_school(conn, act, school, scope="site", scope_id="", key="keep", why="so"))
    window = {"name": "dark", "first_on": "2025-11-01", "last_on": "2025-11-09", "place": ""}
    did("window", lambda act: add_window(conn, act, window))
    card = {"name": "By the card", "every": "40"}
    did("policy", lambda act: add_policy(conn, act, "motor", scope_id=motor, kind="interval", typed=card))
    did("no policy", lambda act: end_policy(conn, act, made["policy"]))
    did("moved", lambda act: move(conn, act, motor, place="the attic"))
    did("named", lambda act: rename(conn, act, motor, name="Attic winch"))


def test_acts_in_queues_and_in_files_are_known_again(shop: Shop) -> None:
    kept = json.loads(KEPT.read_text()) if KEPT.exists() else {"files": {}, "jobs": {}}
    files, jobs = ids_of_files(), digests_of_jobs(shop)
    assert len({key.split(" ", 1)[1] for key in jobs}) > 24
    if "ANEW" in os.environ:
        kept = {"files": files | kept["files"], "jobs": jobs | kept["jobs"]}
        KEPT.write_text(json.dumps(kept, indent=1, ensure_ascii=False) + "\n")
    assert kept == {"files": files, "jobs": jobs}
