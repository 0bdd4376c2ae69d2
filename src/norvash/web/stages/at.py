"""Where somebody stands on a sheet."""

from dataclasses import dataclass
from datetime import datetime

from norvash.core.sheet.stage import Stage
from norvash.store.database import Connection
from norvash.web.stages.fields import StageFields
from norvash.work.sheet_page import SheetPage

DRAWN = 380.0


@dataclass(frozen=True, slots=True, kw_only=True)
class At:
    """Where somebody stands on a sheet: the position chosen, 0 for none, what was typed, the site's time, and the
    fields that the stage offers there.
    """

    conn: Connection
    shown: SheetPage
    stage: Stage
    position: int
    typed: dict[str, str]
    now: datetime
    fields: StageFields
