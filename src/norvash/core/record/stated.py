"""What is said of a motor itself: that it is there, its figures, what they rest on, whether it is in use."""

from dataclasses import dataclass, replace

from norvash.core.motor.figures import Figures
from norvash.core.motor.positions import PositionPlan
from norvash.core.record.record import Motor, Record
from norvash.core.record.said import Said
from norvash.core.state.laid import sets_laid


@dataclass(frozen=True, slots=True, kw_only=True)
class Registered(Said):
    """A motor is registered, with the figures that it states itself and the places of its brushes."""

    motor: Motor
    stated: Figures
    positions: tuple[PositionPlan, ...]

    def applied(self, record: Record) -> Record:
        return replace(record, motor=self.motor, stated=self.stated, positions=self.positions)


@dataclass(frozen=True, slots=True, kw_only=True)
class FiguresStated(Said):
    """Figures are stated, and brushes placed or named."""

    stated: Figures
    positions: tuple[PositionPlan, ...]

    def applied(self, record: Record) -> Record:
        motor = replace(record.motor, version=record.motor.version + 1)
        laid = sets_laid(record.sets, self.stated)
        return replace(record, motor=motor, stated=self.stated, positions=self.positions, sets=laid)


@dataclass(frozen=True, slots=True)
class Confirmed(Said):
    """A change of what is judged on is confirmed, or, with a source, its own maker has said where it comes from."""

    moved_id: str
    source: str

    def applied(self, record: Record) -> Record:
        """Return the record as it is: they say something of what stands beside it."""
        return record


@dataclass(frozen=True, slots=True, kw_only=True)
class Called(Said):
    """A motor is called otherwise, or stands elsewhere from now on."""

    name: str
    place: str

    def applied(self, record: Record) -> Record:
        motor = record.motor
        made = replace(motor, name=self.name, place=self.place, version=motor.version + 1)
        return replace(record, motor=made)


@dataclass(frozen=True, slots=True)
class BackInUse(Said):
    """A motor that was retired is used again."""

    def applied(self, record: Record) -> Record:
        return replace(record, motor=replace(record.motor, retired=None))
