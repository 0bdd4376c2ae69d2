"""What is said of the use of a motor."""

from dataclasses import dataclass, replace

from norvash.core.record.record import Record
from norvash.core.record.said import Said
from norvash.core.use.happened import NOTHING, Happened
from norvash.core.use.log_entry import Entry as Use


@dataclass(frozen=True, slots=True, kw_only=True)
class UseLogged(Said):
    """Use was logged, as it was typed; `event` and `happened` say what happened to the counter."""

    id: str
    use: Use
    typed: str
    event: str
    happened: Happened = NOTHING

    def applied(self, record: Record) -> Record:
        return replace(record, uses=tuple(sorted((*record.uses, self.use), key=lambda e: e.at)))


@dataclass(frozen=True, slots=True)
class UseStruck(Said):
    """The newest line of the log that no note made is taken back."""

    id: str

    def applied(self, record: Record) -> Record:
        last = next((n for n in reversed(range(len(record.uses))) if not record.uses[n].noted), len(record.uses))
        return replace(record, uses=record.uses[:last] + record.uses[last + 1 :])
