"""What is said anew of something that stands in one row: an entry, so that nothing that stood before is lost."""

import json
from collections.abc import Sequence

from norvash.core.motor.figures import Figures
from norvash.core.motor.positions import PositionPlan
from norvash.core.record.record import Retired
from norvash.core.state.motor_state import BrushSet
from norvash.store.file.database import Connection


def restate(conn: Connection, motor_id: str, what: str, *, of_id: str, said: object, act_id: str) -> None:
    """Keep what stands of something of a motor from now on; what was said of it before stays."""
    conn.execute(
        """insert into restated (motor_id, what, of_id, said_json, act_id)
           values (:motor_id, :what, :of_id, :said, :act_id)""",
        {"motor_id": motor_id, "what": what, "of_id": of_id, "said": json.dumps(said), "act_id": act_id},
    )


def restate_figures(
    conn: Connection, motor_id: str, stated: Figures, positions: Sequence[PositionPlan], act_id: str
) -> None:
    """Keep which figures a motor states itself from now on, and where its brushes are."""
    places = [[p.number, p.label, p.angle_deg, p.arm, p.polarity] for p in positions]
    restate(conn, motor_id, "figures", of_id=motor_id, said=stated.own, act_id=act_id)
    restate(conn, motor_id, "positions", of_id=motor_id, said=places, act_id=act_id)


def restate_fitting(conn: Connection, motor_id: str, fitted: BrushSet, act_id: str) -> None:
    """Keep since when a set has run from now on."""
    said = {
        "at": fitted.fitted_at.isoformat(),
        "units": fitted.fitted_units,
        "known": int(fitted.fitted_known),
        "days": [day.isoformat() for day in fitted.span_on] if fitted.span_on is not None else None,
        "use": list(fitted.span_units) if fitted.span_units is not None else None,
        "nominal": sorted(fitted.nominal),
    }
    restate(conn, motor_id, "fitting", of_id=fitted.id, said=said, act_id=act_id)


def restate_retired(conn: Connection, motor_id: str, retired: Retired | None, act_id: str) -> None:
    """Keep whether a motor is used from now on."""
    said = {"at": retired.at.isoformat(), "by": retired.by} if retired is not None else None
    restate(conn, motor_id, "retired", of_id=motor_id, said=said, act_id=act_id)
