"""One thing that a bench sheet can hold, and the makers of its kinds."""

from dataclasses import dataclass
from typing import Literal

Kind = Literal["pick", "tick", "quantity", "text", "decision", "column", "map"]
Needs = Literal["", "safe", "permit", "power"]
Per = Literal["", "position", "tap", "number", "bearing"]
BEARINGS = ("drive end", "other end")


@dataclass(frozen=True, slots=True, kw_only=True)
class SheetField:
    """One thing that is entered: where, what kind, its bounds, and the gate that it needs.

    `per` says that there is one for each brush position or speed setting.
    """

    id: str
    stage: str
    group: str
    label: str
    kind: Kind = "text"
    dimension: str = ""
    choices: tuple[tuple[str, str], ...] = ()
    needs: Needs = ""
    per: Per = ""
    low: float = 0.0
    high: float = 1e6
    hint: str = ""
    classes: tuple[str, ...] = ()


def quantity(
    field_id: str,
    stage: str,
    group: str,
    label: str,
    dimension: str,
    *,
    needs: Needs = "",
    hint: str = "",
    low: float = 0.0,
    high: float = 1e6,
    per: Per = "",
    classes: tuple[str, ...] = (),
) -> SheetField:
    """Return a field that takes one measured value."""
    return SheetField(
        id=field_id,
        stage=stage,
        group=group,
        label=label,
        kind="quantity",
        dimension=dimension,
        choices=(),
        needs=needs,
        per=per,
        low=low,
        high=high,
        hint=hint,
        classes=classes,
    )


def ticks(stage: str, group: str, needs: Needs, *named: tuple[str, str]) -> tuple[SheetField, ...]:
    """Return fields that are ticked, each named by id and words."""
    return tuple(
        SheetField(id=i, stage=stage, group=group, label=w, kind="tick", dimension="", choices=(), needs=needs)
        for i, w in named
    )


def pick(
    field_id: str,
    stage: str,
    group: str,
    label: str,
    *choices: tuple[str, str],
    needs: Needs = "safe",
    per: Per = "",
    hint: str = "",
    classes: tuple[str, ...] = (),
) -> SheetField:
    """Return a field that is answered by one of its choices."""
    return SheetField(
        id=field_id,
        stage=stage,
        group=group,
        label=label,
        kind="pick",
        dimension="",
        choices=choices,
        needs=needs,
        per=per,
        low=0.0,
        high=1e6,
        hint=hint,
        classes=classes,
    )


def column(
    field_id: str,
    stage: str,
    group: str,
    label: str,
    dimension: str,
    *,
    hint: str = "",
    low: float = 0.0,
    high: float = 1e6,
) -> SheetField:
    """Return a field that takes a column of readings."""
    return SheetField(
        id=field_id,
        stage=stage,
        group=group,
        label=label,
        kind="column",
        dimension=dimension,
        choices=(),
        needs="safe",
        per="",
        low=low,
        high=high,
        hint=hint,
    )
