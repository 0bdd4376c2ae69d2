"""Sums as JSON."""

from typing import Annotated, Any

from fastapi import APIRouter, Body

from norvash.core.rules.book import MotorRules
from norvash.web.served.deps import Conn
from norvash.work.reading.rulebook import rulebook

router = APIRouter(prefix="/api/v1/sums", tags=["sums"])


@router.get("", response_model=None)
def every() -> dict[str, object]:
    """List the sums with the schema of their inputs."""
    from norvash.core.sums.catalogue import SUMS
    from norvash.work.pages.sums import model

    return {
        "sums": [
            {
                "name": s.name,
                "title": s.title,
                "words": s.words,
                "inputs": model(s.name).model_json_schema(),
                "example": dict(s.example),
            }
            for s in SUMS.values()
        ]
    }


@router.post("/{name}", response_model=None)
def one(*, conn: Conn, name: str, given: Annotated[Any, Body()]) -> dict[str, object]:
    """Answer a sum by the site's rulebook."""
    from norvash.work.pages.sums import answer

    return answer(name, given, MotorRules(rulebook(conn)))
