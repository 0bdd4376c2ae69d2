"""The templates: what they may call, how their texts are made, and what a build of them is called."""

import re
from collections.abc import Sequence
from datetime import date, datetime
from functools import cache, lru_cache, partial
from hashlib import blake2s
from importlib import import_module
from pathlib import Path

from jinja2 import Environment, FileSystemBytecodeCache, FileSystemLoader, StrictUndefined, select_autoescape
from jinja2.compiler import CodeGenerator, Frame
from jinja2.ext import Extension
from jinja2.nodes import Expr
from markupsafe import Markup, escape

from norvash.core.grades import WORDS
from norvash.core.rules.catalogue import RULES, SCHOOLS_BY_ID
from norvash.core.sheet.field import Column, Field, Quantity
from norvash.core.sheet.measured import Measured
from norvash.core.stages.catalogue import FINDINGS
from norvash.core.stages.decide import decision
from norvash.core.text import words
from norvash.core.text.quantities import UNITS
from norvash.core.text.words import day_words, figure_said, figure_words, grouped, length_words, rate_unit, use_words
from norvash.drawing.brush.finding_picture import finding_picture, scenery
from norvash.drawing.scales.grade_mark import grade_mark, marks_of_all
from norvash.drawing.svg import HATCHING, Drawing, Element
from norvash.web.served.fragments import part

AREAS = (
    ("Bench", "/", "b"),
    ("Motors", "/motors", "m"),
    ("Hours", "/hours", "h"),
    ("Outlook", "/outlook", "o"),
    ("Sums", "/sums", "s"),
    ("Rulebook", "/rulebook", "r"),
)
STATIC = Path(__file__).parent / "static"


def _build() -> str:
    """Return the name of this build of pages, styles and scripts: of what is in their files."""
    sent = [p for folder in (STATIC, STATIC.parent / "templates") for p in folder.rglob("*.*") if p.is_file()]
    found = blake2s(digest_size=4)
    for path in sorted(sent):
        found.update(path.read_bytes())
    return f"b-{found.hexdigest()}"


BUILD = _build()


def _drawn(drawing: Drawing) -> Markup:
    return Markup(drawing.svg())  # noqa: S704  (built by the drawing layer, which escapes every text)


_CELL, _ROW = "\x1f", "\x1e"  # no text has a control


def _rows(rows: Sequence[Sequence[str]]) -> Markup:
    """Return the rows of a table, all of its texts escaped at once: a drawing has hundreds of cells."""
    text = str(escape(_ROW.join(_CELL.join(r) for r in rows)))
    cells = text.replace(_CELL, "</td><td>").replace(_ROW, "</td></tr><tr><td>")
    return Markup(f"<tr><td>{cells}</td></tr>")  # noqa: S704  (escaped above)


@cache
def _mark(grade: str | None, word: str) -> Markup:
    return Markup(grade_mark(grade, word or WORDS.get(grade or "", "none")))  # noqa: S704


def _grade_said(grade: str | None) -> str:
    return WORDS.get(grade or "", "nothing found").lower()


def _strip(measured: Measured) -> Markup:
    """Return where a value lies, drawn; nothing of one that lies nowhere."""
    return Markup(_when_shown("norvash.drawing.scales.measured_strip", "measured_strip", measured))  # noqa: S704


@cache
def _picture(finding_id: str) -> Markup:
    return Markup(finding_picture(finding_id).beside_words())  # noqa: S704


def _defined(*elements: Element) -> Markup:
    """Return what a page defines once for all its drawings."""
    drawn = Markup("".join(e.render(standalone=False) for e in elements))  # noqa: S704  (built by the drawing layer)
    return Markup('<svg class="defs" width="0" height="0" aria-hidden="true">{}</svg>').format(drawn)


# The end of a line before or after a tag that no line of text runs through says nothing.
_BLOCK = "</?(?:div|p|li|ul|ol|section|form|fieldset|table|thead|tbody|tr|td|th|h[1-6]|dl|dt|dd|nav|details|option)"
_AT_BLOCK = re.compile(rf"(?<=[\s>}}\x1f])({_BLOCK}(?:\s[^<>]*)?>)\n|(?:(?<=>)\n|\x1f)(?={_BLOCK}[\s>])")


class _Unindented(Extension):
    """Leaves out what a template is indented by: it is there for who reads it, and would be a third of a page."""

    def preprocess(self, source: str, name: str | None, filename: str | None = None) -> str:  # noqa: ARG002
        """Return a template without it; after a statement one blank stays, for the line's end there is not sent."""
        plain = re.sub(r"(?m)^[ \t]+", "", re.sub(r"(?<=%\}\n)[ \t]+(?=\S)(?!\{[%#])", "\x1f", source))
        return _AT_BLOCK.sub(r"\1", plain).replace("\x1f", " ")


class _Written(CodeGenerator):
    """Writes into templates the escape of this module: what is shown is joined at once, and need not be marked safe."""

    def _output_child_pre(self, node: Expr, frame: Frame, finalize: CodeGenerator._FinalizeInfo) -> None:
        if frame.eval_ctx.volatile or not frame.eval_ctx.autoescape or finalize.src is not None:
            super()._output_child_pre(node, frame, finalize)
        else:
            self.write("environment.escaped(")


class _Templates(Environment):
    code_generator_class = _Written

    @staticmethod
    def escaped(shown: object) -> str:
        """Return something as it is shown: escaped, where it is not safe already."""
        if type(shown) is Markup:
            return shown
        return _escaped(shown) if type(shown) is str and len(shown) < _SHORT else escape(shown)


# Most short texts of a page were shown before.
_SHORT = 200
_escaped = lru_cache(8192)(escape)


def _when_shown(module: str, name: str, *values: object) -> object:
    """Return what a function says of a value, its module imported when it is first shown: most pages never do."""
    return getattr(import_module(module), name)(*values)


def _environment() -> Environment:
    env = _Templates(
        extensions=[_Unindented],
        loader=FileSystemLoader(STATIC.parent / "templates"),
        autoescape=select_autoescape(default=True),
        undefined=StrictUndefined,
        trim_blocks=True,
        lstrip_blocks=True,
        auto_reload=False,
        bytecode_cache=FileSystemBytecodeCache(pattern="norvash-escaped-once-%s.cache"),
    )
    env.globals |= {
        "areas": AREAS,
        "build": BUILD,
        "static": f"/static/{BUILD}",
        "drawn": _drawn,
        "table_rows": _rows,
        "mark": _mark,
        "picture": _picture,
        "strip": _strip,
        "hatching": _defined(HATCHING, marks_of_all()),
        "scenery": _defined(scenery()),
        "part": part,
        "rule_words": _rule_words,
    }
    env.filters |= {
        "counted": words.counted,
        "grade_said": _grade_said,
        "as_length": length_words,
        "deepest": lambda depths, unit: f"{length_words(max(depths), unit)} deep" if depths else "–",
        "sentence": lambda words: words[:1].upper() + words[1:],
        "use": use_words,
        "use_number": words.use_number,
        "line_use": words.line_words,
        "line_number": words.line_number,
        "adds_up": words.adds_up,
        "grouped": grouped,
        "figure": figure_words,
        "figure_said": figure_said,
        "found_by": partial(_when_shown, "norvash.core.judging.rests_on", "found_by"),
        "moved_said": partial(_when_shown, "norvash.core.sheet.ground", "said"),
        "day": _day,
        "time_span": words.minutes_words,
        "iso": _iso,
        "rate": words.rate_words,
        "rate_unit": rate_unit,
        "fitted_words": partial(_when_shown, "norvash.core.state.since", "fitted_words"),
        "share": _share,
        "unit_of": _unit_of,
        "finding": _finding,
        "decision": _decision,
    }
    return env


def _day(value: date | datetime | str) -> str:
    return day_words(date.fromisoformat(value) if isinstance(value, str) else value)


def _iso(value: date | datetime) -> str:
    return value.isoformat()[:10]


def _unit_of(field: Field) -> str:
    """Return the unit in which a bare number of a sheet's field is meant."""
    return next(iter(UNITS[field.dimension])) if isinstance(field, Quantity | Column) else ""


def _finding(finding_id: str) -> str:
    return FINDINGS[finding_id].words if finding_id in FINDINGS else "the set, worn"


def _decision(finding_id: str) -> str:
    """Return the id of the entry that decides a finding."""
    return decision(finding_id).id


def _rule_words(rule_id: str) -> str:
    return SCHOOLS_BY_ID[rule_id].question if rule_id in SCHOOLS_BY_ID else RULES[rule_id].words


def _share(value: float) -> str:
    return f"{value:.0%}"


ENVIRONMENT = _environment()
