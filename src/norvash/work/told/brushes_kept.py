"""The brushes that a visit has measured and left in, in words."""

from norvash.core.state.laid import measured_words
from norvash.work.reading.sheet_now import SheetNow


def brushes_kept(page: SheetNow) -> list[str]:
    """Return the brushes that were measured and stay, each with the carbon that it has left where that is known."""
    here, found = page.row.id, page.found
    if page.context.sets[-1].sheet_id == here or found.round is None or found.round.sheet_id != here:
        return []
    read = [b for b in found.brushes if b.in_round and b.last is not None and b.number not in found.new]
    share = {b.label: "" if b.usable is None else f", {b.usable:.0%} of its usable carbon" for b in read}
    return [f"{b.label} {measured_words(b.last)}{share[b.label]}" for b in read if b.last is not None]
