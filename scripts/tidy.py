"""Holds styles and scripts to one shape: one declaration, one statement a line; --fix writes them so."""

import sys
from pathlib import Path

import cssbeautifier
import jsbeautifier

STATIC = Path(__file__).resolve().parent.parent / "src/norvash/web/static"


def tidied(path: Path) -> str:
    """Return a file as it is to be written."""
    if path.suffix == ".css":
        css = cssbeautifier.default_options()
        css.indent_size, css.end_with_newline = 2, True
        return str(cssbeautifier.beautify(path.read_text(), css))
    js = jsbeautifier.default_options()
    js.indent_size, js.end_with_newline, js.max_preserve_newlines = 2, True, 2
    js.space_after_anon_function, js.brace_style, js.preserve_newlines = True, "collapse,preserve-inline", True
    return str(jsbeautifier.beautify(path.read_text(), js))


def main() -> None:
    """Tell which files are not in shape, or bring them into it."""
    own = sorted(p for kind in ("*.css", "*.js") for p in STATIC.rglob(kind) if "vendor" not in p.parts)
    other = [p for p in own if p.read_text() != tidied(p)]
    if "--fix" in sys.argv:
        for path in other:
            path.write_text(tidied(path))
    elif other:
        sys.exit(f"not in shape, mend by `scripts/tidy.py --fix`: {', '.join(p.name for p in other)}")


if __name__ == "__main__":
    main()
