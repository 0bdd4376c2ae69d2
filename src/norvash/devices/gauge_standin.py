"""A stand-in for a length gauge: a small process that speaks the line protocol on a local socket.

It answers `?` with the value between its jaws and then moves on to the next of its values. Whoever plays the hand on
the gauge sends `!12.43 mm` to close the jaws on a brush and press its button: all that listen then get the line. `~`
and bytes in hex are sent on as they are, to see what damaged lines do.
"""

import socket
import socketserver
import sys
import threading
from collections.abc import Sequence

from norvash.core.brush.gauge_line import line_of

HOST = "127.0.0.1"


class Gauge(socketserver.ThreadingTCPServer):
    """The gauge with those who listen to it."""

    allow_reuse_address = True
    daemon_threads = True

    def __init__(self, port: int, values: Sequence[str]) -> None:
        super().__init__((HOST, port), _Talk)
        self.values, self.at = list(values) or ["0.00 mm"], 0
        self.listeners: list[socket.socket] = []
        self.lock = threading.Lock()

    def asked(self) -> bytes:
        """Return the line for the value between the jaws, and move on to the next."""
        with self.lock:
            text = self.values[self.at % len(self.values)]
            self.at += 1
        return line_of(text)

    def send(self, data: bytes) -> None:
        """Send bytes to all that listen."""
        with self.lock:
            for listener in list(self.listeners):
                try:
                    listener.sendall(data)
                except OSError:
                    self.listeners.remove(listener)


class _Talk(socketserver.StreamRequestHandler):
    server: Gauge

    def handle(self) -> None:
        with self.server.lock:
            self.server.listeners.append(self.request)
        for raw in self.rfile:
            order = raw.strip().decode("ascii", "replace")
            if order == "?":
                self.request.sendall(self.server.asked())
            elif order.startswith("!"):
                self.server.send(line_of(order[1:].encode("ascii", "replace").decode("ascii")))
            elif order.startswith("~"):
                self.server.send(bytes.fromhex(order[1:]))

    def finish(self) -> None:
        with self.server.lock:
            if self.request in self.server.listeners:
                self.server.listeners.remove(self.request)
        super().finish()


def press(address: str, order: str) -> None:
    """Do something at a stand-in as a hand would: `!12.43 mm` measures and presses its button."""
    host, _, port = address.partition(":")
    with socket.create_connection((host, int(port)), timeout=2) as talk:
        talk.sendall(order.encode("ascii") + b"\n")


def main(words: Sequence[str]) -> None:
    """Serve until the process that started it closes its input; the first line of output is the port."""
    with Gauge(int(words[0]) if words else 0, words[1:]) as gauge:
        threading.Thread(target=gauge.serve_forever, daemon=True).start()
        sys.stdout.write(f"{gauge.server_address[1]}\n")
        sys.stdout.flush()
        sys.stdin.read()


if __name__ == "__main__":
    main(sys.argv[1:])
