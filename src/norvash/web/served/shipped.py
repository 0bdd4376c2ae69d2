"""Styles, scripts and fonts: read once and packed once, for a browser that comes with nothing kept waits for each."""

import gzip
import re
from functools import cache
from mimetypes import guess_type
from pathlib import Path

from fastapi.responses import Response
from fastapi.staticfiles import StaticFiles
from starlette.datastructures import Headers
from starlette.types import Scope

from norvash.web.templating import STATIC

_HARDEST = 9
_TEXTS = (".css", ".js", ".svg")
_ALL_STYLES = "styles/all.css"
# In the order in which one stands over the other.
_STYLES = (
    *("tokens", "components", "page", "verdict", "bench", "narrow", "forms", "drawings", "inks"),
    *("sheet", "findings", "brushes", "sheet-narrow", "parts", "stacks", "cutaway", "first", "print"),
)


@cache
def _names() -> frozenset[str]:
    return frozenset({_ALL_STYLES, *(str(path.relative_to(STATIC)) for path in STATIC.rglob("*") if path.is_file())})


@cache
def _read(name: str) -> tuple[bytes, bytes | None]:
    """Return a file, and packed where that makes it smaller."""
    content = _all_styles() if name == _ALL_STYLES else (STATIC / name).read_bytes()
    return content, gzip.compress(content, _HARDEST) if name.endswith(_TEXTS) else None


def _all_styles() -> bytes:
    files = [STATIC / "vendor/bootstrap.used.css", *(STATIC / f"styles/{name}.css" for name in _STYLES)]
    return b"\n".join(path.read_bytes() for path in files)


class Shipped(StaticFiles):
    """What ships, below the name of a build, whichever: an address changes when its content may have.

    All styles are one file: a first view asks once for what it cannot be painted without.
    """

    async def get_response(self, path: str, scope: Scope) -> Response:
        """Return a file, packed for whoever takes it so."""
        name = re.sub(r"^b-[0-9a-f]{8}/", "", Path(path).as_posix())
        if scope["method"] != "GET" or name not in _names():
            return await super().get_response(name, scope)
        content, packed = _read(name)
        kind = guess_type(name)[0] or "application/octet-stream"
        if packed is None or "gzip" not in Headers(scope=scope).get("accept-encoding", ""):
            return Response(content, media_type=kind)
        return Response(packed, media_type=kind, headers={"Content-Encoding": "gzip", "Vary": "Accept-Encoding"})
