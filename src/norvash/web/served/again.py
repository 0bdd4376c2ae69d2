"""A form that is refused is shown again, with what was typed and what was wrong, at its place."""

from collections.abc import Callable
from functools import wraps
from inspect import signature
from typing import Any

from fastapi.responses import Response

from norvash.errors import NorvashError
from norvash.web.served.answers import moves_ground


def again(
    show: Callable[..., Response], *, anew: bool = False, ground: bool = True, **more: str
) -> Callable[[Callable[..., Response]], Callable[..., Response]]:
    """Show a page by `show` where the job of a form refuses it, given as much of what the job was given as it takes.

    `anew` with nothing typed, else with what was typed and `more`; without `ground` what asks for the ground of a
    change is left to its own page.
    """
    takes = signature(show).parameters

    def around(job: Callable[..., Response]) -> Callable[..., Response]:
        @wraps(job)
        def done(**given: Any) -> Response:
            try:
                return job(**given)
            except NorvashError as error:
                if moves_ground(error) and not ground:
                    raise
                typed = {} if anew else {**given.get("typed", {}), **more}
                known = {**given, "typed": typed, "error": error}
                return show(**{name: known[name] for name in takes if name in known})

        return done

    return around
