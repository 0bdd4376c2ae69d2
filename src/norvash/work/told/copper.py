"""The commutator as it was read at a visit: kept with the signature as it was judged, drawn on the paper from that."""

from dataclasses import dataclass

from pydantic import TypeAdapter, ValidationError

from norvash.core.commutator.run_out import RunOut
from norvash.core.judging.commutator.copper_now import CopperNow, copper_now
from norvash.core.judging.commutator.map_says import set_of
from norvash.core.judging.commutator.map_shown import earthed_bar
from norvash.core.judging.windings.measured import slots_on_growler
from norvash.core.motor.figure_reading import track_d_mm
from norvash.drawing.commutator.bar_map import Mapped, bar_map
from norvash.drawing.commutator.run_out_rose import run_out_rose
from norvash.drawing.svg import Drawing
from norvash.work.reading.sheet_now import SheetNow

_WIDE, _PHONE, _ROSE_WIDE = 620.0, 346.0, 340.0


@dataclass(frozen=True, slots=True)
class RunOutKept:
    """A circle of readings as it was judged, with the diameter that it was read on [mm] and whether bar by bar."""

    run_out: RunOut
    diameter_mm: float | None
    per_bar: bool

    def drawn(self) -> Drawing:
        """Return the rose of it."""
        return run_out_rose(self.run_out, self.diameter_mm, self.per_bar, _ROSE_WIDE)


@dataclass(frozen=True, slots=True)
class CopperKept:
    """What is kept of a commutator to be drawn: its run-out, and its bars where any was marked or tested."""

    run_out: RunOutKept | None = None
    bars: Mapped | None = None

    def drawn(self) -> tuple[tuple[Drawing, Drawing | None], ...]:
        """Return the drawings of it, each with that for a phone where it has one of its own."""
        rose = () if self.run_out is None else ((self.run_out.drawn(), None),)
        return rose if self.bars is None else (*rose, (bar_map(self.bars, _WIDE), bar_map(self.bars, _PHONE)))


_KEPT = TypeAdapter(CopperKept)


def mapped(page: SheetNow, now: CopperNow) -> Mapped | None:
    """Return the map of a sheet's bars with what was read between them, None where its bars are not known."""
    if now.wound is None:
        return None
    best, tested = now.read.searched.proven if now.read else None, now.tested
    return Mapped(
        bars=now.wound.bars,
        shown=now.shown,
        poles=now.wound.poles,
        slots=now.wound.slots,
        spacing=set_of(best, now.wound.bars) if best else (),
        deviations=tested.deviations if tested else (),
        marked=(*tested.high, *tested.low, *tested.suspect) if tested else (),
        band=tested.band if tested else 0.1,
        says=tuple(s.words for s in now.read.sayings) if now.read else (),
        answering={n: at for n, at in slots_on_growler(page.sheet).items() if at is not None},
        earthed=earthed_bar(page.sheet, page.context.rules),
    )


def copper_told(page: SheetNow) -> dict[str, object]:
    """Return what is kept of the commutator of a sheet, as JSON has it."""
    now = copper_now(page.sheet, page.context.rules)
    run_out = None
    if now.run_out is not None:
        run_out = RunOutKept(now.run_out, track_d_mm(page.context.figures), now.per_bar)
    bars = mapped(page, now) if any(now.shown.values()) or now.tested is not None else None
    kept: dict[str, object] = _KEPT.dump_python(CopperKept(run_out, bars), mode="json")
    return kept


def copper_drawn(told: object) -> tuple[tuple[Drawing, Drawing | None], ...]:
    """Return the drawings of what was kept, none where nothing was, or only another version can draw it."""
    try:
        return _KEPT.validate_python(told).drawn()
    except ValidationError:
        return ()
