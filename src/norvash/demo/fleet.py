"""The motors of the Lanternmoor Playhouse: an invented theatre, its machines and their figures."""

from datetime import date

from norvash.demo.drives import DRIVES
from norvash.demo.tools import TOOLS

DEMO_DAY = date(2026, 11, 24)
PEOPLE = ("Ines Torvald", "Bram Aldous", "Maud Celliers")

# What the stand-in gauge of the demo measures, one after the other.
GAUGE_VALUES = ("11.84 mm", "11.79 mm", "11.91 mm", "11.66 mm")
# What the stand-in meter of a run reads, one after the other.
METER_VALUES = ("109 V 12.9 A 569 r/min 41 C", "110 V 12.6 A 572 r/min 43 C", "110 V 12.4 A 574 r/min 45 C")

# Days on which the house is dark, relative to the demonstration's year: name, first and last day, every year, place.
WINDOWS = (
    ("Summer, house dark", "2023-07-01", "2023-08-31", "yes", ""),
    ("Get-in of the winter piece", "2026-12-07", "2026-12-13", "no", "stage"),
    ("February refit", "2027-02-08", "2027-02-21", "no", ""),
)
# The maker's table for the paint-frame hoist: use so far, depth, hours to the next look.
HOIST_TABLE = """h;26;30;34;38;42
200;300;240;180;90;30
400;420;360;260;140;50
800;620;500;360;210;70
1600;760;620;450;260;90
"""

# In the order in which they came into the book.
_TAGS = (
    "W-02 W-01 R-01 L-01 H-01 C-01 TG-01 T-11 T-12 T-13 T-15 A-07 A-03 A-09"
    " S-03 S-05 G-01 P-01 G-02 T-14 T-16 A-11 A-12 A-10 S-07 H-02 L-02 G-03"
)
_BY_TAG = {m.tag: m for m in (*DRIVES, *TOOLS)}
MACHINES = tuple(_BY_TAG[tag] for tag in _TAGS.split())
