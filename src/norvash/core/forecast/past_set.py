"""What an earlier set of a family taught."""

from dataclasses import dataclass


@dataclass(frozen=True, slots=True)
class PastSet:
    """The log of an earlier set's mean wear rate [ln(mm per unit of use)].

    `at_most` when the set only lasted at least so long; `about` when its life is somebody's word and no reading.
    """

    log_rate: float
    at_most: bool = False
    about: bool = False
