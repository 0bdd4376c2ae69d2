"""How a motor ran, in words."""

from datetime import datetime

from norvash.core.judging.prove.points import judged_at, points_of
from norvash.core.judging.prove.since import read_since
from norvash.core.sheet.sheet import Sheet
from norvash.core.stages.prove.run_fields import RAN
from norvash.core.text.words import grouped
from norvash.core.visit.done import last_work


def run_words(sheet: Sheet, since: datetime) -> str:
    """Return how it ran, in words, by what was measured from a time on; empty where nothing was."""
    at = judged_at(points_of(read_since(sheet, since)))
    if at is None:
        return ""
    made = [f"{grouped(at.rpm)} r/min"] if at.rpm is not None else []
    made += [f"{at.amps:g} A"] if at.amps is not None else []
    made += [f"{at.volts:g} V"] if at.volts is not None else []
    return " at ".join([made[0], ", ".join(made[1:])]) if len(made) > 1 else "".join(made)


def ran_words(sheet: Sheet) -> str:
    """Return how the motor ran as it should after the last work on it, empty where that is not said and measured: a run
    before proves nothing of that work, neither its figures nor its tick.
    """
    last, ran = last_work(sheet), RAN.given(sheet)
    return run_words(sheet, last) if ran is not None and ran.at >= last else ""
