"""What the signature shows: the last gate, the next look, and all that stands on the sheet."""

from collections.abc import Mapping
from dataclasses import dataclass
from itertools import groupby

from norvash.core.judging.signing import SIGNED_AS, signed_as, standing
from norvash.core.planning.follow_up import follow_up_units
from norvash.core.sheet.given import Given
from norvash.core.sheet.kept_value import InTable
from norvash.core.stages.brushes.stage import STAGE as BRUSHES
from norvash.core.stages.catalogue import STAGE_BY_ID, STAGES
from norvash.core.stages.gates import SERVICE
from norvash.core.stages.shared import FIT_SET
from norvash.core.stages.sign import ADDITION, NEXT_LOOK, NEXT_LOOK_AT, PARTS_USED
from norvash.core.visit.done import done_tasks
from norvash.core.visit.proving import handed_over
from norvash.drawing.svg import Drawing
from norvash.store.access.signed import asks_pin
from norvash.web.drawn.axis import AxisSigned, axis_signed
from norvash.web.stages.shown.at import At
from norvash.web.stages.shown.fields import Entry, entry
from norvash.web.stages.shown.gate import GateShown, gate_shown
from norvash.web.stages.shown.written import Written, written
from norvash.work.reading.brush_lines import BrushLines, brush_lines
from norvash.work.reading.measured_table import table_of
from norvash.work.reading.sheet_now import SheetNow
from norvash.work.told.copper import copper_drawn
from norvash.work.told.signed_how import SignedHow, signed_how


@dataclass(frozen=True, slots=True, kw_only=True)
class SignView:
    """The gate back to service; what was signed and added since; as what it would be signed now, and what stands
    against a clean signature although nothing is open; what is written on the sheet, brush by brush; what the counter
    shows at the first look that is proposed after a new set; the section of its parts as it was signed; how somebody
    stood behind the signature, and whether one asks for the PIN; what was measured, as it was kept with the signature,
    and what of it could not be judged.
    """

    gate: GateShown
    signed: Mapping[str, object]
    signs_as: str
    grave: bool
    standing: tuple[str, ...]
    added: list[Given]
    written: list[tuple[str, list[Written]]]
    brushes: BrushLines
    sooner: Entry
    sooner_at: Entry
    follow_up: str
    parts: Entry
    axis: AxisSigned | None
    how: SignedHow
    asks_pin: bool
    table: list[tuple[str, list[InTable]]]
    unjudged: list[str]
    copper: tuple[tuple[Drawing, Drawing | None], ...]


def _story(shown: SheetNow, brushes: BrushLines) -> list[tuple[str, list[Written]]]:
    """Return what stands on a sheet in the order of the work; the brushes have a place in it where any was read."""
    made = dict(written(shown))
    if any(x.reading or x.found or x.seen for x in brushes.lines):
        made.setdefault(BRUSHES.words, [])
    order = {s.words: n for n, s in enumerate(STAGES)}
    return sorted(made.items(), key=lambda of_stage: order.get(of_stage[0], len(order)))


def _follow_up(shown: SheetNow) -> str:
    """Return what the counter shows at the first look after a new set, empty where none was fitted at this visit, and
    once a next look is asked for.
    """
    asked = NEXT_LOOK.given(shown.sheet) or NEXT_LOOK_AT.given(shown.sheet)
    if asked or FIT_SET not in done_tasks(shown.sheet) or shown.row.signed_at is not None:
        return ""
    at = follow_up_units(shown.context.state, shown.context.rules)
    return "" if at is None else f"{at + shown.context.state.offset_units:.0f}"


def _table(at: At) -> list[tuple[str, list[InTable]]]:
    """Return what was kept as measured line by line under its stage, nothing of an open sheet."""
    lines = table_of(at.conn, at.shown) if at.shown.row.signed_at is not None else ()
    return [(STAGE_BY_ID[s].words, list(x)) for s, x in groupby(lines, key=lambda line: line.now.stage)]


def view(at: At) -> SignView:
    """Return what the signature shows."""
    shown, brushes = at.shown, brush_lines(at.conn, at.shown)
    return SignView(
        gate=gate_shown(SERVICE, shown),
        signed=shown.row.signed,
        signs_as=", ".join(filter(None, (SIGNED_AS[signed_as(shown.visit)].lower(), handed_over(shown.visit.lives)))),
        grave=any(x.state == "open" for x in shown.visit.lives),
        standing=standing(shown.visit),
        added=[g for n in ADDITION.places(shown.sheet) if (g := ADDITION.given(shown.sheet, n)) is not None],
        written=_story(shown, brushes),
        brushes=brushes,
        sooner=entry(shown, NEXT_LOOK),
        sooner_at=entry(shown, NEXT_LOOK_AT),
        follow_up=_follow_up(shown),
        parts=entry(shown, PARTS_USED),
        axis=axis_signed(shown),
        how=signed_how(at.conn, shown.row.id) if shown.row.signed_at is not None else SignedHow(),
        asks_pin=shown.row.signed_at is None and asks_pin(at.conn),
        table=_table(at),
        unjudged=shown.unjudged,
        copper=copper_drawn((shown.told or {}).get("commutator", {})),
    )
