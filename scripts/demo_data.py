"""Plays the playhouse's record anew, job by job, and packs it where it ships from."""

import tempfile
from pathlib import Path

from norvash.demo.playhouse import play
from norvash.demo.shipped import PACKED, pack

with tempfile.TemporaryDirectory() as folder:
    path = Path(folder) / "playhouse.db"
    play(path)
    size = pack(path, Path("src/norvash/demo") / PACKED)
print(f"The playhouse is played anew and packed: {size / 1000:.0f} kB.")
