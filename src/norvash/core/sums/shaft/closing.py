"""The sums of closing up: what came off against what went back, and how tight."""

from dataclasses import dataclass

from norvash.core.rules.book import MotorRules
from norvash.core.stacks.check import Difference, check
from norvash.core.stacks.kinds import Where
from norvash.core.stacks.part import StackPart
from norvash.core.stacks.torque import INTO, Band, estimated, read_band
from norvash.core.stacks.typed import read_part
from norvash.core.sums.registry import Sum, ask, gives
from norvash.errors import InputError

_MOST_PARTS = 120
_WHERE = (("inside", "a stack inside the motor, in its order"), ("machine", "counts of the machine, no order"))


@dataclass(frozen=True, slots=True, kw_only=True)
class StackIn:
    """A stack in the order in which it came off, and in the order in which it went back: one part a line, or parted by
    semicolons.
    """

    out: str = ask("Came off, first one first", "word", hint="washer 1.5 x 20; 5 shims 0.2 x 26; seal 5 x 28, lip in")
    back: str = ask("Went back, first one first", "word", default="", hint="last off, first in")
    where: str = ask("What it is", "word", default="inside", choices=_WHERE)


@dataclass(frozen=True, slots=True, kw_only=True)
class StackOut:
    """Every difference by its kind, in words; whether there is none."""

    right: bool = gives("all back as it came off")
    missing: tuple[str, ...] = gives("missing")
    left_over: tuple[str, ...] = gives("left over")
    turned: tuple[str, ...] = gives("turned")
    other_size: tuple[str, ...] = gives("of another size")
    swapped: tuple[str, ...] = gives("in another order")
    advice: str
    rules: tuple[str, ...]


def stack_check(given: StackIn, rules: MotorRules) -> StackOut:
    """Return what came off against what went back.

    Raises: InputError for a part that cannot be read, no part at all, or too many.
    """
    _, _, found = compared_stacks(given, rules)

    def of(what: str) -> tuple[str, ...]:
        return tuple(d.words for d in found if d.what == what)

    said = [d.words for d in found]
    return StackOut(
        right=not found,
        missing=of("missing"),
        left_over=of("left over"),
        turned=of("turned"),
        other_size=of("other size"),
        swapped=of("swapped"),
        advice="; ".join(said) or "nothing is missing, left over, turned or of another size",
        rules=("stack.alike", "stack.alike-mm"),
    )


def compared_stacks(
    given: StackIn, rules: MotorRules
) -> tuple[list[StackPart], list[StackPart], tuple[Difference, ...]]:
    """Return what came off, what went back, and every difference.

    Raises: InputError for a part that cannot be read, no part at all, or too many.
    """
    where: Where = "machine" if given.where == "machine" else "inside"
    out, back = _parts(where, given.out, "out"), _parts(where, given.back, "back")
    if not out:
        raise InputError("Nothing came off.", "Write what came off, a part a line.", "out")
    # What has no order went back as it came off.
    return out, back, check(out, back if where == "inside" else _in_order(out, back), rules)


def _in_order(out: list[StackPart], back: list[StackPart]) -> list[StackPart]:
    """Return what went back in the order in which it came off, last first: counts have none of their own."""
    names = [(p.kind, p.name) for p in reversed(out)]

    def place(part: StackPart) -> int:
        return names.index((part.kind, part.name)) if (part.kind, part.name) in names else len(names)

    return sorted(back, key=place)


def _parts(where: Where, text: str, at: str) -> list[StackPart]:
    lines = [x.strip() for x in text.replace("\n", ";").split(";") if x.strip()]
    if len(lines) > _MOST_PARTS:
        raise InputError(f"{len(lines)} parts are too many.", f"Give at most {_MOST_PARTS}.", at)
    made = []
    for line in lines:
        try:
            made.append(read_part(where, line))
        except InputError as error:
            raise error.at(at) from None
    return made


@dataclass(frozen=True, slots=True, kw_only=True)
class TorqueIn:
    """A torque, one figure or a band; or the thread for which nobody states one."""

    low: float | None = ask("Torque, at least", "scale", default=None, above_low=True, high=10_000)
    high: float | None = ask("at most, empty for one figure", "scale", default=None, above_low=True, high=10_000)
    unit: str = ask("In", "word", default="N·m", hint="N·m, in·lb, ft·lb, cN·m, kgf·cm")
    text: str | None = ask("Or as it is printed", "word", default=None, hint="18–22 in·lb")
    thread: str | None = ask("No figure: its thread", "word", default=None, hint="M3 to M12")
    into: str = ask("It goes into", "word", default="steel", choices=tuple((x, x) for x in INTO))
    screws: int = ask("Screws round the cover", "count", default=4, low=1, high=24)


@dataclass(frozen=True, slots=True, kw_only=True)
class TorqueOut:
    """The band in three units, the second of three rounds, and whether it is an estimate."""

    low_nm: float = gives("at least")
    high_nm: float = gives("at most")
    low_in_lb: float = gives("at least")
    high_in_lb: float = gives("at most")
    low_ft_lb: float = gives("at least")
    high_ft_lb: float = gives("at most")
    half_nm: float = gives("second round")
    estimate: bool = gives("an estimate")
    advice: str
    rules: tuple[str, ...]


def torque(given: TorqueIn, rules: MotorRules) -> TorqueOut:
    """Return a torque in three units with its three rounds.

    Raises: InputError without a figure or a thread of the table, for a band that runs down, or another unit.
    """
    band, guessed = _stated(given), False
    if band is None:
        band, guessed = _by_thread(given, rules), True
    (low_in, high_in), (low_ft, high_ft) = band.in_unit("in·lb"), band.in_unit("ft·lb")
    advice = f"{band.words}; three rounds in a cross: finger tight, {band.half_nm:.3g} N·m, then the whole"
    return TorqueOut(
        low_nm=band.low_nm,
        high_nm=band.high_nm,
        low_in_lb=low_in,
        high_in_lb=high_in,
        low_ft_lb=low_ft,
        high_ft_lb=high_ft,
        half_nm=band.half_nm,
        estimate=guessed,
        advice=f"{advice} (an estimate: the maker's figure comes first)" if guessed else advice,
        rules=("torque.M6", "torque.soft") if guessed else (),
    )


def _stated(given: TorqueIn) -> Band | None:
    if given.text and given.low is not None:
        raise InputError("The torque stands there twice.", "Give figures, or the text.", "text")
    if given.text:
        try:
            return read_band(given.text)
        except InputError as error:
            raise error.at("text") from None
    if given.low is None:
        if given.high is not None:
            raise InputError("The lower figure is missing.", "Give both, or one as “at least”.", "low")
        return None
    try:
        return read_band(f"{given.low:g} {given.unit} – {(given.high or given.low):g} {given.unit}")
    except InputError as error:
        raise error.at("high" if given.high is not None and given.high < given.low else "unit") from None


def _by_thread(given: TorqueIn, rules: MotorRules) -> Band:
    thread = (given.thread or "").strip().upper().split("X")[0].split("×")[0].strip()
    if not thread:
        raise InputError("No torque and no thread is given.", "Give a figure, or the thread.", "low")
    if given.into == "plastic":
        raise InputError("Into plastic no torque is said.", "Finger tight, then an eighth of a turn.", "into")
    band = estimated(thread, given.into, rules)
    if band is None:
        raise InputError(f"The table does not hold {thread[:20]}.", "It holds M3 to M12: ask the maker.", "thread")
    return band


SUMS = (
    Sum(
        name="stack-check",
        title="Off and back",
        words="What came off against what went back: missing, left over, turned, of another size, in another order.",
        inputs=StackIn,
        compute=stack_check,
        example={
            "out": "cap 15 x 40; seal 5 x 28, lip in; fibre washer 1.5 x 30; 5 shims 0.2 x 26; armature 170 x 58",
            "back": "armature 170 x 58; 4 shims 0.2 x 26; fibre washer 1.5 x 30; seal 5 x 28, lip out; cap 15 x 40",
        },
    ),
    Sum(
        name="torque",
        title="Torque",
        words="How tight, in the units of any wrench, in three rounds; without a figure an estimate by the thread.",
        inputs=TorqueIn,
        compute=torque,
        example={"low": 26.0, "high": 31.0, "unit": "in·lb"},
    ),
)
