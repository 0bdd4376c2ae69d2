"""Fields in few words, as the stages state them."""

from collections.abc import Callable, Mapping
from dataclasses import replace
from typing import TypedDict, Unpack

from norvash.core.rules.book import MotorRules
from norvash.core.sheet.facts import Facts
from norvash.core.sheet.field import Column, Mark, Needs, Per, Pick, Quantity, Text, Tick
from norvash.core.sheet.finding import Finding
from norvash.core.sheet.part import Part
from norvash.core.sheet.records import Record
from norvash.core.sheet.task import Task


class More(TypedDict, total=False):
    """What a field may say beyond where it stands and what it is called."""

    needs: Needs
    per: Per
    whole: bool
    hint: str
    classes: tuple[str, ...]
    offered: Callable[[Facts, MotorRules], bool]
    judged: bool
    tells: tuple[Finding, ...]
    proves: tuple[Finding, ...]
    tested: str
    touched_by: tuple[Task, ...]
    hangs_on: tuple[Part, ...]
    after_work: bool
    why_not: Callable[[Facts, MotorRules], str]
    does: tuple[Task, ...]
    ends: tuple[Task, ...]
    work: bool
    compared: bool
    marks: Mark
    placed: bool
    record: bool


class Bounded(More, total=False):
    """What a field of values may say beyond that."""

    low: float
    high: float
    beside: Callable[[Facts, MotorRules], Record | None] | None


def quantity(field_id: str, group: str, label: str, dimension: str, **more: Unpack[Bounded]) -> Quantity:
    """Return a field that takes one measured value."""
    return Quantity(id=field_id, group=group, label=label, dimension=dimension, **more)


def column(
    field_id: str, group: str, label: str, dimension: str, *, low: float = 0.0, high: float = 1e6, **more: Unpack[More]
) -> Column:
    """Return a field that takes a column of readings."""
    return Column(id=field_id, group=group, label=label, dimension=dimension, low=low, high=high, **more)


def tick(field_id: str, group: str, label: str, **more: Unpack[More]) -> Tick:
    """Return a field that is ticked."""
    return Tick(id=field_id, group=group, label=label, **more)


def text(field_id: str, group: str, label: str, **more: Unpack[More]) -> Text:
    """Return a field that takes words."""
    return Text(id=field_id, group=group, label=label, **more)


def pick(
    field_id: str,
    group: str,
    label: str,
    *choices: tuple[str, str],
    finds: Mapping[str, Finding] | None = None,
    refused: Mapping[str, str] | None = None,
    forbids: Callable[[Facts, MotorRules], Mapping[str, str]] | None = None,
    why: bool = False,
    plainly: bool = False,
    **more: Unpack[More],
) -> Pick:
    """Return a field that is answered by one of its choices; one that is a finding for some is judged."""
    more.setdefault("judged", bool(finds))
    more.setdefault("tells", tuple(dict.fromkeys(finds.values())) if finds else ())
    made = Pick(
        id=field_id,
        group=group,
        label=label,
        choices=choices,
        finds=finds or {},
        refused=refused or {},
        why=why,
        plainly=plainly,
        **more,
    )
    return made if forbids is None else replace(made, forbids=forbids)
