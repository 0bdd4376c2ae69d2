"""What was measured, as it is written into the docs."""

import sys
from datetime import date

from norvash.bench.fleet import MOTORS
from norvash.bench.ground import LIVES
from norvash.bench.over_wanted import over_wanted
from norvash.bench.playing import ENTRIES


def report(
    pages: dict[str, float],
    saved: dict[str, float],
    typed: tuple[float, float],
    *,
    painted: dict[str, float],
    start: float,
    first: float,
    ahead: dict[str, float],
    imported_s: float,
    noted_s: float,
    played_s: float,
    copper: dict[str, float],
    written: dict[str, float],
    ground: dict[str, float],
    signed: dict[str, float],
) -> str:
    """Return the figures as a Markdown page."""
    bare_ms = pages["bare page, ms"]
    rows = [
        *_of_pages(pages, painted),
        *_of_saving(saved, typed, played_s),
        *_of_writing(written, bare_ms),
        *_of_ground(ground, bare_ms),
        (
            f"| entries by eight clients in 20 s that were not taken, of {written['kept']:.0f} |"
            f" {written['errors']:.0f} | 0 |"
        ),
        *_of_signing_in(signed),
        *_of_forecasts(ahead),
        *_of_drawings(copper, bare_ms),
        f"| 100 000 readings from a file into the log | {imported_s:.1f} s | 10 s |",
        (
            f"| 10 000 notes of 500 motors from a table into the record, forecasts included, {noted_s:.1f} s, over that"
            f" | {noted_s / imported_s:.1f} × | 4 × |"
        ),
        (
            "| start to first page on the demo's database, over an application that only imports fastapi and numpy |"
            f" {start:.2f} × | 1.35 × |"
        ),
        f"| the first entry, two seconds after the first page of a start, over later ones | {first:.1f} × | 3 × |",
    ]
    lines = [
        "# Performance\n",
        (
            f"Written by `make bench` on {date.today():%Y-%m-%d}, Python {sys.version.split()[0]}. All figures of one"
            " run; the ratios"
        ),
        (
            f"matter, not the machine. {MOTORS} motors of four brushes, five rounds and a year of log each. A saved"
            " reading waits"
        ),
        "for the disk: where a bare commit is slow, it is too.\n",
        *over_wanted(rows),
        "| what | measured | wanted |",
        "|---|---|---|",
        *rows,
    ]
    return "\n".join(lines) + "\n"


def _of_pages(pages: dict[str, float], painted: dict[str, float]) -> list[str]:
    return [
        *(
            f"| {name}, over a bare page with a table of 200 rows | {ratio:.2f} × | {_wanted(name)} |"
            for name, ratio in pages.items()
            if "ms" not in name
        ),
        f"| the bare page itself | {pages['bare page, ms']:.1f} ms | |",
        *(
            f"| largest paint of {name} in a browser with nothing kept, over that of the bare page | {ratio:.2f} × |"
            " 2.5 × |"
            for name, ratio in painted.items()
            if name != "bare"
        ),
        f"| the largest paint of the bare page | {painted['bare']:.0f} ms | |",
    ]


def _of_saving(saved: dict[str, float], typed: tuple[float, float], played_s: float) -> list[str]:
    return [
        f"| a reading saved with its new verdict, 95th percentile | {saved['saved']:.1f} ms | 50 ms |",
        (
            "| a bare commit of one row on the same disk, in turns with it, 95th percentile |"
            f" {saved['bare commit']:.1f} ms | |"
        ),
        (
            f"| one more point of a run-in of two thousand, {saved['point, ms']:.1f} ms, over a saved reading |"
            f" {saved['point, ms'] / saved['median']:.2f} × | 1.5 × |"
        ),
        f"| the answer to that point | {saved['point, bytes'] / 1000:.1f} kB | 4 kB |",
        f"| a reading saved with its new verdict, median | {saved['median']:.1f} ms | |",
        (
            f"| a whole job of {ENTRIES} entries played from its file, {played_s:.2f} s, over that median |"
            f" {1000 * played_s / saved['median']:.0f} × | 150 × |"
        ),
        f"| the same with its answer page | {saved['saved and answered']:.1f} ms | |",
        f"| an entry on a sheet with its answer page while four others type, 95th percentile | {typed[0]:.1f} ms | |",
        f"| the same, over the bare page between those entries | {typed[0] / typed[1]:.1f} × | 8 × |",
    ]


def _of_writing(written: dict[str, float], bare_ms: float) -> list[str]:
    anew_ms = 1000 * written["all_s"] / MOTORS
    return [
        f"| statements of a length that replaces another on an open sheet | {written['statements']:.0f} | 25 |",
        f"| how often its motor is read for that | {written['reads']:.0f} | 1 |",
        (
            f"| a rule changed at {MOTORS} motors: judged again, a motor, {anew_ms:.2f} ms, over the bare page |"
            f" {anew_ms / bare_ms:.2f} × | 0.85 × |"
        ),
        (
            f"| the longest of {written['writes']:.0f} writes meanwhile, {written['longest']:.0f} ms (200 bare commits"
            f" take {200 * written['commit']:.0f} ms), over the bare page |"
            f" {written['longest'] / bare_ms:.0f} × | 75 × |"
        ),
    ]


def _of_ground(ground: dict[str, float], bare_ms: float) -> list[str]:
    return [
        (
            f"| a figure changed under an open sheet, {ground['under']:.1f} ms, over one changed without |"
            f" {ground['under'] / ground['without']:.1f} × | 3 × |"
        ),
        (
            f"| a site's rule on which {LIVES} findings rest asks with their list, {ground['rule']:.0f} ms, over the"
            f" bare page | {ground['rule'] / bare_ms:.0f} × | 300 × |"
        ),
    ]


def _of_signing_in(signed: dict[str, float]) -> list[str]:
    return [
        f"| twenty people who sign in at once, {signed['took']:.1f} s: refused | {signed['refused']:.0f} | 0 |",
        f"| most memory more meanwhile | {signed['memory']:.0f} MB | 60 MB |",
        f"| the register meanwhile, median, over its usual | {signed['pages']:.1f} × | 2 × |",
    ]


def _of_forecasts(ahead: dict[str, float]) -> list[str]:
    return [
        f"| forecasts of 10 000 motors of four brushes and five visits, hours and days | {ahead['fleet_s']:.2f} s | |",
        (
            "| the same by least squares in a loop over the worst brush (scipy.stats.linregress), over ours |"
            f" {ahead['linregress_x']:.1f} × | at least 4 × |"
        ),
        f"| the same by the leanest loop (numpy.polyfit), over ours | {ahead['polyfit_x']:.1f} × | at least 1.3 × |",
        f"| most memory while forecasting them | {ahead['memory_mb']:.0f} MB | 500 MB |",
        f"| one motor's forecast, median | {ahead['one_ms']:.1f} ms | 10 ms |",
    ]


def _of_drawings(copper: dict[str, float], bare_ms: float) -> list[str]:
    return [
        (
            f"| spacings sought among 60 spots on 400 bars, slowest of the kinds tried | {copper['pattern_ms']:.1f} ms"
            " | 20 ms |"
        ),
        f"| a bar map of 400 bars drawn, every bar marked | {copper['map_ms']:.1f} ms | 15 ms |",
        f"| the same, over the bare page | {copper['map_ms'] / bare_ms:.1f} × | |",
        (
            f"| a motor drawn in section, every part found, level and upright, {copper['section_ms']:.1f} ms, over the"
            f" bare page | {copper['section_ms'] / bare_ms:.2f} × | 0.6 × |"
        ),
        f"| the same, packed | {copper['section_kb']:.1f} kB | 12 kB |",
    ]


def _wanted(name: str) -> str:
    if name in ("motor", "register", "register, a search", "outlook", "outlook, a place"):
        return "2.5 ×"
    if "two thousand points" in name or "forty findings" in name:
        return "4 ×"
    if name in ("sheet, its brushes", "sheet, the call", "sheet, what is decided"):
        return "2.5 ×"
    return "3 ×" if name == "bench" or name.startswith("sheet") else ""
