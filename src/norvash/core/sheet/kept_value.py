"""A measured value as it is kept with the signature of its sheet, and as one line of a table."""

from collections.abc import Iterable, Mapping
from dataclasses import dataclass, field
from datetime import datetime
from types import MappingProxyType

from norvash.core.grades import Grade
from norvash.core.sheet.given import Sight
from norvash.core.sheet.measured import Standing
from norvash.core.text.words import band_said, figure_said


@dataclass(frozen=True, slots=True, kw_only=True)
class KeptValue:
    """One value as it was judged in one sight: at which stage, what it is called, as it was said; its band and whose it
    is, what it is, its sentence, by whom and when it was read. `rest` is what else was known, as plain values.
    """

    stage: str
    id: str
    spot: int
    sight: Sight
    what: str
    said: str
    value: float | None
    unit: str
    low: float | None
    high: float | None
    basis: str
    standing: Standing
    grade: Grade | None
    words: str
    by: str = ""
    at: datetime | None = None
    rest: Mapping[str, object] = field(default_factory=lambda: MappingProxyType({}), compare=False)

    @property
    def band(self) -> str:
        """Return its band in words, empty without one."""
        return band_said(self.low, self.high, self.unit)

    @property
    def follows(self) -> str:
        """Return the figures that follow from it in words, empty without any."""
        derived = self.rest.get("derived")
        made = derived if isinstance(derived, list) else []
        return ", ".join(f"{d['words']} {figure_said(d['value'], d['unit'])}" for d in made)

    def as_plain(self) -> dict[str, object]:
        """Return it as plain values that stay readable."""
        own = {n: getattr(self, n) for n in self.__slots__ if n not in ("rest", "at")}
        return {**own, "at": self.at.isoformat() if self.at is not None else None, **self.rest}


@dataclass(frozen=True, slots=True)
class InTable:
    """One line of the table: a value as found and as left, None where it was not read so."""

    found: KeptValue | None
    left: KeptValue | None

    @property
    def now(self) -> KeptValue:
        """Return the value that counts at the end."""
        made = self.left or self.found
        if made is None:
            raise LookupError("a line without a value")
        return made


def in_table(values: Iterable[KeptValue]) -> tuple[InTable, ...]:
    """Return kept values line by line, as found beside as left; several of one name and spot in their order."""
    lines: dict[tuple[str, str, int, str, int], dict[Sight, KeptValue]] = {}
    for v in values:
        nth = 0
        while v.sight in lines.setdefault((v.stage, v.id, v.spot, v.what, nth), {}):
            nth += 1
        lines[v.stage, v.id, v.spot, v.what, nth][v.sight] = v
    return tuple(InTable(x.get("found"), x.get("left")) for x in lines.values())
