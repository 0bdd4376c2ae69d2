"""What the call shows: what was put off, the last work on it, and what to bring."""

from dataclasses import dataclass

from norvash.core.sheet.bringing import Item, what_to_bring
from norvash.core.sheet.stages.call_in import settled
from norvash.store.sheets import DeferredRow
from norvash.web.stages.at import At
from norvash.web.stages.fields import Entry, entry
from norvash.work.history import HistoryLine
from norvash.work.sheet_page import last_work


@dataclass(frozen=True, slots=True)
class CallIn:
    """The call: what to bring, what was put off with its ticks, the counter at the opening, and the last work."""

    bring: tuple[Item, ...]
    put_off: list[tuple[DeferredRow, Entry]]
    opened_at: float
    last_work: HistoryLine | None


def view(at: At) -> CallIn:
    """Return what the call shows."""
    shown = at.shown
    return CallIn(
        what_to_bring(shown.context.facts, shown.found, shown.cause, shown.context.rules),
        [(d, entry(shown, settled(d.id))) for d in shown.deferred],
        shown.opened_at,
        last_work(at.conn, shown),
    )
