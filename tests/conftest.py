"""What all tests share: an empty site, a person, and jobs in a few words."""

import fcntl
import functools
import gc
import os
import shutil
from collections.abc import Iterator
from contextlib import closing
from dataclasses import dataclass, field
from datetime import datetime, timedelta
from pathlib import Path
from typing import Any

import pytest
from hypothesis import core, settings

from norvash.core.rules.book import MotorRules
from norvash.core.rules.catalogue import shipped
from norvash.demo.shipped import prepare
from norvash.store.access.members import give_role
from norvash.store.file.database import Connection, connect, transaction
from norvash.store.file.ready import migrate
from norvash.store.record import people, rounds
from norvash.store.record.rounds import ReadingRow
from norvash.work.act.acting import Act
from norvash.work.motors.logging_use import log_use
from norvash.work.motors.registering import NewMotor, add_motor
from norvash.work.on_sheet.measuring import record
from norvash.work.on_sheet.new_set import fit_new_set
from norvash.work.on_sheet.opening import open_sheet
from norvash.work.on_sheet.signing import sign
from norvash.work.pages.motor import MotorPage, motor_page

# The same cases on every machine, however slow it is just now: by the seed in the tree, or one that is named.
settings.register_profile("house", deadline=None, database=None, print_blob=True)
settings.register_profile("quick", settings.get_profile("house"), max_examples=40)
settings.register_profile("laws", settings.get_profile("house"), max_examples=1000)
settings.load_profile("house")
# Every transaction waits for the disk; in memory no test waits for what else the disk is doing.
if os.access("/dev/shm", os.W_OK):
    os.environ.setdefault("PYTEST_DEBUG_TEMPROOT", "/dev/shm")
pytest_plugins = ["live", "pages"]
NOW = datetime(2026, 11, 24, 9)
SEED, LONG = Path(__file__).parent / "data/seed.txt", Path(__file__).parent / "data/long.txt"


def new_motor(**changes: object) -> NewMotor:
    given: dict[str, object] = {
        "tag": "X-01",
        "name": "Trap winch",
        "place": "under stage",
        "motor_class": "industrial",
        "type_id": "",
        "brushes": "2",
        "new_length": "22",
        "limit": "8",
        "unit_of_use": "",
        "use_now": "100",
        "set_is_new": True,
        "figures": {},
    }
    return NewMotor(**(given | changes))  # type: ignore[arg-type]


@dataclass
class Shop:
    """A site with one person; time only moves when a test says so."""

    conn: Connection
    now: datetime = NOW - timedelta(weeks=60)
    acts: int = field(default=0)
    person: str = "person-of-test"

    def act(self) -> Act:
        self.acts += 1
        return Act(f"test-act-{self.acts:05d}", self.person, self.now)

    def later(self, **span: float) -> "Shop":
        self.now += timedelta(**span)
        return self

    def today(self, minutes: float) -> "Shop":
        """Set the time so many minutes back, and not to yesterday: what is written of a day stands in one order."""
        now = datetime.now()
        self.now = max(now - timedelta(minutes=minutes), now.replace(hour=0, minute=0, second=0, microsecond=0))
        return self

    def motor(self, **changes: object) -> str:
        return add_motor(self.conn, self.act(), new_motor(**changes))

    def log(self, motor_id: str, text: str, **how: Any) -> str:
        return log_use(self.conn, self.act(), motor_id, text=text, **how)

    def look(self, motor_id: str, counter: str = "", kind: str = "check") -> str:
        return open_sheet(self.conn, self.act(), motor_id, kind="quick", counter=counter, round_kind=kind, safe=True)

    def sign(self, sheet_id: str, why: str = "left so by the test") -> str:
        return sign(self.conn, self.act(), sheet_id, why, service=True)

    def measure(self, motor_id: str, counter: str, *values: str, kind: str = "check") -> str:
        round_id = self.look(motor_id, counter, kind)
        for position, value in enumerate(values, start=1):
            if value:
                record(self.conn, self.act(), round_id, position=position, text=value)
        self.sign(round_id)
        return round_id

    def new_set(self, motor_id: str, counter: str, *lengths: str, reason: str = "planned") -> str:
        typed = dict(enumerate(lengths, start=1))
        return fit_new_set(self.conn, self.act(), motor_id, counter=counter, reason=reason, lengths=typed)

    def page(self, motor_id: str) -> MotorPage:
        return motor_page(self.conn, motor_id, self.now.date())


def readings_on(conn: Connection, sheet_id: str) -> dict[int, ReadingRow]:
    """Return the readings on a sheet that count, by position, those of a set that was fitted on it last."""
    return {n: g for r in rounds.rounds_of(conn, sheet_id) for n, g in rounds.list_readings(conn, r.id).items()}


def pytest_configure(config: pytest.Config) -> None:
    """Give the laws the seed that stands in the tree, where none is named; look for rubbish seldom: little is made."""
    gc.set_threshold(100_000, 20, 50)
    if config.getoption("hypothesis_seed", None) is None:
        core.global_force_seed = int(SEED.read_text())  # type: ignore[assignment]


def pytest_collection_modifyitems(items: list[pytest.Item]) -> None:
    """Leave to `make test` what takes more than a second, by the list of those that were measured."""
    long = set(LONG.read_text().split())
    for item in items:
        if item.nodeid.removeprefix("tests/").partition("[")[0] in long:
            item.add_marker("long")


def pytest_sessionstart() -> None:
    """Forget what was worked out before where code is changed and tested many times in one process."""
    if "MUTANT_UNDER_TEST" not in os.environ:
        return
    for found in gc.get_objects():
        if isinstance(found, functools._lru_cache_wrapper) and str(found.__module__).startswith("norvash"):
            found.cache_clear()


def fill_site(conn: Connection) -> None:
    migrate(conn)
    with transaction(conn):
        people.change_site(conn, "Test shop", None, NOW)
        people.add_person(conn, people.Person("person-of-test", "Ines Torvald"), NOW)
        give_role(conn, "person-of-test", "lead")


@pytest.fixture(scope="session")
def playhouse(tmp_path_factory: pytest.TempPathFactory) -> Path:
    """Return the demo's database, made once a run for all workers; whoever writes takes a copy."""
    base = tmp_path_factory.getbasetemp()
    path = (base.parent if "PYTEST_XDIST_WORKER" in os.environ else base) / "playhouse.db"
    with Path(f"{path}.lock").open("w") as lock:
        fcntl.flock(lock, fcntl.LOCK_EX)
        if not path.exists():
            prepare(path, reset=False)
    return path


@pytest.fixture(scope="session")
def _site(tmp_path_factory: pytest.TempPathFactory) -> Path:
    """Return a site with one person, made once; every test has its own copy."""
    path = tmp_path_factory.mktemp("site") / "site.db"
    with closing(connect(path)) as conn:
        fill_site(conn)
        conn.execute("pragma wal_checkpoint(truncate)")
    return path


@pytest.fixture
def db(tmp_path: Path, _site: Path) -> Path:
    return Path(shutil.copy(_site, tmp_path / "test.db"))


@pytest.fixture
def shop(db: Path) -> Iterator[Shop]:
    conn = connect(db)
    yield Shop(conn)
    conn.close()


@pytest.fixture
def rules() -> MotorRules:
    return shipped()
