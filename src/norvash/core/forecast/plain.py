"""Cases and results as plain values, for files in and out."""

from collections.abc import Mapping, Sequence
from dataclasses import asdict

from norvash.core.forecast.case import CALENDAR, EXACT_WEEKS, Case, Constants, Forecast, PastRound, Usage
from norvash.core.forecast.past_set import PastSet
from norvash.errors import InputError

_INSTRUMENTS = {"caliper": 0.05, "rule": 0.4, "depth_gauge": 0.02, "micrometer": 0.02}
_UNITS = {"h": "hours", "hours": "hours", "starts": "starts", "years": "years"}
_DIGITS = 7
_MOST_BRUSHES = 40


def cases_of(given: object) -> list[Case]:
    """Return the cases of a file: a list of objects, or one object.

    Raises: InputError that names the case and the field.
    """
    many = given if isinstance(given, list) else [given]
    made = []
    for number, one in enumerate(many, 1):
        try:
            made.append(case_of(one))
        except InputError as error:
            raise InputError(f"Case {number}: {error.problem}", error.remedy, error.field) from None
    return made


def case_of(given: object) -> Case:
    """Return one case from plain values.

    Raises: InputError at the field.
    """
    if not isinstance(given, Mapping):
        raise InputError(
            "This is not an object.", "Write each case as an object with new_length_mm, limit_mm and so on."
        )
    brushes = int(_number(given, "brushes"))
    if not 1 <= brushes <= _MOST_BRUSHES:
        raise InputError(f"{brushes} brushes are not possible.", f"Give 1 to {_MOST_BRUSHES}.", "brushes")
    by_calendar = _unit(given) == "years" and not given.get("usage")
    constants = given.get("constants") or {}
    if by_calendar and isinstance(constants, Mapping):
        constants = {**EXACT_WEEKS, **constants}
    return Case(
        new_mm=_number(given, "new_length_mm"),
        limit_mm=_number(given, "limit_mm"),
        brushes=brushes,
        expected_life=_number(given, "expected_life"),
        visits=tuple(_visit(v) for v in _list(given, "visits")),
        past=_past(given),
        usage=CALENDAR if by_calendar else _usage(given.get("usage") or {}),
        fitted=tuple(_each(given, "fitted_use")),
        started_mm=tuple(_each(given, "started_mm")),
        shortest_of=int(_number(given, "shortest_of", 1)),
        run_since=_number(given, "run_since", 0),
        fitted_sd=_number(given, "fitted_sd", 0),
        constants=_constants(constants),
    )


def plain_of(made: Forecast) -> dict[str, object]:
    """Return a forecast as plain values, rounded far below what it can know."""
    weeks = None if made.weeks is None else {k: _short(v) for k, v in asdict(made.weeks).items()}
    return {
        "prior": {k: _short(v) for k, v in asdict(made.prior).items()},
        "use_quantiles": {k: _short(v) for k, v in asdict(made.use).items()},
        "inspect_by_use": _short(made.inspect_use),
        "weeks_quantiles": weeks,
        "inspect_by_weeks": None if made.inspect_weeks is None else _short(made.inspect_weeks),
        "tail": _short(made.tail),
        "p_jump": _short(made.jumped),
        "mean_rate_mm_per_use": _short(made.mean_rate),
        "worst_position": made.worst_position,
    }


def _short(value: float) -> float:
    return float(f"{value:.{_DIGITS}g}")


def _is_number(value: object) -> bool:
    return isinstance(value, int | float) and not isinstance(value, bool)


def _number(given: Mapping[str, object], name: str, default: float | None = None) -> float:
    value = given.get(name, default)
    if not isinstance(value, int | float) or isinstance(value, bool):
        raise InputError(f"“{name}” is missing or no number.", "Give it as a number.", name)
    return float(value)


def _list(given: Mapping[str, object], name: str) -> Sequence[object]:
    value = given.get(name) or []
    if not isinstance(value, list):
        raise InputError(f"“{name}” is not a list.", "Give a list.", name)
    return value


def _each(given: Mapping[str, object], name: str) -> list[float]:
    values = _list(given, name)
    if not all(_is_number(v) for v in values):
        raise InputError(f"“{name}” holds something that is not a number.", "Give numbers only.", name)
    return [float(v) for v in values]  # type: ignore[arg-type]


def _visit(given: object) -> PastRound:
    if not isinstance(given, Mapping):
        raise InputError("A visit is not an object.", "Give use, sigma_mm and lengths_mm.", "visits")
    lengths = _list(given, "lengths_mm")
    if not all(v is None or _is_number(v) for v in lengths):
        raise InputError(
            "A length is neither a number nor null.", "Give null where nothing was measured.", "lengths_mm"
        )
    sd = _number(given, "sigma_mm", _INSTRUMENTS.get(str(given.get("instrument", ""))))
    read = tuple(None if v is None else float(v) for v in lengths)  # type: ignore[arg-type]
    return PastRound(_number(given, "use"), sd, read)


def _past(given: Mapping[str, object]) -> tuple[PastSet, ...]:
    rates = _each(given, "past_log_rates")
    cut, about = (_flags(given, name, len(rates)) for name in ("past_censored", "past_about"))
    return tuple(PastSet(x, c, a) for x, c, a in zip(rates, cut, about, strict=True))


def _flags(given: Mapping[str, object], name: str, count: int) -> list[bool]:
    flags = _list(given, name)
    if len(flags) not in (0, count):
        raise InputError(f"{name} does not match past_log_rates.", "Give one true or false for each.", name)
    return [bool(f) for f in flags] or [False] * count


def _unit(given: Mapping[str, object]) -> str:
    """Return the unit of use; a case without one is in hours."""
    unit = str(given.get("unit_of_use") or "hours")
    if unit not in _UNITS:
        raise InputError(f"“{unit}” is not a unit of use.", "Write h, starts or years.", "unit_of_use")
    return _UNITS[unit]


def _usage(given: object) -> Usage:
    if not isinstance(given, Mapping):
        raise InputError("“usage” is not an object.", "Give weeks_logged, use_logged and declared_per_week.", "usage")
    declared = given.get("declared_per_week")
    pattern = tuple(_each(given, "season_weights")) or None
    return Usage(
        _number(given, "weeks_logged", 0),
        _number(given, "use_logged", 0),
        None if declared is None else _number(given, "declared_per_week"),
        pattern,
    )


def _constants(given: object) -> Constants:
    known = Constants.__dataclass_fields__
    if not isinstance(given, Mapping) or not set(given) <= set(known):
        raise InputError("“constants” has a name that is not known.", "Use " + ", ".join(known) + ".", "constants")
    return Constants(**{name: _number(given, name) for name in given})
