"""How the parts of a motor stand on its axis, as plain values: as a visit is signed, and as a program reads them."""

from norvash.core.sheet.life import Life
from norvash.core.visit.on_axis import STATE_WORDS, PartNow, parts_now
from norvash.core.visit.proving import state_words
from norvash.core.visit.visit import Visit

Plain = dict[str, object]


def axis_told(visit: Visit) -> list[Plain]:
    """Return every part in the order of the axis: as it was found, as it is left, and what became of it."""
    return [_part(p) for p in parts_now(visit)]


def _part(now: PartNow) -> Plain:
    return {
        "part": now.part.id,
        "words": now.part.words,
        "state": now.state,
        "state_words": STATE_WORDS[now.state],
        "grade": now.grade or "",
        "answered": now.answered,
        "of": now.of,
        "carried": now.carried,
        "found": [*(x.finding.words for x in now.lives if not x.came), *(f.words for f in now.lesser)],
        "left": [*(x.finding.words for x in now.lives if x.stands), *(f.words for f in now.lesser)],
        "became": [_became(x) for x in now.lives],
    }


def _became(life: Life) -> str:
    done = f"{', '.join(life.worked)}; " if life.worked else ""
    return f"{done}{state_words(life)}"
