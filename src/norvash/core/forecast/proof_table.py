"""What the proof is held to, and its outcome as a table."""

from math import inf
from statistics import fmean, median

from norvash.core.forecast.proof import Tally, share

TARGETS = {
    0: ((0.78, 0.90), (0.88, 0.95), 0.06, 1.8),
    1: ((0.78, 0.88), (0.88, 0.95), 0.055, 0.42),
    2: ((0.78, 0.88), (0.88, 0.95), 0.055, 0.26),
    3: ((0.78, 0.89), (0.88, 0.95), 0.055, 0.20),
    5: ((0.78, 0.89), (0.88, 0.95), 0.055, 0.155),
}


# Where the past or the fitting is only known roughly, bands may hold a little less; widths are told, not held. A gauge
# that nobody zeroed says nothing before it was read twice: after that its bands hold like those of any other.
ROUGH = ((0.76, 0.90), (0.86, 0.96))
BY_DEPTH = ((0.78, 0.89), (0.88, 0.96))


def table(tallies: dict[int, Tally], kind: str = "measured") -> str:
    """Return the outcome as a table in Markdown; a figure outside its target is marked with an exclamation mark."""
    head = (
        "| visits | sets | 80 % band holds | 90 % band holds | look-again later than the truth | width of the 80 %"
        " band, median | mean | 80 % band of dates holds | look-again day late | hand sum late | least squares, 80 %"
        " band holds |"
    )
    lines = [head, "|" + "--:|" * 11]
    for n, t in tallies.items():
        (low80, high80), (low90, high90), late, wide = _aims(kind, n)
        cells = [
            str(n),
            str(len(t.band80)),
            _marked(share(t.band80), low80, high80),
            _marked(share(t.band90), low90, high90),
            _marked(share(t.late), 0, late),
            _marked(median(t.width), 0, wide),
            f"{fmean(t.width):.3f}",
            f"{share(t.dates80):.3f}",
            f"{share(t.dates_late):.3f}",
            f"{share(t.hand_late):.3f}" if t.hand_late else "–",
            f"{share(t.line80):.3f}" if t.line80 else "–",
        ]
        lines.append("| " + " | ".join(cells) + " |")
    return "\n".join(lines) + "\n"


def _aims(kind: str, visits: int) -> tuple[tuple[float, float], tuple[float, float], float, float]:
    """Return within what the two bands must hold, the most that may come late, and the widest band."""
    if kind == "measured":
        return TARGETS[visits]
    if kind == "depth":
        return (*(BY_DEPTH if visits else ((0.0, 1.0), (0.0, 1.0))), 0.055 if visits else 1.0, inf)
    return (*ROUGH, 1.0, inf)


def _marked(value: float, low: float, high: float) -> str:
    return f"{value:.3f}" + ("" if low <= round(value, 3) <= high else " !")
