"""Where the brushes of a motor sit: labels, angles, arms and polarity."""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, replace

from norvash.core.text.quantities import parse, parse_count
from norvash.core.text.texts import clean
from norvash.errors import InputError


@dataclass(frozen=True, slots=True)
class PositionPlan:
    """Where a brush sits: its number, label, angle [°] from the top clockwise, arm and polarity."""

    number: int
    label: str
    angle_deg: float
    arm: int
    polarity: str


def even_positions(brushes: int, arms: int | None = None) -> tuple[PositionPlan, ...]:
    """Return positions spread evenly: arms round the commutator, polarity alternating, rows along the shaft.

    A pair is A and B; more brushes are named by arm letter and place in the arm.
    """
    arms = arms or _usual_arms(brushes)
    plans: list[PositionPlan] = []
    turn = 360 / arms
    for number in range(1, brushes + 1):
        arm = (number - 1) % arms + 1 if brushes <= arms else (number - 1) * arms // brushes + 1
        place = sum(p.arm == arm for p in plans) + 1
        label = chr(64 + arm) if brushes == arms else f"{chr(64 + arm)}{place}"
        angle = ((arm - 1) * turn + (turn / 2 if arms > 2 else 90)) % 360
        plans.append(PositionPlan(number, label, angle, arm, "+" if arm % 2 else "-"))
    return tuple(plans)


def _usual_arms(brushes: int) -> int:
    if brushes <= 2:
        return brushes
    return 4 if brushes % 4 == 0 else 6 if brushes % 6 == 0 else 2 if brushes % 2 == 0 else brushes


def polarity_wrong(plans: Sequence[PositionPlan]) -> str:
    """Return where the polarity of the arms does not alternate round the commutator, empty where it does.

    Brushes side by side on one arm share it. An odd number of arms is a machine of its own kind, and not judged.
    """
    arms: dict[int, list[PositionPlan]] = {}
    for plan in sorted(plans, key=lambda p: p.angle_deg):
        arms.setdefault(plan.arm, []).append(plan)
    mixed = next((arm for arm in arms.values() if len({p.polarity for p in arm}) > 1), None)
    if mixed is not None:
        return f"{' and '.join(p.label for p in mixed)} sit on one arm with different polarities"
    round_it = list(arms.values())
    if len(round_it) % 2:
        return ""
    for here, following in zip(round_it, [*round_it[1:], *round_it[:1]], strict=True):
        if here[0].polarity == following[0].polarity:
            return f"{here[0].label} and {following[0].label} are both {here[0].polarity}"
    return ""


def polarity_clashes(plans: Sequence[PositionPlan]) -> frozenset[int]:
    """Return the numbers of the positions whose polarity is that of the next arm, or not that of their own."""
    if not polarity_wrong(plans):
        return frozenset()
    by_arm: dict[int, list[PositionPlan]] = {}
    for plan in sorted(plans, key=lambda p: p.angle_deg):
        by_arm.setdefault(plan.arm, []).append(plan)
    arms, found = list(by_arm.values()), set[int]()
    for here, following in zip(arms, [*arms[1:], *arms[:1]], strict=True):
        if len({p.polarity for p in here}) > 1:
            found |= {p.number for p in here}
        elif len(arms) % 2 == 0 and here[0].polarity == following[0].polarity:
            found |= {p.number for p in (*here, *following)}
    return frozenset(found)


def alternating(plans: Sequence[PositionPlan]) -> tuple[PositionPlan, ...]:
    """Return the positions as they should be: polarity alternates by arm round the commutator from the first on."""
    round_it = list(dict.fromkeys(p.arm for p in sorted(plans, key=lambda p: p.angle_deg)))
    first = min(plans, key=lambda p: p.angle_deg).polarity if plans else "+"
    signs = (first, "-" if first == "+" else "+")
    return tuple(replace(p, polarity=signs[round_it.index(p.arm) % 2]) for p in plans)


def read_positions(typed: Mapping[str, str], plans: Sequence[PositionPlan]) -> tuple[PositionPlan, ...]:
    """Return the positions as typed in fields label_N, angle_N, arm_N and polarity_N; an empty field keeps its value.

    Raises: InputError at the field; labels must differ.
    """
    read = tuple(_read_one(typed, plan) for plan in plans)
    for i, plan in enumerate(read):
        if plan.label in [p.label for p in read[:i]]:
            raise InputError(
                f"The label {plan.label} stands twice.", "Give each position its own.", f"label_{plan.number}"
            )
    return read


def _read_one(typed: Mapping[str, str], plan: PositionPlan) -> PositionPlan:
    def given(name: str) -> str:
        return typed.get(f"{name}_{plan.number}", "").strip()

    label, polarity = (
        clean(given("label"), f"label_{plan.number}") or plan.label,
        given("polarity").replace("−", "-") or plan.polarity,
    )
    if len(label) > 8:
        raise InputError(f"The label “{label}” is too long.", "Use at most 8 characters.", f"label_{plan.number}")
    if polarity not in ("+", "-"):
        raise InputError(f"“{polarity}” is not a polarity.", "Use + or -.", f"polarity_{plan.number}")
    field = f"angle_{plan.number}"
    try:
        angle = parse(given("angle"), "angle").value if given("angle") else plan.angle_deg
        field = f"arm_{plan.number}"
        arm = parse_count(given("arm"), 1, 40) if given("arm") else plan.arm
    except InputError as error:
        raise error.at(field) from None
    return PositionPlan(plan.number, label, angle % 360, arm, polarity)
