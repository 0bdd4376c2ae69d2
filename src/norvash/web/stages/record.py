"""What opening and recording shows: nothing but its fields."""

from norvash.web.stages.at import At


def view(_at: At) -> None:
    """Return nothing: its fields say it all."""
