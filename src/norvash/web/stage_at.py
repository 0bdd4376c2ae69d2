"""Where somebody stands on a sheet."""

from dataclasses import dataclass
from typing import TYPE_CHECKING

from norvash.work.brush_lines import BrushLines
from norvash.work.sheet_page import SheetPage

if TYPE_CHECKING:
    from norvash.core.sheet.stages.windings.measured import InsulationTest
    from norvash.work.copper_bench import CopperBench


DRAWN = 380.0


@dataclass(frozen=True, slots=True, kw_only=True)
class At:
    """Where somebody stands on a sheet: the position chosen, 0 for none, what was typed, the brushes where they
    matter.
    """

    shown: SheetPage
    position: int
    typed: dict[str, str]
    brushes: BrushLines | None
    bench: "CopperBench | None"
    tests: "tuple[InsulationTest, ...]"
