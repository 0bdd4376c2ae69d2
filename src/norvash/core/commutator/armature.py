"""What a bar test must know of an armature, and which readings hold which coil."""

from dataclasses import dataclass

WINDINGS = ("lap", "wave", "unknown")


@dataclass(frozen=True, slots=True, kw_only=True)
class Armature:
    """What a bar test must know of an armature; the commutator pitch is the bars from one end of a coil to the other.

    `turns` are those of one coil, None where they are not known.
    """

    bars: int
    pole_pairs: int = 1
    winding: str = "unknown"
    pitch: int | None = None
    slots: int | None = None
    turns: int | None = None

    @property
    def places(self) -> int:
        """Return at how many readings one coil of the winding shows."""
        return 1 if self.winding == "lap" else self.pole_pairs

    @property
    def pitches(self) -> tuple[int, ...]:
        """Return the wave pitches that are whole, the stated one only where there is one."""
        if self.pitch is not None:
            return (self.pitch,)
        p = self.pole_pairs
        return tuple((self.bars + s) // p for s in (-1, 1) if p > 1 and (self.bars + s) % p == 0)


def readings_of_coil(start: int, pitch: int, armature: Armature) -> tuple[int, ...]:
    """Return the readings of a wave winding that hold the coil which starts at a bar.

    >>> readings_of_coil(7, 14, Armature(bars=29, pole_pairs=2, winding="wave", pitch=14))
    (6, 21)
    """
    back = 1 if pitch * armature.pole_pairs == armature.bars - 1 else 0
    return tuple(sorted((start - back - j * pitch - 1) % armature.bars + 1 for j in range(armature.pole_pairs)))
