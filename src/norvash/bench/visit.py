"""A sheet with two sights of every brush and forty findings on it, for what its pages and entries take."""

import uuid
from contextlib import closing
from datetime import datetime
from pathlib import Path

from norvash.bench.fleet import PERSON
from norvash.core.stages.brushes.stage import BY_SIGHT
from norvash.core.stages.catalogue import STAGES
from norvash.core.stages.gates import SAFE
from norvash.core.stages.stacks import BACK, OFF
from norvash.core.stages.ways import WAY, WAYS
from norvash.store.file.database import connect
from norvash.work.act.acting import Act
from norvash.work.on_sheet.measuring import note, record
from norvash.work.on_sheet.new_set import Fitting, fit_new_set
from norvash.work.on_sheet.opening import open_sheet
from norvash.work.on_sheet.sheets import enter
from norvash.work.reading.loading import load
from norvash.work.reading.sheet_now import sheet_now

FINDINGS = PARTS = 40
_KINDS = ("washer", "shim", "seal", "spacer", "end shield")
_ON_BRUSHES, _PER_BRUSH = 4, 4


def six_ways(db: Path, motor: str) -> str:
    """Open a sheet of a motor and price six ways to go on; return its address."""
    with closing(connect(db, made=True)) as conn:

        def act() -> Act:
            return Act(uuid.uuid4().hex, PERSON, datetime.now())

        sheet = open_sheet(conn, act(), motor, kind="full", counter="", safe=True)
        enter(conn, act(), sheet, field_id=SAFE.waived.id, place=0, text="measured by make bench")
        for place in (1, 2, 3, 4, 5, 6):
            bill = {"bill": f"part {place} {20 * place}.40 x 2; brushes 15.50 x 4", "hours": f"{3 / place:.2f}"}
            enter(conn, act(), sheet, field_id=WAY.id, place=place, text=WAYS[place], more={**bill, "rate": "58"})
    return f"/sheets/{sheet}"


def forty_parts(db: Path, motor: str) -> str:
    """Open a sheet of a motor and take a stack of forty parts off, half of it back; return its address."""
    with closing(connect(db, made=True)) as conn:

        def act() -> Act:
            return Act(uuid.uuid4().hex, PERSON, datetime.now())

        sheet = open_sheet(conn, act(), motor, kind="full", counter="", safe=True)
        enter(conn, act(), sheet, field_id=SAFE.waived.id, place=0, text="measured by make bench")
        for place in range(1, PARTS + 1):
            text = f"{_KINDS[place % len(_KINDS)]} {place / 10 + 1:g} x {20 + place}"
            enter(conn, act(), sheet, field_id=OFF["other"].id, place=place, text=text)
        for place in range(PARTS, PARTS // 2, -1):
            enter(conn, act(), sheet, field_id=BACK["other"].id, place=place, text="yes")
    return f"/sheets/{sheet}"


def full_visit(db: Path, motor: str) -> str:
    """Open a sheet of a motor, find forty things on it, fit a new set and measure that; return its address."""
    with closing(connect(db, made=True)) as conn:

        def act() -> Act:
            return Act(uuid.uuid4().hex, PERSON, datetime.now())

        sheet = open_sheet(conn, act(), motor, kind="full", counter="", safe=True)
        enter(conn, act(), sheet, field_id=SAFE.waived.id, place=0, text="measured by make bench")
        lengths = {position: f"{20 + position / 10:.1f}" for position in range(1, _ON_BRUSHES + 1)}
        for position, length in lengths.items():
            record(conn, act(), sheet, position=position, text=length)
        seen = [f for f in BY_SIGHT.values() if f.grave and "of-brush" not in f.kinds][:_PER_BRUSH]
        for position in lengths:
            for finding in seen:
                note(conn, act(), sheet, position, finding.id)
        context = load(conn, motor)
        offered = {f.id for s in STAGES for f in s.offered(context.facts, context.rules)}
        looked = [f for s in STAGES for f in s.looked if f.grave and f.look in offered]
        for finding in looked[: FINDINGS - _PER_BRUSH * _ON_BRUSHES]:
            enter(conn, act(), sheet, field_id=finding.look, place=0, text="yes")
        fit_new_set(conn, act(), motor, counter="", reason="at its limit", lengths=lengths, stated=Fitting())
        shown = sheet_now(conn, sheet, datetime.now().date())
        if len(shown.visit.lives) < FINDINGS or len(shown.sheet.written) < FINDINGS - len(seen) * _ON_BRUSHES:
            raise RuntimeError(f"only {len(shown.visit.lives)} findings stand on the sheet")
    return f"/sheets/{sheet}"
