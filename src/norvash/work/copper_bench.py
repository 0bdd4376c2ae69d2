"""What the stage of the commutator knows beside its own sheet: the machine's speeds, and how long slots take here."""

from dataclasses import dataclass

from norvash.core.commutator.after_cut import learnt_factor, slot_minutes
from norvash.core.sheet.given import Earlier, Given
from norvash.core.sheet.records import SlotTime
from norvash.core.sheet.stages.commutator.bar_map import BAR_MAP
from norvash.core.sheet.stages.commutator.copper_now import CopperNow, copper_now
from norvash.core.sheet.stages.commutator.cut import LATHE_SPEEDS, SLOT_MINUTES
from norvash.core.sheet.stages.commutator.says import SlotsHere
from norvash.store import entries
from norvash.store.database import Connection
from norvash.work.sheet_page import SheetPage

_MOST_SHEETS = 20


@dataclass(frozen=True, slots=True, kw_only=True)
class CopperBench:
    """The commutator as worked out now; speeds kept from the last plan anywhere, and how long slots take
    here.
    """

    now: CopperNow
    speeds: Given | None
    slots: SlotsHere
    earlier_map: Earlier | None


def copper_bench(conn: Connection, shown: SheetPage) -> CopperBench:
    """Return the commutator of a sheet with what the site has learnt."""
    rules = shown.context.rules
    taken = [
        (g.number, g.record.estimated_min)
        for g in entries.list_signed_values(conn, SLOT_MINUTES.id, _MOST_SHEETS)
        if g.number and isinstance(g.record, SlotTime)
    ]
    factor = learnt_factor([t / e for t, e in taken if e > 0], rules)
    now = copper_now(shown.sheet, rules)
    minutes = slot_minutes(now.bars, rules, factor) if now.bars else None
    earlier = entries.list_earlier(conn, shown.row.motor_id, shown.row.number, (BAR_MAP.id,)).get((BAR_MAP.id, 0))
    return CopperBench(
        now=now,
        speeds=entries.last_of_site(conn, LATHE_SPEEDS.id),
        slots=SlotsHere(factor, len(taken), minutes),
        earlier_map=earlier,
    )
