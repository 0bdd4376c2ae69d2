"""A motor as its record stands, as values: nothing here knows a rule, a row or the clock."""

from collections.abc import Mapping
from dataclasses import dataclass
from datetime import date, datetime

from norvash.core.commutator.figures_after_cut import Mark
from norvash.core.motor.figures import Figures
from norvash.core.motor.positions import PositionPlan
from norvash.core.sheet.given import Given, Kind
from norvash.core.sheet.life import KeptLife
from norvash.core.sheet.sheet import Spot
from norvash.core.state.motor_state import BrushSet
from norvash.core.use.log_entry import Entry


@dataclass(frozen=True, slots=True)
class Retired:
    """Since when a motor is used no more, and who has said so."""

    at: datetime
    by: str


@dataclass(frozen=True, slots=True, kw_only=True)
class Motor:
    """One motor; version counts the changes to its own data.

    One that was `retired` is used no more. Of one with `depths_again` an earlier version had kept what a depth gauge
    showed as lengths.
    """

    id: str
    tag: str
    name: str
    place: str
    motor_class: str
    type_id: str | None
    version: int
    depths_again: bool = False
    retired: Retired | None = None

    def gone_by(self, day: date) -> Retired | None:
        """Return since when it is used no more, None where that is not so by a day: it may be named ahead."""
        return self.retired if self.retired is not None and self.retired.at.date() <= day else None


@dataclass(frozen=True, slots=True, kw_only=True)
class SheetRow:
    """The head of one sheet; `signed` holds what it said when it was signed, empty while it is open. Its signature may
    be from a file that nobody signed in has confirmed.
    """

    id: str
    motor_id: str
    number: int
    kind: Kind
    at: datetime
    person: str
    signed_at: datetime | None
    signed: Mapping[str, object]
    unconfirmed: bool = False


@dataclass(frozen=True, slots=True, kw_only=True)
class Record:
    """Everything that people have said of one motor, as it stands.

    `uses` is its log of use, `marks` what sheets say of it for good, `lives` what has become of its findings; `row` is
    the head of its newest sheet, None without one, and `written` what stands on that.
    """

    motor: Motor
    stated: Figures
    positions: tuple[PositionPlan, ...]
    marks: tuple[Mark, ...] = ()
    sets: tuple[BrushSet, ...] = ()
    uses: tuple[Entry, ...] = ()
    lives: tuple[KeptLife, ...] = ()
    row: SheetRow | None = None
    written: Mapping[Spot, Given]

    @property
    def open_row(self) -> SheetRow | None:
        """Return the head of its newest sheet while that is not signed, None without one."""
        return self.row if self.row is not None and self.row.signed_at is None else None
