"""The parts of a motor that have a verdict of their own."""

from dataclasses import dataclass


@dataclass(frozen=True, slots=True)
class Part:
    """One part: its id in the record and its name. What lies `outside` the motor, before it or beside it, never raises
    the motor's grade. Where there are several by number, `each` is what one of them is called.
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
SUPPLY = Part("supply", "Supply and cord", outside=True)
SWITCH = Part("switch", "Switch and speed settings", outside=True)
BATTERY = Part("battery", "Battery and cables", outside=True)
BELT = Part("belt", "Belt", outside=True)
# The six components, which always have a place in a verdict; the parts beside them count once they speak.
PARTS = (BRUSHES, SPRINGS, HOLDERS, COMMUTATOR, WINDINGS, DRIVE)
BESIDE = (COMPLAINT, REPAIRS, SUPPLY, SWITCH, BATTERY, BELT, RUN, LOOK)
