"""Tables of text as people export them: any usual encoding and separator, read whole or refused with the reason."""

import csv
import io
import re
from dataclasses import dataclass

from norvash.errors import InputError

MOST_COLUMNS = 60
MOST_LINES = 200_000
_SAMPLE = 40
_LONGEST_CELL = 400
_KINDS = (
    (b"PK", "a zip or spreadsheet file"),
    (b"\x1f\x8b", "a compressed file"),
    (b"%PDF", "a PDF"),
    (b"\xd0\xcf\x11\xe0", "an old spreadsheet file"),
    (b"\x89PNG", "a picture"),
    (b"\xff\xd8\xff", "a picture"),
)
_AS_CSV = "Save it as CSV (text with commas, semicolons or tabs) and give that."
_SEPARATORS = {";": "semicolon", "\t": "tab", ",": "comma"}


@dataclass(frozen=True, slots=True)
class Cells:
    """Rows of cells with the line each began on (from 1), the names of encoding and separator."""

    rows: tuple[tuple[str, ...], ...]
    lines: tuple[int, ...]
    encoding: str
    separator: str

    @property
    def words(self) -> str:
        """Return how the file was read."""
        return f"{len(self.rows)} lines, {self.encoding}, separated by {_SEPARATORS[self.separator]}s"


def read_sheet(data: bytes) -> Cells:
    """Return a file of text as rows; empty lines are left out.

    Raises: InputError for what is no table of text, or too wide or too long.
    """
    for magic, what in _KINDS:
        if data.startswith(magic):
            raise InputError(f"This is {what}, whatever it is called.", _AS_CSV, "file")
    text, encoding = _decoded(data)
    separator = _separator(text)
    rows: list[tuple[str, ...]] = []
    lines: list[int] = []
    before = 0
    reader = csv.reader(io.StringIO(text, newline=""), delimiter=separator)
    try:
        for row in reader:
            cells = tuple(c.strip() for c in row)
            if any(cells):
                _fits(cells, before + 1, len(rows))
                rows.append(cells)
                lines.append(before + 1)
            before = reader.line_num
    except csv.Error as error:
        raise InputError(f"Line {reader.line_num} cannot be read ({error}).", _AS_CSV, "file") from None
    if not rows:
        raise InputError("The file is empty.", "Give one with a line for each reading.", "file")
    return Cells(tuple(rows), tuple(lines), encoding, separator)


def _fits(cells: tuple[str, ...], line: int, so_far: int) -> None:
    if len(cells) > MOST_COLUMNS:
        raise InputError(
            f"Line {line} has {len(cells)} columns; {MOST_COLUMNS} is the most that is read.",
            "Leave out the columns that are not needed.",
            "file",
        )
    if max(map(len, cells)) > _LONGEST_CELL:
        raise InputError(
            f"Line {line} has a cell of more than {_LONGEST_CELL} characters.",
            "Check the quotation marks and the separator.",
            "file",
        )
    if so_far >= MOST_LINES:
        raise InputError(
            f"The file has more than {MOST_LINES} lines.", "Split it and give the parts one by one.", "file"
        )


def _decoded(data: bytes) -> tuple[str, str]:
    if data.startswith((b"\xff\xfe", b"\xfe\xff")):
        try:
            return data.decode("utf-16"), "UTF-16"
        except UnicodeDecodeError:
            raise InputError("The file begins like UTF-16 but is not.", _AS_CSV, "file") from None
    if b"\x00" in data:
        raise InputError("This is not text: it has zero bytes in it.", _AS_CSV, "file")
    try:
        return data.decode("utf-8-sig"), "UTF-8"
    except UnicodeDecodeError:
        pass
    try:
        return data.decode("cp1252"), "Western European (Windows)"
    except UnicodeDecodeError:
        raise InputError("The file is in an encoding that is not known.", "Save it in UTF-8.", "file") from None


def _separator(text: str) -> str:
    """Return the separator that the first lines agree on best."""
    lines = [x for x in text.splitlines()[:_SAMPLE] if x.strip()]
    best, most = ",", 0
    for separator in _SEPARATORS if lines else ():
        counts = [x.count(separator) for x in lines]
        steady = sum(c == max(set(counts), key=counts.count) for c in counts) if any(counts) else 0
        weight = steady * min(max(set(counts), key=counts.count), 5)
        if weight > most:
            best, most = separator, weight
    return best


def is_formula(text: str) -> bool:
    """Tell whether a cell is a spreadsheet's formula, which is never worked out here."""
    return text[:1] in ("=", "@") or (text[:1] in ("+", "-") and any(c.isalpha() or c == "(" for c in text[1:]))


# Digits with at most one point; at least one digit.
_DIGITS = re.compile(r"-?(?=\.?[0-9])[0-9]*\.?[0-9]*")


def number(text: str) -> float:
    """Return a cell as a number, with decimal point or comma.

    Raises: InputError for a formula, letters, or a figure that can be read in two ways.
    """
    bare = text.replace("\u00a0", "").replace("\u202f", "").strip().strip('"')
    if is_formula(bare):
        raise InputError(f"“{text[:30]}” is a formula, not a value.", "Export the values.")
    if bare.count(",") == 1 and "." not in bare:
        bare = bare.replace(",", ".")
    if not _DIGITS.fullmatch(bare):
        raise InputError(
            f"“{text[:30]}” is not a number.", "Write it like 1240 or 1240.5, without thousands separators."
        )
    value = float(bare)
    if not -1e9 <= value <= 1e9:
        raise InputError(f"“{text[:30]}” is too large.", "Check the cell.")
    return value


def write_sheet(rows: list[list[str]]) -> bytes:
    """Return rows as CSV in UTF-8; a cell that a spreadsheet would take for a formula gets a mark before it."""
    out = io.StringIO(newline="")
    writer = csv.writer(out, lineterminator="\r\n")
    for row in rows:
        writer.writerow([f"'{c}" if is_formula(c) else c for c in row])
    return out.getvalue().encode("utf-8-sig")
