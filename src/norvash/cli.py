"""The command line: serve, demo, sum."""

import json
import socket
import sys
from pathlib import Path
from typing import Annotated, Any

import typer

from norvash.errors import NorvashError, SeveralErrors

app = typer.Typer(add_completion=False, no_args_is_help=True, help="Norvash: for those who keep brushed motors alive.")
_DEMO_DB = Path("var/demo.db")


def _fail(error: NorvashError) -> typer.Exit:
    for one in error.errors if isinstance(error, SeveralErrors) else [error]:
        at = f" [{one.field}]" if one.field else ""
        print(f"norvash: {one.problem} {one.remedy}{at}", file=sys.stderr)
    return typer.Exit(2)


def _free_port(host: str, port: int) -> int:
    """Return the port, or the next one that is free."""
    for candidate in range(port, min(port + 50, 65536)):
        family = socket.AF_INET6 if ":" in host else socket.AF_INET
        with socket.socket(family, socket.SOCK_STREAM) as probe:
            probe.setsockopt(socket.SOL_SOCKET, socket.SO_REUSEADDR, 1)
            try:
                probe.bind((host, candidate))
            except OSError:
                continue
            return candidate
    raise _fail(NorvashError(f"No port from {port} on is free on {host}.", "Name another with --port."))


def _run(db: Path, host: str, port: int, allow: list[str], *, log: bool) -> None:
    import uvicorn

    from norvash.config import Settings
    from norvash.web.app import create_app
    from norvash.web.logs import start_log

    start_log()
    port = _free_port(host, port)
    settings = Settings(db=db, host=host, port=port, allowed_hosts=tuple(allow), log=log)
    application = create_app(settings)
    shown = f"[{host}]" if ":" in host else host
    print(f"Norvash is on http://{shown}:{port}/  (Ctrl-C stops it)", flush=True)
    uvicorn.run(application, host=host, port=port, log_level="warning", access_log=False, ws="none")
    print("Norvash has stopped; everything entered is kept.")


@app.command()
def serve(
    db: Annotated[Path, typer.Option(help="Database file; a new one is made.")],
    host: Annotated[str, typer.Option(help="Address to listen on.")] = "127.0.0.1",
    port: Annotated[int, typer.Option(help="Port; the next free one if it is taken.")] = 8000,
    allow: Annotated[
        list[str] | None, typer.Option(help="Host names to answer to, when not only this machine.")
    ] = None,
) -> None:
    """Serve a database of your own."""
    try:
        db.parent.mkdir(parents=True, exist_ok=True)
        _run(db, host, port, allow or [], log=True)
    except NorvashError as error:
        raise _fail(error) from None


@app.command()
def demo(
    port: Annotated[int, typer.Option(help="Port; the next free one if it is taken.")] = 8000,
    reset: Annotated[bool, typer.Option("--reset", help="Start over with fresh demo data.")] = False,
    db: Annotated[Path, typer.Option(help="Where the demo data are kept.")] = _DEMO_DB,
) -> None:
    """Serve the Lanternmoor Playhouse, an invented theatre with its motors."""
    from norvash.demo.playhouse import prepare

    try:
        made = prepare(db, reset=reset)
        print(f"Demo data: {made}", flush=True)
        _run(db, "127.0.0.1", port, [], log=False)
    except NorvashError as error:
        raise _fail(error) from None


@app.command("sum")
def one_sum(
    name: Annotated[str, typer.Argument(help="Name of the sum; without it, the list.")] = "",
    db: Annotated[Path | None, typer.Option(help="Use the rulebook of this site.")] = None,
) -> None:
    """Work out one sum: JSON in, JSON out."""
    from norvash.core.rules.catalogue import shipped
    from norvash.core.sums.catalogue import SUMS
    from norvash.work.sums import answer

    if not name:
        for entry in SUMS.values():
            print(f"{entry.name:18}{entry.title}")
        return
    try:
        rules = shipped()
        if db is not None:
            rules = _rules_of(db)
        print(json.dumps(answer(name, _read_json(), rules), indent=2, ensure_ascii=False))
    except NorvashError as error:
        raise _fail(error) from None


def _rules_of(db: Path) -> Any:
    from norvash.core.rules.book import MotorRules
    from norvash.store.database import connect
    from norvash.work.context import rulebook

    if not db.exists():
        raise NorvashError(f"There is no database {db}.", "Give the path of an existing one.")
    return MotorRules(rulebook(connect(db)))


def _read_json() -> Any:
    text = sys.stdin.read(1_000_001)
    if len(text) > 1_000_000:
        raise NorvashError("The input is over 1 MB.", "Send one JSON object with the inputs.")
    try:
        return json.loads(text)
    except (ValueError, RecursionError) as error:
        raise NorvashError(f"The input is no JSON ({error}).", 'Send one object like {"length_mm": 12.4}.') from None


def main() -> None:
    """Run the command line."""
    app()
