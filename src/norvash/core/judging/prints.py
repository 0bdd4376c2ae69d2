"""What the prints of the contact say: a face that does not touch wide enough for full load."""

from collections.abc import Iterator
from dataclasses import replace

from norvash.core.edges import under
from norvash.core.motor.figure_fields import RUN_IN_PRINT
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.measured import Measured, by_rule, judged
from norvash.core.sheet.sheet import Sheet
from norvash.core.stages.brushes.carbon import FACE_UNBEDDED
from norvash.core.stages.seating import PRINT


def measured(sheet: Sheet, rules: MotorRules) -> Iterator[Measured]:
    """Yield the print of every brush, and where its bedding is not finished; a starter goes back all the same, watched.

    Source: rule seating.ready, unless a print is stated
    """
    stated = RUN_IN_PRINT.of(sheet.facts.figures)
    ready = stated or rules["seating.ready"]
    unbedded = replace(FACE_UNBEDDED, grade="watch") if sheet.facts.motor_class == "starter" else FACE_UNBEDDED
    for place in PRINT.places(sheet):
        share = PRINT.of(sheet, place)
        if share is not None:
            words, short = f"print {100 * share:.0f} %, {100 * ready:.0f} % releases the load", under(share, ready)
            yield judged(
                PRINT,
                f"{sheet.facts.place(place)}: {words}",
                place,
                spot=place,
                value=share,
                unit="share",
                low=ready,
                high=1.0,
                basis="its own figure" if stated else by_rule(rules, "seating.ready"),
                off=unbedded.worded(f"bedding not finished: {words}") if short else None,
                rests_on=("seating.ready", RUN_IN_PRINT.name),
            )
