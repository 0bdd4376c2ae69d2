"""What is refused of a test with power on: too fast a surface for a stone in the hand, and an end without a start."""

from norvash.core.judging.commutator.copper_now import diameter_now_mm
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.field import Field
from norvash.core.sheet.life import Told
from norvash.core.sheet.putting_off import Asked
from norvash.core.sheet.records import PermitRecord
from norvash.core.sheet.sheet import Sheet
from norvash.core.stages.before.fields import PERMIT_CLOSE, PERMIT_OPEN
from norvash.core.visit.lives import lives
from norvash.core.visit.permit import refuse_surface
from norvash.core.visit.stops import stop_on_permit
from norvash.errors import InputError, StopForbids


def refuse_permit(field: Field, place: int, asked: Asked, *, sheet: Sheet, told: Told, rules: MotorRules) -> None:
    """Refuse a permit that its track or a stop forbids, and one that is closed though nobody has opened it.

    Raises: InputError, StopForbids. Source: rules dress.low, dress.high
    """
    record = asked.record
    if field is PERMIT_OPEN and isinstance(record, PermitRecord):
        stop = stop_on_permit(lives(told), record, sheet)
        if stop is not None:
            decision = stop.finding.decision
            raise StopForbids(
                f"Power waits: {stop.place}, {stop.finding.words}.", f"{decision[0].upper()}{decision[1:]}.", "turns"
            )
    if field is PERMIT_OPEN and isinstance(record, PermitRecord) and record.rpm is not None:
        refuse_surface(record.rpm, diameter_now_mm(sheet), rules)
    if field is PERMIT_CLOSE and asked.word and PERMIT_OPEN.given(sheet, place) is None:
        raise InputError("No test with power on is open there.", "Close the one that is open, by its number.", "place")
