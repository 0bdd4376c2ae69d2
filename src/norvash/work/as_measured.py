"""A reading as the record has it, with its doubt."""

from norvash.core.brush.doubts import Doubt
from norvash.core.brush.readings import Reading
from norvash.core.motor.round import Measured


def as_measured(reading: Reading, reading_id: str, doubt: Doubt | None = None) -> Measured:
    """Return a reading as the record has it, with a doubt that nobody has answered."""
    return Measured(
        length_mm=reading.length_mm,
        sd_mm=reading.sd_mm,
        low_mm=reading.low_mm,
        high_mm=reading.high_mm,
        lines=reading.lines,
        doubt=doubt.words if doubt else "",
        doubt_rule=doubt.rule_id if doubt else "",
        id=reading_id,
        bare_mm=reading.bare_mm,
        method=reading.method,
        reference_mm=reading.reference_mm,
    )
