"""What is said of what governs a motor beside its forecast: an interval, a range, a calendar limit, a maker's table."""

from typing import Any, Literal

from norvash.core.planning.interval_table import IntervalTable
from norvash.errors import InputError
from norvash.exchange.interval_tables import table_from_csv
from norvash.exchange.said.told import At, Line, Statement, Value, Words
from norvash.work.act.acting import Act
from norvash.work.motors.policing import add_policy


class Policy(Statement):
    """A policy of this motor, by its `kind`: `interval` with `every`, `range` with `low` and `high`, `calendar` with
    `months`, or `table` as a `sheet` of rows of use and columns of its `quantity` (“length” or “depth”), with its
    `longest` interval and what a `dash` in it means (“stop”). An interval or a range `asks` for a “look” or a “change”.
    """

    kind: Words
    name: Words = ""
    asks: Words = ""
    every: Words = ""
    low: Words = ""
    high: Words = ""
    months: Words = ""
    quantity: Words = ""
    longest: Words = ""
    dash: Words = ""
    sheet: Value = ""

    def asked(self, data: bytes = b"") -> dict[str, Any]:
        """Return its kind, what was typed, and its table, of a file or as it was pasted.

        Raises: InputError at the field.
        """
        typed = self.model_dump(include=self.model_fields_set & set(Policy.model_fields))
        table = self._table(data or self.sheet.encode()) if self.kind == "table" else None
        return {"kind": self.kind, "typed": typed, "table": table}

    def _table(self, data: bytes) -> IntervalTable:
        longest = self.longest.strip()
        try:
            most = float(longest.replace(",", ".")) if longest else None
        except ValueError:
            raise InputError(
                f"“{longest}” is not a number.", "Give the longest interval, or leave it empty.", "longest"
            ) from None
        return table_from_csv(data, self.quantity, most, dash_stops=self.dash == "stop")

    def done(self, act: Act, at: At) -> str:
        return add_policy(at.conn, act, "motor", scope_id=at.motor_id, **self.asked())


class PolicyLine(Policy, Line):
    do: Literal["policy"]
    kind: Literal["interval", "range", "calendar", "table"]
