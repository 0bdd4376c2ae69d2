"""What the prints of the contact say: a face that does not touch wide enough for full load."""

from collections.abc import Iterator

from norvash.core.edges import under
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.finding import Noted
from norvash.core.sheet.sheet import Sheet
from norvash.core.sheet.stages.brushes.carbon import FACE_UNBEDDED
from norvash.core.sheet.stages.seating import PRINT


def judge(sheet: Sheet, rules: MotorRules) -> Iterator[Noted]:
    """Yield every brush whose bedding is not finished, by its own print. Source: rule seating.ready"""
    ready = rules["seating.ready"]
    for place in PRINT.places(sheet):
        share = PRINT.of(sheet, place)
        if share is not None and under(share, ready):
            words = f"bedding not finished: print {100 * share:.0f} %, {100 * ready:.0f} % releases the load"
            yield place, FACE_UNBEDDED.saying(words)
