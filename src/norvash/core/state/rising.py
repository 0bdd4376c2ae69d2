"""The days on which a motor's grade rises without anybody touching it: every list compares them with today."""

from collections.abc import Iterable, Mapping
from dataclasses import dataclass
from datetime import date, timedelta

from norvash.core.grades import GRADES, Grade, word_of
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.life import Life
from norvash.core.sheet.part import BRUSHES, LOOK, OUTSIDE
from norvash.core.state.marks import Mark
from norvash.core.state.policy import Due
from norvash.core.text.words import day_words

NOW_WORD = "Change or measure now"
LATE_WORD = "Look overdue"


@dataclass(frozen=True, slots=True, kw_only=True)
class Rise:
    """From a day on a part is at least of a grade: the word for it, what is to be done, and why."""

    on: date
    grade: Grade
    part: str
    word: str
    act: str
    why: str

    @property
    def rank(self) -> int:
        """Return 0 for fit up to 4 for stop."""
        return GRADES.index(self.grade)

    @property
    def outside(self) -> bool:
        """Tell whether it raises what lies before the motor, not the motor."""
        return self.part in OUTSIDE

    def as_plain(self) -> dict[str, str]:
        """Return it as JSON has it."""
        return {n: str(getattr(self, n)) for n in self.__dataclass_fields__}


def rise_from(plain: Mapping[str, str]) -> Rise:
    """Return a rise as JSON has it."""
    return Rise(**{**plain, "on": date.fromisoformat(plain["on"])})  # type: ignore[arg-type]


def risen(grade: Grade | None, rises: Iterable[Rise], today: date) -> Rise | None:
    """Return the rise that a motor has come to by a day, None where none is graver than its grade.

    Of several equally grave the first to come counts.
    """
    rank = GRADES.index(grade) if grade else -1
    come = [r for r in rises if r.on <= today and r.rank > rank]
    return min(come, key=lambda r: (-r.rank, r.on), default=None)


def grade_on(grade: Grade | None, rises: Iterable[Rise], today: date) -> Grade | None:
    """Return the grade of a motor on a day: its own, or that to which it has risen."""
    rise = risen(grade, rises, today)
    return rise.grade if rise is not None else grade


def by_limit(early_on: date | None, rules: MotorRules) -> tuple[Rise, ...]:
    """Return when the early bound of a limit raises the brushes. Source: rules act.*"""
    if early_on is None:
        return ()
    why = f"The limit may come by {day_words(early_on)}."
    plan, now = (early_on - timedelta(days=rules[days]) for days in ("act.lead-days", "act.now-days"))
    return (
        Rise(on=plan, grade="plan", part=BRUSHES.id, word="Plan the change", act="Plan the change.", why=why),
        Rise(on=now, grade="change", part=BRUSHES.id, word=NOW_WORD, act="Change the set or measure it now.", why=why),
    )


def by_change(due: Due | None, rules: MotorRules) -> tuple[Rise, ...]:
    """Return when an interval that asks for a new set raises the brushes: a lead before it is due, and when it is due;
    of a range when it is overdue.

    Source: rule act.lead-days
    """
    if due is None or due.on is None:
        return ()
    why = f"The change for the {due.name} is due on {day_words(due.on)}: {due.why}."
    soon, late = due.on - timedelta(days=rules["act.lead-days"]), due.late_on or due.on
    rises = [Rise(on=soon, grade="plan", part=BRUSHES.id, word="Plan the change", act="Plan the change.", why=why)]
    if due.overdue_units is None or due.late_on is not None:
        act = "Change the set at this visit."
        rises.append(Rise(on=late, grade="change", part=BRUSHES.id, word="Change now", act=act, why=why))
    return tuple(rises)


def by_look(look: Mark | None, since: date) -> tuple[Rise, ...]:
    """Return when a look that is overdue raises a motor: to be planned, and to be done now once it is later than its
    own interval again, counted from the last look, which was on the day `since`.
    """
    if look is None or look.on is None:
        return ()
    end = look.late_on or look.on
    why = f"The look of {day_words(end)} is overdue."
    late, act = end + timedelta(days=1), "Measure it now, or change the set."
    made = [Rise(on=late, grade="plan", part=LOOK.id, word=LATE_WORD, act=act, why=why)]
    again = late + max(end - since, timedelta(0))
    return (*made, Rise(on=again, grade="change", part=LOOK.id, word=NOW_WORD, act=act, why=why))


def by_lives(lives: Iterable[Life]) -> tuple[Rise, ...]:
    """Return when what was put off raises its part: from its day on it is one graver, a change is a stop."""
    made = []
    for life in lives:
        if life.due_on is not None and life.grade_due != life.finding.grade:
            who = life.put_off.who if life.put_off is not None else ""
            stops = life.grade_due == "stop"
            made.append(
                Rise(
                    on=life.due_on,
                    grade=life.grade_due,
                    part=life.finding.part.id,
                    word=word_of("stop", carbon=False) if stops else "Mend now",
                    act="Take it out of service until it is mended." if stops else "Mend it at this visit.",
                    why=f"{life.place}: {life.finding.words}; put off to {day_words(life.due_on)}, {who}.",
                )
            )
    return tuple(made)
