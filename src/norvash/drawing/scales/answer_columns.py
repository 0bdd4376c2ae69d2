"""What was compared of a part that is offered: each point as a peg in the column of the answer that it gives."""

from textwrap import wrap

from norvash.core.parts.answer import ANSWERS, Answer, Answered
from norvash.drawing.svg import Drawing, Element, el, label, line

_TOP, _ROW, _LINE, _LETTER, _NARROW = 46.0, 15.0, 14.0, 6.4, 480.0
_HEADS = {"drop-in": "drop in", "fits by what is known": "known so far"}


def answer_columns(found: Answered, width: float) -> Drawing:
    """Draw every point that was compared: its words, and a peg under the answer that it alone gives; what is not known
    is hollow. The answer as a whole stands over the column that decides.

    Units: width [px].
    """
    columns = width * (0.42 if width >= _NARROW else 0.5)
    left, step = width - columns, columns / len(ANSWERS)
    made: list[Element] = []
    for n, answer in enumerate(ANSWERS):
        x = left + (n + 0.5) * step
        ink = "text-tag" if answer == found.answer else "text-soft"
        for row, words in enumerate(_head(answer, step)):
            made.append(label(ink, x, 14 + row * _LINE, words, "middle"))
    y, rows = _TOP, []
    for point in found.points:
        said = wrap(point.words, max(int(left / _LETTER), 16))
        n = ANSWERS.index(point.answer)
        x, middle = left + (n + 0.5) * step, y + len(said) * _LINE / 2
        made += [label("text", 2, y + _LINE * (row + 1) - 3, words) for row, words in enumerate(said)]
        made.append(line("rule", left, middle, width, middle))
        ink = "dot-past" if point.unknown else "carbon-chosen" if point.answer == "do not use" else "dot"
        made.append(el("circle", ink, cx=x, cy=middle, r=5.0))
        rows.append((point.words, "not known" if point.unknown else point.answer))
        y += len(said) * _LINE + _ROW
    return Drawing(
        name="answer-columns",
        width=width,
        height=max(y, _TOP + _ROW),
        title=f"The part that is offered: {found.answer}",
        description="; ".join(", ".join(row) for row in rows) + ".",
        elements=tuple(made),
        head=("what was compared", "its answer"),
        rows=tuple(rows),
    )


def _head(answer: Answer, step: float) -> list[str]:
    """Return the words over a column, in at most two lines, none of them broken."""
    return wrap(_HEADS.get(answer, answer), max(int(step / _LETTER), 6), break_long_words=False)[-2:]
