"""Every sheet of every motor can be shown: those of the playhouse, and every class with every construction, grade and
method.
"""

import re
import shutil
from collections import Counter
from collections.abc import Iterator
from datetime import datetime, time, timedelta
from itertools import product
from pathlib import Path

import pytest
from starlette.testclient import TestClient

from conftest import Shop
from norvash.core.motor.classes import TEMPLATES
from norvash.core.motor.figure_fields import CONSTRUCTIONS, METHODS
from norvash.core.rules.fitting import GRADE_FAMILIES
from norvash.core.sheet.fields_of_parts import Off
from norvash.core.stages.axis import WALKED, axis_of
from norvash.core.stages.commutator.cut_limits import LIMITS
from norvash.core.text.texts import compared
from norvash.core.visit.walk import stages_of
from norvash.demo.fleet import DEMO_DAY, MACHINES
from norvash.store.file.database import connect
from norvash.store.record import motors, sheets
from norvash.work.act.acting import Act
from norvash.work.on_sheet.opening import open_sheet
from norvash.work.on_sheet.signing import sign
from norvash.work.reading.loading import load
from norvash.work.reading.sheet_state import put_together
from pages import opened

# Shown only once something else has happened on the sheet, or until it has: brushes that are run in are in.
LATER = (
    "cut-minutes",
    "leads-lie",
    "rod",
    "slides",
    "springs-sit",
    "permit.close",
    "ruled-out.",
    "confirm.",
    "complaint-now",
    "cause-was",
    "also-was.",
    "insulation-of",
    "waive.service",
    # Said again, once something was undone.
    "again.",
    "waiver.",
    "offer",
    "way",
    "back-",
    "stack",
    "own-task",
    "work-order",
    # Each bearing is asked by itself, and each part of a stage that is walked by parts.
    "seen.bearing.",
    "seen.bush.",
    "sound.windings",
    "sound.drive",
    # Kept by itself, and said as a finding or on the paper: nobody writes or empties it.
    "on-stop",
    "refused",
    # Asked where a figure was stated at the visit as it was read, or was there once.
    "usual-from",
    "plate-anew",
)
# A look is signed with a reason instead.
FULL_ONLY = ("skip.",)
PLACES = {
    "": (0,),
    "position": (1,),
    "tap": (1, 2),
    "bearing": (1, 2),
    "side": (1, 2),
    "number": (1,),
    "circuit": (0, 1),
}
WRITER = "person-1-of-demo"


@pytest.fixture(scope="module")
def house(playhouse: Path, tmp_path_factory: pytest.TempPathFactory) -> Iterator[tuple[TestClient, Shop]]:
    path = tmp_path_factory.mktemp("own-house") / "demo.db"
    shutil.copy(playhouse, path)
    with opened(path, WRITER) as client:
        conn = connect(path)
        yield client, Shop(conn, datetime.combine(DEMO_DAY, time(10)))
        conn.close()


def missing(client: TestClient, shop: Shop, sheet_id: str) -> dict[str, object]:
    """Return what a sheet's stages do not show, or the status that they answer with instead."""
    row = sheets.fetch_sheet(shop.conn, sheet_id)
    context = load(shop.conn, row.motor_id)
    hidden = (*LATER, *(FULL_ONLY if row.kind == "quick" else ()))
    found: dict[str, object] = {}
    parts = range(1, len(axis_of(context.facts)) + 1)
    walked = {s: "".join(client.get(f"/sheets/{sheet_id}/{s}?position={n}").text for n in parts) for s in WALKED}
    for stage in stages_of(put_together(shop.conn, row, context.facts)):
        answer = client.get(f"/sheets/{sheet_id}/{stage.id}?position=1")
        if answer.status_code != 200:
            found[stage.id] = answer.status_code
            continue
        ids = Counter(re.findall(r'\sid="([^"]+)"', answer.text))
        found |= {f"{stage.id}: id {i}": "more than once" for i, n in ids.items() if n > 1}
        for field in stage.offered(context.facts, context.rules):
            shown = walked.get(stage.id) or answer.text
            if field in LIMITS:  # those of one cut are asked for
                shown = client.get(f"/sheets/{sheet_id}/{stage.id}?limits=1").text
            if isinstance(field, Off):  # each stack has its own view
                shown = client.get(f"/sheets/{sheet_id}/{stage.id}?stack={field.stack}").text
            for place in (0,) if field.whole and field.per == "number" else PLACES[field.per]:
                numbered = place and field.per != "number"  # of a list the next number is offered, whichever that is
                at = f'<input type="hidden" name="place" value="{place}">' if numbered else ""
                address = f"field={field.id}&amp;stage={stage.id}&amp;{f'place={place}&amp;' if numbered else ''}"
                told = (f'name="field" value="{field.id}">{at}', address)
                if not any(x in shown for x in told) and not field.id.startswith(hidden):
                    found[f"{stage.id}: {field.id} {place}"] = "not on its page"
    return found


@pytest.mark.long
@pytest.mark.parametrize("tag", [m.tag for m in MACHINES])
def test_a_full_sheet_and_a_quick_look_show_every_field(house: tuple[TestClient, Shop], tag: str) -> None:
    client, shop = house
    motor = motors.names(shop.conn)[compared(tag)]

    def act() -> Act:
        shop.later(seconds=30)
        return Act(f"every-sheet-{tag}-{shop.now:%H%M%S}", WRITER, shop.now)

    left = sheets.open_sheet_of(shop.conn, motor)
    if left is not None:
        assert missing(client, shop, left.id) == {}
        sign(shop.conn, act(), left.id, "left as it is")
    for kind in ("full", "quick"):
        sheet = open_sheet(shop.conn, act(), motor, kind=kind, counter="")
        assert missing(client, shop, sheet) == {}
        sign(shop.conn, act(), sheet, "nothing was done")


def formed(shop: Shop, motor_class: str) -> str:
    """Return an open sheet of a motor whose construction, grade and method are then changed by hand."""
    figures = {
        "rated_v": "230",
        "rated_a": "9",
        "thickness_mm": "8",
        "width_mm": "16",
        "depth_new_mm": "3",
        "depth_constant_mm": "25",
        "protrusion_constant_mm": "20",
        "wear_line_1_mm": "12",
        "wear_line_2_mm": "10",
        "spring_table": "0=22; 5=14; 10=6",
    }
    return open_sheet(
        shop.conn,
        shop.act(),
        shop.motor(tag=f"Z-{motor_class}", motor_class=motor_class, figures=figures),
        kind="full",
        counter="",
    )


@pytest.mark.long
@pytest.mark.parametrize("motor_class", TEMPLATES)
def test_every_construction_grade_and_method_of_a_class(client: TestClient, shop: Shop, motor_class: str) -> None:
    shop.now = datetime.now() - timedelta(days=1)
    sheet = formed(shop, motor_class)
    motor = sheets.fetch_sheet(shop.conn, sheet).motor_id

    def put(**figures: str) -> None:
        for name, value in figures.items():
            shop.conn.execute("insert or replace into motor_figure values (?, ?, null, ?)", (motor, name, value))
        shop.conn.execute("update standing set version = version + 1")  # as every job does that judges

    for construction, grade in product(CONSTRUCTIONS, ("", *GRADE_FAMILIES)):
        put(construction=construction, grade_family=grade)
        for method in METHODS:
            put(method=method)
            assert client.get(f"/sheets/{sheet}/brushes?position=1").status_code == 200, (construction, grade, method)
        put(method="length")
        if grade in ("", GRADE_FAMILIES[0]):
            assert missing(client, shop, sheet) == {}, (construction, grade)
