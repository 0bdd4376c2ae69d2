"""The colours of pages and drawings, in light and in dark, and the inks that drawings are drawn with.

Styles for the browser are written from here, and a drawing that is saved as a file carries the light ones itself.
"""

# What is told apart by its name: in light, in dark.
COLOURS: dict[str, tuple[str, str]] = {
    "paper": ("#f5f0e6", "#1c1f22"),
    "sheet": ("#fbf8f1", "#24282c"),
    "ink": ("#23272a", "#ece5d6"),
    "soft": ("#5c584e", "#b0a998"),
    "line": ("#d9d0bc", "#3c4146"),
    "edge": ("#8a8372", "#80796b"),
    "carbon": ("#2b2f33", "#7f878d"),
    "carbon-old": ("#85898a", "#555c62"),
    "copper": ("#b5652f", "#c97a42"),
    "copper-deep": ("#94451a", "#e3965c"),
    "brass": ("#ddd0ae", "#57503f"),
    "steel": ("#9c9a94", "#7b8085"),
    "steel-pale": ("#d8d6d0", "#4b5055"),
    "fit": ("#22665a", "#74c4b3"),
    "watch": ("#4c5358", "#bfc6cb"),
    "plan": ("#7d5200", "#e2b04f"),
    "change": ("#b02a1d", "#f08a78"),
    "stop": ("#7d1010", "#ff7a6e"),
    "bar": ("#24292d", "#121416"),
    "bar-ink": ("#d9d2c3", "#d9d2c3"),
    "bar-soft": ("#a29b8c", "#a29b8c"),
    "bar-here": ("#ffffff", "#ffffff"),
    "film-even": ("#7a4a2c", "#7a4a2c"),
    "film-light": ("#d8a273", "#d8a273"),
    "film-dark": ("#4a2f1e", "#4a2f1e"),
    "burn": ("#16181a", "#16181a"),
    "streak": ("#2b2f33", "#2b2f33"),
    "thread": ("#f5f0e6", "#f5f0e6"),
    "groove": ("#8e4d22", "#8e4d22"),
    "pass": ("#fbf8f1", "#fbf8f1"),
}
_LINE = {"fill": "none"}
_TEXT = {"font-family": "sans-serif", "font-size": "13"}
# An ink is a set of presentation attributes; `@` stands before the name of a colour.
INKS: dict[str, dict[str, str]] = {
    "carbon": {"fill": "@carbon"},
    "carbon-old": {"fill": "@carbon-old"},
    "carbon-chosen": {"fill": "@copper-deep"},
    # A line as thick on a turned and scaled part as elsewhere; a place to tap that is larger than what is drawn there.
    "even": {"vector-effect": "non-scaling-stroke"},
    "touch": {"fill": "transparent"},
    "gone": _LINE | {"stroke": "@edge", "stroke-dasharray": "3 3"},
    "hatch": _LINE | {"stroke": "@paper", "stroke-width": "3.4"},
    "hatch-ground": {"fill": "@carbon"},
    "copper": {"fill": "@copper"},
    "copper-line": _LINE | {"stroke": "@copper-deep", "stroke-width": "2"},
    "copper-dash": _LINE | {"stroke": "@copper-deep", "stroke-width": "2", "stroke-dasharray": "7 4"},
    "brass": {"fill": "@brass"},
    "slots": _LINE | {"stroke": "@paper", "stroke-width": "1.2"},
    "slot-ring": _LINE | {"stroke": "@paper"},
    "steel": {"fill": "@steel"},
    "box": _LINE | {"stroke": "@edge", "stroke-width": "1.2"},
    "rule": _LINE | {"stroke": "@line", "stroke-width": "1"},
    "axis": _LINE | {"stroke": "@edge", "stroke-width": "1"},
    "track": _LINE | {"stroke": "@carbon", "stroke-width": "2.4"},
    "track-thin": _LINE | {"stroke": "@carbon", "stroke-width": "1", "stroke-opacity": "0.6"},
    "past": _LINE | {"stroke": "@edge", "stroke-width": "1.6"},
    "ahead": _LINE | {"stroke": "@ink", "stroke-width": "2", "stroke-dasharray": "6 5"},
    "fan": {"fill": "@copper", "fill-opacity": "0.28"},
    "fan-half": {"fill": "@copper", "fill-opacity": "0.38"},
    "straight": _LINE | {"stroke": "@soft", "stroke-width": "1.3", "stroke-dasharray": "2 4"},
    "look": _LINE | {"stroke": "@fit", "stroke-width": "1.6", "stroke-dasharray": "5 3"},
    "visit": {"fill": "@fit"},
    "ground": {"fill": "@paper"},
    "ground-sheet": {"fill": "@sheet"},
    "glint": {"fill": "@sheet", "fill-opacity": "0.45"},
    "plan-ink": {"fill": "@plan", "fill-opacity": "0.75"},
    "track-hot": _LINE | {"stroke": "@plan", "stroke-width": "2.4"},
    "dark": {"fill": "@edge", "fill-opacity": "0.22"},
    "touching": _LINE | {"stroke": "@fit", "stroke-width": "5"},
    "dot": {"fill": "@carbon"},
    "dot-past": {"fill": "@paper", "stroke": "@edge", "stroke-width": "1.6"},
    "dot-note": {"fill": "@paper", "stroke": "@ink", "stroke-width": "2"},
    "dot-doubt": {"fill": "@paper", "stroke": "@change", "stroke-width": "2.4"},
    "film-even": {"fill": "@film-even"},
    "film-light": {"fill": "@film-light"},
    "film-dark": {"fill": "@film-dark"},
    "burn": {"fill": "@burn"},
    "streak": _LINE | {"stroke": "@streak", "stroke-width": "1.2"},
    "thread": _LINE | {"stroke": "@thread", "stroke-width": "0.8"},
    "groove": {"fill": "@groove"},
    "flat": _LINE | {"stroke": "@thread", "stroke-width": "1.6"},
    "limit-ring": _LINE | {"stroke": "@copper", "stroke-opacity": "0.25"},
    "limit-below": {"fill": "@plan", "fill-opacity": "0.35"},
    "pass-line": _LINE | {"stroke": "@pass", "stroke-width": "1", "stroke-dasharray": "4 3"},
    "break": _LINE | {"stroke": "@paper", "stroke-width": "3"},
    "scribed": _LINE | {"stroke": "currentColor", "stroke-width": "1.6"},
    "cuts": _LINE | {"stroke": "currentColor", "stroke-width": "3"},
    "slot-empty": _LINE | {"stroke": "currentColor", "stroke-width": "1.2"},
    "late": {"fill": "@stop"},
    "limit-sign": {"stroke": "@copper-deep"},
    "span": {"fill": "currentColor", "fill-opacity": "0.25"},
    "peg": {"fill": "currentColor"},
    "steel-pale": {"fill": "@steel-pale"},
    # A section: what nobody has looked at yet is a pencil outline, what was looked at has its material and its edge.
    "pencil": {"fill": "@paper", "stroke": "@edge", "stroke-width": "0.8", "stroke-dasharray": "none"},
    "part": {"stroke": "@ink", "stroke-width": "0.8", "stroke-linejoin": "round"},
    "cast": {"fill": "url(#cast)"},
    "cast-line": _LINE | {"stroke": "@edge", "stroke-width": "0.8"},
    "bars": _LINE | {"stroke": "@paper", "stroke-width": "0.7"},
    "sheets": _LINE | {"stroke": "@edge", "stroke-width": "0.5"},
    "wire": _LINE | {"stroke": "@ink", "stroke-width": "0.7"},
    "wires": _LINE | {"stroke": "@paper", "stroke-width": "0.7"},
    "notch": _LINE | {"stroke": "@copper-deep", "stroke-width": "2"},
    "carbon-line": _LINE | {"stroke": "@carbon", "stroke-width": "2.4"},
    "axis-line": _LINE | {"stroke": "@edge", "stroke-width": "0.8", "stroke-dasharray": "14 3 3 3"},
    "leader": _LINE | {"stroke": "@edge", "stroke-width": "0.9"},
    "halo": {
        "fill": "@copper",
        "fill-opacity": "0.3",
        "stroke": "@copper",
        "stroke-opacity": "0.3",
        "stroke-width": "10",
    },
    "ring": _LINE | {"stroke": "currentColor", "stroke-width": "3.2", "stroke-linejoin": "round"},
    "ring-done": {"stroke-dasharray": "6 4", "stroke-width": "2.4"},
    "ring-pale": _LINE | {"stroke": "@paper", "stroke-width": "0.9"},
    "ring-proven": _LINE | {"stroke": "@copper-deep", "stroke-width": "1.8"},
    "pin": {"fill": "currentColor", "stroke": "@paper", "stroke-width": "1"},
    "pin-dot": {"fill": "@ink"},
    "pin-open": {"fill": "@paper", "stroke": "@ink", "stroke-width": "1.2"},
    "pin-half": {"fill": "@ink"},
    "pin-proven": {"fill": "@copper-deep"},
    "text": _TEXT | {"fill": "@ink"},
    "text-tag": _TEXT | {"fill": "@ink", "font-weight": "600"},
    "text-soft": _TEXT | {"fill": "@soft", "font-size": "12"},
    "text-copper": _TEXT | {"fill": "@copper-deep"},
    "numeral": _TEXT | {"fill": "@ink", "font-size": "20", "font-weight": "600"},
    "text-late": {"fill": "@stop"},
}


def printed(ink: str) -> dict[str, str]:
    """Return the attributes of an ink for a drawing that is saved or printed: nothing for an unknown one."""
    return {name: COLOURS[v[1:]][0] if v.startswith("@") else v for name, v in INKS.get(ink, {}).items()}


def stylesheet() -> str:
    """Return colours and inks as the browser's styles; the letters of drawings are set by the drawings' own."""
    lines = ["/* Written by `make styles` from the list of colours and inks of the drawings. */", ":root {"]
    lines += [f"  --{name}: {_either(light, dark)};" for name, (light, dark) in COLOURS.items()]
    lines += ["}", ""]
    for ink, attributes in INKS.items():
        shown = {k: v for k, v in attributes.items() if not k.startswith("font")}
        lines.append(f"{_selector(ink)} {{")
        lines += [f"  {k}: {f'var(--{v[1:]})' if v.startswith('@') else v};" for k, v in shown.items()]
        lines += ["}", ""]
    return "\n".join(lines[:-1]) + "\n"


def _selector(ink: str) -> str:
    """Return what finds an ink: its class alone, for what a page defines once is shown in trees of their own."""
    if "text" in ink or ink == "numeral":
        return f".drawing text.{ink}"
    return f"{_SHAPES}.{ink}" if ink in _ALSO_OF_PAGES else f".{ink}"


# Inks whose names are those of things on pages too: there they would be handed down to the drawings inside.
_ALSO_OF_PAGES = ("axis", "dark", "gone", "look", "part", "rule", "sheets", "span", "visit")
_SHAPES = ":is(path, rect, circle)"


def _either(light: str, dark: str) -> str:
    return light if light == dark else f"light-dark({light}, {dark})"
