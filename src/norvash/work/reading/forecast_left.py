"""The forecast that a closed round leaves, to be held against what comes."""

from datetime import datetime

from norvash.store.record.forecasts import Made
from norvash.store.record.rounds import RoundRow
from norvash.work.reading.context import Context


def forecast_left(row: RoundRow, context: Context, at: datetime) -> Made | None:
    """Return the forecast as it stands when a round is closed, to be held against what comes; None without one."""
    ahead = context.state.ahead
    if ahead is None or not ahead.visits:
        return None
    return Made(
        round_id=row.id,
        set_id=row.set_id,
        motor_id=row.motor_id,
        at=at,
        visits=ahead.visits,
        p05_units=ahead.p05_units,
        p10_units=ahead.p10_units,
        p50_units=ahead.p50_units,
        p90_units=ahead.p90_units,
        p95_units=ahead.p95_units,
        look_units=ahead.look_units,
        tail=ahead.tail,
    )
