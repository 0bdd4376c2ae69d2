"""What the stage of the commutator knows beside its own sheet: the machine's speeds, and how long slots take here."""

from dataclasses import dataclass, replace

from norvash.core.judging.commutator.copper_now import CopperNow, copper_now
from norvash.core.judging.commutator.slots_here import SlotsHere
from norvash.core.sheet.given import Earlier, Given
from norvash.core.sheet.ground import said
from norvash.core.stages.commutator.bar_map import BAR_MAP
from norvash.core.stages.commutator.cut import LATHE_SPEEDS
from norvash.store.file.database import Connection
from norvash.store.record import entries
from norvash.work.reading.cut_waits import cut_waits
from norvash.work.reading.sheet_now import SheetNow
from norvash.work.reading.slots_here import slots_here


@dataclass(frozen=True, slots=True, kw_only=True)
class CopperBench:
    """The commutator as worked out now; speeds kept from the last plan anywhere, and how long slots take
    here.
    """

    now: CopperNow
    speeds: Given | None
    slots: SlotsHere
    slot_min: float | None
    earlier_map: Earlier | None


def copper_bench(conn: Connection, shown: SheetNow) -> CopperBench:
    """Return the commutator of a sheet with what the site has learnt."""
    rules = shown.context.rules
    now, slots = copper_of(shown), slots_here(conn, rules)
    earlier = entries.list_earlier(conn, shown.row.motor_id, shown.row.number, (BAR_MAP.id,)).get((BAR_MAP.id, 0))
    return CopperBench(
        now=now,
        speeds=entries.last_of_site(conn, LATHE_SPEEDS.id),
        slots=slots,
        slot_min=slots.minutes(now, shown.sheet, rules),
        earlier_map=earlier,
    )


def copper_of(shown: SheetNow) -> CopperNow:
    """Return the commutator of a sheet; a cut that only an unconfirmed change allows waits until it is confirmed."""
    now = copper_now(shown.sheet, shown.context.rules)
    waits = cut_waits(shown.context, shown.sheet, now)
    return replace(now, condemned=f"first it is confirmed: {'; '.join(map(said, waits))}") if waits else now
