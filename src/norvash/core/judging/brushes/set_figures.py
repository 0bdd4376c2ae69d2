"""What the lengths of a set say of it as a whole: how evenly it wears, how long it has run, and what is left."""

from collections.abc import Iterator

from norvash.core.edges import over
from norvash.core.sheet.measured import Measured, follows
from norvash.core.state.findings import Findings
from norvash.core.state.motor_state import MotorState
from norvash.core.text.words import use_words


def set_figures(found: Findings, state: MotorState) -> Iterator[Measured]:
    """Yield how evenly the set wears, its run and what is left of it. Source: rules spread.*"""
    spread = found.spread
    if spread is not None and spread.spread is not None:
        most, least = (state.positions[n - 1].label for n in (spread.most_worn_position, spread.least_worn_position))
        told = "uneven" if spread.uneven else "even" if spread.above_noise else "even, within what readings can tell"
        rule = "spread.pair" if len(state.positions) == 2 else "spread.set"
        yield follows(
            words=f"Spread of the wear, {most} most, {least} least",
            value=100 * spread.spread,
            unit="%",
            basis=f"up to {spread.spread_limit:.0%} of its mean: {told}",
            right=not spread.uneven,
            rests_on=(rule, "spread.noise"),
        )
    if spread is not None and spread.polarity_ratio is not None and spread.polarity_note:
        yield follows(
            words="Wear of one polarity over the other",
            value=spread.polarity_ratio,
            unit="",
            basis="one polarity wears faster",
            right=False,
            rests_on=("spread.polarity",),
        )
    yield from _run(found, state)


def _run(found: Findings, state: MotorState) -> Iterator[Measured]:
    """Yield how long the set has run, against its straight line and the look that is due."""
    current = state.current
    ran = state.now_units - current.fitted_units
    if current.fitted_known and ran > 0:
        yield follows(
            words="The set has run at least" if state.ran_at_least(state.current) else "The set has run",
            value=ran,
            unit=state.unit,
            basis="" if found.line is None else _left(found.line.left_h, state),
            right=None,
            rests_on=(),
        )
    look = found.look
    if look is not None and look.at_units is not None and over(state.now_units, look.at_units):
        late = state.now_units - look.at_units
        yield follows(
            words=f"Look for {look.name}", value=late, unit=state.unit, basis="overdue", right=False, rests_on=()
        )


def _left(units: float | None, state: MotorState) -> str:
    if units is None:
        return ""
    if units < 0:
        return f"over its limit by {use_words(-units, state.unit)} by the straight line"
    return f"{use_words(units, state.unit)} left by the straight line"
