"""The life line: length against use over all sets ever fitted, with the limit and the line to it."""

from norvash.core.brush.gauged import shows_depths
from norvash.core.motor.figure_fields import LENGTH_UNIT, NEW_MM
from norvash.core.state.findings import Findings
from norvash.core.state.motor_state import BrushSet, MotorState
from norvash.core.text.words import day_words, grouped, length_words, short_day, use_words
from norvash.core.verdict.reasons import limit_words
from norvash.core.verdict.when_words import at_counter
from norvash.drawing.days.life_frame import BOTTOM, LEFT, RIGHT, TOP, Frame, axes, frame_of
from norvash.drawing.svg import Drawing, Element, el, label, line, polyline

_SET_PX = 40.0


def life_line(found: Findings, state: MotorState, width: float, height: float, *, table: bool = True) -> Drawing:
    """Draw every reading of every set against the counter's use, and the straight line to the limit.

    Without its table where that stands beside.
    """
    frame = frame_of(found, state, width, height)
    elements = [*axes(frame, state), *_limit(frame, found, state), *_marks(frame, state)]
    for brush_set in state.sets[:-1]:
        elements += _past_set(frame, brush_set, state, found.limit.limit_mm)
    elements += _current_set(frame, found, state)
    elements += _fan(frame, found) if found.foreseen else []
    elements += _ahead(frame, found, state)
    return Drawing(
        name="life-line",
        width=width,
        height=height,
        title="Life line",
        description=_describe(found, state),
        elements=tuple(elements),
        head=("set", "date", "use", "brush", "length", "± 1 s"),
        rows=_rows(state) if table else (),
    )


def _limit(frame: Frame, found: Findings, state: MotorState) -> list[Element]:
    y = frame.y(found.limit.limit_mm)
    ink = "copper-dash" if found.limit.estimated else "copper-line"
    limit = limit_words(found.limit, LENGTH_UNIT.of(state.figures))
    words = f"{limit[0].lower()}{limit[1:]} · {found.limit.source}"
    return [line(ink, LEFT, y, frame.width - RIGHT, y), label("text-copper", LEFT + 6, y + 16, words)]


def _marks(frame: Frame, state: MotorState) -> list[Element]:
    """Return where each set was fitted, named where there is room."""
    made, last_x = list[Element](), -99.0
    for brush_set in state.sets:
        x = frame.x(brush_set.fitted_units)
        if brush_set.span_units is not None:
            low, high = (max(frame.x(u), LEFT) for u in brush_set.span_units)
            made.append(el("rect", "dark", x=low, y=TOP - 4, width=max(high - low, 0.0), height=4))
        made.append(el("path", "gone", d=f"M{x:.1f} {TOP - 4:.1f}V{frame.height - BOTTOM:.1f}"))
        if x - last_x > _SET_PX:
            words = f"set {brush_set.number}" if brush_set.number > 0 else "from notes"
            words += "" if brush_set.fitted_known else ", since when is not known"
            anchor = "end" if x > frame.width * 0.82 else "start"
            made.append(label("text-soft", x + (4 if anchor == "start" else -4), TOP - 8, words, anchor))
            last_x = x
    return made


def _past_set(frame: Frame, brush_set: BrushSet, state: MotorState, limit_mm: float) -> list[Element]:
    """Return a set that is gone as it was measured; of one that is only remembered, its life without a reading."""
    points = [(r.total_units, min(m.length_mm for m in r.readings.values())) for r in brush_set.rounds if r.readings]
    if brush_set.fitted_known and not any(r.kind == "fitting" for r in brush_set.rounds):
        points.insert(0, (brush_set.fitted_units, NEW_MM.need(state.figures)))
    drawn = [(frame.x(u), frame.y(mm)) for u, mm in points]
    made = [polyline("past", drawn)] if len(drawn) > 1 else []
    remembered = brush_set.noted and len(drawn) == 1 and brush_set.lasted != "least"
    if remembered and brush_set.ended_units is not None:
        end = (frame.x(brush_set.ended_units), frame.y(limit_mm))  # taken to have been at its limit then
        made.append(polyline("straight", [*drawn, end]))
    return made + [el("circle", "dot-past", cx=x, cy=y, r=3.6) for x, y in drawn]


def _current_set(frame: Frame, found: Findings, state: MotorState) -> list[Element]:
    current = state.current
    made: list[Element] = []
    worst = found.governing.number if found.governing else 0
    for brush in sorted(found.brushes, key=lambda b: b.number == worst):
        read = [r for r in current.rounds if brush.number in r.readings]
        points = [(r.total_units, r.readings[brush.number]) for r in read]
        drawn = [(frame.x(u), frame.y(m.length_mm)) for u, m in points]
        if points and brush.start.run_h < points[0][0]:
            drawn.insert(0, (frame.x(brush.start.run_h), frame.y(brush.start.length_mm)))
        if len(drawn) > 1:
            made.append(polyline("track" if brush.number == worst else "track-thin", drawn))
        if brush.number == worst:
            for r in read:
                m = r.readings[brush.number]
                ink = "dot-doubt" if m.doubt else "dot-note" if r.noted else "dot"
                made += _reading(frame, r.total_units, m.length_mm, m.sd_mm, ink)
    if any(r.noted and r.readings for r in current.rounds):
        made.append(label("text-soft", frame.width - RIGHT, TOP - 8, "○ from notes", "end"))
    return made


def _reading(frame: Frame, use: float, mm: float, sd_mm: float, ink: str) -> list[Element]:
    """Return a dot with an error bar of two standard deviations to each side."""
    x, low, high = frame.x(use), frame.y(mm - 2 * sd_mm), frame.y(mm + 2 * sd_mm)
    bar = el("path", "axis", d=f"M{x:.1f} {high:.1f}V{low:.1f}M{x - 3:.1f} {high:.1f}h6M{x - 3:.1f} {low:.1f}h6")
    return [bar, el("circle", ink, cx=x, cy=frame.y(mm), r=4.4)]


def _fan(frame: Frame, found: Findings) -> list[Element]:
    """Return the forecast: eight in ten and half of the chances as a fan, its middle, and the look before it."""
    ahead, governing = found.foreseen, found.governing
    if ahead is None or found.grade == "stop":
        return []
    limit_mm = found.limit.limit_mm
    start = (
        (ahead.seen_units, governing.last.length_mm)
        if governing and governing.last
        else (ahead.seen_units, frame.new_mm)
    )
    if start[1] <= limit_mm:
        return []
    made = [
        _wedge("fan", frame, start, limit_mm=limit_mm, low=ahead.p10_units, high=ahead.p90_units),
        _wedge("fan-half", frame, start, limit_mm=limit_mm, low=ahead.p25_units, high=ahead.p75_units),
        polyline(
            "track", [(frame.x(u), frame.y(mm)) for u, mm in (start, _to(frame, start, limit_mm, ahead.p50_units))]
        ),
    ]
    y = frame.y(limit_mm)
    ends = [frame.x(u) for u in (ahead.p10_units, ahead.p90_units) if u <= frame.high]
    made += [line("copper-line", x, y - 7, x, y + 7) for x in ends]
    if ahead.p50_units <= frame.high:
        made.append(line("copper-line", frame.x(ahead.p50_units), y - 11, frame.x(ahead.p50_units), y + 11))
    if found.look and found.look.at_units is not None and frame.low <= found.look.at_units <= frame.high:
        x = frame.x(found.look.at_units)
        made += [line("look", x, TOP + 2, x, y), label("text-soft", x - 4, TOP + 12, "look", "end")]
    return made


def _to(frame: Frame, start: tuple[float, float], limit_mm: float, units: float) -> tuple[float, float]:
    """Return where a line from the start to the limit ends, held within the frame."""
    units = max(units, start[0] + 1e-6)
    if units <= frame.high:
        return units, limit_mm
    share = (frame.high - start[0]) / (units - start[0])
    return frame.high, start[1] + share * (limit_mm - start[1])


def _wedge(ink: str, frame: Frame, start: tuple[float, float], *, limit_mm: float, low: float, high: float) -> Element:
    early, late = _to(frame, start, limit_mm, low), _to(frame, start, limit_mm, high)
    corner = [(frame.high, limit_mm)] if high > frame.high >= low else []
    points = [(frame.x(u), frame.y(mm)) for u, mm in (start, early, *corner, late)]
    return el("path", ink, d="M" + "L".join(f"{x:.5g} {y:.5g}" for x, y in points) + "z")


def _ahead(frame: Frame, found: Findings, state: MotorState) -> list[Element]:
    line_ = found.line
    if line_ is None or line_.do_not_exceed_h is None or line_.answer != "line":
        return []
    if found.round is None or found.governing is None or found.governing.last is None:
        return []
    now, counted = found.round.total_units, " on the counter" if state.offset_units else ""
    end_x, end_y = frame.x(line_.do_not_exceed_h - state.offset_units), frame.y(found.limit.limit_mm)
    if found.foreseen is not None:
        return _straight(frame, found, now, line_.do_not_exceed_h - state.offset_units) + _band_words(
            frame, found, state
        )
    made = [
        polyline("ahead", [(frame.x(now), frame.y(found.governing.last.length_mm)), (end_x, end_y)]),
        line("copper-line", end_x, end_y - 9, end_x, frame.height - BOTTOM),
    ]
    anchor = "end" if end_x > frame.width * 0.55 else "start"
    dx = -8 if anchor == "end" else 8
    made.append(
        label("numeral", end_x + dx, end_y + 25, use_words(line_.do_not_exceed_h, state.unit) + counted, anchor)
    )
    if found.days.limit_on:
        made.append(label("text", end_x + dx, end_y + 42, f"about {day_words(found.days.limit_on)}", anchor))
    return made


def _straight(frame: Frame, found: Findings, now: float, end: float) -> list[Element]:
    """Return the straight line beside the fan."""
    if found.governing is None or found.governing.last is None:
        return []
    start = (now, found.governing.last.length_mm)
    ends = [(frame.x(u), frame.y(mm)) for u, mm in (start, _to(frame, start, found.limit.limit_mm, end))]
    return [polyline("straight", ends)]


def _band_words(frame: Frame, found: Findings, state: MotorState) -> list[Element]:
    ahead = found.foreseen
    if ahead is None or ahead.p50_units > frame.high:
        return []
    x, y = frame.x(ahead.p50_units), frame.y(found.limit.limit_mm)
    anchor, dx = ("end", -8.0) if x > frame.width * 0.55 else ("start", 8.0)
    counted = " on the counter" if state.offset_units else ""
    words = at_counter(ahead.p50_units, state)
    made = [label("numeral", x + dx, y + 27, f"about {words}{counted}", anchor)]
    if ahead.p10_on and ahead.p90_on and y + 44 < frame.height - BOTTOM:
        made.append(label("text", x + dx, y + 44, f"{short_day(ahead.p10_on)} to {short_day(ahead.p90_on)}", anchor))
    return made


def _describe(found: Findings, state: MotorState) -> str:
    sets = f"{len(state.sets)} set{'s' * (len(state.sets) != 1)} on record"
    ahead = found.foreseen
    if ahead is not None and found.grade != "stop":
        band = (
            f"{use_words(ahead.p10_units + state.offset_units, state.unit)} and"
            f" {use_words(ahead.p90_units + state.offset_units, state.unit)}"
        )
        days = f", {day_words(ahead.p10_on)} to {day_words(ahead.p90_on)}" if ahead.p10_on and ahead.p90_on else ""
        return (
            f"{sets}; 8 times in 10 the first brush reaches its limit between {band}{days}. The thin line is the"
            " straight line."
        )
    if found.line is None or found.line.do_not_exceed_h is None:
        return f"{sets}; no straight line yet."
    day = f", about {day_words(found.days.limit_on)}" if found.days.limit_on else ""
    return f"{sets}; the straight line meets the limit at {use_words(found.line.do_not_exceed_h, state.unit)}{day}."


def _rows(state: MotorState) -> tuple[tuple[str, ...], ...]:
    labels, unit = {p.number: p.label for p in state.positions}, LENGTH_UNIT.of(state.figures)
    known = not shows_depths(state.figures)
    return tuple(
        (
            str(s.number),
            f"{r.at:%Y-%m-%d}",
            grouped(state.counter_at(r.total_units)),
            labels.get(n, "?"),
            length_words(m.length_mm, unit) if m.bare_mm is None or known else f"{length_words(m.bare_mm, unit)} deep",
            length_words(m.sd_mm, "mm") if m.sd_mm >= 0.1 else f"{m.sd_mm:.2f} mm",
        )
        for s in state.sets
        for r in s.rounds
        for n, m in r.readings.items()
    )
