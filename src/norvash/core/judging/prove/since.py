"""What of a proof run was read since the last work: what was read before that proves nothing of it."""

from dataclasses import replace
from datetime import datetime

from norvash.core.sheet.sheet import Sheet
from norvash.core.stages.prove.run_fields import FIELDS
from norvash.core.visit.done import last_work

_OF_RUN = frozenset(f.id for f in FIELDS)


def read_since(sheet: Sheet, since: datetime) -> Sheet:
    """Return the sheet with what was read of its run since a time, without what was read before."""
    left = {spot: given for spot, given in sheet.written.items() if spot[0] not in _OF_RUN or given.at >= since}
    return sheet if len(left) == len(sheet.written) else replace(sheet, written=left)


def run_now(sheet: Sheet) -> Sheet:
    """Return the sheet with the run that stands: that since the last work, or, until it is run again, that before."""
    again = read_since(sheet, last_work(sheet))
    return again if _OF_RUN & again.said else sheet
