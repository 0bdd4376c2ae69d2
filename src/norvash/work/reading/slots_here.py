"""How long slots take at this site, as its signed sheets teach it."""

from norvash.core.commutator.after_cut import learnt_factor
from norvash.core.judging.commutator.slots_here import SlotsHere
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.field import Quantity
from norvash.core.sheet.records import SlotTime
from norvash.core.stages.commutator.cut import CUT_MINUTES, SLOT_MINUTES
from norvash.store.file.database import Connection
from norvash.store.record import entries

_MOST_SHEETS = 20


def slots_here(conn: Connection, rules: MotorRules) -> SlotsHere:
    """Return the site's own factors on the estimates, from the last signed sheets that say how long it took."""
    slots, cuts = _ratios(conn, SLOT_MINUTES), _ratios(conn, CUT_MINUTES)
    return SlotsHere(learnt_factor(slots, rules), len(slots), learnt_factor(cuts, rules))


def _ratios(conn: Connection, field: Quantity) -> list[float]:
    """Return what the last signed sheets say of a time taken over the one that was expected [1]."""
    signed = entries.list_signed_values(conn, field.id, _MOST_SHEETS)
    taken = [(g.number, g.record.estimated_min) for g in signed if g.number and isinstance(g.record, SlotTime)]
    return [took / expected for took, expected in taken if expected > 0]
