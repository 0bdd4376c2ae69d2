"""Of which sight a value speaks, and whether it corrects a slip or was measured again: asked, not guessed."""

from dataclasses import dataclass

from norvash.core.sheet.given import Sight
from norvash.core.sheet.life import STANDING, Life, State
from norvash.core.text.words import listed
from norvash.errors import Conflict, NeedsAnswer

MISTYPED, AGAIN = "mistyped", "again"
_SIGHTS: dict[str, str] = {"found": "as it was found, before the work", "left": "as it was left, after the work"}


@dataclass(frozen=True, slots=True)
class Seeing:
    """What comes with a value: the sight that the person gave it, what their page showed of work on that place (None
    where it did not say), whether a program sent it, and the answer to what was asked.
    """

    sight: str = ""
    touched: bool | None = None
    program: bool = False
    answer: str = ""

    @property
    def typed(self) -> dict[str, object]:
        """Return what of it was said, as an act has it."""
        said = {"sight": self.sight, "touched": self.touched, "answer": self.answer}
        return {k: v for k, v in said.items() if v not in ("", None)}


def sight_for(seeing: Seeing, *, touched: bool) -> Sight:
    """Return the sight of a value at a place that work of this visit has touched or not.

    One that waited while somebody did or took back that work is kept as typed, and asked about.
    Raises: NeedsAnswer for one as left where nothing was done, Conflict for a program that does not say which.
    """
    wanted = seeing.answer if seeing.answer in _SIGHTS else seeing.sight
    if wanted == "left" and not touched:
        if seeing.touched and seeing.answer != "left":
            return "asked"
        raise NeedsAnswer(
            "Nothing was done here at this visit: it is as found.",
            "Tick the work on the rework stage first, or keep it as found.",
            "value",
            (("found", "It is as found"),),
            "found",
        )
    if wanted == "" and touched and seeing.program:
        raise Conflict(
            "Work of this visit has touched this place.",
            "Send it again with the sight: “left” for a value after the work, “found” for one before it.",
            "sight",
        )
    waited = wanted == "" or (wanted == "found" and seeing.touched is False and seeing.answer != "found")
    if touched and waited:
        return "asked"
    return "left" if wanted == "left" else "found"


def slip(
    before: tuple[Life, ...], after: tuple[Life, ...], there: str, seeing: Seeing, *, sight: Sight, touched: bool
) -> tuple[bool, Sight]:
    """Return whether what stood there was mistyped, and the sight of the new value, where that would end a finding.

    `there` is what stood there in the same sight, empty where nothing did. Raises: NeedsAnswer, Conflict for a second
    measurement before any work.
    """
    ended = _ended(before, after)
    if not there or not ended:
        return seeing.answer == MISTYPED and bool(there), sight
    if seeing.answer == MISTYPED:
        return True, sight
    if seeing.answer == AGAIN:
        if sight == "found" and not touched:
            raise Conflict(
                "Nothing was done here yet, so this is not a measurement after work.",
                "Tick the work on the rework stage first; what you typed is kept in its field.",
                "value",
            )
        return False, "left"
    names = listed([f"“{x.place}: {x.finding.words}”" for x in ended])
    raise NeedsAnswer(
        f"This would end {names}. Was “{there}” a slip of the pen, or was it looked at or measured again after work?",
        "Say which: both stay in the record.",
        "value",
        ((MISTYPED, f"“{there}” was a slip"), (AGAIN, "Measured again after work")),
        AGAIN if touched else MISTYPED,
    )


def _ended(before: tuple[Life, ...], after: tuple[Life, ...]) -> list[Life]:
    """Return the findings that an entry would end, or would turn into a slip."""
    then = {x.at: x.state for x in after}
    return [x for x in before if _ends(x, then.get(x.at, "withdrawn"))]


def _ends(life: Life, state: State) -> bool:
    if life.state == "done not proven" and state == "proven":
        return False  # work was done since what stood there: it is measured again
    return life.state != "withdrawn" and (state == "withdrawn" or (life.stands and state not in STANDING))
