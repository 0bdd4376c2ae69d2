"""Errors that always say what to do about them."""


class NorvashError(Exception):
    """Something that cannot be done as asked: the problem, the remedy and the field it is about."""

    def __init__(self, problem: str, remedy: str, field: str | None = None) -> None:
        super().__init__(f"{problem} {remedy}")
        self.problem = problem
        self.remedy = remedy
        self.field = field

    def at(self, field: str) -> "NorvashError":
        """Return the same error, pointing at the field with this name."""
        self.field = field
        return self


class InputError(NorvashError):
    """What was typed or handed in cannot be right; `suggestions` are readings that could be."""

    def __init__(self, problem: str, remedy: str, field: str | None = None, suggestions: tuple[str, ...] = ()) -> None:
        super().__init__(problem, remedy, field)
        self.suggestions = suggestions


class SeveralErrors(InputError):
    """Several fields of one form or one JSON body are wrong at once."""

    def __init__(self, errors: list[NorvashError]) -> None:
        first = errors[0]
        super().__init__(first.problem, first.remedy, first.field)
        self.errors = errors


class NotFound(NorvashError):
    """There is nothing with this id."""


class Conflict(NorvashError):
    """Somebody else, or an earlier post, has already written here."""


class StopHolds(Conflict):
    """Power waits for something that stops the motor: what was taken all the same is kept as that."""


class JudgedAgainst(InputError):
    """What was to be done is refused by a judgement, not for how it was typed: its sheet keeps that, and why."""


class StopForbids(JudgedAgainst):
    """A test with power on that a stop forbids: what comes later is kept all the same, as taken on a stop."""


class Unavailable(NorvashError):
    """The database cannot do what was asked just now: `state` is why, `wait_s` when to ask again [s]."""

    def __init__(self, state: str, problem: str, remedy: str, wait_s: int) -> None:
        super().__init__(problem, remedy)
        self.state, self.wait_s = state, wait_s


class NeedsAnswer(NorvashError):
    """The entry is possible in more than one way; the person is asked which one it is.

    `choices` are (key, words) pairs and `likely` is the key to preselect; `listed` is what an answer would end, and the
    `mark` of that list goes back with the answer.
    """

    def __init__(
        self,
        problem: str,
        remedy: str,
        field: str,
        choices: tuple[tuple[str, str], ...],
        likely: str,
        *,
        listed: tuple[dict[str, object], ...] = (),
        mark: str = "",
    ) -> None:
        super().__init__(problem, remedy, field)
        self.choices = choices
        self.likely = likely
        self.listed = listed
        self.mark = mark
