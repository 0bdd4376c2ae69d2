"""Brings styles, scripts and fonts from npm packages into the application.

--check works offline; --used writes the rules of the vendored stylesheet that a page can use, which is what is served.
"""

import hashlib
import io
import json
import re
import subprocess
import sys
import tarfile
import tempfile
from pathlib import Path

import tinycss2
from tinycss2.ast import Node

SOURCE = Path(__file__).resolve().parent.parent / "src/norvash"
VENDOR = SOURCE / "web/static/vendor"
USED = "bootstrap.used.css"
ALPINE_LICENCE = """MIT License

Copyright (c) 2019-2026 Caleb Porzio and contributors

Permission is hereby granted, free of charge, to any person obtaining a copy of this software and associated
documentation files (the "Software"), to deal in the Software without restriction, including without limitation the
rights to use, copy, modify, merge, publish, distribute, sublicense, and/or sell copies of the Software, and to permit
persons to whom the Software is furnished to do so, subject to the following conditions:

The above copyright notice and this permission notice shall be included in all copies or substantial portions of the
Software.

THE SOFTWARE IS PROVIDED "AS IS", WITHOUT WARRANTY OF ANY KIND, EXPRESS OR IMPLIED, INCLUDING BUT NOT LIMITED TO THE
WARRANTIES OF MERCHANTABILITY, FITNESS FOR A PARTICULAR PURPOSE AND NONINFRINGEMENT. IN NO EVENT SHALL THE AUTHORS OR
COPYRIGHT HOLDERS BE LIABLE FOR ANY CLAIM, DAMAGES OR OTHER LIABILITY, WHETHER IN AN ACTION OF CONTRACT, TORT OR
OTHERWISE, ARISING FROM, OUT OF OR IN CONNECTION WITH THE SOFTWARE OR THE USE OR OTHER DEALINGS IN THE SOFTWARE.
"""
_ALPINE = "3.17.4"
_TEXT, _NUMERALS = "@fontsource/atkinson-hyperlegible-next", "@fontsource/barlow-condensed"
PACKAGES: dict[tuple[str, str], dict[str, str]] = {
    ("bootstrap", "5.3.9"): {"dist/css/bootstrap.min.css": "bootstrap.min.css", "LICENSE": "bootstrap.LICENCE.txt"},
    ("@alpinejs/csp", _ALPINE): {"dist/module.esm.min.js": "alpine-csp.min.js"},
    ("@alpinejs/morph", _ALPINE): {"dist/module.esm.min.js": "alpine-morph.min.js"},
    ("idb-keyval", "6.3.0"): {"dist/index.js": "idb-keyval.js", "LICENCE": "idb-keyval.LICENCE.txt"},
    (_TEXT, "5.3.0"): {
        **{
            f"files/atkinson-hyperlegible-next-{subset}-{weight}-normal.woff2": f"text-{subset}-{weight}.woff2"
            for subset in ("latin", "latin-ext")
            for weight in (400, 600)
        },
        "LICENSE": "text-font.LICENCE.txt",
    },
    (_NUMERALS, "5.3.0"): {
        "files/barlow-condensed-latin-600-normal.woff2": "numerals-latin-600.woff2",
        "LICENSE": "numerals-font.LICENCE.txt",
    },
}


def fetch() -> None:
    """Take the files out of their packages and write the manifest."""
    VENDOR.mkdir(parents=True, exist_ok=True)
    manifest: dict[str, dict[str, str]] = {}
    for (package, version), wanted in PACKAGES.items():
        with tempfile.TemporaryDirectory() as folder:
            subprocess.run(
                ["npm", "pack", "--silent", f"{package}@{version}"], cwd=folder, check=True, stdout=subprocess.DEVNULL
            )
            packed = next(Path(folder).glob("*.tgz")).read_bytes()
        with tarfile.open(fileobj=io.BytesIO(packed)) as archive:
            for inside, name in wanted.items():
                taken = archive.extractfile(f"package/{inside}")
                assert taken is not None
                content = taken.read()
                if name.endswith((".css", ".js")):
                    content = b"\n".join(
                        x
                        for x in content.split(b"\n")
                        if not x.startswith((b"//# sourceMapping", b"/*# sourceMapping"))
                    )
                (VENDOR / name).write_bytes(content)
                manifest[name] = {"package": package, "version": version, "sha256": _sum(VENDOR / name)}
    for package in ("csp", "morph"):
        name = f"alpine-{package}.LICENCE.txt"
        (VENDOR / name).write_text(ALPINE_LICENCE)
        manifest[name] = {"package": f"@alpinejs/{package}", "version": _ALPINE, "sha256": _sum(VENDOR / name)}
    (VENDOR / "manifest.json").write_text(json.dumps(manifest, indent=2, sort_keys=True) + "\n")


def used_rules() -> str:
    """Return the vendored stylesheet without the rules whose classes no page, script or drawing names."""
    files = [p for folder in ("web", "drawing") for p in (SOURCE / folder).rglob("*") if "vendor" not in p.parts]
    named = set[str]()
    for path in files:
        if path.suffix in (".html", ".js", ".py"):
            named.update(re.findall(r"[A-Za-z][\w-]*", path.read_text()))
    sheet = (VENDOR / "bootstrap.min.css").read_text()
    return "".join(_used(tinycss2.parse_stylesheet(sheet, skip_whitespace=True), named)) + "\n"


def _used(rules: list[Node], named: set[str]) -> list[str]:
    kept = []
    for rule in rules:
        if rule.type == "qualified-rule":
            prelude = ",".join(one for one in _selectors(rule.prelude) if _classes(one) <= named)
            if prelude:
                kept.append(f"{prelude}{{{tinycss2.serialize(rule.content)}}}")
        elif rule.type == "at-rule" and rule.lower_at_keyword in ("media", "supports"):
            inside = _used(tinycss2.parse_rule_list(rule.content, skip_whitespace=True), named)
            if inside:
                kept.append(f"@{rule.at_keyword}{tinycss2.serialize(rule.prelude)}{{{''.join(inside)}}}")
        else:
            kept.append(rule.serialize())
    return kept


def _selectors(prelude: list[Node]) -> list[str]:
    parts: list[list[Node]] = [[]]
    for token in prelude:
        if token == ",":
            parts.append([])
        else:
            parts[-1].append(token)
    return [tinycss2.serialize(part) for part in parts]


def _classes(selector: str) -> set[str]:
    return set(re.findall(r"\.([A-Za-z][\w-]*)", selector))


def _sum(path: Path) -> str:
    return hashlib.sha256(path.read_bytes()).hexdigest()


def check() -> list[str]:
    """Return what differs between the files and the manifest."""
    manifest = json.loads((VENDOR / "manifest.json").read_text())
    there = {p.name for p in VENDOR.iterdir()} - {"manifest.json", USED}
    wrong = [f"{n}: not in the manifest" for n in sorted(there - manifest.keys())]
    wrong += [f"{n}: missing" for n in sorted(manifest.keys() - there)]
    wrong += [f"{n}: changed" for n, m in manifest.items() if n in there and _sum(VENDOR / n) != m["sha256"]]
    if not wrong and (VENDOR / USED).read_text() != used_rules():
        wrong.append(f"{USED}: not the rules that are used; make styles writes it")
    return wrong


if __name__ == "__main__":
    if not {"--check", "--used"} & set(sys.argv):
        fetch()
    if "--check" not in sys.argv:
        (VENDOR / USED).write_text(used_rules())
    if problems := check():
        sys.exit("vendored files: " + "; ".join(problems))
