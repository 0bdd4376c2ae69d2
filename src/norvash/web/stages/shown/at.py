"""Where somebody stands on a sheet."""

from dataclasses import dataclass
from datetime import datetime

from norvash.core.sheet.stage import Stage
from norvash.store.file.database import Connection
from norvash.web.stages.shown.fields import StageFields
from norvash.work.reading.sheet_now import SheetNow

DRAWN = 380.0


@dataclass(frozen=True, slots=True, kw_only=True)
class At:
    """Where somebody stands on a sheet: the position chosen, 0 for none, what was typed, the site's time, and the
    fields that the stage offers there.
    """

    conn: Connection
    shown: SheetNow
    stage: Stage
    position: int
    typed: dict[str, str]
    now: datetime
    fields: StageFields
