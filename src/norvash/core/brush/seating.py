"""Bedding a new face to the commutator's curve."""

from dataclasses import dataclass
from math import inf, sqrt

from norvash.core.edges import over, under
from norvash.core.rules.book import MotorRules
from norvash.errors import InputError

# How near the short form must come to the exact chord, as a share, to be said; the steps that the chord is sought in.
_ALIKE, _HALVINGS = 0.005, 50


def sagitta_mm(commutator_d_mm: float, thickness_mm: float) -> float:
    """Return the depth of the curve that a flat face must take on.

    Units: [mm] -> [mm]. Raises: InputError if the brush is as thick as the commutator.
    Source: sagitta of a chord

    >>> round(sagitta_mm(62.0, 9.15), 4)
    0.3394
    """
    radius, half = commutator_d_mm / 2, thickness_mm / 2
    if not 0 < half < radius:
        raise InputError(
            f"A brush {thickness_mm:g} mm thick does not sit on a commutator of {commutator_d_mm:g} mm.",
            "Check thickness and diameter.",
            "thickness_mm",
        )
    return radius - sqrt(radius**2 - half**2)


@dataclass(frozen=True, slots=True)
class Face:
    """A face on a commutator; face_radius_mm is infinite for a flat face.

    Units: all [mm].
    """

    commutator_d_mm: float
    thickness_mm: float
    face_radius_mm: float = inf

    def over_shaped(self) -> bool:
        """Tell whether the face is curved more than the commutator, so that it touches at two edges only."""
        return under(self.face_radius_mm, self.commutator_d_mm / 2)

    def depth_mm(self) -> float:
        """Return how much must wear off the centre line until the whole face touches."""
        flat = sagitta_mm(self.commutator_d_mm, self.thickness_mm)
        if self.face_radius_mm == inf:
            return flat
        return max(flat - sagitta_mm(2 * self.face_radius_mm, self.thickness_mm), 0.0)

    def share(self, worn_mm: float) -> float:
        """Return the share of the face that touches after worn_mm of bedding [1].

        Of a shallow curve the short form, the root of what has worn over what must; of a deep one the exact chord.
        """
        depth = self.depth_mm()
        if depth == 0 or not under(worn_mm, depth):
            return 1.0
        short, exact = sqrt(worn_mm / depth), self._share_by_chord(worn_mm)
        return short if abs(exact - short) <= _ALIKE * short else exact

    def worn_for_mm(self, share: float) -> float:
        """Return the bedding wear [mm] at which this share of the face touches."""
        short, exact = share**2 * self.depth_mm(), self._gap_mm(share * self.thickness_mm / 2)
        return short if abs(exact - short) <= _ALIKE * short else exact

    def _gap_mm(self, half_mm: float) -> float:
        """Return how much must wear off the centre line until the face touches out to half a chord."""
        return max(_depth_mm(self.commutator_d_mm / 2, half_mm) - _depth_mm(self.face_radius_mm, half_mm), 0.0)

    def _share_by_chord(self, worn_mm: float) -> float:
        """Return the share of the face that touches, by the exact circles: half the chord at which they meet, sought by
        halving.
        """
        low, high = 0.0, self.thickness_mm / 2
        for _ in range(_HALVINGS):
            middle = (low + high) / 2
            low, high = (middle, high) if under(self._gap_mm(middle), worn_mm) else (low, middle)
        return 2 * low / self.thickness_mm


def _depth_mm(radius_mm: float, half_mm: float) -> float:
    """Return the sagitta of a circle over half a chord, 0 for a flat face."""
    return 0.0 if radius_mm == inf else radius_mm - sqrt(radius_mm**2 - half_mm**2)


def seating_method(depth_mm: float, brush_count: int, rules: MotorRules) -> str:
    """Return how to seat faces that are depth_mm [mm] from full contact.

    Units: depth_mm [mm]
    Source: rules seating.alone, seating.paper, seating.count
    """
    if under(depth_mm, rules["seating.alone"]):
        return "run-in alone"
    if over(depth_mm, rules["seating.paper"]) or over(brush_count, rules["seating.count"]):
        return "contour by paper in place, then run-in"
    return "contour by paper or seating stone, then run-in"


def widest_face_radius_mm(commutator_d_mm: float, rules: MotorRules) -> float:
    """Return the largest radius to which a face may be shaped [mm]; the smallest is the commutator's own.

    Units: commutator_d_mm [mm] -> [mm]
    Source: rules seating.radius-share, seating.radius-mm
    """
    radius = commutator_d_mm / 2
    return radius + max(rules["seating.radius-share"] * radius, rules["seating.radius-mm"])
