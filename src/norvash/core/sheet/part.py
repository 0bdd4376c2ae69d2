"""The parts of a motor that have a verdict of their own."""

from dataclasses import dataclass


@dataclass(frozen=True, slots=True)
class Part:
    """One part: its id in the record and its name. What lies `outside` the motor, before it or beside it, is graded
    beside the motor: it stops the machine. Where there are several by number, `each` is what one of them is called.
    """

    id: str
    words: str
    outside: bool = False
    each: str = ""


BRUSHES = Part("brushes", "Brushes")
SPRINGS = Part("springs", "Springs, leads, terminals")
HOLDERS = Part("holders", "Holders")
COMMUTATOR = Part("commutator", "Commutator")
WINDINGS = Part("windings", "Windings and magnets")
DRIVE = Part("drive", "Bearings and drive")
COMPLAINT = Part("complaint", "The complaint")
REPAIRS = Part("repairs", "Temporary repairs", each="Temporary repair")
LOOK = Part("look", "The look")
RUN = Part("run", "The run")
RELEASE = Part("release", "Back to service")
SUPPLY = Part("supply", "Supply and cord", outside=True)
SWITCH = Part("switch", "Switch and speed settings", outside=True)
BATTERY = Part("battery", "Battery and cables", outside=True)
BELT = Part("belt", "Belt", outside=True)
# The six components, which always have a place in a verdict; the parts beside them count once they speak.
PARTS = (BRUSHES, SPRINGS, HOLDERS, COMMUTATOR, WINDINGS, DRIVE)
GUARDS = Part("guards", "Guards and emergency stop", outside=True)
LIFTING = Part("lifting", "Brake, rope and chain", outside=True)
OUTSIDE = frozenset(p.id for p in (SUPPLY, SWITCH, BATTERY, BELT, GUARDS, LIFTING))
BESIDE = (COMPLAINT, REPAIRS, SUPPLY, SWITCH, BATTERY, BELT, GUARDS, LIFTING, RUN, RELEASE, LOOK)
