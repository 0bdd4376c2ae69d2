"""What the prints of the contact say: a face that does not touch wide enough for full load."""

from collections.abc import Iterator
from dataclasses import replace

from norvash.core.edges import under
from norvash.core.motor.figure_fields import RUN_IN_PRINT
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.finding import Noted
from norvash.core.sheet.sheet import Sheet
from norvash.core.sheet.stages.brushes.carbon import FACE_UNBEDDED
from norvash.core.sheet.stages.seating import PRINT


def judge(sheet: Sheet, rules: MotorRules) -> Iterator[Noted]:
    """Yield every brush whose bedding is not finished, by its own print; a starter goes back all the same, watched.

    Source: rule seating.ready, unless a print is stated
    """
    ready = RUN_IN_PRINT.of(sheet.facts.figures) or rules["seating.ready"]
    unbedded = replace(FACE_UNBEDDED, grade="watch") if sheet.facts.motor_class == "starter" else FACE_UNBEDDED
    for place in PRINT.places(sheet):
        share = PRINT.of(sheet, place)
        if share is not None and under(share, ready):
            words = f"bedding not finished: print {100 * share:.0f} %, {100 * ready:.0f} % releases the load"
            yield place, unbedded.saying(words)
