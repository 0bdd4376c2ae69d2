"""The page of a stage: what every stage shows, and what its own view adds."""

from dataclasses import dataclass
from datetime import datetime
from importlib import import_module

from norvash.core.rules.book import Choice
from norvash.core.sheet.life import Life
from norvash.core.sheet.measured import read_words
from norvash.core.sheet.stage import Stage
from norvash.core.stages import decide
from norvash.core.stages.axis import WALKED, axis_of
from norvash.core.state.component import Condition
from norvash.core.visit.barring import bars, changes_said, withdrawn
from norvash.core.visit.walk import open_permits, stages_of, upstream
from norvash.drawing.scales.cause_bars import cause_bars
from norvash.drawing.svg import Drawing
from norvash.store.file.database import Connection
from norvash.web.served.forms import whole
from norvash.web.stages.shown.asked import Asked, asked_of
from norvash.web.stages.shown.at import At
from norvash.web.stages.shown.axis import AxisShown
from norvash.web.stages.shown.fields import Entry, StageFields, entry
from norvash.web.stages.shown.figures_asked import FiguresAsked, figures_asked
from norvash.web.stages.shown.lives import LifeShown, lives_shown
from norvash.work.reading.sheet_now import SheetNow

# What is named beside a stage; the rest stands where it is decided.
_MOST_BESIDE = 8
_MOST_CAUSES = 5
# As wide as the side column, so that its letters keep their size [px].
_BESIDE = 288.0
_SCRIPTS = {"commutator": ("bar_map",), **dict.fromkeys(WALKED, ("axis",))}


@dataclass(frozen=True, slots=True, kw_only=True)
class StagePage:
    """What every stage shows: its fields and signs, the stages beside it, schools and causes; `view` is its own."""

    stage: Stage
    position: int
    fields: StageFields
    figures: FiguresAsked
    remark: Entry
    skip: Entry | None
    nth: int
    back: str
    on: str
    schools: list[Choice]
    causes: Drawing | None
    held: bool
    upstream: bool
    open_permits: tuple[int, ...]
    asked: list[Asked]
    read: str
    lives: list[LifeShown]
    lesser: list[Condition]
    more: int
    rests: list[tuple[Life, str, str]]
    view: object

    @property
    def template(self) -> str:
        """Return the file of its own template."""
        return f"stages/{self.stage.name}.html"

    @property
    def scripts(self) -> tuple[str, ...]:
        """Return the scripts of its page beside those of every page."""
        return ("sheet", *_SCRIPTS.get(self.stage.id, ()))


def stage_page(conn: Connection, shown: SheetNow, stage: Stage, typed: dict[str, str], now: datetime) -> StagePage:
    """Return what a stage of a sheet shows."""
    at = whole(typed.get("position", "")) or 0
    walked = stage.id in WALKED
    there = (
        range(1, len(axis_of(shown.context.facts)) + 1) if walked else {p.number for p in shown.context.state.positions}
    )
    position = at if at in there else 0
    stages = stages_of(shown.sheet)
    here = stages.index(stage)
    # Where they are decided they stand in the middle of the page.
    lives = [] if shown.row.signed_at or stage is decide.STAGE else lives_shown(shown)
    lesser = [] if shown.row.signed_at else [c for c in shown.found.conditions if not c.finding.grave]
    fields = StageFields(shown, stage, (position,) if position and not walked else ())
    where = At(conn=conn, shown=shown, stage=stage, position=position, typed=typed, now=now, fields=fields)
    view = view_of(where)
    axis = getattr(view, "axis", None)
    if isinstance(axis, AxisShown):
        position = axis.open.number
        for e in axis.elsewhere:
            fields.drew(e.field.id, e.place)
    return StagePage(
        stage=stage,
        position=position,
        fields=fields,
        figures=figures_asked(() if shown.row.signed_at else stage.asks_of(shown.context.facts), shown.context.stated),
        remark=entry(shown, stage.remark),
        skip=entry(shown, stage.skip) if stage.skip is not None else None,
        nth=here + 1,
        back=stages[here - 1].id if here else "",
        on=stages[here + 1].id if here + 1 < len(stages) else "",
        schools=[shown.context.rules.choice(s) for s in stage.schools],
        causes=None if shown.row.signed_at else _causes(shown),
        held=any(x.stage is stage and x.state == "held" for x in shown.rail),
        upstream=upstream(shown.sheet),
        open_permits=open_permits(shown.sheet),
        asked=asked_of(where),
        read="" if shown.row.signed_at else read_words(shown.at(stage)),
        lives=lives[:_MOST_BESIDE],
        more=len(lives[_MOST_BESIDE:]) + len(lesser[_MOST_BESIDE:]),
        lesser=lesser[:_MOST_BESIDE],
        rests=[] if shown.row.signed_at else [(x, changes_said(x), bars(x)) for x in withdrawn(shown.visit)],
        view=view,
    )


def view_of(at: At) -> object:
    """Return the view of a stage; its modules are loaded when somebody opens it."""
    return import_module(f"norvash.web.stages.{at.stage.name}").view(at)


def _causes(shown: SheetNow) -> Drawing | None:
    if shown.cause is None:
        return None
    ranked = [(r.cause.words, r.chance) for r in shown.cause.ranked[:_MOST_CAUSES]]
    return cause_bars(ranked, shown.context.rules["diagnosis.sure"], _BESIDE)
