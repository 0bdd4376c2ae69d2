"""What was withdrawn or softened without any work, and what of it keeps a sheet from being a certificate."""

from collections.abc import Callable

from norvash.core.sheet.ground import said
from norvash.core.sheet.life import Life
from norvash.core.sheet.moved import Moved
from norvash.core.sheet.stage import Stage
from norvash.core.stages import rework
from norvash.core.stages.catalogue import TOLD_BY, stage_of
from norvash.core.visit.visit import Visit

_GRAVE = ("change", "stop")
# What of a change bars a certificate until it is confirmed.
_UNCONFIRMED: tuple[tuple[str, Callable[[Moved], bool]], ...] = (
    ("judged milder by our own decision, which proves nothing", lambda m: m.ours),
    ("withdrawn by a change without a source: name it, or have it confirmed by somebody else", lambda m: not m.source),
    ("judged milder by a rule of our own that somebody else here confirms", lambda m: _is_own(m) and not m.alone),
    ("withdrawn by a change that somebody else here confirms", lambda m: not m.alone and m.answer == "read"),
)


def _is_own(m: Moved) -> bool:
    """Tell whether a change is a rule of the shop's own that was set while nothing rested on it."""
    return m.kind == "rule" and not m.answer


def gone_words(life: Life) -> str:
    """Return in words that something was withdrawn or softened, with the change that it rests on."""
    words = (life.graver or life.finding).words
    what = f"{life.place}, {words}, was {'withdrawn' if life.state == 'withdrawn' else 'softened'}"
    if life.moves and all(_is_own(m) for m in life.moves):
        return f"{life.place}, usually {words}, is judged milder here: {'; '.join(said(m) for m in life.moves)}"
    if life.moves:
        return f"{what}: {'; '.join(said(m) for m in life.moves)}"
    return f"{what} on this sheet{f' by {by}' if (by := _by_another(life)) else ''}"


def _by_another(life: Life) -> str:
    """Return who withdrew what somebody else had found, and who that was; empty where it was the same person."""
    gone = life.kept.withdrawn if life.kept is not None else None
    if gone is None or not gone.found_by or gone.person in ("", gone.found_by):
        return ""
    return f"{gone.person}; found by {gone.found_by}"


def changes_said(life: Life) -> str:
    """Return the changes that a life rests on, or why it was withdrawn, and by whom."""
    gone = life.kept.withdrawn if life.kept is not None else None
    if life.moves or gone is None:
        return "; ".join(said(m) for m in life.moves)
    return ", ".join(filter(None, (gone.why, _by_another(life) or gone.person)))


def withdrawn(visit: Visit) -> tuple[Life, ...]:
    """Return what was found, was to be changed or worse, and is not found any more, or is milder, without any work."""
    return tuple(x for x in visit.found.lives if x.graver is not None and x.graver.grade in _GRAVE)


def barring(visit: Visit) -> tuple[tuple[Life, str], ...]:
    """Return what was withdrawn or softened and bars a certificate, each with why and what would lift it."""
    return tuple((x, why) for x in withdrawn(visit) if (why := bars(x)))


def bars(life: Life) -> str:
    """Return why what was withdrawn or softened bars a certificate, empty where it does not: its ground was confirmed,
    or named, and its place was read since. What was read anew is confirmed by somebody else where there is somebody.
    """
    found, kept = life.graver, life.kept
    free = kept is not None and kept.withdrawn is not None and kept.withdrawn.free
    if found is None or found.grade not in _GRAVE or free:
        return ""
    if unconfirmed := next((words for words, bar in _UNCONFIRMED if any(bar(m) for m in life.moves)), ""):
        return unconfirmed
    if life.read_since:
        return ""
    other = ", or have the change confirmed by somebody else" if life.moves else ""
    return f"withdrawn: measure or look at it once more{other}"


def read_at_stage(life: Life) -> Stage:
    """Return the stage at which the place of a finding is read."""
    told = (f for f in TOLD_BY.get(life.finding.id, ()) if f.id != life.finding.look)
    first = next(told, None)
    return (stage_of(first.id) if first is not None else None) or rework.STAGE
