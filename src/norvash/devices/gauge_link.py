"""The server's link to a gauge or meter: a thread that reads its lines, and asks it when somebody wants a value."""

import socket
import threading
import time
from typing import TypedDict

from norvash.core.brush.gauge_line import Check, Frame, LineReader, length_frame, point_frame

_AGAIN_S, _WAIT_S = 1.0, 0.6


class Value(TypedDict):
    """What the gauge sent: a number that rises, the reading with its unit, or what was wrong."""

    seq: int
    text: str
    trouble: str


class GaugeLink:
    """One gauge; only the browser that took a value last gets what is pressed on it."""

    def __init__(self, address: str, check: Check = length_frame, name: str = "gauge") -> None:
        self.address, self.connected, self.check, self.name = address, False, check, name
        self._socket: socket.socket | None = None
        self._seq, self._frame, self._holder, self._reader = 0, Frame(""), "", LineReader(check)
        self._news, self._over = threading.Condition(), threading.Event()
        self._thread: threading.Thread | None = None

    def start(self) -> None:
        """Begin to listen, if there is a gauge at all."""
        if self.address and self._thread is None:
            self._thread = threading.Thread(target=self._run, name=self.name, daemon=True)
            self._thread.start()

    def stop(self) -> None:
        """Stop listening."""
        self._over.set()
        if self._socket is not None:
            self._socket.close()
        if self._thread is not None:
            self._thread.join(timeout=3)

    def last(self, by: str) -> Value | None:
        """Return what came last, for the browser that holds the gauge; None for others."""
        with self._news:
            return self._value() if by and by == self._holder else None

    def ask(self, by: str) -> Value:
        """Ask the gauge for its value now; from then on this browser holds it."""
        with self._news:
            self._holder, before = by, self._seq
            if self._socket is None:
                return Value(seq=self._seq, text="", trouble=f"No {self.name} is connected; type the value.")
            self._reader.expect()
            try:
                self._socket.sendall(b"?\n")
            except OSError:
                return Value(seq=self._seq, text="", trouble=f"The {self.name} is gone; type the value.")
            self._news.wait_for(lambda: self._seq > before, timeout=_WAIT_S)
            if self._seq == before:
                return Value(seq=self._seq, text="", trouble=f"The {self.name} does not answer; type the value.")
            return self._value()

    def _value(self) -> Value:
        return Value(seq=self._seq, text=self._frame.text, trouble=self._frame.trouble)

    def _run(self) -> None:
        host, _, port = self.address.partition(":")
        while not self._over.is_set():
            try:
                with socket.create_connection((host, int(port)), timeout=2) as talk:
                    talk.settimeout(0.5)
                    self._socket, self.connected = talk, True
                    self._listen(talk)
            except OSError:
                pass
            self._socket, self.connected = None, False
            self._over.wait(_AGAIN_S)

    def _listen(self, talk: socket.socket) -> None:
        self._reader = LineReader(self.check)
        while not self._over.is_set():
            try:
                data = talk.recv(256)
            except TimeoutError:
                continue
            if not data:
                return
            for frame in self._reader.feed(data, time.monotonic()):
                with self._news:
                    self._seq, self._frame = self._seq + 1, frame
                    self._news.notify_all()


def meter_link(address: str) -> GaugeLink:
    """Return the link to a meter that reads volts, amps, speed and temperature of a run."""
    return GaugeLink(address, point_frame, "meter")
