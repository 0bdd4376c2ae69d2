"""The axes of the life line: use to the right with its dates, length upwards."""

from collections.abc import Callable
from dataclasses import dataclass

from norvash.core.brush.gauged import depth_and_length_mm, shows_depths
from norvash.core.motor.figure_fields import LENGTH_UNIT, NEW_MM
from norvash.core.state.findings import Findings
from norvash.core.state.motor_state import MotorState
from norvash.core.text.quantities import shown
from norvash.core.text.words import UNIT_WORDS, grouped
from norvash.core.use.timeline import date_marks
from norvash.drawing.svg import Element, label, lines, ticks

LEFT, RIGHT, TOP, BOTTOM = 44.0, 14.0, 22.0, 46.0
_TICK_PX = 62.0
_LEAST_USE = 10.0
_FAR = 0.6


@dataclass(frozen=True, slots=True, kw_only=True)
class Frame:
    """The axes: use to the right, length [mm] upwards."""

    x: Callable[[float], float]
    y: Callable[[float], float]
    low: float
    high: float
    longest_mm: float
    new_mm: float
    width: float
    height: float


def _end(found: Findings, state: MotorState) -> float | None:
    """Return the total use to which the drawing reaches: the late end of the band, unless that is far beyond the
    middle.
    """
    line_, ahead = found.line, found.foreseen
    if ahead is not None and found.grade != "stop":
        return min(ahead.p90_units, ahead.p50_units + _FAR * (ahead.p50_units - state.current.fitted_units))
    return None if line_ is None or line_.do_not_exceed_h is None else line_.do_not_exceed_h - state.offset_units


def frame_of(found: Findings, state: MotorState, width: float, height: float) -> Frame:
    """Return the frame that holds every reading and the way to the limit."""
    uses = [s.fitted_units for s in state.sets] + [e.total_units for e in state.entries]
    low = min(uses, default=0.0)
    high = max([*uses, _end(found, state) or 0.0, low + _LEAST_USE])
    high += 0.06 * (high - low)
    longest = max(
        [NEW_MM.need(state.figures)] + [m.length_mm for s in state.sets for r in s.rounds for m in r.readings.values()]
    )
    longest *= 1.04
    floor_mm = max(0.0, found.limit.limit_mm - 0.3 * (longest - found.limit.limit_mm))
    across, down = width - LEFT - RIGHT, height - TOP - BOTTOM

    def x(use: float) -> float:
        return LEFT + (use - low) / (high - low) * across

    def y(mm: float) -> float:
        return TOP + (longest - mm) / (longest - floor_mm) * down

    return Frame(
        x=x, y=y, low=low, high=high, longest_mm=longest, new_mm=NEW_MM.need(state.figures), width=width, height=height
    )


def axes(frame: Frame, state: MotorState) -> list[Element]:
    """Draw both axes with their figures and dates."""
    unit = LENGTH_UNIT.of(state.figures) or "mm"
    per_unit = 1 / shown(1.0, unit)
    bottom = frame.height - BOTTOM
    made = [label("text-soft", LEFT - 8, 12, f"{unit} deep" if shows_depths(state.figures) else unit, "end")]
    both = depth_and_length_mm(state.figures) if shows_depths(state.figures) else None
    if both is None:
        levels = [(tick, frame.y(tick * per_unit)) for tick in ticks(0.0, frame.longest_mm / per_unit, 8)]
    else:  # only the depth gauge's scale is known: a depth grows as the brush wears
        least, most = (both - frame.longest_mm) / per_unit, both / per_unit
        levels = [(tick, frame.y(both - tick * per_unit)) for tick in ticks(least, most, 8)]
    levels = [(tick, y) for tick, y in levels if y <= bottom + 0.5]
    made.append(lines("rule", ((LEFT, y, frame.width - RIGHT, y) for _, y in levels)))
    made += [label("text-soft", LEFT - 8, y + 4, f"{tick:g}", "end") for tick, y in levels]
    uses = [(u, frame.x(u)) for u in ticks(frame.low, frame.high, min(8, int((frame.width - LEFT) / _TICK_PX)))]
    made.append(
        lines("axis", [(LEFT, bottom, frame.width - RIGHT, bottom), *((x, bottom, x, bottom + 5) for _, x in uses)])
    )
    made += [label("text-soft", x, bottom + 19, grouped(use), "middle") for use, x in uses]
    words = UNIT_WORDS[state.unit] + (" in all" if state.offset_units else "")
    at_edge = any(x < LEFT + 12 for _, x in uses)
    made.append(label("text-soft", LEFT - (22 if at_edge else 8), bottom + 19, words, "end"))
    return made + _dates(frame, state, bottom)


def _dates(frame: Frame, state: MotorState, bottom: float) -> list[Element]:
    shown_at: list[tuple[float, str]] = []
    for total, words in date_marks(frame.low, frame.high, state.entries, state.rate):
        x = frame.x(total)
        if (not shown_at or x - shown_at[-1][0] >= 34) and x <= frame.width - RIGHT - 12:
            shown_at.append((x, words))
    if not shown_at:
        return []
    strokes = lines("axis", ((x, bottom + 25, x, bottom + 29) for x, _ in shown_at))
    return [strokes, *(label("text-soft", x, bottom + 42, words, "middle") for x, words in shown_at)]
