"""Rows of named values as people type them: “pieces 2; price 6.40 | pieces 4; price 10.90”."""

from norvash.errors import InputError

MOST_ROWS = 60
_YES = {"yes": True, "no": False}


def read_rows(text: str) -> list[dict[str, object]]:
    """Return rows of named values; a name is the first word of its value.

    Raises: InputError for a value without a name, a name twice in one row, or too many rows.
    """
    rows = [row for row in text.split("|") if row.strip()]
    if len(rows) > MOST_ROWS:
        raise InputError(f"{len(rows)} rows are too many.", f"Give at most {MOST_ROWS}.", "rows")
    return [_row(row) for row in rows]


def _row(text: str) -> dict[str, object]:
    made: dict[str, object] = {}
    for part in filter(None, (p.strip() for p in text.split(";"))):
        name, _, value = part.partition(" ")
        if not value.strip():
            raise InputError(f"“{part}” has no value.", "Write a name and its value, like price 6.40.", "rows")
        if name in made:
            raise InputError(f"“{name}” stands twice in one row.", "Part the rows by |.", "rows")
        made[name] = _YES.get(value.strip().lower(), value.strip().replace(",", "."))
    return made


def rows_typed(rows: list[dict[str, object]]) -> str:
    """Return rows as somebody would type them."""
    return " | ".join("; ".join(f"{n} {_typed(v)}" for n, v in row.items()) for row in rows)


def _typed(value: object) -> str:
    return "yes" if value is True else "no" if value is False else str(value)
