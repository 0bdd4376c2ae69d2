"""Whether an open file may be written to: not from the first sign of damage on, until it was looked at and is whole."""

from collections.abc import Callable

from norvash.errors import Unavailable
from norvash.store.file.trouble import DatabaseError, trouble_of, unavailable

_DAMAGED = "damaged"


def _nobody() -> None:
    return


class Watch:
    """What keeps a file from being written to, shared by all its connections; empty where nothing does.

    `noticed` is called at the first sign of damage, in whichever thread sees it.
    """

    def __init__(self, state: str = "") -> None:
        self.state = state
        self.noticed: Callable[[], None] = _nobody

    def check(self) -> None:
        """Refuse to write where something keeps the file from it.

        Raises: Unavailable.
        """
        if self.state:
            raise unavailable(self.state)

    def trouble(self, error: BaseException) -> Unavailable | None:
        """Return what is wrong with the file by an error, None where the fault is in the program; damage is kept in
        mind.
        """
        found = error if isinstance(error, Unavailable) else None
        if isinstance(error, DatabaseError):
            found = unavailable(self.state) if self.state == _DAMAGED else trouble_of(error)
        if found is not None and found.state == _DAMAGED and not self.state:
            self.state = _DAMAGED
            self.noticed()
        return found

    def whole_again(self) -> None:
        """Let it be written to again, once a check of the same file found nothing."""
        if self.state == _DAMAGED:
            self.state = ""
