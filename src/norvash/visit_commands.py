"""The commands about a visit as a file."""

import argparse
from contextlib import closing
from datetime import date
from pathlib import Path

from norvash.errors import NorvashError


def there(db: Path) -> Path:
    """Return the path of a database.

    Raises: NorvashError where there is none.
    """
    if not db.exists():
        raise NorvashError(f"There is no database {db}.", "Give the path of an existing one.")
    return db


def sheet_export(given: argparse.Namespace) -> None:
    """Write a sheet as the file that plays it."""
    from norvash.exchange.visit_export import export_text
    from norvash.store.file.ready import open_to_read

    with closing(open_to_read(there(given.db))) as conn:
        print(export_text(conn, given.id))


def sheet_measured(given: argparse.Namespace) -> None:
    """Write what was measured on a sheet as CSV: of a signed one as it was kept with its signature."""
    from norvash.exchange.measured_csv import measured_csv
    from norvash.store.file.ready import open_to_read

    with closing(open_to_read(there(given.db))) as conn:
        print(measured_csv(conn, given.id, date.today()).decode("utf-8-sig"), end="")


def sheet_play(given: argparse.Namespace) -> int:
    """Play a visit in from its file, through the same jobs and at its own times."""
    from norvash.exchange.visit_play import play_file, played_text

    played = play_file(given.file, given.db, given.by, go_on=given.go_on)
    print(played_text(played, as_json=given.json))
    return 3 if played.stopped else 0


def add_to(commands: "argparse._SubParsersAction[argparse.ArgumentParser]") -> None:
    """Add what is done with a visit as a file."""
    visits = commands.add_parser(
        "sheet", help="A visit as a file: export a sheet, play one in, write what was measured."
    )
    kinds = visits.add_subparsers(required=True, metavar="what")
    one = kinds.add_parser("export", help=sheet_export.__doc__)
    one.add_argument("id", help="id of the sheet, as its page's address has it")
    one.add_argument("--db", type=Path, required=True, help="database file")
    one.set_defaults(run=sheet_export)
    one = kinds.add_parser("measured", help=sheet_measured.__doc__)
    one.add_argument("id", help="id of the sheet, as its page's address has it")
    one.add_argument("--db", type=Path, required=True, help="database file")
    one.set_defaults(run=sheet_measured)
    one = kinds.add_parser("play", help=sheet_play.__doc__)
    one.add_argument("file", type=Path, help="the visit, as JSON")
    one.add_argument("--db", type=Path, required=True, help="database file; a new one is made")
    one.add_argument("--by", required=True, help="who plays it; each entry keeps its own person")
    one.add_argument("--go-on", action="store_true", help="note what is refused and go on; else it stops with 3")
    one.add_argument("--json", action="store_true", help="for machines")
    one.set_defaults(run=sheet_play)
