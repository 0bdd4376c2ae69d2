"""The limits of one cut: lent by the rulebook, and stated at the cut where it is made otherwise this once."""

from norvash.core.sheet.field import Quantity
from norvash.core.sheet.fields_made import quantity

_GROUP = "Plan of a cut"


def _limit(field_id: str, label: str, dimension: str, low: float, high: float) -> Quantity:
    return quantity(field_id, _GROUP, label, dimension, needs="safe", low=low, high=high, judged=True, placed=True)


LIMITS: tuple[Quantity, ...] = (
    ROUGH_CUT := _limit("rough-cut", "Rough pass, radial", "length", 0.005, 0.25),
    CUT_SPEED := _limit("cut-speed", "Cutting speed at most, in m/min", "count", 1, 3000),
    FINISH_CUT := _limit("finish-cut", "Finish pass, radial", "length", 0.001, 0.25),
    FEED_ROUGH := _limit("feed-rough", "Feed of a rough pass, a turn", "length", 0.001, 5),
    FEED_FINISH := _limit("feed-finish", "Feed of the finish pass, a turn", "length", 0.001, 5),
    CUT_TRAVEL := _limit("cut-travel", "Travel beyond the track, both ends together", "length", 0, 200),
    SLOT_SECONDS := _limit("slot-seconds", "Time for one slot", "seconds", 1, 3600),
)
