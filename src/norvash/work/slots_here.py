"""How long slots take at this site, as its signed sheets teach it."""

from norvash.core.commutator.after_cut import learnt_factor
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.judging.commutator.slots_here import SlotsHere
from norvash.core.sheet.records import SlotTime
from norvash.core.sheet.stages.commutator.cut import SLOT_MINUTES
from norvash.store import entries
from norvash.store.database import Connection

_MOST_SHEETS = 20


def slots_here(conn: Connection, rules: MotorRules) -> SlotsHere:
    """Return the site's own factor on the estimate, from the last signed sheets that say how long they took."""
    taken = [
        (g.number, g.record.estimated_min)
        for g in entries.list_signed_values(conn, SLOT_MINUTES.id, _MOST_SHEETS)
        if g.number and isinstance(g.record, SlotTime)
    ]
    return SlotsHere(learnt_factor([t / e for t, e in taken if e > 0], rules), len(taken))
