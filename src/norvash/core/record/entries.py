"""Each thing that a person can say of a motor, as it is told to its record.

An entry carries what was worked out when it was made: a length with its uncertainty and doubt, the sight of which it
speaks, what a field leaves for good. To apply it nothing else is read.
"""

from collections.abc import Mapping
from dataclasses import dataclass, field
from types import MappingProxyType

from norvash.core.commutator.figures_after_cut import Mark
from norvash.core.motor.figures import Figures
from norvash.core.motor.positions import PositionPlan
from norvash.core.motor.record import BrushSet, Renewal
from norvash.core.motor.round import Measured, Round
from norvash.core.record.record import Retired, SheetRow
from norvash.core.sheet.finding import Finding
from norvash.core.sheet.given import Given, Sight
from norvash.core.sheet.life import KeptLife
from norvash.core.sheet.sheet import Spot
from norvash.core.use.log_entry import Entry as Use

_NOTHING: Mapping[Spot, Given] = MappingProxyType({})


@dataclass(frozen=True, slots=True, kw_only=True)
class UseLogged:
    """Use was logged."""

    use: Use


@dataclass(frozen=True, slots=True, kw_only=True)
class UseCorrected:
    """The log of use as it stands after a line of it was taken back, or put in where it belongs."""

    uses: tuple[Use, ...]


@dataclass(frozen=True, slots=True, kw_only=True)
class FiguresStated:
    """Figures are stated, and brushes placed or named."""

    stated: Figures
    positions: tuple[PositionPlan, ...]


@dataclass(frozen=True, slots=True, kw_only=True)
class SinceSaid:
    """It is said since when the set in the motor runs: the set as it is then, and the log of use with its fitting."""

    brush_set: BrushSet
    uses: tuple[Use, ...]


@dataclass(frozen=True, slots=True, kw_only=True)
class SetNoted:
    """A set that is gone, from notes of the past."""

    brush_set: BrushSet


@dataclass(frozen=True, slots=True, kw_only=True)
class RoundNoted:
    """A round from notes of the past, of one set; `of_set` is that set where it must have gone in earlier by it."""

    of_set: BrushSet
    noted: Round


@dataclass(frozen=True, slots=True, kw_only=True)
class Opened:
    """A sheet is opened, with the round that is measured on it and what is confirmed at once.

    Units: total_units in the motor's unit of use.
    """

    row: SheetRow
    round_id: str
    round_kind: str
    total_units: float
    written: Mapping[Spot, Given] = field(default_factory=lambda: _NOTHING)


@dataclass(frozen=True, slots=True, kw_only=True)
class BrushRead:
    """A brush is read in one sight; None where its reading is withdrawn."""

    round_id: str
    position: int
    measured: Measured | None
    sight: Sight = "found"


@dataclass(frozen=True, slots=True, kw_only=True)
class BrushSeen:
    """Something is seen on a brush in one sight, or that is taken back."""

    round_id: str
    position: int
    finding: Finding
    sight: Sight
    gone: bool = False


@dataclass(frozen=True, slots=True, kw_only=True)
class Entered:
    """Something is entered at one place of the newest sheet, or, with None, nothing stands there any more.

    Of a field that `marks` the motor for good `mark` is what it leaves. `shortest` tells of the field that declares a
    round as of the shortest brush only whether it does; None of any other.
    """

    spot: Spot
    given: Given | None
    marks: str = ""
    mark: Mark | None = None
    shortest: bool | None = None


@dataclass(frozen=True, slots=True, kw_only=True)
class SetFitted:
    """The set in the motor has come out, and another went in; `new` tells by position whether its first length is
    known.
    """

    ended: BrushSet
    fitted: BrushSet
    new: Mapping[int, bool]


@dataclass(frozen=True, slots=True, kw_only=True)
class BrushesRenewed:
    """Some brushes of the set came new while the others stayed."""

    renewals: tuple[Renewal, ...]


@dataclass(frozen=True, slots=True, kw_only=True)
class Signed:
    """The newest sheet is signed, with the lives of findings that go on; the motor may be retired by that."""

    row: SheetRow
    lives: tuple[KeptLife, ...]
    retired: Retired | None = None


Said = (
    UseLogged
    | UseCorrected
    | FiguresStated
    | SinceSaid
    | SetNoted
    | RoundNoted
    | Opened
    | BrushRead
    | BrushSeen
    | Entered
    | SetFitted
    | BrushesRenewed
    | Signed
)
