"""What somebody changed of the ground on which a motor is judged, and how: read anew, first stated, or decided here."""

from dataclasses import dataclass
from datetime import datetime
from typing import Literal

Kind = Literal["figure", "rule", "school"]
Scope = Literal["site", "class", "type", "motor"]
# Why a change ends what stood: it was not stated before, it was read anew, or the shop decides it so. What goes back to
# what stood before is no change any more, and one that ended nothing was not asked about.
Answer = Literal["", "first", "read", "ours"]
Value = float | str | None


@dataclass(frozen=True, slots=True, kw_only=True)
class Moved:
    """One change of a figure, a rule or a school that nobody else has confirmed: what stood there before, None where
    nothing was stated, and what stands there now; who made it, with the source that they named; `seq` is
    its place in the order of writing, `confirmed_how` who confirmed it, with role and day. Whoever made it is `alone`
    where nobody else here signs in and may write; who `left` could have confirmed it before, in words. One that is
    `from_file` was made in a file and not here. A rule of the shop's own that is `long_set` counts where something
    measured rests on it.
    """

    id: str
    kind: Kind
    name: str
    scope: Scope
    scope_id: str
    before: Value
    after: Value
    answer: Answer = ""
    source: str = ""
    person: str = ""
    at: datetime
    seq: int = 0
    confirmed_by: str = ""
    confirmed_how: str = ""
    alone: bool = True
    left: str = ""
    from_file: bool = False
    long_set: bool = False

    @property
    def ours(self) -> bool:
        """Tell whether the shop decided it: then it ends and softens no stop."""
        return self.answer == "ours"


@dataclass(frozen=True, slots=True)
class Explained:
    """What comes with a change: which it is, the source or reason, and the list that the person saw."""

    answer: str = ""
    source: str = ""
    listed: str = ""

    @property
    def typed(self) -> dict[str, str]:
        """Return what of it was said, as an act has it."""
        said = {"answer": self.answer, "source": self.source.strip(), "listed": self.listed}
        return {k: v for k, v in said.items() if v}


NOT_EXPLAINED = Explained()
