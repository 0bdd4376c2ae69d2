"""Answers: pages from templates, errors as a page or as JSON, never a bare status."""

import re
from collections.abc import Sequence
from datetime import date, datetime
from functools import cache, partial
from hashlib import blake2s
from importlib import import_module
from pathlib import Path
from typing import Any

from fastapi import Request
from fastapi.responses import HTMLResponse, JSONResponse, RedirectResponse, Response
from jinja2 import Environment, FileSystemBytecodeCache, FileSystemLoader, StrictUndefined, select_autoescape
from jinja2.ext import Extension
from markupsafe import Markup, escape

from norvash.core.rules.catalogue import RULES, SCHOOLS_BY_ID
from norvash.core.sheet.field import Column, Field, Quantity
from norvash.core.sheet.stages.catalogue import FINDINGS
from norvash.core.sheet.stages.decide import decision
from norvash.core.text import words
from norvash.core.text.quantities import UNITS
from norvash.core.text.words import day_words, figure_said, figure_words, grouped, length_words, rate_unit, use_words
from norvash.core.verdict.grades import WORDS
from norvash.drawing.finding_picture import finding_picture, scenery
from norvash.drawing.grade_mark import grade_mark, marks_of_all
from norvash.drawing.svg import HATCHING, Drawing, Element
from norvash.errors import Conflict, InputError, NeedsAnswer, NorvashError, NotFound, SeveralErrors, Unavailable
from norvash.web.fragments import Parts, had, part

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


def _when_shown(module: str, name: str, *values: object) -> object:
    """Return what a function says of a value, its module imported when it is first shown: most pages never do."""
    return getattr(import_module(module), name)(*values)


def _environment() -> Environment:
    env = Environment(
        extensions=[_Unindented],
        loader=FileSystemLoader(STATIC.parent / "templates"),
        autoescape=select_autoescape(default=True),
        undefined=StrictUndefined,
        trim_blocks=True,
        lstrip_blocks=True,
        auto_reload=False,
        bytecode_cache=FileSystemBytecodeCache(pattern="norvash-no-blank-at-blocks-%s.cache"),
    )
    env.globals |= {
        "areas": AREAS,
        "build": BUILD,
        "static": f"/static/{BUILD}",
        "drawn": _drawn,
        "table_rows": _rows,
        "mark": _mark,
        "picture": _picture,
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
        "grouped": grouped,
        "figure": figure_words,
        "figure_said": figure_said,
        "found_by": partial(_when_shown, "norvash.core.sheet.judging.rests_on", "found_by"),
        "moved_said": partial(_when_shown, "norvash.core.sheet.ground", "said"),
        "day": _day,
        "time_span": words.minutes_words,
        "iso": _iso,
        "rate": words.rate_words,
        "rate_unit": rate_unit,
        "fitted_words": partial(_when_shown, "norvash.core.use.since", "fitted_words"),
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


# What is sent to a browser that asks for parts; rows of a table stand in a template, and nowhere else alone.
_SHELL = Markup('<template data-fragment="{}" data-version="{}">{}</template>')


class Kept(dict[str, str]):
    """What was typed, to be shown again; a field that was not sent is empty."""

    def __missing__(self, name: str) -> str:
        return ""


def page(request: Request, template: str, status: int = 200, /, **values: Any) -> HTMLResponse:
    """Return a page, or those of its parts that the browser has not; `area` tells the navigation where it is."""
    values.setdefault("error", None)
    values["typed"] = Kept(values.get("typed", {}))
    values.setdefault("who", getattr(request.state, "who", None))
    values.setdefault("site", getattr(request.state, "site", ""))
    values.setdefault("today", getattr(request.state, "today", None))
    values.setdefault("path", request.scope["path"])
    values.setdefault("kept_from", request.app.state.pool.watch.state)
    values.setdefault("faults", request.app.state.faults)
    theme = request.cookies.get("norvash_theme", "")
    values.setdefault("parts", Parts(values.get("act_id", "")))
    parts, has = values["parts"], had(request)
    text = ENVIRONMENT.get_template(template).render(
        request=request, theme=theme if theme in ("light", "dark") else "", has=has, **values
    )
    if has is not None and parts.outermost:
        text = _SHELL.format(values["path"], values.get("as_of", ""), Markup(parts.fragment(has)))  # noqa: S704
    return HTMLResponse(text, status, _when_again(request, values["error"]))


def _when_again(request: Request, error: NorvashError | None) -> dict[str, str] | None:
    """Return the header that says when to ask again where the database cannot be used just now, and remember why."""
    if not isinstance(error, Unavailable):
        return None
    request.app.state.trouble = error.state
    return {"Retry-After": str(error.wait_s)}


def go_to(path: str) -> RedirectResponse:
    """Return the redirect after a write, so that a reload reads."""
    return RedirectResponse(path, 303)


def status_of(error: NorvashError) -> int:
    """Return the HTTP status of an error."""
    if isinstance(error, NotFound):
        return 404
    if isinstance(error, Unavailable):
        return 503
    return 409 if isinstance(error, Conflict | NeedsAnswer) else 422


def errors_of(error: NorvashError | None) -> dict[str, NorvashError]:
    """Return an error's parts by field; in their order; what has no field stands under an empty name."""
    if error is None:
        return {}
    found: dict[str, NorvashError] = {}
    for one in error.errors if isinstance(error, SeveralErrors) else [error]:
        found.setdefault(one.field or "", one)
    return found


def moves_ground(error: NorvashError) -> bool:
    """Tell whether an error asks what a change is that would end or soften what was found: on a page of its own."""
    return isinstance(error, NeedsAnswer) and bool(error.listed)


def plain_error(error: NorvashError) -> dict[str, object]:
    """Return an error as the JSON that the API answers with."""
    one: dict[str, object] = {"problem": error.problem, "remedy": error.remedy, "field": error.field}
    if isinstance(error, Unavailable):
        one |= {"state": error.state, "retry_after_s": error.wait_s}
    if isinstance(error, NeedsAnswer):
        one |= {"choices": [{"answer": k, "words": w} for k, w in error.choices], "likely": error.likely}
        one |= {"listed": list(error.listed), "mark": error.mark} if error.listed else {}
    if isinstance(error, InputError) and error.suggestions:
        one["suggestions"] = list(error.suggestions)
    if isinstance(error, SeveralErrors):
        one["errors"] = [plain_error(e) for e in error.errors]
    return one


def wants_json(request: Request) -> bool:
    """Tell whether to answer in JSON."""
    path: str = request.scope["path"]
    return path.startswith("/api/") or path == "/healthz"


def error_answer(request: Request, error: NorvashError, status: int | None = None) -> Response:
    """Return an error as a page or as JSON."""
    status = status or status_of(error)
    if wants_json(request):
        return JSONResponse({"error": plain_error(error)}, status, _when_again(request, error))
    if moves_ground(error):
        typed = request.state.typed
        return page(request, "moved.html", status, area="", error=error, errors={}, typed=typed)
    return page(request, "error.html", status, area="", error=error, errors={}, status=status)
