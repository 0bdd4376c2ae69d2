"""Of which sight a value speaks, and whether it corrects a slip or was measured again: asked, not guessed."""

from collections.abc import Callable
from dataclasses import dataclass

from norvash.core.grades import GRADES
from norvash.core.sheet.given import Sight
from norvash.core.sheet.life import STANDING, Life
from norvash.core.stages.call_in import COMPLAINT_ASKED
from norvash.core.text.words import listed
from norvash.errors import Conflict, InputError, NeedsAnswer

MISTYPED, AGAIN, ONCE_MORE = "mistyped", "again", "second"
_MOST = 200
_SIGHTS: dict[str, str] = {"found": "as it was found, before the work", "left": "as it was left, after the work"}


@dataclass(frozen=True, slots=True)
class Seeing:
    """What comes with a value: the sight that the person gave it, what their page showed of work on that place (None
    where it did not say), whether a program sent it, the answer to what was asked, and why what stood there was a slip.
    """

    sight: str = ""
    touched: bool | None = None
    program: bool = False
    answer: str = ""
    why: str = ""

    @property
    def typed(self) -> dict[str, object]:
        """Return what of it was said, as an act has it."""
        said = {"sight": self.sight, "touched": self.touched, "answer": self.answer, "why": self.why}
        return {k: v for k, v in said.items() if v not in ("", None)}

    @property
    def says_left(self) -> bool:
        """Tell whether the person says that it is as left."""
        return (self.answer if self.answer in _SIGHTS else self.sight) == "left"


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
    before: tuple[Life, ...],
    after: tuple[Life, ...],
    there: str,
    seeing: Seeing,
    *,
    sight: Sight,
    worked: Callable[[], bool],
    twice: bool = False,
) -> tuple[bool, Sight]:
    """Return whether what stood there was mistyped, and the sight of the new value, where that would end or soften a
    finding.

    `there` is what stood there in the same sight, empty where nothing did; it is measured again only where the place
    was `worked` on since it was entered; where it was not, one that may be read `twice` asks whether it was measured
    once more. Raises: NeedsAnswer, for a slip without a reason too, Conflict for a second
    measurement before any work.
    """
    ended = _ended(before, after)
    if not there or not ended:
        return seeing.answer == MISTYPED and bool(there), sight
    if seeing.answer == MISTYPED and seeing.why.strip():
        return True, sight
    since = worked()
    if seeing.answer == AGAIN:
        if not since:
            raise Conflict(
                "Nothing was done here since that was entered, so this is not a measurement after work.",
                "Tick the work on the rework stage first, once more where it is ticked already; what you typed is kept"
                " in its field.",
                "value",
            )
        return False, "left"
    names = listed([f"“{x.place}: {x.finding.words}”" for x in ended])
    said = "A slip needs a reason. " if seeing.answer == MISTYPED else ""
    slipped, again = (MISTYPED, f"“{there}” was a slip"), (AGAIN, "Measured again after work")
    second = ((ONCE_MORE, "Measured once more: the worse counts until a third agrees"),) if twice else ()
    asked = ", or was it looked at or measured again after work?" if since else "? Nothing was done since."
    raise NeedsAnswer(
        f"{said}This would end or soften {names}. Was “{there}” a slip of the pen{asked}",
        "Say which, and of a slip why: both values stay in the record, and the place is read once more."
        if since
        else "Of a slip say why; else tick the work on the rework stage first, once more where it is ticked already.",
        "value",
        (slipped, again) if since else (slipped, *second),
        AGAIN if since else MISTYPED,
    )


def others(there: str, whose: str, person: str, seeing: Seeing, *, worked: Callable[[], bool]) -> None:
    """Ask before a value takes the place of somebody else's, also where nothing gets milder: nobody's value goes by a
    keystroke.

    Raises: NeedsAnswer.
    """
    answered = seeing.answer in (AGAIN, ONCE_MORE, "left") or (seeing.answer == MISTYPED and seeing.why.strip())
    if "" in (whose, person) or whose == person or answered:
        return
    said = "A slip needs a reason. " if seeing.answer == MISTYPED else ""
    again = ((AGAIN, "Measured again after work"),) if worked() else ()
    raise NeedsAnswer(
        f"{said}{whose} entered “{there}” here. Was that a slip of the pen, or did you measure it once more?",
        "Say which, and of a slip why: both values stay in the record, each with its name.",
        "value",
        ((MISTYPED, f"“{there}” was a slip"), (ONCE_MORE, "Measured once more, this one counts"), *again),
        AGAIN if again else ONCE_MORE,
    )


def reason_of(before: tuple[Life, ...], after: tuple[Life, ...], what: str, why: str) -> str:
    """Return why something is taken back, needed where that ends or softens what was to be changed or stopped.

    Raises: InputError without one.
    """
    grave = [x for x in _ended(before, after) if x.finding.grade in ("change", "stop")]
    said = " ".join(why.split())[:_MOST]
    if grave and not said:
        names = listed([f"“{x.place}: {x.finding.words}”" for x in grave])
        raise InputError(
            f"{what} would end or soften {names}.",
            "Say why: it stays in the record, and the place is read once more.",
            "why",
        )
    return said


def _ended(before: tuple[Life, ...], after: tuple[Life, ...]) -> list[Life]:
    """Return the findings that an entry would end, soften, or turn into a slip."""
    then = {x.at: x for x in after}
    # That nobody has said which kind of complaint it is ends with the answer.
    return [x for x in before if x.finding.id != COMPLAINT_ASKED.id and _ends(x, then.get(x.at))]


def _ends(life: Life, then: Life | None) -> bool:
    state = then.state if then is not None else "withdrawn"
    if life.state == "done not proven" and state == "proven":
        return False  # work was done since what stood there: it is measured again
    if life.stands and then is not None:
        milder = GRADES.index(then.finding.grade) < GRADES.index(life.finding.grade)
        if milder or then.right_again > life.right_again:
            return True
    return life.state != "withdrawn" and (state == "withdrawn" or (life.stands and state not in STANDING))
