"""The command line: serve, demo, people, certificate, check, backup, restore, press, sum, forecast, prove, sheets."""

import argparse
import gc
import json
import socket
import sys
from contextlib import closing, suppress
from datetime import date, datetime
from importlib.metadata import version
from pathlib import Path
from typing import Any

from norvash import access_commands, visit_commands
from norvash.errors import NorvashError, SeveralErrors
from norvash.store.file.trouble import DatabaseError, trouble_of
from norvash.visit_commands import there

_DEMO_DB = Path("var/demo.db")
_PROOF = "<!-- proof -->"
_MOST_CASES_BYTES = 50_000_000
_IDLE_H = 0.25, 72.0


def _say(error: NorvashError) -> int:
    for one in error.errors if isinstance(error, SeveralErrors) else [error]:
        at = f" [{one.field}]" if one.field else ""
        print(f"norvash: {one.problem} {one.remedy}{at}", file=sys.stderr)
    return 2


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
    raise NorvashError(f"No port from {port} on is free on {host}.", "Name another with --port.")


def _run(given: dict[str, Any], allow: list[str]) -> None:
    gc.disable()  # while everything is being loaded there is nothing to collect

    from norvash.config import Settings, check_allowed
    from norvash.web.app import create_app
    from norvash.web.served.logs import start_log
    from norvash.web.served.serving import Announcing, server_config
    from norvash.web.served.warming import warm

    settings = Settings.with_environment(**given, allowed_hosts=tuple(allow))
    host, names = settings.host, check_allowed(settings.host, settings.allowed_hosts, secure=settings.is_secure)
    start_log()
    port = _free_port(host, settings.port)
    settings = settings.model_copy(update={"port": port, "allowed_hosts": names})
    application = create_app(settings)
    application.state.after_first_page = warm
    gc.freeze()
    gc.enable()
    server = Announcing(server_config(application, settings))
    server.words = f"Norvash is on http{'s' if settings.tls else ''}://{settings.announced}:{port}/  (Ctrl-C stops it)"
    certificate = application.state.certificate
    if certificate is not None and (ending := certificate.words(date.today())):
        server.words += f"\n{ending}"
    if not settings.demo and not application.state.led:
        server.words += f"\nThe code with which the first lead begins, at this start: {application.state.first_code}"
    server.run()
    print("Norvash has stopped; everything entered is kept.")


def serve(given: argparse.Namespace) -> None:
    """Serve a database of your own."""
    from norvash.store.file.lock import held_alone

    said = {n: getattr(given, n) for n in ("db", "host", "port", "gauge", "meter")} | {"idle_h": given.idle}
    if given.tls is not None:
        said["tls"] = tuple(given.tls)
    with held_alone(given.db, "being served"):
        _run({**said, "behind": given.behind_tls}, given.allow)


def demo(given: argparse.Namespace) -> None:
    """Serve the Lanternmoor Playhouse, an invented theatre with its motors."""
    from norvash.demo.fleet import GAUGE_VALUES, METER_VALUES
    from norvash.demo.shipped import prepare
    from norvash.devices.gauge_process import standin
    from norvash.store.file.lock import held_alone

    with held_alone(given.db, "being served"), standin(GAUGE_VALUES) as gauge, standin(METER_VALUES) as meter:
        print(f"Demo data: {prepare(given.db, reset=given.reset)}", flush=True)
        print(f'A stand-in gauge is on {gauge}; norvash press {gauge} "17.42 mm" measures with it.', flush=True)
        _run({"db": given.db, "port": given.port, "gauge": gauge, "meter": meter, "log": False, "demo": True}, [])


def check(given: argparse.Namespace) -> int:
    """Check that a database is whole; nothing is written, and it may be served meanwhile."""
    from norvash.store.file.ready import look_at

    found = look_at(there(given.db), thoroughly=True)
    for line in found.faults:
        print(line)
    if given.tls is not None:
        from norvash.certificate import ends

        print(ends(given.tls).words(date.today()) or f"{given.tls} ends on {ends(given.tls).on}.")
    print(f"{given.db} is damaged: put the last good backup in its place." if found.faults else f"{given.db} is whole.")
    return 1 if found.faults else 0


def backup(given: argparse.Namespace) -> None:
    """Copy a database into one file, as it stands at this moment; people may go on writing."""
    from norvash.store.file.copies import back_up

    size = back_up(there(given.db), given.file)
    print(f"{given.file} holds all of {given.db}, checked: {size / 1000:.0f} kB.")


def restore(given: argparse.Namespace) -> None:
    """Put a backup in the place of a database, once it is checked; what stood there is kept."""
    from norvash.store.file.copies import restore as put_back

    kept = put_back(given.file, given.db, datetime.now())
    print(f"{given.db} is now what {given.file} holds." + (f" What stood there is kept as {kept}." if kept else ""))


def press_gauge(given: argparse.Namespace) -> None:
    """Measure with a stand-in gauge and press its button."""
    from norvash.devices.gauge_standin import press

    try:
        press(given.gauge, f"!{given.value}")
    except (OSError, ValueError) as error:
        raise NorvashError(
            f"There is no gauge at {given.gauge} ({error}).", "Give the address that the demo names."
        ) from None


def one_sum(given: argparse.Namespace) -> None:
    """Work out one sum: JSON in, JSON out; without a name, list the sums."""
    from norvash.core.rules.catalogue import shipped
    from norvash.core.sums.catalogue import SUMS
    from norvash.work.pages.sums import answer

    if not given.name:
        for entry in SUMS.values():
            print(f"{entry.name:18}{entry.title}")
        return
    rules = shipped() if given.db is None else _rules_of(given.db)
    print(json.dumps(answer(given.name, _read_json(), rules), indent=2, ensure_ascii=False))


def forecast_cases(given: argparse.Namespace) -> None:
    """Forecast the cases of a file: a JSON list in, a list of results out."""
    from norvash.core.forecast.model import forecasts
    from norvash.core.forecast.plain import cases_of, plain_of
    from norvash.exchange.json_text import as_text, read_at_most, read_json

    text = as_text(read_at_most(given.cases, _MOST_CASES_BYTES))
    cases = cases_of(read_json(text, "Write a list of cases, each an object with new_length_mm, limit_mm and so on."))
    print(json.dumps([plain_of(f) for f in forecasts(cases)], indent=1))


def prove(given: argparse.Namespace) -> None:
    """Try the forecast on simulated fleets: what share of its bands hold, beside hand sums and least squares."""
    from norvash.core.forecast.proof import KINDS
    from norvash.core.forecast.proof import prove as run
    from norvash.core.forecast.proof_table import table

    parts = []
    for kind, words in KINDS.items():
        sets = given.sets if kind == "measured" else given.rough
        for done, tallies in run(sets, given.seed, kind):
            print(f"\r[{'#' * round(40 * done):40}] {done:4.0%} {kind:8}", end="", file=sys.stderr, flush=True)
            found = table(tallies, kind) if done == 1 else ""
        parts.append(f"**{words[0].upper()}{words[1:]}**: {sets} sets\n\n{found}")
    print(file=sys.stderr)
    made = "\n".join((f"Seed {given.seed}, {date.today():%Y-%m-%d}\n", *parts))
    if given.into is None:
        print(made, end="")
        return
    before, _, rest = given.into.read_text().partition(_PROOF)
    _, _, after = rest.partition(_PROOF)
    given.into.write_text(f"{before}{_PROOF}\n{made}{_PROOF}{after}")


def _rules_of(db: Path) -> Any:
    from norvash.core.rules.book import MotorRules
    from norvash.store.file.ready import open_to_read
    from norvash.work.reading.rulebook import rulebook

    with closing(open_to_read(there(db))) as conn:
        return MotorRules(rulebook(conn))


def _read_json() -> Any:
    from norvash.exchange.json_text import as_text, read_at_most, read_json

    given = as_text(read_at_most(sys.stdin.buffer, 1_000_000))
    return read_json(given, 'Send one object like {"length_mm": 12.4}.')


def _idle_h(text: str) -> float:
    """Return hours without a sign of life: long enough to work, short enough for a tablet that was left.

    Raises: argparse.ArgumentTypeError.
    """
    least, most = _IDLE_H
    with suppress(ValueError):
        if least <= float(text) <= most:
            return float(text)
    raise argparse.ArgumentTypeError(f"{text}: give hours from {least} to {most:g}")


def _parser() -> argparse.ArgumentParser:
    parser = argparse.ArgumentParser(prog="norvash", description="Norvash: for those who keep brushed motors alive.")
    parser.add_argument("--version", action="version", version=f"norvash {version('norvash')}")
    commands = parser.add_subparsers(required=True, metavar="command")
    one = commands.add_parser("serve", help=serve.__doc__)
    one.add_argument("--db", type=Path, required=True, help="database file; a new one is made")
    one.add_argument("--host", default="127.0.0.1", help="address to listen on (default: this machine only)")
    one.add_argument("--port", type=int, default=8000, help="port; the next free one if it is taken")
    one.add_argument(
        "--allow",
        action="append",
        default=[],
        help="host name to answer to; may be repeated, needed on any address but this machine's own",
    )
    one.add_argument("--tls", nargs=2, type=Path, metavar=("CERT", "KEY"), help="as norvash certificate makes them")
    one.add_argument("--behind-tls", default="", metavar="PROXY", help="address of the proxy that ends TLS")
    one.add_argument(
        "--idle", type=_idle_h, default=12.0, metavar="H", help="hours without a sign of life that end a sign-in (12)"
    )
    one.add_argument("--gauge", default="", help="host:port of a gauge that speaks the line protocol")
    one.add_argument("--meter", default="", help="host:port of a meter of volts, amps, r/min and temperature")
    one.set_defaults(run=serve)
    one = commands.add_parser("demo", help=demo.__doc__)
    one.add_argument("--port", type=int, default=8000, help="port; the next free one if it is taken")
    one.add_argument("--reset", action="store_true", help="start over with fresh demo data")
    one.add_argument("--db", type=Path, default=_DEMO_DB, help="where the demo data are kept")
    one.set_defaults(run=demo)
    for command, name, file in (
        (check, "check", ""),
        (backup, "backup", "file to write; one that is there is not written over"),
        (restore, "restore", "the backup"),
    ):
        one = commands.add_parser(name, help=command.__doc__)
        if file:
            one.add_argument("file", type=Path, help=file)
        one.add_argument("--db", type=Path, required=True, help="database file")
        if command is check:
            one.add_argument("--tls", type=Path, metavar="CERT", help="say when this certificate ends, too")
        one.set_defaults(run=command)
    access_commands.add_to(commands)
    one = commands.add_parser("press", help=press_gauge.__doc__)
    one.add_argument("gauge", help="its address, host:port")
    one.add_argument("value", help="what is between its jaws, like 17.42 mm")
    one.set_defaults(run=press_gauge)
    one = commands.add_parser("sum", help=one_sum.__doc__)
    one.add_argument("name", nargs="?", default="", help="name of the sum")
    one.add_argument("--db", type=Path, help="use the rulebook of this site")
    one.set_defaults(run=one_sum)
    one = commands.add_parser("forecast", help=forecast_cases.__doc__)
    one.add_argument("cases", type=Path, help="JSON file with one case or a list of them")
    one.set_defaults(run=forecast_cases)
    one = commands.add_parser("prove", help=prove.__doc__)
    one.add_argument("--sets", type=int, default=10000, help="how many sets to simulate")
    one.add_argument("--rough", type=int, default=4000, help="how many of each kind that is only known roughly")
    one.add_argument("--seed", type=int, default=20261125, help="seed of the simulation")
    one.add_argument("--into", type=Path, help="write the table into this file, between its two marks")
    one.set_defaults(run=prove)
    visit_commands.add_to(commands)
    return parser


def main() -> None:
    """Run the command line; exit code 2 with a remedy on wrong input."""
    given = _parser().parse_args()
    try:
        sys.exit(given.run(given) or 0)
    except NorvashError as error:
        sys.exit(_say(error))
    except DatabaseError as error:
        sys.exit(
            _say(
                trouble_of(error)
                or NorvashError(f"The database cannot be used ({error}).", "Check it: norvash check --db FILE.")
            )
        )
