"""The stand-in gauge as a process, and the server's link to it."""

import time
from collections.abc import Callable, Iterator

import pytest

from norvash.devices.gauge_link import GaugeLink, Value
from norvash.devices.gauge_process import standin
from norvash.devices.gauge_standin import press
from test_house import run


@pytest.fixture
def gauge() -> Iterator[str]:
    with standin(("17.42 mm", "0.686 in")) as made:
        yield made


@pytest.fixture
def link(gauge: str) -> Iterator[GaugeLink]:
    made = GaugeLink(gauge)
    made.start()
    until(lambda: made.connected)
    yield made
    made.stop()


def until(happened: Callable[[], object]) -> None:
    for _ in range(400):
        if happened():
            return
        time.sleep(0.01)
    pytest.fail("it did not happen")


def came(link: GaugeLink, by: str, seq: int) -> Value:
    """Return what came last, once it is the line with this number."""
    until(lambda: (value := link.last(by)) is not None and value["seq"] >= seq)
    value = link.last(by)
    assert value is not None
    return value


def test_the_gauge_is_asked_and_its_button_is_for_whoever_asked_last(link: GaugeLink, gauge: str) -> None:
    assert [link.ask("ines")["text"] for _ in range(3)] == ["17.42 mm", "0.686 in", "17.42 mm"]
    time.sleep(0.2)  # no hand measures again sooner
    press(gauge, "!12.4 mm")
    assert came(link, "ines", 4)["text"] == "12.4 mm"
    assert link.last("bram") is None
    assert link.ask("bram")["text"] == "0.686 in"
    assert link.last("ines") is None


def test_damaged_lines_are_named_and_the_next_one_counts(link: GaugeLink, gauge: str) -> None:
    link.ask("ines")
    press(gauge, f"~{b'12.4 mm;00'.hex()}0a")
    assert "damaged or cut" in came(link, "ines", 2)["trouble"]
    press(gauge, "!9 N")
    assert "does not belong here" in came(link, "ines", 3)["trouble"]
    assert link.ask("ines")["text"] == "0.686 in"


def test_a_gauge_that_is_gone_says_so_and_is_found_again() -> None:
    with standin(("1 mm",)) as first:
        link = GaugeLink(first)
        link.start()
        until(lambda: link.connected)
    until(lambda: not link.connected)
    assert "No gauge is connected" in link.ask("ines")["trouble"]
    assert GaugeLink("").ask("ines")["trouble"]
    link.stop()
    gone = run("press", first, "12 mm")
    assert (gone.returncode, "There is no gauge" in gone.stderr) == (2, True)


def test_the_command_presses_the_button(link: GaugeLink, gauge: str) -> None:
    link.ask("ines")
    time.sleep(0.2)
    assert run("press", gauge, "8.8 mm").returncode == 0
    assert came(link, "ines", 2)["text"] == "8.8 mm"
