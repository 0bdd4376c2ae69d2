"""The log: one JSON line for each event, on standard error."""

import json
import logging
import sys
from datetime import datetime
from typing import Any

_log = logging.getLogger("norvash")


class _JsonLines(logging.Formatter):
    def format(self, record: logging.LogRecord) -> str:
        line = {
            "at": datetime.fromtimestamp(record.created).isoformat(timespec="milliseconds"),
            "level": record.levelname.lower(),
            "event": record.getMessage(),
            **getattr(record, "values", {}),
        }
        if record.exc_info:
            line["trace"] = self.formatException(record.exc_info)
        return json.dumps(line, ensure_ascii=False, default=str)


def start_log() -> None:
    """Write events as JSON lines with their time and level; what packages warn of too."""
    handler = logging.StreamHandler(sys.stderr)
    handler.setFormatter(_JsonLines())
    logging.getLogger().handlers[:] = [handler]
    _log.setLevel(logging.INFO)


def log_event(event: str, **values: Any) -> None:
    """Log an event with its values."""
    _log.info(event, extra={"values": values})


def log_failure(event: str, error: Exception, **values: Any) -> None:
    """Log a failure with its trace."""
    _log.error(event, exc_info=error, extra={"values": values})
