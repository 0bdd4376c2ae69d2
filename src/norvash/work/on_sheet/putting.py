"""Put a value at one place of a sheet: an entry, a length, or what is seen, all by the same rules."""

from dataclasses import dataclass
from datetime import datetime
from functools import partial
from typing import Protocol

from norvash.core.record.brushes import BrushRead, BrushSeen
from norvash.core.record.sheet import Entered
from norvash.core.sheet.given import Sight
from norvash.errors import Conflict
from norvash.work.on_sheet.sighting import Seeing, others, slip
from norvash.work.reading.context import Context
from norvash.work.reading.standing import Judged, judge

Put = Entered | BrushRead | BrushSeen


@dataclass(frozen=True, slots=True)
class There:
    """What stands at a place in one sight: its id, its words, and whose it is."""

    id: str
    words: str
    person: str = ""


class Value(Protocol):
    """A value on its way to a place of a sheet, of a person."""

    @property
    def person(self) -> str:
        """Return whose it is, empty for one that tells of what was done before it was sent."""

    def there(self, sight: Sight) -> There | None:
        """Return what stands there in a sight."""

    def made(self, sight: Sight, *, slip: bool = False) -> Put:
        """Return it as an entry of a sight; with `slip` what stood there was mistyped."""

    def judged(self, said: Put) -> Judged | None:
        """Return its motor judged with it, None where nothing follows from it."""

    @property
    def twice(self) -> bool:
        """Tell whether it may be measured once more with no work between, and kept beside what stands."""

    def taken(self, there: There, said: Put) -> There | None:
        """Return what of that which stands there it takes the place of, None where it only adds to it."""

    def worked(self, sight: Sight) -> bool:
        """Tell whether work has touched the place since what stands there was entered."""

    def meanwhile(self, there: There) -> Conflict:
        """Return what is said where somebody else has put something there."""


@dataclass(frozen=True, slots=True)
class Placed:
    """A value as it is to be kept: in its sight, with what stood there, and whether that was a slip."""

    said: Put
    sight: Sight
    there: There | None
    slip: bool
    judged: Judged | None


def put(context: Context, value: Value, seeing: Seeing, *, sight: Sight, replaces: str, now: datetime) -> Placed:
    """Return a value as it is to be kept; one that is asked about takes the place of nothing.

    `replaces` is what the person saw there. Raises: Conflict for what somebody else put there meanwhile; NeedsAnswer
    where it could be a slip or a second measurement, or that was somebody else's; what making it raises.
    """
    there = value.there(sight)
    if sight != "asked" and there is not None and there.id != replaces:
        raise value.meanwhile(there)
    said = value.made(sight)
    judged = value.judged(said)
    taken = value.taken(there, said) if there is not None and sight != "asked" else None
    if judged is None or taken is None:
        return Placed(said, sight, there, slip=False, judged=judged)
    before = judge(context, now.date()).found.lives
    slipped, then = slip(
        before,
        judged.found.lives,
        taken.words,
        seeing,
        sight=sight,
        worked=partial(value.worked, sight),
        twice=value.twice,
    )
    others(taken.words, taken.person, value.person, seeing, worked=partial(value.worked, sight))
    if not slipped and then == sight:
        return Placed(said, sight, there, slip=False, judged=judged)
    said = value.made(then, slip=slipped)
    return Placed(said, then, value.there(then), slip=slipped, judged=value.judged(said))
