"""How a motor ran, in words."""

from datetime import datetime

from norvash.core.sheet.sheet import Sheet
from norvash.core.sheet.stages.prove.run import judged_at, points_of
from norvash.core.sheet.stages.prove.run_fields import RUN_A, RUN_RPM, RUN_V
from norvash.core.text.words import grouped


def run_words(sheet: Sheet, since: datetime) -> str:
    """Return how it ran, in words, by what was measured from a time on; empty where nothing was."""
    at = judged_at(points_of(sheet))
    if at is None:
        return ""
    read = [f.given(sheet, at.place) for f in (RUN_RPM, RUN_A, RUN_V)]
    rpm, amps, volts = (g.number if g is not None and g.at >= since else None for g in read)
    made = [f"{grouped(rpm)} r/min"] if rpm is not None else []
    made += [f"{amps:g} A"] if amps is not None else []
    made += [f"{volts:g} V"] if volts is not None else []
    return " at ".join([made[0], ", ".join(made[1:])]) if len(made) > 1 else "".join(made)
