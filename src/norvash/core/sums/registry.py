"""One register of sums: each is a page, a JSON endpoint, a command and the function that the bench calls."""

from collections.abc import Callable, Mapping
from dataclasses import MISSING, dataclass, field, fields
from typing import Any

from norvash.core.kept_names import name_now
from norvash.core.rules.book import MotorRules
from norvash.errors import InputError, NotFound


@dataclass(frozen=True, slots=True, kw_only=True)
class Ask:
    """How one input is asked for: its label, its dimension for units, its bounds, and other names that are read beside
    its own.
    """

    label: str
    dimension: str
    low: float
    high: float
    hint: str
    above_low: bool
    choices: tuple[tuple[str, str], ...] = ()
    also: tuple[str, ...] = ()


def ask(
    label: str,
    dimension: str,
    *,
    low: float = 0.0,
    high: float = 1e6,
    hint: str = "",
    default: Any = MISSING,
    above_low: bool = False,
    choices: tuple[tuple[str, str], ...] = (),
    also: tuple[str, ...] = (),
) -> Any:
    """Return a dataclass field that knows how to be asked for; without a default it must be given."""
    return field(
        default=default,
        metadata={
            "ask": Ask(
                label=label,
                dimension=dimension,
                low=low,
                high=high,
                hint=hint,
                above_low=above_low,
                choices=choices,
                also=also,
            )
        },
    )


@dataclass(frozen=True, slots=True)
class Gives:
    """What a figure of a result is called on its page, and whether it is shown as a share or as money."""

    words: str
    share: bool = False
    money: bool = False


def gives(words: str, *, share: bool = False, money: bool = False) -> Any:
    """Return a field of a result that its page shows under these words; a field without them is not in its table."""
    return field(metadata={"gives": Gives(words, share, money)})


@dataclass(frozen=True, slots=True, kw_only=True)
class Sum:
    """A registered sum: inputs is a dataclass of `ask` fields, compute gives a result dataclass."""

    name: str
    title: str
    words: str
    inputs: type[Any]
    compute: Callable[[Any, MotorRules], Any]
    example: Mapping[str, Any]


def find(sums: Mapping[str, Sum], name: str) -> Sum:
    """Return the sum with this name.

    Raises: NotFound with the names there are.
    """
    try:
        return sums[name_now("sum", name)]
    except KeyError:
        raise NotFound(f"There is no sum “{name}”.", "Use one of: " + ", ".join(sums) + ".") from None


def together(given: Any, *names: str) -> None:
    """Refuse inputs of which some are given without their partners.

    Raises: InputError at the first that is missing.
    """
    missing = [n for n in names if getattr(given, n) is None]
    if missing and len(missing) < len(names):
        labels = {f.name: f.metadata["ask"].label for f in fields(given)}
        there = next(n for n in names if n not in missing)
        raise InputError(
            f"“{labels[there]}” says nothing without “{labels[missing[0]]}”.", "Give both, or neither.", missing[0]
        )
